import * as v from 'valibot'
import { misfit, placed, roomLimits, roomShape, type Misfit } from '#core/room'

/** The stated limits of a rehearsal, beside a room's. */
export const rehearsalLimits = { runs: 20_000, count: 1000, longestMin: 1440, changes: 200 }

const between = (min: number, max: number) =>
  v.pipe(
    v.number('not a number | Give a number.'),
    v.finite('not a finite number | Give a number.'),
    v.minValue(min, `less than ${min} | Give ${min} or more.`),
    v.maxValue(max, `more than ${max} | Give ${max} or less.`),
  )
const whole = (min: number, max: number) => v.pipe(between(min, max), v.integer('not a whole number | Give a whole number.'))

const spread = v.object({
  leastMin: between(1, roomLimits.stageMin),
  usualMin: between(1, roomLimits.stageMin),
  mostMin: between(1, rehearsalLimits.longestMin),
})
const change = v.object({
  add: v.picklist(['place', 'helper', 'minutes'], 'not a change | Say place, helper or minutes.'),
  station: v.optional(v.string()),
  count: whole(1, rehearsalLimits.count),
})
const shape = v.object({
  ...roomShape.entries,
  times: v.optional(
    v.record(
      v.string(),
      v.record(v.string(), v.union([v.literal('fixed'), spread], 'not a spread | Say "fixed" or give leastMin, usualMin and mostMin.')),
    ),
  ),
  /** What one person's hands take of the minutes drawn for attended stages, drawn once a run for each: shares of the usual. */
  hands: v.optional(v.object({ least: between(0.1, 1), usual: between(0.1, 10), most: between(1, 10) })),
  runs: whole(1, rehearsalLimits.runs),
  wishPct: between(0, 100),
  changes: v.optional(
    v.pipe(v.array(change), v.maxLength(rehearsalLimits.changes, `more than ${rehearsalLimits.changes} changes | Give fewer.`)),
  ),
})
type Shape = v.InferOutput<typeof shape>

function wrong(r: Shape): Misfit | undefined {
  const room = misfit(r)
  if (room) return room
  if (r.hands && (r.hands.usual < r.hands.least || r.hands.most < r.hands.usual))
    return { path: ['hands', 'usual'], message: 'not between least and most | Give least, usual and most in that order.' }
  for (const [id, stages] of Object.entries(r.times ?? {})) {
    const route = r.routes.find((x) => x.id === id)
    if (!route) return { path: ['times', id], message: `no route is called "${id}" | Name one that is there.` }
    for (const [name, x] of Object.entries(stages)) {
      if (!route.stages.some((s) => s.id === name))
        return { path: ['times', id, name], message: `no stage of its route is called "${name}" | Name one that is there.` }
      if (x === 'fixed') continue
      if (x.usualMin < x.leastMin)
        return { path: ['times', id, name, 'usualMin'], message: `less than leastMin (${x.leastMin}) | Give as much or more.` }
      if (x.mostMin < x.usualMin)
        return { path: ['times', id, name, 'mostMin'], message: `less than usualMin (${x.usualMin}) | Give as much or more.` }
    }
  }
  for (const [i, c] of (r.changes ?? []).entries())
    if (c.add === 'place' && !r.stations.some((s) => s.id === c.station))
      return { path: ['changes', i, 'station'], message: `no station is called "${c.station ?? ''}" | Name one that is there.` }
  return undefined
}

/** A room, how its minutes spread, how often it is lived, what is wished, and what could be changed. */
export const rehearsalInput = v.pipe(shape, placed<Shape>(wrong))
export type RehearsalInput = v.InferOutput<typeof rehearsalInput>
export type RoomChange = v.InferOutput<typeof change>
