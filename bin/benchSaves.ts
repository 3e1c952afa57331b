import { Agent, request } from 'node:http'
import pg from 'pg'
import { uuidv7 } from 'uuidv7'
import { demoWorkshops } from '../core/demo'
import { applyChanges, setHeadcount, type Workshop } from '../core/workshop'

const seconds = 3
const agent = new Agent({ keepAlive: true, maxSockets: 100 })

/** One POST on a kept connection; the answer as text. */
function post(url: string, body: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }
    const req = request(url, { method: 'POST', agent, headers }, (res) => {
      let text = ''
      res.setEncoding('utf8')
      res.on('data', (d: string) => (text += d))
      res.on('end', () => resolve(text))
    })
    req.on('error', reject)
    req.end(body)
  })
}

/** Runs `once` again and again by so many clients at the same time: how many a second, and the slowest of 99 in 100, ms. */
async function rate(clients: number, once: (client: number, n: number) => Promise<void>): Promise<{ perSecond: number; p99: number }> {
  const times: number[] = []
  const until = performance.now() + seconds * 1000
  const begun = performance.now()
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      for (let n = 0; performance.now() < until; n++) {
        const start = performance.now()
        await once(client, n)
        times.push(performance.now() - start)
      }
    }),
  )
  const perSecond = (1000 * times.length) / (performance.now() - begun)
  return { perSecond, p99: times.sort((a, b) => a - b)[Math.floor(times.length * 0.99)]! }
}

/** Changes saved a second by 1, 10 and 50 clients, each in a workshop of 40 of its own, against what the same cluster commits by
 *  itself (small inserts, one a transaction, as many clients); and twenty clients in one workshop. */
export async function benchSaves(url: string, databaseUrl: string): Promise<Record<string, number>> {
  const ids = Array.from({ length: 40 }, (_, i) => `b${i}`)
  const base = demoWorkshops('2026-05-15')[0]!
  const of40 = applyChanges(base, setHeadcount(base, 40, ids).changes)!
  const send = async (commands: object[]): Promise<number> => {
    const text = await post(`${url}/api/commands`, JSON.stringify(commands))
    const { outcomes } = JSON.parse(text) as { outcomes: { status: string; version: number }[] }
    if (outcomes?.[0]?.status !== 'applied') throw new Error(text.slice(0, 500))
    return outcomes[0].version
  }
  const held = Array.from({ length: 51 }, () => ({ version: 1, helpers: of40.group.helpers }))
  const command = (id: string, changes: object[], baseVersion = 0) => ({
    id: uuidv7(),
    subject: { kind: 'workshop', id },
    baseVersion,
    kind: 'bench',
    changes,
    guards: [],
    actor: 'bench',
    at: base.createdAt,
  })
  for (let i = 0; i < 51; i++) {
    const w: Workshop = {
      ...of40,
      id: `bench-${i}`,
      title: `Bench ${i}`,
      sessions: base.sessions.map((s) => ({ ...s, id: `${s.id}-b${i}` })),
    }
    await send([command(w.id, [{ path: '', before: null, after: w }])])
  }
  const figures: Record<string, number> = {}
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 50 })
  await pool.query('create table if not exists bench_probe (id bigserial primary key, at timestamptz not null default now())')
  const clients = await Promise.all(Array.from({ length: 50 }, () => pool.connect()))
  const age = (n: number) => (n % 2 ? ['adult', '13-17'] : ['13-17', 'adult'])
  for (const k of [1, 10, 50]) {
    const own = await rate(k, async (c) => void (await clients[c]!.query('insert into bench_probe default values')))
    const saved = await rate(k, async (c) => {
      const mine = held[c]!
      const next = 1 + (mine.helpers % 50)
      mine.version = await send([command(`bench-${c}`, [{ path: 'group/helpers', before: mine.helpers, after: next }], mine.version)])
      mine.helpers = next
    })
    figures[`commits a second, ${k} clients`] = own.perSecond
    figures[`saves a second, ${k} clients`] = saved.perSecond
    figures[`saves over commits, ${k} clients, ratio`] = saved.perSecond / own.perSecond
  }
  for (const c of clients) c.release()
  await pool.end()
  const shared = await rate(
    20,
    async (c, n) =>
      void (await send([command('bench-50', [{ path: `group/participants/b${c}/age`, before: age(n + 1)[1], after: age(n)[1] }])])),
  )
  figures['20 clients in one workshop of 40, saves a second'] = shared.perSecond
  figures['20 clients in one workshop of 40, p99 ms'] = shared.p99
  return figures
}
