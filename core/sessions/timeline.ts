import { addDays, addMinutes, dateOf, minutesBetween, openSpans, placeLocal, type Hours, type Zoned } from '#core/time'

/** Something that lasts, in per cent of the whole. */
interface Lasts {
  from: number
  to: number
}
/** Time drawn along a line, from two days before the first class to two days after the last; everything in per cent of it. */
export interface Timeline {
  from: Zoned
  to: Zoned
  /** Minutes in all. */
  wholeMin: number
  /** Midnights, sixty at the most. */
  days: Zoned[]
  closed: Lasts[]
  /** From ten in the evening to six in the morning. */
  nights: Lasts[]
}

const mostDays = 60

/** Where a moment stands on a timeline, in per cent; below 0 and above 100 where it lies outside. */
export const placeOn = (line: Pick<Timeline, 'from' | 'wholeMin'>, at: Zoned): number =>
  (100 * minutesBetween(line.from, at)) / line.wholeMin

/** The timeline of at least one class, in the house's zone and by its opening hours. */
export function timelineOf(sessions: readonly { from: Zoned; to: Zoned }[], hours: Hours, zone: string): Timeline {
  const midnight = (at: Zoned, days: number) => placeLocal({ date: addDays(dateOf(at), days), time: '00:00' }, zone).at
  const from = midnight(sessions[0]!.from, -2)
  const to = midnight(sessions.at(-1)!.to, 2)
  const wholeMin = minutesBetween(from, to)
  const at = (x: Zoned) => placeOn({ from, wholeMin }, x)
  const days = Array.from({ length: Math.min(mostDays, Math.round(wholeMin / 1440)) }, (_, i) => midnight(from, i))
  const edges = [0, ...openSpans(from, to, hours).flatMap((s) => [at(s.from), at(s.to)]), 100]
  const closed = Array.from({ length: edges.length / 2 }, (_, i) => ({
    from: Math.max(0, edges[2 * i]!),
    to: Math.min(100, edges[2 * i + 1]!),
  })).filter((c) => c.to > c.from)
  const within = (n: number) => Math.min(100, Math.max(0, n))
  const nights = days
    .flatMap((d) => [
      { from: at(d), to: at(addMinutes(d, 6 * 60)) },
      { from: at(addMinutes(d, 22 * 60)), to: at(addMinutes(d, 24 * 60)) },
    ])
    .map((n) => ({ from: within(n.from), to: within(n.to) }))
  return { from, to, wholeMin, days, closed, nights }
}
