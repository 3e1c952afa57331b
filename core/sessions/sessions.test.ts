import { describe, expect, it, test } from 'vitest'
import { demoHouses } from '#core/demo'
import { hoursOf } from '#core/plan'
import { latestRecipe, resolveRecipe } from '#core/recipe'
import { everySplit, firstOpening, intendedSplit, judgeSplit, placeSessions, sittingsOf, splitsOf } from '#core/sessions'
import { clockOf, dateOf, minutesBetween } from '#core/time'
import type { Session } from '#core/workshop'
import { trialSetting } from './trial'

const hours = hoursOf(demoHouses[1]!)
const now = '2026-05-13T09:00:00+02:00[Europe/Madrid]'
const session = (date: string, start: string, end: string, more: Partial<Session> = {}): Session => ({
  id: `${date}-${start.replace(':', '')}`,
  date,
  start,
  end,
  room: '',
  ...more,
})
const place = (...list: Session[]) => placeSessions(list, hours, now)
const medium = resolveRecipe(latestRecipe('medium-transfer')!, { ground: 'bare' }, {}, 'porous')
const tape = resolveRecipe(latestRecipe('tape-film')!, {}, {}, 'sealed')
const setting = (resolved: typeof medium, ...list: Session[]) => trialSetting(resolved, place(...list))

describe('placing sessions', () => {
  it('in order of time, numbered', () => {
    expect(
      place(session('2026-05-21', '10:00', '12:00'), session('2026-05-19', '10:00', '12:00')).map((s) => [s.number, dateOf(s.from)]),
    ).toEqual([
      [1, '2026-05-19'],
      [2, '2026-05-21'],
    ])
  })
  test.each([
    ['fine', [session('2026-05-19', '10:00', '12:00')], []],
    ['past', [session('2026-05-12', '10:00', '12:00')], ['past']],
    ['no-length', [session('2026-05-19', '10:00', '10:00')], ['no-length']],
    ['over midnight', [session('2026-05-19', '20:00', '01:00')], ['over-midnight']],
    ['closed day', [session('2026-05-17', '10:00', '12:00')], ['closed-day']],
    ['outside hours', [session('2026-05-19', '08:00', '12:00')], ['outside-hours']],
    ['skipped hour', [session('2027-03-29', '10:00', '12:00')], []],
  ])('%s', (_name, list, problems) => expect(place(...list)[0]!.problems).toEqual(problems))
  it('an overlap is the later one’s', () => {
    const placed = place(session('2026-05-19', '10:00', '12:00'), session('2026-05-19', '11:00', '13:00'))
    expect(placed.map((s) => s.problems)).toEqual([[], ['overlaps']])
  })
  it('one that touches does not overlap', () => {
    expect(place(session('2026-05-19', '10:00', '12:00'), session('2026-05-19', '12:00', '13:00'))[1]!.problems).toEqual([])
  })
  it('a clock change inside makes it an hour longer or shorter', () => {
    expect(place(session('2026-10-25', '01:00', '04:00'))[0]!.minutes).toBe(240)
    expect(place(session('2027-03-28', '01:00', '04:00'))[0]!.minutes).toBe(120)
  })
  it('a doubled hour can be the second', () => {
    const [first] = place(session('2026-10-25', '02:30', '04:00'))
    const [second] = place(session('2026-10-25', '02:30', '04:00', { later: true }))
    expect(first!.problems).toContain('doubled-hour')
    expect(minutesBetween(first!.from, second!.from)).toBe(60)
  })
  it('an end in the doubled hour is asked about too, and comes after the start', () => {
    const [first] = place(session('2026-10-25', '01:00', '02:30'))
    const [second] = place(session('2026-10-25', '01:00', '02:30', { later: true }))
    expect([first!.problems.includes('doubled-hour'), first!.minutes, second!.minutes]).toEqual([true, 90, 150])
    expect(first!.other).toBe(second!.to)
    // 2:45 the first time to 2:15 the second is half an hour, not the next day
    const [short] = place(session('2026-10-25', '02:45', '02:15'))
    expect([short!.minutes, short!.problems.includes('over-midnight')]).toEqual([30, false])
  })
  it('meets any earlier class that still goes on, not only the one before', () => {
    const all = place(
      session('2026-05-19', '10:00', '16:00'),
      session('2026-05-19', '10:30', '11:00'),
      session('2026-05-19', '13:00', '14:00'),
    )
    expect(all.map((s) => s.problems.includes('overlaps'))).toEqual([false, true, true])
  })
})

describe('splits', () => {
  it('a method has a sitting before and one after its cure', () => {
    expect(sittingsOf(medium).map((s) => s[0]!.id)).toEqual(['trim', 'wet'])
    expect(sittingsOf(tape)).toHaveLength(1)
  })
  it('two sessions take a sitting each', () => {
    const j = intendedSplit(setting(medium, session('2026-05-19', '10:00', '12:30'), session('2026-05-21', '10:00', '13:00')))
    expect(j).toMatchObject({ feasible: true, goesHome: 'sealed' })
    expect(j.loads).toHaveLength(2)
    expect(j.split['trim']).toBe('ahead')
  })
  it('one session leaves the second sitting for home', () => {
    const j = intendedSplit(setting(medium, session('2026-05-19', '10:00', '12:30')))
    expect(j).toMatchObject({ feasible: true, goesHome: 'laid' })
    expect(j.split['rub1']).toBe('home')
  })
  it('no session has nothing to hold', () => {
    expect(intendedSplit(setting(medium)).loads).toEqual([])
  })
  it('three sessions are all used when that works', () => {
    const j = intendedSplit(
      setting(
        medium,
        session('2026-05-19', '10:00', '12:30'),
        session('2026-05-21', '10:00', '12:30'),
        session('2026-05-22', '10:00', '12:30'),
      ),
    )
    expect(j.loads).toHaveLength(3)
    expect(j.feasible).toBe(true)
  })
  it('a rub 9 h after laying is too soon and not feasible', () => {
    const j = intendedSplit(setting(medium, session('2026-05-19', '10:00', '12:00'), session('2026-05-19', '20:00', '23:00')))
    expect(j.cure).toMatchObject({ verdict: 'too soon', requiredMin: 720 })
    expect(j.feasible).toBe(false)
  })
  it('14 h is risky, and feasible', () => {
    const j = intendedSplit(setting(medium, session('2026-05-19', '18:00', '20:00'), session('2026-05-20', '10:00', '13:00')))
    expect(j.cure?.verdict).toBe('risky')
    expect(j.feasible).toBe(true)
  })
  it('a session shorter than its work does not fit, by so much', () => {
    const j = intendedSplit(setting(tape, session('2026-05-19', '10:00', '11:00')))
    expect(j.loads[0]).toMatchObject({ fits: false, availableMin: 60 })
    expect(j.loads[0]!.neededMin).toBe(30 + 10 + 8 + 5 + 5 + 6 + 8 + 10 + 5 + 10 + 6 + 20)
  })
  it('coating in one session and laying in another breaks the race', () => {
    const s = setting(medium, session('2026-05-19', '10:00', '12:30'), session('2026-05-21', '10:00', '13:00'))
    const { split } = intendedSplit(s)
    const broken = judgeSplit({ ...split, lay: s.sessions[1]!.id, shelve: s.sessions[1]!.id }, s)
    expect(broken.problems).toContainEqual(expect.objectContaining({ kind: 'broken', after: 'coat', before: 'lay' }))
  })
  it('all splits go forward in time, best first', () => {
    const s = setting(medium, session('2026-05-19', '10:00', '12:30'), session('2026-05-21', '10:00', '13:00'))
    const order = ['ahead', ...s.sessions.map((x) => x.id), 'home']
    for (const split of everySplit(medium, s.sessions)) {
      const places = medium.stages.map((x) => order.indexOf(split[x.id]!))
      expect(places).toEqual([...places].sort((a, b) => a - b))
    }
    const held = [...splitsOf(s)]
    expect(held.every((j) => j.feasible)).toBe(true)
    expect(held[0]!.split).toEqual(intendedSplit(s).split)
    expect(held.map((j) => j.inClass)).toEqual(held.map((j) => j.inClass).sort((a, b) => b - a))
  })
  it('five sessions are still tried at once', () => {
    const five = [18, 19, 20, 21, 22].map((d) => session(`2026-05-${d}`, '10:00', '12:30'))
    const s = setting(medium, ...five)
    const all = everySplit(medium, s.sessions)
    expect(all.length).toBeGreaterThan(100)
    expect(all.length).toBeLessThan(2000)
    expect([...splitsOf(s)].length).toBeLessThanOrEqual(24)
  })
})

describe('the first opening', () => {
  test.each([
    ['2026-05-19T01:37', 180, '15:00', '2026-05-19', '15:00'],
    ['2026-05-19T16:10', 180, '15:00', '2026-05-19', '16:15'],
    ['2026-05-19T20:00', 180, '15:00', '2026-05-20', '15:00'],
    ['2026-05-16T20:00', 180, '15:00', '2026-05-18', '15:00'],
    ['2026-05-19T09:00', 180, '20:30', '2026-05-19', '10:00'],
  ])('from %s for %i minutes, usually %s', (from, minutes, usual, date, time) => {
    const at = firstOpening(`${from}:00+02:00[Europe/Madrid]`, minutes, usual, hours)!
    expect([dateOf(at), clockOf(at)]).toEqual([date, time])
  })
  it('a day that is never long enough has none', () => {
    expect(firstOpening(now, 24 * 60, '10:00', hours)).toBeUndefined()
  })
})
