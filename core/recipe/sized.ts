import type { ResolvedRecipe } from './resolve'
import type { Stage } from './shapes'

/** By so much handwork on a face takes longer or shorter than on the usual size of its kind: the ratio of the areas to a power (0: size
 *  makes no difference; 1: twice the face, twice the time), to a tenth, at least a third and at most four times. */
export function sizeFactor(areaMm2: number, usualMm2: number, power: number): number {
  const factor = (areaMm2 / usualMm2) ** power
  return Math.min(4, Math.max(0.3, Math.round(factor * 10) / 10))
}

/** What is worked all over the face: coated, laid, wetted, rubbed, sealed. */
const isAllOver = (s: Stage): boolean => s.attended && (s.lays === true || s.round !== undefined || s.station === 'basin')

/** A recipe for a face of another size: the minutes of what is worked all over it are so many times as long, to the minute. */
export function sized(resolved: ResolvedRecipe, factor: number): ResolvedRecipe {
  if (factor === 1) return resolved
  return {
    ...resolved,
    stages: resolved.stages.map((s) =>
      isAllOver(s) ? { ...s, minutes: { ...s.minutes, value: Math.max(1, Math.round(s.minutes.value * factor)) } } : s,
    ),
  }
}
