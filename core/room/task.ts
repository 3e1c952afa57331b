import { refuse, type Refusal } from '#core/reasons'
import type { RoomInput } from './input'

export interface Start {
  piece: string
  stage: string
  atMin: number
}

/** A room in arrays: stages of pieces one after another, cut into runs that a longest wait ties together. Minutes throughout. */
export interface Task {
  /** How many stages in all, and what each is. */
  ops: number
  piece: Int32Array
  dur: Int32Array
  /** Its station, -1 for none. */
  station: Int32Array
  helper: Uint8Array
  attended: Uint8Array
  /** To the next stage of its piece: at least, at most (-1 for no limit). */
  least: Int32Array
  most: Int32Array
  pin: Int32Array
  /** By piece: its stages from here to before there, its arrival, its table. */
  first: Int32Array
  from: Int32Array
  table: Int32Array
  tables: number
  pieces: number
  /** Runs of stages that are placed together: from stage, to before stage; and of each piece the first of its runs. */
  runFrom: Int32Array
  runTo: Int32Array
  firstRun: Int32Array
  places: Int32Array
  helpers: number
  /** Blocks as they were given. */
  blocks: readonly { fromMin: number; toMin: number }[]
  pinned: boolean
  /** The stages' ids, for the answer. */
  names: string[]
  ids: string[]
}

/** The room in arrays. `more` is one place more at a station (by index), or one adult more at -1. */
export function taskOf(input: RoomInput, more?: number): Task {
  const routes = new Map(input.routes.map((r) => [r.id, r]))
  const stations = new Map(input.stations.map((s, i) => [s.id, i]))
  const tables = new Map<string, number>()
  const list = input.pieces.map((p) => ({ p, stages: routes.get(p.route)!.stages }))
  const ops = list.reduce((n, x) => n + x.stages.length, 0)
  const ints = (n: number) => new Int32Array(n)
  const t: Task = {
    ops,
    ...{ piece: ints(ops), dur: ints(ops), station: ints(ops), helper: new Uint8Array(ops), attended: new Uint8Array(ops) },
    ...{ least: ints(ops), most: ints(ops).fill(-1), pin: ints(ops).fill(-1) },
    ...{ first: ints(list.length + 1), from: ints(list.length), table: ints(list.length), tables: 0, pieces: list.length },
    ...{ runFrom: ints(0), runTo: ints(0), firstRun: ints(list.length + 1) },
    places: Int32Array.from(input.stations, (s, i) => s.places + (more === i ? 1 : 0)),
    helpers: input.helpers + (more === -1 ? 1 : 0),
    blocks: input.blocks,
    pinned: false,
    names: [],
    ids: input.pieces.map((p) => p.id),
  }
  const runs: [number, number][] = []
  let o = 0
  list.forEach(({ p, stages }, i) => {
    t.first[i] = o
    t.firstRun[i] = runs.length
    t.from[i] = p.fromMin ?? 0
    if (!tables.has(p.table)) tables.set(p.table, tables.size)
    t.table[i] = tables.get(p.table)!
    stages.forEach((s, k) => {
      t.piece[o] = i
      t.dur[o] = p.minutes?.[s.id] ?? s.minutes
      t.station[o] = s.station === null ? -1 : stations.get(s.station)!
      t.helper[o] = Number(s.helper)
      t.attended[o] = Number(s.attended)
      t.pin[o] = p.pins?.[s.id] ?? -1
      if (t.pin[o]! >= 0) t.pinned = true
      const last = k === stages.length - 1
      t.least[o] = last ? 0 : (s.then?.leastMin ?? 0)
      t.most[o] = last ? -1 : (s.then?.mostMin ?? -1)
      if (k === 0 || t.most[o - 1]! < 0) runs.push([o, o + 1])
      else runs.at(-1)![1] = o + 1
      t.names.push(s.id)
      o++
    })
  })
  t.first[list.length] = o
  t.firstRun[list.length] = runs.length
  t.runFrom = Int32Array.from(runs, (r) => r[0])
  t.runTo = Int32Array.from(runs, (r) => r[1])
  t.tables = tables.size
  return t
}

/** The same room lived backwards from `end`: last stages first, blocks turned round. Arrivals are left out: what comes of it is an order. */
export function mirrored(t: Task, end: number): Task {
  const { ops } = t
  const turn = <A extends Int32Array | Uint8Array>(a: A): A => a.slice().reverse() as A
  const lag = (a: Int32Array, none: number) => {
    // The lag after a stage becomes the one after its successor; that of a piece's first stage is none.
    const out = new Int32Array(ops).fill(none)
    for (let o = 0; o + 1 < ops; o++) if (t.piece[o] === t.piece[o + 1]) out[ops - 2 - o] = a[o]!
    return out
  }
  const { pieces } = t
  const first = new Int32Array(pieces + 1)
  const firstRun = new Int32Array(pieces + 1)
  const runs = t.runFrom.length
  for (let p = 0; p <= pieces; p++) {
    first[p] = ops - t.first[pieces - p]!
    firstRun[p] = runs - t.firstRun[pieces - p]!
  }
  return {
    ...t,
    piece: Int32Array.from({ length: ops }, (_, o) => pieces - 1 - t.piece[ops - 1 - o]!),
    ...{ dur: turn(t.dur), station: turn(t.station), helper: turn(t.helper), attended: turn(t.attended) },
    ...{ least: lag(t.least, 0), most: lag(t.most, -1), pin: new Int32Array(ops).fill(-1) },
    ...{ first, firstRun, from: new Int32Array(pieces), table: turn(t.table) },
    runFrom: Int32Array.from({ length: runs }, (_, r) => ops - t.runTo[runs - 1 - r]!),
    runTo: Int32Array.from({ length: runs }, (_, r) => ops - t.runFrom[runs - 1 - r]!),
    blocks: t.blocks.filter((b) => b.fromMin < end).map((b) => ({ fromMin: Math.max(0, end - b.toMin), toMin: end - b.fromMin })),
    pinned: false,
  }
}

export const startsOf = (t: Task, starts: Int32Array): Start[] =>
  Array.from(starts, (atMin, o) => ({ piece: t.ids[t.piece[o]!]!, stage: t.names[o]!, atMin }))

/** Why a room cannot be planned at all: a stage that can never begin. */
export function cannotBegin(t: Task, input: RoomInput): Refusal | undefined {
  for (let o = 0; o < t.ops; o++) {
    const s = t.station[o]!
    if (s >= 0 && t.places[s] === 0)
      return refuse(`There is no place at ${input.stations[s]!.id}.`, `Stage ${t.names[o]} needs one.`, [
        `Give ${input.stations[s]!.id} a place.`,
        'Do the stage elsewhere.',
      ])
    if (t.helper[o] && t.helpers === 0)
      return refuse('There is no adult to help.', `Stage ${t.names[o]} needs one at it.`, ['Ask a helper.', 'Do the stage ahead.'])
  }
  return undefined
}
