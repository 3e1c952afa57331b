import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { paperOf } from '#core/house'
import { asPractised } from '#core/figures'
import { planWorkshop } from '#core/plan'
import { onMarks } from './marks'
import type { CutTree } from '#core/sheets'
import {
  allOut,
  beginLayout,
  furnish,
  layPrints,
  missingFrom,
  printedIn,
  printsOf,
  shareCopies,
  stillToPrint,
  borderOf,
  rulerOf,
  windowOf,
  type LaidPrint,
  type Layout,
  type PrintedJob,
} from '#core/prints'
import { brokenOff, cautionsOf, freshPrinter, minutesFor, runJob, smearOf } from '#core/printer'
import { isRefusal } from '#core/reasons'
import { applyChanges, asItIs, setHeadcount, type Workshop } from '#core/workshop'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const all = demoWorkshops('2026-05-15')
const blocks = all.find((w) => w.id === 'lighthouse-blocks')!
const lanterns = all.find((w) => w.id === 'ferry-lanterns')!
const club = demoHouses[1]!
const room = { widthMm: 200, heightMm: 287 }
const a4 = paperOf('a4', club)
const planOf = (w: Workshop) => planWorkshop({ workshop: w, house: club, now })
const listOf = (w: Workshop) => printsOf(planOf(w), w, room)
const lay = (w: Workshop, steps = 100, locks: Workshop['locks'] = []): Layout => {
  const laid = layPrints({ prints: listOf(w), paper: a4, gutterMm: asPractised('gutter').value, locks, unit: 'mm' }, steps)
  if (isRefusal(laid)) throw new Error(laid.refused.what)
  return laid
}

it('people come in the order of their seats, each with its own seat, whatever order the list is in', () => {
  const w = demoWorkshops('2026-05-15').find((x) => x.id === 'lighthouse-blocks')!
  const house = demoHouses.find((h) => h.id === w.houseId)!
  const seatsOf = (workshop: typeof w) => {
    const plan = planWorkshop({ workshop, house, now: '2026-05-15T15:00:00-04:00[America/New_York]' })
    const prints = printsOf(plan, workshop, { widthMm: 200, heightMm: 280 }).filter((p) => p.purpose === 'piece')
    return {
      inOrder: prints.filter((p) => p.picture).map((p) => p.seat),
      byPerson: Object.fromEntries(prints.map((p) => [p.participant, p.seat])),
      plan,
    }
  }
  const turned = { ...w, group: { ...w.group, participants: [...w.group.participants].reverse() } }
  const [a, b] = [seatsOf(w), seatsOf(turned)]
  expect(b.byPerson).toEqual(a.byPerson)
  expect(b.inOrder).toEqual(a.inOrder)
  expect([...a.inOrder].sort()).toEqual(a.inOrder)
  expect(a.byPerson).toEqual(a.plan.seats)
})

describe('the prints of a workshop', () => {
  it('are everybody’s own, their copies and the samples, as many as the plan says', () => {
    const prints = listOf(blocks)
    const plan = planOf(blocks)
    expect(prints).toHaveLength(plan.print.prints)
    expect(new Set(prints.map((p) => p.id)).size).toBe(prints.length)
    expect(prints.filter((p) => p.purpose === 'copy')).toHaveLength(16 * (plan.print.copies - 1))
    expect(prints.slice(0, plan.samples.count).every((p) => p.purpose === 'sample')).toBe(true)
  })
  it('come table by table; whose picture is not in comes after', () => {
    const own = listOf(blocks).filter((p) => p.purpose === 'piece')
    const seats = own.map((p) => blocks.group.participants.find((x) => x.id === p.participant)!.seat)
    const [ready, waiting] = [own.filter((p) => p.picture), own.filter((p) => !p.picture)]
    expect(own).toEqual([...ready, ...waiting])
    expect(seats.slice(0, ready.length)).toEqual([...seats.slice(0, ready.length)].sort((a, b) => a - b))
    expect(waiting.map((p) => p.label)).toEqual(['Emry', 'Ana', 'Jory'])
  })
  it('of the house go round: each picture as often as the others', () => {
    const counts = [...shareCopies(listOf(lanterns)).values()]
    expect(counts).toHaveLength(3)
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(2)
    expect(listOf(lanterns).some((p) => p.purpose === 'spare')).toBe(true)
  })
  it('stand in for own ones when they may', () => {
    const house = { ...blocks.pictures![0]!, id: 'h', participant: null }
    const w = { ...blocks, pictures: [...blocks.pictures!, house] }
    expect(listOf(w).some((p) => !p.picture)).toBe(true)
    expect(listOf({ ...w, choices: { ...w.choices, standIn: true } }).some((p) => !p.picture)).toBe(false)
  })
  it('carry seats where nobody is named, and grow by the border to hold', () => {
    expect(listOf(lanterns).find((p) => p.purpose === 'piece')!.label).toBe('A1')
    const bordered = { ...lanterns, pictures: lanterns.pictures!.map((p) => ({ ...p, edit: { ...asItIs, borderMm: 5 } })) }
    const [plain, wide] = [listOf(lanterns)[0]!, listOf(bordered)[0]!]
    expect([wide.widthMm - plain.widthMm, wide.heightMm - plain.heightMm]).toEqual([10, 10])
  })
  it('none for nobody', () => {
    const edit = setHeadcount(blocks, 0, [])
    expect(listOf(applyChanges<Workshop>(blocks, edit.changes)!)).toEqual([])
  })
  it('larger than the paper come in tiles that overlap and cover all of it', () => {
    const size = (mm: number) => ({ mm, text: `${mm} mm` })
    const w: Workshop = {
      ...lanterns,
      designs: [
        {
          ...lanterns.designs[0]!,
          kind: 'panel',
          material: 'panel',
          recipe: { id: 'quick-peel', version: 1 },
          width: size(500),
          height: size(300),
        },
      ],
      choices: { ...lanterns.choices, tile: true },
    }
    const one = listOf(w).filter((p) => p.id.startsWith('ferry-lanterns-p1-tile'))
    expect(one).toHaveLength(4)
    for (const p of one) expect(Math.max(p.widthMm, p.heightMm) <= 287 && Math.min(p.widthMm, p.heightMm) <= 200).toBe(true)
    const { columns, rows } = one[0]!.part!
    const right = Math.max(...one.map((p) => p.part!.xMm + p.widthMm))
    const top = Math.max(...one.map((p) => p.part!.yMm + p.heightMm))
    expect([columns * rows, right, top]).toEqual([4, expect.closeTo(500, 2), expect.closeTo(300, 2)])
    expect(planOf(w).print.sheets).toBe(4 * planOf(w).print.prints)
  })
})

describe('the layout', () => {
  it('has every print once, as many sheets as the plan says, people in their order', () => {
    const laid = lay(blocks)
    const placed = laid.sheets.flatMap((s) => s.places.map((p) => p.print.id))
    expect([...placed].sort()).toEqual(
      listOf(blocks)
        .map((p) => p.id)
        .sort(),
    )
    expect(laid.sheets).toHaveLength(planOf(blocks).print.sheets)
    expect(laid.lowerBound).toBe(laid.sheets.length)
    expect(placed).toEqual(listOf(blocks).map((p) => p.id))
  })
  it('is the same again for the same steps, so that the server prints what the screen shows', () => {
    expect(JSON.stringify(lay(blocks, 60))).toBe(JSON.stringify(lay(blocks, 60)))
  })
  it('says which sheets wait for a picture', () => {
    const laid = lay(blocks)
    expect(laid.sheets.filter((s) => s.waits).every((s) => s.places.some((p) => !p.print.picture))).toBe(true)
    expect(laid.sheets.some((s) => s.waits)).toBe(true)
  })
  it('gangs 400 people’s pictures with their copies, and refuses more than it can, kindly', () => {
    const one = listOf(blocks).find((p) => p.picture)!
    const many = (n: number) => Array.from({ length: n }, (_, i) => ({ ...one, id: `p${i}` }))
    const ask = { paper: a4, gutterMm: 6, locks: [], unit: 'mm' as const }
    const laid = layPrints({ prints: many(2004), ...ask }, 10)
    expect(isRefusal(laid) ? laid : [laid.sheets.length, laid.lowerBound]).toEqual([1002, 1002])
    const off = layPrints({ prints: many(4001), ...ask }, 10)
    expect(isRefusal(off) && off.refused).toMatchObject({ what: '4001 prints are too many at once', remedies: expect.any(Array) })
  })
  it('keeps what is locked by hand, says who it is when it cannot stay', () => {
    const id = 'lighthouse-blocks-p3'
    const laid = lay(blocks, 60, [{ id, sheet: 0, xMm: 40, yMm: 5, turned: false }])
    expect(laid.sheets[0]!.places.find((p) => p.print.id === id)).toMatchObject({ xMm: 40, yMm: 5, locked: true })
    const off = beginLayout({
      prints: listOf(blocks),
      paper: a4,
      gutterMm: 6,
      locks: [{ id, sheet: 0, xMm: 190, yMm: 5, turned: false }],
      unit: 'mm',
    })
    expect(isRefusal(off) && off.refused.what).toMatch(/^Kit cannot stay there/)
    expect(lay(blocks, 10, [{ id: 'somebody-gone', sheet: 0, xMm: 1, yMm: 1, turned: false }]).sheets).toHaveLength(18)
  })
  it('refuses what no sheet holds, with ways out', () => {
    const large = listOf(blocks).map((p) => ({ ...p, widthMm: 400, heightMm: 300 }))
    const laid = layPrints({ prints: large, paper: a4, gutterMm: 6, locks: [], unit: 'mm' })
    expect(isRefusal(laid) && laid.refused).toMatchObject({
      what: expect.stringContaining('400 mm × 300 mm'),
      remedies: expect.arrayContaining([expect.stringContaining('tile')]),
    })
  })
})

describe('cuts on the marks of a ruler', () => {
  const moths = all.find((w) => w.id === 'moths-of-the-marsh')!
  const letter = paperOf('letter', demoHouses[0]!)
  const sheetsIn = (unit: 'in' | 'mm') => {
    const plan = planWorkshop({ workshop: moths, house: demoHouses[0]!, now })
    const laid = layPrints({ prints: printsOf(plan, moths, room), paper: letter, gutterMm: 6, locks: [], unit }, 50)
    if (isRefusal(laid)) throw new Error(laid.refused.what)
    return laid.sheets
  }
  test.each([
    ['in', 25.4 / 16],
    ['mm', 1],
  ] as const)('%s: each stop is one, no cut touches a picture, and each picture stays whole in its part', (unit, mark) => {
    for (const s of sheetsIn(unit)) {
      for (const c of s.cuts) {
        expect(Math.abs(c.stopMm / mark - Math.round(c.stopMm / mark))).toBeLessThan(1e-4)
        for (const p of s.places) {
          const [low, high] = c.cut === 'down' ? [p.xMm, p.xMm + p.widthMm] : [p.yMm, p.yMm + p.heightMm]
          const [from, to] = c.cut === 'down' ? [p.yMm, p.yMm + p.heightMm] : [p.xMm, p.xMm + p.widthMm]
          expect(c.atMm > low - 0.49 && c.atMm < high + 0.49 && c.fromMm < to && c.toMm > from).toBe(false)
        }
      }
      expect(checkCuts(s.tree, s.places, letter)).toEqual([])
    }
  })
  it('a cut that its mark would bring to a picture stays where it is', () => {
    const place = { xMm: 10, yMm: 10, widthMm: 20.2, heightMm: 20 }
    const tree = { cut: 'down', atMm: 30.4, first: { place: 0 }, second: { offcut: true } } as const
    expect(onMarks(tree, [place], { widthMm: 100, heightMm: 100 }, 'mm')).toMatchObject({ atMm: 30.4 })
    expect(onMarks(tree, [{ ...place, widthMm: 18 }], { widthMm: 100, heightMm: 100 }, 'mm')).toMatchObject({ atMm: 30 })
  })
  it('a border that makes it too large is named first', () => {
    const wide = listOf(blocks).map((p) => ({
      ...p,
      widthMm: 210,
      heightMm: 210,
      picture: p.picture && { ...p.picture, edit: { ...asItIs, borderMm: 10 } },
    }))
    const said = layPrints({ prints: wide, paper: a4, gutterMm: 6, locks: [], unit: 'mm' })
    expect(isRefusal(said) && said.refused.remedies[0]).toBe('make the border to hold smaller')
  })
  it('a refusal speaks in what the house measures in', () => {
    const plan = planWorkshop({ workshop: moths, house: demoHouses[0]!, now })
    const large = printsOf(plan, moths, room).map((p) => ({ ...p, widthMm: 355.6, heightMm: 254 }))
    const said = layPrints({ prints: large, paper: letter, gutterMm: 6, locks: [], unit: 'in' })
    expect(isRefusal(said) && [said.refused.what, said.refused.why]).toEqual([
      '14 in × 10 in is larger than this paper prints',
      'printable are 8 in × 10 ½ in',
    ])
  })
})

/** Follows the cuts: what they leave of the sheet for each picture must hold it, alone. */
function checkCuts(tree: CutTree, places: readonly LaidPrint[], paper: { widthMm: number; heightMm: number }): string[] {
  const seen = new Set<number>()
  const walk = (t: CutTree, x: number, y: number, endX: number, endY: number): string[] => {
    if ('offcut' in t) return []
    if ('place' in t) {
      seen.add(t.place)
      const p = places[t.place]!
      return p.xMm >= x - 1e-6 && p.yMm >= y - 1e-6 && p.xMm + p.widthMm <= endX + 1e-6 && p.yMm + p.heightMm <= endY + 1e-6
        ? []
        : [`${p.print.id} is cut`]
    }
    return t.cut === 'down'
      ? [...walk(t.first, x, y, t.atMm, endY), ...walk(t.second, t.atMm, y, endX, endY)]
      : [...walk(t.first, x, y, endX, t.atMm), ...walk(t.second, x, t.atMm, endX, endY)]
  }
  const wrong = walk(tree, 0, 0, paper.widthMm, paper.heightMm)
  return seen.size === places.length ? wrong : [...wrong, 'a picture has no part']
}

describe('what stands in the waste', () => {
  const boxes = (w: Workshop) =>
    lay(w).sheets.map((s) => {
      const f = furnish(s, a4, asPractised('gutter').value, 'metric')
      return { places: s.places, lines: [...f.tabs, f.bar, f.list].filter((l) => l !== undefined), f }
    })
  test.each([
    ['own blocks', blocks],
    ['lanterns', lanterns],
  ])('lies on no picture and inside what the printer reaches: %s', (_name, w) => {
    for (const { places, lines } of boxes(w))
      for (const l of lines) {
        expect(l.xMm >= 5 - 1e-6 && l.yMm >= 5 - 1e-6 && l.xMm + l.widthMm <= 205.001 && l.yMm + l.heightMm <= 292.001).toBe(true)
        for (const p of places)
          expect(
            l.xMm < p.xMm + p.widthMm - 1e-6 &&
              p.xMm < l.xMm + l.widthMm - 1e-6 &&
              l.yMm < p.yMm + p.heightMm - 1e-6 &&
              p.yMm < l.yMm + l.heightMm - 1e-6,
          ).toBe(false)
      }
  })
  it('gives every print a tab, and a sheet with room a bar of 100 mm, or 4 in', () => {
    for (const { f } of boxes(blocks))
      expect([f.tabs.every(Boolean), f.bar && Math.max(f.bar.widthMm, f.bar.heightMm)]).toEqual([true, 100])
    const s = lay(blocks).sheets[0]!
    const { bar } = furnish(s, a4, 6, 'imperial')
    expect(Math.max(bar!.widthMm, bar!.heightMm)).toBe(101.6)
  })
  test.each([
    ['metric', 100, 9, { lengthMm: 100, ticksMm: [0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100], says: '100 mm', narrow: false }],
    ['imperial', 101.6, 4.2, { lengthMm: 101.6, ticksMm: [0, 25.4, 50.8, 76.2, 101.6], says: '4 in', narrow: true }],
    ['metric', 20, 9, { lengthMm: 20, ticksMm: [0, 10, 20], says: '20 mm', narrow: false }],
  ] as const)('a %s bar of %d x %d mm, lying or standing, is one ruler', (units, long, high, ruler) => {
    expect(rulerOf({ xMm: 0, yMm: 0, widthMm: long, heightMm: high }, units)).toEqual(ruler)
    expect(rulerOf({ xMm: 0, yMm: 0, widthMm: high, heightMm: long }, units)).toEqual(ruler)
  })
  it('is a narrow bar of full length before a shorter one, where the waste is a strip', () => {
    const s = lay(blocks).sheets[0]!
    const strip = {
      places: [{ ...s.places[0]!, xMm: 5, yMm: 14, widthMm: 200, heightMm: 278 }],
      tree: { cut: 'across', atMm: 11, first: { offcut: true }, second: { place: 0 } } as const,
    }
    const { bar, list } = furnish(strip, a4, 6, 'metric')
    expect([bar!.widthMm, bar!.heightMm, bar!.yMm]).toEqual([100, 4.2, 6 - 1])
    expect(list!.xMm).toBeGreaterThanOrEqual(bar!.xMm + bar!.widthMm)
  })
  it('is left out where there is none', () => {
    const s = lay(blocks).sheets[0]!
    const full = { places: [{ ...s.places[0]!, xMm: 5, yMm: 5, widthMm: 200, heightMm: 287 }], tree: { place: 0 } }
    expect(furnish(full, a4, 6, 'metric')).toEqual({ tabs: [undefined] })
  })
})

describe('the out-tray', () => {
  const job: PrintedJob = { id: 'j', sheets: [{ prints: ['a', 'b'] }, { prints: ['c'] }, { prints: ['d', 'e'] }], printed: 1, redo: ['b'] }
  it('knows what came out, what is missing and what is wanted again', () => {
    expect([...printedIn([job]).keys()]).toEqual(['a'])
    expect(missingFrom(job)).toEqual(['c', 'd', 'e'])
    const prints = listOf(blocks)
      .slice(0, 2)
      .map((p, i) => ({ ...p, id: ['a', 'b'][i]! }))
    expect(stillToPrint(prints, [job]).map((p) => p.id)).toEqual(['b'])
  })
})

test('a picture that is larger than the paper only with its border is printed without, one that is larger anyway in tiles without', () => {
  const [p] = blocks.pictures!.filter((x) => x.participant)
  const of = (mm: number) => {
    const big: Workshop = {
      ...blocks,
      choices: { ...blocks.choices, tile: true },
      designs: [{ ...blocks.designs[0]!, width: { mm, text: `${mm} mm` }, height: { mm, text: `${mm} mm` } }],
      pictures: [{ ...p!, edit: { ...asItIs, borderMm: 10 } }],
    }
    return listOf(big).filter((x) => x.participant === p!.participant && x.purpose === 'piece')
  }
  expect(of(150).map((x) => [x.widthMm, borderOf(x)])).toEqual([[170, 10]])
  expect(of(195).map((x) => [x.widthMm, x.heightMm, borderOf(x)])).toEqual([[195, 195, 0]])
  const tiles = of(390)
  expect(tiles.map((x) => borderOf(x))).toEqual([0, 0, 0, 0])
  // Together, less their overlaps, they are the picture, whole.
  expect(2 * tiles[0]!.widthMm - 10).toBeCloseTo(390, 3)
})

test('a tile shows its part of the whole, from the upper left; what is no tile shows all of it', () => {
  const part = { column: 1, row: 0, columns: 2, rows: 2, xMm: 160, yMm: 0 }
  expect(windowOf({ part, widthMm: 170, heightMm: 140 }, { widthMm: 330, heightMm: 260 })).toEqual({
    x: 0.484848,
    y: 0.461538,
    w: 0.515152,
    h: 0.538462,
  })
  expect(windowOf({ widthMm: 170, heightMm: 140 }, { widthMm: 170, heightMm: 140 })).toEqual({ x: 0, y: 0, w: 1, h: 1 })
})

describe('a person’s print', () => {
  const tile = (participant: string, k: number) => ({
    ...listOf(blocks)[8]!,
    id: `${participant}-tile-${k}`,
    participant,
    purpose: 'piece' as const,
  })
  const prints = [...listOf(blocks), tile('big', 1), tile('big', 2)]
  const one = listOf(blocks).find((p) => p.purpose === 'piece')!
  test.each<[string, string, string[], boolean]>([
    ['is out when it is', one.participant!, [one.id], true],
    ['is not out when only its copy is', one.participant!, [`${one.id}-copy-2`], false],
    ['in tiles is not out while one is missing', 'big', ['big-tile-1'], false],
    ['in tiles is out when all are', 'big', ['big-tile-1', 'big-tile-2'], true],
    ['of nobody is not out', 'nobody', [], false],
  ])('%s', (_name, who, out, is) => expect(allOut(prints, { participant: who, number: 1 }, new Set(out))).toBe(is))
  it('of one of two pieces is out without the other’s', () => {
    const pair = [1, 2].map((number) => ({ ...tile('two', number), number }))
    const out = (number: number) => allOut(pair, { participant: 'two', number }, new Set(['two-tile-1']))
    expect([out(1), out(2)]).toEqual([true, false])
  })
})

describe('the simulated printer', () => {
  const fresh = freshPrinter('toner', 'a4')
  test.each([
    ['runs', fresh, 5, 'a4', { printed: 5, lost: 0, stopped: null }],
    ['jams in the middle', { ...fresh, letIt: 'jam' as const }, 5, 'a4', { printed: 2, lost: 1, stopped: 'jam' }],
    ['jams on a single sheet', { ...fresh, letIt: 'jam' as const }, 1, 'a4', { printed: 0, lost: 1, stopped: 'jam' }],
    ['runs low', { ...fresh, letIt: 'low' as const }, 5, 'a4', { printed: 2, lost: 0, stopped: 'empty' }],
    ['is empty before it begins', { ...fresh, level: 0 }, 2, 'a4', { printed: 0, lost: 0, stopped: 'empty' }],
    ['does not start with the wrong paper', fresh, 2, 'letter', { printed: 0, lost: 0, stopped: 'wrong-paper' }],
    ['has nothing to do', fresh, 0, 'a4', { printed: 0, lost: 0, stopped: null }],
  ])('%s', (_name, printer, sheets, paper, expected) => {
    const ran = runJob(printer, sheets, paper)
    expect(ran).toMatchObject(expected)
    expect(ran.printer.level).toBeGreaterThanOrEqual(0)
  })
  it('does what it was told once', () => expect(runJob({ ...fresh, letIt: 'jam' }, 4, 'a4').printer.letIt).toBe('run'))
  it('says beforehand that it will run out, how long it takes, what to do after a stop', () => {
    expect([brokenOff(fresh, 34), brokenOff(fresh, 35)]).toEqual([false, true])
    expect([minutesFor('toner', 1), minutesFor('toner', 45), minutesFor('inkjet', 6)]).toEqual([1, 3, 2])
    expect(cautionsOf.jam.join()).toMatch(/hot part cool/)
    expect([smearOf('toner'), smearOf('inkjet')]).toEqual(['passed', 'failed'])
  })
})
