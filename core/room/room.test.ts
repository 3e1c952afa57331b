import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it, test } from 'vitest'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { checkRoom, lowerBound, planRoom, roomInput, type RoomInput, type RoomPlan } from '#core/room'
import { taskOf } from './task'

type Stage = RoomInput['routes'][number]['stages'][number]
const stage = (id: string, minutes: number, more: Partial<Stage> = {}): Stage => ({
  id,
  minutes,
  attended: true,
  station: null,
  helper: false,
  ...more,
})
const lag = (leastMin: number, mostMin: number | null = null) => ({ leastMin, mostMin })
const room = (stages: Stage[], n: number, more: Partial<RoomInput> = {}): RoomInput => ({
  routes: [{ id: 'r', stages }],
  stations: [],
  helpers: 0,
  pieces: Array.from({ length: n }, (_, i) => ({ id: `p${i}`, route: 'r', table: `t${i % 2}` })),
  blocks: [],
  minutes: 120,
  ...more,
})
const read = (input: unknown) => readInput(roomInput, input)
const plan = (input: RoomInput, budget: Parameters<typeof planRoom>[1] = { steps: 400 }): RoomPlan => {
  const p = planRoom(read(input), budget)
  if (isRefusal(p)) throw new Error(p.refused.what)
  const c = checkRoom(input, p.starts)
  expect(c.wrong).toEqual([])
  expect([c.finishMin, c.waitingMin, c.spreadMin]).toEqual([p.finishMin, p.waitingMin, p.spreadMin])
  expect(p.lowerBoundMin).toBeLessThanOrEqual(p.finishMin)
  return p
}
const refused = (input: RoomInput) => {
  const p = planRoom(read(input), { steps: 200 })
  return isRefusal(p) ? p.refused.what : undefined
}
const one = (id: string, places = 1) => [{ id, places }]

describe('a room', () => {
  it('of one piece is its stages and what lies between them', () =>
    expect(plan(room([stage('a', 5, { then: lag(10, 12) }), stage('b', 4)], 1))).toMatchObject({
      finishMin: 19,
      waitingMin: 0,
      spreadMin: 0,
      lowerBoundMin: 19,
      fits: true,
      bottleneck: null,
    }))
  it('at one basin takes turns; the bound proves it, and one more basin is what would help', () => {
    const p = plan(room([stage('rub', 6, { station: 'basin' })], 6, { stations: one('basin') }))
    expect(p).toMatchObject({ finishMin: 36, lowerBoundMin: 36, waitingMin: 6 + 12 + 18 + 24 + 30 })
    expect(p.bottleneck).toMatchObject({ kind: 'station', station: 'basin', oneMoreSavesMin: 18 })
    const more = room([stage('rub', 6, { station: 'basin' })], 6, { stations: one('basin', 2) })
    expect(checkRoom(more, p.bottleneck!.starts)).toMatchObject({ wrong: [], finishMin: 18 })
  })
  it('keeps tables together when nothing else is lost', () =>
    // Two tables of two at one basin: one after the other, 6 apart each.
    expect(plan(room([stage('rub', 6, { station: 'basin' })], 4, { stations: one('basin') })).spreadMin).toBe(12))
  it('adults are counted like places, and may be what holds it up', () => {
    const p = plan(room([stage('warm', 5, { helper: true })], 4, { helpers: 1 }))
    expect(p).toMatchObject({ finishMin: 20, lowerBoundMin: 20, bottleneck: { kind: 'helper', station: null, oneMoreSavesMin: 10 } })
  })
  it('nobody works in a demonstration, but a soak goes on through it', () => {
    const blocks = [{ fromMin: 4, toMin: 10 }]
    expect(plan(room([stage('a', 5)], 1, { blocks }))).toMatchObject({ finishMin: 15, waitingMin: 10, lowerBoundMin: 15 })
    expect(plan(room([stage('a', 5, { attended: false })], 1, { blocks }))).toMatchObject({ finishMin: 5, waitingMin: 0 })
    expect(plan(room([stage('a', 4)], 1, { blocks }))).toMatchObject({ finishMin: 4 })
  })
  it('a wait that must not be longer holds its stage back instead', () => {
    // The second stage's station is taken until 13: the first, which may be 2 minutes before at most, begins late.
    const pieces = [
      { id: 'p0', route: 'r', table: 't', pins: { b: 13 } },
      { id: 'p1', route: 'r', table: 't' },
    ]
    const p = plan(room([stage('a', 3, { then: lag(0, 2) }), stage('b', 10, { station: 's' })], 2, { stations: one('s'), pieces }))
    const at = (piece: string, s: string) => p.starts.find((x) => x.piece === piece && x.stage === s)!.atMin
    expect([at('p0', 'b'), at('p0', 'a')]).toEqual([13, 8])
    expect(at('p1', 'b') - at('p1', 'a') - 3).toBeLessThanOrEqual(2)
    expect(p.finishMin).toBe(23)
  })
  it('three rub one after another before the first comes back: no idle basin, where turn and turn about leaves it idle', () =>
    expect(
      plan(
        room([stage('one', 7, { station: 'basin', then: lag(11, 30) }), stage('two', 8, { station: 'basin' })], 3, {
          stations: one('basin'),
        }),
        { steps: 2000 },
      ).finishMin,
    ).toBe(45))
  it('who comes late begins late; own minutes are their own', () => {
    const pieces = [
      { id: 'p0', route: 'r', table: 't', fromMin: 30 },
      { id: 'p1', route: 'r', table: 't', minutes: { a: 9 } },
    ]
    expect(plan(room([stage('a', 5)], 2, { pieces }))).toMatchObject({ finishMin: 35, waitingMin: 0, spreadMin: 26 })
  })
  it('that is too long says so, and may be longer than the session', () =>
    expect([200, 120, 121].map((d) => plan(room([stage('a', d)], 1)).fits)).toEqual([false, true, false]))
})

describe('refused', () => {
  test.each<[string, RoomInput, string]>([
    ['a station without a place', room([stage('a', 5, { station: 's' })], 1, { stations: one('s', 0) }), 'There is no place at s.'],
    ['an adult where there is none', room([stage('a', 5, { helper: true })], 1), 'There is no adult to help.'],
    [
      'a pin before its piece is there',
      room([stage('a', 5)], 1, { pieces: [{ id: 'x', route: 'r', table: 't', fromMin: 9, pins: { a: 3 } }] }),
      'The pins of x cannot hold.',
    ],
    [
      'a pin in a block',
      room([stage('a', 5)], 1, { blocks: [{ fromMin: 4, toMin: 6 }], pieces: [{ id: 'x', route: 'r', table: 't', pins: { a: 0 } }] }),
      'The pins of x cannot hold.',
    ],
    [
      'pins too close',
      room([stage('a', 5, { then: lag(3) }), stage('b', 2)], 1, { pieces: [{ id: 'x', route: 'r', table: 't', pins: { a: 0, b: 7 } }] }),
      'The pins of x cannot hold.',
    ],
    [
      'pins too far apart',
      room([stage('a', 5, { then: lag(0, 3) }), stage('b', 2)], 1, { pieces: [{ id: 'x', route: 'r', table: 't', pins: { a: 0, b: 9 } }] }),
      'The pins of x cannot hold.',
    ],
    [
      'two at one place',
      room([stage('a', 5, { station: 's' })], 2, {
        stations: one('s'),
        pieces: ['x', 'y'].map((id, i) => ({ id, route: 'r', table: 't', pins: { a: i * 4 } })),
      }),
      'The pins ask for more than there is at one moment.',
    ],
  ])('%s', (_name, input, what) => expect(refused(input)).toBe(what))
  it('pins that touch hold', () => {
    const pieces = ['x', 'y'].map((id, i) => ({ id, route: 'r', table: 't', pins: { a: i * 5 } }))
    expect(plan(room([stage('a', 5, { station: 's' })], 2, { stations: one('s'), pieces })).finishMin).toBe(10)
  })
})

describe('bad input names the place', () => {
  const good = room([stage('a', 5, { station: 's', then: lag(2, 3) }), stage('b', 5)], 2, { stations: one('s') })
  const path = (input: unknown) => {
    try {
      read(input)
      return undefined
    } catch (e) {
      return (e as BadInput).path
    }
  }
  it('the good one is good', () => expect(path(good)).toBeUndefined())
  test.each<[string, unknown]>([
    ['routes', { ...good, routes: [] }],
    ['pieces', { ...good, pieces: [] }],
    ['routes.0.stages', { ...good, routes: [{ id: 'r', stages: [] }] }],
    ['routes.0.stages.1.id', { ...good, routes: [{ id: 'r', stages: [stage('a', 1), stage('a', 1)] }] }],
    ['routes.0.stages.0.station', { ...good, stations: [] }],
    ['routes.0.stages.0.minutes', { ...good, routes: [{ id: 'r', stages: [stage('a', 0)] }] }],
    ['routes.0.stages.0.minutes', { ...good, routes: [{ id: 'r', stages: [stage('a', 241)] }] }],
    ['routes.0.stages.0.then.mostMin', { ...good, routes: [{ id: 'r', stages: [stage('a', 1, { then: lag(4, 3) })] }] }],
    ['routes.1.id', { ...good, routes: [...good.routes, ...good.routes] }],
    ['stations.1.id', { ...good, stations: [...one('s'), ...one('s')] }],
    ['pieces.1.id', { ...good, pieces: [good.pieces[0], good.pieces[0]] }],
    ['pieces.0.route', { ...good, pieces: [{ id: 'x', route: 'q', table: 't' }] }],
    ['pieces.0.pins.z', { ...good, pieces: [{ id: 'x', route: 'r', table: 't', pins: { z: 3 } }] }],
    ['pieces.0.minutes.z', { ...good, pieces: [{ id: 'x', route: 'r', table: 't', minutes: { z: 3 } }] }],
    ['blocks.0.toMin', { ...good, blocks: [{ fromMin: 5, toMin: 5 }] }],
    ['helpers', { ...good, helpers: 1001 }],
    ['stations.0.places', { ...good, stations: one('s', -1) }],
    ['pieces', { ...good, pieces: Array.from({ length: 501 }, (_, i) => ({ id: `p${i}`, route: 'r', table: 't' })) }],
  ])('%s', (where, input) => expect(path(input)).toBe(where))
})

describe('the search', () => {
  const rooms = (
    JSON.parse(readFileSync('bin/practice/rooms.json', 'utf8')) as {
      rooms: { id: string; boundMin: number; bestKnown: { finishMin: number }; input: RoomInput }[]
    }
  ).rooms
  it('is the same for seed and steps, and never worse with more of them', () => {
    for (const { input } of rooms.slice(0, 40).filter((_, i) => i % 9 === 0)) {
      const [few, again, more] = [
        plan(input, { steps: 60, seed: 7 }),
        plan(input, { steps: 60, seed: 7 }),
        plan(input, { steps: 240, seed: 7 }),
      ]
      expect(again).toEqual(few)
      const sums = (p: RoomPlan) => p.finishMin * 1e9 + p.waitingMin * 1e4 + p.spreadMin
      expect(sums(more)).toBeLessThanOrEqual(sums(few))
      expect(few.steps).toBeLessThanOrEqual(60)
    }
  })
  it('of the practice rooms keeps everything, and no bound is above what is known', () => {
    let [finish, known] = [0, 0]
    for (const r of rooms) {
      const p = plan(r.input, { steps: 250, bottleneck: false })
      expect([r.id, p.lowerBoundMin <= r.bestKnown.finishMin]).toEqual([r.id, true])
      finish += p.finishMin
      known += r.bestKnown.finishMin
    }
    expect(finish / known).toBeLessThan(1.03)
  })
  it('finds the best of small rooms, tried against every plan there is', () => {
    const small = fc.record({
      a: fc.integer({ min: 1, max: 3 }),
      b: fc.integer({ min: 1, max: 3 }),
      least: fc.integer({ min: 0, max: 2 }),
      slack: fc.option(fc.integer({ min: 0, max: 2 }), { nil: undefined }),
      same: fc.boolean(),
      late: fc.integer({ min: 0, max: 2 }),
      block: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
      helper: fc.boolean(),
    })
    fc.assert(
      fc.property(small, (x) => {
        const stages = [
          stage('a', x.a, { station: 's', helper: x.helper, then: lag(x.least, x.slack === undefined ? null : x.least + x.slack) }),
          stage('b', x.b, { station: x.same ? 's' : null, helper: x.helper }),
        ]
        const input = room(stages, 2, {
          stations: one('s'),
          helpers: 1,
          blocks: x.block === undefined ? [] : [{ fromMin: x.block, toMin: x.block + 2 }],
        })
        input.pieces[1]!.fromMin = x.late
        const p = plan(input, { steps: 300 })
        const best = everyPlan(input, 20)
        expect(p.finishMin).toBe(best)
        expect(lowerBound(taskOf(input))).toBeLessThanOrEqual(best)
      }),
      { seed: 41, numRuns: 60 },
    )
  })
  it('holds in rooms of any shape', () => {
    const any = fc.record({
      n: fc.integer({ min: 1, max: 9 }),
      stages: fc.array(
        fc.record({
          d: fc.integer({ min: 1, max: 9 }),
          at: fc.integer({ min: -1, max: 2 }),
          helper: fc.boolean(),
          attended: fc.boolean(),
          least: fc.integer({ min: 0, max: 6 }),
          slack: fc.integer({ min: -1, max: 5 }),
        }),
        { minLength: 1, maxLength: 5 },
      ),
      places: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 3, maxLength: 3 }),
      helpers: fc.integer({ min: 1, max: 3 }),
      blocks: fc.array(fc.record({ fromMin: fc.integer({ min: 0, max: 40 }), d: fc.integer({ min: 1, max: 9 }) }), { maxLength: 3 }),
    })
    fc.assert(
      fc.property(any, (x) => {
        const stages = x.stages.map((s, i) =>
          stage(`s${i}`, s.d, {
            station: s.at < 0 ? null : `w${s.at}`,
            helper: s.helper,
            attended: s.attended,
            then: lag(s.least, s.slack < 0 ? null : s.least + s.slack),
          }),
        )
        plan(
          room(stages, x.n, {
            stations: x.places.map((places, i) => ({ id: `w${i}`, places })),
            helpers: x.helpers,
            blocks: x.blocks.map((b) => ({ fromMin: b.fromMin, toMin: b.fromMin + b.d })),
          }),
          { steps: 60 },
        )
      }),
      { seed: 43, numRuns: 80 },
    )
  })
  it('500 pieces, and a stage longer than the session', () => {
    expect(
      plan(room([stage('a', 3, { station: 's' }), stage('b', 4)], 500, { stations: one('s', 20) }), { steps: 12, bottleneck: false })
        .finishMin,
    ).toBeLessThanOrEqual(85)
  })
})

/** The least finish of two pieces with two stages each, over every start there is up to a horizon. */
function everyPlan(input: RoomInput, horizon: number): number {
  const [a, b] = input.routes[0]!.stages as [Stage, Stage]
  let best = Infinity
  for (let a0 = 0; a0 < horizon; a0++)
    for (let b0 = a0 + a.minutes; b0 < horizon; b0++)
      for (let a1 = 0; a1 < horizon; a1++)
        for (let b1 = a1 + a.minutes; b1 < horizon; b1++) {
          const finish = Math.max(b0, b1) + b.minutes
          if (finish >= best) continue
          const starts = [
            { piece: 'p0', stage: 'a', atMin: a0 },
            { piece: 'p0', stage: 'b', atMin: b0 },
            { piece: 'p1', stage: 'a', atMin: a1 },
            { piece: 'p1', stage: 'b', atMin: b1 },
          ]
          if (checkRoom(input, starts).wrong.length === 0) best = finish
        }
  return best
}
