import type { Task } from './task'

/** What is taken: places at stations, adults, and blocks in which nobody works. A station of one place keeps its stages as intervals, one of
 *  several counts them minute by minute. */
export class Board {
  private length = 0
  private readonly used: (Uint16Array | undefined)[]
  private readonly full: (Uint8Array | undefined)[]
  private adults = new Uint16Array(0)
  private noAdult = new Uint8Array(0)
  private blocked = new Uint8Array(0)
  /** Of a station of one place: its stages by time. */
  private readonly from: Int32Array[]
  private readonly to: Int32Array[]
  private readonly count: Int32Array
  /** By station, and of the adults: until when anything is taken. */
  private readonly until: Int32Array
  private adultsUntil = 0
  private readonly hasBlocks: boolean

  constructor(private readonly t: Task) {
    const n = t.places.length
    this.used = Array.from({ length: n })
    this.full = Array.from({ length: n })
    const ops = new Int32Array(n)
    for (let o = 0; o < t.ops; o++) if (t.station[o]! >= 0) ops[t.station[o]!]!++
    this.from = Array.from(t.places, (places, s) => new Int32Array(places === 1 ? ops[s]! + 1 : 0))
    this.to = this.from.map((a) => a.slice())
    this.count = new Int32Array(n)
    this.until = new Int32Array(n)
    this.hasBlocks = t.blocks.length > 0
    this.grow(1024)
  }

  private grow(atLeast: number): void {
    const length = Math.max(this.length * 2, atLeast)
    const wider = <A extends Uint8Array | Uint16Array>(a: A | undefined, b: A): A => {
      if (a) b.set(a as never)
      return b
    }
    this.t.places.forEach((places, s) => {
      if (places === 1) return
      this.used[s] = wider(this.used[s], new Uint16Array(length))
      this.full[s] = wider(this.full[s], new Uint8Array(length))
    })
    this.adults = wider(this.adults, new Uint16Array(length))
    this.noAdult = wider(this.noAdult, new Uint8Array(length))
    this.blocked = new Uint8Array(length)
    for (const b of this.t.blocks) this.blocked.fill(1, Math.min(length, b.fromMin), Math.min(length, b.toMin))
    this.length = length
  }

  clear(): void {
    for (let s = 0; s < this.until.length; s++) {
      this.used[s]?.fill(0, 0, this.until[s])
      this.full[s]?.fill(0, 0, this.until[s])
    }
    this.until.fill(0)
    this.count.fill(0)
    this.adults.fill(0, 0, this.adultsUntil)
    this.noAdult.fill(0, 0, this.adultsUntil)
    this.adultsUntil = 0
  }

  /** The first minute from `from` on at which a stage can begin and run through. */
  slot(o: number, from: number): number {
    const { t } = this
    const d = t.dur[o]!
    const s = t.station[o]!
    const one = s >= 0 && t.places[s] === 1
    let start = one ? this.gap(s, from, d) : from
    const full = s >= 0 && !one && start < this.until[s]! ? this.full[s] : undefined
    const noAdult = t.helper[o] && start < this.adultsUntil ? this.noAdult : undefined
    const blocked = t.attended[o] && this.hasBlocks ? this.blocked : undefined
    if (!full && !noAdult && !blocked) return start
    // From the end of the window backwards: what is in the way moves the window past it.
    for (let x = start + d - 1; x >= start; x--)
      if ((full && full[x]) || (noAdult && noAdult[x]) || (blocked && blocked[x])) {
        start = one ? this.gap(s, x + 1, d) : x + 1
        x = start + d
      }
    return start
  }

  /** The first minute from which a station of one place is free for so long. */
  private gap(s: number, from: number, d: number): number {
    if (from >= this.until[s]!) return from
    const [starts, ends, n] = [this.from[s]!, this.to[s]!, this.count[s]!]
    let at = from
    for (let i = 0; i < n; i++) {
      if (ends[i]! <= at) continue
      if (starts[i]! >= at + d) return at
      at = ends[i]!
    }
    return at
  }

  take(o: number, at: number): void {
    const { t } = this
    const end = at + t.dur[o]!
    if (end > this.length) this.grow(end + 64)
    const s = t.station[o]!
    if (s >= 0) {
      if (end > this.until[s]!) this.until[s] = end
      if (t.places[s] === 1) this.keep(s, at, end)
      else {
        const [used, full, places] = [this.used[s]!, this.full[s]!, t.places[s]!]
        for (let x = at; x < end; x++) if (++used[x]! >= places) full[x] = 1
      }
    }
    if (t.helper[o]) {
      if (end > this.adultsUntil) this.adultsUntil = end
      for (let x = at; x < end; x++) if (++this.adults[x]! >= t.helpers) this.noAdult[x] = 1
    }
  }

  private keep(s: number, at: number, end: number): void {
    const [starts, ends] = [this.from[s]!, this.to[s]!]
    let i = this.count[s]!++
    for (; i > 0 && starts[i - 1]! > at; i--) {
      starts[i] = starts[i - 1]!
      ends[i] = ends[i - 1]!
    }
    starts[i] = at
    ends[i] = end
  }
}
