import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { placeOnRack, roomFor, takesOfSize, type Board, type Lying } from '#core/shelf'

const board = (id: string, widthMm: number, depthMm: number, clearMm = 100): Board => ({
  id,
  name: id.toUpperCase(),
  widthMm,
  depthMm,
  clearMm,
})
const lies = (id: string, widthMm: number, depthMm: number, fromMin = 0, toMin = 10, heightMm = 6): Lying => ({
  id,
  widthMm,
  depthMm,
  heightMm,
  fromMin,
  toMin,
})
const many = (n: number, w: number, d: number) => Array.from({ length: n }, (_, i) => lies(`p${i}`, w, d))

describe('places on a rack', () => {
  it('go along a board from the left, then in a row behind, then to the next board, and are numbered so', () => {
    const { places, left } = placeOnRack([board('a', 300, 200), board('b', 300, 200)], many(9, 100, 100))
    expect(places.map((p) => [p.label, p.xMm, p.yMm])).toEqual([
      ['A-1', 0, 0],
      ['A-2', 100, 0],
      ['A-3', 200, 0],
      ['A-4', 0, 100],
      ['A-5', 100, 100],
      ['A-6', 200, 100],
      ['B-1', 0, 0],
      ['B-2', 100, 0],
      ['B-3', 200, 0],
    ])
    expect(left).toEqual([])
  })
  test.each([
    [300, 6],
    [299, 4],
    [100, 2],
    [99, 0],
  ])('a board %s wide takes %s, to the millimetre', (width, n) => {
    expect(placeOnRack([board('a', width, 200)], many(9, 100, 100)).places).toHaveLength(n)
    expect(takesOfSize([board('a', width, 200)], { widthMm: 100, depthMm: 100, heightMm: 6 })).toBe(n)
  })
  it('a piece is turned where more fit so', () => {
    const { places } = placeOnRack([board('a', 400, 100)], many(5, 100, 80))
    expect(places).toHaveLength(5)
    expect(places.map((p) => [p.xMm, p.widthMm, p.depthMm])).toEqual([0, 80, 160, 240, 320].map((x) => [x, 80, 100]))
    expect(takesOfSize([board('a', 400, 100)], { widthMm: 100, depthMm: 80, heightMm: 1 })).toBe(5)
  })
  test.each([
    [100, 1],
    [101, 0],
  ])('what stands %s high under a board with 100 mm: %s', (high, n) => {
    expect(placeOnRack([board('a', 300, 200, 100)], [lies('x', 50, 50, 0, 10, high)]).places).toHaveLength(n)
    expect(takesOfSize([board('a', 50, 50, 100)], { widthMm: 50, depthMm: 50, heightMm: high })).toBe(n)
  })
  it('a place that has become free is taken again under its number; one that is taken until then is not', () => {
    const b = [board('a', 100, 100)]
    expect(placeOnRack(b, [lies('x', 100, 100, 0, 10), lies('y', 100, 100, 10, 20)]).places.map((p) => p.label)).toEqual(['A-1', 'A-1'])
    expect(placeOnRack(b, [lies('x', 100, 100, 0, 10), lies('y', 100, 100, 9, 20)]).left.map((p) => p.id)).toEqual(['y'])
  })
  it('something small takes a larger place only when no other is left', () => {
    const { places } = placeOnRack(
      [board('a', 100, 100)],
      [lies('x', 100, 100, 0, 10), lies('small', 40, 40, 20, 30), lies('with it', 40, 40, 20, 30)],
    )
    expect(places.map((p) => p.id)).toEqual(['x', 'small'])
  })
  it('never two on one spot, never over an edge, whatever comes', () => {
    const size = fc.integer({ min: 20, max: 200 })
    const thing = fc.tuple(size, size, fc.integer({ min: 0, max: 50 }), fc.integer({ min: 1, max: 50 }))
    fc.assert(
      fc.property(fc.array(thing, { maxLength: 40 }), (list) => {
        const boards = [board('a', 420, 300), board('b', 260, 260)]
        const things = list.map(([w, d, from, long], i) => lies(`p${i}`, w, d, from, from + long))
        const { places, left } = placeOnRack(boards, things)
        expect([...places.map((p) => p.id), ...left.map((p) => p.id)].sort()).toEqual(things.map((p) => p.id).sort())
        for (const p of places) {
          const b = boards.find((x) => x.id === p.board)!
          expect(p.xMm + p.widthMm).toBeLessThanOrEqual(b.widthMm)
          expect(p.yMm + p.depthMm).toBeLessThanOrEqual(b.depthMm)
          const mine = things.find((t) => t.id === p.id)!
          expect([mine.widthMm, mine.depthMm].every((n) => n <= Math.max(p.widthMm, p.depthMm))).toBe(true)
          for (const o of places.filter((x) => x !== p && x.board === p.board)) {
            const other = things.find((t) => t.id === o.id)!
            const atOnce = mine.fromMin < other.toMin && other.fromMin < mine.toMin
            const over = p.xMm < o.xMm + o.widthMm && o.xMm < p.xMm + p.widthMm && p.yMm < o.yMm + o.depthMm && o.yMm < p.yMm + p.depthMm
            expect(atOnce && over).toBe(false)
          }
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('room for several sizes at once', () => {
  const boards = [board('a', 300, 200)]
  const size = (widthMm: number, depthMm: number) => ({ widthMm, depthMm, heightMm: 6 })
  it('is short by what finds no place, or has so many of the first size free', () => {
    expect(roomFor(boards, [{ size: size(100, 100), count: 4 }])).toEqual({ short: 0, free: 2 })
    expect(roomFor(boards, [{ size: size(100, 100), count: 7 }])).toEqual({ short: 1, free: 0 })
    expect(
      roomFor(boards, [
        { size: size(100, 100), count: 3 },
        { size: size(300, 100), count: 1 },
      ]),
    ).toEqual({ short: 0, free: 0 })
    expect(
      roomFor(boards, [
        { size: size(100, 100), count: 4 },
        { size: size(300, 100), count: 1 },
      ]),
    ).toEqual({ short: 1, free: 0 })
  })
  it('nothing on it, no boards: nothing short', () => {
    expect(roomFor(boards, [])).toEqual({ short: 0, free: 0 })
    expect(roomFor([], [{ size: size(10, 10), count: 2 }])).toEqual({ short: 2, free: 0 })
  })
})
