import { pieceStates } from '#core/recipe'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Workshop } from '#core/workshop'
import type { Zoned } from '#core/time'
import type { DayState, PieceDay } from './fold'

const rank = (s: (typeof pieceStates)[number]) => pieceStates.indexOf(s)

/** What happened in a class as changes of the workshop's document: each piece that somebody's hands were at, in the state it is in, laid when it was
 *  laid, with the spares that it took. Of pieces that no tap was about nothing is said, until the class is ended: then each piece whose person has no
 *  class after it goes home as it is, whatever the plan would have made of it. What a tap made that was taken back goes back. */
export function factsOf(workshop: Workshop, state: DayState, session: string): Change[] {
  const touched = new Set(state.touched)
  const at = (id: string) => {
    const s = workshop.sessions.find((x) => x.id === id)
    return s ? `${s.date}T${s.start}` : ''
  }
  /** Nothing more is done with it in a class. */
  const isLast = (person: string) => {
    const misses = workshop.group.participants.find((p) => p.id === person)?.misses ?? []
    return !workshop.sessions.some((s) => at(s.id) > at(session) && !misses.includes(s.id))
  }
  /** What taps laid, when they did; what came laid keeps what somebody noted of it, if anything: what the plan thinks is nobody's word. A spare that goes
   *  home takes along when it was laid. */
  const laidAt = (x: PieceDay, was: Zoned | null): Zoned | null => {
    if (rank(x.state) < rank('laid')) return null
    return x.laidHere || (x.spares > 0 && state.endedAt !== null) ? x.laidAt : was
  }
  return state.pieces.flatMap((x) => {
    if (!touched.has(x.person) || !workshop.group.participants.some((p) => p.id === x.person)) return []
    const was = pieceOf(workshop, x.person, x.design, x.number)
    const asIs = x.home || (state.endedAt !== null && isLast(x.person) && rank(x.state) >= rank('laid'))
    if (!was && rank(x.state) < rank('laid') && !asIs && x.spares === 0) return []
    const {
      asIs: _asIs,
      spares: had,
      ...piece
    } = was ?? newPiece(workshop, { participant: x.person, designId: x.design, number: x.number, state: x.state })
    const { [session]: _here, ...before } = had ?? {}
    const spares = { ...before, ...(x.spares > 0 && { [session]: x.spares }) }
    const after = {
      ...piece,
      ...{ state: x.state, laidAt: laidAt(x, was?.laidAt ?? null) },
      ...(asIs && { asIs: true }),
      ...(Object.keys(spares).length > 0 && { spares }),
    }
    const same =
      was?.state === after.state && was.laidAt === after.laidAt && (was.asIs ?? false) === asIs && (was.spares?.[session] ?? 0) === x.spares
    return same ? [] : [changed(inWorkshop.pieces(piece.id), was ?? null, after)]
  })
}
