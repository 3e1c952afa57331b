import { describe, expect, it } from 'vitest'
import { symptoms } from '#core/clinic'
import { recipes } from '#core/recipe'
import { swatchesOf } from './cueSwatch'

const all = recipes.flatMap((r) => r.stages.map((s) => ({ r, s, of: swatchesOf(s.id, r.id) })))

describe('the drawings beside a cue', () => {
  it('show two different things', () => {
    for (const { s, of } of all) if (of) expect([s.id, of.pass.drawing !== of.fail.drawing]).toEqual([s.id, true])
  })
  it('wear one short word each', () => {
    for (const { of } of all) for (const side of of ? [of.pass, of.fail] : []) expect(side.word).toMatch(/^[a-z]+( [a-z]+)?$/)
  })
  it('are a symptom that the clinic draws where something went wrong, but for paper that is still wet, a rim left wide and a finger’s print', () => {
    const known = [...symptoms.map((s) => s.id), 'wet', 'margin', 'finger']
    for (const { of } of all) if (of) expect(known).toContain(of.fail.drawing)
  })
  it('show what is wanted: a border to hold is right for a lift, and a wide rim wrong on a candle', () => {
    expect(swatchesOf('trim', 'water-lift')?.pass.drawing).toBe('margin')
    expect(swatchesOf('trim', 'wax-tissue')?.fail.drawing).toBe('margin')
  })
  it('are there for nearly all stages of every method', () => {
    for (const r of recipes) {
      const drawn = all.filter((x) => x.r === r && x.of).length
      expect([r.id, drawn / r.stages.length > 0.75]).toEqual([r.id, true])
    }
  })
})
