import type { ClassRoom } from './classRoom'

/** A stage on somebody's way through a class. */
export interface WayStage {
  /** Its design and stage. */
  design: string
  id: string
  name: string
  minutes: number
  attended: boolean
  /** Minutes that they wait before it: for a place, for hands, while something is shown. */
  queue: number
  /** The wait after it that has to be, before the next. */
  wait: number
}

/** The way of whoever is done last, or of somebody, through a class's room: its minutes, its waits and what is waited for add up to the
 *  moment at which they are done, from when they could begin. */
export function wayOf(room: ClassRoom, person = lastOf(room)): WayStage[] {
  const piece = room.input.pieces.find((p) => p.id === person)!
  const { stages } = room.input.routes.find((r) => r.id === piece.route)!
  const at = new Map(room.plan.starts.filter((s) => s.piece === person).map((s) => [s.stage, s.atMin]))
  let ready = piece.fromMin ?? 0
  return stages.map((s, i) => {
    const start = at.get(s.id)!
    const wait = i < stages.length - 1 ? (s.then?.leastMin ?? 0) : 0
    const of = room.stages[s.id]!
    const queue = start - ready
    ready = start + s.minutes + wait
    return { design: of.design, id: of.stage.id, name: of.stage.name, minutes: s.minutes, attended: s.attended, queue, wait }
  })
}

/** Who is done last; of several, the first by their seat. */
export function lastOf(room: ClassRoom): string {
  const ends = endsOf(room)
  return room.input.pieces.reduce((a, b) => (ends.get(b.id)! > ends.get(a.id)! ? b : a)).id
}

/** When each person's last stage is over, in minutes from the class's start. */
export const endsOf = (room: ClassRoom): Map<string, number> => latest(room, (s) => s.piece)

const known = new WeakMap<object, Map<string, number>>()
/** When each stage is over for the last of all, in minutes from the class's start. */
export function stageEnds(room: ClassRoom): Map<string, number> {
  const found = known.get(room) ?? latest(room, (s) => s.stage)
  known.set(room, found)
  return found
}

function latest({ input, plan }: ClassRoom, by: (s: { piece: string; stage: string }) => string): Map<string, number> {
  const minutes = new Map(input.routes.map((r) => [r.id, new Map(r.stages.map((s) => [s.id, s.minutes]))]))
  const routes = new Map(input.pieces.map((p) => [p.id, minutes.get(p.route)!]))
  const ends = new Map<string, number>()
  for (const s of plan.starts) ends.set(by(s), Math.max(ends.get(by(s)) ?? 0, s.atMin + routes.get(s.piece)!.get(s.stage)!))
  return ends
}
