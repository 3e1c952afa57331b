import { because } from '#core/reasons'
import { ageBands, childrenToAdult, hazardOf, mayTouch, type Hazard } from '#core/recipe'
import { atRatio, type Judged } from '#core/sessions'
import type { Adults } from './shapes'
import type { Situation } from './situation'

/** Adults the class needs: a share for each child by age, rounded up, one at each blade, heat or spray that is used in class
 *  and that some of the group may not touch alone, and one at the least. The instructor counts as coming. */
export function planAdults(s: Situation, split: Judged): Adults {
  const byAge = ageBands
    .map((age) => ({
      age,
      people: s.workshop.group.participants.filter((p) => p.age === age).length,
      ratio: childrenToAdult(age, s.figures).value,
    }))
    .filter((b) => b.people > 0)
  const atHazards = split.loads.flatMap((l) =>
    l.stages.flatMap((stage) =>
      hazardsOf(s, stage.id)
        .filter((h) => byAge.some((b) => mayTouch[h][b.age] !== 'yes'))
        .map((hazard) => ({ hazard, stage: stage.id, sessionId: l.sessionId })),
    ),
  )
  const watching = Math.ceil(byAge.reduce((sum, b) => sum + b.people / b.ratio, 0) - 1e-9)
  const busiest = Math.max(
    0,
    ...split.loads.map((l) => new Set(atHazards.filter((h) => h.sessionId === l.sessionId).map((h) => h.hazard)).size),
  )
  const needed = s.people === 0 ? 0 : Math.max(1, watching + busiest)
  return {
    needed,
    matters: byAge.some((b) => b.age !== 'adult'),
    coming: 1 + s.workshop.group.helpers,
    byAge,
    atHazards,
    because: because('adults', [
      ...byAge.filter((b) => b.age !== 'adult').map((b) => atRatio(b.age, b.people, s.figures)),
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
