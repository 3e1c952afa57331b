import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { alike, setAlike, sheetKey } from '#core/takehome'
import { addDesign, applyChanges, pieceOf, type Piece, type Workshop } from '#core/workshop'

const house = demoHouses[0]!
const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const moths = demoWorkshops('2026-05-15')[0]!
// Edda, who missed the laying, is the last.
const people = [...moths.group.participants].sort((a, b) => Number(a.name === 'Edda') - Number(b.name === 'Edda'))
const at = '2026-05-14T18:30:00-04:00[America/New_York]'
const other = '2026-05-14T19:10:00-04:00[America/New_York]'
const piece = (i: number, more: Partial<Piece>): Piece => ({
  id: `own-${i}`,
  participant: people[i]!.id,
  state: 'laid',
  laidAt: at,
  ...more,
})
const of = (...pieces: Piece[]): Workshop => ({ ...moths, pieces, designs: [moths.designs[0]!] })
const sheets = (w: Workshop) => planWorkshop({ workshop: w, house, now }).takeHome
const sheetOf = (w: Workshop, i: number) => sheets(w).find((s) => s.participant === people[i]!.id)!
const found = (w: Workshop) => alike(w, sheets(w), sheetOf(w, 0)).map((s) => people.findIndex((p) => p.id === s.participant))
const edda = people.length - 1
const all = people.map((_, i) => i)

describe('the same for others', () => {
  it('is offered once a state was set, for all that follow the plan, but not as laid for who did not lay', () => {
    expect(found(of())).toEqual([])
    expect(found(of(piece(0, {})))).toEqual([])
    expect(found(of(piece(0, { asIs: true }))).sort((a, b) => a - b)).toEqual(all.filter((i) => i !== 0 && i !== edda))
    expect(found(of(piece(0, { state: 'printed', laidAt: null, asIs: true })))).toContain(edda)
  })
  it('never sets back what is further', () => {
    const w = of(
      piece(0, { state: 'cured', asIs: true }),
      piece(1, { state: 'sealed' }),
      piece(2, { state: 'sealed', asIs: true }),
      piece(3, { state: 'cured', asIs: true }),
      piece(4, { state: 'cured' }),
      piece(5, { state: 'laid', asIs: true }),
    )
    expect(found(w).filter((i) => i < 6)).toEqual([4, 5])
  })
  it('sets state, keeps the time that is known, gives the one’s where none is, and nothing else', () => {
    const w = of(piece(0, { state: 'cured', asIs: true }), piece(4, { laidAt: other }), piece(5, { laidAt: null }))
    const these = alike(w, sheets(w), sheetOf(w, 0)).filter((s) => [4, 5, 6].some((i) => people[i]!.id === s.participant))
    const after = applyChanges<Workshop>(w, setAlike(w, sheetOf(w, 0), these)!.changes)!
    const is = (i: number) => pieceOf(after, people[i]!.id, w.designs[0]!.id)
    expect([4, 5, 6, 7].map((i) => is(i) && [is(i)!.state, is(i)!.laidAt, is(i)!.asIs])).toEqual([
      ['cured', other, true],
      ['cured', at, true],
      ['cured', at, true],
      undefined,
    ])
    expect(is(0)).toEqual(w.pieces[0])
    expect(sheetOf(after, 4)).toMatchObject({ state: 'cured', known: true })
    expect(setAlike(of(), sheetOf(w, 0), these)).toBeUndefined()
  })
  it('leaves other designs alone', () => {
    const one = of(piece(0, { asIs: true }))
    const w = applyChanges<Workshop>(one, addDesign(one, 'second'))!
    const mine = sheets(w).find((s) => s.participant === people[0]!.id && s.design === w.designs[0]!.id)!
    const those = alike(w, sheets(w), mine)
    expect(those.length).toBe(people.length - 2)
    expect(new Set(those.map((s) => s.design))).toEqual(new Set([w.designs[0]!.id]))
    expect(those.map(sheetKey)).not.toContain(sheetKey(mine))
  })
})
