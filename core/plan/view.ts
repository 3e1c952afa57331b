import type { DesignPlan, Figured, Plan } from './shapes'

/** The plan as one design's screens see it: its own figures and decisions where the design has its own, the workshop's else. */
export function planOf(plan: Plan, designId: string): Plan {
  const own = plan.designs.find((d) => d.design === designId)
  return !own ? plan : seenFrom(plan, own)
}

/** What a design's own plan puts in the place of the first's. */
export function seenFrom<T extends Figured>(plan: T, d: DesignPlan): T {
  if (plan.designs.length === 1) return plan
  const mine = Object.entries(plan.figures).flatMap(([key, f]) =>
    key.endsWith(`@${d.design}`) ? [[key.slice(0, key.lastIndexOf('@')), f] as const] : [],
  )
  const tape = { tape: undefined, ...d } as DesignPlan
  return { ...plan, ...tape, figures: { ...plan.figures, ...Object.fromEntries(mine.filter(([key]) => !key.startsWith('kit/'))) } }
}
