import type { Figures } from '#core/figures'
import type { Figure } from '#core/reasons'
import type { Recipe } from './shapes'

/** A recipe with its figures as they hold in a house, each with its key: `recipe.medium-transfer.stages.rub1.minutes`. What stands in a
 *  list is named by its id, its material, its stage or its kind, so that keys last when lists grow. */
export const withFigures = (recipe: Recipe, figures: Figures): Recipe => walk(recipe, `recipe.${recipe.id}`, figures) as Recipe

/** Every figure of a recipe, by key. */
export function figuresIn(recipe: Recipe): { key: string; figure: Figure }[] {
  const found: { key: string; figure: Figure }[] = []
  const collect = Object.assign(() => undefined as never, {
    of: (key: string, figure: Figure) => {
      found.push({ key, figure })
      return figure
    },
  })
  walk(recipe, `recipe.${recipe.id}`, collect)
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
