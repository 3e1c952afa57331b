import { describe, expect, it } from 'vitest'
import type { Announcement, DayStage } from '#core/day'
import { bySaid, deed, line, toWhom } from './dayWords'

const at = (time: string) => `2026-05-15T${time}:00-04:00[America/New_York]`
const a = (table: string, kind: Announcement['kind'] = 'begin', until: string | null = null): Announcement => ({
  ...{ cue: table, table, people: ['x'], kind, stage: { name: 'Rub, round 1' } as DayStage, then: null },
  ...{ due: at('15:00'), neverBefore: null, until: until && at(until) },
})
const show = { ...a('', 'show'), stage: null }

describe('what is said in one breath', () => {
  it('names its tables, up to four by their letters', () => {
    const [two, five] = [['A', 'C'].map((t) => a(t)), ['A', 'B', 'C', 'D', 'E'].map((t) => a(t))]
    expect([deed(a('B')), deed(...two), deed(...five)]).toEqual([
      ...['B: rub, round 1 begins', 'A, C: rub, round 1 begins', '5 tables: rub, round 1 begins'],
    ])
    expect([toWhom([show]), toWhom([a('B')]), toWhom(two), toWhom(five), toWhom([])]).toEqual([
      ...['to all', 'to table B', 'to tables A, C', 'to 5 tables', 'to all'],
    ])
    expect([line(show), line(...two), line(a('B', 'stop')), line(a('B', 'finish'))]).toEqual([
      ...['show all', 'to A, C: rub, round 1', 'to B: hands off, let it dry', 'to B: done'],
    ])
    expect([deed(show), deed(a('B', 'stop'), a('C', 'stop')), deed(a('B', 'finish'))]).toEqual([
      'Shown to all',
      'B, C: hands off',
      'B: done',
    ])
  })
  it('says by when, the earliest of them, where something grips', () => {
    expect(bySaid([a('A'), a('B')], 24)).toBe('')
    expect(bySaid([a('A', 'begin', '15:09'), a('B', 'begin', '15:03'), a('C')], 24)).toBe('by 15:03 at the latest')
  })
})
