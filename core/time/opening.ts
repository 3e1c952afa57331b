import { minutesBetween, readInstant, type Zoned } from './instant'
import { addDays, dateOf, placeLocal, weekdayOf } from './local'

export const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const
export type Weekday = (typeof weekdays)[number]

/** When a house is open: one span a weekday (or closed, null), days closed, and its zone. Clocks are "09:00". */
export interface Hours {
  week: Record<Weekday, { from: string; to: string } | null>
  closedDays: string[]
  timeZone: string
}

export interface Span {
  from: Zoned
  to: Zoned
}

/** The open span of a date, or null on a closed one. */
function spanOf(date: string, hours: Hours): Span | null {
  const day = hours.week[weekdays[weekdayOf(date) - 1]!]
  if (!day || hours.closedDays.includes(date)) return null
  return {
    from: placeLocal({ date, time: day.from }, hours.timeZone).at,
    to: placeLocal({ date, time: day.to }, hours.timeZone).at,
  }
}

/** The latest instant at or before `at` when the house is open; looks back a year, then gives `at` back. */
export function lastOpenBefore(at: Zoned, hours: Hours): Zoned {
  let date = dateOf(at)
  for (let back = 0; back < 366; back++, date = addDays(date, -1)) {
    const span = spanOf(date, hours)
    if (!span || minutesBetween(span.from, at) < 0) continue
    return minutesBetween(at, span.to) < 0 ? span.to : at
  }
  return at
}

/** The open spans that touch from..to, in order. */
export function openSpans(from: Zoned, to: Zoned, hours: Hours): Span[] {
  const spans: Span[] = []
  const last = dateOf(to)
  for (let date = dateOf(from); date <= last && spans.length < 400; date = addDays(date, 1)) {
    const span = spanOf(date, hours)
    if (span) spans.push(span)
  }
  return spans
}

/** A moment as people are told it: by day the moment itself; by night (from 10 in the evening to 8) the next opening or 8 in the
 *  morning, whichever comes first. */
export function wakingFrom(at: Zoned, hours: Hours): Zoned {
  const { hour, minute } = readInstant(at)
  if ((hour >= 8 && hour < 22) || (hour === 22 && minute === 0)) return at
  const date = hour >= 8 ? addDays(dateOf(at), 1) : dateOf(at)
  const eight = placeLocal({ date, time: '08:00' }, hours.timeZone).at
  const opening = spanOf(date, hours)?.from
  return opening && minutesBetween(opening, eight) > 0 && minutesBetween(at, opening) >= 0 ? opening : eight
}
