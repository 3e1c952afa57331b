import type { Size } from '#core/units'

/** Equal pictures on one sheet, in a grid. Lengths in mm from the sheet's lower left corner. */
export interface SheetGrid {
  perSheet: number
  turned: boolean
  columns: number
  rows: number
  places: { xMm: number; yMm: number }[]
}

/** As many equal pictures as a grid holds inside the printable area, a gutter apart, all upright or all turned.
 *  0 when even one does not fit. Exact for grids; a mixed arrangement may hold more. Ties: upright. Own method. */
export function gridOnSheet(picture: Size, sheet: Size, marginMm: number, gutterMm: number): SheetGrid {
  const upright = grid(picture, sheet, marginMm, gutterMm, false)
  const turned = grid({ widthMm: picture.heightMm, heightMm: picture.widthMm }, sheet, marginMm, gutterMm, true)
  return turned.perSheet > upright.perSheet ? turned : upright
}

function grid(p: Size, sheet: Size, margin: number, gutter: number, turned: boolean): SheetGrid {
  const fits = (room: number, size: number) => Math.max(0, Math.floor((room + gutter + 1e-9) / (size + gutter)))
  const columns = fits(sheet.widthMm - 2 * margin, p.widthMm)
  const rows = fits(sheet.heightMm - 2 * margin, p.heightMm)
  const places = Array.from({ length: rows * columns }, (_, i) => ({
    xMm: margin + (i % columns) * (p.widthMm + gutter),
    yMm: margin + Math.floor(i / columns) * (p.heightMm + gutter),
  }))
  return { perSheet: rows * columns, turned, columns, rows, places }
}
