import { clashesOf, placeSessions } from '#core/sessions'
import { addDays, dateOf, weekdayOf } from '#core/time'
import { changed, applyChanges, inWorkshop, type Change, type Session, type Summary, type Workshop } from '#core/workshop'
import { planWorkshop } from './plan'
import { stopsOf } from './findings'
import { hoursOf } from './situation'
import type { Finding, Plan, PlanInput } from './shapes'

/** How the classes of a workshop follow one another: a week apart, evenings in a row, the weekdays of one week, or twice on a day. */
export const rhythms = ['weekly', 'days', 'camp', 'twice'] as const
export type Rhythm = (typeof rhythms)[number]

export interface SeriesAsked {
  rhythm: Rhythm
  classes: number
  /** "18:00", and how long each is, in minutes; the second of a day begins so long after the first ends. */
  start: string
  minutes: number
  apartMin: number
  room: string
  /** Ids for the new classes. */
  ids: string[]
}
export interface Series {
  sessions: Session[]
  changes: Change[]
  plan: Pick<Plan, 'loads' | 'sessions'>
  verdict: 'ready' | 'risky' | 'too soon' | null
  /** How many first days were looked at. */
  tried: number
}
/** Why days were not taken, each reason with how many of them. */
type Against = Record<string, number>

/** What another day may change. */
const dated = ['risky', 'too-soon', 'shelf-shared', 'session-over-midnight']

/** So many days with a risky wait are looked at before the first of them is proposed, marked as risky. */
const mostRisky = 14

/** So far ahead first days are looked at. */
const farthest = 120

/** The first dates on which a workshop's classes can be held: open, the room free, every wait kept as recommended, nothing too late to order
 *  or print. Looked for day by day from tomorrow; whatever stands against a day is counted. Where every such wait is risky, the first of them, marked so. Nothing found: none in so many days. */
export function findSeries(input: PlanInput, asked: SeriesAsked, summaries: readonly Summary[] = []): { found?: Series; why: Against } {
  const { workshop, house, now } = input
  const hours = hoursOf(house)
  const why: Against = {}
  const not = (reason: string) => (why[reason] = (why[reason] ?? 0) + 1)
  let risky: Series | undefined
  const others = summaries.filter((s) => s.id !== workshop.id)
  for (let i = 1; i <= farthest; i++) {
    const sessions = datesFrom(addDays(dateOf(now), i), asked)
    if (!sessions) continue
    const placed = placeSessions(sessions, hours, now)
    const closed = placed.flatMap((p) => p.problems)
    if (closed.length > 0) {
      not(closed[0]!)
      continue
    }
    const mine = { ...workshop, createdAt: '9999' }
    const bookers = [
      ...others,
      { ...mine, sessions, people: 0, kind: '', recipe: workshop.designs[0]!.recipe, states: {} } as unknown as Summary,
    ]
    if (clashesOf(workshop.id, house.id, placed, bookers, hours).some((c) => !c.holds)) {
      not('room-taken')
      continue
    }
    const changes = [
      ...workshop.sessions.map((s) => changed(inWorkshop.sessions(s.id), s, null)),
      ...sessions.map((s) => changed(inWorkshop.sessions(s.id), null, s)),
    ]
    const plan = planWorkshop({ ...input, clashes: [], workshop: applyChanges<Workshop>(workshop, changes)! })
    const against = standsAgainst(plan)
    if (against) {
      not(against.code)
      // What no other day changes is not looked for any further.
      if (against.code === 'risky') risky ??= { sessions, changes, plan, verdict: 'risky', tried: i }
      // A wait that is risky every day is so on all of them.
      if ((why['risky'] ?? 0) >= mostRisky && risky) return { found: risky, why }
      if (!dated.includes(against.code) && !against.code.startsWith('late-')) return { why }
      continue
    }
    return { found: { sessions, changes, plan, verdict: plan.split.cure?.verdict ?? null, tried: i }, why }
  }
  return { ...(risky && { found: risky }), why }
}

/** What keeps dates from being good: a stop, a risky wait, an errand that is too late. */
const standsAgainst = (plan: Plan): Finding | undefined =>
  stopsOf(plan)[0] ?? plan.findings.find((f) => f.code === 'risky' || f.code === 'shelf-shared' || f.code.startsWith('late-'))

/** The classes of a series that begins on a day; undefined where it does not begin on such a day. */
function datesFrom(day: string, { rhythm, classes, start, minutes, apartMin, room, ids }: SeriesAsked): Session[] | undefined {
  if (rhythm === 'camp' && weekdayOf(day) !== 1) return undefined
  const at = (minutesOfDay: number) =>
    `${String(Math.floor(minutesOfDay / 60) % 24).padStart(2, '0')}:${String(minutesOfDay % 60).padStart(2, '0')}`
  const [h, m] = start.split(':').map(Number) as [number, number]
  return Array.from({ length: classes }, (_, i) => {
    const half = rhythm === 'twice' ? i % 2 : 0
    const begins = h * 60 + m + half * (minutes + apartMin)
    const days = rhythm === 'weekly' ? 7 * i : rhythm === 'twice' ? Math.floor(i / 2) : i
    return { id: ids[i]!, date: addDays(day, days), start: at(begins), end: at(begins + minutes), room }
  })
}
