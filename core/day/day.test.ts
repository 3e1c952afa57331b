import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import * as v from 'valibot'
import {
  dayAnswer,
  dayInput,
  dayEvent,
  dayRoom,
  factsOf,
  inOneBreath,
  mayBegin,
  foldDay,
  liveEvents,
  offers,
  replan,
  routesOf,
  sayNext,
  sparesLeft,
  stationsDay,
  stripDay,
  tablesDay,
  unfinished,
  waitsFor,
  type DayEvent,
  type DayKind,
} from '#core/day'
import { demoHouses, demoWorkshops } from '#core/demo'
import { figuresOf } from '#core/house'
import { planWorkshop, shelfPieces } from '#core/plan'
import { beginRehearsal } from '#core/rehearsal'
import { rehearsalOf } from '#core/sessions'
import { BadInput, readInput } from '#core/reasons'
import { addMinutes, minutesBetween, readInstant } from '#core/time'
import { applyChanges, type Workshop } from '#core/workshop'

const house = demoHouses[0]!
const moths: Workshop = demoWorkshops('2026-05-15')[0]!
const session = 'moths-of-the-marsh-2'
const from = '2026-05-16T10:00:00-04:00[America/New_York]'
const plan = planWorkshop({ workshop: moths, house, now: from })
const room = dayRoom(moths, plan, session)!
const at = (min: number) => addMinutes(from, min)
const who = (name: string) => moths.group.participants.find((p) => p.name === name)!.id
const piece = (name: string) => `${who(name)}.moths-of-the-marsh-d1.1`
const stage = (id: string) => `moths-of-the-marsh-d1.${id}`
const table = (letter: string) => room.people.filter((p) => p.table === letter).map((p) => p.id)

let n = 0
const uuid = () => `018f0000-0000-7000-8000-${String(++n).padStart(12, '0')}`
/** A tap, so many minutes after the class's begin. */
function tap<K extends DayKind>(
  min: number,
  kind: K,
  value: object = {},
  subject: string | [DayEvent['subject']['kind'], string] = ['room', 'room'],
  more: Partial<DayEvent> = {},
): DayEvent {
  const [k, id] = typeof subject === 'string' ? (['table', subject] as const) : subject
  const e = {
    id: uuid(),
    workshop: moths.id,
    session,
    subject: { kind: k, id },
    kind,
    value,
    at: at(min),
    device: 'a',
    seq: ++n,
    skew: 0,
    actor: 'Noor',
    ...more,
  }
  return e as unknown as DayEvent
}
const did = (min: number, s: string, people: string[]) => tap(min, 'did', { stage: stage(s), people })
const began = (min: number, s: string, people: string[]) => tap(min, 'began', { stage: stage(s), people })
const fold = (...events: DayEvent[]) => foldDay(room, events)
const next = (events: DayEvent[], min: number) => {
  const state = fold(...events)
  return sayNext(room, state, replan(room, state, at(min)), at(min))
}
const said = (events: DayEvent[], min: number) =>
  next(events, min).say.map((a) => `${minutesBetween(from, a.due)} ${a.table} ${a.kind} ${a.stage?.id.split('.')[1] ?? ''}`)
const person = (state: ReturnType<typeof fold>, name: string) => state.people.find((p) => p.id === who(name))!

describe('a class as the day begins with it', () => {
  it('has everybody at their table with their way and what is known of their piece', () => {
    expect(room.people).toHaveLength(18)
    expect(table('A').length + table('B').length + table('C').length + table('D').length + table('E').length).toBe(18)
    const rune = room.people.find((p) => p.id === who('Rune'))!
    expect(rune.route.map((s) => s.id.split('.')[1])).toEqual(['wet', 'rub1', 'look1', 'rub2', 'dry', 'seal1'])
    expect(rune.route.every((s) => s.afterCure)).toBe(true)
    expect(rune.pieces).toEqual([
      {
        ...{ id: piece('Rune'), design: 'moths-of-the-marsh-d1', number: 1, state: 'laid' },
        ...{
          laidAt: '2026-05-14T19:10:00-04:00[America/New_York]',
          neverBefore: '2026-05-15T07:10:00-04:00[America/New_York]',
          requiredMin: 720,
        },
      },
    ])
    expect(dayRoom(moths, plan, 'gone')).toBeUndefined()
  })
  it('who has no piece yet has nobody’s time', () => {
    expect(room.people.find((p) => p.id === who('Edda'))!.pieces[0]).toMatchObject({ laidAt: null, neverBefore: null })
  })
})

describe('taps become the state', () => {
  it('a stage begun, done and the next; what dries alone begins by itself', () => {
    const a = table('A')
    const state = fold(tap(0, 'begin'), began(35, 'wet', a), did(40, 'wet', a), began(40, 'rub1', a), did(52, 'rub1', a))
    const rune = person(state, 'Rune')
    expect([rune.presence, rune.at, rune.doing, rune.since]).toEqual(['here', 2, true, at(52)])
    expect(rune.done[stage('rub1')]).toEqual({ beganAt: at(40), doneAt: at(52) })
    expect(rune.done[stage('look1')]).toEqual({ beganAt: at(52), doneAt: null })
    expect(state.pieces.find((p) => p.id === piece('Rune'))!.state).toBe('rub-1')
    expect(person(state, 'Marlo').at).toBe(0)
    expect(state.begunAt).toBe(at(0))
  })
  it('a stage that nobody said was done is passed over when a later one is', () => {
    const state = fold(did(80, 'rub2', [who('Rune')]))
    expect(person(state, 'Rune').done[stage('rub1')]).toEqual({ beganAt: null, doneAt: at(80) })
    expect(state.pieces.find((p) => p.id === piece('Rune'))!.state).toBe('rub-2')
  })
  it('the same tap from three tablets is one', () => {
    const once = fold(did(52, 'rub1', table('A')))
    const thrice = fold(
      did(52, 'rub1', table('A')),
      tap(52, 'did', { stage: stage('rub1'), people: table('A') }, 'A', { device: 'b' }),
      tap(53, 'did', { stage: stage('rub1'), people: table('A') }, 'A', { device: 'c' }),
    )
    expect(thrice.people).toEqual(once.people)
    expect(thrice.conflicts).toEqual([])
  })
  it('undo takes back, an undo of the undo brings again; an undo of what comes later does nothing', () => {
    const tapped = did(52, 'rub1', [who('Rune')])
    const back = tap(53, 'undo', { event: tapped.id })
    const again = tap(54, 'undo', { event: back.id })
    expect(person(fold(tapped, back), 'Rune').at).toBe(0)
    expect(person(fold(tapped, back, again), 'Rune').at).toBe(2)
    const early = tap(10, 'undo', { event: tapped.id })
    expect(person(fold(early, tapped), 'Rune').at).toBe(0)
  })
  it('one press is taken back as a whole: all that a device said in one moment, then the press before it', () => {
    const first = did(50, 'wet', table('B'))
    const press = { press: uuid() }
    const one = tap(52, 'did', { stage: stage('rub1'), people: table('A') }, 'A', press)
    const two = tap(52, 'said', { cue: 'x' }, 'A', press)
    const elsewhere = tap(53, 'note', { text: 'b' }, undefined, { device: 'b' })
    const all = [first, one, two, elsewhere]
    expect(fold(...all).last['a']!.map((e) => e.id)).toEqual([one.id, two.id])
    // Two presses of one second are two.
    const [next, other] = [tap(52, 'check', { what: 'x', on: true }), tap(52, 'said', { cue: 'y' }, 'A', { press: uuid() })]
    expect(fold(...all, next).last['a']!.map((e) => e.id)).toEqual([next.id])
    expect(fold(first, next).last['a']!.map((e) => e.id)).toEqual([next.id])
    expect(fold(...all, next, other).last['a']!.map((e) => e.id)).toEqual([other.id])
    expect(fold(...all).last['b']!.map((e) => e.id)).toEqual([elsewhere.id])
    const back = [one, two].map((e) => tap(54, 'undo', { event: e.id }))
    expect(fold(...all, ...back).last['a']!.map((e) => e.id)).toEqual([first.id])
    expect(fold(...all, ...back, tap(55, 'undo', { event: first.id })).last['a']).toBeUndefined()
  })
  it('a tablet whose clock is three hours wrong keeps its place', () => {
    const wrong = tap(52 + 180, 'did', { stage: stage('rub1'), people: [who('Rune')] }, 'A', { device: 'b', skew: 180 * 60_000 })
    expect(person(fold(wrong), 'Rune').since).toBe(at(52))
    const later = tap(53, 'undo', { event: wrong.id })
    expect(person(fold(later, wrong), 'Rune').at).toBe(0)
  })
  it('a clock that is measured a little earlier does not turn a tablet’s taps round; one that is put right does', () => {
    const r = ['person', who('Rune')] as ['person', string]
    const presence = (skew: number) => person(fold(tap(10, 'here', {}, r), tap(10, 'absent', {}, r, { skew })), 'Rune').presence
    expect([presence(0), presence(5000), presence(600_000), presence(600_001)]).toEqual(['absent', 'absent', 'absent', 'here'])
    // Another tablet's tap is where its own clock has it.
    expect(person(fold(tap(10, 'here', {}, r), tap(10, 'absent', {}, r, { skew: 5000, device: 'b' })), 'Rune').presence).toBe('here')
  })
  it('somebody who is not on the roster sits down and works', () => {
    const guest = tap(20, 'guest', { table: 'B' })
    const state = fold(guest, did(52, 'rub1', [guest.id]))
    expect(state.people.find((p) => p.id === guest.id)).toMatchObject({ table: 'B', guest: true, presence: 'here', at: 2 })
    expect(state.pieces.filter((p) => p.person === guest.id)).toHaveLength(1)
  })
  it('a piece dropped is begun again on a spare, which was laid with the class', () => {
    const r = who('Rune')
    const state = fold(did(80, 'rub2', [r]), tap(81, 'spare', {}, ['piece', piece('Rune')]))
    const p = state.pieces.find((x) => x.id === piece('Rune'))!
    expect([p.state, p.spares, p.laidAt, person(state, 'Rune').at]).toEqual(['cured', 1, '2026-05-14T19:10:00-04:00[America/New_York]', 0])
    // One who had none gets one that may be rubbed.
    const edda = fold(tap(5, 'spare', {}, ['piece', piece('Edda')])).pieces.find((x) => x.id === piece('Edda'))!
    expect(edda.neverBefore).toBe('2026-05-15T07:10:00-04:00[America/New_York]')
  })
  it('needs you, patched, outcome, place, notes, air and checks are kept', () => {
    const p = ['piece', piece('Rune')] as ['piece', string]
    const state = fold(
      tap(1, 'needs', { what: 'patch' }, p),
      tap(2, 'outcome', { how: 'hazy' }, p),
      tap(3, 'shelf', { place: '2-4' }, p),
      tap(4, 'note', { text: 'fans on' }),
      tap(5, 'climate', { celsius: 19, humidityPct: 61 }),
      tap(6, 'check', { what: 'samples', on: true }),
      tap(7, 'ran-out', { material: 'sponge' }),
      tap(8, 'ran-out', { material: 'sponge' }),
      tap(9, 'places', { places: 4 }, ['station', 'basin']),
    )
    expect(state.pieces.find((x) => x.id === p[1])).toMatchObject({ needs: 'patch', outcome: 'hazy', place: '2-4' })
    expect(state.notes).toMatchObject([{ text: 'fans on', at: at(4) }])
    expect([state.climate, state.checks, state.ranOut, state.places]).toEqual([
      [{ at: at(5), celsius: 19, humidityPct: 61 }],
      { samples: true },
      [{ material: 'sponge', event: expect.stringMatching(/0000-7000/) }],
      { basin: 4 },
    ])
    expect(fold(tap(1, 'needs', { what: 'you' }, p), tap(2, 'helped', {}, p)).pieces.find((x) => x.id === p[1])!.needs).toBeNull()
  })
  it('a rub before its time is kept as what happened', () => {
    const young = structuredClone(room)
    for (const p of young.people) for (const x of p.pieces) x.neverBefore = at(60)
    const early = foldDay(young, [began(50, 'wet', [who('Rune')])])
    expect(early.pieces.find((p) => p.id === piece('Rune'))!.rubbedEarly).toBe(true)
    expect(foldDay(young, [began(60, 'wet', [who('Rune')])]).pieces.find((p) => p.id === piece('Rune'))!.rubbedEarly).toBe(false)
  })
  it('a stage said done before its time, likewise, to the minute', () => {
    const young = structuredClone(room)
    for (const p of young.people) for (const x of p.pieces) x.neverBefore = at(60)
    const early = (min: number) => foldDay(young, [did(min, 'wet', [who('Rune')])]).pieces.find((p) => p.id === piece('Rune'))!.rubbedEarly
    expect([early(59), early(60)]).toEqual([true, false])
  })
  it('nobody, and 10 000 events', () => {
    expect(foldDay({ ...room, people: [] }, [did(1, 'rub1', ['x'])])).toMatchObject({ people: [], pieces: [] })
    const many = Array.from({ length: 10_000 }, (_, i) => tap(i / 100, 'check', { what: `w${i % 50}`, on: i % 2 === 0 }))
    expect(Object.keys(foldDay(room, many).checks)).toHaveLength(50)
  })
})

describe('what cannot both be true is kept and asked about', () => {
  it('absent and at work', () => {
    const [absent, work] = [tap(5, 'absent', {}, ['person', who('Rune')]), did(52, 'rub1', table('A'))]
    const state = fold(absent, work)
    expect(state.conflicts).toEqual([{ code: 'absent-but-did', person: who('Rune'), events: [absent.id, work.id] }])
    expect(person(state, 'Rune').at).toBe(2)
    expect(fold(absent, work, tap(60, 'undo', { event: absent.id })).conflicts).toEqual([])
    expect(fold(absent, tap(6, 'here', {}, ['person', who('Rune')]), work).conflicts).toEqual([])
  })
  it('at work, then said to have been absent', () => {
    const [work, absent] = [did(52, 'rub1', [who('Rune')]), tap(60, 'absent', {}, ['person', who('Rune')])]
    expect(fold(work, absent).conflicts).toMatchObject([{ code: 'absent-but-did', events: [work.id, absent.id] }])
    expect(fold(work, tap(60, 'left', {}, ['person', who('Rune')])).conflicts).toEqual([])
  })
  it('gone home as it is, and worked on', () => {
    const home = tap(60, 'home', {}, ['piece', piece('Rune')])
    expect(fold(home, did(70, 'rub2', [who('Rune')])).conflicts).toMatchObject([{ code: 'home-but-did' }])
  })
  it('two tablets, one of which begins again what the other has done', () => {
    const [a, b] = [did(80, 'rub2', [who('Rune')]), tap(82, 'began', { stage: stage('rub1'), people: [who('Rune')] }, 'A', { device: 'b' })]
    expect(fold(a, b).conflicts).toEqual([{ code: 'behind', person: who('Rune'), events: [a.id, b.id] }])
    expect(person(fold(a, b), 'Rune').at).toBe(4)
  })
})

/** Random days: people, tables, undos, spares, absences, from three tablets. */
const anyEvent = (): fc.Arbitrary<DayEvent> => {
  const ids = room.people.map((p) => p.id)
  const stages = room.people[0]!.route.map((s) => s.id)
  const person = fc.constantFrom(...ids)
  const kind = fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        kind: fc.constantFrom('began' as const, 'did' as const),
        value: fc.record({ stage: fc.constantFrom(...stages), people: fc.array(person, { maxLength: 4 }) }),
      }),
    },
    fc.record({ kind: fc.constantFrom('here' as const, 'absent' as const, 'left' as const), value: fc.constant({}) }),
    fc.record({ kind: fc.constantFrom('spare' as const, 'home' as const, 'helped' as const), value: fc.constant({}) }),
    fc.record({ kind: fc.constant('needs' as const), value: fc.record({ what: fc.constantFrom('you', 'patch') }) }),
  )
  return fc
    .record({
      body: kind,
      who: person,
      min: fc.integer({ min: 0, max: 170 }),
      device: fc.constantFrom('a', 'b', 'c'),
      skew: fc.integer({ min: -9e5, max: 9e5 }),
      id: fc.uuid({ version: 4 }),
    })
    .map(({ body, who, min, device, skew, id }) => {
      const onPiece = ['spare', 'home', 'helped', 'needs'].includes(body.kind)
      const subject = onPiece ? { kind: 'piece', id: `${who}.moths-of-the-marsh-d1.1` } : { kind: 'person', id: who }
      return {
        id,
        workshop: moths.id,
        session,
        subject,
        ...body,
        at: at(min + skew / 60_000),
        device,
        seq: min,
        skew,
        actor: 'x',
      } as unknown as DayEvent
    })
}
const withUndos = fc
  .array(anyEvent(), { maxLength: 40 })
  .chain((list) =>
    fc
      .array(fc.nat({ max: Math.max(0, list.length - 1) }), { maxLength: list.length ? 6 : 0 })
      .map((picks) => [...list, ...picks.flatMap((i, k) => (list[i] ? [tap(171 + k, 'undo', { event: list[i].id })] : []))]),
  )

describe('whatever comes in whatever order', () => {
  it('the same events give the same state: shuffled, repeated, in two halves', () => {
    fc.assert(
      fc.property(withUndos, fc.infiniteStream(fc.nat({ max: 1000 })), (events, random) => {
        const plain = foldDay(room, events)
        const shuffled = [...events]
          .map((e) => ({ e, k: random.next().value as number }))
          .sort((a, b) => a.k - b.k)
          .map((x) => x.e)
        expect(foldDay(room, shuffled)).toEqual(plain)
        expect(foldDay(room, [...shuffled, ...events])).toEqual(plain)
        const half = Math.floor(events.length / 2)
        expect(liveEvents([...events.slice(half), ...events.slice(0, half)])).toEqual(liveEvents(events))
      }),
      { numRuns: 60 },
    )
  })
  it('nobody is ever told to rub before their piece’s time', () => {
    fc.assert(
      fc.property(
        withUndos,
        fc.integer({ min: -60, max: 200 }),
        fc.array(fc.integer({ min: -30, max: 240 }), { minLength: 18, maxLength: 18 }),
        (events, min, times) => {
          const young = structuredClone(room)
          young.people.forEach((p, i) => p.pieces.forEach((x) => (x.neverBefore = x.laidAt && at(times[i]!))))
          const state = foldDay(young, events)
          const { say } = sayNext(young, state, replan(young, state, at(min)), at(min))
          for (const a of say.filter((x) => x.kind === 'begin' && x.stage!.afterCure))
            for (const id of a.people)
              for (const p of state.pieces.filter((x) => x.person === id && x.design === a.stage!.design && !x.home)) {
                expect(p.laidAt).not.toBeNull()
                expect(minutesBetween(p.neverBefore!, a.due)).toBeGreaterThanOrEqual(0)
                expect(minutesBetween(p.neverBefore!, a.neverBefore!)).toBeGreaterThanOrEqual(0)
              }
        },
      ),
      { numRuns: 80 },
    )
  })
})

describe('say next follows a class that goes wrong', () => {
  it('before it begins: show all, then the tables as the room is planned', () => {
    expect(said([], 0).slice(0, 3)).toEqual(['30  show ', '40 A begin wet', '40 B begin wet'])
  })
  const shown = tap(30, 'said', { cue: 'show' })
  test.each<[string, (events: DayEvent[]) => DayEvent[], number, string[]]>([
    ['said, it is not said again', () => [], 36, ['40 A begin wet', '40 B begin wet', '45 C begin wet']],
    [
      'table A begun: its hands go on to rub, without a stop between',
      () => [began(36, 'wet', table('A'))],
      37,
      ['40 B begin wet', '45 A begin rub1'],
    ],
    ['rubbing over: hands off, it dries', () => [did(41, 'wet', table('A')), began(41, 'rub1', table('A'))], 53, ['53 A stop rub1']],
    ['dry: look, and rub again where it is hazy', () => [did(53, 'rub1', table('A'))], 60, ['65 A begin rub2']],
  ])('%s', (_name, more, min, expected) => {
    const before = [shown]
    const all = [...before, ...more(before)]
    const lines = said(all, min)
    for (const line of expected) expect(lines).toContain(line)
  })
  it('the same to several tables at once is said in one breath: within two minutes, of the same stage, never before a piece’s own time', () => {
    const { say } = next([shown], 36)
    const breath = (list: Parameters<typeof inOneBreath>[0], min = 36) => inOneBreath(list, at(min)).map((a) => a.table)
    const first = say[0]!
    const like = say.filter((a) => a.stage!.id === first.stage!.id && minutesBetween(first.due, a.due) <= 2).map((a) => a.table)
    expect(like.length).toBeGreaterThan(1)
    expect(breath(say)).toEqual(like)
    expect(breath([])).toEqual([])
    const other = { ...first, table: 'X', cue: 'x' }
    expect(breath([first, other])).toEqual([first.table, 'X'])
    expect(breath([first, { ...other, due: addMinutes(first.due, 2) }])).toEqual([first.table, 'X'])
    expect(breath([first, { ...other, due: addMinutes(first.due, 3) }])).toEqual([first.table])
    expect(breath([first, { ...other, kind: 'stop' }])).toEqual([first.table])
    expect(breath([first, { ...other, stage: { ...first.stage!, id: 'another' } }])).toEqual([first.table])
    const young = { ...other, neverBefore: at(37) }
    expect([breath([first, young]), breath([first, young], 37)]).toEqual([[first.table], [first.table, 'X']])
    expect([mayBegin(young, at(36)), mayBegin(young, at(37)), mayBegin({ ...young, kind: 'stop' }, at(36))]).toEqual([false, true, true])
  })
  it('a seat whose piece is not ready has to wait, until when is said; in hands it does not', () => {
    const young = structuredClone(room)
    young.people.find((p) => p.id === who('Rune'))!.pieces[0]!.neverBefore = at(70)
    const waits = (name: string, min: number, ...events: DayEvent[]) => {
      const state = foldDay(young, [shown, ...events])
      return waitsFor(young, state, person(state, name), at(min))
    }
    expect([waits('Rune', 69), waits('Rune', 70), waits('Anton', 36)]).toEqual([{ from: at(70) }, null, null])
    expect(waits('Edda', 36)).toEqual({ from: null })
    expect(waits('Rune', 50, began(40, 'wet', [who('Rune')]))).toBeNull()
  })
  it('what was said or skipped is not said again, also where nothing was tapped for it', () => {
    const events = [shown, began(41, 'rub1', table('B'))]
    const stop = next(events, 54).say.find((a) => a.kind === 'stop')!
    for (const kind of ['said', 'skip'] as const)
      expect(next([...events, tap(54, kind, { cue: stop.cue })], 55).say.map((a) => a.cue)).not.toContain(stop.cue)
  })
  it('somebody late is told when they can begin, from when they come; the others do not wait', () => {
    const events = [
      shown,
      tap(33, 'absent', {}, ['person', who('Anton')]),
      did(
        52,
        'rub1',
        table('A').filter((p) => p !== who('Anton')),
      ),
    ]
    expect(next(events, 55).say.some((a) => a.people.includes(who('Anton')))).toBe(false)
    const come = [...events, tap(60, 'here', {}, ['person', who('Anton')])]
    const mine = next(come, 60).say.find((a) => a.people.includes(who('Anton')))!
    expect([mine.kind, mine.stage!.id, minutesBetween(from, mine.due)]).toEqual(['begin', stage('wet'), 60])
  })
  it('a blocked basin moves what is left, and says so', () => {
    const before = replan(room, fold(shown), at(36))
    const blocked = fold(shown, tap(36, 'places', { places: 2 }, ['station', 'basin']))
    const after = replan(room, blocked, at(36))
    expect(minutesBetween(before.doneAt, after.doneAt)).toBeGreaterThan(10)
    expect(replan(room, fold(shown, tap(36, 'places', { places: 0 }, ['station', 'basin'])), at(36)).plan).not.toBeNull()
  })
  it('fifty minutes lost, of which four were not needed, are 46 later; what could be left out says what it would bring', () => {
    const [early, late] = [replan(room, fold(shown), at(36)), replan(room, fold(shown), at(86))]
    expect(minutesBetween(early.doneAt, late.doneAt)).toBe(46)
    expect(late.overMin).toBeGreaterThan(0)
    const ways = offers(room, fold(shown), late, at(86))
    expect(ways.length).toBeGreaterThan(0)
    for (const w of ways) expect(w.overMin).toBeLessThan(late.overMin)
    expect(ways.map((w) => w.overMin)).toEqual([...ways.map((w) => w.overMin)].sort((a, b) => b - a))
  })
  it('who has no piece that may be rubbed waits, and is named; a spare lets them begin', () => {
    expect(next([shown], 36).notYet).toEqual([
      { person: who('Edda'), table: 'A', stage: expect.objectContaining({ id: stage('wet') }), from: null },
    ])
    expect(next([shown, tap(34, 'spare', {}, ['piece', piece('Edda')])], 36).notYet).toEqual([])
  })
  it('a piece whose time comes after the class is named with it, never announced', () => {
    const young = structuredClone(room)
    young.people[3]!.pieces[0]!.neverBefore = at(300)
    const state = foldDay(young, [shown])
    const { say, notYet } = sayNext(young, state, replan(young, state, at(36)), at(36))
    const id = young.people[3]!.id
    expect(notYet.find((x) => x.person === id)!.from).toBe(at(300))
    expect(say.some((a) => a.people.includes(id))).toBe(false)
  })
  it('all done: nothing is left to say, and the room says so', () => {
    const all = room.people.map((p) => p.id).filter((p) => p !== who('Edda'))
    const events = [shown, did(120, 'seal1', all), tap(121, 'home', {}, ['piece', piece('Edda')])]
    expect(next(events, 122).say).toEqual([])
    const tables = tablesDay(room, fold(...events))
    expect(tables.find((t) => t.table === 'B')).toMatchObject({ done: true, stage: null })
    expect(replan(room, fold(...events), at(122)).doneAt).toBe(at(120))
  })
})

describe('work that is stopped after a stage', () => {
  const shown = tap(30, 'said', { cue: 'show' })
  const stop = tap(60, 'stop', { stage: stage('look1') })
  const events = [shown, did(52, 'rub1', table('B')), did(58, 'rub2', table('A')), began(59, 'rub1', table('C'))]
  it('ends there for who is not past it; what is in hands is finished, who is further is through; taken back, all goes on', () => {
    const state = fold(...events, stop)
    expect(state.stopAfter).toBe(stage('look1'))
    const routes = routesOf(room, state)
    const [b, c] = [table('B')[0]!, table('C')[0]!]
    expect([routes.get(b)!.at(-1)!.id, routes.get(c)!.at(-1)!.id]).toEqual([stage('look1'), stage('look1')])
    const a = state.people.find((p) => p.id === table('A')[0])!
    // Theirs dries by itself after the second round: nothing is left for their hands.
    expect([a.doing, routes.get(a.id)!.length]).toEqual([true, a.at])
    expect(next([...events, stop], 61).say.some((x) => x.kind === 'begin' && x.stage!.id === stage('rub2'))).toBe(false)
    expect(unfinished(room, state).map((p) => p.id)).not.toContain(table('A')[0])
    expect(replan(room, state, at(61)).doneAt <= replan(room, fold(...events), at(61)).doneAt).toBe(true)
    const undone = fold(...events, stop, tap(62, 'undo', { event: stop.id }))
    expect(undone.stopAfter).toBeNull()
    expect(routesOf(room, undone).get(b)!.at(-1)!.id).toBe(stage('seal1'))
  })
  it('at a stage that nobody has stops nothing', () => {
    const state = fold(...events, tap(60, 'stop', { stage: 'nowhere.x' }))
    expect(routesOf(room, state).get(table('B')[0]!)).toEqual(room.people.find((p) => p.id === table('B')[0])!.route)
  })
})

describe('stations and the strip', () => {
  it('who has hands at a stage stands at its station; who has left does not; places are as they are today', () => {
    const station = room.people.find((p) => p.id === who('Rune'))!.route.find((s) => s.id === stage('wet'))!.station!
    const two = table('B').slice(0, 2)
    const of = (...events: DayEvent[]) => stationsDay(room, fold(...events)).find((s) => s.id === station)!
    const planned = room.stations.find((s) => s.id === station)!.places
    expect(of(began(50, 'wet', two))).toEqual({ id: station, planned, places: planned, taken: 2 })
    expect(of(began(50, 'wet', two), tap(51, 'left', {}, ['person', two[0]!])).taken).toBe(1)
    expect(of(did(50, 'wet', two)).taken).toBe(0)
    expect(of(tap(50, 'places', { places: 3 }, ['station', station])).places).toBe(3)
  })
  it('each table stands as far into its stage as its time; nobody’s table stands nowhere; what is done at the end', () => {
    const events = [began(50, 'rub1', table('B')), ...table('C').map((p) => tap(1, 'absent', {}, ['person', p]))]
    const state = fold(...events)
    const strip = stripDay(room, state, tablesDay(room, state), at(54))
    const rub = strip.stages.find((s) => s.id === stage('rub1'))!
    expect(strip.at.find((x) => x.table === 'B')!.min).toBeCloseTo(rub.fromMin + Math.min(4, rub.minutes), 6)
    expect(strip.at.some((x) => x.table === 'C')).toBe(false)
    expect(strip.at.find((x) => x.table === 'A')!.min).toBe(0)
    expect(strip.minutes).toBe(strip.stages.reduce((sum, s) => sum + s.minutes, 0))
    const long = stripDay(room, state, tablesDay(room, state), at(240))
    expect(long.at.find((x) => x.table === 'B')!.min).toBe(rub.fromMin + rub.minutes)
    const all = fold(did(100, 'seal1', table('B')))
    expect(stripDay(room, all, tablesDay(room, all), at(101)).at.find((x) => x.table === 'B')!.min).toBe(strip.minutes)
    const stopped = fold(...events, tap(55, 'stop', { stage: stage('rub1') }))
    expect(stripDay(room, stopped, tablesDay(room, stopped), at(56)).stages.at(-1)!.id).toBe(stage('rub1'))
  })
})

describe('what is left, lived by people', () => {
  const shown = tap(30, 'said', { cue: 'show' })
  const in100 = (min: number, ...events: DayEvent[]) => {
    const { input } = replan(room, fold(shown, ...events), at(min))
    const begun = beginRehearsal(rehearsalOf({ input: input! }, figuresOf(house)), 1)
    if ('refused' in begun) throw new Error(begun.refused.what)
    begun.live(300)
    return Math.round(100 * begun.story().chanceInTime)
  }
  it('ends in time as often as there is time left: minutes lost take from it, a stage that is left out gives back', () => {
    const [early, late] = [in100(40), in100(85)]
    expect(early).toBeGreaterThan(90)
    expect(late).toBeLessThan(10)
    expect(in100(85, tap(80, 'stop', { stage: stage('rub1') }))).toBeGreaterThan(90)
  })
  it('what is in hands counts with what is left of it', () => {
    const all = room.people.map((p) => p.id).filter((p) => p !== who('Edda'))
    const { input } = replan(room, fold(shown, began(92, 'rub2', all)), at(98))
    const first = input!.pieces[0]!
    expect(first.minutes).toEqual({ [stage('rub2')]: 2 })
    expect(in100(98, began(92, 'rub2', all))).toBeGreaterThan(in100(98, began(98, 'rub2', all)))
  })
})

describe('what happened becomes the document', () => {
  it('states and times of pieces that hands were at, nothing of the others; once written nothing is left to write', () => {
    const taps = [did(52, 'rub1', table('B')), tap(60, 'home', {}, ['piece', piece('Mira')])]
    const state = fold(...taps)
    const changes = factsOf(moths, state, session)
    const after = applyChanges<Workshop>(moths, changes)!
    const mira = after.pieces.find((p) => p.participant === who('Mira'))!
    expect([mira.state, mira.asIs]).toEqual(['rub-1', true])
    expect(after.pieces.find((p) => p.participant === who('Rune'))).toEqual(moths.pieces.find((p) => p.participant === who('Rune')))
    expect(changes).toHaveLength(table('B').length)
    expect(factsOf(after, state, session)).toEqual([])
    // Taken back, the document goes back too.
    const undone = fold(...taps, ...taps.map((e, i) => tap(61 + i, 'undo', { event: e.id })))
    const back = applyChanges<Workshop>(after, factsOf(after, undone, session))!
    const plain = (w: Workshop) => [...w.pieces].sort((a, b) => (a.id < b.id ? -1 : 1))
    expect(plain(back)).toEqual(plain(moths))
  })
})

describe('a class of which nobody noted what was laid', () => {
  const bare: Workshop = { ...moths, pieces: [] }
  const of = (w: Workshop, ...events: DayEvent[]) => {
    const r = dayRoom(w, planWorkshop({ workshop: w, house, now: from }), session)!
    const state = foldDay(r, events)
    return { r, state, say: () => sayNext(r, state, replan(r, state, at(41)), at(41)) }
  }
  const told = (w: Workshop, ...events: DayEvent[]) =>
    new Set(
      of(w, ...events)
        .say()
        .say.flatMap((a) => a.people),
    )
  const shown = tap(30, 'said', { cue: 'show' })
  it('is worked on as planned, and what its first table does says nothing of the others', () => {
    const events = [shown, began(40, 'wet', table('A'))]
    expect(told(bare, ...events).size).toBe(17)
    const after = applyChanges<Workshop>(bare, factsOf(bare, of(bare, ...events).state, session))!
    // The plan's time is nobody's word.
    expect(after.pieces.map((p) => p.laidAt)).toEqual(after.pieces.map(() => null))
    const ended = applyChanges<Workshop>(bare, factsOf(bare, of(bare, ...events, tap(150, 'end')).state, session))!
    expect([ended.pieces.length, ended.pieces.every((p) => p.laidAt === null)]).toEqual([17, true])
    expect(told(after, ...events)).toEqual(told(bare, ...events))
    const done = [...events, did(60, 'rub1', table('A')), did(60, 'rub1', table('B')), did(60, 'rub1', table('C'))]
    const later = applyChanges<Workshop>(bare, factsOf(bare, of(bare, ...done).state, session))!
    expect(later.pieces.length).toBeGreaterThan(9)
    expect(told(later, ...done)).toEqual(told(bare, ...done))
    expect(of(later, ...done).say().notYet).toEqual([{ person: who('Edda'), table: 'A', stage: expect.anything(), from: null }])
  })
  it('a few that are noted for themselves say nothing of the others; more than a quarter, do', () => {
    const noted = (n: number) => ({ ...moths, pieces: moths.pieces.filter((p) => p.laidAt).slice(0, n) })
    const laid = (w: Workshop) => of(w).r.people.filter((p) => p.pieces[0]!.laidAt !== null).length
    expect([laid(bare), laid(noted(1)), laid(noted(4)), laid(noted(5)), laid(moths)]).toEqual([17, 17, 17, 5, 17])
    const spares = {
      ...bare,
      pieces: moths.pieces
        .filter((p) => p.laidAt)
        .slice(0, 12)
        .map((p) => ({ ...p, spares: { [session]: 1 } })),
    }
    expect(laid(spares)).toBe(17)
  })
  it('a piece that somebody says is a print still has no time of its own, and nobody is told to rub it', () => {
    const rune = moths.pieces.find((p) => p.participant === who('Rune'))!
    const w: Workshop = { ...bare, pieces: [{ ...rune, state: 'printed', laidAt: null }] }
    expect(of(w).r.people.find((p) => p.id === who('Rune'))!.pieces[0]).toMatchObject({ state: 'printed', laidAt: null, neverBefore: null })
    expect([told(w, shown).has(who('Rune')), told(w, shown).size, told(bare, shown).size]).toEqual([false, 16, 17])
  })
  it('who is given a spare has one; taken back after it was written, they have none again', () => {
    const spare = tap(35, 'spare', {}, ['piece', piece('Edda')])
    const edda = (w: Workshop, ...events: DayEvent[]) => of(w, ...events).state.pieces.find((p) => p.person === who('Edda'))!
    const written = applyChanges<Workshop>(moths, factsOf(moths, of(moths, spare).state, session))!
    expect([edda(moths, spare).state, edda(written, spare).state, edda(written, spare).laidAt]).toEqual([
      ...['cured', 'cured', edda(moths, spare).laidAt],
    ])
    const back = [spare, tap(36, 'undo', { event: spare.id })]
    expect([edda(written, ...back).state, edda(written, ...back).laidAt]).toEqual(['printed', null])
    // Home as it is, it takes along when it was laid.
    const ended = applyChanges<Workshop>(moths, factsOf(moths, of(moths, spare, tap(150, 'end')).state, session))!
    expect(ended.pieces.find((p) => p.participant === who('Edda'))).toMatchObject({ laidAt: edda(moths, spare).laidAt, asIs: true })
  })
  it('a laying that is taken back after it was written leaves nothing of it', () => {
    const laying = 'moths-of-the-marsh-1'
    const r = dayRoom(bare, planWorkshop({ workshop: bare, house, now: '2026-05-14T17:00:00-04:00[America/New_York]' }), laying)!
    const start = r.from
    const lay = tap(0, 'did', { stage: stage('lay'), people: [who('Rune')] }, 'A', { session: laying, at: addMinutes(start, 60) })
    const after = applyChanges<Workshop>(bare, factsOf(bare, foldDay(r, [lay]), laying))!
    expect(after.pieces).toMatchObject([{ state: 'laid', laidAt: addMinutes(start, 60) }])
    const back = tap(0, 'undo', { event: lay.id }, undefined, { session: laying, at: addMinutes(start, 61) })
    const again = applyChanges<Workshop>(after, factsOf(after, foldDay(r, [lay, back]), laying))!
    expect(again.pieces.map((p) => [p.state, p.laidAt])).toEqual([['printed', null]])
  })
})

describe('spares that were used', () => {
  const used = [
    tap(20, 'spare', {}, ['piece', piece('Edda')]),
    tap(50, 'spare', {}, ['piece', piece('Mira')]),
    tap(60, 'spare', {}, ['piece', piece('Mira')]),
  ]
  const spares = (w: Workshop) => planWorkshop({ workshop: w, house, now: at(0) }).designs[0]!.spares
  const shelf = (w: Workshop) => shelfPieces(w, planWorkshop({ workshop: w, house, now: at(0) })).filter((x) => x.what === 'spare').length
  it('are the workshop’s, by class: the count left, the shelf and the day say the same; once written, nothing is left to write', () => {
    const after = applyChanges<Workshop>(moths, factsOf(moths, fold(...used), session))!
    expect(after.pieces.find((p) => p.participant === who('Mira'))!.spares).toEqual({ [session]: 2 })
    expect([spares(moths).used, spares(after).used, spares(after).count]).toEqual([0, 3, 3])
    expect([shelf(moths), shelf(after)]).toEqual([2, 0])
    expect(factsOf(after, fold(...used), session)).toEqual([])
    // The class itself counts its own taps; what another class used is gone for it.
    const left = (w: Workshop, events: DayEvent[]) => {
      const p = planWorkshop({ workshop: w, house, now: at(0) })
      const r = dayRoom(w, p, session)!
      return sparesLeft(p, r, foldDay(r, events), p.designs[0]!.design)
    }
    expect([left(moths, used.slice(0, 1)), left(after, used), left(after, [])]).toEqual([0, 0, 1])
    const before = {
      ...moths,
      pieces: moths.pieces.map((p) => (p.participant === who('Rune') ? { ...p, spares: { 'moths-of-the-marsh-1': 3 } } : p)),
    }
    expect([left(moths, []), left(before, [])]).toEqual([1, 0])
    const both = applyChanges<Workshop>(before, factsOf(before, fold(tap(50, 'spare', {}, ['piece', piece('Rune')])), session))!
    expect(both.pieces.find((p) => p.participant === who('Rune'))!.spares).toEqual({ 'moths-of-the-marsh-1': 3, [session]: 1 })
  })
  it('one more is written, also where nothing else of the piece has changed; one in the class that lays, before it is laid', () => {
    const once = applyChanges<Workshop>(moths, factsOf(moths, fold(used[1]!), session))!
    const changes = factsOf(once, fold(used[1]!, used[2]!), session)
    expect(changes).toHaveLength(1)
    const before = once.pieces.find((p) => p.participant === who('Mira'))!
    expect(applyChanges<Workshop>(once, changes)!.pieces.find((p) => p.participant === who('Mira'))).toEqual({
      ...before,
      spares: { [session]: 2 },
    })
    const [unlaid, laying] = [{ ...moths, pieces: [] }, 'moths-of-the-marsh-1']
    const r = dayRoom(unlaid, planWorkshop({ workshop: unlaid, house, now: '2026-05-14T17:00:00-04:00[America/New_York]' }), laying)!
    const state = foldDay(r, [tap(0, 'spare', {}, ['piece', piece('Rune')], { session: laying })])
    const after = applyChanges<Workshop>(unlaid, factsOf(unlaid, state, laying))!
    expect(after.pieces).toMatchObject([{ participant: who('Rune'), state: 'printed', laidAt: null, spares: { [laying]: 1 } }])
  })
  it('taken back, they are there again', () => {
    const after = applyChanges<Workshop>(moths, factsOf(moths, fold(...used), session))!
    const undone = fold(...used, ...used.map((e, i) => tap(70 + i, 'undo', { event: e.id })))
    const back = applyChanges<Workshop>(after, factsOf(after, undone, session))!
    expect(spares(back).used).toBe(0)
    expect(back.pieces.some((p) => p.spares !== undefined)).toBe(false)
  })
})

describe('the end of a class', () => {
  const taps = [did(52, 'rub1', [who('Rune')]), tap(120, 'end')]
  it('says of every piece that it goes home as it is, where no class comes after; of one that was never laid nothing', () => {
    const after = applyChanges<Workshop>(moths, factsOf(moths, fold(...taps), session))!
    const of = (name: string) => after.pieces.find((p) => p.participant === who(name))
    expect([of('Rune')?.state, of('Rune')?.asIs]).toEqual(['rub-1', true])
    expect([of('Mira')?.state, of('Mira')?.asIs]).toEqual(['laid', true])
    expect(of('Edda')?.asIs).toBeUndefined()
    const sheet = (name: string) =>
      planWorkshop({ workshop: after, house, now: at(130) }).takeHome.find((s) => s.participant === who(name))!
    // What happened beats what was planned: nobody is told that theirs is sealed.
    expect([sheet('Rune').state, sheet('Rune').group === 'finished']).toEqual(['rub-1', false])
    expect([sheet('Mira').state, sheet('Mira').ready !== undefined]).toEqual(['laid', true])
  })
  it('says nothing of those who come again; taken back, the plan goes on', () => {
    const more: Workshop = { ...moths, sessions: [...moths.sessions, { ...moths.sessions[1]!, id: 'third', date: '2026-05-23' }] }
    const some = {
      ...more,
      group: { ...more.group, participants: more.group.participants.map((p) => (p.id === who('Mira') ? { ...p, misses: ['third'] } : p)) },
    }
    const after = applyChanges<Workshop>(some, factsOf(some, fold(...taps), session))!
    expect(after.pieces.filter((p) => p.asIs).map((p) => p.participant)).toEqual([who('Mira')])
    const ended = applyChanges<Workshop>(moths, factsOf(moths, fold(...taps), session))!
    const undone = fold(...taps, tap(121, 'undo', { event: taps[1]!.id }))
    const back = applyChanges<Workshop>(ended, factsOf(ended, undone, session))!
    expect(back.pieces.filter((p) => p.asIs)).toEqual([])
  })
})

describe('of pieces that no tap was about', () => {
  it('nothing is written, however far somebody had them already', () => {
    const sealed: Workshop = { ...moths, pieces: moths.pieces.map((p, i) => (i === 0 ? { ...p, state: 'sealed' as const } : p)) }
    const other = dayRoom(sealed, planWorkshop({ workshop: sealed, house, now: from }), session)!
    expect(factsOf(sealed, foldDay(other, [did(52, 'rub1', [who('Wren')])]), session).map((c) => c.path)).toEqual([
      `pieces/${sealed.pieces.find((p) => p.participant === who('Wren'))!.id}`,
    ])
  })
})

describe('the day by the command line', () => {
  const input = { workshop: moths, house, session, events: [tap(30, 'said', { cue: 'show' }), did(52, 'rub1', table('B'))], now: at(55) }
  it('answers with state, tables, what is due and what to say next', () => {
    const a = dayAnswer(readInput(dayInput, input))
    expect(a.pieces.filter((p) => p.state === 'rub-1')).toHaveLength(table('B').length)
    expect(a.tables.find((t) => t.table === 'B')).toMatchObject({ doing: true, until: at(64) })
    expect(a.say[0]).toMatchObject({ kind: 'begin', stage: stage('wet') })
    expect(a.notYet.map((x) => x.person)).toEqual([who('Edda')])
    expect([a.conflicts, a.overMin < 0, a.offers]).toEqual([[], true, []])
  })
  it('a class that is not there is bad input', () =>
    expect(() => dayAnswer(readInput(dayInput, { ...input, session: 'x' }))).toThrow(BadInput))
})

describe('an event', () => {
  const good = did(52, 'rub1', [who('Rune')])
  it('is taken as it is', () => expect(v.safeParse(dayEvent, good).success).toBe(true))
  test.each<[string, object]>([
    ['no id', { id: 'x' }],
    ['an unknown kind', { kind: 'sneeze' }],
    ['no time', { at: 'now' }],
    ['a value of another kind', { value: { how: 'good' } }],
    ['a count below nought', { seq: -1 }],
    ['no subject', { subject: { kind: 'cat', id: 'x' } }],
  ])('with %s is refused', (_n, bad) => expect(v.safeParse(dayEvent, { ...good, ...bad }).success).toBe(false))
  it('over midnight and a clock change counts on', () => {
    const late = foldDay({ ...room, from: '2026-11-01T00:30:00-04:00[America/New_York]' }, [
      { ...good, at: '2026-11-01T01:30:00-05:00[America/New_York]' },
    ])
    expect(readInstant(late.people.find((p) => p.id === who('Rune'))!.since!).toString()).toContain('01:30:00-05:00')
  })
})

describe('a class of any size', () => {
  const of = (n: number): Workshop => ({
    ...moths,
    pieces: [],
    group: {
      ...moths.group,
      participants: Array.from({ length: n }, (_, i) => ({ ...moths.group.participants[1]!, id: `x${i}`, seat: i + 1, name: null })),
    },
  })
  test.each([0, 1, 40, 400])('%i people: everybody is told of once, nobody before their time, and it comes to an end', (n) => {
    const w = of(n)
    const room = dayRoom(w, planWorkshop({ workshop: w, house, now: from }), session)!
    expect(room.people).toHaveLength(n)
    const state = foldDay(room, [tap(30, 'said', { cue: 'show' })])
    const left = replan(room, state, at(31))
    const { say } = sayNext(room, state, left, at(31))
    const told = say.flatMap((a) => a.people)
    expect([told.length, new Set(told).size]).toEqual([n, n])
    for (const a of say) if (a.neverBefore) expect(minutesBetween(a.neverBefore, a.due)).toBeGreaterThanOrEqual(0)
    const all = foldDay(room, [
      did(
        200,
        'seal1',
        room.people.map((p) => p.id),
      ),
    ])
    expect([sayNext(room, all, replan(room, all, at(201)), at(201)).say, unfinished(room, all)]).toEqual([[], []])
    expect(stationsDay(room, all).every((s) => s.taken === 0)).toBe(true)
  })
  it('in which nothing is planned to be done can be begun and ended all the same', () => {
    const bare = dayRoom(moths, { ...plan, loads: [] }, session)!
    const state = foldDay(bare, [tap(1, 'begin'), tap(20, 'end')])
    expect([bare.people.length, bare.people.every((p) => p.route.length === 0)]).toEqual([18, true])
    expect([state.begunAt, state.endedAt]).toEqual([at(1), at(20)])
    expect([sayNext(bare, state, replan(bare, state, at(21)), at(21)).say, unfinished(bare, state)]).toEqual([[], []])
    expect(stripDay(bare, state, tablesDay(bare, state), at(21)).stages).toEqual([])
    expect(dayRoom(moths, plan, 'fourth')).toBeUndefined()
  })
  it('a seat swapped in the middle takes its person, their state and their way along', () => {
    const [a, e] = [moths.group.participants.find((p) => p.name === 'Rune')!, moths.group.participants.find((p) => p.name === 'Wren')!]
    const swapped: Workshop = {
      ...moths,
      group: {
        ...moths.group,
        participants: moths.group.participants.map((p) =>
          p.id === a.id ? { ...p, seat: e.seat } : p.id === e.id ? { ...p, seat: a.seat } : p,
        ),
      },
    }
    const other = dayRoom(swapped, planWorkshop({ workshop: swapped, house, now: from }), session)!
    const events = [began(40, 'wet', [a.id])]
    const [before, after] = [foldDay(room, events), foldDay(other, events)].map((s) => s.people.find((p) => p.id === a.id)!)
    expect([before!.table, after!.table]).toEqual(['A', 'E'])
    expect({ ...after!, table: '', seat: '' }).toEqual({ ...before!, table: '', seat: '' })
  })
})
