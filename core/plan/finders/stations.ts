import { roomStations, type RoomStation } from '#core/recipe'
import { queuesOf, type ClassRoom } from '#core/sessions'
import { change, inWorkshop } from '#core/workshop'
import { classLoad } from '../loads'
import type { Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { fewest, finding, remedy, type FindAll } from './ways'

/** So many places may be brought at most before the way out stops being one. */
export const mostBrought = 12
/** Whoever stands in a queue longer than this is told of, in minutes (E). */
export const longWait = 10

/** A station that is counted as none where a class needs one, with the fewest places with which the class fits. */
export const stationMissing: FindAll = (parts, plan) =>
  roomStations.flatMap((station) => {
    if (parts[0]!.s.workshop.choices.stations?.[station.id] !== 0) return []
    return plan.sessions.flatMap((session): Finding[] => {
      const needs = parts.flatMap(({ s, d }) =>
        s.pieces === 0 ? [] : s.resolved.stages.filter((x) => x.station === station.id && d.split.split[x.id] === session.id),
      )
      if (!needs[0]) return []
      const values = { station: station.name, one: station.one, stage: needs[0].name, session: session.number, have: 0 }
      const enough = fewest(
        1,
        mostBrought,
        (n) => classLoad(parts, session, (c) => ({ ...c, places: { ...c.places, [station.id]: n } }))!.fits,
      )
      return [{ ...finding('station-missing', 'stop', 'room', values, [bring(parts[0]!.s, station, 0, enough ?? 1)]), mark: 'E' as const }]
    })
  })

/** Stations at which somebody waits long although the class fits, with the fewest places more with which nobody does. */
export const stationQueues: FindAll = (parts, plan) =>
  plan.loads
    .filter((l) => l.fits)
    .flatMap((l) => {
      const session = plan.sessions.find((x) => x.id === l.sessionId)!
      return countedIn(l.room).flatMap(({ station, have }) => {
        const queue = queuesOf(l.room).find((q) => q.at === station.id)
        if (!queue || queue.longestMin <= longWait) return []
        const enough = fewest(have + 1, have + mostBrought, (n) => {
          const room = classLoad(parts, session, (c) => ({ ...c, places: { ...c.places, [station.id]: n } }))!.room
          return (queuesOf(room).find((q) => q.at === station.id)?.longestMin ?? 0) <= longWait
        })
        const values = {
          station: station.name,
          one: station.one,
          session: session.number,
          have,
          wait: queue.most,
          minutes: queue.longestMin,
        }
        const ways = enough ? [bring(parts[0]!.s, station, have, enough)] : []
        return [{ ...finding('station-queue', 'look', 'room', values, ways), mark: 'E' as const }]
      })
    })

/** What somebody pinned so that no plan keeps it. */
export const pins: FindAll = (parts, plan) =>
  plan.loads
    .filter((l) => l.room.pinsBroken)
    .map((l) => {
      const { workshop, sessions } = parts[0]!.s
      return finding('pins-broken', 'look', 'room', { session: sessions.find((x) => x.id === l.sessionId)!.number }, [
        remedy('drop-pins', [change(workshop, inWorkshop.sessions(l.sessionId).pins, null)]),
      ])
    })

/** The stations of a room whose places are counted. */
export const countedIn = (room: ClassRoom): { station: RoomStation; have: number }[] =>
  room.input.stations.flatMap((x) => {
    const station = roomStations.find((r) => r.id === x.id)
    return station ? [{ station, have: x.places }] : []
  })

export const bring = (s: Situation, station: RoomStation, have: number, to: number): Remedy =>
  remedy('bring-station', [change(s.workshop, inWorkshop.choices.stations, { ...s.workshop.choices.stations, [station.id]: to })], {
    more: to - have,
    what: to - have === 1 ? station.one : station.name,
  })
