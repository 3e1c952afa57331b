import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { recipes } from '#core/recipe'
import { craftPassage } from './craftPassage'

describe('from a figure to the craft book', () => {
  const planOfDemo = (id: string) => {
    const workshop = demoWorkshops('2026-05-15').find((w) => w.id === id)!
    const house = demoHouses.find((h) => h.id === workshop.houseId)!
    return planWorkshop({ workshop, house, now: '2026-05-15T15:00:00-04:00[America/New_York]' })
  }
  test.each([
    ['earliest', '/craft/gesso-ground#shelve'],
    ['strips', '/craft/gesso-ground'],
    ['race-turns', '/craft/cautions'],
    ['kit-area', '/craft/gesso-ground'],
  ])('%s leads to %s', (rule, to) => expect(craftPassage(rule, planOfDemo('heron-pages'))).toBe(to))
  it('of two designs to the one that does it', () => {
    const both = planOfDemo('harbour-keepsakes')
    expect([craftPassage('earliest', both), craftPassage('kit-strips', both), craftPassage('people', both)]).toEqual([
      '/craft/medium-transfer#shelve',
      '/craft/tape-film#tape',
      '/craft/medium-transfer',
    ])
  })
  it('every passage that a demo plan leads to exists', () => {
    for (const w of demoWorkshops('2026-05-15')) {
      const plan = planOfDemo(w.id)
      for (const f of Object.values(plan.figures)) {
        const [path, hash] = craftPassage(f.because.rule, plan).split('#')
        const stages = recipes.find((r) => path === `/craft/${r.id}`)?.stages.map((s) => s.id)
        if (hash) expect(stages).toContain(hash)
      }
    }
  })
})
