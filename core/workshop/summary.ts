import type { PieceState } from '#core/recipe'
import { firstDesign, piecesOf } from './pieces'
import type { Drawing, Session, Workshop } from './workshop'

/** What a list says of a workshop without opening it: no name of a person, no plan. */
export interface Summary {
  id: string
  houseId: string
  title: string
  drawing: Drawing
  createdAt: string
  archivedAt: string | null
  people: number
  /** The kind of piece, and what it is called where it is one of their own. */
  kind: string
  called?: string
  recipe: { id: string; version: number }
  sessions: Session[]
  /** Pieces by state; what nobody touched counts as "to print". */
  states: Partial<Record<PieceState, number>>
}

export function summaryOf(w: Workshop): Summary {
  const states: Partial<Record<PieceState, number>> = {}
  for (const p of piecesOf(w)) states[p.state] = (states[p.state] ?? 0) + 1
  const { id, houseId, title, drawing, createdAt, archivedAt } = w
  const sessions = w.sessions.map(({ late: _l, stagger: _s, shows: _w, pins: _p, kept: _k, ...when }) => when)
  const { kind, called, recipe } = firstDesign(w)
  return {
    ...{ id, houseId, title, drawing, createdAt, archivedAt, sessions, states, kind, recipe },
    people: w.group.participants.length,
    ...(called !== undefined && { called }),
  }
}

/** Local date and time of a class's beginning or end: they sort, and compare with `nowLocal` of their house. */
const localOf = (s: Session, at: 'start' | 'end'): string => `${s.date}T${s[at]}`

/** When a workshop's next class begins, by the clock of its house; undefined without one to come. */
export const nextStart = (w: Pick<Summary, 'sessions'>, nowLocal: string): string | undefined =>
  w.sessions
    .filter((s) => localOf(s, 'end') > nowLocal)
    .map((s) => localOf(s, 'start'))
    .sort()[0]

/** What a first page shows of many workshops: those with a class to come, the next first; those that stand in the list; and those that
 *  were over before this year, by year, folded. `nowLocal` gives a house's local time, "2027-03-04T18:30". */
export function arrange(
  summaries: readonly Summary[],
  nowLocal: (houseId: string) => string,
): { coming: Summary[]; listed: Summary[]; years: { year: string; workshops: Summary[] }[]; archived: Summary[] } {
  const open = summaries.filter((w) => !w.archivedAt)
  const coming = open
    .flatMap((w) => {
      const start = nextStart(w, nowLocal(w.houseId))
      return start ? [{ w, start }] : []
    })
    .sort((a, b) => (a.start < b.start ? -1 : a.start > b.start ? 1 : 0))
    .map((x) => x.w)
  const yearOf = (w: Summary): string | undefined => {
    const last = w.sessions
      .map((s) => s.date.slice(0, 4))
      .sort()
      .at(-1)
    return last !== undefined && last < nowLocal(w.houseId).slice(0, 4) ? last : undefined
  }
  const years = new Map<string, Summary[]>()
  for (const w of open) {
    const year = yearOf(w)
    if (year) years.set(year, [...(years.get(year) ?? []), w])
  }
  return {
    coming,
    listed: open.filter((w) => !yearOf(w)),
    years: [...years].sort(([a], [b]) => (a > b ? -1 : 1)).map(([year, workshops]) => ({ year, workshops })),
    archived: summaries.filter((w) => w.archivedAt),
  }
}
