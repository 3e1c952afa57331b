import { hazardOf, latestRecipe } from '#core/recipe'
import { firstOpening } from '#core/sessions'
import { clockOf, minutesBetween } from '#core/time'
import { change, inWorkshop, moveSession, pieceOf } from '#core/workshop'
import type { Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, remedy, takeMethod, type Find, type FindAll } from './ways'

export const noDate: FindAll = (parts, plan) =>
  plan.sessions.length === 0 && plan.people > 0
    ? [finding(parts[0]!.s.workshop.held === 'home' ? 'no-pick-up' : 'no-date', 'look', 'sessions')]
    : []

/** Nobody is sent home with a heat tool or a drill to do. */
export const notForHome: Find = (s) => {
  const stage = s.kitsWork.cannot[0]
  if (s.toGo.length === 0 || !stage) return []
  const others = s.recipes
    .filter((r) => r.id !== s.recipe.id && s.design.material in r.surfaces && latestRecipe(r.id, s.recipes) === r)
    .filter((r) => !r.stages.some((x) => x.cautions.some((c) => hazardOf(c) === 'heat')))
  const held = s.workshop.held === 'home' ? [remedy('hold-in-class', [change(s.workshop, inWorkshop.held, null)])] : []
  return [
    finding('not-for-home', 'stop', 'method', { method: s.recipe.name, stage: stage.name }, [
      ...held,
      ...others.slice(0, 2).map((r) => takeMethod(s, r.id)),
    ]),
  ]
}

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

/** A room that another workshop has at the same time, or wants. Whoever was planned first has it. */
export const roomTaken: FindAll = (parts) => {
  const { s } = parts[0]!
  return s.clashes.flatMap((c) => {
    const session = s.sessions.find((x) => x.id === c.session)
    const stored = s.workshop.sessions.find((x) => x.id === c.session)
    if (!session || !stored || minutesBetween(s.now, session.to) <= 0) return []
    const { title, from, to } = c.with
    const values = { session: session.number, room: stored.room.trim(), title, at: from, to }
    if (c.holds) return [finding('room-wanted', 'note', 'sessions', values)]
    const at = firstOpening(to, session.minutes, clockOf(to), s.hours)
    return [
      finding('room-taken', 'stop', 'sessions', values, [
        ...(at ? [remedy('move-session-free', moveSession(stored, at, session.minutes), { at, session: session.number })] : []),
        remedy('other-room', [change(s.workshop, inWorkshop.sessions(c.session).room, '')], { room: stored.room.trim() }),
      ]),
    ]
  })
}

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
  const away = s.inClass.filter((p) => place && p.misses.includes(place) && !pieceOf(s.workshop, p.id, s.design.id)?.laidAt)
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
    .filter((e) => e.code !== 'set-up' && e.code !== 'hand-out' && e.code !== 'take-back')
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
