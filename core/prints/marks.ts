import type { CutTree } from '#core/sheets'
import { rulerMm, type LengthUnit } from '#core/units'

interface Box {
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
}
/** A moved cut keeps so far from every picture. */
const clearMm = 0.5

/** The same cuts, each moved to the nearest mark of a trimmer's ruler, counted from the edge of what lies on it: a sixteenth of an
 *  inch, or a millimetre. A cut stays where it is when the mark would bring it to a picture. Cuts follow each other from the
 *  edges that earlier ones leave, so rounding does not add up. */
export function onMarks(tree: CutTree, places: readonly Box[], sheet: { widthMm: number; heightMm: number }, unit: LengthUnit): CutTree {
  const mark = rulerMm(unit)
  const walk = (t: CutTree, b: Box): CutTree => {
    if (!('cut' in t)) return t
    const down = t.cut === 'down'
    const from = down ? b.xMm : b.yMm
    const at = Number((from + Math.round((t.atMm - from) / mark) * mark).toFixed(6))
    const atMm = at > from && clear(at, down, places, b) ? at : t.atMm
    const first = down ? { ...b, widthMm: atMm - from } : { ...b, heightMm: atMm - from }
    const second = down ? { ...b, xMm: atMm, widthMm: b.xMm + b.widthMm - atMm } : { ...b, yMm: atMm, heightMm: b.yMm + b.heightMm - atMm }
    return { ...t, atMm, first: walk(t.first, first), second: walk(t.second, second) }
  }
  return walk(tree, { xMm: 0, yMm: 0, ...sheet })
}

/** No picture of this block lies on the line, nor within a hair of it. */
const clear = (at: number, down: boolean, places: readonly Box[], b: Box): boolean =>
  places.every((p) => {
    const inBlock = p.xMm < b.xMm + b.widthMm && p.xMm + p.widthMm > b.xMm && p.yMm < b.yMm + b.heightMm && p.yMm + p.heightMm > b.yMm
    const [low, high] = down ? [p.xMm, p.xMm + p.widthMm] : [p.yMm, p.yMm + p.heightMm]
    return !inBlock || at <= low - clearMm || at >= high + clearMm
  })
