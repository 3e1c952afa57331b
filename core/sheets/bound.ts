import type { Kind } from './patterns'

/** Sheets that any arrangement needs, cuttable or not: by area, and by areas seen through dual feasible functions: a size above
 *  the sheet less `a` counts as the whole sheet, one below `a` as nothing; or a size counts as its whole k-th parts. A piece that
 *  may be turned counts the lesser of its two ways. Valid for whole numbers; never above the optimum.
 *  Source: S. P. Fekete, J. Schepers, "New classes of fast lower bounds for bin packing problems", Math. Program. 91 (2001). */
export function areaBound(kinds: readonly Kind[], sheet: { w: number; h: number }): number {
  const ways = kinds.map((p) =>
    [[p.w, p.h] as const, ...(p.turn ? [[p.h, p.w] as const] : [])].filter(([w, h]) => w <= sheet.w && h <= sheet.h),
  )
  const across = functionsOf(
    sheet.w,
    ways.flatMap((list) => list.map(([w]) => w)),
  )
  const up = functionsOf(
    sheet.h,
    ways.flatMap((list) => list.map(([, h]) => h)),
  )
  let bound = 0
  for (const f of across)
    for (const g of up) {
      const sum = ways.reduce((total, list, i) => total + kinds[i]!.count * Math.min(...list.map(([w, h]) => f(w) * g(h))), 0)
      bound = Math.max(bound, Math.ceil(sum - 1e-7))
    }
  return bound
}

type Seen = (size: number) => number
/** Of so many functions each way every pair is looked at. */
const most = 12

function functionsOf(length: number, sizes: readonly number[]): Seen[] {
  const thresholds = [...new Set(sizes.map((s) => Math.min(s, length - s)))].filter((a) => a > 0 && 2 * a <= length).sort((a, b) => a - b)
  const every = Math.max(1, Math.ceil(thresholds.length / most))
  const cut = thresholds.filter((_, i) => i % every === 0)
  return [
    (s) => s / length,
    ...cut.map(
      (a): Seen =>
        (s) =>
          s > length - a ? 1 : s < a ? 0 : s / length,
    ),
    ...[1, 2, 3, 4, 5].map((k): Seen => (s) => {
      const whole = (s * (k + 1)) / length
      return Number.isInteger(whole) ? s / length : Math.floor(whole) / k
    }),
  ]
}
