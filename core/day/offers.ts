import type { Zoned } from '#core/time'
import type { DayRoom } from './dayRoom'
import type { DayState } from './fold'
import { replan, type Replan } from './replan'

/** Work that ends after a stage, the rest at home, and when the room would be clean so. */
export interface Offer {
  stopAfter: string
  name: string
  cleanAt: Zoned
  overMin: number
}

/** What would bring a class that is late back into its time: work that ends earlier, after a stage from which pieces may go home. One after
 *  another: whoever waits for a newer state can turn away between. */
export function* offersEach(room: DayRoom, state: DayState, left: Pick<Replan, 'overMin'>, now: Zoned): Generator<Offer, void> {
  if (left.overMin <= 0) return
  const stages = new Map(
    room.people.flatMap((p) => p.route.filter((s, i) => s.mayStop && i < p.route.length - 1).map((s) => [s.id, s] as const)),
  )
  for (const s of stages.values()) {
    const r = replan(room, state, now, s.id)
    if (r.overMin < left.overMin) yield { stopAfter: s.id, name: s.name, cleanAt: r.cleanAt, overMin: r.overMin }
  }
}

/** The same, all of them; the least given up first. */
export const offers = (room: DayRoom, state: DayState, left: Pick<Replan, 'overMin'>, now: Zoned): Offer[] =>
  leastGivenUp([...offersEach(room, state, left, now)])

export const leastGivenUp = (list: readonly Offer[]): Offer[] => [...list].sort((a, b) => b.overMin - a.overMin)
