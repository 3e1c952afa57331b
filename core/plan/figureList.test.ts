import { describe, expect, it, test } from 'vitest'
import { boundsOf, figuresWith, practiceFigures, readFigure, typedFigure } from '#core/figures'
import { demoHouses, demoWorkshops } from '#core/demo'
import { recipesOf, type House } from '#core/house'
import { figureList, houseFigure, planWorkshop, setFigure, type Plan } from '#core/plan'
import { figureName } from '#core/phrases'
import { figure, type Input } from '#core/reasons'
import { pieceKinds, recipes } from '#core/recipe'
import { applyChanges, type Workshop } from '#core/workshop'

const house = demoHouses[0]!
const moths = demoWorkshops('2026-05-15')[0]!
const now = '2026-05-01T09:00:00-04:00[America/New_York]'
const own = (value: number) => ({ value, by: 'Noor', on: '2026-03-03', why: 'measured' })
const withOwn = (figures: Record<string, number>): House => ({
  ...house,
  figures: Object.fromEntries(Object.entries(figures).map(([k, x]) => [k, own(x)])),
})
const plan = (h: House, workshop: Workshop = moths): Plan => planWorkshop({ workshop, house: h, now })
const before = plan(house)

describe('the figures of a house', () => {
  const all = figureList(house)
  it('have keys and names of their own', () => {
    expect(new Set(all.map((f) => f.key)).size).toBe(all.length)
    expect(new Set(all.map((f) => figureName(f.key, recipesOf(house)))).size).toBe(all.length)
    for (const f of all) expect(figureName(f.key, recipesOf(house)), f.key).not.toMatch(/undefined|^recipe\.|^price\./)
  })
  it('hold every figure of every method', () => {
    for (const r of recipes)
      for (const s of r.stages) expect(houseFigure(house, `recipe.${r.id}.stages.${s.id}.minutes`)?.practice).toEqual(s.minutes)
  })
  it('are as practice has them until somebody sets one', () => {
    for (const f of all) expect({ ...f.now, key: undefined }).toEqual({ ...f.practice, key: undefined })
    expect(figureList(withOwn({ 'set-up': 45 })).filter((f) => f.now.mark === 'Y')).toMatchObject([
      { key: 'set-up', now: { value: 45 }, practice: { value: 30, mark: 'E' } },
    ])
  })
  it('one list, as long as nothing of it changes', () => {
    expect(recipesOf(house)).toBe(recipesOf({ ...house }))
    expect(recipesOf(withOwn({ 'set-up': 1 }))).not.toBe(recipesOf(house))
  })
})

describe('a house’s own value', () => {
  test.each<[string, number, (p: Plan) => unknown, (was: number) => number]>([
    ['set-up', 45, (p) => p.split.loads[0]!.neededMin, (was) => was + 15],
    ['clean-up', 5, (p) => p.split.loads[1]!.neededMin, (was) => was - 15],
    ['recipe.medium-transfer.show', 20, (p) => p.split.loads[0]!.neededMin, (was) => was + 20 - recipes[0]!.show.value],
    ['recipe.medium-transfer.stages.coat.minutes', 9, (p) => p.split.loads[0]!.neededMin, (was) => was + 5],
    ['price.sheet', 29, (p) => p.kit.find((l) => l.material === 'print')!.boughtMinor, (was) => (was / 9) * 29],
  ])('of %s counts in the plan', (key, value, of, expected) =>
    expect(of(plan(withOwn({ [key]: value })))).toBeCloseTo(expected(Number(of(before))), 6),
  )
  it('of a film makes the glue more, in its proportion', () => {
    const glue = (p: Plan) => p.kit.find((l) => l.material === 'decoupage-glue')!
    const more = plan(withOwn({ 'film.generous': 600 }))
    expect(glue(more).need).toBeGreaterThan(glue(before).need * 1.3)
    const film = more.figures['kit/decoupage-glue']!.because.inputs.find((i) => i.rests?.includes('film.generous'))!
    expect(film).toMatchObject({ value: 600, mark: 'P' })
  })
  it('of a ratio asks for more adults', () => {
    const children: Workshop = {
      ...moths,
      group: { ...moths.group, participants: moths.group.participants.map((p) => ({ ...p, age: '8-12' as const })) },
    }
    const needed = (h: House) => plan(h, children).adults
    expect(needed(withOwn({ 'ratio.8-12': 3 })).needed).toBe(needed(house).needed + 3)
    expect(needed(withOwn({ 'ratio.8-12': 3 })).because).toMatchObject({
      inputs: [{ value: '18 at 1 to 3', mark: 'Y', key: 'ratio.8-12' }, {}],
    })
  })
  it('of how many fail changes the spares, of the gutter the sheets', () => {
    const open: Workshop = { ...moths, choices: { ...moths.choices, spares: null } }
    expect(plan(withOwn({ fails: 3 }), open).spares.count).toBeGreaterThan(plan(house, open).spares.count)
    expect(plan(withOwn({ gutter: 40 })).print).toMatchObject({ gutterMm: 40 })
    expect(plan(withOwn({ gutter: 40 })).print.grid.perSheet).toBeLessThanOrEqual(before.print.grid.perSheet)
  })
  it('of a price is what a plan pays, for one kind of blank alone', () => {
    const blanks = (p: Plan) => p.kit.find((l) => l.material === 'blank')!.boughtMinor
    expect(blanks(before)).toBeGreaterThan(0)
    expect(blanks(plan(withOwn({ 'price.blank-plaque.12': 0, 'price.blank-plaque.5': 0 })))).toBe(0)
    expect(blanks(plan(withOwn({ 'price.blank-jar.12': 0 })))).toBe(blanks(before))
  })
  it('marks what rests on it as the house’s own', () => {
    const time = plan(withOwn({ 'set-up': 45 })).figures[`session/${moths.sessions[0]!.id}`]!
    expect(time.because.inputs[0]).toEqual({ name: 'set-up', value: 45, unit: 'min', mark: 'Y', key: 'set-up' })
    expect(time.because.mark).toBe('E')
  })
  it('never undercuts the wait that practitioners agree on, nor holds a window open longer', () => {
    const least = 'recipe.medium-transfer.cure.minimum'
    const practice = houseFigure(house, least)!.practice
    expect(practice.mark).toBe('P')
    expect(houseFigure(withOwn({ [least]: 60 }), least)!.now.value).toBe(practice.value)
    expect(houseFigure(withOwn({ [least]: 2000 }), least)!.now.value).toBe(2000)
    const closes = figureList(house).find((f) => /\.then\.most$/.test(f.key) && f.practice.mark === 'P')!
    expect(houseFigure(withOwn({ [closes.key]: 9999 }), closes.key)!.now.value).toBe(closes.practice.value)
    expect(boundsOf('recipe.x.cure.minimum', figure(60, 'min', 'E')).least).toBe(0)
  })
  it('is set and taken back by changes', () => {
    const set = applyChanges<House>(house, setFigure(house, 'set-up', own(45)))!
    expect(set.figures).toEqual({ 'set-up': own(45) })
    const more = applyChanges<House>(set, setFigure(set, 'price.cup.20', own(100)))!
    expect(Object.keys(more.figures!)).toEqual(['set-up', 'price.cup.20'])
    expect(applyChanges<House>(more, setFigure(more, 'set-up', null))!.figures).toEqual({ 'price.cup.20': own(100) })
  })
})

/** Everything that says why in a plan. */
const reasons = (p: Plan): [string, Input[]][] => [
  ...Object.entries(p.figures).map(([k, f]): [string, Input[]] => [k, f.because.inputs]),
  ...p.errands.map((e): [string, Input[]] => [`errand ${e.id}`, e.because.inputs]),
  ...p.turns.map((t): [string, Input[]] => [`turns ${t.stages.join()}`, t.because.inputs]),
  ['adults', p.adults.because.inputs],
]

describe('no estimate without its field', () => {
  const known = new Set(figureList(house).map((f) => f.key))
  test.each(recipes.map((r) => [r.name, r] as const))('%s', (_name, r) => {
    const kind = pieceKinds.find((k) => k.recipe === r.id) ?? pieceKinds[0]!
    const material = kind.materials.find((m) => m in r.surfaces) ?? Object.keys(r.surfaces)[0]!
    const design = {
      ...moths.designs[0]!,
      kind: kind.id,
      material,
      recipe: { id: r.id, version: r.version },
      choices: {},
      pictures: 'own' as const,
    }
    const group = {
      ...moths.group,
      participants: moths.group.participants.map((p, i) => ({ ...p, age: i % 2 ? ('8-12' as const) : p.age })),
    }
    const p = plan({ ...house, climate: { celsius: 16, humidityPct: 80 } }, { ...moths, group, designs: [design] })
    for (const [where, inputs] of reasons(p))
      for (const i of inputs) {
        for (const key of [i.key ?? [], i.rests ?? []].flat()) expect(known, `${where}: ${i.name}`).toContain(key)
        if (i.opens) expect(p.figures, `${where}: ${i.name}`).toHaveProperty([i.opens])
        if (i.mark === 'E') expect(i.key ?? i.rests?.[0] ?? i.opens ?? i.ofHouse, `${where}: ${i.name} is an estimate`).toBeDefined()
      }
  })
})

describe('a figure typed', () => {
  const inches = { length: 'in' as const, currency: 'USD' as const }
  const mm = { length: 'mm' as const, currency: 'JPY' as const }
  test.each([
    ['45', 'set-up', inches, 45],
    ['45 min', 'set-up', inches, 45],
    ['1/4 in', 'gutter', inches, 6.35],
    ['6', 'gutter', mm, 6],
    ['0', 'gutter', inches, 0],
    ['0,8', 'cure.coat.light', mm, 0.8],
    ['12.50', 'price.sheet', inches, 1250],
    ['$0.10', 'price.sheet', inches, 10],
    ['12', 'price.sheet', mm, 12],
  ] as const)('%s for %s', (text, key, w, value) => expect(readFigure(text, key, practiceFigures[key], w)).toEqual({ ok: true, value }))
  test.each([
    ['', 'set-up', 'not-a-number', undefined],
    ['soon', 'set-up', 'not-a-number', undefined],
    ['-3', 'set-up', 'not-a-number', undefined],
    ['1e9', 'set-up', 'not-a-number', undefined],
    ['0', 'ratio.8-12', 'less', '1'],
    ['61', 'ratio.8-12', 'more', '60'],
    ['2 in', 'gutter', 'more', '1.57 in'],
    ['10', 'fails', 'more', '9.9'],
  ] as const)('%j for %s is refused: %s %s', (text, key, why, limit) =>
    expect(readFigure(text, key, practiceFigures[key], inches)).toEqual({ ok: false, why, ...(limit && { limit }) }),
  )
  it('stands in its field as it is typed', () => {
    expect(typedFigure(figure(0.15, 'share', 'E'), inches)).toEqual({ text: '15', unit: '%' })
    expect(typedFigure(figure(900, 'minor', 'E'), inches)).toEqual({ text: '9.00', unit: 'USD' })
    expect(typedFigure(figure(300, 'um', 'E'), inches)).toEqual({ text: '300', unit: 'µm' })
    for (const f of figureList(house))
      for (const w of [inches, mm]) {
        const read = readFigure(typedFigure(f.practice, w).text, f.key, f.practice, w)
        expect(read.ok ? read.value : read, f.key).toBeCloseTo(f.practice.value, w === mm || f.practice.unit !== 'mm' ? 2 : -0.5)
      }
  })
  it('own values are between their bounds whatever is stored', () =>
    expect(figuresWith({ gutter: own(4000) })('gutter')).toMatchObject({ value: 40, mark: 'Y' }))
})
