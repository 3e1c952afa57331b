import { describe, expect, it } from 'vitest'
import { erasedBecause, forgetNamesText } from '#core/phrases'

describe('what is said of erasing', () => {
  it('a picture: why on this day', () => {
    expect(erasedBecause('class')).toBe('14 days after the last class, whenever that is')
    expect(erasedBecause('added')).toBe('no class yet: 60 days after it came in')
    expect(erasedBecause('set')).toBe('as somebody set it')
  })
  it('names: how many go, and from where', () => {
    expect(forgetNamesText(1).goes).toMatch(/^one name, in the workshop, its history, /)
    expect(forgetNamesText(18).goes).toMatch(/^18 names, /)
    expect(forgetNamesText(2).noWayBack).toBe('There is no way back.')
  })
})
