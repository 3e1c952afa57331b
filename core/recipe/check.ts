import type { Figure } from '#core/reasons'
import { cautions } from './cautions'
import { blankMaterial } from './pieces'
import type { Recipe, Stage } from './shapes'

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
    for (const c of s.cautions) if (!(c in cautions)) say(`stage ${s.id} has a caution ${c} that nobody wrote`)
    if (s.then?.cures && !recipe.cure) say(`stage ${s.id} cures, but the recipe names no cure`)
  }
  for (const [material, f] of Object.entries(recipe.surfaces)) {
    if (!blankMaterial(material)) say(`surface ${material} is not known`)
    if (!'PEY'.includes(f.mark ?? '-')) say(`surface ${material} has no source mark`)
  }
  if (Object.keys(recipe.surfaces).length === 0) say('goes onto nothing')
  for (const m of recipe.materials)
    for (const s of m.stages) if (!ids.has(s)) say(`material ${m.material} is used at ${s}, which is no stage`)
  for (const s of recipe.samples) if (!ids.has(s.after)) say(`sample ${s.id} follows ${s.after}, which is no stage`)
  for (const school of recipe.schools) {
    if (!school.options.some((o) => o.id === school.default)) say(`school ${school.id} has no option ${school.default}`)
    for (const o of school.options)
      for (const e of o.effects) {
        if ('stage' in e && !ids.has(e.stage)) say(`${school.id} ${o.id} changes ${e.stage}, which is no stage`)
        if ('material' in e && !recipe.materials.some((m) => m.material === e.material))
          say(`${school.id} ${o.id} changes ${e.material}, which is no material`)
      }
  }
  return found
}

/** Where a recipe goes below what practice asks for at least: the wait before rubbing, and the lags of the method it comes
 *  from. Such a recipe is an experiment on a sample, never for a group. */
export function belowPractice(recipe: Recipe, practice: Recipe): string[] {
  const found: string[] = []
  if (recipe.cure && practice.cure && recipe.cure.minimum.value < practice.cure.minimum.value)
    found.push(`rubbed from ${recipe.cure.minimum.value} min on; practice waits ${practice.cure.minimum.value} at the least`)
  if (!recipe.cure && practice.cure) found.push('does not wait at all before rubbing')
  const least = (s: Stage | undefined) => s?.then?.least
  for (const s of practice.stages) {
    const [mine, theirs] = [least(recipe.stages.find((x) => x.id === s.id)), least(s)]
    if (mine && theirs && theirs.mark === 'P' && mine.value < theirs.value && !s.then?.cures)
      found.push(`waits ${mine.value} min after ${s.name.toLowerCase()}; practice waits ${theirs.value}`)
  }
  return found
}

function figuresIn(node: unknown, path: string[]): [string, Figure][] {
  if (typeof node !== 'object' || node === null) return []
  if ('value' in node && !Array.isArray(node)) return [[path.join('.'), node as Figure]]
  return Object.entries(node).flatMap(([key, inner]) => figuresIn(inner, [...path, key]))
}
