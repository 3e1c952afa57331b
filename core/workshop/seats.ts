import { seatNumber, type Participant } from './workshop'

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
