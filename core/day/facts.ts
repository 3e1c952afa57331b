import { pieceStates } from '#core/recipe'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Workshop } from '#core/workshop'
import type { DayState } from './fold'

const rank = (s: (typeof pieceStates)[number]) => pieceStates.indexOf(s)

/** What happened on the day as changes of the workshop's document: each piece that somebody's hands were at, in the state it is in and laid
 *  when it was laid. Of pieces that nobody touched nothing is said; a piece begun again on a spare goes back. Absences are not changed. */
export function factsOf(workshop: Workshop, state: DayState): Change[] {
  const touched = new Set(state.people.filter((p) => Object.keys(p.done).length > 0).map((p) => p.id))
  return state.pieces.flatMap((x) => {
    if (!workshop.group.participants.some((p) => p.id === x.person)) return []
    if (!touched.has(x.person) && !x.home && x.spares === 0) return []
    const was = pieceOf(workshop, x.person, x.design, x.number)
    if (!was && rank(x.state) < rank('laid') && !x.home) return []
    const piece = was ?? newPiece(workshop, { participant: x.person, designId: x.design, number: x.number, state: x.state })
    const after = { ...piece, state: x.state, laidAt: x.laidAt, ...(x.home && { asIs: true }) }
    const same = was && was.state === after.state && was.laidAt === after.laidAt && (was.asIs ?? false) === (after.asIs ?? false)
    return same ? [] : [changed(inWorkshop.pieces(piece.id), was ?? null, after)]
  })
}
