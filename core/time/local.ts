import { Temporal } from 'temporal-polyfill'
import { readInstant, showInstant, type Zoned } from './instant'

/** A date and a wall-clock time; the zone stands with the house or session. */
export interface LocalMoment {
  date: string
  time: string
}

/** Where a wall-clock moment falls: plainly, in a skipped hour (then the moved one), or twice (both). */
export interface Placed {
  at: Zoned
  odd?: 'skipped' | 'doubled'
  other?: Zoned
}

/** Places a wall-clock moment in a zone. `later` picks the second of a doubled hour. A skipped hour moves forward. */
export function placeLocal({ date, time }: LocalMoment, zone: string, later = false): Placed {
  const key = `${date}T${time}[${zone}]${later}`
  const known = placed.get(key)
  if (known) return known
  const plain = Temporal.PlainDateTime.from(`${date}T${time}`)
  const first = plain.toZonedDateTime(zone, { disambiguation: 'earlier' })
  const second = plain.toZonedDateTime(zone, { disambiguation: 'later' })
  const answer = place(plain, first, second, later)
  if (placed.size > 4000) placed.clear()
  placed.set(key, answer)
  return answer
}
const placed = new Map<string, Placed>()

function place(plain: Temporal.PlainDateTime, first: Temporal.ZonedDateTime, second: Temporal.ZonedDateTime, later: boolean): Placed {
  if (first.epochMilliseconds === second.epochMilliseconds) return { at: showInstant(first) }
  if (!first.toPlainDateTime().equals(plain)) return { at: showInstant(second), odd: 'skipped', other: showInstant(first) }
  return later
    ? { at: showInstant(second), odd: 'doubled', other: showInstant(first) }
    : { at: showInstant(first), odd: 'doubled', other: showInstant(second) }
}

export function isTimeZone(zone: string): boolean {
  try {
    Temporal.ZonedDateTime.from(`2024-01-01T00:00[${zone}]`)
    return true
  } catch {
    return false // the only way to ask: an unknown zone throws
  }
}

export function isDate(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  try {
    return Temporal.PlainDate.from(text, { overflow: 'reject' }).year >= 1900
  } catch {
    return false // a day that no calendar has
  }
}

export const isClock = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text)

export const addDays = (date: string, days: number): string => Temporal.PlainDate.from(date).add({ days }).toString()

/** 1 Monday to 7 Sunday. */
export const weekdayOf = (date: string): number => Temporal.PlainDate.from(date).dayOfWeek

export const dateOf = (at: Zoned): string => readInstant(at).toPlainDate().toString()
export const clockOf = (at: Zoned): string => readInstant(at).toPlainTime().toString({ smallestUnit: 'minute' })
