import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import {
  accordionStrip,
  blankMaterial,
  blankSurface,
  pictureSize,
  pieceKind,
  pieceKinds,
  panelMm,
  recipes,
  takesMaterial,
  takesPiece,
  woods,
} from '#core/recipe'

describe('the size of the picture', () => {
  it('is the face of flat pieces, as measured', () => {
    expect(pictureSize(pieceKind('plaque'), { widthMm: 177.8, heightMm: 127 })).toEqual({ widthMm: 177.8, heightMm: 127 })
  })
  it('is a motif on a candle’s front, as wide as it is', () =>
    expect(pictureSize(pieceKind('candle'), { widthMm: 70, heightMm: 100 })).toEqual({ widthMm: 70, heightMm: 100 }))
  it('goes once round a candle where the whole is wanted, with its overlap', () => {
    const at = pictureSize(pieceKind('candle'), { widthMm: 70, heightMm: 100 }, true)
    expect(at.widthMm).toBeCloseTo(Math.PI * 70 + 5, 3)
    expect(at.heightMm).toBe(100)
  })
  it('is the flat part of a stone', () =>
    expect(pictureSize(pieceKind('stone'), { widthMm: 100, heightMm: 80 })).toEqual({ widthMm: 80, heightMm: 64 }))
  it('is on the cover of a book', () =>
    expect(pictureSize(pieceKind('accordion'), { widthMm: 101.6, heightMm: 101.6 })).toEqual({ widthMm: 101.6, heightMm: 101.6 }))
  it('a 4 in cover with 1/8 in border gives a panel of 3 3/4 in, never nothing', () => {
    expect(panelMm(pieceKind('accordion'), 101.6)).toBe(95.25)
    expect(panelMm(pieceKind('accordion'), 3)).toBe(1)
    expect(panelMm(pieceKind('plaque'), 101.6)).toBe(101.6)
  })
  it('grows with what is measured', () => {
    const side = fc.integer({ min: 20, max: 900 })
    fc.assert(
      fc.property(side, side, fc.constantFrom(...pieceKinds), (a, b, kind) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)]
        const s = pictureSize(kind, { widthMm: small, heightMm: small })
        const l = pictureSize(kind, { widthMm: large, heightMm: large })
        expect(l.widthMm).toBeGreaterThanOrEqual(s.widthMm)
        expect(l.heightMm).toBeGreaterThanOrEqual(s.heightMm)
      }),
      { seed: 5, numRuns: 120 },
    )
  })
})

describe('an accordion strip', () => {
  test.each([
    [2, 2],
    [7, 8],
    [8, 8],
    [1, 2],
    [0, 2],
    [59, 60],
  ])('%i panels become %i', (asked, panels) => {
    expect(accordionStrip(95.25, asked)).toEqual({ panels, lengthMm: Number((panels * 95.25).toFixed(3)) })
  })
})

describe('surfaces and pieces', () => {
  test.each(woods.map((w) => [w.id, w] as const))('%s has its facts, and something makes it or a piece is made of it', (_id, w) => {
    expect(w.note).not.toBe('')
    expect(w.prepare).not.toBe('')
    expect(w.colour).toMatch(/^#[0-9A-F]{6}$/)
    expect(blankSurface(w.id)).toBe(w.surface)
    expect(pieceKinds.some((k) => k.id !== 'custom' && k.materials.includes(w.id))).toBe(true)
    expect([w.id, recipes.some((r) => takesMaterial(r, w.id))]).toEqual([w.id, true])
  })
  test.each(pieceKinds.map((k) => [k.id, k] as const))(
    '%s can be made, of known surfaces, and says how it dries and goes home',
    (_id, k) => {
      for (const m of k.materials) expect(blankMaterial(m)).toBeDefined()
      expect(recipes.some((r) => takesPiece(r, k))).toBe(true)
      expect(k.dries).not.toBe('')
      expect(k.goesHome).not.toBe('')
      expect(k.spacing.mark).toBe('E')
    },
  )
  it('a piece of one’s own kind may be of anything', () => expect(pieceKind('custom').materials).toEqual(woods.map((w) => w.id)))
})
