import { isRefusal } from '#core/reasons'
import { checkRoom, quickRoom, type RoomInput, type RoomPlan } from '#core/room'
import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import { commonRoute, type DayState, type PersonDay } from './fold'
import type { DayRoom, DayStage } from './dayRoom'

/** What is left of a class, planned again from how it stands: pieces keep what they have. */
export interface Replan {
  plan: RoomPlan | null
  input: RoomInput | null
  /** When the last piece is done, and the room clean. */
  doneAt: Zoned
  cleanAt: Zoned
  /** Minutes after the room's end; negative when there is time left. */
  overMin: number
  /** When each stage that is left begins, by "person stage". */
  starts: ReadonlyMap<string, Zoned>
}

/** Who still has something to do here: present or expected, not gone. */
export const isHere = (p: PersonDay): boolean => p.presence === 'here' || p.presence === 'unknown'

/** Everybody's way through the class, guests with the way that most have. Where work was stopped after a stage, it ends there for all who are not
 *  past it. */
export function routesOf(room: DayRoom, state: DayState): Map<string, DayStage[]> {
  const usual = commonRoute(room)
  return new Map(
    state.people.map((p) => {
      const route = room.people.find((x) => x.id === p.id)?.route ?? usual
      const end = state.stopAfter === null ? -1 : route.findIndex((s) => s.id === state.stopAfter)
      if (end < 0) return [p.id, route]
      // Who is further goes no further; what is in hands is finished.
      const through = p.doing && route[p.at]?.attended ? p.at + 1 : p.at
      return [p.id, route.slice(0, p.at <= end ? end + 1 : through)]
    }),
  )
}

/** The earliest moment at which somebody's next stage may begin: never before what they are at is over, its wait has passed and, for what rubs,
 *  their pieces have had their least time. Null where nothing is left, or where nobody knows when the piece was laid. */
export function earliestNext(
  p: PersonDay,
  route: readonly DayStage[],
  state: DayState,
  now: Zoned,
): { at: Zoned; bound: 'work' | 'wait' | 'cure' | 'now' } | null {
  const k = p.doing ? p.at + 1 : p.at
  const next = route[k]
  if (!next) return null
  let at = now
  let bound: 'work' | 'wait' | 'cure' | 'now' = 'now'
  const not = (before: Zoned, why: typeof bound) => {
    if (minutesBetween(at, before) > 0) [at, bound] = [before, why]
  }
  if (p.doing && p.since) not(addMinutes(p.since, route[p.at]!.minutes), route[p.at]!.attended ? 'work' : 'wait')
  const before = route[k - 1]
  const doneAt = before && !p.doing ? p.done[before.id]?.doneAt : null
  if (before && doneAt) not(addMinutes(doneAt, before.leastMin), 'wait')
  if (before && p.doing && p.since) not(addMinutes(p.since, before.minutes + before.leastMin), 'wait')
  if (next.afterCure)
    for (const x of state.pieces.filter((x) => x.person === p.id && x.design === next.design && !x.home)) {
      if (x.neverBefore) not(x.neverBefore, 'cure')
      else if (x.laidAt === null) return null
    }
  return { at, bound }
}

/** Places by hand of adults, as stations have theirs: pressed like them when a helper goes. */
export const adultsAt = 'adults'

/** What is left of a class as a room to be planned, from how it stands. `ends` says after which stage somebody's work ends. */
export interface RoomLeft {
  /** Null where nothing is left. */
  input: RoomInput | null
  nowMin: number
  /** When the last of those who are through was done, in minutes from the class's begin. */
  last: number
}
export function roomLeft(room: DayRoom, state: DayState, now: Zoned, ends: (person: string) => string | undefined): RoomLeft {
  const routes = routesOf(room, state)
  const minute = (at: Zoned) => Math.max(0, Math.ceil(minutesBetween(room.from, at) - 1e-9))
  const nowMin = minute(now)
  const shown = state.said['show'] !== undefined || state.people.some((p) => p.at > 0 || p.doing)
  const comes = new Map(room.people.flatMap((p) => (p.comesAt ? [[p.id, p.comesAt] as const] : [])))
  const kept = new Map<string, RoomInput['routes'][number]>()
  const stations = room.stations.map((s) => ({ ...s, places: state.places[s.id] ?? s.places }))
  const open = new Set(stations.filter((s) => s.places > 0).map((s) => s.id))
  const pieces: RoomInput['pieces'] = []
  let last = 0
  for (const p of state.people.filter(isHere)) {
    const route = routes.get(p.id) ?? []
    const stop = ends(p.id)
    const end = stop ? route.findIndex((s) => s.id === stop) : -1
    // What is in hands longer than it takes is as good as done: what follows may begin.
    const over = p.doing && p.since ? Math.ceil((route[p.at]?.minutes ?? 0) - minutesBetween(p.since, now) - 1e-9) : null
    const at = over !== null && over <= 0 ? p.at + 1 : p.at
    const left = route.slice(at, end >= 0 ? end + 1 : undefined)
    if (left.length === 0) {
      if (p.since) last = Math.max(last, at > p.at ? nowMin : minute(p.since))
      continue
    }
    if (state.pieces.some((x) => x.person === p.id && x.home)) continue
    const doing = over !== null && over > 0
    const next = doing ? null : earliestNext(p, route, state, now)
    // Who may not begin before the room ends does not hold the room up.
    if (!doing && (next === null || minutesBetween(room.to, next.at) > 0)) continue
    const id = `${left.map((s) => s.id).join(' ')}`
    if (!kept.has(id))
      kept.set(id, {
        id: `r${kept.size}`,
        stages: left.map((s, i) => ({
          ...{
            id: s.id,
            minutes: s.minutes,
            attended: s.attended,
            station: s.station && open.has(s.station) ? s.station : null,
            helper: s.helper,
          },
          ...(i < left.length - 1 && (s.leastMin > 0 || s.mostMin !== null) && { then: { leastMin: s.leastMin, mostMin: s.mostMin } }),
        })),
      })
    const first = left[0]!
    // Who said that they come later is not waited for before.
    const comesMin = p.presence === 'unknown' && comes.has(p.id) ? minute(comes.get(p.id)!) : 0
    pieces.push({
      id: p.id,
      route: kept.get(id)!.id,
      table: p.table,
      fromMin: doing ? nowMin : Math.max(comesMin, minute(next!.at)),
      ...(doing && { minutes: { [first.id]: Math.min(240, over) }, pins: { [first.id]: nowMin } }),
    })
  }
  if (pieces.length === 0) return { input: null, nowMin, last }
  return {
    input: {
      routes: [...kept.values()],
      stations: stations.filter((s) => s.places > 0),
      helpers: Math.max(1, state.places[adultsAt] ?? room.helpers),
      pieces,
      // Nobody works while all are shown, unless that is over or somebody has begun already.
      blocks: room.input.blocks.filter((b) => b.toMin > nowMin && (b.fromMin > 0 || !shown)),
      minutes: Math.max(1, room.input.minutes),
    },
    ...{ nowMin, last },
  }
}

/** Plans what is left of the class: late people, blocked stations and lost minutes as they are. `stopAfter` lets everybody's work end after a
 *  stage, the rest at home. */
export function replan(room: DayRoom, state: DayState, now: Zoned, stopAfter?: string): Replan {
  const { input, nowMin, last } = roomLeft(room, state, now, () => stopAfter)
  const at = (min: number) => addMinutes(room.from, min)
  const answer = (plan: RoomPlan | null, of: RoomInput | null, finish: number): Replan => ({
    ...{ plan, input: of, doneAt: at(finish), cleanAt: at(finish + room.cleanUpMin) },
    overMin: Math.ceil(finish + room.cleanUpMin - minutesBetween(room.from, room.to)),
    starts: new Map(plan?.starts.map((s) => [`${s.piece} ${s.stage}`, at(s.atMin)]) ?? []),
  })
  if (!input) return answer(null, null, Math.max(last, 0))
  const sheet = followed(room, state, input, true) ?? followed(room, state, input, false)
  if (sheet) return answer(sheet, input, sheet.finishMin)
  // What is in hands goes on; where that is more than a station takes, it is planned as if it had not begun.
  const pinned = quickRoom(input)
  const plan = isRefusal(pinned) ? quickRoom({ ...input, pieces: input.pieces.map(({ pins: _pins, ...p }) => p) }) : pinned
  if (isRefusal(plan)) return answer(null, input, nowMin)
  return answer(plan, input, plan.finishMin)
}

/** The run sheet as far as it still holds: whoever is late goes on from where they are, each stage no sooner than it was planned. Undefined
 *  where that would have more at a station than it has places, or keep a wait that has to be: then the rest is planned anew. `sooner`: who came sooner than they said begins when they are here. */
function followed(room: DayRoom, state: DayState, input: RoomInput, sooner: boolean): RoomPlan | undefined {
  const early = new Set(sooner ? room.people.flatMap((p) => (p.comesAt ? p.id : [])) : [])
  const people = new Map(state.people.map((p) => [p.id, p]))
  const routes = new Map(input.routes.map((r) => [r.id, r.stages]))
  const starts: RoomPlan['starts'] = []
  let finishMin = 0
  for (const p of input.pieces) {
    let ready = p.fromMin ?? 0
    for (const s of routes.get(p.route)!) {
      const who = people.get(p.id)
      const free = early.has(p.id) && who?.presence === 'here'
      const begun = who?.doing && p.minutes?.[s.id] !== undefined
      const atMin = begun || free ? ready : Math.max(ready, room.planned.get(`${p.id} ${s.id}`) ?? 0)
      starts.push({ piece: p.id, stage: s.id, atMin })
      const end = atMin + (p.minutes?.[s.id] ?? s.minutes)
      finishMin = Math.max(finishMin, end)
      ready = end + (s.then?.leastMin ?? 0)
    }
  }
  const found = checkRoom(input, starts)
  if (found.wrong.length > 0) return undefined
  const { waitingMin, spreadMin } = found
  return { starts, finishMin, waitingMin, spreadMin, lowerBoundMin: 0, fits: finishMin <= input.minutes, bottleneck: null, steps: 0 }
}
