import { describe, expect, it, test } from 'vitest'
import { errandsFor } from '#core/errands'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { phrases } from '#core/phrases'
import { difference, planWorkshop, type Plan } from '#core/plan'
import { ageBands, recipes } from '#core/recipe'
import { addMinutes } from '#core/time'
import * as v from 'valibot'
import { applyChanges, commandShape, setHeadcount, valueAt, workshopShape, type Workshop } from '#core/workshop'

// Its shelf counted, not measured.
const { rack: _measured, ...house } = demoHouses[0]!
const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const plan = (w: Workshop = moths, h: House = house, at = now): Plan => planWorkshop({ workshop: w, house: h, now: at })
const codes = (p: Plan) => p.findings.map((f) => f.code)
const people = (n: number, w = moths) =>
  applyChanges(
    w,
    setHeadcount(
      w,
      n,
      Array.from({ length: 60 }, (_, i) => `e${i}`),
    ).changes,
  )!
const line = (p: Plan, material: string) => p.kit.find((l) => l.material === material)!

describe('the kit at its edges', () => {
  it('a pair shares one: half each, and at a table of an odd number the last has one alone', () => {
    const p = plan({ ...people(5), group: { ...people(5).group, tables: 1 } })
    const cups = line(p, 'cup')
    expect([cups.share!.by, cups.each, cups.table, cups.need]).toEqual(['pair', 0.5, 3, 3])
  })
  it('what is used up is priced by the pack that is cheapest a unit', () => {
    const glue = line(plan(), 'decoupage-glue')
    const rates = [1, 2, 3].map((n) => glue.usedMinor / (glue.need * n))
    // 496.66 ml at 25.00 the 946 ml.
    expect(glue.usedMinor).toBe(1313)
    expect(rates[0]!).toBeLessThan(900 / 236)
  })
  it('cost a head is rounded, not cut', () => {
    const rests = [7, 9, 11, 13, 16, 19].map((n) => {
      const p = plan(people(n))
      const bought = p.kit.reduce((sum, l) => sum + l.boughtMinor, 0)
      expect(p.figures['cost-bought']!.value).toBe(Math.round(bought / n))
      return (bought % n) / n
    })
    expect(rests.some((r) => r > 0.5) && rests.some((r) => r > 0 && r < 0.5)).toBe(true)
  })
})

describe('findings at their edges', () => {
  it('a candle just wide enough to burn is nothing to say, a narrower one is for show; the way out is the house’s own width', () => {
    const mm = (n: number) => ({ mm: n, text: `${n} mm` })
    const candle = (n: number): Workshop => ({
      ...moths,
      designs: [{ ...moths.designs[0]!, kind: 'candle', material: 'candle', recipe: { id: 'wax-tissue', version: 1 }, width: mm(n) }],
    })
    expect([69.9, 70].map((n) => codes(plan(candle(n))).includes('candle-narrow'))).toEqual([true, false])
    expect(codes(plan({ ...moths, designs: [{ ...moths.designs[0]!, width: mm(30) }] }))).not.toContain('candle-narrow')
    const ours: House = { ...house, figures: { 'candle.wide': { value: 80, by: 'Noor', on: '2026-05-01', why: '' } } }
    const found = plan(candle(76.2), ours).findings.find((f) => f.code === 'candle-narrow')!
    expect(found).toMatchObject({ level: 'note', mark: 'Y', values: { diameterMm: 76.2, wideMm: 80 } })
    const after = applyChanges<Workshop>(candle(76.2), found.remedies[0]!.changes)!
    expect(after.designs[0]!.width.mm).toBe(80)
    expect(codes(plan(after, ours))).not.toContain('candle-narrow')
  })
  it('a shelf that is just full is enough, one piece more is not', () => {
    const blanks = plan().shelf!.places
    expect(codes(plan(moths, { ...house, shelfPlaces: blanks }))).not.toContain('shelf-short')
    const short = plan(moths, { ...house, shelfPlaces: blanks - 1 }).findings.find((f) => f.code === 'shelf-short')!
    expect([short.values['short'], short.remedies.map((r) => [r.code, r.changes[0]?.after])]).toEqual([
      1,
      [
        ['fewer-spares', plan().spares.count - 1],
        ['more-places', undefined],
      ],
    ])
  })
  it('the shelf is taken from the end of the laying to the beginning of the rubbing', () => {
    const p = plan()
    expect([p.shelf!.from, p.shelf!.to]).toEqual([p.split.cure!.laidAt, p.sessions[1]!.from])
  })
  it('an errand that is late for a class that is over is not told any more', () => {
    const late = (at: string) => codes(plan(moths, house, at)).filter((c) => c.startsWith('late-'))
    expect(late('2026-05-14T12:00:00-04:00[America/New_York]').length).toBeGreaterThan(0)
    const after = plan(moths, house, '2026-05-17T12:00:00-04:00[America/New_York]')
    expect(after.errands.some((e) => e.state === 'late')).toBe(true)
    expect(codes(after).filter((c) => c.startsWith('late-'))).toEqual([])
  })
  it('the failure rate is ours from ten pieces on, not before', () => {
    const mark = (good: number, failed: number) =>
      planWorkshop({
        workshop: { ...moths, choices: { ...moths.choices, spares: null } },
        house,
        now,
        evidence: { 'medium-transfer': { good, failed } },
      }).figures['spares']!.because.inputs.find((i) => i.mark === 'Y' || i.mark === 'E')!.mark
    expect([mark(8, 1), mark(9, 1), mark(10, 1)]).toEqual(['E', 'Y', 'Y'])
  })
  it('a split that names a class that is gone is not a wish', () => {
    const p = plan({ ...moths, choices: { ...moths.choices, split: { rub1: 'no-such-class' } } })
    expect([p.splitChosen, p.split.split['rub1']]).toEqual([false, plan().split.split['rub1']])
  })
  it('bags: one a table, one for what all share, one for samples', () => {
    const pack = plan().errands.find((e) => e.code === 'pack')!
    expect(pack.values['bags']).toBe(plan().seating.length + 2)
  })
  it('packs that appear, and packs that go, are differences of their whole number', () => {
    const [none, some] = [plan(moths, { ...house, cupboard: { ...house.cupboard, 'decoupage-glue': 5000 } }), plan()]
    const by = (a: Plan, b: Plan) => difference(a, b).find((d) => d.key === 'packs/decoupage-glue')?.by
    expect([by(none, some), by(some, none)]).toEqual([1, -1])
  })
  it('says which ages must not touch, and no age that is not in the group', () => {
    const teens = {
      ...moths,
      group: { ...moths.group, participants: moths.group.participants.map((p) => ({ ...p, age: '13-17' as const })) },
    }
    const candle = {
      ...teens,
      designs: [{ ...teens.designs[0]!, kind: 'candle', material: 'pillar-candle', recipe: { id: 'wax-tissue', version: 1 }, choices: {} }],
    }
    const p = plan(candle)
    const found = p.findings.find((f) => f.code === 'too-young')
    if (found) {
      expect(found.values['ages']).toBe('13-17')
      expect(phrases(house, now).finding(found).title).not.toMatch(/[Uu]nder 8/)
    }
    const blade = {
      ...moths.group,
      participants: moths.group.participants.map((x, i) => ({ ...x, age: i < 3 ? ('under-8' as const) : ('8-12' as const) })),
    }
    const cut = plan({ ...moths, group: blade, choices: { ...moths.choices, split: { trim: moths.sessions[0]!.id } } }).findings.find(
      (f) => f.code === 'too-young',
    )
    expect(cut?.values['ages']).toBe('under-8')
  })
  it('a border to hold takes its place on the sheet', () => {
    const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
    const h = demoHouses.find((x) => x.id === blocks.houseId)!
    const small = { mm: 90, text: '90 mm' }
    const of = (borderMm: number) =>
      plan(
        {
          ...blocks,
          designs: [{ ...blocks.designs[0]!, width: small, height: small }],
          pictures: blocks.pictures!.map((p) => ({ ...p, edit: { turn: 0, blackWhite: false, lighten: 0, outline: false, borderMm } })),
        },
        h,
      ).print
    expect([of(0).grid.perSheet, of(8).grid.perSheet]).toEqual([6, 2])
    expect(of(8).sheets).toBe(Math.ceil(of(8).prints / 2))
  })
})

describe('errands at their edges', () => {
  it('set-up is when it is, also out of hours; everything else by the last open hour before', () => {
    const early = { ...moths, sessions: [{ ...moths.sessions[0]!, start: '07:00', end: '09:30' }] }
    const setUp = plan(early).errands.find((e) => e.code === 'set-up')!
    expect(setUp.by).toBe(plan(early).sessions[0]!.from)
  })
  it('what is due this very minute is not late yet', () => {
    const order = plan().errands.find((e) => e.code === 'order')!
    const state = (at: string) => plan(moths, house, at).errands.find((e) => e.code === 'order')!.state
    expect([state(addMinutes(order.by, 0)), state(addMinutes(order.by, 1))]).toEqual(['open', 'late'])
  })
  it('an order leaves a day between its parcel and the printing', () => {
    const [order, print] = ['order', 'print'].map((c) => plan().errands.find((e) => e.code === c)!)
    const days = (Date.parse(print!.by.replace(/\[.*/, '')) - Date.parse(order!.by.replace(/\[.*/, ''))) / 86_400_000
    expect(days).toBeGreaterThanOrEqual(house.supplierDays + 1)
    expect(errandsFor).toBeTypeOf('function')
  })
})

describe('take-home at its edges', () => {
  const state = (piece: object, at: string) => {
    const [p] = moths.group.participants
    const w = {
      ...moths,
      pieces: [{ id: 'x', participant: p!.id, state: 'cured' as const, laidAt: '2026-05-14T19:00:00-04:00[America/New_York]', ...piece }],
    }
    return plan(w, house, at).takeHome.find((t) => t.participant === p!.id)!
  }
  it('a class that has just ended has been; a minute before it has not', () => {
    const end = plan().sessions[1]!.to
    expect(state({}, addMinutes(end, -1)).state).toBe('sealed')
    expect(state({}, end).state).not.toBe('sealed')
  })
  it('who takes home a finished piece has no faults to look for and all of the chain behind', () => {
    const done = state({ state: 'sealed', asIs: true }, '2026-05-16T13:30:00-04:00[America/New_York]')
    expect([done.faults, done.done, done.chain.length, done.steps]).toEqual([[], done.chain.length, done.chain.length, []])
    const early = state({ state: 'cured', asIs: true }, '2026-05-16T13:30:00-04:00[America/New_York]')
    expect([early.faults.length > 0, early.chain[early.done - 1]]).toEqual([true, 'cured'])
  })
})

// Changes are JSON by type; that every way out can be taken is shown here, for every method on what it is usually made.
test.each(recipes.map((r) => [r.id, r] as const))('every way out of every finding of %s can be sent, and makes a workshop', (_id, r) => {
  const ages = ageBands
  let ways = 0
  for (const [n, material] of Object.keys(r.surfaces).entries())
    for (const own of [false, true]) {
      const group = {
        ...moths.group,
        helpers: 0,
        participants: moths.group.participants.map((p, i) => ({ ...p, age: ages[(i + n) % 4]! })),
      }
      const design = {
        ...moths.designs[0]!,
        material,
        recipe: { id: r.id, version: r.version },
        choices: {},
        lettering: true,
        mirrored: false,
        whites: 'white' as const,
        pictures: own ? ('own' as const) : ('house' as const),
        print: { printer: 'inkjet' as const, smear: 'failed' as const, gsm: 250, coated: true },
        picture: { faces: true, fine: true, pale: true, precious: true, pixels: { width: 300, height: 200 } },
      }
      for (const w of [
        { ...moths, group, designs: [design] },
        {
          ...moths,
          group,
          designs: [{ ...design, width: { mm: 500, text: '500 mm' } }],
          sessions: moths.sessions.slice(0, 1),
          choices: { ...moths.choices, stations: { basin: 0, 'heat-tool': 0 }, spares: 40 },
        },
      ])
        for (const f of plan(w, { ...house, shelfPlaces: 1 }).findings)
          for (const way of f.remedies.filter((x) => x.changes.length > 0)) {
            const sent = JSON.parse(JSON.stringify(way.changes)) as typeof way.changes
            expect(sent, way.code).toEqual(way.changes)
            const read = v.safeParse(commandShape.entries.changes, sent)
            expect(read.success, `${f.code}: ${way.code}`).toBe(true)
            for (const c of sent) expect(c.before, `${way.code} ${c.path}`).toEqual(valueAt(w, c.path))
            expect(v.safeParse(workshopShape, applyChanges(w, sent)).issues, `${f.code}: ${way.code}`).toBeUndefined()
            ways++
          }
    }
  expect(ways).toBeGreaterThan(3)
})
