import { addDays, addMinutes, dateOf, minutesBetween, placeLocal, weekdayOf, type Zoned } from '#core/time'

/** A time scale in three parts, in percent: before the current week, the week drawn larger, after it. */
export interface StripScale {
  at: (instant: Zoned) => number
  week: { from: number; to: number; days: { at: number; date: string }[] }
  ticks: { at: number; date: string }[]
}

const before = 15
const weekEnds = 59

/** Spreads instants: four weeks back on the left, the current week large, five weeks ahead on the right; clamped at the ends. */
export function stripScale(now: Zoned, zone: string, weekStart: 'mon' | 'sun'): StripScale {
  const today = dateOf(now)
  const back = weekStart === 'mon' ? weekdayOf(today) - 1 : weekdayOf(today) % 7
  const midnight = (date: string) => placeLocal({ date, time: '00:00' }, zone).at
  const monday = addDays(today, -back)
  const [from, to] = [midnight(monday), midnight(addDays(monday, 7))]
  const first = addMinutes(from, -28 * 1440)
  const last = addMinutes(to, 35 * 1440)
  const part = (a: Zoned, b: Zoned, x: Zoned) => Math.min(1, Math.max(0, minutesBetween(a, x) / minutesBetween(a, b)))
  const at = (x: Zoned) =>
    minutesBetween(x, from) > 0
      ? before * part(first, from, x)
      : minutesBetween(x, to) > 0
        ? before + (weekEnds - before) * part(from, to, x)
        : weekEnds + (100 - weekEnds) * part(to, last, x)
  const tick = (date: string) => ({ date, at: at(midnight(date)) })
  return {
    at,
    week: { from: before, to: weekEnds, days: Array.from({ length: 7 }, (_, i) => tick(addDays(monday, i))) },
    ticks: [-21, 7, 14, 21, 28].map((d) => tick(addDays(monday, d))),
  }
}
