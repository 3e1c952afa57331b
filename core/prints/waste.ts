import type { CutTree } from '#core/sheets'
import type { LaidSheet } from './layout'
import type { House, Paper } from '#core/house'

interface Rect {
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
}
/** Text in the waste: where its line begins, which way it runs, and how long it may be. */
export interface Line extends Rect {
  upright: boolean
}
/** What is printed beside the pictures: a tab line for each place, a scale bar, and a list of who is on the sheet. Nothing of it
 *  lies on a picture. Missing where there is no room. */
export interface Furniture {
  tabs: (Line | undefined)[]
  bar?: Line
  list?: Line
}

/** A line of a tab is so high, and keeps so far from its picture. Marked E. */
const lineMm = 2.4
const awayMm = 0.4
/** Scale bars: 4, 2, 1 in; or 100, 50, 20 mm. */
const bars = { imperial: [101.6, 50.8, 25.4], metric: [100, 50, 20] }
/** A bar is so high; a narrow one where the waste is narrow. */
const barsMm = [9, 4.2]

/** Finds room in the waste of a sheet. A tab stands in the half gutter that stays on its picture: below, above, right or left,
 *  whichever the printer reaches; the bar and the list in the largest offcuts. */
export function furnish(sheet: Pick<LaidSheet, 'places' | 'tree'>, paper: Paper, gutterMm: number, units: House['units']): Furniture {
  const printable: Rect = {
    xMm: paper.marginMm,
    yMm: paper.marginMm,
    widthMm: paper.widthMm - 2 * paper.marginMm,
    heightMm: paper.heightMm - 2 * paper.marginMm,
  }
  const room = Math.max(lineMm, gutterMm / 2 - awayMm)
  const tabs = sheet.places.map((p): Line | undefined => {
    const tries: Line[] = [
      { xMm: p.xMm, yMm: p.yMm - awayMm - lineMm, widthMm: p.widthMm, heightMm: lineMm, upright: false },
      { xMm: p.xMm, yMm: p.yMm + p.heightMm + awayMm, widthMm: p.widthMm, heightMm: lineMm, upright: false },
      { xMm: p.xMm + p.widthMm + awayMm, yMm: p.yMm, widthMm: lineMm, heightMm: p.heightMm, upright: true },
      { xMm: p.xMm - awayMm - lineMm, yMm: p.yMm, widthMm: lineMm, heightMm: p.heightMm, upright: true },
    ]
    if (room < lineMm + awayMm && gutterMm < 2 * (lineMm + awayMm)) return undefined
    return tries.find((t) => inside(t, printable) && !sheet.places.some((q) => q !== p && overlap(t, q)))
  })
  const free = offcuts(sheet.tree, { xMm: 0, yMm: 0, widthMm: paper.widthMm, heightMm: paper.heightMm })
    .map((r) => clip(r, printable, gutterMm / 2))
    .filter((r) => r.widthMm > lineMm && r.heightMm > lineMm)
    .sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)
  const found: Furniture = { tabs }
  found: for (const length of bars[units])
    for (const high of barsMm) {
      const at = free.find((r) => Math.max(r.widthMm, r.heightMm) >= length && Math.min(r.widthMm, r.heightMm) >= high)
      if (!at) continue
      const upright = at.widthMm < length
      found.bar = upright
        ? { xMm: at.xMm, yMm: at.yMm, widthMm: high, heightMm: length, upright }
        : { xMm: at.xMm, yMm: at.yMm, widthMm: length, heightMm: high, upright }
      break found
    }
  const bar = found.bar
  const rest = free
    .map((r) => (bar && overlap(r, bar) ? beside(r, bar) : r))
    .sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0]
  if (rest && Math.min(rest.widthMm, rest.heightMm) >= 4 && Math.max(rest.widthMm, rest.heightMm) >= 25)
    found.list = { ...rest, upright: rest.widthMm < rest.heightMm && rest.widthMm < 40 }
  return found
}

/** A scale bar as it is drawn, wherever it is: how long, where its ticks stand from its beginning, what it says, and whether it is a
 *  narrow one. */
export function rulerOf(bar: Rect, units: House['units']): { lengthMm: number; ticksMm: number[]; says: string; narrow: boolean } {
  const lengthMm = Math.max(bar.widthMm, bar.heightMm)
  const step = units === 'metric' ? 10 : 25.4
  const ticksMm = Array.from({ length: Math.floor(lengthMm / step + 0.001) + 1 }, (_, i) => Number((i * step).toFixed(3)))
  const says = units === 'metric' ? `${Math.round(lengthMm)} mm` : `${Math.round(lengthMm / 25.4)} in`
  return { lengthMm, ticksMm, says, narrow: Math.min(bar.widthMm, bar.heightMm) < barsMm[0]! }
}

const inside = (a: Rect, b: Rect) =>
  a.xMm >= b.xMm && a.yMm >= b.yMm && a.xMm + a.widthMm <= b.xMm + b.widthMm && a.yMm + a.heightMm <= b.yMm + b.heightMm
const overlap = (a: Rect, b: Rect) =>
  a.xMm < b.xMm + b.widthMm && b.xMm < a.xMm + a.widthMm && a.yMm < b.yMm + b.heightMm && b.yMm < a.yMm + a.heightMm

/** What the cuts throw away. */
function offcuts(tree: CutTree, r: Rect): Rect[] {
  if ('place' in tree) return []
  if ('offcut' in tree) return [r]
  const far = { x: r.xMm + r.widthMm, y: r.yMm + r.heightMm }
  return tree.cut === 'down'
    ? [
        ...offcuts(tree.first, { ...r, widthMm: tree.atMm - r.xMm }),
        ...offcuts(tree.second, { ...r, xMm: tree.atMm, widthMm: far.x - tree.atMm }),
      ]
    : [
        ...offcuts(tree.first, { ...r, heightMm: tree.atMm - r.yMm }),
        ...offcuts(tree.second, { ...r, yMm: tree.atMm, heightMm: far.y - tree.atMm }),
      ]
}

/** The part of an offcut that the printer reaches, a little away from its cut edges. */
function clip(r: Rect, printable: Rect, away: number): Rect {
  const left = Math.max(r.xMm + 1, printable.xMm)
  const low = Math.max(r.yMm + 1, printable.yMm)
  const right = Math.min(r.xMm + r.widthMm - Math.min(1, away), printable.xMm + printable.widthMm)
  const top = Math.min(r.yMm + r.heightMm - Math.min(1, away), printable.yMm + printable.heightMm)
  return { xMm: left, yMm: low, widthMm: right - left, heightMm: top - low }
}

/** The larger rectangle of an offcut that a bar in its corner leaves. */
function beside(r: Rect, bar: Rect): Rect {
  const right = { ...r, xMm: bar.xMm + bar.widthMm + 2, widthMm: r.xMm + r.widthMm - bar.xMm - bar.widthMm - 2 }
  const above = { ...r, yMm: bar.yMm + bar.heightMm + 2, heightMm: r.yMm + r.heightMm - bar.yMm - bar.heightMm - 2 }
  return right.widthMm * right.heightMm > above.widthMm * above.heightMm ? right : above
}
