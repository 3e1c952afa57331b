import { furnish, rulerOf, type LaidSheet, type Line } from '#core/prints'
import { outlined, wrapped } from '../exports/letters'
import { named, sheetHead, type PrintsPdf } from './sheetsPdf'

/** Sizes in mm: letters of a tab, of the list, of the bar; as in the PDF, where they are points. */
const letters = { tab: 2.1, list: 2.5, bar: 2.5 }
const ink = '#000'

/** What stands beside the pictures of a sheet, as SVG in mm from its upper left corner: tabs, bar, list, trim marks. */
export function sheetMarks(sheet: LaidSheet, o: PrintsPdf, number: number): string {
  const { tabs, bar, list } = furnish(sheet, o.paper, o.gutterMm, o.units)
  const high = o.paper.heightMm
  const parts = sheet.places.flatMap((p, i) => {
    const tab = tabs[i]
    const label = `${!list && i === 0 ? `${number}/${o.of}  ` : ''}${named(p.print)}`
    const box = { x: p.xMm, y: high - p.yMm - p.heightMm, w: p.widthMm, h: p.heightMm }
    return [...(tab ? [inLine(tab, high, write(label, 0.5, letters.tab, letters.tab))] : []), trimMarks(box, o.gutterMm)]
  })
  if (bar) parts.push(inLine(bar, high, ruler(bar, o)))
  if (list) parts.push(inLine(list, high, listed(sheet, o, number, list)))
  return `<g fill="${ink}" stroke="none">${parts.join('')}</g>`
}

/** Draws in a line's own coordinates: from its upper left corner, or turned where it stands upright. */
function inLine(line: Line, paperMm: number, inside: string): string {
  const top = paperMm - line.yMm - line.heightMm
  const at = line.upright ? `translate(${line.xMm} ${top + line.heightMm}) rotate(-90)` : `translate(${line.xMm} ${top})`
  return `<g transform="${at}">${inside}</g>`
}

const write = (text: string, x: number, base: number, size: number, style: 'text' | 'bold' = 'text') =>
  `<path transform="translate(${x} ${base})" d="${outlined(text, size, style).path}"/>`

function ruler(bar: Line, o: PrintsPdf): string {
  const { lengthMm, ticksMm, says, narrow } = rulerOf(bar, o.units)
  const [top, base] = narrow ? [0.2, 1.4] : [2.4, 4]
  const ticks = ticksMm.map((at) => `M${at} ${top}V${base}`).join('')
  const size = narrow ? 1.9 : letters.bar
  const words = write(`${says}: print at 100 %`, 0, base + size + (narrow ? 0.3 : 0.4), size, 'bold')
  return `<path d="M0 ${base}H${lengthMm}${ticks}" fill="none" stroke="${ink}" stroke-width="0.28"/>${words}`
}

function listed(sheet: LaidSheet, o: PrintsPdf, number: number, list: Line): string {
  const [width, height] = list.upright ? [list.heightMm, list.widthMm] : [list.widthMm, list.heightMm]
  const who = [...new Set(sheet.places.map((p) => named(p.print)))].join(', ')
  const lines = [
    ...wrapped(sheetHead(o, number), letters.list, width, 'bold').map((text) => ({ text, style: 'bold' as const })),
    ...wrapped(who, letters.list, width).map((text) => ({ text, style: 'text' as const })),
  ]
  const most = Math.floor(height / (letters.list * 1.25))
  return lines
    .slice(0, most)
    .map(({ text, style }, i) => write(text, 0, letters.list * (1 + 1.25 * i), letters.list, style))
    .join('')
}

/** Short lines in the gutter at each corner, clear of the picture. */
function trimMarks(r: { x: number; y: number; w: number; h: number }, gutterMm: number): string {
  const length = Math.min(2.2, gutterMm / 2 - 0.6)
  if (length <= 0.3) return ''
  const ends = [-1, 1] as const
  const lines = ends.flatMap((dx) =>
    ends.map((dy) => {
      const [x, y] = [dx < 0 ? r.x : r.x + r.w, dy < 0 ? r.y : r.y + r.h]
      return `M${x + dx * 0.5} ${y}h${dx * length}M${x} ${y + dy * 0.5}v${dy * length}`
    }),
  )
  return `<path d="${lines.join('')}" fill="none" stroke="${ink}" stroke-width="0.12"/>`
}
