import { expect, describe, it, test } from 'vitest'
import { missing, noteWithout, piecesHere, sparesLeft, unfinished, unmarked, type DayRoom, type DayState, type PersonDay } from '#core/day'

const stage = (id: string, attended = true) => ({ id, attended }) as DayRoom['people'][number]['route'][number]
const route = [stage('wet'), stage('rub'), stage('dry', false)]
const room = {
  people: ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, route, expected: id !== 'e' })),
} as unknown as DayRoom
const person = (id: string, presence: PersonDay['presence'], at: number, guest = false) => ({ id, presence, at, guest }) as PersonDay
const piece = (p: string, home = false) => ({ id: `${p}.d.1`, person: p, home })
const state = {
  people: [
    { ...person('a', 'here', 2), doing: true },
    person('b', 'absent', 0),
    person('c', 'left', 1),
    person('d', 'unknown', 0),
    person('e', 'absent', 0),
    person('g', 'here', 0, true),
  ],
  pieces: [piece('a'), piece('b'), piece('c'), piece('d'), piece('e'), piece('g')],
} as unknown as DayState
const ids = (list: readonly { id: string }[]) => list.map((x) => x.id)

describe('who is here', () => {
  it('missing are those who were expected and are marked away', () => expect(ids(missing(room, state))).toEqual(['b']))
  it('unmarked are those who were expected and nobody has marked', () => expect(ids(unmarked(room, state))).toEqual(['d']))
  it('pieces are here whose people came, of guests and of who left too', () =>
    expect(ids(piecesHere(state))).toEqual(['a.d.1', 'c.d.1', 'd.d.1', 'g.d.1']))
  it('unfinished are those who came and are not through; guests are nobody’s business, what goes home as it is is settled', () => {
    expect(ids(unfinished(room, state))).toEqual(['c', 'd'])
    // What has still to be put down to dry is not finished.
    expect(ids(unfinished(room, { ...state, people: [person('a', 'here', 2)] }))).toEqual(['a'])
    expect(ids(unfinished(room, { ...state, pieces: [piece('c', true)] as DayState['pieces'] }))).toEqual(['d'])
  })
})

describe('spares that are left', () => {
  const plan = { designs: [{ design: 'd', spares: { count: 3, blanks: 2 } }] } as unknown as Parameters<typeof sparesLeft>[0]
  const used = (...spares: number[]) =>
    ({ pieces: spares.map((n, i) => ({ id: `${i}`, design: i === 2 ? 'other' : 'd', spares: n })) }) as unknown as DayState
  const of = (before: number, afterCure: boolean) =>
    ({ sparesUsed: { d: before, other: 1 }, people: [{ route: [{ design: 'd', afterCure }] }] }) as unknown as DayRoom
  it('are the plan’s less those in use, of that design alone, never fewer than none', () => {
    expect(sparesLeft(plan, of(0, false), used(0, 1, 5), 'd')).toBe(2)
    expect(sparesLeft(plan, of(0, false), used(2, 2), 'd')).toBe(0)
    expect(sparesLeft(plan, of(0, false), used(1), 'other')).toBe(0)
  })
  it('are without what other classes used', () => expect(sparesLeft(plan, of(1, false), used(1), 'd')).toBe(1))
  it('in a class that rubs, only those that were laid: no more than blanks, no more than prints', () => {
    expect([sparesLeft(plan, of(0, true), used(0), 'd'), sparesLeft(plan, of(0, true), used(1), 'd')]).toEqual([2, 1])
    expect([sparesLeft(plan, of(1, true), used(0), 'd'), sparesLeft(plan, of(2, true), used(0), 'd')]).toEqual([2, 1])
  })
})

describe('a note without names', () => {
  test.each([
    ['Edda had the brush', ['Edda'], '… had the brush'],
    ['EDDA holm’s torn, Edda too', ['Edda Holm'], '…’s torn, … too'],
    ['Eddas, Redda, Edda2', ['Edda'], 'Eddas, Redda, Edda2'],
    ['may we, May?', ['May Rush'], 'may we, …?'],
    ['Åsa(1) and Ása', ['Åsa'], '…(1) and Ása'],
    ['Edda Holm and Edda', ['Edda', 'Edda Holm'], '… and …'],
    ['a.b or axb', ['a.b'], '… or axb'],
    ['nobody', ['', ' '], 'nobody'],
  ])('%s', (text, names, left) => expect(noteWithout(text, names)).toBe(left))
})
