import { describe, expect, it, test } from 'vitest'
import { woods } from '#core/recipe'
import { previewGround, previewTransfer, surfaceLookOf, surfaceLooks, type PreviewOptions } from '#core/preview'

const [width, height] = [40, 30]
const plain = (r: number, g: number, b: number) => Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) => [r, g, b, 255][i % 4]!)
const [white, black, grey] = [plain(255, 255, 255), plain(0, 0, 0), plain(128, 128, 128)]
const base: PreviewOptions = {
  surface: 'wood',
  colour: '#E6D2AC',
  whites: 'surface',
  rounds: 3,
  worn: 0,
  coat: 'moderate',
  outline: 'straight',
  mirrored: false,
}
const show = (pixels: Uint8ClampedArray, more: Partial<PreviewOptions> = {}) => previewTransfer(pixels, width, height, { ...base, ...more })
const mean = (p: Uint8ClampedArray, c: number) => {
  let sum = 0
  for (let i = c; i < p.length; i += 4) sum += p[i]!
  return sum / (p.length / 4)
}
const middle = (p: Uint8ClampedArray) => p[4 * (15 * width + 20)]!

describe('a transfer, previewed', () => {
  it('turns whites into the surface, and leaves ink dark', () => {
    const wood = show(white)
    expect(mean(wood, 0)).toBeGreaterThan(mean(wood, 2) + 30)
    expect(mean(show(black), 0)).toBeLessThan(40)
  })
  it('keeps whites on a white ground', () => {
    const kept = show(white, { whites: 'white' })
    expect(mean(kept, 2)).toBeGreaterThan(235)
    expect(mean(show(black, { whites: 'white' }), 0)).toBeLessThan(40)
  })
  it('multiplies: grey ink halves whatever is under it', () => {
    for (const c of [0, 1, 2]) expect(mean(show(grey, { rounds: 3, coat: 'moderate' }), c) / mean(show(white), c)).toBeCloseTo(0.53, 1)
  })
  it('is hazier the fewer rounds were done', () => {
    const by = [0, 1, 2, 3].map((rounds) => mean(show(black, { rounds }), 1))
    expect([...by].sort((a, b) => b - a)).toEqual(by)
    expect(by[0]! - by[3]!).toBeGreaterThan(60)
  })
  it('wears at the edges and not in the middle', () => {
    const worn = show(black, { worn: 1 })
    expect(worn[0]).toBeGreaterThan(120)
    expect(middle(worn)).toBe(middle(show(black)))
  })
  it('misses spots with a thin coat and is milky with a thick one', () => {
    const bright = (coat: PreviewOptions['coat']) => mean(show(black, { coat }), 0)
    expect(bright('heavy')).toBeGreaterThan(bright('moderate'))
    const light = previewTransfer(new Uint8ClampedArray(4 * 300 * 300).fill(0), 300, 300, { ...base, coat: 'light' })
    expect(light.filter((x, i) => i % 4 === 0 && x > 120).length).toBeGreaterThan(20)
  })
  it('is a mirror image when it is one', () => {
    const half = white.slice()
    for (let y = 0; y < height; y++) for (let x = 0; x < width / 2; x++) half.set([0, 0, 0], 4 * (y * width + x))
    const at = (p: Uint8ClampedArray, x: number) => p[4 * (15 * width + x)]!
    expect(at(show(half), 4)).toBeLessThan(at(show(half), 35))
    expect(at(show(half, { mirrored: true }), 4)).toBeGreaterThan(at(show(half, { mirrored: true }), 35))
  })
  test.each(surfaceLooks)('on %s: all of it opaque, the picture left as it was, the same again', (surface) => {
    const before = grey.slice()
    const [a, b] = [show(grey, { surface }), show(grey, { surface })]
    expect(a).toEqual(b)
    expect(grey).toEqual(before)
    expect(a.every((x, i) => i % 4 !== 3 || x === 255)).toBe(true)
  })
  it('wears a round piece from its own edge: beside the box’s sides, not in their middle only', () => {
    const bare = (p: Uint8ClampedArray, x: number, y: number) => p[4 * (y * width + x)]! > 120
    const worn = show(black, { worn: 1, outline: 'round' })
    const straight = show(black, { worn: 1 })
    // A place near a corner of the round piece's circle is inside the box, far from its sides.
    expect([bare(worn, 6, 5), bare(straight, 6, 5)]).toEqual([true, false])
    expect([bare(worn, 20, 15), bare(straight, 20, 15)]).toEqual([false, false])
  })
  it('of one pixel is one pixel', () => expect(previewTransfer(new Uint8ClampedArray([9, 9, 9, 255]), 1, 1, base)).toHaveLength(4))
})

it('every material has a look of its own; painted ones are white', () => {
  for (const m of woods) expect(surfaceLooks).toContain(surfaceLookOf(m.id, false))
  expect(surfaceLookOf('plywood', false)).toBe('wood')
  expect(surfaceLookOf('plywood', true)).toBe('white')
})

describe('what it is seen on', () => {
  const on = (more: Partial<Parameters<typeof previewGround>[0]>) =>
    previewGround({ material: 'plywood', whites: 'surface', whiteGround: false, onWhite: false, ...more })
  test.each([
    ['bare wood', on({}), { surface: 'wood', colour: '#E6D2AC', whites: 'surface' }],
    ['painted wood', on({ onWhite: true }), { surface: 'white', colour: '#F7F3EA', whites: 'surface' }],
    [
      'a painted surface that a plan calls white',
      on({ onWhite: true, whites: 'white' }),
      { surface: 'white', colour: '#F7F3EA', whites: 'surface' },
    ],
    [
      'a white ground of the method’s own',
      on({ material: 'kraft', whites: 'white', whiteGround: true, onWhite: true }),
      { surface: 'kraft', colour: '#B98E5E', whites: 'white' },
    ],
    ['film on glass', on({ material: 'glass', whites: 'clear' }), { surface: 'glass', colour: '#D4E4E6', whites: 'clear' }],
    ['film on card', on({ material: 'card', whites: 'clear' }), { surface: 'film', colour: '#F5F1E6', whites: 'clear' }],
    [
      'a surface of the house that nothing is known of',
      on({ material: 'driftwood' }),
      { surface: 'paper', colour: '#E6D2AC', whites: 'surface' },
    ],
  ])('%s', (_name, got, wanted) => expect(got).toEqual(wanted))
})
