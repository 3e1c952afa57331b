import { type Refusal } from '#core/reasons'
import { cannotBegin, taskOf, type RoomInput, type Task } from '#core/room'
import { seeded } from '#core/sheets'
import type { RehearsalInput, RoomChange } from './input'
import { Life } from './live'

export interface Queue {
  kind: 'station' | 'helper'
  station: string | null
  meanWaitMin: number
  longestMean: number
  longestP90: number
}
export interface Rehearsed {
  runs: number
  finishMin: { p10: number; p50: number; p90: number }
  /** Share of the runs that end in time. */
  chanceInTime: number
  /** Pieces that are not done by then, and of which a wait that must not be longer was, on the mean. */
  unfinishedMean: number
  spoiledMean: number
  queues: Queue[]
  changes: (RoomChange & { chanceInTime: number; reaches: boolean })[]
  /** The first change that reaches the wish; null where none does, or nothing needs changing. */
  cheapest: number | null
}

/** A room rehearsed: lived `runs` times with minutes drawn anew, each stage triangular between its least and its most with its mode at the
 *  usual one (not named, or "fixed": as planned), nobody following a plan (`live.ts`). Each change is lived with the same draws. One more of
 *  something can make a room slower; then it says so. Discrete-event simulation with common random numbers (Law 2015); deterministic for
 *  `seed`. Refuses rooms in which a stage can never begin. */
export function rehearse(input: RehearsalInput, { seed = 1 }: { seed?: number } = {}): Rehearsed | Refusal {
  const t = taskOf(withoutPins(input))
  const refused = cannotBegin(t, input)
  if (refused) return refused
  const draw = drawsOf(input, t, seed)
  const as = live(t, draw, input)
  const { minutes, wishPct } = input
  const chance = (finishes: Float64Array, within: number) => finishes.filter((f) => f <= within).length / finishes.length
  const chanceInTime = chance(as.finishes, minutes)
  const changes = (input.changes ?? usualChanges(input)).map((c) => {
    const share =
      c.add === 'minutes' ? chance(as.finishes, minutes + c.count) : chance(live(changed(t, input, c), draw, input).finishes, minutes)
    return { ...c, chanceInTime: share, reaches: share >= wishPct / 100 }
  })
  const sorted = as.finishes.slice().sort()
  const at = (share: number) => sorted[Math.max(0, Math.ceil(share * input.runs - 1e-9) - 1)]!
  const cheapest = chanceInTime >= wishPct / 100 ? -1 : changes.findIndex((c) => c.reaches)
  return {
    runs: input.runs,
    finishMin: { p10: at(0.1), p50: at(0.5), p90: at(0.9) },
    chanceInTime,
    unfinishedMean: as.unfinished / input.runs,
    spoiledMean: as.spoiled / input.runs,
    queues: as.queues,
    changes,
    cheapest: cheapest < 0 ? null : cheapest,
  }
}

export const withoutPins = (input: RoomInput): RoomInput => ({ ...input, pieces: input.pieces.map(({ pins: _pins, ...p }) => p) })

/** One more place at each station in order, one more adult, ten minutes more. */
const usualChanges = (input: RehearsalInput): RoomChange[] => [
  ...input.stations.map((s): RoomChange => ({ add: 'place', station: s.id, count: 1 })),
  { add: 'helper', count: 1 },
  { add: 'minutes', count: 10 },
]

function changed(t: Task, input: RehearsalInput, c: RoomChange): Task {
  if (c.add === 'helper') return { ...t, helpers: t.helpers + c.count }
  const places = t.places.slice()
  places[input.stations.findIndex((s) => s.id === c.station)]! += c.count
  return { ...t, places }
}

/** Fills in a run's minutes, stage by stage: the same for a seed and a run, whatever was changed in the room. */
export function drawsOf(input: RehearsalInput, t: Task, seed: number): (run: number, into: Float64Array) => void {
  const { hands } = input
  const spread = input.pieces.flatMap((p) => {
    const route = input.routes.find((r) => r.id === p.route)!
    return route.stages.map((s) => {
      const x = input.times?.[route.id]?.[s.id]
      if (x === undefined || x === 'fixed') return undefined
      return { least: x.leastMin, usual: x.usualMin, most: x.mostMin, own: (p.minutes?.[s.id] ?? s.minutes) / s.minutes }
    })
  })
  return (run, into) => {
    const random = seeded(Math.imul(seed, 0x9e3779b1) + Math.imul(run + 1, 0x85ebca6b))
    for (let o = 0; o < t.ops; o++) {
      const x = spread[o]
      into[o] = x ? triangular(random(), x.least, x.usual, x.most) * x.own : t.dur[o]!
    }
    if (!hands) return
    for (let p = 0; p < t.pieces; p++) {
      const pace = triangular(random(), hands.least, hands.usual, hands.most)
      for (let o = t.first[p]!; o < t.first[p + 1]!; o++) if (t.attended[o]) into[o]! *= pace
    }
  }
}

/** The value below which a triangular distribution has a share of `u`. */
export function triangular(u: number, least: number, usual: number, most: number): number {
  const width = most - least
  if (width <= 0) return usual
  const rising = (usual - least) / width
  return u < rising ? least + Math.sqrt(u * width * (usual - least)) : most - Math.sqrt((1 - u) * width * (most - usual))
}

function live(t: Task, draw: (run: number, into: Float64Array) => void, input: RehearsalInput) {
  const { runs, minutes, stations } = input
  const life = new Life(t)
  const drawn = new Float64Array(t.ops)
  const finishes = new Float64Array(runs)
  const longest = Array.from({ length: stations.length + 1 }, () => new Int32Array(runs))
  let [unfinished, spoiled] = [0, 0]
  for (let run = 0; run < runs; run++) {
    draw(run, drawn)
    const lived = life.run(drawn)
    finishes[run] = lived.finish
    spoiled += lived.spoiled
    for (const end of lived.ends) if (end > minutes) unfinished++
    for (let q = 0; q <= stations.length; q++) longest[q]![run] = lived.longest[q]!
  }
  const queues = longest.map((all, q): Queue => {
    const station = stations[q]
    const sorted = all.slice().sort()
    return {
      kind: station ? 'station' : 'helper',
      station: station?.id ?? null,
      meanWaitMin: life.lived.asked[q]! === 0 ? 0 : life.lived.waited[q]! / life.lived.asked[q]!,
      longestMean: all.reduce((a, b) => a + b, 0) / runs,
      longestP90: sorted[Math.max(0, Math.ceil(0.9 * runs - 1e-9) - 1)]!,
    }
  })
  return { finishes, unfinished, spoiled, queues }
}
