import type { Plan } from '#core/plan'
import { pixelsAnInch } from '#core/suitability'
import type { House } from '#core/house'
import { minutesBetween, type Zoned } from '#core/time'
import type { Piece, Workshop } from '#core/workshop'
import { causes } from './causes'
import { questions, symptoms } from './symptoms'
import type { Cause, Evidence, Making, Question, Ranked, Symptom, When } from './shapes'

/** Causes ranked for what is seen on a piece made so. A cause is listed when it explains something seen and its stage is in
 *  the recipe. Sum = blocks for the symptoms it explains, less 2 for each that it does not, plus what speaks for, less what
 *  speaks against; from 4 on likely, from 1 on possible, 0 can't tell, below -2 ruled out. Weights are estimates (E), shown as blocks
 *  that a person can count. Own method. Ties: the order of the catalogue. */
export function diagnose(seen: readonly string[], answers: Record<string, string>, making: Making, stages: readonly string[]): Ranked[] {
  return listed(seen, stages)
    .map((c) => rankOne(c, seen, answers, making))
    .sort((a, b) => b.sum - a.sum)
}

const listed = (seen: readonly string[], stages: readonly string[]): Cause[] =>
  causes.filter((c) => seen.some((s) => c.explains[s]) && (!c.stages || c.stages.some((s) => stages.includes(s))))

/** Two causes that share what is seen between them. */
export interface Together {
  two: [Ranked, Ranked]
  /** The mean of both, each judged by what it explains itself. */
  sum: number
}

/** Pairs of causes that together explain all that is seen where neither does alone: each is judged by its own part, and both have to
 *  be possible by themselves. The best three; none for one symptom. */
export function togetherOf(
  seen: readonly string[],
  answers: Record<string, string>,
  making: Making,
  stages: readonly string[],
): Together[] {
  if (seen.length < 2) return []
  const own = listed(seen, stages).flatMap((c) => {
    const part = seen.filter((s) => c.explains[s])
    const ranked = rankOne(c, part, answers, making)
    return part.length < seen.length && ranked.sum >= 1 ? [{ part, ranked }] : []
  })
  const pairs = own.flatMap((a, i) =>
    own.slice(i + 1).flatMap((b): Together[] => {
      const all = seen.every((s) => a.part.includes(s) || b.part.includes(s))
      const two = (a.ranked.sum >= b.ranked.sum ? [a.ranked, b.ranked] : [b.ranked, a.ranked]) as Together['two']
      return all ? [{ two, sum: (a.ranked.sum + b.ranked.sum) / 2 }] : []
    }),
  )
  return pairs.sort((a, b) => b.sum - a.sum).slice(0, 3)
}

function rankOne(cause: Cause, seen: readonly string[], answers: Record<string, string>, making: Making): Ranked {
  const speaks = cause.evidence.filter((e) => (e.when ? holds(e.when, making) : e.answer && answers[e.answer.question] === e.answer.is))
  const explained = seen.reduce((sum, s) => sum + (cause.explains[s] ?? -2), 0)
  // What is seen alone makes nothing likely.
  const base = Math.min(explained, 3)
  const sum = base + speaks.reduce((total, e) => total + e.weight, 0)
  return {
    cause,
    sum,
    word: sum >= 4 ? 'likely' : sum >= 1 ? 'possible' : sum === 0 ? 'can’t tell' : sum >= -2 ? 'unlikely' : 'ruled out',
    for: [{ weight: Math.max(0, base), said: 'it looks like this' }, ...speaks.filter((e) => e.weight > 0)].filter((e) => e.weight > 0),
    against: [...(base < 0 ? [{ weight: base, said: 'it does not explain all that is seen' }] : []), ...speaks.filter((e) => e.weight < 0)],
  }
}

function holds(when: When, making: Making): boolean {
  const value = making[when.fact]
  if (value === undefined) return false
  if ('is' in when) return value === when.is
  if ('isNot' in when) return value !== when.isNot
  if (typeof value !== 'number') return false
  return 'below' in when ? value < when.below : value >= when.atLeast
}

/** Closer looks that would change something for what is seen. */
export function closerLooks(seen: readonly string[], stages: readonly string[]): Question[] {
  const found = listed(seen, stages)
  const asked = (e: Evidence, q: string) => e.answer?.question === q
  return questions.filter((q) => q.symptoms.some((s) => seen.includes(s)) && found.some((c) => c.evidence.some((e) => asked(e, q.id))))
}

/** How this piece is made, from its plan; from its own laid time where that is known. */
export function makingOf(plan: Plan, workshop: Workshop, house: House, piece?: Piece, now?: Zoned): Making {
  const d = workshop.designs.find((x) => x.id === plan.design)!
  const chosen = (school: string) => plan.chosen.find((c) => c.school.id === school)?.option.id
  const cure = plan.split.cure
  const laid = piece?.laidAt ?? (cure ? plan.sessions.find((s) => s.id === cure.laidIn)!.to : undefined)
  const rub = cure ? plan.sessions.find((s) => s.id === cure.rubIn)!.from : now
  const waited = laid && rub && cure ? minutesBetween(laid, rub) : undefined
  const side = plan.tape?.direction === 'along length' ? plan.picture.widthMm : plan.picture.heightMm
  const middles = plan.tape?.seams.map((s) => Math.abs((s.fromMm + s.toMm) / 2 - side / 2) / side) ?? []
  const found: { [K in keyof Making]: Making[K] | undefined } = {
    cureShare: waited !== undefined && cure ? waited / cure.requiredMin : undefined,
    cureShareBetter: waited !== undefined && cure ? waited / cure.recommendedMin : undefined,
    coat: plan.stages.some((x) => x.lays) ? plan.coat : undefined,
    surface: chosen('ground') === 'white' ? 'painted' : undefined,
    material: d.material,
    wetting: chosen('wetting'),
    rubWith: chosen('rub-with'),
    laterWater: chosen('later-water'),
    rounds: plan.rounds || undefined,
    gsm: d.print?.gsm,
    coated: d.print?.coated,
    printer: d.print?.printer ?? (plan.ink === 'any' ? undefined : plan.ink),
    smear: d.print?.smear,
    readsRight: plan.print.orientation.flips % 2 === 0,
    dpi: d.picture?.pixels && pixelsAnInch(d.picture.pixels, plan.picture.widthMm, plan.picture.heightMm),
    insideMargin: plan.print.grid.perSheet > 0,
    overlapMm: plan.tape?.seams[0] && plan.tape.seams[0].toMm - plan.tape.seams[0].fromMm,
    seams: plan.tape?.seams.length,
    seamFromMiddle: middles.length ? Math.min(...middles) : undefined,
    sealWhen: chosen('seal-when'),
    topCoat: chosen('top-coat'),
    humidity: house.climate.humidityPct,
    celsius: house.climate.celsius,
    cut: chosen('cut'),
    heatBy: chosen('heat-by'),
  }
  return Object.fromEntries(Object.entries(found).filter(([, v]) => v !== undefined)) as Making
}

/** What was seen that is no fault where worn is aimed at. */
export const mayStay = (seen: readonly string[], aim: 'clean' | 'worn' | undefined): Symptom[] =>
  aim === 'worn' ? symptoms.filter((s) => s.charm && seen.includes(s.id)) : []
