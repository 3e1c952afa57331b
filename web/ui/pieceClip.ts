import { outlinePoints, type Outline } from '#core/recipe'

const whole = { x: 0, y: 0, w: 1, h: 1 }

/** A piece's outline as a clip of whatever is drawn in its box, or in a part of its box (shares from the upper left corner); nothing
 *  is clipped of straight edges. */
export function pieceClip(outline: Outline, mirrored = false, part = whole): { clipPath?: string } {
  if (outline === 'straight') return {}
  const at = (p: { x: number; y: number }) => {
    const x = (p.x - part.x) / part.w
    return `${(100 * (mirrored ? 1 - x : x)).toFixed(2)}% ${((100 * (p.y - part.y)) / part.h).toFixed(2)}%`
  }
  return { clipPath: `polygon(${outlinePoints(outline).map(at).join(', ')})` }
}
