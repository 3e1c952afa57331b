import { spawn } from 'node:child_process'
import sharp from 'sharp'
import { createServer, get } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it, test, vi } from 'vitest'
import { migrate } from './db/migrate'
import { inTransaction, many, maybeOne } from './db/query'
import { loadWorkshop } from './desk/documents'
import { command, freshDatabase, startServer } from './testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('app')
})
afterAll(() => server.stop())

describe('the server', () => {
  it('is healthy while its database is', async () => {
    expect((await server.api.get('/healthz')).body).toEqual({ ok: true })
  })
  it('sends its headers: nothing from elsewhere, no sniffing', async () => {
    const { headers } = await server.api.get('/healthz')
    expect(headers['content-security-policy']).toContain("default-src 'self'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers).not.toHaveProperty('x-powered-by')
  })
  test.each([
    ['an address nobody lives at', () => server.api.get('/api/nothing'), 404, '(address)'],
    ['a workshop that is not here', () => server.api.get('/api/workshops/nothing'), 404, '(address)'],
    ['a house that is not here', () => server.api.get('/api/houses/nothing'), 404, '(address)'],
    ['no JSON', () => server.api.post('/api/commands').set('content-type', 'application/json').send('{'), 400, '(input)'],
    ['a wrong content type', () => server.api.post('/api/commands').set('content-type', 'text/plain').send('hello'), 415, '(request)'],
    ['3 MB', () => server.api.post('/api/commands').send([{ big: 'x'.repeat(3_000_000) }]), 413, '(input)'],
    ['3 MB in pieces', () => inPieces(3), 413, '(input)'],
    ['packed commands', () => server.api.post('/api/commands').set('content-encoding', 'gzip').send([]), 415, '(request)'],
    ['no list', () => server.api.post('/api/commands').send({}), 422, '(input)'],
    [
      '201 commands',
      () => server.api.post('/api/commands').send(Array(201).fill(command('x', [{ path: 'a', before: 1, after: 2 }]))),
      422,
      '(input)',
    ],
    [
      'a later workshop file',
      () => server.api.post('/api/imports/workshop').send({ text: '{"format":"imprenta-workshop","version":9}' }),
      422,
      'version',
    ],
    ['a broken workshop file', () => server.api.post('/api/imports/workshop').send({ text: '{\n"format": ' }), 422, 'line 2'],
    ['an unclosed quotation mark', () => server.api.post('/api/imports/roster').send({ text: 'name\n"open' }), 422, 'line'],
    ['no text', () => server.api.post('/api/imports/roster').send({}), 422, 'text'],
  ] as const)('%s gets one shape of answer: what, where, the way out', async (_name, ask, status, path) => {
    const { status: got, body } = await ask()
    expect(got).toBe(status)
    expect(body.error.path).toContain(path)
    expect(body.error.what).not.toBe('')
    expect(body.error.remedy).not.toBe('')
  })
  test.each([
    ['comma', 'name,age\nPia,adult'],
    ['semicolon', 'name;age\r\nPia;adult\r\n'],
    ['tab', 'name\tage\nPia\tadult'],
    ['byte order mark', '\uFEFFname,age\nPia,adult'],
    ['quotes', '"name","age"\n"Pia","adult"'],
    ['empty lines', 'name,age\n\nPia,adult\n\n'],
  ])('a roster with %s is looked at', async (_name, text) => {
    expect((await server.api.post('/api/imports/roster').send({ text })).body).toMatchObject({
      good: [{ name: 'Pia', age: 'adult' }],
      bad: [],
    })
  })
  it('a roster of 10 000 lines is answered', async () => {
    const text = ['name', ...Array.from({ length: 10_000 }, (_, i) => `P${i}`)].join('\n')
    expect((await server.api.post('/api/imports/roster').send({ text })).body.good).toHaveLength(400)
  })
  it('lines keep their numbers across quoted line breaks', async () => {
    const { body } = await server.api.post('/api/imports/roster').send({ text: 'name,age\n"Pia\nMaria",adult\nOdo,ancient' })
    expect(body.bad).toMatchObject([{ line: 4, column: 2 }])
  })
})

/** So many MB of commands, their length not said before. */
function inPieces(megabytes: number) {
  const asked = server.api.post('/api/commands').type('json')
  asked.write('["')
  for (let i = 0; i < megabytes; i++) asked.write('x'.repeat(1_000_000))
  return asked
}

/** Opens the server's events, does `then` once they say hello, and gives the first message in which `wanted` stands. */
async function heardAfter(then: string, wanted: string): Promise<string> {
  const listening = createServer(server.app).listen(0, '127.0.0.1')
  await new Promise((r) => listening.once('listening', r))
  const { port } = listening.address() as AddressInfo
  const heard = await new Promise<string>((resolve, reject) => {
    const req = get(`http://127.0.0.1:${port}/api/events`, (res) => {
      res.setEncoding('utf8')
      res.on('data', (d: string) => {
        if (d.includes(': hello')) void server.pool.query(then)
        if (!d.includes(wanted)) return
        resolve(d)
        req.destroy()
      })
    })
    req.on('error', (e) => e.message.includes('hang up') || reject(e))
  })
  listening.closeAllConnections()
  listening.close()
  return heard
}

describe('events', () => {
  it('tell every page what changed, whichever server changed it', async () => {
    const note = '{"kind":"workshop","id":"from-another-server"}'
    expect(await heardAfter(`select pg_notify('imprenta', '${note}')`, 'from-another-server')).toContain(`data: ${note}`)
  })
  it('are opened anew when their ear is lost, and every page is told to look at everything again', async () => {
    const cut = `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query = 'listen imprenta'`
    expect(await heardAfter(cut, '"kind":"all"')).toContain('data: {"kind":"all"}')
    expect((await server.api.get('/healthz')).status).toBe(200)
  })
})

describe('a page that comes back', () => {
  /** What a page hears that has all up to `after`, until it is told that it is up to date. */
  async function heard(after: string): Promise<{ id: string; data: string }[]> {
    const listening = createServer(server.app).listen(0, '127.0.0.1')
    await new Promise((r) => listening.once('listening', r))
    const { port } = listening.address() as AddressInfo
    let text = ''
    await new Promise<void>((done, failed) => {
      const req = get(`http://127.0.0.1:${port}/api/events?after=${after}`, (res) => {
        res.setEncoding('utf8')
        res.on('data', (d: string) => {
          text += d
          if (/"kind":"(here|all)"/.test(text)) req.destroy()
        })
        res.on('close', done)
      })
      req.on('error', (e) => e.message.includes('hang up') || failed(e))
    })
    listening.closeAllConnections()
    listening.close()
    return [...text.matchAll(/id: (.*)\ndata: (.*)\n/g)].map(([, id, data]) => ({ id: id!, data: data! }))
  }
  const last = async () => (await server.api.get('/api/desk')).body.last as string
  const note = (n: number) => `{"kind":"workshop","id":"w${n}","version":1}`
  const tell = (n: number) => server.pool.query(`select pg_notify('imprenta', '${note(n)}')`)

  it('is told what it missed, in order, each once, and then that it is up to date', async () => {
    const before = await last()
    await tell(1)
    await tell(2)
    await vi.waitFor(async () => expect(Number((await last()).split('-')[1])).toBe(Number(before.split('-')[1]) + 2))
    const missed = await heard(before)
    expect(missed.map((m) => m.data)).toEqual([note(1), note(2), '{"kind":"here"}'])
    expect(missed.at(-1)!.id).toBe(await last())
    expect((await heard(missed[0]!.id)).map((m) => m.data)).toEqual([note(2), '{"kind":"here"}'])
    expect((await heard(missed[1]!.id)).map((m) => m.data)).toEqual(['{"kind":"here"}'])
  })
  it.each(['0123456789ab-1', 'nonsense', '', '-', "';drop"])('that says “%s” is told to look at everything', async (after) => {
    expect((await heard(encodeURIComponent(after))).map((m) => m.data)).toEqual(['{"kind":"all"}'])
  })
  it('that says more than has happened, too', async () => {
    const [run, n] = (await last()).split('-')
    expect((await heard(`${run}-${Number(n) + 1}`)).map((m) => m.data)).toEqual(['{"kind":"all"}'])
  })
})

describe('the database', () => {
  it('is brought up to date once, also by two starts at once', async () => {
    const { pool, close } = await freshDatabase('twice')
    expect(await Promise.all([migrate(pool, 'server/migrations'), migrate(pool, 'server/migrations')])).toEqual([[], []])
    await close()
  })
  it('a transaction that fails leaves nothing', async () => {
    const failing = inTransaction(server.pool, async (db) => {
      await db.query(`insert into demo (made_for) values ('2001-01-01')`)
      throw new Error('stop')
    })
    await expect(failing).rejects.toThrow('stop')
    expect(await many(server.pool, `select 1 from demo where made_for = '2001-01-01'`)).toEqual([])
    await expect(maybeOne(server.pool, 'select 1 union all select 2')).rejects.toThrow('at most one')
  })
})

describe('a killed server', () => {
  it('loses nothing that it has acknowledged', async () => {
    const { pool, url, close } = await freshDatabase('killed')
    const env = { ...process.env, DATABASE_URL: url, PORT: '0', IMPRENTA_NOW: '2026-05-15T15:00:00-04:00[America/New_York]' }
    const child = spawn('node', ['--import', 'tsx', 'server/testing/serve.ts'], { env, stdio: ['ignore', 'pipe', 'inherit'] })
    const address = await new Promise<string>((resolve) =>
      child.stdout.on('data', (d: Buffer) => /http:\S+/.test(d.toString()) && resolve(/http:\S+/.exec(d.toString())![0])),
    )
    let acknowledged = 1
    setTimeout(() => child.kill('SIGKILL'), 400)
    for (let n = 1; n < 60; n++) {
      try {
        const body = JSON.stringify([command('moths-of-the-marsh', [{ path: 'group/helpers', before: n, after: n + 1 }])])
        const res = await fetch(`${address}/api/commands`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
        const { outcomes } = (await res.json()) as { outcomes: { status: string }[] }
        if (outcomes[0]!.status === 'applied') acknowledged = n + 1
      } catch {
        break // killed in the middle: what was not acknowledged may or may not be there
      }
    }
    const kept = (await loadWorkshop(pool, 'moths-of-the-marsh'))!.body.group
    expect(kept.helpers).toBeGreaterThanOrEqual(acknowledged)
    expect(kept.helpers).toBeLessThanOrEqual(acknowledged + 1)
    await close()
  })
  it('has a picture whole or not at all, and takes it again under the same id', async () => {
    const { pool, url, close } = await freshDatabase('killed_uploads')
    const env = { ...process.env, DATABASE_URL: url, PORT: '0', IMPRENTA_NOW: '2026-05-15T15:00:00-04:00[America/New_York]' }
    const begin = async () => {
      const child = spawn('node', ['--import', 'tsx', 'server/testing/serve.ts'], { env, stdio: ['ignore', 'pipe', 'inherit'] })
      const address = await new Promise<string>((resolve) =>
        child.stdout.on('data', (d: Buffer) => /http:\S+/.test(d.toString()) && resolve(/http:\S+/.exec(d.toString())![0])),
      )
      return { child, address }
    }
    const noise = { type: 'gaussian', mean: 128, sigma: 40 } as const
    const jpeg = await sharp({ create: { width: 2400, height: 1800, channels: 3, background: '#888', noise } })
      .jpeg()
      .toBuffer()
    const send = (address: string, n: number) => {
      const form = new FormData()
      form.append('file', new Blob([new Uint8Array(jpeg)], { type: 'image/jpeg' }), 'pier.jpg')
      return fetch(`${address}/api/workshops/kelp-coasters/pictures/killed-${n}`, { method: 'POST', body: form })
    }
    const first = await begin()
    const ids = [0, 1, 2, 3, 4, 5]
    setTimeout(() => first.child.kill('SIGKILL'), 900)
    const answers = await Promise.allSettled(ids.map((n) => send(first.address, n)))
    expect(answers.some((a) => a.status === 'rejected')).toBe(true)
    const { rows } = await pool.query<{ id: string; sizes: number }>(
      'select p.id, count(f.size)::int as sizes from picture p left join picture_file f on f.picture_id = p.id group by p.id',
    )
    expect(rows.every((r) => r.sizes === 3)).toBe(true)
    const second = await begin()
    const again = await Promise.all(ids.map((n) => send(second.address, n)))
    expect(again.every((r) => r.ok)).toBe(true)
    const after = await maybeOne<{ n: number }>(pool, 'select count(*)::int as n from picture')
    expect(after!.n).toBe(6)
    second.child.kill('SIGKILL')
    await close()
  }, 60_000)
})
