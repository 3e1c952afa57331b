import type { RoomStation } from '#core/recipe'
import { change, inWorkshop } from '#core/workshop'
import type { Figured, Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, remedy, type Find } from './ways'

/** So many places may be brought at most before the way out stops being one. */
export const mostBrought = 12

/** Places in the room against what the classes ask of them. Only stations whose count is said are judged; one person has a place
 *  at a time (E). A station that is not there is a stop, one that takes longer than the class a look; the way out is the fewest
 *  places that do. Not a queue: the least time that n places need for everybody, so what it says is too short is too short. */
export const stations: Find = (s, plan) => s.roomStations.flatMap((station) => judge(s, plan, station))

function judge(s: Situation, plan: Figured, station: RoomStation): Finding[] {
  const have = s.workshop.choices.stations?.[station.id]
  if (have === undefined || s.pieces === 0) return []
  return plan.sessions.flatMap((session) => {
    const here = s.resolved.stages.filter((x) => x.station === station.id && plan.split.split[x.id] === session.id)
    if (here.length === 0) return []
    const each = here.reduce((sum, x) => sum + x.minutes.value, 0)
    const values = { station: station.name, one: station.one, stage: here[0]!.name, session: session.number, have }
    const least = (n: number) => Math.ceil(s.pieces / n) * each
    if (have === 0) {
      const load = plan.split.loads.find((l) => l.sessionId === session.id)
      const worked = here.filter((x) => x.attended).reduce((sum, x) => sum + x.minutes.value, 0)
      const fits = (n: number) =>
        least(n) <= session.minutes && (!load || load.neededMin + (Math.ceil(s.pieces / n) - 1) * worked <= load.availableMin)
      const wanted = Array.from({ length: mostBrought }, (_, i) => 1 + i).find(fits) ?? 1
      return [{ ...finding('station-missing', 'stop', 'room', values, [bring(s, station, have, wanted)]), mark: 'E' as const }]
    }
    if (least(have) <= session.minutes || plan.split.loads.some((l) => l.sessionId === session.id && !l.fits)) return []
    const enough = Array.from({ length: mostBrought }, (_, i) => have + 1 + i).find((n) => least(n) <= session.minutes)
    return [
      {
        ...finding(
          'station-short',
          'look',
          'room',
          { ...values, each, people: s.pieces, minutes: least(have), available: session.minutes },
          enough ? [bring(s, station, have, enough)] : [],
        ),
        mark: 'E' as const,
      },
    ]
  })
}

export const bring = (s: Situation, station: RoomStation, have: number, to: number): Remedy =>
  remedy('bring-station', [change(s.workshop, inWorkshop.choices.stations, { ...s.workshop.choices.stations, [station.id]: to })], {
    more: to - have,
    what: to - have === 1 ? station.one : station.name,
  })
