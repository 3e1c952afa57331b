import { describe, expect, it, test } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { readRoster, rosterChanges, rosterRows, safeCell } from '#core/roster'
import { applyChanges, setHeadcount } from '#core/workshop'

const rows = (...lines: string[]) => lines.map((l, i) => ({ line: i + 1, cells: l.split(',') }))

describe('reading', () => {
  it('names and bands', () => {
    expect(readRoster(rows('name,age', 'Pia,under-8', 'Odo,8-12', ',adult', 'Max,'))).toEqual({
      good: [
        { line: 2, name: 'Pia', age: 'under-8' },
        { line: 3, name: 'Odo', age: '8-12' },
        { line: 4, name: null, age: 'adult' },
        { line: 5, name: 'Max', age: 'adult' },
      ],
      bad: [],
      questions: [],
      headings: ['name', 'age'],
    })
  })
  test.each(['Name', ' NAME ', 'First name', 'Participant'])('the heading “%s” is known', (h) =>
    expect(readRoster(rows(h, 'Pia')).questions).toEqual([]),
  )
  it('an odd heading is a question with a guess where there is one, never an answer', () => {
    expect(readRoster(rows('name,yrs,colour', 'Pia,7,red')).questions).toEqual([
      { column: 1, heading: 'yrs', example: '7', guess: 'years' },
      { column: 2, heading: 'colour', example: 'red' },
    ])
  })
  it('picture files, for bringing them in; a file’s name too long for one is named', () => {
    const { good, bad, headings } = readRoster(rows('name,Photo', 'Pia,pia ferry.jpg', 'Odo,', `Kit,${'x'.repeat(201)}`))
    expect(headings).toEqual(['name', 'picture'])
    expect(good).toEqual([
      { line: 2, name: 'Pia', age: 'adult', picture: 'pia ferry.jpg' },
      { line: 3, name: 'Odo', age: 'adult' },
    ])
    expect(bad).toMatchObject([{ line: 4, column: 2, what: 'A file name of 201 letters.' }])
  })
  test.each([
    ['7', 'under-8'],
    ['8', '8-12'],
    ['12', '8-12'],
    ['13', '13-17'],
    ['17', '13-17'],
    ['18', 'adult'],
    ['99', 'adult'],
    ['under 8', 'under-8'],
    ['<8', 'under-8'],
    ['8 to 12', '8-12'],
    ['8–12', '8-12'],
    ['Adult', 'adult'],
  ])('years “%s” become the band %s', (cell, age) => {
    expect(readRoster(rows('name,yrs', `Pia,${cell}`), { 1: 'years' }).good).toMatchObject([{ age }])
  })
  test.each(['x', '-3', '7.5', '130', '8-13'])('“%s” is no age: line and column are named', (cell) => {
    const { good, bad } = readRoster(rows('name,yrs', `Pia,${cell}`), { 1: 'years' })
    expect(good).toEqual([])
    expect(bad).toMatchObject([{ line: 2, column: 2 }])
    expect(bad[0]!.remedy).not.toBe('')
  })
  it('a line with a field too many or too few is named, the others come in', () => {
    const { good, bad } = readRoster(rows('name,age', 'Pia,adult', 'Odo', 'Kit,adult,x'))
    expect(good).toHaveLength(1)
    expect(bad.map((b) => [b.line, b.what])).toEqual([
      [3, 'Line 3 has 1 fields, the heading 2.'],
      [4, 'Line 4 has 3 fields, the heading 2.'],
    ])
  })
  it('long names, HTML and other scripts', () => {
    const { good, bad } = readRoster(rows('name', '<b>Bo</b>', 'Жанна', 'x'.repeat(80), 'x'.repeat(81)))
    expect(good.map((g) => g.name)).toEqual(['<b>Bo</b>', 'Жанна', 'x'.repeat(80)])
    expect(bad).toHaveLength(1)
  })
  it('an empty file, and 10 000 lines', () => {
    expect(readRoster([]).bad[0]!.what).toContain('empty')
    const many = readRoster(rows('name', ...Array.from({ length: 10_000 }, (_, i) => `P${i}`)))
    expect([many.good.length, many.bad.length]).toEqual([400, 9600])
  })
})

describe('writing', () => {
  test.each([
    ['=1+1', "'=1+1"],
    ['+49', "'+49"],
    ['-x', "'-x"],
    ['@me', "'@me"],
    ['  =1+1', "'  =1+1"],
    ['\u00A0+1', "'\u00A0+1"],
    ['\u200B@x', "'\u200B@x"],
    ['\uFF1D1+1', "'\uFF1D1+1"],
    [' \uFF0D2', "' \uFF0D2"],
    ["'=kept", "'=kept"],
    ['a=b', 'a=b'],
    ['Pia', 'Pia'],
  ])('%s is written %s', (cell, safe) => expect(safeCell(cell)).toBe(safe))
  it('and reading gives the people back', () => {
    const people = demoWorkshops('2026-05-15')
      .find((w) => w.id === 'lighthouse-blocks')!
      .group.participants.map((p, i) => (i === 0 ? { ...p, name: '=Pia' } : p))
    const back = readRoster(rosterRows(people).map((cells, i) => ({ line: i + 1, cells })))
    expect(back.good.map((g) => [g.name, g.age])).toEqual(people.map((p) => [p.name, p.age]))
  })
})

describe('bringing in', () => {
  const w = demoWorkshops('2026-05-15').find((x) => x.id === 'kelp-coasters')!
  const good = (n: number) => Array.from({ length: n }, (_, i) => ({ line: i + 2, name: `P${i}`, age: '8-12' as const }))
  let n = 0
  const fresh = () => `fresh-${++n}`
  it('fills the unnamed seats in their order, then gives free ones; counts on who was there', () => {
    const { changes, guards, left } = rosterChanges(w.group.participants, good(12), fresh)
    const after = applyChanges(w, changes)!
    const bySeat = [...after.group.participants].sort((a, b) => a.seat - b.seat)
    expect(bySeat.map((p) => [p.seat, p.name])).toEqual(Array.from({ length: 12 }, (_, i) => [i + 1, `P${i}`]))
    expect([guards, left]).toEqual([[{ path: 'group/participants', count: 10 }], 0])
  })
  it('says how many a workshop cannot hold', () => {
    const full = applyChanges(
      w,
      setHeadcount(
        w,
        399,
        Array.from({ length: 400 }, (_, i) => `s${i}`),
      ).changes,
    )!
    const named = full.group.participants.map((p) => ({ ...p, name: 'X' }))
    expect([1, 2, 5].map((k) => rosterChanges(named, good(k), fresh).left)).toEqual([0, 1, 4])
  })
})
