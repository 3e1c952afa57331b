import * as v from 'valibot'
import { refuse, type Refusal } from '#core/reasons'
import { decimal, whole } from '#core/units'
import { everybodyHasOne, failuresAtMost, type Beta } from './beta'

const pseudo = (min: { min?: number; above?: number }) => v.pipe(decimal({ ...min, max: 1_000_000 }), v.transform(Number))

/** Beta pseudo-counts of failed and good; `logged` is what this house has counted itself. */
export const sparesInput = v.pipe(
  v.object({
    people: whole({ min: 0, max: 10_000 }),
    prior: v.object({ good: pseudo({ min: 0 }), failed: pseudo({ min: 0 }) }),
    logged: v.optional(v.object({ good: pseudo({ min: 0 }), failed: pseudo({ min: 0 }) }), { good: 0, failed: 0 }),
    confidence: v.pipe(
      decimal({ max: 1e9, min: -1e9, places: 15 }),
      v.check((d) => d.gt(0) && d.lt(1), 'not between 0 and 1 | Give a share such as 0.9.'),
      v.transform(Number),
    ),
    kind: v.picklist(['interchangeable', 'own'], 'not a kind of spare | Say "interchangeable" or "own".'),
  }),
  v.forward(
    v.check(
      (i) => i.prior.good + i.logged.good > 0 && i.prior.failed + i.logged.failed > 0,
      'good and failed must both be above 0 | Give a prior such as {"good": 9, "failed": 1}.',
    ),
    ['prior'],
  ),
)
export type SparesInput = v.InferOutput<typeof sparesInput>
export interface Spares {
  spares: number
  /** The probability got. */
  reached: number
}
export interface Copies {
  copies: number
  reached: number
}

const hair = 1e-12
const mostCopies = 1000
const mostSpares = (people: number) => Math.max(1000, 20 * people)

const posterior = (i: Pick<SparesInput, 'prior' | 'logged'>): Beta => ({
  failed: i.prior.failed + i.logged.failed,
  good: i.prior.good + i.logged.good,
})

/** The fewest extras so that everybody has a good one with the chosen confidence.
 *  Interchangeable: the smallest s with P(failures among N + s <= s) >= confidence, failures beta-binomial.
 *  Own: the smallest c >= 1 copies of each with E[(1 - p^c)^N] >= confidence, p ~ Beta(failed, good).
 *  Refuses when more than 20 a person (or 1000) would be needed. Both grow with their argument, so bisection is exact. */
export function sparesFor(input: SparesInput): Spares | Copies | Refusal {
  const { people, kind, confidence } = input
  const beta = posterior(input)
  const sure = (n: number) => (kind === 'own' ? everybodyHasOne(n, people, beta) : failuresAtMost(n, people + n, beta))
  const [least, most] = kind === 'own' ? [1, mostCopies] : [0, mostSpares(people)]
  const n = smallest(least, most, (k) => sure(k) >= confidence - hair)
  if (n === undefined)
    return refuse(
      'No reasonable number of spares is enough.',
      `Even ${most} would not make it ${confidence * 100} % sure that everybody has a good one.`,
      ['Be content with less certainty.', 'Make a sample first: too many fail.'],
    )
  return kind === 'own' ? { copies: n, reached: sure(n) } : { spares: n, reached: sure(n) }
}

/** The chance that each of so many people has at least one good print among so many copies of their own. */
export const sureWithCopies = (copies: number, input: Pick<SparesInput, 'people' | 'prior' | 'logged'>): number =>
  everybodyHasOne(copies, input.people, posterior(input))

/** How sure a chosen number of interchangeable spares makes it that everybody has a good one. */
export const sureWith = (spares: number, input: Pick<SparesInput, 'people' | 'prior' | 'logged'>): number =>
  failuresAtMost(spares, input.people + spares, posterior(input))

/** The smallest k in least..most for which a growing test holds; doubling, then bisection. */
function smallest(least: number, most: number, holds: (k: number) => boolean): number | undefined {
  let low = least
  let high = least
  for (let step = 1; !holds(high); step *= 2) {
    if (high >= most) return undefined
    low = high + 1
    high = Math.min(most, high + step)
  }
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return low
}
