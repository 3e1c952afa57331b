import type { PieceState } from '#core/recipe'
import type { Doc } from './ink'

type Shape = 'square' | 'diamond' | 'hexagon' | 'ring' | 'disc'
const look: Record<PieceState, { shape: Shape; tone: number }> = {
  'to-print': { shape: 'square', tone: 0 },
  printed: { shape: 'square', tone: 0.09 },
  laid: { shape: 'square', tone: 0.2 },
  cured: { shape: 'diamond', tone: 0.4 },
  'rub-1': { shape: 'hexagon', tone: 0.62 },
  'rub-2': { shape: 'ring', tone: 0.84 },
  sealed: { shape: 'disc', tone: 1 },
}

const hexagon = (cx: number, cy: number, r: number): [number, number][] =>
  Array.from({ length: 6 }, (_, i) => [cx + r * Math.cos((Math.PI / 3) * i), cy + r * Math.sin((Math.PI / 3) * i)])

function outline(doc: Doc, shape: Shape, cx: number, cy: number, r: number): Doc {
  if (shape === 'disc') return doc.circle(cx, cy, r)
  if (shape === 'square') return doc.rect(cx - r * 0.85, cy - r * 0.85, r * 1.7, r * 1.7)
  if (shape === 'diamond') return doc.polygon([cx, cy - r], [cx + r, cy], [cx, cy + r], [cx - r, cy])
  return doc.polygon(...hexagon(cx, cy, r))
}

/** A token of the halftone ramp: shape and dots carry it in black alone. */
export function drawToken(doc: Doc, state: PieceState, cx: number, cy: number, r: number, ink: string): void {
  const { shape, tone } = look[state]
  doc.save()
  if (tone === 1) {
    outline(doc, shape, cx, cy, r).fill(ink)
    doc.restore()
    return
  }
  outline(doc, shape, cx, cy, r).clip()
  dots(doc, cx, cy, r, tone, ink)
  doc.restore()
  outline(doc, shape, cx, cy, r).lineWidth(1.2).strokeColor(ink).stroke()
  if (shape === 'ring')
    outline(doc, 'hexagon', cx, cy, r * 0.72)
      .lineWidth(0.8)
      .strokeColor(tone > 0.5 ? '#FFFFFF' : ink)
      .stroke()
}

/** Dots on a 45 degree screen; above half the ground is ink and the dots are paper. */
function dots(doc: Doc, cx: number, cy: number, r: number, tone: number, ink: string): void {
  const period = r * 0.42
  const share = tone > 0.5 ? 1 - tone : tone
  const radius = period * Math.sqrt(share / Math.PI)
  if (tone > 0.5) doc.rect(cx - r, cy - r, 2 * r, 2 * r).fill(ink)
  const n = Math.ceil((2 * r) / period)
  for (let i = -n; i <= n; i++)
    for (let j = -n; j <= n; j++) doc.circle(cx + ((i + j) * period) / Math.SQRT2, cy + ((i - j) * period) / Math.SQRT2, radius)
  doc.fill(tone > 0.5 ? '#FFFFFF' : ink)
}
