import { minutesBetween, type Zoned } from '#core/time'
import type { Plan, PlanFigure } from './shapes'

/** One figure that changed. `by` is after - before: minutes for instants; null where it appeared or went. */
export interface Difference {
  key: string
  unit: PlanFigure['unit']
  noun?: string
  before: PlanFigure['value'] | null
  after: PlanFigure['value'] | null
  by: number | null
}

/** What changed from one plan to another, figure by figure, in the order of the new plan; what went comes last. */
export function difference(before: Plan, after: Plan): Difference[] {
  const keys = [...Object.keys(after.figures), ...Object.keys(before.figures).filter((k) => !(k in after.figures))]
  return keys.flatMap((key) => {
    const [was, is] = [before.figures[key], after.figures[key]]
    if (was?.value === is?.value) return []
    const f = (is ?? was)!
    return [
      { key, unit: f.unit, ...(f.noun && { noun: f.noun }), before: was?.value ?? null, after: is?.value ?? null, by: change(was, is) },
    ]
  })
}

function change(was: PlanFigure | undefined, is: PlanFigure | undefined): number | null {
  if (is?.unit === 'packs' || was?.unit === 'packs') return Number(is?.value ?? 0) - Number(was?.value ?? 0)
  if (!was || !is) return null
  if (is.unit === 'instant') return minutesBetween(was.value as Zoned, is.value as Zoned)
  return Number((Number(is.value) - Number(was.value)).toFixed(6))
}
