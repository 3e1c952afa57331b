import { Board } from './board'
import type { Task } from './task'

/** What a plan comes to, in the order in which plans are compared. */
export interface Sums {
  finish: number
  waiting: number
  spread: number
}
export const better = (a: Sums, b: Sums): boolean =>
  a.finish !== b.finish ? a.finish < b.finish : a.waiting !== b.waiting ? a.waiting < b.waiting : a.spread < b.spread

/** Serial generation: runs of stages are placed one after another, each as early as it can be, in the order of a list of pieces (each
 *  occurrence is a piece's next run). Whatever the list, the plan keeps every lag, station, adult and block. */
export class Scheduler {
  readonly starts: Int32Array
  private readonly board: Board
  private readonly next: Int32Array
  private readonly latest: Int32Array
  private readonly earliest: Int32Array
  /** By stage: begun so many minutes after it could be, so that others fit in before. */
  delays: Int16Array

  constructor(readonly t: Task) {
    this.starts = new Int32Array(t.ops)
    this.board = new Board(t)
    this.next = new Int32Array(t.pieces)
    this.latest = new Int32Array(t.tables)
    this.earliest = new Int32Array(t.tables)
    this.delays = new Int16Array(t.ops)
  }

  /** Empties the room but for what is pinned. */
  begin(): void {
    const { t, board } = this
    board.clear()
    this.next.set(t.firstRun.subarray(0, t.pieces))
    if (t.pinned)
      for (let o = 0; o < t.ops; o++)
        if (t.pin[o]! >= 0) {
          board.take(o, t.pin[o]!)
          this.starts[o] = t.pin[o]!
        }
  }

  /** The minute at which a piece's next run would begin; -1 where a pin does not let it. Its stages' starts are written down. */
  tryNext(p: number): number {
    const { t, starts, board } = this
    const r = this.next[p]!
    const [a, b] = [t.runFrom[r]!, t.runTo[r]!]
    const early = a === t.first[p]! ? t.from[p]! : starts[a - 1]! + t.dur[a - 1]! + t.least[a - 1]!
    let k = a
    let lo = early
    while (k < b) {
      const pin = t.pin[k]!
      let at = pin >= 0 ? pin : board.slot(k, lo)
      if (this.delays[k]! > 0 && pin < 0) at = board.slot(k, at + this.delays[k]!)
      if (pin >= 0 && pin < lo) return -1
      if (k > a) {
        const most = starts[k - 1]! + t.dur[k - 1]! + t.most[k - 1]!
        if (at > most && this.delays[k]! > 0 && pin < 0) at = board.slot(k, lo)
        if (at > most) {
          // Too late after the one before: that one begins later, and all is looked at again from there.
          const needed = at - t.most[k - 1]! - t.dur[k - 1]!
          if (t.pin[k - 1]! >= 0) return -1
          k--
          lo = needed
          continue
        }
      }
      starts[k] = at
      lo = at + t.dur[k]! + t.least[k]!
      k++
    }
    return starts[a]!
  }

  /** Places a piece's next run; false where a pin does not let it. */
  placeNext(p: number): boolean {
    const { t, starts, board } = this
    if (this.tryNext(p) < 0) return false
    const r = this.next[p]!++
    for (let o = t.runFrom[r]!; o < t.runTo[r]!; o++) if (t.pin[o]! < 0) board.take(o, starts[o]!)
    return true
  }
  /** Places all runs of a piece. */
  placeAll(p: number): boolean {
    while (this.next[p]! < this.t.firstRun[p + 1]!) if (!this.placeNext(p)) return false
    return true
  }
  hasNext(p: number): boolean {
    return this.next[p]! < this.t.firstRun[p + 1]!
  }

  /** A whole plan by a list; undefined where pins cannot be kept so. */
  run(list: Int32Array, from = 0, to = list.length): Sums | undefined {
    this.begin()
    for (let i = from; i < to; i++) if (!this.placeNext(list[i]!)) return undefined
    return this.sums()
  }

  sums(): Sums {
    const { t, starts, latest, earliest } = this
    latest.fill(-1)
    earliest.fill(1 << 30)
    let [finish, waiting, spread] = [0, 0, 0]
    for (let p = 0; p < t.pieces; p++) {
      const [a, b] = [t.first[p]!, t.first[p + 1]!]
      waiting += starts[a]! - t.from[p]!
      for (let o = a + 1; o < b; o++) waiting += starts[o]! - starts[o - 1]! - t.dur[o - 1]! - t.least[o - 1]!
      const end = starts[b - 1]! + t.dur[b - 1]!
      if (end > finish) finish = end
      const table = t.table[p]!
      if (end > latest[table]!) latest[table] = end
      if (end < earliest[table]!) earliest[table] = end
    }
    for (let x = 0; x < t.tables; x++) spread += latest[x]! - earliest[x]!
    return { finish, waiting, spread }
  }

  /** The list that the present plan follows: runs by when they begin. */
  order(): Int32Array {
    const { t, starts } = this
    const runs = Array.from(t.runFrom, (o, r) => ({ r, at: starts[o]!, piece: t.piece[o]! }))
    runs.sort((x, y) => x.at - y.at || x.r - y.r)
    return Int32Array.from(runs, (x) => x.piece)
  }
}
