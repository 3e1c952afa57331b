import { fromMicro } from '#core/units'
import type { Around } from './locked'
import type { Part } from './part'

/** A print on a sheet, in mm from the sheet's lower left corner. `copy` counts from 0. */
export interface Place {
  id: string
  copy: number
  xMm: number
  yMm: number
  turned: boolean
  /** It was put there by hand and stays. */
  locked?: boolean
}

/** What straight cuts make of a part of a sheet. `down` cuts at an x, `across` at a y, in the sheet's own coordinates; `first`
 *  is the left or lower part. A leaf's part holds one place whole and no other, or nothing. */
export type CutTree = { cut: 'across' | 'down'; atMm: number; first: CutTree; second: CutTree } | { place: number } | { offcut: true }

export interface GangedSheet {
  places: Place[]
  cuts: CutTree
}

/** What the cutter has to know: the sheet in millionths of a mm, and whose print a piece is. */
export interface Cutting {
  sheet: { widthMm: number; heightMm: number; marginMm: number }
  gutterMm: number
  /** Name, copy and whether it lies turned, for a piece of this width and height. */
  named: (piece: number, w: number, h: number) => Pick<Place, 'id' | 'copy' | 'turned'>
}

/** A sheet's places and the cuts that take them apart, each in the middle of a gutter. Larger parts stand first, so that what is
 *  left is at the right and at the top. */
export function cutSheet(root: Part, cutting: Cutting): GangedSheet {
  const cutter = new Cutter(cutting)
  const { sheet } = cutting
  const cuts = cutter.part(root, sheet.marginMm, sheet.marginMm, cutter.farX, cutter.farY)
  return { places: cutter.places, cuts }
}

/** The same for a sheet on which some prints are locked and the others lie in the rooms beside them. */
export function cutLockedSheet(
  around: Around,
  locked: readonly Place[],
  rooms: readonly (Part | undefined)[],
  cutting: Cutting,
): GangedSheet {
  const cutter = new Cutter(cutting)
  let next = 0
  const walk = (a: Around): CutTree => {
    if ('locked' in a) return cutter.add(locked[a.locked]!)
    if ('room' in a) {
      const root = rooms[next++]
      const { x, y, w, h } = a.room
      return root ? cutter.part(root, x, y, x + w, y + h) : { offcut: true }
    }
    const first = walk(a.first)
    const second = walk(a.second)
    return cutter.cut(a.cut, a.at, first, second)
  }
  return { cuts: walk(around), places: cutter.places }
}

class Cutter {
  readonly places: Place[] = []
  readonly farX: number
  readonly farY: number
  constructor(private readonly of: Cutting) {
    const { sheet, gutterMm } = of
    this.farX = sheet.widthMm - sheet.marginMm + gutterMm
    this.farY = sheet.heightMm - sheet.marginMm + gutterMm
  }

  add(place: Place): CutTree {
    this.places.push(place)
    return { place: this.places.length - 1 }
  }

  /** A cut where a part ends: in the middle of its gutter. A cut that would run off the sheet is none: nothing is beyond. */
  cut(cut: 'across' | 'down', end: number, first: CutTree, second: CutTree): CutTree {
    const at = end - this.of.gutterMm / 2
    const edge = cut === 'down' ? this.of.sheet.widthMm : this.of.sheet.heightMm
    if (at >= edge) return first
    if (at <= 0) return second
    return { cut, atMm: fromMicro(at), first, second }
  }

  part(p: Part, x: number, y: number, endX: number, endY: number): CutTree {
    // What is left beyond the part comes off first, the longer cut before the shorter.
    const offs: ['down' | 'across', number][] = []
    if (x + p.w < endX) offs.push(['down', x + p.w])
    if (y + p.h < endY) offs.push(['across', y + p.h])
    if (offs.length === 2 && endY - y < endX - x) offs.reverse()
    const inner = p.piece >= 0 ? this.piece(p, x, y) : this.row(p, x, y)
    return offs.reduceRight<CutTree>((first, [cut, end]) => this.cut(cut, end, first, { offcut: true }), inner)
  }

  private piece(p: Part, x: number, y: number): CutTree {
    return this.add({ ...this.of.named(p.piece, p.w, p.h), xMm: fromMicro(x), yMm: fromMicro(y) })
  }

  private row(p: Part, x: number, y: number): CutTree {
    const kids = [...p.kids].sort((a, b) => (p.beside ? b.w - a.w || b.h - a.h : b.h - a.h || b.w - a.w))
    let at = p.beside ? x : y
    const parts = kids.map((k) => {
      const from = at
      at += p.beside ? k.w : k.h
      return { end: at, tree: p.beside ? this.part(k, from, y, at, y + p.h) : this.part(k, x, from, x + p.w, at) }
    })
    const last = parts.pop()!
    return parts.reduceRight<CutTree>((rest, { tree, end }) => this.cut(p.beside ? 'down' : 'across', end, tree, rest), last.tree)
  }
}

/** One cut as a trimmer takes it: where it runs from and to on the sheet, and the length kept at the stop. */
export interface Cut {
  number: number
  cut: 'across' | 'down'
  atMm: number
  fromMm: number
  toMm: number
  /** From the left or lower edge of what lies on the trimmer. */
  stopMm: number
  /** What is being cut, in mm from the sheet's lower left corner. */
  block: { xMm: number; yMm: number; widthMm: number; heightMm: number }
}

/** The cuts of a sheet in the order a trimmer takes them: what is cut off is set aside, the rest goes on; then what was set
 *  aside, last first. */
export function cutList(cuts: CutTree, sheet: { widthMm: number; heightMm: number }): Cut[] {
  const list: Cut[] = []
  const walk = (tree: CutTree, x: number, y: number, endX: number, endY: number): void => {
    if (!('cut' in tree)) return
    const { cut, atMm, first, second } = tree
    const down = cut === 'down'
    list.push({
      number: list.length + 1,
      cut,
      atMm,
      fromMm: down ? y : x,
      toMm: down ? endY : endX,
      stopMm: Number((atMm - (down ? x : y)).toFixed(6)),
      block: { xMm: x, yMm: y, widthMm: endX - x, heightMm: endY - y },
    })
    walk(second, down ? atMm : x, down ? y : atMm, endX, endY)
    walk(first, x, y, down ? atMm : endX, down ? endY : atMm)
  }
  walk(cuts, 0, 0, sheet.widthMm, sheet.heightMm)
  return list
}
