import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import { isRefusal } from '#core/reasons'
import { layStrips, tapeInput, type StripLayout, type TapeInput } from '#core/tape'

const lay = (i: Partial<TapeInput>) =>
  layStrips(v.parse(tapeInput, { picture: { widthMm: 102, lengthMm: 152 }, tape: { widthMm: 48, overlapMm: 12 }, marginMm: 5, ...i }))
const laid = (i: Partial<TapeInput>) => lay(i) as StripLayout

describe('strips', () => {
  it('takes the direction with the fewest strips, either way round', () => {
    const wanted = { strips: 3, stripLengthMm: 162, tapeMm: 486, slackMm: 8 }
    expect(lay({})).toMatchObject({ direction: 'along length', ...wanted })
    expect(lay({ picture: { widthMm: 152, lengthMm: 102 } })).toMatchObject({ direction: 'along width', ...wanted })
  })
  it('a complete tie goes along the length', () => {
    expect(laid({ picture: { widthMm: 100, lengthMm: 100 } }).direction).toBe('along length')
  })
  it('a complete tie looks at what to keep clear first', () => {
    const keepClear = [{ xMm: 0, yMm: 45, widthMm: 100, lengthMm: 1 }]
    const layout = laid({ picture: { widthMm: 100, lengthMm: 100 }, keepClear })
    expect(layout.seamOnKeepClearMm).toBeLessThanOrEqual(2)
  })
  it('says when a smaller margin saves a strip', () => {
    expect(lay({ picture: { widthMm: 44, lengthMm: 60 } })).toMatchObject({ strips: 2, fewerAt: { marginMm: 2, strips: 1 } })
    expect(lay({ picture: { widthMm: 44, lengthMm: 60 }, marginMm: 2 })).toMatchObject({ strips: 1, seams: [] })
  })
  it('is exact for decimals that binary fractions miss', () => {
    // 0.3 - 0.1 over 0.2 - 0.1 is 2 strips, not 3
    expect(lay({ picture: { widthMm: '0.3', lengthMm: 9 }, tape: { widthMm: '0.2', overlapMm: '0.1' }, marginMm: 0 })).toMatchObject({
      strips: 2,
      slackMm: 0,
    })
  })
  it('refuses an overlap that leaves no tape, and too many strips', () => {
    expect(isRefusal(lay({ tape: { widthMm: 12, overlapMm: 12 } }))).toBe(true)
    expect(isRefusal(lay({ picture: { widthMm: 9000, lengthMm: 9000 }, tape: { widthMm: 10, overlapMm: 9 } }))).toBe(true)
  })
  test.each([
    [{ picture: { widthMm: 0, lengthMm: 1 } }, 'picture.widthMm'],
    [{ marginMm: -1 }, 'marginMm'],
    [{ tape: { widthMm: 'wide', overlapMm: 1 } }, 'tape.widthMm'],
    [{ keepClear: [{ xMm: 0, yMm: 0, widthMm: -1, lengthMm: 1 }] }, 'keepClear.0.widthMm'],
    [{ keepClear: Array(51).fill({ xMm: 0, yMm: 0, widthMm: 1, lengthMm: 1 }) }, 'keepClear'],
  ])('bad input is named by its path (%#)', (input, path) => {
    const read = v.safeParse(tapeInput, {
      picture: { widthMm: 1, lengthMm: 1 },
      tape: { widthMm: 48, overlapMm: 12 },
      marginMm: 5,
      ...input,
    })
    expect(v.getDotPath(read.issues![0])).toBe(path)
  })
})

describe('seams', () => {
  it('keep off a face where the slack allows it; touching is allowed', () => {
    const layout = laid({ keepClear: [{ xMm: 39, yMm: 10, widthMm: 20, lengthMm: 30 }] })
    expect(layout.seamOnKeepClearMm).toBe(0)
    expect(layout.startMm).toBe(-9)
    expect(layout.seams[0]).toEqual({ fromMm: 27, toMm: 39 })
  })
  it('count overlapping boxes once, and only inside the picture', () => {
    const box = { xMm: 0, yMm: 10, widthMm: 102, lengthMm: 30 }
    expect(laid({ keepClear: [box, { ...box, yMm: 20 }] }).seamOnKeepClearMm).toBe(80)
    expect(laid({ keepClear: [{ ...box, yMm: -20 }] }).seamOnKeepClearMm).toBe(20)
  })
  it('lie as far from the middle as the slack allows', () => {
    const layout = laid({ picture: { widthMm: 60, lengthMm: 200 }, marginMm: 0 })
    const middle = (layout.seams[0]!.fromMm + layout.seams[0]!.toMm) / 2
    expect(Math.abs(middle - 30)).toBeCloseTo(12, 6)
    expect(layout.startMm).toBe(-24)
  })

  const box = fc.record({
    xMm: fc.integer({ min: -20, max: 200 }),
    yMm: fc.integer({ min: -20, max: 200 }),
    widthMm: fc.integer({ min: 0, max: 60 }),
    lengthMm: fc.integer({ min: 0, max: 60 }),
  })
  const problem = fc.record({
    picture: fc.record({ widthMm: fc.integer({ min: 10, max: 220 }), lengthMm: fc.integer({ min: 10, max: 220 }) }),
    tape: fc.record({ widthMm: fc.integer({ min: 20, max: 60 }), overlapMm: fc.integer({ min: 0, max: 15 }) }),
    marginMm: fc.integer({ min: 0, max: 10 }),
    keepClear: fc.array(box, { maxLength: 4 }),
  })
  it('always cover the picture and its margin, and start within the slack', () => {
    fc.assert(
      fc.property(problem, (p) => {
        const l = laid(p)
        const across = l.direction === 'along length' ? p.picture.widthMm : p.picture.lengthMm
        const end = l.startMm + l.strips * (p.tape.widthMm - p.tape.overlapMm) + p.tape.overlapMm
        expect(l.startMm).toBeLessThanOrEqual(-p.marginMm)
        expect(l.startMm).toBeGreaterThanOrEqual(-p.marginMm - l.slackMm - 1e-9)
        expect(end).toBeGreaterThanOrEqual(across + p.marginMm - 1e-9)
        expect(l.seams).toHaveLength(l.strips - 1)
      }),
      { seed: 1, numRuns: 200 },
    )
  })
  it('no offset on a fine grid does better', () => {
    fc.assert(
      fc.property(problem, (p) => {
        const l = laid(p)
        for (let start = -p.marginMm - l.slackMm; start <= -p.marginMm + 1e-9; start += 0.25)
          expect(seamAt(start, l, p)).toBeGreaterThanOrEqual(l.seamOnKeepClearMm - 1e-6)
      }),
      { seed: 4, numRuns: 60 },
    )
  })
})

/** Length of seam over boxes at an offset, counted millimetre by millimetre. */
function seamAt(
  start: number,
  l: StripLayout,
  p: {
    picture: { widthMm: number; lengthMm: number }
    tape: { widthMm: number; overlapMm: number }
    keepClear: { xMm: number; yMm: number; widthMm: number; lengthMm: number }[]
  },
): number {
  const along = l.direction === 'along length'
  const run = along ? p.picture.lengthMm : p.picture.widthMm
  const side = along ? p.picture.widthMm : p.picture.lengthMm
  let total = 0
  for (let k = 1; k < l.strips; k++) {
    const from = start + k * (p.tape.widthMm - p.tape.overlapMm)
    const to = from + p.tape.overlapMm
    for (let y = 0; y < run; y++)
      if (
        p.keepClear.some((b) => {
          const [x0, x1, y0, y1] = along
            ? [b.xMm, b.xMm + b.widthMm, b.yMm, b.yMm + b.lengthMm]
            : [b.yMm, b.yMm + b.lengthMm, b.xMm, b.xMm + b.widthMm]
          return Math.max(0, x0) < Math.min(side, x1) && Math.max(0, x0) < to && Math.min(side, x1) > from && y0 <= y && y1 >= y + 1
        })
      )
        total++
  }
  return total
}
