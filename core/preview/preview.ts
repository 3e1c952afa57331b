import type { Coat } from '#core/medium'
import { seeded } from '#core/sheets'
import { blankMaterial, outlineReach, type Outline, type Whites } from '#core/recipe'

export const surfaceLooks = ['wood', 'white', 'canvas', 'kraft', 'stone', 'paper', 'film', 'glass', 'wax'] as const
/** How a surface looks; what is drawn under the ink. */
export type SurfaceLook = (typeof surfaceLooks)[number]

export interface PreviewOptions {
  surface: SurfaceLook
  /** Its colour, #rrggbb. */
  colour: string
  /** What the picture's whites become. */
  whites: Whites
  /** Rub-off rounds done: paper that is left shows as white haze. 0 has all of it still. */
  rounds: number
  /** How far the edges are worn: 0 to 1. */
  worn: number
  coat: Coat
  /** What the piece looks like from above: its edges wear. */
  outline: Outline
  /** The finished picture is a mirror image. */
  mirrored: boolean
}

/** The look of a blank material, painted white or not. */
export function surfaceLookOf(material: string, painted: boolean): SurfaceLook {
  if (painted) return 'white'
  const looks: Record<string, SurfaceLook> = {
    plywood: 'wood',
    pine: 'wood',
    cedar: 'wood',
    panel: 'white',
    canvas: 'canvas',
    muslin: 'canvas',
    slate: 'stone',
    'mat-board': 'paper',
    kraft: 'kraft',
    journal: 'paper',
    card: 'paper',
    'smooth-paper': 'paper',
    'glossy-paper': 'film',
    glass: 'glass',
    candle: 'wax',
    paper: 'film',
  }
  return looks[material] ?? 'paper'
}

/** What a plan's pieces are seen on: the bare blank, or white. Film is seen as film or glass; where the method lays a white ground
 *  itself, paint changes nothing that is seen. */
export function previewGround(p: {
  material: string
  whites: Whites
  whiteGround: boolean
  /** Seen on a white-painted surface. */
  onWhite: boolean
}): Pick<PreviewOptions, 'surface' | 'colour' | 'whites'> {
  const white = p.onWhite && !p.whiteGround
  const film = p.material === 'glass' ? 'glass' : 'film'
  return {
    surface: p.whites === 'clear' ? film : surfaceLookOf(p.material, white),
    colour: white ? paint : (blankMaterial(p.material)?.colour ?? plain),
    whites: p.whiteGround ? 'white' : p.whites === 'white' ? 'surface' : p.whites,
  }
}
const paint = '#F7F3EA'
const plain = '#E6D2AC'

/** What a dry round leaves of the paper as haze, and how strongly each coat shows: thin ones miss spots, thick ones are milky.
 *  All E, from looking. */
const haze = [0.55, 0.3, 0.12, 0.03]
const coats: Record<Coat, { missed: number; milk: number }> = {
  light: { missed: 0.035, milk: 0 },
  moderate: { missed: 0.006, milk: 0.02 },
  generous: { missed: 0, milk: 0.05 },
  heavy: { missed: 0, milk: 0.11 },
}

/** A picture as it will look on its surface: ink multiplies over the surface's own colour and grain, so that whites become it
 *  without a special case; a white ground lies under it where whites are kept. Haze, missed spots and worn edges follow one noise
 *  of a fixed seed, so that the same picture looks the same again.
 *
 *  `pixels` are RGBA, row by row, as many as width x height x 4; the answer is new and as large. A preview: how much paper stays
 *  and where a coat is missed is nobody's to know before. O(pixels). Own model. */
export function previewTransfer(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  o: PreviewOptions,
): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(pixels.length)
  const base = rgb(o.colour)
  const left = haze[Math.min(3, Math.max(0, Math.round(o.rounds)))]!
  const { missed, milk } = coats[o.coat]
  const kept = o.whites === 'white' ? 0.93 : 0
  const wear = o.worn * 0.11 * Math.min(width, height)
  const scale = 900 / Math.max(width, height)
  const toEdge = edgeOf(o.outline, width, height)
  // Surface and noise are worked out for blocks of 2 x 2: what they show is coarser than that.
  for (let y = 0; y < height; y += 2) {
    const v = y * scale
    for (let x = 0; x < width; x += 2) {
      const u = x * scale
      const cloud = noise(u * 0.021, v * 0.021)
      const fine = noise(u * 0.19 + 40, v * 0.19)
      // Bare: 1 shows the surface, 0 the ink.
      let bare = missed > 0 && fine < missed * 3 && cloud < 0.5 ? 1 : 0
      if (wear > 0) {
        const edge = toEdge(x, y) + (fine - 0.5) * wear * 1.2
        if (edge < wear) bare = Math.max(bare, 1 - edge / wear)
      }
      const shade = surfaceShade(o.surface, u, v, cloud, fine, x / width)
      const paper = left * (0.35 + 0.65 * fine) * (1 - bare)
      const ground = kept * (1 - bare)
      const r = base[0] * shade
      const g = base[1] * shade
      const b = base[2] * shade
      const endY = Math.min(height, y + 2)
      const endX = Math.min(width, x + 2)
      for (let py = y; py < endY; py++)
        for (let px = x; px < endX; px++) {
          const at = 4 * (py * width + px)
          const from = o.mirrored ? 4 * (py * width + width - 1 - px) : at
          out[at] = layer(r, pixels[from]!, ground, bare, paper, milk)
          out[at + 1] = layer(g, pixels[from + 1]!, ground, bare, paper, milk)
          out[at + 2] = layer(b, pixels[from + 2]!, ground, bare, paper, milk)
          out[at + 3] = 255
        }
    }
  }
  return out
}

/** How far a pixel is from the piece's edge, in pixels; below 0 beyond it. Along the line from the middle where it is not straight. */
function edgeOf(outline: Outline, width: number, height: number): (x: number, y: number) => number {
  if (outline === 'straight') return (x, y) => Math.min(x, y, width - 1 - x, height - 1 - y)
  const n = 256
  const reach = outlineReach(outline, n)
  const half = Math.min(width, height) / 2
  return (x, y) => {
    const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1]
    const at = Math.round((Math.atan2(v, u) / (2 * Math.PI)) * n + n) % n
    return (reach[at]! - Math.hypot(u, v)) * half
  }
}

/** One colour of one pixel: surface, white ground, ink, paper that is left, milky coat. */
function layer(surface: number, pixel: number, ground: number, bare: number, paper: number, milk: number): number {
  const under = surface + (252 - surface) * ground
  const ink = pixel / 255
  let seen = under * (ink + (1 - ink) * bare)
  seen += (250 - seen) * paper
  return seen + (246 - seen) * milk
}

/** Lighter and darker places of a surface, around 1. Sizes in shares of a 900-unit picture. */
function surfaceShade(s: SurfaceLook, u: number, v: number, cloud: number, fine: number, across: number): number {
  switch (s) {
    case 'wood': {
      const bend = noise(u * 0.004, v * 0.02) * 46
      const ring = Math.abs((((v + bend) * 0.055) % 2) - 1)
      return 0.9 + 0.13 * ring - 0.05 * fine
    }
    case 'canvas':
      return 0.94 + 0.045 * Math.sin(u * 1.4) * Math.sin(v * 1.4) + 0.02 * cloud
    case 'kraft':
      return 0.93 + 0.09 * fine - 0.03 * cloud
    case 'stone':
      return 0.84 + 0.2 * cloud + 0.12 * (fine - 0.5)
    case 'glass':
      return 0.97 + 0.05 * Math.max(0, Math.sin((u + v) * 0.006))
    case 'wax':
      // A round candle is darker to its sides.
      return 0.8 + 0.22 * Math.sin(Math.PI * across) + 0.015 * cloud
    case 'film':
      return 1
    default:
      return 0.975 + 0.035 * fine
  }
}

const size = 128
const table = (() => {
  const next = seeded(7)
  return Float32Array.from({ length: size * size }, () => next())
})()

/** Smooth noise of 0 to 1: a table of random values, four of them mixed at each place. */
function noise(x: number, y: number): number {
  const [xi, yi] = [Math.floor(x), Math.floor(y)]
  const [fx, fy] = [x - xi, y - yi]
  const [sx, sy] = [fx * fx * (3 - 2 * fx), fy * fy * (3 - 2 * fy)]
  const [x0, y0] = [xi & (size - 1), (yi & (size - 1)) * size]
  const [x1, y1] = [(xi + 1) & (size - 1), ((yi + 1) & (size - 1)) * size]
  const a = table[y0 + x0]!
  const b = table[y0 + x1]!
  const c = table[y1 + x0]!
  const d = table[y1 + x1]!
  return a + (b - a) * sx + (c - a) * sy + (a - b - c + d) * sx * sy
}

function rgb(colour: string): [number, number, number] {
  const n = Number.parseInt(colour.slice(1), 16)
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255]
}
