import { addMinutes, clockOf, dateOf, type Zoned } from '#core/time'
import type { Change } from './command'
import { changed, inWorkshop } from './paths'
import type { Session } from './workshop'

/** Moves a session to begin at an instant, its length kept; the end is taken on the wall clock. */
export function moveSession(session: Session, to: Zoned, minutes: number): Change[] {
  const end = addMinutes(to, minutes)
  const after = { date: dateOf(to), start: clockOf(to), end: clockOf(end) }
  return (['date', 'start', 'end'] as const).flatMap((field) =>
    session[field] === after[field] ? [] : [changed(inWorkshop.sessions(session.id)[field], session[field], after[field])],
  )
}
