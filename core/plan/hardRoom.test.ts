import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { figuresOf, type House } from '#core/house'
import { isRefusal } from '#core/reasons'
import { planWorkshop } from '#core/plan'
import { checkRoom } from '#core/room'
import { rehearsalOf, runLines, storyOf } from '#core/sessions'
import { beginRehearsal } from '#core/rehearsal'
import type { Design, Workshop } from '#core/workshop'

const house: House = demoHouses[0]!
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const plan = (w: Workshop, h = house) => planWorkshop({ workshop: w, house: h, now })
/** A plan of a room is sound: the checker that shares nothing with the planner finds no fault. */
const sound = (w: Workshop, h = house) => {
  const p = plan(w, h)
  for (const l of p.loads)
    expect(checkRoom(l.room.input, l.room.plan.starts), l.sessionId).toMatchObject({ wrong: [], finishMin: l.room.plan.finishMin })
  return p
}
const session = (i: number, more: Partial<Workshop['sessions'][number]>): Workshop => ({
  ...moths,
  sessions: moths.sessions.map((s, k) => (k === i ? { ...s, ...more } : s)),
})
const second = 'moths-of-the-marsh-2'

describe('rooms at their hardest', () => {
  it('five designs by five methods at once', () => {
    const like = (id: string, kind: string, material: string, recipe: string): Design => ({
      ...moths.designs[0]!,
      ...{ id, kind, material, choices: {}, each: 1 },
      recipe: { id: recipe, version: 1 },
    })
    const five: Workshop = {
      ...moths,
      designs: [
        moths.designs[0]!,
        like('d2', 'card', 'card', 'tape-film'),
        like('d3', 'page', 'kraft', 'gesso-ground'),
        like('d4', 'panel', 'panel', 'quick-peel'),
        like('d5', 'candle', 'candle', 'wax-tissue'),
      ],
    }
    const p = sound(five)
    expect(new Set(p.designs.map((d) => d.recipe.id)).size).toBe(5)
    expect(p.loads.every((l) => l.parts.length >= 1)).toBe(true)
    // It cannot fit, and is said so, not hidden.
    expect(p.loads.some((l) => !l.fits)).toBe(true)
    expect(p.findings.some((f) => f.level === 'stop')).toBe(true)
  })
  it('everybody late: nobody begins before they come, and the class is later by as much', () => {
    const late = Object.fromEntries(moths.group.participants.map((p) => [p.id, 60]))
    const [a, b] = [plan(moths).loads[1]!, sound(session(1, { late })).loads[1]!]
    const first = Math.min(...storyOf(b.room).rows.flatMap((r) => r.spans.map((s) => s.fromMin)))
    expect(first).toBe(60)
    expect(b.neededMin).toBe(a.neededMin + 60 - storyOf(a.room).begins)
  })
  it('something shown through the whole class leaves no time: it does not fit, and says what is short', () => {
    const all = sound(session(1, { shows: [{ id: 'x', atMin: 0, minutes: 165, what: '' }] }))
    expect(all.loads[1]!.fits).toBe(false)
    expect(all.loads[1]!.neededMin).toBeGreaterThan(165 + 60)
  })
  it('a class over the hour that is left out takes its minutes by the clock on the wall that was', () => {
    const spring: Workshop = {
      ...moths,
      sessions: [
        { ...moths.sessions[0]!, date: '2027-03-12' },
        { ...moths.sessions[1]!, date: '2027-03-14', start: '01:00', end: '04:45' },
      ],
    }
    const p = sound(spring, { ...house, hours: { ...house.hours, sun: { from: '00:30', to: '20:30' } } })
    expect(p.sessions[1]!.minutes).toBe(165)
    expect(p.loads[1]!.fits).toBe(true)
    const autumn = { ...spring, sessions: [spring.sessions[0]!, { ...spring.sessions[1]!, date: '2027-11-07' }] }
    expect(sound(autumn).sessions[1]!.minutes).toBe(285)
  })
  it('a station of one place for eighteen: a queue, never two at once', () => {
    const one = sound({ ...moths, choices: { ...moths.choices, stations: { basin: 1 } } })
    const basin = storyOf(one.loads[1]!.room).stations.find((s) => s.at === 'basin')!
    expect(Math.max(...basin.levels.map((l) => l.there))).toBe(1)
    expect(basin.queue!.longestMin).toBe(85)
  })
  it('one person, and 400: a run sheet with each of them in every line of theirs', () => {
    for (const n of [1, 400]) {
      const people = Array.from({ length: n }, (_, i) => ({ id: `p${i}`, seat: i + 1, name: null, age: 'adult' as const, misses: [] }))
      const p = sound({ ...moths, group: { ...moths.group, tables: null, participants: people } }, { ...house, floors: [] })
      const lines = runLines(p.loads[1]!.room).filter((l) => !l.forAll && l.stage.endsWith('.rub1'))
      expect(lines.reduce((sum, l) => sum + l.people.length, 0)).toBe(n)
    }
  })
  it('a rehearsal of a class that does not fit says so: none of a hundred ends in time', () => {
    const short = plan(session(1, { end: '11:30' }))
    const load = short.loads.find((l) => l.sessionId === second)!
    expect(load.fits).toBe(false)
    const lived = beginRehearsal(rehearsalOf(load.room, figuresOf(house)), 1)
    if (isRefusal(lived)) throw new Error('refused')
    lived.live(200)
    expect(lived.story().chanceInTime).toBe(0)
  })
})
