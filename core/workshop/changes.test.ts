import { describe, expect, it, test } from 'vitest'
import * as v from 'valibot'
import type { AgeBand } from '#core/recipe'
import { demoWorkshops } from '#core/demo'
import {
  again,
  applyChanges,
  arrange,
  brokenBetween,
  clashes,
  commandShape,
  copyOf,
  inverse,
  land,
  nextStart,
  same,
  seatNames,
  setAges,
  setHeadcount,
  setStates,
  summaryOf,
  swapSeats,
  undoing,
  withPlaces,
  type Change,
  type Intent,
  type Workshop,
} from '#core/workshop'

const moths = demoWorkshops('2026-05-15')[0]!
const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const ids = (n: number) => Array.from({ length: n }, (_, i) => `n${i}`)
const one = (c: Change) => ({ changes: [c], guards: [] })
const [first] = moths.group.participants

describe('whether two values are one', () => {
  test.each<[unknown, unknown, boolean]>([
    [null, undefined, true],
    [{ a: 1 }, { a: 1, b: undefined }, true],
    [{ a: 1, b: null }, { a: 1 }, true],
    [{ a: 1 }, { a: 2 }, false],
    [[], {}, false],
    [[1, 2], { 0: 1, 1: 2 }, false],
    [[1, 2], [2, 1], false],
    [[1], [1, null], false],
    [0, null, false],
    ['', null, false],
    [false, undefined, false],
    [NaN, null, false],
    [[{ a: [null] }], [{ a: [undefined] }], true],
  ])('%j and %j: %s', (a, b, expected) => expect([same(a, b), same(b, a)]).toEqual([expected, expected]))
})

describe('what has nothing to stand in', () => {
  test.each<[string, Workshop | null, Change]>([
    ['a name at a seat that is gone', moths, { path: 'group/participants/nobody/name', before: null, after: 'Ondine' }],
    ['a field of a class that is gone', moths, { path: 'sessions/none/room', before: null, after: 'Attic' }],
    ['anything in a workshop that is gone', null, { path: 'group/helpers', before: null, after: 2 }],
    [
      'an element under another name than its own',
      moths,
      { path: 'sessions/none', before: null, after: { ...moths.sessions[0]!, id: 'other' } },
    ],
    ['a field below one that was never said', moths, { path: 'choices/allow/heat', before: null, after: true }],
  ])('%s is a clash, not applied', (_name, doc, c) =>
    expect(clashes(doc, one(c))).toEqual([{ path: c.path, stored: null, yours: c.after }]),
  )
  it('leaves no trace of what it did not find', () => {
    expect(applyChanges(moths, [{ path: 'choices/allow/heat', before: null, after: true }])!.choices).not.toHaveProperty('allow')
  })
  it('taking out what is out already is no clash', () => {
    expect(clashes(moths, one({ path: 'sessions/none', before: moths.sessions[0]!, after: null }))).toEqual([])
  })
})

describe('changes of one command', () => {
  it('see each other: the second finds what the first has made', () => {
    const made = { ...first!, id: 'new', seat: 30, name: null }
    const changes: Change[] = [
      { path: 'group/participants/new', before: null, after: made },
      { path: 'group/participants/new/name', before: null, after: 'Ondine' },
    ]
    const { after, clashes: none } = land(moths, { changes, guards: [] })
    expect([none, after!.group.participants.at(-1)!.name]).toEqual([[], 'Ondine'])
  })
  it('a guard counts both ways', () => {
    const count = (n: number) => clashes(moths, { changes: [], guards: [{ path: 'group/participants', count: n }] }).length
    expect([count(17), count(18), count(19)]).toEqual([1, 0, 1])
  })
  it('ticks of a list of words are its words: they merge, and go again', () => {
    const tick = (e: string): Change => ({ path: `errandsDone/${e}`, before: null, after: e })
    const both = applyChanges({ ...moths, errandsDone: ['print'] }, [tick('pack'), tick('pack'), tick('order')])!
    expect(both.errandsDone).toEqual(['print', 'pack', 'order'])
    expect(applyChanges(both, [{ path: 'errandsDone/print', before: 'print', after: null }])!.errandsDone).toEqual(['pack', 'order'])
    const p = { ...blocks.pictures![0]! }
    const accepted = applyChanges(blocks, [{ path: `pictures/${p.id}/accepted/soft`, before: null, after: 'soft' }])!
    expect(accepted.pictures![0]!.accepted).toEqual(['soft'])
  })
})

describe('taking back', () => {
  const out = (path: string, before: Change['before']): Change => ({ path, before, after: null })
  it('puts what went where it was, one or many', () => {
    const some = [moths.group.participants[0]!, moths.group.participants[7]!, moths.group.participants[8]!]
    const changes = withPlaces(moths, [
      ...moths.pieces.filter((x) => some.some((p) => p.id === x.participant)).map((x) => out(`pieces/${x.id}`, x)),
      ...some.map((p) => out(`group/participants/${p.id}`, p)),
    ])
    expect(changes.at(-1)!.place).toBe(6)
    const gone = applyChanges(moths, changes)!
    expect(gone.group.participants).toHaveLength(15)
    expect(applyChanges(gone, inverse(changes))).toEqual(moths)
  })
  it('of a headcount gives the workshop as it was', () => {
    for (const n of [5, 17, 30]) {
      const edit = setHeadcount(moths, n, ids(20))
      expect(applyChanges(applyChanges(moths, edit.changes)!, inverse(edit.changes))).toEqual(moths)
    }
  })
  it('of somebody who came takes along what has come to hang on them, and no more', () => {
    const edit = setHeadcount(blocks, 17, ['new'])
    const piece = { id: 'new-d1', participant: 'new', state: 'printed' as const, laidAt: null }
    const picture = { ...blocks.pictures![0]!, id: 'new-pic', participant: 'new' }
    const now = applyChanges(blocks, [
      ...edit.changes,
      { path: 'pieces/new-d1', before: null, after: piece },
      { path: 'pictures/new-pic', before: null, after: picture },
    ])!
    const back = applyChanges(now, undoing(now, edit.changes))!
    expect(back).toEqual(blocks)
  })
})

describe('what a change would break between people', () => {
  const piece = moths.pieces[0]!
  const owner = moths.group.participants.find((p) => p.id === piece.participant)!
  it('a piece that is left without its owner', () => {
    const after = applyChanges(moths, [{ path: `group/participants/${owner.id}`, before: owner, after: null }])
    expect(brokenBetween(moths, after)).toEqual([{ path: `pieces/${piece.id}`, stored: piece, yours: null }])
  })
  it('a piece or picture that comes for nobody', () => {
    const orphan = { ...piece, id: 'orphan', participant: 'nobody' }
    expect(brokenBetween(moths, { ...moths, pieces: [...moths.pieces, orphan] })).toEqual([
      { path: 'pieces/orphan', stored: null, yours: orphan },
    ])
    const house = { ...blocks.pictures![0]!, id: 'house', participant: null }
    expect(brokenBetween(blocks, { ...blocks, pictures: [...blocks.pictures!, house] })).toEqual([])
  })
  it('a seat that two would share; two who swap do not', () => {
    const [a, b] = moths.group.participants
    const seat = (id: string, after: number, before: number): Change => ({ path: `group/participants/${id}/seat`, before, after })
    expect(brokenBetween(moths, applyChanges(moths, [seat(a!.id, b!.seat, a!.seat)]))).toEqual([
      { path: `group/participants/${a!.id}/seat`, stored: a!.seat, yours: b!.seat },
    ])
    expect(brokenBetween(moths, applyChanges(moths, [seat(a!.id, b!.seat, a!.seat), seat(b!.id, a!.seat, b!.seat)]))).toEqual([])
    const late = { ...a!, id: 'late' }
    expect(brokenBetween(moths, applyChanges(moths, [{ path: 'group/participants/late', before: null, after: late }]))).toHaveLength(1)
  })
  it('what was so before is not held against it', () => {
    const odd = { ...moths, pieces: [{ ...piece, id: 'old', participant: 'gone' }] }
    expect(brokenBetween(odd, { ...odd, title: 'Other' })).toEqual([])
  })
})

describe('a deed done again', () => {
  let came = 0
  const fresh = () => `again-${came++}`
  it('reaches the headcount anew: 20 people, not 22', () => {
    const mine = setHeadcount(moths, 20, ['a', 'b'])
    const theirs = applyChanges(moths, setHeadcount(moths, 20, ['x', 'y']).changes)!
    expect(again(theirs, mine, fresh).changes).toEqual([])
    const more = applyChanges(moths, setHeadcount(moths, 19, ['x']).changes)!
    expect(applyChanges(more, again(more, mine, fresh).changes)!.group.participants).toHaveLength(20)
  })
  it('sets fields on top of what they hold now, leaves out what is gone, and what is so already', () => {
    const now = { ...moths, title: 'Theirs', group: { ...moths.group, helpers: 5 } }
    const changes: Change[] = [
      { path: 'title', before: moths.title, after: 'Mine' },
      { path: 'group/helpers', before: 1, after: 5 },
      { path: 'sessions/none/room', before: 'a', after: 'b' },
    ]
    expect(again(now, { changes, guards: [{ path: 'pieces', count: 99 }] }, fresh)).toEqual({
      changes: [{ path: 'title', before: 'Theirs', after: 'Mine' }],
      guards: [],
    })
  })
  it('reaches so many of an age anew, and as many as can be where others were set meanwhile', () => {
    const of = (w: Workshop, band: AgeBand) => w.group.participants.filter((p) => p.age === band).length
    const grown: Workshop = {
      ...moths,
      group: { ...moths.group, agesSet: [], participants: moths.group.participants.map((p) => ({ ...p, age: 'adult' as const })) },
    }
    const all = grown.group.participants.length
    const mine = setAges(grown, '8-12', 10) as { changes: Change[]; intent: Intent }
    const theirs = (n: number) => applyChanges<Workshop>(grown, (setAges(grown, '13-17', n) as { changes: Change[] }).changes)!
    const after = (w: Workshop) => applyChanges<Workshop>(w, again(w, { ...mine, guards: [] }, fresh).changes)!
    expect([of(after(theirs(3)), '8-12'), of(after(theirs(3)), '13-17'), of(after(theirs(3)), 'adult')]).toEqual([10, 3, all - 13])
    expect([of(after(theirs(all - 4)), '8-12'), of(after(theirs(all - 4)), '13-17')]).toEqual([4, all - 4])
    expect(again(after(grown), { ...mine, guards: [] }, fresh).changes).toEqual([])
  })
  it('swaps two people where they sit now, and nobody where one is gone', () => {
    const [a, b, c] = moths.group.participants.map((p) => p.id) as [string, string, string]
    const mine = { ...swapSeats(moths, a, b), guards: [] }
    const seats = (w: Workshop) => [a, b, c].map((id) => w.group.participants.find((p) => p.id === id)?.seat)
    const moved = applyChanges<Workshop>(moths, swapSeats(moths, b, c).changes)!
    expect([seats(moths), seats(moved)]).toEqual([
      [1, 2, 3],
      [1, 3, 2],
    ])
    expect(seats(applyChanges(moved, again(moved, mine, fresh).changes)!)).toEqual([3, 1, 2])
    const fewer = { ...moths, group: { ...moths.group, participants: moths.group.participants.filter((p) => p.id !== b) } }
    expect(again(fewer, mine, fresh).changes).toEqual([])
  })
  it('sets the state of pieces anew, never back, never of who is gone, never over the hour that is known', () => {
    const [a, b, c] = moths.group.participants.map((p) => p.id) as [string, string, string]
    const pieces = [a, b, c].map((participant) => ({ participant, designId: moths.designs[0]!.id, number: 1 }))
    const bare = { ...moths, pieces: [] }
    const mine = { ...setStates(bare, { pieces, state: 'rub-1', laidAt: '2026-05-14T18:00' }), guards: [] }
    expect(mine.changes).toHaveLength(3)
    const of = (participant: string, more: object) => ({ ...moths.pieces[0]!, id: participant, participant, ...more })
    const theirs: Workshop = {
      ...bare,
      group: { ...bare.group, participants: bare.group.participants.filter((p) => p.id !== c) },
      pieces: [of(a, { state: 'sealed', asIs: true }), of(b, { state: 'laid', laidAt: '2026-05-14T17:00', asIs: true })],
    }
    const after = applyChanges<Workshop>(theirs, again(theirs, mine, fresh).changes)!
    expect(after.pieces.map((p) => [p.id, p.state, p.laidAt])).toEqual([
      [a, 'sealed', moths.pieces[0]!.laidAt],
      [b, 'rub-1', '2026-05-14T17:00'],
    ])
  })
  it('reads the intent of a page from before', () => {
    const read = v.parse(commandShape.entries.intent, { kind: 'headcount', people: 20 })
    expect(read).toEqual({ kind: 'headcount', args: { people: 20 } })
    expect(v.safeParse(commandShape.entries.intent, { kind: 'ages', args: { band: 'elder', people: 2 } }).success).toBe(false)
  })
  it('gives who comes again another seat where theirs is taken', () => {
    const back = { ...moths.group.participants[0]!, id: 'back' }
    const [c] = again(moths, { changes: [{ path: 'group/participants/back', before: null, after: back }], guards: [] }, fresh).changes
    expect((c!.after as { seat: number }).seat).toBe(19)
  })
})

describe('newcomers', () => {
  it('fill the gaps, and never share a seat, up to 400', () => {
    const few = applyChanges(moths, setHeadcount(moths, 3, []).changes)!
    const gap = { ...few, group: { ...few.group, participants: few.group.participants.filter((p) => p.seat !== 2) } }
    const full = applyChanges(gap, setHeadcount(gap, 400, ids(400)).changes)!
    expect(full.group.participants.map((p) => p.seat).sort((a, b) => a - b)).toEqual(Array.from({ length: 400 }, (_, i) => i + 1))
  })
  it('seats have one name everywhere, whatever order the list is in', () => {
    const turned = [...moths.group.participants].reverse()
    expect(seatNames(turned, [4, 4, 4, 3, 3])).toEqual(seatNames(moths.group.participants, [4, 4, 4, 3, 3]))
    expect(seatNames(moths.group.participants, [4, 4, 4, 3, 3])[first!.id]).toBe('A1')
    expect(Object.values(seatNames(moths.group.participants, [2])).slice(0, 4)).toEqual(['A1', 'A2', '3', '4'])
  })
})

describe('a copy', () => {
  it('keeps what and how and how many; nobody’s name, absence, date, piece, picture or print put in its place', () => {
    let n = 0
    const from: Workshop = {
      ...blocks,
      group: { ...blocks.group, agesSet: ['8-12'] },
      locks: [{ id: 'x', sheet: 0, xMm: 1, yMm: 1, turned: false }],
      picturesErased: [{ id: 'e', at: '', count: 1, why: 'due' }],
      errandsDone: ['pack'],
      choices: { ...blocks.choices, split: { rub1: 's' }, copies: 2, stations: { basin: 3 } },
    }
    const copy = copyOf(
      from,
      { title: 'x'.repeat(200), houseId: 'tidewater', at: '2026-05-15T15:00:00-04:00[America/New_York]' },
      () => `f${++n}`,
    )
    expect(copy.group.agesSet).toEqual(['8-12'])
    let m = 0
    const people = from.group.participants.map((p) => ({ ...p, kit: true }))
    const again = copyOf(
      { ...from, held: 'home', group: { ...from.group, participants: people } },
      { title: 'x', houseId: 'tidewater', at: from.createdAt },
      () => `g${++m}`,
    )
    expect([again.held, again.group.participants.some((p) => p.kit)]).toEqual(['home', false])
    expect(Object.keys(copy).sort()).toEqual([
      'archivedAt',
      'choices',
      'createdAt',
      'designs',
      'drawing',
      'errandsDone',
      'group',
      'houseId',
      'id',
      'pieces',
      'sessions',
      'title',
    ])
    expect(copy.group.participants.map((p) => [p.name, p.misses.length, p.seat, p.age])).toEqual(
      from.group.participants.map((p) => [null, 0, p.seat, p.age]),
    )
    expect([copy.title.length, copy.sessions, copy.pieces, copy.errandsDone, copy.choices.split, copy.archivedAt]).toEqual([
      120,
      [],
      [],
      [],
      {},
      null,
    ])
    expect([copy.choices.copies, copy.choices.stations, copy.choices.confidence]).toEqual([2, { basin: 3 }, from.choices.confidence])
    expect(new Set([copy.id, ...copy.group.participants.map((p) => p.id), ...copy.designs.map((d) => d.id)]).size).toBe(n)
    expect(JSON.stringify(copy)).not.toContain('Pia')
  })
})

describe('the lists', () => {
  const s = (id: string, sessions: [string, string, string][], more: Partial<Workshop> = {}) =>
    summaryOf({
      ...moths,
      id,
      ...more,
      sessions: sessions.map(([date, start, end], i) => ({ id: `${id}-${i}`, date, start, end, room: '' })),
    })
  const nowLocal = () => '2026-05-15T15:00'
  it('a summary counts pieces by state, and who has none as “to print”; it knows no name', () => {
    const { states, people } = summaryOf(moths)
    expect([states, people]).toEqual([{ laid: 17, 'to-print': 1 }, 18])
    expect(JSON.stringify(summaryOf(moths))).not.toMatch(/Edda|Rune/)
  })
  it('the next class is the one that is not over', () => {
    const w = s('a', [
      ['2026-05-14', '10:00', '12:00'],
      ['2026-05-15', '14:00', '16:00'],
      ['2026-05-20', '10:00', '12:00'],
    ])
    expect([nextStart(w, '2026-05-15T15:00'), nextStart(w, '2026-05-15T16:00'), nextStart(w, '2026-06-01T00:00')]).toEqual([
      '2026-05-15T14:00',
      '2026-05-20T10:00',
      undefined,
    ])
  })
  it('what comes stands first; what was over before this year is folded by year; the archive apart', () => {
    const list = [
      s('later', [['2026-06-01', '10:00', '12:00']]),
      s('sooner', [['2026-05-16', '10:00', '12:00']]),
      s('spring', [['2026-03-16', '10:00', '12:00']]),
      s('last-year', [['2025-12-31', '10:00', '12:00']]),
      s('long-ago', [['2023-02-01', '10:00', '12:00']]),
      s('turn', [
        ['2025-12-30', '10:00', '12:00'],
        ['2026-01-02', '10:00', '12:00'],
      ]),
      s('undated', []),
      s('put-away', [['2026-05-17', '10:00', '12:00']], { archivedAt: moths.createdAt }),
    ]
    const a = arrange(list, nowLocal)
    expect(a.coming.map((w) => w.id)).toEqual(['sooner', 'later'])
    expect(a.listed.map((w) => w.id)).toEqual(['later', 'sooner', 'spring', 'turn', 'undated'])
    expect(a.years.map((y) => [y.year, y.workshops.map((w) => w.id)])).toEqual([
      ['2025', ['last-year']],
      ['2023', ['long-ago']],
    ])
    expect(a.archived.map((w) => w.id)).toEqual(['put-away'])
  })
})
