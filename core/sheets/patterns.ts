import { leaf, putTogether, type Part } from './part'

/** Pieces of one size: how large, whether they may be turned, how many. Gutter added, whole numbers. */
export interface Kind {
  w: number
  h: number
  turn: boolean
  count: number
}
/** What one sheet can hold: a number of each kind, and how it is cut. Leaves carry the kind's index. */
export interface Pattern {
  counts: number[]
  cut: Part
}
export interface Filling {
  /** No arrangement that straight cuts take apart needs fewer sheets. */
  bound: number
  /** Patterns and how many sheets of each the relaxation takes. */
  patterns: { pattern: Pattern; sheets: number }[]
}

/** More cuts than this are not looked at: the bound is then not computed. */
const mostCuts = 12_000_000
const mostRounds = 60
const hair = 1e-9

/** The linear relaxation over all patterns that straight cuts can make of a sheet, by column generation, and the bound that
 *  follows from its prices (Farley). A pattern is the most valuable filling of one sheet by repeated straight cuts, found by
 *  recursion over sums of sizes; a pattern may hold more of a kind than there are, which only lowers the bound.
 *
 *  Exact up to 1e-7 in the bound's rounding. Undefined where too many sizes make the recursion longer than `most` cuts.
 *  Sources: P. C. Gilmore, R. E. Gomory, "Multistage cutting stock problems of two and more dimensions", Oper. Res. 13 (1965);
 *  J. E. Beasley, "Algorithms for unconstrained two-dimensional guillotine cutting", J. Oper. Res. Soc. 36 (1985);
 *  A. A. Farley, "A note on bounding a class of linear programming problems, including cutting stock problems", Oper. Res. 38
 *  (1990). */
export function fillByPatterns(kinds: readonly Kind[], sheet: { w: number; h: number }, most = mostCuts): Filling | undefined {
  const recursion = Recursion.over(kinds, sheet, most)
  if (!recursion || kinds.length === 0) return undefined
  const n = kinds.length
  // The first basis: as many of one kind as a sheet holds.
  const basis: Pattern[] = kinds.map((_, i) => recursion.best(kinds.map((__, k) => (k === i ? 1 : 0))).pattern)
  const inverse = basis.map((p, i) => Array.from({ length: n }, (_, k) => (k === i ? 1 / p.counts[i]! : 0)))
  const demand = kinds.map((k) => k.count)
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0)
  let bound = 0
  for (let round = 0; round < mostRounds; round++) {
    const prices = demand.map((_, k) => inverse.reduce((sum, row) => sum + row[k]!, 0))
    const { value, pattern } = recursion.best(prices)
    const paid = prices.reduce((sum, p, i) => sum + Math.max(0, p) * demand[i]!, 0)
    bound = Math.max(bound, Math.ceil(paid / Math.max(value, 1) - 1e-7))
    if (value <= 1 + hair) break
    const column = inverse.map((row) => dot(row, pattern.counts))
    const use = inverse.map((row) => dot(row, demand))
    const leaving = column.reduce((least, c, i) => (c > hair && (least < 0 || use[i]! / c < use[least]! / column[least]!) ? i : least), -1)
    if (leaving < 0) break
    basis[leaving] = pattern
    const pivot = inverse[leaving]!.map((x) => x / column[leaving]!)
    inverse.forEach((row, i) => {
      if (i !== leaving) inverse[i] = row.map((x, k) => x - column[i]! * pivot[k]!)
    })
    inverse[leaving] = pivot
  }
  return { bound, patterns: basis.map((pattern, i) => ({ pattern, sheets: Math.max(0, dot(inverse[i]!, demand)) })) }
}

/** The most valuable filling of every rectangle whose sides are sums of sizes. */
class Recursion {
  private constructor(
    private readonly kinds: readonly Kind[],
    private readonly xs: number[],
    private readonly ys: number[],
    /** For every pair of sums, the largest sum not above their difference. */
    private readonly restX: Int32Array,
    private readonly restY: Int32Array,
  ) {}

  static over(kinds: readonly Kind[], sheet: { w: number; h: number }, most: number): Recursion | undefined {
    const sides = (side: 'w' | 'h') => [...new Set(kinds.flatMap((k) => (k.turn ? [k.w, k.h] : [k[side]])))]
    const limit = Math.floor(Math.sqrt(most))
    const xs = sums(sides('w'), sheet.w, limit)
    const ys = sums(sides('h'), sheet.h, limit)
    if (!xs || !ys || xs.length * ys.length * (xs.length + ys.length) > most) return undefined
    return new Recursion(kinds, xs, ys, rests(xs), rests(ys))
  }

  best(prices: readonly number[]): { value: number; pattern: Pattern } {
    const { kinds, xs, ys, restX, restY } = this
    const [nx, ny] = [xs.length, ys.length]
    const value = new Float64Array(nx * ny)
    // What made it: 0 nothing, 1 + 2 kind + turned a piece, -1 - cut across x, -1 - nx - cut across y.
    const made = new Int32Array(nx * ny)
    for (let i = 0; i < nx; i++)
      for (let j = 0; j < ny; j++) {
        let most = 0
        let how = 0
        for (let k = 0; k < kinds.length; k++) {
          const p = kinds[k]!
          const price = prices[k]!
          if (price <= most) continue
          if (p.w <= xs[i]! && p.h <= ys[j]!) [most, how] = [price, 1 + 2 * k]
          else if (p.turn && p.h <= xs[i]! && p.w <= ys[j]!) [most, how] = [price, 2 + 2 * k]
        }
        const at = i * ny + j
        for (let a = 1; a < i && 2 * xs[a]! <= xs[i]!; a++) {
          const sum = value[a * ny + j]! + value[restX[i * nx + a]! * ny + j]!
          if (sum > most + hair) [most, how] = [sum, -1 - a]
        }
        for (let b = 1; b < j && 2 * ys[b]! <= ys[j]!; b++) {
          const sum = value[i * ny + b]! + value[i * ny + restY[j * ny + b]!]!
          if (sum > most + hair) [most, how] = [sum, -1 - nx - b]
        }
        value[at] = most
        made[at] = how
      }
    const counts = kinds.map(() => 0)
    const trace = (i: number, j: number): Part | undefined => {
      const how = made[i * ny + j]!
      if (how === 0) return undefined
      if (how > 0) {
        const k = (how - 1) >> 1
        counts[k]!++
        const p = kinds[k]!
        return how % 2 === 1 ? leaf(k, p.w, p.h) : leaf(k, p.h, p.w)
      }
      const cut = -how - 1
      return cut < nx
        ? putTogether(true, [trace(cut, j), trace(restX[i * nx + cut]!, j)])
        : putTogether(false, [trace(i, cut - nx), trace(i, restY[j * ny + cut - nx]!)])
    }
    const cut = trace(nx - 1, ny - 1) ?? leaf(-1, 0, 0)
    return { value: value[nx * ny - 1]!, pattern: { counts, cut } }
  }
}

/** Sums of sizes up to a length, 0 first; undefined beyond `most`. */
function sums(sizes: readonly number[], length: number, most: number): number[] | undefined {
  const found = new Set([0])
  const queue = [0]
  while (queue.length) {
    const from = queue.pop()!
    for (const s of sizes) {
      const to = from + s
      if (to > length || found.has(to)) continue
      if (found.size > most) return undefined
      found.add(to)
      queue.push(to)
    }
  }
  return [...found].sort((a, b) => a - b)
}

function rests(points: readonly number[]): Int32Array {
  const n = points.length
  const rest = new Int32Array(n * n)
  for (let i = 0; i < n; i++) {
    let r = i
    for (let a = 0; a <= i; a++) {
      while (points[r]! > points[i]! - points[a]!) r--
      rest[i * n + a] = r
    }
  }
  return rest
}

/** Sheets cut by the patterns of a filling, each kind's pieces as long as there are some: whole sheets of the relaxation first,
 *  then whatever pattern takes the most of what is left. A start for a search; `pieces` lists each kind's pieces. */
export function sheetsFrom(filling: Filling, pieces: readonly (readonly number[])[], areas: readonly number[]): Part[] {
  const left = pieces.map((p) => [...p])
  const patterns = [...filling.patterns].sort((a, b) => b.sheets - a.sheets)
  const take = (pattern: Pattern): Part | undefined => fillIn(pattern.cut, left)
  const sheets: (Part | undefined)[] = []
  for (const { pattern, sheets: n } of patterns) for (let i = 0; i < Math.floor(n + 1e-6); i++) sheets.push(take(pattern))
  const worth = ({ counts }: Pattern) => counts.reduce((sum, c, k) => sum + Math.min(c, left[k]!.length) * areas[k]!, 0)
  while (left.some((l) => l.length > 0)) {
    const next = patterns.reduce((best, p) => (worth(p.pattern) > worth(best.pattern) ? p : best))
    if (worth(next.pattern) === 0) break
    sheets.push(take(next.pattern))
  }
  return sheets.filter((s) => s !== undefined)
}

function fillIn(cut: Part, left: number[][]): Part | undefined {
  if (cut.piece >= 0) {
    const piece = left[cut.piece]!.shift()
    return piece === undefined ? undefined : leaf(piece, cut.w, cut.h)
  }
  return putTogether(
    cut.beside,
    cut.kids.map((k) => fillIn(k, left)),
  )
}
