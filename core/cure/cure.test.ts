import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import { climateFactor, cure, cureFactor, cureInput, type CureInput } from '#core/cure'
import { coats } from '#core/medium'
import { addMinutes, minutesBetween } from '#core/time'

const laidAt = '2027-03-04T19:00:00+01:00[Europe/Madrid]'
const base = {
  laidAt,
  rubAt: '2027-03-05T19:00:00+01:00[Europe/Madrid]',
  minimumMin: 720,
  recommendedMin: 1440,
  climate: { celsius: 21, humidityPct: 50 },
  coat: 'moderate',
  surface: 'porous',
}
const ask = (i: object = {}) => cure(v.parse(cureInput, { ...base, ...i }) as CureInput)

describe('how much longer', () => {
  test.each([
    [24, 40, 1.0],
    [21, 65, 1.43],
    [18, 70, 2.01],
    [16, 80, 3],
    [20, 100, 3],
  ])('%i C at %i %%', (celsius, humidity, factor) => {
    expect(cureFactor(celsius, humidity, 'moderate', 'porous')).toBeCloseTo(factor, 2)
  })
  it('the clamp is on the climate alone', () => {
    expect(cureFactor(16, 80, 'heavy', 'painted')).toBeCloseTo(3 * 1.25, 9)
  })
  it('a good room may make up for a thick coat, but nothing makes a cure shorter than practice', () => {
    expect(climateFactor(28, 35)).toBeLessThan(1)
    expect(cureFactor(28, 35, 'light', 'porous')).toBe(1)
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.constantFrom(...coats),
        (c, h, coat) => {
          expect(cureFactor(c, h, coat, 'porous')).toBeGreaterThanOrEqual(1)
        },
      ),
      { seed: 9 },
    )
  })
  it('says what each time is longer by; coat and surface never touch the least', () => {
    expect(ask({ climate: { celsius: 21, humidityPct: 65 }, coat: 'heavy', surface: 'stone' })).toMatchObject({ requiredMin: 1029 })
    const c = ask({ coat: 'heavy', surface: 'stone' })
    expect([c.climateFactor, c.factor]).toEqual([1, 1.5625])
  })
  it('better is never sooner than least, however thin the coat', () => {
    const c = ask({ minimumMin: 720, recommendedMin: 720, climate: { celsius: 21, humidityPct: 65 }, coat: 'light' })
    expect(c.recommendedMin).toBe(c.requiredMin)
  })
  it('damper is never faster', () => {
    for (let h = 1; h <= 100; h++) expect(climateFactor(21, h)).toBeGreaterThanOrEqual(climateFactor(21, h - 1))
  })
  test.each([
    [65, 'moderate', 'porous', 1029, 2058],
    [50, 'moderate', 'painted', 720, 1440],
    [50, 'generous', 'porous', 720, 1440],
    [50, 'light', 'painted', 720, 1440],
    [50, 'heavy', 'porous', 720, 1800],
    [50, 'moderate', 'stone', 720, 1800],
    [50, 'heavy', 'sealed', 720, 2250],
    [65, 'moderate', 'stone', 1029, 2572],
  ] as const)('at %i %% a %s coat on %s', (humidityPct, coat, surface, requiredMin, recommendedMin) => {
    expect(ask({ climate: { celsius: 21, humidityPct }, coat, surface })).toMatchObject({ requiredMin, recommendedMin })
  })
})

describe('verdicts', () => {
  test.each([
    [-60, 'too soon'],
    [0, 'too soon'],
    [719, 'too soon'],
    [720, 'risky'],
    [1439, 'risky'],
    [1440, 'ready'],
    [9999, 'ready'],
  ] as const)('%i minutes after laying: %s', (minutes, verdict) => {
    expect(ask({ rubAt: addMinutes(laidAt, minutes) }).verdict).toBe(verdict)
  })
  it('compares to the second', () => {
    expect(ask({ rubAt: '2027-03-05T06:59:59+01:00[Europe/Madrid]' }).verdict).toBe('too soon')
    expect(ask({ rubAt: '2027-03-05T07:00:00.9+01:00[Europe/Madrid]' }).verdict).toBe('risky')
  })
  it('a cure of nothing is ready at once, and too soon before', () => {
    expect(ask({ minimumMin: 0, recommendedMin: 0, rubAt: laidAt }).verdict).toBe('ready')
    expect(ask({ minimumMin: 0, recommendedMin: 0, rubAt: addMinutes(laidAt, -1) }).verdict).toBe('too soon')
  })
  it('elapsed time counts across both clock changes, in laidAt’s zone', () => {
    const spring = ask({ laidAt: '2027-03-27T19:00:00+01:00[Europe/Madrid]', rubAt: '2027-03-28T07:00:00+02:00[Europe/Madrid]' })
    expect(spring).toMatchObject({ verdict: 'too soon', earliestAt: '2027-03-28T08:00:00+02:00[Europe/Madrid]' })
    const autumn = ask({ laidAt: '2026-10-24T19:00:00+02:00[Europe/Madrid]', rubAt: '2026-10-25T06:00:00+01:00[Europe/Madrid]' })
    expect(autumn).toMatchObject({ verdict: 'risky', earliestAt: '2026-10-25T06:00:00+01:00[Europe/Madrid]' })
  })
  it('the rub may be said in another zone', () => {
    expect(ask({ rubAt: '2027-03-05T00:00:00-05:00[America/New_York]' })).toMatchObject({ verdict: 'too soon' })
    expect(ask({ rubAt: '2027-03-05T01:00:00-05:00[America/New_York]' }).earliestAt).toContain('[Europe/Madrid]')
  })
  it('a leap day is a day', () => {
    expect(ask({ laidAt: '2028-02-28T19:00:00+01:00[Europe/Madrid]', rubAt: '2028-02-29T19:00:00+01:00[Europe/Madrid]' }).verdict).toBe(
      'ready',
    )
  })
  it('earliest never lies after recommended', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 100 }),
        (least, more, humidityPct) => {
          const c = ask({ minimumMin: least, recommendedMin: least + more, climate: { celsius: 20, humidityPct } })
          expect(minutesBetween(c.earliestAt, c.recommendedAt)).toBeGreaterThanOrEqual(0)
          expect(minutesBetween(laidAt, c.earliestAt)).toBeGreaterThanOrEqual(least)
        },
      ),
      { seed: 12, numRuns: 80 },
    )
  })
})

test.each([
  [{ laidAt: '2027-03-04T19:00:00+02:00[Europe/Madrid]' }, 'laidAt'],
  [{ rubAt: 'tomorrow' }, 'rubAt'],
  [{ minimumMin: -1 }, 'minimumMin'],
  [{ minimumMin: 1.5 }, 'minimumMin'],
  [{ recommendedMin: 100 }, 'recommendedMin'],
  [{ climate: { celsius: 21, humidityPct: 101 } }, 'climate.humidityPct'],
  [{ climate: { celsius: 'warm', humidityPct: 50 } }, 'climate.celsius'],
  [{ coat: 'thick' }, 'coat'],
  [{ surface: 'wood' }, 'surface'],
])('%j is bad input at %s', (change, path) => {
  const read = v.safeParse(cureInput, { ...base, ...change })
  expect(v.getDotPath(read.issues![0])).toBe(path)
})
