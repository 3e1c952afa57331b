import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { decide, emptyDesk, notStorable, readCommand, step, undoOf, type DeskEvent, type DeskState, type Waiting } from '#core/desk'
import { newWorkshop, summaryOf, type Change, type Command } from '#core/workshop'

const moths = demoWorkshops('2026-05-15')[0]!
const { id } = moths
const subject = { kind: 'workshop' as const, id }
const loaded = (version = 1, helpers = 1): DeskEvent => {
  const body = { ...moths, group: { ...moths.group, helpers } }
  return {
    kind: 'loaded',
    houses: [{ version: 1, body: demoHouses[0]! }],
    summaries: [{ version, body: summaryOf(body) }],
    workshops: [{ version, body }],
  }
}
const begun = (): DeskState => step(emptyDesk('here'), loaded())
const command = (n: number, before: number, after: number): Command => ({
  id: `c${n}`,
  subject,
  baseVersion: 1,
  kind: 'helpers',
  changes: [{ path: 'group/helpers', before, after }],
  guards: [],
  actor: '',
  at: '',
})
const waiting = (c: Command, tab = 'here'): Waiting => ({ command: c, label: `deed ${c.id}`, tab })
const helpers = (s: DeskState) => s.workshops[id]?.body.group.helpers
const conflict = (c: Command, tab = 'here'): DeskEvent => ({
  kind: 'answered',
  commands: [waiting(c, tab)],
  outcomes: [{ id: c.id, status: 'conflict', version: 2, clashes: [{ path: 'group/helpers', stored: 5, yours: 3 }] }],
  documents: [],
})
const applied = (c: Command, version: number): DeskEvent => ({
  kind: 'answered',
  commands: [waiting(c)],
  outcomes: [{ id: c.id, status: 'applied', version }],
  documents: [],
})

describe('an answer', () => {
  it('that is the next version is on the document at once; the summary follows', () => {
    const s = step(begun(), applied(command(1, 1, 3), 2))
    expect([helpers(s), s.workshops[id]!.version, s.summaries[id]!.version, s.stale]).toEqual([3, 2, 2, []])
  })
  it('after a version that was not seen here makes the document stale, and changes nothing of it', () => {
    const s = step(begun(), applied(command(1, 1, 3), 3))
    expect([helpers(s), s.workshops[id]!.version, s.stale]).toEqual([1, 1, [`workshop/${id}`]])
  })
  it('that came before is passed over', () => {
    const s = step(step(begun(), loaded(4, 7)), applied(command(1, 1, 3), 2))
    expect([helpers(s), s.workshops[id]!.version, s.stale]).toEqual([7, 4, []])
  })
  it('that somebody was first is kept once, however often it is told, in the tab where it was typed', () => {
    const c = command(1, 1, 3)
    const once = step(begun(), conflict(c))
    expect(step(once, conflict(c)).unsettled.map((u) => u.command.id)).toEqual(['c1'])
    expect(step(begun(), conflict(c, 'elsewhere')).unsettled).toEqual([])
    expect([once.stale, step(once, { kind: 'settled', id: 'c1' }).unsettled]).toEqual([[`workshop/${id}`], []])
  })
  it('that takes a deed back from Undo takes back that deed alone', () => {
    const did = (s: DeskState, n: number, a: number, b: number) => {
      const c = command(n, a, b)
      return step(s, { kind: 'did', deed: { kind: c.kind, label: `deed c${n}`, subject, changes: c.changes }, command: c })
    }
    const s = step(did(did(begun(), 1, 1, 3), 2, 3, 4), conflict(command(2, 3, 4)))
    expect(s.done.map((d) => d.deed.label)).toEqual(['deed c1'])
    expect(s.pending.map((w) => w.command.id)).toEqual(['c1'])
    expect(undoOf(s)!.changes).toEqual([{ path: 'group/helpers', before: 3, after: 1 }])
  })
  it('of a workshop that was removed takes it away, of a house never', () => {
    const gone: DeskEvent = { kind: 'fetched', documents: [{ kind: 'workshop', id, version: 9, body: null }] }
    expect([step(begun(), gone).workshops[id], step(begun(), gone).summaries[id]]).toEqual([undefined, undefined])
    const house: DeskEvent = { kind: 'gone', subject: { kind: 'house', id: demoHouses[0]!.id } }
    expect(Object.keys(step(begun(), house).houses)).toEqual([demoHouses[0]!.id])
  })
})

it('when names were erased, no deed of this visit and nothing unsettled knows one; other deeds stay', () => {
  const name: Change = { path: `group/participants/${moths.group.participants[0]!.id}/name`, before: 'Edda', after: 'Runa' }
  const did = (s: DeskState, n: number, changes: Change[]) =>
    step(s, { kind: 'did', deed: { kind: 'x', label: `d${n}`, subject, changes }, command: { ...command(n, 1, 1), changes } })
  let s = did(did(begun(), 1, [name]), 2, [{ path: 'group/helpers', before: 1, after: 2 }])
  s = step(s, { kind: 'kept', pending: [], unsettled: [{ ...waiting({ ...command(9, 1, 1), changes: [name] }), clashes: [] }] })
  const after = step(s, { kind: 'forgot', id, version: 2 })
  expect([after.done.map((d) => d.deed.label), after.unsettled.map((u) => [u.command.id, u.error?.what])]).toEqual([
    ['d2'],
    [['c1', 'everybody’s names were taken out of this workshop meanwhile']],
  ])
  expect(JSON.stringify([after.pending, after.unsettled, after.done])).not.toMatch(/Edda|Runa/)
  expect(step(s, { kind: 'forgot', id: 'other', version: 2 }).done.length).toBe(2)
})

describe('names erased elsewhere while this desk was away', () => {
  const person = moths.group.participants[0]!
  const place = `group/participants/${person.id}`
  const made = (n: number, changes: Change[], erased = 0, tab = 'here'): Waiting => ({
    ...waiting({ ...command(n, 1, 1), changes }, tab),
    label: 'Runa',
    erased,
  })
  const name = { path: `${place}/name`, before: null, after: 'Runa' }
  const erasedAt = (version: number): DeskEvent => {
    const e = loaded(version) as Extract<DeskEvent, { kind: 'loaded' }>
    return { ...e, summaries: e.summaries.map((x) => ({ ...x, erased: version })), workshops: [] }
  }
  const waits = (...pending: Waiting[]) => step(begun(), { kind: 'kept', pending, unsettled: [] })

  it('a name that waits is not sent, and its author is told once; what came with it is', () => {
    const both = made(2, [name, { path: 'group/helpers', before: 1, after: 4 }])
    const s = step(waits(made(1, [name]), both, made(3, [{ path: 'title', before: 'a', after: 'b' }])), erasedAt(3))
    expect(s.pending.map((w) => [w.command.id, w.label, w.command.changes.map((c) => c.path)])).toEqual([
      ['c2', 'helpers', ['group/helpers']],
      ['c3', 'Runa', ['title']],
    ])
    expect(s.unsettled.map((u) => [u.label, u.command.changes[0]!.after])).toEqual([['a name typed here', null]])
    expect(step(s, erasedAt(3))).toMatchObject({ pending: s.pending, unsettled: s.unsettled })
  })
  it('somebody who came meanwhile comes without a name', () => {
    const s = step(
      waits(made(1, [{ path: `${place}x`, before: null, after: { ...person, id: `${person.id}x`, name: 'Runa' } }])),
      erasedAt(3),
    )
    expect(s.pending[0]!.command.changes[0]!.after).toMatchObject({ id: `${person.id}x`, name: null })
  })
  it('what was typed after the erasing, in another workshop or another tab stays, or is another tab’s to tell', () => {
    const elsewhere = { ...made(3, [name]), command: { ...made(3, [name]).command, subject: { kind: 'workshop' as const, id: 'other' } } }
    const s = step(waits(made(1, [name], 3), elsewhere, made(4, [name], 0, 'there')), erasedAt(3))
    expect([s.pending.map((w) => w.command.id), s.unsettled]).toEqual([['c1', 'c3'], []])
    expect(step(s, erasedAt(4)).pending.map((w) => w.command.id)).toEqual(['c3'])
  })
  it('an earlier visit’s is forgotten when it is found, and what is done now knows of the erasing', () => {
    const s = step(step(begun(), erasedAt(3)), {
      kind: 'kept',
      pending: [made(1, [name]), made(2, [name], 3)],
      unsettled: [{ ...made(5, [name]), clashes: [] }],
    })
    expect([s.pending.map((w) => w.command.id), s.unsettled.map((u) => u.label)]).toEqual([['c2'], ['a name typed here']])
    const c = { ...command(7, 1, 1), changes: [name] }
    const later = step(s, { kind: 'did', deed: { kind: 'x', label: '', subject, changes: [name] }, command: c })
    expect(later.pending.at(-1)!.erased).toBe(3)
  })
  it('two texts that wait to be settled go with the names in them', () => {
    const clash = [{ path: `${place}/name`, stored: 'Edda', yours: 'Runa' }]
    const s = step(begun(), { kind: 'kept', pending: [], unsettled: [{ ...made(1, [name]), clashes: clash }] })
    expect(step(s, erasedAt(3)).unsettled).toEqual([])
  })
})

describe('what is loaded', () => {
  it('never replaces what is newer here, and says what is older', () => {
    const here = step(begun(), applied(command(1, 1, 3), 2))
    const again = step(here, loaded(1))
    expect([helpers(again), again.workshops[id]!.version, again.summaries[id]!.version]).toEqual([3, 2, 2])
    const { workshops: _none, ...newer } = loaded(5) as Extract<DeskEvent, { kind: 'loaded' }>
    expect(step(here, { ...newer, workshops: [] }).stale).toEqual([`workshop/${id}`])
  })
  it('a version that is here already is not fetched again; a newer one once', () => {
    const hear = (s: DeskState, version: number) => step(s, { kind: 'heard', subject, version })
    expect(hear(begun(), 1).stale).toEqual([])
    expect(hear(hear(begun(), 2), 3).stale).toEqual([`workshop/${id}`])
  })
  it('what an earlier visit left waiting stands before what was done since, each once', () => {
    const c = [command(1, 1, 2), command(2, 2, 3)] as const
    const since = step(begun(), { kind: 'did', deed: { kind: 'x', label: '', subject, changes: c[1].changes }, command: c[1] })
    const s = step(since, {
      kind: 'kept',
      pending: [waiting(c[0]), waiting(c[1])],
      unsettled: [
        { ...waiting(command(3, 0, 1)), clashes: [] },
        { ...waiting(command(4, 0, 1), 'elsewhere'), clashes: [] },
      ],
    })
    expect([s.pending.map((w) => w.command.id), s.unsettled.map((u) => u.command.id)]).toEqual([['c1', 'c2'], ['c3']])
  })
  it('lost and back', () => {
    const lost = step(begun(), { kind: 'lost' })
    expect([
      lost.offline,
      step(lost, { kind: 'back' }).offline,
      step(lost, loaded()).offline,
      step(lost, applied(command(1, 1, 3), 2)).offline,
    ]).toEqual([true, false, false, false])
  })
})

describe('the one rule', () => {
  const decided = (changes: Change[], doc: Parameters<typeof decide>[0] = moths, more: Partial<Command> = {}) =>
    decide(doc, { ...command(1, 1, 1), changes, ...more })
  it('a declined command is told again, with what stands there now, and never taken', () => {
    const c = command(1, 1, 3)
    expect([decide(moths, c).status, decide(moths, c, true)]).toEqual([
      'applied',
      { status: 'conflict', clashes: [{ path: 'group/helpers', stored: 1, yours: 3 }] },
    ])
  })
  it('keeps no field that nobody knows, at any depth', () => {
    expect(decided([{ path: 'shoes', before: null, after: 'red' }])).toMatchObject({ status: 'refused', error: { path: 'shoes' } })
    expect(decided([{ path: 'group/shoes', before: null, after: 'red' }])).toMatchObject({
      status: 'refused',
      error: { path: 'group/shoes' },
    })
    const odd = { ...moths.group.participants[0]!, id: 'odd', seat: 30, shoes: 'red' }
    expect(decided([{ path: 'group/participants/odd', before: null, after: odd }])).toMatchObject({ status: 'refused' })
  })
  it('of what was stored before with such a field drops it with the next change', () => {
    const old = { ...moths, shoes: 'red' } as typeof moths
    const found = decided([{ path: 'group/helpers', before: 1, after: 2 }], old)
    expect(found.status === 'applied' && found.after).not.toHaveProperty('shoes')
  })
  it('does not fill in what nobody said', () => {
    const w = demoWorkshops('2026-05-15').find((x) => x.id === 'lighthouse-blocks')!
    const p = w.pictures![0]!
    const edit = { lighten: 0.2 }
    const found = decided([{ path: `pictures/${p.id}/edit`, before: p.edit ?? null, after: edit }], w, {
      subject: { kind: 'workshop', id: w.id },
    })
    expect(found.status === 'applied' && (found.after as typeof w).pictures![0]!.edit).toEqual(edit)
  })
  it('a subject is what its kind says', () => {
    const w = newWorkshop({ id: 'fresh', design: 'd', participants: [] }, 'saltbox', 'N', moths.createdAt)
    const asHouse = { subject: { kind: 'house' as const, id: 'fresh' } }
    expect(decided([{ path: '', before: null, after: w }], null, asHouse).status).toBe('refused')
    expect(
      decided([{ path: '', before: demoHouses[0]!, after: null }], demoHouses[0]!, { subject: { kind: 'house', id: 'saltbox' } }),
    ).toMatchObject({ status: 'refused' })
    expect(decided([{ path: '', before: null, after: w }], null, { subject: { kind: 'workshop', id: 'other' } })).toMatchObject({
      status: 'refused',
      error: { path: 'id' },
    })
  })
  test.each<[string, unknown, boolean]>([
    ['a plain text', 'Edda', true],
    ['a letter of two halves', '🦋', true],
    ['a NUL', 'a\0', false],
    ['a first half alone', 'a\ud83e', false],
    ['a second half alone', '\udd8bx', false],
    ['a NUL in a key', { 'a\0': 1 }, false],
    ['24 deep', Array.from({ length: 24 }).reduce<unknown>((x) => [x], 1), true],
    ['25 deep', Array.from({ length: 25 }).reduce<unknown>((x) => [x], 1), false],
  ])('%s: kept or not', (_n, value, good) => expect(notStorable(value, 'x') === undefined).toBe(good))
  it('a command is read whole or refused with where', () => {
    expect(readCommand({ ...command(1, 1, 2), id: '01a212d1-cab0-7496-9463-d9a63e67d31b' })).toHaveProperty('command')
    expect(readCommand({ ...command(1, 1, 2), id: '1' })).toMatchObject({ error: { path: 'id' } })
  })
})
