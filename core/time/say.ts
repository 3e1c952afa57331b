import { Temporal } from 'temporal-polyfill'
import { catalogue } from '#core/language'
import { readInstant, showInstant, type Zoned } from './instant'

const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'June', 'July', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec']

/** "7:10" for a house with a 12-hour clock, where the half of the day is plain from what stands round it; "19:10" otherwise. */
export function sayMinute(at: Zoned, clock: 12 | 24): string {
  const { hour, minute } = readInstant(at)
  const mm = String(minute).padStart(2, '0')
  return clock === 24 ? `${String(hour).padStart(2, '0')}:${mm}` : `${hour % 12 || 12}:${mm}`
}

/** "7:10 pm" for a house with a 12-hour clock, "19:10" otherwise. */
export function sayClock(at: Zoned, clock: 12 | 24): string {
  if (clock === 24) return sayMinute(at, clock)
  const { hour } = readInstant(at)
  const { am = 'am', pm = 'pm' } = catalogue()?.calendar ?? {}
  return `${sayMinute(at, clock)} ${hour < 12 ? am : pm}`
}

/** "Saturday 16 May". */
export function sayDay(at: Zoned): string {
  const z = readInstant(at)
  const c = catalogue()?.calendar
  return c ? c.day(c.days[z.dayOfWeek - 1]!, z.day, c.months[z.month - 1]!) : `${days[z.dayOfWeek - 1]} ${z.day} ${months[z.month - 1]}`
}

const shortDay = (weekday: number): string => catalogue()?.calendar.shortDays[weekday - 1] ?? days[weekday - 1]!.slice(0, 3)

/** "Sat 16 May". */
export function sayShortDay(at: Zoned): string {
  const z = readInstant(at)
  return `${shortDay(z.dayOfWeek)} ${z.day} ${(catalogue()?.calendar.months ?? months)[z.month - 1]}`
}

/** "Sat 7:10 pm" near `near` (within six days), "Sat 16 May, 7:10 pm" beyond, so that a weekday is never ambiguous. */
export function sayDayClock(at: Zoned, clock: 12 | 24, near?: Zoned): string {
  const z = readInstant(at)
  const far = !near || Math.abs(z.toPlainDate().since(readInstant(near).toPlainDate()).days) > 6
  return far ? `${sayShortDay(at)}, ${sayClock(at, clock)}` : `${shortDay(z.dayOfWeek)} ${sayClock(at, clock)}`
}

/** Up to the next full hour on the wall clock; a full hour stays. */
export function roundUpToHour(at: Zoned): Zoned {
  const z = readInstant(at)
  const floor = z.round({ smallestUnit: 'hour', roundingMode: 'floor' })
  if (floor.epochMilliseconds === z.epochMilliseconds) return at
  const up = Temporal.Instant.fromEpochMilliseconds(floor.epochMilliseconds + 3_600_000)
  return showInstant(up.toZonedDateTimeISO(z.timeZoneId))
}
