import { lostOutline } from './lostOutline'
import { cropOf, turnedBox, type Crop, type PictureFinding } from '#core/pictures'
import { asItIs, type Picture } from '#core/workshop'

export const pictureUrl = (workshop: string, id: string, size: 'thumb' | 'view') => `/api/workshops/${workshop}/pictures/${id}/${size}.jpg`

const whole: Crop = { x: 0, y: 0, w: 1, h: 1 }

/** Draws a picture as placed: turned, cropped to the print's shape, black and white, lightened. Fills the canvas. */
export function paintPlaced(
  ctx: CanvasRenderingContext2D,
  image: CanvasImageSource & { width: number; height: number },
  picture: Picture,
  print: { widthMm: number; heightMm: number },
  window: Crop = whole,
): void {
  const { width: w, height: h } = ctx.canvas
  const edit = picture.edit ?? asItIs
  const box = turnedBox(picture)
  const crop = cropOf(picture, print)
  ctx.save()
  ctx.fillStyle = '#fff'
  ctx.fillRect(0, 0, w, h)
  if (edit.blackWhite) ctx.filter = 'grayscale(1)'
  // Of a tile only its part: the whole would be so much larger, and begins beyond the canvas.
  ctx.scale(1 / window.w, 1 / window.h)
  ctx.translate(-window.x * w, -window.y * h)
  // The crop's corner stands at the origin, its width fills the canvas.
  ctx.scale(w / (crop.w * box.width), h / (crop.h * box.height))
  ctx.translate(-crop.x * box.width + box.width / 2, -crop.y * box.height + box.height / 2)
  ctx.rotate((edit.turn * Math.PI) / 180)
  ctx.drawImage(image, -picture.width / 2, -picture.height / 2, picture.width, picture.height)
  ctx.restore()
  if (edit.lighten > 0) {
    ctx.save()
    ctx.globalAlpha = edit.lighten * 0.6
    ctx.fillStyle = '#fff'
    ctx.fillRect(0, 0, w, h)
    ctx.restore()
  }
}

/** Draws a finding onto a placed picture: lost whites filled with the surface, too few pixels as pixels. */
export function paintFinding(ctx: CanvasRenderingContext2D, finding: PictureFinding | undefined, surface: string): void {
  const { canvas } = ctx
  if (finding?.code === 'whites-go') fillWhites(ctx, surface)
  if (finding?.code === 'soft' || finding?.code === 'poor') {
    const n = finding.code === 'poor' ? 16 : 26
    const small = new OffscreenCanvas(n, Math.max(1, Math.round((n * canvas.height) / canvas.width)))
    small.getContext('2d')!.drawImage(canvas, 0, 0, small.width, small.height)
    ctx.imageSmoothingEnabled = false
    ctx.drawImage(small, 0, 0, canvas.width, canvas.height)
    ctx.imageSmoothingEnabled = true
  }
}

/** Lost whites filled with the surface, inside a dashed ochre outline; specks are filled and not outlined. */
function fillWhites(ctx: CanvasRenderingContext2D, surface: string): void {
  const { width, height } = ctx.canvas
  const data = ctx.getImageData(0, 0, width, height)
  const n = Number.parseInt(surface.slice(1), 16)
  const colour = [(n >> 16) & 255, (n >> 8) & 255, n & 255]
  const lost = new Uint8Array(width * height)
  for (let i = 0; i < lost.length; i++)
    if (Math.min(data.data[4 * i]!, data.data[4 * i + 1]!, data.data[4 * i + 2]!) >= whiteFrom) {
      lost[i] = 1
      data.data.set(colour, 4 * i)
    }
  ctx.putImageData(data, 0, 0)
  ctx.save()
  ctx.strokeStyle = ochre
  ctx.lineWidth = 3
  ctx.setLineDash([7, 5])
  ctx.stroke(new Path2D(lostOutline(lost, width, height)))
  ctx.restore()
}
/** From this value on a pixel is nearly white, as at its measuring. */
const whiteFrom = 235
const ochre = '#8A4B00'
