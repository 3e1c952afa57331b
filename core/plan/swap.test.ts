import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { swapRecipe } from '#core/plan'
import { latestRecipe, makeRecipe, type OwnRecipe } from '#core/recipe'

const now = '2026-05-12T09:00:00-04:00[America/New_York]'
const house = demoHouses[0]!
const open = demoWorkshops('2026-05-15').filter((w) => w.houseId === house.id)
const medium = latestRecipe('medium-transfer')!
const own = (edits: OwnRecipe['edits']): OwnRecipe => ({
  id: 'marsh-v1',
  recipe: 'marsh',
  version: 1,
  base: { id: medium.id, version: medium.version },
  name: 'Marsh',
  note: '',
  edits,
})
const swap = (edits: OwnRecipe['edits']) => {
  const made = makeRecipe(own(edits))
  if ('problems' in made) throw new Error(made.problems.join())
  return swapRecipe(open, { ...house, recipes: [own(edits)] }, medium, made.recipe, now)
}

describe('another recipe for open plans', () => {
  it('changes nothing when it differs in nothing', () => {
    const told = swap([])
    expect(told.length).toBeGreaterThan(0)
    expect(told.flatMap((x) => x.differences)).toEqual([])
  })
  it('says longer minutes in class and nothing else for a longer pressing', () => {
    const told = swap([{ path: 'stages/lay/minutes', figure: medium.stages.find((s) => s.id === 'lay')!.minutes.value + 10 }])
    for (const { differences } of told)
      expect(differences.every((d) => /^(session\/|earliest|recommended)/.test(d.key) && d.by === 10)).toBe(true)
    expect(told.some((x) => x.differences.length > 0)).toBe(true)
  })
  it('leaves out plans on a surface it does not take, and closed ones', () => {
    const told = swapRecipe([...open, { ...open[0]!, archivedAt: now }], house, medium, medium, now)
    expect(told.every((x) => x.workshop.designs[0]!.material in medium.surfaces && !x.workshop.archivedAt)).toBe(true)
  })
})
