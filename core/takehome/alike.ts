import { pieceStates, type PieceState } from '#core/recipe'
import { pieceOf, setStates, type Workshop } from '#core/workshop'
import { sheetKey, type TakeHomeSheet } from './takehome'

const far = (s: PieceState) => pieceStates.indexOf(s)
const pieceFor = (w: Workshop, s: TakeHomeSheet) => pieceOf(w, s.participant, s.design, s.number)

/** Pieces of the same design that may go home in the state that was set for one: those that only follow the plan, and those that were
 *  set to less. Never one that is further already; never as laid one that nobody has laid. None while the one follows the plan. */
export function alike(workshop: Workshop, sheets: readonly TakeHomeSheet[], one: TakeHomeSheet): TakeHomeSheet[] {
  const set = pieceFor(workshop, one)
  if (!set?.asIs) return []
  return sheets.filter((s) => {
    if (s.design !== one.design || sheetKey(s) === sheetKey(one)) return false
    const piece = pieceFor(workshop, s)
    if (!piece) return far(set.state) < far('laid') || s.group !== 'not-laid'
    return piece.asIs ? far(piece.state) < far(set.state) : far(piece.state) <= far(set.state)
  })
}

/** Sets the state of one for others, in one change; and when it was laid, where that is not known of them. */
export function setAlike(
  workshop: Workshop,
  one: TakeHomeSheet,
  others: readonly TakeHomeSheet[],
): ReturnType<typeof setStates> | undefined {
  const set = pieceFor(workshop, one)
  const pieces = others.map((s) => ({ participant: s.participant, designId: s.design, number: s.number }))
  return set && setStates(workshop, { pieces, state: set.state, laidAt: set.laidAt })
}
