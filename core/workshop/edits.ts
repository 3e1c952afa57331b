import { ageBands, type AgeBand } from '#core/recipe'
import type { Change, Guard } from './command'
import type { Participant, Workshop } from './workshop'

/** What an edit would do, or the question it has to ask first. */
export type Edit = { changes: Change[]; guards: Guard[] } | { ask: 'remove-named'; names: string[]; changes: Change[]; guards: Guard[] }

export const nextSeat = (people: readonly Participant[]): number => people.reduce((most, p) => Math.max(most, p.seat), 0) + 1

/** Makes the group so large. Down takes the last unnamed first; before a named one goes, it asks.
 *  `ids` are fresh ids for those who come; a newcomer takes the age band most people have. */
export function setHeadcount(workshop: Workshop, people: number, ids: string[]): Edit {
  const now = workshop.group.participants
  const guards = [{ path: 'group/participants', count: now.length }]
  if (people >= now.length) {
    const age = usualAge(now)
    const first = nextSeat(now)
    const changes = Array.from({ length: people - now.length }, (_, i) => {
      const after: Participant = { id: ids[i]!, seat: first + i, name: null, age, misses: [] }
      return { path: `group/participants/${after.id}`, before: null, after }
    })
    return { changes, guards }
  }
  const goes = [...now].sort((a, b) => Number(a.name !== null) - Number(b.name !== null) || b.seat - a.seat).slice(0, now.length - people)
  const changes = goes.flatMap((p) => [
    ...workshop.pieces.filter((x) => x.participant === p.id).map((x) => ({ path: `pieces/${x.id}`, before: x, after: null })),
    ...(workshop.pictures ?? []).filter((x) => x.participant === p.id).map((x) => ({ path: `pictures/${x.id}`, before: x, after: null })),
    { path: `group/participants/${p.id}`, before: p, after: null },
  ])
  const names = goes.flatMap((p) => (p.name === null ? [] : [p.name]))
  return names.length ? { ask: 'remove-named', names, changes, guards } : { changes, guards }
}

function usualAge(people: readonly Participant[]): AgeBand {
  const counts = ageBands.map((b) => people.filter((p) => p.age === b).length)
  return people.length === 0 ? 'adult' : ageBands[counts.indexOf(Math.max(...counts))]!
}

/** Moves one person between age bands so that `band` has one more or less; unnamed people from the fullest other band first. */
export function withAges(workshop: Workshop, band: AgeBand, by: 1 | -1): Change[] {
  const people = workshop.group.participants
  const others = ageBands
    .filter((b) => b !== band)
    .sort((a, b) => people.filter((p) => p.age === b).length - people.filter((p) => p.age === a).length)
  const from = by > 0 ? others[0]! : band
  const to = by > 0 ? band : others[0]!
  const who = people.filter((p) => p.age === from).sort((a, b) => Number(a.name !== null) - Number(b.name !== null) || b.seat - a.seat)[0]
  return who ? [{ path: `group/participants/${who.id}/age`, before: from, after: to }] : []
}
