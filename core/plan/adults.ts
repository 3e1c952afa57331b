import { because, from } from '#core/reasons'
import { ageBands, childrenToAdult, hazardOf, mayTouch, type Hazard } from '#core/recipe'
import { atRatio } from '#core/sessions'
import { takesKit } from '#core/workshop'
import type { Adults, DesignPlan } from './shapes'
import type { Situation } from './situation'

/** Adults the class needs: a share for each child by age, rounded up, one at each blade, heat or spray that is used in class
 *  and that some of the group may not touch alone, and one at the least. The instructor counts as coming. */
export function planAdults(parts: readonly { s: Situation; d: DesignPlan }[]): Adults {
  const { workshop, figures } = parts[0]!.s
  // Whoever works at home is not in the room.
  const people = workshop.group.participants.filter((p) => !takesKit(workshop, p))
  const atHazards = parts.flatMap(({ s, d }) =>
    d.split.loads.flatMap((l) =>
      l.stages.flatMap((stage) =>
        hazardsOf(s, stage.id)
          .filter((h) => s.inClass.some((p) => mayTouch[h][p.age] !== 'yes'))
          .map((hazard) => ({ hazard, stage: stage.id, sessionId: l.sessionId, design: d.design })),
      ),
    ),
  )
  // Stricter where children are in a class with heat or blades.
  const strict = (['heat', 'blade'] as const)
    .filter((h) => atHazards.some((x) => x.hazard === h))
    .map((h) => ({ h, f: figures(`ratio.${h}`) }))
  const stricter = Math.min(Infinity, ...strict.map((x) => x.f.value))
  const byAge = ageBands
    .map((age) => ({
      age,
      people: people.filter((p) => p.age === age).length,
      ratio: Math.min(childrenToAdult(age, figures).value, age === 'adult' ? Infinity : stricter),
    }))
    .filter((b) => b.people > 0)
  const watching = Math.ceil(byAge.reduce((sum, b) => sum + b.people / b.ratio, 0) - 1e-9)
  const sessions = new Set(atHazards.map((h) => h.sessionId))
  const busiest = Math.max(0, ...[...sessions].map((id) => new Set(atHazards.filter((h) => h.sessionId === id).map((h) => h.hazard)).size))
  const needed = people.length === 0 ? 0 : Math.max(1, watching + busiest)
  return {
    needed,
    matters: byAge.some((b) => b.age !== 'adult'),
    coming: 1 + workshop.group.helpers,
    byAge,
    atHazards,
    because: because('adults', [
      ...byAge.filter((b) => b.age !== 'adult').map((b) => atRatio(b.age, b.people, figures)),
      ...strict.map(({ h, f }) => from(`ratio-${h}`, f)),
      { name: 'at-hazards', value: busiest },
    ]),
  }
}

function hazardsOf(s: Situation, stageId: string): Hazard[] {
  const stage = s.resolved.stages.find((x) => x.id === stageId)
  return (stage?.cautions ?? []).flatMap((id) => {
    const hazard = hazardOf(id)
    return hazard ? [hazard] : []
  })
}
