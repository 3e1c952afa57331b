import type { KitLine } from '#core/kit'
import { because, from, keysOf, weakest, type Because, type Figure, type Input } from '#core/reasons'
import type { FigureKey } from '#core/figures'
import { minutesBetween } from '#core/time'
import type { PlannedDesign } from './design'
import type { ClassLoad, DesignPlan, PlanFigure, Reckoning } from './shapes'
import { failsKey, prior } from './quantities'
import type { Situation } from './situation'

/** Every figure a screen shows, by key, with why: `people`, `sheets`, `kit/<material>`, `session/<id>`, `earliest`, … With several designs
 *  each has its own under `<key>@<design>`; the plain key is what they come to together, or the first one's. */
export function figuresOf(parts: readonly PlannedDesign[], plan: Reckoning): Record<string, PlanFigure> {
  const { s } = parts[0]!
  const own = parts.map((p) => designFigures(p.s, p.d))
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
    ...own[0],
    adults: { value: plan.adults.needed, unit: 'count', because: plan.adults.because },
    ...costs(plan),
  }
  if (parts.length > 1) {
    for (const key of ['spares', 'samples', 'prints', 'sheets'])
      figures[key] = { value: own.reduce((sum, f) => sum + Number(f[key]!.value), 0), unit: 'count', because: ofDesigns(parts, own, key) }
    parts.forEach((p, i) => {
      for (const [key, f] of Object.entries(own[i]!)) figures[`${key}@${p.d.design}`] = f
      for (const l of p.d.ownKit) figures[`kit/${l.key}@${p.d.design}`] = { value: l.need, unit: l.unit, because: l.because }
    })
  }
  for (const l of plan.kit) {
    figures[`kit/${l.key}`] = { value: l.need, unit: l.unit, because: l.because }
    const packs = l.toGet.packs.reduce((sum, p) => sum + p.count, 0)
    if (l.toGet.packs.length || packs)
      figures[`packs/${l.key}`] = {
        value: packs,
        unit: 'packs',
        noun: l.toGet.packs[0]?.noun ?? 'pack',
        because: packsBecause(l),
      }
  }
  for (const l of plan.loads)
    figures[`session/${l.sessionId}`] = { value: l.neededMin, unit: 'min', because: because('session-time', sessionInputs(parts, l)) }
  if (plan.shelf)
    figures['shelf'] = {
      value: plan.shelf.places,
      unit: 'count',
      because: because('shelf', [{ name: 'blanks', value: plan.shelf.places }]),
    }
  return figures
}

/** A figure that is the sum of the designs'. */
const ofDesigns = (parts: readonly PlannedDesign[], own: readonly Record<string, PlanFigure>[], key: string): Because =>
  because(
    'designs',
    parts.map((p, i) => {
      const f = own[i]![key]!
      return { name: `design:${p.d.pieceName}`, value: Number(f.value), mark: f.because.mark, opens: `${key}@${p.d.design}` }
    }),
  )

/** The figures that each design has by itself. */
function designFigures(s: Situation, d: DesignPlan): Record<string, PlanFigure> {
  return {
    spares: { value: d.spares.count, unit: 'count', because: sparesBecause(s, d) },
    samples: {
      value: d.samples.count,
      unit: 'count',
      because: because('samples', [{ name: 'samples', value: d.samples.count, default: !d.samples.chosen, mark: 'P' }]),
    },
    prints: { value: d.print.prints, unit: 'count', because: printsBecause(s, d) },
    sheets: { value: d.print.sheets, unit: 'count', because: sheetsBecause(s, d) },
    ...cureFigures(s, d),
    ...(d.tape && { strips: { value: d.tape.strips, unit: 'count', because: tapeBecause(s, d) } }),
  }
}

const sparesBecause = (s: Situation, plan: DesignPlan): Because =>
  because(plan.spares.chosen ? 'spares-chosen' : 'spares', [
    pieceInput(plan),
    { name: 'confidence', value: s.workshop.choices.confidence, unit: 'share', default: s.workshop.choices.confidence === 0.9 },
    {
      name: 'failed-good',
      value: `${prior(s).failed + s.evidence.failed} to ${prior(s).good + s.evidence.good}`,
      mark: s.evidence.good + s.evidence.failed >= 10 ? 'Y' : s.figures(failsKey(s)).mark,
      key: failsKey(s),
    },
    { name: 'sure', value: plan.spares.sure, unit: 'share' },
  ])

/** People where each makes one, pieces else. */
const pieceInput = (d: DesignPlan): Input => ({ name: d.pieces === d.makers.length ? 'people' : 'pieces', value: d.pieces })

const printsBecause = (s: Situation, plan: DesignPlan): Because =>
  s.design.pictures === 'own'
    ? because('prints-own', [
        pieceInput(plan),
        { name: 'copies', value: plan.print.copies, ...(s.workshop.choices.copies === undefined && restsOn(s, 'copies')) },
        { name: 'samples', value: plan.samples.count },
      ])
    : because('prints-house', [
        pieceInput(plan),
        { name: 'spares', value: plan.spares.count, ...(!plan.spares.chosen && restsOn(s, failsKey(s))) },
        { name: 'samples', value: plan.samples.count, mark: 'P' },
      ])

const sheetsBecause = (s: Situation, plan: DesignPlan): Because =>
  because('sheets', [
    { name: 'prints', value: plan.print.prints },
    { name: 'per-sheet', value: plan.print.grid.perSheet },
    from('gutter', s.figures('gutter')),
    { name: 'printer-margin', value: s.house.printerMarginMm, unit: 'mm', mark: 'E', ofHouse: true },
  ])

const packsBecause = (l: KitLine): Because =>
  because('packs', [
    { name: 'need', value: l.need },
    { name: 'cupboard', value: l.toGet.have },
    ...(l.toGet.reserved ? [{ name: 'reserved', value: l.toGet.reserved }] : []),
    { name: 'cost', value: l.boughtMinor, unit: 'minor', ...priced(l) },
  ])
/** The prices that a line's cost is made of. */
function priced(l: KitLine): Pick<Input, 'mark' | 'rests'> {
  const prices = l.prices
  return prices.length ? { mark: weakest(prices.map((p) => p.mark)), rests: keysOf(prices) } : {}
}
const tapeBecause = (s: Situation, plan: DesignPlan): Because =>
  because('strips', [
    from('tape-width', s.resolved.tapeWidth),
    from('overlap', s.figures('tape.overlap')),
    { ...from('margin', s.figures('tape.margin')), value: plan.tape!.marginMm },
    { name: 'strip-length', value: plan.tape!.stripLengthMm, unit: 'mm' },
    ...(plan.tape!.abreast > 1 ? [{ name: 'abreast', value: plan.tape!.abreast }] : []),
    ...(plan.tape!.tapes > 1 ? [{ name: 'tapes', value: plan.tape!.tapes }] : []),
  ])

function sessionInputs(parts: readonly PlannedDesign[], l: ClassLoad): Input[] {
  const { figures } = parts[0]!.s
  const [first] = l.stages
  const begins = l.room.plan.finishMin - l.stages.reduce((sum, x) => sum + x.queue + x.minutes + x.wait, 0)
  const late = begins - Math.ceil(l.room.setUpMin + l.room.showMin)
  return [
    from('set-up', figures('set-up')),
    ...l.parts.map((p) => from('show', situationOf(parts, p.design).recipe.show)),
    ...(first && late > 0 ? [{ name: 'comes-later', value: late, unit: 'min' as const }] : []),
    ...l.stages.flatMap((x): Input[] => {
      const stage = situationOf(parts, x.design).resolved.stages.find((y) => y.id === x.id)!
      return [
        ...(x.queue ? [{ name: `queue:${x.name}`, value: x.queue, unit: 'min' as const }] : []),
        { ...from(`stage:${x.name}`, stage.minutes), value: x.minutes },
        ...(x.wait ? [{ ...from(`wait:${x.name}`, stage.then!.least), value: x.wait }] : []),
      ]
    }),
    from('clean-up', figures('clean-up')),
  ]
}
const situationOf = (parts: readonly PlannedDesign[], design: string): Situation => parts.find((p) => p.d.design === design)!.s

/** Marks what is worked out from a figure of the house as the figure is. */
const restsOn = (s: Situation, key: FigureKey): Pick<Input, 'mark' | 'rests'> => ({ mark: s.figures(key).mark, rests: [key] })

function costs(plan: Reckoning): Record<string, PlanFigure> {
  const used = plan.kit.reduce((sum, l) => sum + l.usedMinor, 0)
  const bought = plan.kit.reduce((sum, l) => sum + l.boughtMinor, 0)
  const aHead = (minor: number) => (plan.people ? Math.round(minor / plan.people) : 0)
  const why = (rule: string, minor: number) =>
    because(rule, [
      { name: 'cost', value: minor, unit: 'minor', mark: 'E', opens: 'cost-total' },
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
        plan.kit
          .filter((l) => l.boughtMinor > 0)
          .map((l) => ({ name: `thing:${l.name}`, value: l.boughtMinor, unit: 'minor', ...priced(l) })),
      ),
    },
  }
}

function cureFigures(s: Situation, plan: DesignPlan): Record<string, PlanFigure> {
  const { cure } = plan.split
  if (!cure || !s.resolved.cure) return {}
  const estimated = (factor: number) => factor > 1 && { mark: 'E' as const, ofHouse: true as const }
  const read = (s.setting.air ?? []).filter((r) => minutesBetween(cure.laidAt, r.at) >= 0 && minutesBetween(r.at, cure.recommendedAt) > 0)
  const room: Input = read.length
    ? { name: 'air-read', value: read.length, mark: 'Y' }
    : {
        name: 'room',
        value: `${s.house.climate.celsius} °C, ${s.house.climate.humidityPct} %`,
        ...estimated(cure.climateFactor),
      }
  const laid: Input = { name: 'laid', value: cure.laidAt }
  const times = (factor: number): Input => ({ name: 'factor', value: Number(factor.toFixed(2)), ...estimated(factor) })
  const least = (base: Figure): Because => because('earliest', [laid, from('practice', base), room, times(cure.climateFactor)])
  const better = (base: Figure): Because =>
    because('recommended', [
      laid,
      from('practice', base),
      room,
      { name: 'coat', value: s.resolved.coat, ...(cure.factor > 1 && restsOn(s, `cure.coat.${s.resolved.coat}`)) },
      { name: 'surface', value: s.resolved.surface, ...(cure.factor > 1 && restsOn(s, `cure.surface.${s.resolved.surface}`)) },
      times(cure.factor),
    ])
  const { minimum, recommended } = s.resolved.cure
  return {
    earliest: { value: cure.earliestAt, unit: 'instant', because: least(minimum) },
    recommended: { value: cure.recommendedAt, unit: 'instant', because: better(recommended) },
    'cure-least': { value: cure.requiredMin, unit: 'min', because: least(minimum) },
    'cure-better': { value: cure.recommendedMin, unit: 'min', because: better(recommended) },
  }
}
