import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { difference, planWorkshop } from '#core/plan'
import {
  blankSurface,
  chosenOption,
  latestRecipe,
  pieceKind,
  pieceKinds,
  pieceStates,
  recipeById,
  recipes,
  resolveRecipe,
  woods,
  checkRecipe,
  takesMaterial,
  takesPiece,
  type Recipe,
} from '#core/recipe'
import { figure } from '#core/reasons'

const medium = latestRecipe('medium-transfer')!
const tape = latestRecipe('tape-film')!
const withStage = (change: object): Recipe => ({ ...medium, stages: medium.stages.map((s, i) => (i === 3 ? { ...s, ...change } : s)) })

describe('the data check', () => {
  test.each(recipes.map((r) => [r.id, r] as const))('%s passes', (_id, r) => expect(checkRecipe(r)).toEqual([]))
  test.each([
    ['no cue to pass', withStage({ pass: '' }), /no cue/],
    ['no cue to fail', withStage({ fail: '' }), /no cue/],
    ['nowhere to be done', withStage({ mayBe: [] }), /nowhere/],
    ['a home stage without its step', withStage({ mayBe: ['home'] }), /says no step/],
    [
      'a wait that can never hold',
      withStage({ then: { least: figure(30, 'min', 'P'), most: figure(10, 'min', 'P'), why: '' } }),
      /never hold/,
    ],
    ['a figure without a mark', withStage({ minutes: { value: 5, unit: 'min' } }), /no source mark/],
    ['a figure without a unit', withStage({ minutes: { value: 5, mark: 'E' } }), /no unit/],
    ['a figure below nothing', withStage({ minutes: figure(-5, 'min', 'E') }), /not a figure/],
    [
      'a cure that is not named',
      { ...tape, stages: tape.stages.map((s) => ({ ...s, then: { least: figure(1, 'min', 'E'), cures: true, why: '' } })) },
      /names no cure/,
    ],
    ['a material at no stage', { ...medium, materials: [{ ...medium.materials[0]!, stages: ['nowhere'] }] }, /no stage/],
    ['a sample after no stage', { ...medium, samples: [{ id: 'x', name: 'x', after: 'nowhere' }] }, /no stage/],
    ['a school without its default', { ...medium, schools: [{ ...medium.schools[0]!, default: 'nothing' }] }, /no option/],
  ] as [string, Recipe, RegExp][])('finds %s', (_name, recipe, what) => {
    expect(checkRecipe(recipe).join('\n')).toMatch(what)
  })
  it('names the recipe in what it finds', () => expect(checkRecipe(withStage({ pass: '' }))[0]).toContain('medium-transfer'))
})

describe('the catalogue', () => {
  it('finds by id and version, and the latest', () => {
    expect(recipeById('tape-film', 1)).toBe(tape)
    expect(recipeById('tape-film', 99)).toBeUndefined()
    expect(latestRecipe('nothing')).toBeUndefined()
    const newer = { ...tape, version: 2 }
    expect(latestRecipe('tape-film', [tape, newer])).toBe(newer)
  })
  test.each(pieceKinds.map((k) => [k.id, k] as const))('a %s names a method that suits it and blanks that exist', (_id, k) => {
    const recipe = latestRecipe(k.recipe)!
    expect(takesPiece(recipe, k)).toBe(true)
    expect(takesMaterial(recipe, k.materials[0]!)).toBe(true)
    for (const m of k.materials) expect(woods.map((w) => w.id)).toContain(m)
  })
  it('surfaces of blanks', () => {
    expect(blankSurface('slate')).toBe('stone')
    expect(blankSurface('driftwood')).toBe('porous')
    expect(pieceKind('nothing').id).toBe('plaque')
  })
  it('states come in the order of the ramp', () => {
    for (const r of recipes) {
      const made = r.stages.flatMap((s) => [s.makes, s.then?.makes].filter((x) => x !== undefined)).map((s) => pieceStates.indexOf(s))
      expect(made).toEqual([...made].sort((a, b) => a - b))
    }
  })
})

describe('choices', () => {
  const ground = medium.schools.find((s) => s.id === 'ground')!
  it('the plan’s goes first, then the house’s, then the recipe’s', () => {
    expect(chosenOption(ground, { ground: 'bare' }, { ground: 'white' })).toMatchObject({ by: 'plan', option: { id: 'bare' } })
    expect(chosenOption(ground, {}, { ground: 'bare' })).toMatchObject({ by: 'house', option: { id: 'bare' } })
    expect(chosenOption(ground, {}, {})).toMatchObject({ by: 'default', option: { id: 'bare' } })
    expect(chosenOption(ground, {}, {}, ['plywood', 'pale'])).toMatchObject({ by: 'default', option: { id: 'white' } })
    for (const never of ['canvas', 'muslin', 'slate', 'kraft', 'journal', 'mat-board'])
      expect(chosenOption(ground, { ground: 'white' }, { ground: 'white' }, [never, 'pale'])).toMatchObject({ option: { id: 'bare' } })
    expect(chosenOption(ground, { ground: 'purple' }, {})).toMatchObject({ by: 'default' })
  })
  it('white ground paints, and cures as painted', () => {
    const white = resolveRecipe(medium, { ground: 'white' }, {}, 'porous')
    expect(white.surface).toBe('painted')
    expect(white.stages.map((s) => s.id)).toContain('paint')
    expect(white.materials.map((m) => m.material)).toContain('white-paint')
    const bare = resolveRecipe(medium, { ground: 'bare' }, {}, 'porous')
    expect(bare.surface).toBe('porous')
    expect(bare.stages.map((s) => s.id)).not.toContain('paint')
    expect(bare.materials.map((m) => m.material)).not.toContain('white-paint')
  })
  it('stone stays stone under paint', () => expect(resolveRecipe(medium, { ground: 'white' }, {}, 'stone').surface).toBe('stone'))
  it('a third round brings its look and its rub', () => {
    const ids = (rounds: string) => resolveRecipe(medium, { rounds }, {}, 'porous').stages.map((s) => s.id)
    expect(ids('3')).toEqual(expect.arrayContaining(['look2', 'rub3']))
    expect(ids('2')).not.toContain('rub3')
    expect(resolveRecipe(tape, { rounds: '1' }, {}, 'sealed').stages.map((s) => s.id)).not.toContain('rub2')
  })
  it('a sprayed top coat takes no glue, and warns', () => {
    const spray = resolveRecipe(medium, { 'top-coat': 'spray' }, {}, 'porous')
    const glue = spray.materials.find((m) => m.material === 'decoupage-glue')!
    expect(glue.basis === 'area' && glue.films.map((f) => f.stage)).toEqual(['coat'])
    expect(spray.stages.find((s) => s.id === 'seal1')!.cautions).toContain('spray')
  })
  it('no top coat leaves out the dry that only serves it', () => {
    const none = resolveRecipe(medium, { 'top-coat': 'none' }, {}, 'porous').stages.map((s) => s.id)
    expect(none).not.toEqual(expect.arrayContaining(['dry']))
    expect(none).not.toEqual(expect.arrayContaining(['seal1']))
  })
  it('12 h sets the recommended time, never the least', () => {
    expect(resolveRecipe(medium, { wait: '12 h' }, {}, 'porous').cure).toMatchObject({
      minimum: { value: 720 },
      recommended: { value: 720 },
    })
  })

  const cases = recipes.flatMap((r) =>
    r.schools.flatMap((s) => s.options.filter((o) => o.id !== s.default && o.effects.length > 0).map((o) => [r, s.id, o.id] as const)),
  )
  test.each(cases.map(([r, s, o]) => [r.name, s, o, r] as const))('%s: %s %s changes the plan', (_name, school, option, recipe) => {
    const base = demoWorkshops('2026-05-15')[0]!
    const kind = pieceKinds.find((k) => k.recipe === recipe.id) ?? pieceKinds.find((k) => takesPiece(recipe, k))!
    const material = kind.materials.find((m) => takesMaterial(recipe, m))!
    const made = (choices: Record<string, string>) => ({
      ...base,
      pieces: [],
      designs: [{ ...base.designs[0]!, kind: kind.id, material, recipe: { id: recipe.id, version: recipe.version }, choices }],
    })
    const plan = (choices: Record<string, string>) =>
      planWorkshop({ workshop: made(choices), house: demoHouses[0]!, now: '2026-05-13T09:00:00-04:00[America/New_York]' })
    const usual = recipe.schools.find((s) => s.id === school)!.default
    const [before, after] = [plan({ [school]: usual }), plan({ [school]: option })]
    const told = (p: typeof before) => JSON.stringify([p.stages, p.materials, p.split.cure, p.print.mirrored, p.ink, p.whites])
    expect(difference(before, after).length > 0 || told(before) !== told(after)).toBe(true)
  })
})
