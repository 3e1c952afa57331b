import { describe, expect, it, test } from 'vitest'
import {
  checkFloor,
  drawnPlaces,
  firstFloor,
  floorOf,
  moved,
  postsFor,
  tableGrid,
  tablesFor,
  toWater,
  type Floor,
  type FloorItem,
  type FloorKind,
} from '#core/floor'

const item = (id: string, kind: FloorKind, xMm: number, yMm: number, more: Partial<FloorItem> = {}): FloorItem => ({
  id,
  kind,
  xMm,
  yMm,
  ...more,
})
const floor = (...items: FloorItem[]): Floor => ({ id: 'f', room: 'Craft room', widthMm: 10_000, depthMm: 8000, items })
const limits = { wayMm: 600, heatFromWaterMm: 1500, cordMm: 2000, doorMm: 900 }
const codes = (f: Floor, people = 0) => checkFloor(f, people, limits).map((c) => c.code)

describe('a drawn room', () => {
  it('is found by its name, whatever its letters', () => {
    expect(floorOf([floor()], ' craft ROOM ')?.id).toBe('f')
    expect(floorOf([floor()], 'Annex')).toBeUndefined()
    expect(floorOf(undefined, 'Craft room')).toBeUndefined()
  })
  it('counts places by station, as typed or as usual; what is not drawn is not known', () => {
    const f = floor(item('b1', 'basin', 0, 0), item('b2', 'basin', 2000, 0, { places: 3 }), item('s', 'seal table', 4000, 0, { places: 0 }))
    expect(drawnPlaces(f)).toEqual({ basin: 7, 'seal table': 0 })
  })
  test.each([
    [1, 1],
    [4, 1],
    [5, 2],
    [10, 3],
    [11, 3],
  ])('%s people sit at %s of its tables', (people, n) => {
    const f = floor(item('a', 'table', 0, 0), item('b', 'table', 3000, 0, { places: 2 }), item('c', 'table', 6000, 0))
    expect(tablesFor(f, people)).toBe(n)
  })
  it('without tables says nothing of them', () => expect(tablesFor(floor(item('b', 'basin', 0, 0)), 9)).toBeNull())
  it('nothing is pushed through a wall', () => {
    const t = item('t', 'table', 100, 100)
    expect(moved(floor(), t, -500, -500)).toMatchObject({ xMm: 0, yMm: 0 })
    expect(moved(floor(), t, 99_999, 99_999)).toMatchObject({ xMm: 8500, yMm: 7250 })
    expect(moved(floor(), { ...t, turned: true }, 99_999, 99_999)).toMatchObject({ xMm: 9250, yMm: 6500 })
    expect(moved({ widthMm: 1000, depthMm: 500 }, t, 10, 10)).toMatchObject({ xMm: 0, yMm: 0 })
  })
  it('says how far each table is from water, from edge to edge', () => {
    const f = floor(item('a', 'table', 0, 0), item('b', 'table', 2500, 1600), item('w', 'basin', 2500, 0))
    expect(toWater(f)).toEqual([
      { item: 'a', mm: 1000 },
      { item: 'b', mm: 1000 },
    ])
    expect(toWater(floor(item('a', 'table', 0, 0)))).toEqual([{ item: 'a', mm: null }])
    expect(toWater(floor(item('a', 'table', 0, 0), item('w', 'basin', 1800, 1150)))[0]!.mm).toBe(500)
  })
})

describe('what to look at', () => {
  it('nothing in a room that is as it should be', () =>
    expect(
      codes(
        floor(item('a', 'table', 0, 3000), item('b', 'table', 3000, 3000), item('w', 'basin', 9000, 7000), item('d', 'door', 5000, 0)),
        8,
      ),
    ).toEqual([]))
  test.each([
    ['a hair over each other', 1499, ['over']],
    ['touching: one long table', 1500, []],
    ['a way too narrow', 1501, ['narrow']],
    ['just too narrow', 2099, ['narrow']],
    ['wide enough', 2100, []],
  ])('two tables %s', (_n, x, found) => expect(codes(floor(item('a', 'table', 0, 0), item('b', 'table', x, 0)))).toEqual(found))
  test.each([
    [1499, ['heat-by-water']],
    [1500, []],
  ])('heat %s mm from water', (mm, found) => {
    const heat = item('h', 'heat tool', 0, 0)
    expect(codes(floor(heat, item('w', 'basin', 900 + mm, 0), item('p', 'power', 0, 700)))).toEqual(found)
  })
  test.each([
    [2000, []],
    [2001, ['heat-from-power']],
  ])('heat %s mm from a socket', (mm, found) =>
    expect(codes(floor(item('h', 'heat tool', 0, 0), item('p', 'power', 900 + mm, 0)))).toEqual(found),
  )
  it('heat without any socket', () =>
    expect(checkFloor(floor(item('h', 'heat tool', 0, 0)), 0, limits)).toEqual([{ code: 'heat-from-power', items: ['h'], mm: null }]))
  test.each([
    [899, ['door-blocked']],
    [900, []],
  ])('something %s mm before the door', (mm, found) =>
    expect(codes(floor(item('d', 'door', 0, 0), item('r', 'rack', 0, 200 + mm)))).toEqual(found),
  )
  it('fewer seats than people, to the seat', () => {
    const f = floor(item('a', 'table', 0, 0))
    expect([codes(f, 4), codes(f, 5)]).toEqual([[], ['seats']])
    expect(codes(floor(item('w', 'basin', 0, 0)), 5)).toEqual([])
  })
})

describe('helpers’ posts', () => {
  const f = floor(
    item('a', 'table', 0, 0),
    item('b', 'table', 0, 3000),
    item('c', 'table', 6000, 0),
    item('d', 'table', 6000, 3000),
    item('w', 'basin', 8500, 6000),
    item('p1', 'post', 7800, 1500),
    item('p2', 'post', 1600, 1500),
  )
  it('each table has the nearest, no post more than its share; the basin the one beside it', () => {
    expect(postsFor(f, 4, 2, ['basin'])).toEqual([
      { item: 'p1', tables: [2, 3], stations: ['basin'] },
      { item: 'p2', tables: [0, 1], stations: [] },
    ])
  })
  it('without a drawing, shares in their order; stations to the last', () => {
    expect(postsFor(undefined, 5, 2, ['basin', 'seal table'])).toEqual([
      { item: null, tables: [0, 1, 2], stations: [] },
      { item: null, tables: [3, 4], stations: ['basin', 'seal table'] },
    ])
    expect(postsFor(f, 4, 0, ['basin'])).toEqual([])
  })
  it('no table is left out, none is looked after twice, whatever the numbers', () => {
    for (const tables of [0, 1, 3, 7, 12])
      for (const helpers of [1, 2, 3, 5]) {
        const all = postsFor(f, tables, helpers, []).flatMap((p) => p.tables)
        expect(all.sort((a, b) => a - b)).toEqual(Array.from({ length: tables }, (_, i) => i))
      }
  })
})

test.each([1, 2, 5, 10, 20])('a first floor for %s tables stands without faults', (n) => {
  let id = 0
  const f = firstFloor('f', 'Craft room', n, () => `i${++id}`)
  expect(checkFloor(f, n * 4, limits)).toEqual([])
  expect(f.items.filter((i) => i.kind === 'table')).toHaveLength(n)
  for (const i of f.items) expect(moved(f, i, 0, 0)).toEqual(i)
})

describe('tables as they stand', () => {
  const t = (id: string, x: number, y: number) => item(id, 'table', x, y)
  it('a table a little out of line stays in its row and column', () => {
    const f = floor(t('a', 500, 500), t('b', 3500, 650), t('c', 520, 2600), t('d', 3400, 2500), t('e', 6800, 2600))
    expect(tableGrid(f, 5)).toEqual([
      { row: 1, column: 1 },
      { row: 1, column: 2 },
      { row: 2, column: 1 },
      { row: 2, column: 2 },
      { row: 2, column: 3 },
    ])
    expect(tableGrid(f, 2)).toEqual([
      { row: 1, column: 1 },
      { row: 1, column: 2 },
    ])
  })
  it('fewer than are wanted, none, or two in one place: nothing is said', () => {
    expect(tableGrid(floor(t('a', 500, 500)), 2)).toBeUndefined()
    expect(tableGrid(floor(), 0)).toBeUndefined()
    expect(tableGrid(floor(t('a', 500, 500), t('b', 700, 600)), 2)).toBeUndefined()
  })
})
