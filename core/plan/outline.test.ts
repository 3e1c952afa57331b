import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { readWorkshopFile, writeWorkshop } from '#core/exchange'
import { phrases } from '#core/phrases'
import { planWorkshop } from '#core/plan'
import { outlineShare, type Outline } from '#core/recipe'
import type { Workshop } from '#core/workshop'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const house = demoHouses[0]!
const coasters = demoWorkshops('2026-05-15').find((w) => w.id === 'kelp-coasters')!
const as = (outline: Outline | undefined, kind = 'coaster'): Workshop => ({
  ...coasters,
  designs: [{ ...coasters.designs[0]!, kind, ...(outline && { outline }) }],
})
const planOf = (w: Workshop) => planWorkshop({ workshop: w, house, now })
const medium = (w: Workshop) => planOf(w).kit.find((l) => l.because.rule === 'kit-area')!

describe('a plan of cut-out pieces', () => {
  it('needs medium for the outline, not for its box: brushes keep what they keep', () => {
    const [straight, round] = [medium(as(undefined)), medium(as('round'))]
    const [held] = straight.because.inputs.filter((i) => i.name === 'held')
    const inFilm = (l: typeof straight) => Number(l.each)
    expect(inFilm(round) / inFilm(straight)).toBeCloseTo(outlineShare('round'), 2)
    expect(Number(round.need)).toBeGreaterThan(Number(straight.need) * outlineShare('round'))
    expect(held).toBeDefined()
  })
  test.each<[Outline | undefined, string, string | undefined]>([
    [undefined, 'coaster', undefined],
    ['round', 'coaster', 'P'],
    [undefined, 'stone', 'E'],
    ['round', 'stone', 'P'],
    ['stone', 'coaster', undefined],
  ])('%s on a %s says its share in the reason with the mark %s', (outline, kind, mark) =>
    expect(medium(as(outline, kind)).because.inputs.find((i) => i.name === 'outline')?.mark).toBe(mark),
  )
  it('says it in words', () => {
    const input = medium(as('round')).because.inputs.find((i) => i.name === 'outline')!
    expect(phrases(house, now).input(input)).toEqual({ name: 'of the box round it', value: expect.stringMatching(/^78(\.\d+)? %$/) })
  })
  it('keeps prints, sheets and blanks as they are: the box is what is printed and cut', () => {
    const [straight, round] = [planOf(as(undefined)), planOf(as('round'))]
    expect([round.print.prints, round.print.sheets, round.picture]).toEqual([
      straight.print.prints,
      straight.print.sheets,
      straight.picture,
    ])
  })
  it('leaves and enters with its outline; one that is none is named', () => {
    const text = writeWorkshop(as('round'))
    const back = readWorkshopFile(text)
    expect(back.designs[0]!.outline).toBe('round')
    expect(() => readWorkshopFile(text.replace('"round"', '"oval"'))).toThrow(/not an outline/)
  })
})
