import { describe, expect, it, test } from 'vitest'
import { causes, closerLooks, diagnose, makingOf, togetherOf, questions, symptoms, type Making } from '#core/clinic'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { latestRecipe, recipes } from '#core/recipe'

const stagesOf = (id: string) => latestRecipe(id)!.stages.map((s) => s.id)

/** Every row of what goes wrong: what is seen, how it was made so that this cause is right; then a making that speaks against. */
const rows: [string, string, string[], Making, Record<string, string>, Making, Record<string, string>][] = [
  ['paper-left', 'medium-transfer', ['haze'], { rounds: 1 }, {}, { rounds: 2 }, { 'still-white': 'stays' }],
  ['bubble', 'medium-transfer', ['bald'], { coat: 'light' }, { 'spot-edge': 'sharp' }, {}, { 'spot-edge': 'ragged', around: 'thin' }],
  ['unburnished', 'tape-film', ['bald'], { seams: 1 }, { 'spot-edge': 'sharp' }, {}, { 'spot-edge': 'ragged', around: 'thin' }],
  [
    'too-soon',
    'medium-transfer',
    ['lifts'],
    { cureShare: 0.4, cureShareBetter: 0.2 },
    {},
    { cureShare: 3, cureShareBetter: 1.5, wetting: 'soak' },
    {},
  ],
  [
    'too-hard',
    'medium-transfer',
    ['lifts'],
    { cureShare: 3, cureShareBetter: 1.5, wetting: 'damp' },
    { around: 'thin' },
    { cureShare: 0.3, cureShareBetter: 0.1 },
    { around: 'whole' },
  ],
  [
    'too-wet',
    'medium-transfer',
    ['lifts'],
    { cureShare: 3, cureShareBetter: 1.5, wetting: 'soak' },
    { around: 'whole' },
    { cureShare: 3, cureShareBetter: 1.5, wetting: 'damp' },
    { around: 'thin' },
  ],
  ['medium-on-back', 'medium-transfer', ['stays'], { gsm: 80, coated: false }, { back: 'shiny' }, { gsm: 120 }, { back: 'dull' }],
  ['heavy-paper', 'medium-transfer', ['stays'], { gsm: 120 }, { back: 'dull' }, { gsm: 80 }, { back: 'shiny' }],
  ['liquid-ink', 'tape-film', ['runs'], { printer: 'inkjet', smear: 'failed' }, {}, { printer: 'toner' }, {}],
  ['not-mirrored', 'medium-transfer', ['backwards'], { readsRight: false }, {}, { readsRight: true }, {}],
  ['few-pixels', 'tape-film', ['blocky'], { dpi: 90 }, {}, { dpi: 300 }, {}],
  ['printer-margin', 'medium-transfer', ['edge'], { insideMargin: false }, {}, { insideMargin: true }, {}],
  [
    'butt-joint',
    'tape-film',
    ['seam'],
    { overlapMm: 0, seams: 2 },
    { parts: 'apart' },
    { overlapMm: 12, seamFromMiddle: 0.05, seams: 1 },
    { parts: 'hold' },
  ],
  [
    'centred-seam',
    'tape-film',
    ['seam'],
    { overlapMm: 12, seamFromMiddle: 0.05, seams: 1 },
    { parts: 'hold' },
    { seamFromMiddle: 0.3, seams: 1 },
    { parts: 'apart' },
  ],
  ['too-much-glue', 'medium-transfer', ['goop'], { coat: 'heavy' }, {}, { coat: 'light', surface: 'painted' }, { 'coat-how': 'thin' }],
  [
    'thick-top-coat',
    'medium-transfer',
    ['cloudy'],
    { humidity: 45, sealWhen: 'dry' },
    { 'coat-how': 'thick' },
    { humidity: 80 },
    { 'coat-how': 'thin' },
  ],
  ['sealed-damp', 'medium-transfer', ['cloudy'], { sealWhen: 'damp', humidity: 45 }, {}, { humidity: 80 }, { 'damp-coat': 'dry' }],
  [
    'humid-air',
    'medium-transfer',
    ['cloudy'],
    { humidity: 80, topCoat: 'spray' },
    { 'damp-coat': 'dry', 'coat-how': 'thin' },
    { humidity: 45, sealWhen: 'damp' },
    {},
  ],
  [
    'overlap',
    'wax-tissue',
    ['tissue'],
    { cut: 'band' },
    { 'tissue-where': 'overlap' },
    { cut: 'outline' },
    { 'tissue-where': 'everywhere' },
  ],
  [
    'little-heat',
    'wax-tissue',
    ['tissue'],
    { heatBy: 'hair dryer', cut: 'outline' },
    { 'tissue-where': 'everywhere' },
    { cut: 'band' },
    { 'tissue-where': 'overlap' },
  ],
  ['lifted-late', 'water-lift', ['torn'], {}, { lifted: 'late' }, { material: 'journal' }, { lifted: 'at once' }],
  [
    'dry-print',
    'gesso-ground',
    ['wrinkles'],
    { material: 'mat-board' },
    { misted: 'dry' },
    { coat: 'light', material: 'mat-board' },
    { misted: 'misted' },
  ],
  ['cedar', 'medium-transfer', ['wrinkles'], { material: 'cedar' }, { misted: 'misted' }, { material: 'plywood' }, { misted: 'dry' }],
  ['peeled-early', 'quick-peel', ['lifts'], {}, { peeled: 'early' }, { wetting: 'soak' }, { peeled: 'in time' }],
  ['peeled-late', 'quick-peel', ['stays'], { gsm: 80 }, { peeled: 'late' }, { gsm: 120 }, { peeled: 'in time', back: 'dull' }],
  ['dried-coat', 'gesso-ground', ['bald'], { coat: 'light', humidity: 30 }, {}, { coat: 'generous' }, { 'spot-edge': 'sharp' }],
  ['coat-wider', 'medium-transfer', ['outline', 'goop'], {}, { 'coat-over': 'picture' }, { coat: 'heavy' }, { 'coat-over': 'over all' }],
  ['no-white-ground', 'medium-transfer', ['grain', 'bald'], { surface: 'porous' }, {}, { surface: 'painted' }, { 'spot-edge': 'sharp' }],
  ['brushed-again', 'medium-transfer', ['brush'], {}, { again: 'again' }, { topCoat: 'spray' }, { again: 'once' }],
  ['thick-coat-lines', 'medium-transfer', ['brush'], {}, { again: 'once', 'coat-how': 'thick' }, {}, { again: 'again' }],
  ['glue-top-coat', 'medium-transfer', ['tacky'], { humidity: 75 }, { stacked: 'open' }, { topCoat: 'varnish' }, { stacked: 'stacked' }],
  ['stacked-soon', 'medium-transfer', ['tacky'], { topCoat: 'varnish' }, { stacked: 'stacked' }, { humidity: 75 }, { stacked: 'open' }],
  ['freehand', 'tape-film', ['off-centre'], {}, { 'under-film': 'nothing' }, {}, { 'under-film': 'specks' }],
  ['static', 'tape-film', ['off-centre'], {}, { 'under-film': 'specks' }, {}, { 'under-film': 'nothing' }],
  ['loose-edge', 'wax-tissue', ['jammed'], {}, { 'edges-glued': 'loose' }, {}, { 'edges-glued': 'wet' }],
  ['wet-glue', 'wax-tissue', ['jammed'], { printer: 'inkjet' }, { 'edges-glued': 'wet' }, {}, { 'edges-glued': 'loose' }],
  ['smooth-side', 'water-lift', ['beads'], {}, { 'which-side': 'smooth' }, {}, { 'which-side': 'rough' }],
  ['wrong-setting', 'water-lift', ['beads'], {}, { 'which-side': 'rough' }, {}, { 'which-side': 'smooth' }],
  ['draft-print', 'water-lift', ['pale'], {}, { where: 'all over' }, { humidity: 30 }, { where: 'one place' }],
]

describe('the clinic', () => {
  test.each(rows)('%s (%s) comes first for the making that leads to it', (cause, recipe, seen, making, answers) => {
    const found = diagnose(seen, answers, making, stagesOf(recipe))
    expect(found[0]!.cause.id).toBe(cause)
    expect(found[0]!.sum).toBeGreaterThan(found[1]?.sum ?? -99)
    expect(['likely', 'possible']).toContain(found[0]!.word)
  })
  test.each(rows)('%s (%s) steps back when the making speaks against it', (cause, recipe, seen, making, answers, other, otherAnswers) => {
    const before = diagnose(seen, answers, making, stagesOf(recipe))[0]!
    const after = diagnose(seen, otherAnswers, other, stagesOf(recipe))
    const now = after.find((r) => r.cause.id === cause)!
    expect(now.sum).toBeLessThan(before.sum)
    if (after.length > 1) expect(after[0]!.cause.id).not.toBe(cause)
  })
  it('lists causes of this method only', () => {
    const found = diagnose(['bald'], {}, {}, stagesOf('medium-transfer')).map((r) => r.cause.id)
    expect(found).not.toContain('unburnished')
    expect(found).toContain('bubble')
  })
  it('two symptoms: a cause that explains both goes before one that explains one', () => {
    const found = diagnose(['bald', 'lifts'], {}, {}, stagesOf('medium-transfer'))
    expect(found[0]!.cause.explains).toMatchObject({ bald: expect.any(Number) as number, lifts: expect.any(Number) as number })
  })
  it('the sum is what a person counts: blocks for less blocks against', () => {
    for (const [, recipe, seen, making, answers] of rows)
      for (const r of diagnose(seen, answers, making, stagesOf(recipe)))
        expect(r.sum).toBe([...r.for, ...r.against].reduce((sum, e) => sum + e.weight, 0))
  })
  it('asks only what would change something', () => {
    expect(closerLooks(['bald'], stagesOf('medium-transfer')).map((q) => q.id)).toEqual(['spot-edge', 'around'])
    expect(closerLooks(['backwards'], stagesOf('medium-transfer'))).toEqual([])
  })
  it('its data hold together: every symptom has a cause in some method, every answer exists', () => {
    for (const s of symptoms) expect([s.id, causes.some((c) => c.explains[s.id])]).toEqual([s.id, true])
    for (const c of causes) {
      for (const s of Object.keys(c.explains)) expect(symptoms.map((x) => x.id)).toContain(s)
      if (c.stages) expect([c.id, recipes.some((r) => r.stages.some((s) => c.stages!.includes(s.id)))]).toEqual([c.id, true])
      for (const e of c.evidence)
        if (e.answer) expect(questions.find((q) => q.id === e.answer!.question)!.options.map((o) => o.id)).toContain(e.answer.is)
      expect('PE').toContain(c.mark)
    }
  })
  describe('two things at once', () => {
    const stages = stagesOf('medium-transfer')
    const together = (seen: string[], answers = {}, making = {}) => togetherOf(seen, answers, making, stages)
    it('share what is seen between them, where neither explains it alone', () => {
      const seen = ['bald', 'backwards']
      const best = diagnose(seen, {}, { readsRight: false }, stages)[0]!
      const [first] = together(seen, {}, { readsRight: false })
      for (const s of seen) expect(first!.two.some((r) => r.cause.explains[s])).toBe(true)
      for (const r of first!.two) expect(seen.every((s) => r.cause.explains[s])).toBe(false)
      expect(first!.sum).toBeGreaterThan(best.sum)
      expect(first!.two[0].sum).toBeGreaterThanOrEqual(first!.two[1].sum)
    })
    it('are at most three pairs, the best first, each possible by itself', () => {
      const found = together(['bald', 'haze', 'lifts'].slice(0, 2))
      expect(found.length).toBeLessThanOrEqual(3)
      expect(found.map((t) => t.sum)).toEqual([...found.map((t) => t.sum)].sort((a, b) => b - a))
      for (const t of found) for (const r of t.two) expect(r.sum).toBeGreaterThanOrEqual(1)
    })
    it('are never one that explains all of it by itself, and another', () => {
      const ids = symptoms.map((s) => s.id)
      const pairs = ids.flatMap((a, i) => ids.slice(i + 1).map((b) => [a, b]))
      expect(pairs.some((seen) => causes.some((c) => seen.every((s) => c.explains[s])))).toBe(true)
      for (const seen of pairs)
        for (const t of together(seen)) for (const r of t.two) expect(seen.every((s) => r.cause.explains[s])).toBe(false)
    })
    it('are not asked for where one thing is seen', () => expect(together(['bald'])).toEqual([]))
  })
  it('reads how a piece was made from its plan', () => {
    const workshop = demoWorkshops('2026-05-15')[0]!
    const house = demoHouses[0]!
    const plan = planWorkshop({ workshop, house, now: '2026-05-16T10:00:00-04:00[America/New_York]' })
    const making = makingOf(plan, workshop, house, workshop.pieces[0])
    expect(making).toMatchObject({ coat: 'generous', wetting: 'damp', rounds: 2, readsRight: true, printer: 'toner', material: 'plywood' })
    expect(making.cureShare).toBeGreaterThan(1)
    expect(
      diagnose(
        ['lifts'],
        {},
        making,
        plan.stages.map((s) => s.id),
      ).find((r) => r.cause.id === 'too-soon')!.word,
    ).toBe('unlikely')
  })
})
