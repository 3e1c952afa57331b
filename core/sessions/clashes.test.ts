import { describe, expect, it, test } from 'vitest'
import { clashesOf, placeSessions, shelfPeak } from '#core/sessions'
import type { Session, Summary } from '#core/workshop'

const open = { from: '08:00', to: '22:00' }
const week = { mon: open, tue: open, wed: open, thu: open, fri: open, sat: open, sun: open }
const hours = { week, closedDays: [], timeZone: 'America/New_York' }
const now = '2026-05-13T09:00:00-04:00[America/New_York]'
const class_ = (id: string, date: string, start: string, end: string, room = 'Craft room'): Session => ({ id, date, start, end, room })
const workshop = (id: string, createdAt: string, sessions: Session[], more: Partial<Summary> = {}): Summary => ({
  ...{ id, title: id.toUpperCase(), createdAt, archivedAt: null, houseId: 'h', sessions, people: 4, kind: 'coaster', drawing: 'moth' },
  ...{ recipe: { id: 'medium-transfer', version: 1 }, states: {} },
  ...more,
})
const clashes = (id: string, all: Summary[]) => {
  const mine = all.find((w) => w.id === id)!
  return clashesOf(id, mine.houseId, placeSessions(mine.sessions, hours, now), all, hours)
}
const first = workshop('first', '2026-01-01', [class_('a1', '2026-05-20', '10:00', '12:00')])

describe('a room at one time', () => {
  it('is whose it was planned first, whichever is looked at', () => {
    const second = workshop('second', '2026-02-01', [class_('b1', '2026-05-20', '11:00', '13:00')])
    expect(clashes('second', [second, first])).toEqual([
      {
        session: 'b1',
        room: 'craft room',
        holds: false,
        with: {
          workshop: 'first',
          title: 'FIRST',
          from: '2026-05-20T10:00:00-04:00[America/New_York]',
          to: '2026-05-20T12:00:00-04:00[America/New_York]',
        },
      },
    ])
    expect(clashes('first', [second, first])).toMatchObject([{ session: 'a1', holds: true, with: { workshop: 'second' } }])
  })
  test.each<[string, Session, Partial<Summary>]>([
    ['another room', class_('b1', '2026-05-20', '11:00', '13:00', 'Attic'), {}],
    ['no room', class_('b1', '2026-05-20', '11:00', '13:00', '  '), {}],
    ['another day', class_('b1', '2026-05-21', '11:00', '13:00'), {}],
    ['right after', class_('b1', '2026-05-20', '12:00', '13:00'), {}],
    ['right before', class_('b1', '2026-05-20', '08:00', '10:00'), {}],
    ['another house', class_('b1', '2026-05-20', '11:00', '13:00'), { houseId: 'other' }],
    ['put away', class_('b1', '2026-05-20', '11:00', '13:00'), { archivedAt: '2026-03-01' }],
    ['no length', class_('b1', '2026-05-20', '11:00', '11:00'), {}],
  ])('%s is no clash', (_name, session, more) => {
    const all = [first, workshop('second', '2026-02-01', [session], more)]
    expect([clashes('first', all), clashes('second', all)]).toEqual([[], []])
  })
  it('its name counts whatever its case and the space round it', () =>
    expect(
      clashes('second', [first, workshop('second', '2026-02-01', [class_('b1', '2026-05-20', '11:00', '13:00', ' craft ROOM ')])]),
    ).toHaveLength(1))
  it('what loses it leaves it to a third that meets only that one', () => {
    const second = workshop('second', '2026-02-01', [class_('b1', '2026-05-20', '11:00', '13:00')])
    const third = workshop('third', '2026-03-01', [class_('c1', '2026-05-20', '12:00', '14:00')])
    expect(clashes('third', [first, second, third])).toMatchObject([{ holds: true, with: { workshop: 'second' } }])
    expect(clashes('second', [first, second, third])).toMatchObject([{ holds: false, with: { workshop: 'first' } }])
  })
  it('goes over midnight', () => {
    const late = workshop('late', '2026-02-01', [class_('b1', '2026-05-20', '21:00', '01:00')])
    const early = workshop('early', '2026-03-01', [class_('c1', '2026-05-21', '00:30', '02:00')])
    expect(clashes('early', [late, early])).toMatchObject([{ holds: false, with: { workshop: 'late' } }])
  })
})

describe('a shelf that several use', () => {
  const at = (day: number) => `2026-05-${day}T12:00:00-04:00[America/New_York]`
  const lying = (workshop: string, from: number, to: number, places: number) => ({
    workshop,
    title: workshop,
    from: at(from),
    to: at(to),
    places,
    sizes: [],
  })
  const own = { from: at(14), to: at(18), places: 10, sizes: [] }
  const over = (most: number) => (list: readonly { places: number }[]) => Math.max(0, list.reduce((n, o) => n + o.places, 0) - most)
  test.each<[string, ReturnType<typeof lying>[], number, string, string[]]>([
    ['alone', [], 10, at(14), []],
    ['before and after', [lying('a', 10, 14, 9), lying('b', 18, 20, 9)], 10, at(14), []],
    ['one at the beginning', [lying('a', 12, 15, 9)], 19, at(14), ['a']],
    ['two after each other', [lying('a', 12, 15, 5), lying('b', 15, 17, 9)], 19, at(15), ['b']],
    ['two at once', [lying('a', 15, 17, 5), lying('b', 16, 20, 9)], 24, at(16), ['a', 'b']],
  ])('%s', (_name, others, places, from, names) => {
    const peak = shelfPeak(own, others, over(18))
    expect([peak.places, peak.at, peak.with.map((w) => w.workshop)]).toEqual([places, from, names])
    expect(peak.short).toBe(Math.max(0, places - 18))
  })
  it('what finds no place counts before how many there are', () => {
    const short = (list: readonly { places: number }[]) => (list.some((o) => o.places === 2) ? 1 : 0)
    const peak = shelfPeak(own, [lying('many small', 14, 15, 9), lying('two large', 16, 17, 2)], short)
    expect([peak.places, peak.short, peak.with.map((w) => w.workshop)]).toEqual([12, 1, ['two large']])
  })
})
