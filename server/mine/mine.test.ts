import { uuidv7 } from 'uuidv7'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Workshop } from '#core/workshop'
import { clockFrom } from '../clock'
import { loadWorkshop } from '../desk/documents'
import { command, fixed, startServer } from '../testing/start'
import { addressesOf, sweepAddresses } from './mine'

const id = 'moths-of-the-marsh'
const session = `${id}-2`
let server: Awaited<ReturnType<typeof startServer>>
let workshop: Workshop
let of: Map<string, string>
beforeAll(async () => {
  server = await startServer('mine')
  workshop = (await loadWorkshop(server.pool, id))!.body
  of = await addressesOf(server.pool, workshop)
})
afterAll(() => server.stop())

const person = (n: number) => workshop.group.participants[n]!.id
const token = (n: number) => of.get(person(n))!
const page = (t: string, query = '') => server.api.get(`/api/mine/${t}${query}`)
let seq = 0
const tap = (kind: string, value: object, subject = { kind: 'room', id: 'room' }) => ({
  ...{ id: uuidv7(), workshop: id, session, subject, kind, value },
  ...{ at: fixed, device: 'a', seq: ++seq, skew: 0, actor: 'Noor' },
})
const send = (...events: object[]) => server.api.post('/api/day/events').send({ events })
const did = (stage: string, n: number) => tap('did', { stage: `${id}-d1.${stage}`, people: [person(n)] })

describe('a participant’s page', () => {
  it('has an address of 128 bits for everybody, the same whenever it is asked for', async () => {
    expect(of.size).toBe(workshop.group.participants.length)
    expect(new Set(of.values()).size).toBe(of.size)
    for (const t of of.values()) expect(t).toMatch(/^[A-Za-z0-9_-]{22}$/)
    expect(await addressesOf(server.pool, workshop)).toEqual(of)
  })
  it('shows one person’s piece and nobody else, is kept nowhere on the way and found by no search', async () => {
    const res = await page(token(1))
    expect([res.status, res.headers['cache-control'], res.headers['x-robots-tag'], res.headers['referrer-policy']]).toEqual([
      ...[200, 'no-store', 'noindex', 'no-referrer'],
    ])
    expect([res.body.who, res.body.pieces.length, res.body.language]).toEqual(['Rune', 1, 'en'])
    for (const p of workshop.group.participants) if (p.name && p.name !== 'Rune') expect(res.text).not.toContain(`"${p.name}"`)
    expect((await page(token(1), '?language=es')).body.pieces[0].stateWord).toBe('Colocada')
    expect((await page(token(1), '?language=xx')).status).toBe(422)
  })
  it('an address that is guessed, old, or of somebody who is gone says the same', async () => {
    const gone = await page('A'.repeat(22))
    expect(gone.status).toBe(404)
    for (const t of ['x', `${token(1)}a`, token(1).slice(1), '%00', `${token(1)}' or 1=1`])
      expect((await page(encodeURIComponent(t))).body).toEqual(gone.body)
    const { body } = (await loadWorkshop(server.pool, 'harbour-keepsakes'))!
    const there = await addressesOf(server.pool, body)
    const first = body.group.participants[0]!
    const its = there.get(first.id)!
    expect((await page(its)).status).toBe(200)
    const left = { ...body, group: { ...body.group, participants: body.group.participants.slice(1) } }
    await addressesOf(server.pool, left)
    expect((await page(its)).body).toEqual(gone.body)
  })
  it('of somebody who was taken off the list meanwhile says the same', async () => {
    const { body, version } = (await loadWorkshop(server.pool, 'kelp-coasters'))!
    const its = (await addressesOf(server.pool, body)).get(body.group.participants.at(-1)!.id)!
    expect((await page(its)).status).toBe(200)
    const off = body.group.participants.at(-1)!
    const gone = command('kelp-coasters', [{ path: `group/participants/${off.id}`, before: off, after: null }])
    const { outcomes } = (await server.api.post('/api/commands').send([{ ...gone, baseVersion: version }])).body
    expect(outcomes[0].status).toBe('applied')
    expect((await page(its)).body).toEqual((await page('A'.repeat(22))).body)
  })
  it('follows the taps of the class; how it came out is a tap like any other, taken once it is asked', async () => {
    expect((await page(token(1))).body.running).toBe(false)
    await send(tap('begin', {}), did('rub1', 1))
    expect((await page(token(1))).body).toMatchObject({ running: true, pieces: [{ state: 'rub-1', asks: false }] })
    const own = (await page(token(1))).body.pieces[0].id
    const say = (t: string, body: object) => server.api.post(`/api/mine/${t}/outcome`).send(body)
    expect((await say(token(1), { piece: own, how: 'good' })).status).toBe(404)
    await send(did('seal1', 1), tap('end', {}))
    expect((await page(token(1))).body.pieces[0]).toMatchObject({ state: 'sealed', asks: true, outcome: null })
    expect((await say(token(2), { piece: own, how: 'good' })).status).toBe(404)
    expect((await say(token(1), { piece: own, how: 'lovely' })).status).toBe(422)
    expect((await say(token(1), { piece: own, how: 'hazy' })).body.pieces[0].outcome).toBe('hazy')
    expect((await say(token(1), { piece: own, how: 'good' })).body.pieces[0].outcome).toBe('good')
    const { events } = (await server.api.get(`/api/day/${id}/${session}?after=0`)).body
    const mine = events.filter((e: { kind: string }) => e.kind === 'outcome')
    expect(mine.map((e: { value: object; actor: string }) => [e.value, e.actor])).toEqual([
      [{ how: 'hazy' }, 'whose piece it is'],
      [{ how: 'good' }, 'whose piece it is'],
    ])
    for (const told of ['Rune', token(1).slice(0, 6)]) expect(JSON.stringify(mine)).not.toContain(told)
  })
  it('whoever has a kit to go says when its picture was laid: the workshop knows, its wait is counted; taken back, nothing is left of it', async () => {
    const kelp = (await loadWorkshop(server.pool, 'kelp-canvases'))!.body
    const its = (await addressesOf(server.pool, kelp)).get(kelp.group.participants[0]!.id)!
    const own = (await page(its)).body.pieces[0]
    expect([own.lay, own.wait]).toEqual(['ask', null])
    const say = (body: object, t = its) => server.api.post(`/api/mine/${t}/laid`).send(body)
    expect((await say({ piece: own.id, laid: false })).status).toBe(404)
    expect((await say({ piece: own.id, laid: 'yes' })).status).toBe(422)
    expect((await say({ piece: own.id, laid: true }, token(1))).status).toBe(404)
    const said = await say({ piece: own.id, laid: true })
    expect([said.status, said.body.pieces[0].lay, said.body.pieces[0].wait.laidAt]).toEqual([200, 'said', fixed])
    const pieces = async () => (await loadWorkshop(server.pool, 'kelp-canvases'))!.body.pieces
    expect(await pieces()).toMatchObject([{ participant: kelp.group.participants[0]!.id, state: 'laid', laidAt: fixed }])
    expect((await say({ piece: own.id, laid: true })).status).toBe(404)
    expect((await say({ piece: own.id, laid: false })).body.pieces[0]).toMatchObject({ lay: 'ask', wait: null })
    expect(await pieces()).toEqual(kelp.pieces)
  })
  it('papers have codes only where they are asked for; each leads to its own page', async () => {
    const cards = await server.api.get(`/api/workshops/${id}/cards.pdf`).buffer(true)
    expect([cards.status, cards.headers['content-type'], cards.body.subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-'])
    const plain = await server.api.get(`/api/workshops/${id}/take-home.pdf?who=${person(1)}`).buffer(true)
    const coded = await server.api.get(`/api/workshops/${id}/take-home.pdf?who=${person(1)}&codes=1`).buffer(true)
    expect(coded.body.length).toBeGreaterThan(plain.body.length + 500)
  })
  it('ends with the keeping date: not a day before, and its row goes', async () => {
    const on = (day: string) => clockFrom(`${day}T12:00:00-04:00[America/New_York]`)
    const rows = async () => (await server.pool.query('select 1 from piece_address where workshop_id = $1', [id])).rowCount
    await sweepAddresses(server.pool, on('2026-05-29'))
    expect(await rows()).toBe(of.size)
    expect(await sweepAddresses(server.pool, on('2026-05-30'))).toBeGreaterThanOrEqual(of.size)
    expect(await rows()).toBe(0)
    expect((await page(token(1))).status).toBe(404)
  })
  it('is not there any more on that day, swept or not; a moved class moves it', async () => {
    const again = await addressesOf(server.pool, workshop)
    const its = again.get(person(1))!
    const last = workshop.sessions.at(-1)!
    const move = async (before: string, after: string) =>
      server.api.post('/api/commands').send([command(id, [{ path: `sessions/${last.id}/date`, before, after }])])
    await move(last.date, '2026-05-01')
    const others = workshop.sessions.slice(0, -1)
    for (const s of others)
      await server.api.post('/api/commands').send([command(id, [{ path: `sessions/${s.id}/date`, before: s.date, after: '2026-04-28' }])])
    expect((await page(its)).status).toBe(404)
    await move('2026-05-01', '2026-05-02')
    expect((await page(its)).status).toBe(200)
  })
})
