import { describe, expect, it } from 'vitest'
import { fewest } from './finders/ways'

describe('the fewest that do', () => {
  it('from any to any, whichever is the first that does', () => {
    for (let to = 1; to <= 12; to++)
      for (let first = 1; first <= to; first++) {
        const asked: number[] = []
        const does = (n: number) => (asked.push(n), n >= first)
        expect(fewest(1, to, does), `${first} of ${to}`).toBe(first)
        expect(asked.length).toBeLessThanOrEqual(6)
      }
  })
  it('none does, or there is none to ask', () => {
    expect(fewest(1, 9, () => false)).toBeUndefined()
    expect(fewest(5, 4, () => true)).toBeUndefined()
  })
})
