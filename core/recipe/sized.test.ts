import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop, rehearsalWays } from '#core/plan'
import { sizeFactor } from '#core/recipe'
import { applyChanges, type Workshop } from '#core/workshop'

test.each([
  [1, 1, 0.5, 1],
  [4, 1, 0.5, 2],
  [0.5, 1, 0.5, 0.7],
  [1.04, 1, 0.5, 1],
  [3, 1, 1, 3],
  [100, 1, 0.5, 4],
  [0.001, 1, 0.5, 0.3],
  [9, 1, 0, 1],
])('a face %s times %s to the power %s takes %s times as long', (area, usual, power, factor) =>
  expect(sizeFactor(area, usual, power)).toBe(factor),
)

describe('minutes of a larger face', () => {
  const house = demoHouses[0]!
  const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
  const now = '2026-05-04T09:00:00-04:00[America/New_York]'
  const times = (n: number, w: Workshop = moths, h = house) => {
    const [d] = w.designs as [Workshop['designs'][number]]
    const side = (x: { mm: number; text: string }) => ({ mm: x.mm * n, text: `${x.mm * n} mm` })
    return planWorkshop({ workshop: { ...w, designs: [{ ...d, width: side(d.width), height: side(d.height) }] }, house: h, now })
  }
  const minutes = (p: ReturnType<typeof times>) => Object.fromEntries(p.stages.map((s) => [s.id, s.minutes.value]))
  it('what is worked all over it takes longer; trimming, writing and drying do not', () => {
    const [one, more] = [minutes(times(1)), minutes(times(1.3))]
    for (const id of ['coat', 'lay', 'wet', 'rub1', 'rub2', 'seal1', 'paint']) expect(more[id], id).toBe(Math.round(1.3 * one[id]!))
    for (const id of ['trim', 'sand', 'shelve', 'look1', 'dry', 'print']) expect(more[id], id).toBe(one[id])
    expect(times(1.3).loads[1]!.neededMin).toBeGreaterThan(times(1).loads[1]!.neededMin + 8)
  })
  it('a house may have it that size makes no difference', () => {
    const own = { ...house, figures: { 'time.size': { value: 0, by: 'Noor', on: '2026-05-01', why: '' } } }
    expect(minutes(times(1.3, moths, own))).toEqual(minutes(times(1)))
  })
  it('where the picture is smaller than its piece, the picture counts', () => {
    const [d] = moths.designs as [Workshop['designs'][number]]
    const on = { width: { mm: d.width.mm / 2, text: '' }, height: { mm: d.height.mm / 2, text: '' } }
    const p = planWorkshop({ workshop: { ...moths, designs: [{ ...d, on }] }, house, now })
    expect(minutes(p)['rub1']).toBe(6)
  })
  it('a rehearsal tries a smaller one, and the class is done sooner', () => {
    const input = { workshop: moths, house, now }
    const plan = planWorkshop(input)
    const way = rehearsalWays(input, plan, 'moths-of-the-marsh-2').find((r) => r.code === 'smaller-piece')!
    const after = planWorkshop({ ...input, workshop: applyChanges<Workshop>(moths, way.changes)! })
    expect(after.loads[1]!.neededMin).toBeLessThan(plan.loads[1]!.neededMin - 5)
    expect(rehearsalWays(input, plan, 'gone')).toEqual([])
  })
})
