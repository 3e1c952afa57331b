import { isRefusal } from '#core/reasons'
import { quickRoom, type RoomInput } from '#core/room'
import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import type { DayRoom, DayStage } from './dayRoom'
import type { DayState } from './fold'
import { earliestNext, roomLeft, routesOf, type Replan } from './replan'
import { awaited } from './who'

/** How far somebody who is not here yet still comes today, while everybody else goes on as planned. */
export interface LateWay {
  person: string
  /** Their next stage; null where nothing is left for them. */
  stage: DayStage | null
  /** It has to begin by then for the room to be clean in time, and its person is done then. Null where nothing can be reached today. */
  by: { beginAt: Zoned; doneAt: Zoned } | null
  /** Their work ends after this stage; null where they come to the end of their way. */
  stopAfter: DayStage | null
  /** Nobody knows of a piece of theirs that may be worked on. */
  noPiece: boolean
}

/** So many are looked at one by one. */
const most = 8

/** For who is not here yet: by when they have to begin to be done in time, in the places that the others leave free; where not all of their way goes
 *  in, the furthest stage after which a piece may go home. Nobody else is moved. Estimates, like the plan they stand in. One
 *  after another: whoever waits for a newer state can turn away between. */
export function* lateWays(room: DayRoom, state: DayState, left: Replan, now: Zoned): Generator<LateWay, void> {
  for (const { id } of awaited(room, state).slice(0, most)) yield lateWay(room, state, left, now, id)
}

function lateWay(room: DayRoom, state: DayState, left: Replan, now: Zoned, id: string): LateWay {
  const come: DayState = { ...state, people: state.people.map((p) => (p.id === id ? { ...p, presence: 'here' as const } : p)) }
  const person = come.people.find((p) => p.id === id)!
  const route = routesOf(room, come).get(id) ?? []
  const stage = route[person.at] ?? null
  const none = (noPiece = false): LateWay => ({ person: id, stage, by: null, stopAfter: null, noPiece })
  if (!stage) return none()
  const own = earliestNext(person, route, come, now)
  if (own === null) return none(true)
  const comesAt = state.people.find((p) => p.id === id)!.presence === 'unknown' && room.people.find((p) => p.id === id)?.comesAt
  const first = comesAt && minutesBetween(own.at, comesAt) > 0 ? comesAt : own.at
  const ends = [
    undefined,
    ...route
      .slice(person.at, -1)
      .filter((s) => s.mayStop)
      .reverse(),
  ]
  for (const end of ends) {
    const { input } = roomLeft(room, come, now, (p) => (p === id ? end?.id : undefined))
    const found = input && latestBegin(room, input, left, id, stage.id, first)
    if (found) return { person: id, stage, by: found, stopAfter: end ?? null, noPiece: false }
  }
  return none()
}

/** The latest begin with which somebody is done before the room is cleaned, found by halving: later is never sooner done. */
function latestBegin(room: DayRoom, input: RoomInput, left: Replan, id: string, stage: string, first: Zoned): LateWay['by'] {
  const minute = (at: Zoned) => Math.max(0, Math.ceil(minutesBetween(room.from, at) - 1e-9))
  const end = minutesBetween(room.from, room.to) - room.cleanUpMin
  const at = (min: number) => addMinutes(room.from, min)
  const others = input.pieces.map((p) =>
    p.id === id ? p : { ...p, pins: Object.fromEntries(pinsOf(input, left, p).map(([s, x]) => [s, minute(x)])) },
  )
  /** When they would begin and be done; undefined where that is too late. */
  const from = (min: number) => {
    const plan = quickRoom({ ...input, pieces: others.map((p) => (p.id === id ? { ...p, fromMin: min } : p)) })
    if (isRefusal(plan)) return undefined
    const mine = plan.starts.filter((s) => s.piece === id)
    const route = input.routes.find((r) => r.id === input.pieces.find((p) => p.id === id)!.route)!.stages
    const doneMin = Math.max(...mine.map((s) => s.atMin + route.find((x) => x.id === s.stage)!.minutes))
    const beginMin = mine.find((s) => s.stage === stage)!.atMin
    return doneMin <= end ? { beginAt: at(beginMin), doneAt: at(doneMin) } : undefined
  }
  let low = minute(first)
  let best = from(low)
  let high = Math.max(low, Math.floor(end))
  while (best && low < high) {
    const mid = Math.ceil((low + high) / 2)
    const found = from(mid)
    if (found) [low, best] = [mid, found]
    else high = mid - 1
  }
  return best ?? null
}

const pinsOf = (input: RoomInput, left: Replan, p: RoomInput['pieces'][number]): [string, Zoned][] =>
  input.routes
    .find((r) => r.id === p.route)!
    .stages.flatMap((s): [string, Zoned][] => {
      const x = left.starts.get(`${p.id} ${s.id}`)
      return x ? [[s.id, x]] : []
    })
