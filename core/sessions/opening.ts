import {
  addDays,
  addMinutes,
  dateOf,
  minutesBetween,
  openSpans,
  placeLocal,
  readInstant,
  showInstant,
  type Hours,
  type Zoned,
} from '#core/time'

/** The first moment at or after `at` when the house is open for so many minutes: at the usual clock time if that day
 *  allows it, else as early as the day does, on the quarter hour. Undefined when no day of a year is long enough. */
export function firstOpening(at: Zoned, minutes: number, usualClock: string, hours: Hours): Zoned | undefined {
  const from = nextQuarter(at)
  let date = dateOf(from)
  for (let day = 0; day < 366; day++, date = addDays(date, 1)) {
    const noon = placeLocal({ date, time: '12:00' }, hours.timeZone).at
    const span = openSpans(noon, noon, hours)[0]
    if (!span) continue
    const usual = placeLocal({ date, time: usualClock }, hours.timeZone).at
    const earliest = minutesBetween(span.from, from) > 0 ? from : span.from
    for (const start of [usual, earliest])
      if (minutesBetween(earliest, start) >= 0 && minutesBetween(addMinutes(start, minutes), span.to) >= 0) return start
  }
  return undefined
}

function nextQuarter(at: Zoned): Zoned {
  const z = readInstant(at)
  return showInstant(z.round({ smallestUnit: 'minute', roundingIncrement: 15, roundingMode: 'ceil' }))
}
