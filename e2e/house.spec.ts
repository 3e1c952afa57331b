import { expect, test } from '@playwright/test'
import { axe, moths, open, saved, url } from './pages'

test('damp air is pulled in the drawing: open workshops are told, the plan is ready later, undo brings it back', async ({ page }) => {
  await open(page, '/house/saltbox')
  const air = page.getByRole('img', { name: /a cure of 24 h becomes/ })
  await air.scrollIntoViewIfNeeded()
  const box = (await air.boundingBox())!
  await page.mouse.move(box.x + 180, box.y + 100)
  await page.mouse.down()
  await page.mouse.move(box.x + 140, box.y + 40, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByText('since the room’s air changed')).toBeVisible()
  await expect(page.getByText(/Moths of the marsh: first rub/)).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(air).toHaveAttribute('aria-label', /At 21 °C and 50 % a cure of 24 h becomes 24 h/)
  await saved(page)
})

test('on a phone the open decision stands under its link and the consequences pull up', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page, `${moths}/bench/kit`)
  const grip = page.getByRole('button', { name: /What the plan means/ })
  const means = page.getByRole('region', { name: 'What the plan means' })
  await expect(means.getByRole('button', { name: /^Rub from:/ })).toBeVisible()
  await expect(page.locator('nav[aria-label=Decisions] li', { hasText: 'Kit' }).getByRole('textbox', { name: 'People' })).toBeVisible()
  await expect(page.getByText('Where the hands are')).toBeHidden()
  await grip.click()
  await expect(page.getByText('Where the hands are')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(page.getByText('Where the hands are')).toBeHidden()
})

test('a workshop goes out as a file and comes in again as another one; a broken file is refused and nothing is lost', async ({ page }) => {
  await open(page, '/')
  const file = await (await page.request.get(url('/api/workshops/kelp-coasters/workshop.json'))).text()
  const rows = page.getByRole('link', { name: 'Kelp coasters' })
  const before = await rows.count()
  const bring = page.locator('input[type=file]')
  await bring.setInputFiles({ name: 'kelp.json', mimeType: 'application/json', buffer: Buffer.from(file) })
  await expect(page.getByText('10 people, 0 classes.')).toBeVisible()
  await page.getByRole('button', { name: 'Bring it in' }).click()
  await expect(page.getByLabel('Pieces by state')).toBeVisible()
  await saved(page)
  await page.goto(url('/'))
  await expect(rows).toHaveCount(before + 1)
  await page.locator('input[type=file]').setInputFiles({
    name: 'kelp.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.slice(0, file.length / 2)),
  })
  await expect(page.getByRole('alert')).toBeVisible()
  await expect(rows).toHaveCount(before + 1)
})

test('take-home sheets print as one PDF, a page for each person', async ({ page }) => {
  await open(page, `${moths}/take-home`)
  const link = await page.getByRole('link', { name: 'Print all 18 (PDF)' }).getAttribute('href')
  const bytes = (await (await page.request.get(url(link!))).body()).toString('latin1')
  expect(bytes.startsWith('%PDF-')).toBe(true)
  expect(bytes.match(/\/Type \/Page\b/g)).toHaveLength(18)
})
