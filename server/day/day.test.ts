import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import type { DayEvent } from '#core/day'
import { uuidv7 } from 'uuidv7'
import { startServer } from '../testing/start'
import { allEvents } from './day'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('day')
})
afterAll(() => server.stop())
const workshop = 'moths-of-the-marsh'
const session = `${workshop}-2`
let seq = 0
const tap = (kind: string, value: object, more: object = {}): DayEvent =>
  ({
    ...{ id: uuidv7(), workshop, session, subject: { kind: 'room', id: 'room' }, kind, value },
    ...{ at: '2026-05-16T10:52:00-04:00[America/New_York]', device: 'a', seq: ++seq, skew: 0, actor: 'Noor' },
    ...more,
  }) as unknown as DayEvent
const did = (stage: string, n: number[], more: object = {}) =>
  tap('did', { stage: `${workshop}-d1.${stage}`, people: n.map((x) => `${workshop}-p${x}`) }, more)
const send = async (...events: unknown[]) => (await server.api.post('/api/day/events').send({ events })).body
const since = async (after = 0, of = session) => (await server.api.get(`/api/day/${workshop}/${of}?after=${after}`)).body
const stored = async () => (await server.api.get(`/api/workshops/${workshop}`)).body.body
const until = async (ready: () => Promise<boolean>) => {
  for (let i = 0; i < 100 && !(await ready()); i++) await new Promise((r) => setTimeout(r, 50))
}

describe('taps', () => {
  it('come in once, however often they are sent, and out in the order of their coming', async () => {
    const [a, b] = [tap('note', { text: 'fans on' }), tap('check', { what: 'samples', on: true })]
    expect((await send(a, b)).taken).toEqual([a.id, b.id])
    expect((await send(b, a)).taken).toEqual([b.id, a.id])
    const { events, last, now } = await since()
    expect([events, now]).toEqual([[a, b], expect.stringContaining('2026-05-15T')])
    expect((await since(last)).events).toEqual([])
    const c = tap('note', { text: 'off' })
    await send(c)
    expect((await since(last)).events).toEqual([c])
    expect((await since(0, 'another')).events).toEqual([])
  })
  it('one that is no event is refused by itself, with what, where and the way out', async () => {
    const good = tap('note', { text: 'x' })
    const { taken, refused } = await send({ ...good, id: uuidv7(), seq: -1 }, good, 'nonsense', {
      ...tap('note', { text: 'y'.repeat(501) }),
    })
    expect(taken).toEqual([good.id])
    expect(refused.map((r: { path: string }) => r.path)).toEqual(['seq', '(input)', 'value.text'])
    for (const r of refused) expect([r.what, r.remedy].every((x: string) => x.length > 0)).toBe(true)
  })
  it('of a workshop that is gone', async () => {
    const { taken, refused } = await send(tap('note', { text: 'x' }, { workshop: 'nowhere' }))
    expect([taken, refused[0].path]).toEqual([[], 'workshop'])
  })
  test.each([
    ['nothing', {}],
    ['no list', { events: 'x' }],
    ['too many', { events: Array(501).fill(0) }],
  ])('a batch that is %s', async (_n, body) => {
    expect((await server.api.post('/api/day/events').send(body)).status).toBe(422)
  })
  it('stay as they were tapped: the database changes none', async () => {
    await expect(server.pool.query(`update day_event set kind = 'x'`)).rejects.toThrow(/stays as it was tapped/)
  })
  it('forty tablets at once lose none, and numbers leave no gap behind who reads', async () => {
    const lots = Array.from({ length: 40 }, (_, d) =>
      Array.from({ length: 5 }, () => tap('check', { what: `w${d}`, on: true }, { device: `t${d}`, session: 'many' })),
    )
    const read: string[] = []
    let last = 0
    const reading = (async () => {
      while (read.length < 200) {
        const got = await since(last, 'many')
        read.push(...got.events.map((e: DayEvent) => e.id))
        last = got.last
      }
    })()
    await Promise.all(lots.map((l) => send(...l)))
    await reading
    expect(new Set(read)).toEqual(new Set(lots.flat().map((e) => e.id)))
    expect(read).toHaveLength(200)
  })
})

describe('nobody is told to rub early', () => {
  const said = (at: string, neverBefore: string) => tap('said', { cue: uuidv7(), neverBefore }, { at, session: 'early' })
  it('a word said before its time is kept as what it was: the database takes it only so', async () => {
    const [early, right] = [
      said('2026-05-16T10:00:00-04:00[America/New_York]', '2026-05-16T10:00:01-04:00[America/New_York]'),
      said('2026-05-16T10:00:01-04:00[America/New_York]', '2026-05-16T10:00:01-04:00[America/New_York]'),
    ]
    await send(early, right)
    const { rows } = await server.pool.query('select id, early from day_event where id = any($1)', [[early.id, right.id]])
    expect(Object.fromEntries(rows.map((r) => [r.id, r.early]))).toEqual({ [early.id]: true, [right.id]: false })
    await expect(
      server.pool.query(
        `insert into day_event (id, workshop_id, session_id, kind, body, happened, never_before)
         values (gen_random_uuid(), $1, 'x', 'said', '{}', now(), now() + interval '1 minute')`,
        [workshop],
      ),
    ).rejects.toThrow(/day_event_never_early/)
  })
})

it('of more taps than go in one answer, none is left out', async () => {
  const many = Array.from({ length: 5200 }, (_, i) => tap('check', { what: `c${i}`, on: true }, { session: 'thousands' }))
  for (let i = 0; i < many.length; i += 500) await send(...many.slice(i, i + 500))
  expect((await since(0, 'thousands')).events).toHaveLength(5000)
  expect((await allEvents(server.pool, workshop, 'thousands')).map((e) => e.id)).toEqual(many.map((e) => e.id))
}, 30_000)

describe('what happened becomes the document', () => {
  it('pieces are in the state they are in; taken back, they are as before', async () => {
    const before = await stored()
    const rubbed = did('rub1', [2, 3])
    await send(rubbed)
    const state = async (n: number) =>
      (await stored()).pieces.find((p: { participant: string }) => p.participant === `${workshop}-p${n}`)?.state
    await until(async () => (await state(2)) === 'rub-1')
    expect([await state(2), await state(3), await state(4)]).toEqual(['rub-1', 'rub-1', 'laid'])
    await send(tap('undo', { event: rubbed.id }, { at: '2026-05-16T10:53:00-04:00[America/New_York]' }))
    // As the class begins with them: what lay two nights has cured.
    await until(async () => (await state(2)) === 'cured')
    const expected = before.pieces.map((p: { participant: string }) =>
      [2, 3].some((n) => p.participant === `${workshop}-p${n}`) ? { ...p, state: 'cured' } : p,
    )
    expect((await stored()).pieces).toEqual(expected)
  })
  it('a tablet that comes back after the class was ended still has its taps taken, and they count', async () => {
    const end = tap('end', {}, { at: '2026-05-16T12:30:00-04:00[America/New_York]' })
    await send(end)
    const piece = async (n: number) => (await stored()).pieces.find((p: { participant: string }) => p.participant === `${workshop}-p${n}`)
    await until(async () => (await piece(4))?.asIs === true)
    expect([(await piece(4)).asIs, (await piece(4)).state]).toEqual([true, 'laid'])
    // It was without net since eleven.
    const late = did('rub1', [4], { device: 'b', at: '2026-05-16T11:00:00-04:00[America/New_York]' })
    expect((await send(late)).taken).toEqual([late.id])
    await until(async () => (await piece(4)).state === 'rub-1')
    expect(await piece(4)).toMatchObject({ state: 'rub-1', asIs: true })
    await send(tap('undo', { event: end.id }, { at: '2026-05-16T12:31:00-04:00[America/New_York]' }))
    await until(async () => (await piece(4)).asIs !== true)
    expect((await stored()).pieces.some((p: { asIs?: boolean }) => p.asIs)).toBe(false)
  })
})
