import { describe, expect, it } from 'vitest'
import { symptoms } from '#core/clinic'
import { recipes } from '#core/recipe'
import { faultOf } from './cueSwatch'

describe('the drawing beside a cue', () => {
  it('is a symptom that the clinic draws', () => {
    const known = symptoms.map((s) => s.id)
    for (const r of recipes)
      for (const s of r.stages) {
        const fault = faultOf(s.id)
        if (fault) expect(known).toContain(fault)
      }
  })
  it('is there for most stages of every method', () => {
    for (const r of recipes) expect([r.id, r.stages.filter((s) => faultOf(s.id)).length / r.stages.length > 0.6]).toEqual([r.id, true])
  })
})
