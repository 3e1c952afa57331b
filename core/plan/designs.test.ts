import { wayOf } from '#core/sessions'
import { describe, expect, it, test } from 'vitest'
import * as v from 'valibot'
import { demoHouses, demoWorkshops } from '#core/demo'
import { difference, planOf, planWorkshop, type Plan } from '#core/plan'
import { findMethods } from '#core/finder'
import { phrases, sheetText } from '#core/phrases'
import { printsOf } from '#core/prints'
import { isRefusal } from '#core/reasons'
import {
  addDesign,
  applyChanges,
  copyOf,
  inverse,
  makersOf,
  newPiece,
  piecesOf,
  removeDesign,
  setMakes,
  summaryOf,
  workshopShape,
  type Change,
  type Design,
  type Workshop,
} from '#core/workshop'

const house = demoHouses[0]!
const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const plan = (w: Workshop): Plan => planWorkshop({ workshop: w, house, now })
const apply = (w: Workshop, changes: Change[]) => applyChanges<Workshop>(w, changes)!
const people = moths.group.participants
const candle: Partial<Design> = {
  kind: 'candle',
  material: 'candle',
  recipe: { id: 'wax-tissue', version: 1 },
  width: { mm: 76.2, text: '3 in' },
  height: { mm: 101.6, text: '4 in' },
}
const two = (more: Partial<Design> = {}, each = 1): Workshop => {
  const w = apply(moths, addDesign(moths, 'second'))
  return { ...w, designs: [w.designs[0]!, { ...w.designs[1]!, each, ...more }] }
}
/** The second design for the first so many people only, who then make nothing of the first. */
const shared = (n: number, more: Partial<Design> = {}): Workshop =>
  people.slice(0, n).reduce(
    (x, p) => {
      const some = apply(x, [setMakes(x, p.id, 'second', 1)])
      return apply(some, [setMakes(some, p.id, x.designs[0]!.id, 0)])
    },
    two(more, 0),
  )
const line = (p: Plan, key: string) => p.kit.find((l) => l.key === key)!
const value = (p: Plan, key: string) => p.figures[key]!.value

describe('pieces', () => {
  it('unsaid, everybody makes one of the first design and none of another', () => {
    expect(piecesOf(moths)).toEqual(
      people.map((p) => ({ designId: moths.designs[0]!.id, participant: p.id, number: 1, state: 'to-print' })),
    )
    const silent = two({})
    const { each: _each, ...unsaid } = silent.designs[1]!
    expect(piecesOf({ ...silent, designs: [silent.designs[0]!, unsaid] })).toHaveLength(people.length)
  })
  it('a person’s own number goes before everybody’s; nought makes nobody of them', () => {
    const w = apply(two({}, 2), [setMakes(two({}, 2), people[0]!.id, 'second', 0)])
    expect([makersOf(w, w.designs[1]!).length, piecesOf(w).length]).toEqual([people.length - 1, people.length + 2 * (people.length - 1)])
    expect(
      piecesOf(w)
        .filter((x) => x.participant === people[1]!.id)
        .map((x) => [x.designId, x.number]),
    ).toEqual([
      [moths.designs[0]!.id, 1],
      ['second', 1],
      ['second', 2],
    ])
    const back = apply(w, [setMakes(w, people[0]!.id, 'second', null)])
    expect(back.group.participants[0]).not.toHaveProperty('makes')
  })
  it('what is known of one is of its design and number, and has one entry wherever it is made', () => {
    const w = two({}, 2)
    const of = { participant: people[0]!.id, designId: 'second', number: 2, state: 'laid' as const }
    const known = newPiece(w, of)
    expect([known.design, known.number, newPiece(w, of).id]).toEqual(['second', 2, known.id])
    expect(newPiece(w, { ...of, designId: w.designs[0]!.id, number: 1 })).toEqual({
      id: `${people[0]!.id}-d1`,
      participant: people[0]!.id,
      state: 'laid',
      laidAt: null,
    })
    const all = piecesOf({ ...w, pieces: [known] })
    expect(all.filter((x) => x.known).map((x) => [x.participant, x.designId, x.number, x.state])).toEqual([
      [people[0]!.id, 'second', 2, 'laid'],
    ])
    expect(summaryOf({ ...w, pieces: [known] }).states).toEqual({ 'to-print': 3 * people.length - 1, laid: 1 })
  })
})

describe('designs', () => {
  it('another is like the first until it is changed, and can be stored', () => {
    const w = two()
    expect(v.is(workshopShape, w)).toBe(true)
    expect(w.designs[1]).toMatchObject({ kind: moths.designs[0]!.kind, recipe: moths.designs[0]!.recipe, each: 1, choices: {} })
    expect(w.designs[1]).not.toHaveProperty('keepClear')
  })
  it('seven are one too many, and no two have one id', () => {
    const of = (n: number, id = (i: number) => `d${i}`) => ({
      ...moths,
      designs: Array.from({ length: n }, (_, i) => ({ ...moths.designs[0]!, id: id(i) })),
    })
    expect([
      v.is(workshopShape, of(6)),
      v.is(workshopShape, of(7)),
      v.is(
        workshopShape,
        of(2, () => 'd'),
      ),
    ]).toEqual([true, false, false])
  })
  it('taken out goes with its pieces and who makes it; undo brings all of it back', () => {
    const of = { participant: people[0]!.id, designId: 'second', number: 1, state: 'laid' as const }
    const w = { ...shared(3), pieces: [newPiece(moths, { ...of, designId: moths.designs[0]!.id }), newPiece(two(), of)] }
    const out = removeDesign(w, 'second')!
    const after = apply(w, out)
    expect([after.designs.length, after.pieces.map((x) => x.id), JSON.stringify(after).includes('second')]).toEqual([
      1,
      [`${people[0]!.id}-d1`],
      false,
    ])
    expect(apply(after, inverse(out))).toEqual(w)
  })
  it('the first, one with pictures, and one that is not there cannot be taken out', () => {
    const picture = { ...demoWorkshops('2026-05-15').find((x) => x.pictures?.length)!.pictures![0]!, participant: null, design: 'second' }
    expect([
      removeDesign(two(), moths.designs[0]!.id),
      removeDesign({ ...two(), pictures: [picture] }, 'second'),
      removeDesign(two(), 'x'),
    ]).toEqual([undefined, undefined, undefined])
  })
  it('a copy keeps who makes what, under the new designs', () => {
    let n = 0
    const copy = copyOf(shared(3), { title: 'Again', houseId: house.id, at: now }, () => `f${n++}`)
    const [a, b] = copy.designs
    expect(copy.group.participants.slice(0, 4).map((p) => p.makes)).toEqual([
      { [a!.id]: 0, [b!.id]: 1 },
      { [a!.id]: 0, [b!.id]: 1 },
      { [a!.id]: 0, [b!.id]: 1 },
      undefined,
    ])
    expect(new Set([a!.id, b!.id, 'second', moths.designs[0]!.id]).size).toBe(4)
  })
})

describe('a plan of two designs', () => {
  it('that are the same and made by different people is the plan of one, but for spares, samples and what is brought for each', () => {
    const [one, halves] = [plan(moths), plan(shared(9))]
    expect([halves.people, halves.designs.map((d) => d.pieces)]).toEqual([18, [9, 9]])
    expect(halves.takeHome.length).toBe(18)
    // Each is made by half: nobody's work is longer.
    expect(halves.loads.map((l) => l.neededMin - l.showMin)).toEqual(one.loads.map((l) => l.neededMin - l.showMin))
    expect(line(halves, 'blank').need).toBe(18 + halves.designs[0]!.spares.blanks + halves.designs[1]!.spares.blanks)
    // Scissors, brushes and the like: no more than for 18 people.
    for (const l of one.kit.filter((x) => x.durable))
      expect([l.key, line(halves, l.key).need]).toEqual([l.key, expect.toSatisfy((n: number) => n >= l.need && n <= l.need + 2)])
  })
  it('that everybody makes takes everybody twice the work, and things that last only once', () => {
    const alike = { spares: moths.choices.spares, samples: moths.choices.samples }
    const [one, both] = [plan(moths), plan(two(alike))]
    const work = (p: Plan) => p.loads.map((l) => l.neededMin - l.showMin - 50)
    expect(both.designs.map((d) => d.pieces)).toEqual([18, 18])
    // Twice the work, less what is not waited for twice at the same places.
    work(both).forEach((m, i) => expect([m <= 2 * work(one)[i]!, m > 1.8 * work(one)[i]!]).toEqual([true, true]))
    for (const l of one.kit.filter((x) => x.durable)) expect([l.key, line(both, l.key).need]).toEqual([l.key, l.need])
    expect(line(both, 'decoupage-glue').need).toBeCloseTo(2 * line(one, 'decoupage-glue').need, 6)
    expect(line(both, 'decoupage-glue').toGet.purchase).toMatchObject({ toBuy: expect.any(Number) })
    expect(both.shelf!.places).toBe(2 * one.shelf!.places)
  })
  it('of unlike work: a class lasts as long as whoever has most of it, and what each design shows is shown', () => {
    const id = moths.designs[0]!.id
    const apart = shared(9, candle)
    const work = (load: { neededMin: number; showMin: number }) => load.neededMin - load.showMin - 50
    const [first] = plan(apart).loads
    const [block, wax] = first!.parts.map((x) => x.load)
    expect(work(block!)).not.toBe(work(wax!))
    expect([block!.showMin > 0, wax!.showMin > 0, first!.showMin]).toEqual([true, true, block!.showMin + wax!.showMin])
    expect(work(first!)).toBe(Math.max(work(block!), work(wax!)))
    expect(first!.parts.map((x) => x.busiest)).toEqual([work(block!) > work(wax!), work(wax!) > work(block!)])
    // One person makes both.
    const one = people.find((p) => !first!.parts[0]!.load.room.input.pieces.some((x) => x.id === p.id) && p.misses.length === 0)!
    const both = apply(apart, [setMakes(apart, one.id, id, 1)])
    const [longer] = plan(both).loads
    // The candle's turn comes when the others have had theirs: less than both classes in a row, more than the longer one.
    const way = wayOf(longer!.room, one.id)
    expect(new Set(way.map((x) => x.design))).toEqual(new Set([id, longer!.parts[1]!.design]))
    expect(work(longer!)).toBe(longer!.stages.reduce((sum, x) => sum + x.queue + x.minutes + x.wait, 0))
    expect(work(longer!)).toBeGreaterThanOrEqual(Math.max(...longer!.parts.map((x) => work(x.load))))
    expect(work(longer!)).toBeLessThanOrEqual(longer!.parts.reduce((sum, x) => sum + work(x.load), 0))
  })
  it('figures are the sum, and open to each design’s own', () => {
    const p = plan(two(candle))
    for (const key of ['prints', 'sheets', 'spares', 'samples']) {
      const own = p.designs.map((d) => value(p, `${key}@${d.design}`) as number)
      expect([key, value(p, key)]).toEqual([key, own[0]! + own[1]!])
      expect(p.figures[key]!.because.inputs.map((i) => [i.name, i.value, i.opens])).toEqual(
        p.designs.map((d, i) => [`design:${d.pieceName}`, own[i], `${key}@${d.design}`]),
      )
    }
    const opened = Object.values(p.figures).flatMap((f) => f.because.inputs.flatMap((i) => i.opens ?? []))
    expect(opened.filter((key) => !(key in p.figures))).toEqual([])
    const view = planOf(p, 'second')
    expect([view.figures['sheets']!.value, view.recipe.id, view.kit]).toEqual([value(p, 'sheets@second'), 'wax-tissue', p.kit])
    expect(planOf(p, p.design).figures['sheets']!.value).toBe(value(p, `sheets@${p.design}`))
  })
  it('blanks of two kinds are two lines; what both use is bought once', () => {
    const p = plan(two(candle))
    expect([line(p, 'blank').name, line(p, 'blank-candle').name]).toEqual(['Plaques', 'Candles'])
    const keys = p.kit.map((l) => l.key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(p.kit.filter((l) => l.material === 'marker')).toHaveLength(1)
    const bought = p.kit.reduce((sum, l) => sum + l.boughtMinor, 0)
    expect(value(p, 'cost-total')).toBe(bought)
    for (const l of p.kit)
      if (!isRefusal(l.toGet.purchase) && l.sheets === undefined)
        expect([l.key, l.boughtMinor]).toEqual([l.key, l.toGet.purchase.costMinor])
  })
  it('hazards of a further design ask for their adults, and what is found says whose it is', () => {
    const young = { ...two(candle), group: { ...moths.group, participants: people.map((p) => ({ ...p, age: '8-12' as const })) } }
    const p = plan(young)
    expect(p.adults.atHazards.map((h) => [h.hazard, h.design])).toContainEqual(['heat', 'second'])
    expect(p.adults.needed).toBeGreaterThan(plan({ ...young, designs: [young.designs[0]!] }).adults.needed)
    const done = p.findings.find((f) => f.code === 'done-for-them')!
    expect(done.design).toEqual({ id: 'second', name: p.designs[1]!.pieceName })
    expect(p.findings.find((f) => f.code === 'does-not-fit')?.design).toBeUndefined()
    expect(plan({ ...young, designs: [young.designs[0]!] }).findings.every((f) => f.design === undefined)).toBe(true)
  })
  it('a design that nobody makes asks for nothing', () => {
    const p = plan(two(candle, 0))
    const one = plan(moths)
    expect(p.designs[1]).toMatchObject({ pieces: 0, makers: [] })
    expect([p.takeHome.length, value(p, 'sheets'), p.adults.atHazards]).toEqual([18, value(one, 'sheets'), one.adults.atHazards])
    expect(p.loads.map((l) => l.neededMin - l.showMin)).toEqual(one.loads.map((l) => l.neededMin - l.showMin))
    expect(p.kit.filter((l) => l.material === 'blank' && l.need > 0).map((l) => l.key)).toEqual(['blank'])
    expect(p.findings.map((f) => f.code)).toEqual(one.findings.map((f) => f.code))
  })
  it('sheets say which piece they are of; prints are each design’s own', () => {
    const w = two({ ...candle, pictures: 'house' }, 2)
    const p = plan(w)
    const mine = p.takeHome.filter((s) => s.participant === people[0]!.id)
    expect(mine.map((s) => [s.design, s.number, s.piece])).toEqual([
      [p.design, 1, 'plaque'],
      ['second', 1, 'candle'],
      ['second', 2, 'candle'],
    ])
    expect(mine.map((s) => sheetText(s, p, w, house, 'few').what)).toEqual([
      expect.stringContaining('plaque'),
      expect.stringContaining('candle'),
      expect.stringMatching(/candle.*, piece 2$/),
    ])
    const room = { widthMm: 200, heightMm: 270 }
    const [a, b] = [printsOf(planOf(p, p.design), w, room), printsOf(planOf(p, 'second'), w, room)]
    expect([a.length, b.length]).toEqual([value(p, `prints@${p.design}`), value(p, 'prints@second')])
    expect(new Set([...a, ...b].map((x) => x.id)).size).toBe(a.length + b.length)
    expect(b.find((x) => x.number === 2)!.label).toMatch(/, piece 2$/)
    expect(a.map((x) => x.id)).toEqual(printsOf(plan(moths), moths, room).map((x) => x.id))
  })
  it('spares, samples and split of a further design are its own', () => {
    const w = two({ spares: 1, samples: 0, split: { wet: 'home' } })
    const p = plan(w)
    expect(p.designs[0]!.spares.count).toBe(moths.choices.spares)
    expect([p.designs[0]!.spares.chosen, p.designs[1]!.spares, p.designs[1]!.samples]).toMatchObject([
      true,
      { count: 1, chosen: true },
      { count: 0, chosen: true },
    ])
    expect([p.designs[0]!.splitChosen, p.designs[1]!.splitChosen, p.designs[1]!.split.split['wet']]).toEqual([false, true, 'home'])
  })
  it('errands are done once where once is enough, and each design’s stages have their own', () => {
    const p = plan(two())
    const ids = p.errands.map((e) => e.id)
    expect(new Set(ids).size).toBe(ids.length)
    for (const code of ['order', 'print'] as const) expect(p.errands.filter((e) => e.code === code)).toHaveLength(1)
    expect(p.errands.find((e) => e.code === 'print')!.values['sheets']).toBe(value(p, 'sheets'))
    expect(p.errands.find((e) => e.code === 'order')!.values['things']).toBe(p.kit.filter((l) => l.toGet.packs.length > 0).length)
    const samples = p.errands.filter((e) => e.code === 'sample')
    expect(samples.length).toBe(2 * plan(moths).errands.filter((e) => e.code === 'sample').length)
    expect(samples.some((e) => e.id.endsWith('.second'))).toBe(true)
  })
  it('the finder looks for the design that is asked, and leaves the other alone', () => {
    const w = two(candle)
    const rows = findMethods({ workshop: w, house, now, design: 'second' })
    expect(rows.find((r) => r.chosen)!.recipe.id).toBe('wax-tissue')
    for (const r of rows) expect(r.changes.filter((c) => c.path.startsWith(`designs/${moths.designs[0]!.id}`))).toEqual([])
    const medium = rows.find((r) => r.recipe.id === 'medium-transfer')!
    expect(apply(w, medium.changes).designs[0]).toEqual(w.designs[0])
  })
  it('what stands against one design stands neither against the other’s sheets nor against its methods', () => {
    const w = shared(1, { ...candle, recipe: { id: 'gesso-ground', version: 1 }, methodChosen: true })
    const p = plan(w)
    const stops = p.findings.filter((f) => f.level === 'stop')
    expect(stops.map((f) => [f.code, f.design?.id])).toContainEqual(['method-not-for-piece', 'second'])
    expect(new Set(stops.map((f) => f.design?.id))).toEqual(new Set(['second']))
    const headlines = (design: string) =>
      new Set(p.takeHome.filter((s) => s.design === design).map((s) => sheetText(s, p, w, house, 'few').headline === 'Not to hand out yet'))
    expect([headlines(p.design), headlines('second')]).toEqual([new Set([false]), new Set([true])])
    for (const asked of [{}, { design: p.design }]) {
      const own = findMethods({ workshop: w, house, now, ...asked }).find((r) => r.chosen)!
      expect([own.recipe.id, own.verdict, own.reason?.code]).toEqual([w.designs[0]!.recipe.id, 'possible', undefined])
    }
    const other = findMethods({ workshop: w, house, now, design: 'second' }).find((r) => r.chosen)!
    expect([other.recipe.id, other.verdict, other.reason?.code]).toEqual(['gesso-ground', 'not-possible', 'method-not-for-piece'])
  })
  it('the chain says how many more there are', () => {
    const p = plan(two(candle))
    const say = phrases(house, p.now)
    expect(say.decision(p.decisions.find((d) => d.id === 'piece')!)).toMatch(/, and 1 more$/)
    expect(say.decision(p.decisions.find((d) => d.id === 'sessions')!)).not.toMatch(/more/)
    expect(difference(plan(moths), p).find((d) => d.key === 'sheets')!.by).toBe(value(p, 'sheets@second'))
  })
})

describe('several of one design for a person', () => {
  const both = { ...moths, designs: [{ ...moths.designs[0]!, each: 2 }] }
  it('twice the pieces and the work, one brush', () => {
    const [one, p] = [plan(moths), plan(both)]
    expect([p.pieces, p.takeHome.length, p.print.prints - p.spares.count - p.samples.count]).toEqual([36, 36, 36])
    expect(line(p, 'foam-brush').need).toBe(line(one, 'foam-brush').need)
    const attended = (x: Plan) => x.split.loads[0]!.stages.filter((s) => s.attended).reduce((sum, s) => sum + s.minutes, 0)
    expect(attended(p)).toBe(2 * attended(one))
    expect(p.figures['spares']!.because.inputs[0]).toMatchObject({ name: 'pieces', value: 36 })
    expect(one.figures['spares']!.because.inputs[0]).toMatchObject({ name: 'people', value: 18 })
  })
})

test('three designs of forty people are planned in a few milliseconds each', () => {
  const w = two(candle)
  const third = {
    ...w.designs[1]!,
    id: 'third',
    ...{ kind: moths.designs[0]!.kind, material: moths.designs[0]!.material, recipe: moths.designs[0]!.recipe },
  }
  const p = plan({ ...w, designs: [...w.designs, third] })
  expect(p.designs.map((d) => d.design)).toEqual([moths.designs[0]!.id, 'second', 'third'])
  expect(p.kit.filter((l) => l.material === 'blank')).toHaveLength(2)
})
