import { describe, expect, it, test } from 'vitest'
import * as v from 'valibot'
import { demoHouses } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { pieceKinds } from '#core/recipe'
import { beginWorkshop, usualDesign, workshopShape } from '#core/workshop'

const house = demoHouses[0]!
const at = '2026-05-04T09:00:00-04:00[America/New_York]'
let made = 0
const fresh = () => `00000000-0000-7000-8000-${String(made++).padStart(12, '0')}`
const begin = (kind: string, people = 12) => beginWorkshop({ houseId: house.id, unit: 'in', title: 'Plaques', kind, people, at }, fresh)

describe('a workshop that begins with its piece', () => {
  test.each(pieceKinds.map((k) => [k.id, k] as const))(
    '%s: its own method, size and material; nothing stands against the choice',
    (id, k) => {
      const w = begin(id)
      expect(v.safeParse(workshopShape, w).success).toBe(true)
      const [d] = w.designs
      expect([d!.kind, d!.recipe.id, d!.width.mm, d!.height.mm]).toEqual([id, k.recipe, k.widthMm, k.heightMm])
      const codes = planWorkshop({ workshop: w, house: { ...house, printers: ['toner', 'inkjet'] }, now: at }).findings.map((f) => f.code)
      expect(codes).not.toContain('method-not-for-piece')
      expect(codes).not.toContain('larger-than-paper')
      expect(codes).not.toContain('no-people')
    },
  )
  it('has so many people without names, each with a seat, and no date, piece or picture', () => {
    const w = begin('plaque', 3)
    expect(w.group.participants.map((p) => [p.seat, p.name, p.age, p.misses])).toEqual([
      [1, null, 'adult', []],
      [2, null, 'adult', []],
      [3, null, 'adult', []],
    ])
    expect([w.sessions, w.pieces, w.pictures, w.errandsDone]).toEqual([[], [], undefined, []])
    expect(begin('plaque', 0).group.participants).toEqual([])
  })
  it('is typed in the measure of the house', () => {
    expect(usualDesign('coaster', 'in').width.text).toBe('4 in')
    expect(usualDesign('coaster', 'mm').width.text).toMatch(/^10\d.*mm$/)
  })
})
