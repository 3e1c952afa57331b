import type { AddressInfo } from 'node:net'
import { createServer, request, type Server } from 'node:http'
import { mkdtemp, writeFile, mkdir } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import supertest from 'supertest'
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import { makeApp } from './app'
import { clockFrom } from './clock'
import { loadWorkshop } from './desk/documents'
import { Events } from './events/events'
import { fixed, startServer } from './testing/start'

const id = 'moths-of-the-marsh'
let server: Awaited<ReturnType<typeof startServer>>
let pages: ReturnType<typeof supertest>
let port = 0
let listening: Server
beforeAll(async () => {
  server = await startServer('origin')
  const folder = await mkdtemp(join(tmpdir(), 'imprenta-pages-'))
  await mkdir(join(folder, 'assets'))
  await writeFile(join(folder, 'index.html'), '<!doctype html><title>Imprenta</title>')
  await writeFile(join(folder, 'assets', 'here.js'), 'export {}')
  const { pool, saver, crew } = server
  const parts = { pool, saver, crew, clock: clockFrom(fixed), events: new Events(pool), log: pino({ level: 'silent' as const }) }
  pages = supertest(makeApp({ ...parts, pages: folder }))
  listening = createServer(server.app).listen(0, '127.0.0.1')
  await new Promise((r) => listening.once('listening', r))
  port = (listening.address() as AddressInfo).port
})
afterAll(async () => {
  listening.close()
  await server.stop()
})

/** A request as a browser or a program makes it, every header ours. */
const ask = (method: string, path: string, headers: Record<string, string>, body = '') =>
  new Promise<{ status: number; text: string }>((done, failed) => {
    const req = request({ host: '127.0.0.1', port, method, path, headers: { host: `127.0.0.1:${port}`, ...headers } }, (res) => {
      let text = ''
      res.on('data', (d: Buffer) => (text += d.toString()))
      res.on('end', () => done({ status: res.statusCode!, text }))
    })
    req.on('error', failed)
    req.end(body)
  })
const names = async () => (await loadWorkshop(server.pool, id))!.body.group.participants.map((p) => p.name)
const erase = `/api/workshops/${id}/erase-names`

describe('what changes something is taken from here alone', () => {
  const json = { 'content-type': 'application/json' }
  test.each<[string, Record<string, string>, string, number]>([
    ['plain text of a foreign page', { origin: 'http://elsewhere.example', 'content-type': 'text/plain' }, '{}', 403],
    ['plain text of nobody known', { 'content-type': 'text/plain' }, '{}', 415],
    ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 'a=1', 415],
    ['nothing at all', {}, '', 415],
    ['JSON of a foreign page', { origin: 'http://elsewhere.example', ...json }, '{}', 403],
    ['JSON of another port of this machine', { origin: 'http://127.0.0.1:1', ...json }, '{}', 403],
    ['JSON of a page without an origin', { origin: 'null', ...json }, '{}', 403],
    ['JSON that the browser calls cross-site', { 'sec-fetch-site': 'cross-site', ...json }, '{}', 403],
    ['JSON that the browser calls same-site', { 'sec-fetch-site': 'same-site', ...json }, '{}', 403],
    ['multipart', { 'content-type': 'multipart/form-data; boundary=x' }, '--x--', 415],
  ])('not %s', async (_name, headers, body, status) => {
    const before = await names()
    const res = await ask('POST', erase, { 'content-length': String(body.length), ...headers }, body)
    expect(res.status).toBe(status)
    expect((JSON.parse(res.text) as { error: { remedy: string } }).error.remedy).not.toBe('')
    expect(await names()).toEqual(before)
  })
  it('a picture of a foreign page is not taken', async () => {
    const body = '--x\r\ncontent-disposition: form-data; name="file"; filename="a.jpg"\r\n\r\nx\r\n--x--\r\n'
    const headers = {
      origin: 'http://elsewhere.example',
      'content-type': 'multipart/form-data; boundary=x',
      'content-length': String(body.length),
    }
    expect((await ask('POST', `/api/workshops/${id}/pictures/foreign`, headers, body)).status).toBe(403)
  })
  it('nor does a foreign page erase one', async () => {
    expect((await ask('DELETE', `/api/workshops/${id}/pictures/x`, { origin: 'http://elsewhere.example' })).status).toBe(403)
  })
  it('our own pages and programs that are no browser are', async () => {
    const own = { origin: `http://127.0.0.1:${port}`, 'sec-fetch-site': 'same-origin', ...json, 'content-length': '2' }
    expect((await ask('POST', '/api/commands', own, '[]')).status).toBe(200)
    expect((await ask('POST', '/api/commands', { ...json, 'content-length': '2' }, '[]')).status).toBe(200)
  })
})

describe('a body that is said to be larger than is taken', () => {
  it('is answered before it comes', async () => {
    const status = await new Promise<number>((resolve, reject) => {
      const headers = { 'content-type': 'application/json', 'content-length': '3000000' }
      const req = request({ port, path: '/api/commands', method: 'POST', headers }, (res) => {
        resolve(res.statusCode!)
        req.destroy()
      })
      req.on('error', reject)
      req.flushHeaders()
    })
    expect(status).toBe(413)
  }, 5000)
})

describe('the names that the server answers to', () => {
  test.each<[string, number]>([
    ['127.0.0.1:1', 200],
    ['localhost:1', 200],
    ['[::1]:1', 200],
    ['192.168.4.20:4300', 200],
    ['elsewhere.example', 403],
    ['127.0.0.1.elsewhere.example', 403],
    ['localhost.elsewhere.example:80', 403],
  ])('%s: %d', async (host, status) => expect((await ask('GET', '/api/desk', { host })).status).toBe(status))
})

describe('pages', () => {
  it('send forms nowhere else, and are sent nowhere else', async () => {
    const { headers, status } = await pages.get('//elsewhere.example/..')
    expect(headers['content-security-policy']).toContain("form-action 'self'")
    expect([status, headers['location']]).toEqual([200, undefined])
    expect((await pages.get('/assets')).headers['location']).toBeUndefined()
  })
  it('are the one page for every place; a file that is not there is not', async () => {
    expect((await pages.get('/w/anything/bench/kit')).text).toContain('<title>Imprenta')
    expect((await pages.get('/assets/here.js')).status).toBe(200)
    const gone = await pages.get('/assets/gone-abc123.js')
    expect([gone.status, gone.text.includes('<title>')]).toEqual([404, false])
  })
})
