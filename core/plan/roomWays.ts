import { ledId, sprayId } from '#core/sessions'
import { change, inWorkshop, moveSession } from '#core/workshop'
import { planDesign } from './design'
import { splitChange } from './finders/cure'
import { fewerRounds } from './finders/loads'
import { moreHelpers } from './finders/people'
import { bring, countedIn } from './finders/stations'
import { remedy, scaled } from './finders/ways'
import type { Plan, PlanInput, Remedy } from './shapes'
import { situate } from './situation'

/** What could make a class's room quicker, whatever it would save: more of each station, another pair of hands, what could be done at home,
 *  a round fewer. Each is a change of the workshop; what it saves, the room says when it is planned anew. */
export function roomWays(input: PlanInput, plan: Pick<Plan, 'loads'>, session: string): Remedy[] {
  const room = plan.loads.find((l) => l.sessionId === session)?.room
  if (!room) return []
  const parts = input.workshop.designs.map((d) => planDesign(situate(input, d)))
  const { s } = parts[0]!
  const led =
    room.input.stations.some((x) => x.id === ledId || x.id === sprayId) || room.input.routes.some((r) => r.stages.some((x) => x.helper))
  return [
    ...countedIn(room).map(({ station, have }) => bring(s, station, have, have + station.step)),
    ...(led ? [moreHelpers(s.workshop, 1)] : []),
    ...parts.flatMap((p) => lastAtHome(p, session)),
    ...parts.flatMap((p) => fewerRounds(p.s)),
  ]
}

/** What a rehearsal tries: the same, ten or twenty minutes more, tables that begin one after another; what costs nothing first. */
export function rehearsalWays(input: PlanInput, plan: Pick<Plan, 'loads' | 'sessions'>, session: string): Remedy[] {
  const placed = plan.sessions.find((x) => x.id === session)
  const stored = input.workshop.sessions.find((x) => x.id === session)
  if (!placed || !stored) return []
  const tables = new Set(plan.loads.find((l) => l.sessionId === session)?.room.input.pieces.map((p) => p.table))
  return [
    ...[10, 20].map((more) => remedy('longer-session', moveSession(stored, placed.from, placed.minutes + more), { minutes: more })),
    ...(tables.size > 1 && !stored.stagger
      ? [remedy('stagger-tables', [change(input.workshop, inWorkshop.sessions(session).stagger, 3)], { minutes: 3 })]
      : []),
    ...roomWays(input, plan, session),
    ...smaller(input, plan, session),
  ]
}

/** The picture three quarters as large each way, where that makes work of this class shorter. */
function smaller(input: PlanInput, plan: Pick<Plan, 'loads'>, session: string): Remedy[] {
  const designs = new Set(plan.loads.find((l) => l.sessionId === session)?.parts.map((p) => p.design))
  return input.workshop.designs.filter((d) => designs.has(d.id) && !d.brings).map((d) => scaled(situate(input, d), 75))
}

/** The last stretch of a design in a class, from where work may stop, done at home. */
function lastAtHome({ s, d }: ReturnType<typeof planDesign>, session: string): Remedy[] {
  const mine = s.resolved.stages.filter((x) => d.split.split[x.id] === session)
  const stops = mine.map((x, i) => (x.mayStop && i < mine.length - 1 ? i : -1)).filter((i) => i >= 0)
  const from = stops.at(-1)
  if (from === undefined) return []
  const rest = mine.slice(from + 1)
  const after = s.resolved.stages.slice(s.resolved.stages.indexOf(rest.at(-1)!) + 1)
  if (!rest.every((x) => x.mayBe.includes('home')) || after.some((x) => d.split.split[x.id] !== 'home')) return []
  const split = { ...d.split.split, ...Object.fromEntries(rest.map((x) => [x.id, 'home'])) }
  return [
    remedy('rest-at-home', splitChange(s, s.setting, { ...d.split, split }), {
      stage: rest.find((x) => x.attended)?.name ?? rest[0]!.name,
    }),
  ]
}

/** A shift of a class's plan by hand: a stage of somebody, or of everybody at a table, begins at a minute, or when it can again. */
export const pinChange = (
  workshop: PlanInput['workshop'],
  session: string,
  people: readonly string[],
  stage: string,
  atMin: number | null,
) => {
  const now = workshop.sessions.find((x) => x.id === session)?.pins ?? {}
  const pins = { ...now }
  for (const p of people) {
    const { [stage]: _was, ...others } = pins[p] ?? {}
    if (atMin !== null) pins[p] = { ...others, [stage]: atMin }
    else if (Object.keys(others).length > 0) pins[p] = others
    else delete pins[p]
  }
  return change(workshop, inWorkshop.sessions(session).pins, Object.keys(pins).length > 0 ? pins : null)
}
