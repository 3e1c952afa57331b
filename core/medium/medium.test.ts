import fc from 'fast-check'
import * as v from 'valibot'
import { expect, it, test } from 'vitest'
import { mediumInput, mediumNeed } from '#core/medium'

const base = { pieces: 1, areaMm2: 1e6, filmUm: 100, coats: 1, wasteShare: 0, brushes: 0, heldPerBrushMl: 0 }
const need = (i: object) => mediumNeed(v.parse(mediumInput, { ...base, ...i })).toNumber()

test.each([
  ['100 um on a square metre', {}, 100],
  ['a plaque', { areaMm2: 152 * 102, filmUm: 150 }, 2.3256],
  ['18 plaques', { pieces: 18, areaMm2: 152 * 102, filmUm: 150 }, 41.8608],
  ['two coats', { coats: 2 }, 200],
  ['waste, which leaves the brushes out', { wasteShare: '0.15', brushes: 2, heldPerBrushMl: 4 }, 123],
  ['nothing', { pieces: 0 }, 0],
  ['only brushes', { pieces: 0, brushes: 3, heldPerBrushMl: '1.1' }, 3.3],
  ['decimal strings', { areaMm2: '0.1', filmUm: '0.2', pieces: '3' }, 6e-8],
])('%s', (_name, input, ml) => expect(need(input)).toBe(ml))

it('is linear in pieces', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (a, b) => {
      expect(need({ pieces: a + b })).toBeCloseTo(need({ pieces: a }) + need({ pieces: b }), 9)
    }),
    { seed: 6 },
  )
})

test.each([
  [{ pieces: 1.5 }, 'pieces'],
  [{ coats: -1 }, 'coats'],
  [{ brushes: '2.5' }, 'brushes'],
  [{ areaMm2: 'big' }, 'areaMm2'],
  [{ wasteShare: undefined }, 'wasteShare'],
])('%j is bad input at %s', (change, path) => {
  const read = v.safeParse(mediumInput, { ...base, ...change })
  expect(v.getDotPath(read.issues![0])).toBe(path)
})
