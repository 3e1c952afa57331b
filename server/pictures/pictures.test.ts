import { mkdtemp, mkdir, readdir, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { crc32, deflateSync } from 'node:zlib'
import exifr from 'exifr'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import type { Picture, Workshop } from '#core/workshop'
import { drawnSvg } from '../demo/drawn'
import { command, fixed, startServer } from '../testing/start'
import { explain } from '../errors'
import { sweepPictures } from '../forgetting/forgetting'
import { uploadsFolder } from './uploads'

const id = 'lighthouse-blocks'
const at = (path: string) => `/api/workshops/${id}/pictures/${path}`
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('pictures')
})
afterAll(() => server.stop())

const send = (picture: string, bytes: Buffer, name = 'picture.jpg') => server.api.post(at(picture)).attach('file', bytes, name)
const pixels = (width: number, height: number, channels: 3 | 4 = 3, colour = '#8a7b66') =>
  sharp({ create: { width, height, channels, background: channels === 4 ? { r: 0, g: 0, b: 0, alpha: 0 } : colour } })
/** A picture with something in it: bars across, one half dark. */
const drawn = (width: number, height: number) =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#d9cdb8"/><rect width="50%" height="100%" fill="#241c17"/>${Array.from({ length: 40 }, (_, i) => `<rect x="${(i * width) / 40}" y="${(i % 5) * 9}" width="${width / 160}" height="${height}" fill="#5b5046"/>`).join('')}</svg>`,
    ),
  )
/** A PNG that says it is so many pixels a side, and is a few bytes long. */
function hugePng(side: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data])
    const ends = [Buffer.alloc(4), Buffer.alloc(4)]
    ends[0]!.writeUInt32BE(data.length)
    ends[1]!.writeUInt32BE(crc32(body))
    return Buffer.concat([ends[0]!, body, ends[1]!])
  }
  const head = Buffer.alloc(13)
  head.writeUInt32BE(side, 0)
  head.writeUInt32BE(side, 4)
  head.set([8, 0, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(1000))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
const stored = async (picture: string, size = 'full') => (await server.api.get(at(`${picture}/${size}.jpg`)).buffer(true)).body as Buffer
const add = async (picture: Partial<Picture> & { id: string }) => {
  const after: Picture = { participant: null, width: 600, height: 400, permitted: true, deleteOn: null, ...picture }
  const { body } = await server.api.post('/api/commands').send([command(id, [{ path: `pictures/${after.id}`, before: null, after }])])
  return body.outcomes[0]
}
const workshop = async (): Promise<Workshop> => (await server.api.get(`/api/workshops/${id}`)).body.body

describe('a picture that comes in', () => {
  test.each<[string, () => Promise<Buffer>, string, [number, number]]>([
    ['JPEG', () => drawn(600, 400).jpeg().toBuffer(), 'a.jpg', [600, 400]],
    ['a PNG named .jpg', () => drawn(300, 200).png().toBuffer(), 'b.jpg', [300, 200]],
    ['WebP', () => drawn(300, 200).webp().toBuffer(), 'c.webp', [300, 200]],
    ['AVIF', () => drawn(64, 48).avif({ effort: 0 }).toBuffer(), 'd.avif', [64, 48]],
    ['TIFF', () => drawn(300, 200).tiff().toBuffer(), 'e.tif', [300, 200]],
    ['GIF', () => drawn(300, 200).gif().toBuffer(), 'f.gif', [300, 200]],
    ['one pixel', () => pixels(1, 1).png().toBuffer(), 'g.png', [1, 1]],
    ['16 bits a channel', () => drawn(300, 200).toColourspace('rgb16').png().toBuffer(), 'h.png', [300, 200]],
    ['CMYK', () => drawn(300, 200).toColourspace('cmyk').jpeg().toBuffer(), 'i.jpg', [300, 200]],
    ['larger than is kept', () => drawn(5000, 1000).jpeg().toBuffer(), 'j.jpg', [3600, 720]],
    [
      'lying, to be turned upright',
      () =>
        drawn(600, 400)
          .jpeg()
          .withExif({ IFD0: { Orientation: '6' } })
          .withMetadata({ orientation: 6 })
          .toBuffer(),
      'k.jpg',
      [400, 600],
    ],
  ])('%s is kept as JPEG in three sizes', async (_name, make, name, [width, height]) => {
    const picture = name.slice(0, 1).repeat(8)
    const { status, body } = await send(picture, await make(), name)
    expect([status, body.picture]).toEqual([201, expect.objectContaining({ id: picture, name, width, height })])
    const full = await sharp(await stored(picture)).metadata()
    expect(full).toMatchObject({ format: 'jpeg', width, height, space: 'srgb', depth: 'uchar', channels: 3 })
    expect((await sharp(await stored(picture, 'thumb')).metadata()).width).toBeLessThanOrEqual(360)
  })
  it('moving: the first frame is kept', async () => {
    const frames = await Promise.all(['#ff0000', '#0000ff'].map((c) => pixels(20, 20, 3, c).png().toBuffer()))
    const gif = await sharp(frames, { join: { animated: true } })
      .gif()
      .toBuffer()
    expect((await sharp(gif).metadata()).pages).toBe(2)
    expect((await send('moving', gif, 'moving.gif')).status).toBe(201)
    const { channels } = await sharp(await stored('moving')).stats()
    expect(channels[0]!.mean).toBeGreaterThan(200)
    expect(channels[2]!.mean).toBeLessThan(60)
  })
  it('with lettering in it: the place is said, as a perhaps, and again when it is asked for', async () => {
    const ferry = await sharp(Buffer.from(drawnSvg('ferry', 1500, 1500)))
      .png()
      .toBuffer()
    const { body } = await send('ferry-letters', ferry, 'ferry.png')
    const [place] = body.picture.lettering
    // TERN stands in a white field at 0.55 to 0.79 across, 0.64 to 0.73 down.
    expect(place).toMatchObject({ sure: 'perhaps', x: expect.closeTo(0.54, 1), y: expect.closeTo(0.64, 1), w: expect.closeTo(0.25, 1) })
    expect((await send('ferry-letters', ferry, 'ferry.png')).body.picture.lettering).toEqual(body.picture.lettering)
    const moth = await sharp(Buffer.from(drawnSvg('moth', 900, 900)))
      .png()
      .toBuffer()
    expect((await send('moth-no-letters', moth, 'moth.png')).body.picture.lettering).toEqual([])
  })
  it('transparent: it lies on white, as on paper', async () => {
    expect((await send('clear', await pixels(30, 30, 4).png().toBuffer())).status).toBe(201)
    expect((await sharp(await stored('clear')).stats()).channels.map((c) => Math.round(c.mean))).toEqual([255, 255, 255])
  })
  it('with where it was taken: nothing of that is kept or served, in any size', async () => {
    const jpeg = await drawn(400, 300)
      .jpeg()
      .withExif({
        IFD0: { Artist: 'Somebody', Make: 'Camera' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 3230/100', GPSLongitudeRef: 'W', GPSLongitude: '0/1 7/1 4366/100' },
      })
      .toBuffer()
    expect(await exifr.gps(jpeg)).toMatchObject({ latitude: expect.closeTo(51.5, 0) })
    expect((await send('placed', jpeg)).status).toBe(201)
    const { rows } = await server.pool.query<{ bytes: Buffer }>(`select bytes from picture_file where picture_id = 'placed'`)
    expect(rows).toHaveLength(3)
    for (const { bytes } of rows) {
      expect(await exifr.parse(bytes, true).catch(() => undefined)).not.toMatchObject({ latitude: expect.anything() })
      expect(bytes.includes('Exif')).toBe(false)
      expect(bytes.includes('Somebody')).toBe(false)
    }
    expect((await stored('placed')).includes('Somebody')).toBe(false)
  })
  it('named in another script, with folders in front: the name is kept, the folders are not', async () => {
    const jpeg = await drawn(40, 30).jpeg().toBuffer()
    expect((await send('script', jpeg, '../../Φάρος/Маяк 灯台.jpg')).body.picture.name).toBe('Маяк 灯台.jpg')
  })
  it('sent twice under one id is one picture; the same pixels under another id are said', async () => {
    const jpeg = await drawn(120, 90).jpeg().toBuffer()
    await send('first', jpeg)
    expect((await send('first', jpeg)).status).toBe(200)
    expect((await send('second', jpeg)).body.picture).toMatchObject({ id: 'second', sameAs: 'first' })
  })
  it('is measured: blown up has less detail, white is pale', async () => {
    const sharpOne = await drawn(900, 900).png().toBuffer()
    const small = await sharp(await drawn(900, 900).blur(6).png().toBuffer())
      .png()
      .toBuffer()
    const [crisp, blurred] = [(await send('crisp', sharpOne)).body.picture, (await send('blurred', small)).body.picture]
    expect(crisp.detail).toBeGreaterThanOrEqual(0.75)
    expect(blurred.detail).toBeLessThan(0.5)
    expect((await send('white', await pixels(200, 200, 3, '#ffffff').png().toBuffer())).body.picture.pale).toBe(1)
  })
})

describe('what is no picture for here', () => {
  const svg = Buffer.from('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')
  test.each<[string, () => Promise<Buffer> | Buffer, RegExp]>([
    ['an SVG with a script', () => svg, /made of code.*/],
    ['a page', () => Buffer.from('<!doctype html><script>alert(1)</script>'), /made of code/],
    ['a text', () => Buffer.from('tide table'), /no picture/],
    ['a PDF', () => Buffer.from('%PDF-1.7\n%abcd\n1 0 obj\n'), /a PDF file/],
    ['HEIC', () => Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'), /HEIC.*/],
    ['nothing', () => Buffer.alloc(0), /empty/],
    ['a cut off file', async () => (await drawn(900, 900).jpeg().toBuffer()).subarray(0, 9000), /damaged or not whole/],
    ['400 million pixels', () => hugePng(20_000), /120 million/],
    ['41 MB', () => Buffer.alloc(41e6, 7), /larger than 40 MB/],
  ])(
    '%s gets a kind answer with a way out, and leaves nothing',
    async (_name, make, what) => {
      const { status, body } = await send('nothing', await make(), 'lantern.jpg')
      expect([status, body.error.what]).toEqual([422, expect.stringMatching(what)])
      expect(body.error.remedy.length).toBeGreaterThan(10)
      expect((await server.api.get(at('nothing/full.jpg'))).status).toBe(404)
    },
    60_000,
  )
  it('a full disk is said as what it is', () => {
    expect(explain(Object.assign(new Error('no'), { code: 'ENOSPC' }))).toMatchObject({
      status: 507,
      error: { what: expect.stringMatching(/full/) },
    })
    expect(explain(Object.assign(new Error('no'), { code: '53100' })).status).toBe(507)
  })
  it('a workshop that is not there', async () => {
    const jpeg = await drawn(40, 30).jpeg().toBuffer()
    expect((await server.api.post('/api/workshops/nowhere/pictures/x').attach('file', jpeg, 'x.jpg')).status).toBe(404)
  })
})

describe('pictures are of their workshop only', () => {
  it('and are not served to another', async () => {
    await send('private', await drawn(60, 40).jpeg().toBuffer())
    expect((await server.api.get(at('private/thumb.jpg'))).status).toBe(200)
    expect((await server.api.get('/api/workshops/ferry-lanterns/pictures/private/thumb.jpg')).status).toBe(404)
    expect((await server.api.get(at('private/original.tif'))).status).toBe(404)
  })
  it('two people bring in at once', async () => {
    const jpeg = await drawn(800, 600).jpeg().toBuffer()
    const all = await Promise.all(Array.from({ length: 8 }, (_, i) => send(`both-${i}`, jpeg, `both-${i}.jpg`)))
    expect(all.map((r) => r.status)).toEqual(Array(8).fill(201))
  })
})

describe('erasing', () => {
  const traces = async (picture: string) =>
    (
      await server.pool.query<{ n: string }>(
        `select (select count(*) from picture where id = $1) + (select count(*) from picture_file where picture_id = $1)
              + (select count(*) from command where changes::text like '%' || $1 || '%' and kind <> 'erase-picture') as n`,
        [picture],
      )
    ).rows[0]!.n
  it('by hand takes bytes, name, place and history, and says that it did', async () => {
    await send('gone-by-hand', await drawn(60, 40).jpeg().toBuffer(), 'wilf on the pier.jpg')
    expect(await add({ id: 'gone-by-hand', participant: `${id}-p3` })).toMatchObject({ status: 'applied' })
    expect((await server.api.delete(at('gone-by-hand')).set('x-actor', 'Nerys')).body).toEqual({ erased: true })
    expect(await traces('gone-by-hand')).toBe('0')
    const w = await workshop()
    expect(w.pictures?.some((p) => p.id === 'gone-by-hand')).toBe(false)
    expect(w.picturesErased!.at(-1)).toMatchObject({ count: 1, why: 'by hand' })
    expect((await server.pool.query(`select 1 from picture where name like '%wilf%'`)).rowCount).toBe(0)
    expect((await server.api.delete(at('gone-by-hand'))).status).toBe(404)
  })
  it('of several at the same moment takes all of them out of the plan', async () => {
    const ids = ['at-once-1', 'at-once-2', 'at-once-3', 'at-once-4']
    for (const picture of ids) {
      await send(picture, await drawn(60, 40).jpeg().toBuffer())
      await add({ id: picture })
    }
    const answers = await Promise.all(ids.map((picture) => server.api.delete(at(picture))))
    expect(answers.map((r) => r.status)).toEqual([200, 200, 200, 200])
    expect((await workshop()).pictures?.filter((p) => ids.includes(p.id))).toEqual([])
  })
  it('comes by itself when it is due, and not before', async () => {
    for (const [picture, deleteOn] of [
      ['due-today', '2026-05-15'],
      ['due-later', '2026-05-16'],
    ] as const) {
      await send(picture, await drawn(60, 40).jpeg().toBuffer())
      await add({ id: picture, deleteOn })
    }
    expect(await sweepPictures(server.pool, () => fixed)).toBeGreaterThanOrEqual(1)
    expect([await traces('due-today'), Number(await traces('due-later')) > 0]).toEqual(['0', true])
    expect((await workshop()).picturesErased!.at(-1)).toMatchObject({ why: 'due' })
  })
  it('takes bytes that no workshop has had a place for since a day', async () => {
    await send('orphan', await drawn(60, 40).jpeg().toBuffer())
    await sweepPictures(server.pool, () => fixed)
    expect((await server.api.get(at('orphan/thumb.jpg'))).status).toBe(200)
    await sweepPictures(server.pool, () => '2026-05-17T15:00:00+00:00[UTC]')
    expect((await server.api.get(at('orphan/thumb.jpg'))).status).toBe(404)
  })
})

describe('files that wait to be read', () => {
  it('are gone once they have been, taken or refused', async () => {
    await send('file-good', await drawn(60, 40).jpeg().toBuffer())
    await send('file-bad', Buffer.from('no picture'))
    await server.api.post('/api/workshops/nowhere/pictures/file-nowhere').attach('file', await drawn(60, 40).jpeg().toBuffer(), 'x.jpg')
    expect(await readdir(server.uploads)).toEqual([])
  })
  it('of a process that is gone are removed, of one that runs they stay', async () => {
    const root = await mkdtemp(join(tmpdir(), 'imprenta-test-uploads-'))
    await mkdir(join(root, 'imprenta-uploads-999999'))
    await writeFile(join(root, 'imprenta-uploads-999999', 'left'), 'a place')
    await mkdir(join(root, 'imprenta-uploads-1'))
    const mine = await uploadsFolder(root)
    expect((await readdir(root)).sort()).toEqual(['imprenta-uploads-1', `imprenta-uploads-${process.pid}`].sort())
    expect(mine).toBe(join(root, `imprenta-uploads-${process.pid}`))
  })
})
