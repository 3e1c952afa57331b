import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { classStrip, kitByPlace, planWorkshop } from '#core/plan'
import type { Workshop } from '#core/workshop'

const house = demoHouses[0]!
const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const plan = (w: Workshop = moths, h: House = house) => planWorkshop({ workshop: w, house: h, now })

describe('a class part by part', () => {
  const p = plan()
  const [first] = moths.sessions
  it('its parts are the whole booking, in order', () => {
    const parts = classStrip(p, first!.id)
    const load = p.split.loads.find((l) => l.sessionId === first!.id)!
    expect(parts.reduce((sum, x) => sum + x.minutes, 0)).toBe(load.availableMin)
    expect(parts.map((x) => x.kind)).toEqual(['set-up', 'show', ...parts.slice(2, -2).map((x) => x.kind), 'clean-up', 'free'])
    expect(parts.filter((x) => x.kind === 'stage').map((x) => x.name)).toEqual(load.stages.filter((s) => s.attended).map((s) => s.name))
  })
  it('set-up and clean-up are the house’s own; a class that is too short has nothing free', () => {
    const own = { value: 55, by: 'Noor', on: '2026-05-01', why: '' }
    const parts = classStrip(plan(moths, { ...house, figures: { 'set-up': own, 'clean-up': { ...own, value: 45 } } }), first!.id)
    expect([parts[0], parts.find((x) => x.kind === 'clean-up')!.minutes]).toEqual([{ kind: 'set-up', name: '', minutes: 55 }, 45])
    const short = plan({ ...moths, sessions: moths.sessions.map((s, i) => (i === 0 ? { ...s, end: '18:50' } : s)) })
    expect(classStrip(short, first!.id).some((x) => x.kind === 'free')).toBe(false)
    expect(classStrip(p, 'gone')).toEqual([])
  })
})

describe('the kit by place', () => {
  it('every line stands once, where it is first needed', () => {
    const p = plan()
    const groups = kitByPlace(p)
    expect(groups.flatMap((g) => g.lines.map((l) => l.key)).sort()).toEqual(p.kit.map((l) => l.key).sort())
    expect(groups.map((g) => g.place)).toEqual(
      ['ahead', ...moths.sessions.map((s) => s.id), 'home'].filter((x) => groups.some((g) => g.place === x)),
    )
    const at = (material: string) => groups.find((g) => g.lines.some((l) => l.material === material))!.place
    expect([at('white-paint'), at('decoupage-glue'), at('cloth')]).toEqual(['ahead', moths.sessions[0]!.id, moths.sessions[1]!.id])
    expect(groups.every((g) => g.lines.length > 0 && new Set(g.cautions).size === g.cautions.length)).toBe(true)
  })
  it('of two designs, where the first of them needs it', () => {
    const both = demoWorkshops('2026-05-15').find((w) => w.id === 'harbour-keepsakes')!
    const p = plan(both)
    const places = (x: typeof p) => Object.fromEntries(kitByPlace(x).flatMap((g) => g.lines.map((l) => [l.key, g.place])))
    expect(places({ ...p, designs: [...p.designs].reverse() })).toEqual(places(p))
    const differing = p.kit.filter(
      (l) => new Set(p.designs.flatMap((d) => d.split.split[l.stages.find((s) => s in d.split.split) ?? ''] ?? [])).size > 1,
    )
    expect(differing.map((l) => l.material)).not.toEqual([])
  })
  it('follows the split: what is moved home is needed at home', () => {
    const seal = planWorkshop({
      workshop: { ...moths, choices: { ...moths.choices, split: { seal1: 'home' } } },
      house,
      now,
    })
    expect(seal.split.split['seal1']).toBe('home')
    const home = kitByPlace(seal).find((g) => g.place === 'home')!
    expect(home.lines.length).toBeGreaterThan(0)
    expect(home.lines.every((l) => l.stages.every((s) => !(s in seal.split.split) || seal.split.split[s] === 'home'))).toBe(true)
  })
})
