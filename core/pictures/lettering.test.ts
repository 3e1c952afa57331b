import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { findLettering, type Suggestion } from '#core/pictures'
import { seeded } from '#core/sheets'

/** Letters as strokes on a grid of 4 x 6; a canvas of grey to draw them on, without any font. */
const strokes: Record<string, [number, number, number, number][]> = {
  T: [
    [0, 0, 4, 0],
    [2, 0, 2, 6],
  ],
  E: [
    [0, 0, 0, 6],
    [0, 0, 4, 0],
    [0, 3, 3, 3],
    [0, 6, 4, 6],
  ],
  R: [
    [0, 0, 0, 6],
    [0, 0, 4, 0],
    [4, 0, 4, 3],
    [0, 3, 4, 3],
    [1, 3, 4, 6],
  ],
  N: [
    [0, 0, 0, 6],
    [0, 0, 4, 6],
    [4, 0, 4, 6],
  ],
  L: [
    [0, 0, 0, 6],
    [0, 6, 4, 6],
  ],
  I: [[2, 0, 2, 6]],
  D: [
    [0, 0, 0, 6],
    [0, 0, 3, 0],
    [3, 0, 4, 2],
    [4, 2, 4, 4],
    [4, 4, 3, 6],
    [0, 6, 3, 6],
  ],
  K: [
    [0, 0, 0, 6],
    [0, 3, 4, 0],
    [0, 3, 4, 6],
  ],
  P: [
    [0, 0, 0, 6],
    [0, 0, 4, 0],
    [4, 0, 4, 3],
    [0, 3, 4, 3],
  ],
}
class Board {
  readonly grey: Uint8Array
  constructor(
    readonly width: number,
    readonly height: number,
    ground = 230,
  ) {
    this.grey = new Uint8Array(width * height).fill(ground)
  }
  disc(cx: number, cy: number, r: number, tone: number): void {
    for (let y = Math.max(0, Math.floor(cy - r)); y <= Math.min(this.height - 1, cy + r); y++)
      for (let x = Math.max(0, Math.floor(cx - r)); x <= Math.min(this.width - 1, cx + r); x++)
        if (Math.hypot(x - cx, y - cy) <= r) this.grey[y * this.width + x] = tone
  }
  box(x: number, y: number, w: number, h: number, tone: number): void {
    for (let v = y; v < y + h; v++) for (let u = x; u < x + w; u++) this.grey[v * this.width + u] = tone
  }
  line(x1: number, y1: number, x2: number, y2: number, r: number, tone: number): void {
    const n = Math.ceil(Math.hypot(x2 - x1, y2 - y1) * 2) + 1
    for (let i = 0; i <= n; i++) this.disc(x1 + ((x2 - x1) * i) / n, y1 + ((y2 - y1) * i) / n, r, tone)
  }
  /** A word from its upper left, letters `size` high, climbing by `tilt` degrees. */
  write(word: string, x: number, y: number, size: number, tone: number, tilt = 0): this {
    const k = size / 6
    const a = (-tilt * Math.PI) / 180
    const at = (u: number, v: number): [number, number] => [x + u * Math.cos(a) - v * Math.sin(a), y + u * Math.sin(a) + v * Math.cos(a)]
    ;[...word].forEach((l, i) => {
      for (const [x1, y1, x2, y2] of strokes[l] ?? [])
        this.line(...at(i * 5.6 * k + x1 * k, y1 * k), ...at(i * 5.6 * k + x2 * k, y2 * k), size / 14, tone)
    })
    return this
  }
  get found(): Suggestion[] {
    return findLettering(this.grey, this.width, this.height)
  }
}
/** How much of a box (shares) a suggestion holds. */
const holds = (s: Suggestion, b: { x: number; y: number; w: number; h: number }) => {
  const w = Math.min(s.x + s.w, b.x + b.w) - Math.max(s.x, b.x)
  const h = Math.min(s.y + s.h, b.y + b.h) - Math.max(s.y, b.y)
  return (Math.max(0, w) * Math.max(0, h)) / (b.w * b.h)
}

describe('lettering, perhaps', () => {
  test.each([
    ['dark on light', 230, 20, 40, 0],
    ['light on dark', 30, 240, 40, 0],
    ['small', 230, 20, 16, 0],
    ['large', 230, 20, 90, 0],
    ['climbing by 8 degrees', 230, 20, 40, 8],
    ['falling by 8 degrees', 230, 20, 40, -8],
    ['faint', 200, 140, 40, 0],
  ])('%s is found where it is', (_name, ground, tone, size, tilt) => {
    const word = 'TERN'
    const board = new Board(480, 360, ground).write(word, 80, 150, size, tone, tilt)
    const width = (word.length * 5.6 - 1.6) * (size / 6)
    const box = { x: 80 / 480, y: 150 / 360, w: width / 480, h: size / 360 }
    expect(board.found).toHaveLength(1)
    if (tilt === 0) expect(holds(board.found[0]!, box)).toBeGreaterThan(0.95)
    expect(board.found[0]!.w).toBeLessThan(box.w * 1.5)
  })
  it('is called likely from six letters on, perhaps below', () => {
    const sure = (word: string) => new Board(640, 240).write(word, 40, 90, 40, 20).found.map((s) => s.sure)
    expect([sure('TERN'), sure('KELPTERN')]).toEqual([['perhaps'], ['likely']])
  })
  it('two lines are two places', () => {
    const board = new Board(480, 360).write('KELP', 60, 60, 40, 20).write('TIDE', 200, 240, 40, 20)
    expect(board.found).toHaveLength(2)
  })
  it('three letters, and letters of 5 pixels, are not seen: nothing found is no promise', () => {
    expect(new Board(480, 360).write('TEN', 80, 150, 40, 20).found).toEqual([])
    expect(new Board(480, 360).write('TERN', 80, 150, 5, 20).found).toEqual([])
  })
  it('a word that stands on its end is not seen', () => expect(new Board(480, 360).write('TERN', 200, 300, 40, 20, 90).found).toEqual([]))

  const next = seeded(3)
  const many = (n: number, draw: (b: Board, i: number) => void) => (b: Board) => Array.from({ length: n }, (_, i) => draw(b, i))
  test.each<[string, (b: Board) => unknown]>([
    ['nothing', () => undefined],
    ['one tone with noise', (b) => b.grey.forEach((g, i) => (b.grey[i] = g - Math.floor(next() * 30)))],
    ['a row of windows', many(9, (b, i) => b.box(20 + i * 48, 120, 26, 44, 40))],
    ['bars of a fence', many(14, (b, i) => b.box(12 + i * 33, 100, 14, 120 + (i % 3) * 6, 60))],
    ['stones on a beach', many(60, (b) => b.disc(next() * 480, next() * 360, 6 + next() * 12, 60 + Math.floor(next() * 100)))],
    ['portholes', many(8, (b, i) => b.disc(40 + i * 55, 180, 14, 30))],
    ['waves', many(6, (b, i) => b.line(0, 40 + i * 50, 479, 60 + i * 50, 3, 60))],
  ])('%s is not lettering', (_name, draw) => {
    const board = new Board(480, 360)
    draw(board)
    expect(board.found).toEqual([])
  })
  test.each([
    [1, 1],
    [23, 400],
    [400, 15],
    [30, 30],
  ])('%i x %i pixels are answered, and with nothing', (w, h) => expect(findLettering(new Uint8Array(w * h), w, h)).toEqual([]))
  it('fewer grey values than pixels are nothing to look at', () => expect(findLettering(new Uint8Array(10), 100, 100)).toEqual([]))

  it('of any picture: at most six places, inside it, the same again, the picture left as it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 30, max: 90 }), (seed, side) => {
        const random = seeded(seed)
        const grey = Uint8Array.from({ length: side * side }, () => (random() < 0.2 ? 20 : 220))
        const before = grey.slice()
        const found = findLettering(grey, side, side)
        expect(found.length).toBeLessThanOrEqual(6)
        for (const s of found) {
          expect(Math.min(s.x, s.y)).toBeGreaterThanOrEqual(0)
          expect(Math.max(s.x + s.w, s.y + s.h)).toBeLessThanOrEqual(1.0001)
          expect(Math.min(s.w, s.h)).toBeGreaterThan(0)
        }
        expect(findLettering(grey, side, side)).toEqual(found)
        expect(grey).toEqual(before)
      }),
      { seed: 17, numRuns: 60 },
    )
  })
})
