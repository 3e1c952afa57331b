import type { Refusal } from '#core/reasons'
import { cannotBegin, taskOf } from '#core/room'
import type { RehearsalInput } from './input'
import { Life } from './live'
import { drawsOf, withoutPins } from './rehearse'

/** What goes on at a queue (a station, or the adults) over time, for each `binMin` minutes from the start: how many are at work and how many
 *  wait on the mean, and how many wait in one of ten runs. */
export interface Profile {
  kind: 'station' | 'helper'
  station: string | null
  places: number
  work: number[]
  wait: number[]
  waitP90: number[]
  longestWaitP50: number
  longestWaitP90: number
}
/** A rehearsal as far as it has been lived. */
export interface Rehearsal {
  runs: number
  /** A hundred runs of all, by when they end, in minutes: the middle one of every hundredth part. */
  hundred: number[]
  finishMin: { p10: number; p50: number; p90: number }
  chanceInTime: number
  /** Of a hundred runs in how many each piece is not done in time. */
  late: Record<string, number>
  /** Runs of a hundred in which some wait that must not be longer was. */
  spoiledRuns: number
  binMin: number
  profiles: Profile[]
  /** How many pieces are done at the end of each bin: in nine of ten runs at least, in half, in one of ten. */
  done: { p10: number[]; p50: number[]; p90: number[] }
}

const binMin = 2
const mostBins = 600

/** A rehearsal that is watched while it is lived: `live(n)` lives it n times more, `story()` says what came of it so far. The same seed and
 *  runs give the same story, in however many portions. Refuses rooms in which a stage can never begin. */
export function beginRehearsal(input: RehearsalInput, seed = 1): { live: (runs: number) => void; story: () => Rehearsal } | Refusal {
  const t = taskOf(withoutPins(input))
  const refused = cannotBegin(t, input)
  if (refused) return refused
  const draw = drawsOf(input, t, seed)
  const life = new Life(t)
  const drawn = new Float64Array(t.ops)
  const queues = t.places.length + 1
  const most = t.pieces + 1
  const sums = (n: number) => Array.from({ length: n }, () => new Float64Array(mostBins))
  const counts = (n: number, bins: number) => Array.from({ length: n }, () => new Uint32Array(bins * most))
  const [work, wait] = [sums(queues), sums(queues)]
  const waiting = counts(queues, mostBins)
  const [doneBy] = counts(1, mostBins)
  const finishes: number[] = []
  const waits = Array.from({ length: queues }, () => [] as number[])
  const late = new Uint32Array(t.pieces)
  let [spoiled, bins] = [0, 1]
  const bin = (m: number) => Math.min(mostBins - 1, Math.floor(m / binMin))
  const now = Array.from({ length: queues }, () => new Int32Array(mostBins + 1))
  const ended = new Int32Array(mostBins + 1)

  function once(): void {
    draw(finishes.length, drawn)
    const lived = life.run(drawn)
    finishes.push(lived.finish)
    if (lived.spoiled > 0) spoiled++
    bins = Math.max(bins, bin(lived.finish) + 1)
    for (const d of now) d.fill(0)
    ended.fill(0)
    const longest = new Float64Array(queues)
    for (let p = 0; p < t.pieces; p++) {
      if (lived.ends[p]! > input.minutes) late[p]!++
      ended[bin(lived.ends[p]!)]!++
    }
    life.eachStage((q, ready, began, end) => {
      if (q < 0) return
      for (let b = bin(began); b <= bin(end - 1e-9); b++) work[q]![b]! += Math.min(end, (b + 1) * binMin) - Math.max(began, b * binMin)
      if (began <= ready) return
      longest[q] = Math.max(longest[q]!, began - ready)
      // Who waits at the middle of a bin.
      const first = Math.ceil(ready / binMin - 0.5)
      const last = Math.ceil(began / binMin - 0.5)
      now[q]![Math.min(mostBins, first)]!++
      now[q]![Math.min(mostBins, last)]!--
    })
    for (let q = 0; q < queues; q++) {
      waits[q]!.push(longest[q]!)
      let n = 0
      for (let b = 0; b < mostBins; b++) {
        n += now[q]![b]!
        wait[q]![b]! += n
        waiting[q]![b * most + n]!++
      }
    }
    let done = 0
    for (let b = 0; b < mostBins; b++) doneBy![b * most + (done += ended[b]!)]!++
  }

  /** The smallest number that so large a share of the runs does not go above. */
  const quantile = (of: Uint32Array, b: number, share: number): number => {
    let [sum, n] = [0, 0]
    const wanted = Math.ceil(share * finishes.length - 1e-9)
    for (; n < most - 1; n++) if ((sum += of[b * most + n]!) >= wanted) break
    return n
  }
  const at = (sorted: readonly number[], share: number) => sorted[Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1)] ?? 0
  const overBins = <T>(f: (b: number) => T): T[] => Array.from({ length: bins }, (_, b) => f(b))

  function story(): Rehearsal {
    const n = finishes.length
    const sorted = [...finishes].sort((a, b) => a - b)
    return {
      runs: n,
      hundred: n === 0 ? [] : Array.from({ length: 100 }, (_, i) => sorted[Math.min(n - 1, Math.floor(((i + 0.5) / 100) * n))]!),
      finishMin: { p10: at(sorted, 0.1), p50: at(sorted, 0.5), p90: at(sorted, 0.9) },
      chanceInTime: n === 0 ? 0 : sorted.filter((f) => f <= input.minutes).length / n,
      late: Object.fromEntries(t.ids.map((id, p) => [id, n === 0 ? 0 : (100 * late[p]!) / n])),
      spoiledRuns: n === 0 ? 0 : (100 * spoiled) / n,
      binMin,
      profiles: Array.from({ length: queues }, (_, q) => {
        const longest = [...waits[q]!].sort((a, b) => a - b)
        return {
          kind: q < queues - 1 ? ('station' as const) : ('helper' as const),
          station: input.stations[q]?.id ?? null,
          places: input.stations[q]?.places ?? input.helpers,
          work: overBins((b) => work[q]![b]! / binMin / Math.max(1, n)),
          wait: overBins((b) => wait[q]![b]! / Math.max(1, n)),
          waitP90: overBins((b) => quantile(waiting[q]!, b, 0.9)),
          longestWaitP50: at(longest, 0.5),
          longestWaitP90: at(longest, 0.9),
        }
      }),
      done: {
        p10: overBins((b) => quantile(doneBy!, b, 0.1)),
        p50: overBins((b) => quantile(doneBy!, b, 0.5)),
        p90: overBins((b) => quantile(doneBy!, b, 0.9)),
      },
    }
  }

  return {
    live: (runs) => {
      for (let i = 0; i < runs; i++) once()
    },
    story,
  }
}
