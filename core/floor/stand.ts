import { boxOf, ofKind, placesOfItem, type Box, type Floor, type FloorItem, type FloorKind } from './floor'

/** An item moved by so much, kept inside its room; mm. */
export function moved(floor: Pick<Floor, 'widthMm' | 'depthMm'>, i: FloorItem, byX: number, byY: number): FloorItem {
  const { w, d } = boxOf(i)
  const within = (n: number, most: number) => Math.max(0, Math.min(Math.max(0, most), n))
  return { ...i, xMm: within(i.xMm + byX, floor.widthMm - w), yMm: within(i.yMm + byY, floor.depthMm - d) }
}

/** The clear way between two boxes, in mm: 0 where they touch or lie over each other. */
export function between(a: Box, b: Box): number {
  const dx = Math.max(0, a.x - (b.x + b.w), b.x - (a.x + a.w))
  const dy = Math.max(0, a.y - (b.y + b.d), b.y - (a.y + a.d))
  return Math.hypot(dx, dy)
}
const over = (a: Box, b: Box) => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.d && b.y < a.y + a.d

/** From each table to the nearest basin, in mm, in the order of the tables; null where no basin is drawn. */
export function toWater(f: Floor): { item: string; mm: number | null }[] {
  const basins = ofKind(f, 'basin').map(boxOf)
  return ofKind(f, 'table').map((t) => ({
    item: t.id,
    mm: basins.length > 0 ? Math.round(Math.min(...basins.map((b) => between(boxOf(t), b)))) : null,
  }))
}

/** What a helper looks after: tables by their number from 0, stations by their id. */
export interface Post {
  item: string | null
  tables: number[]
  stations: string[]
}

/** Shares tables and stations out to so many helpers: each table to the nearest post that has not its share yet, each drawn station to the
 *  post that is nearest to one of it; without posts, tables in their order by even shares, and the stations to the last helper. */
export function postsFor(f: Floor | undefined, tables: number, helpers: number, stations: readonly string[]): Post[] {
  if (helpers === 0) return []
  const marks = f ? ofKind(f, 'post').slice(0, helpers) : []
  const posts: Post[] = Array.from({ length: helpers }, (_, i) => ({ item: marks[i]?.id ?? null, tables: [], stations: [] }))
  const share = Math.ceil(tables / helpers)
  const drawn = f ? ofKind(f, 'table') : []
  const away = (post: Post, box: Box | undefined) => {
    const mark = marks.find((m) => m.id === post.item)
    return mark && box ? between(boxOf(mark), box) : Infinity
  }
  for (let t = 0; t < tables; t++) {
    const table = drawn[t]
    const box = table && boxOf(table)
    const free = posts.filter((p) => p.tables.length < share)
    free.reduce((a, b) => (away(b, box) < away(a, box) ? b : a)).tables.push(t)
  }
  for (const id of stations) {
    const boxes = f ? f.items.filter((i) => i.kind === id).map(boxOf) : []
    const nearest = (p: Post) => Math.min(Infinity, ...boxes.map((b) => away(p, b)))
    const last = posts.at(-1)!
    posts.reduce((a, b) => (nearest(b) < nearest(a) ? b : a), last).stations.push(id)
  }
  return posts
}

/** What a drawn room should be looked at for. */
export type FloorCheck =
  | { code: 'over'; items: [string, string] }
  | { code: 'narrow'; items: [string, string]; mm: number }
  | { code: 'heat-by-water'; items: [string, string]; mm: number }
  | { code: 'heat-from-power'; items: [string, string] | [string]; mm: number | null }
  | { code: 'door-blocked'; items: [string, string]; mm: number }
  | { code: 'seats'; items: []; seats: number; people: number }

/** Limits in mm: a way that two can pass, heat from water, a cord's reach, free before a door. */
export interface FloorLimits {
  wayMm: number
  heatFromWaterMm: number
  cordMm: number
  doorMm: number
}

/** Things over each other, ways too narrow between tables, heat by water or far from power, doors in whose way something stands, too few
 *  seats. Every finding names its items. */
export function checkFloor(f: Floor, people: number, limits: FloorLimits): FloorCheck[] {
  const out: FloorCheck[] = []
  const solid = f.items.filter((i) => i.kind !== 'post' && i.kind !== 'power')
  const tables = new Set<FloorKind>(['table', 'seal table', 'basin', 'heat tool', 'trimmer', 'rack'])
  solid.forEach((a, n) => {
    for (const b of solid.slice(n + 1)) {
      const [x, y] = [boxOf(a), boxOf(b)]
      if (over(x, y)) out.push({ code: 'over', items: [a.id, b.id] })
      else if (a.kind === 'door' || b.kind === 'door') {
        const mm = Math.round(between(x, y))
        if (mm < limits.doorMm && a.kind !== b.kind)
          out.push({ code: 'door-blocked', items: a.kind === 'door' ? [a.id, b.id] : [b.id, a.id], mm })
      } else if (a.kind === 'table' && b.kind === 'table' && tables.has(b.kind)) {
        const mm = Math.round(between(x, y))
        if (mm > 0 && mm < limits.wayMm) out.push({ code: 'narrow', items: [a.id, b.id], mm })
      }
    }
  })
  const [basins, sockets] = [ofKind(f, 'basin'), ofKind(f, 'power')]
  for (const h of ofKind(f, 'heat tool')) {
    for (const b of basins) {
      const mm = Math.round(between(boxOf(h), boxOf(b)))
      if (mm < limits.heatFromWaterMm) out.push({ code: 'heat-by-water', items: [h.id, b.id], mm })
    }
    const near = sockets.map((s) => ({ s, mm: Math.round(between(boxOf(h), boxOf(s))) })).sort((a, b) => a.mm - b.mm)[0]
    if (!near) out.push({ code: 'heat-from-power', items: [h.id], mm: null })
    else if (near.mm > limits.cordMm) out.push({ code: 'heat-from-power', items: [h.id, near.s.id], mm: near.mm })
  }
  const seats = ofKind(f, 'table').reduce((n, t) => n + placesOfItem(t), 0)
  if (seats > 0 && seats < people) out.push({ code: 'seats', items: [], seats, people })
  return out
}

/** A room to begin with: so many tables in rows, basins and a seal table along the far wall, a rack, a door; ids come from outside. */
export function firstFloor(id: string, room: string, tables: number, freshId: () => string): Floor {
  const columns = Math.min(3, Math.max(1, Math.ceil(Math.sqrt(tables))))
  const rows = Math.ceil(tables / columns)
  const [widthMm, depthMm] = [Math.max(9000, columns * 2600 + 1200), Math.max(6000, rows * 2000 + 2600)]
  const item = (kind: FloorKind, xMm: number, yMm: number, more: Partial<FloorItem> = {}): FloorItem => ({
    id: freshId(),
    kind,
    xMm,
    yMm,
    ...more,
  })
  return {
    id,
    room,
    widthMm,
    depthMm,
    items: [
      ...Array.from({ length: tables }, (_, i) =>
        item('table', 700 + (i % columns) * 2600, depthMm - 1500 - Math.floor(i / columns) * 2000),
      ),
      item('basin', widthMm - 1900, 200),
      item('basin', widthMm - 900, 200),
      item('seal table', widthMm - 3900, 200),
      item('rack', 2500, 200),
      item('door', 400, 0),
      item('power', widthMm - 4400, 0),
    ],
  }
}

/** Where each of so many tables stands, in rows and columns counted from 1 as the room is drawn, the nearest wall first; tables whose middles are
 *  less than half a table apart share a row or column. Undefined where fewer tables are drawn, or two would share a place. */
export function tableGrid(f: Floor, tables: number): { row: number; column: number }[] | undefined {
  const boxes = ofKind(f, 'table').slice(0, tables).map(boxOf)
  if (tables === 0 || boxes.length < tables) return undefined
  const lines = (middle: (b: Box) => number, apart: number): Map<number, number> => {
    const sorted = [...new Set(boxes.map(middle))].sort((a, b) => a - b)
    let line = 0
    let first = -Infinity
    return new Map(
      sorted.map((m) => {
        if (m - first > apart) [first, line] = [m, line + 1]
        return [m, line]
      }),
    )
  }
  const [across, down] = [(b: Box) => b.x + b.w / 2, (b: Box) => b.y + b.d / 2]
  const columns = lines(across, Math.min(...boxes.map((b) => b.w)) / 2)
  const rows = lines(down, Math.min(...boxes.map((b) => b.d)) / 2)
  const places = boxes.map((b) => ({ row: rows.get(down(b))!, column: columns.get(across(b))! }))
  return new Set(places.map((p) => `${p.row} ${p.column}`)).size === tables ? places : undefined
}
