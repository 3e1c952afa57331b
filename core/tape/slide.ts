/** A keep-clear box inside the picture, in whole millionths of a mm: from/to over the seams' side, begin/end along them. */
export interface Band {
  from: number
  to: number
  begin: number
  end: number
}

/** The side that seams are spread over, and the offsets the set may take: first..last. */
export interface Side {
  length: number
  n: number
  pitch: number
  overlap: number
  first: number
  last: number
}

/** The start of the set of strips with the least seam over boxes; then the nearest seam farthest from the middle
 *  (to 0.1 mm), then the smallest start. The cost is constant between breakpoints and never higher on one, so the
 *  breakpoints, the ends and the points where two seams are equally near the middle hold an optimum. Exact. */
export function cheapestStart(side: Side, boxes: Band[]): { start: number; onKeepClear: number } {
  const pairs = near(side, boxes)
  const starts = new Set([side.first, side.last])
  for (const { seam, box } of pairs)
    for (const at of [box.to - seam * side.pitch, box.from - side.overlap - seam * side.pitch])
      if (at > side.first && at < side.last) starts.add(at)
  for (let k = 1; k < side.n - 1; k++) {
    const at = Math.round((side.length - side.overlap) / 2 - (k + 0.5) * side.pitch)
    if (at > side.first && at < side.last) starts.add(at)
  }
  let best: { start: number; onKeepClear: number; distance: number } | undefined
  for (const start of [...starts].sort((a, b) => a - b)) {
    const onKeepClear = crossed(start, side, pairs)
    if (best && onKeepClear > best.onKeepClear) continue
    const distance = Math.round(fromMiddle(start, side) / 100_000)
    if (!best || onKeepClear < best.onKeepClear || distance > best.distance) best = { start, onKeepClear, distance }
  }
  return best!
}

interface Pair {
  seam: number
  box: Band
}

/** The seams and boxes that overlap at some offset, by seam. */
function near(side: Side, boxes: Band[]): Pair[] {
  const pairs: Pair[] = []
  for (let seam = 1; seam < side.n; seam++) {
    const lowest = side.first + seam * side.pitch
    const highest = side.last + seam * side.pitch + side.overlap
    for (const box of boxes) if (box.from < highest && box.to > lowest) pairs.push({ seam, box })
  }
  return pairs
}

/** Length of seam line over boxes; counted once where boxes overlap. Touching is not crossing. */
function crossed(start: number, side: Side, pairs: Pair[]): number {
  let total = 0
  for (let i = 0; i < pairs.length;) {
    const { seam } = pairs[i]!
    const from = start + seam * side.pitch
    const under: Band[] = []
    for (; i < pairs.length && pairs[i]!.seam === seam; i++) {
      const { box } = pairs[i]!
      if (box.from < from + side.overlap && box.to > from) under.push(box)
    }
    total += unionLength(under)
  }
  return total
}

function unionLength(boxes: Band[]): number {
  let total = 0
  let reached = -Infinity
  for (const { begin, end } of boxes.sort((a, b) => a.begin - b.begin)) {
    total += Math.max(0, end - Math.max(begin, reached))
    reached = Math.max(reached, end)
  }
  return total
}

function fromMiddle(start: number, side: Side): number {
  let nearest = Infinity
  for (let k = 1; k < side.n; k++) nearest = Math.min(nearest, Math.abs(start + k * side.pitch + side.overlap / 2 - side.length / 2))
  return nearest
}
