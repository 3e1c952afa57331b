/** A board of the drying rack, all in mm: what lies on it may be so deep and stand so high. */
export interface Board {
  id: string
  name: string
  widthMm: number
  depthMm: number
  clearMm: number
}
/** What a piece takes of a board while it lies there, its free border counted in; mm. */
export interface Footprint {
  widthMm: number
  depthMm: number
  heightMm: number
}
/** Something that lies on the rack from one minute until before another, counted from anywhere. */
export interface Lying extends Footprint {
  id: string
  fromMin: number
  toMin: number
}
/** Where something lies: which place of which board, counted from the left and the front, and its lower left corner in mm. */
export interface Place {
  id: string
  board: string
  number: number
  /** What its label says: the board's name and the place's number. */
  label: string
  xMm: number
  yMm: number
  widthMm: number
  depthMm: number
}

interface Slot {
  number: number
  x: number
  y: number
  w: number
  d: number
  taken: { fromMin: number; toMin: number }[]
}
interface Row {
  y: number
  d: number
  used: number
  slots: Slot[]
}

type Lasts = Pick<Lying, 'fromMin' | 'toMin'>
const meets = (a: Lasts, b: Lasts) => a.fromMin < b.toMin && b.fromMin < a.toMin

/** Gives each thing a place of its own for as long as it lies there, in the order given: rows along each board, the first that takes it; a
 *  place that has become free is taken again. What finds none is left over. A thing may be turned by a quarter. */
export function placeOnRack(boards: readonly Board[], things: readonly Lying[]): { places: Place[]; left: Lying[] } {
  const rows = new Map(boards.map((b): [string, Row[]] => [b.id, []]))
  const places: Place[] = []
  const left: Lying[] = []
  for (const t of things) {
    const found = firstOf(boards, (b) => (b.clearMm < t.heightMm ? undefined : slotFor(b, rows.get(b.id)!, t)))
    if (!found) {
      left.push(t)
      continue
    }
    const { board, slot } = found
    slot.taken.push({ fromMin: t.fromMin, toMin: t.toMin })
    places.push({
      id: t.id,
      board: board.id,
      number: slot.number,
      label: `${board.name}-${slot.number}`,
      xMm: slot.x,
      yMm: slot.y,
      widthMm: slot.w,
      depthMm: slot.d,
    })
  }
  return { places, left }
}

function firstOf(boards: readonly Board[], find: (b: Board) => Slot | undefined): { board: Board; slot: Slot } | undefined {
  for (const board of boards) {
    const slot = find(board)
    if (slot) return { board, slot }
  }
  return undefined
}

function slotFor(b: Board, rows: Row[], t: Lying): Slot | undefined {
  const ways = waysOf(b, t)
  // A place that is free again and no larger than it has to be.
  const free = rows
    .flatMap((r) => r.slots)
    .filter((s) => ways.some(([w, d]) => s.w === w && s.d === d) && !s.taken.some((x) => meets(x, t)))
  if (free[0]) return free[0]
  for (const [w, d] of ways) {
    const row = rows.find((r) => r.d >= d && r.used + w <= b.widthMm) ?? newRow(b, rows, w, d)
    if (!row) continue
    const slot: Slot = { number: 1 + rows.reduce((n, r) => n + r.slots.length, 0), x: row.used, y: row.y, w, d, taken: [] }
    row.used += w
    row.slots.push(slot)
    return slot
  }
  return rows.flatMap((r) => r.slots).find((s) => ways.some(([w, d]) => s.w >= w && s.d >= d) && !s.taken.some((x) => meets(x, t)))
}

/** As it stands and turned: first the way of which the board takes more. */
function waysOf(b: Board, t: Footprint): [number, number][] {
  const count = ([w, d]: [number, number]) => Math.floor(b.widthMm / w) * Math.floor(b.depthMm / d)
  const [a, z]: [[number, number], [number, number]] = [
    [t.widthMm, t.depthMm],
    [t.depthMm, t.widthMm],
  ]
  return count(z) > count(a) ? [z, a] : [a, z]
}

function newRow(b: Board, rows: Row[], w: number, d: number): Row | undefined {
  const y = rows.reduce((sum, r) => sum + r.d, 0)
  if (w > b.widthMm || y + d > b.depthMm) return undefined
  const row: Row = { y, d, used: 0, slots: [] }
  rows.push(row)
  return row
}

/** How many things of one size a rack takes at once. */
export function takesOfSize(boards: readonly Board[], size: Footprint): number {
  return boards
    .filter((b) => b.clearMm >= size.heightMm)
    .reduce((sum, b) => {
      const [[w, d]] = waysOf(b, size) as [[number, number]]
      return sum + Math.floor(b.widthMm / w) * Math.floor(b.depthMm / d)
    }, 0)
}

/** So many of each size, together. */
export interface Sized {
  size: Footprint
  count: number
}
/** How things of several sizes lie on a rack all at once: how many of them find no place, and how many more of the first size would. */
export function roomFor(boards: readonly Board[], sizes: readonly Sized[]): { short: number; free: number } {
  const things = sizes.flatMap(({ size, count }, k) =>
    Array.from({ length: count }, (_, i): Lying => ({ ...size, id: `${k}.${i}`, fromMin: 0, toMin: 1 })),
  )
  const short = placeOnRack(boards, things).left.length
  const first = sizes[0]
  if (short > 0 || !first) return { short, free: 0 }
  const most = takesOfSize(boards, first.size)
  const more = Array.from({ length: most }, (_, i): Lying => ({ ...first.size, id: `+${i}`, fromMin: 0, toMin: 1 }))
  return { short, free: most - placeOnRack(boards, [...things, ...more]).left.length }
}
