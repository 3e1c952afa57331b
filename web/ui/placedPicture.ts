import type { Outline } from '#core/recipe'
import type { Design } from '#core/workshop'
import type { Size } from '#core/units'
import { pieceClip } from './pieceClip'

/** Where a picture lies on its face, in mm from its lower left corner: as it was put, else in the middle. */
export const whereOn = (face: Size, on: NonNullable<Design['on']>): { xMm: number; yMm: number } =>
  on.at ?? { xMm: (face.widthMm - on.width.mm) / 2, yMm: (face.heightMm - on.height.mm) / 2 }

/** The places that people name, for a picture of a size on a face: in mm from the lower left corner; null is the middle. */
export const namedPlaces = (face: Size, picture: Size) => {
  const rim = Math.min(face.widthMm, face.heightMm) * 0.06
  const [right, top] = [face.widthMm - picture.widthMm - rim, face.heightMm - picture.heightMm - rim]
  const [middleX, middleY] = [(face.widthMm - picture.widthMm) / 2, (face.heightMm - picture.heightMm) / 2]
  const at = (xMm: number, yMm: number) => ({ xMm: Number(Math.max(0, xMm).toFixed(1)), yMm: Number(Math.max(0, yMm).toFixed(1)) })
  return {
    middle: null,
    left: at(rim, middleY),
    right: at(right, middleY),
    top: at(middleX, top),
    foot: at(middleX, rim),
    corner: at(right, rim),
  }
}
export type NamedPlace = keyof ReturnType<typeof namedPlaces>

/** How a picture's edge is drawn over whatever fills its box. */
export function edgeStyle(edge: Design['edge'], cut: Outline): Record<string, string> {
  if (edge === 'faded') return { maskImage: 'radial-gradient(closest-side, #000 62%, transparent 100%)' }
  if (edge === 'torn') return { clipPath: `polygon(${torn()})` }
  if (edge === 'outline') return { background: 'transparent' }
  return pieceClip(cut) as Record<string, string>
}

/** A torn edge: always the same tear. */
function torn(): string {
  const n = 14
  const bite = (i: number) => [0, 2.5, 1, 3, 0.5, 2][(i * 7) % 6]!
  const side = (i: number) => (100 * i) / n
  const points = Array.from({ length: n }, (_, i) => [
    [side(i), bite(i)],
    [100 - bite(i + 3), side(i)],
    [100 - side(i), 100 - bite(i + 5)],
    [bite(i + 1), 100 - side(i)],
  ])
  return [0, 1, 2, 3].flatMap((s) => points.map((p) => `${p[s]![0]!.toFixed(1)}% ${p[s]![1]!.toFixed(1)}%`)).join(', ')
}
