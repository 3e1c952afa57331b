import type { Plan } from '#core/plan'
import { minutesBetween, type Zoned } from '#core/time'
import type { DayRoom } from './dayRoom'
import { commonRoute, type DayState } from './fold'
import { isHere } from './replan'
import { sparesLeft } from './who'

/** What lies between two classes: pieces that become ready together, the earliest first; and whose piece has still to be laid. */
export interface Between {
  lying: { tellAt: Zoned; neverBefore: Zoned; people: string[]; ready: boolean }[]
  unlaid: string[]
}

/** Pieces on the shelf by when they are ready, as they were laid and as the air has been; people once each. What was rubbed or sealed since, and
 *  what is yet to be laid, does not lie. */
export function betweenClasses(plan: Pick<Plan, 'takeHome'>, states: ReadonlyMap<string, string>, now: Zoned): Between {
  const lying = new Map<string, Between['lying'][number]>()
  const unlaid = new Set<string>()
  for (const s of plan.takeHome) {
    const state = states.get(`${s.participant}.${s.design}.${s.number}`) ?? s.state
    const laid = s.cures && minutesBetween(s.cures.laidAt, now) >= 0 ? s.cures : undefined
    if (state === 'to-print' || state === 'printed') unlaid.add(s.participant)
    else if (laid && (state === 'laid' || state === 'cured')) {
      const { tellAt, neverBefore } = laid
      const key = `${tellAt} ${neverBefore}`
      const group = lying.get(key) ?? { tellAt, neverBefore, people: [], ready: minutesBetween(tellAt, now) >= 0 }
      if (!group.people.includes(s.participant)) group.people.push(s.participant)
      lying.set(key, group)
    }
  }
  return { lying: [...lying.values()].sort((a, b) => minutesBetween(b.tellAt, a.tellAt)), unlaid: [...unlaid] }
}

/** What lies on the shelf while a class runs: pieces that nobody at a table works on now, and spares that were laid with the class. */
export interface Beside {
  lying: Between['lying']
  spares: { design: string; left: number; neverBefore: Zoned; ready: boolean }[]
}

/** Pieces of those who are not here, of those here whose time is not yet or who are through, and the spares. Not the piece of somebody who sits at a table
 *  and may rub it. */
export function shelfBeside(plan: Pick<Plan, 'takeHome' | 'designs'>, room: DayRoom, state: DayState, now: Zoned): Beside {
  const stages = new Map(room.people.map((p) => [p.id, p.route.length]))
  const atTable = new Set(state.people.flatMap((p) => (isHere(p) && p.at < (stages.get(p.id) ?? 0) ? p.id : [])))
  const states = new Map(state.pieces.map((p) => [p.id, p.state]))
  const lying = betweenClasses(plan, states, now)
    .lying.map((g) => ({ ...g, people: minutesBetween(g.neverBefore, now) >= 0 ? g.people.filter((p) => !atTable.has(p)) : g.people }))
    .filter((g) => g.people.length > 0)
  const route = commonRoute(room)
  const spares = plan.designs.flatMap(({ design }) => {
    const left = sparesLeft(plan, room, state, design)
    if (left === 0 || !route.find((s) => s.design === design)?.afterCure) return []
    // Spares were laid with the class: the last of it says when they may be rubbed.
    const times = room.people.flatMap((p) => p.pieces.flatMap((x) => (x.design === design && x.neverBefore ? x.neverBefore : [])))
    const neverBefore = times.reduce<Zoned | null>((a, b) => (a && minutesBetween(b, a) >= 0 ? a : b), null)
    return neverBefore ? [{ design, left, neverBefore, ready: minutesBetween(neverBefore, now) >= 0 }] : []
  })
  return { lying, spares }
}
