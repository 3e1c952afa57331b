import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { planWorkshop, shelfPieces, shelfPlaces } from '#core/plan'
import type { Workshop } from '#core/workshop'

const { rack: _measured, ...counted } = demoHouses[0]!
const house: House = { ...counted, shelfPlaces: 32 }
const moths: Workshop = demoWorkshops('2026-05-15')[0]!
const bare: Workshop = { ...moths, pieces: [], errandsDone: [] }
const now = '2026-05-13T09:00:00-04:00[America/New_York]'
const plan = (w: Workshop = bare, h: House = house, at = now) => planWorkshop({ workshop: w, house: h, now: at })
const board = (id: string, widthMm: number, depthMm = 300, clearMm = 80) => ({ id, name: id.toUpperCase(), widthMm, depthMm, clearMm })
/** A plaque of 7 x 5 in with its border takes 193 x 142 mm: four in a row of 772 mm, two rows in 284. */
const rack = [board('a', 772, 284), board('b', 772, 284), board('c', 772, 284)]

describe('a rack whose boards were measured', () => {
  it('takes what finds a place on it, not what was counted', () => {
    expect(plan().shelf).toMatchObject({ places: 23, capacity: 32 })
    expect(plan(bare, { ...house, rack }).shelf).toMatchObject({ places: 23, capacity: 24 })
    expect(plan(bare, { ...house, rack: [] }).shelf!.capacity).toBe(32)
  })
  it('says how many are short, and is content one millimetre on', () => {
    const short = (width: number) =>
      plan(bare, { ...house, rack: [board('a', 772, 284), board('b', 772, 284), board('c', width, 284)] }).findings.find(
        (f) => f.code === 'shelf-short',
      )
    expect(short(772)).toBeUndefined()
    expect(short(771)!.values).toEqual({ places: 23, capacity: 22, short: 1 })
  })
  it('what is thicker than a board is high does not lie there', () => {
    const low = (clear: number) => plan(bare, { ...house, rack: rack.map((b) => ({ ...b, clearMm: clear })) }).shelf!.capacity
    expect([low(6), low(5)]).toEqual([24, 0])
  })
})

describe('every piece has a place of its own', () => {
  it('people first by their seats, then spares, then samples: as many as the plan counts', () => {
    const p = plan()
    const all = shelfPieces(bare, p)
    expect(all).toHaveLength(p.shelf!.places)
    expect([all.filter((x) => x.what === 'piece').length, all.filter((x) => x.what === 'spare').length]).toEqual([17, 2])
    expect(all.filter((x) => x.what === 'sample')).toHaveLength(4)
    expect(new Set(all.map((x) => x.id)).size).toBe(23)
    const away = bare.group.participants.find((x) => x.misses.length)!
    expect(all.some((x) => x.participant === away.id)).toBe(false)
  })
  it('a piece that was laid lies there from then on, and is ready after its own cure', () => {
    const [one] = shelfPieces(moths, plan(moths, house, '2026-05-15T15:00:00-04:00[America/New_York]'))
    const laid = moths.pieces.find((x) => x.participant === one!.participant)!.laidAt
    expect([one!.from, one!.laid]).toEqual([laid, true])
    expect(one!.neverBefore! > laid!).toBe(true)
  })
  it('labels name board and number, once each; two workshops at once do not share one', () => {
    const twin = { ...bare, id: 'other', title: 'Other' }
    const wide = { ...house, rack: Array.from({ length: 6 }, (_, i) => board('abcdef'[i]!, 772, 284)) }
    const all = [...shelfPieces(bare, plan(bare, wide)), ...shelfPieces(twin, plan(twin, wide))]
    const places = shelfPlaces(wide, all)
    expect(places.size).toBe(46)
    expect(new Set([...places.values()].map((p) => p.label)).size).toBe(46)
    expect(places.get(all[0]!.id)!.label).toBe('A-1')
    expect(places.get(all[8]!.id)!.label).toBe('B-1')
  })
  it('what lies there keeps its place before what is only planned, however early that is', () => {
    const at = '2026-05-15T15:00:00-04:00[America/New_York]'
    const sooner: Workshop = { ...bare, id: 'a', sessions: bare.sessions.map((s) => ({ ...s, start: '09:00', end: '12:45' })) }
    const rows = { ...house, rack }
    const all = [...shelfPieces(sooner, plan(sooner, rows, at)), ...shelfPieces(moths, plan(moths, rows, at))]
    const places = shelfPlaces(rows, all)
    const of = (w: string) => all.filter((x) => x.workshop === w && places.has(x.id)).length
    expect([of('moths-of-the-marsh'), of('a')]).toEqual([23, 1])
  })
  it('without boards they are numbered', () => {
    const all = shelfPieces(bare, plan())
    const places = shelfPlaces(house, all)
    expect(all.map((x) => places.get(x.id)!.label)).toEqual(all.map((_, i) => String(i + 1)))
    expect(shelfPlaces({ shelfPlaces: 20 }, all).size).toBe(20)
  })
})
