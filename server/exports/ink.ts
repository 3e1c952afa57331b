import * as fontkit from 'fontkit'
import type PDFKit from 'pdfkit'
import { faces, fallbacks, type Face } from './fonts'
import { fontAt } from './sfnt'

export type Doc = typeof PDFKit.prototype
type Style = keyof typeof fallbacks

const opened = new Map<Face, { hasGlyphForCodePoint(code: number): boolean }>()
const drawn = new Map<string, boolean>()
/** Whether a face has a letter; looked up once a letter, a page asks thousands of times. */
function has(face: Face, code: number): boolean {
  const key = `${face}/${code}`
  let answer = drawn.get(key)
  if (answer === undefined) drawn.set(key, (answer = open(face).hasGlyphForCodePoint(code)))
  return answer
}
function open(face: Face): { hasGlyphForCodePoint(code: number): boolean } {
  let font = opened.get(face)
  if (!font) {
    font = fontkit.openSync(faces[face]) as unknown as { hasGlyphForCodePoint(code: number): boolean }
    opened.set(face, font)
  }
  return font
}

export function registerFaces(doc: Doc): void {
  for (const [name, path] of Object.entries(faces)) doc.registerFont(name, fontAt(path))
}

/** What a document becomes, once it has ended. */
export function bytesOf(doc: Doc): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = []
    doc.on('data', (p: Buffer) => parts.push(p))
    doc.on('end', () => resolve(Buffer.concat(parts)))
    doc.on('error', reject)
  })
}

/** A style's face for each run of a text; null when some letter is in no face. */
export function runsOf(text: string, style: Style): { face: Face; text: string }[] | null {
  const runs: { face: Face; text: string }[] = []
  for (const letter of text.normalize('NFC')) {
    const code = letter.codePointAt(0)!
    const before = runs.at(-1)
    const face = before && has(before.face, code) ? before.face : fallbacks[style].find((f) => has(f, code))
    if (!face) return null
    if (before?.face === face) before.text += letter
    else runs.push({ face, text: letter })
  }
  return runs
}

/** Whether every letter of a name can be drawn. */
export const canDraw = (text: string): boolean => runsOf(text, 'head') !== null

/** A name as it is printed: one that no font can draw prints as the seat. */
export const printedName = (who: string, seat: string): string => (canDraw(who) ? who : `Seat ${seat}`)

interface Place {
  x: number
  y: number
  width: number
  size: number
  style?: Style
  color?: string
  gap?: number
}

/** Draws text, wrapped within a width, in whatever faces it needs; answers with the y below it. */
export function write(doc: Doc, text: string, place: Place): number {
  return text.split('\n').reduce((y, line) => writeLine(doc, line, { ...place, y }), place.y)
}

function writeLine(doc: Doc, text: string, { x, y, width, size, style = 'text', color = '#241C17', gap = 0 }: Place): number {
  const runs = runsOf(text, style) ?? runsOf(text.replace(/[^\x20-\x7e]/g, '?'), style) ?? []
  doc.fillColor(color).fontSize(size)
  if (runs.length === 0) return y
  if (runs.length === 1) {
    doc.font(runs[0]!.face).text(runs[0]!.text, x, y, { width, lineGap: gap })
    return doc.y
  }
  runs.forEach((r, i) => {
    const options = { width, lineGap: gap, continued: i < runs.length - 1 }
    doc.font(r.face)
    if (i === 0) doc.text(r.text, x, y, options)
    else doc.text(r.text, options)
  })
  return doc.y
}

/** How tall a text would be. */
export function heightOf(doc: Doc, text: string, width: number, size: number, style: Style = 'text'): number {
  return text.split('\n').reduce((sum, line) => {
    const face = runsOf(line, style)?.[0]?.face ?? style
    return sum + doc.font(face).fontSize(size).heightOfString(line, { width, lineGap: 0 })
  }, 0)
}
