import type { Size } from '#core/units'
import { cutSheet, type Place } from './cuts'
import { fillByPatterns } from './patterns'

/** Equal pictures on one sheet. Lengths in mm from the sheet's lower left corner. */
export interface SheetGrid {
  perSheet: number
  places: Pick<Place, 'xMm' | 'yMm' | 'turned'>[]
}

const known = new Map<string, SheetGrid>()
const most = 400
/** A plan asks with every change: beyond so many cuts rows and columns have to do. */
const fewCuts = 250_000

/** As many equal pictures as straight cuts can take from a sheet's printable area, a gutter apart, turned or not; 0 when even one
 *  does not fit. Exact (see `fillByPatterns`), to a thousandth of a mm, so that sheets counted by it are the fewest; for very
 *  small pictures rows and columns. Answers are remembered: the same question comes with every change of a plan. */
export function gridOnSheet(picture: Size, sheet: Size, marginMm: number, gutterMm: number): SheetGrid {
  const key = [picture.widthMm, picture.heightMm, sheet.widthMm, sheet.heightMm, marginMm, gutterMm].join(' ')
  const before = known.get(key)
  if (before) return before
  const made = fill(picture, sheet, marginMm, gutterMm)
  if (known.size >= most) known.clear()
  known.set(key, made)
  return made
}

function fill(picture: Size, sheet: Size, marginMm: number, gutterMm: number): SheetGrid {
  const um = (mm: number) => Math.round(mm * 1e3) * 1e3
  const [w, h, g] = [um(picture.widthMm), um(picture.heightMm), um(gutterMm)]
  const area = { w: um(sheet.widthMm) - 2 * um(marginMm), h: um(sheet.heightMm) - 2 * um(marginMm) }
  const fits = (w <= area.w && h <= area.h) || (h <= area.w && w <= area.h)
  if (!fits || w <= 0 || h <= 0) return { perSheet: 0, places: [] }
  const room = { w: area.w + g, h: area.h + g }
  const filling = fillByPatterns([{ w: w + g, h: h + g, turn: true, count: 1 }], room, fewCuts)
  const pattern = filling?.patterns[0]?.pattern
  if (!pattern) {
    const ways = [rows(w + g, h + g, room, um(marginMm), false), rows(h + g, w + g, room, um(marginMm), true)]
    return ways[1]!.perSheet > ways[0]!.perSheet ? ways[1]! : ways[0]!
  }
  const laid = cutSheet(pattern.cut, {
    sheet: { widthMm: um(sheet.widthMm), heightMm: um(sheet.heightMm), marginMm: um(marginMm) },
    gutterMm: g,
    named: (_, pw) => ({ id: '', copy: 0, turned: pw !== w + g }),
  })
  return { perSheet: laid.places.length, places: laid.places.map(({ xMm, yMm, turned }) => ({ xMm, yMm, turned })) }
}

/** Very small pictures, too many to weigh every cut: rows and columns. */
function rows(w: number, h: number, room: { w: number; h: number }, margin: number, turned: boolean): SheetGrid {
  const columns = Math.floor(room.w / w)
  const places = Array.from({ length: columns * Math.floor(room.h / h) }, (_, i) => ({
    xMm: (margin + (i % columns) * w) / 1e6,
    yMm: (margin + Math.floor(i / columns) * h) / 1e6,
    turned,
  }))
  return { perSheet: places.length, places }
}
