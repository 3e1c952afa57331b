import { t as tr } from '#core/language'
import PDFDocument from 'pdfkit'
import type { House } from '#core/house'
import type { BeforeText } from '#core/phrases'
import { bytesOf, heightOf, registerFaces, write, type Doc } from './ink'

const mm = 72 / 25.4
const margin = 12 * mm
const ink = '#000000'
/** Letters in points, the largest that one page holds; a page more rather than smaller ones. */
const sizes = [13, 12, 11, 10]

/** The page before the class as a PDF, black only: the instructor's half on one side, the helper's on another; a page more where letters
 *  of 10 points would not do. Resolves to the bytes. */
export function beforePdf(t: BeforeText & { kicker?: string }, paper: House['paper']): Promise<Buffer> {
  const doc = new PDFDocument({
    size: paper === 'a4' ? 'A4' : 'LETTER',
    margin,
    autoFirstPage: false,
    info: { Title: t.kicker ? t.title : tr('{0}: before the class', t.title), Producer: 'Imprenta', Creator: 'Imprenta' },
  })
  const done = bytesOf(doc)
  registerFaces(doc)
  doc.addPage()
  const blocks = t.parts.map((p) => ({ title: p.by ? `${p.title}, ${p.by}` : p.title, lines: p.lines, boxes: true }))
  half(doc, t.kicker ?? tr('Before the class'), t.title, [...t.about, ...(t.doubt ? [t.doubt] : [])], blocks)
  if (t.helper.length > 0) {
    doc.addPage()
    half(
      doc,
      tr('For the helper'),
      t.title,
      [],
      t.helper.map((h) => ({ ...h, boxes: false })),
    )
  }
  doc.end()
  return done
}

interface Block {
  title: string
  lines: readonly string[]
  boxes: boolean
}

function half(doc: Doc, kicker: string, title: string, about: readonly string[], blocks: readonly Block[]): void {
  const width = doc.page.width - 2 * margin
  let y = write(doc, kicker, { x: margin, y: margin, width, size: 12, style: 'bold', color: ink })
  y = write(doc, title, { x: margin, y, width, size: title.length > 40 ? 20 : 28, style: 'head', color: ink })
  for (const line of about) y = write(doc, line, { x: margin, y: y + 1, width, size: 12, color: ink })
  y = rule(doc, y + 4, width)
  const room = 2 * (doc.page.height - margin - y)
  const columnWidth = (width - 18) / 2
  const tall = (size: number) => blocks.reduce((sum, b) => sum + heightOfBlock(doc, b, columnWidth, size), 0)
  const size = sizes.find((n) => tall(n) <= room * 0.9) ?? 11
  let column = 0
  let at = y
  let top = y
  const bottom = doc.page.height - margin
  const next = () => {
    column++
    if (column === 2) {
      doc.addPage()
      column = 0
      top = margin
    }
    at = top
  }
  for (const b of blocks) {
    // What a column holds whole is not broken between two.
    const whole = heightOfBlock(doc, b, columnWidth, size)
    if (at > top && at + whole > bottom && whole <= bottom - top) next()
    for (const [i, line] of [b.title, ...b.lines].entries()) {
      const heading = i === 0
      // A heading is never left alone at a column's end.
      const needs = heading
        ? size * 2 + lineHeight(doc, b.lines[0] ?? '', b, columnWidth, size)
        : lineHeight(doc, line, b, columnWidth, size)
      if (at + needs > bottom) next()
      const x = margin + column * (columnWidth + 18)
      if (heading) at = write(doc, line, { x, y: at + 4, width: columnWidth, size: size + 2, style: 'bold', color: ink }) + 2
      else {
        if (b.boxes)
          doc
            .rect(x + 0.5, at + 2, size - 3, size - 3)
            .lineWidth(1)
            .strokeColor(ink)
            .stroke()
        const indent = b.boxes ? size + 4 : 0
        at = write(doc, line, { x: x + indent, y: at, width: columnWidth - indent, size, color: ink }) + 2.5
      }
    }
    at += 4
  }
}

const lineHeight = (doc: Doc, line: string, b: Block, width: number, size: number): number =>
  heightOf(doc, line, width - (b.boxes ? size + 4 : 0), size) + 2.5
const heightOfBlock = (doc: Doc, b: Block, width: number, size: number): number =>
  size * 2 + 6 + b.lines.reduce((sum, l) => sum + lineHeight(doc, l, b, width, size), 0)

function rule(doc: Doc, y: number, width: number): number {
  doc
    .moveTo(margin, y)
    .lineTo(margin + width, y)
    .lineWidth(1.5)
    .strokeColor(ink)
    .stroke()
  return y + 6
}
