import { describe, expect, it, test } from 'vitest'
import { addMinutes } from '#core/time'
import { stripScale } from './stripScale'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const scale = stripScale(now, 'America/New_York', 'mon')

describe('the strips’ scale', () => {
  it('draws the current week larger, from the house’s first day', () => {
    expect(scale.week.days.map((d) => d.date)).toEqual([
      '2026-05-11',
      '2026-05-12',
      '2026-05-13',
      '2026-05-14',
      '2026-05-15',
      '2026-05-16',
      '2026-05-17',
    ])
    expect(stripScale(now, 'America/New_York', 'sun').week.days[0]!.date).toBe('2026-05-10')
  })
  it('never runs backwards', () => {
    let before = -1
    for (let day = -60; day < 90; day++) {
      const at = scale.at(addMinutes(now, day * 1440))
      expect(at).toBeGreaterThanOrEqual(before)
      before = at
    }
  })
  test.each([
    [-400, 0],
    [400, 100],
  ])('%i days away is at the end', (days, at) => expect(scale.at(addMinutes(now, days * 1440))).toBe(at))
  it('now lies inside the week', () => {
    expect(scale.at(now)).toBeGreaterThan(scale.week.from)
    expect(scale.at(now)).toBeLessThan(scale.week.to)
  })
  it('spreads evenly within each of its three parts', () => {
    const at = (days: number, hours = 0) =>
      Number(scale.at(addMinutes('2026-05-11T00:00:00-04:00[America/New_York]', days * 1440 + hours * 60)).toFixed(3))
    expect([at(-28), at(-14), at(0)]).toEqual([0, 7.5, 15])
    expect([at(1), at(3, 12), at(7)]).toEqual([Number((15 + 44 / 7).toFixed(3)), 37, 59])
    expect([at(7 + 7), at(7 + 34), at(7 + 35), at(7 + 36)]).toEqual([67.2, Number((59 + (41 * 34) / 35).toFixed(3)), 100, 100])
  })
  it('holds in a week with a clock change', () => {
    const spring = stripScale('2027-03-28T12:00:00+02:00[Europe/Madrid]', 'Europe/Madrid', 'mon')
    expect(spring.week.days).toHaveLength(7)
    expect(spring.week.days.at(-1)!.at).toBeLessThan(spring.week.to)
  })
})
