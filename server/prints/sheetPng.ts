import sharp, { type OverlayOptions } from 'sharp'
import type { LaidSheet, Print } from '#core/prints'
import type { PrintsPdf } from './sheetsPdf'

/** Pixels an inch of a sheet's picture. */
const dpi = 200
const px = (mm: number) => Math.round((mm / 25.4) * dpi)

/** One sheet as a PNG at 200 an inch, as it prints. */
export async function sheetPng(
  sheet: LaidSheet,
  o: Pick<PrintsPdf, 'paper' | 'mirrored'>,
  develop: (print: Print) => Promise<Buffer | undefined>,
): Promise<Buffer> {
  const layers: OverlayOptions[] = []
  for (const p of sheet.places) {
    const bytes = await develop(p.print)
    if (!bytes) continue
    const border = p.print.picture?.edit?.borderMm ?? 0
    let made = sharp(bytes).resize(px(p.print.widthMm - 2 * border), px(p.print.heightMm - 2 * border), { fit: 'fill' })
    if (o.mirrored) made = made.flop()
    const input = p.turned
      ? await sharp(await made.png().toBuffer())
          .rotate(90)
          .png()
          .toBuffer()
      : await made.png().toBuffer()
    layers.push({ input, left: px(p.xMm + border), top: px(o.paper.heightMm - p.yMm - p.heightMm + border) })
  }
  const blank = { create: { width: px(o.paper.widthMm), height: px(o.paper.heightMm), channels: 3 as const, background: '#ffffff' } }
  return sharp(blank).composite(layers).withMetadata({ density: dpi }).png().toBuffer()
}
