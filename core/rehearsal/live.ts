import type { Task } from '#core/room'

/** What a run comes to. Minutes; not rounded. */
export interface Lived {
  finish: number
  /** By piece: when it was done. */
  ends: Float64Array
  spoiled: number
  /** By queue: every station in order, the adults last: minutes waited, how many stages, the longest queue. */
  waited: Float64Array
  asked: Int32Array
  longest: Int32Array
}

/** A room lived once: nobody follows a plan. Whenever something changes, first what ends is given back, then those who are ready and have
 *  not begun are gone through by the moment they became ready; each begins at once if place, adult and demonstrations let it, who cannot is
 *  passed over. Kept between runs, so that thousands are cheap. */
export class Life {
  readonly lived: Lived
  private readonly free: Int32Array
  private readonly queueOf: Int32Array
  private readonly waitingAt: Int32Array
  private readonly ready: Float64Array
  private readonly began: Float64Array
  private readonly ended: Float64Array
  /** Stages that are ready and have not begun, by when they became so, then as they stand in the input. */
  private readonly line: Int32Array
  private inLine = 0
  /** A heap of moments: a stage's end (its number), a stage that becomes ready (number + ops), the end of a block (-1). */
  private readonly at: Float64Array
  private readonly what: Int32Array
  private events = 0
  private readonly blocks: readonly { fromMin: number; toMin: number }[]

  constructor(private readonly t: Task) {
    const stations = t.places.length
    this.free = new Int32Array(stations + 1)
    this.queueOf = Int32Array.from({ length: t.ops }, (_, o) => (t.station[o]! >= 0 ? t.station[o]! : t.helper[o] ? stations : -1))
    this.waitingAt = new Int32Array(stations + 1)
    this.ready = new Float64Array(t.ops)
    this.began = new Float64Array(t.ops)
    this.ended = new Float64Array(t.ops)
    this.line = new Int32Array(t.pieces + 1)
    this.blocks = t.blocks
    this.at = new Float64Array(t.pieces * 2 + t.blocks.length + 4)
    this.what = new Int32Array(this.at.length)
    this.lived = {
      finish: 0,
      ends: new Float64Array(t.pieces),
      spoiled: 0,
      waited: new Float64Array(stations + 1),
      asked: new Int32Array(stations + 1),
      longest: new Int32Array(stations + 1),
    }
  }

  /** Lives it with each stage's own minutes. What is waited and asked adds up over runs; the rest is this run's. */
  run(minutes: Float64Array): Lived {
    const { t, lived, free } = this
    const stations = t.places.length
    for (let s = 0; s < stations; s++) free[s] = t.places[s]!
    free[stations] = t.helpers
    this.waitingAt.fill(0)
    lived.longest.fill(0)
    lived.finish = 0
    lived.spoiled = 0
    this.inLine = 0
    this.events = 0
    for (const b of this.blocks) this.push(b.toMin, -1)
    for (let p = 0; p < t.pieces; p++) this.push(t.from[p]!, t.first[p]! + t.ops)
    while (this.events > 0) {
      const now = this.at[0]!
      // Ends first, then who becomes ready: all of this moment before anybody begins.
      while (this.events > 0 && this.at[0] === now) this.happen(this.pop(), now)
      this.begin(now, minutes)
    }
    for (let p = 0; p < t.pieces; p++) if (this.isSpoiled(p)) lived.spoiled++
    return lived
  }

  /** Each stage of the last run: its queue (-1 for none), when it could have begun, did, and was over. */
  eachStage(tell: (queue: number, ready: number, began: number, ended: number) => void): void {
    for (let o = 0; o < this.t.ops; o++) tell(this.queueOf[o]!, this.ready[o]!, this.began[o]!, this.ended[o]!)
  }

  private happen(e: number, now: number): void {
    const { t } = this
    if (e < 0) return
    if (e >= t.ops) return this.join(e - t.ops, now)
    const s = t.station[e]!
    if (s >= 0) this.free[s]!++
    if (t.helper[e]) this.free[t.places.length]!++
    this.ended[e] = now
    const p = t.piece[e]!
    if (e + 1 < t.first[p + 1]!) {
      const at = now + t.least[e]!
      if (at === now) this.join(e + 1, now)
      else this.push(at, e + 1 + t.ops)
    } else {
      this.lived.ends[p] = now
      if (now > this.lived.finish) this.lived.finish = now
    }
  }

  /** A stage is ready: into the line, behind who was ready before; of one moment as they stand in the input. */
  private join(o: number, now: number): void {
    this.ready[o] = now
    let i = this.inLine++
    for (; i > 0 && this.ready[this.line[i - 1]!] === now && this.line[i - 1]! > o; i--) this.line[i] = this.line[i - 1]!
    this.line[i] = o
    const q = this.queueOf[o]!
    if (q >= 0) this.waitingAt[q]!++
  }

  private begin(now: number, minutes: Float64Array): void {
    const { t, free, line, lived } = this
    const stations = t.places.length
    let kept = 0
    for (let i = 0; i < this.inLine; i++) {
      const o = line[i]!
      const s = t.station[o]!
      if ((s >= 0 && free[s] === 0) || (t.helper[o] && free[stations] === 0) || (t.attended[o] && this.blocked(now, t.dur[o]!))) {
        line[kept++] = o
        continue
      }
      if (s >= 0) free[s]!--
      if (t.helper[o]) free[stations]!--
      const q = this.queueOf[o]!
      if (q >= 0) {
        this.waitingAt[q]!--
        lived.waited[q]! += now - this.ready[o]!
        lived.asked[q]!++
      }
      this.began[o] = now
      this.push(now + minutes[o]!, o)
    }
    this.inLine = kept
    for (let q = 0; q <= stations; q++) if (this.waitingAt[q]! > lived.longest[q]!) lived.longest[q] = this.waitingAt[q]!
  }

  private blocked(now: number, d: number): boolean {
    for (const b of this.blocks) if (now < b.toMin && now + d > b.fromMin) return true
    return false
  }

  private isSpoiled(p: number): boolean {
    const { t } = this
    for (let o = t.first[p]! + 1; o < t.first[p + 1]!; o++) {
      const most = t.most[o - 1]!
      if (most >= 0 && this.began[o]! - this.ended[o - 1]! > most + 1e-9) return true
    }
    return false
  }

  private push(at: number, what: number): void {
    let i = this.events++
    while (i > 0) {
      const up = (i - 1) >> 1
      if (this.at[up]! <= at) break
      this.at[i] = this.at[up]!
      this.what[i] = this.what[up]!
      i = up
    }
    this.at[i] = at
    this.what[i] = what
  }
  private pop(): number {
    const first = this.what[0]!
    const n = --this.events
    const [at, what] = [this.at[n]!, this.what[n]!]
    let i = 0
    for (;;) {
      let next = 2 * i + 1
      if (next >= n) break
      if (next + 1 < n && this.at[next + 1]! < this.at[next]!) next++
      if (this.at[next]! >= at) break
      this.at[i] = this.at[next]!
      this.what[i] = this.what[next]!
      i = next
    }
    this.at[i] = at
    this.what[i] = what
    return first
  }
}
