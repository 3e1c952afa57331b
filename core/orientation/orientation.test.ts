import { describe, expect, it, test } from 'vitest'
import { orient, orientationInput } from '#core/orientation'
import { BadInput, readInput } from '#core/reasons'

describe('orientation', () => {
  test.each([
    [
      'medium on wood, plain print',
      { printedMirrored: false, laidFaceDown: true, seenThrough: false, lettering: true },
      1,
      'blocker',
      true,
    ],
    ['medium on wood, mirrored', { printedMirrored: true, laidFaceDown: true, seenThrough: false, lettering: true }, 2, 'fine', true],
    ['film outside a jar', { printedMirrored: false, laidFaceDown: false, seenThrough: false, lettering: true }, 0, 'fine', false],
    ['film behind a glass block', { printedMirrored: false, laidFaceDown: false, seenThrough: true, lettering: false }, 1, 'warning', true],
    ['face down and seen through', { printedMirrored: false, laidFaceDown: true, seenThrough: true, lettering: true }, 2, 'fine', false],
  ] as const)('%s', (_name, input, flips, verdict, printMirrored) => {
    expect(orient(input)).toEqual({ flips, readsRight: flips % 2 === 0, verdict, printMirrored })
  })
  it('its advice always reads right', () => {
    for (const laidFaceDown of [true, false])
      for (const seenThrough of [true, false]) {
        const faces = { laidFaceDown, seenThrough, lettering: true }
        const advised = orient({ printedMirrored: false, ...faces }).printMirrored
        expect(orient({ printedMirrored: advised, ...faces }).verdict).toBe('fine')
      }
  })
  it('says which flag is missing or is none', () => {
    const read = (input: unknown) => () => readInput(orientationInput, input)
    expect(read({ printedMirrored: true })).toThrow(BadInput)
    expect(read({ printedMirrored: 'yes', laidFaceDown: true, seenThrough: true, lettering: true })).toThrow(/printedMirrored/)
    expect(read([])).toThrow(BadInput)
  })
})
