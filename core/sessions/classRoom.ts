import type { Figures } from '#core/figures'
import type { AgeBand, PieceState, ResolvedRecipe, Stage } from '#core/recipe'
import { keptPlan, quickRoom, type RoomInput, type RoomPlan } from '#core/room'
import { isRefusal } from '#core/reasons'
import type { SessionRun } from '#core/workshop'
import { doneFor, handsOf, isLed, isSprayed, ledAtOnce, ledId, racesOf, sprayId } from './hands'

/** Who comes to the classes, and what is at hand there. */
export interface Crowd {
  people: { id: string; table: string; age: AgeBand; misses: readonly string[] }[]
  /** Adults in the room who teach or help. */
  adults: number
  /** Places by station as somebody said; and by session, as its room is drawn or the kit brings them, where nobody said. */
  places: Readonly<Record<string, number>>
  /** By session, how much longer than usual things dry in its air; left out, as usual. */
  drying?: Readonly<Record<string, number>>
  drawn?: Readonly<Record<string, Readonly<Record<string, number>>>>
  /** What is set by hand, by session. */
  runs: Readonly<Record<string, SessionRun>>
}

/** What of a design is worked in a class: its stages there, and how many pieces each person makes (of nobody's: none). */
export interface Work {
  design: string
  resolved: ResolvedRecipe
  stages: readonly Stage[]
  each: (person: string) => number
  printsEach?: number
}

/** A class as a room, in minutes from its start: who does what when. Set-up and showing come before anybody works, clean-up after. */
export interface ClassRoom {
  input: RoomInput
  plan: RoomPlan
  setUpMin: number
  showMin: number
  cleanUpMin: number
  /** What the room's stages are, by id. */
  stages: Readonly<Record<string, { design: string; stage: Stage }>>
  /** What a design's pieces are when the class begins. */
  begun: Readonly<Record<string, PieceState>>
  /** Pins that do not hold: the plan goes without them. */
  pinsBroken: boolean
  /** The plan that somebody kept for exactly this room. */
  kept: boolean
  /** Nobody is there: a single piece stands in, so that its length is known. */
  empty: boolean
}

/** A stage of a design in a room. */
export const stageKey = (design: string, stage: string): string => `${design}.${stage}`
/** Minutes of a stage in one person's hands, for one piece. */
const onePiece = (s: Stage, printsEach = 1): number => s.minutes.value * (s.per === 'print' ? printsEach : 1)
const minutesOf = (s: Stage, n: number, w: Work, drying: number): number =>
  Math.max(1, Math.ceil((s.attended ? onePiece(s, w.printsEach) * n : s.minutes.value * drying) - 1e-9))

/** The pins of somebody that are of stages on their route. */
function pinsOf(pins: Record<string, number> | undefined, route: RoomInput['routes'][number]): Record<string, number> | undefined {
  if (!pins) return undefined
  const here = Object.entries(pins).filter(([key]) => route.stages.some((s) => s.id === key))
  return here.length > 0 ? Object.fromEntries(here) : undefined
}

const lagOf = (s: Stage) => {
  const leastMin = Math.ceil(s.then!.least.value)
  return { leastMin, mostMin: s.then!.most ? Math.max(leastMin, Math.floor(s.then!.most.value)) : null }
}

/** What a design's pieces are before its first stage here. */
function stateBefore(w: Work): PieceState {
  const { stages } = w.resolved
  const before = stages.slice(0, stages.indexOf(w.stages[0]!))
  return before.reduce<PieceState>((state, s) => s.then?.makes ?? s.makes ?? state, w.resolved.noPrint ? 'to-print' : 'printed')
}

/** What is shown at the start, of all designs. */
export const showOf = (works: readonly Work[]): number => works.reduce((sum, w) => sum + w.resolved.recipe.show.value, 0)

/** A class's room, planned at once. Everybody does their designs one after the other, all pieces of one at a time. A race is led by adults,
 *  who have so many places for children of that age; what people may not touch is done for them by the hands that do not watch; stations
 *  whose places nobody has counted have enough (E). Who misses the class is not in it. */
export function classRoom(session: { id: string; minutes: number }, works: readonly Work[], crowd: Crowd, figures: Figures): ClassRoom {
  const [setUpMin, cleanUpMin] = [figures('set-up').value, figures('clean-up').value]
  const showMin = showOf(works)
  const begins = Math.ceil(setUpMin + showMin)
  const run = crowd.runs[session.id] ?? {}
  const here = crowd.people.filter((p) => !p.misses.includes(session.id) && works.some((w) => w.each(p.id) > 0))
  const empty = here.length === 0
  const people = empty ? [{ id: 'nobody', table: 'A', age: 'adult' as const }] : here
  const of = (w: Work, person: string) => (empty ? 1 : w.each(person))
  const atOnce = ledAtOnce(
    here.map((p) => p.age),
    crowd.adults,
    figures,
  )
  const stages: Record<string, { design: string; stage: Stage }> = {}
  const stations = new Map<string, number>()
  const routes = new Map<string, RoomInput['routes'][number]>()
  const tables = [...new Set(people.map((p) => p.table))]
  const raced = new Map(works.map((w) => [w.design, new Set(racesOf(w.resolved).flatMap((b) => b.map((s) => s.id)))]))

  const atHand: Readonly<Record<string, number>> = { ...crowd.drawn?.[session.id], ...crowd.places }
  const station = (w: Work, s: Stage, age: AgeBand): string | null => {
    const counted = s.station === undefined ? undefined : atHand[s.station]
    const [id, places] = counted
      ? [s.station!, counted]
      : isSprayed(s)
        ? [sprayId, 1]
        : isLed(age) && raced.get(w.design)!.has(s.id)
          ? [ledId, atOnce]
          : [null, 0]
    if (id !== null) stations.set(id, places)
    return id
  }
  const routeOf = (person: { id: string; age: AgeBand }): string => {
    const id = works.map((w) => `${w.design} ${of(w, person.id)}`).join(', ') + ` ${person.age}`
    if (!routes.has(id))
      routes.set(id, {
        id,
        stages: works
          .filter((w) => of(w, person.id) > 0)
          .flatMap((w) =>
            w.stages.map((s, i) => {
              const key = stageKey(w.design, s.id)
              stages[key] = { design: w.design, stage: s }
              return {
                id: key,
                minutes: minutesOf(s, of(w, person.id), w, crowd.drying?.[session.id] ?? 1),
                attended: s.attended,
                station: station(w, s, person.age),
                helper: doneFor(s, person.age),
                ...(w.stages[i + 1] && s.then && { then: lagOf(s) }),
              }
            }),
          ),
      })
    return id
  }
  const pieces = people.map((p) => {
    const late = run.late?.[p.id] ?? 0
    const turn = run.stagger ? run.stagger * tables.indexOf(p.table) : 0
    const route = routeOf(p)
    const pins = pinsOf(run.pins?.[p.id], routes.get(route)!)
    return {
      id: p.id,
      route,
      table: p.table,
      fromMin: Math.max(begins + turn, late),
      ...(pins && { pins }),
    }
  })
  const input: RoomInput = {
    routes: [...routes.values()],
    stations: [...stations].map(([id, places]) => ({ id, places })),
    helpers: handsOf(crowd.adults),
    pieces,
    blocks: [
      ...(begins > 0 ? [{ fromMin: 0, toMin: begins }] : []),
      ...(run.shows ?? []).map((x) => ({ fromMin: x.atMin, toMin: x.atMin + x.minutes })),
    ],
    minutes: Math.max(1, session.minutes - cleanUpMin),
  }
  const begun = Object.fromEntries(works.map((w) => [w.design, stateBefore(w)]))
  const around = { setUpMin, showMin, cleanUpMin, stages, begun, empty }
  const kept = run.kept && keptPlan(input, run.kept)
  if (kept) return { input, plan: kept, ...around, pinsBroken: false, kept: true }
  const plan = quickRoom(input)
  if (!isRefusal(plan)) return { input, plan, ...around, pinsBroken: false, kept: false }
  // Without pins there is always a plan: every station has a place, and an adult is there.
  const free = { ...input, pieces: pieces.map(({ pins: _pins, ...p }) => p) }
  return { input: free, plan: quickRoom(free) as RoomPlan, ...around, pinsBroken: true, kept: false }
}
