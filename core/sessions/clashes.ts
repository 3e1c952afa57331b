import { minutesBetween, placeLocal, type Hours, type Zoned } from '#core/time'
import type { Sized } from '#core/shelf'
import type { Session, Summary } from '#core/workshop'
import { placeSessions, type PlacedSession } from './place'

/** A session that wants the same room at the same time. */
export interface Clash {
  session: string
  room: string
  with: { workshop: string; title: string; from: Zoned; to: Zoned }
  /** Whether this session has the room: whoever was planned first has it. */
  holds: boolean
}
export interface Booking {
  workshop: string
  title: string
  session: string
  room: string
  from: Zoned
  to: Zoned
}

type Booker = Pick<Summary, 'id' | 'title' | 'createdAt' | 'archivedAt' | 'houseId' | 'sessions'>

/** One room whatever the case of its name and the space round it; without a name there is nothing to take. */
export const roomName = (room: string): string => room.trim().toLowerCase()

const meet = (a: { from: Zoned; to: Zoned }, b: { from: Zoned; to: Zoned }) =>
  minutesBetween(a.from, b.to) > 0 && minutesBetween(b.from, a.to) > 0

/** Every session of a house with a room, workshops that were planned first before others, and which have their room: each that meets none
 *  that has it already. The same rule keeps the database's bookings. */
function bookings(all: readonly Booker[], houseId: string, rooms: ReadonlySet<string>, near: (s: Session) => boolean, hours: Hours) {
  const has: Booking[] = []
  const asks: Booking[] = []
  const order = all
    .filter((w) => w.houseId === houseId && !w.archivedAt)
    .sort((a, b) => (a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : a.id < b.id ? -1 : 1))
  for (const w of order)
    for (const s of w.sessions.filter((x) => rooms.has(roomName(x.room)) && near(x))) {
      const [placed] = placeSessions([s], hours, placeLocal({ date: s.date, time: '00:00' }, hours.timeZone).at)
      if (placed!.minutes === 0) continue
      const b = { workshop: w.id, title: w.title, session: s.id, room: roomName(s.room), from: placed!.from, to: placed!.to }
      const taken = has.some((x) => x.room === b.room && meet(x, b))
      ;(taken ? asks : has).push(b)
    }
  return { has, asks }
}

/** What of a workshop's sessions meets somebody else's in the same room: each with the first it meets, those that lose the room to it and
 *  those that keep it. */
export function clashesOf(id: string, houseId: string, sessions: readonly PlacedSession[], all: readonly Booker[], hours: Hours): Clash[] {
  const rooms = new Set(sessions.map((s) => roomName(s.room)).filter((r) => r !== ''))
  if (rooms.size === 0 || all.length < 2) return []
  const days = new Set(sessions.flatMap((s) => [s.from.slice(0, 10), s.to.slice(0, 10)]))
  const near = (s: Session) => [...days].some((d) => Math.abs(Date.parse(s.date) - Date.parse(d)) <= 86_400_000)
  const { has, asks } = bookings(all, houseId, rooms, near, hours)
  const every = [...has, ...asks]
  return every
    .filter((b) => b.workshop === id)
    .flatMap((mine): Clash[] => {
      const holds = has.includes(mine)
      const other = (holds ? asks : has).find((x) => x.workshop !== id && x.room === mine.room && meet(x, mine))
      if (!other) return []
      const { workshop, title, from, to } = other
      return [{ session: mine.session, room: mine.room, with: { workshop, title, from, to }, holds }]
    })
}

/** Places taken on a shelf from one moment to another. */
export interface Occupied {
  workshop: string
  title: string
  from: Zoned
  to: Zoned
  places: number
  /** What one of each size takes of a board, and how many there are. */
  sizes: Sized[]
}
/** When a shelf is fullest while one's own pieces lie there, by how many `short` says find no place, else by how many there are: how many lie
 *  there in all, from when, and whose. */
export function shelfPeak(
  own: Omit<Occupied, 'workshop' | 'title'>,
  others: readonly Occupied[],
  short: (lying: readonly Pick<Occupied, 'places' | 'sizes'>[]) => number,
): { places: number; short: number; at: Zoned; with: Occupied[] } {
  const overlapping = others.filter((o) => meet(o, own))
  const starts = [own.from, ...overlapping.map((o) => o.from)].filter(
    (at) => minutesBetween(own.from, at) >= 0 && minutesBetween(at, own.to) > 0,
  )
  return starts
    .map((at) => {
      const lying = overlapping.filter((o) => minutesBetween(o.from, at) >= 0 && minutesBetween(at, o.to) > 0)
      const places = own.places + lying.reduce((sum, o) => sum + o.places, 0)
      return { places, short: short([own, ...lying]), at, with: lying }
    })
    .reduce((a, b) => (b.short > a.short || (b.short === a.short && b.places > a.places) ? b : a), {
      ...{ places: own.places, short: short([own]), at: own.from },
      with: [] as Occupied[],
    })
}
