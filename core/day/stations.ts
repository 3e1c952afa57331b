import { minutesBetween, type Zoned } from '#core/time'
import type { DayRoom } from './dayRoom'
import { commonRoute, type DayState } from './fold'
import type { TableDay } from './next'
import { adultsAt, isHere, routesOf } from './replan'

/** A station as it is: its places as planned, as they are today, and how many have hands at them. */
export interface StationDay {
  id: string
  planned: number
  places: number
  taken: number
}

/** The stations of a room with how full they are: whoever has hands at a stage that wants one stands there. Where adults do something for young hands, they
 *  are counted like a station; one of them is always there. */
export function stationsDay(room: DayRoom, state: DayState): StationDay[] {
  const routes = routesOf(room, state)
  const at = new Map<string, number>()
  for (const p of state.people.filter((x) => x.doing && isHere(x))) {
    const stage = routes.get(p.id)?.[p.at]
    for (const id of [stage?.station, stage?.helper ? adultsAt : null]) if (id) at.set(id, (at.get(id) ?? 0) + 1)
  }
  const adults = room.people.some((p) => p.route.some((s) => s.helper)) ? [{ id: adultsAt, places: Math.max(1, room.helpers) }] : []
  const places = (id: string, planned: number) =>
    id === adultsAt ? Math.max(1, state.places[id] ?? planned) : (state.places[id] ?? planned)
  return [...room.stations, ...adults].map((s) => ({
    id: s.id,
    planned: s.places,
    places: places(s.id, s.places),
    taken: at.get(s.id) ?? 0,
  }))
}

/** The way that most have through the class, drawn as a strip in minutes of work; and where each table stands on it. */
export interface StripDay {
  stages: { id: string; name: string; fromMin: number; minutes: number; attended: boolean }[]
  minutes: number
  at: { table: string; min: number }[]
}

/** Where each table stands on the common way, as far into its stage as it is at `now`; what is done stands at the end. Tables without people are
 *  left out. */
export function stripDay(room: DayRoom, state: DayState, tables: readonly TableDay[], now: Zoned): StripDay {
  const route = commonRoute(room)
  const end = state.stopAfter === null ? -1 : route.findIndex((s) => s.id === state.stopAfter)
  let minutes = 0
  const stages = (end >= 0 ? route.slice(0, end + 1) : route).map((s) => {
    const fromMin = minutes
    minutes += s.minutes
    return { id: s.id, name: s.name, fromMin, minutes: s.minutes, attended: s.attended }
  })
  const at = tables.flatMap((t) => {
    const s = stages.find((x) => x.id === t.stage?.id)
    if (!s) return t.done ? [{ table: t.table, min: minutes }] : []
    const into = t.doing && t.since ? Math.min(s.minutes, Math.max(0, minutesBetween(t.since, now))) : 0
    return [{ table: t.table, min: s.fromMin + into }]
  })
  return { stages, minutes, at }
}
