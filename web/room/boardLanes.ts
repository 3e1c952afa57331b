import { t as tr } from '#core/language'
import { roomStations } from '#core/recipe'
import { grouped, type Row, type Span, type Station } from '#core/sessions'

/** A table on the board: its people's rows one under another, between these pixels. */
export interface TableLane {
  table: string
  rows: { row: Row; top: number; height: number }[]
  top: number
  height: number
  open: boolean
  /** A word on what most of the table does at once, in minutes. */
  chips: { text: string; fromMin: number; toMin: number; kind: Span['kind']; state: Span['state'] }[]
}
export interface StationLane {
  station: Station
  top: number
  height: number
  /** Pixels that one person stands high. */
  each: number
}

/** A strip is as high as its table has pieces: so many pixels a person, fewer where there are many. */
export const personPx = (people: number): number => (people <= 24 ? 12 : people <= 60 ? 7 : 4)
const openPx = 28
const gap = 10

export function lanesOf(
  rows: readonly Row[],
  stations: readonly Station[],
  open: ReadonlySet<string>,
): { tables: TableLane[]; stations: StationLane[]; height: number } {
  const each = personPx(rows.length)
  let top = 0
  const tables = [...grouped(rows, (r) => r.table)].map(([table, all]): TableLane => {
    const isOpen = open.has(table)
    const high = isOpen ? openPx : each
    const lane = {
      table,
      top,
      height: Math.max(all.length * high, 34),
      open: isOpen,
      rows: all.map((row, i) => ({ row, top: i * high, height: high })),
      chips: isOpen ? [] : chipsOf(all),
    }
    top += lane.height + gap
    return lane
  })
  top += gap
  const lanes = stations.map((station): StationLane => {
    const most = Math.max(1, station.places ?? 0, ...station.levels.map((l) => l.there + l.waiting))
    const height = Math.min(64, Math.max(22, most * 4))
    const lane = { station, top: top + 18, height, each: height / most }
    top += height + 30
    return lane
  })
  return { tables, stations: lanes, height: top }
}

/** What most of a table does at the same time, once for each stage and wait. */
function chipsOf(rows: readonly Row[]): TableLane['chips'] {
  const kinds = grouped(
    rows.flatMap((r) => r.spans),
    (s) => `${s.kind} ${s.stage} ${s.fromMin} ${s.toMin}`,
  )
  return [...kinds.values()]
    .filter((same) => same.length * 2 > rows.length)
    .map(([s]) => {
      const { kind, fromMin, toMin, state } = s!
      const waited = toMin - fromMin
      return { text: kind !== 'waits' ? shortWord(s!) : waited >= 7 ? tr('{0} min', waited) : '', fromMin, toMin, kind, state }
    })
}

/** A stage in a word: its first, and its number where there are several. */
export function shortWord(s: Pick<Span, 'name' | 'kind' | 'stage'>): string {
  const said = tr(s.name)
  const round = /\d/.exec(s.name)?.[0]
  return `${said.split(/[ ,]/)[0]!.toLowerCase()}${round ? ` ${round}` : ''}`
}

/** What a station is called on the board. */
export const stationName = (at: string): string => {
  const names: Record<string, string> = {
    rack: tr('Drying'),
    led: tr('Led by adults'),
    spray: tr('Sprayed'),
    adults: tr('Adults, by hand'),
    basin: tr('Basins'),
    'seal table': tr('Seal table'),
    'heat tool': tr('Heat tools'),
    trimmer: tr('Trimmers'),
  }
  return names[at] ?? tr(roomStations.find((s) => s.id === at)?.name ?? at)
}
