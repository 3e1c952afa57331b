import { expect, test, type Browser, type Page } from '@playwright/test'
import pg from 'pg'
import type { Workshop } from '#core/workshop'
import { own, putAway } from './own'
import { axe, url } from './pages'

/** The demo's second class, begun forty minutes ago: now is Friday, 3 pm. */
const today = (id: string) => (w: Workshop) => ({
  sessions: w.sessions.map((s, i) =>
    i === 1 ? { ...s, id: `${id}-2`, date: '2026-05-15', start: '14:20', end: '17:05', room: '' } : { ...s, id: `${id}-1`, room: '' },
  ),
  pieces: w.pieces,
})
async function tablet(browser: Browser, path: string, name: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.addInitScript((n) => localStorage.setItem('imprenta.actor', n), name)
  page.on('pageerror', (e) => expect(e.message).toBe(''))
  await page.goto(path)
  return page
}
const say = (page: Page) => page.getByRole('region', { name: 'Say next' })
const bar = (page: Page, t: string, stage: string) => page.getByRole('button', { name: `Table ${t}, ${stage}`, exact: true })
const seat = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name} `) })
const saved = (page: Page) => expect(page.getByText('Saved here and on the server')).toBeVisible()

/** The address that the card of somebody's seat leads to. */
async function addressOf(page: Page, id: string, person: string): Promise<string> {
  await page.request.get(url(`/api/workshops/${id}/cards.pdf`))
  const db = new pg.Client({ connectionString: process.env['IMPRENTA_E2E_DATABASE'] })
  await db.connect()
  const { rows } = await db.query<{ token: string }>('select token from piece_address where workshop_id = $1 and participant_id = $2', [
    id,
    person,
  ])
  await db.end()
  return url(`/m/${rows[0]!.token}`)
}

test('two tablets, a helper’s phone, the wall and a participant’s phone run a class from begin to end, one of them without net in the middle; what happened is in the workshop and on its sheets', async ({
  browser,
  page,
}) => {
  test.setTimeout(180_000)
  const path = `${await own(page, 'daytime', today('daytime'))}/day`
  const a = await tablet(browser, path, 'Noor')
  await expect(a.getByRole('heading', { name: 'Who is here?' })).toBeVisible()
  await a.getByRole('button', { name: 'All here' }).click()
  await a.getByRole('button', { name: /^Hanne/ }).click()
  await a.getByLabel('Samples at hand').check()
  await a.getByLabel('Air, °C').fill('21')
  await a.getByLabel('Humidity, %').fill('48')
  await a.getByRole('button', { name: 'Note it' }).click()
  await expect(a.getByText('Noted: 21 °C, 48 %.')).toBeVisible()
  expect(await axe(a)).toEqual([])
  await a.getByRole('button', { name: 'Begin the class' }).click()
  await saved(a)

  // A participant's phone waits for the word; the wall and a helper's phone are there.
  const rune = await addressOf(page, 'daytime', 'moths-of-the-marsh-p2')
  const mine = await browser.newContext({ viewport: { width: 390, height: 844 } }).then((c) => c.newPage())
  await mine.goto(rune)
  const told = mine.locator('.now h2')
  await expect(mine.getByRole('heading', { name: 'Rune' })).toBeVisible()
  await expect(told).toHaveText('Wait for the word')
  expect(await axe(mine)).toEqual([])
  const wall = await tablet(browser, path.replace(/day$/, 'wall'), 'Wall')
  const help = await tablet(browser, `${path.replace(/day$/, 'helper')}?tables=A`, 'Pia')

  // The other tablet is where the first one is, and follows it.
  const b = await tablet(browser, path, 'Bram')
  await expect(say(b)).toContainText('Everybody looks here')
  await say(a).getByRole('button', { name: 'Shown to all' }).click()
  await expect(say(b)).toContainText('Wet the paper. The picture reads through, no dry patch.')
  await say(b).getByRole('button', { name: 'Only A' }).click()
  await expect(bar(a, 'A', 'Wet the paper')).toContainText(/4:\d\d/)
  expect(await axe(b)).toEqual([])
  await expect(told).toHaveText('Wet the paper')
  await expect(mine.getByRole('timer')).toHaveText(/^[2-5] minutes$/)
  await expect(wall.getByRole('listitem').filter({ hasText: 'A' }).first()).toContainText(/Wet the paper\s*[1-5]\s*min/)
  await expect(bar(help, 'A', 'Wet the paper')).toBeVisible()

  // Without net: it says so, opens again from what it kept, and takes taps.
  await b.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect.poll(() => b.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
  await b.context().setOffline(true)
  await b.reload()
  await expect(bar(b, 'A', 'Wet the paper')).toBeVisible()
  await seat(b, 'Rune').click()
  await b.getByRole('button', { name: 'Needs you' }).click()
  await expect(b.getByText('1 taps kept on this tablet, no net')).toBeVisible()
  await expect(seat(b, 'Rune')).toContainText('needs you')
  // Meanwhile the first goes on; nothing of the other has come.
  await expect(seat(a, 'Rune')).not.toContainText('needs you')
  await seat(a, 'Rune').click()
  await a.getByRole('button', { name: 'Wet the paper: done' }).click()
  await a.getByRole('button', { name: 'Rub, round 1: done' }).click()
  await expect(seat(a, 'Rune')).toContainText('Rub 1')
  await expect(told).toHaveText('Dry, then look')
  await expect(mine.getByText('It dries by itself. Hands off.')).toBeVisible()
  await expect(seat(help, 'Rune')).toContainText('Rub 1')
  await b.context().setOffline(false)
  await saved(b)
  await expect(seat(a, 'Rune')).toContainText('needs you')
  await expect(seat(b, 'Rune').locator('.token')).toBeVisible()

  // Who was not there comes; undo takes back the last tap of this tablet.
  await a.getByRole('button', { name: 'Here', exact: true }).click()
  await expect(a.getByRole('heading', { name: /^Not here/ })).toHaveCount(0)
  await a.getByRole('button', { name: 'Undo' }).click()
  await expect(a.getByRole('heading', { name: /^Not here/ })).toBeVisible()

  // The end: one torn, the rest good; a line; ended, everywhere.
  await a.getByRole('button', { name: 'End', exact: true }).click()
  await a.getByRole('radio', { name: 'torn' }).click()
  await a.locator('.card.token').filter({ hasText: 'Mira' }).click()
  await a.getByRole('button', { name: 'The rest is good' }).click()
  await expect(a.locator('.card.token').filter({ hasText: 'Mira' })).toContainText('torn')
  await expect(a.locator('.card.token').filter({ hasText: 'Rune' })).toContainText('good')
  // Rune's lies on the shelf, the next beside it; what ran out is told, and taken back by the same press.
  await a.getByRole('radio', { name: 'to the shelf' }).click()
  await a.getByLabel('Place').fill('2-9')
  await a.locator('.card.token').filter({ hasText: 'Rune' }).click()
  await expect(a.locator('.card.token').filter({ hasText: 'Rune' })).toContainText('good, shelf 2-9')
  await expect(a.getByLabel('Place')).toHaveValue('2-10')
  const ranOut = a.getByRole('region', { name: 'What ran out?' })
  await ranOut.getByRole('button', { name: 'Sandpaper' }).click()
  await expect(ranOut.getByRole('button', { name: 'Sandpaper' })).toHaveAttribute('aria-pressed', 'true')
  await ranOut.getByRole('button', { name: 'Cord' }).click()
  await ranOut.getByRole('button', { name: 'Cord' }).click()
  await expect(ranOut.getByRole('button', { name: 'Cord' })).toHaveAttribute('aria-pressed', 'false')
  await a.getByRole('region', { name: 'What took longer?' }).getByRole('button', { name: 'Rub, round 1' }).click()
  await a.getByLabel('One line for next time').fill('More towels')
  await a.getByRole('button', { name: 'Note it' }).click()
  await expect(a.getByText('Still undone')).toBeVisible()
  expect(await axe(a)).toEqual([])
  await saved(a)
  await a.getByRole('button', { name: 'End the class' }).click()

  // The phone asks how it came out, and its word is the last.
  await expect(mine.getByRole('button', { name: 'good' })).toHaveAttribute('aria-pressed', 'true')
  await mine.getByRole('button', { name: 'hazy' }).click()
  await expect(mine.getByText('Noted for this piece, without your name.')).toBeVisible()
  expect(await axe(mine)).toEqual([])
  // Sheets are true for each piece: his was rubbed once and goes on, hers was never wet.
  const sheetOf = async (n: number) =>
    (await page.request.get(url(`/api/workshops/daytime/take-home.md?who=moths-of-the-marsh-p${n}`))).text()
  await expect.poll(() => sheetOf(2)).toContain('**Laid** → **Cured** → **Rub 1** → Rub 2 → Sealed')
  const [his, hers] = await Promise.all([sheetOf(2), sheetOf(6)])
  expect(his).not.toContain('Never before')
  expect(hers).toContain('# Mira')
  expect(hers).toContain('**Laid**')

  // In the workshop Rune's piece is rubbed once, the others are as they were.
  await a.goto(url('/w/daytime/take-home'))
  await expect(a.getByLabel('Pieces by state')).toContainText(/Rub 1\s*1/)
  const { events } = (await (await page.request.get(url('/api/day/daytime/daytime-2'))).json()) as { events: { kind: string }[] }
  const count = (kind: string) => events.filter((e) => e.kind === kind).length
  expect([count('here'), count('begin'), count('end'), count('needs'), count('undo'), count('note')]).toEqual([19, 1, 1, 1, 2, 1])
  expect([count('shelf'), count('ran-out'), count('longer')]).toEqual([1, 2, 1])
  const last = events.filter((e) => e.kind === 'outcome').at(-1) as unknown as { value: object; actor: string }
  expect([last.value, last.actor]).toEqual([{ how: 'hazy' }, 'whose piece it is'])
  await putAway(page, 'daytime')
  await Promise.all([a, b, wall, help, mine].map((x) => x.context().close()))
})

test('the day by keys: a letter chooses the table, Enter does what is next for it, Space says what is next, H asks for help', async ({
  browser,
  page,
}) => {
  const path = `${await own(page, 'bykeys', today('bykeys'))}/day`
  const a = await tablet(browser, path, 'Noor')
  // One press is taken back as a whole.
  await a.getByRole('button', { name: 'All here' }).click()
  await expect(a.getByRole('button', { name: /, here$/ })).toHaveCount(18)
  await a.getByRole('button', { name: 'Undo' }).click()
  await expect(a.getByRole('button', { name: /, expected$/ })).toHaveCount(18)
  await a.getByRole('button', { name: 'All here' }).click()
  await a.getByRole('button', { name: 'Begin the class' }).click()
  await expect(say(a)).toContainText('Everybody looks here')
  await a.locator('body').press('Space')
  await expect(say(a)).toContainText('Wet the paper')
  // Lived by people in a worker, from how the room stands.
  await expect(a.getByText(/in time \d+ of 100/)).toBeVisible()
  // One tap moves the room, as far as there are places; undone, it is as it was.
  const room = /^(\w(?:, \w)+): wet the paper begins$/
  await expect(say(a).getByRole('button').first()).toHaveText(room)
  const letters = room.exec(await say(a).getByRole('button').first().innerText())![1]!.split(', ')
  await a.locator('body').press('Space')
  for (const t of letters) await expect(bar(a, t, 'Wet the paper')).toContainText(/4:\d\d/)
  await a.locator('body').press('z')
  for (const t of letters) await expect(bar(a, t, 'Wet the paper')).not.toContainText(/4:\d\d/)
  await a.locator('body').press('b')
  await expect(bar(a, 'B', 'Wet the paper')).toHaveAttribute('aria-pressed', 'true')
  await a.locator('body').press('Enter')
  await expect(bar(a, 'B', 'Wet the paper')).toContainText(/4:\d\d/)
  await seat(a, 'Mira').click()
  await a.locator('body').click({ position: { x: 2, y: 2 } })
  await a.locator('body').press('h')
  await expect(seat(a, 'Mira')).toContainText('needs you')
  await a.locator('body').press('z')
  await expect(seat(a, 'Mira')).not.toContainText('needs you')
  // The wall has the tables and whole minutes, no name; a helper's phone its own tables, and what is tapped there is here.
  const wall = await tablet(browser, path.replace(/day$/, 'wall'), 'Wall')
  await expect(wall.getByRole('listitem').filter({ hasText: 'B' }).first()).toContainText(/Wet the paper\s*[1-5]\s*min/)
  for (const name of ['Mira', 'Edda', 'Hanne']) await expect(wall.locator('main')).not.toContainText(name)
  expect(await axe(wall)).toEqual([])
  const phone = await tablet(browser, `${path.replace(/day$/, 'helper')}?tables=D,E`, 'Bram')
  await expect(phone.getByRole('heading', { name: 'tables D E' })).toBeVisible()
  await expect(phone.getByRole('button', { name: /^Table A/ })).toHaveCount(0)
  await phone.getByRole('button', { name: /^D.*: wet the paper begins$/ }).click()
  await expect(bar(a, 'D', 'Wet the paper')).toContainText(/4:\d\d/)
  await seat(phone, 'Petra').click()
  await phone.getByRole('button', { name: 'Needs the instructor' }).click()
  await expect(seat(a, 'Petra')).toContainText('needs you')
  expect(await axe(phone)).toEqual([])
  await Promise.all([wall.context().close(), phone.context().close()])

  // Edda has no piece that may be rubbed: nobody is told to rub it, until a spare is hers.
  await expect(a.getByText('no piece that may be rubbed: a spare?')).toBeVisible()
  await seat(a, 'Edda').click()
  await a.getByRole('button', { name: /^On a spare, \d+ left/ }).click()
  await expect(seat(a, 'Edda')).toContainText('on a spare')
  await expect(a.getByText('no piece that may be rubbed: a spare?')).toHaveCount(0)
  await putAway(page, 'bykeys')
  await a.context().close()
})

test('what could go wrong on a tablet: a tag in a name, a page left with taps unsent, a newer version put up meanwhile', async ({
  browser,
  page,
}) => {
  const name = '<img src=x onerror="document.title=1">'
  const path = `${await own(page, 'badday', (w) => ({
    ...today('badday')(w),
    group: { ...w.group, participants: w.group.participants.map((p, i) => (i === 1 ? { ...p, name } : p)) },
  }))}/day`
  const a = await tablet(browser, path, 'Noor')
  await a.getByRole('button', { name: 'All here' }).click()
  await a.getByRole('button', { name: 'Begin the class' }).click()
  await expect(a.getByRole('button', { name: `${name} Laid` })).toBeVisible()
  await expect(a.locator('.room img')).toHaveCount(0)
  const mine = await browser.newContext({ viewport: { width: 390, height: 844 } }).then((c) => c.newPage())
  await mine.goto(await addressOf(page, 'badday', 'moths-of-the-marsh-p2'))
  await expect(mine.getByRole('heading', { level: 1 })).toHaveText('<img')
  await expect(mine.locator('img')).toHaveCount(0)

  // A newer version is put up: the files of this one are gone from the server. The day goes on, also after a reload.
  await a.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect.poll(() => a.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
  await a.context().route(/\/assets\//, (route) => route.fulfill({ status: 404, body: 'gone' }))
  await a.reload()
  await seat(a, 'Mira').click()
  await a.getByRole('button', { name: 'Needs you', exact: true }).click()
  await expect(seat(a, 'Mira')).toContainText('needs you')
  await saved(a)
  await a.context().unroute(/\/assets\//)

  // Without net sheets cannot be printed, and it says why; taps that are left with the page go from whatever page is open next.
  await a.context().setOffline(true)
  await seat(a, 'Dov').click()
  await a.getByRole('button', { name: 'Needs you', exact: true }).click()
  await expect(a.getByText('1 taps kept on this tablet, no net')).toBeVisible()
  await a.getByRole('button', { name: 'End', exact: true }).click()
  await expect(a.getByText('Sheets are printed by the server: when the net is back.')).toBeVisible()
  await expect(a.getByRole('link', { name: 'Print all sheets' })).toHaveCount(0)
  await a.getByRole('button', { name: 'Leave' }).click()
  await a.context().setOffline(false)
  await a.goto(url('/craft'))
  await expect
    .poll(async () => {
      const { events } = (await (await page.request.get(url('/api/day/badday/badday-2'))).json()) as { events: { kind: string }[] }
      return events.filter((e) => e.kind === 'needs').length
    })
    .toBe(2)
  await putAway(page, 'badday')
  await Promise.all([a.context().close(), mine.context().close()])
})

test('who is late is told by when to begin; a spare that is used is gone from the kit; the shelf stands beside', async ({
  browser,
  page,
}) => {
  test.setTimeout(90_000)
  const marlo = 'moths-of-the-marsh-p13'
  const path = `${await own(page, 'lateday', (w) => {
    const with2 = today('lateday')(w)
    const participants = w.group.participants.map((p) => (p.name === 'Suri' ? { ...p, misses: ['lateday-2'] } : p))
    return {
      ...with2,
      group: { ...w.group, participants },
      sessions: with2.sessions.map((s, i) => (i === 1 ? { ...s, late: { [marlo]: 70 } } : s)),
    }
  })}/day`
  const a = await tablet(browser, path, 'Noor')
  const worker = a.waitForEvent('worker', (w) => w.url().includes('day.worker'))
  for (let i = 0; i < 2; i++) await seat(a, 'Hanne').click()
  // Who said that they come later is not marked with the others.
  await expect(a.getByRole('button', { name: /^Marlo D1, from 3:30$/ })).toBeVisible()
  await a.getByRole('button', { name: 'All here' }).click()
  // Nor is who misses the class; nobody looks out for them.
  await expect(a.getByRole('button', { name: /^Suri \w\d, not expected$/ })).toHaveAttribute('aria-pressed', 'false')
  await expect(a.getByRole('button', { name: /^Marlo D1, from 3:30$/ })).toHaveAttribute('aria-pressed', 'false')
  await a.getByRole('button', { name: 'Begin the class' }).click()
  // What is left is planned in a thread.
  await worker
  const late = a.locator('.side div.row')
  await expect(late).toHaveCount(2)
  await expect(late.filter({ hasText: 'Hanne' })).toContainText(/done by \d+:\d\d if begun by \d+:\d\d/)
  await expect(late.filter({ hasText: 'Marlo' })).toContainText(/, from 3:30/)
  await expect(seat(a, 'Marlo')).toContainText('from 3:30')
  const shelf = a.locator('.side section', { has: a.getByRole('heading', { name: 'On the shelf' }) })
  await expect(shelf).toContainText('Hanne')
  await expect(shelf).toContainText('1 spare')
  await late.filter({ hasText: 'Hanne' }).getByRole('button', { name: 'Here' }).click()
  await expect(late).toHaveCount(1)
  await expect(shelf).not.toContainText('Hanne')
  await expect(seat(a, 'Hanne')).toContainText('Laid')
  await seat(a, 'Edda').click()
  await a.getByRole('button', { name: 'On a spare, 1 left' }).click()
  await expect(shelf).not.toContainText('spare')
  await expect(shelf).toContainText('Suri')
  await saved(a)
  await page.goto(url('/w/lateday/bench/kit'))
  await expect(page.getByText('1 used, 2 left')).toBeVisible()
  await a.getByRole('button', { name: 'Undo' }).click()
  await expect(shelf).toContainText('1 spare')
  await expect(page.getByText('1 used, 2 left')).toHaveCount(0)
  await a.context().close()
  await putAway(page, 'lateday')
})

test('a kit to go: its person says on their phone when the picture was laid, its wait is counted, and it may be taken back', async ({
  browser,
  page,
}) => {
  await page.goto(url('/'))
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const phone = await context.newPage()
  await phone.goto(await addressOf(page, 'kelp-canvases', 'kelp-canvases-p2'))
  await expect(phone.getByText('1. Coat').or(phone.getByText('Brush the glue over the piece'))).toBeVisible()
  expect(await axe(phone)).toEqual([])
  await phone.getByRole('button', { name: 'I laid it just now' }).click()
  await expect(phone.getByRole('heading', { name: 'Let it lie' })).toBeVisible()
  await expect(phone.getByText('Never before Saturday 16 May, 3:00 am.')).toBeVisible()
  await phone.route('**/api/mine/**', (r) => r.abort())
  await phone.getByRole('button', { name: 'That was wrong' }).click()
  await expect(phone.getByText('No net: kept on this phone, sent when there is one.')).toBeVisible()
  // It goes by itself when there is a net again, also from a page that was opened anew.
  await phone.unroute('**/api/mine/**')
  await phone.reload()
  await expect(phone.getByRole('button', { name: 'I laid it just now' })).toBeVisible()
  await context.close()
})
