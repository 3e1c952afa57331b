import { minutesBetween } from '#core/time'
import { change, inWorkshop, pieceOf } from '#core/workshop'
import type { Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, remedy, type Find, type FindAll } from './ways'

export const noDate: FindAll = (_parts, plan) =>
  plan.sessions.length === 0 && plan.people > 0 ? [finding('no-date', 'look', 'sessions')] : []

export const sessionShapes: FindAll = (parts, plan) =>
  plan.sessions.flatMap((x) =>
    x.problems.flatMap((p) => {
      if (p === 'past') return []
      const level = p === 'no-length' || p === 'overlaps' ? 'stop' : 'look'
      return [
        finding(
          `session-${p}`,
          level,
          'sessions',
          { session: x.number, at: x.from, minutes: x.minutes },
          p === 'doubled-hour' ? [otherHour(parts[0]!.s, x.id)] : [],
        ),
      ]
    }),
  )

function otherHour(s: Situation, id: string): Remedy {
  const now = s.workshop.sessions.find((x) => x.id === id)!.later
  return remedy('other-hour', [change(s.workshop, inWorkshop.sessions(id).later, now ? null : true)])
}

/** The next class is over although nothing was begun: a plan whose sessions all lie in the past. */
export const allPast: FindAll = (_parts, plan) =>
  plan.sessions.length > 0 && plan.sessions.every((x) => x.problems.includes('past')) ? [finding('all-past', 'note', 'sessions')] : []

export const missing: Find = (s, plan) => {
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')
  const place = laying && plan.split.split[laying.id]
  const away = s.makers.filter((p) => place && p.misses.includes(place) && !pieceOf(s.workshop, p.id, s.design.id)?.laidAt)
  return away.length
    ? [finding('misses-laying', 'note', 'group', { who: away.map((p) => p.name ?? `seat ${p.seat}`).join(', '), count: away.length })]
    : []
}

export const lateErrands: FindAll = (parts, plan) => {
  const { s } = parts[0]!
  const ahead = plan.errands.filter(
    (e) => e.state === 'late' && s.sessions.some((x) => x.id === e.sessionId && minutesBetween(s.now, x.from) > 0),
  )
  return ahead
    .filter((e) => e.code !== 'set-up')
    .map((e) =>
      finding(`late-${e.code}`, 'look', 'sessions', { ...e.values, by: e.by }, [
        {
          code: 'did-it',
          values: {},
          changes: [change(s.workshop, inWorkshop.errandsDone(e.id), e.id)],
        },
      ]),
    )
}
