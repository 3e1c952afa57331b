import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { aheadMarkdown, aheadText, shelfLabels } from '#core/phrases'
import { planWorkshop } from '#core/plan'
import type { Workshop } from '#core/workshop'

const house: House = demoHouses[0]!
const all = demoWorkshops('2026-05-15')
const of = (id: string) => all.find((w) => w.id === id)!
const bare: Workshop = { ...of('moths-of-the-marsh'), pieces: [], errandsDone: [] }
const now = '2026-05-13T09:00:00-04:00[America/New_York]'
const planned = (list: readonly Workshop[], at = now, h = house) =>
  list.map((workshop) => ({ workshop, plan: planWorkshop({ workshop, house: h, now: at }) }))
const ahead = (list: readonly Workshop[], at = now, h = house) => aheadText(h, planned(list, at, h), at)

describe('errands of all workshops', () => {
  it('by day in the order of time, those of every workshop together', () => {
    const a = ahead([bare, of('heron-pages')])
    const days = a.days.filter((d) => d.date !== 'late')
    expect(days.map((d) => d.date)).toEqual([...days.map((d) => d.date)].sort())
    expect(days[0]).toMatchObject({ day: 'Today', date: '2026-05-13' })
    expect(new Set(a.days.flatMap((d) => d.errands.map((e) => e.workshop)))).toEqual(new Set(['moths-of-the-marsh', 'heron-pages']))
    for (const d of a.days) expect(d.errands.map((e) => e.by)).toEqual([...d.errands.map((e) => e.by)].sort())
  })
  it('late ones first, each with what comes of it; those of a class that is over are gone', () => {
    const [late] = ahead([bare]).days
    expect(late!.day).toBe('Late')
    const order = late!.errands.find((e) => e.errand === 'order')!
    expect(order.late).toEqual({ title: 'Too late to order in time', body: expect.stringContaining('Ask a shop nearby') })
    expect(order.left).toBeLessThan(0)
    const after = ahead([bare], '2026-05-15T09:00:00-04:00[America/New_York]')
    expect(after.days.flatMap((d) => d.errands.map((e) => e.errand))).toEqual(['pack-moths-of-the-marsh-2'])
    expect(after.days[0]!.day).toBe('Today')
    expect(ahead([bare], '2026-05-14T21:00:00-04:00[America/New_York]').days[0]!.day).toBe('Tomorrow')
  })
  it('what is done stands apart for two days after it was due', () => {
    const done = { ...bare, errandsDone: ['order', 'print'] }
    expect(ahead([done]).done.map((e) => e.errand)).toEqual(['print'])
    expect(ahead([done]).days.flatMap((d) => d.errands.map((e) => e.errand))).not.toContain('print')
    // Printing was due Wednesday at 5:45 pm.
    const at = (time: string) => ahead([done], `2026-05-15T${time}:00-04:00[America/New_York]`).done.map((e) => e.errand)
    expect([at('17:45'), at('17:46')]).toEqual([['print'], []])
  })
  it('counts what is to do and what lies there now', () => {
    expect(ahead([of('moths-of-the-marsh')], '2026-05-15T15:00:00-04:00[America/New_York]').about).toBe(
      'Friday 15 May, 1 to do, 23 pieces on the shelf.',
    )
    expect(ahead([bare]).about).toContain('0 pieces on the shelf')
    expect(ahead([])).toMatchObject({ days: [], done: [], shelf: [] })
  })
  it('as Markdown everything open is a box', () => {
    const text = aheadMarkdown(ahead([{ ...bare, title: 'A *bold* one' }]))
    expect(text).toContain('## Late')
    expect(text).toContain('A \\*bold\\* one')
    expect(text.match(/- \[ \]/g)!.length).toBe(ahead([bare]).days.flatMap((d) => d.errands).length + 1)
  })
})

describe('the shelf of all workshops', () => {
  const twin: Workshop = { ...bare, id: 'twin', title: 'Twin' }
  it('each on its places, ready when the last laid is, at a waking hour; gone when lifted', () => {
    const [shelf] = ahead([bare]).shelf
    expect(shelf).toMatchObject({ pieces: 23, spares: 2, samples: 4, there: 0, without: 0, places: '1-1 to 1-8, 2-1 to 2-8, 3-1 to 3-7' })
    expect([shelf!.laid, shelf!.never, shelf!.better, shelf!.lifted]).toEqual(['Thu 6:40 pm', 'Fri 6:40 am', 'Fri 7:00 pm', 'Sat 10:00 am'])
    expect(ahead([bare], '2026-05-16T09:59:00-04:00[America/New_York]').shelf).toHaveLength(1)
    expect(ahead([bare], '2026-05-16T10:00:00-04:00[America/New_York]').shelf).toEqual([])
  })
  it('two at once lie on different places; what finds none is counted', () => {
    const { shelf } = ahead([bare, twin])
    expect(shelf.map((s) => [s.places, s.without])).toEqual([
      ['1-1 to 1-8, 2-1 to 2-8, 3-1 to 3-7', 0],
      ['3-8, 4-1 to 4-8', 14],
    ])
  })
  it('labels are those places, with whose it is and never before when', () => {
    const both = planned([bare, twin])
    const labels = shelfLabels(house, both, now, 'twin')
    expect(labels).toHaveLength(23)
    expect(labels[0]).toEqual({
      place: '3-8',
      who: 'Rune',
      title: 'Twin',
      never: 'Never before Fri 6:40 am',
      better: 'better from Fri 7:00 pm',
    })
    expect(labels.map((l) => l.who)).not.toContain('Edda')
    expect(labels.slice(-6).map((l) => l.who)).toEqual(['Spare 1', 'Spare 2', 'Sample 1', 'Sample 2', 'Sample 3', 'Sample 4'])
    expect(shelfLabels(house, both, now, 'gone')).toEqual([])
  })
})
