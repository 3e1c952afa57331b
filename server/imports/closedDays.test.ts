import { describe, expect, it, test } from 'vitest'
import { demoHouses } from '#core/demo'
import { lookAtClosedDays } from './closedDays'

const house = demoHouses[0]!
const look = (text: string) => lookAtClosedDays({ text, timeZone: house.timeZone, today: '2026-05-15', week: house.hours })
const calendar = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n')
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:x', ...lines, 'END:VEVENT']
const dates = (...lines: string[]) => look(calendar(...event(...lines))).days.map((d) => d.date)

describe('a calendar of closed days', () => {
  test.each<[string, string[], string[]]>([
    ['a day', ['DTSTART;VALUE=DATE:20260525', 'SUMMARY:Holiday'], ['2026-05-25']],
    [
      'days to the end, which is not one of them',
      ['DTSTART;VALUE=DATE:20260525', 'DTEND;VALUE=DATE:20260528'],
      ['2026-05-25', '2026-05-26', '2026-05-27'],
    ],
    ['by its length', ['DTSTART;VALUE=DATE:20260525', 'DURATION:P2D'], ['2026-05-25', '2026-05-26']],
    ['every year, for two', ['DTSTART;VALUE=DATE:20250704', 'RRULE:FREQ=YEARLY'], ['2026-07-04', '2027-07-04']],
    [
      'a repeated one without what is excepted',
      ['DTSTART;VALUE=DATE:20260601', 'RRULE:FREQ=DAILY;COUNT=3', 'EXDATE;VALUE=DATE:20260602'],
      ['2026-06-01', '2026-06-03'],
    ],
    ['a folded line', ['DTSTART;VALUE=', ' DATE:20260525'], ['2026-05-25']],
    [
      'all hours that are open',
      ['DTSTART;TZID=America/New_York:20260526T080000', 'DTEND;TZID=America/New_York:20260526T220000'],
      ['2026-05-26'],
    ],
    ['the same by another zone', ['DTSTART:20260526T120000Z', 'DTEND:20260527T020000Z'], ['2026-05-26']],
    ['without a zone, by the house’s own clock', ['DTSTART:20260526T000000', 'DTEND:20260527T000000'], ['2026-05-26']],
    ['what is over', ['DTSTART;VALUE=DATE:20260514'], []],
    ['today is not over', ['DTSTART;VALUE=DATE:20260515'], ['2026-05-15']],
    ['what lies beyond two years', ['DTSTART;VALUE=DATE:20300101'], []],
  ])('%s', (_name, lines, expected) => expect(dates(...lines)).toEqual(expected))

  test.each<[string, string[], string]>([
    ['a morning', ['DTSTART;TZID=America/New_York:20260526T080000', 'DTEND;TZID=America/New_York:20260526T120000'], 'part-of-a-day'],
    ['an end before the beginning', ['DTSTART;VALUE=DATE:20260526', 'DTEND;VALUE=DATE:20260520'], 'ends-before-it-begins'],
    ['an odd zone', ['DTSTART;TZID=Kitchen Clock:20260526T000000', 'DTEND;TZID=Kitchen Clock:20260527T000000'], 'zone-unknown'],
    ['no date', ['DTSTART:soon'], 'cannot-be-read'],
    ['no beginning', ['SUMMARY:Nothing'], 'cannot-be-read'],
    ['cancelled', ['DTSTART;VALUE=DATE:20260526', 'STATUS:CANCELLED'], 'cancelled'],
    ['two years long', ['DTSTART;VALUE=DATE:20260526', 'DTEND;VALUE=DATE:20280526'], 'too-long'],
  ])('%s is left out, with its line, and takes nothing with it', (_name, lines, why) => {
    const found = look(
      calendar(...event('DTSTART;VALUE=DATE:20260601', 'SUMMARY:Good'), ...event(...lines), ...event('DTSTART;VALUE=DATE:20260602')),
    )
    expect(found.days.map((d) => d.date)).toEqual(['2026-06-01', '2026-06-02'])
    expect(found.left.map((l) => [l.line, l.why])).toEqual([[8, why]])
  })
  it('an event that is never ended is named', () => {
    const text = ['BEGIN:VCALENDAR', ...event('DTSTART;VALUE=DATE:20260601'), 'BEGIN:VEVENT', 'DTSTART;VALUE=DATE:20260602'].join('\n')
    expect(look(text)).toMatchObject({ days: [{ date: '2026-06-01' }], left: [{ line: 6, why: 'no-end' }] })
  })
  it('says what each day is called, without what a screen would stumble on', () =>
    expect(look(calendar(...event('DTSTART;VALUE=DATE:20260601', 'SUMMARY:Founders\\nDay'))).days).toEqual([
      { date: '2026-06-01', what: 'Founders Day' },
    ]))
  it('a day on which the house is closed anyway is no closed day by hours', () => {
    const week = { ...house.hours, sun: null }
    const text = calendar(...event('DTSTART:20260531T000000', 'DTEND:20260602T000000'))
    expect(lookAtClosedDays({ text, timeZone: house.timeZone, today: '2026-05-15', week }).days.map((d) => d.date)).toEqual(['2026-06-01'])
  })
  it('something else is refused with where', () => {
    for (const text of ['', 'name,age\nEdda,9', '\n\nBEGIN:VCARD']) expect(() => look(text)).toThrow(/not a calendar file/)
  })
  it('ten thousand events are looked at', () => {
    const many = Array.from({ length: 10_000 }, (_, i) =>
      event(`DTSTART;VALUE=DATE:2026${String(6 + (i % 6)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}`),
    ).flat()
    const found = look(calendar(...many))
    expect(found.days.length).toBe(new Set(found.days.map((d) => d.date)).size)
    expect(found.days.length).toBe(84)
    expect(found.left).toEqual([])
  })
  it('an endless rule ends', () => expect(dates('DTSTART;VALUE=DATE:19500101', 'RRULE:FREQ=DAILY').length).toBeLessThanOrEqual(400))
})
