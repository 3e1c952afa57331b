import { describe, expect, it } from 'vitest'
import { isRefusal } from '#core/reasons'
import { checkRoom, keepPlan, keptPlan, planRoom, quickRoom, roomKey, type RoomInput, type RoomPlan } from '#core/room'

const room = (people: number, places = 2, more: Partial<RoomInput> = {}): RoomInput => ({
  routes: [
    {
      id: 'r',
      stages: [
        { id: 'wet', minutes: 5, attended: true, station: 'basin', helper: false, then: { leastMin: 0, mostMin: 10 } },
        { id: 'rub', minutes: 12, attended: true, station: null, helper: false },
      ],
    },
  ],
  stations: [{ id: 'basin', places }],
  helpers: 1,
  pieces: Array.from({ length: people }, (_, i) => ({ id: `p${i}`, route: 'r', table: `t${Math.floor(i / 4)}` })),
  blocks: [{ fromMin: 0, toMin: 10 }],
  minutes: 120,
  ...more,
})
const plan = (r: RoomInput) => quickRoom(r) as RoomPlan

describe('a plan at once', () => {
  it('holds, is the same each time, and says its bound', () => {
    const r = room(9)
    const p = plan(r)
    expect(checkRoom(r, p.starts).wrong).toEqual([])
    // Nine at two places are five turns of 5 min, then 12: nobody can be sooner.
    expect([p.finishMin, p.lowerBoundMin, p.bottleneck]).toEqual([10 + 5 * 5 + 12, 10 + 5 * 5 + 12, null])
    expect(quickRoom(structuredClone(r))).toBe(quickRoom(r))
  })
  it('is never better than a search, and never below its bound', () => {
    for (const n of [1, 3, 7, 20]) {
      const [quick, searched] = [plan(room(n)), planRoom(room(n), { steps: 400 }) as RoomPlan]
      expect(quick.finishMin).toBeGreaterThanOrEqual(searched.finishMin)
      expect(searched.finishMin).toBeGreaterThanOrEqual(quick.lowerBoundMin)
    }
  })
  it('refuses what can never begin', () => expect(isRefusal(quickRoom(room(3, 0)))).toBe(true))
})

describe('what a room is, in a word', () => {
  it('is one for the same room, and another for any other', () => {
    const words = [
      room(4),
      room(5),
      room(4, 3),
      room(4, 2, { minutes: 121 }),
      room(4, 2, { blocks: [] }),
      { ...room(4), pieces: room(4).pieces.map((p, i) => (i === 2 ? { ...p, fromMin: 7 } : p)) },
      { ...room(4), pieces: room(4).pieces.map((p, i) => (i === 2 ? { ...p, table: 'x' } : p)) },
      { ...room(4), pieces: room(4).pieces.map((p, i) => (i === 2 ? { ...p, pins: { rub: 40 } } : p)) },
    ].map(roomKey)
    expect(new Set(words).size).toBe(words.length)
    expect(roomKey(structuredClone(room(4)))).toBe(words[0])
  })
})

describe('a plan that is kept', () => {
  const r = room(6)
  const searched = planRoom(r, { steps: 300, seed: 7, bottleneck: false }) as RoomPlan
  const kept = keepPlan(r, searched, 7)
  it('comes back whole for the same room', () => {
    const back = keptPlan(r, kept)!
    expect([back.finishMin, back.waitingMin, back.spreadMin, back.fits]).toEqual([
      searched.finishMin,
      searched.waitingMin,
      searched.spreadMin,
      true,
    ])
    expect(back.starts).toHaveLength(12)
    expect([kept.seed, kept.steps]).toEqual([7, searched.steps])
  })
  it('is no plan of another room, nor when it does not hold', () => {
    expect(keptPlan(room(6, 3), kept)).toBeUndefined()
    expect(keptPlan(r, { ...kept, starts: kept.starts.map((m) => m - 20) })).toBeUndefined()
    expect(keptPlan(r, { ...kept, starts: kept.starts.slice(1) })).toBeUndefined()
    expect(keptPlan(r, { ...kept, starts: [...kept.starts, 90] })).toBeUndefined()
  })
})
