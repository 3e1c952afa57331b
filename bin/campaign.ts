import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as wait } from 'node:timers/promises'
import pg from 'pg'
import { uuidv7 } from 'uuidv7'
import { demoWorkshops } from '../core/demo'
import { seeded } from '../core/sheets'
import { freePort, startCluster } from '../server/testing/cluster'
import { campaignDay } from './campaignDay'

if (process.argv[2] === 'day') {
  const rounds = Number(process.argv[3] ?? 1000)
  const figures = await campaignDay(rounds, (n) => process.stdout.isTTY && process.stdout.write(`\r${n + 1} of ${rounds}`))
  for (const [name, n] of Object.entries(figures)) console.log(`${name.padEnd(14)}${n}`)
  process.exit(figures.lost + figures.twice + figures.refused + figures.differ > 0 ? 1 : 0)
}
const [serverKills = 40, databaseKills = 12] = process.argv.slice(2).map(Number)
const clients = 6
const random = seeded(7)
const cluster = await startCluster(true)
const port = await freePort()
const url = `http://127.0.0.1:${port}`
const env = {
  ...process.env,
  DATABASE_URL: cluster.url,
  PORT: String(port),
  IMPRENTA_NOW: '2026-05-15T15:00:00-04:00[America/New_York]',
  IMPRENTA_LOG: 'silent',
}
let server: ChildProcess
const begin = async () => {
  server = spawn('node', ['dist/server/main.js'], { env, stdio: ['ignore', 'pipe', 'ignore'] })
  await new Promise<void>((up) => server.stdout!.on('data', (d: Buffer) => d.toString().includes('Imprenta is at') && up()))
}
const post = async (commands: object[]) => {
  const res = await fetch(`${url}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(commands),
    signal: AbortSignal.timeout(5000),
  })
  if (!res.ok) throw new Error(String(res.status))
  return ((await res.json()) as { outcomes: { status: string; error?: unknown }[] }).outcomes
}

/** A client that saves in its own workshop, one after another, and sends each again until it is answered. */
interface Client {
  workshop: string
  acknowledged: string[]
  titles: string[]
  wrong: string[]
}
const all: Client[] = []
let going = true
async function save(c: Client): Promise<void> {
  for (let n = 0; going; n++) {
    const [before, after] = [c.titles.at(-1)!, `${c.workshop} ${n}`]
    const command = {
      id: uuidv7(),
      subject: { kind: 'workshop', id: c.workshop },
      baseVersion: 0,
      kind: 'campaign',
      changes: [{ path: 'title', before, after }],
      guards: [],
      actor: 'campaign',
      at: '',
    }
    for (;;) {
      try {
        const [outcome] = await post([command])
        if (outcome!.status === 'applied') {
          c.acknowledged.push(command.id)
          c.titles.push(after)
        } else c.wrong.push(JSON.stringify(outcome))
        break
      } catch {
        if (!going) return
        await wait(40) // the server or its database is away: the same again
      }
    }
    if (c.wrong.length) return
  }
}

await begin()
const base = demoWorkshops('2026-05-15')[0]!
for (let i = 0; i < clients; i++) {
  const w = { ...base, id: `campaign-${i}`, title: `campaign-${i}`, sessions: [] }
  await post([
    {
      id: uuidv7(),
      subject: { kind: 'workshop', id: w.id },
      baseVersion: 0,
      kind: 'create',
      changes: [{ path: '', before: null, after: w }],
      guards: [],
      actor: '',
      at: '',
    },
  ])
  all.push({ workshop: w.id, acknowledged: [], titles: [w.title], wrong: [] })
}
const working = Promise.all(all.map(save))
let notUp = 0
let ended = 0
/** Whether saving goes on within a time, by itself. */
async function goesOn(): Promise<void> {
  const before = all.reduce((sum, c) => sum + c.acknowledged.length, 0)
  for (let i = 0; i < 200; i++) {
    await wait(100)
    if (all.reduce((sum, c) => sum + c.acknowledged.length, 0) > before + clients) return
  }
  notUp++
}
const kills = [...Array<'server'>(serverKills).fill('server'), ...Array<'database'>(databaseKills).fill('database')].sort(
  () => random() - 0.5,
)
for (const [n, what] of kills.entries()) {
  await wait(60 + random() * 500)
  if (what === 'server') {
    server!.kill('SIGKILL')
    await wait(random() * 200)
    await begin()
  } else {
    const { pid } = server!
    cluster.kill()
    await wait(300 + random() * 700)
    cluster.start()
    await wait(100)
    if (server!.exitCode !== null || server!.pid !== pid) {
      ended++
      await begin()
    }
  }
  await goesOn()
  if (process.stdout.isTTY) process.stdout.write(`\r${n + 1} of ${kills.length}`)
}
going = false
await working
const db = new pg.Client({ connectionString: cluster.url })
await db.connect()
let [lost, twice, disorder, acknowledged, refused] = [0, 0, 0, 0, 0]
for (const c of all) {
  const { rows } = await db.query<{ id: string; version: number }>(
    `select id, version from command where subject_id = $1 and kind = 'campaign' order by version`,
    [c.workshop],
  )
  const ids = rows.map((r) => r.id)
  acknowledged += c.acknowledged.length
  refused += c.wrong.length
  lost += c.acknowledged.filter((id) => !ids.includes(id)).length
  twice += ids.length - new Set(ids).size
  disorder += ids.filter((id) => c.acknowledged.includes(id)).filter((id, i) => id !== c.acknowledged[i]).length
  const [, last] = [
    0,
    (await db.query<{ title: string }>(`select summary ->> 'title' as title from workshop where id = $1`, [c.workshop])).rows[0]!.title,
  ]
  const sent = c.titles.at(-1)!
  const next = `${c.workshop} ${c.titles.length - 1}`
  if (last !== sent && last !== next) lost++
}
await db.end()
console.log(`server killed ${serverKills} times, database ${databaseKills} times; ${acknowledged} changes acknowledged`)
console.log(
  `lost ${lost}, twice ${twice}, out of order ${disorder}, refused ${refused}, server ended with its database ${ended}, did not go on ${notUp}`,
)
server!.kill('SIGKILL')
cluster.stop()
process.exit(lost + twice + disorder + refused + ended + notUp > 0 ? 1 : 0)
