import { hazardOf, type HomeStep, type ResolvedRecipe, type Stage } from '#core/recipe'
import type { Split } from './split'

/** A recipe as it is done from a kit to go: what can be done ahead is done by the house, all else at home. `cannot` are the stages that no
 *  household is sent home with: heat and drills. */
export function forHome(resolved: ResolvedRecipe): { resolved: ResolvedRecipe; split: Split; cannot: Stage[] } {
  const stages = resolved.stages.map((s): Stage =>
    s.mayBe.includes('ahead') ? { ...s, mayBe: ['ahead'] } : { ...s, mayBe: ['home'], home: homeStep(s) },
  )
  return {
    resolved: { ...resolved, stages },
    split: Object.fromEntries(stages.map((s) => [s.id, s.mayBe[0]!])),
    cannot: stages.filter((s) => s.mayBe[0] === 'home' && s.cautions.some((c) => ['heat', 'drill'].includes(hazardOf(c) ?? ''))),
  }
}

/** A stage as a step of a sheet: as it is said for home, or by its cues; with the wait that follows it. */
function homeStep(s: Stage): HomeStep {
  const said = s.home ?? { title: s.name, few: s.pass, more: s.pass, not: s.fail, stage: s.id }
  return {
    ...said,
    ...(s.makes && { makes: s.makes }),
    ...(s.then?.cures && { laid: true as const }),
    // What is said for home says its wait itself.
    ...(!s.home && s.then && !s.then.cures && s.then.least.value > 0 && { leastMin: s.then.least.value }),
    ...(s.then?.most && s.then.most.value <= 10 && { mostMin: s.then.most.value }),
  }
}
