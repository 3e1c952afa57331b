import { minutesBetween, roundUpToHour, type Zoned } from '#core/time'
import { pieceOf, type Participant, type Piece, type Workshop } from '#core/workshop'
import type { Plan } from './shapes'

/** The class that ends next; undefined when all are over. */
export const nextSession = (plan: Plan, now: Zoned): Plan['sessions'][number] | undefined =>
  plan.sessions.find((s) => minutesBetween(now, s.to) > 0)

/** What of a plan is still to be done, for classes that are not over; `left` in minutes, below 0 when it is late. The soonest first. */
export function errandsDue(plan: Plan, now: Zoned): { e: Plan['errands'][number]; left: number }[] {
  const over = (session: string) => minutesBetween(now, plan.sessions.find((s) => s.id === session)?.to ?? now) <= 0
  return plan.errands
    .filter((e) => e.state !== 'done' && !over(e.sessionId))
    .map((e) => ({ e, left: minutesBetween(now, e.by) }))
    .sort((a, b) => a.left - b.left)
}

/** What an attended class is made of: the names of its stages, each once. */
export const stagesOf = (plan: Plan, session: string): string[] => {
  const parts = plan.loads.find((l) => l.sessionId === session)?.parts ?? []
  return [...new Set(parts.flatMap((p) => p.load.stages.filter((x) => x.attended).map((x) => x.name)))]
}

/** Who needs a thought before a class: who misses it, and who has no piece because they missed the laying. */
export function needThought(w: Workshop, plan: Plan, session: string): Thought[] {
  return plan.takeHome.flatMap((t): Thought[] => {
    const person = w.group.participants.find((x) => x.id === t.participant)
    if (!person) return []
    if (person.misses.includes(session)) return [{ person, why: 'misses', state: pieceOf(w, person.id, t.design, t.number)?.state }]
    return t.group === 'not-laid' && person.misses.length ? [{ person, why: 'not-laid', state: undefined }] : []
  })
}
export interface Thought {
  person: Participant
  why: 'misses' | 'not-laid'
  state: Piece['state'] | undefined
}

/** What lies on the shelf, counted from what was laid; undefined while nothing was. */
export function onShelf(w: Workshop, plan: Plan): { pieces: Piece[]; free: number; capacity: number } | undefined {
  if (!plan.shelf || !w.pieces.some((p) => p.laidAt)) return undefined
  const pieces = w.pieces.filter((p) => p.state !== 'to-print' && p.state !== 'printed' && p.state !== 'sealed')
  return { pieces, free: Math.max(0, plan.shelf.capacity - pieces.length), capacity: plan.shelf.capacity }
}

/** When what lies there may be rubbed, at a waking hour, and from when it was laid: the same times as on the sheets. */
export function shelfTimes(plan: Plan, pieces: readonly Piece[]): { laid: Zoned; earliest: Zoned; better: Zoned } | undefined {
  const { cure } = plan.split
  // The last one that was laid: the shelf waits for it.
  const laid = pieces.flatMap((p) => p.laidAt ?? []).sort((a, b) => minutesBetween(a, b))[0]
  if (!cure || !laid) return undefined
  const told = plan.takeHome.find((t) => t.cures?.laidAt === laid)?.cures
  return { laid, earliest: told?.neverBefore ?? cure.earliestAt, better: told?.tellAt ?? roundUpToHour(cure.recommendedAt) }
}
