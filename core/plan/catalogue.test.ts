import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { phrases, sheetText } from '#core/phrases'
import {
  cautions,
  pieceKinds,
  pieceStates,
  recipes,
  takesMaterial,
  type AgeBand,
  type PieceKind,
  type PieceState,
  type Recipe,
} from '#core/recipe'
import type { House } from '#core/house'
import type { Workshop } from '#core/workshop'
import { planWorkshop, type Plan } from '#core/plan'

const now = '2026-05-11T09:00:00-04:00[America/New_York]'
const house: House = { ...demoHouses[0]!, printers: ['toner', 'inkjet'], shelfPlaces: 400 }
const base = demoWorkshops('2026-05-15')[0]!

/** A workshop of any size, piece and method, in three long sessions on three days. */
export function workshopOf(recipe: Recipe, kind: PieceKind, people: number, age: AgeBand = 'adult', helpers = 8): Workshop {
  const material = kind.materials.find((m) => takesMaterial(recipe, m))!
  const size = (mm: number) => ({ mm, text: `${mm} mm` })
  return {
    ...base,
    pieces: [],
    errandsDone: [],
    group: {
      tables: null,
      helpers,
      participants: Array.from({ length: people }, (_, i) => ({ id: `p${i + 1}`, seat: i + 1, name: null, age, misses: [] })),
    },
    designs: [
      {
        ...base.designs[0]!,
        kind: kind.id,
        material,
        width: size(kind.widthMm),
        height: size(kind.heightMm),
        recipe: { id: recipe.id, version: recipe.version },
        choices: {},
      },
    ],
    sessions: ['2026-05-14', '2026-05-16'].map((date, i) => ({ id: `s${i + 1}`, date, start: '12:00', end: '18:00', room: 'Craft room' })),
    choices: { ...base.choices, split: {}, share: {}, spares: null, samples: null },
  }
}

const cases = recipes.flatMap((r) =>
  pieceKinds
    .filter((k) => k.id !== 'custom' && k.materials.some((m) => takesMaterial(r, m)))
    .slice(0, 4)
    .flatMap((k) => [6, 18, 40].map((n) => [r.name, k.plural, n, r, k] as const)),
)

describe('every method, from group to take-home sheet', () => {
  it('goes onto at least two kinds of piece, but for candles', () => {
    for (const r of recipes.filter((x) => x.id !== 'wax-tissue')) {
      const kinds = pieceKinds.filter((k) => k.id !== 'custom' && k.materials.some((m) => takesMaterial(r, m)))
      expect([r.id, kinds.length >= 2]).toEqual([r.id, true])
    }
  })

  test.each(cases)('%s: %s for %i', (_method, _kind, n, recipe, kind) => {
    const w = workshopOf(recipe, kind, n)
    const plan = planWorkshop({ workshop: w, house, now })
    const say = phrases(house, now)
    // Every stage is reachable, once, in order.
    const order = ['ahead', 's1', 's2', 'home']
    const places = plan.stages.map((s) => order.indexOf(plan.split.split[s.id]!))
    expect(places.every((p, i) => p >= 0 && (i === 0 || p >= places[i - 1]!))).toBe(true)
    // Every material of a stage that is done is in the kit, with a figure that has a reason and a source.
    for (const m of plan.materials) {
      if (m.onlyFor && !m.onlyFor.includes(kind.id)) continue
      const line = plan.kit.find((l) => l.material === m.material)
      expect([m.material, (line?.need ?? 0) > 0]).toEqual([m.material, true])
      expect('PEY').toContain(plan.figures[`kit/${m.material}`]!.because.mark)
    }
    // Nothing stands in the way that is not said with a way out, and a plan for adults with time stands.
    for (const f of plan.findings) {
      expect(say.finding(f).title).not.toBe('')
      if (f.level === 'stop') expect([f.code, f.remedies.length > 0]).toEqual([f.code, true])
    }
    expect(plan.findings.filter((f) => f.level === 'stop' && f.code !== 'larger-than-paper')).toEqual([])
    expect(plan.takeHome).toHaveLength(n)
  })

  test.each(recipes.map((r) => [r.name, r] as const))(
    '%s: a sheet for each state that a piece can go home in, its cautions on it',
    (_n, r) => {
      const kind = pieceKinds.find((k) => k.id !== 'custom' && k.materials.some((m) => takesMaterial(r, m)))!
      const w = workshopOf(r, kind, 2)
      for (const state of pieceStates) {
        const made: Workshop = {
          ...w,
          pieces: [{ id: 'x', participant: 'p1', state, laidAt: '2026-05-14T18:00:00-04:00[America/New_York]', asIs: true }],
        }
        const plan = planWorkshop({ workshop: made, house, now: '2026-05-14T18:30:00-04:00[America/New_York]' })
        const sheet = plan.takeHome.find((t) => t.participant === 'p1')!
        const text = sheetText(sheet, plan, made, house, 'few')
        expect([state, text.headline !== '']).toEqual([state, true])
        const left = plan.stages.filter((s) => s.home && sheet.steps.includes(s.home))
        for (const c of left.flatMap((s) => s.cautions)) {
          const paper = (cautions[c] as { paper?: string }).paper
          if (paper) expect([state, sheet.cautions.includes(paper)]).toEqual([state, true])
        }
        if (sheet.steps.length === 0) expect(sheet.group === 'finished' || sheet.group === 'not-laid').toBe(true)
      }
    },
  )

  test.each(recipes.map((r) => [r.name, r] as const))('%s: every figure of its plan has a reason with a source', (_n, r) => {
    const kind = pieceKinds.find((k) => k.id !== 'custom' && k.materials.some((m) => takesMaterial(r, m)))!
    const plan = planWorkshop({ workshop: workshopOf(r, kind, 18), house, now })
    const say = phrases(house, now)
    for (const [key, f] of Object.entries(plan.figures)) {
      expect([key, 'PEY'.includes(f.because.mark)]).toEqual([key, true])
      expect([key, say.rule(f.because) !== '']).toEqual([key, true])
      for (const i of f.because.inputs) expect(say.input(i).name).not.toBe('')
    }
  })
})

describe('stage samples', () => {
  test.each(recipes.map((r) => [r.name, r] as const))('%s: each sample says what it uses, and when it has to be begun', (_n, r) => {
    const kind = pieceKinds.find((k) => k.id !== 'custom' && k.materials.some((m) => takesMaterial(r, m)))!
    const plan = planWorkshop({ workshop: workshopOf(r, kind, 12), house, now })
    expect(plan.stageSamples.map((x) => x.id)).toEqual(r.samples.map((x) => x.id))
    for (const x of plan.stageSamples) {
      expect(x.uses.length).toBeGreaterThan(0)
      if (x.startBy) expect(plan.errands.find((e) => e.id === `sample-${x.id}`)).toMatchObject({ by: x.startBy, startBy: true })
    }
    // A sample further on never uses less, nor may be begun later.
    const begun = plan.stageSamples.map((x) => x.startBy ?? '9')
    plan.stageSamples.forEach((x, i) => {
      const before = plan.stageSamples[i - 1]
      if (before) expect(x.uses.length).toBeGreaterThanOrEqual(before.uses.length)
    })
    expect(begun).toHaveLength(r.samples.length)
  })
  it('none are made when none are wanted', () => {
    const r = recipes[0]!
    const w = workshopOf(r, pieceKinds[0]!, 12)
    expect(planWorkshop({ workshop: { ...w, choices: { ...w.choices, samples: 0 } }, house, now }).stageSamples).toEqual([])
  })
})

describe('the house’s own cautions', () => {
  const own = [
    { id: 'a', where: 'Radiator', text: 'no wet boards on it', stage: null },
    { id: 'b', where: 'Old sink', text: 'turn it on slowly', stage: 'wet' },
    { id: 'c', where: 'Kiln', text: 'is not ours', stage: 'fire' },
  ]
  const h = { ...house, cautions: own }
  const r = recipes.find((x) => x.id === 'medium-transfer')!
  it('stand in a plan whose stages call for them', () => {
    const plan = planWorkshop({ workshop: workshopOf(r, pieceKinds[0]!, 4), house: h, now })
    expect(plan.ownCautions.map((c) => c.where)).toEqual(['Radiator', 'Old sink'])
  })
  it('stand on the sheet of who still has that stage before them, and not on a finished one', () => {
    const w = workshopOf(r, pieceKinds[0]!, 2)
    const laid: Workshop = {
      ...w,
      pieces: [
        { id: 'x', participant: 'p1', state: 'laid', laidAt: '2026-05-14T18:00:00-04:00[America/New_York]', asIs: true },
        { id: 'y', participant: 'p2', state: 'sealed', laidAt: '2026-05-14T18:00:00-04:00[America/New_York]', asIs: true },
      ],
    }
    const [one, two] = planWorkshop({ workshop: laid, house: h, now }).takeHome
    expect(one!.cautions).toEqual(expect.arrayContaining(['Radiator: no wet boards on it', 'Old sink: turn it on slowly']))
    expect(two!.cautions).toEqual([])
  })
})

describe('what the craft asks of a plan', () => {
  const recipe = (id: string) => recipes.find((r) => r.id === id)!
  const kind = (id: string) => pieceKinds.find((k) => k.id === id)!
  const found = (p: Plan, code: string) => p.findings.find((f) => f.code === code)

  it('gesso for 24 children with one helper: the race goes in turns, and says what would make it one', () => {
    const w = workshopOf(recipe('gesso-ground'), kind('page'), 24, '8-12', 1)
    const plan = planWorkshop({ workshop: w, house, now })
    const race = plan.turns.find((t) => t.why === 'race')!
    expect(race).toMatchObject({ stages: ['coat', 'lay'], turns: 2, people: 24, adults: 2, window: { least: 0, most: 2 } })
    // Twelve at once: the second twelve begin when the first have laid theirs, and are done as much later.
    expect([race.atOnce, race.apartMin]).toEqual([12, race.minutesEach])
    expect(plan.split.loads[0]!.stages.reduce((sum, s) => sum + s.queue, 0)).toBe(race.minutesEach)
    const f = found(plan, 'race')!
    expect(f.remedies[0]).toMatchObject({ code: 'more-hands', values: { more: 2 } })
    const more = planWorkshop({ workshop: { ...w, group: { ...w.group, helpers: 3 } }, house, now })
    expect(found(more, 'race')).toBeUndefined()
    expect(more.split.loads[0]!.neededMin).toBe(plan.split.loads[0]!.neededMin - race.apartMin)
  })
  it('quick peel for 12 in 45 min: the window of 3 to 5 min is kept, and the time that is missing is said', () => {
    const w = workshopOf(recipe('quick-peel'), kind('panel'), 12, '8-12', 1)
    const short = { ...w, sessions: [{ ...w.sessions[0]!, end: '12:45' }] }
    const plan = planWorkshop({ workshop: short, house, now })
    expect(plan.turns[0]).toMatchObject({ stages: ['coat', 'lay', 'peel'], turns: 1, window: { least: 3, most: 5, mark: 'P' } })
    const load = plan.split.loads[0]!
    const lay = load.stages.find((s) => s.id === 'lay')!
    expect(lay.wait).toBeGreaterThanOrEqual(3)
    expect(lay.wait).toBeLessThanOrEqual(5)
    expect(found(plan, 'does-not-fit')!.remedies.length).toBeGreaterThan(0)
  })
  it('a candle with children: an adult at the tool, its cautions shown, the time counted', () => {
    const plan = planWorkshop({ workshop: workshopOf(recipe('wax-tissue'), kind('candle'), 12, '8-12', 2), house, now })
    expect(plan.turns).toMatchObject([{ why: 'adults-only', stages: ['warm'], turns: 6, people: 12, adults: 2, apartMin: 25 }])
    expect(plan.adults.atHazards).toEqual([{ hazard: 'heat', stage: 'warm', sessionId: 's1', design: plan.design }])
    expect(plan.stages.find((s) => s.id === 'warm')!.cautions).toEqual(expect.arrayContaining(['heat', 'wax', 'fuel', 'mains']))
    expect(found(plan, 'done-for-them')).toBeDefined()
  })
  it('a candle takes a motif on its front, several a sheet; all the way round it is pi times its diameter and the overlap', () => {
    const w = workshopOf(recipe('wax-tissue'), kind('candle'), 4)
    const motif = planWorkshop({ workshop: w, house, now })
    expect(motif.picture.widthMm).toBe(76.2)
    expect(motif.print.grid.perSheet).toBeGreaterThan(3)
    const round = planWorkshop({ workshop: { ...w, designs: [{ ...w.designs[0]!, choices: { cut: 'band' } }] }, house, now })
    expect(round.picture.widthMm).toBeCloseTo(Math.PI * 76.2 + 5, 2)
  })
  it('an accordion panel is the cover less its border; the strip has an even number of panels; a picture on each cover', () => {
    const w = workshopOf(recipe('gesso-ground'), kind('accordion'), 1)
    const odd = { ...w, designs: [{ ...w.designs[0]!, panels: 7 }], choices: { ...w.choices, spares: 0, samples: 0 } }
    const plan = planWorkshop({ workshop: odd, house, now })
    expect(plan.picture).toEqual({ widthMm: 101.6, heightMm: 101.6 })
    expect([plan.print.each, plan.print.prints]).toEqual([2, 2])
    expect(plan.kit.find((l) => l.material === 'cover-board')!.need).toBe(2)
    expect(plan.kit.find((l) => l.material === 'book-strip')!.need).toBe(8 * 95.25)
  })
  it('spray indoors is refused, with the brush as the way out', () => {
    const w = workshopOf(recipe('medium-transfer'), kind('plaque'), 6)
    const sprayed = { ...w, designs: [{ ...w.designs[0]!, choices: { 'top-coat': 'spray' } }] }
    const plan = planWorkshop({ workshop: sprayed, house, now })
    const f = found(plan, 'spray-indoors')!
    expect(f.level).toBe('stop')
    expect(f.remedies[0]).toMatchObject({ code: 'take-option', values: { option: 'brushed' } })
    const outdoors = { ...sprayed, choices: { ...sprayed.choices, allow: { heat: true, spray: true, blade: true } } }
    expect(found(planWorkshop({ workshop: outdoors, house, now }), 'spray-indoors')).toBeUndefined()
  })
})

describe('a sheet is true for how far the piece is', () => {
  const said = (id: string, state: PieceState) => {
    const r = recipes.find((x) => x.id === id)!
    const k = pieceKinds.find((x) => x.recipe === id) ?? pieceKinds.find((x) => x.materials.some((m) => takesMaterial(r, m)))!
    const w = workshopOf(r, k, 1)
    const made: Workshop = {
      ...w,
      pieces: [{ id: 'x', participant: 'p1', state, laidAt: '2026-05-14T18:00:00-04:00[America/New_York]', asIs: true }],
    }
    const plan = planWorkshop({ workshop: made, house, now: '2026-05-14T18:30:00-04:00[America/New_York]' })
    const text = sheetText(plan.takeHome[0]!, plan, made, house, 'few')
    return { group: plan.takeHome[0]!.group, when: text.when, words: text.chain.map((c) => c.word), why: text.why }
  }
  test.each([
    ['medium-transfer', 'rub-2', 'seal-at-home', 'Seal it once it is dry'],
    ['medium-transfer', 'sealed', 'finished', 'Sealed, still soft'],
    ['tape-film', 'rub-2', 'finish-at-home', 'Dry until it sticks'],
    ['tape-film', 'sealed', 'finished', 'Mounted'],
    ['quick-peel', 'cured', 'rub-at-home', 'Clean it'],
    ['quick-peel', 'rub-1', 'seal-at-home', 'Seal it once it is dry'],
    ['gesso-ground', 'rub-2', 'rub-on', 'Look again'],
    ['gesso-ground', 'sealed', 'finished', 'Finished'],
    ['water-lift', 'laid', 'finish-at-home', 'Fix it'],
    ['water-lift', 'sealed', 'finished', 'Fixed'],
    ['wax-tissue', 'sealed', 'finished', 'Set'],
  ] as [string, PieceState, string, string][])('%s, %s', (id, state, group, when) => expect(said(id, state)).toMatchObject({ group, when }))
  it('calls the second of three gesso rounds by its own number', () =>
    expect(said('gesso-ground', 'rub-1').words).toEqual(['Laid', 'Cured', 'Rub 1', 'Rub 2', 'Finished']))
  it('nobody is told to seal what takes no coat', () => expect(said('water-lift', 'laid').why).not.toContain('coat'))
})
