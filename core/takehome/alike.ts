import { pieceStates, type PieceState } from '#core/recipe'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Workshop } from '#core/workshop'
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
export function setAlike(workshop: Workshop, one: TakeHomeSheet, others: readonly TakeHomeSheet[]): Change[] {
  const set = pieceFor(workshop, one)
  if (!set) return []
  return others.map((s) => {
    const was = pieceFor(workshop, s)
    const piece = was ?? newPiece(workshop, { participant: s.participant, designId: s.design, number: s.number, state: s.state })
    const after = { ...piece, state: set.state, laidAt: piece.laidAt ?? set.laidAt, asIs: true }
    return changed(inWorkshop.pieces(piece.id), was, after)
  })
}
