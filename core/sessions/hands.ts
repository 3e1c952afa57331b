import type { Figures } from '#core/figures'
import type { Input } from '#core/reasons'
import { childrenToAdult, hazardOf, mayTouch, type AgeBand, type ResolvedRecipe, type Stage } from '#core/recipe'

/** Stations that are people: children led through a race, and the one adult who sprays. */
export const ledId = 'led'
export const sprayId = 'spray'

/** So many of an age, and how many of them go to one adult. */
export const atRatio = (age: AgeBand, people: number, figures: Figures): Input => {
  const ratio = childrenToAdult(age, figures)
  return { name: `age-${age}`, value: `${people} at 1 to ${ratio.value}`, mark: ratio.mark, ...(ratio.key && { key: ratio.key }) }
}

/** From 13 on people race alone. */
export const isLed = (age: AgeBand): boolean => age === 'under-8' || age === '8-12'

/** How many children adults lead through a race at once, all turns alike: each age takes its share of an adult (E). Infinity where nobody
 *  is led. */
export function ledAtOnce(ages: readonly AgeBand[], adults: number, figures: Figures): number {
  const led = ages.filter(isLed)
  if (led.length === 0) return Infinity
  const share = led.reduce((sum, a) => sum + 1 / childrenToAdult(a, figures).value, 0)
  return Math.ceil(led.length / Math.ceil(share / Math.max(1, adults) - 1e-9))
}

/** Runs of stages joined by waits that are races against a drying coat. */
export function racesOf(resolved: Pick<ResolvedRecipe, 'stages'>): Stage[][] {
  const blocks: Stage[][] = []
  resolved.stages.forEach((s, i) => {
    const joined = i > 0 && resolved.stages[i - 1]!.then?.race
    if (joined) blocks.at(-1)!.push(s)
    else if (s.then?.race && resolved.stages[i + 1]) blocks.push([s])
  })
  return blocks
}

const hazardAt = (stage: Stage) => stage.cautions.map(hazardOf).find((h) => h !== undefined)

/** What adults do for somebody of this age, because they may not touch it; a spray is an adult's for everybody. */
export function doneFor(stage: Stage, age: AgeBand): boolean {
  const hazard = hazardAt(stage)
  return stage.attended && hazard !== undefined && (hazard === 'spray' || mayTouch[hazard][age] === 'no')
}
/** Outdoors, by one adult, all in a row. */
export const isSprayed = (stage: Stage): boolean => hazardAt(stage) === 'spray'

/** Of so many adults one watches while the others do for people what they may not touch. */
export const handsOf = (adults: number): number => Math.max(1, adults - 1)
