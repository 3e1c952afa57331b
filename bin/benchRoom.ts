import { readFileSync } from 'node:fs'
import * as v from 'valibot'
import { isRefusal } from '../core/reasons'
import { rehearsalInput, rehearse } from '../core/rehearsal'
import { checkRoom, planRoom, roomInput, type RoomInput } from '../core/room'

interface Practice {
  id: string
  boundMin: number
  bestKnown: { finishMin: number }
  input: unknown
}

/** The classic flow shops: a stage for each machine in order, a station of one place each; durations by the published generator. */
function flowShop(seed: number, jobs: number, machines: number): RoomInput {
  let x = BigInt(seed)
  const next = () => {
    x = (16_807n * x) % 2_147_483_647n
    return 1 + Number((99n * x) / 2_147_483_647n)
  }
  const times = Array.from({ length: machines }, () => Array.from({ length: jobs }, next))
  const names = times.map((_, k) => `machine ${k + 1}`)
  return v.parse(roomInput, {
    routes: [{ id: 'job', stages: names.map((id) => ({ id, minutes: 1, attended: true, station: id, helper: false })) }],
    stations: names.map((id) => ({ id, places: 1 })),
    pieces: Array.from({ length: jobs }, (_, j) => ({
      id: `job ${j + 1}`,
      route: 'job',
      table: 'one',
      minutes: Object.fromEntries(names.map((id, k) => [id, times[k]![j]!])),
    })),
    ...{ helpers: 0, blocks: [], minutes: 10_000 },
  })
}
const shops: [seed: number, machines: number, optimum: number][] = [
  [873_654_221, 5, 1278],
  [379_008_056, 5, 1359],
  [1_866_992_158, 5, 1081],
  [587_595_453, 10, 1582],
  [1_401_007_982, 10, 1659],
  [873_136_276, 10, 1496],
]

/** A plan after so many milliseconds, checked by arithmetic of its own. */
function after(input: RoomInput, ms: number) {
  const until = performance.now() + ms
  const plan = planRoom(input, { steps: Infinity, enough: () => performance.now() >= until, bottleneck: false })
  if (isRefusal(plan)) throw new Error(plan.refused.what)
  const found = checkRoom(input, plan.starts)
  if (found.wrong.length > 0 || found.finishMin !== plan.finishMin) throw new Error(`a plan of the benchmark is broken: ${found.wrong[0]}`)
  if (plan.lowerBoundMin > plan.finishMin) throw new Error('a bound is above a plan')
  return plan
}

/** The practice rooms after 0.2, 1 and 2 s each, the flow shops after 1 s, the bounds, and runs of a rehearsal in a second of processor
 *  time. Figures: per cent over what is known. */
export function benchRoom(): Record<string, number> {
  const { rooms } = JSON.parse(readFileSync(new URL('./practice/rooms.json', import.meta.url), 'utf8')) as { rooms: Practice[] }
  const inputs = rooms.map((r) => ({ ...r, input: v.parse(roomInput, r.input) }))
  const known = inputs.reduce((sum, r) => sum + r.bestKnown.finishMin, 0)
  const figures: Record<string, number> = {}
  let better = 0
  for (const ms of [200, 1000, 2000]) {
    let [finish, bounds] = [0, 0]
    for (const r of inputs) {
      const plan = after(r.input, ms)
      finish += plan.finishMin
      bounds += plan.lowerBoundMin
      if (ms === 2000 && plan.finishMin < r.bestKnown.finishMin) better++
    }
    figures[`room: 40 practice rooms after ${ms} ms, over the best known, %`] = 100 * (finish / known - 1)
    figures['room: their bounds, of the stored ones, %'] = (100 * bounds) / inputs.reduce((sum, r) => sum + r.boundMin, 0)
  }
  figures['room: rooms better than the best known after 2 s'] = better
  const over = shops.map(([seed, machines, optimum]) => after(flowShop(seed, 20, machines), 1000).finishMin / optimum - 1)
  figures['room: flow shops after 1 s, over the optimum, %'] = (100 * over.reduce((a, b) => a + b, 0)) / over.length
  return { ...figures, ...benchRehearsal(inputs.map((r) => r.input)) }
}

function benchRehearsal(rooms: readonly RoomInput[]): Record<string, number> {
  const of24 = rooms.filter((r) => r.pieces.length >= 22 && r.pieces.length <= 26)
  const speeds = of24.map((room) => {
    const times = Object.fromEntries(
      room.routes.map((r) => [
        r.id,
        Object.fromEntries(
          r.stages.map((s) => [s.id, { leastMin: Math.max(1, s.minutes * 0.7), usualMin: s.minutes, mostMin: s.minutes * 1.8 }]),
        ),
      ]),
    )
    const input = v.parse(rehearsalInput, { ...room, times, runs: 4000, wishPct: 80, changes: [] })
    const from = process.cpuUsage()
    rehearse(input)
    const { user, system } = process.cpuUsage(from)
    return 4000 / ((user + system) / 1e6)
  })
  return {
    'rehearsal: runs a second of processor time, about 24 people, mean': speeds.reduce((a, b) => a + b, 0) / speeds.length,
    'rehearsal: the slowest room': Math.min(...speeds),
  }
}
