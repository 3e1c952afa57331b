import * as v from 'valibot'
import { houseShape } from '#core/house'
import { planWorkshop } from '#core/plan'
import { BadInput } from '#core/reasons'
import { instant } from '#core/time'
import { workshopShape } from '#core/workshop'
import { dayRoom } from './dayRoom'
import { dayEvent, type DayEvent } from './events'
import { foldDay } from './fold'
import { lateWays } from './late'
import { sayNext, tablesDay } from './next'
import { offers } from './offers'
import { replan } from './replan'

/** A class's day: the workshop, its house, the class, everything that was tapped, and now. */
export const dayInput = v.object({
  workshop: workshopShape,
  house: houseShape,
  session: v.string(),
  events: v.pipe(v.array(dayEvent), v.maxLength(20_000, 'more than 20000 taps | Give those of one class.')),
  now: instant(),
})

/** The day as it stands: each piece's state, people and tables, what cannot both be true, when the room will be done, what is due and what to say
 *  next, who has to wait for their piece. Throws {@link BadInput} for a class that the workshop has not. */
export function dayAnswer({ workshop, house, session, events, now }: v.InferOutput<typeof dayInput>) {
  const room = dayRoom(workshop, planWorkshop({ workshop, house, now }), session)
  if (!room)
    throw new BadInput('The workshop has no such class.', 'session', `Say one of ${workshop.sessions.map((s) => s.id).join(', ')}.`)
  const state = foldDay(room, events as unknown as DayEvent[])
  const left = replan(room, state, now)
  const { say, notYet } = sayNext(room, state, left, now)
  const { last: _last, touched: _touched, ...known } = state
  return {
    ...known,
    tables: tablesDay(room, state),
    doneAt: left.doneAt,
    cleanAt: left.cleanAt,
    overMin: left.overMin,
    say: say.map(({ stage, then, ...a }) => ({ ...a, stage: stage?.id ?? null, then: then?.id ?? null })),
    notYet: notYet.map(({ stage, ...x }) => ({ ...x, stage: stage.id })),
    offers: offers(room, state, left, now),
    late: [...lateWays(room, state, left, now)].map(({ stage, stopAfter, ...x }) => ({
      ...x,
      stage: stage?.id ?? null,
      stopAfter: stopAfter?.id ?? null,
    })),
  }
}
