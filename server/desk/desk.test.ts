import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import type { Change, Guard, Workshop } from '#core/workshop'
import { newWorkshop, separateNames } from '#core/workshop'
import { command, fixed, freshDatabase, startServer } from '../testing/start'
import { loadWorkshops } from './documents'
import { seedDemo } from './seed'

const id = 'moths-of-the-marsh'
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('desk')
})
afterAll(() => server.stop())

const send = async (...commands: object[]) => (await server.api.post('/api/commands').send(commands)).body.outcomes
const change = (changes: Change[], guards: Guard[] = []) => send(command(id, changes, guards))
const stored = async (which = id): Promise<{ version: number; body: Workshop }> => (await server.api.get(`/api/workshops/${which}`)).body

describe('commands', () => {
  it('are applied once, however often they come', async () => {
    const c = command(id, [{ path: 'group/helpers', before: 1, after: 2 }])
    const [first] = await send(c)
    const [again] = await send(c)
    expect(first).toMatchObject({ status: 'applied', version: 2 })
    expect(again).toEqual(first)
    expect((await stored()).version).toBe(2)
  })
  it('on different fields merge', async () => {
    await change([{ path: 'title', before: 'Moths of the marsh', after: 'Moths' }])
    const [outcome] = await change([{ path: 'group/tables', before: 5, after: 6 }])
    expect(outcome.status).toBe('applied')
    expect((await stored()).body).toMatchObject({ title: 'Moths', group: { tables: 6 } })
    await change([{ path: 'title', before: 'Moths', after: 'Moths of the marsh' }])
  })
  it('on one field lose nothing silently: the stored stands, both are named', async () => {
    const [outcome] = await change([{ path: 'group/helpers', before: 1, after: 5 }])
    expect(outcome).toMatchObject({ status: 'conflict', clashes: [{ path: 'group/helpers', stored: 2, yours: 5 }] })
    expect((await stored()).body.group.helpers).toBe(2)
  })
  it('are whole or not at all', async () => {
    const [outcome] = await change([
      { path: 'group/tables', before: 6, after: 7 },
      { path: 'group/helpers', before: 1, after: 5 },
    ])
    expect(outcome.status).toBe('conflict')
    expect((await stored()).body.group.tables).toBe(6)
  })
  it('meet on a count that they rely on', async () => {
    const person = { id: 'late', seat: 19, name: null, age: 'adult', misses: [] }
    const [outcome] = await change(
      [{ path: 'group/participants/late', before: null, after: person }],
      [{ path: 'group/participants', count: 17 }],
    )
    expect(outcome).toMatchObject({ status: 'conflict', clashes: [{ path: 'group/participants', stored: 18, yours: 17 }] })
  })
  test.each([
    ['group/helpers', 2, -1, 'group.helpers'],
    ['title', 'Moths of the marsh', '', 'title'],
    ['houseId', 'saltbox', 'nowhere land', 'houseId'],
    ['id', id, 'other', 'id'],
  ])('that would make no workshop are refused: %s', async (path, before, after, where) => {
    const [outcome] = await change([{ path, before, after }])
    expect(outcome).toMatchObject({ status: 'refused', error: { path: where } })
  })
  it('of many at once are applied in order', async () => {
    const all = await send(...[2, 3, 4].map((n) => command(id, [{ path: 'group/helpers', before: n, after: n + 1 }])))
    expect(all.map((o: { status: string }) => o.status)).toEqual(['applied', 'applied', 'applied'])
  })
  it('sent at the same moment wait for each other', async () => {
    const outcomes = await Promise.all(Array.from({ length: 8 }, () => change([{ path: 'group/helpers', before: 5, after: 9 }])))
    expect(outcomes.flat().filter((o) => o.status === 'applied')).toHaveLength(8) // the same wish is no conflict
    const raced = await Promise.all([20, 21, 22].map((n) => change([{ path: 'group/helpers', before: 9, after: n }])))
    expect(
      raced
        .flat()
        .map((o) => o.status)
        .sort(),
    ).toEqual(['applied', 'conflict', 'conflict'])
  })
  it('make, remove and bring back a workshop; its versions go on', async () => {
    const w = newWorkshop({ id: 'brand-new', design: 'd', participants: ['p'] }, 'saltbox', 'New', fixed)
    const make = { path: '', before: null, after: w }
    expect((await send(command(w.id, [make])))[0]).toMatchObject({ status: 'applied', version: 1 })
    expect((await send(command(w.id, [{ path: '', before: w, after: null }])))[0]).toMatchObject({ status: 'applied', version: 2 })
    expect((await server.api.get('/api/workshops/brand-new')).status).toBe(404)
    expect((await send(command(w.id, [make])))[0]).toMatchObject({ status: 'applied', version: 3 })
    expect((await stored(w.id)).body).toEqual(w)
  })
  it('change a house too', async () => {
    const [outcome] = await send(command('saltbox', [{ path: 'climate/humidityPct', before: 50, after: 60 }], [], 'house'))
    expect(outcome.status).toBe('applied')
    expect((await server.api.get('/api/houses/saltbox')).body.body.climate.humidityPct).toBe(60)
    const [refused] = await send(command('saltbox', [{ path: 'timeZone', before: 'America/New_York', after: 'Mars' }], [], 'house'))
    expect(refused).toMatchObject({ status: 'refused', error: { path: 'timeZone' } })
  })
})

describe('names', () => {
  it('stand apart from documents and commands, and come back in reading', async () => {
    const person = `group/participants/${id}-p2/name`
    await change([{ path: person, before: 'Rune', after: 'Runa' }])
    const { rows } = await server.pool.query(`select changes::text as text from command union all select body::text from workshop`)
    expect(rows.map((r: { text: string }) => r.text).join()).not.toMatch(/Runa|Edda/)
    expect((await stored()).body.group.participants[1]!.name).toBe('Runa')
  })
  it('are taken out of every shape of change', () => {
    const w = newWorkshop({ id: 'x', design: 'd', participants: ['p'] }, 'saltbox', 'T', fixed)
    const named = { ...w, group: { ...w.group, participants: [{ ...w.group.participants[0]!, name: 'Secret' }] } }
    const { changes, names } = separateNames([
      { path: '', before: null, after: named },
      { path: 'group/participants/p', before: named.group.participants[0]!, after: null },
      { path: 'group/participants/p/name', before: 'Secret', after: 'Other' },
      { path: 'title', before: 'name', after: 'Secret garden' },
    ])
    expect(names.map((n) => n.name)).toEqual(['Secret', 'Secret', 'Secret', 'Other'])
    expect(JSON.stringify(changes.slice(0, 3))).not.toContain('Secret')
    expect(changes[3]!.after).toBe('Secret garden')
  })
  it('are forgotten for good, and every list and document says at which version', async () => {
    const before = (await stored()).version
    expect((await server.api.post(`/api/workshops/${id}/erase-names`).send({})).body).toEqual({ erased: before + 1 })
    const { summaries } = (await server.api.get('/api/desk')).body as { summaries: { erased: number; body: { id: string } }[] }
    expect(summaries.filter((s) => s.erased > 0).map((s) => [s.body.id, s.erased])).toEqual([[id, before + 1]])
    expect((await server.api.get(`/api/workshops/${id}`)).body.erased).toBe(before + 1)
    expect((await stored()).body.group.participants.every((p) => p.name === null)).toBe(true)
    const { rows } = await server.pool.query('select name from command_name where name is not null')
    expect(rows).toEqual([])
    expect((await server.api.post('/api/workshops/nothing/erase-names').send({})).status).toBe(404)
  })
})

describe('the demo', () => {
  it('is made once, dated anew while untouched, and left alone once touched', async () => {
    const { pool, close } = await freshDatabase('demo_seed')
    expect(await seedDemo(pool, '2026-05-15')).toBe('made')
    expect(await seedDemo(pool, '2026-05-15')).toBe('kept')
    await pool.query(`update workshop set version = 2 where id = 'kelp-coasters'`)
    expect(await seedDemo(pool, '2026-06-15')).toBe('dated anew')
    const dates = Object.fromEntries(
      (await loadWorkshops(pool, [id, 'kelp-coasters'])).map((w) => [w.body.id, w.body.createdAt.slice(0, 10)]),
    )
    expect(dates[id]).toBe('2026-06-03')
    expect(dates['kelp-coasters']).toBe('2026-05-14')
    await close()
  })
  it('has two houses and workshops at several points of their life', async () => {
    const desk = (await server.api.get('/api/desk')).body
    expect(desk.houses).toHaveLength(2)
    expect(desk.summaries.length).toBeGreaterThanOrEqual(6)
    expect(desk.workshops).toEqual([])
    expect(desk.now).toBe('2026-05-15T15:00:00-04:00[America/New_York]')
  })
})
