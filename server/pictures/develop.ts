import { createHash } from 'node:crypto'
import { open } from 'node:fs/promises'
import { fileTypeFromFile } from 'file-type'
import sharp from 'sharp'
import { findLettering, type Suggestion } from '#core/pictures'
import { BadInput } from '#core/reasons'

/** A picture as it is kept: three JPEGs, upright, without any metadata, and what was measured of it. */
export interface Developed {
  full: Buffer
  view: Buffer
  thumb: Buffer
  width: number
  height: number
  /** Share of the pixels along a side that is real detail (E); undefined where too little can be seen. */
  detail: number | undefined
  /** Share of nearly white (E). */
  pale: number
  /** Where it seems to have lettering (E). */
  lettering: Suggestion[]
  hash: string
}

/** Longest side that is kept: 12 in at 300 an inch. */
export const sides = { full: 3600, view: 1400, thumb: 360 }
/** Beyond so many pixels, as its header says, a file is not decoded at all: line by line little is held, what has to be held whole
 *  (progressive, interlaced, GIF) takes 4 bytes a pixel, AVIF 18. The server stays below 400 MB with any of them (bin/bench). */
const mostPixels = { byLine: 120e6, whole: 36e6, avif: 9e6 }
const reads: Record<string, string> = {
  'image/jpeg': 'JPEG',
  'image/png': 'PNG',
  'image/apng': 'PNG',
  'image/webp': 'WebP',
  'image/avif': 'AVIF',
  'image/tiff': 'TIFF',
  'image/gif': 'GIF',
}
const readsWhat = 'Imprenta reads JPEG, PNG, WebP, AVIF, TIFF and GIF.'

// Nothing is kept between pictures, and one is read at a time (by the routes): memory stays bounded.
sharp.cache(false)
sharp.concurrency(2)

/** Reads a picture by what it is, not by its name: turned upright, first frame, sRGB, on white where it is transparent. Metadata
 *  is not carried over: no place, no camera, no owner. Throws BadInput that says what and the way out. */
export async function develop(path: string, name: string): Promise<Developed> {
  await checkKind(path, name)
  try {
    await checkSize(path, name)
    const source = sharp(path, { limitInputPixels: mostPixels.byLine, failOn: 'error', animated: false })
    const full = await source
      .rotate()
      .resize({ width: sides.full, height: sides.full, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      // Better codes would cost a second pass, and with it the whole picture in memory.
      .jpeg({ quality: 93, chromaSubsampling: '4:4:4', optimiseCoding: false })
      .toBuffer({ resolveWithObject: true })
    const smaller = (from: Buffer, side: number) =>
      sharp(from)
        .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 85, optimiseCoding: false })
        .toBuffer()
    const view = await smaller(full.data, sides.view)
    return {
      full: full.data,
      view,
      thumb: await smaller(view, sides.thumb),
      width: full.info.width,
      height: full.info.height,
      detail: await measureDetail(full.data, full.info),
      pale: await measurePale(view),
      lettering: await seeLettering(view),
      hash: createHash('sha256').update(full.data).digest('hex'),
    }
  } catch (e) {
    throw explain(e, name)
  }
}

async function checkKind(path: string, name: string): Promise<void> {
  const file = await open(path)
  const head = Buffer.alloc(4200)
  const { bytesRead } = await file.read(head, 0, head.length, 0)
  await file.close()
  if (bytesRead === 0) throw new BadInput(`${name} is empty.`, 'file', 'Choose the picture again; it may not have been saved whole.')
  const kind = await fileTypeFromFile(path)
  if (kind && reads[kind.mime]) return
  if (kind?.mime === 'image/heic' || kind?.mime === 'image/heif')
    throw new BadInput(
      `${name} is a HEIC picture, as many telephones make them.`,
      'file',
      'Save or share it as JPEG: on the telephone choose “most compatible”, or open it and export it as JPEG.',
    )
  const text = head.subarray(0, bytesRead).toString('latin1')
  if (/<svg[\s>]/i.test(text) || /<!doctype html|<html/i.test(text))
    throw new BadInput(`${name} is a drawing or a page made of code, not a picture.`, 'file', `Export it as PNG. ${readsWhat}`)
  throw new BadInput(`${name} is ${kind ? `a ${kind.ext.toUpperCase()} file` : 'no picture'}.`, 'file', readsWhat)
}

/** Looks at the header alone. */
async function checkSize(path: string, name: string): Promise<void> {
  const { width, height, format, isProgressive } = await sharp(path, { limitInputPixels: false, animated: false }).metadata()
  const avif = format === 'heif'
  const most = avif ? mostPixels.avif : isProgressive || format === 'gif' ? mostPixels.whole : mostPixels.byLine
  if (width * height > most)
    throw tooLarge(name, most, avif ? 'AVIF file' : isProgressive ? 'progressive file' : format === 'gif' ? 'GIF' : 'file')
}

const tooLarge = (name: string, most: number, kind: string) =>
  new BadInput(
    `${name} has more pixels than a ${kind} may have here: ${most / 1e6} million.`,
    'file',
    'Save it as JPEG, or smaller: 4000 pixels a side are plenty.',
  )

function explain(e: unknown, name: string): BadInput {
  if (e instanceof BadInput) return e
  const said = e instanceof Error ? e.message : String(e)
  if (/pixel limit/i.test(said)) return tooLarge(name, mostPixels.byLine, 'file')
  if (/ENOSPC/.test(said)) throw e
  return new BadInput(`${name} is damaged or not whole.`, 'file', 'Open it where it came from, save it again, and bring that one.')
}

/** How much smaller a picture may be without losing anything: it is made smaller and larger again, and what is lost is held
 *  against its contrast. A picture that was blown up or is out of focus loses nothing. Estimate, own method. */
async function measureDetail(full: Buffer, { width, height }: { width: number; height: number }): Promise<number | undefined> {
  const side = Math.min(1024, width, height)
  if (side < 64) return undefined
  const area = { left: Math.floor((width - side) / 2), top: Math.floor((height - side) / 2), width: side, height: side }
  const grey = await sharp(full).extract(area).toColourspace('b-w').raw().toBuffer()
  const mean = grey.reduce((sum, x) => sum + x, 0) / grey.length
  const contrast = Math.sqrt(grey.reduce((sum, x) => sum + (x - mean) ** 2, 0) / grey.length)
  if (contrast < 4) return undefined
  let floor = Infinity
  let detail = 1
  for (const share of [0.75, 0.5, 0.35, 0.25, 0.15]) {
    const small = Math.max(8, Math.round(side * share))
    const one = { raw: { width: side, height: side, channels: 1 as const } }
    const shrunk = await sharp(grey, one).resize(small, small).toColourspace('b-w').raw().toBuffer()
    const again = await sharp(shrunk, { raw: { width: small, height: small, channels: 1 } })
      .resize(side, side)
      .toColourspace('b-w')
      .raw()
      .toBuffer()
    const lost = Math.sqrt(grey.reduce((sum, x, i) => sum + (x - again[i]!) ** 2, 0) / grey.length) / contrast
    // What the first, harmless shrinking loses is noise and rounding; more than that is detail.
    if (share === 0.75) floor = lost
    else if (lost <= floor * more) detail = share
    else break
    if (floor > crisp) break
  }
  return detail
}
/** A loss from here on is detail at once; so much more than the floor counts as lost. Found on drawn and blurred pictures (E). */
const crisp = 0.1
const more = 1.2

async function measurePale(view: Buffer): Promise<number> {
  const { data, info } = await sharp(view).resize(160, 160, { fit: 'inside' }).raw().toBuffer({ resolveWithObject: true })
  let white = 0
  for (let i = 0; i < data.length; i += info.channels) if (Math.min(data[i]!, data[i + 1]!, data[i + 2]!) >= 235) white++
  return Number((white / (data.length / info.channels)).toFixed(3))
}

async function seeLettering(view: Buffer): Promise<Suggestion[]> {
  const { data, info } = await sharp(view)
    .resize(640, 640, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true })
  return findLettering(data, info.width, info.height)
}
