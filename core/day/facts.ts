import { pieceStates } from '#core/recipe'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Workshop } from '#core/workshop'
import type { DayState } from './fold'

const rank = (s: (typeof pieceStates)[number]) => pieceStates.indexOf(s)

/** What happened on the day as changes of the workshop's document: each piece that somebody's hands were at, in the state it is in and laid
 *  when it was laid. Of pieces that no tap was about nothing is said; what a tap made that was taken back goes back. */
export function factsOf(workshop: Workshop, state: DayState): Change[] {
  const touched = new Set(state.touched)
  return state.pieces.flatMap((x) => {
    if (!touched.has(x.person) || !workshop.group.participants.some((p) => p.id === x.person)) return []
    const was = pieceOf(workshop, x.person, x.design, x.number)
    if (!was && rank(x.state) < rank('laid') && !x.home) return []
    const { asIs: _asIs, ...piece } =
      was ?? newPiece(workshop, { participant: x.person, designId: x.design, number: x.number, state: x.state })
    const after = { ...piece, state: x.state, laidAt: x.laidAt ?? was?.laidAt ?? null, ...(x.home && { asIs: true }) }
    const same = was && was.state === after.state && was.laidAt === after.laidAt && (was.asIs ?? false) === x.home
    return same ? [] : [changed(inWorkshop.pieces(piece.id), was ?? null, after)]
  })
}
