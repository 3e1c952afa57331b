import { expect, test, type Locator, type Page } from '@playwright/test'
import { own } from './own'
import { axe } from './pages'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})
const at = (path: string) => process.env['IMPRENTA_URL'] + path

const finish = (page: Page) => page.locator('aside .poster')

/** Until something stands where it stood half a second before. */
async function still(what: Locator): Promise<void> {
  const top = async () => (await what.boundingBox())?.y
  await expect
    .poll(
      async () => {
        const before = await top()
        await what.page().waitForTimeout(500)
        return before !== undefined && before === (await top())
      },
      { timeout: 20_000 },
    )
    .toBe(true)
}

test('the room: when it is done and why, one press adds a basin, Undo brings it back', async ({ page }) => {
  await page.goto(`${await own(page, 'roomy')}/room`)
  await expect(page.getByRole('heading', { name: 'What holds it up' })).toBeVisible()
  await expect(page.getByText('No plan can be sooner.')).toBeVisible({ timeout: 15_000 })
  await expect(finish(page)).toHaveText('12:00')
  await expect(page.getByRole('heading', { name: 'Basins' })).toBeVisible()
  const basin = page.getByRole('button', { name: /^Bring 4 more places at a basin/ })
  await expect(basin).toContainText('−4 min')
  await expect(basin).toContainText('done 11:56')
  await basin.click()
  await expect(finish(page)).toHaveText('11:56', { timeout: 15_000 })
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(finish(page)).toHaveText('12:00', { timeout: 15_000 })
  expect(await axe(page)).toEqual([])
})

test('a stage is pinned by keys, the plan goes round it, and taken out again', async ({ page }) => {
  await page.goto(`${await own(page, 'pinned')}/room`)
  await page.getByRole('button', { name: 'Table B, 4 people' }).click()
  const seal = page.getByRole('button', { name: /^Mira: seal, hands on it/ })
  await expect(seal).toBeVisible()
  await expect(page.getByText('so far')).toHaveCount(0, { timeout: 15_000 })
  await seal.press('Shift+ArrowRight')
  const pinned = page.getByRole('button', { name: /^Mira: seal.*, pinned$/ })
  await expect(pinned).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take out the pin' })).toBeVisible()
  await pinned.press('p')
  await expect(pinned).toHaveCount(0)
  // Arrows go from stage to stage and from row to row.
  const wet = page.getByRole('button', { name: /^Mira: wet the paper/ })
  await wet.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^Mira: rub, round 1/ })).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('button', { name: /: rub, round 1/ }).nth(2)).toBeFocused()
})

test('somebody comes later: their row says so, and the plan follows; taken out it is as before', async ({ page }) => {
  await page.goto(`${await own(page, 'tardy')}/room`)
  await expect(finish(page)).toHaveText('12:00', { timeout: 15_000 })
  // What would help comes above it one after another, and moves it down.
  await still(page.getByText('Somebody comes later'))
  await page.getByText('Somebody comes later').click()
  await page.getByRole('combobox', { name: /^Who/ }).selectOption({ label: 'Mira' })
  await page.getByLabel('Minutes later').fill('0')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('alert')).toHaveText('Choose who, and 1 to 1440 minutes.')
  await page.getByLabel('Minutes later').fill('85')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('Mira: here 11:25')).toBeVisible()
  // 85 minutes after the beginning 70 of work and drying begin.
  await expect(finish(page)).toHaveText('12:35')
  await page.getByRole('button', { name: 'Mira comes at the beginning' }).click()
  await expect(finish(page)).toHaveText('12:00', { timeout: 15_000 })
})

test('a plan is kept, shown to all in the middle, and printed; the run sheet is a list', async ({ page }) => {
  const here = await own(page, 'kept')
  await page.goto(`${here}/room`)
  await page.getByRole('button', { name: 'Keep this plan' }).click({ timeout: 15_000 })
  await expect(page.getByText('This plan is kept')).toBeVisible()
  await page.reload()
  await expect(page.getByText('This plan is kept')).toBeVisible()
  await page.getByText('Show everybody something').click()
  await page.getByLabel('At', { exact: true }).fill('11:05')
  await page.getByLabel('What', { exact: true }).fill('how to seal')
  await page.getByRole('button', { name: 'Show it' }).click()
  // It is another room now: what was kept is of the one before.
  await expect(page.getByText('This plan is kept')).toHaveCount(0)
  await page.getByText('Run sheet: who begins what, when').click()
  const lines = page.locator('.run li')
  await expect(lines.filter({ hasText: 'how to seal, 5 min' })).toContainText('11:05')
  await expect(lines.first()).toContainText('Set up, 30 min')
  await expect(lines.last()).toContainText('Clean up, 20 min')
  // What is printed is what stands here: a better plan that was found is kept first.
  await expect(page.getByText('so far')).toHaveCount(0, { timeout: 15_000 })
  const [keep, print] = [
    page.getByRole('button', { name: 'Keep this plan to print it' }),
    page.getByRole('link', { name: 'Print it, one page' }),
  ]
  await expect(keep.or(print)).toBeVisible()
  if (await keep.isVisible()) await keep.click()
  const href = await print.getAttribute('href')
  const pdf = await page.request.get(at(href!))
  expect([pdf.status(), pdf.headers()['content-type']]).toEqual([200, 'application/pdf'])
})

test('forty people with long names: tables open while the room is searched, nothing scrolls sideways', async ({ page }) => {
  const people = Array.from({ length: 40 }, (_, i) => ({
    id: `q${i}`,
    seat: i + 1,
    name: `Bartholomea-Wilhelmina ${i}`,
    age: 'adult',
    misses: [],
  }))
  const here = await own(page, 'busy', (w) => ({ group: { ...w.group, tables: 10, participants: people } }))
  await page.goto(`${here}/room`)
  await expect(finish(page)).toBeVisible()
  await page.getByRole('button', { name: 'Table C, 4 people' }).click()
  await expect(page.getByText('so far')).toHaveCount(0, { timeout: 20_000 })
  await expect(page.getByRole('button', { name: /Bartholomea-Wilhelmina 9: wet/ })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
})

test('the rehearsal says its chance, a change brings it above the wish', async ({ page }) => {
  await page.goto(`${await own(page, 'lived')}/rehearsal`)
  const title = page.getByRole('heading', { level: 1 })
  await expect(page.getByText('lived 2000 times, seed 1')).toBeVisible({ timeout: 20_000 })
  await expect(title).toHaveText(/^9[0-4] of 100 such mornings end in time/)
  await expect(page.getByRole('heading', { name: 'What reaches it' })).toBeVisible()
  const basin = page.getByRole('radio', { name: /^Bring 4 more places at a basin/ })
  await expect(basin).toContainText(/9[89]|100/, { timeout: 20_000 })
  await basin.click()
  await page.getByRole('button', { name: 'Plan it so' }).click()
  await expect(title).toHaveText(/^(9[89]|100) of 100/, { timeout: 20_000 })
  await expect(page.getByRole('heading', { name: 'It reaches your wish' })).toBeVisible()
  await page.getByRole('button', { name: 'Fewer' }).click()
  await expect(page.getByText('90 in 100')).toBeVisible()
  await page.locator('summary', { hasText: 'How many are done' }).click()
  await expect(page.getByRole('table', { name: 'How many are done, minute by minute' })).toBeVisible({ timeout: 15_000 })
  await expect(page.locator('.apexcharts-canvas svg').first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('who came later has not the room: said, and one press finds another hour', async ({ page }) => {
  const sessions = (id: string) => [{ id: `${id}-1`, date: '2026-09-02', start: '10:00', end: '13:00', room: 'Loft' }]
  await own(page, 'loft-first', () => ({ createdAt: '2026-01-01T10:00:00-05:00[America/New_York]', sessions: sessions('loft-first') }))
  const here = await own(page, 'loft-second', () => ({
    createdAt: '2026-02-01T10:00:00-05:00[America/New_York]',
    sessions: sessions('loft-second'),
  }))
  await page.goto(`${here}/sessions`)
  await expect(page.getByText('Loft is taken for class 1')).toBeVisible()
  await page.getByRole('button', { name: /^Move class 1 to Wed 2 Sept?, 1:00 pm/ }).click()
  await expect(page.getByText('Loft is taken for class 1')).toHaveCount(0)
})

test('a holiday file closes days after a look; errands and dates follow', async ({ page }) => {
  await page.goto(at('/house/tidewater'))
  const text = [
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'DTSTART;VALUE=DATE:20261012',
    'SUMMARY:Fiesta',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'DTSTART:nonsense',
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n')
  await page
    .getByLabel('Closed days from a calendar file (.ics)')
    .setInputFiles({ name: 'fiestas.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) })
  await expect(page.getByText('1 day would be closed')).toBeVisible()
  await page.getByText('1 event is left out').click()
  await expect(page.getByText('line 6: , cannot be read')).toBeVisible()
  await page.getByRole('button', { name: 'Close them' }).click()
  await expect(page.getByRole('button', { name: 'Open again on 2026-10-12' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Open again on 2026-10-12' })).toHaveCount(0)
})

test('splits stand side by side, and the first dates that hold are found', async ({ page }) => {
  const here = await own(page, 'spread')
  await page.goto(`${here}/sessions`)
  const ways = page.locator('article.offer')
  await expect(ways.first()).toContainText('As planned', { timeout: 15_000 })
  expect(await ways.count()).toBeGreaterThan(3)
  const home = ways.filter({ hasText: 'At home' }).first()
  await home.getByRole('button', { name: 'Plan it so' }).click()
  await expect(ways.first()).toContainText('At home', { timeout: 15_000 })
  await page.goto(`${here}/bench/sessions`)
  await page.locator('summary', { hasText: 'Find the first dates' }).click()
  await page.getByRole('button', { name: 'Find them' }).click()
  const take = page.getByRole('button', { name: 'Take these dates instead' })
  await take.click({ timeout: 15_000 })
  await expect(page.getByRole('heading', { name: /^1 / })).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('the floor is drawn: counts follow what stands there, who sits where and how far from water; moved by keys and undone', async ({
  page,
}) => {
  const path = await own(page, 'drawn', (w) => ({ choices: { ...w.choices, stations: {} } }))
  await page.goto(`${path}/floor`)
  await page.getByRole('button', { name: 'Draw it with 5 tables' }).click()
  await expect(page.getByRole('button', { name: /^A\. Edda, Rune, Anton, Calla/ })).toBeVisible()
  await expect(page.getByText('Nothing.')).toBeVisible()
  const basins = page.getByRole('button', { name: /^Basin\. 4 places/ })
  await expect(basins).toHaveCount(2)
  // One place fewer by the keyboard: the class has seven.
  await basins.first().focus()
  await page.keyboard.press('-')
  await expect(page.getByRole('button', { name: /^Basin\. 3 places/ })).toBeVisible()
  await page.getByRole('link', { name: 'Minute by minute' }).click()
  await expect(page.getByText(/^7 places: /)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/^8 places: /)).toBeVisible()
  await page.getByRole('link', { name: 'Floor', exact: true }).click()
  // A heat tool put down in the middle has no power near enough, and says so; taken away, nothing is left to look at.
  await page.getByRole('button', { name: '+ Heat tool' }).click()
  await expect(page.getByText(/The heat tool is .* from power|Heat Tool and|stand on each other/i).first()).toBeVisible()
  const tool = page.getByRole('button', { name: /^Heat tool\. 1 places/ })
  await tool.focus()
  await page.keyboard.press('Delete')
  await expect(tool).toHaveCount(0)
  await expect(page.getByText('Nothing.')).toBeVisible()
  // Dragged by the mouse it lands where it was let go, within the walls.
  const rack = page.getByRole('button', { name: /^Rack/ })
  const from = (await rack.boundingBox())!
  await page.mouse.move(from.x + 10, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(from.x + 10, from.y - 40, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => Math.round((await rack.boundingBox())!.y - from.y)).toBeLessThan(-40)
  await page.reload()
  await expect.poll(async () => Math.round((await rack.boundingBox())!.y - from.y)).toBeLessThan(-40)
  expect(await axe(page)).toEqual([])
})

test('Classes open each class out below its place: who works, who waits, when it is done', async ({ page }) => {
  await page.goto(`${await own(page, 'opened')}/sessions`)
  const second = page.getByRole('heading', { name: /^Class 2/ }).locator('..')
  await expect(second).toContainText('done 12:00')
  await expect(second).toContainText('room ends 12:45')
  await expect(second.getByRole('img', { name: 'Basins 8 places: 10 wait, up to 10 min' })).toBeVisible()
  await second.getByRole('link', { name: 'minute by minute' }).click()
  await expect(page.getByRole('heading', { name: /^Sat 16 May, minute by minute/ })).toBeVisible()
})
