/** What a piece's face looks like from above: straight edges, round (an oval where it is longer than wide), or an uneven stone. */
export const outlines = ['straight', 'round', 'stone'] as const
export type Outline = (typeof outlines)[number]

interface Point {
  x: number
  y: number
}
const corners = 96

/** A stone's radius by angle: no stone looks quite like it, and most fit about into it (E). */
const stone = (a: number) => 1 + 0.05 * Math.cos(2 * a + 0.6) + 0.035 * Math.cos(3 * a + 2.1) + 0.015 * Math.cos(5 * a + 0.4)

function around(radius: (a: number) => number): Point[] {
  const points = Array.from({ length: corners }, (_, i) => {
    const a = (2 * Math.PI * i) / corners
    return { x: radius(a) * Math.cos(a), y: radius(a) * Math.sin(a) }
  })
  const fitted = (of: (p: Point) => number) => {
    const [low, high] = [Math.min(...points.map(of)), Math.max(...points.map(of))]
    return (p: Point) => Number(((of(p) - low) / (high - low)).toFixed(5))
  }
  const [x, y] = [fitted((p) => p.x), fitted((p) => p.y)]
  return points.map((p) => ({ x: x(p), y: y(p) }))
}

const shapes: Record<Outline, readonly Point[]> = {
  straight: [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ],
  round: around(() => 1),
  stone: around(stone),
}

/** The outline's corners in shares of its box, from the upper left, clockwise. It touches the box at all four sides. */
export const outlinePoints = (outline: Outline): readonly Point[] => shapes[outline]

/** Share of its box that an outline fills: 1 for straight edges, about pi / 4 for round. */
export function outlineShare(outline: Outline): number {
  const p = shapes[outline]
  const twice = p.reduce((sum, a, i) => {
    const b = p[(i + 1) % p.length]!
    return sum + a.x * b.y - b.x * a.y
  }, 0)
  return Number((twice / 2).toFixed(4))
}

/** Whether a place, in shares of the box from its upper left, lies on the piece. Its edge counts. */
export function outlineHolds(outline: Outline, x: number, y: number): boolean {
  const p = shapes[outline]
  // From the middle every outline here is seen whole, so a place is held against the one edge that lies in its direction.
  return p.every((a, i) => {
    const b = p[(i + 1) % p.length]!
    const side = (q: Point) => (b.x - a.x) * (q.y - a.y) - (b.y - a.y) * (q.x - a.x)
    return side({ x, y }) >= -1e-6 || !between(a, b, { x, y })
  })
}

/** A place in the wedge that the middle and an edge span. */
function between(a: Point, b: Point, q: Point): boolean {
  const turn = (u: Point, v: Point) => (u.x - 0.5) * (v.y - 0.5) - (u.y - 0.5) * (v.x - 0.5)
  return turn(a, q) >= 0 && turn(q, b) >= 0
}

/** The outline as the path of a drawing `width` x `height` large, in its unit, from its upper left corner. */
export const outlinePath = (outline: Outline, width: number, height: number): string =>
  `M${shapes[outline].map((p) => `${(p.x * width).toFixed(3)} ${(p.y * height).toFixed(3)}`).join('L')}Z`

/** How far the edge is from the middle by direction, in half boxes: `n` of them, clockwise from the right. */
export function outlineReach(outline: Outline, n: number): Float32Array {
  return Float32Array.from({ length: n }, (_, i) => {
    const a = (2 * Math.PI * i) / n
    let [low, high] = [0, 1.5]
    for (let k = 0; k < 24; k++) {
      const mid = (low + high) / 2
      if (outlineHolds(outline, 0.5 + (mid / 2) * Math.cos(a), 0.5 + (mid / 2) * Math.sin(a))) low = mid
      else high = mid
    }
    return low
  })
}
