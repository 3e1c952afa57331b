import { addMinutes, instantAt, readInstant, type Zoned } from '#core/time'
import type { PieceState } from '#core/recipe'
import type { DayPerson, DayRoom, DayStage } from './dayRoom'
import { liveEvents, type DayEvent, type Outcome } from './events'

/** How far somebody has come: the stage that is next or in their hands, since when, and when each was begun and done. */
export interface PersonDay {
  id: string
  seat: string
  table: string
  guest: boolean
  presence: 'here' | 'absent' | 'left' | 'unknown'
  /** The stage at which they are, counted along their route; as many as it has stages when all is done. */
  at: number
  /** They are at it; otherwise it is next. */
  doing: boolean
  /** Since when they are at it, or the last one was done. */
  since: Zoned | null
  done: Record<string, { beganAt: Zoned | null; doneAt: Zoned | null }>
}
export interface PieceDay {
  id: string
  person: string
  design: string
  number: number
  state: PieceState
  laidAt: Zoned | null
  /** Laid by taps of this class; otherwise it came laid, as somebody noted or as the plan has it. */
  laidHere: boolean
  /** To the minute; null where nothing of it cures, or nobody knows when it was laid. */
  neverBefore: Zoned | null
  needs: 'you' | 'patch' | null
  spares: number
  /** It goes home as it is. */
  home: boolean
  place: string | null
  outcome: Outcome | null
  /** It was rubbed before its time: that happened, and its sheet says so. */
  rubbedEarly: boolean
}
/** Two things that cannot both be true: kept, and asked about. Taking either back settles it. */
export interface Conflict {
  code: 'absent-but-did' | 'home-but-did' | 'behind'
  person: string
  /** The two events, the earlier first. */
  events: [string, string]
}
export interface DayState {
  begunAt: Zoned | null
  endedAt: Zoned | null
  people: PersonDay[]
  pieces: PieceDay[]
  /** Places at stations that are not as planned. */
  places: Record<string, number>
  said: Record<string, { at: Zoned; skipped: boolean; event: string }>
  checks: Record<string, boolean>
  climate: { at: Zoned; celsius: number; humidityPct: number }[]
  notes: { at: Zoned; text: string; event: string }[]
  /** Materials that ran out, and stages that took longer, each with the tap that said so. */
  ranOut: { material: string; event: string }[]
  longer: { stage: string; event: string }[]
  /** Work ends after this stage for all who are not past it. */
  stopAfter: string | null
  conflicts: Conflict[]
  /** Everybody whom a tap was about, also one that was taken back; all once the class was ended. */
  touched: string[]
  /** The last press that can be taken back, by device: all that it said. */
  last: Record<string, DayEvent[]>
}

/** What of a day's events holds, folded: the same set gives the same state, in whatever order and however often its events came. Instants
 *  by the server's clock, in the zone of the class. */
export function foldDay(room: DayRoom, events: readonly DayEvent[]): DayState {
  const zone = readInstant(room.from).timeZoneId
  const live = liveEvents(events.filter((e) => e.workshop === room.workshop && e.session === room.session))
  const days = new Map(room.people.map((p) => [p.id, begun(p)]))
  const routes = new Map(room.people.map((p) => [p.id, p.route]))
  const pieces = new Map<string, PieceDay>(
    room.people.flatMap((p) =>
      p.pieces.map((x): [string, PieceDay] => [
        x.id,
        {
          ...{ id: x.id, person: p.id, design: x.design, number: x.number, state: x.state, laidAt: x.laidAt, neverBefore: x.neverBefore },
          laidHere: false,
          ...{ needs: null, spares: 0, home: false, place: null, outcome: null, rubbedEarly: false },
        },
      ]),
    ),
  )
  const required = new Map(room.people.flatMap((p) => p.pieces.map((x) => [x.id, x.requiredMin] as const)))
  const state: DayState = {
    ...{
      begunAt: null,
      endedAt: null,
      people: [],
      pieces: [],
      places: {},
      said: {},
      checks: {},
      climate: [],
      notes: [],
      ranOut: [],
      longer: [],
    },
    stopAfter: null,
    ...{ conflicts: [], last: {}, touched: touchedBy(room, events) },
  }
  const usual = commonRoute(room)
  /** What said last that somebody is gone, or goes home. */
  const gone = new Map<string, DayEvent>()
  const lastDid = new Map<string, DayEvent>()

  const move = (e: DayEvent, at: Zoned, stage: string, people: readonly string[], done: boolean) => {
    for (const id of people) {
      const day = days.get(id)
      const route = routes.get(id)
      const k = route?.findIndex((s) => s.id === stage) ?? -1
      if (!day || !route || k < 0) continue
      const away = gone.get(id)
      if (away)
        state.conflicts.push({ code: away.kind === 'home' ? 'home-but-did' : 'absent-but-did', person: id, events: [away.id, e.id] })
      else if (day.presence === 'unknown' || day.presence === 'absent') day.presence = 'here'
      if (k < day.at) {
        // Somebody has them further already. That they begin again what is done cannot be true as well.
        const before = lastDid.get(id)
        if (!done && before && before.device !== e.device) state.conflicts.push({ code: 'behind', person: id, events: [before.id, e.id] })
        continue
      }
      const s = route[k]!
      passed(day, route, k, pieces, id, at, required)
      const own = (day.done[stage] ??= { beganAt: null, doneAt: null })
      if (done) {
        own.doneAt ??= at
        finish(s, id, pieces, at, required, route, k)
        day.at = k + 1
        day.since = at
        // What dries alone begins by itself.
        const after = route[k + 1]
        day.doing = after !== undefined && !after.attended && s.leastMin === 0
        if (day.doing) day.done[after!.id] = { beganAt: at, doneAt: null }
      } else if (!(day.at === k && day.doing)) {
        own.beganAt ??= at
        day.at = k
        day.doing = true
        day.since = at
        if (s.afterCure) touch(s, id, pieces, at)
      }
      lastDid.set(id, e)
    }
  }

  for (const { e, ms } of live) {
    const at = instantAt(ms, zone)
    const press = state.last[e.device]
    if (press && e.press && press[0]!.press === e.press) press.push(e)
    else state.last[e.device] = [e]
    const person = days.get(e.subject.id)
    const piece = pieces.get(e.subject.id)
    switch (e.kind) {
      case 'begin':
        state.begunAt ??= at
        break
      case 'end':
        state.endedAt = at
        break
      case 'here':
      case 'absent':
      case 'left':
        if (!person) break
        if (e.kind !== 'here' && lastDid.has(person.id) && e.kind === 'absent')
          state.conflicts.push({ code: 'absent-but-did', person: person.id, events: [lastDid.get(person.id)!.id, e.id] })
        person.presence = e.kind
        if (e.kind === 'here') gone.delete(person.id)
        else gone.set(person.id, e)
        break
      case 'guest':
        days.set(e.id, { ...begun({ id: e.id, seat: '', table: e.value.table, expected: true }), guest: true, presence: 'here' })
        routes.set(e.id, usual)
        for (const design of new Set(usual.map((s) => s.design)))
          pieces.set(`${e.id}.${design}.1`, {
            ...{
              id: `${e.id}.${design}.1`,
              person: e.id,
              design,
              number: 1,
              state: 'printed' as PieceState,
              laidAt: null,
              laidHere: false,
              neverBefore: null,
            },
            ...{ needs: null, spares: 0, home: false, place: null, outcome: null, rubbedEarly: false },
          })
        break
      case 'began':
        move(e, at, e.value.stage, e.value.people, false)
        break
      case 'did':
        move(e, at, e.value.stage, e.value.people, true)
        break
      case 'said':
        state.said[e.value.cue] = { at, skipped: false, event: e.id }
        if (e.value.stage && e.value.people) move(e, at, e.value.stage, e.value.people, false)
        break
      case 'skip':
        state.said[e.value.cue] = { at, skipped: true, event: e.id }
        break
      case 'check':
        state.checks[e.value.what] = e.value.on
        break
      case 'climate':
        state.climate.push({ at, ...e.value })
        break
      case 'note':
        state.notes.push({ at, text: e.value.text, event: e.id })
        break
      case 'ran-out':
        if (!state.ranOut.some((x) => x.material === e.value.material)) state.ranOut.push({ material: e.value.material, event: e.id })
        break
      case 'longer':
        if (!state.longer.some((x) => x.stage === e.value.stage)) state.longer.push({ stage: e.value.stage, event: e.id })
        break
      case 'stop':
        state.stopAfter = e.value.stage
        break
      case 'places':
        state.places[e.subject.id] = e.value.places
        break
      case 'needs':
        if (piece) piece.needs = e.value.what
        break
      case 'helped':
        if (piece) piece.needs = null
        break
      case 'outcome':
        if (piece) piece.outcome = e.value.how
        break
      case 'shelf':
        if (piece) piece.place = e.value.place
        break
      case 'home':
        if (!piece) break
        piece.home = true
        gone.set(piece.person, e)
        break
      case 'spare':
        if (piece) spare(piece, room, days, routes, gone)
        break
      case 'undo':
        break
    }
  }
  state.people = [...days.values()]
  state.pieces = [...pieces.values()]
  return state
}

function touchedBy(room: DayRoom, events: readonly DayEvent[]): string[] {
  // The end of a class is about everybody.
  if (events.some((e) => e.kind === 'end')) return room.people.map((p) => p.id).sort()

  const people = events.flatMap((e) => [
    ...('people' in e.value ? (e.value.people ?? []) : []),
    ...(e.subject.kind === 'piece' ? [e.subject.id.split('.')[0]!] : []),
  ])
  return [...new Set(people)].sort()
}

/** Who misses the class is away until somebody says otherwise. */
const begun = (p: Pick<DayPerson, 'id' | 'seat' | 'table' | 'expected'>): PersonDay => ({
  ...{ id: p.id, seat: p.seat, table: p.table, guest: false, presence: p.expected ? ('unknown' as const) : ('absent' as const) },
  ...{ at: 0, doing: false, since: null, done: {} },
})

/** The way that most people have. */
export function commonRoute(room: Pick<DayRoom, 'people'>): DayStage[] {
  const counts = new Map<DayStage[], number>()
  for (const p of room.people) counts.set(p.route, (counts.get(p.route) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? []
}

/** Stages that were passed over are done, when nobody said: their pieces became what these make. */
function passed(
  day: PersonDay,
  route: readonly DayStage[],
  to: number,
  pieces: Map<string, PieceDay>,
  person: string,
  at: Zoned,
  required: ReadonlyMap<string, number>,
): void {
  for (let i = day.at; i < to; i++) {
    const own = (day.done[route[i]!.id] ??= { beganAt: null, doneAt: null })
    own.doneAt ??= at
    finish(route[i]!, person, pieces, at, required, route, i)
  }
}

const of = (pieces: Map<string, PieceDay>, person: string, design: string) =>
  [...pieces.values()].filter((x) => x.person === person && x.design === design && !x.home)

function finish(
  s: DayStage,
  person: string,
  pieces: Map<string, PieceDay>,
  at: Zoned,
  required: ReadonlyMap<string, number>,
  route: readonly DayStage[],
  k: number,
): void {
  const made = s.makes ?? (s.attended ? undefined : s.thenMakes)
  for (const p of of(pieces, person, s.design)) {
    if (s.lays) {
      p.laidAt = at
      p.laidHere = true
      const minutes = required.get(p.id) ?? 0
      p.neverBefore =
        minutes > 0 && route.slice(k + 1).every((x) => x.design !== s.design || !x.afterCure || minutes > 0)
          ? addMinutes(at, minutes)
          : null
    }
    if (s.afterCure && p.neverBefore && isBefore(at, p.neverBefore)) p.rubbedEarly = true
    if (made) p.state = made
  }
}

/** A hand on a piece before its time is kept as what happened. */
function touch(s: DayStage, person: string, pieces: Map<string, PieceDay>, at: Zoned): void {
  for (const p of of(pieces, person, s.design)) if (p.neverBefore && isBefore(at, p.neverBefore)) p.rubbedEarly = true
}

export const isBefore = (a: Zoned, b: Zoned): boolean => readInstant(a).epochMilliseconds < readInstant(b).epochMilliseconds

/** A piece is begun again on a spare: its person goes back to their first stage here; the spare was laid with the class. */
function spare(
  piece: PieceDay,
  room: DayRoom,
  days: Map<string, PersonDay>,
  routes: Map<string, DayStage[]>,
  gone: Map<string, DayEvent>,
): void {
  const route = routes.get(piece.person) ?? []
  const first = route.findIndex((s) => s.design === piece.design)
  const day = days.get(piece.person)
  piece.spares++
  piece.needs = null
  piece.outcome = null
  piece.home = false
  piece.rubbedEarly = false
  gone.delete(piece.person)
  const laid = room.people.flatMap((p) => p.pieces).filter((x) => x.design === piece.design && x.laidAt)
  const last = laid.reduce<(typeof laid)[number] | undefined>((a, b) => (a && !isBefore(a.laidAt!, b.laidAt!) ? a : b), undefined)
  piece.laidAt = last?.laidAt ?? null
  piece.laidHere = false
  piece.neverBefore = last?.neverBefore ?? null
  piece.state = route[first]?.afterCure ? 'cured' : 'printed'
  if (!day || first < 0) return
  day.at = Math.min(day.at, first)
  day.doing = false
  for (const s of route.slice(first)) if (s.design === piece.design) delete day.done[s.id]
}
