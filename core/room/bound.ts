import type { Task } from './task'

/** A proven least finish: no plan is earlier. The largest of three kinds, pins left aside where they only make it later.
 *  - A piece alone: its stages as early as an empty room lets them, lags and blocks kept.
 *  - The energy of a station or of the adults: of the stages that begin at head h or later and have tail t or more behind them, each of the
 *    c places works from the i-th smallest head to the finish less the i-th smallest tail, never in a block where all of them are attended:
 *    the least finish at which that holds their work.
 *  - What is pinned ends when it ends. */
export function lowerBound(t: Task): number {
  const { head, tail, alone } = headsAndTails(t)
  let bound = alone
  const minute = (x: number) => x
  const unblocked = freeUntil(t)
  const groups: { ops: number[]; places: number }[] = Array.from(t.places, (places) => ({ ops: [] as number[], places }))
  const hands: { ops: number[]; places: number } = { ops: [], places: t.helpers }
  for (let o = 0; o < t.ops; o++) {
    if (t.station[o]! >= 0) groups[t.station[o]!]!.ops.push(o)
    if (t.helper[o]) hands.ops.push(o)
  }
  for (const g of [...groups, hands]) {
    if (g.ops.length === 0 || g.places === 0) continue
    const heads = thinned([...new Set(g.ops.map((o) => head[o]!))].sort((a, b) => a - b))
    const tails = thinned([...new Set(g.ops.map((o) => tail[o]!))].sort((a, b) => a - b))
    for (const h of heads)
      for (const l of tails) {
        const set = g.ops.filter((o) => head[o]! >= h && tail[o]! >= l)
        if (set.length === 0) continue
        const free = set.every((o) => t.attended[o]) ? unblocked : minute
        bound = Math.max(bound, energy(t, set, head, tail, g.places, free, bound))
      }
  }
  return bound
}

/** The least finish at which `places` machines hold the work of a set; `least` where that is already enough. */
function energy(t: Task, set: number[], head: Int32Array, tail: Int32Array, places: number, free: (x: number) => number, least: number): number {
  const n = Math.min(places, set.length)
  const smallest = (of: Int32Array) => set.map((o) => of[o]!).sort((a, b) => a - b).slice(0, n)
  const [heads, tails] = [smallest(head), smallest(tail)]
  const work = set.reduce((sum, o) => sum + t.dur[o]!, 0)
  const begun = heads.reduce((sum, h) => sum + free(h), 0)
  const holds = (f: number) => tails.reduce((sum, l) => sum + free(Math.max(0, f - l)), 0) - begun >= work
  if (holds(least)) return least
  let [no, yes] = [least, least + work + 64]
  while (!holds(yes)) yes *= 2
  while (yes - no > 1) {
    const middle = (no + yes) >> 1
    if (holds(middle)) yes = middle
    else no = middle
  }
  return yes
}

/** How early each stage can begin and how long it is from its end to its piece's, in an empty room. */
function headsAndTails(t: Task): { head: Int32Array; tail: Int32Array; alone: number } {
  const [head, tail] = [new Int32Array(t.ops), new Int32Array(t.ops)]
  let alone = 0
  for (let p = 0; p < t.pieces; p++) {
    const [a, b] = [t.first[p]!, t.first[p + 1]!]
    let at = t.from[p]!
    for (let o = a; o < b; o++) {
      at = Math.max(t.attended[o] ? clear(t, at, t.dur[o]!) : at, t.pin[o]!)
      head[o] = at
      at += t.dur[o]! + (o < b - 1 ? t.least[o]! : 0)
    }
    alone = Math.max(alone, at)
    for (let o = b - 2; o >= a; o--) tail[o] = tail[o + 1]! + t.dur[o + 1]! + t.least[o]!
  }
  return { head, tail, alone }
}

/** The first minute from `from` on at which `d` minutes meet no block. */
function clear(t: Task, from: number, d: number): number {
  let at = from
  for (let again = true; again; ) {
    again = false
    for (const b of t.blocks)
      if (at < b.toMin && at + d > b.fromMin) {
        at = b.toMin
        again = true
      }
  }
  return at
}

/** Minutes outside all blocks up to a moment. */
function freeUntil(t: Task): (x: number) => number {
  const sorted = [...t.blocks].sort((a, b) => a.fromMin - b.fromMin)
  const apart: [number, number][] = []
  for (const b of sorted) {
    const last = apart.at(-1)
    if (last && b.fromMin <= last[1]) last[1] = Math.max(last[1], b.toMin)
    else apart.push([b.fromMin, b.toMin])
  }
  return (x) => apart.reduce((sum, [a, b]) => sum - Math.max(0, Math.min(x, b) - a), x)
}

const most = 24
/** At the most so many of a sorted list, the smallest always. */
const thinned = (list: number[]): number[] =>
  list.length <= most ? list : Array.from({ length: most }, (_, i) => list[Math.floor((i * list.length) / most)]!)
