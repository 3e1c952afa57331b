import { isRefusal } from '../core/reasons'
import { cutStock, stockInput } from '../core/stock'
import * as v from 'valibot'

/** General instances of 20 to 120 pieces, each of another length, cut from one length and from three; and 200 sizes of 25. Figures: what is
 *  cut over the bound in per cent, and the time of each. */
export function benchStock(): Record<string, number> {
  let seed = 12_345
  const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
  const general = () =>
    Array.from({ length: 20 + Math.floor(random() * 101) }, () => ({ lengthMm: Math.round(100 + random() * 1200), count: 1 }))
  const many = () => Array.from({ length: 200 }, (_, i) => ({ lengthMm: 50 + i * 7 + Math.floor(random() * 5), count: 25 }))
  const measure = (name: string, n: number, make: typeof general, stock: number[]): Record<string, number> => {
    let [over, ms, worst] = [0, 0, 0]
    for (let k = 0; k < n; k++) {
      const input = v.parse(stockInput, { pieces: make(), stock: stock.map((lengthMm) => ({ lengthMm })), kerfMm: 3 })
      const from = performance.now()
      const plan = cutStock(input)
      const took = performance.now() - from
      if (isRefusal(plan)) throw new Error('an instance of the benchmark was refused')
      over += (plan.lengths.length - plan.lowerBound) / plan.lowerBound
      ms += took
      worst = Math.max(worst, took)
    }
    return {
      [`stock: ${name}, over the bound, %`]: (100 * over) / n,
      [`stock: ${name}, ms`]: ms / n,
      [`stock: ${name}, ms, slowest`]: worst,
    }
  }
  return {
    ...measure('60 general of 20 to 120 pieces', 60, general, [2400]),
    ...measure('the same from three lengths', 60, general, [2400, 1800, 1200]),
    ...measure('200 sizes, 5000 pieces', 2, many, [2400]),
  }
}
