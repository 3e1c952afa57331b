import { describe, expect, it, test } from 'vitest'
import { cure, dryingFactor, simulatedLogger, type CureInput, type Reading } from '#core/cure'
import { asPractised } from '#core/figures'
import { addMinutes, minutesBetween } from '#core/time'

const laidAt = '2026-05-14T19:00:00-04:00[America/New_York]'
const base: CureInput = {
  laidAt,
  rubAt: laidAt,
  minimumMin: 720,
  recommendedMin: 1440,
  climate: { celsius: 21, humidityPct: 50 },
  coat: 'moderate',
  surface: 'porous',
}
const at = (min: number, celsius: number, humidityPct: number): Reading => ({ at: addMinutes(laidAt, min), celsius, humidityPct })
/** The slowest air there is: three minutes for one. */
const wet = (min: number) => at(min, 16, 80)
const ask = (air: Reading[], more: Partial<CureInput> = {}) => cure({ ...base, ...more }, asPractised, air)

describe('a cure counts with the air that really was', () => {
  it('without readings as before', () => expect(ask([])).toEqual(cure(base)))
  it('a reading holds for three hours, then the house’s own air is believed again', () => {
    // 180 min of it are worth 60: two hours later.
    expect(ask([wet(0)])).toMatchObject({ requiredMin: 720 + 120, recommendedMin: 1440 + 120 })
    expect(ask([wet(100)])).toMatchObject({ requiredMin: 840, recommendedMin: 1560 })
  })
  it('or until the next', () => {
    expect(ask([wet(0), at(60, 21, 50)])).toMatchObject({ requiredMin: 720 + 40 })
    expect(ask([at(60, 21, 50), wet(0)])).toMatchObject({ requiredMin: 720 + 40 })
  })
  it('what lies before the laying counts only for what is left of it; what comes after it is ready not at all', () => {
    expect(ask([wet(-120)])).toMatchObject({ requiredMin: 720 + 40 })
    expect(ask([wet(-180)])).toMatchObject({ requiredMin: 720, recommendedMin: 1440 })
    expect(ask([wet(720)])).toMatchObject({ requiredMin: 720, recommendedMin: 1560 })
  })
  it('good air never makes it shorter than practice', () => {
    const dry = Array.from({ length: 20 }, (_, i) => at(i * 120, 30, 20))
    expect(ask(dry)).toMatchObject({ requiredMin: 720, recommendedMin: 1440, climateFactor: 1 })
    // But the house's damp air is not believed where dry air was read.
    const damp = { climate: { celsius: 18, humidityPct: 70 } }
    expect(ask(dry, damp).requiredMin).toBe(720)
    expect(ask([], damp).requiredMin).toBeGreaterThan(1400)
  })
  it('the verdict and the factors follow', () => {
    const rubAt = addMinutes(laidAt, 800)
    expect(ask([], { rubAt }).verdict).toBe('risky')
    expect(ask([wet(0)], { rubAt }).verdict).toBe('too soon')
    expect(ask([wet(0)]).climateFactor).toBeCloseTo(840 / 720, 9)
    expect(ask([wet(0)]).factor).toBeCloseTo(1560 / 1440, 9)
  })
  it('coat and surface still only move what is recommended', () => {
    const stone = ask([wet(0)], { surface: 'stone' })
    expect(stone.requiredMin).toBe(840)
    expect(stone.recommendedMin).toBeGreaterThan(1800)
  })
})

describe('the simulated logger', () => {
  const to = addMinutes(laidAt, 600)
  it('reads every half hour between two moments, the same each time, near the house’s air', () => {
    const read = simulatedLogger(laidAt, to, base.climate)
    expect([read.length, read[0]!.at, read.at(-1)!.at]).toEqual([21, laidAt, to])
    expect(simulatedLogger(laidAt, to, base.climate)).toEqual(read)
    for (const r of read) expect([Math.abs(r.celsius - 21) < 3, Math.abs(r.humidityPct - 50) < 12]).toEqual([true, true])
    // Nights are cooler and damper than evenings.
    expect(read.find((r) => minutesBetween(laidAt, r.at) === 480)!.celsius).toBeLessThan(read[0]!.celsius)
  })
  it('reads nothing before it begins, and stays within what air can be', () => {
    expect(simulatedLogger(to, laidAt, base.climate)).toEqual([])
    for (const r of simulatedLogger(laidAt, to, { celsius: 45, humidityPct: 100 }))
      expect([r.celsius <= 45, r.humidityPct <= 100]).toEqual([true, true])
  })
})

describe('drying in a room', () => {
  test.each([
    [21, 50, 1],
    [30, 20, 1],
    [18, 70, 2],
    [21, 60, 1.3],
    [5, 95, 3],
  ])('at %s °C and %s % takes %s times as long, never less than practice says', (celsius, humidityPct, factor) =>
    expect(dryingFactor([], { celsius, humidityPct })).toBe(factor),
  )
  it('what was read there goes before what is usual, on the mean; nothing known is a usual room', () => {
    const usual = { celsius: 18, humidityPct: 70 }
    expect(
      dryingFactor(
        [
          { celsius: 21, humidityPct: 40 },
          { celsius: 21, humidityPct: 60 },
        ],
        usual,
      ),
    ).toBe(1)
    expect(dryingFactor([])).toBe(1)
  })
})
