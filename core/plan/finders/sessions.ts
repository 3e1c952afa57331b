import { hazardOf, latestRecipe } from '#core/recipe'
import { cure, type CureVerdict } from '#core/cure'
import { firstOpening } from '#core/sessions'
import { addMinutes, clockOf, lastOpenBefore, minutesBetween } from '#core/time'
import { change, inWorkshop, moveSession, pieceOf, type Participant } from '#core/workshop'
import type { Figured, Remedy } from '../shapes'
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

/** Who misses the laying: nothing of theirs is laid yet, unless somebody lays it for them or they come at another hour. */
export const missing: Find = (s, plan) => {
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')
  const place = laying && plan.split.split[laying.id]
  const away = s.inClass.filter((p) => place && p.misses.includes(place) && !pieceOf(s.workshop, p.id, s.design.id)?.laidAt)
  const open = away.filter((p) => !p.catchUp)
  const named = (list: typeof away) => ({ who: list.map((p) => p.name ?? `seat ${p.seat}`).join(', '), count: list.length })
  const set = (list: typeof away, catchUp: NonNullable<(typeof away)[number]['catchUp']> | null) =>
    list.map((p) => change(s.workshop, inWorkshop.group.participants(p.id).catchUp, catchUp))
  return [
    ...(open.length
      ? [
          finding(
            'misses-laying',
            'note',
            'group',
            named(open),
            catchUps(s, plan, place!).map(({ code, at, by }) => remedy(code, set(open, { at, by }), { at, count: open.length })),
          ),
        ]
      : []),
    ...away
      .filter((p) => p.catchUp)
      .map((p) => {
        const { at, by } = p.catchUp!
        const wait = waitOf(s, plan, at, p.rubsAt)
        const values = { ...named([p]), at, helper: by === 'helper' ? 1 : 0, ready: wait === 'ready' ? 1 : 0 }
        const late = wait !== undefined && wait !== 'ready'
        return finding('catch-up', late ? 'look' : 'note', 'group', values, [
          ...(late && !p.rubsAt ? rubLater(s, plan, [p], at) : []),
          remedy('drop-catch-up', set([p], null)),
        ])
      }),
  ]
}

/** Who lies something and misses the class that rubs: it goes home to be rubbed there, unless they come at an hour of their own. */
export const rubbing: Find = (s, plan) => {
  const rub = s.sessions.find((x) => x.id === plan.split.cure?.rubIn)
  if (!rub) return []
  const laying = plan.split.cure!.laidIn
  const away = s.inClass.filter((p) => p.misses.includes(rub.id) && (!p.misses.includes(laying) || p.catchUp))
  const open = away.filter((p) => !p.rubsAt)
  const laid = (p: Participant) => pieceOf(s.workshop, p.id, s.design.id)?.laidAt ?? p.catchUp?.at ?? plan.split.cure!.laidAt
  const last = (list: readonly Participant[]) => list.map(laid).reduce((a, b) => (minutesBetween(a, b) > 0 ? b : a))
  const who = (list: readonly Participant[]) => list.map((p) => p.name ?? `seat ${p.seat}`).join(', ')
  return [
    ...(open.length
      ? [finding('misses-rubbing', 'note', 'group', { who: who(open), count: open.length }, rubLater(s, plan, open, last(open)))]
      : []),
    ...away
      .filter((p) => p.rubsAt)
      .map((p) => {
        const ready = waitOf(s, plan, laid(p), p.rubsAt) === 'ready'
        return finding('rubs-later', ready ? 'note' : 'look', 'group', { who: who([p]), at: p.rubsAt!, ready: ready ? 1 : 0 }, [
          remedy('drop-rub-later', [change(s.workshop, inWorkshop.group.participants(p.id).rubsAt, null)]),
        ])
      }),
  ]
}

/** Some come to rub when the house is next open long enough after their class and after what is recommended for what was laid then. */
function rubLater(s: Situation, plan: Figured, people: readonly Participant[], laidAt: string): Remedy[] {
  const rub = s.sessions.find((x) => x.id === plan.split.cure?.rubIn)
  const limits = s.resolved.cure
  if (!rub || !limits) return []
  const { coat, surface } = s.resolved
  const minutes = { minimumMin: limits.minimum.value, recommendedMin: limits.recommended.value }
  const c = cure({ laidAt, rubAt: rub.from, ...minutes, climate: s.house.climate, coat, surface }, s.figures, s.setting.air)
  const after = minutesBetween(c.recommendedAt, rub.to) > 0 ? rub.to : c.recommendedAt
  const from = minutesBetween(after, s.now) > 0 ? s.now : after
  const needed = plan.loads.find((l) => l.sessionId === rub.id)?.neededMin ?? rub.minutes
  const at = firstOpening(from, needed, clockOf(rub.from), s.hours)
  if (!at) return []
  const changes = people.flatMap((p) => [
    change(s.workshop, inWorkshop.group.participants(p.id).rubsAt, at),
    ...(p.misses.includes(rub.id) ? [] : [change(s.workshop, inWorkshop.group.participants(p.id).misses, [...p.misses, rub.id])]),
  ])
  return [remedy('rub-later', changes, { at, count: people.length })]
}

/** How a piece that is laid at a moment would stand when its class rubs; undefined where nothing is rubbed in class. */
function waitOf(s: Situation, plan: Figured, laidAt: string, rubsAt?: string): CureVerdict | undefined {
  const rub = s.sessions.find((x) => x.id === plan.split.cure?.rubIn)
  const limits = s.resolved.cure
  if (!rub || !limits) return undefined
  const { coat, surface } = s.resolved
  const minutes = { minimumMin: limits.minimum.value, recommendedMin: limits.recommended.value }
  return cure({ laidAt, rubAt: rubsAt ?? rub.from, ...minutes, climate: s.house.climate, coat, surface }, s.figures, s.setting.air).verdict
}

/** So long somebody who catches up needs: to be shown, to lay, to clean up, in minutes (E). */
const catchUpMin = 60

/** Hours at which what was missed is caught up with: a helper lays it in the class; or they come themselves, just before it, or after it,
 *  inside opening hours, as long as it is still ready by the rubbing. */
function catchUps(
  s: Situation,
  plan: Figured,
  place: string,
): { code: 'lay-for-them' | 'catch-up-at'; at: string; by: 'helper' | 'self' }[] {
  const missed = s.sessions.find((x) => x.id === place)
  if (!missed) return []
  const laid = plan.split.cure?.laidAt ?? missed.to
  const inClass = minutesBetween(s.now, missed.to) > 0 ? [{ code: 'lay-for-them' as const, at: laid, by: 'helper' as const }] : []
  const from = minutesBetween(s.now, missed.to) > 0 ? missed.to : s.now
  const begins = firstOpening(from, catchUpMin, clockOf(from), s.hours)
  const at = begins && addMinutes(begins, catchUpMin / 2)
  const after =
    at && ['ready', 'risky', undefined].includes(waitOf(s, plan, at)) ? [{ code: 'catch-up-at' as const, at, by: 'self' as const }] : []
  // Just before the class, while the house is open and there is still time for it.
  const ends = lastOpenBefore(missed.from, s.hours)
  const earlier = addMinutes(ends, -catchUpMin / 2)
  const before =
    minutesBetween(s.now, addMinutes(ends, -catchUpMin)) > 0 && minutesBetween(earlier, missed.from) <= 24 * 60
      ? [{ code: 'catch-up-at' as const, at: earlier, by: 'self' as const }]
      : []
  return [...inClass, ...before, ...after]
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
