import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { errandsDue, needThought, nextSession, onShelf, planWorkshop, shelfTimes, stagesOf } from '#core/plan'
import { addMinutes } from '#core/time'
import type { Workshop } from '#core/workshop'

const house = demoHouses[0]!
const moths: Workshop = demoWorkshops('2026-05-15')[0]!
const now = '2026-05-13T09:00:00-04:00[America/New_York]'
const plan = (w: Workshop, at = now) => planWorkshop({ workshop: w, house, now: at })
const bare: Workshop = { ...moths, pieces: [], errandsDone: [] }

describe('what comes next', () => {
  const p = plan(bare)
  const [first, second] = p.sessions as [(typeof p.sessions)[number], (typeof p.sessions)[number]]
  it('a class is next until the minute it ends', () => {
    expect(nextSession(p, addMinutes(first.to, -1))?.id).toBe(first.id)
    expect(nextSession(p, first.to)?.id).toBe(second.id)
    expect(nextSession(p, second.to)).toBeUndefined()
  })
  it('errands due: neither done nor of a class that is over, the soonest first, late ones below nought', () => {
    const due = errandsDue(p, now)
    expect(due.map((x) => x.e.id).sort()).toEqual(p.errands.map((e) => e.id).sort())
    expect(due.map((x) => x.left)).toEqual([...due.map((x) => x.left)].sort((a, b) => a - b))
    const done = plan({ ...bare, errandsDone: ['order'] })
    expect(errandsDue(done, now).map((x) => x.e.id)).not.toContain('order')
    const after = errandsDue(p, first.to)
    expect(after.length).toBeGreaterThan(0)
    expect(after.every((x) => x.e.sessionId === second.id)).toBe(true)
    const [soonest] = due
    expect(errandsDue(p, addMinutes(soonest!.e.by, 30)).find((x) => x.e.id === soonest!.e.id)?.left).toBe(-30)
  })
  it('a class is made of its attended stages, each once; a class that is not there of none', () => {
    const stages = stagesOf(p, first.id)
    expect(stages).toEqual([...new Set(stages)])
    expect(stages).toContain('Coat')
    expect(stagesOf(p, 'gone')).toEqual([])
  })
})

describe('who needs a thought', () => {
  const laying = bare.sessions[0]!.id
  const rubbing = bare.sessions[1]!.id
  const away = (n: number, session: string): Workshop => ({
    ...bare,
    group: {
      ...bare.group,
      participants: bare.group.participants.map((x, i) => (i === n ? { ...x, misses: [session] } : { ...x, misses: [] })),
    },
  })
  it('who misses the class, and who missed the laying', () => {
    const of = (w: Workshop, session: string) => needThought(w, plan(w), session).map((x) => [x.person.id, x.why])
    const id = bare.group.participants[2]!.id
    expect(of(away(2, rubbing), rubbing)).toEqual([[id, 'misses']])
    expect(of(away(2, laying), rubbing)).toEqual([[id, 'not-laid']])
    expect(of(away(2, laying), laying)).toEqual([[id, 'misses']])
    // Set as printed by hand: not laid, yet nobody is away.
    const printed = {
      ...away(2, 'another'),
      pieces: [{ id: 'x', participant: bare.group.participants[4]!.id, state: 'printed' as const, laidAt: null, asIs: true }],
    }
    const here = { ...printed, group: { ...printed.group, participants: printed.group.participants.map((x) => ({ ...x, misses: [] })) } }
    expect(plan(here).takeHome.some((s) => s.group === 'not-laid')).toBe(true)
    expect(of(here, rubbing)).toEqual([])
    expect(
      of({ ...bare, group: { ...bare.group, participants: bare.group.participants.map((x) => ({ ...x, misses: [] })) } }, rubbing),
    ).toEqual([])
  })
})

describe('the shelf', () => {
  const at = (time: string) => `2026-05-14T${time}:00-04:00[America/New_York]`
  const piece = (n: number, state: 'printed' | 'laid' | 'sealed', laidAt: string | null) => ({
    id: `x${n}`,
    participant: bare.group.participants[n]!.id,
    state,
    laidAt,
  })
  it('is empty while nothing was laid', () => {
    expect(onShelf(bare, plan(bare))).toBeUndefined()
    expect(onShelf({ ...bare, pieces: [piece(0, 'printed', null)] }, plan(bare))).toBeUndefined()
  })
  it('holds what is laid and not finished; never less than no place is free', () => {
    const w: Workshop = { ...bare, pieces: [piece(0, 'laid', at('18:00')), piece(1, 'sealed', at('17:00')), piece(2, 'printed', null)] }
    const p = plan(w)
    const shelf = onShelf(w, p)!
    expect([shelf.pieces.map((x) => x.id), shelf.capacity - shelf.free]).toEqual([['x0'], 1])
    expect(onShelf(w, { ...p, shelf: { ...p.shelf!, capacity: 0 } })!.free).toBe(0)
  })
  it('tells when the last that was laid is ready, as the sheets do', () => {
    const w: Workshop = { ...bare, pieces: [piece(0, 'laid', at('17:10')), { ...piece(1, 'laid', at('18:40')), asIs: true }] }
    const p = plan(w, at('20:00'))
    const times = shelfTimes(p, onShelf(w, p)!.pieces)!
    expect(times.laid).toBe(at('18:40'))
    expect(times.earliest).toBe(p.split.cure!.earliestAt)
    expect(times.better).toBe(p.takeHome.find((t) => t.ready && t.known)!.ready!.tellAt)
    expect(shelfTimes(p, [])).toBeUndefined()
  })
})
