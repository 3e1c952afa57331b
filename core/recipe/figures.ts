import type { Figures } from '#core/figures'
import type { Figure } from '#core/reasons'
import { extras, type Extra } from './extras'
import type { Recipe } from './shapes'

/** A recipe with its figures as they hold in a house, each with its key: `recipe.medium-transfer.stages.rub1.minutes`. What stands in a
 *  list is named by its id, its material, its stage or its kind, so that keys last when lists grow. */
export const withFigures = (recipe: Recipe, figures: Figures): Recipe => walk(recipe, `recipe.${recipe.id}`, figures) as Recipe

/** The same of what is done beside a method: `extra.tint.steps.finish-tint.minutes`. */
export const withExtraFigures = (x: Extra, figures: Figures): Extra => walk(x, `extra.${x.id}`, figures) as Extra

/** Every figure of a recipe, by key. */
export const figuresIn = (recipe: Recipe): Keyed[] => keyed(recipe, `recipe.${recipe.id}`)
/** Every figure of what is done beside a method, by key. */
export const extraFigures = (): Keyed[] => extras.flatMap((x) => keyed(x, `extra.${x.id}`))

interface Keyed {
  key: string
  figure: Figure
}
function keyed(node: unknown, under: string): Keyed[] {
  const found: Keyed[] = []
  const collect = Object.assign(() => undefined as never, {
    of: (key: string, figure: Figure) => {
      found.push({ key, figure })
      return figure
    },
  })
  walk(node, under, collect)
  return found
}

function walk(node: unknown, key: string, figures: Pick<Figures, 'of'>): unknown {
  if (typeof node !== 'object' || node === null) return node
  if (isFigure(node)) return figures.of(key, { value: node.value, unit: node.unit, mark: node.mark })
  if (Array.isArray(node)) return node.map((x: unknown, i) => walk(x, `${key}.${nameIn(x, i)}`, figures))
  return Object.fromEntries(Object.entries(node).map(([k, x]) => [k, walk(x, `${key}.${k}`, figures)]))
}

const isFigure = (x: object): x is Figure => 'value' in x && 'unit' in x && 'mark' in x

function nameIn(x: unknown, i: number): string {
  const { id, kind, use, ...at } = (typeof x === 'object' && x !== null ? x : {}) as {
    id?: string
    kind?: string
    use?: { material: string }
    material?: string
    stage?: string
  }
  const [material, stage] = [use?.material ?? at.material, at.stage]
  return id ?? (kind ? [kind, stage ?? material].filter(Boolean).join('-') : (material ?? stage ?? String(i)))
}
