import sharp, { type OverlayOptions } from 'sharp'
import { outlinePath } from '#core/recipe'
import { borderOf, type LaidSheet, type Print } from '#core/prints'
import { sheetMarks } from './sheetMarks'
import type { PrintsPdf } from './sheetsPdf'

/** Pixels an inch of a sheet's picture. */
const dpi = 200
const px = (mm: number) => Math.round((mm / 25.4) * dpi)

/** White where the piece is: of a tile, its part of the whole outline. */
function outlineMask(print: Print, o: Pick<PrintsPdf, 'outline' | 'size'>, width: number, height: number): Buffer {
  const whole = print.part ? { width: px(o.size.widthMm), height: px(o.size.heightMm) } : { width, height }
  const [x, y] = print.part ? [-px(print.part.xMm), height - (whole.height - px(print.part.yMm))] : [0, 0]
  const path = `<path transform="translate(${x} ${y})" d="${outlinePath(o.outline, whole.width, whole.height)}" fill="#fff"/>`
  return Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${path}</svg>`)
}

/** One sheet as a PNG at 200 an inch, as it prints: pictures, and beside them tabs, bar, list and trim marks. */
export async function sheetPng(
  sheet: LaidSheet,
  o: PrintsPdf,
  number: number,
  develop: (print: Print) => Promise<Buffer | undefined>,
): Promise<Buffer> {
  const layers: OverlayOptions[] = []
  for (const p of sheet.places) {
    const bytes = await develop(p.print)
    if (!bytes) continue
    const border = borderOf(p.print)
    const [width, height] = [px(p.print.widthMm - 2 * border), px(p.print.heightMm - 2 * border)]
    let made = sharp(bytes).resize(width, height, { fit: 'fill' })
    if (o.outline !== 'straight')
      made = sharp(
        await made
          .ensureAlpha()
          .composite([{ input: outlineMask(p.print, o, width, height), blend: 'dest-in' }])
          .png()
          .toBuffer(),
      )
    if (o.mirrored) made = made.flop()
    const input = p.turned
      ? await sharp(await made.png().toBuffer())
          .rotate(90)
          .png()
          .toBuffer()
      : await made.png().toBuffer()
    layers.push({ input, left: px(p.xMm + border), top: px(o.paper.heightMm - p.yMm - p.heightMm + border) })
  }
  const { widthMm, heightMm } = o.paper
  const marks = `<svg xmlns="http://www.w3.org/2000/svg" width="${px(widthMm)}" height="${px(heightMm)}" viewBox="0 0 ${widthMm} ${heightMm}">${sheetMarks(sheet, o, number)}</svg>`
  layers.push({ input: Buffer.from(marks), left: 0, top: 0 })
  const blank = { create: { width: px(o.paper.widthMm), height: px(o.paper.heightMm), channels: 3 as const, background: '#ffffff' } }
  return sharp(blank).composite(layers).withMetadata({ density: dpi }).png().toBuffer()
}
