import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { sayField, sayValue, ageName, homeGroupName, icsSummary, phrases, sayMinutes, stateWord } from '#core/phrases'
import type { Difference } from '#core/plan'
import { latestRecipe, pieceStates } from '#core/recipe'
import { homeGroups } from '#core/takehome'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const us = phrases(demoHouses[0]!, now)
const metric = phrases(demoHouses[1]!, '2026-05-15T21:00:00+02:00[Europe/Madrid]')

describe('durations', () => {
  test.each([
    [0, '0 min'],
    [45, '45 min'],
    [89.6, '1 h 30 min'],
    [90, '1 h 30 min'],
    [720, '12 h'],
    [893, '14 h 53 min'],
    [1440, '24 h'],
    [4320, '3 days'],
    [4380, '3 days 1 h'],
    [-30, '30 min'],
  ])('%d minutes', (minutes, said) => expect(sayMinutes(minutes)).toBe(said))
})

describe('amounts for a house', () => {
  test.each([
    [241.2, 'ml', '8.2 fl oz', '241 ml'],
    [7200, 'mm', '23.6 ft', '7.2 m'],
    [400, 'mm', '15 ¾ in', '400 mm'],
    [419, 'minor', '$4.19', '€4.19'],
    [163, 'min', '2 h 43 min', '2 h 43 min'],
    [25, 'count', '25', '25'],
  ])('%d %s', (value, unit, imperial, si) => {
    expect([us.amount(value, unit), metric.amount(value, unit)]).toEqual([imperial, si])
  })
  it('packs by their noun', () =>
    expect([us.amount(1, 'packs', 'bottle'), us.amount(2, 'packs', 'bottle')]).toEqual(['1 bottle', '2 bottles']))
  it('instants in the house’s clock', () => {
    expect(us.amount('2026-05-16T02:00:00-04:00[America/New_York]', 'instant')).toBe('Sat 2:00 am')
    expect(metric.amount('2026-05-31T09:56:00+02:00[Europe/Madrid]', 'instant')).toBe('Sun 31 May, 09:56')
  })
})

describe('differences', () => {
  const d = (change: Partial<Difference>): Difference => ({ key: 'x', unit: 'count', before: 1, after: 2, by: 1, ...change })
  test.each<[Partial<Difference>, string]>([
    [{}, '+1'],
    [{ by: -2 }, '−2'],
    [{ unit: 'packs', noun: 'bottle' }, '+1 bottle'],
    [{ unit: 'packs', noun: 'roll', by: -2 }, '−2 rolls'],
    [{ unit: 'minor', by: 38 }, '+$0.38'],
    [{ unit: 'minor', by: -960 }, '−$9.60'],
    [{ unit: 'instant', by: 360 }, '6 h later'],
    [{ unit: 'instant', by: -6 }, '6 min earlier'],
    [{ unit: 'instant', by: null, after: null }, 'gone'],
    [{ by: null, before: null }, 'new'],
    [{ by: null, after: null }, 'gone'],
  ])('%j', (change, said) => expect(us.difference(d(change))).toBe(said))
})

describe('words', () => {
  const tape = latestRecipe('tape-film')!
  it('of states, the recipe’s own where it has them', () => {
    expect(pieceStates.map((s) => stateWord(s))).toEqual(['To print', 'Printed', 'Laid', 'Cured', 'Rub 1', 'Rub 2', 'Sealed'])
    expect([stateWord('laid', tape.words), stateWord('cured', tape.words), stateWord('sealed', tape.words)]).toEqual([
      'Taped',
      'Soaked',
      'Mounted',
    ])
    expect(stateWord('rub-2', {}, 3)).toBe('Rub 3')
  })
  it('of groups, ages and calendars', () => {
    for (const g of homeGroups) expect(homeGroupName(g)).not.toBe('')
    expect([ageName('under-8'), ageName('13-17')]).toEqual(['under 8', '13 to 17'])
    expect([icsSummary('Moths', 2, 2), icsSummary('Cards', 1, 1)]).toEqual(['Moths, class 2 of 2', 'Cards'])
  })
  it('no exclamation marks, praise or blame', () => {
    const titles = (['no-people', 'no-date', 'all-past'] as const).map((code) => us.finding({ code, values: {} }))
    for (const t of titles) expect(`${t.title} ${t.body}`).not.toMatch(/!|great|oops|error|invalid/i)
  })
})

it('an instant is read by the clock of the house, whatever zone it was written in', () => {
  const house = demoHouses[0]!
  const say = phrases(house, '2026-05-15T15:00:00-04:00[America/New_York]')
  expect(say.at('2026-05-15T22:40:00+00:00[UTC]')).toBe(say.at('2026-05-15T18:40:00-04:00[America/New_York]'))
  expect(say.at('2026-05-16T02:30:00+02:00[Europe/Madrid]')).toBe(say.at('2026-05-15T20:30:00-04:00[America/New_York]'))
})
it('fields and values are said as people say them', () => {
  const w = demoWorkshops('2026-05-15')[0]!
  const [p] = w.group.participants
  expect([
    sayField('group/helpers', w),
    sayField(`group/participants/${p!.id}/name`, w),
    sayField('group/participants/nobody/name', w),
    sayField(`sessions/${w.sessions[1]!.id}/start`, w),
    sayField('sessions/none/start', w),
    sayField('errandsDone/pack', w),
    sayField('closedDays/2026-05-01'),
  ]).toEqual([
    'helpers',
    'name at seat 1',
    'name at a seat that is gone',
    'beginning of class 2',
    'beginning of a class that is gone',
    'an errand',
    'a closed day',
  ])
  expect([null, '', true, 3, { mm: 4, text: '4 in' }, ['a', 'b'], { x: 1 }, []].map((x) => sayValue(x as never))).toEqual([
    'nothing',
    'nothing',
    'yes',
    '3',
    '4 in',
    'a, b',
    'changed',
    'nothing',
  ])
})
