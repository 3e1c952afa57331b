import { describe, expect, it, test } from 'vitest'
import { outlined, wrapped } from './letters'

describe('letters as outlines', () => {
  it('are as wide as their letters together, and grow with their size', () => {
    const [one, two] = [outlined('Pia', 10), outlined('Pia', 20)]
    expect(two.width).toBeCloseTo(2 * one.width, 6)
    expect(outlined('PiaPia', 10).width).toBeCloseTo(2 * one.width, 0)
    expect(outlined('', 10)).toEqual({ path: '', width: 0 })
  })
  test.each([['Zoë-Łucja'], ['Ελένη'], ['Дарья'], ['مريم'], ['שרה']])('%s is drawn with what ships, without a box', (name) => {
    const { path, width } = outlined(name, 10)
    expect(width).toBeGreaterThan(5)
    expect(path).toMatch(/^M/)
    expect(path).not.toContain('NaN')
  })
  it('that no font has are question marks', () => expect(outlined('𒀀𒁀', 10).width).toBeCloseTo(outlined('????', 10).width, 3))
  it('wrap at words; a word that is wider stands alone', () => {
    const lines = wrapped('Sample 1, Sample 2, Maximiliane-Theodora, Pia', 2.5, 24)
    expect(lines.join(' ')).toBe('Sample 1, Sample 2, Maximiliane-Theodora, Pia')
    expect(lines.length).toBeGreaterThan(1)
    for (const line of lines) if (line.includes(' ')) expect(outlined(line, 2.5).width).toBeLessThanOrEqual(24)
  })
})
