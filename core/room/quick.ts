import { isRefusal, refuse, type Refusal } from '#core/reasons'
import { seeded } from '#core/sheets'
import { lowerBound } from './bound'
import { checkRoom } from './check'
import type { RoomInput } from './input'
import { shuffledList, usualLists } from './lists'
import type { RoomPlan } from './room'
import { better, Scheduler, type Sums } from './schedule'
import { cannotBegin, startsOf, taskOf } from './task'

/** So many lists of pieces are tried for a plan that comes at once. */
const quickSteps = 3
/** And so many any lists, where pins let none of those through. */
const pinnedSteps = 60
/** Rooms whose plans are remembered: a plan is made anew on every change of a workshop, most of which leave its rooms as they are. */
const remembered = 120

const known = new Map<string, RoomPlan | Refusal>()
function remember(key: string, make: () => RoomPlan | Refusal): RoomPlan | Refusal {
  const found = known.get(key)
  const plan = found ?? make()
  known.delete(key)
  known.set(key, plan)
  if (known.size > remembered) known.delete(known.keys().next().value!)
  return plan
}

/** What a room is, in a short word: the same word for the same room. Not secret (two 32-bit mixes over its text, after Bob Jenkins). */
export function roomKey(input: RoomInput): string {
  const text = textOf(input)
  let [a, b] = [0xdeadbeef, 0x41c6ce57]
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    a = Math.imul(a ^ c, 2654435761)
    b = Math.imul(b ^ c, 1597334677)
  }
  return [a ^ (b >>> 15), b ^ (a >>> 13)].map((n) => (n >>> 0).toString(36)).join('-')
}

/** A room as text, its people by the numbers of their routes and tables. */
function textOf(input: RoomInput): string {
  const { pieces, ...rest } = input
  const routes = new Map(input.routes.map((r, i) => [r.id, i]))
  return `${JSON.stringify(rest)}${pieces
    .map(
      (p) => `${p.id} ${routes.get(p.route)} ${p.table} ${p.fromMin ?? 0}${p.minutes || p.pins ? JSON.stringify([p.minutes, p.pins]) : ''}`,
    )
    .join()}`
}

/** A room's plan at once: the best of a few lists, with its bound; what holds it up is not looked for. The same input gives the same plan.
 *  About 1 ms for 40 people, 8 for 400. Refuses what `planRoom` refuses. */
export const quickRoom = (input: RoomInput): RoomPlan | Refusal => remember(textOf(input), () => atOnce(input))

function atOnce(input: RoomInput): RoomPlan | Refusal {
  const t = taskOf(input)
  const refused = cannotBegin(t, input)
  if (refused) return refused
  const scheduler = new Scheduler(t)
  let best: { sums: Sums; starts: Int32Array } | undefined
  let steps = 0
  const consider = (list: Int32Array) => {
    steps++
    const sums = scheduler.run(list)
    if (sums && (!best || better(sums, best.sums))) best = { sums, starts: scheduler.starts.slice() }
  }
  for (const list of usualLists(t)) {
    consider(list)
    if (steps >= quickSteps) break
  }
  // Pins may let none of the usual orders through.
  const random = seeded(1)
  while (!best && t.pinned && steps < pinnedSteps) consider(shuffledList(t, random))
  if (!best) return refuse('No plan was found that keeps these pins.', 'It is not known whether there is one.', ['Take a pin out.'])
  const { finish, waiting, spread } = best.sums
  return {
    starts: startsOf(t, best.starts),
    ...{ finishMin: finish, waitingMin: waiting, spreadMin: spread },
    lowerBoundMin: Math.min(finish, lowerBound(t, finish)),
    fits: finish <= input.minutes,
    bottleneck: null,
    steps,
  }
}

/** A plan that somebody kept: of which room, each stage's start in the order of pieces and stages, and where it comes from. */
export interface KeptPlan {
  of: string
  starts: number[]
  seed: number
  steps: number
}

export const keepPlan = (input: RoomInput, plan: Pick<RoomPlan, 'starts' | 'steps'>, seed: number): KeptPlan => {
  const at = new Map(plan.starts.map((s) => [`${s.piece} ${s.stage}`, s.atMin]))
  const starts = inOrder(input).map((x) => at.get(`${x.piece} ${x.stage}`)!)
  return { of: roomKey(input), starts, seed, steps: plan.steps }
}

const inOrder = (input: RoomInput) => {
  const routes = new Map(input.routes.map((r) => [r.id, r]))
  return input.pieces.flatMap((p) => routes.get(p.route)!.stages.map((s) => ({ piece: p.id, stage: s.id })))
}

/** The kept plan of exactly this room, as long as it holds; undefined for another room. */
export function keptPlan(input: RoomInput, kept: KeptPlan): RoomPlan | undefined {
  if (kept.of !== roomKey(input)) return undefined
  const made = remember(`${kept.of} ${kept.starts.join()}`, () => {
    const starts = inOrder(input).map((x, i) => ({ ...x, atMin: kept.starts[i] ?? -1 }))
    const sums = checkRoom(input, starts)
    if (sums.wrong.length > 0 || kept.starts.length !== starts.length)
      return refuse('The kept plan does not hold.', sums.wrong[0] ?? 'It has other stages.', ['Plan the room anew.'])
    const lowerBoundMin = Math.min(sums.finishMin, lowerBound(taskOf(input), sums.finishMin))
    return { ...sums, starts, lowerBoundMin, fits: sums.finishMin <= input.minutes, bottleneck: null, steps: kept.steps }
  })
  return isRefusal(made) ? undefined : made
}
