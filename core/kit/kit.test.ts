import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { seatTables } from '#core/kit'
import { planWorkshop, type Plan } from '#core/plan'
import { isRefusal } from '#core/reasons'
import { applyChanges, setHeadcount, type Workshop } from '#core/workshop'
import { materials, materialOf } from './catalogue'
import { sharers } from './sharing'

const base: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [] }
const house = { ...demoHouses[0]!, cupboard: {} }
const of = (people: number, choices: Partial<Workshop['choices']> = {}, cupboard: Record<string, number> = {}): Plan => {
  const sized = applyChanges(
    base,
    setHeadcount(
      base,
      people,
      Array.from({ length: people }, (_, i) => `k${i}`),
    ).changes,
  )!
  return planWorkshop({
    workshop: { ...sized, choices: { ...sized.choices, spares: 3, samples: 4, ...choices } },
    house: { ...house, cupboard },
    now: '2026-05-13T09:00:00-04:00[America/New_York]',
  })
}
const line = (p: Plan, material: string) => p.kit.find((l) => l.material === material)!

describe('tables', () => {
  test.each([
    [18, 5, [4, 4, 4, 3, 3]],
    [18, null, [4, 4, 4, 3, 3]],
    [16, 4, [4, 4, 4, 4]],
    [1, null, [1]],
    [3, 5, [1, 1, 1]],
    [0, 5, []],
  ])('%i people at %s', (people, tables, seating) => expect(seatTables(people, tables)).toEqual(seating))
  it('everybody has a seat, tables differ by one at most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 80 }), (people, tables) => {
        const seating = seatTables(people, tables)
        expect(seating.reduce((a, b) => a + b, 0)).toBe(people)
        expect(Math.max(...seating) - Math.min(...seating)).toBeLessThanOrEqual(1)
      }),
      { seed: 21 },
    )
  })
  test.each([
    ['each', 18],
    ['pair', 10],
    ['table', 5],
    ['stagger', 3],
    ['room', 1],
  ] as const)('shared by %s: %i', (by, n) => expect(sharers(by, [4, 4, 4, 3, 3])).toBe(n))
  it('nobody shares nothing', () => expect(sharers('room', [])).toBe(0))
})

describe('lines', () => {
  const p = of(18)
  it('count people, blanks, prints and tables', () => {
    expect(line(p, 'blank').need).toBe(19)
    expect(line(p, 'print')).toMatchObject({ need: 25, sheets: 13 })
    expect(line(p, 'foam-brush').need).toBe(18)
    expect(line(p, 'basin').need).toBe(5)
    expect(line(p, 'trimmer').need).toBe(1)
    expect(line(p, 'cord').need).toBe(7200)
  })
  it('medium is film for all that is coated, plus waste, plus what stays in each brush and cup at each sitting', () => {
    const area = 177.8 * 127
    const wanted = ((25 * area * (300 + 120)) / 1e6) * 1.15 + 2 * (10 + 18) * 4
    expect(line(p, 'decoupage-glue').need).toBeCloseTo(wanted, 6)
  })
  it('sharing changes only what is shared', () => {
    const each = of(18, { share: { 'decoupage-glue': 'each' } })
    expect(line(each, 'decoupage-glue').need - line(p, 'decoupage-glue').need).toBeCloseTo(2 * 8 * 4, 6)
    expect(line(each, 'blank').need).toBe(19)
    expect(line(of(18, { share: { basin: 'stagger' } }), 'basin').need).toBe(3)
  })
  it('a share that a line does not offer is passed over', () => {
    expect(line(of(18, { share: { cord: 'room' } }), 'cord').need).toBe(7200)
    expect(line(of(18, { share: { basin: 'each' } }), 'basin').need).toBe(5)
  })
  it('what is in the cupboard is not bought', () => {
    const have = of(18, {}, { 'blank-plaque': 13, 'foam-brush': 18 })
    expect(line(have, 'blank').toGet.packs).toMatchObject([{ size: 12, count: 1 }])
    expect(line(have, 'foam-brush').boughtMinor).toBe(0)
  })
  it('things that last are not used up', () => {
    for (const l of p.kit.filter((x) => x.durable)) expect(l.usedMinor).toBe(0)
  })
  it('covers its need, whatever the headcount', () => {
    for (const n of [0, 1, 7, 40, 400])
      for (const l of of(n).kit) {
        if (isRefusal(l.toGet.purchase) || l.sheets !== undefined) continue
        const got = l.toGet.packs.reduce((sum, x) => sum + x.size * x.count, 0) + l.toGet.have
        expect(got + 1e-6).toBeGreaterThanOrEqual(materialOf(l.material).packs.length ? l.need : 0)
      }
  })
  it('never needs less for more people', () => {
    let before = of(1)
    for (const n of [2, 3, 10, 11, 39, 40]) {
      const after = of(n)
      for (const l of before.kit) expect(line(after, l.material).need).toBeGreaterThanOrEqual(l.need)
      before = after
    }
  })
  it('nobody needs nothing', () => {
    for (const l of of(0).kit) expect([l.material, l.need]).toEqual([l.material, 0])
  })
  it('a line for other pieces is left out', () => {
    const block = { ...base, designs: [{ ...base.designs[0]!, kind: 'block' }] }
    expect(planWorkshop({ workshop: block, house, now: base.createdAt }).kit.map((l) => l.material)).not.toContain('cord')
  })
})

describe('the catalogue', () => {
  it('knows every material that a recipe uses, with prices', () => {
    for (const l of of(18).kit) expect(Object.keys(materials)).toContain(l.material)
    for (const m of Object.values(materials)) for (const x of m.packs) expect(x.size > 0 && x.priceMinor >= 0).toBe(true)
  })
})

it('a roll of tape is so many whole strips: its end is wasted', () => {
  const w = demoWorkshops('2026-05-15').find((x) => x.designs[0]!.recipe.id === 'tape-film')!
  const p = planWorkshop({ workshop: w, house: { ...house, cupboard: {} }, now: '2026-05-01T09:00:00-04:00[America/New_York]' })
  const tape = p.kit.find((l) => l.unit === 'strips')!
  const length = p.tape!.stripLengthMm
  for (const pack of tape.toGet.packs) {
    const roll = materialOf(tape.material).packs.find((x) => x.priceMinor === pack.priceMinor)!
    expect(pack.size * length).toBeLessThanOrEqual(roll.size)
    expect((pack.size + 1) * length).toBeGreaterThan(roll.size)
  }
  expect(tape.toGet.packs.length).toBeGreaterThan(0)
  // 50 m in strips of 65 mm: 769 whole ones and a rest of 15 mm.
  const side = { mm: 55, text: '55 mm' }
  const small = { ...w, designs: [{ ...w.designs[0]!, width: side, height: side }] }
  const other = planWorkshop({ workshop: small, house: { ...house, cupboard: {} }, now: '2026-05-01T09:00:00-04:00[America/New_York]' })
  expect([other.tape!.stripLengthMm, other.kit.find((l) => l.unit === 'strips')!.toGet.packs[0]!.size]).toEqual([65, 769])
})
