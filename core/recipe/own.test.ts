import { describe, expect, it, test } from 'vitest'
import { readRecipeFile, writeRecipe } from '#core/exchange'
import { demoHouses, demoWorkshops } from '#core/demo'
import { recipesOf, type House } from '#core/house'
import { recipeCard } from '#core/phrases'
import { planWorkshop } from '#core/plan'
import { BadInput } from '#core/reasons'
import {
  ageBands,
  asNextVersion,
  checkRecipe,
  chosenOption,
  compareRecipes,
  pieceKinds,
  woods,
  latestRecipe,
  makeRecipe,
  recipes,
  type OwnRecipe,
  type RecipeEdit,
} from '#core/recipe'

const own = (edits: RecipeEdit[], more: Partial<OwnRecipe> = {}): OwnRecipe => ({
  id: 'marsh-v1',
  recipe: 'marsh',
  version: 1,
  base: { id: 'medium-transfer', version: 1 },
  name: 'Marsh transfer',
  note: 'Our boards are thirsty.',
  edits,
  ...more,
})
const made = (edits: RecipeEdit[]) => {
  const m = makeRecipe(own(edits))
  if ('problems' in m) throw new Error(m.problems.join())
  return m.recipe
}
const now = '2026-05-12T09:00:00-04:00[America/New_York]'

describe('a recipe of the house', () => {
  it('is its method with the differences applied, figures marked as estimates', () => {
    const r = made([
      { path: 'stages/lay/minutes', figure: 9 },
      { path: 'stages/lay/pass', text: 'Flat and shiny.' },
      { path: 'cure/recommended', figure: 2000 },
      { drop: 'materials/cord' },
      { add: { material: 'roller', note: 'soft', basis: 'table', amount: 1, stage: 'lay' } },
    ])
    expect(r).toMatchObject({ id: 'marsh', version: 1, name: 'Marsh transfer', from: { id: 'medium-transfer', version: 1 }, below: [] })
    expect(r.stages.find((s) => s.id === 'lay')).toMatchObject({ minutes: { value: 9, mark: 'E' }, pass: 'Flat and shiny.' })
    expect(r.cure!.recommended).toMatchObject({ value: 2000, mark: 'E' })
    expect(r.materials.map((m) => m.material)).not.toContain('cord')
    expect(r.materials.at(-1)).toMatchObject({ material: 'roller', basis: 'table', stages: ['lay'] })
    expect(checkRecipe(r)).toEqual([])
    expect(latestRecipe('medium-transfer')!.stages.find((s) => s.id === 'lay')!.minutes.value).toBe(6)
  })
  const step = { id: 'warm', name: 'Warm the board', after: 'sand', minutes: 4, attended: true, pass: 'Warm to the hand.', fail: 'Cold.' }
  it('may have a step more, which stands where the one before it stands and is planned', () => {
    const r = made([{ addStage: step }])
    const ids = r.stages.map((s) => s.id)
    expect(ids.indexOf('warm')).toBe(ids.indexOf('sand') + 1)
    const sand = r.stages.find((s) => s.id === 'sand')!
    expect(r.stages.find((s) => s.id === 'warm')).toMatchObject({
      mayBe: sand.mayBe,
      minutes: { value: 4, unit: 'min', mark: 'E' },
      cautions: [],
    })
    const house: House = { ...demoHouses[0]!, recipes: [own([{ addStage: step }])] }
    const w = demoWorkshops('2026-05-15')[0]!
    const workshop = { ...w, designs: [{ ...w.designs[0]!, recipe: { id: 'marsh', version: 1 } }] }
    const plan = planWorkshop({ workshop, house, now })
    expect(plan.stages.map((s) => s.id)).toContain('warm')
    expect(plan.split.split['warm']).toBeDefined()
    expect(compareRecipes(latestRecipe('medium-transfer')!, r)).toEqual([
      { group: 'stages', what: 'Warm the board', before: null, after: 'Warm the board' },
    ])
  })
  test.each<[string, RecipeEdit[], RegExp]>([
    ['after a stage that is not there', [{ addStage: { ...step, after: 'bake' } }], /bake, which is no stage/],
    ['twice', [{ addStage: step }, { addStage: step }], /two steps warm/],
  ])('refuses a step %s', (_name, edits, said) => {
    const m = makeRecipe(own(edits))
    expect('problems' in m && m.problems.join()).toMatch(said)
  })
  it('lets nothing come into a race', () => {
    const m = makeRecipe(own([{ addStage: { ...step, after: 'coat' } }], { base: { id: 'gesso-ground', version: 1 } }))
    expect('problems' in m && m.problems.join()).toMatch(/it is a race/)
  })
  it('may leave out a stage that makes nothing, and what is used only there', () => {
    const r = made([{ drop: 'stages/sand' }])
    expect(r.stages.map((s) => s.id)).not.toContain('sand')
    expect(r.materials.map((m) => m.material)).not.toContain('sandpaper')
  })
  test.each([
    [[{ drop: 'stages/lay' }], /stays/],
    [[{ drop: 'materials/gold' }], /not in/],
    [[{ path: 'stages/nowhere/minutes', figure: 3 }], /no figure/],
    [[{ path: 'stages/lay/minutes', text: 'long' }], /no text/],
    [[{ path: 'name', figure: 3 }], /no figure/],
    [[{ add: { material: 'x', note: '', basis: 'room', amount: 1, stage: 'nowhere' } }], /no stage/],
  ] as [RecipeEdit[], RegExp][])('%o is refused with what is wrong', (edits, what) => {
    const m = makeRecipe(own(edits))
    expect('problems' in m && m.problems.join(' ')).toMatch(what)
  })
  it('from a method that is gone says so', () => {
    const m = makeRecipe(own([], { base: { id: 'gone', version: 3 } }))
    expect('problems' in m && m.problems[0]).toContain('gone version 3')
  })
  it('below a practice minimum it is an experiment, never for a group', () => {
    const house: House = { ...demoHouses[0]!, recipes: [own([{ path: 'cure/minimum', figure: 300 }])] }
    const w = demoWorkshops('2026-05-15')[0]!
    const workshop = { ...w, designs: [{ ...w.designs[0]!, recipe: { id: 'marsh', version: 1 } }] }
    const plan = planWorkshop({ workshop, house, now })
    expect(plan.recipe.name).toBe('Marsh transfer')
    expect(plan.findings.find((f) => f.code === 'experiment-only')).toMatchObject({ level: 'stop', remedies: [{ code: 'take-method' }] })
    const alone = { ...workshop, group: { ...workshop.group, participants: [] } }
    expect(planWorkshop({ workshop: alone, house, now }).findings.map((f) => f.code)).not.toContain('experiment-only')
  })
  it('a plan stays with the version that it was made with, and is told of a newer one', () => {
    const house: House = {
      ...demoHouses[0]!,
      recipes: [own([]), own([{ path: 'stages/lay/minutes', figure: 9 }], { id: 'marsh-v2', version: 2 })],
    }
    const w = demoWorkshops('2026-05-15')[0]!
    const at = (version: number) =>
      planWorkshop({ workshop: { ...w, designs: [{ ...w.designs[0]!, recipe: { id: 'marsh', version } }] }, house, now })
    expect(at(1).stages.find((s) => s.id === 'lay')!.minutes.value).toBe(6)
    expect(at(1).findings.find((f) => f.code === 'newer-recipe')).toMatchObject({ level: 'note', values: { newest: 2 } })
    expect(at(2).stages.find((s) => s.id === 'lay')!.minutes.value).toBe(9)
    expect(at(2).findings.map((f) => f.code)).not.toContain('newer-recipe')
  })
  it('is numbered one above the highest of its id, under an id of its own however long the name', () => {
    const house = [own([]), own([], { id: 'marsh-v4', version: 4 }), own([], { id: 'other-v9', recipe: 'other', version: 9 })]
    expect(asNextVersion(own([]), 'marsh', house)).toMatchObject({ id: 'marsh-v5', recipe: 'marsh', version: 5 })
    expect(asNextVersion(own([]), 'new', house)).toMatchObject({ id: 'new-v1', version: 1 })
    const long = 'm'.repeat(64)
    const [one, two] = [own([], { recipe: long, version: 1 }), own([], { recipe: long, version: 2 })]
    expect(asNextVersion(own([]), long, [one]).id).not.toBe(asNextVersion(own([]), long, [one, two]).id)
    expect(asNextVersion(own([]), long, [one]).id.length).toBeLessThanOrEqual(64)
  })
  it('a recipe that cannot be made does not take the house down with it', () => {
    const house = { ...demoHouses[0]!, recipes: [own([{ drop: 'stages/lay' }]), own([], { id: 'good', recipe: 'good' })] }
    expect(recipesOf(house).map((r) => r.id)).toEqual([...recipes.map((r) => r.id), 'good'])
  })
})

describe('what is usual for this piece and group', () => {
  const chosen = (situation: string[], plan = {}, h = {}, id = 'medium-transfer') =>
    Object.fromEntries(latestRecipe(id)!.schools.map((s) => [s.id, chosenOption(s, plan, h, situation)]))
  test.each([
    [
      'adults on plywood',
      ['plywood', 'plaque', 'adult'],
      { 'coat-where': 'surface', thickness: 'generous', ground: 'bare', 'rub-with': 'finger' },
    ],
    ['children', ['plywood', 'plaque', '8-12'], { 'coat-where': 'print' }],
    ['a stone, whoever makes it', ['slate', 'stone', 'adult'], { 'coat-where': 'print', thickness: 'light' }],
    ['canvas', ['canvas', 'canvas', 'adult'], { thickness: 'generous' }],
    ['a large piece', ['pine', 'block', 'adult', 'large'], { 'rub-with': 'cloth' }],
  ])('%s', (_name, situation, expected) => {
    const found = chosen(situation)
    for (const [school, option] of Object.entries(expected)) {
      expect([school, found[school]!.option.id]).toEqual([school, option])
      expect(found[school]!.by).toBe('default')
    }
  })
  it('the house goes before it, the plan before both', () => {
    expect(chosen(['canvas'], {}, { thickness: 'light' })['thickness']).toMatchObject({ option: { id: 'light' }, by: 'house' })
    expect(chosen(['canvas'], { thickness: 'heavy' }, { thickness: 'light' })['thickness']).toMatchObject({
      option: { id: 'heavy' },
      by: 'plan',
    })
  })
  it('names only surfaces, pieces, ages, “large”, “pale” and what is aimed at', () => {
    const known = new Set<string>([
      ...woods.map((w) => w.id),
      ...pieceKinds.map((k) => k.id),
      ...ageBands,
      'large',
      'pale',
      'clean',
      'worn',
    ])
    for (const r of recipes)
      for (const s of r.schools)
        for (const o of s.options) for (const x of [...(o.usualFor ?? []), ...(o.notFor ?? [])]) expect(known).toContain(x)
  })
})

describe('two recipes beside each other', () => {
  it('differ where they were changed, and nowhere else', () => {
    const base = latestRecipe('medium-transfer')!
    const r = made([
      { path: 'stages/coat/then/most', figure: 5 },
      { path: 'stages/lay/minutes', figure: 9 },
      { drop: 'stages/sand' },
      { path: 'cure/minimum', figure: 900 },
    ])
    expect(compareRecipes(base, base)).toEqual([])
    expect(compareRecipes(base, r).map((d) => d.what)).toEqual([
      'wait before rubbing, at least',
      'Sand and dust',
      'after coat, at most',
      'Lay and press, minutes',
      'sandpaper',
    ])
  })
})

describe('a recipe file', () => {
  const recipe = own([{ path: 'stages/lay/minutes', figure: 9 }])
  it('comes back as it went', () => expect(readRecipeFile(writeRecipe(recipe))).toEqual(recipe))
  test.each([
    ['{', 'line 1'],
    ['{"format":"imprenta-workshop","version":1}', 'format'],
    ['{"format":"imprenta-recipe","version":7}', 'version'],
    [writeRecipe({ ...recipe, name: '' }), 'recipe.name'],
    [writeRecipe({ ...recipe, edits: [{ drop: 'stages/lay' }] }), 'recipe.edits'],
  ])('%s is answered with where and the way out', (text, path) => {
    try {
      readRecipeFile(text)
      expect.unreachable()
    } catch (e) {
      expect((e as BadInput).path).toContain(path)
      expect((e as BadInput).remedy).not.toBe('')
    }
  })
  test.each(recipes.map((r) => [r.name, r] as const))('%s as a card names every stage and every caution', (_name, r) => {
    const card = recipeCard(r)
    for (const s of r.stages) expect(card).toContain(s.name)
    expect(card.split('\n').length).toBeLessThan(70)
  })
})
