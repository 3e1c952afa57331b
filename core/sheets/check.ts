import { fromMicro, micro, Decimal } from '#core/units'
import type { CutTree, GangedSheet } from './cuts'
import type { SheetsInput } from './gang'

/** What is wrong with an arrangement, whoever made it; empty when it may be printed and cut. Every print is there once, inside
 *  the printable area, a gutter from every other, and the cuts take all of them apart. `part` allows an arrangement of some of
 *  the prints. Exact in millionths of a mm. */
export function checkSheets(input: SheetsInput, sheets: readonly GangedSheet[], { part = false } = {}): string[] {
  const found: string[] = []
  const seen = new Set<string>()
  sheets.forEach((s, n) => {
    const say = (what: string) => found.push(`sheet ${n + 1}: ${what}`)
    const boxes = s.places.map((p): Rect => {
      const picture = input.pictures.find((x) => x.id === p.id)
      if (!picture || p.copy < 0 || p.copy >= picture.count) return { left: 0, low: 0, right: 0, top: 0, unknown: `${p.id} ${p.copy}` }
      if (seen.has(`${p.id} ${p.copy}`)) say(`${p.id} ${p.copy} is there twice`)
      seen.add(`${p.id} ${p.copy}`)
      if (p.turned && !picture.mayTurn) say(`${p.id} may not be turned`)
      const [x, y] = [toMicro(p.xMm), toMicro(p.yMm)]
      const [w, h] = p.turned ? [picture.heightMm, picture.widthMm] : [picture.widthMm, picture.heightMm]
      return { left: x, low: y, right: x + w, top: y + h }
    })
    for (const b of boxes) if (b.unknown) say(`${b.unknown} is no print`)
    if (boxes.some((b) => b.unknown)) return
    const { widthMm, heightMm, marginMm } = input.sheet
    boxes.forEach((b, i) => {
      const name = s.places[i]!.id
      if (b.left < marginMm || b.low < marginMm || b.right > widthMm - marginMm || b.top > heightMm - marginMm) say(`${name} is not inside`)
      const near = boxes.findIndex((c, k) => k < i && !apart(b, c, input.gutterMm))
      if (near >= 0) say(`${name} is nearer to ${s.places[near]!.id} than the gutter`)
    })
    const cut = new Set<number>()
    walk(
      s.cuts,
      { left: 0, low: 0, right: widthMm, top: heightMm },
      boxes,
      boxes.map((_, i) => i),
      cut,
      say,
    )
    if (cut.size !== boxes.length) say('the cuts do not come to every print')
  })
  const all = input.pictures.reduce((sum, p) => sum + p.count, 0)
  if (!part && seen.size !== all) found.push(`${all - seen.size} prints are missing`)
  return found
}

interface Rect {
  left: number
  low: number
  right: number
  top: number
  unknown?: string
}
const toMicro = (mm: number) => micro(new Decimal(mm))

const apart = (a: Rect, b: Rect, gutter: number) =>
  b.left - a.right >= gutter || a.left - b.right >= gutter || b.low - a.top >= gutter || a.low - b.top >= gutter

function walk(tree: CutTree, r: Rect, boxes: readonly Rect[], inside: number[], cut: Set<number>, say: (what: string) => void): void {
  if ('place' in tree) {
    if (inside.length !== 1 || inside[0] !== tree.place) say(`a part that is cut out for one print holds ${inside.length}`)
    cut.add(tree.place)
    return
  }
  if ('offcut' in tree) {
    if (inside.length > 0) say('an offcut holds a print')
    return
  }
  const down = tree.cut === 'down'
  const at = toMicro(tree.atMm)
  if (at <= (down ? r.left : r.low) || at >= (down ? r.right : r.top)) return say(`a cut at ${fromMicro(at)} mm runs outside its part`)
  const before = inside.filter((i) => (down ? boxes[i]!.right : boxes[i]!.top) <= at)
  const after = inside.filter((i) => (down ? boxes[i]!.left : boxes[i]!.low) >= at)
  if (before.length + after.length !== inside.length) return say(`the cut at ${fromMicro(at)} mm goes through a print`)
  walk(tree.first, down ? { ...r, right: at } : { ...r, top: at }, boxes, before, cut, say)
  walk(tree.second, down ? { ...r, left: at } : { ...r, low: at }, boxes, after, cut, say)
}
