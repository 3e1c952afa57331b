import type { Figure } from '#core/reasons'
import type { Recipe } from './shapes'

/** What is wrong with a recipe's data, in words a practitioner can act on; empty when it may be used. */
export function checkRecipe(recipe: Recipe): string[] {
  const found: string[] = []
  const ids = new Set(recipe.stages.map((s) => s.id))
  const say = (what: string) => found.push(`${recipe.id}: ${what}`)
  for (const [path, f] of figuresIn(recipe, [])) {
    if (!'PEY'.includes(f.mark ?? '-')) say(`${path} has no source mark`)
    if (!f.unit) say(`${path} has no unit`)
    if (!Number.isFinite(f.value) || f.value < 0) say(`${path} is not a figure`)
  }
  for (const s of recipe.stages) {
    if (!s.pass || !s.fail) say(`stage ${s.id} has no cue to pass or to fail`)
    if (s.mayBe.length === 0) say(`stage ${s.id} may be done nowhere`)
    if (s.mayBe.includes('home') && !s.home) say(`stage ${s.id} may be done at home but says no step for it`)
    if (s.then?.most && s.then.most.value < s.then.least.value) say(`the wait after ${s.id} can never hold`)
    if (s.then?.cures && !recipe.cure) say(`stage ${s.id} cures, but the recipe names no cure`)
  }
  for (const m of recipe.materials)
    for (const s of m.stages) if (!ids.has(s)) say(`material ${m.material} is used at ${s}, which is no stage`)
  for (const s of recipe.samples) if (!ids.has(s.after)) say(`sample ${s.id} follows ${s.after}, which is no stage`)
  for (const school of recipe.schools) {
    if (!school.options.some((o) => o.id === school.default)) say(`school ${school.id} has no option ${school.default}`)
    for (const o of school.options)
      for (const e of o.effects) if ('stage' in e && !ids.has(e.stage)) say(`${school.id} ${o.id} changes ${e.stage}, which is no stage`)
  }
  return found
}

function figuresIn(node: unknown, path: string[]): [string, Figure][] {
  if (typeof node !== 'object' || node === null) return []
  if ('value' in node && !Array.isArray(node)) return [[path.join('.'), node as Figure]]
  return Object.entries(node).flatMap(([key, inner]) => figuresIn(inner, [...path, key]))
}
