import { describe, expect, it, test } from 'vitest'
import { intendedSplit, queuesOf, turnsOf, wayOf, type Setting } from '#core/sessions'
import { childrenToAdult, latestRecipe, resolveRecipe, type AgeBand } from '#core/recipe'
import { asPractised } from '#core/figures'
import { checkRoom } from '#core/room'
import { trialSetting } from './trial'

const resolved = (id: string, choices: Record<string, string> = {}) => resolveRecipe(latestRecipe(id)!, choices, {}, 'porous')
const hour = (id: string, from: number, to: number) => ({
  id,
  number: 1,
  from: `2026-05-20T${String(from).padStart(2, '0')}:00:00+00:00[UTC]`,
  to: `2026-05-20T${String(to).padStart(2, '0')}:00:00+00:00[UTC]`,
  minutes: (to - from) * 60,
  room: '',
  problems: [],
})
const long = [hour('s1', 8, 20)]
const setting = (id: string, crowd: Parameters<typeof trialSetting>[2], choices?: Record<string, string>) =>
  trialSetting(resolved(id, choices), long, crowd)
const turns = (s: Setting) => turnsOf(intendedSplit(s), s)
const starts = (s: Setting, stage: string) =>
  intendedSplit(s)
    .loads[0]!.room.plan.starts.filter((x) => x.stage === `d.${stage}`)
    .map((x) => x.atMin)

describe('races', () => {
  test.each([
    ['24 of 8 to 12, two adults', 24, '8-12', 2, 2],
    ['24 of 8 to 12, three adults', 24, '8-12', 3, 1],
    ['24 under 8, two adults', 24, 'under-8', 2, 3],
    ['one child, one adult', 1, 'under-8', 1, 1],
    ['16 of 8 to 12, one adult', 16, '8-12', 1, 2],
    ['17 of 8 to 12, one adult', 17, '8-12', 1, 3],
    ['40 teenagers race alone', 40, '13-17', 1, 1],
    ['40 adults race alone', 40, 'adult', 1, 1],
  ] as [string, number, AgeBand, number, number][])('%s', (_name, people, age, adults, expected) => {
    const s = setting('gesso-ground', { people, age, adults })
    const race = turns(s).find((t) => t.why === 'race')!
    expect(race.turns).toBe(expected)
    const at = starts(s, 'coat')
    expect(race.apartMin).toBe(Math.max(...at) - Math.min(...at))
    // Each turn waits for the one before, and no longer.
    expect(race.apartMin).toBeGreaterThanOrEqual((expected - 1) * 3)
    expect(race.apartMin).toBeLessThanOrEqual((expected - 1) * race.minutesEach)
  })
  it('never more at once than their adults may lead, and every race is kept', () => {
    const s = setting('gesso-ground', { people: 24, age: '8-12', adults: 2 })
    const { room } = intendedSplit(s).loads[0]!
    expect(room.input.stations).toEqual([{ id: 'led', places: 12 }])
    const at = new Map(room.plan.starts.map((x) => [`${x.piece} ${x.stage}`, x.atMin]))
    for (const p of room.input.pieces) expect(at.get(`${p.id} d.lay`)! - at.get(`${p.id} d.coat`)! - 3).toBeLessThanOrEqual(2)
    expect(checkRoom(room.input, room.plan.starts).wrong).toEqual([])
  })
  it('mixed ages add their shares of an adult; whoever is older races alone', () => {
    const ages = [
      { age: 'under-8' as const, people: 5 },
      { age: '8-12' as const, people: 8 },
    ]
    expect(turns(setting('gesso-ground', { people: ages, adults: 1 }))[0]!.turns).toBe(2)
    expect(turns(setting('gesso-ground', { people: ages, adults: 2 }))[0]!.turns).toBe(1)
    const withAdults = setting('gesso-ground', { people: [...ages, { age: 'adult', people: 4 }], adults: 1 })
    expect(turns(withAdults)[0]).toMatchObject({ people: 13, turns: 2 })
    expect(new Set(starts(withAdults, 'coat').slice(13)).size).toBe(1)
  })
  it('its window is the tightest wait in it, least and most', () => {
    expect(turns(setting('quick-peel', { people: 6, adults: 1 }))[0]).toMatchObject({
      stages: ['coat', 'lay', 'peel'],
      window: { least: 3, most: 5 },
      minutesEach: 10,
    })
    expect(turns(setting('quick-peel', { people: 6 }, { lights: 'hot' }))[0]!.window).toMatchObject({ least: 2, most: 4 })
    expect(turns(setting('water-lift', { people: 6 }))[0]).toMatchObject({ stages: ['wet', 'lay', 'lift'], window: { most: 1 } })
  })
  it('a method without a race has none', () => expect(turns(setting('tape-film', { people: 24, age: 'under-8' }))).toEqual([]))
})

describe('what only adults may touch', () => {
  test.each([
    [12, '8-12', 2, 12],
    [12, '8-12', 3, 6],
    [12, '13-17', 4, 4],
    [12, 'adult', 1, 0],
  ] as [number, AgeBand, number, number][])('%i candles for %s, %i adults: %i turns', (people, age, adults, expected) => {
    const s = setting('wax-tissue', { people, age, adults })
    const heat = turns(s).find((t) => t.why === 'adults-only')
    expect(heat?.turns ?? 0).toBe(expected)
    expect(heat?.apartMin ?? 0).toBe(Math.max(0, expected - 1) * 5)
    expect(heat?.atOnce ?? adults - 1).toBe(adults - 1 || 0)
  })
  it('says who and why, with marks', () => {
    const [heat] = turns(setting('wax-tissue', { people: 12, age: '8-12', adults: 3 }))
    expect(heat!.because.rule).toBe('adults-only-turns')
    expect(heat!.because.inputs.map((i) => [i.name, i.value])).toEqual([
      ['barred', 12],
      ['hands', 2],
      ['turn-minutes', 5],
    ])
    const [race] = turns(setting('gesso-ground', { people: 8, age: '8-12', adults: 1 }))
    expect(race!.because.inputs[0]).toMatchObject({ name: 'age-8-12', mark: childrenToAdult('8-12', asPractised).mark })
  })
})

describe('a class as a room', () => {
  it('nobody works while it is set up and shown, and clean-up comes after the last', () => {
    const s = setting('medium-transfer', { people: 18 })
    const load = intendedSplit(s).loads[0]!
    expect([load.room.setUpMin, load.room.showMin, load.room.cleanUpMin]).toEqual([30, 10, 20])
    expect(Math.min(...load.room.plan.starts.map((x) => x.atMin))).toBe(40)
    expect(load.neededMin).toBe(load.room.plan.finishMin + 20)
    expect(load.room.plan.lowerBoundMin).toBe(load.room.plan.finishMin)
  })
  it('the way of the last adds up to the minute', () => {
    const s = setting('tape-film', { people: 30, places: { basin: 2 } })
    const { room } = intendedSplit(s).loads[0]!
    expect(40 + wayOf(room).reduce((sum, x) => sum + x.queue + x.minutes + x.wait, 0)).toBe(room.plan.finishMin)
    for (const p of room.input.pieces)
      expect(40 + wayOf(room, p.id).reduce((sum, x) => sum + x.queue + x.minutes + x.wait, 0)).toBeLessThanOrEqual(room.plan.finishMin)
  })
  it('stations whose places nobody counted have enough', () => {
    const free = intendedSplit(setting('tape-film', { people: 30 })).loads[0]!
    expect(free.room.input.stations).toEqual([])
    expect(queuesOf(free.room)).toEqual([])
    const two = intendedSplit(setting('tape-film', { people: 30, places: { basin: 2 } })).loads[0]!.room
    const [queue] = queuesOf(two)
    expect([queue!.at, queue!.places, queue!.most]).toEqual(['basin', 2, 28])
    expect(queue!.longestMin).toBe(Math.max(...queue!.waits.map((w) => w.toMin - w.fromMin)))
    expect(queue!.totalMin).toBe(two.plan.waitingMin)
  })
  it('who misses it is not in it, who comes later begins later, tables may begin one after another', () => {
    const more = { people: 8, misses: { p3: ['s1'] }, runs: { s1: { late: { p0: 65 }, stagger: 5 } } }
    const { room } = intendedSplit(setting('tape-film', more)).loads[0]!
    expect(room.input.pieces.map((p) => p.id)).not.toContain('p3')
    expect(room.input.pieces.map((p) => [p.id, p.fromMin])).toEqual([
      ['p0', 65],
      ...['p1', 'p2'].map((p) => [p, 40]),
      ...['p4', 'p5', 'p6', 'p7'].map((p) => [p, 45]),
    ])
  })
  it('what is pinned begins then, what is shown stops everybody’s hands', () => {
    const shows = [{ id: 'x', atMin: 60, minutes: 5, what: 'how to burnish' }]
    const { room } = intendedSplit(setting('tape-film', { people: 4, runs: { s1: { pins: { p1: { 'd.tape': 70 } }, shows } } })).loads[0]!
    expect(room.plan.starts.find((x) => x.piece === 'p1' && x.stage === 'd.tape')!.atMin).toBe(70)
    for (const x of room.plan.starts) {
      const { stage } = room.stages[x.stage]!
      if (stage.attended) expect(x.atMin >= 65 || x.atMin + stage.minutes.value <= 60).toBe(true)
    }
  })
  it('pins that cannot hold are said, and it is planned without them', () => {
    const { room } = intendedSplit(setting('tape-film', { people: 4, runs: { s1: { pins: { p1: { 'd.tape': 10 } } } } })).loads[0]!
    expect(room.pinsBroken).toBe(true)
    expect(room.plan.starts).toHaveLength(room.input.pieces.length * room.input.routes[0]!.stages.length)
    // Pins of stages that are not there, or of somebody who is not, are nothing.
    const other = intendedSplit(setting('tape-film', { people: 4, runs: { s1: { pins: { p1: { 'd.gone': 10 }, p9: { 'd.tape': 3 } } } } }))
    expect(other.loads[0]!.room.pinsBroken).toBe(false)
  })
  it('without anybody it is as long as one piece takes', () => {
    const { room, neededMin } = intendedSplit(setting('tape-film', { people: 0 })).loads[0]!
    expect(room.empty).toBe(true)
    expect(neededMin).toBe(intendedSplit(setting('tape-film', { people: 1 })).loads[0]!.neededMin)
  })
})
