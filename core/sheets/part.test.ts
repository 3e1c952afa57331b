import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { areaBound } from './bound'
import { copyPart, leaf, listParts, piecesOf, putIn, putTogether, takeOut, type Part } from './part'
import { fillByPatterns, sheetsFrom, type Kind } from './patterns'
import { seeded } from './seeded'

/** What a part's size has to be, from its pieces. */
function sizeOf(p: Part): { w: number; h: number } {
  if (p.piece >= 0) return { w: p.w, h: p.h }
  const kids = p.kids.map(sizeOf)
  const sum = (side: 'w' | 'h') => kids.reduce((total, k) => total + k[side], 0)
  const most = (side: 'w' | 'h') => Math.max(...kids.map((k) => k[side]))
  return p.beside ? { w: sum('w'), h: most('h') } : { w: most('w'), h: sum('h') }
}
function sound(root: Part | undefined): void {
  if (!root) return
  for (const p of listParts(root)) {
    expect({ w: p.w, h: p.h }).toEqual(sizeOf(p))
    if (p.piece < 0) expect(p.kids.length).toBeGreaterThan(1)
    for (const k of p.kids) {
      expect(k.parent).toBe(p)
      // Rows alternate: a row in a row is one row.
      if (k.piece < 0) expect(k.beside).toBe(!p.beside)
    }
  }
}

describe('parts of a sheet', () => {
  it('stay as small as their pieces and their rows alternate, whatever goes in and out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const rnd = seeded(seed)
        let root: Part | undefined
        const inside = new Set<number>()
        for (let i = 0; i < 40; i++) {
          if (root && rnd() < 0.35) {
            const all = listParts(root)
            const part = all[Math.floor(rnd() * all.length)]!
            for (const p of piecesOf(part)) inside.delete(p)
            root = takeOut(root, part)
          } else {
            const made = leaf(i, 1 + Math.floor(rnd() * 9), 1 + Math.floor(rnd() * 9))
            inside.add(i)
            if (!root) root = made
            else {
              const all = listParts(root)
              const at = all[Math.floor(rnd() * all.length)]!
              if (at.piece < 0)
                root = at.parent
                  ? putIn(root, at, 'child', at.beside, made)
                  : putIn(root, at, rnd() < 0.5 ? 'child' : 'wrap', rnd() < 0.5 ? at.beside : !at.beside, made)
              else root = putIn(root, at, 'wrap', at.parent ? !at.parent.beside : rnd() < 0.5, made)
            }
          }
          expect(new Set(piecesOf(root))).toEqual(inside)
        }
      }),
      { seed: 47, numRuns: 40 },
    )
  })
  it('put together as rows, empty ones left out, a row in a row one row', () => {
    const row = putTogether(true, [leaf(0, 2, 3), undefined, putTogether(true, [leaf(1, 1, 1), leaf(2, 4, 2)])])!
    expect([row.w, row.h, row.kids.length]).toEqual([7, 3, 3])
    sound(row)
    expect(putTogether(false, [undefined, leaf(5, 1, 1)])!.piece).toBe(5)
    expect(putTogether(true, [])).toBeUndefined()
  })
  it('are copied whole: a change of the copy leaves the other', () => {
    const row = putTogether(true, [leaf(0, 2, 3), leaf(1, 1, 1)])!
    const copy = copyPart(row)
    sound(copy)
    takeOut(copy, copy.kids[0]!)
    expect(piecesOf(row)).toEqual([0, 1])
  })
})

const kind = (w: number, h: number, count: number, turn = true): Kind => ({ w, h, count, turn })
describe('all patterns of a sheet', () => {
  test.each<[string, Kind[], [number, number], number]>([
    ['one kind, two to a sheet', [kind(5, 7, 9)], [10, 7], 5],
    ['one that may not turn', [kind(7, 5, 9, false)], [10, 7], 9],
    ['the windmill that no cut parts needs two sheets', [kind(3, 2, 4), kind(1, 1, 1)], [5, 5], 2],
    ['nothing left over', [kind(2, 2, 25)], [10, 10], 1],
    ['mixed', [kind(6, 6, 4), kind(4, 4, 8)], [10, 10], 4],
  ])('%s', (_name, kinds, [w, h], bound) => expect(fillByPatterns(kinds, { w, h })!.bound).toBe(bound))
  it('bound no less than areas do, and no more than sheets that are really cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 2, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.boolean()), {
          minLength: 1,
          maxLength: 4,
        }),
        (list) => {
          const kinds = list.map(([w, h, n, turn]) => kind(w, h, n, turn))
          const sheet = { w: 12, h: 10 }
          const filling = fillByPatterns(kinds, sheet)!
          let next = 0
          const sheets = sheetsFrom(
            filling,
            kinds.map((k) => Array.from({ length: k.count }, () => next++)),
            kinds.map((k) => k.w * k.h),
          )
          for (const s of sheets) {
            sound(s)
            expect(s.w <= 12 && s.h <= 10).toBe(true)
          }
          expect(sheets.flatMap((s) => piecesOf(s)).sort((a, b) => a - b)).toEqual(Array.from({ length: next }, (_, i) => i))
          const area = Math.ceil(kinds.reduce((sum, k) => sum + k.w * k.h * k.count, 0) / 120 - 1e-9)
          expect(filling.bound).toBeGreaterThanOrEqual(area)
          expect(filling.bound).toBeLessThanOrEqual(sheets.length)
          expect(areaBound(kinds, sheet)).toBeLessThanOrEqual(sheets.length)
          expect(areaBound(kinds, sheet)).toBeGreaterThanOrEqual(area)
        },
      ),
      { seed: 53, numRuns: 120 },
    )
  })
  it('are not looked at where there are too many', () => {
    const odd = Array.from({ length: 12 }, (_, i) => kind(1_000_003 + 70_001 * i, 1_300_021 + 90_007 * i, 5))
    expect(fillByPatterns(odd, { w: 60_000_000, h: 80_000_000 })).toBeUndefined()
  })
})

describe('bounds by areas', () => {
  test.each<[string, Kind[], [number, number], number]>([
    ['nothing', [], [10, 10], 0],
    ['half and half', [kind(5, 10, 4)], [10, 10], 2],
    ['more than half: one a sheet', [kind(6, 6, 5)], [10, 10], 5],
    ['just over half of one side, and full in the other', [kind(10, 6, 3, false)], [10, 10], 3],
    ['a third and a hair', [kind(10, 4, 5, false)], [10, 11], 3],
  ])('%s', (_name, kinds, [w, h], bound) => expect(areaBound(kinds, { w, h })).toBe(bound))
})

it('the same seed gives the same numbers, evenly spread', () => {
  const [a, b] = [seeded(9), seeded(9)]
  const list = Array.from({ length: 4000 }, () => a())
  expect(list.slice(0, 50)).toEqual(Array.from({ length: 50 }, () => b()))
  expect(list.every((x) => x >= 0 && x < 1)).toBe(true)
  for (let i = 0; i < 10; i++) expect(list.filter((x) => x >= i / 10 && x < (i + 1) / 10).length).toBeGreaterThan(320)
})
