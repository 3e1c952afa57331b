import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import {
  outlineHolds,
  outlineOf,
  outlinePath,
  outlinePoints,
  outlineReach,
  outlines,
  outlineShare,
  pieceKind,
  pieceKinds,
} from '#core/recipe'

describe('the outline of a piece', () => {
  test.each(outlines)('%s touches its box at all four sides and lies inside it', (o) => {
    const [xs, ys] = [outlinePoints(o).map((p) => p.x), outlinePoints(o).map((p) => p.y)]
    expect([Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]).toEqual([0, 1, 0, 1])
  })
  it('fills all of its box when straight, pi / 4 when round, between them as a stone', () => {
    expect(outlineShare('straight')).toBe(1)
    expect(outlineShare('round')).toBeCloseTo(Math.PI / 4, 2)
    expect(outlineShare('stone')).toBeGreaterThan(0.7)
    expect(outlineShare('stone')).toBeLessThan(0.9)
  })
  test.each([
    ['straight', 0.02, 0.02, true],
    ['straight', 1.01, 0.5, false],
    ['round', 0.02, 0.02, false],
    ['round', 0.5, 0.001, true],
    ['round', 0.5, -0.01, false],
    ['stone', 0.03, 0.03, false],
    ['stone', 0.5, 0.5, true],
  ] as const)('%s holds %d, %d: %s', (o, x, y, held) => expect(outlineHolds(o, x, y)).toBe(held))
  it('a share of places held is the share of the box it fills', () => {
    for (const o of outlines) {
      let held = 0
      for (let i = 0; i < 100; i++) for (let j = 0; j < 100; j++) held += Number(outlineHolds(o, (i + 0.5) / 100, (j + 0.5) / 100))
      expect(held / 10_000).toBeCloseTo(outlineShare(o), 1.7)
    }
  })
  it('holds what lies between its middle and what it holds', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...outlines),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (o, x, y) => {
          if (outlineHolds(o, x, y)) expect(outlineHolds(o, (x + 0.5) / 2, (y + 0.5) / 2)).toBe(true)
        },
      ),
      { seed: 11, numRuns: 300 },
    )
  })
  it('reaches one half box everywhere when round, to the corners when straight', () => {
    for (const r of outlineReach('round', 64)) expect(r).toBeCloseTo(1, 2)
    expect(outlineReach('straight', 8)[1]).toBeCloseTo(Math.SQRT2, 3)
  })
  it('is a closed path in the unit of its box', () =>
    expect(outlinePath('straight', 40, 20)).toBe('M0.000 0.000L40.000 0.000L40.000 20.000L0.000 20.000Z'))
})

describe('which outline a piece has', () => {
  it('is the kind’s first, unless another that it can have was chosen', () => {
    expect(outlineOf(pieceKind('coaster'), undefined)).toBe('straight')
    expect(outlineOf(pieceKind('coaster'), 'round')).toBe('round')
    expect(outlineOf(pieceKind('stone'), undefined)).toBe('stone')
  })
  it('a jar’s film never turns into a stone, whatever an older choice says', () =>
    expect(outlineOf(pieceKind('candle'), 'stone')).toBe('straight'))
  test.each(pieceKinds.map((k) => [k.id, k] as const))('%s has at least one', (_id, k) => expect(k.outlines.length).toBeGreaterThan(0))
})
