import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { mostBefore, planningInput, planWorkshop, takesAlone, takesOf, workshopsBefore, type PlanningDesk } from '#core/plan'
import { phrases } from '#core/phrases'
import { isRefusal } from '#core/reasons'
import { summaryOf, type Workshop } from '#core/workshop'

const now = '2026-05-04T09:00:00-04:00[America/New_York]'
const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const house = { ...demoHouses[0]!, cupboard: { 'decoupage-glue': 600, 'foam-brush': 40, apron: 40 } }
const on = (id: string, ...dates: string[]): Workshop => ({
  ...moths,
  id,
  sessions: dates.map((date, i) => ({ ...moths.sessions[i]!, id: `${id}-${i}`, date })),
})
const desk = (...workshops: Workshop[]): PlanningDesk => ({
  workshop: (id) => workshops.find((w) => w.id === id),
  house: () => house,
  summaries: workshops.map(summaryOf),
  now,
  takes: (w, h) => takesAlone(w, h, now),
})
const [may, june, july] = [
  on('may', '2026-05-14', '2026-05-16'),
  on('june', '2026-06-11', '2026-06-13'),
  on('july', '2026-07-09', '2026-07-11'),
]

describe('the workshops before one', () => {
  const before = (id: string, ...all: Workshop[]) => workshopsBefore(id, all.map(summaryOf), house, now)
  it('are those of its house whose next class comes first, the first first', () => {
    expect([before('july', july, june, may), before('june', july, june, may), before('may', july, june, may)]).toEqual([
      ['may', 'june'],
      ['may'],
      [],
    ])
  })
  it('without those that are over, put away, of another house, or have no date', () => {
    const over = on('over', '2026-04-01')
    const away = { ...may, id: 'away', archivedAt: now }
    const other = { ...may, id: 'other', houseId: 'elsewhere' }
    expect(before('july', july, over, away, other, on('undated'), june)).toEqual(['june'])
  })
  it('a class that began yesterday is over; the next of that workshop counts', () => {
    expect(before('june', june, on('running', '2026-05-03', '2026-06-20'), may)).toEqual(['may'])
  })
  it('everything with a date is before one without, at the most so many; of two at one moment one is', () => {
    const many = Array.from({ length: 15 }, (_, i) => on(`w${String(i).padStart(2, '0')}`, `2026-05-${10 + i}`))
    expect(before('undated', on('undated'), ...many)).toEqual(many.slice(0, mostBefore).map((w) => w.id))
    const twin = on('aaa', '2026-05-14')
    expect([before('may', may, twin), before('aaa', may, twin)]).toEqual([['aaa'], []])
  })
})

describe('what they leave', () => {
  const glue = (id: string, d: PlanningDesk) => planWorkshop(planningInput(d, id)!).kit.find((l) => l.material === 'decoupage-glue')!
  const need = glue('may', desk(may)).need
  it('the first has all of the cupboard, the next what is left, the last nothing', () => {
    const d = desk(july, june, may)
    expect([glue('may', d).toGet.reserved, glue('june', d).toGet.reserved, glue('july', d).toGet.reserved]).toEqual([undefined, need, 600])
    const bought = (id: string) => {
      const { purchase } = glue(id, d).toGet
      return isRefusal(purchase) ? -1 : purchase.packs.length
    }
    expect([bought('may'), bought('june') > 0, bought('july') > 0]).toEqual([0, true, true])
    expect(glue('june', d).toGet.have).toBe(600)
  })
  it('what lasts is there again; prints are not taken from a cupboard', () => {
    const takes = takesOf(planWorkshop({ workshop: may, house, now }))
    expect([takes['decoupage-glue'], takes['apron'], takes['print']]).toEqual([need, undefined, undefined])
    const durable = planWorkshop({ workshop: may, house, now })
      .kit.filter((l) => l.durable)
      .map((l) => l.cupboard)
    expect(durable.filter((k) => k in takes)).toEqual([])
    expect(takes['blank-plaque']).toBeGreaterThanOrEqual(18)
  })
  it('what was only needed in classes that are over is gone already; what is needed again is still taken', () => {
    const between = '2026-05-15T12:00:00-04:00[America/New_York]'
    const [all, later] = [takesAlone(may, house, now).things, takesAlone(may, house, between).things]
    expect(Object.keys(all)).toEqual(expect.arrayContaining(['white-paint', 'sandpaper', 'decoupage-glue']))
    expect([later['white-paint'], later['sandpaper']]).toEqual([undefined, undefined])
    // It seals in the second class as well.
    expect(later['decoupage-glue']).toBe(all['decoupage-glue'])
  })
  it('the reason says how much others take, and only where they do', () => {
    const said = (id: string) => planWorkshop(planningInput(desk(june, may), id)!).figures['packs/decoupage-glue']?.because.inputs ?? []
    expect(said('june').find((i) => i.name === 'reserved')?.value).toBe(need)
    expect(said('may').some((i) => i.name === 'reserved')).toBe(false)
    expect(said('june').map((i) => phrases(house, now).input(i).name)).toContain('taken by classes before')
  })
  it('an empty cupboard reserves nothing; what is not worked out yet takes nothing; what is not here is not planned', () => {
    const d = desk(june, may)
    const bare = { ...d, house: () => ({ ...house, cupboard: {} }) }
    expect(planningInput(bare, 'june')).not.toHaveProperty('reserved')
    expect(planningInput({ ...d, takes: () => undefined }, 'june')).not.toHaveProperty('reserved')
    expect([planningInput(d, 'nothing'), planningInput({ ...d, house: () => undefined }, 'may')]).toEqual([undefined, undefined])
  })
})
