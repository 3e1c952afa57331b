import type { PieceState } from '#core/recipe'
import type { ClassRoom } from './classRoom'
import { grouped } from './grouped'
import { queuesOf, type Queue } from './queues'

/** What somebody's piece is at, minute by minute from the class's start: in hands, drying alone, or waiting. */
export interface Span {
  kind: 'hands' | 'alone' | 'waits'
  fromMin: number
  toMin: number
  /** The stage, or the one that is waited for; what the piece is while it lasts. */
  stage: string
  name: string
  state: PieceState
  station: string | null
  /** Adults lead it or do it. */
  helped: boolean
  pinned: boolean
}
export interface Row {
  person: string
  table: string
  /** From when they are there, when that is not the beginning. */
  comesMin: number | null
  spans: Span[]
  endMin: number
}
/** How many stand at a station, from each moment at which that changes. */
export interface Level {
  fromMin: number
  there: number
  waiting: number
}
export interface Station {
  /** A station, `adults`, or `rack` for what dries alone. */
  at: string
  places: number | null
  levels: Level[]
  queue: Queue | undefined
}
/** A stage begun by so many at once: a line of the run sheet. */
export interface RunLine {
  atMin: number
  stage: string
  name: string
  minutes: number
  station: string | null
  people: string[]
  /** Everybody looks on. */
  forAll?: true
  /** Drying alone wants nobody's hands. */
  alone?: true
}

/** A class's plan as it is lived: a row for each person in the order of the room, and each station's fill. */
export function storyOf(room: ClassRoom): { rows: Row[]; stations: Station[]; begins: number } {
  const { input, plan } = room
  const begins = Math.ceil(room.setUpMin + room.showMin)
  const routes = new Map(input.routes.map((r) => [r.id, r]))
  const at = new Map(plan.starts.map((s) => [`${s.piece} ${s.stage}`, s.atMin]))
  const rows = input.pieces.map((p): Row => {
    const spans: Span[] = []
    let ready = p.fromMin ?? 0
    let before: Record<string, PieceState> = {}
    for (const s of routes.get(p.route)!.stages) {
      const { design, stage } = room.stages[s.id]!
      const start = at.get(`${p.id} ${s.id}`)!
      const was = before[design] ?? firstState(room, design)
      const rest = {
        stage: s.id,
        name: stage.name,
        station: s.station,
        helped: s.helper || s.station === 'led',
        pinned: p.pins?.[s.id] !== undefined,
      }
      if (start > ready) spans.push({ ...rest, kind: 'waits', fromMin: ready, toMin: start, state: was, pinned: false })
      const state = s.attended ? (stage.makes ?? was) : was
      spans.push({ ...rest, kind: s.attended ? 'hands' : 'alone', fromMin: start, toMin: start + s.minutes, state })
      before = { ...before, [design]: stage.then?.makes ?? stage.makes ?? was }
      const wait = s.then?.leastMin ?? 0
      if (wait > 0)
        spans.push({
          ...rest,
          kind: 'alone',
          fromMin: start + s.minutes,
          toMin: start + s.minutes + wait,
          state: before[design]!,
          pinned: false,
        })
      ready = start + s.minutes + wait
    }
    const endMin = Math.max(0, ...spans.filter((x) => x.kind !== 'waits').map((x) => x.toMin))
    return { person: p.id, table: p.table, comesMin: (p.fromMin ?? 0) > begins ? p.fromMin! : null, spans, endMin }
  })
  return { rows, stations: stationsOf(room, rows), begins }
}

/** What a design's pieces are when a class begins: what was made before its first stage there. */
function firstState(room: ClassRoom, design: string): PieceState {
  return room.begun[design] ?? 'printed'
}

function stationsOf(room: ClassRoom, rows: readonly Row[]): Station[] {
  const queues = queuesOf(room)
  const spans = rows.flatMap((r) => r.spans)
  const of = (at: string, places: number | null, here: (s: Span) => boolean): Station => ({
    at,
    places,
    levels: levelsOf(
      spans.filter((s) => s.kind !== 'waits' && here(s)),
      queues.find((q) => q.at === at)?.waits ?? [],
    ),
    queue: queues.find((q) => q.at === at),
  })
  const led = room.input.stations.find((s) => s.id === 'led' || s.id === 'spray')
  return [
    ...room.input.stations.filter((s) => s !== led).map((s) => of(s.id, s.places, (x) => x.station === s.id)),
    ...(spans.some((s) => s.kind === 'alone') ? [of('rack', null, (s) => s.kind === 'alone')] : []),
    ...(led ? [of(led.id, led.places, (s) => s.station === led.id)] : []),
    ...(room.input.routes.some((r) => r.stages.some((s) => s.helper)) ? [of('adults', room.input.helpers, (s) => s.helped)] : []),
  ]
}

/** How many have their hands on something, minute by minute; and each stage's name at the minute where most of them do it. */
export function profileOf(rows: readonly Row[]): {
  levels: Level[]
  words: { stage: string; name: string; atMin: number; people: number }[]
} {
  const spans = rows.flatMap((r) => r.spans)
  const hands = spans.filter((s) => s.kind === 'hands')
  const words = [...grouped(hands, (s) => s.name)].map(([name, mine]) => {
    const levels = levelsOf(mine, [])
    const people = Math.max(...levels.map((l) => l.there))
    const from = levels.findIndex((l) => l.there === people)
    return { stage: mine[0]!.stage, name, people, atMin: (levels[from]!.fromMin + levels[from + 1]!.fromMin) / 2 }
  })
  return {
    levels: levelsOf(
      hands,
      spans.filter((s) => s.kind === 'waits'),
    ),
    words: words.sort((a, b) => a.atMin - b.atMin),
  }
}

function levelsOf(there: readonly { fromMin: number; toMin: number }[], waiting: readonly { fromMin: number; toMin: number }[]): Level[] {
  const edges = [...new Set([...there, ...waiting].flatMap((s) => [s.fromMin, s.toMin]))].sort((a, b) => a - b)
  const count = (list: readonly { fromMin: number; toMin: number }[], m: number) => list.filter((s) => s.fromMin <= m && s.toMin > m).length
  return edges.map((m) => ({ fromMin: m, there: count(there, m), waiting: count(waiting, m) }))
}

/** The class in the order of time: what begins when, for whom; who begins the same together. What is shown to all stands in it too. */
export function runLines(room: ClassRoom, shows: readonly { atMin: number; minutes: number; what: string }[] = []): RunLine[] {
  const { input, plan } = room
  const routes = new Map(input.routes.map((r) => [r.id, new Map(r.stages.map((s) => [s.id, s]))]))
  const pieces = new Map(input.pieces.map((p) => [p.id, p]))
  const lines = new Map<string, RunLine>()
  for (const s of plan.starts) {
    const stage = routes.get(pieces.get(s.piece)!.route)!.get(s.stage)!
    const key = `${s.atMin} ${s.stage} ${stage.minutes}`
    const line = lines.get(key) ?? {
      atMin: s.atMin,
      stage: s.stage,
      name: room.stages[s.stage]!.stage.name,
      minutes: stage.minutes,
      station: stage.station,
      people: [],
      ...(!stage.attended && { alone: true as const }),
    }
    line.people.push(s.piece)
    lines.set(key, line)
  }
  const order = new Map(input.pieces.map((p, i) => [p.id, i]))
  const all = (atMin: number, name: string, minutes: number): RunLine => ({
    ...{ atMin, stage: '', name, minutes, station: null },
    people: input.pieces.map((p) => p.id),
    forAll: true,
  })
  return [
    ...(room.setUpMin > 0 ? [all(0, 'set-up', room.setUpMin)] : []),
    ...(room.showMin > 0 ? [all(room.setUpMin, 'show', room.showMin)] : []),
    ...shows.map((x) => all(x.atMin, x.what, x.minutes)),
    ...[...lines.values()].map((l) => ({ ...l, people: l.people.sort((a, b) => order.get(a)! - order.get(b)!) })),
    ...(room.cleanUpMin > 0 ? [all(plan.finishMin, 'clean-up', room.cleanUpMin)] : []),
  ].sort((a, b) => a.atMin - b.atMin || order.get(a.people[0]!)! - order.get(b.people[0]!)!)
}

/** People as a run sheet calls them: whole tables by their letter, others by name; all of them by one word less. */
export function tablesOf(
  people: readonly string[],
  rows: readonly Pick<Row, 'person' | 'table'>[],
  called: (person: string) => string,
): string {
  const here = new Set(people)
  return [...grouped(rows, (r) => r.table)]
    .flatMap(([table, all]) => {
      const mine = all.filter((r) => here.has(r.person))
      return mine.length === 0 ? [] : mine.length === all.length ? [table] : mine.map((r) => called(r.person))
    })
    .join(', ')
}
