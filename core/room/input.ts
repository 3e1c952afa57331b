import * as v from 'valibot'

/** The stated limits of a room. Minutes are whole, counted from the session's start. */
export const roomLimits = {
  pieces: 500,
  routes: 50,
  stages: 20,
  stations: 50,
  blocks: 50,
  stageMin: 240,
  lagMin: 1440,
  timeMin: 10_000,
  count: 1000,
}

const whole = (min: number, max: number) =>
  v.pipe(
    v.number('not a number | Give a whole number.'),
    v.integer('not a whole number | Give a whole number.'),
    v.minValue(min, `less than ${min} | Give ${min} or more.`),
    v.maxValue(max, `more than ${max} | Give ${max} or less.`),
  )
const id = () =>
  v.pipe(v.string('not an id | Give text.'), v.minLength(1, 'empty | Give an id.'), v.maxLength(80, 'longer than 80 letters | Shorten it.'))
const some = <T extends v.GenericSchema>(item: T, most: number, what: string) =>
  v.pipe(v.array(item), v.minLength(1, `no ${what} | Give one.`), v.maxLength(most, `more than ${most} ${what} | Give ${most} or fewer.`))

const lag = v.object({ leastMin: whole(0, roomLimits.lagMin), mostMin: v.nullable(whole(0, roomLimits.lagMin)) })
const stage = v.object({
  id: id(),
  minutes: whole(1, roomLimits.stageMin),
  attended: v.boolean(),
  station: v.nullable(id()),
  helper: v.boolean(),
  then: v.optional(lag),
})
const piece = v.object({
  id: id(),
  route: id(),
  table: id(),
  fromMin: v.optional(whole(0, roomLimits.timeMin)),
  minutes: v.optional(v.record(v.string(), whole(1, roomLimits.stageMin))),
  pins: v.optional(v.record(v.string(), whole(0, roomLimits.timeMin))),
})
const block = v.object({ fromMin: whole(0, roomLimits.timeMin), toMin: whole(0, roomLimits.timeMin) })

/** Its fields; what they have to keep together is in `roomInput`. */
export const roomShape = v.object({
  routes: some(v.object({ id: id(), stages: some(stage, roomLimits.stages, 'stages') }), roomLimits.routes, 'routes'),
  stations: v.pipe(
    v.array(v.object({ id: id(), places: whole(0, roomLimits.count) })),
    v.maxLength(roomLimits.stations, `more than ${roomLimits.stations} stations | Give ${roomLimits.stations} or fewer.`),
  ),
  helpers: whole(0, roomLimits.count),
  pieces: some(piece, roomLimits.pieces, 'pieces'),
  blocks: v.pipe(
    v.array(block),
    v.maxLength(roomLimits.blocks, `more than ${roomLimits.blocks} blocks | Give ${roomLimits.blocks} or fewer.`),
  ),
  minutes: whole(1, roomLimits.timeMin),
})
type Shape = v.InferOutput<typeof roomShape>

export interface Misfit {
  path: (string | number)[]
  message: string
}

/** What does not hold together, with where: ids used twice or unknown, lags and blocks that end before they begin. */
export function misfit(r: Shape): Misfit | undefined {
  const twice = (list: readonly { id: string }[], at: (i: number) => (string | number)[]) => {
    const i = list.findIndex((x, k) => list.findIndex((y) => y.id === x.id) < k)
    return i < 0 ? undefined : { path: at(i), message: `"${list[i]!.id}" is there twice | Give each an id of its own.` }
  }
  const unknown = (what: string, name: string) => `no ${what} is called "${name}" | Name one that is there.`
  const found =
    twice(r.routes, (i) => ['routes', i, 'id']) ??
    twice(r.stations, (i) => ['stations', i, 'id']) ??
    twice(r.pieces, (i) => ['pieces', i, 'id'])
  if (found) return found
  const stations = new Set(r.stations.map((s) => s.id))
  for (const [i, route] of r.routes.entries()) {
    const same = twice(route.stages, (k) => ['routes', i, 'stages', k, 'id'])
    if (same) return same
    for (const [k, s] of route.stages.entries()) {
      if (s.station !== null && !stations.has(s.station))
        return { path: ['routes', i, 'stages', k, 'station'], message: unknown('station', s.station) }
      if (s.then && s.then.mostMin !== null && s.then.mostMin < s.then.leastMin)
        return {
          path: ['routes', i, 'stages', k, 'then', 'mostMin'],
          message: `less than leastMin (${s.then.leastMin}) | Give as much, or null.`,
        }
    }
  }
  const routes = new Map(r.routes.map((x) => [x.id, new Set(x.stages.map((s) => s.id))]))
  for (const [i, p] of r.pieces.entries()) {
    const stages = routes.get(p.route)
    if (!stages) return { path: ['pieces', i, 'route'], message: unknown('route', p.route) }
    for (const field of ['minutes', 'pins'] as const)
      for (const name of Object.keys(p[field] ?? {}))
        if (!stages.has(name)) return { path: ['pieces', i, field, name], message: unknown('stage of its route', name) }
  }
  const b = r.blocks.findIndex((x) => x.toMin <= x.fromMin)
  return b < 0 ? undefined : { path: ['blocks', b, 'toMin'], message: 'not after fromMin | Give a later minute.' }
}

/** A check of an object that names where it fails, field by field. */
export const placed = <T extends object>(wrong: (value: T) => Misfit | undefined) =>
  v.rawCheck<T>(({ dataset, addIssue }) => {
    if (!dataset.typed) return
    const found = wrong(dataset.value)
    if (!found) return
    let at: unknown = dataset.value
    const path = found.path.map((key) => {
      const value = (at as Record<string | number, unknown>)[key]
      const item = { type: 'object' as const, origin: 'value' as const, input: at as Record<string, unknown>, key, value }
      at = value
      return item
    })
    addIssue({ message: found.message, path: path as never })
  })

/** A room: routes of stages, stations, helpers' hands, pieces, and blocks in which everybody looks on. */
export const roomInput = v.pipe(roomShape, placed<Shape>(misfit))
export type RoomInput = v.InferOutput<typeof roomInput>
