import { because, type Because } from '#core/reasons'
import { cleanUpMin, setUpMin } from '#core/sessions'
import type { Plan, PlanFigure } from './shapes'
import { gutterMm, prior, tapeMm } from './quantities'
import type { Situation } from './situation'

/** Every figure a screen shows, by key, with why: `people`, `sheets`, `kit/<material>`, `session/<id>`, `earliest`, … */
export function figuresOf(s: Situation, plan: Plan): Record<string, PlanFigure> {
  const figures: Record<string, PlanFigure> = {
    people: { value: plan.people, unit: 'count', because: because('people', [{ name: 'people', value: plan.people }]) },
    tables: {
      value: plan.seating.length,
      unit: 'count',
      because: because('tables', [
        { name: 'people', value: plan.people },
        { name: 'tables', value: plan.seating.length, default: s.workshop.group.tables === null },
      ]),
    },
    spares: { value: plan.spares.count, unit: 'count', because: sparesBecause(s, plan) },
    samples: {
      value: plan.samples.count,
      unit: 'count',
      because: because('samples', [{ name: 'samples', value: plan.samples.count, default: !plan.samples.chosen, mark: 'P' }]),
    },
    prints: { value: plan.print.prints, unit: 'count', because: printsBecause(s, plan) },
    sheets: { value: plan.print.sheets, unit: 'count', because: sheetsBecause(s, plan) },
    adults: { value: plan.adults.needed, unit: 'count', because: plan.adults.because },
    ...costs(plan),
    ...cureFigures(s, plan),
  }
  for (const l of plan.kit) {
    figures[`kit/${l.material}`] = { value: l.need, unit: l.unit, because: l.because }
    const packs = l.toGet.packs.reduce((sum, p) => sum + p.count, 0)
    if (l.toGet.packs.length || packs)
      figures[`packs/${l.material}`] = {
        value: packs,
        unit: 'packs',
        noun: l.toGet.packs[0]?.noun ?? 'pack',
        because: packsBecause(l.need, l.toGet.have, l.boughtMinor),
      }
  }
  for (const l of plan.split.loads)
    figures[`session/${l.sessionId}`] = { value: l.neededMin, unit: 'min', because: because('session-time', sessionInputs(l)) }
  if (plan.shelf)
    figures['shelf'] = {
      value: plan.shelf.places,
      unit: 'count',
      because: because('shelf', [{ name: 'blanks', value: plan.shelf.places }]),
    }
  if (plan.tape) figures['strips'] = { value: plan.tape.strips, unit: 'count', because: tapeBecause(s, plan) }
  return figures
}

const sparesBecause = (s: Situation, plan: Plan): Because =>
  because(plan.spares.chosen ? 'spares-chosen' : 'spares', [
    { name: 'people', value: plan.people },
    { name: 'confidence', value: s.workshop.choices.confidence, unit: 'share', default: s.workshop.choices.confidence === 0.9 },
    {
      name: 'failed-good',
      value: `${prior.failed + s.evidence.failed} to ${prior.good + s.evidence.good}`,
      mark: s.evidence.good + s.evidence.failed >= 10 ? 'Y' : 'E',
    },
    { name: 'sure', value: plan.spares.sure, unit: 'share' },
  ])

const printsBecause = (s: Situation, plan: Plan): Because =>
  s.design.pictures === 'own'
    ? because('prints-own', [
        { name: 'people', value: plan.people },
        { name: 'copies', value: plan.print.copies, ...(s.workshop.choices.copies === undefined && { mark: 'E' as const }) },
        { name: 'samples', value: plan.samples.count },
      ])
    : because('prints-house', [
        { name: 'people', value: plan.people },
        { name: 'spares', value: plan.spares.count, mark: 'E' },
        { name: 'samples', value: plan.samples.count, mark: 'P' },
      ])

const sheetsBecause = (s: Situation, plan: Plan): Because =>
  because('sheets', [
    { name: 'prints', value: plan.print.prints },
    { name: 'per-sheet', value: plan.print.grid.perSheet },
    { name: 'gutter', value: gutterMm.value, unit: 'mm', mark: gutterMm.mark },
    { name: 'printer-margin', value: s.house.printerMarginMm, unit: 'mm', mark: 'E' },
  ])

const packsBecause = (need: number, have: number, cost: number): Because =>
  because('packs', [
    { name: 'need', value: need },
    { name: 'cupboard', value: have },
    { name: 'cost', value: cost, unit: 'minor', mark: 'E' },
  ])

const tapeBecause = (s: Situation, plan: Plan): Because =>
  because('strips', [
    { name: 'tape-width', value: s.resolved.tapeWidth.value, unit: 'mm', mark: s.resolved.tapeWidth.mark },
    { name: 'overlap', value: tapeMm.overlap.value, unit: 'mm', mark: tapeMm.overlap.mark },
    { name: 'margin', value: tapeMm.margin.value, unit: 'mm', mark: tapeMm.margin.mark },
    { name: 'strip-length', value: plan.tape!.stripLengthMm, unit: 'mm' },
  ])

const sessionInputs = (l: Plan['split']['loads'][number]) => [
  { name: 'set-up', value: setUpMin.value, unit: 'min' as const, mark: setUpMin.mark },
  { name: 'show', value: l.showMin, unit: 'min' as const, mark: 'E' as const },
  ...l.stages.map((x) => ({ name: `stage:${x.name}`, value: x.minutes + x.wait, unit: 'min' as const, mark: 'E' as const })),
  { name: 'clean-up', value: cleanUpMin.value, unit: 'min' as const, mark: cleanUpMin.mark },
]

function costs(plan: Plan): Record<string, PlanFigure> {
  const used = plan.kit.reduce((sum, l) => sum + l.usedMinor, 0)
  const bought = plan.kit.reduce((sum, l) => sum + l.boughtMinor, 0)
  const aHead = (minor: number) => (plan.people ? Math.round(minor / plan.people) : 0)
  const why = (rule: string, minor: number) =>
    because(rule, [
      { name: 'cost', value: minor, unit: 'minor', mark: 'E' },
      { name: 'people', value: plan.people },
    ])
  return {
    'cost-used': { value: aHead(used), unit: 'minor', because: why('cost-used', used) },
    'cost-bought': { value: aHead(bought), unit: 'minor', because: why('cost-bought', bought) },
    'cost-total': {
      value: bought,
      unit: 'minor',
      because: because(
        'cost-total',
        plan.kit.filter((l) => l.boughtMinor > 0).map((l) => ({ name: `thing:${l.name}`, value: l.boughtMinor, unit: 'minor', mark: 'E' })),
      ),
    },
  }
}

function cureFigures(s: Situation, plan: Plan): Record<string, PlanFigure> {
  const { cure } = plan.split
  if (!cure || !s.resolved.cure) return {}
  const why = (rule: string, base: number, mark: 'P' | 'E' | 'Y'): Because =>
    because(rule, [
      { name: 'laid', value: s.sessions.find((x) => x.id === cure.laidIn)!.to },
      { name: 'practice', value: base, unit: 'min', mark },
      {
        name: 'room',
        value: `${s.house.climate.celsius} °C, ${s.house.climate.humidityPct} %`,
        ...(cure.factor > 1 && { mark: 'E' as const }),
      },
      { name: 'coat', value: s.resolved.coat },
      { name: 'surface', value: s.resolved.surface },
      { name: 'factor', value: Number(cure.factor.toFixed(2)), ...(cure.factor > 1 && { mark: 'E' as const }) },
    ])
  const { minimum, recommended } = s.resolved.cure
  return {
    earliest: { value: cure.earliestAt, unit: 'instant', because: why('earliest', minimum.value, minimum.mark) },
    recommended: { value: cure.recommendedAt, unit: 'instant', because: why('recommended', recommended.value, recommended.mark) },
    'cure-least': { value: cure.requiredMin, unit: 'min', because: why('earliest', minimum.value, minimum.mark) },
    'cure-better': { value: cure.recommendedMin, unit: 'min', because: why('recommended', recommended.value, recommended.mark) },
  }
}
