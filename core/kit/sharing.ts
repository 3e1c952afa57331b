import type { ShareBy } from '#core/recipe'

/** People by table, as evenly as they go: 18 at 5 tables is 4 4 4 3 3. */
export type Seating = number[]

/** Spreads people over tables; without a number of tables, tables of four. No people, no tables. */
export function seatTables(people: number, tables: number | null): Seating {
  if (people === 0) return []
  const n = Math.min(people, tables ?? Math.ceil(people / 4))
  return Array.from({ length: n }, (_, i) => Math.floor(people / n) + (i < people % n ? 1 : 0))
}

/** How many of a thing are needed when it is shared so. Pairs form within a table; tables that take turns need half. */
export function sharers(by: ShareBy, seating: Seating): number {
  const tables = seating.length
  switch (by) {
    case 'each':
      return seating.reduce((sum, n) => sum + n, 0)
    case 'pair':
      return seating.reduce((sum, n) => sum + Math.ceil(n / 2), 0)
    case 'table':
      return tables
    case 'stagger':
      return Math.ceil(tables / 2)
    case 'room':
      return tables === 0 ? 0 : 1
  }
}
