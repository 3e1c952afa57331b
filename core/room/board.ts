import type { Task } from './task'

/** What is taken at each minute: places at stations, adults, and blocks in which nobody works. */
export class Board {
  private length = 0
  private used: Uint16Array[] = []
  private full: Uint8Array[] = []
  private adults = new Uint16Array(0)
  private noAdult = new Uint8Array(0)
  private blocked = new Uint8Array(0)
  /** The last minute that anything is taken at. */
  private top = 0

  constructor(private readonly t: Task) {
    this.grow(1024)
  }

  private grow(atLeast: number): void {
    const length = Math.max(this.length * 2, atLeast)
    const wider = <A extends Uint8Array | Uint16Array>(a: A | undefined, make: (n: number) => A): A => {
      const b = make(length)
      if (a) b.set(a as never)
      return b
    }
    const { places } = this.t
    this.used = Array.from(places, (_, s) => wider(this.used[s], (n) => new Uint16Array(n)))
    // A station without a place is never asked for: such rooms are refused.
    this.full = Array.from(places, (_, s) => wider(this.full[s], (n) => new Uint8Array(n)))
    this.adults = wider(this.adults, (n) => new Uint16Array(n))
    this.noAdult = wider(this.noAdult, (n) => new Uint8Array(n))
    this.blocked = new Uint8Array(length)
    for (const b of this.t.blocks) this.blocked.fill(1, Math.min(length, b.fromMin), Math.min(length, b.toMin))
    this.length = length
  }

  clear(): void {
    for (const a of this.used) a.fill(0, 0, this.top)
    for (const a of this.full) a.fill(0, 0, this.top)
    this.adults.fill(0, 0, this.top)
    this.noAdult.fill(0, 0, this.top)
    this.top = 0
  }

  /** The first minute from `from` on at which a stage can begin and run through. */
  slot(o: number, from: number): number {
    const { t } = this
    const d = t.dur[o]!
    const s = t.station[o]!
    const full = s < 0 ? undefined : this.full[s]
    const noAdult = t.helper[o] ? this.noAdult : undefined
    const blocked = t.attended[o] ? this.blocked : undefined
    let start = from
    // From the end of the window backwards: what is in the way moves the window past it.
    for (let x = start + d - 1; x >= start; x--)
      if ((full && full[x]) || (noAdult && noAdult[x]) || (blocked && blocked[x])) {
        start = x + 1
        x = start + d
      }
    return start
  }

  take(o: number, at: number): void {
    const { t } = this
    const end = at + t.dur[o]!
    if (end > this.length) this.grow(end + 64)
    if (end > this.top) this.top = end
    const s = t.station[o]!
    if (s >= 0) {
      const [used, full, places] = [this.used[s]!, this.full[s]!, t.places[s]!]
      for (let x = at; x < end; x++) if (++used[x]! >= places) full[x] = 1
    }
    if (t.helper[o]) for (let x = at; x < end; x++) if (++this.adults[x]! >= t.helpers) this.noAdult[x] = 1
  }

  /** Whether more is taken at some minute of a stage than there is, or it meets a block: for pins, which are taken whatever stands there. */
  over(o: number, at: number): boolean {
    const { t } = this
    const s = t.station[o]!
    for (let x = at; x < at + t.dur[o]!; x++)
      if ((s >= 0 && this.used[s]![x]! > t.places[s]!) || (t.helper[o] && this.adults[x]! > t.helpers) || (t.attended[o] && this.blocked[x])) return true
    return false
  }
}
