import PDFDocument from 'pdfkit'
import type { House } from '#core/house'
import type { SheetText, Wording } from '#core/phrases'
import { drawCode } from './codeInk'
import { bytesOf, heightOf, printedName, registerFaces, write, type Doc } from './ink'
import { drawToken } from './tokenInk'

export interface SheetOptions {
  paper: House['paper']
  wording: Wording
  black: boolean
}

const mm = 72 / 25.4
const margin = 12 * mm

/** Take-home sheets as one PDF, a page each (two when the words ask for it), fonts embedded. A name that no font can draw
 *  prints as the seat, which `seats` gives; `code` is the address of its person's own page. Resolves to the bytes. */
export function sheetsPdf(
  sheets: readonly { text: SheetText; seat: string; code?: string }[],
  options: SheetOptions,
  title: string,
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: options.paper === 'a4' ? 'A4' : 'LETTER',
    margin,
    autoFirstPage: false,
    info: { Title: title, Producer: 'Imprenta', Creator: 'Imprenta' },
  })
  const done = bytesOf(doc)
  registerFaces(doc)
  for (const s of sheets) {
    doc.addPage()
    page(doc, { ...s.text, who: printedName(s.text.who, s.seat) }, options, s.code)
  }
  if (sheets.length === 0) doc.addPage()
  doc.end()
  return done
}

/** The column that a page is set in. */
interface Column {
  x: number
  width: number
  ink: string
  size: number
}

const codeWide = 84

function page(doc: Doc, t: SheetText, o: SheetOptions, code?: string): void {
  const c: Column = {
    x: margin,
    width: doc.page.width - 2 * margin,
    ink: o.black ? '#000000' : '#4A2A91',
    size: o.wording === 'large' ? 16 : 12,
  }
  let y = head(doc, t, c)
  if (code) {
    drawCode(doc, code, c.x + c.width - codeWide, y, codeWide)
    y = Math.max(when(doc, t, { ...c, width: c.width - codeWide - 12 }, y), y + codeWide + 4)
  } else y = when(doc, t, c, y)
  y = chain(doc, t, c, y)
  y = steps(doc, t, c, y)
  y = lists(doc, t, c, y)
  foot(doc, t, c, y)
}

function rule(doc: Doc, c: Column, y: number, weight = 1.5): number {
  doc
    .moveTo(c.x, y)
    .lineTo(c.x + c.width, y)
    .lineWidth(weight)
    .strokeColor('#241C17')
    .stroke()
  return y + 6
}

function head(doc: Doc, t: SheetText, c: Column): number {
  const side = 150
  const right = c.x + c.width - side
  let left = write(doc, t.who, { x: c.x, y: margin, width: c.width - side - 12, size: t.who.length > 24 ? 20 : 32, style: 'head' })
  left = write(doc, t.what, { x: c.x, y: left + 2, width: c.width - side - 12, size: c.size })
  const said = [t.house, t.workshop, t.date].filter(Boolean)
  const last = said.reduce((y, line) => write(doc, line, { x: right, y, width: side, size: 12 }), margin + 6)
  return rule(doc, c, Math.max(left, last) + 6)
}

function when(doc: Doc, t: SheetText, c: Column, top: number): number {
  let y = write(doc, t.headline, { x: c.x, y: top, width: c.width, size: c.size + 2, style: 'bold' })
  y = write(doc, t.when, { x: c.x, y: y + 2, width: c.width, size: t.when.includes('\n') ? 26 : 39, style: 'head', color: c.ink, gap: -4 })
  if (t.never) y = write(doc, t.never, { x: c.x, y: y + 4, width: c.width, size: c.size + 2, style: 'bold' })
  if (t.why) y = write(doc, t.why + (t.mark ? ` (${t.mark})` : ''), { x: c.x, y: y + 3, width: c.width, size: c.size })
  return y + 7
}

function chain(doc: Doc, t: SheetText, c: Column, top: number): number {
  const gap = c.width / Math.max(5, t.chain.length)
  t.chain.forEach((s, i) => {
    const x = c.x + 14 + i * gap
    if (i < t.chain.length - 1)
      doc
        .moveTo(x + 14, top + 12)
        .lineTo(x + gap - 14, top + 12)
        .lineWidth(1)
        .strokeColor('#241C17')
        .stroke()
    drawToken(doc, s.state, x, top + 12, 11, c.ink)
    write(doc, s.word, { x: x - 14, y: top + 28, width: gap, size: 12, style: s.done ? 'bold' : 'text' })
  })
  const words = Math.max(...t.chain.map((s) => heightOf(doc, s.word, gap, 12, s.done ? 'bold' : 'text')))
  return rule(doc, c, top + 30 + Math.max(16, words))
}

function steps(doc: Doc, t: SheetText, c: Column, top: number): number {
  if (t.steps.length === 0) return top
  if (t.stepsTitle) top = write(doc, t.stepsTitle, { x: c.x, y: top, width: c.width, size: c.size + 2, style: 'bold' }) + 4
  const columns = c.size > 12 ? 1 : 2
  const width = (c.width - (columns - 1) * 20) / columns
  const perColumn = Math.ceil(t.steps.length / columns)
  let bottom = top
  for (let k = 0; k < columns; k++) {
    let y = top
    for (const [i, s] of t.steps.slice(k * perColumn, (k + 1) * perColumn).entries()) {
      const tall = heightOf(doc, s.text, width - 24, c.size) + c.size * 2.4
      if (y + tall > doc.page.height - margin - 20) {
        doc.addPage()
        y = margin
      }
      const x = c.x + k * (width + 20)
      write(doc, String(k * perColumn + i + 1), { x, y, width: 22, size: c.size + 6, style: 'head', color: c.ink })
      const beside = s.state ? c.size + 6 : 0
      if (s.state) drawToken(doc, s.state, x + width - 8, y + 9, (c.size + 2) / 2, c.ink)
      y = write(doc, s.title, { x: x + 24, y: y + 2, width: width - 24 - beside, size: c.size + 2, style: 'bold' })
      y = write(doc, s.text, { x: x + 24, y, width: width - 24, size: c.size }) + 4
    }
    bottom = Math.max(bottom, y)
  }
  return rule(doc, c, bottom + 2)
}

function lists(doc: Doc, t: SheetText, c: Column, top: number): number {
  const blocks: [string, string[], 'box' | 'dash'][] = [
    [t.titles.bag, t.bag, 'box'],
    [t.titles.whatIf, t.faults.map((f) => `${f.seen}: ${f.now}`), 'dash'],
    [t.titles.care, t.cautions, 'dash'],
  ]
  const shown = blocks.filter(([, items]) => items.length > 0)
  const columns = c.size > 12 ? 1 : shown.length
  const width = (c.width - (columns - 1) * 16) / Math.max(1, columns)
  const tall = shown.map(([, items]) => items.reduce((sum, i) => sum + heightOf(doc, i, width - 16, c.size) + 1, c.size * 2))
  let y = top
  let bottom = top
  shown.forEach(([title, items, bullet], k) => {
    const needed = columns === 1 ? tall[k]! : Math.max(...tall)
    if (k % columns === 0 && y + needed > doc.page.height - margin - footHeight(doc, t, c)) {
      doc.addPage()
      y = margin
      bottom = margin
    }
    const end = list(doc, title, items, bullet, { ...c, x: c.x + (k % columns) * (width + 16), width }, y)
    bottom = Math.max(bottom, end)
    if (columns === 1) y = end + 6
  })
  return bottom + 4
}

function list(doc: Doc, title: string, items: string[], bullet: 'box' | 'dash', c: Column, top: number): number {
  let y = write(doc, title, { x: c.x, y: top, width: c.width, size: c.size + 2, style: 'bold' }) + 3
  for (const item of items) {
    if (bullet === 'box')
      doc
        .rect(c.x + 0.5, y + 2, c.size - 4, c.size - 4)
        .lineWidth(1)
        .strokeColor('#241C17')
        .stroke()
    else
      doc
        .moveTo(c.x, y + c.size * 0.6)
        .lineTo(c.x + 7, y + c.size * 0.6)
        .lineWidth(1.5)
        .strokeColor('#241C17')
        .stroke()
    y = write(doc, item, { x: c.x + 16, y, width: c.width - 16, size: c.size }) + 1
  }
  return y
}

/** What the foot takes: a rule, the care line, whom to ask. */
const footHeight = (doc: Doc, t: SheetText, c: Column) =>
  heightOf(doc, t.care, c.width, 12) + heightOf(doc, asking(t), c.width, 12, 'bold') + 12
const asking = (t: SheetText) => t.ask + (t.mark ? `    ${t.titles.mark}` : '')

function foot(doc: Doc, t: SheetText, c: Column, top: number): void {
  const needed = footHeight(doc, t, c)
  if (top + needed > doc.page.height - margin) doc.addPage()
  const y = Math.max(doc.page.height - margin - needed, doc.y > doc.page.height - margin - needed ? top : 0)
  const below = write(doc, t.care, { x: c.x, y: rule(doc, c, y, 0.75), width: c.width, size: 12 })
  write(doc, asking(t), { x: c.x, y: below + 2, width: c.width, size: 12, style: 'bold' })
}
