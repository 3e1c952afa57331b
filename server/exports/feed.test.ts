import ICAL from 'ical.js'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Change } from '#core/workshop'
import { command, startServer } from '../testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('feeds')
})
afterAll(() => server.stop())
const id = 'moths-of-the-marsh'
const get = (path: string, headers: Record<string, string> = {}) => server.api.get(`/api/${path}`).set(headers)
const send = async (subject: string, kind: 'workshop' | 'house', ...changes: Change[]) => {
  const { body } = await server.api.post('/api/commands').send([command(subject, changes, [], kind)])
  expect(body.outcomes[0].status).toBe('applied')
}
/** Read with a library that did not write it. */
const read = (text: string) => {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never)
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone)
  return calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
}
const starts = (text: string, part: string) =>
  read(text)
    .filter((e) => e.summary.includes(part))
    .map((e) => e.startDate.toJSDate().toISOString())

describe('a calendar to subscribe to', () => {
  it('is not sent again while nothing changed, and follows what does', async () => {
    const first = await get(`workshops/${id}/feed.ics`)
    expect([first.status, first.type]).toEqual([200, 'text/calendar'])
    expect(starts(first.text, 'class 2 of')).toEqual(['2026-05-16T14:00:00.000Z'])
    const etag = first.headers['etag']!
    expect((await get(`workshops/${id}/feed.ics`, { 'if-none-match': etag })).status).toBe(304)
    await send(id, 'workshop', { path: `sessions/${id}-2/start`, before: '10:00', after: '11:15' })
    const after = await get(`workshops/${id}/feed.ics`, { 'if-none-match': etag })
    expect([after.status, starts(after.text, 'class 2 of')]).toEqual([200, ['2026-05-16T15:15:00.000Z']])
    // One event, moved: its name is the same.
    const uid = (text: string) => read(text).find((e) => e.summary.includes('class 2 of'))!.uid
    expect(uid(after.text)).toBe(uid(first.text))
    await send(id, 'workshop', { path: `sessions/${id}-2/start`, before: '11:15', after: '10:00' })
  })
  it('of a house has all its workshops, the days it is closed every week, and single ones', async () => {
    const before = await get('houses/tidewater/feed.ics')
    expect(starts(before.text, 'Lighthouse blocks, class 1')).toHaveLength(1)
    expect(starts(before.text, 'Ferry lanterns')).not.toEqual([])
    expect(before.text).not.toContain('Moths of the marsh')
    const weekly = read(before.text).filter((e) => e.isRecurring())
    expect(weekly.map((e) => [String(e.component.getFirstPropertyValue('rrule')), e.startDate.isDate])).toEqual([
      ['FREQ=WEEKLY;BYDAY=SU', true],
    ])
    await send('tidewater', 'house', { path: 'closedDays/2026-07-03', before: null, after: '2026-07-03' })
    const after = await get('houses/tidewater/feed.ics')
    const closed = read(after.text).filter((e) => e.startDate.isDate && !e.isRecurring())
    expect(closed.map((e) => e.startDate.toString())).toContain('2026-07-03')
  })
  it('of a person has what they come to and when theirs may be rubbed, and no name', async () => {
    const edda = `${id}-p1`
    const { text } = await get(`workshops/${id}/people/${edda}/feed.ics`)
    expect(starts(text, 'class 1 of')).toEqual([])
    expect(starts(text, 'class 2 of')).toHaveLength(1)
    expect(text).not.toContain('Edda')
    const alone = await get(`workshops/heron-pages/people/heron-pages-p1/feed.ics`)
    const ready = read(alone.text).filter((e) => e.summary.includes('may be rubbed'))
    for (const e of ready) expect(String(e.component.getFirstPropertyValue('description'))).toMatch(/^Never before /)
  })
  it('nobody there is not found', async () => {
    expect((await get(`workshops/${id}/people/nobody/feed.ics`)).status).toBe(404)
    expect((await get('houses/nowhere/feed.ics')).status).toBe(404)
    expect((await get('workshops/nothing/feed.ics')).status).toBe(404)
  })
  it('errands are tasks, what is done is done', async () => {
    const { text } = await get(`workshops/${id}/errands.ics`)
    const todos = new ICAL.Component(ICAL.parse(text) as unknown[] as never).getAllSubcomponents('vtodo')
    const said = (name: string) => todos.find((x) => String(x.getFirstPropertyValue('summary')).startsWith(name))
    expect(String(said('Order')!.getFirstPropertyValue('status'))).toBe('COMPLETED')
    const setUp = todos.find((x) => String(x.getFirstPropertyValue('uid')).includes(`set-up-${id}-2`))!
    expect([String(setUp.getFirstPropertyValue('status')), String(setUp.getFirstPropertyValue('due'))]).toEqual([
      'NEEDS-ACTION',
      '2026-05-16T14:00:00Z',
    ])
  })
})

describe('the run sheet', () => {
  it('is one page for the room, a page for each table, black only', async () => {
    const pages = async (query: string) => {
      const { body } = await get(`workshops/${id}/run.pdf?${query}`).responseType('blob')
      return ((body as Buffer).toString('latin1').match(/\/Type \/Page\b/g) ?? []).length
    }
    expect([await pages(`session=${id}-2`), await pages(`session=${id}-2&tables=each`), await pages(`session=${id}-2&tables=B`)]).toEqual([
      1, 5, 1,
    ])
    expect((await get(`workshops/${id}/run.pdf?session=nothing`)).status).toBe(404)
  })
  it('says the same in Markdown, for a table only what is its own', async () => {
    const { text } = await get(`workshops/${id}/run.md?session=${id}-2`)
    expect(text).toContain('# Moths of the marsh, class 2')
    expect(text).toMatch(/- \*\*10:40\*\* A, B: Wet the paper, 5 min\. /)
    const own = (await get(`workshops/${id}/run.md?session=${id}-2&tables=B`)).text
    expect(own).toMatch(/- \*\*10:40\*\* B: Wet the paper/)
    expect(own).not.toMatch(/Suri|\bA, B\b/)
    expect(own).toContain('everybody: Clean up')
  })
})
