import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import {
  compareSplits,
  findSeries,
  pinChange,
  planningInput,
  planWorkshop,
  rehearsalWays,
  roomWays,
  takesAlone,
  type PlanInput,
  type Remedy,
} from '#core/plan'
import type { House } from '#core/house'
import { keepPlan, planRoom, type RoomPlan } from '#core/room'
import { addMinutes } from '#core/time'
import { applyChanges, change, inWorkshop, setHeadcount, summaryOf, type Change, type Session, type Workshop } from '#core/workshop'

const now = '2026-05-04T09:00:00-04:00[America/New_York]'
// Its shelf counted, not measured; the floor of its craft room drawn.
const { rack: _measured, floors, ...undrawn } = demoHouses[0]!
const house: House = { ...undrawn, floors: floors! }
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const input = (w: Workshop, more: Partial<PlanInput> = {}): PlanInput => ({ workshop: w, house, now, ...more })
const plan = (w: Workshop, more: Partial<PlanInput> = {}) => planWorkshop(input(w, more))
const take = (w: Workshop, changes: Change[]) => applyChanges<Workshop>(w, changes)!
const second = (w: Workshop) => plan(w).loads[1]!
const of = (ways: readonly Remedy[], code: string) => ways.find((r) => r.code === code)!
const sized = (n: number) => {
  const edit = setHeadcount(
    moths,
    n,
    Array.from({ length: n }, (_, i) => `b${i}`),
  )
  if ('ask' in edit) throw new Error(edit.ask)
  return take(moths, edit.changes)
}

describe('the demo’s second class', () => {
  it('says when it is done, what no plan can beat, and what one more basin saves', () => {
    const load = second(moths)
    expect(load.room.input.stations).toEqual([
      { id: 'basin', places: 8 },
      { id: 'seal table', places: 6 },
    ])
    const searched = planRoom(load.room.input, { steps: 600, bottleneck: false }) as RoomPlan
    expect([searched.finishMin, searched.lowerBoundMin]).toEqual([120, 120])
    const basin = of(roomWays(input(moths), plan(moths), load.sessionId), 'bring-station')
    const more = second(take(moths, basin.changes))
    expect(more.room.input.stations[0]).toEqual({ id: 'basin', places: 12 })
    expect((planRoom(more.room.input, { steps: 600, bottleneck: false }) as RoomPlan).finishMin).toBeLessThan(120)
    // And undone it is as it was.
    const back = take(take(moths, basin.changes), [
      { path: basin.changes[0]!.path, before: basin.changes[0]!.after, after: basin.changes[0]!.before },
    ])
    expect(second(back)).toEqual(load)
  })
  it('what is offered is what could help: counted stations, the last stretch at home, a round fewer', () => {
    const codes = (w: Workshop) => roomWays(input(w), plan(w), 'moths-of-the-marsh-2').map((r) => r.code)
    const bare = (w: Workshop) => {
      const i = { ...input(w), house: undrawn }
      return roomWays(i, planWorkshop(i), 'moths-of-the-marsh-2').map((r) => r.code)
    }
    expect(codes(moths)).toEqual(['bring-station', 'bring-station', 'rest-at-home', 'fewer-rounds'])
    expect(bare({ ...moths, choices: { ...moths.choices, stations: {} } })).toEqual(['rest-at-home', 'fewer-rounds'])
    expect(roomWays(input(moths), plan(moths), 'nothing')).toEqual([])
    const first = roomWays(input(moths), plan(moths), 'moths-of-the-marsh-1').map((r) => r.code)
    expect(first).not.toContain('rest-at-home')
  })
  it('from sealing on at home: nothing of it is left in class', () => {
    const home = of(roomWays(input(moths), plan(moths), 'moths-of-the-marsh-2'), 'rest-at-home')
    const after = plan(take(moths, home.changes))
    expect([after.split.split['seal1'], after.split.split['dry'], after.split.split['rub2']]).toEqual([
      'home',
      'home',
      'moths-of-the-marsh-2',
    ])
    expect(after.goesHome).toBe('rub-2')
    expect(after.loads[1]!.neededMin).toBeLessThan(second(moths).neededMin - 30)
  })
  it('a rehearsal also tries more minutes and tables one after another', () => {
    const ways = rehearsalWays(input(moths), plan(moths), 'moths-of-the-marsh-2')
    expect(ways.map((r) => r.code).slice(0, 3)).toEqual(['longer-session', 'longer-session', 'stagger-tables'])
    const later = take(moths, ways[0]!.changes)
    expect(plan(later).sessions[1]!.minutes).toBe(plan(moths).sessions[1]!.minutes + 10)
    const apart = take(moths, ways[2]!.changes)
    expect(second(apart).room.input.pieces.map((p) => p.fromMin)).toEqual([
      ...Array(4).fill(40),
      ...Array(4).fill(43),
      ...Array(4).fill(46),
      ...Array(3).fill(49),
      ...Array(3).fill(52),
    ])
    expect(rehearsalWays(input(apart), plan(apart), 'moths-of-the-marsh-2').some((r) => r.code === 'stagger-tables')).toBe(false)
  })
})

describe('pins', () => {
  const id = 'moths-of-the-marsh-2'
  const who = moths.group.participants[3]!.id
  const stage = `${moths.designs[0]!.id}.seal1`
  it('hold a stage where it is put, and are taken out again', () => {
    const pinned = take(moths, [pinChange(moths, id, [who], stage, 125)])
    expect(second(pinned).room.plan.starts.find((s) => s.piece === who && s.stage === stage)!.atMin).toBe(125)
    const two = take(pinned, [pinChange(pinned, id, [who], `${moths.designs[0]!.id}.rub2`, 90)])
    expect(two.sessions[1]!.pins).toEqual({ [who]: { [stage]: 125, [`${moths.designs[0]!.id}.rub2`]: 90 } })
    const one = take(two, [pinChange(two, id, [who], stage, null)])
    expect(Object.keys(one.sessions[1]!.pins![who]!)).toEqual([`${moths.designs[0]!.id}.rub2`])
    expect(take(pinned, [pinChange(pinned, id, [who], stage, null)]).sessions[1]).not.toHaveProperty('pins')
  })
  it('that cannot hold are said, with the way out', () => {
    const broken = take(moths, [pinChange(moths, id, [who], stage, 3)])
    const p = plan(broken)
    const found = p.findings.find((f) => f.code === 'pins-broken')!
    expect([found.level, found.values]).toEqual(['look', { session: 2 }])
    expect(p.loads[1]!.neededMin).toBe(second(moths).neededMin)
    expect(take(broken, found.remedies[0]!.changes).sessions[1]).not.toHaveProperty('pins')
  })
  it('a kept plan stands as long as its room does', () => {
    const room = second(moths).room
    const searched = planRoom(room.input, { steps: 600, bottleneck: false }) as RoomPlan
    const kept = take(moths, [change(moths, inWorkshop.sessions(id).kept, keepPlan(room.input, searched, 1))])
    expect([second(kept).room.kept, second(kept).room.plan.finishMin]).toEqual([true, searched.finishMin])
    expect(second({ ...kept, choices: { ...kept.choices, stations: { basin: 9 } } }).room.kept).toBe(false)
  })
})

describe('a class that is too short', () => {
  const short = take(moths, [change(moths, inWorkshop.sessions('moths-of-the-marsh-2').end, '12:18')])
  it('each way out has been planned, and holds', () => {
    const p = plan(short)
    const found = p.findings.find((f) => f.code === 'does-not-fit')!
    expect(found.values).toMatchObject({ session: 2, available: 138, over: p.loads[1]!.neededMin - 138 })
    for (const r of found.remedies) expect([r.code, plan(take(short, r.changes)).loads[1]?.fits ?? true]).toEqual([r.code, true])
    const bring = of(found.remedies, 'bring-station')
    // The fewest: one less does not do.
    const to = (bring.changes[0]!.after as Record<string, number>)['basin']!
    expect(plan({ ...short, choices: { ...short.choices, stations: { ...short.choices.stations, basin: to - 1 } } }).loads[1]!.fits).toBe(
      false,
    )
  })
  it('a station at which people wait long is told of, and how many places less would', () => {
    const few = { ...moths, choices: { ...moths.choices, stations: { basin: 4, 'seal table': 18 } } }
    const found = plan(few).findings.find((f) => f.code === 'station-queue')!
    expect([found.level, found.decision]).toEqual(['look', 'room'])
    expect(found.values).toMatchObject({ station: 'places at a basin', have: 4, session: 2, minutes: 20, wait: 14 })
    const after = plan(take(few, found.remedies[0]!.changes))
    expect(after.findings.some((f) => f.code === 'station-queue')).toBe(false)
    expect(plan(moths).findings.some((f) => f.code === 'station-queue')).toBe(false)
  })
  test.each([0, 1, 40])('with %i people', (n) => {
    const w =
      n === 0
        ? { ...moths, group: { ...moths.group, participants: [] } }
        : n === 1
          ? { ...moths, group: { ...moths.group, participants: moths.group.participants.slice(1, 2) } }
          : sized(40)
    const p = plan(w)
    expect(p.loads).toHaveLength(2)
    expect(p.loads[1]!.room.empty).toBe(n === 0)
    expect(p.loads[1]!.neededMin).toBeGreaterThanOrEqual(
      plan({ ...moths, group: { ...moths.group, participants: [] } }).loads[1]!.neededMin,
    )
  })
})

describe('rooms and shelves of several workshops', () => {
  const later: Workshop = {
    ...moths,
    id: 'later',
    title: 'Later',
    createdAt: '2026-05-14T10:00:00-04:00[America/New_York]',
    sessions: moths.sessions.map((s) => ({ ...s, id: `later-${s.id}` })),
  }
  const desk = (h: typeof house, ...ws: Workshop[]) => ({
    workshop: (id: string) => ws.find((w) => w.id === id),
    house: () => h,
    summaries: ws.map(summaryOf),
    now,
    takes: (w: Workshop) => takesAlone(w, h, now),
  })
  it('who came later does not have the room: said, with dates that are free', () => {
    const p = planWorkshop(planningInput(desk(house, moths, later), 'later')!)
    const found = p.findings.filter((f) => f.code === 'room-taken')
    expect(found.map((f) => [f.level, f.values['session'], f.values['title']])).toEqual([
      ['stop', 1, 'Moths of the marsh'],
      ['stop', 2, 'Moths of the marsh'],
    ])
    const moved = take(later, of(found[1]!.remedies, 'move-session-free').changes)
    const again = planWorkshop(planningInput(desk(house, moths, moved), 'later')!)
    expect(again.findings.filter((f) => f.code === 'room-taken').map((f) => f.values['session'])).toEqual([1])
    const elsewhere = take(
      later,
      found.flatMap((f) => of(f.remedies, 'other-room').changes),
    )
    expect(planWorkshop(planningInput(desk(house, moths, elsewhere), 'later')!).findings.some((f) => f.code === 'room-taken')).toBe(false)
    const first = planWorkshop(planningInput(desk(house, moths, later), moths.id)!)
    expect(first.findings.filter((f) => f.code.startsWith('room-')).map((f) => [f.code, f.level])).toEqual([
      ['room-wanted', 'note'],
      ['room-wanted', 'note'],
    ])
  })
  it('two that want one rack: found, and solved by what is proposed', () => {
    const attic = { ...later, sessions: later.sessions.map((s) => ({ ...s, room: 'Attic' })) }
    const p = planWorkshop(planningInput(desk(house, moths, attic), 'later')!)
    const found = p.findings.find((f) => f.code === 'shelf-shared')!
    expect(found.values).toMatchObject({ places: 46, capacity: 32, short: 14, titles: 'Moths of the marsh' })
    const moved = take(attic, of(found.remedies, 'move-all').changes)
    expect(planWorkshop(planningInput(desk(house, moths, moved), 'later')!).findings.some((f) => f.code === 'shelf-shared')).toBe(false)
    const wide = { ...house, shelfPlaces: 46 }
    expect(planWorkshop(planningInput(desk(wide, moths, attic), 'later')!).findings.some((f) => f.code === 'shelf-shared')).toBe(false)
    expect(
      planWorkshop(planningInput(desk({ ...house, shelfPlaces: 45 }, moths, attic), 'later')!).findings.some(
        (f) => f.code === 'shelf-shared',
      ),
    ).toBe(true)
  })
})

describe('splits side by side', () => {
  it('the one that is planned, then others that hold, each as it would be', () => {
    const offers = compareSplits(input(moths))
    expect(offers[0]).toMatchObject({ present: true, changes: [], verdict: 'ready' })
    expect(offers.slice(1).every((o) => !o.present && o.stop === undefined && o.classes.every((c) => c.fits))).toBe(true)
    expect(new Set(offers.map((o) => JSON.stringify(o.places))).size).toBe(offers.length)
    for (const o of offers) {
      const p = plan(take(moths, o.changes))
      expect(p.split.split).toEqual(o.split)
      expect(o.classes.map((c) => c.neededMin)).toEqual(p.loads.map((l) => l.neededMin))
      expect(o.home.reduce((sum, h) => sum + h.pieces, 0)).toBe(18)
    }
    // First those that are finished in class.
    const atHome = offers.slice(1).map((o) => o.places.some((x) => x.place === 'home'))
    expect(atHome).toEqual([...atHome].sort())
  })
})

describe('the first dates that hold', () => {
  const ask = (rhythm: 'weekly' | 'days' | 'camp' | 'twice', more: object = {}) => ({
    rhythm,
    classes: 2,
    start: '17:00',
    minutes: 180,
    apartMin: 60,
    room: 'Craft room',
    ids: ['n1', 'n2'],
    ...more,
  })
  const bare = { ...moths, sessions: [] as Session[] }
  it('a week apart: open, ready, nothing too late, and no earlier day does', () => {
    const { found, why } = findSeries(input(bare), ask('weekly'))
    const [a, b] = found!.sessions
    expect([a!.start, a!.end, Date.parse(b!.date) - Date.parse(a!.date)]).toEqual(['17:00', '20:00', 7 * 86_400_000])
    const p = plan(take(bare, found!.changes))
    expect([p.split.cure!.verdict, p.findings.filter((f) => f.level === 'stop' || f.code.startsWith('late-'))]).toEqual(['ready', []])
    const before = { ...a!, date: new Date(Date.parse(a!.date) - 86_400_000).toISOString().slice(0, 10) }
    const sooner = plan({ ...bare, sessions: [before, b!] })
    expect(sooner.findings.some((f) => f.code.startsWith('late-'))).toBe(true)
    expect(Object.keys(why)).toEqual(['late-order'])
  })
  it('a closed day and a taken room are gone round, and counted', () => {
    const first = findSeries(input(bare), ask('weekly')).found!.sessions
    const closed = findSeries(input(bare, { house: { ...house, closedDays: [first[1]!.date] } }), ask('weekly'))
    expect(closed.found!.sessions[0]!.date > first[0]!.date).toBe(true)
    expect(closed.why['closed-day']).toBeGreaterThanOrEqual(1)
    const other = summaryOf({ ...moths, id: 'other', sessions: [{ ...first[0]!, id: 'o1' }] })
    const taken = findSeries(input(bare), ask('weekly'), [other])
    expect(taken.found!.sessions[0]!.date > first[0]!.date).toBe(true)
    expect(taken.why['room-taken']).toBe(1)
  })
  it('days in a row that are risky every time are proposed as risky', () => {
    const { found, why } = findSeries(input(bare), ask('days'))
    expect(found!.verdict).toBe('risky')
    expect(Date.parse(found!.sessions[1]!.date) - Date.parse(found!.sessions[0]!.date)).toBe(86_400_000)
    expect(why['risky']).toBeGreaterThanOrEqual(14)
  })
  it('a camp week begins on a Monday', () => {
    const { found } = findSeries(input(bare), ask('camp', { classes: 3, ids: ['n1', 'n2', 'n3'], start: '10:00' }))
    expect(new Date(`${found!.sessions[0]!.date}T00:00:00Z`).getUTCDay()).toBe(1)
    expect(found!.sessions.map((s) => s.date)).toHaveLength(3)
  })
  it('twice on a day is too soon for a cure of a night, and says so', () => {
    const { found, why } = findSeries(input(bare), ask('twice', { start: '09:30', minutes: 150 }))
    expect(found).toBeUndefined()
    expect(why['too-soon']).toBeGreaterThan(60)
  })
  it('classes that are too short are not looked for any further', () => {
    const { found, why } = findSeries(input(bare), ask('weekly', { minutes: 60 }))
    expect([found, why['does-not-fit']]).toEqual([undefined, 1])
  })
})

describe('the air that was read', () => {
  const laid = plan(moths).split.cure!.laidAt
  const damp = Array.from({ length: 14 }, (_, i) => ({
    id: `r${i}`,
    at: addMinutes(laid, i * 150),
    celsius: 16,
    humidityPct: 80,
    from: 'logger' as const,
  }))
  it('moves when pieces are ready, on the plan, its figures and the sheets alike', () => {
    const [dry, wet] = [plan(moths), plan({ ...moths, air: damp })]
    // 2130 minutes of the slowest air are worth 710; the last ten are as usual.
    expect(wet.split.cure!.requiredMin).toBe(2140)
    expect([dry.split.cure!.verdict, wet.split.cure!.verdict]).toEqual(['ready', 'risky'])
    expect(wet.findings.some((f) => f.code === 'risky')).toBe(true)
    expect(wet.figures['earliest']!.value).toBe(wet.split.cure!.earliestAt)
    expect(wet.figures['earliest']!.because.inputs.find((i) => i.name === 'air-read')).toMatchObject({ value: 14, mark: 'Y' })
    expect(dry.figures['earliest']!.because.inputs.some((i) => i.name === 'air-read')).toBe(false)
    const home = (w: Workshop) => plan({ ...w, sessions: w.sessions.slice(0, 1) }).takeHome.find((s) => s.ready)!.ready!
    expect(home({ ...moths, air: damp }).neverBefore).toBe(wet.split.cure!.earliestAt)
    expect(home(moths).neverBefore).toBe(dry.split.cure!.earliestAt)
  })
})

describe('somebody who misses the laying', () => {
  const edda = moths.group.participants[0]!
  const found = (w: Workshop, code: string) => plan(w).findings.filter((f) => f.code === code)
  const sheet = (w: Workshop) => plan(w).takeHome.find((s) => s.participant === edda.id)!
  it('has nothing to rub, and three ways to catch up: a helper, an hour before, an hour after', () => {
    expect(edda.misses).toEqual(['moths-of-the-marsh-1'])
    expect([sheet(moths).group, sheet(moths).state]).toEqual(['not-laid', 'printed'])
    const [f] = found(moths, 'misses-laying')
    expect(f!.values).toEqual({ who: 'Edda', count: 1 })
    expect(f!.remedies.map((r) => [r.code, (r.values as { at?: string }).at])).toEqual([
      ['lay-for-them', plan(moths).split.cure!.laidAt],
      ['catch-up-at', '2026-05-14T17:15:00-04:00[America/New_York]'],
      ['catch-up-at', '2026-05-15T09:30:00-04:00[America/New_York]'],
    ])
  })
  it('a helper lays it: it is ready with the others, and done with them', () => {
    const helped = take(moths, found(moths, 'misses-laying')[0]!.remedies[0]!.changes)
    expect(found(helped, 'misses-laying')).toEqual([])
    expect(found(helped, 'catch-up').map((f) => [f.level, f.values])).toEqual([
      ['note', { who: 'Edda', count: 1, at: plan(moths).split.cure!.laidAt, helper: 1, ready: 1 }],
    ])
    expect([sheet(helped).group, sheet(helped).state]).toEqual(['finished', 'sealed'])
    const back = take(helped, found(helped, 'catch-up')[0]!.remedies[0]!.changes)
    expect(back.group.participants[0]).toEqual(edda)
  })
  it('laid too late for the class it goes home laid, with a time of its own', () => {
    const at = '2026-05-16T09:00:00-04:00[America/New_York]'
    const late = take(moths, [change(moths, inWorkshop.group.participants(edda.id).catchUp, { at, by: 'self' })])
    expect(found(late, 'catch-up')[0]).toMatchObject({ level: 'look', values: { helper: 0, ready: 0 } })
    expect([sheet(late).group, sheet(late).state, sheet(late).ready!.laidAt]).toEqual(['rub-at-home', 'laid', at])
    expect(sheet(late).ready!.neverBefore).toBe(addMinutes(at, plan(moths).split.cure!.requiredMin))
  })
  it('laid too late for the class, they come to rub at an hour of their own, when it is ready and the house open', () => {
    const at = '2026-05-16T09:00:00-04:00[America/New_York]'
    const late = take(moths, [change(moths, inWorkshop.group.participants(edda.id).catchUp, { at, by: 'self' })])
    const way = found(late, 'catch-up')[0]!.remedies.find((r) => r.code === 'rub-later')!
    expect(way.values).toEqual({ at: '2026-05-17T10:00:00-04:00[America/New_York]', count: 1 })
    const comes = take(late, way.changes)
    expect([sheet(comes).group, sheet(comes).state]).toEqual(['finished', 'sealed'])
    expect(plan(comes).loads[1]!.room.input.pieces.map((x) => x.id)).not.toContain(edda.id)
    expect(found(comes, 'rubs-later').map((f) => [f.level, (f.values as { ready: number }).ready])).toEqual([['note', 1]])
    expect(found(comes, 'catch-up')[0]).toMatchObject({ level: 'note', values: { ready: 1 } })
    const back = take(comes, found(comes, 'rubs-later')[0]!.remedies[0]!.changes)
    expect([sheet(back).group, sheet(back).state]).toEqual(['rub-at-home', 'laid'])
    // Too early an hour is never said to be right, and the sheet does not count on it.
    const early = take(comes, [change(comes, inWorkshop.group.participants(edda.id).rubsAt, addMinutes(at, 11 * 60))])
    expect(found(early, 'rubs-later')[0]).toMatchObject({ level: 'look', values: { ready: 0 } })
    expect([sheet(early).group, sheet(early).state]).toEqual(['rub-at-home', 'laid'])
  })
  it('a risky hour is to be looked at, but done there', () => {
    const at = '2026-05-15T18:00:00-04:00[America/New_York]'
    const risky = take(moths, [change(moths, inWorkshop.group.participants(edda.id).catchUp, { at, by: 'self' })])
    expect(found(risky, 'catch-up')[0]).toMatchObject({ level: 'look', values: { ready: 0 } })
    expect([sheet(risky).group, sheet(risky).state]).toEqual(['finished', 'sealed'])
  })
  it('who misses the rubbing takes it home laid, or comes later', () => {
    const finn = moths.group.participants.find((p) => p.name === 'Finn')!
    const away = take(moths, [change(moths, inWorkshop.group.participants(finn.id).misses, ['moths-of-the-marsh-2'])])
    const of = (w: Workshop) => plan(w).takeHome.find((s) => s.participant === finn.id)!
    expect(of(away).group).toBe('rub-at-home')
    const [f] = found(away, 'misses-rubbing')
    expect([f!.values, f!.remedies.map((r) => r.code)]).toEqual([{ who: 'Finn', count: 1 }, ['rub-later']])
    expect(of(take(away, f!.remedies[0]!.changes)).group).toBe('finished')
    expect(found(moths, 'misses-rubbing')).toEqual([])
    // Having caught up with the laying does not make the rubbing done.
    const both = take(moths, [
      change(moths, inWorkshop.group.participants(edda.id).misses, ['moths-of-the-marsh-1', 'moths-of-the-marsh-2']),
      change(moths, inWorkshop.group.participants(edda.id).catchUp, { at: plan(moths).split.cure!.laidAt, by: 'helper' }),
    ])
    expect([sheet(both).group, sheet(both).state]).toEqual(['rub-at-home', 'laid'])
    expect(found(both, 'misses-rubbing')[0]!.values).toEqual({ who: 'Edda', count: 1 })
  })
  it('who was there is not asked', () => {
    const there = take(moths, [change(moths, inWorkshop.group.participants(edda.id).misses, [])])
    expect([found(there, 'misses-laying'), found(there, 'catch-up')]).toEqual([[], []])
  })
})

describe('clean-up', () => {
  it('counts within the booking: a class ends in time only if it is clean by then', () => {
    const load = second(moths)
    const at = (minutes: number) => {
      const s = moths.sessions[1]!
      const end = addMinutes(`${s.date}T10:00:00-04:00[America/New_York]`, minutes).slice(11, 16)
      return second(take(moths, [change(moths, inWorkshop.sessions(s.id).end, end)]))
    }
    expect([at(load.neededMin).fits, at(load.neededMin - 1).fits]).toEqual([true, false])
    expect(load.room.input.minutes).toBe(load.availableMin - load.room.cleanUpMin)
  })
})

describe('a room whose floor is drawn', () => {
  const item = (id: string, kind: 'table' | 'basin' | 'seal table', places?: number) => ({
    id,
    kind,
    xMm: 0,
    yMm: 0,
    ...(places !== undefined && { places }),
  })
  const drawn = (...items: ReturnType<typeof item>[]) => ({
    ...house,
    floors: [{ id: 'f', room: 'craft room', widthMm: 9000, depthMm: 8000, items }],
  })
  const silent: Workshop = { ...moths, choices: { ...moths.choices, stations: {} } }
  const rooms = (w: Workshop, h: typeof house & { floors?: unknown }) =>
    planWorkshop({ workshop: w, house: h as typeof house, now }).loads.map((l) => l.room.input.stations.map((s) => [s.id, s.places]))
  it('counts its places, in the classes that are held there', () => {
    const h = drawn(item('w', 'basin', 3), item('s', 'seal table', 2))
    expect(rooms(silent, h)[1]).toEqual([
      ['basin', 3],
      ['seal table', 2],
    ])
    const moved = { ...silent, sessions: silent.sessions.map((s, i) => (i === 1 ? { ...s, room: 'Annex' } : s)) }
    expect(rooms(moved, h)[1]).toEqual([])
    expect(rooms(silent, undrawn)[1]).toEqual([])
  })
  it('what the workshop says goes before', () => {
    const said = { ...silent, choices: { ...silent.choices, stations: { basin: 8 } } }
    expect(rooms(said, drawn(item('w', 'basin', 3), item('s', 'seal table', 2)))[1]).toEqual([
      ['basin', 8],
      ['seal table', 2],
    ])
  })
  it('people sit at the drawn tables, at as many as have seats for them, unless somebody says how many', () => {
    const tables = (n: number, seats: number) => drawn(...Array.from({ length: n }, (_, i) => item(`t${i}`, 'table', seats)))
    const seating = (w: Workshop, h: ReturnType<typeof drawn>) => planWorkshop({ workshop: w, house: h, now }).seating
    const open = { ...silent, group: { ...silent.group, tables: null } }
    expect(seating(open, tables(8, 6))).toEqual([6, 6, 6])
    expect(seating(open, tables(2, 6))).toEqual([9, 9])
    expect(seating(silent, tables(2, 6))).toEqual([4, 4, 4, 3, 3])
  })
})

describe('the air of a class’s room', () => {
  const reading = (session?: string) => ({
    id: 'r1',
    at: '2026-05-16T10:05:00-04:00[America/New_York]',
    celsius: 18,
    humidityPct: 70,
    from: 'hand' as const,
    ...(session && { session }),
  })
  const dries = (w: Workshop, h: House = house) =>
    planWorkshop({ workshop: w, house: h, now }).loads.map((l) =>
      l.room.input.routes.flatMap((r) => r.stages.filter((s) => !s.attended).map((s) => s.minutes)),
    )
  it('read there, what dries in that class takes longer; the shelf cures as before', () => {
    const damp = { ...moths, air: [reading('moths-of-the-marsh-2')] }
    expect(dries(moths)[1]).toEqual([12, 30])
    expect(dries(damp)[1]).toEqual([24, 60])
    expect(plan(damp).split.cure).toEqual(plan(moths).split.cure)
    expect(plan(damp).loads[1]!.neededMin).toBeGreaterThan(plan(moths).loads[1]!.neededMin + 40)
    expect(dries({ ...moths, air: [reading('moths-of-the-marsh-1')] })[1]).toEqual([12, 30])
    expect(dries({ ...moths, air: [reading()] })[1]).toEqual([12, 30])
  })
  it('usual there, likewise, in every class that is held there', () => {
    const [floor] = house.floors!
    const cool: House = { ...house, floors: [{ ...floor!, climate: { celsius: 18, humidityPct: 70 } }] }
    expect(dries(moths, cool)[1]).toEqual([24, 60])
    const elsewhere = { ...moths, sessions: moths.sessions.map((s) => ({ ...s, room: 'Annex' })) }
    expect(dries(elsewhere, cool)[1]).toEqual([12, 30])
  })
})
