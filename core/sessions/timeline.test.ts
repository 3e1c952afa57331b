import { describe, expect, it } from 'vitest'
import { placeOn, timelineOf } from '#core/sessions'
import type { Hours } from '#core/time'

const zone = 'America/New_York'
const at = (day: number, time: string) => `2026-05-${String(day).padStart(2, '0')}T${time}:00-04:00[America/New_York]`
const day = { from: '09:00', to: '21:00' }
const hours: Hours = {
  week: { mon: day, tue: day, wed: day, thu: day, fri: day, sat: day, sun: day },
  closedDays: [],
  timeZone: zone,
}

describe('time drawn along a line', () => {
  const line = timelineOf([{ from: at(13, '18:00'), to: at(13, '20:00') }], hours, zone)
  it('begins two days before the first class and ends two after the last', () => {
    expect([line.from, line.to, line.wholeMin, line.days.length]).toEqual([at(11, '00:00'), at(15, '00:00'), 4 * 1440, 4])
    expect([placeOn(line, at(11, '00:00')), placeOn(line, at(13, '00:00')), placeOn(line, at(15, '00:00'))]).toEqual([0, 50, 100])
    expect([placeOn(line, at(10, '00:00')), placeOn(line, at(16, '00:00'))]).toEqual([-25, 125])
  })
  it('nights are from ten to six, and nothing lies outside', () => {
    expect(line.nights.length).toBe(8)
    expect(line.nights[0]).toEqual({ from: 0, to: 6.25 })
    expect(line.nights[1]!.from).toBeCloseTo((100 * 22) / 96, 6)
    expect(line.nights[1]!.to).toBe(25)
    expect(line.nights.at(-1)!.to).toBe(100)
    expect(line.nights.every((n) => n.from >= 0 && n.to <= 100 && n.from < n.to)).toBe(true)
  })
  it('closed is what is not open, without a gap or an overlap', () => {
    expect(line.closed[0]).toEqual({ from: 0, to: 9.375 })
    for (const [i, c] of line.closed.entries()) if (i > 0) expect(c.from).toBeGreaterThan(line.closed[i - 1]!.to)
    const open = 100 - line.closed.reduce((sum, c) => sum + c.to - c.from, 0)
    expect(open).toBeCloseTo((100 * 4 * 12) / 96, 6)
  })
  it('a year of classes draws sixty days at the most; a night with a skipped hour is still a night', () => {
    expect(timelineOf([{ from: at(1, '10:00'), to: '2027-05-01T10:00:00-04:00[America/New_York]' }], hours, zone).days).toHaveLength(60)
    const spring = '2026-03-08T10:00:00-04:00[America/New_York]'
    const skipped = timelineOf([{ from: spring, to: spring }], hours, zone)
    expect(skipped.wholeMin).toBe(4 * 1440 - 60)
    // The day that is an hour short is the last: its night ends with the line.
    const saturday = '2026-03-07T10:00:00-05:00[America/New_York]'
    expect(Math.max(...timelineOf([{ from: saturday, to: saturday }], hours, zone).nights.map((n) => n.to))).toBe(100)
  })
})
