import { cure } from '#core/cure'
import { firstOpening, sittingsOf } from '#core/sessions'
import { addDays, clockOf, dateOf, placeLocal, type Zoned } from '#core/time'
import type { Situation } from './situation'

/** When one class more would usually be: while a sitting is still to come, as soon as its pieces are better rubbed, at the usual clock
 *  time if that day allows it; after that the same weekday a week on; the first one a week from now at 5 in the afternoon. Inside opening
 *  hours; null where no day of a year is long enough. */
export function nextClass(s: Situation): { from: Zoned; minutes: number } | null {
  const last = s.sessions.at(-1)
  const minutes = last && last.minutes > 0 ? last.minutes : 180
  const clock = last ? clockOf(last.from) : '17:00'
  const later = (from: Zoned, days: number) => placeLocal({ date: addDays(dateOf(from), days), time: clock }, s.hours.timeZone).at
  const from = last ? (readyAfter(s, last.to) ?? later(last.from, 7)) : later(s.now, 7)
  const at = firstOpening(from, minutes, clock, s.hours)
  return at === undefined ? null : { from: at, minutes }
}

/** When what was laid in the last class is better rubbed; undefined when no sitting waits for it. */
function readyAfter(s: Situation, end: Zoned): Zoned | undefined {
  const limits = s.resolved.cure
  if (!limits || s.sessions.length >= sittingsOf(s.resolved).length) return undefined
  const laidAt = s.setting.laidAt ?? end
  const { recommendedAt } = cure(
    {
      laidAt,
      rubAt: laidAt,
      minimumMin: limits.minimum.value,
      recommendedMin: limits.recommended.value,
      climate: s.house.climate,
      coat: s.resolved.coat,
      surface: s.resolved.surface,
    },
    s.figures,
    s.setting.air,
  )
  return recommendedAt
}
