import * as v from 'valibot'
import { asPractised, type Figures } from '#core/figures'
import { figure } from '#core/reasons'
import { coats, type Coat } from '#core/medium'
import { addMinutes, instant, secondOf, type Zoned } from '#core/time'
import { decimal, minutes } from '#core/units'

export const surfaces = ['porous', 'painted', 'sealed', 'stone'] as const
export type Surface = (typeof surfaces)[number]
export type CureVerdict = 'too soon' | 'risky' | 'ready'

/** Below this, or the label's minimum, the film does not form: laying and sealing are refused. */
export const coldLimitCelsius = figure(10, 'celsius', 'E')

const climateClamp = 3
const vpd = (t: number, rh: number) => 0.61094 * Math.exp((17.625 * t) / (t + 243.04)) * (1 - rh / 100)
const reference = vpd(21, 50)

/** How much slower a film dries than at 21 C and 50 %: the ratio of vapour pressure deficits, at most 3. May be below 1. */
export function climateFactor(celsius: number, humidityPct: number): number {
  const deficit = vpd(celsius, humidityPct)
  return deficit <= 0 ? climateClamp : Math.min(climateClamp, reference / deficit)
}

/** How much longer something dries in a room than practice's minutes say, which mean a usual room: never shorter. The air is what was read there,
 *  on the mean, else what is usual there; where neither is known it is a usual room. */
export function dryingFactor(
  read: readonly Pick<Reading, 'celsius' | 'humidityPct'>[],
  usual?: { celsius: number; humidityPct: number },
): number {
  const mean = (f: (r: Pick<Reading, 'celsius' | 'humidityPct'>) => number) => read.reduce((sum, r) => sum + f(r), 0) / read.length
  const air = read.length > 0 ? { celsius: mean((r) => r.celsius), humidityPct: mean((r) => r.humidityPct) } : usual
  return air ? Math.max(1, Math.round(climateFactor(air.celsius, air.humidityPct) * 10) / 10) : 1
}

const asNumber = (limits: { min: number; max: number }) => v.pipe(decimal(limits), v.transform(Number))

export const climateShape = v.object({
  celsius: asNumber({ min: -40, max: 60 }),
  humidityPct: asNumber({ min: 0, max: 100 }),
})
export const cureInput = v.pipe(
  v.object({
    laidAt: instant(),
    rubAt: instant(),
    minimumMin: minutes(),
    recommendedMin: minutes(),
    climate: climateShape,
    coat: v.picklist(coats, `not a coat | Say one of ${coats.join(', ')}.`),
    surface: v.picklist(surfaces, `not a surface | Say one of ${surfaces.join(', ')}.`),
  }),
  v.forward(
    v.check((i) => i.recommendedMin >= i.minimumMin, 'the recommended time is shorter than the least | Give at least minimumMin.'),
    ['recommendedMin'],
  ),
)
export type CureInput = v.InferOutput<typeof cureInput>

export interface Cure {
  /** What the recommended time is longer by, and what the required one is. */
  factor: number
  climateFactor: number
  requiredMin: number
  recommendedMin: number
  verdict: CureVerdict
  earliestAt: Zoned
  recommendedAt: Zoned
}

/** max(1, climate x coat x surface): conditions only ever make a cure longer than practice recommends. Coat and surface never touch
 *  what is told as “never before”: that follows the room's air alone. */
export const cureFactor = (celsius: number, humidityPct: number, coat: Coat, surface: Surface, figures: Figures = asPractised): number =>
  Math.max(1, climateFactor(celsius, humidityPct) * figures(`cure.coat.${coat}`).value * figures(`cure.surface.${surface}`).value)

const roundUp = (minutes: number) => Math.ceil(minutes - 1e-6)

/** What a thermometer or a logger said of the air where pieces lie. */
export interface Reading {
  at: Zoned
  celsius: number
  humidityPct: number
}
/** A reading holds until the next, but not longer: then the house's own air is believed again, in minutes (E). */
export const readingHolds = figure(180, 'min', 'E')

/** The air from a moment on, stretch by stretch in minutes, the last one without an end: as it was read, else as the house's usually is. */
function airFrom(
  laidAt: Zoned,
  usual: CureInput['climate'],
  air: readonly Reading[],
): { minutes: number; air: CureInput['climate']; read: boolean }[] {
  const laid = secondOf(laidAt)
  const holds = readingHolds.value
  const read = air.map((r) => ({ r, at: (secondOf(r.at) - laid) / 60 })).sort((a, b) => a.at - b.at)
  const stretches: { minutes: number; air: CureInput['climate']; read: boolean }[] = []
  let now = 0
  const go = (to: number, climate: CureInput['climate'], isRead: boolean) => {
    if (to > now) stretches.push({ minutes: to - now, air: climate, read: isRead })
    now = Math.max(now, to)
  }
  read.forEach(({ r, at }, i) => {
    go(at, usual, false)
    go(Math.min(at + holds, read[i + 1]?.at ?? Infinity), r, true)
  })
  return [...stretches, { minutes: Infinity, air: usual, read: false }]
}

/** How many minutes it takes until so many minutes' worth of curing is done, when each minute counts for one over the factor of its air. */
function minutesUntil(worth: number, stretches: ReturnType<typeof airFrom>, factor: (air: CureInput['climate']) => number): number {
  let [left, gone] = [worth, 0]
  for (const s of stretches) {
    const f = factor(s.air)
    if (left * f <= s.minutes) return gone + left * f
    left -= s.minutes / f
    gone += s.minutes
  }
  return gone
}

/** Whether a piece laid at one instant may be rubbed at another, and from when it may and should be. `air` is what was read where it lies:
 *  each stretch counts with its own air, and the house's where nothing was read.
 *  Elapsed time counts, so a clock change in between is honoured; compared to the second; answers in laidAt's zone. */
export function cure(i: CureInput, figures: Figures = asPractised, air: readonly Reading[] = []): Cure {
  const stretches = airFrom(i.laidAt, i.climate, air)
  const least = (a: CureInput['climate']) => Math.max(1, climateFactor(a.celsius, a.humidityPct))
  const better = (a: CureInput['climate']) => cureFactor(a.celsius, a.humidityPct, i.coat, i.surface, figures)
  const requiredMin = roundUp(minutesUntil(i.minimumMin, stretches, least))
  const recommendedMin = Math.max(requiredMin, roundUp(minutesUntil(i.recommendedMin, stretches, better)))
  const earliestAt = addMinutes(i.laidAt, requiredMin)
  const recommendedAt = addMinutes(i.laidAt, recommendedMin)
  const rub = secondOf(i.rubAt)
  const verdict = rub < secondOf(i.laidAt) || rub < secondOf(earliestAt) ? 'too soon' : rub < secondOf(recommendedAt) ? 'risky' : 'ready'
  const usual = air.length === 0
  return {
    factor: usual || i.recommendedMin === 0 ? better(i.climate) : recommendedMin / i.recommendedMin,
    climateFactor: usual || i.minimumMin === 0 ? least(i.climate) : requiredMin / i.minimumMin,
    requiredMin,
    recommendedMin,
    verdict,
    earliestAt,
    recommendedAt,
  }
}
