import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { gridOnSheet } from '#core/sheets'

const letter = { widthMm: 215.9, heightMm: 279.4 }
const a4 = { widthMm: 210, heightMm: 297 }

describe('equal prints on a sheet', () => {
  test.each([
    ['5 x 7 in on Letter', { widthMm: 177.8, heightMm: 127 }, letter, 6.35, 2, false],
    ['4 x 4 in on Letter', { widthMm: 101.6, heightMm: 101.6 }, letter, 6.35, 2, false],
    ['3 7/8 in on Letter', { widthMm: 98.4, heightMm: 98.4 }, letter, 6.35, 4, false],
    ['125 mm on A4', { widthMm: 125, heightMm: 125 }, a4, 5, 2, false],
    ['turned', { widthMm: 250, heightMm: 90 }, a4, 5, 2, true],
    ['too large', { widthMm: 300, heightMm: 300 }, a4, 5, 0, false],
    ['exactly the printable area', { widthMm: 200, heightMm: 287 }, a4, 5, 1, false],
  ])('%s', (_name, picture, sheet, margin, perSheet, turned) => {
    expect(gridOnSheet(picture, sheet, margin, 6)).toMatchObject({ perSheet, turned })
  })
  it('stay inside and a gutter apart', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 300 }), fc.integer({ min: 20, max: 300 }), fc.integer({ min: 0, max: 15 }), (w, h, gutter) => {
        const g = gridOnSheet({ widthMm: w, heightMm: h }, a4, 5, gutter)
        const [pw, ph] = g.turned ? [h, w] : [w, h]
        expect(g.places).toHaveLength(g.perSheet)
        g.places.forEach((p, i) => {
          expect(p.xMm >= 5 && p.yMm >= 5 && p.xMm + pw <= 205.001 && p.yMm + ph <= 292.001).toBe(true)
          for (const q of g.places.slice(i + 1))
            expect(Math.abs(p.xMm - q.xMm) >= pw + gutter - 1e-6 || Math.abs(p.yMm - q.yMm) >= ph + gutter - 1e-6).toBe(true)
        })
      }),
      { seed: 17 },
    )
  })
})
