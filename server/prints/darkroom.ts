import sharp from 'sharp'
import { cropOf, turnedBox } from '#core/pictures'
import type { Print } from '#core/prints'
import { asItIs } from '#core/workshop'
import type { Db } from '../db/query'
import { loadBytes } from '../pictures/pictures'

/** The picture of a print as it goes on the paper: turned, cropped, lightened; every pixel kept, not mirrored. Undefined where its
 *  bytes are gone. */
export async function enlarge(
  db: Db,
  workshopId: string,
  print: Print,
  size: { widthMm: number; heightMm: number },
): Promise<Buffer | undefined> {
  const { picture } = print
  const stored = picture && (await loadBytes(db, workshopId, picture.id, 'full'))
  if (!picture || !stored) return undefined
  const edit = picture.edit ?? asItIs
  const box = turnedBox(picture)
  const crop = cropOf(picture, size)
  const whole = {
    left: crop.x * box.width,
    top: crop.y * box.height,
    width: crop.w * box.width,
    height: crop.h * box.height,
  }
  const area = print.part ? partOf(whole, print, size) : whole
  const turned =
    edit.turn === 0
      ? sharp(stored.bytes)
      : sharp(await sharp(stored.bytes).rotate(edit.turn, { background: '#ffffff' }).png({ compressionLevel: 1 }).toBuffer())
  const { width, height } = await turned.metadata()
  let made = turned.extract(inside(area, width, height))
  if (edit.blackWhite) made = made.greyscale()
  // Towards white, evenly: a dark board takes some of it back.
  if (edit.lighten > 0) made = made.linear(1 - edit.lighten * 0.6, 255 * edit.lighten * 0.6)
  return made.toColourspace('srgb').jpeg({ quality: 94, chromaSubsampling: '4:4:4', optimiseCoding: false }).toBuffer()
}

interface Area {
  left: number
  top: number
  width: number
  height: number
}

/** A tile's part of the crop. Its place is in mm from the print's lower left corner. */
function partOf(whole: Area, print: Print, size: { widthMm: number; heightMm: number }): Area {
  const part = print.part!
  return {
    left: whole.left + (part.xMm / size.widthMm) * whole.width,
    top: whole.top + (1 - (part.yMm + print.heightMm) / size.heightMm) * whole.height,
    width: (print.widthMm / size.widthMm) * whole.width,
    height: (print.heightMm / size.heightMm) * whole.height,
  }
}

function inside(a: Area, width: number, height: number): Area {
  const left = Math.min(width - 1, Math.max(0, Math.round(a.left)))
  const top = Math.min(height - 1, Math.max(0, Math.round(a.top)))
  return {
    left,
    top,
    width: Math.max(1, Math.min(width - left, Math.round(a.width))),
    height: Math.max(1, Math.min(height - top, Math.round(a.height))),
  }
}
