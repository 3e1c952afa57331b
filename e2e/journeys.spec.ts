import { expect, test } from '@playwright/test'
import { axe, moths, open, saved, url } from './pages'

test('18 become 19: every figure that depends on it changes, is marked, opens to its reason; undo brings it back', async ({ page }) => {
  await open(page, `${moths}/bench/kit`)
  const people = page.getByRole('textbox', { name: 'People' })
  await page.getByRole('button', { name: 'People: one more' }).click()
  await expect(people).toHaveValue('19')
  await expect(page.getByText('since 18 people became 19')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Plaques: 20. Why?' })).toBeVisible()
  await page.getByRole('button', { name: /^Sheets to print:/ }).click()
  await expect(page.getByRole('dialog')).toContainText('Prints side by side')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.goto(url(`${moths}/sessions`))
  await page.goBack()
  await expect(people).toHaveValue('19')
  await page.getByRole('button', { name: 'People: one less' }).click()
  await expect(people).toHaveValue('18')
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(people).toHaveValue('19')
  await page.locator('body').press('Shift+Z')
  await expect(people).toHaveValue('18')
  await saved(page)
})

test('a rub 9 h after laying is refused with the earliest time; one press adopts a way out, undo brings it back', async ({ page }) => {
  await open(page, `${moths}/bench/sessions`)
  const second = page.locator('section.card').nth(1)
  await second.getByLabel('Date').fill('2026-05-15')
  await second.getByLabel('From').fill('04:00')
  await second.getByLabel('To').fill('07:00')
  const refused = page.getByText('Too soon to rub in class 2')
  await expect(refused).toBeVisible()
  await expect(page.getByText(/Earliest Fri 7:10 am/)).toBeVisible()
  await page.getByRole('button', { name: /^Finish at home/ }).click()
  await expect(refused).toBeHidden()
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(refused).toBeVisible()
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /Undo/ }).click()
  await expect(refused).toBeHidden()
  await saved(page)
})

test('a state set for one piece is set for the table and for all, and one press takes it back', async ({ page }) => {
  await open(page, `${moths}/take-home`)
  const strip = page.getByLabel('Pieces by state')
  const group = (name: string) => page.getByRole('heading', { level: 3, name })
  await expect(group('Finished, care only 17')).toBeVisible()
  await page.getByRole('button', { name: 'Edda' }).click()
  await page.getByRole('combobox', { name: 'Goes home' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Laid', exact: true }).click()
  // Laid now, since it had still to be laid: its sheet names the time.
  await expect(page.getByLabel('Laid on')).not.toHaveValue('')
  await expect(page.getByText('Ready to rub')).toBeVisible()
  await expect(page.getByText('no need to wait')).toHaveCount(0)
  await page.getByRole('button', { name: /^table A: \d more$/ }).click()
  await expect(group('Rub it at home 4')).toBeVisible()
  await page.getByRole('button', { name: 'all: 14 more' }).click()
  await expect(group('Rub it at home 18')).toBeVisible()
  await expect(page.getByRole('button', { name: /^all:/ })).toHaveCount(0)
  await saved(page)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(group('Rub it at home 4')).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(group('Finished, care only 17')).toBeVisible()
  await expect(strip.getByText('Laid 17')).toBeVisible()
  await saved(page)
})

test('from an empty workshop to take-home sheets for 18, by keyboard alone', async ({ page }) => {
  await open(page, '/')
  const press = async (name: string | RegExp) => {
    await page.getByRole('button', { name }).first().focus()
    await page.keyboard.press('Enter')
  }
  await page.getByRole('link', { name: 'New', exact: true }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('radio', { name: 'coaster' }).focus()
  await page.keyboard.press('Space')
  await page.getByRole('textbox', { name: 'People' }).focus()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('18')
  await page.keyboard.press('Tab')
  await press('Begin with 18 coasters')
  await expect(page.getByRole('heading', { name: 'Group', exact: true })).toBeVisible()
  await expect(page.getByText('tables of', { exact: false }).or(page.getByText('of four, by default'))).toBeVisible()
  await page.keyboard.press('Tab')
  await page.keyboard.press('6')
  await press('Add a class')
  await expect(page.locator('section.card')).toHaveCount(1)
  await page.keyboard.press('g')
  await page.keyboard.press('t')
  await expect(page.getByText('18 sheets, by how far the piece is')).toBeVisible()
  await expect(page.getByText(/^Never before/).first()).toBeVisible()
  await saved(page)
  const link = page.getByRole('link', { name: 'Print all 18 (PDF)' })
  const pdf = await page.request.get(url((await link.getAttribute('href'))!))
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
})

test('typing survives a lost connection and a reload', async ({ page, context }) => {
  await open(page, '/w/lighthouse-blocks/bench/group')
  await page.route('**/api/commands', (r) => r.abort())
  await page.getByLabel('Name at seat A1').fill('Wenonah')
  await expect(page.locator('output.status')).toContainText('waits here')
  await page.unroute('**/api/commands')
  await page.reload()
  await expect(page.getByLabel('Name at seat A1')).toHaveValue('Wenonah')
  await saved(page)
  const other = await context.newPage()
  await open(other, '/w/lighthouse-blocks/bench/group')
  await expect(other.getByLabel('Name at seat A1')).toHaveValue('Wenonah')
})

test('two tabs on one field: theirs stands, mine is kept, either is one tap', async ({ page, context }) => {
  await open(page, '/w/kelp-coasters/bench/group')
  const other = await context.newPage()
  await open(other, '/w/kelp-coasters/bench/group')
  await page.route('**/api/events', (r) => r.abort())
  await page.route('**/api/commands', (r) => r.abort())
  // Tabs of one browser send for each other: the other one lets only what somebody else does through.
  await other.route('**/api/commands', (r) => (r.request().headers()['x-somebody-else'] ? r.continue() : r.abort()))
  await page.getByRole('textbox', { name: 'Helpers' }).fill('4')
  await other.evaluate(async () => {
    const now = await (await fetch('/api/desk')).json()
    const version = now.summaries.find((w: { body: { id: string } }) => w.body.id === 'kelp-coasters').version
    const c = {
      id: crypto.randomUUID(),
      subject: { kind: 'workshop', id: 'kelp-coasters' },
      baseVersion: version,
      kind: 'set',
      changes: [{ path: 'group/helpers', before: 1, after: 3 }],
      guards: [],
      actor: 'Bram',
      at: '',
    }
    await fetch('/api/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-somebody-else': '1' },
      body: JSON.stringify([c]),
    })
  })
  await page.unroute('**/api/commands')
  await other.unroute('**/api/commands')
  await expect(page.getByText('somebody else was first')).toBeVisible({ timeout: 30_000 })
  // Nobody touches the field while it is typed in; theirs is shown when it is left.
  await expect(page.getByRole('textbox', { name: 'Helpers' })).toHaveValue('4')
  await page.getByRole('textbox', { name: 'Helpers' }).blur()
  await expect(page.getByRole('textbox', { name: 'Helpers' })).toHaveValue('3')
  // It waits until somebody chooses, also over a reload.
  await page.reload()
  await expect(page.getByText('somebody else was first')).toBeVisible()
  await page.getByRole('button', { name: 'Put back mine' }).click()
  await expect(page.getByRole('textbox', { name: 'Helpers' })).toHaveValue('4')
  await saved(page)
})

test('a roster is looked at first: an odd heading is asked about, a bad line named, good ones come in with one press', async ({ page }) => {
  await open(page, '/w/ferry-lanterns/bench/group')
  await page.getByRole('button', { name: 'Bring in a roster' }).click()
  await page.getByLabel('or paste it').fill('name;yrs\nAvel;14\nBirdie;x\n<b>Cy</b>;9')
  await page.getByRole('button', { name: 'Look at it' }).click()
  await expect(page.getByText('What is “yrs”?')).toBeVisible()
  await page.getByRole('button', { name: 'age in years (kept as a band)' }).click()
  await expect(page.getByText('1 line cannot come in.')).toBeVisible()
  await page.getByRole('button', { name: 'Bring 2 in' }).click()
  await expect(page.getByLabel('Name at seat A2')).toHaveValue('<b>Cy</b>')
})

test('sessions move by keys and the verdict follows', async ({ page }) => {
  await open(page, `${moths}/sessions`)
  await expect(page.locator('.verdict').getByText('Ready by then.')).toBeVisible()
  const second = page.getByRole('button', { name: /^Class 2,/ })
  await second.focus()
  for (let i = 0; i < 16; i++) await page.keyboard.press('Shift+ArrowLeft')
  await expect(page.locator('.verdict').getByText('Risky by then.')).toBeVisible()
  for (let i = 0; i < 16; i++) await page.getByRole('button', { name: /Undo/ }).click()
  await expect(page.locator('.verdict').getByText('Ready by then.')).toBeVisible()
  await saved(page)
})

test('nobody is stopped at the door; who it is is asked at the first change, in nobody’s way', async ({ page }) => {
  await page.goto(url(`${moths}/bench/kit`))
  await expect(page.getByLabel('Pieces by state')).toBeVisible()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByLabel('You are')).toHaveCount(0)
  await page.getByRole('button', { name: 'Samples: one more' }).click()
  await expect(page.getByLabel('You are')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('button', { name: /^Undo/ }).click()
  await page.getByRole('button', { name: 'Redo' }).click()
  await page.getByLabel('You are').fill('Ilse')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByLabel('You are')).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await saved(page)
  await page.goto(url('/'))
  await expect(page.getByText('Ilse, this device')).toBeVisible()
})
