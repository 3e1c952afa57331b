import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { clashesOf, placeSessions } from '#core/sessions'
import { hoursOf } from '#core/plan'
import { demoHouses } from '#core/demo'
import type { Change, Session, Summary, Workshop } from '#core/workshop'
import { command, startServer } from '../testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('booking')
})
afterAll(() => server.stop())

const base = demoWorkshops('2026-05-15').find((w) => w.id === 'moths-of-the-marsh')!
const at = (id: string, start: string, end: string, room = 'Attic'): Session => ({ id, date: '2026-09-02', start, end, room })
const made = (id: string, createdAt: string, ...sessions: Session[]): Workshop => ({
  ...base,
  id,
  title: id,
  createdAt,
  sessions,
  pieces: [],
  pictures: [],
  errandsDone: [],
})
const send = async (id: string, ...changes: Change[]) => {
  const { body } = await server.api.post('/api/commands').send([command(id, changes)])
  expect(body.outcomes[0].status).toBe('applied')
}
const put = (w: Workshop) => send(w.id, { path: '', before: null, after: w as never })
const rows = async () =>
  (
    await server.pool.query<{ who: string; holds: boolean }>(
      `select workshop_id || ' ' || session_id as who, holds from booking where room = 'attic' order by 1`,
    )
  ).rows.map((r) => `${r.who} ${r.holds ? 'has it' : 'asks'}`)

describe('a room is held by one class at a time', () => {
  const early = made('early-one', '2026-01-01T10:00:00-05:00[America/New_York]', at('e1', '10:00', '12:00'))
  const late = made(
    'late-one',
    '2026-02-01T10:00:00-05:00[America/New_York]',
    at('l1', '11:00', '13:00', ' ATTIC '),
    at('l2', '14:00', '15:00'),
  )
  it('whoever was planned first has it, even when they come later; the others ask', async () => {
    await put(late)
    expect(await rows()).toEqual(['late-one l1 has it', 'late-one l2 has it'])
    await put(early)
    expect(await rows()).toEqual(['early-one e1 has it', 'late-one l1 asks', 'late-one l2 has it'])
  })
  it('and the database takes nobody else', async () => {
    const second = `insert into booking values ('late-one', 'x', 'saltbox', 'attic', tsrange('2026-09-02 11:30', '2026-09-02 11:40'), true)`
    await expect(server.pool.query(second)).rejects.toMatchObject({ code: '23P01', constraint: 'booking_once' })
  })
  it('as the plan says', async () => {
    const list = (await server.pool.query<{ summary: Summary }>('select summary from workshop')).rows.map((r) => r.summary)
    const house = demoHouses.find((h) => h.id === early.houseId)!
    const hours = hoursOf(house)
    const of = (w: Workshop) =>
      clashesOf(w.id, w.houseId, placeSessions(w.sessions, hours, '2026-05-15T15:00:00-04:00[America/New_York]'), list, hours)
    expect(of(late).map((c) => [c.session, c.holds, c.with.workshop])).toEqual([['l1', false, 'early-one']])
    expect(of(early).map((c) => [c.session, c.holds, c.with.workshop])).toEqual([['e1', true, 'late-one']])
  })
  it('a class that moves away leaves it to who asked; one that is put away as well', async () => {
    await send(
      'early-one',
      { path: 'sessions/e1/start', before: '10:00', after: '08:00' },
      { path: 'sessions/e1/end', before: '12:00', after: '10:00' },
    )
    expect(await rows()).toEqual(['early-one e1 has it', 'late-one l1 has it', 'late-one l2 has it'])
    await send('early-one', { path: 'sessions/e1/end', before: '10:00', after: '11:30' })
    expect(await rows()).toEqual(['early-one e1 has it', 'late-one l1 asks', 'late-one l2 has it'])
    await send('early-one', { path: 'archivedAt', before: null, after: '2026-05-15T10:00:00-04:00[America/New_York]' })
    expect(await rows()).toEqual(['late-one l1 has it', 'late-one l2 has it'])
  })
  it('over midnight, and without a length it takes nothing from anybody', async () => {
    await send(
      'late-one',
      { path: 'sessions/l2/start', before: '14:00', after: '23:00' },
      { path: 'sessions/l2/end', before: '15:00', after: '01:00' },
    )
    const night = await server.pool.query(`select upper(during)::text as till from booking where session_id = 'l2'`)
    expect(night.rows).toEqual([{ till: '2026-09-03 01:00:00' }])
    await send('late-one', { path: 'sessions/l2/end', before: '01:00', after: '23:00' })
    await send(
      'early-one',
      { path: 'archivedAt', before: '2026-05-15T10:00:00-04:00[America/New_York]', after: null },
      { path: 'sessions/e1/start', before: '08:00', after: '22:00' },
      { path: 'sessions/e1/end', before: '11:30', after: '23:30' },
    )
    expect(await rows()).toEqual(['early-one e1 has it', 'late-one l1 has it', 'late-one l2 has it'])
  })
  it('what is taken out books nothing', async () => {
    await send('late-one', { path: 'sessions/l1/room', before: ' ATTIC ', after: '' })
    await server.pool.query(`delete from workshop where id = 'early-one'`)
    expect(await rows()).toEqual(['late-one l2 has it'])
  })
})
