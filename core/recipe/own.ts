import * as v from 'valibot'
import type { Figure } from '#core/reasons'
import { belowPractice, checkRecipe } from './check'
import { recipeById } from './catalogue'
import { recipes as practice } from './catalogue'
import type { MaterialUse, Recipe, Stage } from './shapes'

const slug = () => v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/, 'not an id | Use small letters, digits and hyphens.'))
const path = () =>
  v.pipe(v.string(), v.regex(/^[A-Za-z0-9-]+(\/[A-Za-z0-9 -]+){0,4}$/, 'not a place in a recipe | Write it like stages/lay/minutes.'))
const text = (most: number) => v.pipe(v.string(), v.maxLength(most, `longer than ${most} letters | Shorten it.`))

/** One difference from the practice: another figure, other words, a thing left out, a thing more. */
const recipeEdit = v.union(
  [
    v.object({ path: path(), figure: v.pipe(v.number(), v.minValue(0, 'below 0 | Give 0 or more.'), v.maxValue(100_000)) }),
    v.object({ path: path(), text: v.pipe(text(300), v.minLength(1, 'empty | Say something.')) }),
    v.object({ drop: path() }),
    v.object({
      add: v.object({
        material: v.pipe(text(60), v.minLength(1, 'empty | Name the thing.')),
        note: text(80),
        basis: v.picklist(['person', 'table', 'room', 'blank']),
        amount: v.pipe(v.number(), v.minValue(0), v.maxValue(1000)),
        stage: slug(),
      }),
    }),
    v.object({
      addStage: v.object({
        id: slug(),
        name: v.pipe(text(60), v.minLength(1, 'empty | Name the step.')),
        /** The stage that it follows. */
        after: slug(),
        minutes: v.pipe(v.number(), v.minValue(0, 'below 0 | Give 0 or more.'), v.maxValue(1440, 'more than a day | Give 1440 or less.')),
        attended: v.boolean(),
        pass: v.pipe(text(300), v.minLength(1, 'empty | Say when it is right.')),
        fail: v.pipe(text(300), v.minLength(1, 'empty | Say when it is wrong.')),
      }),
    }),
  ],
  'not a difference | Give {path, figure}, {path, text}, {drop}, {add} or {addStage}.',
)
export type RecipeEdit = v.InferOutput<typeof recipeEdit>

type StageAdded = Extract<RecipeEdit, { addStage: unknown }>['addStage']

/** A recipe of the house: the method that it comes from and what is done differently. Versions stand beside each other and
 *  are never changed once made. */
export const ownRecipeShape = v.object({
  id: slug(),
  recipe: slug(),
  version: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(1000)),
  base: v.object({ id: slug(), version: v.pipe(v.number(), v.integer(), v.minValue(1)) }),
  name: v.pipe(text(60), v.minLength(1, 'empty | Give the recipe a name.')),
  note: text(400),
  edits: v.pipe(v.array(recipeEdit), v.maxLength(60, 'more than 60 differences | Begin from another method.')),
})
export type OwnRecipe = v.InferOutput<typeof ownRecipeShape>

/** The recipe as the next version under this id: one above the highest that the house has. */
export function asNextVersion(own: OwnRecipe, recipe: string, among: readonly OwnRecipe[]): OwnRecipe {
  const version = Math.max(0, ...among.filter((o) => o.recipe === recipe).map((o) => o.version)) + 1
  return { ...own, id: `${recipe.slice(0, 57)}-v${version}`, recipe, version }
}

/** The method it comes from with its differences applied, or what is wrong with it. Pure data: no method is known by name. */
export function makeRecipe(own: OwnRecipe): { recipe: Recipe } | { problems: string[] } {
  const base = recipeById(own.base.id, own.base.version, practice)
  if (!base) return { problems: [`${own.base.id} version ${own.base.version}, which it comes from, is not here`] }
  const made = JSON.parse(JSON.stringify(base)) as Recipe
  const problems = own.edits.flatMap((e) => apply(made, e))
  Object.assign(made, { id: own.recipe, version: own.version, name: own.name, from: own.base, note: own.note })
  const found = [...problems, ...checkRecipe(made)]
  return found.length ? { problems: found } : { recipe: { ...made, below: belowPractice(made, base) } }
}

function apply(recipe: Recipe, edit: RecipeEdit): string[] {
  if ('add' in edit) {
    const { material, note, basis, amount, stage } = edit.add
    const line: MaterialUse = { material, note, basis, amount: { value: amount, unit: 'count', mark: 'E' }, stages: [stage] }
    recipe.materials.push(line)
    return []
  }
  if ('addStage' in edit) return insert(recipe, edit.addStage)
  if ('drop' in edit) return drop(recipe, edit.drop)
  const keys = edit.path.split('/')
  const last = keys.pop()!
  const holder = keys.reduce<unknown>(step, recipe)
  const now = step(holder, last)
  if ('figure' in edit && isFigure(now)) {
    now.value = edit.figure
    now.mark = 'E'
    return []
  }
  if ('text' in edit && typeof now === 'string' && typeof holder === 'object' && holder !== null) {
    ;(holder as Record<string, string>)[last] = edit.text
    return []
  }
  return [`${edit.path} is no ${'figure' in edit ? 'figure' : 'text'} of ${recipe.id}`]
}

/** A step more stands where the one before it stands: done in the same places, stopped at where that one may stop, gone with
 *  its round. Nothing comes into a race. */
function insert(recipe: Recipe, { id, name, after, minutes, attended, pass, fail }: StageAdded): string[] {
  const at = recipe.stages.findIndex((s) => s.id === after)
  const before = recipe.stages[at]
  if (!before) return [`${name} follows ${after}, which is no stage of ${recipe.id}`]
  if (recipe.stages.some((s) => s.id === id)) return [`there are two steps ${id}`]
  if (before.then?.race) return [`nothing comes between ${before.name} and the next step: it is a race`]
  const home = before.mayBe.includes('home') ? { home: { title: name, few: pass, more: `${pass} ${fail}` } } : {}
  const round = before.round === undefined ? {} : { round: before.round }
  const stage: Stage = {
    id,
    name,
    attended,
    minutes: { value: minutes, unit: 'min', mark: 'E' },
    mayBe: [...before.mayBe],
    pass,
    fail,
    cautions: [],
    ...(before.mayStop && { mayStop: true }),
    ...home,
    ...round,
  }
  recipe.stages.splice(at + 1, 0, stage)
  return []
}

function drop(recipe: Recipe, what: string): string[] {
  const [kind, id] = what.split('/')
  if (kind === 'materials' && recipe.materials.some((m) => m.material === id)) {
    recipe.materials = recipe.materials.filter((m) => m.material !== id)
    return []
  }
  const stage = recipe.stages.find((s) => s.id === id)
  if (kind === 'stages' && stage && !stage.makes && !stage.then?.makes) {
    recipe.stages = recipe.stages.filter((s) => s.id !== id)
    recipe.materials = recipe.materials.flatMap((m) => {
      const stages = m.stages.filter((s) => s !== id)
      return stages.length ? [{ ...m, stages }] : []
    })
    recipe.schools = recipe.schools.map((s) => ({
      ...s,
      options: s.options.map((o) => ({ ...o, effects: o.effects.filter((e) => !('stage' in e) || e.stage !== id) })),
    }))
    return []
  }
  return [stage ? `${stage.name} makes the piece what it is and stays` : `${what} is not in ${recipe.id}`]
}

/** Lists are entered by id (stages, samples, schools) or by material. */
function step(node: unknown, key: string): unknown {
  if (Array.isArray(node)) return (node as Record<string, unknown>[]).find((x) => x['id'] === key || x['material'] === key)
  return typeof node === 'object' && node !== null ? (node as Record<string, unknown>)[key] : undefined
}
const isFigure = (x: unknown): x is Figure => typeof x === 'object' && x !== null && 'value' in x && 'unit' in x
