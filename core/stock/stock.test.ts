import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { cutStock, stockInput, type CutPlan } from '#core/stock'

const cut = (input: unknown) => cutStock(readInput(stockInput, input))
const plan = (input: unknown) => cut(input) as CutPlan

describe('cutting stock', () => {
  it('18 pieces of 152 from 2400 with kerf 3: two lengths, 15 on the first, and one cannot do', () => {
    const p = plan({ pieces: [{ lengthMm: 152, count: 18 }], stock: [{ lengthMm: 2400 }], kerfMm: 3 })
    expect(p.lengths.map((l) => l.cuts.length)).toEqual([15, 3])
    expect(p).toMatchObject({ lowerBound: 2, offcutsMm: [75, 1935], proven: true })
  })
  it('a cut that ends at the end of a length needs no kerf', () => {
    expect(plan({ pieces: [{ lengthMm: 100, count: 3 }], stock: [{ lengthMm: 306 }], kerfMm: 3 })).toMatchObject({
      lengths: [{ cuts: [100, 100, 100] }],
      offcutsMm: [0],
    })
    expect(plan({ pieces: [{ lengthMm: 100, count: 3 }], stock: [{ lengthMm: 305.999 }], kerfMm: 3 }).lengths).toHaveLength(2)
  })
  it('without prices: fewest lengths, then least total length', () => {
    const p = plan({ pieces: [{ lengthMm: 900, count: 3 }], stock: [{ lengthMm: 1000 }, { lengthMm: 2000 }] })
    expect(p.lengths.map((l) => l.lengthMm).sort()).toEqual([1000, 2000])
  })
  it('with prices: least cost, then fewest lengths', () => {
    const stock = [
      { lengthMm: 1000, priceMinor: 100 },
      { lengthMm: 2000, priceMinor: 250 },
    ]
    expect(plan({ pieces: [{ lengthMm: 900, count: 2 }], stock })).toMatchObject({
      costMinor: 200,
      lengths: [{ lengthMm: 1000 }, { lengthMm: 1000 }],
    })
    const even = [
      { lengthMm: 1000, priceMinor: 100 },
      { lengthMm: 2000, priceMinor: 200 },
    ]
    expect(plan({ pieces: [{ lengthMm: 900, count: 2 }], stock: even }).lengths).toHaveLength(1)
  })
  it('finds a packing that filling the longest first misses', () => {
    const pieces = [
      { lengthMm: 6, count: 1 },
      { lengthMm: 5, count: 2 },
      { lengthMm: 4, count: 1 },
      { lengthMm: 3, count: 2 },
      { lengthMm: 2, count: 2 },
    ]
    expect(plan({ pieces, stock: [{ lengthMm: 10 }] })).toMatchObject({ lowerBound: 3, proven: true })
  })
  it('pieces above half a length stand alone, and what they leave is too short for the others: the bound knows', () => {
    const pieces = [
      { lengthMm: 1300, count: 5 },
      { lengthMm: 1150, count: 4 },
    ]
    const p = plan({ pieces, stock: [{ lengthMm: 2400 }] })
    expect([p.lowerBound, p.lengths.length, p.proven]).toEqual([7, 7, true])
    // Too many to be looked at to the end: the bound alone says that there is no better.
    const many = Array.from({ length: 40 }, (_, i) => [1300 + i, 1110 + i]).flat()
    const all = plan({ pieces: many.map((lengthMm) => ({ lengthMm, count: 1 })), stock: [{ lengthMm: 2400 }] })
    expect([all.lowerBound, all.lengths.length, all.proven]).toEqual([60, 60, true])
    // A little shorter, and each of the four goes beside one of the five.
    expect(plan({ pieces: [pieces[0]!, { lengthMm: 1100, count: 4 }], stock: [{ lengthMm: 2400 }] }).lengths).toHaveLength(5)
  })
  it('general instances of 20 to 120 pieces: on the whole within 0.3 % of the bound, each whole and inside its lengths', () => {
    let seed = 4711
    const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
    let [used, least] = [0, 0]
    for (let k = 0; k < 12; k++) {
      const sizes = Array.from({ length: 20 + Math.floor(random() * 101) }, () => Math.round(100 + random() * 1200))
      const p = plan({ pieces: sizes.map((lengthMm) => ({ lengthMm, count: 1 })), stock: [{ lengthMm: 2400 }], kerfMm: 3 })
      expect(p.lengths.flatMap((l) => l.cuts).sort((a, b) => a - b)).toEqual([...sizes].sort((a, b) => a - b))
      for (const l of p.lengths) expect(l.cuts.reduce((sum, x) => sum + x, 3 * (l.cuts.length - 1))).toBeLessThanOrEqual(2400)
      expect(p.lengths.length).toBeGreaterThanOrEqual(p.lowerBound)
      used += p.lengths.length
      least += p.lowerBound
    }
    expect(used / least).toBeLessThan(1.003)
  })
  it('takes 200 sizes, and no more', () => {
    const sizes = (n: number) => Array.from({ length: n }, (_, i) => ({ lengthMm: 100 + i, count: 1 }))
    expect(plan({ pieces: sizes(200), stock: [{ lengthMm: 2400 }] }).lengths.length).toBeGreaterThan(0)
    expect(() => cut({ pieces: sizes(201), stock: [{ lengthMm: 2400 }] })).toThrow(/more than 200 sizes/)
  })
  it('keeps to what is available', () => {
    const p = plan({ pieces: [{ lengthMm: 400, count: 4 }], stock: [{ lengthMm: 1000, available: 1 }, { lengthMm: 500 }] })
    expect(p.lengths.filter((l) => l.lengthMm === 1000)).toHaveLength(1)
    expect(p.lengths).toHaveLength(3)
  })
  test.each([
    [{ pieces: [{ lengthMm: 900, count: 1 }], stock: [{ lengthMm: 800 }] }, 'longer'],
    [{ pieces: [{ lengthMm: 900, count: 2 }], stock: [{ lengthMm: 1000, available: 1 }] }, 'not enough'],
    [{ pieces: [{ lengthMm: 9, count: 1 }], stock: [] }, 'longer'],
  ])('refuses %o', (input, what) => {
    const answer = cut(input)
    expect(isRefusal(answer) && answer.refused.what).toContain(what)
  })
  it('nothing to cut is no length', () =>
    expect(plan({ pieces: [{ lengthMm: 9, count: 0 }], stock: [{ lengthMm: 10 }] })).toMatchObject({
      lengths: [],
      lowerBound: 0,
      offcutsMm: [],
    }))
  test.each([
    [{ pieces: [{ lengthMm: 0, count: 1 }], stock: [] }, 'pieces.0.lengthMm'],
    [{ pieces: [{ lengthMm: 5, count: 1.5 }], stock: [] }, 'pieces.0.count'],
    [{ pieces: [], stock: [{ lengthMm: 5, available: -1 }] }, 'stock.0.available'],
    [{ pieces: [], stock: [{ lengthMm: 5, priceMinor: 1 }, { lengthMm: 6 }] }, 'stock'],
    [{ pieces: [{ lengthMm: 5, count: 5001 }], stock: [] }, 'pieces.0.count'],
    [{ pieces: [], stock: [], kerfMm: 'x' }, 'kerfMm'],
  ])('bad input %o is named', (input, path) => {
    try {
      cut(input)
      expect.unreachable()
    } catch (e) {
      expect(e).toBeInstanceOf(BadInput)
      expect((e as BadInput).path).toBe(path)
    }
  })
  it('never overlaps, loses nothing, is never below its bound, and equals trying every way on small ones', () => {
    const arb = fc.record({
      pieces: fc.array(fc.record({ lengthMm: fc.integer({ min: 20, max: 100 }), count: fc.integer({ min: 1, max: 2 }) }), {
        minLength: 1,
        maxLength: 4,
      }),
      kerfMm: fc.integer({ min: 0, max: 5 }),
      length: fc.integer({ min: 100, max: 220 }),
    })
    fc.assert(
      fc.property(arb, ({ pieces, kerfMm, length }) => {
        const p = plan({ pieces, kerfMm, stock: [{ lengthMm: length }] })
        const sorted = (list: number[]) => [...list].sort((a, b) => a - b)
        const wanted = pieces.flatMap((x) => Array.from({ length: x.count }, () => x.lengthMm))
        expect(sorted(p.lengths.flatMap((l) => l.cuts))).toEqual(sorted(wanted))
        for (const l of p.lengths) expect(l.cuts.reduce((a, b) => a + b, 0) + (l.cuts.length - 1) * kerfMm).toBeLessThanOrEqual(l.lengthMm)
        expect(p.lengths.length).toBe(fewestByTrying(wanted, length + kerfMm, kerfMm))
        expect(p.lowerBound).toBeLessThanOrEqual(p.lengths.length)
      }),
      { seed: 11, numRuns: 150 },
    )
  })
})

describe('cutting from several lengths', () => {
  const arb = fc.record({
    pieces: fc.array(fc.record({ lengthMm: fc.integer({ min: 30, max: 95 }), count: fc.integer({ min: 1, max: 2 }) }), {
      minLength: 1,
      maxLength: 3,
    }),
    kerfMm: fc.integer({ min: 0, max: 4 }),
    stock: fc.uniqueArray(fc.integer({ min: 100, max: 240 }), { minLength: 2, maxLength: 3 }),
    prices: fc.array(fc.integer({ min: 50, max: 400 }), { minLength: 3, maxLength: 3 }),
  })
  it('costs what trying every way costs', () => {
    fc.assert(
      fc.property(arb, ({ pieces, kerfMm, stock, prices }) => {
        const p = plan({ pieces, kerfMm, stock: stock.map((lengthMm, i) => ({ lengthMm, priceMinor: prices[i]! })) })
        const wanted = pieces.flatMap((x) => Array.from({ length: x.count }, () => x.lengthMm + kerfMm))
        expect(p.costMinor).toBe(
          cheapestByTrying(
            wanted,
            stock.map((s, i) => ({ size: s + kerfMm, price: prices[i]! })),
          ),
        )
        expect(p.proven).toBe(true)
      }),
      { seed: 3, numRuns: 80 },
    )
  })
  it('a dearer length with room for all beats two cheap ones', () => {
    const p = plan({
      pieces: [{ lengthMm: 60, count: 3 }],
      stock: [
        { lengthMm: 100, priceMinor: 90 },
        { lengthMm: 190, priceMinor: 200 },
      ],
      kerfMm: 2,
    })
    expect(p).toMatchObject({ costMinor: 200, lengths: [{ lengthMm: 190, cuts: [60, 60, 60] }], offcutsMm: [4] })
  })
  it('gives the same plan each time', () => {
    const input = {
      pieces: [
        { lengthMm: 310, count: 7 },
        { lengthMm: 205, count: 9 },
        { lengthMm: 120, count: 11 },
      ],
      stock: [{ lengthMm: 2400 }, { lengthMm: 1200 }],
      kerfMm: 3,
    }
    expect(JSON.stringify(plan(input))).toBe(JSON.stringify(plan(input)))
  })
})

/** Every way of putting pieces into lengths of any kind: least cost. */
function cheapestByTrying(wanted: number[], kinds: { size: number; price: number }[]): number {
  let best = Infinity
  const rooms: number[] = []
  const put = (i: number, cost: number) => {
    if (cost >= best) return
    if (i === wanted.length) {
      best = cost
      return
    }
    rooms.forEach((room, k) => {
      if (room < wanted[i]!) return
      rooms[k] = room - wanted[i]!
      put(i + 1, cost)
      rooms[k] = room
    })
    for (const kind of kinds) {
      if (kind.size < wanted[i]!) continue
      rooms.push(kind.size - wanted[i]!)
      put(i + 1, cost + kind.price)
      rooms.pop()
    }
  }
  put(0, 0)
  return best
}

/** Every way of putting pieces into lengths, one piece after another. */
function fewestByTrying(wanted: number[], capacity: number, kerf: number): number {
  let best = wanted.length
  const rooms: number[] = []
  const put = (i: number) => {
    if (rooms.length >= best) return
    if (i === wanted.length) {
      best = rooms.length
      return
    }
    const size = wanted[i]! + kerf
    rooms.forEach((room, k) => {
      if (room < size) return
      rooms[k] = room - size
      put(i + 1)
      rooms[k] = room
    })
    rooms.push(capacity - size)
    put(i + 1)
    rooms.pop()
  }
  put(0)
  return best
}
