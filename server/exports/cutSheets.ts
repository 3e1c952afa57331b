import PDFDocument from 'pdfkit'
import type { House } from '#core/house'
import { bytesOf, registerFaces, type Doc } from './ink'

const margin = (10 * 72) / 25.4

/** Pages of small things to cut out, in a grid with dashed lines: `draw` fills each from its corner, `wide` and `tall` in points. Resolves to bytes. */
export function cutSheets<T>(
  things: readonly T[],
  { paper, title, columns, tall }: { paper: House['paper']; title: string; columns: number; tall: number },
  draw: (doc: Doc, thing: T, x: number, y: number, wide: number) => void,
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: paper === 'a4' ? 'A4' : 'LETTER',
    margin,
    autoFirstPage: false,
    info: { Title: title, Producer: 'Imprenta', Creator: 'Imprenta' },
  })
  const done = bytesOf(doc)
  registerFaces(doc)
  doc.addPage()
  const wide = (doc.page.width - 2 * margin) / columns
  const rows = Math.floor((doc.page.height - 2 * margin) / tall)
  things.forEach((thing, i) => {
    const k = i % (rows * columns)
    if (i > 0 && k === 0) doc.addPage()
    const [x, y] = [margin + (k % columns) * wide, margin + Math.floor(k / columns) * tall]
    doc.rect(x, y, wide, tall).lineWidth(0.5).dash(3, { space: 3 }).strokeColor('#000000').stroke().undash()
    draw(doc, thing, x, y, wide)
  })
  doc.end()
  return done
}
