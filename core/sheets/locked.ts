import { refuse, type Refusal } from '#core/reasons'

/** A rectangle of a sheet, gutter added to its right and top; whole numbers from the sheet's lower left corner. */
export interface Box {
  x: number
  y: number
  w: number
  h: number
}
export interface LockedBox extends Box {
  id: string
}

/** How straight cuts set what is locked apart, and the rooms that stay free. */
export type Around = { cut: 'across' | 'down'; at: number; first: Around; second: Around } | { locked: number } | { room: Box }

/** Cuts a sheet round prints that must stay where they are: each cut runs from edge to edge of what it cuts and leaves the largest
 *  free rectangle it can. Refuses prints that overlap, stand outside, or that no straight cut parts. Greedy; O(n^2) cuts for n
 *  prints. Own method.
 *
 *      +-----------+     +-------+---+
 *      |     room 1|     |  room | r |
 *      +---+-------+     |       | o |
 *      | L | room 2|     +---+---+ o |
 *      +---+-------+     | L | . | m |
 *                        +---+---+---+
 */
export function cutAround(boxes: readonly LockedBox[], sheet: Box): Around | Refusal {
  const outside = boxes.filter((b) => b.x < sheet.x || b.y < sheet.y || b.x + b.w > sheet.x + sheet.w || b.y + b.h > sheet.y + sheet.h)
  if (outside.length > 0) return stays(outside, 'it reaches over the printable edge', 'move it inside the dotted line')
  const clash = boxes.find((a, i) => boxes.some((b, k) => k < i && overlap(a, b)))
  if (clash) return stays([clash], 'it is nearer to another than the gutter', 'move it away, or lock only one of them')
  const list = boxes.map((b, i) => ({ ...b, index: i }))
  const tree = part(list, sheet)
  return tree ?? stays(boxes, 'no straight cut goes between them', 'move one of them in line with another, or unlock one')
}

const stays = (boxes: readonly LockedBox[], why: string, remedy: string) =>
  refuse(`${boxes.map((b) => b.id).join(', ')} cannot stay there`, why, [remedy])

const overlap = (a: Box, b: Box) => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h

type Indexed = Box & { index: number }

function part(boxes: readonly Indexed[], region: Box): Around | undefined {
  const [one] = boxes
  if (!one) return { room: region }
  if (boxes.length === 1 && one.w === region.w && one.h === region.h) return { locked: one.index }
  for (const c of cutsOf(boxes, region)) {
    const first = part(c.before, c.first)
    const second = first && part(c.after, c.second)
    if (second) return { cut: c.cut, at: c.at, first, second }
  }
  return undefined
}

interface Candidate {
  cut: 'across' | 'down'
  at: number
  first: Box
  second: Box
  before: Indexed[]
  after: Indexed[]
  free: number
}

/** Cuts along the edges of what is locked that cross none of it: the one that sets the largest free room apart first. Only
 *  when none sets a room free does it cut between. */
function cutsOf(boxes: readonly Indexed[], r: Box): Candidate[] {
  const found: Candidate[] = []
  for (const cut of ['across', 'down'] as const) {
    const [from, size] = cut === 'down' ? (['x', 'w'] as const) : (['y', 'h'] as const)
    for (const at of new Set(boxes.flatMap((b) => [b[from], b[from] + b[size]]))) {
      if (at <= r[from] || at >= r[from] + r[size] || boxes.some((b) => b[from] < at && at < b[from] + b[size])) continue
      const first = { ...r, [size]: at - r[from] }
      const second = { ...r, [from]: at, [size]: r[from] + r[size] - at }
      const before = boxes.filter((b) => b[from] < at)
      const after = boxes.filter((b) => b[from] >= at)
      const free = (before.length === 0 ? first.w * first.h : 0) + (after.length === 0 ? second.w * second.h : 0)
      found.push({ cut, at, first, second, before, after, free })
    }
  }
  const sorted = found.sort((a, b) => b.free - a.free || a.at - b.at)
  // A cut that only sets a free room apart takes no way out away, so it need not be taken back.
  return sorted[0] && sorted[0].free > 0 ? sorted.slice(0, 1) : sorted
}

export const roomsOf = (a: Around): Box[] => ('room' in a ? [a.room] : 'locked' in a ? [] : [...roomsOf(a.first), ...roomsOf(a.second)])
