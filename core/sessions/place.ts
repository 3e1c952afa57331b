import { addDays, minutesBetween, openSpans, placeLocal, type Hours, type Placed, type Zoned } from '#core/time'
import type { Session } from '#core/workshop'

export type SessionProblem =
  'past' | 'overlaps' | 'no-length' | 'over-midnight' | 'skipped-hour' | 'doubled-hour' | 'closed-day' | 'outside-hours'

/** A session on the line of time. `from` and `to` are derived from its wall-clock times in the house's zone. */
export interface PlacedSession {
  id: string
  /** 1 for the first. */
  number: number
  from: Zoned
  to: Zoned
  minutes: number
  room: string
  problems: SessionProblem[]
  /** The other instant a doubled hour could mean. */
  other?: Zoned
}

/** Sessions in order of time, each with what is odd about it. An end at or before the start is the next day's;
 *  equal times have no length. Elapsed minutes count, so a clock change inside is honoured. */
export function placeSessions(sessions: readonly Session[], hours: Hours, now: Zoned): PlacedSession[] {
  const placed = sessions.map((s) => place(s, hours, now)).sort((a, b) => minutesBetween(b.from, a.from) || (a.id < b.id ? -1 : 1))
  return placed.map((p, i) => {
    // Any earlier one: a long class may still go on when a short one in between is over.
    const overlaps = placed.slice(0, i).some((before) => minutesBetween(before.to, p.from) < 0)
    return { ...p, number: i + 1, problems: overlaps ? [...p.problems, 'overlaps' as const] : p.problems }
  })
}

function place(s: Session, hours: Hours, now: Zoned): PlacedSession {
  const start = placeLocal({ date: s.date, time: s.start }, hours.timeZone, s.later)
  const { end, overMidnight } = endOf(s, start.at, hours.timeZone)
  const minutes = Math.max(0, minutesBetween(start.at, end.at))
  const problems: SessionProblem[] = []
  if (minutes === 0) problems.push('no-length')
  if (overMidnight) problems.push('over-midnight')
  const odd = start.odd ? start : end.odd === 'doubled' ? end : undefined
  if (odd?.odd) problems.push(`${odd.odd}-hour`)
  if (minutesBetween(now, end.at) < 0) problems.push('past')
  const span = openSpans(start.at, start.at, hours)[0]
  if (!span) problems.push('closed-day')
  else if (!overMidnight && (minutesBetween(span.from, start.at) < 0 || minutesBetween(end.at, span.to) < 0)) problems.push('outside-hours')
  return { id: s.id, number: 0, from: start.at, to: end.at, minutes, room: s.room, problems, ...(odd?.other && { other: odd.other }) }
}

/** When a class ends: on its day, or the next one's where its end is before its start; in an hour that comes twice, the first time
 *  that is after the start, or the second where that is meant. */
function endOf(s: Session, start: Zoned, zone: string): { end: Placed; overMidnight: boolean } {
  const sameDay = placeLocal({ date: s.date, time: s.end }, zone, s.later)
  if (s.end >= s.start) return { end: sameDay, overMidnight: false }
  const second = placeLocal({ date: s.date, time: s.end }, zone, true)
  if (second.odd === 'doubled' && minutesBetween(start, second.at) > 0) return { end: second, overMidnight: false }
  return { end: placeLocal({ date: addDays(s.date, 1), time: s.end }, zone, s.later), overMidnight: true }
}
