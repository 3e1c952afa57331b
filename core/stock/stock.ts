import * as v from 'valibot'
import { refuse, type Refusal } from '#core/reasons'
import { decimal, fromMicro, micro, whole } from '#core/units'
import { cheapestCuts, type Offer } from './search'

const most = 100_000
const mm = (limits: { min?: number; above?: number }) => v.pipe(decimal({ ...limits, max: most }), v.transform(micro))
const pieceLimit = 5000

/** Lengths in mm, decimals of up to 6 places and at most 100 m, held as whole millionths. At most 200 sizes, 5000 pieces in
 *  all, 12 kinds of length. */
export const stockInput = v.object({
  pieces: v.pipe(
    v.array(
      v.object({ lengthMm: mm({ above: 0 }), count: whole({ min: 0, max: pieceLimit }) }),
      'not a list of pieces | Give a list of {lengthMm, count}.',
    ),
    v.maxLength(200, 'more than 200 sizes | Give 200 or fewer.'),
    v.check(
      (list) => list.reduce((sum, p) => sum + p.count, 0) <= pieceLimit,
      `more than ${pieceLimit} pieces | Cut them in several plans.`,
    ),
  ),
  stock: v.pipe(
    v.array(
      v.object({
        lengthMm: mm({ above: 0 }),
        priceMinor: v.optional(whole({ min: 0, max: 1e8 })),
        available: v.optional(whole({ min: 0, max: 1e6 })),
      }),
      'not a list of lengths | Give a list of {lengthMm}.',
    ),
    v.maxLength(12, 'more than 12 kinds of length | Give 12 or fewer.'),
    v.check(
      (list) => list.every((s) => s.priceMinor === undefined) || list.every((s) => s.priceMinor !== undefined),
      'a price for some lengths only | Give a price for every length, or for none.',
    ),
  ),
  kerfMm: v.optional(v.pipe(decimal({ min: 0, max: 1000 }), v.transform(micro)), 0),
})
export type StockInput = v.InferOutput<typeof stockInput>

export interface CutPlan {
  /** Each length that is cut, its pieces in order, longest first; `index` is its place in the input. */
  lengths: { lengthMm: number; index: number; cuts: number[] }[]
  /** No fewer lengths can do. */
  lowerBound: number
  /** What is left of each length after the last cut's kerf, in the order of `lengths`. */
  offcutsMm: number[]
  costMinor?: number
  /** No better plan exists; otherwise it is the best that was found. */
  proven: boolean
}

/** Boards from lengths, strips from rolls, film or cloth from roll width. k pieces of one length need their sum and k - 1
 *  kerfs: a cut that ends exactly at the end needs none.
 *
 *      |<-piece->|k|<-piece->|k|<-piece->|k|<--- offcut --->|
 *
 *  Without prices: fewest lengths, then least total length; with prices: least cost, then fewest lengths. A first plan is taken
 *  apart and filled anew (`refill.ts`), then branch and bound over maximal fillings (own): exact where it finishes within its steps
 *  or meets the bound (`proven`), else the best found beside its bound (Martello and Toth 1990, volumes and counts).
 *  Refuses pieces longer than every length, and more pieces than what is there can hold. */
export function cutStock({ pieces, stock, kerfMm }: StockInput): CutPlan | Refusal {
  const sizes = pieces.filter((p) => p.count > 0)
  const offers: Offer[] = stock
    .map((s, index) => ({ size: s.lengthMm + kerfMm, price: s.priceMinor, left: s.available ?? Infinity, index }))
    .filter((o) => o.left > 0)
  const longest = Math.max(0, ...offers.map((o) => o.size))
  const tooLong = sizes.filter((p) => p.lengthMm + kerfMm > longest)
  if (tooLong.length)
    return refuse(
      'Some pieces are longer than every length.',
      `${tooLong.map((p) => `${fromMicro(p.lengthMm)} mm`).join(', ')} out of ${fromMicro(Math.max(0, longest - kerfMm))} mm at the most.`,
      ['Buy longer lengths.', 'Make the piece shorter, or join it.'],
    )
  const found = cheapestCuts(
    sizes.map((p) => ({ size: p.lengthMm + kerfMm, count: p.count })),
    offers,
  )
  if (!found.bins)
    return refuse(
      'There is not enough to cut from.',
      found.proven ? 'What is available cannot hold all pieces.' : 'No way was found to cut all pieces from what is available.',
      ['Buy more lengths.', 'Plan fewer pieces.'],
    )
  const lengths = found.bins.map((b) => ({
    lengthMm: fromMicro(b.offer.size - kerfMm),
    index: b.offer.index,
    cuts: b.items.map((size) => fromMicro(size - kerfMm)),
  }))
  const offcutsMm = found.bins.map((b) => fromMicro(Math.max(0, b.offer.size - kerfMm - b.items.reduce((sum, x) => sum + x, 0))))
  const prices = found.bins.map((b) => b.offer.price)
  return {
    lengths,
    lowerBound: found.lowerBound,
    offcutsMm,
    ...(prices.every((p) => p !== undefined) &&
      stock.some((s) => s.priceMinor !== undefined) && { costMinor: prices.reduce((sum, p) => sum + p, 0) }),
    proven: found.proven,
  }
}
