import ICAL from 'ical.js'
import * as v from 'valibot'
import { BadInput, readInput } from '#core/reasons'
import { addDays, clockOf, dateOf, inZone, isDate, isTimeZone, placeLocal, weekdayOf, weekdays, type Hours } from '#core/time'

/** What a calendar says of a house's days: those on which it is closed, and what was left out, with its line. */
export interface ClosedDaysPreview {
  days: { date: string; what: string }[]
  left: { line: number; what: string; why: LeftWhy }[]
  /** Days that are over. */
  past: number
}
export const leftWhys = [
  'cannot-be-read',
  'no-end',
  'ends-before-it-begins',
  'part-of-a-day',
  'cancelled',
  'too-long',
  'zone-unknown',
] as const
export type LeftWhy = (typeof leftWhys)[number]

/** Files may hold so much; repeated events are followed so far. */
const most = { letters: 1_900_000, events: 20_000, days: 400, ahead: 731, told: 60 }

const clock = v.pipe(v.string(), v.regex(/^\d\d:\d\d$/))
const request = v.object({
  text: v.pipe(v.string('no text | Choose a file.'), v.maxLength(most.letters, 'more than 1.9 MB | Keep the calendar of a year or two.')),
  timeZone: v.pipe(v.string(), v.check(isTimeZone, 'not a time zone | Name one like Europe/Madrid.')),
  today: v.pipe(v.string(), v.check(isDate, 'not a day | Write it like 2027-03-04.')),
  week: v.object(Object.fromEntries(weekdays.map((d) => [d, v.nullable(v.object({ from: clock, to: clock }))])) as never),
})

/** Looks at an iCalendar file: an event over whole days, or over all hours that the house is open, closes them; repeated ones are followed
 *  for about two years. What cannot be read is named by its line, and takes nothing else with it. */
export function lookAtClosedDays(body: unknown): ClosedDaysPreview {
  const { text, timeZone, today, week } = readInput(request, body) as { text: string; timeZone: string; today: string; week: Hours['week'] }
  const blocks = eventsOf(text)
  const until = addDays(today, most.ahead)
  const days = new Map<string, string>()
  const left: ClosedDaysPreview['left'] = []
  let past = 0
  for (const b of blocks) {
    const read = b.end ? daysOf(b.lines.join('\r\n'), { timeZone, today, until, week }) : { why: 'no-end' as const, what: '' }
    if ('why' in read) {
      left.push({ line: b.line, what: read.what, why: read.why })
      continue
    }
    past += read.past
    for (const d of read.days) if (!days.has(d)) days.set(d, read.what)
  }
  return {
    days: [...days]
      .map(([date, what]) => ({ date, what }))
      .sort((a, b) => (a.date < b.date ? -1 : 1))
      .slice(0, most.days),
    left: left.slice(0, most.told),
    past,
  }
}

interface Block {
  /** Where it begins in the file, from 1. */
  line: number
  lines: string[]
  end: boolean
}

/** The events of a file, each with its line; folded lines stay as they are, the reader unfolds them. */
function eventsOf(text: string): Block[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/)
  const is = (line: string | undefined, word: string) => line?.trim().toUpperCase() === word
  const first = lines.findIndex((l) => l.trim() !== '')
  if (!is(lines[first], 'BEGIN:VCALENDAR'))
    throw new BadInput(
      'This is not a calendar file: it does not begin with BEGIN:VCALENDAR.',
      `line ${first + 1}`,
      'Choose a file that ends in .ics.',
    )
  const blocks: Block[] = []
  let open: Block | undefined
  for (const [i, line] of lines.entries()) {
    if (is(line, 'BEGIN:VEVENT')) {
      open = { line: i + 1, lines: [], end: false }
      blocks.push(open)
      if (blocks.length > most.events)
        throw new BadInput(`More than ${most.events} events.`, `line ${i + 1}`, 'Keep the calendar of closed days alone.')
    }
    open?.lines.push(line)
    if (is(line, 'END:VEVENT') && open) {
      open.end = true
      open = undefined
    }
  }
  return blocks
}

interface Frame {
  timeZone: string
  today: string
  until: string
  week: Hours['week']
}
type Read = { days: string[]; past: number; what: string } | { why: LeftWhy; what: string }

function daysOf(text: string, f: Frame): Read {
  let event: ICAL.Event
  try {
    event = new ICAL.Event(new ICAL.Component(ICAL.parse(text) as unknown[] as never))
    if (!event.startDate) return { why: 'cannot-be-read', what: '' }
  } catch {
    return { why: 'cannot-be-read', what: '' }
  }
  const what = String(event.summary ?? '')
    .replace(/[\p{Cc}]+/gu, ' ')
    .slice(0, 80)
  try {
    if (String(event.component.getFirstPropertyValue('status')).toUpperCase() === 'CANCELLED') return { why: 'cancelled', what }
    const zone = String(event.component.getFirstProperty('dtstart')?.getFirstParameter('tzid') ?? '')
    if (zone && !isTimeZone(zone)) return { why: 'zone-unknown', what }
    const length = event.endDate.subtractDate(event.startDate).toSeconds()
    if (length < 0) return { why: 'ends-before-it-begins', what }
    if (length > most.days * 86_400) return { why: 'too-long', what }
    const found = new Set<string>()
    let [past, any, seen] = [0, false, 0]
    for (const start of startsOf(event, f.until)) {
      if (++seen > 2 * most.ahead) break
      for (const d of covered(start, length, zone, f)) {
        any = true
        if (d < f.today) past++
        else if (d <= f.until) found.add(d)
      }
    }
    return any ? { days: [...found], past, what } : { why: 'part-of-a-day', what }
  } catch {
    return { why: 'cannot-be-read', what }
  }
}

/** When an event begins, each time it does. */
function* startsOf(event: ICAL.Event, until: string): Generator<ICAL.Time> {
  if (!event.isRecurring()) {
    yield event.startDate
    return
  }
  const iterator = event.iterator()
  for (
    let next = iterator.next() as ICAL.Time | undefined;
    next && next.toString().slice(0, 10) <= until;
    next = iterator.next() as ICAL.Time | undefined
  )
    yield next
}

/** The days that something over so many seconds closes: whole ones, or all the hours that the house is open. */
function covered(start: ICAL.Time, seconds: number, zone: string, { timeZone, week }: Frame): string[] {
  const iso = (t: ICAL.Time) => t.toString()
  if (start.isDate) return Array.from({ length: Math.max(1, Math.round(seconds / 86_400)) }, (_, i) => addDays(iso(start).slice(0, 10), i))
  const local = (t: ICAL.Time) => {
    const text = iso(t)
    if (text.endsWith('Z')) return inZone(`${text.slice(0, 19)}+00:00[UTC]`, timeZone)
    const at = placeLocal({ date: text.slice(0, 10), time: text.slice(11, 16) }, zone || timeZone).at
    return inZone(at, timeZone)
  }
  const end = start.clone()
  end.addDuration(ICAL.Duration.fromSeconds(seconds))
  const [from, to] = [local(start), local(end)]
  const days: string[] = []
  for (let d = dateOf(from); d <= dateOf(to); d = addDays(d, 1)) {
    const open = week[weekdays[weekdayOf(d) - 1]!]
    if (!open) continue
    const begins = d > dateOf(from) || clockOf(from) <= open.from
    const ends = d < dateOf(to) || clockOf(to) >= open.to
    if (begins && ends) days.push(d)
  }
  return days
}
