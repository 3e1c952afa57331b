/** A place that looks like a line of lettering: a box in shares of the picture from its upper left corner, and how sure. */
export interface Suggestion {
  x: number
  y: number
  w: number
  h: number
  sure: 'likely' | 'perhaps'
}
/** A mark of one tone standing out from what is round it. */
interface Blob {
  left: number
  top: number
  right: number
  bottom: number
  area: number
  /** Pixels of it that have a neighbour outside it. */
  rim: number
}

/** What sets letters apart from leaves, windows and waves. All E, found on drawn pictures. */
const contrast = 24
const letters = { least: 4, likely: 6, leastPx: 7, tallest: 0.34, widest: 2.4, thin: 0.1, empty: 0.12, solid: 0.78 }
const lines = { taller: 1.9, gap: 1.1, shared: 0.55, baseline: 0.08, heights: 0.25, stroke: 0.3, alike: 0.05, unlike: 0.45, crowd: 0.4 }
const most = 6

/** Where a picture seems to have lettering. `grey` is row by row, 0 black to 255 white, about 500 to 800 pixels a side.
 *
 *  Marks that stand out from their surroundings, dark or light, are joined to level lines: neighbours of about one height, one
 *  stroke and one base, close together, of differing shapes (a row of windows is not a word). Lines that climb by more than about
 *  15 degrees, handwriting that is joined up, words of fewer than four letters and letters smaller than 7 pixels are not seen, so
 *  that nothing found is no promise; rows of twigs or figures may be taken for letters. To be confirmed by a person.
 *  O(pixels + marks x log marks); own method, of the usual parts (local threshold, connected marks, chains). */
export function findLettering(grey: Uint8Array, width: number, height: number): Suggestion[] {
  if (width < 24 || height < 16 || grey.length < width * height) return []
  const local = localMean(grey, width, height, Math.max(6, Math.round(Math.min(width, height) / 14)))
  const found = [1, -1].flatMap((sign) => {
    const mask = new Uint8Array(width * height)
    for (let i = 0; i < mask.length; i++) if (sign * (grey[i]! - local[i]!) > contrast) mask[i] = 1
    const marks = blobsOf(mask, width, height).filter((b) => letterLike(b, width, height))
    return chains(marks).flatMap((chain) => judge(chain, marks))
  })
  return apart(found)
    .slice(0, most)
    .map(({ box, sure }) => {
      const share = (n: number) => Number(Math.min(1, Math.max(0, n)).toFixed(4))
      const [x, y] = [share(box.left / width), share(box.top / height)]
      return { x, y, w: Number((share(box.right / width) - x).toFixed(4)), h: Number((share(box.bottom / height) - y).toFixed(4)), sure }
    })
}

/** The mean of the square round each pixel, from a table of sums. */
function localMean(grey: Uint8Array, width: number, height: number, r: number): Float32Array {
  const row = width + 1
  const sums = new Float64Array(row * (height + 1))
  for (let y = 0; y < height; y++) {
    let line = 0
    for (let x = 0; x < width; x++) {
      line += grey[y * width + x]!
      sums[(y + 1) * row + x + 1] = sums[y * row + x + 1]! + line
    }
  }
  const mean = new Float32Array(width * height)
  for (let y = 0; y < height; y++) {
    const t = Math.max(0, y - r)
    const b = Math.min(height, y + r + 1)
    for (let x = 0; x < width; x++) {
      const l = Math.max(0, x - r)
      const e = Math.min(width, x + r + 1)
      const sum = sums[b * row + e]! - sums[t * row + e]! - sums[b * row + l]! + sums[t * row + l]!
      mean[y * width + x] = sum / ((b - t) * (e - l))
    }
  }
  return mean
}

/** Connected marks of a mask (also over corners). Empties the mask. */
function blobsOf(mask: Uint8Array, width: number, height: number): Blob[] {
  const blobs: Blob[] = []
  const stack: number[] = []
  // What was taken keeps its number as 2, so that a rim can be told from a neighbour already taken.
  for (let start = 0; start < mask.length; start++) {
    if (mask[start] !== 1) continue
    const blob: Blob = { left: width, top: height, right: 0, bottom: 0, area: 0, rim: 0 }
    mask[start] = 2
    stack.push(start)
    while (stack.length) {
      const at = stack.pop()!
      const x = at % width
      const y = (at - x) / width
      blob.area++
      if (x < blob.left) blob.left = x
      if (x >= blob.right) blob.right = x + 1
      if (y < blob.top) blob.top = y
      if (y >= blob.bottom) blob.bottom = y + 1
      let rim = false
      for (let ny = y - 1; ny <= y + 1; ny++)
        for (let nx = x - 1; nx <= x + 1; nx++) {
          const seen = nx >= 0 && ny >= 0 && nx < width && ny < height ? mask[ny * width + nx]! : 0
          if (seen === 0) rim ||= nx === x || ny === y
          else if (seen === 1) {
            mask[ny * width + nx] = 2
            stack.push(ny * width + nx)
          }
        }
      if (rim) blob.rim++
    }
    blobs.push(blob)
  }
  return blobs
}

const wide = (b: Blob) => b.right - b.left
const high = (b: Blob) => b.bottom - b.top
const fill = (b: Blob) => b.area / (wide(b) * high(b))
const stroke = (b: Blob) => (2 * b.area) / b.rim

function letterLike(b: Blob, width: number, height: number): boolean {
  const shape = wide(b) / high(b)
  const inside = b.left > 0 && b.top > 0 && b.right < width && b.bottom < height
  return (
    inside &&
    high(b) >= letters.leastPx &&
    high(b) <= height * letters.tallest &&
    shape >= letters.thin &&
    shape <= letters.widest &&
    fill(b) >= letters.empty
  )
}

/** Marks joined to lines: each to its nearest neighbour on the right that could be the next letter. */
function chains(blobs: Blob[]): Blob[][] {
  const sorted = [...blobs].sort((a, b) => a.left - b.left || a.top - b.top)
  const after = new Map<Blob, Blob>()
  const before = new Map<Blob, Blob>()
  for (const [i, a] of sorted.entries()) {
    let best: Blob | undefined
    for (let k = i + 1; k < sorted.length; k++) {
      const b = sorted[k]!
      const gap = b.left - a.right
      if (gap > lines.gap * Math.max(high(a), high(b)) && b.left - a.right > lines.gap * high(a) * lines.taller) break
      if (follows(a, b, gap) && (!best || b.left - a.right < best.left - a.right)) best = b
    }
    if (!best) continue
    const rival = before.get(best)
    if (rival && best.left - rival.right <= best.left - a.right) continue
    if (rival) after.delete(rival)
    after.set(a, best)
    before.set(best, a)
  }
  return sorted
    .filter((b) => !before.has(b))
    .map((first) => {
      const chain = [first]
      for (let next = after.get(first); next; next = after.get(next)) chain.push(next)
      return chain
    })
}

function follows(a: Blob, b: Blob, gap: number): boolean {
  const [small, tall] = [Math.min(high(a), high(b)), Math.max(high(a), high(b))]
  const shared = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
  const thick = Math.max(stroke(a), stroke(b)) / Math.min(stroke(a), stroke(b))
  return gap >= -0.25 * small && gap <= lines.gap * tall && shared >= lines.shared * small && tall <= lines.taller * small && thick <= 2.2
}

interface Line {
  box: Pick<Blob, 'left' | 'top' | 'right' | 'bottom'>
  sure: Suggestion['sure']
  count: number
}

function judge(chain: Blob[], marks: readonly Blob[]): Line[] {
  const n = chain.length
  if (n < letters.least) return []
  const [heights, strokes] = [chain.map(high), chain.map(stroke)]
  // Solid blocks are windows, stripes and dots, but for a few: an I is one too. What is all alike is a pattern; what has nothing in
  // common is grass.
  const fills = chain.map(fill).filter((f) => f <= letters.solid)
  if (fills.length <= n / 2 || uneven(fills) < lines.alike || uneven(fills) > lines.unlike) return []
  const height = median(heights)
  const off = offBase(chain) / height
  if (off > lines.baseline || uneven(heights) > lines.heights || uneven(strokes) > lines.stroke) return []
  if (crowd(chain, marks) > n * lines.crowd) return []
  const edge = Math.round(height * 0.15)
  const box = {
    left: Math.min(...chain.map((b) => b.left)) - edge,
    top: Math.min(...chain.map((b) => b.top)) - edge,
    right: Math.max(...chain.map((b) => b.right)) + edge,
    bottom: Math.max(...chain.map((b) => b.bottom)) + edge,
  }
  const likely = n >= letters.likely && uneven(strokes) < lines.stroke / 2 && off < lines.baseline / 2
  return [{ box, sure: likely ? 'likely' : 'perhaps', count: n }]
}

/** Other marks of about a letter's height that lie across the line: between letters there is little. */
function crowd(chain: Blob[], marks: readonly Blob[]): number {
  const [left, right] = [chain[0]!.left, chain.at(-1)!.right]
  const [top, bottom] = [Math.min(...chain.map((b) => b.top)), Math.max(...chain.map((b) => b.bottom))]
  const tall = median(chain.map(high))
  return marks.filter((b) => {
    const shared = Math.min(bottom, b.bottom) - Math.max(top, b.top)
    return b.right > left && b.left < right && shared > high(b) / 2 && high(b) > tall / 2 && !chain.includes(b)
  }).length
}

/** How far a letter's foot lies from the straight base of its line, as a rule (half are nearer), in pixels. */
function offBase(chain: Blob[]): number {
  const xs = chain.map((b) => (b.left + b.right) / 2)
  const ys = chain.map((b) => b.bottom)
  const slopes = xs.flatMap((x, i) => xs.slice(i + 1).map((x2, k) => (ys[i + 1 + k]! - ys[i]!) / Math.max(1, x2 - x)))
  const slope = median(slopes)
  const base = median(ys.map((y, i) => y - slope * xs[i]!))
  return Math.abs(slope) > 0.3 ? Infinity : median(ys.map((y, i) => Math.abs(y - slope * xs[i]! - base)))
}

/** The surer and longer lines first; a line that mostly lies in another is that one. */
function apart(found: Line[]): Line[] {
  const sorted = [...found].sort((a, b) => Number(b.sure === 'likely') - Number(a.sure === 'likely') || b.count - a.count)
  const kept: Line[] = []
  for (const line of sorted) {
    const { box } = line
    const size = (box.right - box.left) * (box.bottom - box.top)
    const covered = kept.some(({ box: k }) => {
      const w = Math.min(k.right, box.right) - Math.max(k.left, box.left)
      const h = Math.min(k.bottom, box.bottom) - Math.max(k.top, box.top)
      return w > 0 && h > 0 && w * h > size / 2
    })
    if (!covered) kept.push(line)
  }
  return kept
}

const mean = (list: readonly number[]) => list.reduce((sum, x) => sum + x, 0) / list.length
/** Standard deviation in shares of the mean. */
const uneven = (list: readonly number[]) => Math.sqrt(mean(list.map((x) => (x - mean(list)) ** 2))) / mean(list)
const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[list.length >> 1]!
