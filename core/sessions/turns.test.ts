import { asPractised } from '#core/figures'
import { describe, expect, it, test } from 'vitest'
import { extraMinutes, turnsOf } from '#core/sessions'
import { childrenToAdult, latestRecipe, resolveRecipe, type AgeBand } from '#core/recipe'

const resolved = (id: string, choices: Record<string, string> = {}) => resolveRecipe(latestRecipe(id)!, choices, {}, 'porous')
const crowd = (people: number, age: AgeBand, adults: number) => ({ ages: people ? [{ age, people }] : [], adults, figures: asPractised })

describe('races', () => {
  test.each([
    ['24 of 8 to 12, two adults', 24, '8-12', 2, 2],
    ['24 of 8 to 12, three adults', 24, '8-12', 3, 1],
    ['24 under 8, two adults', 24, 'under-8', 2, 3],
    ['one child, one adult', 1, 'under-8', 1, 1],
    ['16 of 8 to 12, one adult', 16, '8-12', 1, 2],
    ['17 of 8 to 12, one adult', 17, '8-12', 1, 3],
    ['40 teenagers race alone', 40, '13-17', 1, 1],
    ['40 adults race alone', 40, 'adult', 1, 1],
  ] as [string, number, AgeBand, number, number][])('%s', (_name, people, age, adults, turns) => {
    const race = turnsOf(resolved('gesso-ground'), crowd(people, age, adults)).find((t) => t.why === 'race')!
    expect(race.turns).toBe(turns)
    expect(race.extraMin).toBe((turns - 1) * race.minutesEach)
  })
  it('mixed ages add their shares of an adult', () => {
    const ages = [
      { age: 'under-8' as const, people: 5 },
      { age: '8-12' as const, people: 8 },
    ]
    expect(turnsOf(resolved('gesso-ground'), { ages, adults: 1, figures: asPractised })[0]!.turns).toBe(2)
    expect(turnsOf(resolved('gesso-ground'), { ages, adults: 2, figures: asPractised })[0]!.turns).toBe(1)
  })
  it('nobody is no turn', () => expect(turnsOf(resolved('gesso-ground'), crowd(0, 'adult', 1))).toEqual([]))
  it('its window is the tightest wait in it, least and most', () => {
    expect(turnsOf(resolved('quick-peel'), crowd(6, 'adult', 1))[0]).toMatchObject({
      stages: ['coat', 'lay', 'peel'],
      window: { least: 3, most: 5 },
      minutesEach: 10,
    })
    expect(turnsOf(resolved('quick-peel', { lights: 'hot' }), crowd(6, 'adult', 1))[0]!.window).toMatchObject({ least: 2, most: 4 })
    expect(turnsOf(resolved('water-lift'), crowd(6, 'adult', 1))[0]).toMatchObject({ stages: ['wet', 'lay', 'lift'], window: { most: 1 } })
  })
  it('a method without a race has none', () => {
    expect(turnsOf(resolved('tape-film'), crowd(24, 'under-8', 1))).toEqual([])
  })
})

describe('what only adults may touch', () => {
  test.each([
    [12, '8-12', 2, 12],
    [12, '8-12', 3, 6],
    [12, '13-17', 4, 4],
    [12, 'adult', 1, 0],
  ] as [number, AgeBand, number, number][])('%i candles for %s, %i adults: %i turns', (people, age, adults, turns) => {
    const heat = turnsOf(resolved('wax-tissue'), crowd(people, age, adults)).find((t) => t.why === 'adults-only')
    expect(heat?.turns ?? 0).toBe(turns)
  })
  it('blades bar only the youngest', () => {
    const trim = (age: AgeBand) =>
      turnsOf(resolved('medium-transfer'), crowd(8, age, 3))
        .filter((t) => t.why === 'adults-only')
        .map((t) => t.stages[0])
    expect(trim('under-8')).toEqual(['trim'])
    expect(trim('8-12')).toEqual([])
  })
  it('extra minutes stand at the stage that the turns begin with; one turn adds nothing', () => {
    const many = turnsOf(resolved('wax-tissue'), crowd(12, '8-12', 2))
    expect(extraMinutes(many)).toEqual({ warm: 55 })
    expect(extraMinutes(turnsOf(resolved('wax-tissue'), crowd(1, '8-12', 2)))).toEqual({})
  })
  it('says who and why, with marks', () => {
    for (const t of turnsOf(resolved('gesso-ground'), crowd(24, '8-12', 2))) {
      expect(t.because.mark).toBe('E')
      expect(t.because.inputs.length).toBeGreaterThan(1)
    }
    expect(childrenToAdult('adult', asPractised).value).toBe(Infinity)
  })
})
