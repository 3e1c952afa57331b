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
    const grid = gridOnSheet(picture, sheet, margin, 6)
    expect(grid.perSheet).toBe(perSheet)
    if (perSheet > 0) expect(grid.places.every((p) => p.turned === turned)).toBe(true)
  })
  it('stay inside and a gutter apart', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 300 }), fc.integer({ min: 20, max: 300 }), fc.integer({ min: 0, max: 15 }), (w, h, gutter) => {
        const g = gridOnSheet({ widthMm: w, heightMm: h }, a4, 5, gutter)
        expect(g.places).toHaveLength(g.perSheet)
        const boxes = g.places.map((p) => ({ x: p.xMm, y: p.yMm, w: p.turned ? h : w, h: p.turned ? w : h }))
        boxes.forEach((p, i) => {
          expect(p.x >= 5 && p.y >= 5 && p.x + p.w <= 205.001 && p.y + p.h <= 292.001).toBe(true)
          const clear = (a: typeof p, b: typeof p) => b.x - a.x - a.w >= gutter - 1e-6 || b.y - a.y - a.h >= gutter - 1e-6
          for (const q of boxes.slice(i + 1)) expect(clear(p, q) || clear(q, p)).toBe(true)
        })
        // At least as many as rows and columns hold, either way round.
        const rows = (a: number, b: number) => Math.floor((200 + gutter) / (a + gutter)) * Math.floor((287 + gutter) / (b + gutter))
        expect(g.perSheet).toBeGreaterThanOrEqual(Math.max(rows(w, h), rows(h, w)))
      }),
      { seed: 17 },
    )
  })
})
