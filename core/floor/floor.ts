import { roomStations } from '#core/recipe'

/** What stands on a room's floor. `post` is where a helper stands; `power` is a socket; tables have seats, stations have places. */
export const floorKinds = ['table', 'basin', 'seal table', 'heat tool', 'trimmer', 'rack', 'post', 'power', 'door'] as const
export type FloorKind = (typeof floorKinds)[number]

/** A thing on the floor: its lower left corner from the room's, in mm; turned by a quarter or not; how many seats or places it has. */
export interface FloorItem {
  id: string
  kind: FloorKind
  xMm: number
  yMm: number
  turned?: boolean | undefined
  places?: number | undefined
}
/** A room's floor, in mm; `room` is what sessions call it. */
export interface Floor {
  id: string
  room: string
  /** The air that is usual there. */
  climate?: { celsius: number; humidityPct: number } | undefined
  widthMm: number
  depthMm: number
  items: FloorItem[]
}

/** How large each is, in mm, and how many seats or places it usually has (E). */
export const floorSizes: Record<FloorKind, { widthMm: number; depthMm: number; places: number }> = {
  table: { widthMm: 1500, depthMm: 750, places: 4 },
  basin: { widthMm: 900, depthMm: 600, places: 4 },
  'seal table': { widthMm: 1500, depthMm: 750, places: 4 },
  'heat tool': { widthMm: 900, depthMm: 600, places: 1 },
  trimmer: { widthMm: 600, depthMm: 600, places: 1 },
  rack: { widthMm: 1000, depthMm: 500, places: 0 },
  post: { widthMm: 500, depthMm: 500, places: 0 },
  power: { widthMm: 250, depthMm: 250, places: 0 },
  door: { widthMm: 1000, depthMm: 200, places: 0 },
}

export const hasPlaces = (kind: FloorKind): boolean => floorSizes[kind].places > 0
export const placesOfItem = (i: FloorItem): number => i.places ?? floorSizes[i.kind].places

export interface Box {
  x: number
  y: number
  w: number
  d: number
}
/** What an item covers, in mm. */
export function boxOf(i: FloorItem): Box {
  const { widthMm, depthMm } = floorSizes[i.kind]
  return { x: i.xMm, y: i.yMm, w: i.turned ? depthMm : widthMm, d: i.turned ? widthMm : depthMm }
}

export const ofKind = (f: Floor, kind: FloorKind): FloorItem[] => f.items.filter((i) => i.kind === kind)

/** The floor of a room by its name, whatever the case of its letters and the space round it. */
export const floorOf = (floors: readonly Floor[] | undefined, room: string): Floor | undefined =>
  floors?.find((f) => f.room.trim().toLowerCase() === room.trim().toLowerCase())

/** Places at each station as they are drawn, by station; one that is not drawn is not known. */
export function drawnPlaces(f: Floor): Record<string, number> {
  return Object.fromEntries(
    roomStations.flatMap(({ id }) => {
      const items = f.items.filter((i) => i.kind === id)
      return items.length > 0 ? [[id, items.reduce((n, i) => n + placesOfItem(i), 0)]] : []
    }),
  )
}

/** Tables that so many people need of those drawn: as many as have seats for them, else all; null where none is drawn. */
export function tablesFor(f: Floor, people: number): number | null {
  const tables = ofKind(f, 'table').map(placesOfItem)
  if (tables.length === 0) return null
  let seats = 0
  for (const [i, n] of tables.entries()) {
    seats += n
    if (seats >= people) return i + 1
  }
  return tables.length
}
