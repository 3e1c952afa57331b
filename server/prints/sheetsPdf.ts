import PDFDocument from 'pdfkit'
import type { House, Paper } from '#core/house'
import { outlinePath, type Outline } from '#core/recipe'
import { borderOf, furnish, rulerOf, type LaidPrint, type LaidSheet, type Line, type Print } from '#core/prints'
import { bytesOf, printedName, registerFaces, write, type Doc } from '../exports/ink'

export interface PrintsPdf {
  title: string
  paper: Paper
  gutterMm: number
  units: House['units']
  mirrored: boolean
  /** The picture's size on the piece, without its border to hold. */
  size: { widthMm: number; heightMm: number }
  stock: string
  ink: string
  leadingEdge: boolean
  outline: Outline
  /** A first page on which nothing is mirrored, for who checks. */
  proof: boolean
  /** The number of each sheet, as on the screen, and how many there are. */
  numbers: readonly number[]
  of: number
}

const mm = 72 / 25.4
const ink = '#000000'

/** Sheets at exact size, one a page, fonts embedded: pictures mirrored by their matrix where the plan says so, trim marks in the
 *  gutters, tabs with names that are never mirrored, a scale bar and a list of who is on the sheet in the waste. `develop` gives a
 *  print's picture, or undefined where there is none: its place is drawn dashed. */
export async function sheetsPdf(
  sheets: readonly LaidSheet[],
  o: PrintsPdf,
  develop: (print: Print) => Promise<Buffer | undefined>,
): Promise<Buffer> {
  const doc = new PDFDocument({ autoFirstPage: false, margin: 0, info: { Title: o.title, Producer: 'Imprenta', Creator: 'Imprenta' } })
  const done = bytesOf(doc)
  registerFaces(doc)
  const images = new Images(doc, develop)
  if (o.proof) await proofPages(doc, sheets, o, images)
  for (const [i, sheet] of sheets.entries()) {
    newPage(doc, o)
    for (const place of sheet.places) await drawPlace(doc, place, o, images)
    drawFurniture(doc, sheet, o, o.numbers[i] ?? i + 1)
  }
  if (sheets.length === 0 && !o.proof) newPage(doc, o)
  doc.end()
  return done
}

const newPage = (doc: Doc, o: PrintsPdf) => doc.addPage({ size: [o.paper.widthMm * mm, o.paper.heightMm * mm], margin: 0 })

/** Pictures by what they show: copies of one picture are in the file once. */
class Images {
  private readonly known = new Map<string, PDFKit.Mixins.ImageSrc | undefined>()
  constructor(
    private readonly doc: Doc,
    private readonly develop: (print: Print) => Promise<Buffer | undefined>,
  ) {}
  async of(print: Print): Promise<PDFKit.Mixins.ImageSrc | undefined> {
    const key = `${print.picture?.id} ${JSON.stringify(print.part ?? null)}`
    if (!this.known.has(key)) {
      const bytes = await this.develop(print)
      this.known.set(key, bytes && (this.doc as unknown as { openImage: (b: Buffer) => PDFKit.Mixins.ImageSrc }).openImage(bytes))
    }
    return this.known.get(key)
  }
}

async function drawPlace(doc: Doc, p: LaidPrint, o: PrintsPdf, images: Images): Promise<void> {
  const top = o.paper.heightMm - p.yMm - p.heightMm
  const border = borderOf(p.print)
  const [w, h] = [p.print.widthMm - 2 * border, p.print.heightMm - 2 * border]
  const image = await images.of(p.print)
  doc.save()
  doc.translate((p.xMm + p.widthMm / 2) * mm, (top + p.heightMm / 2) * mm)
  if (p.turned) doc.rotate(90)
  if (o.mirrored) doc.scale(-1, 1)
  const box = [(-w / 2) * mm, (-h / 2) * mm, w * mm, h * mm] as const
  // The whole picture's outline, also where this print is only a tile of it.
  const part = p.print.part
  const [wholeW, wholeH] = part ? [o.size.widthMm, o.size.heightMm] : [w, h]
  const corner = part ? { x: -w / 2 - part.xMm, y: h / 2 - (wholeH - part.yMm) } : { x: -w / 2, y: -h / 2 }
  const alongOutline = () => {
    doc.translate(corner.x * mm, corner.y * mm)
    doc.path(outlinePath(o.outline, wholeW * mm, wholeH * mm))
  }
  if (image) {
    doc.save()
    if (o.outline !== 'straight') {
      alongOutline()
      doc.clip()
      doc.translate(-corner.x * mm, -corner.y * mm)
    }
    doc.image(image, box[0], box[1], { width: box[2], height: box[3] })
    doc.restore()
  } else
    doc
      .rect(...box)
      .lineWidth(0.6)
      .dash(4, { space: 3 })
      .strokeColor(ink)
      .stroke()
      .undash()
  if (p.print.picture?.edit?.outline || o.outline !== 'straight') {
    doc.rect(...box).clip()
    alongOutline()
    doc.lineWidth(0.3).strokeColor(ink).stroke()
  }
  doc.restore()
  trimMarks(doc, { x: p.xMm, y: top, w: p.widthMm, h: p.heightMm }, o.gutterMm)
}

/** Short lines in the gutter at each corner, clear of the picture. */
function trimMarks(doc: Doc, r: { x: number; y: number; w: number; h: number }, gutterMm: number): void {
  const length = Math.min(2.2, gutterMm / 2 - 0.6)
  if (length <= 0.3) return
  const away = 0.5
  doc.lineWidth(0.35).strokeColor(ink)
  for (const [x, dx] of [
    [r.x, -1],
    [r.x + r.w, 1],
  ] as const)
    for (const [y, dy] of [
      [r.y, -1],
      [r.y + r.h, 1],
    ] as const) {
      doc.moveTo((x + dx * away) * mm, y * mm).lineTo((x + dx * (away + length)) * mm, y * mm)
      doc.moveTo(x * mm, (y + dy * away) * mm).lineTo(x * mm, (y + dy * (away + length)) * mm)
    }
  doc.stroke()
}

function drawFurniture(doc: Doc, sheet: LaidSheet, o: PrintsPdf, number: number): void {
  const { tabs, bar, list } = furnish(sheet, o.paper, o.gutterMm, o.units)
  sheet.places.forEach((p, i) => {
    const tab = tabs[i]
    // Without room for the list the first tab carries the sheet's number.
    const label = `${!list && i === 0 ? `${number}/${o.of}  ` : ''}${named(p.print)}`
    if (tab) inLine(doc, tab, o, (width) => write(doc, label, { x: 1.5 * mm, y: 0, width, size: 6 }))
  })
  if (bar) inLine(doc, bar, o, () => scaleBar(doc, bar, o))
  const who = [...new Set(sheet.places.map((p) => named(p.print)))]
  if (list)
    inLine(doc, list, o, (width, height) => {
      const y = write(doc, sheetHead(o, number), { x: 0, y: 0, width, size: 7, style: 'bold' })
      if (y + 8 < height) write(doc, who.join(', '), { x: 0, y: y + 2, width, size: 7 })
    })
  if (o.leadingEdge) {
    const x = (o.paper.widthMm / 2) * mm
    const y = (o.paper.marginMm + 0.5) * mm
    doc
      .moveTo(x, y)
      .lineTo(x - 5, y + 7)
      .lineTo(x + 5, y + 7)
      .closePath()
      .fillColor(ink)
      .fill()
    write(doc, 'this edge first, tissue side to be printed', { x: x + 9, y: y - 1, width: 200, size: 6 })
  }
}

/** What a sheet says of itself in its waste. */
export const sheetHead = (o: PrintsPdf, number: number): string =>
  `${number}/${o.of}  ${o.ink}, ${o.stock}${o.mirrored ? ', mirrored' : ', not mirrored'}. Print at 100 %, never “fit to page”.`

export const named = (print: Print): string => printedName(print.label, print.seat ?? print.id)

/** Draws in a line's own coordinates: from its upper left corner, or from its lower left one when it stands upright. */
function inLine(doc: Doc, line: Line, o: PrintsPdf, draw: (width: number, height: number) => void): void {
  doc.save()
  const top = (o.paper.heightMm - line.yMm - line.heightMm) * mm
  if (line.upright) {
    doc.translate(line.xMm * mm, top + line.heightMm * mm).rotate(-90)
    draw(line.heightMm * mm, line.widthMm * mm)
  } else {
    doc.translate(line.xMm * mm, top)
    draw(line.widthMm * mm, line.heightMm * mm)
  }
  doc.restore()
}

/** A ruler with its length in words under it; a narrow one has short ticks and small words. */
function scaleBar(doc: Doc, bar: Line, o: PrintsPdf): void {
  const { lengthMm, ticksMm, says, narrow } = rulerOf(bar, o.units)
  const [top, base] = narrow ? [0.2, 1.4] : [2.4, 4]
  const width = lengthMm * mm
  doc
    .lineWidth(0.8)
    .strokeColor(ink)
    .moveTo(0, base * mm)
    .lineTo(width, base * mm)
  for (const at of ticksMm) doc.moveTo(at * mm, top * mm).lineTo(at * mm, base * mm)
  doc.stroke()
  write(doc, `${says}: print at 100 %`, { x: 0, y: (base + (narrow ? 0.3 : 0.6)) * mm, width, size: narrow ? 5.5 : 7, style: 'bold' })
}

/** Every print once, as it will be seen when it is done, with its name and sheet. */
async function proofPages(doc: Doc, sheets: readonly LaidSheet[], o: PrintsPdf, images: Images): Promise<void> {
  const all = sheets.flatMap((s, i) => s.places.map((p) => ({ print: p.print, sheet: o.numbers[i] ?? i + 1 })))
  const columns = 5
  const edge = Math.max(10, o.paper.marginMm)
  const cell = (o.paper.widthMm - 2 * edge) / columns
  const high = Math.min(cell, cell * (o.size.heightMm / o.size.widthMm)) + 9
  const rows = Math.max(1, Math.floor((o.paper.heightMm - 2 * edge - 16 - 10) / high))
  const barMm = o.units === 'metric' ? 100 : 101.6
  for (let from = 0; from < Math.max(1, all.length); from += rows * columns) {
    newPage(doc, o)
    write(doc, 'Proof', { x: edge * mm, y: edge * mm, width: 200, size: 18, style: 'head' })
    write(doc, `${o.title}. As the pieces will look, not as they print${o.mirrored ? ': the sheets are mirrored' : ''}.`, {
      x: (edge + 26) * mm,
      y: (edge + 2.4) * mm,
      width: (o.paper.widthMm - 2 * edge - 26) * mm,
      size: 9,
    })
    // The proof has a bar to measure whatever the sheets have room for.
    const foot: Line = { xMm: edge, yMm: edge, widthMm: barMm, heightMm: 9, upright: false }
    inLine(doc, foot, o, () => scaleBar(doc, foot, o))
    for (const [i, { print, sheet }] of all.slice(from, from + rows * columns).entries()) {
      const x = edge + (i % columns) * cell
      const y = edge + 16 + Math.floor(i / columns) * high
      const fit = Math.min((cell - 4) / print.widthMm, (high - 10) / print.heightMm)
      const [w, h] = [print.widthMm * fit, print.heightMm * fit]
      const image = await images.of(print)
      // A tile shows its part; what is whole shows the piece's own outline.
      const along = outlinePath(print.part ? 'straight' : o.outline, w * mm, h * mm)
      doc.save().translate(x * mm, y * mm)
      doc.save().path(along).clip()
      if (image) doc.image(image, 0, 0, { width: w * mm, height: h * mm })
      doc.restore().path(along).lineWidth(0.4).strokeColor(ink).stroke()
      doc.restore()
      write(doc, `${named(print)}, sheet ${sheet}`, { x: x * mm, y: (y + h + 0.8) * mm, width: (cell - 2) * mm, size: 7 })
    }
  }
}
