import { t } from '#core/language'
import PDFDocument from 'pdfkit'
import type { House } from '#core/house'
import type { RunText } from '#core/phrases'
import { bytesOf, heightOf, registerFaces, write, type Doc } from './ink'

const mm = 72 / 25.4
const margin = 12 * mm
const ink = '#000000'
/** Letters in points: the largest with which the class stands on one page; the smallest goes on over the page rather than smaller. */
const sizes = [20, 17, 15, 13, 11.5, 10, 9]

/** Run sheets as a PDF, black only, each on a page of its own: one for the room, one for each helper. Resolves to the bytes. */
export function runPdf(sheets: readonly RunText[], paper: House['paper']): Promise<Buffer> {
  const doc = new PDFDocument({
    size: paper === 'a4' ? 'A4' : 'LETTER',
    margin,
    autoFirstPage: false,
    info: { Title: sheets[0]?.title ?? t('Run sheet'), Producer: 'Imprenta', Creator: 'Imprenta' },
  })
  const done = bytesOf(doc)
  registerFaces(doc)
  for (const s of sheets) {
    doc.addPage()
    page(doc, s)
  }
  doc.end()
  return done
}

function page(doc: Doc, r: RunText): void {
  const width = doc.page.width - 2 * margin
  const bottom = doc.page.height - margin
  let y = write(doc, r.title, { x: margin, y: margin, width, size: r.title.length > 40 ? 18 : 24, style: 'head', color: ink })
  y = write(doc, r.about, { x: margin, y: y + 1, width, size: 12, color: ink })
  if (r.doubt) y = write(doc, r.doubt, { x: margin, y: y + 2, width, size: 13, style: 'bold', color: ink })
  y += 6
  // With how to know where that still stands on one page in letters that can be read at arm's length.
  const fits = (size: number, know: boolean) => tall(doc, r, width, size, know) <= bottom - y
  const withWords = sizes.find((n) => n >= 11 && fits(n, true))
  const size = withWords ?? sizes.find((n) => fits(n, false)) ?? sizes.at(-1)!
  const know = withWords !== undefined
  const [atWide, whoWide] = columns(width, size)
  for (const l of r.lines) {
    const h = lineTall(doc, l, width, size, know)
    if (y + h > bottom) {
      doc.addPage()
      y = margin
    }
    if (l.forAll)
      doc
        .rect(margin - 3, y - 1, width + 6, h)
        .lineWidth(1.2)
        .strokeColor(ink)
        .stroke()
    else
      doc
        .moveTo(margin, y - 1)
        .lineTo(margin + width, y - 1)
        .lineWidth(0.4)
        .strokeColor(ink)
        .stroke()
    write(doc, l.at, { x: margin, y, width: atWide, size, style: 'bold', color: ink })
    write(doc, l.who, { x: margin + atWide, y, width: whoWide - 6, size, ...(l.forAll && { style: 'bold' as const }), color: ink })
    const x = margin + atWide + whoWide
    const left = width - atWide - whoWide
    const under = write(doc, l.what, { x, y, width: left, size, ...(l.alone ? {} : { style: 'bold' as const }), color: ink })
    if (know && l.know) write(doc, l.know, { x, y: under, width: left, size: size * 0.78, color: ink })
    y += h
  }
  for (const c of r.cautions) {
    const h = heightOf(doc, c, width, 9.5) + 2
    if (y + h + 6 > bottom) break
    y = write(doc, c, { x: margin, y: y + 4, width, size: 9.5, color: ink })
  }
}

const columns = (width: number, size: number): [number, number] => [size * 3.4, Math.min(width * 0.34, size * 9)]

function lineTall(doc: Doc, l: RunText['lines'][number], width: number, size: number, know: boolean): number {
  const [atWide, whoWide] = columns(width, size)
  const left = width - atWide - whoWide
  const what = heightOf(doc, l.what, left, size) + (know && l.know ? heightOf(doc, l.know, left, size * 0.78) : 0)
  return Math.max(what, heightOf(doc, l.who, whoWide - 6, size)) + size * 0.28
}
const tall = (doc: Doc, r: RunText, width: number, size: number, know: boolean): number =>
  r.lines.reduce((sum, l) => sum + lineTall(doc, l, width, size, know), 0)
