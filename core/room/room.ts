import { refuse, type Refusal } from '#core/reasons'
import { lowerBound } from './bound'
import type { RoomInput } from './input'
import { Scheduler } from './schedule'
import { RoomSearch } from './search'
import { cannotBegin, startsOf, taskOf, type Start, type Task } from './task'

/** What holds a room up most: one more of it, and the plan that then ends so much earlier. */
export interface Bottleneck {
  kind: 'station' | 'helper'
  station: string | null
  oneMoreSavesMin: number
  starts: Start[]
}
export interface RoomPlan {
  starts: Start[]
  finishMin: number
  waitingMin: number
  spreadMin: number
  lowerBoundMin: number
  fits: boolean
  bottleneck: Bottleneck | null
  /** Plans that were made in the search. */
  steps: number
}

export interface RoomBudget {
  steps?: number
  seed?: number
  /** Asked now and then; ends the search. */
  enough?: () => boolean
  /** The same for the search of the bottleneck, which begins when it is made. */
  enoughMore?: () => () => boolean
  /** Whether to look for what holds it up. */
  bottleneck?: boolean
}

const usualSteps = 3000

/** Who does what when in a session: the plan that ends first, then waits least, then keeps tables together, as far as the budget goes, with
 *  its proven bound and what holds it up. Minutes are whole and counted from the session's start. Every stage keeps its lags at least and
 *  at most, its station's places, the adults it needs, and blocks in which everybody looks on; pins stand where they are. Refuses stages
 *  that can never begin, and pins that contradict themselves, each other or all plans that were tried.
 *  Plans are made by serial generation over lists of runs (Kolisch 1996), a run being stages that a longest wait ties together; see
 *  `search.ts` and `bound.ts` for the sources of search and bound. Deterministic for seed and steps; more steps are never worse. */
export function planRoom(
  input: RoomInput,
  { steps = usualSteps, seed = 1, enough, enoughMore, bottleneck = true }: RoomBudget = {},
): RoomPlan | Refusal {
  const t = taskOf(input)
  const refused = cannotBegin(t, input) ?? (t.pinned ? pinRefusal(t, input) : undefined)
  if (refused) return refused
  const search = new RoomSearch(t, seed, steps, enough)
  search.run()
  const { best } = search
  if (!best)
    return refuse('No plan was found that keeps these pins.', 'It is not known whether there is one.', [
      'Take a pin out.',
      'Give the search more time.',
    ])
  const { finish, waiting, spread } = best.sums
  const lowerBoundMin = Math.min(finish, lowerBound(t, finish))
  return {
    starts: startsOf(t, search.starts),
    finishMin: finish,
    waitingMin: waiting,
    spreadMin: spread,
    lowerBoundMin,
    fits: finish <= input.minutes,
    bottleneck: bottleneck ? holdsUp(input, t, best.list, best.delays, finish, steps, seed, enoughMore) : null,
    steps: search.steps,
  }
}

/** One more place at each station, and one more adult, each searched anew from the plan that is there. */
function holdsUp(
  input: RoomInput,
  t: Task,
  list: Int32Array,
  delays: Int16Array,
  finish: number,
  steps: number,
  seed: number,
  enoughMore?: () => () => boolean,
): Bottleneck | null {
  const used = (i: number) => (i < 0 ? t.helper.includes(1) : t.station.includes(i))
  const candidates = [...input.stations.keys(), -1].filter(used)
  const stop = enoughMore?.()
  const each = Math.max(1, Math.floor(steps / Math.max(1, candidates.length)))
  let best: { i: number; search: RoomSearch } | undefined
  for (const i of candidates) {
    const more = taskOf(input, i)
    if (lowerBound(more, finish) >= (best ? best.search.best!.sums.finish : finish)) continue
    const search = new RoomSearch(more, seed, each, stop)
    search.run(list, delays)
    const found = search.best
    if (found && found.sums.finish < (best ? best.search.best!.sums.finish : finish)) best = { i, search }
  }
  if (!best) return null
  return {
    kind: best.i < 0 ? 'helper' : 'station',
    station: best.i < 0 ? null : input.stations[best.i]!.id,
    oneMoreSavesMin: finish - best.search.best!.sums.finish,
    starts: startsOf(t, best.search.starts),
  }
}

/** Pins that contradict a piece's own lags, arrival or a block even in an empty room, or ask for more than there is at one moment. */
function pinRefusal(t: Task, input: RoomInput): Refusal | undefined {
  for (let p = 0; p < t.pieces; p++) {
    const pinned = t.pin.subarray(t.first[p]!, t.first[p + 1]!).some((x) => x >= 0)
    if (!pinned) continue
    const { pins = {}, ...rest } = input.pieces[p]!
    const alone = taskOf({ ...input, pieces: [{ ...rest, pins }] })
    const hits = Array.from(alone.pin.keys()).find(
      (o) => alone.pin[o]! >= 0 && alone.attended[o] && meets(input, alone.pin[o]!, alone.dur[o]!),
    )
    const order = Int32Array.from({ length: alone.runFrom.length }, () => 0)
    if (hits !== undefined || !new Scheduler(alone).run(order))
      return refuse(
        `The pins of ${rest.id} cannot hold.`,
        'They contradict its own waits, its arrival or a demonstration, even in an empty room.',
        ['Move a pin.', 'Take it out.'],
      )
  }
  const pinned = Array.from(t.pin.keys()).filter((o) => t.pin[o]! >= 0)
  const during = (o: number, x: number) => t.pin[o]! <= x && x < t.pin[o]! + t.dur[o]!
  const over = pinned.find((o) => {
    const here = pinned.filter((x) => during(x, t.pin[o]!))
    const atStation = here.filter((x) => t.station[x] === t.station[o]).length
    return (
      (t.station[o]! >= 0 && atStation > t.places[t.station[o]!]!) || (t.helper[o]! && here.filter((x) => t.helper[x]).length > t.helpers)
    )
  })
  return over === undefined
    ? undefined
    : refuse('The pins ask for more than there is at one moment.', `Stage ${t.names[over]} of ${t.ids[t.piece[over]!]} is one of them.`, [
        'Move one of the pins.',
        'Add a place or an adult.',
      ])
}

const meets = (input: RoomInput, at: number, d: number): boolean => input.blocks.some((b) => at < b.toMin && at + d > b.fromMin)
