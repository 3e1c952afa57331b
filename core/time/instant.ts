import { Temporal } from 'temporal-polyfill'
import * as v from 'valibot'

/** An instant in every shape: an RFC 9557 string with its zone, "2027-03-04T19:00:00+01:00[Europe/Madrid]". */
export type Zoned = string

/** Parses an RFC 9557 string; throws RangeError when it is none or its offset contradicts its zone. */
export const readInstant = (text: Zoned): Temporal.ZonedDateTime => {
  const known = cache.get(text)
  if (known) return known
  const read = Temporal.ZonedDateTime.from(text, { offset: 'reject' })
  if (cache.size > 4000) cache.clear()
  cache.set(text, read)
  return read
}
const cache = new Map<string, Temporal.ZonedDateTime>()

/** Prints to the second, in the instant's own zone. */
export const showInstant = (at: Temporal.ZonedDateTime): Zoned => {
  const text = at.toString({ smallestUnit: 'second' })
  // What is read back is what was printed: without the part of a second.
  cache.set(text, at.epochMilliseconds % 1000 === 0 ? at : at.round({ smallestUnit: 'second', roundingMode: 'floor' }))
  return text
}

/** Elapsed time, not wall time: a clock change in between is honoured. */
export const addMinutes = (at: Zoned, minutes: number): Zoned => {
  const from = readInstant(at)
  return showInstant(Temporal.Instant.fromEpochMilliseconds(from.epochMilliseconds + minutes * 60_000).toZonedDateTimeISO(from.timeZoneId))
}

/** Elapsed minutes from a to b; negative when b is before a. */
export const minutesBetween = (a: Zoned, b: Zoned): number => (readInstant(b).epochMilliseconds - readInstant(a).epochMilliseconds) / 60_000

/** An instant from milliseconds since 1970, to the second, in a zone. */
export const instantAt = (ms: number, zone: string): Zoned =>
  showInstant(Temporal.Instant.fromEpochMilliseconds(Math.floor(ms / 1000) * 1000).toZonedDateTimeISO(zone))

/** The whole second an instant falls in. */
export const secondOf = (at: Zoned): number => Math.floor(readInstant(at).epochMilliseconds / 1000)

const shape = /^[+-]?\d{4,6}-\d{2}-\d{2}[Tt ]\d{2}:\d{2}(:\d{2}(\.\d+)?)?(?:[Zz]|[+-]\d{2}(:?\d{2})?)\[!?[^\]=]+\](\[[^\]]*\])*$/

/** Schema of an instant. Needs date, time, offset and zone, and the offset must be one that the zone has then. */
export const instant = () =>
  v.pipe(
    v.string('not an instant | Write it like 2027-03-04T19:00:00+01:00[Europe/Madrid].'),
    v.rawCheck(({ dataset, addIssue }) => {
      if (!dataset.typed) return
      const remedy = 'Write it like 2027-03-04T19:00:00+01:00[Europe/Madrid].'
      if (!shape.test(dataset.value))
        return addIssue({ message: `"${dataset.value.slice(0, 60)}" is not an instant with offset and zone | ${remedy}` })
      try {
        const year = readInstant(dataset.value).year
        if (year < 1900 || year > 2200) addIssue({ message: `the year ${year} is outside 1900 to 2200 | Give a year between them.` })
      } catch (e) {
        if (!(e instanceof RangeError)) throw e
        addIssue({ message: `"${dataset.value.slice(0, 60)}" does not exist, or its offset contradicts its zone | ${remedy}` })
      }
    }),
  )

/** The same instant on another zone's clock. */
export const inZone = (at: Zoned, zone: string): Zoned => showInstant(readInstant(at).withTimeZone(zone))
