import type { House } from '#core/house'
import { clockOf, dateOf, inZone, minutesBetween, type Zoned } from '#core/time'
import { nextStart, type Summary, type Workshop } from '#core/workshop'
import { clashesOf, placeSessions, type Occupied } from '#core/sessions'
import { hoursOf } from './situation'
import { planWorkshop } from './plan'
import type { Plan, PlanInput } from './shapes'

/** So many workshops before one are counted against its cupboard: the nearest classes of a term. */
export const mostBefore = 12

/** A desk, as far as planning one of its workshops needs it. */
export interface PlanningDesk {
  workshop: (id: string) => Workshop | undefined
  house: (id: string) => House | undefined
  /** What lists say of every workshop. */
  summaries: readonly Summary[]
  now: Zoned
  /** What a workshop takes from its house's cupboard and shelf; undefined while it is not worked out yet. */
  takes: (w: Workshop, house: House) => Takes | undefined
}

/** What a workshop takes of what its house's workshops share: things of the cupboard, by key there, and places on the shelf. */
export interface Takes {
  things: Readonly<Record<string, number>>
  shelf: Occupied | null
}

/** What a plan still uses up of things that a cupboard holds, by their key there: what was only needed in classes that are over is gone
 *  already. What lasts is there again afterwards. */
export function takesOf(plan: Pick<Plan, 'kit' | 'designs' | 'sessions' | 'now'>): Record<string, number> {
  const takes: Record<string, number> = {}
  const over = new Set(plan.sessions.filter((s) => minutesBetween(plan.now, s.to) <= 0).map((s) => s.id))
  const began = over.size > 0
  /** Places at which a line is needed: none of them is to come. */
  const isPast = (stages: readonly string[]) => {
    const places = plan.designs.flatMap((d) => stages.flatMap((x) => d.split.split[x] ?? []))
    return places.length > 0 && places.every((p) => over.has(p) || (began && p === 'ahead'))
  }
  for (const l of plan.kit)
    if (!isPast(l.stages) && !l.durable && l.sheets === undefined && l.need > 0) takes[l.cupboard] = (takes[l.cupboard] ?? 0) + l.need
  return takes
}

/** What a workshop takes, planned by itself: what others leave does not change what it needs. */
export function takesAlone(workshop: Workshop, house: House, now: Zoned): Takes {
  const plan = planWorkshop({ workshop, house, now: inZone(now, house.timeZone) })
  const { id, title } = workshop
  return {
    things: takesOf(plan),
    shelf: plan.shelf && {
      workshop: id,
      title,
      from: plan.shelf.from,
      to: plan.shelf.to,
      places: plan.shelf.places,
      sizes: plan.shelf.sizes,
    },
  }
}

/** So many days a shelf is looked at before and after a workshop's own classes. */
const shelfDays = 14

/** The workshops of the same house whose classes are about the same time: their pieces may lie on the shelf together. */
export function workshopsBeside(id: string, summaries: readonly Summary[], houseId: string): string[] {
  const days = (s: Summary) => s.sessions.map((x) => Date.parse(x.date) / 86_400_000)
  const mine = summaries.find((s) => s.id === id)
  if (!mine || mine.sessions.length === 0) return []
  const [from, to] = [Math.min(...days(mine)) - shelfDays, Math.max(...days(mine)) + shelfDays]
  return summaries
    .filter((s) => s.id !== id && s.houseId === houseId && !s.archivedAt && days(s).some((d) => d >= from && d <= to))
    .slice(0, mostBefore)
    .map((s) => s.id)
}

/** The workshops that have to be here for a plan of one: those before it take from its cupboard, those beside it lie on its shelf. */
export const workshopsWanted = (id: string, summaries: readonly Summary[], house: House, now: Zoned): string[] => [
  ...new Set([
    ...(Object.values(house.cupboard).some((n) => n > 0) ? workshopsBefore(id, summaries, house, now) : []),
    ...workshopsBeside(id, summaries, house.id),
  ]),
]

/** The workshops of the same house whose next class comes before this one's, the first first. A workshop without a class to come takes
 *  nothing before anybody, and everything that has a date is before it. */
export function workshopsBefore(id: string, summaries: readonly Summary[], house: House, now: Zoned): string[] {
  const here = inZone(now, house.timeZone)
  const local = `${dateOf(here)}T${clockOf(here)}`
  const mine = summaries.find((s) => s.id === id)
  const my = mine && nextStart(mine, local)
  return summaries
    .filter((s) => s.houseId === house.id && s.id !== id && !s.archivedAt)
    .flatMap((s) => {
      const start = nextStart(s, local)
      const before = start !== undefined && (my === undefined || start < my || (start === my && s.id < id))
      return before ? [{ id: s.id, start }] : []
    })
    .sort((a, b) => (a.start < b.start ? -1 : a.start > b.start ? 1 : a.id < b.id ? -1 : 1))
    .slice(0, mostBefore)
    .map((s) => s.id)
}

/** What everything that plans a workshop of a desk plans from: its house, now, and what the workshops before it take from the cupboard.
 *  Undefined when the workshop or its house is not here. Workshops that are not here, or not worked out yet, take nothing. */
export function planningInput(desk: PlanningDesk, id: string): PlanInput | undefined {
  const workshop = desk.workshop(id)
  const house = workshop && desk.house(workshop.houseId)
  if (!workshop || !house) return undefined
  const reserved: Record<string, number> = {}
  if (Object.values(house.cupboard).some((n) => n > 0))
    for (const other of workshopsBefore(id, desk.summaries, house, desk.now)) {
      const w = desk.workshop(other)
      for (const [key, n] of Object.entries((w && desk.takes(w, house)?.things) ?? {})) reserved[key] = (reserved[key] ?? 0) + n
    }
  const now = inZone(desk.now, house.timeZone)
  const hours = hoursOf(house)
  const clashes = clashesOf(id, house.id, placeSessions(workshop.sessions, hours, now), desk.summaries, hours)
  const shelves = workshopsBeside(id, desk.summaries, house.id).flatMap((other) => {
    const w = desk.workshop(other)
    return (w && desk.takes(w, house)?.shelf) ?? []
  })
  return {
    workshop,
    house,
    now,
    ...(Object.keys(reserved).length > 0 && { reserved }),
    ...(clashes.length > 0 && { clashes }),
    ...(shelves.length > 0 && { shelves }),
  }
}
