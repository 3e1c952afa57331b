import { ageBands, type AgeBand } from '#core/recipe'
import {
  applyChanges,
  inverse,
  same,
  valueAt,
  withPlaces,
  type Change,
  type Clash,
  type Command,
  type Guard,
  type Intent,
  type Json,
} from './command'
import { below, change, changed, inWorkshop, pathText, type Path } from './paths'
import { seatNumber, type Participant, type Workshop } from './workshop'

/** What an edit would do, or the question it has to ask first. */
export type Edit =
  | { changes: Change[]; guards: Guard[]; intent: Intent }
  | { ask: 'remove-named'; names: string[]; changes: Change[]; guards: Guard[]; intent: Intent }

/** What stands in a list, taken out of it. */
const gone = <E extends Json>(path: Path<E | null>, what: E): Change => changed(path as Path<null>, what, null)

/** Whose entry in the group a path names; undefined when it names anything else, or a field of it. */
function participantOf(path: string): string | undefined {
  const [id, ...more] = below(path, inWorkshop.group.participants) ?? []
  return more.length === 0 ? id : undefined
}

/** The lowest seats from 1 that nobody has. */
export function freeSeats(people: readonly Pick<Participant, 'seat'>[], n: number): number[] {
  const taken = new Set(people.map((p) => p.seat))
  const free: number[] = []
  for (let seat = 1; free.length < n; seat++) if (!taken.has(seat)) free.push(seat)
  return free
}

/** The order in which people sit, everywhere: on the screen, on paper, on the tabs of prints. Tables are filled in it. */
export const seated = <P extends Pick<Participant, 'seat' | 'id'>>(people: readonly P[]): P[] =>
  [...people].sort((a, b) => a.seat - b.seat || (a.id < b.id ? -1 : 1))

/** What people's seats are called, "B3", by participant: tables of so many are filled in the order of the seats. */
export function seatNames(people: readonly Pick<Participant, 'seat' | 'id'>[], seating: readonly number[]): Record<string, string> {
  const names = seating.flatMap((size, table) => Array.from({ length: size }, (_, place) => seatNumber(table, place)))
  return Object.fromEntries(seated(people).map((p, i) => [p.id, names[i] ?? `${i + 1}`]))
}

/** Takes out what hangs on people: their pieces and pictures. */
export function takeAlong(workshop: Pick<Workshop, 'pieces' | 'pictures'>, people: ReadonlySet<string>): Change[] {
  return [
    ...workshop.pieces.filter((x) => people.has(x.participant)).map((x) => gone(inWorkshop.pieces(x.id), x)),
    ...(workshop.pictures ?? [])
      .filter((x) => x.participant !== null && people.has(x.participant))
      .map((x) => gone(inWorkshop.pictures(x.id), x)),
  ]
}

/** What a change would break between people: pieces and pictures left without their owner because they came while nobody looked, and
 *  a seat that two would share. What was so before is not held against it. */
export function brokenBetween(before: Workshop | null, after: Workshop | null): Clash[] {
  if (!before || !after) return []
  const orphans = ownerless(before, after)
  if (before.group.participants === after.group.participants) return orphans
  const now = new Set(after.group.participants.map((p) => p.id))
  const gone = new Set(before.group.participants.map((p) => p.id).filter((id) => !now.has(id)))
  const left = gone.size ? takeAlong(after, gone).map((c) => ({ path: c.path, stored: c.before, yours: null })) : []
  const sat = new Map(before.group.participants.map((p) => [p.id, p.seat]))
  const settled = new Set(after.group.participants.filter((p) => sat.get(p.id) === p.seat).map((p) => p.seat))
  const taken = new Set(settled)
  const shared = after.group.participants.filter((p) => sat.get(p.id) !== p.seat && (taken.has(p.seat) || !taken.add(p.seat)))
  return [
    ...orphans,
    ...left,
    ...shared.map((p) => ({ path: pathText(inWorkshop.group.participants(p.id).seat), stored: sat.get(p.id) ?? null, yours: p.seat })),
  ]
}

/** Pieces and pictures that come for somebody who is not there any more. */
function ownerless(before: Workshop, after: Workshop): Clash[] {
  if (before.pieces === after.pieces && before.pictures === after.pictures) return []
  const people = new Set<string | null>(after.group.participants.map((p) => p.id)).add(null)
  return (['pieces', 'pictures'] as const).flatMap((list) => {
    const had = new Set((before[list] ?? []).map((x) => x.id))
    return (after[list] ?? [])
      .filter((x) => !had.has(x.id) && !people.has(x.participant))
      .map((x) => ({ path: pathText(inWorkshop[list](x.id)), stored: null, yours: x }))
  })
}

/** The changes that take a deed back on a workshop as it is now: whoever goes takes along what has come to hang on them. */
export function undoing(workshop: Workshop | null, changes: readonly Change[]): Change[] {
  const back = inverse(changes)
  const paths = new Set(back.map((c) => c.path))
  const gone = back.flatMap((c) => (c.after === null ? (participantOf(c.path) ?? []) : []))
  const along = workshop && gone.length ? takeAlong(workshop, new Set(gone)).filter((c) => !paths.has(c.path)) : []
  return withPlaces(workshop, [...along, ...back])
}

/** Makes the group so large. Down takes the last unnamed first; before a named one goes, it asks.
 *  `ids` are fresh ids for those who come; a newcomer takes the age band most people have. */
export function setHeadcount(workshop: Workshop, people: number, ids: string[]): Edit {
  const now = workshop.group.participants
  const guards = [{ path: pathText(inWorkshop.group.participants), count: now.length }]
  const intent: Intent = { kind: 'headcount', people }
  if (people >= now.length) {
    const age = usualAge(now)
    const changes = freeSeats(now, people - now.length).map((seat, i) => {
      const after: Participant = { id: ids[i]!, seat, name: null, age, misses: [] }
      return changed(inWorkshop.group.participants(after.id), null, after)
    })
    return { changes, guards, intent }
  }
  const goes = [...now].sort((a, b) => Number(a.name !== null) - Number(b.name !== null) || b.seat - a.seat).slice(0, now.length - people)
  const changes = withPlaces(workshop, [
    ...takeAlong(workshop, new Set(goes.map((p) => p.id))),
    ...goes.map((p) => gone(inWorkshop.group.participants(p.id), p)),
  ])
  const names = goes.flatMap((p) => (p.name === null ? [] : [p.name]))
  return names.length ? { ask: 'remove-named', names, changes, guards, intent } : { changes, guards, intent }
}

/** A deed done again on a workshop or house as it is now: a headcount is reached anew, a field is set on top of whatever it holds.
 *  What has nothing left to stand in is left out; nothing may be left. `ids` are fresh ids for those who come. */
export function again(
  doc: unknown,
  command: Pick<Command, 'changes' | 'guards' | 'intent'>,
  ids: string[],
): Pick<Command, 'changes' | 'guards'> {
  if (command.intent && doc) return setHeadcount(doc as Workshop, command.intent.people, ids)
  let now = doc
  const changes = command.changes.flatMap((c) => {
    const mine = { ...c, after: reseated(now, c), before: valueAt(now, c.path) }
    const after = applyChanges(now, [mine])
    if (same(mine.before, mine.after) || !same(valueAt(after, mine.path), mine.after)) return []
    now = after
    return [mine]
  })
  return { changes: withPlaces(doc, changes), guards: [] }
}

/** Somebody who comes again takes another seat where theirs is taken. */
function reseated(doc: unknown, c: Change): Json {
  const people = valueAt(doc, pathText(inWorkshop.group.participants)) as readonly Participant[] | null
  const who = c.after as Participant | null
  if (!people || !who || participantOf(c.path) === undefined) return c.after
  return people.some((p) => p.seat === who.seat && p.id !== who.id) ? { ...who, seat: freeSeats(people, 1)[0]! } : c.after
}

function usualAge(people: readonly Participant[]): AgeBand {
  const counts = ageBands.map((b) => people.filter((p) => p.age === b).length)
  return people.length === 0 ? 'adult' : ageBands[counts.indexOf(Math.max(...counts))]!
}

/** Makes an age band so large. People come from bands that nobody has set yet, adults first, never from one that was set; unnamed
 *  people first. Fewer go back to where nobody has set, adults first. What cannot be says how many can. */
export function setAges(workshop: Workshop, band: AgeBand, to: number): { changes: Change[] } | { most: number } {
  const { participants, agesSet = [] } = workshop.group
  const open = [...ageBands].reverse().filter((b) => b !== band && !agesSet.includes(b))
  const here = participants.filter((p) => p.age === band)
  const movable = (from: readonly Participant[]) =>
    [...from].sort((a, b) => Number(a.name !== null) - Number(b.name !== null) || b.seat - a.seat)
  const come = open.flatMap((b) => movable(participants.filter((p) => p.age === b)))
  if (to > here.length + come.length) return { most: here.length + come.length }
  const moved: [Participant, AgeBand][] =
    to >= here.length
      ? come.slice(0, to - here.length).map((p) => [p, band])
      : movable(here)
          .slice(0, here.length - to)
          .map((p) => [p, open[0] ?? 'adult'])
  const noted = agesSet.includes(band) ? [] : [change(workshop, inWorkshop.group.agesSet, [...agesSet, band])]
  return { changes: [...moved.map(([p, age]) => change(workshop, inWorkshop.group.participants(p.id).age, age)), ...noted] }
}
