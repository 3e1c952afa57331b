import { seeded } from '#core/sheets'
import { pieceByPiece, shuffledList, usualLists } from './lists'
import { better, Scheduler, type Sums } from './schedule'
import { mirrored, type Task } from './task'

/** A plan by what it is made from: the order of runs, delays by stage. */
interface Found {
  list: Int32Array
  delays: Int16Array
  sums: Sums
}

/** Searches a room's best plan: at once an answer, better ones as steps are taken (a step is one plan made). Deterministic for a seed and
 *  its steps. Two ways are gone in turns, and the one that finds more goes more often:
 *  - pieces whole, in an order: insertion of one piece after another, then iterated greedy: some out, each back where it is best
 *    (Nawaz, Enscore and Ham 1983; Ruiz and Stützle 2007);
 *  - runs of stages in a list: shifts, swaps and pieces moved whole, kept when they are no worse than what stood some steps ago (late
 *    acceptance, Burke and Bykov 2017), and forward-backward improvement (Li and Willis 1992; Tormos and Lova 2001). */
export class RoomSearch {
  best: Found | undefined
  starts: Int32Array
  steps = 0
  private readonly scheduler: Scheduler
  private readonly random: () => number
  /** The order of whole pieces, and the list of runs, that are worked on. */
  private whole: { order: number[]; sums: Sums } | undefined
  private runs: Found | undefined
  private readonly past: Sums[] = []
  private stale = 0
  private credit: [number, number] = [1, 1]
  private readonly none: Int16Array
  /** Stages that a longest wait ties to the one before: they may be begun later, so that others fit in between. */
  private readonly tied: number[]

  constructor(
    readonly t: Task,
    seed: number,
    private readonly limit: number,
    private readonly enough: () => boolean = () => false,
  ) {
    this.scheduler = new Scheduler(t)
    this.starts = new Int32Array(t.ops)
    this.random = seeded(seed)
    this.none = new Int16Array(t.ops)
    this.tied = Array.from({ length: t.ops }, (_, o) => o).filter(
      (o) => o > 0 && t.piece[o] === t.piece[o - 1] && t.most[o - 1]! > t.least[o - 1]!,
    )
  }

  private get over(): boolean {
    return this.steps >= this.limit || ((this.t.ops > 600 || (this.steps & 7) === 0) && this.enough())
  }
  private int(n: number): number {
    return Math.floor(this.random() * n)
  }

  /** Makes a plan of a list, and keeps it where it is the best. */
  private make(list: Int32Array, delays = this.none): Sums | undefined {
    if (this.best && this.steps >= this.limit) return undefined
    this.steps++
    this.scheduler.delays = delays
    const sums = this.scheduler.run(list)
    if (sums && (!this.best || better(sums, this.best.sums))) {
      this.best = { list: list.slice(), delays: delays.slice(), sums }
      this.starts = this.scheduler.starts.slice()
    }
    return sums
  }

  /** From lists to begin with, or one that was found before. */
  run(first?: Int32Array, delays?: Int16Array): void {
    if (first) {
      const sums = this.make(first, delays)
      if (sums) this.runs = { list: first.slice(), delays: delays ?? this.none, sums }
    }
    for (const list of this.beginnings()) {
      if (this.best && this.over) return
      this.consider(list)
    }
    if (!this.best) {
      // Pins let none of the usual orders through: any order will do.
      for (let i = 0; i < 400 && !this.best; i++) this.consider(this.shuffled())
      if (!this.best) return
    }
    if (this.over) return
    this.delayed()
    this.justify(this.best!.list, this.best!.delays)
    if (this.t.pieces > 1) this.insertion()
    while (!this.over) {
      const a = this.credit[0] / (this.credit[0] + this.credit[1])
      const way = this.t.pieces > 2 && this.random() < a ? 0 : 1
      const before = this.best!.sums
      if (way === 0) this.greedy()
      else this.list(60)
      const gain = better(this.best!.sums, before) ? 1 : 0
      this.credit[way] = 0.9 * this.credit[way] + 0.1 * (gain ? (this.best!.sums.finish < before.finish ? 6 : 1.5) : 0.05)
    }
  }

  private readonly tried: Int32Array[] = []
  private consider(list: Int32Array): void {
    this.tried.push(list)
    const sums = this.make(list)
    if (sums && (!this.runs || better(sums, this.runs.sums))) this.runs = { list: list.slice(), delays: this.none, sums }
  }

  /** The same delay for all that do the same: three rub their first round one after another before the first comes back for its second. */
  private delayed(): void {
    const { t } = this
    const kinds = new Map<string, number[]>()
    for (const o of this.tied) {
      const key = `${t.names[o]} ${t.station[o]} ${t.names[o - 1]}`
      kinds.set(key, [...(kinds.get(key) ?? []), o])
    }
    for (const ops of kinds.values()) {
      const window = Math.min(30, Math.max(...ops.map((o) => t.most[o - 1]! - t.least[o - 1]!)))
      for (const list of [this.best!.list, ...this.tried.slice(0, 4)])
        for (let d = 1; d <= window; d++) {
          if (this.over) return
          const delays = this.best!.delays.slice()
          for (const o of ops) delays[o] = d
          const sums = this.make(list, delays)
          if (sums && better(sums, this.runs!.sums)) this.runs = { list: list.slice(), delays, sums }
        }
    }
  }

  private *beginnings(): Generator<Int32Array> {
    yield* usualLists(this.t)
    if (this.t.pieces <= 60) yield this.firstCome(Array.from({ length: this.t.pieces }, (_, p) => p))
  }

  private shuffled(): Int32Array {
    return shuffledList(this.t, this.random)
  }

  /** Again and again whoever can begin first. */
  private firstCome(all: readonly number[]): Int32Array {
    const s = this.scheduler
    s.begin()
    const list: number[] = []
    for (let left = true; left;) {
      left = false
      let [chosen, soonest] = [-1, Infinity]
      for (const p of all)
        if (s.hasNext(p)) {
          const at = s.tryNext(p)
          if (at >= 0 && at < soonest) [chosen, soonest] = [p, at]
        }
      if (chosen >= 0) {
        s.placeNext(chosen)
        list.push(chosen)
        left = true
      }
    }
    return list.length === this.t.runFrom.length ? Int32Array.from(list) : pieceByPiece(this.t, all)
  }

  /** Forward-backward improvement: the plan pushed to its end, then back to its beginning; repeated while it helps. */
  private justify(begin: Int32Array, delays: Int16Array): Found | undefined {
    let list: Int32Array = begin
    const first = this.make(list, delays)
    if (!first || this.t.pinned) return first && { list, delays, sums: first }
    let now: Sums = first
    while (true) {
      if (this.over) return { list, delays, sums: now }
      if (this.steps + 2 > this.limit) return { list, delays, sums: now }
      const { t } = this
      const back = mirrored(t, now.finish)
      // The backward order: runs by their ends in the plan, the last first.
      const starts = this.scheduler.starts
      const runs = Array.from(t.runTo, (to, r) => ({ r, end: starts[to - 1]! + t.dur[to - 1]! }))
      runs.sort((x, y) => y.end - x.end || y.r - x.r)
      const b = new Scheduler(back)
      b.begin()
      for (const { r } of runs) b.placeNext(t.pieces - 1 - t.piece[t.runFrom[r]!]!)
      this.steps++
      // Forward again, by when runs begin in the pushed plan: the mirror's end of a run is its beginning.
      const total = t.runFrom.length
      const order = Array.from({ length: total }, (_, r) => {
        const last = back.runTo[total - 1 - r]! - 1
        return { r, end: b.starts[last]! + back.dur[last]! }
      }).sort((x, y) => y.end - x.end || x.r - y.r)
      const next: Int32Array = Int32Array.from(order, (x) => t.piece[t.runFrom[x.r]!]!)
      const sums: Sums | undefined = this.make(next, delays)
      if (!sums || !better(sums, now)) return { list, delays, sums: now }
      list = next
      now = sums
    }
  }

  /** Pieces whole, the one with the most work first, each put where the plan is best. */
  private insertion(): void {
    const { t } = this
    if (t.pieces > 120 || t.pinned) return
    const work = Array.from({ length: t.pieces }, (_, p) => t.dur.subarray(t.first[p]!, t.first[p + 1]!).reduce((a, b) => a + b, 0))
    const order = work.map((_, p) => p).sort((a, b) => work[b]! - work[a]! || a - b)
    const done: number[] = []
    for (const p of order) {
      if (this.over) return
      this.insert(done, p)
    }
    const sums = this.make(pieceByPiece(this.t, done))
    if (sums) this.whole = { order: done, sums }
  }

  /** Puts a piece into an order where what is planned so far ends first; a plan of part of the room is a step as well. */
  private insert(order: number[], p: number): void {
    let [place, sums] = [order.length, undefined as Sums | undefined]
    for (let i = 0; i <= order.length; i++) {
      if (sums && this.over) break
      this.steps++
      this.scheduler.delays = this.none
      this.scheduler.begin()
      for (let k = 0; k < order.length; k++) {
        if (k === i) this.scheduler.placeAll(p)
        this.scheduler.placeAll(order[k]!)
      }
      if (i === order.length) this.scheduler.placeAll(p)
      const now = this.part(order, p)
      if (!sums || better(now, sums)) [place, sums] = [i, now]
    }
    order.splice(place, 0, p)
  }
  private part(order: readonly number[], more: number): Sums {
    const { t } = this
    const { starts } = this.scheduler
    let [finish, waiting] = [0, 0]
    for (let i = -1; i < order.length; i++) {
      const p = i < 0 ? more : order[i]!
      const b = t.first[p + 1]! - 1
      const end = starts[b]! + t.dur[b]!
      waiting += end
      if (end > finish) finish = end
    }
    return { finish, waiting, spread: 0 }
  }

  /** A few pieces out, each back where it is best; kept when no worse, now and then when a little worse. */
  private greedy(): void {
    const { t } = this
    if (!this.whole) {
      const order = [...new Set(this.best!.list)]
      const sums = this.make(pieceByPiece(this.t, order))
      if (!sums) return void (this.credit[0] = 0.001)
      this.whole = { order, sums }
    }
    const order = [...this.whole.order]
    const out = Array.from({ length: Math.min(t.pieces - 1, t.pieces > 60 ? 1 : 3) }, () => order.splice(this.int(order.length), 1)[0]!)
    for (const p of out) {
      if (this.over) return
      if (order.length > 60) order.splice(this.int(order.length + 1), 0, p)
      else this.insert(order, p)
    }
    const sums = this.make(pieceByPiece(this.t, order))
    if (!sums) return
    const worse = sums.finish - this.whole.sums.finish
    if (!better(this.whole.sums, sums) || this.random() < Math.exp(-(worse + 0.5) / (0.004 * this.whole.sums.finish + 0.2)) * 0.3)
      this.whole = { order, sums }
  }

  /** Moves in the list of runs, late acceptance. */
  private list(n: number): void {
    const length = 24
    const kept = (this.runs ??= { ...this.best! })
    if (this.past.length === 0) for (let i = 0; i < length; i++) this.past.push(kept.sums)
    for (let i = 0; i < n; i++) {
      if (this.over) return
      const now: Found = this.runs!
      const list: Int32Array = now.list.slice()
      let { delays } = now
      if (this.tied.length > 0 && this.random() < 0.25) delays = this.shiftDelays(delays)
      else this.move(list)
      const sums = this.make(list, delays)
      this.stale++
      if (!sums) continue
      const then = this.past[this.steps % length]!
      if (!better(now.sums, sums) || !better(then, sums)) {
        if (better(sums, now.sums)) this.stale = 0
        this.runs = { list, delays, sums }
      }
      this.past[this.steps % length] = this.runs!.sums
    }
    if (this.over) return
    if (this.random() < 0.25) {
      const pushed = this.justify(this.runs!.list, this.runs!.delays)
      if (pushed && better(pushed.sums, this.runs!.sums)) this.runs = pushed
    }
    if (this.stale > 900) {
      this.stale = 0
      this.runs = { ...this.best! }
      this.past.fill(this.runs.sums)
    }
  }

  /** One stage begun a little later or earlier after the one before, or all of a kind. */
  private shiftDelays(delays: Int16Array): Int16Array {
    const { t, tied } = this
    const next = delays.slice()
    const o = tied[this.int(tied.length)]!
    const window = t.most[o - 1]! - t.least[o - 1]!
    const to = this.random() < 0.3 ? 0 : this.int(Math.min(window, 24) + 1)
    if (this.random() < 0.7) next[o] = to
    else for (const x of tied) if (t.names[x] === t.names[o] && this.random() < 0.5) next[x] = to
    return next
  }

  private move(list: Int32Array): void {
    const n = list.length
    const kind = this.random()
    const i = this.int(n)
    if (kind < 0.35) shift(list, i, this.int(n))
    else if (kind < 0.6) shift(list, i, Math.max(0, Math.min(n - 1, i + this.int(13) - 6)))
    else if (kind < 0.8) {
      const j = this.int(n)
      ;[list[i], list[j]] = [list[j]!, list[i]!]
    } else {
      // A piece's runs all earlier or all later.
      const p = list[i]!
      const by = (this.int(9) + 1) * (this.random() < 0.5 ? -1 : 1)
      const at = [...list.keys()].filter((k) => list[k] === p)
      for (const k of by < 0 ? at : at.reverse()) shift(list, k, Math.max(0, Math.min(n - 1, k + by)))
    }
  }
}

function shift(list: Int32Array, from: number, to: number): void {
  const x = list[from]!
  if (from < to) list.copyWithin(from, from + 1, to + 1)
  else list.copyWithin(to + 1, to, from)
  list[to] = x
}
