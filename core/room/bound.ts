import { Scheduler } from './schedule'
import { mirrored, type Task } from './task'

/** A proven least finish: no plan that keeps the pins is earlier. It begins at what the longest piece takes alone, and goes up a minute as
 *  long as a finish can be shown not to hold (a destructive bound; Klein and Scholl 1999):
 *  - some stage of a piece could not end before it must, its lags and blocks kept in an otherwise empty room; or
 *  - of a station's or the adults' stages, those that cannot begin before h and must end by l from the end hold more work than there are
 *    places for: each place works from the i-th earliest head to the i-th latest end (energetic reasoning with heads and tails), never in
 *    a block where all of them are attended; and between two blocks only as many minutes as whole stages fill (their greatest common
 *    divisor). */
export function lowerBound(t: Task, enough = Infinity): number {
  const empty: Task = { ...t, places: t.places.map(() => 1e9), helpers: 1e9 }
  const head = startsIn(empty)
  if (!head) return 0
  let finish = 0
  for (let p = 0; p < t.pieces; p++) {
    const last = t.first[p + 1]! - 1
    finish = Math.max(finish, head[last]! + t.dur[last]!)
  }
  const groups = groupsOf(t)
  // Whatever the end, the work of a group takes its time: a first guess without looking at every minute.
  for (const g of groups) finish = Math.max(finish, ...firstGuess(t, g, head))
  let tries = t.ops > 1500 ? 12 : 400
  while (finish < enough && tries-- > 0 && !holds(t, empty, groups, head, finish)) finish++
  return finish
}

interface Group {
  ops: number[]
  places: number
}

function groupsOf(t: Task): Group[] {
  const groups: Group[] = Array.from(t.places, (places) => ({ ops: [] as number[], places }))
  const hands: Group = { ops: [], places: t.helpers }
  for (let o = 0; o < t.ops; o++) {
    if (t.station[o]! >= 0) groups[t.station[o]!]!.ops.push(o)
    if (t.helper[o]) hands.ops.push(o)
  }
  return [...groups, hands].filter((g) => g.ops.length > 0 && g.places > 0)
}

/** When each stage begins when nobody is in anybody's way; undefined where pins cannot hold. */
function startsIn(empty: Task): Int32Array | undefined {
  const s = new Scheduler(empty)
  s.begin()
  for (let p = 0; p < empty.pieces; p++) while (s.hasNext(p)) if (!s.placeNext(p)) return undefined
  return s.starts
}

/** The ends by which each stage must be over for all to end at `finish`. */
function latestEnds(empty: Task, finish: number): Int32Array {
  const back = startsIn(mirrored(empty, finish))!
  const { ops } = empty
  return Int32Array.from({ length: ops }, (_, o) => finish - back[ops - 1 - o]!)
}

function firstGuess(t: Task, g: Group, head: Int32Array): number[] {
  const tail = (o: number) => {
    let sum = 0
    for (let k = o; t.piece[k] === t.piece[k + 1] && k + 1 < t.ops; k++) sum += t.least[k]! + t.dur[k + 1]!
    return sum
  }
  const tails = new Map(g.ops.map((o) => [o, tail(o)]))
  return thinned([...new Set(g.ops.map((o) => head[o]!))].sort((a, b) => a - b)).map((h) => {
    const set = g.ops.filter((o) => head[o]! >= h)
    const least = Math.min(...set.map((o) => tails.get(o)!))
    return h + Math.ceil(set.reduce((sum, o) => sum + t.dur[o]!, 0) / g.places) + least
  })
}

/** Whether nothing shows that a finish cannot be. */
function holds(t: Task, empty: Task, groups: readonly Group[], head: Int32Array, finish: number): boolean {
  const end = latestEnds(empty, finish)
  for (let o = 0; o < t.ops; o++) if (head[o]! + t.dur[o]! > end[o]!) return false
  const gaps = gapsOf(t, finish)
  for (const g of groups) {
    const heads = thinned([...new Set(g.ops.map((o) => head[o]!))].sort((a, b) => a - b))
    const ends = thinned([...new Set(g.ops.map((o) => end[o]!))].sort((a, b) => b - a))
    for (const h of heads) {
      const later = g.ops.filter((o) => head[o]! >= h)
      for (const e of ends) {
        const set = later.filter((o) => end[o]! <= e)
        if (set.length === 0) break
        if (!room(t, set, h, e, g.places, head, end, set.every((o) => t.attended[o]) ? gaps : [[0, finish]])) return false
      }
    }
  }
  return true
}

/** Whether a set's work fits between its heads and its ends. */
function room(
  t: Task,
  set: readonly number[],
  h: number,
  e: number,
  places: number,
  head: Int32Array,
  end: Int32Array,
  gaps: readonly (readonly [number, number])[],
): boolean {
  const work = set.reduce((sum, o) => sum + t.dur[o]!, 0)
  const unit = set.reduce((d, o) => gcd(d, t.dur[o]!), 0)
  const whole = gaps.reduce((sum, [a, b]) => sum + Math.floor(Math.max(0, Math.min(b, e) - Math.max(a, h)) / unit) * unit, 0)
  if (whole * places < work) return false
  const n = Math.min(places, set.length)
  const free = (x: number) => gaps.reduce((sum, [a, b]) => sum + Math.max(0, Math.min(b, x) - a), 0)
  const heads = set.map((o) => head[o]!).sort((a, b) => a - b)
  const ends = set.map((o) => end[o]!).sort((a, b) => b - a)
  let sum = 0
  for (let i = 0; i < n; i++) sum += free(ends[i]!) - free(heads[i]!)
  return sum >= work
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

/** The minutes outside all blocks, up to a moment. */
function gapsOf(t: Task, finish: number): [number, number][] {
  const gaps: [number, number][] = []
  let at = 0
  for (const b of [...t.blocks].sort((x, y) => x.fromMin - y.fromMin)) {
    if (b.fromMin > at) gaps.push([at, Math.min(finish, b.fromMin)])
    at = Math.max(at, b.toMin)
    if (at >= finish) return gaps
  }
  return [...gaps, [at, finish]]
}

const most = 24
/** At the most so many of a sorted list, the first always. */
const thinned = (list: number[]): number[] =>
  list.length <= most ? list : Array.from({ length: most }, (_, i) => list[Math.floor((i * list.length) / most)]!)
