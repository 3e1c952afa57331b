import type { AgeBand } from '#core/recipe'
import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { addMinutes } from '#core/time'
import {
  applyChanges,
  clashes,
  commandShape,
  inverse,
  lenient,
  moveSession,
  newWorkshop,
  freeSeats,
  seatNumber,
  setHeadcount,
  tableName,
  valueAt,
  setAges,
  workshopShape,
  type Change,
  type Command,
  type Workshop,
} from '#core/workshop'

const moths = demoWorkshops('2026-05-15')[0]!
const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const ids = (n: number) => Array.from({ length: n }, (_, i) => `n${i}`)
const command = (changes: Change[]): Command => ({
  id: '01a212d1-cab0-7496-9463-d9a63e67d31b',
  subject: { kind: 'workshop', id: moths.id },
  baseVersion: 1,
  kind: 'test',
  changes,
  guards: [],
  actor: '',
  at: '',
})

describe('the shape', () => {
  test.each(demoWorkshops('2026-05-15').map((w) => [w.title, w] as const))('%s fits it', (_t, w) =>
    expect(v.safeParse(workshopShape, w).issues).toBeUndefined(),
  )
  it('a new workshop fits it, with nobody and with many', () => {
    for (const n of [0, 1, 40, 400])
      expect(
        v.safeParse(workshopShape, newWorkshop({ id: 'w', design: 'd', participants: ids(n) }, 'saltbox', 'New', moths.createdAt)).issues,
      ).toBeUndefined()
  })
  const first = moths.group.participants[0]!
  test.each([
    ['title', { ...moths, title: '  ' }, 'title'],
    ['a title of 121 letters', { ...moths, title: 'x'.repeat(121) }, 'title'],
    [
      '401 people',
      { ...moths, group: { ...moths.group, participants: ids(401).map((id, i) => ({ ...first, id, seat: Math.min(400, i + 1) })) } },
      'group.participants',
    ],
    [
      'a name of 81 letters',
      { ...moths, group: { ...moths.group, participants: [{ ...first, name: 'x'.repeat(81) }] } },
      'group.participants.0.name',
    ],
    ['an age in years', { ...moths, group: { ...moths.group, participants: [{ ...first, age: 12 }] } }, 'group.participants.0.age'],
    ['two people with one id', { ...moths, group: { ...moths.group, participants: [first, first] } }, 'group.participants'],
    ['29 February in a common year', { ...moths, sessions: [{ ...moths.sessions[0]!, date: '2027-02-29' }] }, 'sessions.0.date'],
    ['a time that no clock has', { ...moths, sessions: [{ ...moths.sessions[0]!, start: '25:00' }] }, 'sessions.0.start'],
    ['six sessions', { ...moths, sessions: ids(6).map((id) => ({ ...moths.sessions[0]!, id })) }, 'sessions'],
    ['no design', { ...moths, designs: [] }, 'designs'],
    ['a size below nothing', { ...moths, designs: [{ ...moths.designs[0]!, width: { mm: -1, text: '-1' } }] }, 'designs.0.width.mm'],
    ['negative helpers', { ...moths, group: { ...moths.group, helpers: -1 } }, 'group.helpers'],
    ['a confidence of 1', { ...moths, choices: { ...moths.choices, confidence: 1 } }, 'choices.confidence'],
  ])('refuses %s, by path', (_name, doc, path) => {
    const read = v.safeParse(workshopShape, doc)
    expect(read.success).toBe(false)
    expect(v.getDotPath(read.issues![0])).toBe(path)
  })
  it('takes names of one letter, of 80, in other scripts and twice the same', () => {
    const people = ['A', 'x'.repeat(80), 'Ωmega', 'Жanna', 'שרה', 'ليلى', 'Edda', 'Edda', '<b>Bo</b>'].map((name, i) => ({
      ...first,
      id: `p${i}`,
      seat: i + 1,
      name,
    }))
    expect(v.safeParse(workshopShape, { ...moths, group: { ...moths.group, participants: people } }).success).toBe(true)
  })
})

describe('changes', () => {
  it('set a field, an element by id, a record’s entry; the input stays as it is', () => {
    const before = JSON.stringify(moths)
    const changed = applyChanges(moths, [
      { path: 'group/helpers', before: 1, after: 4 },
      { path: `group/participants/${moths.group.participants[2]!.id}/name`, before: 'Anton', after: 'Antonia' },
      { path: 'choices/share/cup', before: null, after: 'each' },
      { path: `sessions/${moths.sessions[0]!.id}`, before: moths.sessions[0]!, after: null },
    ])!
    expect(changed.group.helpers).toBe(4)
    expect(changed.group.participants[2]!.name).toBe('Antonia')
    expect(changed.choices.share).toEqual({ cup: 'each' })
    expect(changed.sessions).toHaveLength(1)
    expect(JSON.stringify(moths)).toBe(before)
  })
  it('keep a null that is a value, drop one that means not there', () => {
    const named = `group/participants/${moths.group.participants[0]!.id}/name`
    expect(valueAt(applyChanges(moths, [{ path: named, before: 'Edda', after: null }]), named)).toBeNull()
    expect(applyChanges(moths, [{ path: named, before: 'Edda', after: null }])!.group.participants[0]).toHaveProperty('name', null)
    const shared = applyChanges(moths, [{ path: 'choices/share/cup', before: null, after: 'each' }])!
    expect(applyChanges(shared, [{ path: 'choices/share/cup', before: 'each', after: null }])!.choices.share).toEqual({})
  })
  it('pass over what is not there', () => {
    expect(applyChanges(moths, [{ path: 'group/participants/nobody/name', before: null, after: 'X' }])).toEqual(moths)
    expect(valueAt(moths, 'group/participants/nobody/name')).toBeNull()
    expect(valueAt(moths, '__proto__/polluted')).toBeNull()
  })
  it('make and unmake a whole document', () => {
    expect(applyChanges<Workshop>(null, [{ path: '', before: null, after: moths }])).toEqual(moths)
    expect(applyChanges<Workshop>(moths, [{ path: '', before: moths, after: null }])).toBeNull()
  })

  const field = fc.oneof(
    fc.integer({ min: 0, max: 60 }).map((n): Change => ({ path: 'group/helpers', before: null, after: n })),
    fc.string({ maxLength: 12 }).map((t): Change => ({ path: 'title', before: null, after: `x${t}` })),
    fc
      .integer({ min: 0, max: 17 })
      .map((i): Change => ({ path: `group/participants/${moths.group.participants[i]!.id}/age`, before: null, after: '8-12' })),
    fc.constant<Change>({ path: 'choices/share/cup', before: null, after: 'each' }),
    fc.integer({ min: 0, max: 1 }).map((i): Change => ({ path: `sessions/${moths.sessions[i]!.id}/start`, before: null, after: '11:11' })),
  )
  it('taken back give the document as it was', () => {
    fc.assert(
      fc.property(fc.array(field, { minLength: 1, maxLength: 6 }), (fields) => {
        let doc: Workshop = moths
        const made = fields.map((f) => {
          const c = { ...f, before: valueAt(doc, f.path) }
          doc = applyChanges(doc, [c])!
          return c
        })
        expect(applyChanges(doc, inverse(made))).toEqual(moths)
      }),
      { seed: 13 },
    )
  })
})

describe('what stands against a command', () => {
  const other = { ...moths, group: { ...moths.group, helpers: 2 } }
  const mine = { changes: [{ path: 'group/helpers', before: 1, after: 3 }], guards: [] }
  it('nothing, when the field is as its author saw it, or already as wanted', () => {
    expect(clashes(moths, mine)).toEqual([])
    expect(clashes({ ...moths, group: { ...moths.group, helpers: 3 } }, mine)).toEqual([])
  })
  it('the stored value, when somebody else was first', () => {
    expect(clashes(other, mine)).toEqual([{ path: 'group/helpers', stored: 2, yours: 3 }])
  })
  it('nothing, when others changed other fields', () => {
    expect(clashes({ ...moths, title: 'Other' }, mine)).toEqual([])
  })
  it('two headcounts meet on the count', () => {
    const up = setHeadcount(moths, 19, ['a'])
    const theirs = applyChanges(moths, setHeadcount(moths, 20, ['b', 'c']).changes)!
    expect(clashes(theirs, up)).toEqual([{ path: 'group/participants', stored: 20, yours: 18 }])
  })
  it('pending ones that no longer fit are left out of the screen', () => {
    expect(lenient(other, [command(mine.changes)])).toEqual(other)
    expect(lenient(moths, [command(mine.changes)])!.group.helpers).toBe(3)
  })
  test.each([
    ['no uuid', { ...command([{ path: 'title', before: '', after: '' }]), id: '1' }],
    ['no changes', command([])],
    ['an odd path', command([{ path: 'a//b', before: 1, after: 2 }])],
    ['a path upwards', command([{ path: '../x', before: 1, after: 2 }])],
    ['another subject', { ...command([{ path: 'title', before: '', after: '' }]), subject: { kind: 'server', id: 'x' } }],
  ])('a command with %s is none', (_name, c) => expect(v.safeParse(commandShape, c).success).toBe(false))
})

describe('edits', () => {
  it('up adds seats after the last, of the usual age', () => {
    const edit = setHeadcount(blocks, 18, ids(2))
    expect(edit.changes.map((c) => c.after)).toMatchObject([
      { seat: 17, name: null, age: '8-12' },
      { seat: 18, name: null },
    ])
  })
  it('down takes the last unnamed first, and asks before a named one', () => {
    const mixed = applyChanges(moths, [
      { path: `group/participants/${moths.group.participants[3]!.id}/name`, before: 'Calla', after: null },
    ])!
    expect(setHeadcount(mixed, 17, [])).not.toHaveProperty('ask')
    expect(setHeadcount(mixed, 17, []).changes.at(-1)!.path).toContain(moths.group.participants[3]!.id)
    expect(setHeadcount(mixed, 16, [])).toMatchObject({ ask: 'remove-named', names: ['Wren'] })
  })
  it('takes the piece along', () => {
    const edit = setHeadcount(moths, 17, [])
    expect(applyChanges(moths, edit.changes)!.pieces.some((p) => p.participant === 'moths-of-the-marsh-p18')).toBe(false)
    expect(applyChanges(applyChanges(moths, edit.changes)!, inverse(edit.changes))!.group.participants).toHaveLength(18)
  })
  describe('ages', () => {
    const of14 = applyChanges({ ...moths, pieces: [], group: { ...moths.group, participants: moths.group.participants.slice(0, 14) } }, [])!
    const bands = (w: Workshop) => ['under-8', '8-12', '13-17', 'adult'].map((b) => w.group.participants.filter((p) => p.age === b).length)
    const set = (w: Workshop, band: AgeBand, n: number): Workshop => {
      const made = setAges(w, band, n)
      if ('most' in made) throw new Error(`${made.most} at the most`)
      return applyChanges(w, made.changes)!
    }
    it('that are set never steal from each other', () => {
      const first = set(of14, '8-12', 10)
      expect(bands(first)).toEqual([0, 10, 0, 4])
      expect(bands(set(first, '13-17', 4))).toEqual([0, 10, 4, 0])
      expect(bands(set(set(first, '13-17', 2), '8-12', 11))).toEqual([0, 11, 2, 1])
    })
    it('what cannot be is refused, with the most that can', () => {
      const both = set(set(of14, '8-12', 10), '13-17', 4)
      expect(setAges(both, 'under-8', 1)).toEqual({ most: 0 })
      expect(setAges(both, '8-12', 11)).toEqual({ most: 10 })
      expect(setAges({ ...of14, group: { ...of14.group, participants: [] } }, 'adult', 1)).toEqual({ most: 0 })
    })
    it('fewer go back to adults, whom nobody has set; the unnamed first, from the back', () => {
      const first = set(of14, '8-12', 10)
      expect(bands(set(first, '8-12', 3))).toEqual([0, 3, 0, 11])
      const nameless = {
        ...of14,
        group: { ...of14.group, participants: of14.group.participants.map((p, i) => (i === 2 ? { ...p, name: null } : p)) },
      }
      const [change] = (setAges(nameless, '8-12', 1) as { changes: Change[] }).changes
      expect(change!.path).toBe(`group/participants/${nameless.group.participants[2]!.id}/age`)
    })
    it('the same again changes nobody, and remembers that it was set', () => {
      const made = setAges(of14, 'adult', 14)
      expect(made).toMatchObject({ changes: [{ path: 'group/agesSet', before: null, after: ['adult'] }] })
      expect(setAges(applyChanges(of14, (made as { changes: Change[] }).changes)!, 'adult', 14)).toMatchObject({ changes: [] })
    })
  })
  it('seats and tables have names', () => {
    expect([seatNumber(1, 2), tableName(0), tableName(25), tableName(26)]).toEqual(['B3', 'A', 'Z', 'AA'])
    expect(freeSeats([], 2)).toEqual([1, 2])
    expect(freeSeats([{ seat: 1 }, { seat: 3 }, { seat: 400 }], 3)).toEqual([2, 4, 5])
  })
  it('a moved session keeps its length and changes what it must', () => {
    const s = moths.sessions[1]!
    const to = addMinutes('2026-05-16T10:00:00-04:00[America/New_York]', 45)
    const changes = moveSession(s, to, 180)
    expect(changes.map((c) => c.path.split('/').at(-1))).toEqual(['start', 'end'])
    expect(applyChanges(moths, changes)!.sessions[1]).toMatchObject({ date: s.date, start: '10:45', end: '13:45' })
  })
})
