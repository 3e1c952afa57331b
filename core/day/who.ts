import type { Plan } from '#core/plan'
import type { DayRoom } from './dayRoom'
import { commonRoute, type DayState, type PersonDay, type PieceDay } from './fold'
import { routesOf } from './replan'

/** Who was expected and was marked as not here: they may still come. */
export const missing = (room: DayRoom, state: DayState): PersonDay[] =>
  state.people.filter((p) => p.presence === 'absent' && room.people.some((x) => x.id === p.id && x.expected))

/** Who is looked out for: missing, or not marked yet and said to come later. */
export const awaited = (room: DayRoom, state: DayState): PersonDay[] => {
  const comes = new Set(room.people.flatMap((p) => (p.comesAt ? p.id : [])))
  const away = new Set(missing(room, state).map((p) => p.id))
  return state.people.filter((p) => away.has(p.id) || (p.presence === 'unknown' && comes.has(p.id)))
}

/** Who was expected from the begin and nobody has marked yet: who said that they come later is none of them. */
export const unmarked = (room: DayRoom, state: DayState): PersonDay[] =>
  state.people.filter((p) => p.presence === 'unknown' && room.people.some((x) => x.id === p.id && x.expected && !x.comesAt))

/** The pieces whose people came, also of those that have left since: what goes out of the door, or onto the shelf. */
export function piecesHere(state: DayState): PieceDay[] {
  const away = new Set(state.people.flatMap((p) => (p.presence === 'absent' ? p.id : [])))
  return state.pieces.filter((p) => !away.has(p.person))
}

/** Who came, has not come to the end of their way, and none of whose pieces goes home as it is. */
export function unfinished(room: DayRoom, state: DayState): PersonDay[] {
  const routes = routesOf(room, state)
  // What dries at the end of the way needs no hand any more.
  const left = (p: PersonDay) => (routes.get(p.id) ?? []).slice(p.at).filter((s, i) => !(i === 0 && p.doing && !s.attended))
  return state.people.filter(
    (p) => !p.guest && p.presence !== 'absent' && left(p).length > 0 && !state.pieces.some((x) => x.person === p.id && x.home),
  )
}

/** Spares of a design that are left: as many as the plan has of it, less those that pieces were begun again on, in this class and before. Where the class
 *  works on what was laid before, a spare is one that was laid too: as many as there were blanks for. */
export function sparesLeft(
  plan: Pick<Plan, 'designs'>,
  room: Pick<DayRoom, 'sparesUsed' | 'people'>,
  state: Pick<DayState, 'pieces'>,
  design: string,
): number {
  const spares = plan.designs.find((d) => d.design === design)?.spares
  if (!spares) return 0
  const laid = commonRoute(room).find((s) => s.design === design)?.afterCure ?? false
  const prints = spares.count - (room.sparesUsed[design] ?? 0)
  const used = state.pieces.filter((p) => p.design === design).reduce((n, p) => n + p.spares, 0)
  return Math.max(0, (laid ? Math.min(spares.blanks, prints) : prints) - used)
}
