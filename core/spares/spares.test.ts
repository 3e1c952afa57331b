import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import { isRefusal } from '#core/reasons'
import { sparesFor, sparesInput, sureWith } from '#core/spares'
import { everybodyHasOne, failuresAtMost, lnGamma } from './beta'

const ask = (people: number, failed: number, good: number, confidence: number, kind: 'interchangeable' | 'own') =>
  sparesFor(v.parse(sparesInput, { people, prior: { failed, good }, confidence, kind }))
const priors = [
  [1, 9],
  [3, 27],
  [2, 38],
  [7, 33],
] as const

describe('interchangeable spares', () => {
  test.each([
    [8, [3, 4], [2, 3], [1, 2], [4, 5]],
    [12, [4, 6], [3, 4], [2, 3], [5, 7]],
    [18, [6, 8], [5, 6], [3, 3], [8, 9]],
    [24, [8, 10], [6, 8], [3, 4], [10, 12]],
  ])('of %i people, at 90 and 95 %', (people, ...expected) => {
    priors.forEach(([failed, good], i) => {
      expect(ask(people, failed, good, 0.9, 'interchangeable')).toMatchObject({ spares: expected[i]![0] })
      expect(ask(people, failed, good, 0.95, 'interchangeable')).toMatchObject({ spares: expected[i]![1] })
    })
  })
  it('one fewer would not do', () => {
    for (const people of [1, 5, 18, 40, 400]) {
      const found = ask(people, 1, 9, 0.9, 'interchangeable') as { spares: number; reached: number }
      const sure = (n: number) => sureWith(n, { people, prior: { failed: 1, good: 9 }, logged: { failed: 0, good: 0 } })
      expect(found.reached).toBeGreaterThanOrEqual(0.9)
      expect(found.spares === 0 || sure(found.spares - 1) < 0.9).toBe(true)
    }
  })
  it('nobody needs none', () => {
    expect(ask(0, 1, 9, 0.99, 'interchangeable')).toMatchObject({ spares: 0, reached: 1 })
  })
  it('what the house has logged counts', () => {
    const logged = sparesFor(
      v.parse(sparesInput, {
        people: 18,
        prior: { failed: 1, good: 9 },
        logged: { failed: 1, good: 29 },
        confidence: 0.9,
        kind: 'interchangeable',
      }),
    )
    expect(logged).toMatchObject({ spares: 3 })
  })
  it('agrees with adding up the beta-binomial for small numbers', () => {
    // Beta(1,1) makes every number of failures equally likely
    for (const n of [1, 4, 9])
      for (let k = 0; k < n; k++) expect(failuresAtMost(k, n, { failed: 1, good: 1 })).toBeCloseTo((k + 1) / (n + 1), 12)
  })
})

describe('copies of own pictures', () => {
  test.each([
    [1, 9, 3],
    [3, 27, 3],
    [7, 33, 4],
  ])('for 18 people under Beta(%i,%i)', (failed, good, copies) => {
    expect(ask(18, failed, good, 0.9, 'own')).toMatchObject({ copies })
  })
  it('at least one, even for nobody', () => {
    expect(ask(0, 1, 9, 0.9, 'own')).toMatchObject({ copies: 1 })
  })
  it('agrees with the exact value for one person: E[1 - p] is the share of good ones', () => {
    expect(everybodyHasOne(1, 1, { failed: 1, good: 9 })).toBeCloseTo(0.9, 12)
    expect(everybodyHasOne(1, 1, { failed: 0.5, good: 0.5 })).toBeCloseTo(0.5, 10)
    expect(everybodyHasOne(2, 1, { failed: 1, good: 1 })).toBeCloseTo(2 / 3, 12)
  })
  it('agrees with the alternating sum while that still has digits', () => {
    // E[(1 - p)^N] under Beta(1, b) is b / (b + N)
    for (const n of [1, 10, 60]) expect(everybodyHasOne(1, n, { failed: 1, good: 9 })).toBeCloseTo(9 / (9 + n), 11)
  })
  it('keeps its digits for thousands of people', () => {
    expect(everybodyHasOne(1, 5000, { failed: 1, good: 9 })).toBeCloseTo(9 / 5009, 13)
    const many = ask(5000, 7, 33, 0.9, 'own') as { copies: number; reached: number }
    expect(many.reached).toBeGreaterThanOrEqual(0.9)
    expect(everybodyHasOne(many.copies - 1, 5000, { failed: 7, good: 33 })).toBeLessThan(0.9)
  })
})

describe('at the edges', () => {
  it('refuses when no reasonable number is enough', () => {
    expect(isRefusal(ask(18, 9999, 0.01, 0.99, 'interchangeable'))).toBe(true)
    expect(isRefusal(ask(18, 99, 0.05, 0.999, 'own'))).toBe(true)
  })
  test.each([
    [{ confidence: 0 }, 'confidence'],
    [{ confidence: 1 }, 'confidence'],
    [{ confidence: -0.5 }, 'confidence'],
    [{ people: -1 }, 'people'],
    [{ people: 1.5 }, 'people'],
    [{ kind: 'both' }, 'kind'],
    [{ prior: { good: 0, failed: 1 } }, 'prior'],
    [{ prior: { good: 9, failed: 0 } }, 'prior'],
    [{ prior: { good: -1, failed: 0 } }, 'prior.good'],
  ])('%j is bad input at %s', (change, path) => {
    const read = v.safeParse(sparesInput, { people: 18, prior: { good: 9, failed: 1 }, confidence: 0.9, kind: 'own', ...change })
    expect(read.success).toBe(false)
    expect(v.getDotPath(read.issues![0])).toBe(path)
  })
  it('ln Gamma is right where it is known', () => {
    expect(lnGamma(1)).toBeCloseTo(0, 13)
    expect(lnGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 13)
    expect(lnGamma(5)).toBeCloseTo(Math.log(24), 12)
    expect(lnGamma(21)).toBeCloseTo(Math.log(2432902008176640000), 11)
    expect(lnGamma(20) + Math.log(20)).toBeCloseTo(lnGamma(21), 11)
  })
})
