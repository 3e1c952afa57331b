import type { Size } from '#core/units'

/** Tiles overlap by so much, to be glued (E). */
export const tileOverlapMm = 10

/** A picture larger than the paper as equal tiles that overlap: how many each way, and how large;
 *  tiles stand upright or lie, whichever is fewer. One where it fits. */
export function tilesOf(picture: Size, room: Size): Size & { columns: number; rows: number } {
  const fits = (w: number, h: number) => w <= room.widthMm && h <= room.heightMm
  if (fits(picture.widthMm, picture.heightMm) || fits(picture.heightMm, picture.widthMm)) return { ...picture, columns: 1, rows: 1 }
  const along = (size: number, most: number) => {
    const n = size <= most ? 1 : Math.ceil((size - tileOverlapMm) / (most - tileOverlapMm))
    return { n, each: Number(((size + (n - 1) * tileOverlapMm) / n).toFixed(3)) }
  }
  const ways = [room, { widthMm: room.heightMm, heightMm: room.widthMm }].map((r) => {
    const [x, y] = [along(picture.widthMm, r.widthMm), along(picture.heightMm, r.heightMm)]
    return { widthMm: x.each, heightMm: y.each, columns: x.n, rows: y.n }
  })
  return ways.reduce((best, t) => (t.columns * t.rows < best.columns * best.rows ? t : best))
}
