import { describe, expect, it, test } from 'vitest'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { rehearsalInput, rehearse, triangular, type RehearsalInput, type Rehearsed } from '#core/rehearsal'

type Stage = RehearsalInput['routes'][number]['stages'][number]
const stage = (id: string, minutes: number, more: Partial<Stage> = {}): Stage => ({
  id,
  minutes,
  attended: true,
  station: null,
  helper: false,
  ...more,
})
const lag = (leastMin: number, mostMin: number | null = null) => ({ leastMin, mostMin })
const room = (stages: Stage[], n: number, more: Partial<RehearsalInput> = {}): RehearsalInput => ({
  routes: [{ id: 'r', stages }],
  stations: [],
  helpers: 0,
  pieces: Array.from({ length: n }, (_, i) => ({ id: `p${i}`, route: 'r', table: 't' })),
  blocks: [],
  minutes: 30,
  runs: 5,
  wishPct: 80,
  ...more,
})
const lived = (input: RehearsalInput, seed?: number): Rehearsed => {
  const r = rehearse(readInput(rehearsalInput, input), seed === undefined ? {} : { seed })
  if (isRefusal(r)) throw new Error(r.refused.what)
  return r
}
const basin = (places = 1) => [{ id: 'basin', places }]
const rub = (more: Partial<Stage> = {}) => stage('rub', 6, { station: 'basin', ...more })

describe('a rehearsal without chance', () => {
  it('of six at one basin: first come, first served, every queue counted', () => {
    const r = lived(room([rub()], 6, { stations: basin() }))
    expect(r.finishMin).toEqual({ p10: 36, p50: 36, p90: 36 })
    expect(r).toMatchObject({ runs: 5, chanceInTime: 0, unfinishedMean: 1, spoiledMean: 0 })
    expect(r.queues).toEqual([
      { kind: 'station', station: 'basin', meanWaitMin: 15, longestMean: 5, longestP90: 5 },
      { kind: 'helper', station: null, meanWaitMin: 0, longestMean: 0, longestP90: 0 },
    ])
    expect(r.changes).toEqual([
      { add: 'place', station: 'basin', count: 1, chanceInTime: 1, reaches: true },
      { add: 'helper', count: 1, chanceInTime: 0, reaches: false },
      { add: 'minutes', count: 10, chanceInTime: 1, reaches: true },
    ])
    expect(r.cheapest).toBe(0)
  })
  it('needs no change where it ends in time, and says so where none is enough', () => {
    expect(lived(room([rub()], 5, { stations: basin() }))).toMatchObject({ chanceInTime: 1, cheapest: null })
    expect(lived(room([rub()], 6, { stations: basin(), changes: [{ add: 'minutes', count: 5 }] })).cheapest).toBeNull()
    expect(
      lived(
        room([rub()], 6, {
          stations: basin(),
          changes: [
            { add: 'minutes', count: 5 },
            { add: 'minutes', count: 6 },
          ],
        }),
      ).cheapest,
    ).toBe(1)
  })
  it('a stage without a station waits at the adults, one without either nowhere', () => {
    const r = lived(room([stage('warm', 4, { helper: true }), stage('rest', 3)], 3, { helpers: 1 }))
    expect(r.queues).toEqual([{ kind: 'helper', station: null, meanWaitMin: 4, longestMean: 2, longestP90: 2 }])
    expect(r.finishMin.p50).toBe(15)
  })
  it('who cannot begin is passed over: the next in line takes what is free', () => {
    const pieces = [
      { id: 'a', route: 'both', table: 't' },
      { id: 'b', route: 'r', table: 't' },
    ]
    const routes = [
      { id: 'both', stages: [stage('x', 5, { station: 'basin', helper: true })] },
      { id: 'r', stages: [rub()] },
    ]
    const busy = { id: 'c', route: 'long', table: 't' }
    const all = {
      ...room([], 0),
      routes: [...routes, { id: 'long', stages: [stage('y', 10, { helper: true })] }],
      pieces: [busy, ...pieces],
      stations: basin(),
      helpers: 1,
    }
    // a waits for the adult until 10; b does not wait behind it.
    expect(lived(all).finishMin.p50).toBe(15)
    expect(lived(all).queues[0]).toMatchObject({ meanWaitMin: 5 })
  })
  it('an attended stage begins only where its planned minutes meet no demonstration; a soak does anyway', () => {
    const blocks = [{ fromMin: 4, toMin: 10 }]
    expect(lived(room([stage('a', 5)], 1, { blocks })).finishMin.p50).toBe(15)
    expect(lived(room([stage('a', 4)], 1, { blocks })).finishMin.p50).toBe(4)
    expect(lived(room([stage('a', 5, { attended: false })], 1, { blocks })).finishMin.p50).toBe(5)
  })
  it('what takes longer than planned goes on through it', () => {
    const times = { r: { a: { leastMin: 9, usualMin: 9, mostMin: 9 } } }
    expect(lived(room([stage('a', 4)], 1, { blocks: [{ fromMin: 4, toMin: 10 }], times })).finishMin.p50).toBe(9)
  })
  it('a wait that is too long spoils a piece once, and it goes on', () => {
    const stages = [stage('a', 2, { then: lag(0, 3) }), rub({ then: lag(0, 0) }), stage('c', 1, { station: 'basin' })]
    // At one basin: b1 0..6 after 2; the second waits from 2 until 8 or 9: more than 3.
    const r = lived(room(stages, 2, { stations: basin() }))
    expect(r.spoiledMean).toBe(2)
    expect(lived(room(stages, 1, { stations: basin() })).spoiledMean).toBe(0)
  })
  it('waits are kept, late people are late, pins are not looked at', () => {
    const pieces = [{ id: 'x', route: 'r', table: 't', fromMin: 7, pins: { a: 50 } }]
    expect(lived(room([stage('a', 5, { then: lag(10) }), stage('b', 3)], 1, { pieces })).finishMin.p50).toBe(25)
  })
})

describe('minutes that spread', () => {
  const times = { r: { rub: { leastMin: 4, usualMin: 6, mostMin: 14 } } }
  it('are triangular: within their ends, a mode, a mean', () => {
    expect([triangular(0, 4, 6, 14), triangular(1, 4, 6, 14), triangular(0.2, 4, 6, 14), triangular(0.7, 5, 5, 5)]).toEqual([4, 14, 6, 5])
    let sum = 0
    for (let i = 0; i < 10_000; i++) sum += triangular((i + 0.5) / 10_000, 4, 6, 14)
    expect(sum / 10_000).toBeCloseTo(8, 2)
  })
  it('chances fall between, and rise with time', () => {
    const of = (minutes: number) => lived(room([rub()], 4, { stations: basin(), times, runs: 2000, minutes, changes: [] })).chanceInTime
    // Four of mean 8 and variance 14/3: 32 on the mean.
    expect(of(32)).toBeGreaterThan(0.45)
    expect(of(32)).toBeLessThan(0.6)
    expect([of(16), of(56)]).toEqual([0, 1])
    const r = lived(room([rub()], 4, { stations: basin(), times, runs: 4000 }))
    expect(r.finishMin.p50).toBeCloseTo(32, 0)
    expect(r.finishMin.p10).toBeLessThan(r.finishMin.p50)
  })
  it('own minutes stretch the draw', () => {
    const one = (minutes?: Record<string, number>) =>
      lived(
        room([rub()], 1, {
          stations: basin(),
          times,
          runs: 400,
          pieces: [{ id: 'x', route: 'r', table: 't', ...(minutes && { minutes }) }],
        }),
      ).finishMin.p50
    expect(one({ rub: 12 })).toBeCloseTo(2 * one(), 9)
  })
  it('are the same for a seed, others for another, and the same draws for each change', () => {
    const input = room([rub()], 6, {
      stations: basin(),
      times,
      runs: 300,
      changes: [
        { add: 'place', station: 'basin', count: 1 },
        { add: 'place', station: 'basin', count: 5 },
      ],
    })
    expect(lived(input, 3)).toEqual(lived(input, 3))
    expect(lived(input, 3)).not.toEqual(lived(input, 4))
    const [one, five] = lived(input, 3).changes
    expect(five!.chanceInTime).toBeGreaterThanOrEqual(one!.chanceInTime)
    const direct = lived({ ...input, stations: basin(2), changes: [] }, 3).chanceInTime
    expect(one!.chanceInTime).toBe(direct)
  })
  it('"fixed" is as planned', () =>
    expect(lived(room([rub()], 2, { stations: basin(), times: { r: { rub: 'fixed' } } })).finishMin).toEqual({ p10: 12, p50: 12, p90: 12 }))
})

describe('refused and bad input', () => {
  it('a stage that can never begin', () =>
    expect(rehearse(room([rub()], 1, { stations: basin(0) }))).toMatchObject({ refused: { what: 'There is no place at basin.' } }))
  const good = room([rub()], 1, { stations: basin() })
  const path = (input: unknown) => {
    try {
      readInput(rehearsalInput, input)
      return undefined
    } catch (e) {
      return (e as BadInput).path
    }
  }
  test.each<[string | undefined, unknown]>([
    [undefined, good],
    ['runs', { ...good, runs: 0 }],
    ['runs', { ...good, runs: 20_001 }],
    ['wishPct', { ...good, wishPct: 101 }],
    ['times.q', { ...good, times: { q: {} } }],
    ['times.r.z', { ...good, times: { r: { z: 'fixed' } } }],
    ['times.r.rub.usualMin', { ...good, times: { r: { rub: { leastMin: 5, usualMin: 4, mostMin: 6 } } } }],
    ['times.r.rub.mostMin', { ...good, times: { r: { rub: { leastMin: 5, usualMin: 6, mostMin: 5 } } } }],
    ['changes.0.station', { ...good, changes: [{ add: 'place', station: 'sink', count: 1 }] }],
    ['changes.0.count', { ...good, changes: [{ add: 'helper', count: 0 }] }],
    ['pieces.0.route', { ...good, pieces: [{ id: 'x', route: 'q', table: 't' }] }],
  ])('%s', (where, input) => expect(path(input)).toBe(where))
})
