import { describe, expect, it } from 'vitest'
import {
  adultsAt,
  awaited,
  dayRoom,
  foldDay,
  lateWays,
  offers,
  replan,
  sayNext,
  stationsDay,
  unmarked,
  type DayEvent,
  type DayKind,
} from '#core/day'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { addMinutes, minutesBetween } from '#core/time'
import type { Workshop } from '#core/workshop'

const house = demoHouses[0]!
const moths: Workshop = demoWorkshops('2026-05-15')[0]!
const session = 'moths-of-the-marsh-2'
const from = '2026-05-16T10:00:00-04:00[America/New_York]'
const at = (min: number) => addMinutes(from, min)
const minute = (x: string | undefined) => (x === undefined ? NaN : minutesBetween(from, x))
const who = (name: string) => moths.group.participants.find((p) => p.name === name)!.id
const roomOf = (w: Workshop) => dayRoom(w, planWorkshop({ workshop: w, house, now: from }), session)!
const room = roomOf(moths)
const end = minutesBetween(from, room.to) - room.cleanUpMin

let n = 0
const tap = (min: number, kind: DayKind, value: object = {}, subject: [string, string] = ['room', 'room']) =>
  ({
    ...{ id: `018f0000-0000-7000-8000-${String(++n).padStart(12, '0')}`, workshop: moths.id, session, kind, value, at: at(min) },
    ...{ subject: { kind: subject[0], id: subject[1] }, device: 'a', seq: n, skew: 0, actor: 'Noor' },
  }) as unknown as DayEvent
const shown = tap(30, 'said', { cue: 'show' })
const absent = (name: string, min = 31) => tap(min, 'absent', {}, ['person', who(name)])
function lived(now: number, events: readonly DayEvent[], r = room) {
  const state = foldDay(r, events)
  const left = replan(r, state, at(now))
  return { state, left, late: [...lateWays(r, state, left, at(now))] }
}

describe('who is not here yet', () => {
  it('is told by when to begin, and what that comes to; a minute later would be too late', () => {
    const { late, left } = lived(36, [shown, absent('Anton')])
    expect(late).toHaveLength(1)
    const [anton] = late as [(typeof late)[number]]
    expect([anton.person, anton.stage!.id.split('.')[1], anton.stopAfter, anton.noPiece]).toEqual([who('Anton'), 'wet', null, false])
    const by = anton.by!
    expect(minute(by.doneAt)!).toBeLessThanOrEqual(end)
    expect(minute(by.beginAt)!).toBeGreaterThan(36)
    // What comes of it when they come just then: the room as it is, nobody else moved.
    const come = tap(minute(by.beginAt)!, 'here', {}, ['person', who('Anton')])
    const then = replan(room, foldDay(room, [shown, absent('Anton'), come]), by.beginAt)
    expect(then.starts.get(`${who('Anton')} ${anton.stage!.id}`)).toBe(by.beginAt)
    const whole = anton.stage && room.people.find((p) => p.id === who('Anton'))!.route
    const needed = whole!.reduce((sum, s, i) => sum + s.minutes + (i < whole!.length - 1 ? s.leastMin : 0), 0)
    expect(minutesBetween(by.beginAt, by.doneAt)).toBeGreaterThanOrEqual(needed)
    // Their own work fills the rest: it cannot begin later than the end less what it needs.
    expect(minute(by.beginAt)!).toBeLessThanOrEqual(end - needed)
    expect(minute(by.beginAt)!).toBeGreaterThan(end - needed - 15)
    expect(left.starts.has(`${who('Anton')} ${anton.stage!.id}`)).toBe(false)
  })
  it('goes home after an earlier stage where not all goes in any more; at last nothing does', () => {
    const ways = [36, 60, 80, 100, 120, 140, 158].map((m) => lived(m, [shown, absent('Anton')]).late[0]!)
    const ranks = ways.map((w) => (w.by === null ? 0 : w.stopAfter === null ? 9 : (w.stopAfter.round ?? 1)))
    expect(ranks).toEqual([...ranks].sort((a, b) => b - a))
    expect([ranks[0], ranks.at(-1)]).toEqual([9, 0])
    const stopped = ways.find((w) => w.stopAfter)!
    expect(stopped.stopAfter!.mayStop).toBe(true)
    for (const w of ways) if (w.by) expect(minute(w.by.doneAt)!).toBeLessThanOrEqual(end)
  })
  it('is the furthest stage from which a piece may go home that still goes in, never another', () => {
    const route = room.people.find((p) => p.id === who('Anton'))!.route
    const may = route.slice(0, -1).filter((s) => s.mayStop)
    expect(may.length).toBeGreaterThan(1)
    const all = Array.from({ length: 60 }, (_, i) => lived(36 + 2 * i, [shown, absent('Anton')]).late[0]!)
    const stops = [...new Set(all.flatMap((w) => (w.by && w.stopAfter ? w.stopAfter.id : [])))]
    // From the end of their way backwards, one after another, each of them once.
    expect(stops).toEqual(may.map((s) => s.id).reverse())
    // Wetting alone would go in long after that: nobody is asked to come for it.
    expect(lived(Math.floor(end) - route[0]!.minutes - 1, [shown, absent('Anton')]).late[0]!.by).toBeNull()
  })
  it('takes no place that somebody else has by then', () => {
    const places = tap(33, 'places', { places: 2 }, ['station', 'seal table'])
    // The run sheet has the others seal two by two until the end, with one place free some minutes before it.
    const last = room.people.filter((p) => p.expected && p.id !== who('Anton') && p.id !== who('Edda'))
    const planned = new Map(room.planned)
    last.forEach((p, i) => planned.set(`${p.id} ${p.route.at(-1)!.id}`, Math.floor(end) - 3 - 3 * Math.floor((i + (i > 2 ? 1 : 0)) / 2)))
    const { left, late } = lived(36, [shown, absent('Anton'), places], { ...room, planned })
    const seal = room.people.find((p) => p.id === who('Anton'))!.route.at(-1)!
    const by = late[0]!.by!
    const from = minute(by.doneAt) - seal.minutes
    expect(late[0]!.stopAfter).toBeNull()
    const others = [...left.starts].filter(([k]) => k.endsWith(` ${seal.id}`)).map(([, at]) => minute(at))
    expect(others.length).toBe(16)
    for (let min = from; min < from + seal.minutes; min++)
      expect(others.filter((x) => x <= min && x + seal.minutes > min).length, String(min)).toBeLessThan(2)
  })
  it('without a piece that may be rubbed there is nothing to begin; with a piece that is not ready nothing begins before', () => {
    expect(lived(36, [shown, absent('Edda')]).late[0]).toMatchObject({ by: null, noPiece: true })
    const young = structuredClone(room)
    young.people.find((p) => p.id === who('Anton'))!.pieces[0]!.neverBefore = at(70)
    const [anton] = lived(36, [shown, absent('Anton')], young).late
    expect(minute(anton!.by!.beginAt)!).toBeGreaterThanOrEqual(70)
  })
  it('is told nothing where all are here; once here they are planned like all', () => {
    expect(lived(36, [shown]).late).toEqual([])
    expect(lived(41, [shown, absent('Anton'), tap(40, 'here', {}, ['person', who('Anton')])]).late).toEqual([])
  })
  it('moves nobody: what the others begin is what was planned', () => {
    const { left, late } = lived(36, [shown, absent('Anton'), absent('Rune')])
    expect(late.map((x) => x.person).sort()).toEqual([who('Anton'), who('Rune')].sort())
    expect([...left.starts.keys()].some((k) => k.startsWith(`${who('Anton')} `))).toBe(false)
  })
})

describe('who said that they come later', () => {
  const w: Workshop = { ...moths, sessions: moths.sessions.map((s) => (s.id === session ? { ...s, late: { [who('Rune')]: 75 } } : s)) }
  const r = roomOf(w)
  it('is not among those to be marked at the begin, is looked out for, and is planned from when they come', () => {
    const state = foldDay(r, [shown])
    expect(unmarked(r, state).map((p) => p.id)).not.toContain(who('Rune'))
    expect(unmarked(r, state)).toHaveLength(17)
    expect(awaited(r, state).map((p) => p.id)).toEqual([who('Rune')])
    const left = replan(r, state, at(36))
    const begin = left.starts.get(`${who('Rune')} ${r.people.find((p) => p.id === who('Rune'))!.route[0]!.id}`)!
    expect(minute(begin)!).toBeGreaterThanOrEqual(75)
    for (const a of sayNext(r, state, left, at(36)).say)
      if (a.people.includes(who('Rune'))) expect(minute(a.due)!).toBeGreaterThanOrEqual(75)
    expect(minute([...lateWays(r, state, left, at(36))][0]!.by!.beginAt)!).toBeGreaterThanOrEqual(75)
    // Also where the room has to be planned anew.
    const tight = foldDay(r, [shown, tap(35, 'places', { places: 2 }, ['station', 'basin'])])
    const first = r.people.find((p) => p.id === who('Rune'))!.route[0]!.id
    expect(minute(replan(r, tight, at(36)).starts.get(`${who('Rune')} ${first}`))).toBeGreaterThanOrEqual(75)
  })
  it('so late that not all goes in, goes home after what does', () => {
    const late = roomOf({ ...w, sessions: w.sessions.map((s) => (s.id === session ? { ...s, late: { [who('Rune')]: 110 } } : s)) })
    const [rune] = lived(36, [shown], late).late
    expect(minute(rune!.by!.beginAt)).toBeGreaterThanOrEqual(110)
    expect(rune!.stopAfter!.mayStop).toBe(true)
  })
  it('and comes sooner begins sooner', () => {
    const come = [shown, tap(40, 'here', {}, ['person', who('Rune')])]
    const left = replan(r, foldDay(r, come), at(40))
    const first = r.people.find((p) => p.id === who('Rune'))!.route[0]!.id
    expect(minute(left.starts.get(`${who('Rune')} ${first}`))).toBeLessThan(75)
    expect(awaited(r, foldDay(r, come))).toEqual([])
  })
})

describe('who misses the class', () => {
  const w: Workshop = {
    ...moths,
    group: { ...moths.group, participants: moths.group.participants.map((p) => (p.name === 'Rune' ? { ...p, misses: [session] } : p)) },
  }
  const r = roomOf(w)
  it('is away, is not looked out for and nothing is said to them; once here, they work like all', () => {
    const state = foldDay(r, [shown])
    const rune = (s: typeof state) => s.people.find((p) => p.id === who('Rune'))!
    const told = (s: typeof state) => sayNext(r, s, replan(r, s, at(36)), at(36)).say.some((a) => a.people.includes(who('Rune')))
    expect([rune(state).presence, told(state), awaited(r, state), unmarked(r, state).some((p) => p.id === who('Rune'))]).toEqual([
      ...['absent', false, [], false],
    ])
    const come = foldDay(r, [shown, tap(35, 'here', {}, ['person', who('Rune')])])
    expect([rune(come).presence, told(come)]).toEqual(['here', true])
    const works = foldDay(r, [shown, tap(35, 'began', { stage: rune2, people: [who('Rune')] })])
    expect([rune(works).presence, works.conflicts]).toEqual(['here', []])
  })
  const rune2 = room.people.find((p) => p.id === who('Rune'))!.route[0]!.id
})

describe('hands that are over their time', () => {
  it('hold nothing up: what follows may begin, at the same minute for all who began together', () => {
    const first = room.people.find((p) => p.id === who('Rune'))!.route[0]!
    const two = ['Rune', 'Anton', 'Calla'].map(who)
    const state = foldDay(room, [shown, tap(40, 'began', { stage: first.id, people: two })])
    const starts = (min: number) => two.map((p) => minute(replan(room, state, at(min)).starts.get(`${p} ${room.people[1]!.route[1]!.id}`)))
    expect(starts(41)).toEqual([40, 40, 40].map((x) => x + first.minutes))
    // At the minute itself, and long after it, nobody waits a minute more.
    expect(starts(40 + first.minutes)).toEqual([40, 40, 40].map((x) => x + first.minutes))
    expect(starts(60)).toEqual([60, 60, 60])
    const last = room.people.find((p) => p.id === who('Rune'))!.route.at(-1)!
    const sealing = foldDay(room, [shown, tap(100, 'began', { stage: last.id, people: room.people.map((p) => p.id) })])
    expect(minute(replan(room, sealing, at(150)).doneAt)).toBe(150)
  })
})

describe('an adult gone', () => {
  const helped = structuredClone(room)
  for (const p of helped.people) for (const s of p.route) s.helper = s.id.endsWith('.seal1')
  const two = { ...helped, helpers: 2, planned: new Map<string, number>() }
  it('what adults do with young hands is done by those who are left', () => {
    const state = (places?: number) =>
      foldDay(two, [shown, ...(places === undefined ? [] : [tap(35, 'places', { places }, ['station', adultsAt])])])
    const of = (places?: number) => minute(replan(two, state(places), at(36)).doneAt)!
    expect(of(1)).toBeGreaterThan(of(2))
    expect(of()).toBe(of(2))
    // The instructor is always there.
    expect(of(0)).toBe(of(1))
  })
  it('stands among the stations where adults have something to do, as many as are with a piece', () => {
    const rows = (...events: DayEvent[]) => stationsDay(two, foldDay(two, events)).filter((s) => s.id === adultsAt)
    const seal = two.people.find((p) => p.id === who('Rune'))!.route.find((s) => s.helper)!.id
    expect(rows()).toEqual([{ id: adultsAt, planned: 2, places: 2, taken: 0 }])
    expect(rows(tap(50, 'began', { stage: seal, people: [who('Rune')] }))).toMatchObject([{ taken: 1 }])
    expect(rows(tap(50, 'places', { places: 0 }, ['station', adultsAt]))).toMatchObject([{ planned: 2, places: 1 }])
    expect(stationsDay(room, foldDay(room, [])).some((s) => s.id === adultsAt)).toBe(false)
  })
})

it('a class in its time is offered nothing to leave out', () => {
  const { state, left } = lived(36, [shown])
  expect([left.overMin <= 0, offers(room, state, left, at(36))]).toEqual([true, []])
})
