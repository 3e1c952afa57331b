import { ageBands, pieceStates, type AgeBand } from '#core/recipe'
import { inverse, valueAt, withPlaces, type Change, type Clash, type Guard, type Intent, type Json, type StatesOfPieces } from './command'
import { below, change, changed, inWorkshop, pathText, type Path } from './paths'
import { newPiece, pieceOf } from './pieces'
import { freeSeats } from './seats'
import type { Participant, Workshop } from './workshop'

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
  const intent: Intent = { kind: 'headcount', args: { people } }
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

/** Somebody who comes again takes another seat where theirs is taken. */
export function reseated(doc: unknown, c: Change): Json {
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
export function setAges(workshop: Workshop, band: AgeBand, to: number): { changes: Change[]; intent: Intent } | { most: number } {
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
  const changes = [...moved.map(([p, age]) => change(workshop, inWorkshop.group.participants(p.id).age, age)), ...noted]
  return { changes, intent: { kind: 'ages', args: { band, people: to } } }
}

/** Two people change places; nothing where one of them is gone. */
export function swapSeats(workshop: Workshop, a: string, b: string): { changes: Change[]; intent: Intent } {
  const [one, other] = [a, b].map((id) => workshop.group.participants.find((p) => p.id === id))
  const { participants } = inWorkshop.group
  const changes = one && other ? [change(workshop, participants(a).seat, other.seat), change(workshop, participants(b).seat, one.seat)] : []
  return { changes, intent: { kind: 'swap-seats', args: { a, b } } }
}

/** Sets the state that pieces go home in, in one change, and when they were laid where that is not known of them. A piece that is
 *  further already, or whose person is gone, stays as it is. */
export function setStates(workshop: Workshop, to: StatesOfPieces): { changes: Change[]; intent: Intent } {
  const here = new Set(workshop.group.participants.map((p) => p.id))
  const changes = to.pieces.flatMap(({ participant, designId, number }) => {
    const was = pieceOf(workshop, participant, designId, number)
    if (!here.has(participant) || (was?.asIs && pieceStates.indexOf(was.state) > pieceStates.indexOf(to.state))) return []
    const piece = was ?? newPiece(workshop, { participant, designId, number, state: to.state })
    const after = { ...piece, state: to.state, laidAt: piece.laidAt ?? to.laidAt, asIs: true }
    return [changed(inWorkshop.pieces(piece.id), was, after)]
  })
  return { changes, intent: { kind: 'piece-states', args: to } }
}
