import sharp from 'sharp'
import { findLettering } from '../core/pictures'
import { seeded } from '../core/sheets'

/** Scenes without a letter in them that could be taken for some: drawn anew for each picture. */
type Draw = (random: () => number) => string
const [wide, high] = [1200, 900]
const many = (n: number, draw: (i: number) => string) => Array.from({ length: n }, (_, i) => draw(i)).join('')
const colour = (random: () => number) =>
  `#${Math.floor(random() * 4096)
    .toString(16)
    .padStart(3, '0')}`
const scenes: Record<string, Draw> = {
  leaves: (r) =>
    many(220, () => {
      const [x, y] = [r() * wide, r() * high]
      return `<ellipse cx="${x}" cy="${y}" rx="${8 + r() * 30}" ry="${4 + r() * 12}" transform="rotate(${r() * 180} ${x} ${y})" fill="${colour(r)}"/>`
    }),
  grass: (r) =>
    many(
      260,
      () =>
        `<path d="M${r() * wide} ${300 + r() * 600}q${r() * 20 - 10} ${-40 - r() * 60} ${r() * 60 - 30} ${-60 - r() * 80}" stroke="${colour(r)}" stroke-width="${3 + r() * 4}" fill="none"/>`,
    ),
  fence: (r) =>
    many(26, (i) => `<rect x="${30 + i * 44}" y="${380 + r() * 14}" width="${18 + r() * 6}" height="${230 + r() * 20}" fill="#543"/>`),
  windows: () =>
    many(
      36,
      (i) => `<rect x="${100 + (i % 9) * 110}" y="${120 + Math.floor(i / 9) * 170}" width="${44 + (i % 3) * 8}" height="70" fill="#234"/>`,
    ),
  stones: (r) => many(120, () => `<circle cx="${r() * wide}" cy="${r() * high}" r="${10 + r() * 26}" fill="${colour(r)}"/>`),
  boats: (r) =>
    many(7, (i) => {
      const [x, y] = [80 + i * 150, 500 + r() * 30]
      return `<path d="M${x} ${y}h80l-14 30h-52zM${x + 40} ${y}v-90l40 80z" fill="#333"/>`
    }),
  birds: (r) => many(26, () => `<path d="M${r() * wide} ${r() * 500}q14-18 26 0q14-18 26 0" stroke="#222" stroke-width="5" fill="none"/>`),
}
const words = ['TERN', 'SALTBOX POINT', 'tide table', 'Ferry 1924', 'Moths of the marsh', 'Low tide 06:40', 'KELP', 'Open daily']
const fonts = ['sans-serif', 'serif', 'monospace']

async function look(body: string, ground: string) {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}"><rect width="${wide}" height="${high}" fill="${ground}"/>${body}</svg>`
  const { data, info } = await sharp(Buffer.from(svg)).resize(640).greyscale().raw().toBuffer({ resolveWithObject: true })
  const start = performance.now()
  const found = findLettering(data, info.width, info.height)
  return { found, ms: performance.now() - start }
}

/** How often lettering is seen where it is drawn, and where none is. Words in this machine's own fonts, level and tilted, on a plain
 *  ground and among stones. */
export async function benchLettering(): Promise<Record<string, number>> {
  const random = seeded(1)
  const seen = { plain: 0, busy: 0 }
  const all = { plain: 0, busy: 0 }
  const times: number[] = []
  for (const word of words)
    for (const font of fonts)
      for (const size of [40, 80, 130])
        for (const tilt of [0, 6])
          for (const ground of ['plain', 'busy'] as const) {
            const text = `<text x="120" y="480" font-family="${font}" font-size="${size}" fill="#fff" transform="rotate(${tilt} 120 480)">${word}</text>`
            const { found, ms } = await look(`${ground === 'busy' ? scenes['stones']!(random) : ''}${text}`, '#3a4a60')
            times.push(ms)
            all[ground]++
            if (found.some((s) => s.y < 480 / high && s.y + s.h > (480 - size / 2) / high && s.x < 0.3)) seen[ground]++
          }
  const false_ = { perhaps: 0, likely: 0, of: 0 }
  for (const draw of Object.values(scenes))
    for (let i = 0; i < 30; i++) {
      const { found } = await look(draw(random), ['#e8dcc0', '#ccddee', '#ffffff'][i % 3]!)
      false_.of++
      if (found.length) false_[found[0]!.sure]++
    }
  return {
    'lettering seen on a plain ground, share': seen.plain / all.plain,
    'lettering seen among stones, share': seen.busy / all.busy,
    'no lettering, called perhaps, share': false_.perhaps / false_.of,
    'no lettering, called likely, share': false_.likely / false_.of,
    'looking for lettering, ms': times.sort((a, b) => a - b)[times.length >> 1]!,
  }
}
