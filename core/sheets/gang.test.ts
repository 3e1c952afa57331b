import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { checkSheets, cutList, Ganging, gangSheets, seeded, sheetsInput, type Ganged, type Lock } from '#core/sheets'

const letter = { widthMm: 215.9, heightMm: 279.4, marginMm: 6.35 }
const a4 = { widthMm: 210, heightMm: 297, marginMm: 5 }
const picture = (id: string, widthMm: number, heightMm: number, count: number, mayTurn = true) => ({
  id,
  widthMm,
  heightMm,
  count,
  mayTurn,
})
const read = (sheet: typeof letter, gutterMm: number, ...pictures: ReturnType<typeof picture>[]) =>
  readInput(sheetsInput, { sheet, gutterMm, pictures })
function ganged(input: ReturnType<typeof read>, options: Parameters<typeof gangSheets>[1] = {}): Ganged {
  const answer = gangSheets(input, options)
  if (isRefusal(answer)) throw new Error(answer.refused.what)
  expect(checkSheets(input, answer.sheets)).toEqual([])
  return answer
}

describe('prints on sheets', () => {
  test.each<[string, ReturnType<typeof read>, number]>([
    ['nothing', read(letter, 6), 0],
    ['one print', read(letter, 6, picture('moth', 127, 178, 1)), 1],
    ['two 5 x 7 in side by side, lying', read(letter, 6, picture('moth', 127, 177.8, 2)), 1],
    ['three 5 x 7 in', read(letter, 6, picture('moth', 127, 177.8, 3)), 2],
    ['exactly the printable area', read(a4, 6, picture('moth', 200, 287, 2)), 2],
    ['may not be turned', read(a4, 6, picture('moth', 150, 100, 4, false), picture('kelp', 100, 150, 2, false)), 3],
    ['large and small: the small ones beside the large', read(a4, 4, picture('ferry', 120, 200, 3), picture('token', 60, 80, 9)), 3],
    ['no gutter', read({ ...a4, marginMm: 0 }, 0, picture('quarter', 105, 148.5, 8)), 2],
    ['three and a half of a kind to a sheet', read(a4, 5, picture('moth', 89, 127, 9)), 3],
  ])('%s', (_name, input, sheets) => {
    const answer = ganged(input)
    expect(answer.sheets).toHaveLength(sheets)
    expect(answer.lowerBound).toBe(sheets)
  })
  test.each([1, 2, 3, 4])('as many steps as it was found at give the same answer again, whatever was tried after (%i)', (seed) => {
    const next = seeded(seed)
    const many = Array.from({ length: 9 }, (_, i) => picture(`p${i}`, 40 + Math.floor(next() * 110), 40 + Math.floor(next() * 150), 2))
    const input = read(a4, 6, ...many)
    const long = ganged(input, { steps: 2500 })
    expect(long.foundAt).toBeLessThanOrEqual(long.steps)
    const again = ganged(input, { steps: long.foundAt })
    expect(again.sheets).toEqual(long.sheets)
    expect(again.foundAt).toBe(long.foundAt)
  })
  it('leaves most of the last sheet whole', () => {
    const answer = ganged(read(a4, 0, picture('moth', 100, 95, 7)))
    // Six on the first; the seventh lies in a corner of the second and a rectangle of at least half stays.
    expect(answer.sheets.map((s) => s.places.length)).toEqual([6, 1])
    expect(answer.wholeLeft).toBeGreaterThan(0.6)
  })
  it('refuses what is larger than the sheet prints, by name, with ways out', () => {
    const answer = gangSheets(read(a4, 6, picture('banner', 400, 100, 1), picture('moth', 50, 50, 1), picture('tall', 290, 190, 1, false)))
    expect(answer).toMatchObject({ refused: { remedies: ['make them smaller', expect.stringContaining('tile'), expect.any(String)] } })
    expect(isRefusal(answer) && answer.refused.what).toMatch(/banner, tall/)
  })
  test.each<[string, unknown, string]>([
    ['no printable area', { sheet: { ...a4, marginMm: 105 }, gutterMm: 0, pictures: [] }, 'sheet'],
    ['a picture of nothing', { sheet: a4, gutterMm: 0, pictures: [picture('x', 0, 10, 1)] }, 'pictures.0.widthMm'],
    ['half a print', { sheet: a4, gutterMm: 0, pictures: [picture('x', 10, 10, 0.5)] }, 'pictures.0.count'],
    ['one id twice', { sheet: a4, gutterMm: 0, pictures: [picture('x', 10, 10, 1), picture('x', 20, 10, 1)] }, 'pictures'],
    ['too many', { sheet: a4, gutterMm: 0, pictures: [picture('x', 10, 10, 2001), picture('y', 10, 10, 2000)] }, 'pictures'],
  ])('says what and where: %s', (_name, input, path) => {
    try {
      readInput(sheetsInput, input)
      expect.unreachable()
    } catch (e) {
      expect((e as BadInput).path).toBe(path)
    }
  })
})

describe('any prints', () => {
  const any = fc.record({
    sheet: fc.constantFrom(letter, a4, { widthMm: 120, heightMm: 90, marginMm: 0 }),
    gutterMm: fc.constantFrom(0, 1, 3, 6, 12.5),
    pictures: fc.array(
      fc.record({
        w: fc.integer({ min: 40, max: 1600 }).map((x) => x / 20),
        h: fc.integer({ min: 40, max: 1600 }).map((x) => x / 20),
        count: fc.integer({ min: 0, max: 12 }),
        mayTurn: fc.boolean(),
      }),
      { maxLength: 8 },
    ),
  })
  it('lie inside, apart, cuttable, each once; no fewer than the bound; again the same', () => {
    fc.assert(
      fc.property(any, ({ sheet, gutterMm, pictures }) => {
        const input = read(sheet, gutterMm, ...pictures.map((p, i) => picture(`p${i}`, p.w, p.h, p.count, p.mayTurn)))
        const answer = ganged(input, { steps: 40 })
        expect(answer.sheets.length).toBeGreaterThanOrEqual(answer.lowerBound)
        expect(gangSheets(input, { steps: 40 })).toEqual(answer)
      }),
      { seed: 29, numRuns: 60 },
    )
  })
  it('never need more sheets with more steps', () => {
    fc.assert(
      fc.property(any, ({ sheet, gutterMm, pictures }) => {
        const input = read(sheet, gutterMm, ...pictures.map((p, i) => picture(`p${i}`, p.w, p.h, p.count, p.mayTurn)))
        expect(ganged(input, { steps: 120 }).sheets.length).toBeLessThanOrEqual(ganged(input, { steps: 10 }).sheets.length)
      }),
      { seed: 31, numRuns: 25 },
    )
  })
  it('prove no bound above what is found by trying all ways: at most four prints on two sheets', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 4, max: 12 }), fc.integer({ min: 4, max: 12 })), { minLength: 1, maxLength: 4 }),
        (sizes) => {
          const input = read({ widthMm: 12, heightMm: 12, marginMm: 0 }, 0, ...sizes.map(([w, h], i) => picture(`p${i}`, w, h, 1)))
          expect(ganged(input, { steps: 60 }).lowerBound).toBeLessThanOrEqual(fewestByTrying(sizes, 12))
        },
      ),
      { seed: 37, numRuns: 60 },
    )
  })
})

/** Fewest square sheets for a few pieces: every way to share them out, every way to cut. */
function fewestByTrying(sizes: [number, number][], side: number): number {
  const fits = (list: [number, number][], w: number, h: number): boolean => {
    if (list.length === 0) return true
    if (list.length === 1) return list[0]!.some((_, t) => list[0]![t]! <= w && list[0]![1 - t]! <= h)
    for (let mask = 1; mask < (1 << list.length) - 1; mask++) {
      const [a, b] = [list.filter((_, i) => mask & (1 << i)), list.filter((_, i) => !(mask & (1 << i)))]
      for (let at = 1; at < w; at++) if (fits(a, at, h) && fits(b, w - at, h)) return true
      for (let at = 1; at < h; at++) if (fits(a, w, at) && fits(b, w, h - at)) return true
    }
    return false
  }
  const share = (left: [number, number][], sheets: [number, number][][]): number => {
    const [next, ...rest] = left
    if (!next) return sheets.length
    const tries = [...sheets.map((_, i) => sheets.map((s, k) => (k === i ? [...s, next] : s))), [...sheets, [next]]]
    return Math.min(...tries.filter((t) => t.every((s) => fits(s, side, side))).map((t) => share(rest, t)))
  }
  return share(sizes, [])
}

describe('the cuts', () => {
  it('are listed in the order a trimmer takes them, with the length at the stop', () => {
    const input = read(a4, 6, picture('moth', 97, 140, 4))
    const [sheet] = ganged(input).sheets
    const cuts = cutList(sheet!.cuts, a4)
    expect(cuts.map((c) => c.number)).toEqual(cuts.map((_, i) => i + 1))
    expect(cuts[0]).toMatchObject({ fromMm: 0, block: { xMm: 0, yMm: 0, widthMm: 210, heightMm: 297 } })
    for (const c of cuts) {
      const down = c.cut === 'down'
      expect(c.stopMm).toBeCloseTo(c.atMm - (down ? c.block.xMm : c.block.yMm), 6)
      expect(c.toMm - c.fromMm).toBeCloseTo(down ? c.block.heightMm : c.block.widthMm, 6)
    }
  })
  it('run in the middle of the gutter and never off the sheet', () => {
    const edge = { widthMm: 100, heightMm: 100, marginMm: 0 }
    const answer = ganged(read(edge, 10, picture('a', 45, 98, 1), picture('b', 45, 100, 1)))
    const cuts = cutList(answer.sheets[0]!.cuts, edge)
    expect(cuts.map((c) => [c.cut, c.atMm])).toEqual([['down', 50]])
  })
})

describe('locked prints', () => {
  const input = read(a4, 6, picture('moth', 90, 60, 8), picture('kelp', 60, 60, 4))
  const lock = (more: Partial<Lock>): Lock => ({ sheet: 0, id: 'moth', copy: 0, xMm: 50, yMm: 100, turned: false, ...more })
  test.each<[string, Lock[]]>([
    ['one in the middle', [lock({})]],
    ['one in the corner', [lock({ xMm: 5, yMm: 5 })]],
    ['one turned, at the right edge', [lock({ xMm: 145, yMm: 5, turned: true })]],
    ['two in line, and one on another sheet', [lock({ xMm: 5 }), lock({ copy: 1, xMm: 101 }), lock({ copy: 2, sheet: 3 })]],
    [
      'all of a picture',
      [0, 1, 2, 3].map((copy) => lock({ id: 'kelp', copy, xMm: 5 + 66 * (copy % 2), yMm: 5 + 66 * Math.floor(copy / 2) })),
    ],
  ])('stay, and the rest re-gangs round them: %s', (_name, locks) => {
    const answer = ganged(input, { locks, steps: 60 })
    const locked = answer.sheets.flatMap((s) => s.places.filter((p) => p.locked))
    expect(locked.map(({ id, copy, xMm, yMm, turned }) => ({ id, copy, xMm, yMm, turned }))).toEqual(
      locks.map(({ id, copy, xMm, yMm, turned }) => ({ id, copy, xMm, yMm, turned })),
    )
    expect(answer.sheets.length).toBeLessThanOrEqual(locks.some((l) => l.sheet > 0) ? 3 : 2)
  })
  test.each<[string, Lock[], RegExp]>([
    ['over the edge', [lock({ xMm: 130 })], /inside the dotted line/],
    ['over another', [lock({}), lock({ copy: 1, xMm: 60 })], /move it away/],
    ['nearer than the gutter', [lock({ xMm: 5 }), lock({ copy: 1, xMm: 97 })], /move it away/],
    [
      'round a windmill, which no straight cut parts',
      [
        lock({ copy: 0, xMm: 5, yMm: 5 }),
        lock({ copy: 1, xMm: 101, yMm: 5, turned: true }),
        lock({ copy: 2, xMm: 71, yMm: 101 }),
        lock({ copy: 3, xMm: 5, yMm: 71, turned: true }),
      ],
      /in line/,
    ],
  ])('are refused where they cannot stay: %s', (_name, locks, remedy) => {
    const answer = Ganging.begin(input, { locks })
    expect(isRefusal(answer) && answer.refused.remedies.join()).toMatch(remedy)
  })
  it('leave the smallest of places to others', () => {
    const answer = ganged(input, { locks: [lock({ xMm: 5, yMm: 5 })], steps: 400 })
    expect(answer.sheets).toHaveLength(2)
  })
})

describe('an arrangement that is checked', () => {
  const input = read(a4, 6, picture('moth', 90, 60, 2))
  const good = ganged(input).sheets
  const changed = (change: (s: (typeof good)[0]) => unknown) => {
    const copy = structuredClone(good)
    change(copy[0]!)
    return checkSheets(input, copy)
  }
  it('is right as it was made', () => expect(checkSheets(input, good)).toEqual([]))
  test.each<[string, (s: (typeof good)[0]) => unknown, RegExp]>([
    ['over the edge', (s) => (s.places[0]!.xMm = 0), /is not inside/],
    ['too near', (s) => ((s.places[1]!.xMm = s.places[0]!.xMm), (s.places[1]!.yMm = s.places[0]!.yMm)), /nearer to moth than the gutter/],
    ['twice', (s) => (s.places[1]!.copy = s.places[0]!.copy), /there twice/],
    ['of nobody', (s) => (s.places[1]!.id = 'owl'), /owl \d is no print/],
    ['missing', (s) => s.places.pop(), /missing/],
    ['cut through', (s) => ((s.cuts as { atMm: number }).atMm = s.places[0]!.yMm + 30), /through a print|outside|holds/],
    ['cut off the sheet', (s) => ((s.cuts as { atMm: number }).atMm = 300), /outside its part/],
  ])('is wrong when a print is %s', (_name, change, said) => expect(changed(change).join()).toMatch(said))
})
