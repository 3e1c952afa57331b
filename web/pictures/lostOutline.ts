import { contours } from 'd3-contour'

/** Cells so large are looked at: what is smaller is a speck. */
const cell = 4
/** Smaller regions, and smaller holes in one, are filled or left without an outline: shares of the drawing. */
const least = { region: 0.01, hole: 0.03 }

/** The outline of what a mask marks, as the path of a drawing as large as the mask: smooth, specks left out. */
export function lostOutline(mask: Uint8Array, width: number, height: number): string {
  const [columns, rows] = [Math.ceil(width / cell), Math.ceil(height / cell)]
  const share = new Array<number>(columns * rows).fill(0)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = Math.floor(y / cell) * columns + Math.floor(x / cell)
      share[at] = share[at]! + mask[y * width + x]! / (cell * cell)
    }
  const [lost] = contours().size([columns, rows]).thresholds([0.5])(share)
  const large = (ring: readonly number[][], i: number) => area(ring) >= columns * rows * (i === 0 ? least.region : least.hole)
  const rings = (lost?.coordinates ?? []).flatMap((region) => region.filter(large))
  const place = ([x, y]: number[]) =>
    `${(Math.min(columns, Math.max(0, x!)) * cell).toFixed(1)} ${(Math.min(rows, Math.max(0, y!)) * cell).toFixed(1)}`
  return rings.map((ring) => `M${ring.map(place).join('L')}Z`).join('')
}

const area = (ring: readonly number[][]) =>
  Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [nx, ny] = ring[(i + 1) % ring.length]!
      return sum + x! * ny! - nx! * y!
    }, 0),
  ) / 2
