import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { phrases, sayPlan } from '#core/phrases'
import { decisionIds, difference, planInput, planWorkshop, type Finding, type Plan } from '#core/plan'
import { isRefusal } from '#core/reasons'
import * as v from 'valibot'
import type { PlannedDesign } from './design'
import { wholePack } from './finders/kit'
import { situate } from './situation'
import { applyChanges, newWorkshop, setHeadcount, type Session, type Workshop } from '#core/workshop'

// Its shelf counted, not measured.
const { rack: _measured, ...house } = demoHouses[0]!
const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const plan = (w: Workshop, h: House = house): Plan => planWorkshop({ workshop: w, house: h, now })
const codes = (p: Plan) => p.findings.map((f) => f.code)
const design = (change: object): Workshop => ({ ...moths, designs: [{ ...moths.designs[0]!, ...change }] })
const sessions = (...list: [string, string, string][]): Workshop => ({
  ...moths,
  sessions: list.map(([date, start, end], i): Session => ({ id: `s${i}`, date, start, end, room: '' })),
})
const mm = (n: number) => ({ mm: n, text: `${n} mm` })

describe('findings', () => {
  test.each<[string, Workshop, string, string]>([
    ['nobody', { ...moths, group: { ...moths.group, participants: [] } }, 'no-people', 'stop'],
    ['no date', { ...moths, sessions: [] }, 'no-date', 'look'],
    ['a piece larger than the paper', design({ width: mm(400), height: mm(300) }), 'larger-than-paper', 'stop'],
    ['wax tissue on a plaque', design({ recipe: { id: 'wax-tissue', version: 1 } }), 'method-not-for-piece', 'stop'],
    ['a recipe of a version that is not here', design({ recipe: { id: 'medium-transfer', version: 7 } }), 'recipe-missing', 'look'],
    ['lettering that reads backwards', design({ lettering: true, mirrored: false }), 'reads-backwards', 'stop'],
    ['a mirror image without lettering', design({ mirrored: false }), 'reads-backwards', 'look'],
    ['a session of no length', sessions(['2026-05-14', '17:00', '17:00']), 'session-no-length', 'stop'],
    ['overlapping sessions', sessions(['2026-05-14', '15:00', '20:00'], ['2026-05-14', '17:00', '20:00']), 'session-overlaps', 'stop'],
    ['a session over midnight', sessions(['2026-05-14', '20:00', '01:00']), 'session-over-midnight', 'look'],
    ['a session in a skipped hour', sessions(['2027-03-14', '02:30', '06:00']), 'session-skipped-hour', 'look'],
    ['a session in a doubled hour', sessions(['2026-11-01', '01:30', '06:00']), 'session-doubled-hour', 'look'],
    ['all in the past', sessions(['2026-04-01', '10:00', '13:00']), 'all-past', 'note'],
    ['a session too short for its work', sessions(['2026-05-14', '17:00', '17:30']), 'does-not-fit', 'stop'],
    ['14 h of cure', sessions(['2026-05-14', '18:00', '20:30'], ['2026-05-15', '12:30', '16:00']), 'risky', 'look'],
  ])('%s', (_name, w, code, level) => {
    expect(plan(w).findings).toContainEqual(expect.objectContaining({ code, level }))
  })
  it('the worst comes first, and a calm plan has none', () => {
    const levels = plan(sessions(['2026-05-14', '17:00', '17:30'])).findings.map((f) => f.level)
    expect(levels).toEqual([...levels].sort((a, b) => ['stop', 'look', 'note'].indexOf(a) - ['stop', 'look', 'note'].indexOf(b)))
    expect(
      codes(plan({ ...moths, group: { ...moths.group, participants: moths.group.participants.map((p) => ({ ...p, misses: [] })) } })),
    ).toEqual([])
  })
  it('children at a blade need an adult at it; the youngest none at all', () => {
    const young: Workshop = {
      ...moths,
      group: { ...moths.group, helpers: 0, participants: moths.group.participants.map((p) => ({ ...p, age: 'under-8' as const })) },
      choices: { ...moths.choices, split: { trim: 'moths-of-the-marsh-1' } },
    }
    const p = plan(young)
    expect(p.adults).toMatchObject({ needed: Math.ceil(18 / 5) + 1, coming: 1 })
    expect(codes(p)).toEqual(expect.arrayContaining(['adults-short', 'too-young']))
    const ahead = p.findings.find((f) => f.code === 'too-young')!.remedies[0]!
    expect(codes(plan(applyChanges(young, ahead.changes)!))).not.toContain('too-young')
  })
  it('a full shelf names what is short', () => {
    expect(plan(moths, { ...house, shelfPlaces: 19 }).findings.find((f) => f.code === 'shelf-short')).toMatchObject({
      values: { short: 4 },
    })
  })
  it('a whole bottle for a little says how to save it', () => {
    const of = (people: number): Workshop => {
      const w = newWorkshop(
        { id: 'w', design: 'd', participants: Array.from({ length: people }, (_, i) => `p${i}`) },
        house.id,
        'Coasters',
        now,
      )
      return { ...w, designs: [{ ...w.designs[0]!, choices: { ground: 'white' } }] }
    }
    const paint = (w: Workshop) => plan(w).findings.find((f) => f.code === 'whole-pack' && f.values['what'] === 'White paint')
    // The first group whose paint goes a little into another bottle.
    const coasters = Array.from({ length: 36 }, (_, i) => of(5 + i)).find(paint)!
    const found = paint(coasters)!
    expect(found.values).toMatchObject({ what: 'White paint', noun: 'bottle', size: 59 })
    const packs = (w: Workshop) => plan(w).figures['packs/white-paint']!.value as number
    const fewer = [1, 2, 3].map((n) => ({ ...coasters, choices: { ...coasters.choices, spares: plan(coasters).spares.count - n } }))
    expect(Math.min(...fewer.map(packs))).toBeLessThan(packs(coasters))
  })
})

it('the last tenth of a pack is told of, a little more is not', () => {
  const p = plan(moths)
  const line = p.kit.find((l) => l.unit === 'ml' && !isRefusal(l.toGet.purchase))!
  const s = situate({ workshop: moths, house, now })
  const told = (leftOver: number, count: number) => {
    const packs = [{ ...line.toGet.packs[0]!, size: 100, count }]
    const toGet = { ...line.toGet, packs, purchase: { toBuy: 0, packs: [], costMinor: 0, leftOver } }
    const part = { s, d: { spares: { count: 2 } } } as unknown as PlannedDesign
    return wholePack([part], { ...p, kit: [{ ...line, toGet }] } as Parameters<typeof wholePack>[1]).map(
      (f) => 'ml' in f.values && f.values.ml,
    )
  }
  expect([told(90, 2), told(89.9, 2), told(90, 1)]).toEqual([[10], [], []])
})

const overOf = (f: Finding) => (f.code === 'does-not-fit' ? f.values.over : NaN)

describe('ways out', () => {
  const cases: [string, Workshop, House, string][] = [
    ['too soon', sessions(['2026-05-14', '09:00', '12:00'], ['2026-05-14', '17:00', '20:00']), house, 'too-soon'],
    ['risky', sessions(['2026-05-14', '18:00', '20:30'], ['2026-05-15', '12:30', '16:00']), house, 'risky'],
    ['too short', sessions(['2026-05-14', '17:00', '20:00'], ['2026-05-16', '10:00', '12:00']), house, 'does-not-fit'],
    ['too large', design({ width: mm(400), height: mm(300) }), house, 'larger-than-paper'],
    ['too cold', moths, { ...house, climate: { celsius: 8, humidityPct: 50 } }, 'too-cold'],
    ['backwards', design({ lettering: true, mirrored: false }), house, 'reads-backwards'],
    ['wrong method', design({ recipe: { id: 'wax-tissue', version: 1 } }), house, 'method-not-for-piece'],
  ]
  test.each(cases)('%s: every button does what it says', (_name, w, h, code) => {
    const before = plan(w, h)
    const found = before.findings.find((f) => f.code === code)!
    expect(found.remedies.length).toBeGreaterThan(0)
    for (const r of found.remedies) {
      expect(phrases(h, now).remedy(r)).not.toBe('')
      if (r.changes.length === 0) {
        expect(r.link).toBeDefined()
        continue
      }
      const after = plan(applyChanges(w, r.changes)!, h)
      const still = after.findings.find((f) => f.code === code)
      const less = code === 'does-not-fit' && still ? overOf(still) < overOf(found) : !still
      expect([r.code, less]).toEqual([r.code, true])
    }
  })
  it('the earliest moment offered lies in opening hours and works', () => {
    const p = plan(sessions(['2026-05-14', '09:00', '12:00'], ['2026-05-14', '17:00', '20:00']))
    expect(p.proposals.earliest).toBeDefined()
    const move = p.findings.find((f) => f.code === 'too-soon')!.remedies.find((r) => r.code === 'move-session-ready')!
    expect(
      plan(applyChanges(sessions(['2026-05-14', '09:00', '12:00'], ['2026-05-14', '17:00', '20:00']), move.changes)!).split.cure!.verdict,
    ).toBe('ready')
  })
})

describe('defaults are enough', () => {
  const bare = newWorkshop({ id: 'w', design: 'd', participants: Array.from({ length: 18 }, (_, i) => `p${i}`) }, house.id, 'Coasters', now)
  it('18 people, coaster-size on wood, is a whole plan', () => {
    const p = plan(bare)
    expect(p.kit.length).toBeGreaterThan(10)
    expect(p.print).toMatchObject({ mirrored: true, prints: 28 })
    expect(p.decisions.map((d) => d.id)).toEqual([...decisionIds])
    expect(p.decisions.filter((d) => d.state === 'default').map((d) => d.id)).toEqual(['method', 'pictures', 'kit', 'room', 'takehome'])
  })
  it('defaults are marked in their reasons', () => {
    expect(plan(bare).figures['spares']!.because.inputs.find((i) => i.name === 'confidence')!.default).toBe(true)
    expect(plan(bare).figures['tables']!.because.inputs.find((i) => i.name === 'tables')!.default).toBe(true)
  })
})

describe('evidence', () => {
  it('replaces the estimate from ten pieces on, and is marked yours', () => {
    const learned = planWorkshop({
      workshop: { ...moths, choices: { ...moths.choices, spares: null } },
      house,
      now,
      evidence: { 'medium-transfer': { good: 57, failed: 1 } },
    })
    expect(learned.spares.count).toBeLessThan(plan({ ...moths, choices: { ...moths.choices, spares: null } }).spares.count)
    expect(learned.figures['spares']!.because.inputs.find((i) => i.name === 'failed-good')!.mark).toBe('Y')
  })
})

describe('difference', () => {
  const up = applyChanges(moths, setHeadcount(moths, 19, ['x']).changes)!
  it('of a plan to itself is nothing', () => expect(difference(plan(moths), plan(moths))).toEqual([]))
  it('is said in the trade’s words', () => {
    const say = phrases(house, now)
    const said = Object.fromEntries(difference(plan(moths), plan(up)).map((d) => [d.key, say.difference(d)]))
    expect(said['people']).toBe('+1')
    expect(said['kit/decoupage-glue']).toMatch(/^\+0\.\d fl oz$/)
    expect(said['kit/cord']).toBe('+15 ¾ in')
  })
  it('turns round with the plans', () => {
    const [a, b] = [difference(plan(moths), plan(up)), difference(plan(up), plan(moths))]
    for (const d of a) expect(b.find((x) => x.key === d.key)!.by).toBe(d.by === null ? null : -d.by)
  })
  it('says what came and what went', () => {
    const say = phrases(house, now)
    const gone = difference(plan(moths), plan({ ...moths, sessions: [moths.sessions[0]!] }))
    expect(gone.filter((d) => d.key === 'earliest').map((d) => say.difference(d))).toEqual(['gone'])
    const heavy = plan(design({ choices: { ground: 'white', thickness: 'heavy' } }))
    const later = difference(heavy, plan(moths)).find((d) => d.key === 'recommended')!
    expect(say.difference(later)).toBe('6 h earlier')
  })
})

describe('everything can be said', () => {
  const all = demoWorkshops('2026-05-15').flatMap((w) => [
    w,
    applyChanges(
      w,
      setHeadcount(
        w,
        40,
        Array.from({ length: 40 }, (_, i) => `y${i}`),
      ).changes,
    )!,
  ])
  test.each(all.map((w, i) => [`${w.title} ${i % 2 ? 'with 40' : ''}`, w] as const))('%s', (_name, w) => {
    const h = demoHouses.find((x) => x.id === w.houseId)!
    const p = plan(w, h)
    const said = sayPlan(p, h)
    expect(said.decisions.every((d) => d.length > 0 && !d.includes('undefined'))).toBe(true)
    expect(JSON.stringify(said)).not.toMatch(/undefined|NaN|\[object/)
    const say = phrases(h, now)
    for (const f of Object.values(p.figures))
      for (const i of f.because.inputs) expect(`${say.input(i).name} ${say.input(i).value}`).not.toMatch(/undefined|NaN/)
  })
  it('a code nobody wrote is a bug that says so', () => {
    expect(() => phrases(house, now).finding({ code: 'nothing' as 'no-date', values: {} })).toThrow(/nothing/)
  })
})

describe('what bin/compute takes', () => {
  it('is a workshop, its house and now', () => {
    expect(v.safeParse(planInput, { workshop: moths, house, now }).success).toBe(true)
    expect(v.getDotPath(v.safeParse(planInput, { workshop: moths, house: { ...house, timeZone: 'Mars' }, now }).issues![0])).toBe(
      'house.timeZone',
    )
    expect(v.safeParse(planInput, { workshop: moths, house }).success).toBe(false)
  })
})
