import sharp from 'sharp'
import { previewTransfer } from '../core/preview'

/** Milliseconds of a preview of 1200 x 900, after a warm-up: the slowest surface. */
function previewTime(): number {
  const pixels = Uint8ClampedArray.from({ length: 4 * 1200 * 900 }, (_, i) => (i * 7919) % 256)
  const time = (surface: 'wood' | 'kraft' | 'stone') => {
    const all = Array.from({ length: 9 }, () => {
      const start = performance.now()
      previewTransfer(pixels, 1200, 900, {
        surface,
        colour: '#E6D2AC',
        whites: 'surface',
        rounds: 2,
        worn: 0.3,
        coat: 'light',
        outline: 'straight',
        mirrored: false,
      })
      return performance.now() - start
    }).slice(3)
    return all.sort((a, b) => a - b)[3]!
  }
  return Math.max(time('wood'), time('kraft'), time('stone'))
}

/** Forty pictures of 12 megapixels arrive, four at a time: the time from the first byte to a thumbnail that can be fetched, and
 *  the most memory that the server held meanwhile. */
export async function benchPictures(url: string, memory: () => number): Promise<Record<string, number>> {
  const noise = await sharp({
    create: { width: 4000, height: 3000, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 128, sigma: 40 } },
  })
    .blur(1)
    .jpeg({ quality: 90 })
    .toBuffer()
  const workshop = 'kelp-coasters'
  const before = memory()
  let most = before
  const watch = setInterval(() => (most = Math.max(most, memory())), 40)
  const times: number[] = []
  const one = async (i: number) => {
    const start = performance.now()
    const form = new FormData()
    form.append('file', new Blob([new Uint8Array(noise)], { type: 'image/jpeg' }), `bench ${i}.jpg`)
    const res = await fetch(`${url}/api/workshops/${workshop}/pictures/bench-${i}`, { method: 'POST', body: form })
    if (!res.ok) throw new Error(await res.text())
    const thumb = await fetch(`${url}/api/workshops/${workshop}/pictures/bench-${i}/thumb.jpg`)
    if (!thumb.ok) throw new Error('no thumbnail')
    times.push(performance.now() - start)
  }
  await one(-1)
  const alone = times.pop()!
  let next = 0
  await Promise.all(
    Array.from({ length: 4 }, async () => {
      while (next < 40) await one(next++)
    }),
  )
  clearInterval(watch)
  return {
    'preview of 1200 px, ms': previewTime(),
    'picture of 12 megapixels to its thumbnail, alone, ms': alone,
    'forty of them, four at a time, each, ms': times.reduce((a, b) => a + b, 0) / times.length,
    'server’s memory before, MB': before,
    'server’s memory meanwhile, at the most, MB': most,
  }
}
