import { beforePdf } from './beforePdf'
import ICAL from 'ical.js'
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { readWorkshopFile } from '#core/exchange'
import { command, startServer } from '../testing/start'
import { canDraw, printedName, runsOf } from './ink'
import { sheetsPdf } from './sheetPdf'
import type { SheetText } from '#core/phrases'

const id = 'moths-of-the-marsh'
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('exports')
})
afterAll(() => server.stop())
const get = (path: string, which = id) => server.api.get(`/api/workshops/${which}/${path}`)
const bytes = (path: string, which = id) =>
  get(path, which)
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = []
      res.on('data', (p: Buffer) => parts.push(p))
      res.on('end', () => done(null, Buffer.concat(parts)))
    })
    .then((r) => ({ status: r.status, type: r.headers['content-type'], body: r.body as Buffer }))

describe('JSON', () => {
  it('the workshop comes back as it went, its pictures stay', async () => {
    const { pictures: _stay, ...rest } = demoWorkshops('2026-05-15')[0]!
    expect(readWorkshopFile((await get('workshop.json')).text)).toEqual(rest)
  })
  it('the plan says its format, its figures and their reasons', async () => {
    const plan = JSON.parse((await get('plan.json')).text)
    expect(plan).toMatchObject({ format: 'imprenta-plan', version: 3, plan: { people: 18 } })
    expect(plan.plan.figures.sheets.because.inputs.length).toBeGreaterThan(1)
    expect(plan.said.decisions).toContain('18 adults')
  })
})

describe('the page before the class', () => {
  it('is a PDF of two sides, black only, and a page more only where it must be', async () => {
    const pages = (b: Buffer) => (b.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length
    for (const [id, paper] of [
      ['lighthouse-blocks', 'a4'],
      ['heron-pages', 'letter'],
      ['moths-of-the-marsh', 'letter'],
    ]) {
      const { body, type } = await server.api.get(`/api/workshops/${id}/before.pdf?paper=${paper}`).responseType('blob')
      expect([type, pages(body as Buffer)]).toEqual(['application/pdf', 2])
    }
    const long = {
      title: 'x'.repeat(120),
      about: [],
      doubt: '',
      parts: [{ title: 'Bring', by: '', lines: Array<string>(400).fill('one more thing to bring') }],
      helper: [],
    }
    expect(pages(await beforePdf(long, 'a4'))).toBeGreaterThan(1)
    expect(pages(await beforePdf({ ...long, parts: [] }, 'a4'))).toBe(1)
  })
  it('and Markdown', async () =>
    expect((await server.api.get('/api/workshops/heron-pages/before.md')).text).toMatch(/^# Before the class: Heron pages/))
})

describe('text that people type', () => {
  it('cannot make events or fields of its own in a calendar', async () => {
    const title = 'Moths\r\nEND:VEVENT\r\nBEGIN:VEVENT\nSUMMARY:Not so\u2028X-EVIL:1'
    const changes = [{ path: 'title', before: (await get('workshop.json')).body.workshop.title as string, after: title }]
    const { body } = await server.api.post('/api/commands').send([command(id, changes)])
    expect(body.outcomes[0].status).toBe('applied')
    const text = (await get('sessions.ics')).text
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never)
    const events = calendar.getAllSubcomponents('vevent')
    expect(events.length).toBe((text.match(/^BEGIN:VEVENT/gm) ?? []).length)
    expect(events.some((e) => e.getFirstPropertyValue('summary') === 'Not so')).toBe(false)
    expect(text).not.toMatch(/^X-EVIL/m)
    await server.api.post('/api/commands').send([command(id, [{ path: 'title', before: title, after: changes[0]!.before }])])
  })
  it('events of a workshop that was brought in twice are not the same events', async () => {
    const w = demoWorkshops('2026-05-15')[0]!
    const copy = { ...w, id: 'brought-in', title: 'Brought in', pictures: [] }
    await server.api.post('/api/commands').send([command(copy.id, [{ path: '', before: null, after: copy }])])
    const ids = async (which: string) => [...(await get('sessions.ics', which)).text.matchAll(/^UID:(.*)$/gm)].map((m) => m[1]!.trim())
    const [a, b] = [await ids(id), await ids('brought-in')]
    expect(a.length).toBeGreaterThan(2)
    expect(a.filter((x) => b.includes(x))).toEqual([])
  })
  it('prices have the digits of their currency', async () => {
    const price = async () => (await get('kit.csv')).text.split('\r\n').find((l) => l.startsWith('Decoupage'))!
    expect(await price()).toMatch(/,24\.00,USD,/)
    await server.api.post('/api/commands').send([command('saltbox', [{ path: 'currency', before: 'USD', after: 'JPY' }], [], 'house')])
    expect(await price()).toMatch(/,2400,JPY,/)
    await server.api.post('/api/commands').send([command('saltbox', [{ path: 'currency', before: 'JPY', after: 'USD' }], [], 'house')])
  })
})

describe('CSV', () => {
  it('of the roster and the kit', async () => {
    expect((await get('roster.csv')).text).toContain('Edda,adult')
    const kit = (await get('kit.csv')).text
    expect(kit).toContain('Decoupage glue')
    expect(kit.split('\r\n').length).toBeGreaterThan(15)
  })
  it('cells that begin like a formula are made safe', async () => {
    await server.api
      .post('/api/commands')
      .send([command(id, [{ path: `group/participants/${id}-p1/name`, before: 'Edda', after: '=HYPERLINK("x")' }])])
    expect((await get('roster.csv')).text).toContain(`"'=HYPERLINK(""x"")",adult`)
  })
})

describe('iCalendar, read back with another library', () => {
  const read = async (which: string) => {
    const calendar = new ICAL.Component(ICAL.parse((await get('sessions.ics', which)).text) as unknown[] as never)
    for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone)
    return {
      zones: calendar.getAllSubcomponents('vtimezone').map((z) => z.getFirstPropertyValue('tzid')),
      events: calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e)),
    }
  }
  it('sessions stand at their instants, in the house’s own zone', async () => {
    const { zones, events } = await read(id)
    expect(zones).toEqual(['America/New_York'])
    const at = (part: string) => events.find((e) => e.summary.includes(part))!
    expect(at('class 1').startDate.toJSDate().toISOString()).toBe('2026-05-14T21:45:00.000Z')
    expect(at('class 2').startDate.toJSDate().toISOString()).toBe('2026-05-16T14:00:00.000Z')
    expect(at('class 2').endDate.toJSDate().toISOString()).toBe('2026-05-16T16:45:00.000Z')
    expect(at('class 2').startDate.zone.tzid).toBe('America/New_York')
  })
  it('open errands end when they are due', async () => {
    const { events } = await read('lighthouse-blocks')
    expect(
      events
        .find((e) => e.summary.startsWith('Order'))!
        .endDate.toJSDate()
        .toISOString(),
    ).toMatch(/^2026-05-2\d/)
    expect(events.some((e) => e.summary.startsWith('Set up'))).toBe(false)
  })
})

describe('take-home', () => {
  it('PDF embeds its fonts, a page for each person', async () => {
    const pdf = await bytes('take-home.pdf')
    expect(pdf.type).toContain('application/pdf')
    const text = pdf.body.toString('latin1')
    expect(text.startsWith('%PDF')).toBe(true)
    expect(text).toContain('/FontFile')
    expect((text.match(/\/Type \/Page\b/g) ?? []).length).toBe(18)
  })
  test.each([
    ['letter', '[0 0 612 792]'],
    ['a4', '[0 0 595.28 841.89]'],
  ])('on %s', async (paper, box) => {
    const pdf = await bytes(`take-home.pdf?paper=${paper}&who=${id}-p2`)
    expect(pdf.body.toString('latin1')).toContain(box)
    expect((pdf.body.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length).toBe(1)
  })
  test.each(['wording=shouted', 'paper=a3', 'black=maybe'])('%s is bad input', async (query) => {
    const answer = await get(`take-home.pdf?${query}`)
    expect(answer.status).toBe(422)
    expect(answer.body.error.path).toBe(query.split('=')[0])
  })
  it('somebody who is not there', async () => expect((await get('take-home.pdf?who=nobody')).status).toBe(404))
  it('Markdown has everybody', async () => {
    const { text } = await get('take-home.md', 'lighthouse-blocks')
    for (const name of ['Pia', 'Odo', 'Jory']) expect(text).toContain(`# ${name}\n`)
  })
})

describe('letters', () => {
  test.each([
    ['Edda', ['head']],
    ['Zoë', ['head']],
    ['Łucja', ['head-ext', 'head']],
    ['Жанна', ['cyrillic']],
    ['Ωmega', ['greek', 'head']],
    ['שרה', ['hebrew']],
    ['ليلى', ['arabic']],
  ])('%s is drawn', (name, faces) => {
    expect(canDraw(name)).toBe(true)
    expect(runsOf(name, 'head')!.map((r) => r.face)).toEqual(expect.arrayContaining(faces))
    expect(
      runsOf(name, 'head')!
        .map((r) => r.text)
        .join(''),
    ).toBe(name.normalize('NFC'))
  })
  it('what no font has prints as the seat', async () => {
    expect([printedName('山田', 'B3'), printedName('Zoë', 'B3')]).toEqual(['Seat B3', 'Zoë'])
    const text: SheetText = {
      who: '山田',
      what: 'x',
      house: 'h',
      workshop: '山',
      date: '',
      headline: 'Finished',
      when: 'Done',
      never: '',
      why: '',
      mark: null,
      chain: [],
      steps: [],
      stepsTitle: '',
      bag: [],
      faults: [],
      cautions: [],
      care: '',
      titles: { bag: '', whatIf: '', care: '', mark: '' },
      ask: '',
    }
    const pdf = await sheetsPdf([{ text, seat: 'B3' }], { paper: 'a4', wording: 'few', black: true }, 't')
    expect(pdf.subarray(0, 4).toString()).toBe('%PDF')
  })
})
