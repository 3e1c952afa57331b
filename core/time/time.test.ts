import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import {
  addDays,
  addMinutes,
  clockOf,
  dateOf,
  instant,
  inZone,
  instantAt,
  isClock,
  isDate,
  isTimeZone,
  lastOpenBefore,
  minutesBetween,
  openSpans,
  placeLocal,
  wakingFrom,
  roundUpToHour,
  sayClock,
  sayDay,
  sayDayClock,
  weekdayOf,
  type Hours,
} from '#core/time'

const madrid = 'Europe/Madrid'
const span = { from: '09:00', to: '17:00' }
const hours: Hours = {
  week: { mon: span, tue: span, wed: span, thu: span, fri: span, sat: null, sun: null },
  closedDays: ['2026-05-14'],
  timeZone: madrid,
}
const at = (date: string, time: string) => placeLocal({ date, time }, madrid).at

describe('instants', () => {
  test.each([
    '2027-03-04T19:00:00+01:00[Europe/Madrid]',
    '2027-03-04T19:00+01:00[Europe/Madrid]',
    '2027-03-04T18:00:00Z[Europe/Madrid]',
    '2028-02-29T12:00:00+00:00[UTC]',
  ])('%s is one', (text) => {
    expect(v.safeParse(instant(), text).success).toBe(true)
  })
  test.each([
    '2027-03-04T19:00:00+02:00[Europe/Madrid]',
    '2027-03-04T19:00:00+01:00',
    '2027-03-04T19:00:00[Europe/Madrid]',
    '2027-02-29T12:00:00+01:00[Europe/Madrid]',
    '2027-13-04T12:00:00+01:00[Europe/Madrid]',
    '2027-03-04T19:00:00+01:00[Nowhere/Else]',
    '2027-03-04',
    'yesterday',
    '',
    12,
    null,
  ])('%s is none, and says so', (text) => {
    const read = v.safeParse(instant(), text)
    expect(read.success).toBe(false)
    expect(read.issues?.[0].message).toContain(' | ')
  })
  it('elapsed minutes cross a clock change', () => {
    const before = '2027-03-28T01:30:00+01:00[Europe/Madrid]'
    expect(addMinutes(before, 60)).toBe('2027-03-28T03:30:00+02:00[Europe/Madrid]')
    expect(minutesBetween(before, '2027-03-28T03:30:00+02:00[Europe/Madrid]')).toBe(60)
  })
  it('what is printed is what is read back: to the second, no part of one left', () => {
    const from = '2027-03-04T19:00:00+01:00[Europe/Madrid]'
    const later = addMinutes(from, 1.0125)
    expect(later).toBe('2027-03-04T19:01:00+01:00[Europe/Madrid]')
    expect(minutesBetween(from, later)).toBe(1)
    expect(minutesBetween(from, instantAt(Date.parse('2027-03-04T18:00:59.999Z'), 'Europe/Madrid'))).toBe(59 / 60)
  })
  it('adding and subtracting minutes agree', () => {
    fc.assert(
      fc.property(fc.integer({ min: -600_000, max: 600_000 }), (n) => {
        const from = at('2027-03-04', '19:00')
        expect(minutesBetween(from, addMinutes(from, n))).toBe(n)
      }),
      { seed: 11 },
    )
  })
  it('keeps the instant in another zone', () => {
    const there = inZone('2026-05-15T15:00:00-04:00[America/New_York]', madrid)
    expect(there).toBe('2026-05-15T21:00:00+02:00[Europe/Madrid]')
    expect(minutesBetween('2026-05-15T15:00:00-04:00[America/New_York]', there)).toBe(0)
  })
})

describe('wall-clock times', () => {
  it('a skipped hour moves forward and says so', () => {
    expect(placeLocal({ date: '2027-03-28', time: '02:30' }, madrid)).toMatchObject({
      at: '2027-03-28T03:30:00+02:00[Europe/Madrid]',
      odd: 'skipped',
    })
  })
  it('a doubled hour says so, and either may be meant', () => {
    const first = placeLocal({ date: '2026-10-25', time: '02:30' }, madrid)
    const second = placeLocal({ date: '2026-10-25', time: '02:30' }, madrid, true)
    expect(first).toMatchObject({ odd: 'doubled', other: second.at })
    expect(minutesBetween(first.at, second.at)).toBe(60)
  })
  test.each([
    ['2028-02-29', true],
    ['2027-02-29', false],
    ['2027-2-9', false],
    ['2027-00-10', false],
    ['', false],
  ])('%s is a date: %s', (text, is) => expect(isDate(text)).toBe(is))
  test.each([
    ['00:00', true],
    ['23:59', true],
    ['24:00', false],
    ['9:00', false],
    ['12:60', false],
  ])('%s is a time of day: %s', (text, is) => expect(isClock(text)).toBe(is))
  it('knows zones, days and weekdays', () => {
    expect(isTimeZone('Europe/Madrid')).toBe(true)
    expect(isTimeZone('Mars/Olympus')).toBe(false)
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
    expect(weekdayOf('2026-05-15')).toBe(5)
    expect(dateOf(at('2026-05-15', '23:59'))).toBe('2026-05-15')
    expect(clockOf(at('2026-05-15', '23:59'))).toBe('23:59')
  })
})

describe('opening hours', () => {
  test.each([
    ['2026-05-15', '12:00', '2026-05-15', '12:00'],
    ['2026-05-15', '20:00', '2026-05-15', '17:00'],
    ['2026-05-15', '08:00', '2026-05-13', '17:00'],
    ['2026-05-17', '12:00', '2026-05-15', '17:00'],
    ['2026-05-18', '09:00', '2026-05-18', '09:00'],
  ])('last open at or before %s %s is %s %s', (date, time, wantedDate, wantedTime) => {
    expect(lastOpenBefore(at(date, time), hours)).toBe(at(wantedDate, wantedTime))
  })
  it('a house that is never open gives the moment back', () => {
    const never: Hours = { ...hours, week: { mon: null, tue: null, wed: null, thu: null, fri: null, sat: null, sun: null } }
    expect(lastOpenBefore(at('2026-05-15', '12:00'), never)).toBe(at('2026-05-15', '12:00'))
  })
  it('lists the open spans, without closed days', () => {
    const spans = openSpans(at('2026-05-12', '00:00'), at('2026-05-18', '00:00'), hours)
    expect(spans.map((s) => dateOf(s.from))).toEqual(['2026-05-12', '2026-05-13', '2026-05-15', '2026-05-18'])
  })
  it('never answers with a closed moment', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), (n) => {
        const wanted = addMinutes(at('2026-05-18', '00:00'), n)
        const found = lastOpenBefore(wanted, hours)
        expect(minutesBetween(found, wanted)).toBeGreaterThanOrEqual(0)
        expect(openSpans(found, found, hours).some((s) => minutesBetween(s.from, found) >= 0 && minutesBetween(found, s.to) >= 0)).toBe(
          true,
        )
      }),
      { seed: 5, numRuns: 60 },
    )
  })
})

describe('saying times', () => {
  test.each([
    ['00:05', '12:05 am', '00:05'],
    ['09:00', '9:00 am', '09:00'],
    ['12:00', '12:00 pm', '12:00'],
    ['19:10', '7:10 pm', '19:10'],
  ])('%s', (time, twelve, twentyFour) => {
    expect(sayClock(at('2026-05-15', time), 12)).toBe(twelve)
    expect(sayClock(at('2026-05-15', time), 24)).toBe(twentyFour)
  })
  it('a weekday alone only within six days', () => {
    const now = at('2026-05-15', '12:00')
    expect(sayDayClock(at('2026-05-16', '10:00'), 12, now)).toBe('Sat 10:00 am')
    expect(sayDayClock(at('2026-05-30', '10:00'), 24, now)).toBe('Sat 30 May, 10:00')
    expect(sayDay(at('2026-05-16', '10:00'))).toBe('Saturday 16 May')
  })
  test.each([
    ['16:40', '17:00'],
    ['17:00', '17:00'],
    ['23:01', '00:00'],
  ])('%s is told as %s', (time, told) => {
    expect(clockOf(roundUpToHour(at('2026-05-15', time)))).toBe(told)
  })
  it('rounding never goes back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400_000 }), (n) => {
        const from = addMinutes(at('2026-03-01', '00:00'), n)
        const by = minutesBetween(from, roundUpToHour(from))
        expect(by).toBeGreaterThanOrEqual(0)
        expect(by).toBeLessThan(60)
      }),
      { seed: 2, numRuns: 80 },
    )
  })
})

describe('a waking hour', () => {
  const hours: Hours = {
    week: {
      mon: { from: '09:00', to: '20:00' },
      tue: { from: '07:00', to: '20:00' },
      wed: null,
      thu: { from: '09:00', to: '20:00' },
      fri: { from: '09:00', to: '20:00' },
      sat: null,
      sun: null,
    },
    closedDays: ['2026-05-26'],
    timeZone: 'America/New_York',
  }
  const at = (date: string, time: string) => placeLocal({ date, time }, hours.timeZone).at
  test.each([
    ['by day it is the moment itself', '2026-05-18', '14:00', '2026-05-18', '14:00'],
    ['at eight in the morning too', '2026-05-18', '08:00', '2026-05-18', '08:00'],
    ['and at ten in the evening', '2026-05-18', '22:00', '2026-05-18', '22:00'],
    ['by night 8, before the house opens at 9', '2026-05-18', '02:00', '2026-05-18', '08:00'],
    ['or the opening, where that is earlier', '2026-05-19', '02:00', '2026-05-19', '07:00'],
    ['late in the evening it is the next morning', '2026-05-18', '23:00', '2026-05-19', '07:00'],
    ['an opening that is over counts no more', '2026-05-19', '07:30', '2026-05-19', '08:00'],
    ['on a day that is closed it is 8', '2026-05-20', '03:00', '2026-05-20', '08:00'],
    ['on a closed date too', '2026-05-26', '03:00', '2026-05-26', '08:00'],
  ])('%s', (_name, date, time, toDate, toTime) => expect(wakingFrom(at(date, time), hours)).toBe(at(toDate, toTime)))
})
