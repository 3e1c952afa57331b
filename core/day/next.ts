import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import type { DayRoom, DayStage } from './dayRoom'
import type { DayState, PersonDay } from './fold'
import { earliestNext, isHere, routesOf, type Replan } from './replan'

/** Something to say to a table: that hands stop, that a stage begins, that it is done. */
export interface Announcement {
  /** The same for the same table and stage: what was said is not said again. */
  cue: string
  table: string
  /** Whom it is for. */
  people: string[]
  kind: 'show' | 'begin' | 'stop' | 'finish'
  /** The stage that begins, or whose hands stop. */
  stage: DayStage | null
  /** What begins then; null where nothing is left. */
  then: DayStage | null
  due: Zoned
  /** Nothing of it before: the latest of their pieces' own times. */
  neverBefore: Zoned | null
  /** Not later: what is laid in a race grips. */
  until: Zoned | null
}

/** Who waits for their piece's own time, and until when; null where nobody knows when it was laid. */
export interface NotYet {
  person: string
  table: string
  stage: DayStage
  from: Zoned | null
}

/** Steps within so many minutes of each other are said at once. */
const togetherMin = 2

/** What is to be said, the soonest first, from the room's real state and what is planned of what is left; and who has to wait for their piece.
 *  Nothing proposes a rub before its time, whatever the plan says. */
export function sayNext(room: DayRoom, state: DayState, left: Replan, now: Zoned): { say: Announcement[]; notYet: NotYet[] } {
  const routes = routesOf(room, state)
  const notYet: NotYet[] = []
  const steps = state.people.filter(isHere).flatMap((p) => {
    const step = stepOf(room, p, routes.get(p.id) ?? [], state, left, now)
    if (step === null) return []
    if ('waits' in step) {
      notYet.push({ person: p.id, table: p.table, stage: step.waits, from: step.from })
      return []
    }
    return [step]
  })
  const say: Announcement[] = []
  const shown = addMinutes(room.from, room.setUpMin)
  if (room.showMin > 0 && !state.said['show'] && state.people.some(isHere) && state.people.every((p) => p.at === 0 && !p.doing))
    say.push({ cue: 'show', table: '', people: [], kind: 'show', stage: null, then: null, due: shown, neverBefore: null, until: null })
  for (const group of groupsOf(steps)) {
    const [first] = group as [Step]
    const cue = `${first.p.table}.${first.kind}.${first.stage.id}.${group.map((s) => s.p.id).sort()[0]}`
    if (state.said[cue]) continue
    say.push({
      ...{ cue, table: first.p.table, people: group.map((s) => s.p.id), kind: first.kind, stage: first.stage, then: first.then },
      due: latest(group.map((s) => s.due))!,
      neverBefore: latest(group.flatMap((s) => s.neverBefore ?? [])),
      until: group.flatMap((s) => s.until ?? []).reduce<Zoned | null>((a, b) => (a && minutesBetween(b, a) < 0 ? a : b), null),
    })
  }
  return { say: say.sort((a, b) => minutesBetween(b.due, a.due) || (a.table < b.table ? -1 : 1)), notYet }
}

/** Whether somebody who is about to begin has to wait for their piece, and until when; null where nobody knows when it was laid. Null for who need not
 *  wait, or is at it. */
export function waitsFor(room: DayRoom, state: DayState, p: PersonDay, now: Zoned): { from: Zoned | null } | null {
  const route = routesOf(room, state).get(p.id) ?? []
  if (p.doing || !route[p.at]?.afterCure) return null
  const own = earliestNext(p, route, state, now)
  if (own === null) return { from: null }
  return own.bound === 'cure' && minutesBetween(now, own.at) > 0 ? { from: own.at } : null
}

/** Nothing is begun on a piece before its own time: until then what is said of it only announces. */
export const mayBegin = (a: Pick<Announcement, 'kind' | 'neverBefore'>, now: Zoned): boolean =>
  a.kind !== 'begin' || a.neverBefore === null || minutesBetween(a.neverBefore, now) >= 0

/** What is said in one breath with what comes first: the same to other tables at the same time, so that one tap moves the room. */
export function inOneBreath(say: readonly Announcement[], now: Zoned): Announcement[] {
  const [first] = say
  if (!first) return []
  const same = (a: Announcement) =>
    a.kind === first.kind && a.stage?.id === first.stage?.id && minutesBetween(first.due, a.due) <= togetherMin && mayBegin(a, now)
  return [first, ...say.slice(1).filter(same)]
}

interface Step {
  p: PersonDay
  kind: 'begin' | 'stop' | 'finish'
  stage: DayStage
  then: DayStage | null
  due: Zoned
  neverBefore: Zoned | null
  until: Zoned | null
}

function stepOf(
  room: DayRoom,
  p: PersonDay,
  route: readonly DayStage[],
  state: DayState,
  left: Replan,
  now: Zoned,
): Step | { waits: DayStage; from: Zoned | null } | null {
  const doing = p.doing ? route[p.at] : undefined
  const k = p.doing ? p.at + 1 : p.at
  const next = route[k]
  const pieces = state.pieces.filter((x) => x.person === p.id && !x.home)
  if (pieces.length === 0 && state.pieces.some((x) => x.person === p.id)) return null
  if (doing?.attended) {
    const over = addMinutes(p.since!, doing.minutes)
    // Hands stop where something dries, or where they have to wait; else the next stage is what is said.
    if (!next || !next.attended || doing.leastMin > 0)
      return { p, kind: next ? 'stop' : 'finish', stage: doing, then: next ?? null, due: over, neverBefore: null, until: null }
  }
  if (!next) return null
  const own = earliestNext(p, route, state, now)
  if (own === null) return { waits: next, from: null }
  const planned = left.starts.get(`${p.id} ${next.id}`)
  const due = planned && minutesBetween(own.at, planned) > 0 ? planned : own.at
  const bound = next.afterCure ? latest(pieces.filter((x) => x.design === next.design).flatMap((x) => x.neverBefore ?? [])) : null
  if (own.bound === 'cure' && minutesBetween(room.to, own.at) > 0) return { waits: next, from: own.at }
  const before = route[k - 1]
  const doneAt = before ? (p.done[before.id]?.doneAt ?? (p.doing ? addMinutes(p.since!, before.minutes) : null)) : null
  const until = before && before.mostMin !== null && doneAt ? addMinutes(doneAt, before.mostMin) : null
  return { p, kind: 'begin', stage: next, then: route[k + 1] ?? null, due, neverBefore: bound, until }
}

function groupsOf(steps: readonly Step[]): Step[][] {
  const groups: Step[][] = []
  for (const s of [...steps].sort((a, b) => minutesBetween(b.due, a.due))) {
    const mine = groups.find(([g]) => {
      const f = g!
      return f.p.table === s.p.table && f.kind === s.kind && f.stage.id === s.stage.id && minutesBetween(f.due, s.due) <= togetherMin
    })
    if (mine) mine.push(s)
    else groups.push([s])
  }
  return groups
}

const latest = (list: readonly Zoned[]): Zoned | null => list.reduce<Zoned | null>((a, b) => (a && minutesBetween(b, a) >= 0 ? a : b), null)

/** A table in a word for walls and bars: what most of its people are at, since when and for how long, and when that is over. */
export interface TableDay {
  table: string
  /** What they are at; null before they begin and when all is done. */
  stage: DayStage | null
  doing: boolean
  /** When it is over: of the last of them. */
  until: Zoned | null
  since: Zoned | null
  people: string[]
  done: boolean
}

export function tablesDay(room: DayRoom, state: DayState): TableDay[] {
  const routes = routesOf(room, state)
  const tables = [...new Set([...room.tables, ...state.people.map((p) => p.table)])]
  return tables.map((table) => {
    const here = state.people.filter((p) => p.table === table && isHere(p))
    const counts = new Map<number, PersonDay[]>()
    for (const p of here) counts.set(p.at, [...(counts.get(p.at) ?? []), p])
    // What most are at; of two alike, what is behind.
    const most = [...counts].sort((a, b) => b[1].length - a[1].length || a[0] - b[0])[0]
    const lead = most?.[1][0]
    const stage = lead ? (routes.get(lead.id)?.[lead.at] ?? null) : null
    const doing = most?.[1].some((p) => p.doing) ?? false
    const since = doing ? latest(most![1].flatMap((p) => (p.doing ? (p.since ?? []) : []))) : (lead?.since ?? null)
    return {
      ...{ table, stage, doing, since, people: here.map((p) => p.id) },
      until: doing && since && stage ? addMinutes(since, stage.minutes) : null,
      done: here.length > 0 && here.every((p) => !(routes.get(p.id) ?? [])[p.at]),
    }
  })
}
