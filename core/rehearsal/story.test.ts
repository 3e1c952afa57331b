import { describe, expect, it } from 'vitest'
import { isRefusal } from '#core/reasons'
import { beginRehearsal, rehearse, type Rehearsal, type RehearsalInput } from '#core/rehearsal'

const input = (more: Partial<RehearsalInput> = {}): RehearsalInput => ({
  routes: [
    {
      id: 'r',
      stages: [
        { id: 'wet', minutes: 5, attended: true, station: 'basin', helper: false },
        { id: 'rub', minutes: 12, attended: true, station: null, helper: false },
        { id: 'look', minutes: 10, attended: false, station: null, helper: false },
      ],
    },
  ],
  stations: [{ id: 'basin', places: 2 }],
  helpers: 1,
  pieces: Array.from({ length: 6 }, (_, i) => ({ id: `p${i}`, route: 'r', table: 'A' })),
  blocks: [],
  minutes: 40,
  times: { r: { wet: { leastMin: 4, usualMin: 5, mostMin: 9 }, rub: { leastMin: 10, usualMin: 12, mostMin: 20 }, look: 'fixed' } },
  runs: 400,
  wishPct: 90,
  ...more,
})
function story(i: RehearsalInput, runs = 400, seed = 1, portions = 1): Rehearsal {
  const begun = beginRehearsal(i, seed)
  if (isRefusal(begun)) throw new Error(begun.refused.what)
  for (let k = 0; k < portions; k++) begun.live(runs / portions)
  return begun.story()
}

describe('a rehearsal that is watched', () => {
  it('says what the rehearsal says, in one portion or in many', () => {
    const [told, whole, parts] = [rehearse(input(), { seed: 1 }), story(input()), story(input(), 400, 1, 20)]
    if (isRefusal(told)) throw new Error()
    expect([whole.runs, whole.chanceInTime, whole.finishMin]).toEqual([400, told.chanceInTime, told.finishMin])
    expect(parts).toEqual(whole)
    const late = Object.values(whole.late).reduce((a, b) => a + b, 0)
    expect(late / 100).toBeCloseTo(told.unfinishedMean, 9)
    expect(story(input(), 400, 2).finishMin).not.toEqual(whole.finishMin)
  })
  it('without spread it is one class a hundred times', () => {
    const s = story(input({ times: {} }))
    // Three turns at the basin: done at 15, then 12 and 10.
    expect(s.finishMin).toEqual({ p10: 37, p50: 37, p90: 37 })
    expect([s.hundred.length, new Set(s.hundred).size, s.chanceInTime, s.spoiledRuns]).toEqual([100, 1, 1, 0])
    const [basin] = s.profiles
    expect([basin!.station, basin!.places, basin!.longestWaitP50, basin!.longestWaitP90]).toEqual(['basin', 2, 10, 10])
    // Two at work for fifteen minutes: thirty minutes of water in all.
    expect(basin!.work.reduce((a, b) => a + b, 0) * s.binMin).toBeCloseTo(30, 9)
    expect(basin!.work[0]).toBe(2)
    // Four wait in the first five minutes, two in the next.
    expect([basin!.wait[0], basin!.wait[3], basin!.wait[6]]).toEqual([4, 2, 0])
    expect(basin!.waitP90).toEqual(basin!.wait.map((n) => Math.round(n)))
    expect([s.done.p50.at(-1), s.done.p10.at(-1), s.done.p50[0]]).toEqual([6, 6, 0])
  })
  it('a hundred are the hundredth parts of all, and the share that is late is theirs', () => {
    const s = story(input({ minutes: 42 }), 2000)
    const late = s.hundred.filter((m) => m > 42).length
    expect(Math.abs(late - 100 * (1 - s.chanceInTime))).toBeLessThanOrEqual(1)
    expect(s.hundred).toEqual([...s.hundred].sort((a, b) => a - b))
    // More are done at best than as usual than at worst, at every moment.
    s.done.p50.forEach((n, b) => expect([s.done.p90[b]! >= n, n >= s.done.p10[b]!]).toEqual([true, true]))
  })
  it('hands of one’s own go through all one’s stages, and leave what dries alone', () => {
    const slow = story(input({ times: {}, hands: { least: 1, usual: 2, most: 3 } }), 2000)
    expect(slow.finishMin.p50).toBeGreaterThan(37 + 15)
    const fixed = story(input({ times: {}, hands: { least: 1, usual: 1, most: 1 } }))
    expect(fixed.finishMin.p50).toBe(37)
    const alone = input({ times: {}, hands: { least: 1, usual: 2, most: 3 } })
    const dry = { ...alone, routes: [{ ...alone.routes[0]!, stages: alone.routes[0]!.stages.map((s) => ({ ...s, attended: false })) }] }
    expect(story(dry).finishMin.p90).toBe(37)
  })
  it('says when a step comes later than it may', () => {
    const stages = input().routes[0]!.stages.map((s) =>
      s.id === 'wet' ? { ...s, then: { leastMin: 0, mostMin: 1 } } : s.id === 'rub' ? { ...s, station: 'basin' } : s,
    )
    const tight = input({ routes: [{ id: 'r', stages }], times: {} })
    expect(story(tight).spoiledRuns).toBe(100)
  })
  it('refuses a station without a place', () =>
    expect(isRefusal(beginRehearsal(input({ stations: [{ id: 'basin', places: 0 }] }), 1))).toBe(true))
})
