import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { recipes } from '#core/recipe'
import { craftPassage } from './craftPassage'

describe('from a figure to the craft book', () => {
  test.each([
    ['earliest', '/craft/gesso-ground#shelve'],
    ['strips', '/craft/gesso-ground#tape'],
    ['race-turns', '/craft/cautions'],
    ['kit-area', '/craft/gesso-ground'],
  ])('%s leads to %s', (rule, to) => expect(craftPassage(rule, 'gesso-ground')).toBe(to))
  it('counting leads to the method', () => expect(craftPassage('people', 'tape-film')).toBe('/craft/tape-film'))
  it('every passage that a demo plan leads to exists', () => {
    for (const w of demoWorkshops('2026-05-15')) {
      const plan = planWorkshop({
        workshop: w,
        house: demoHouses.find((h) => h.id === w.houseId)!,
        now: '2026-05-15T15:00:00-04:00[America/New_York]',
      })
      const stages = recipes.find((r) => r.id === plan.recipe.id)!.stages.map((s) => s.id)
      for (const f of Object.values(plan.figures)) {
        const hash = craftPassage(f.because.rule, plan.recipe.id).split('#')[1]
        if (hash) expect(stages).toContain(hash)
      }
    }
  })
})
