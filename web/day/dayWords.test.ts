import { describe, expect, it } from 'vitest'
import type { Announcement, DayStage, TableDay } from '#core/day'
import { bySaid, deed, line, toWhom, whoOf, words } from './dayWords'

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
  it('names those of a table whom it is for, where others of it are not; many by their number', () => {
    const table = (t: string, n: number) => ({ table: t, people: Array.from({ length: n }, (_, i) => `${t}${i}`) }) as TableDay
    const names = new Map([
      ['A0', 'Edda'],
      ['A1', 'Rune'],
    ])
    const some = (t: string, ...people: string[]) => ({ ...a(t), people })
    expect(whoOf([some('A', 'A0', 'A1')], [table('A', 2)], names)).toBe('')
    expect(whoOf([some('A', 'A0', 'A1'), some('B', 'B0')], [table('A', 3), table('B', 1)], names)).toBe('A: Edda, Rune')
    expect(whoOf([some('A', 'A0'), some('B', 'B0')], [table('A', 3), table('B', 2)], names)).toBe('A: Edda; B: Guest')
    expect(whoOf([some('A', ...'123456'.split(''))], [table('A', 8)], names)).toBe('A: 6 of 8')
    expect(whoOf([show], [table('A', 8)], names)).toBe('')
  })
  it('says who does what young hands may not', () => {
    const of = (helper: boolean) => words({ ...a('A'), stage: { name: 'Warm', pass: 'Wax beads.', helper } as DayStage })
    expect([of(true), of(false)]).toEqual(['Warm: an adult does it. Wax beads.', 'Warm. Wax beads.'])
  })
  it('two parts of one table are one table', () => {
    expect([deed(a('B'), a('B')), toWhom([a('B'), a('B')]), toWhom([a('A'), a('B'), a('B')])]).toEqual([
      ...['B: rub, round 1 begins', 'to table B', 'to tables A, B'],
    ])
  })
  it('says by when, the earliest of them, where something grips', () => {
    expect(bySaid([a('A'), a('B')], 24)).toBe('')
    expect(bySaid([a('A', 'begin', '15:09'), a('B', 'begin', '15:03'), a('C')], 24)).toBe('by 15:03 at the latest')
  })
})
