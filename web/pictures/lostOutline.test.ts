import { describe, expect, it } from 'vitest'
import { lostOutline } from './lostOutline'

const mask = (w: number, h: number, marked: (x: number, y: number) => boolean) =>
  Uint8Array.from({ length: w * h }, (_, i) => Number(marked(i % w, Math.floor(i / w))))
const rings = (path: string) => path.split('Z').filter(Boolean)
const corners = (ring: string) =>
  ring
    .slice(1)
    .split('L')
    .map((p) => p.split(' ').map(Number))

describe('the outline of lost whites', () => {
  it('goes round a disc, within a cell of its edge', () => {
    const path = lostOutline(
      mask(160, 120, (x, y) => Math.hypot(x - 80, y - 60) <= 40),
      160,
      120,
    )
    expect(rings(path)).toHaveLength(1)
    for (const [x, y] of corners(rings(path)[0]!)) expect(Math.abs(Math.hypot(x! - 80, y! - 60) - 40)).toBeLessThan(4)
  })
  it('has a ring for each region, and one for a hole', () => {
    const two = lostOutline(
      mask(160, 120, (x, y) => Math.hypot(x - 40, y - 60) <= 20 || Math.hypot(x - 120, y - 60) <= 20),
      160,
      120,
    )
    expect(rings(two)).toHaveLength(2)
    const hole = lostOutline(
      mask(160, 120, (x, y) => Math.hypot(x - 80, y - 60) <= 50 && Math.hypot(x - 80, y - 60) >= 25),
      160,
      120,
    )
    expect(rings(hole)).toHaveLength(2)
  })
  it('leaves specks out, and draws nothing where nothing is lost', () => {
    expect(
      lostOutline(
        mask(160, 120, (x, y) => x % 20 === 0 && y % 20 === 0),
        160,
        120,
      ),
    ).toBe('')
    expect(
      lostOutline(
        mask(160, 120, () => false),
        160,
        120,
      ),
    ).toBe('')
  })
  it('of all of it stays on the drawing, whatever its size', () => {
    for (const [w, h] of [
      [160, 120],
      [33, 17],
    ] as const)
      for (const [x, y] of rings(
        lostOutline(
          mask(w, h, () => true),
          w,
          h,
        ),
      ).flatMap(corners)) {
        expect(x).toBeGreaterThanOrEqual(0)
        expect(x).toBeLessThanOrEqual(w + 4)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(y).toBeLessThanOrEqual(h + 4)
      }
  })
})
