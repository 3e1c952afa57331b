import { outlineHolds, type Outline } from '#core/recipe'
import { asItIs, type Picture, type PictureMark } from '#core/workshop'
import type { Size } from '#core/units'

/** A crop in shares of the turned picture's box, from its upper left corner. */
export interface Crop {
  x: number
  y: number
  w: number
  h: number
}
/** A box on a print, in mm from its lower left corner, as the picture is seen (not mirrored). */
export interface PrintBox {
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
}

type Measured = Pick<Picture, 'width' | 'height' | 'edit'>

/** The box round the picture when it is turned, in pixels. */
export function turnedBox({ width, height, edit }: Measured): { width: number; height: number } {
  const a = ((edit?.turn ?? 0) * Math.PI) / 180
  const [c, s] = [Math.abs(Math.cos(a)), Math.abs(Math.sin(a))]
  return { width: width * c + height * s, height: width * s + height * c }
}

/** The largest crop of the print's shape in the middle of the picture; of a picture that is turned, the largest with no corner
 *  outside it. */
export function defaultCrop(picture: Measured, print: Size): Crop {
  const a = ((picture.edit?.turn ?? 0) * Math.PI) / 180
  const [c, s] = [Math.abs(Math.cos(a)), Math.abs(Math.sin(a))]
  const { widthMm: pw, heightMm: ph } = print
  const scale = Math.min(picture.width / (pw * c + ph * s), picture.height / (pw * s + ph * c))
  const box = turnedBox(picture)
  const [w, h] = [Math.min(1, (pw * scale) / box.width), Math.min(1, (ph * scale) / box.height)]
  return { x: (1 - w) / 2, y: (1 - h) / 2, w, h }
}

/** The crop as placed, or the default. A crop of another shape (the piece was resized) is fitted inside itself. */
export function cropOf(picture: Measured, print: Size): Crop {
  const crop = picture.edit?.crop
  if (!crop || crop.w <= 0 || crop.h <= 0) return defaultCrop(picture, print)
  const box = turnedBox(picture)
  const wide = print.widthMm / print.heightMm
  const [pw, ph] = [crop.w * box.width, crop.h * box.height]
  const w = Math.min(pw, ph * wide) / box.width
  const h = Math.min(ph, pw / wide) / box.height
  return { x: crop.x + (crop.w - w) / 2, y: crop.y + (crop.h - h) / 2, w, h }
}

/** Share of the picture that its crop leaves out. */
export function lostByCrop(picture: Measured, print: Size): number {
  const c = cropOf(picture, print)
  return Math.max(0, 1 - (c.w * c.h * boxArea(picture)) / (picture.width * picture.height))
}
const boxArea = (p: Measured) => turnedBox(p).width * turnedBox(p).height

/** Pixels that the print shows, and how many an inch; `real` counts only what is detail (E). */
export function placed(
  picture: Measured & Pick<Picture, 'detail'>,
  print: Size,
): { width: number; height: number; dpi: number; real: number } {
  const c = cropOf(picture, print)
  const box = turnedBox(picture)
  const [width, height] = [c.w * box.width, c.h * box.height]
  const dpi = Math.floor(Math.min(width / print.widthMm, height / print.heightMm) * 25.4 + 1e-6)
  return { width, height, dpi, real: Math.floor(dpi * (picture.detail ?? 1)) }
}

/** Where a place of the stored picture (in shares of its sides) lies on the print: shares from the print's upper left corner, outside
 *  0 to 1 where the crop leaves it out. */
function toPrint(picture: Measured, print: Size): (x: number, y: number) => { x: number; y: number } {
  const a = ((picture.edit ?? asItIs).turn * Math.PI) / 180
  const box = turnedBox(picture)
  const c = cropOf(picture, print)
  return (sx, sy) => {
    const [x, y] = [(sx - 0.5) * picture.width, (sy - 0.5) * picture.height]
    const [bx, by] = [x * Math.cos(a) - y * Math.sin(a) + box.width / 2, x * Math.sin(a) + y * Math.cos(a) + box.height / 2]
    return { x: (bx / box.width - c.x) / c.w, y: (by / box.height - c.y) / c.h }
  }
}

/** Share of a mark that lies beyond the piece's outline, or that the crop leaves out. Sampled at 10 x 10 places. */
export function offPiece(mark: Pick<PictureMark, 'x' | 'y' | 'w' | 'h'>, picture: Measured, print: Size, outline: Outline): number {
  const at = toPrint(picture, print)
  const n = 10
  let off = 0
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const p = at(mark.x + ((i + 0.5) / n) * mark.w, mark.y + ((j + 0.5) / n) * mark.h)
      if (!outlineHolds(outline, p.x, p.y)) off++
    }
  return off / (n * n)
}

/** A mark of the stored picture as it lies on the print, cut off at the print's edge; undefined where the crop leaves it out. */
export function onPrint(mark: Pick<PictureMark, 'x' | 'y' | 'w' | 'h'>, picture: Measured, print: Size): PrintBox | undefined {
  const at = toPrint(picture, print)
  const corners = [0, 1, 2, 3].map((k) => at(mark.x + (k % 2) * mark.w, mark.y + (k >> 1) * mark.h))
  const clip = (n: number) => Math.min(1, Math.max(0, n))
  const [left, right] = [clip(Math.min(...corners.map((p) => p.x))), clip(Math.max(...corners.map((p) => p.x)))]
  const [top, low] = [clip(Math.min(...corners.map((p) => p.y))), clip(Math.max(...corners.map((p) => p.y)))]
  if (right - left < 1e-6 || low - top < 1e-6) return undefined
  const mm = (n: number) => Number(n.toFixed(3))
  return {
    xMm: mm(left * print.widthMm),
    yMm: mm((1 - low) * print.heightMm),
    widthMm: mm((right - left) * print.widthMm),
    heightMm: mm((low - top) * print.heightMm),
  }
}

/** A box drawn on a print (shares from its upper left corner, as the picture is seen) as a mark of the stored picture. */
export function fromPrint(box: Crop, picture: Measured, print: Size): Crop {
  const a = ((picture.edit ?? asItIs).turn * Math.PI) / 180
  const turned = turnedBox(picture)
  const c = cropOf(picture, print)
  const corners = [0, 1, 2, 3].map((k) => {
    const x = (c.x + (box.x + (k % 2) * box.w) * c.w - 0.5) * turned.width
    const y = (c.y + (box.y + (k >> 1) * box.h) * c.h - 0.5) * turned.height
    return {
      x: (x * Math.cos(a) + y * Math.sin(a)) / picture.width + 0.5,
      y: (-x * Math.sin(a) + y * Math.cos(a)) / picture.height + 0.5,
    }
  })
  const clip = (n: number) => Math.min(1, Math.max(0, Number(n.toFixed(5))))
  const [left, right] = [clip(Math.min(...corners.map((p) => p.x))), clip(Math.max(...corners.map((p) => p.x)))]
  const [top, low] = [clip(Math.min(...corners.map((p) => p.y))), clip(Math.max(...corners.map((p) => p.y)))]
  return { x: left, y: top, w: Number((right - left).toFixed(5)), h: Number((low - top).toFixed(5)) }
}
