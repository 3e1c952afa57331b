// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { asPractised } from '#core/figures'
import { planWorkshop } from '#core/plan'
import { phrases } from '#core/phrases'
import { freshPrinter } from '#core/printer'
import { layPrints, printsOf, type Layout, type LaidSheet } from '#core/prints'
import { isRefusal } from '#core/reasons'
import { choose, mountIn } from '../testing/mountIn'
import PrinterPanel from './PrinterPanel.vue'
import SheetsList from './SheetsList.vue'
import type { Job } from '#core/prints'

const now = '2026-05-15T21:00:00+02:00[Europe/Berlin]'
const house = demoHouses[1]!
const workshop = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const plan = planWorkshop({ workshop, house, now })
const say = phrases(house, now)
const prints = printsOf(plan, workshop, { widthMm: 200, heightMm: 287 })
const layout = layPrints({ prints, paper: plan.print.paper, gutterMm: asPractised('gutter').value, locks: [], unit: 'mm' }, 20) as Layout
if (isRefusal(layout)) throw new Error('the demo has a layout')
const ready = layout.sheets.filter((s) => !s.waits)

const job = (more: Partial<Job>): Job => ({
  id: 'j1',
  ink: 'toner',
  paper: 'a4',
  at: now,
  number: 1,
  actor: '',
  sheets: ['a', 'b', 'c'].map((x) => ({ prints: [`${x}1`, `${x}2`], labels: [`${x} one`, `${x} two`] })),
  printed: 3,
  lost: 0,
  stopped: null,
  redo: [],
  whole: true,
  ...more,
})
const panel = (
  more: {
    jobs?: Job[]
    sheets?: readonly LaidSheet[]
    busy?: boolean
    letIt?: 'run' | 'jam'
    level?: number
    paper?: string
    smear?: 'passed' | 'failed'
    problem?: string
  } = {},
) =>
  mountIn(
    PrinterPanel,
    {
      workshop: workshop.id,
      plan,
      say,
      printer: { ...freshPrinter('toner', more.paper ?? 'a4'), letIt: more.letIt ?? 'run', level: more.level ?? 1 },
      jobs: more.jobs ?? [],
      sheets: more.sheets ?? ready,
      busy: more.busy ?? false,
      problem: more.problem ?? '',
      smear: more.smear,
      of: layout.sheets.length,
    },
    {},
  )
const press = (page: ReturnType<typeof panel>) => page.find('.press')

describe('the printer’s panel', () => {
  it('says that it is simulated, and how many sheets one press prints', async () => {
    const page = panel()
    expect(page.find('.simulated').text()).toBe('simulated')
    expect(press(page).text()).toBe(`Print ${ready.length} sheets`)
    await press(page).trigger('click')
    expect(page.emitted('print')).toHaveLength(1)
  })
  it('does not print while it lays out, nor nothing', () => {
    expect(press(panel({ busy: true })).attributes('disabled')).toBeDefined()
    const none = press(panel({ sheets: [] }))
    expect([none.attributes('disabled') !== undefined, none.text()]).toEqual([true, 'Nothing to print'])
  })
  it('names the sheets that wait for pictures', () =>
    expect(panel().text()).toContain(`${layout.sheets.length - ready.length} sheets wait for pictures that are not in.`))
  it.each<[string, Partial<Job>, string, string, string | undefined]>([
    [
      'a jam',
      { printed: 1, lost: 1, stopped: 'jam' },
      'Paper jam at sheet 2 of 3',
      'Sheet 1 is in the out-tray and whole. Sheet 2 is lost, 1 not started. 4 prints are missing',
      undefined,
    ],
    [
      'a jam at once',
      { printed: 0, lost: 1, stopped: 'jam' },
      'Paper jam at sheet 1 of 3',
      'Nothing came out. Sheet 1 is lost, 2 not started. 6 prints are missing',
      undefined,
    ],
    [
      'an empty cartridge',
      { printed: 2, stopped: 'empty' },
      'Run out at sheet 3 of 3',
      'Sheets 1 to 2 are in the out-tray and whole. 1 not started. 2 prints are missing',
      'A new cartridge is in',
    ],
    [
      'wrong paper',
      { printed: 0, stopped: 'wrong-paper' },
      'Wrong paper in the tray',
      'Nothing came out. 3 not started. 6 prints are missing',
      'A4 is in the tray',
    ],
  ])('%s: what is whole, what is missing, and the way on', (_name, more, title, body, way) => {
    const page = panel({ jobs: [job(more)] })
    const told = page.find('.told')
    expect(told.find('h3').text()).toBe(title)
    expect(told.text()).toContain(body)
    expect(told.findAll('li').length).toBeGreaterThan(0)
    expect(told.find('button').exists() ? told.find('button').text() : undefined).toBe(way)
  })
  it('a stop is over once its prints are out', () =>
    expect(
      panel({ jobs: [job({ printed: 1, stopped: 'jam' })], sheets: [] })
        .find('.told')
        .exists(),
    ).toBe(false))
  it('one piece can be wanted again, once', async () => {
    const page = panel({ jobs: [job({ redo: ['a1'] })] })
    const again = page.findAll('.again button')
    expect(again.map((b) => [b.text(), b.attributes('disabled') !== undefined])).toContainEqual(['a one', true])
    await again[1]!.trigger('click')
    expect(page.emitted('redo')![0]![1]).toEqual(['a2'])
  })
  it('a job whose PDF went with an erased picture says so', () => {
    const tray = panel({ jobs: [job({ whole: false })] }).find('.tray')
    expect([tray.text().includes('erased'), tray.find('a').exists()]).toEqual([true, false])
  })
  it('other paper in the tray, and liquid ink that smears, are to be looked at', () => {
    const page = panel({ paper: 'letter', smear: 'failed' })
    const check = page.findAll('.checks li').find((li) => li.text() === 'A4 in the tray')!
    expect(check.html()).not.toBe(
      panel()
        .findAll('.checks li')
        .find((li) => li.text() === 'A4 in the tray')!
        .html(),
    )
    expect(page.find('.tray').text()).toContain('smears')
  })
  it('says beforehand that it will not last, and what failed', () => {
    expect(panel({ level: 0.1 }).text()).toContain('It will run out on the way')
    expect(panel({ problem: 'The server does not answer.' }).find('[role=alert]').text()).toBe('The server does not answer.')
  })
})

describe('the list of sheets', () => {
  const list = (more: Partial<Layout> = {}, share = 1) =>
    mountIn(SheetsList, { workshop: workshop.id, plan, say, layout: { ...layout, ...more }, prints, number: 1, share, printed: false })
  it('says in words how few are possible', () => {
    expect(list().text()).toContain('No fewer are possible.')
    expect(list({ lowerBound: 12 }).text()).toContain('At least 12.')
    expect(list().find('.many').text()).toBe(`${layout.sheets.length} sheets`)
  })
  it('while it looks for fewer it says so and can be stopped', async () => {
    const page = list({}, 0.5)
    expect(page.findAll('.steps .on')).toHaveLength(10)
    await page.find('.progress button').trigger('click')
    expect(page.emitted('stop')).toHaveLength(1)
    expect(list().find('.progress').exists()).toBe(false)
    // What is still looked for is not said to be impossible, and a count that is proven is not looked for any more.
    expect([page.text().includes('No fewer'), page.text().includes('18 at the least.')]).toEqual([false, true])
    expect(page.find('.progress').text()).toContain('leaving more of the last sheet whole')
    expect(list({ lowerBound: 12 }, 0.5).find('.progress').text()).toContain('looking for fewer')
  })
  it('names the layout in its files, so that the server lays out the same', () => {
    const links = list()
      .findAll('a')
      .map((a) => a.attributes('href'))
    expect(links).toEqual([
      `/api/workshops/${workshop.id}/prints.pdf?steps=${layout.steps}&proof=0`,
      `/api/workshops/${workshop.id}/prints.pdf?steps=${layout.steps}`,
      `/api/workshops/${workshop.id}/prints/1.png?steps=${layout.steps}`,
    ])
  })
  it('other paper is one choice', async () => {
    const page = list()
    await choose(page, 'Paper', 'a3')
    expect(page.emitted('paper')).toEqual([['a3']])
  })
  it('with nothing to print says why', () => {
    const empty = (printed: boolean, people = 18) =>
      mountIn(SheetsList, {
        workshop: 'x',
        plan: { ...plan, people },
        say,
        layout: { ...layout, sheets: [] },
        prints: [],
        number: 1,
        share: 1,
        printed,
      })
        .find('.hollow')
        .text()
    expect([empty(true), empty(false, 0), empty(false)]).toEqual([
      'Everything is printed.',
      'Nobody is in the group yet: nothing is printed.',
      'Nothing goes through the printer: pictures are stamped, cut from pages or brought along.',
    ])
  })
})
