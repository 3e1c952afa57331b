import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import { buyingInput, cheapestPacks, type Purchase } from '#core/buying'
import { isRefusal } from '#core/reasons'

const bottles = [
  { size: 236, priceMinor: 900 },
  { size: 473, priceMinor: 1500 },
  { size: 946, priceMinor: 2500 },
]
const buy = (i: object) => cheapestPacks(v.parse(buyingInput, { cupboard: 0, packs: bottles, ...i }))
const bought = (i: object) => buy(i) as Purchase

describe('the cheapest cover', () => {
  it('of 610 ml is 236 + 473', () => {
    expect(buy({ need: 610 })).toEqual({
      toBuy: 610,
      costMinor: 2400,
      leftOver: 99,
      packs: [
        { size: 473, count: 1, index: 1 },
        { size: 236, count: 1, index: 0 },
      ],
    })
  })
  it('looks into the cupboard first', () => {
    expect(buy({ need: 610, cupboard: 610 })).toEqual({ toBuy: 0, packs: [], costMinor: 0, leftOver: 0 })
    expect(buy({ need: 610, cupboard: 700 })).toMatchObject({ toBuy: 0, leftOver: 0 })
    expect(buy({ need: 610, cupboard: '373.5' })).toMatchObject({ toBuy: 236.5, packs: [{ size: 473 }] })
  })
  it('counts in decimals, not in binary fractions', () => {
    expect(buy({ need: '0.3', packs: [{ size: '0.1', priceMinor: 1 }] })).toMatchObject({ packs: [{ count: 3 }], leftOver: 0 })
    expect(buy({ need: 0.3, packs: [{ size: 0.1, priceMinor: 1 }] })).toMatchObject({ packs: [{ count: 3 }], leftOver: 0 })
    expect(buy({ need: '610.000001', packs: [{ size: 305, priceMinor: 1 }] })).toMatchObject({
      packs: [{ count: 3 }],
      leftOver: 304.999999,
    })
  })
  it('does not slow down with the need', () => {
    expect(bought({ need: 1_000_000 }).costMinor).toBeLessThanOrEqual(Math.ceil(1_000_000 / 946) * 2500)
    expect(
      buy({
        need: 1e9,
        packs: [
          { size: 1, priceMinor: 3 },
          { size: 7, priceMinor: 20 },
        ],
      }),
    ).toMatchObject({ leftOver: 0 })
  })
  test.each([
    [
      'least left over',
      [
        { size: 5, priceMinor: 10 },
        { size: 6, priceMinor: 10 },
      ],
      5,
      [{ size: 5, count: 1, index: 0 }],
    ],
    [
      'then fewest packs',
      [
        { size: 2, priceMinor: 2 },
        { size: 4, priceMinor: 4 },
      ],
      4,
      [{ size: 4, count: 1, index: 1 }],
    ],
    [
      'then more of the larger',
      [
        { size: 3, priceMinor: 3 },
        { size: 4, priceMinor: 4 },
        { size: 5, priceMinor: 5 },
      ],
      8,
      [
        { size: 5, count: 1, index: 2 },
        { size: 3, count: 1, index: 0 },
      ],
    ],
    [
      'a price of 0 is a price',
      [
        { size: 2, priceMinor: 0 },
        { size: 9, priceMinor: 1 },
      ],
      3,
      [{ size: 2, count: 2, index: 0 }],
    ],
  ])('ties: %s', (_name, packs, need, wanted) => {
    expect(bought({ need, packs }).packs).toEqual(wanted)
  })
  it('buys no more than there is', () => {
    expect(
      buy({
        need: 10,
        packs: [
          { size: 5, priceMinor: 1, available: 1 },
          { size: 4, priceMinor: 9 },
        ],
      }),
    ).toMatchObject({ costMinor: 19, leftOver: 3 })
    expect(isRefusal(buy({ need: 10, packs: [{ size: 3, priceMinor: 1, available: 3 }] }))).toBe(true)
    expect(isRefusal(buy({ need: 1, packs: [] }))).toBe(true)
    expect(isRefusal(buy({ need: 1, packs: [{ size: 3, priceMinor: 1, available: 0 }] }))).toBe(true)
  })
})

describe('against trying everything', () => {
  const offer = fc.record({
    size: fc.integer({ min: 1, max: 9 }),
    priceMinor: fc.integer({ min: 0, max: 20 }),
    available: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
  })
  it('finds the same cost, left-over and number of packs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.array(offer, { minLength: 1, maxLength: 3 }), (need, packs) => {
        const found = buy({ need, packs })
        const best = tryAll(need, packs)
        if (!best) {
          expect(isRefusal(found)).toBe(true)
          return
        }
        const f = found as Purchase
        expect([f.costMinor, f.leftOver, f.packs.reduce((n, p) => n + p.count, 0)]).toEqual(best)
      }),
      { seed: 8, numRuns: 300 },
    )
  })
})

/** Cost, left-over and packs of the best cover, by trying all counts. */
function tryAll(
  need: number,
  packs: { size: number; priceMinor: number; available?: number | undefined }[],
): [number, number, number] | undefined {
  let best: [number, number, number] | undefined
  const visit = (i: number, total: number, cost: number, count: number) => {
    if (total >= need) {
      const answer: [number, number, number] = [cost, total - need, count]
      if (
        !best ||
        answer[0] - best[0] < 0 ||
        (answer[0] === best[0] && (answer[1] < best[1] || (answer[1] === best[1] && answer[2] < best[2])))
      )
        best = answer
      return
    }
    const p = packs[i]
    if (!p) return
    for (let n = 0; n <= Math.min(p.available ?? Infinity, Math.ceil((need - total) / p.size)); n++)
      visit(i + 1, total + n * p.size, cost + n * p.priceMinor, count + n)
  }
  visit(0, 0, 0, 0)
  return best
}

test.each([
  [{ need: -1 }, 'need'],
  [{ need: 1, packs: [{ size: 0, priceMinor: 1 }] }, 'packs.0.size'],
  [{ need: 1, packs: [{ size: 1, priceMinor: -1 }] }, 'packs.0.priceMinor'],
  [{ need: 1, packs: [{ size: 1, priceMinor: 1.5 }] }, 'packs.0.priceMinor'],
  [{ need: 1, packs: 'all' }, 'packs'],
  [{ need: '1.0000001' }, 'need'],
  [{ need: 1, packs: Array(13).fill({ size: 1, priceMinor: 1 }) }, 'packs'],
])('%j is bad input at %s', (change, path) => {
  const read = v.safeParse(buyingInput, { cupboard: 0, packs: bottles, ...change })
  expect(v.getDotPath(read.issues![0])).toBe(path)
})
