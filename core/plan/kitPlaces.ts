import type { KitLine } from '#core/kit'
import type { CautionId } from '#core/recipe'
import type { Plan } from './shapes'

/** Where a thing is first needed: ahead, a class by its id, at home. */
export type KitPlace = { place: string; lines: KitLine[]; cautions: CautionId[] }

/** The kit by the place where each line is first needed, in the order of time, with the cautions of what is done there, each once.
 *  Places that need nothing are left out. */
export function kitByPlace(plan: Plan): KitPlace[] {
  const places = ['ahead', ...plan.sessions.map((s) => s.id), 'home']
  const first = (l: KitLine) => {
    const at = plan.designs.flatMap((d) => d.split.split[l.stages.find((s) => s in d.split.split) ?? ''] ?? [])
    return places.find((p) => at.includes(p)) ?? 'home'
  }
  const placed = plan.kit.map((l) => ({ l, at: first(l) }))
  return places.flatMap((place) => {
    const lines = placed.filter((x) => x.at === place).map((x) => x.l)
    const stages = plan.designs.flatMap((d) => d.stages.filter((s) => d.split.split[s.id] === place))
    return lines.length ? [{ place, lines, cautions: [...new Set(stages.flatMap((s) => s.cautions))] }] : []
  })
}
