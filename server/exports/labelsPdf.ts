import { t } from '#core/language'
import type { House } from '#core/house'
import type { ShelfLabel } from '#core/phrases'
import { cutSheets } from './cutSheets'
import { heightOf, write, type Doc } from './ink'

const mm = 72 / 25.4
const ink = '#000000'
const [columns, tall] = [3, 34 * mm]

/** Labels to cut and lay with the pieces on the shelf: the place large, whose it is, and never before when; black only. Resolves to bytes. */
export const labelsPdf = (labels: readonly ShelfLabel[], paper: House['paper'], title: string): Promise<Buffer> =>
  cutSheets(labels, { paper, title: t('{0}: shelf labels', title), columns, tall }, label)

function label(doc: Doc, l: ShelfLabel, x: number, y: number, wide: number): void {
  const [inner, width] = [x + 8, wide - 16]
  const big = l.place.length > 6 ? 18 : 26
  write(doc, l.place, { x: inner, y: y + 6, width: width * 0.44, size: big, style: 'head', color: ink })
  const fits = (text: string, size: number, w: number) => (heightOf(doc, text, w, size) > size * 1.6 ? shorter(doc, text, size, w) : text)
  write(doc, fits(l.who, 14, width * 0.54), {
    x: inner + width * 0.46,
    y: y + 10,
    width: width * 0.54,
    size: 14,
    style: 'bold',
    color: ink,
  })
  write(doc, fits(l.title, 9, width), { x: inner, y: y + 40, width, size: 9, color: ink })
  write(doc, l.never, { x: inner, y: y + 54, width, size: 10.5, style: 'bold', color: ink })
  write(doc, l.better, { x: inner, y: y + 69, width, size: 10.5, color: ink })
}

/** A text cut so that it stands on one line, with a mark that it was. */
function shorter(doc: Doc, text: string, size: number, width: number): string {
  let cut = text
  while (cut.length > 1 && heightOf(doc, `${cut}…`, width, size) > size * 1.6) cut = cut.slice(0, -1)
  return `${cut.trimEnd()}…`
}
