import { describe, expect, it, test } from 'vitest'
import { conditionLines, craftFindings, craftRemedies } from './craftEn'
import type { Coded, FindingValues, RemedyCode, RemedyValues } from '#core/codes'
import { demoHouses } from '#core/demo'
import { phrases } from '#core/phrases'

const say = phrases(demoHouses[0]!, '2026-05-12T09:00:00-04:00[America/New_York]')
const values = {
  ink: 'toner',
  missing: 2,
  copies: 3,
  prints: 52,
  sure: 90,
  names: 'Lior',
  count: 1,
  real: 90,
  blurred: 1,
  share: 40,
  paper: 'A3',
  have: 2,
  station: 'heat tools',
  one: 'heat tool',
  what: 'heat tool',
  available: 120,
  printer: 'inkjet',
  gsm: 120,
  most: 5,
  least: 3,
  whites: 'surface',
  wished: 'white',
  dpi: 120,
  side: 44,
  stage: 'Coat',
  session: 1,
  mm: 12,
  people: 24,
  turns: 2,
  wait: 3,
  adults: 2,
  extra: 12,
  each: 6,
  recipe: 'Marsh',
  method: 'Medium transfer',
  below: 'rubs early',
  version: 1,
  newest: 2,
  material: 'porous panel',
  piece: 'cards',
  question: 'Top coat',
  option: 'brushed',
  hazard: 'spray',
  more: 1,
  minutes: 45,
  rounds: 2,
  stages: 'print, trim',
  widthMm: 100,
  heightMm: 80,
  percent: 80,
}

describe('what the craft says', () => {
  test.each(Object.keys(craftFindings) as (keyof typeof craftFindings)[])(
    '%s has a title and says why, without praise, blame or a hole',
    (code) => {
      const { title, body } = say.finding({ code, values } as Coded<FindingValues>)
      for (const text of [title, body]) {
        expect(text).not.toBe('')
        expect(text).not.toMatch(/undefined|NaN|\[object|!/)
      }
    },
  )
  test.each(Object.keys(craftRemedies) as RemedyCode[])('the button %s says what it does', (code) => {
    expect(say.remedy({ code, values } as Coded<RemedyValues>)).not.toMatch(/undefined|NaN|^$|!/)
    expect(say.remedy({ code, values } as Coded<RemedyValues>).length).toBeLessThan(45)
  })
  test.each(Object.keys(conditionLines) as RemedyCode[])('“possible if …” reads on with %s', (code) => {
    expect(say.condition({ code, values } as Coded<RemedyValues>)).toMatch(/^[a-z0-9]/)
  })
  it('a way out that has no line of its own is something you do', () =>
    expect(say.condition({ code: 'take-material', values: { material: 'porous panel' } })).toBe('you make it of porous panel'))
  it('one helper comes, two come', () => {
    expect(say.condition({ code: 'more-hands', values: { more: 1 } })).toBe('1 more helper comes')
    expect(say.condition({ code: 'more-hands', values: { more: 2 } })).toBe('2 more helpers come')
  })
})
