import { outlinePoints, type Outline } from '#core/recipe'

/** A piece's outline as a clip of whatever is drawn in its box; nothing is clipped of straight edges. */
export function pieceClip(outline: Outline, mirrored = false): { clipPath?: string } {
  if (outline === 'straight') return {}
  const at = ({ x, y }: { x: number; y: number }) => `${(100 * (mirrored ? 1 - x : x)).toFixed(2)}% ${(100 * y).toFixed(2)}%`
  return { clipPath: `polygon(${outlinePoints(outline).map(at).join(', ')})` }
}
