import { expose } from 'comlink'
import { lateWays, leastGivenUp, offersEach, replan, type DayRoom, type DayState, type LateWay, type Offer, type Replan } from '#core/day'
import type { Zoned } from '#core/time'

let room: DayRoom | undefined
let last: { state: DayState; left: Replan; at: Zoned } | undefined
let asked = 0
const breath = () => new Promise((go) => setTimeout(go))

/** A class's day in a thread: the room is given once, how it stands whenever it has changed. */
expose({
  begin(of: DayRoom): void {
    asked++
    room = of
    last = undefined
  },
  /** Plans what is left. */
  left(state: DayState, at: Zoned): Replan {
    asked++
    const left = replan(room!, state, at)
    last = { state, left, at }
    return left
  },
  /** What would bring the room of the last answer back into its time, and how far who is missing still comes; undefined when somebody asked anew. */
  async ways(): Promise<{ offers: Offer[]; late: LateWay[] } | undefined> {
    if (!last) return undefined
    const mine = asked
    const { state, left, at } = last
    const offers: Offer[] = []
    const late: LateWay[] = []
    for (const o of offersEach(room!, state, left, at)) {
      offers.push(o)
      await breath()
      if (mine !== asked) return undefined
    }
    for (const l of lateWays(room!, state, left, at)) {
      late.push(l)
      await breath()
      if (mine !== asked) return undefined
    }
    return { offers: leastGivenUp(offers), late }
  },
})
