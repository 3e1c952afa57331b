import * as v from 'valibot'
import { BadInput, refuse, type Refusal } from '#core/reasons'
import { decimal, fromMicro, micro, whole } from '#core/units'
import { cover, TooManyWays, type Offer } from './cover'

const quantity = (limits: { min?: number; above?: number }) => v.pipe(decimal({ ...limits, max: 1e9 }), v.transform(micro))

/** Quantities in one unit of the caller's, decimals of up to 6 places, up to 1e9; at most 12 kinds of pack. */
export const buyingInput = v.object({
  need: quantity({ min: 0 }),
  cupboard: v.optional(quantity({ min: 0 }), 0),
  packs: v.pipe(
    v.array(
      v.object({
        size: quantity({ above: 0 }),
        priceMinor: whole({ min: 0, max: 1e9 }),
        available: v.optional(whole({ min: 0, max: 1e9 })),
      }),
      'not a list of packs | Give a list of {size, priceMinor}.',
    ),
    v.maxLength(12, 'more than 12 kinds of pack | Give 12 or fewer.'),
  ),
})
export type BuyingInput = v.InferOutput<typeof buyingInput>

export interface Purchase {
  toBuy: number
  /** Bought packs, larger first; `index` is the pack's place in the input. */
  packs: { size: number; count: number; index: number }[]
  costMinor: number
  /** Packs minus toBuy; 0 when nothing is bought. */
  leftOver: number
}

/** The cheapest packs that cover need - cupboard. Exact: quantities are whole millionths.
 *  Ties: least left over, fewest packs, more of the larger. Refuses when what is available is not enough. */
export function cheapestPacks({ need, cupboard, packs }: BuyingInput): Purchase | Refusal {
  const toBuy = Math.max(0, need - cupboard)
  if (toBuy === 0) return { toBuy: 0, packs: [], costMinor: 0, leftOver: 0 }
  const offers: Offer[] = packs
    .map((p, index) => ({ size: p.size, price: p.priceMinor, available: p.available ?? Infinity, index }))
    .filter((p) => p.available > 0)
    .sort((a, b) => b.size - a.size || a.index - b.index)
  const onSale = offers.reduce((sum, o) => sum + o.size * Math.min(o.available, Math.ceil(toBuy / o.size)), 0)
  if (onSale < toBuy)
    return refuse('There is not enough on sale.', `${fromMicro(toBuy)} is to buy, ${fromMicro(onSale)} is on sale.`, [
      'Add another pack or supplier.',
      'Plan with less.',
    ])
  try {
    const best = cover(toBuy, offers)
    return {
      toBuy: fromMicro(toBuy),
      packs: offers.map((o, i) => ({ size: fromMicro(o.size), count: best.counts[i]!, index: o.index })).filter((p) => p.count > 0),
      costMinor: best.cost,
      leftOver: fromMicro(best.total - toBuy),
    }
  } catch (e) {
    if (e instanceof TooManyWays)
      throw new BadInput(
        'these sizes combine in too many ways to be compared exactly',
        'packs',
        'Round the sizes, or offer fewer kinds of pack.',
      )
    throw e
  }
}
