import { expect, test, type Page } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})
const change = async (page: Page, name: string, value: string) => {
  await page.getByRole('button', { name: `Change: ${name}` }).click()
  await page.getByLabel(/^Yours/).fill(value)
  await page.getByRole('button', { name: 'Keep it' }).click()
}

test('an estimate is changed where it stands; the plan follows, undo takes it back', async ({ page }) => {
  await page.goto(process.env['IMPRENTA_URL'] + '/w/moths-of-the-marsh/bench/kit')
  const glue = page.getByRole('button', { name: /^Decoupage glue: .*Why\?/ })
  const before = await glue.innerText()
  await glue.click()
  await change(page, 'Wet film of a generous coat', '600')
  await expect(glue).not.toHaveText(before)
  await expect(page.getByText('set by Noor')).toBeVisible()
  expect((await new AxeBuilder({ page }).include('.why').analyze()).violations).toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(glue).toHaveText(before)
})

test('all figures of a house: found by typing, set, told of the open workshops, kept, taken back', async ({ page }) => {
  await page.goto(process.env['IMPRENTA_URL'] + '/house/saltbox')
  await page.getByRole('link', { name: 'All figures, yours to set' }).click()
  await expect(page.getByRole('heading', { name: 'Figures' })).toBeVisible()
  await page.getByLabel('Find').fill('8 to 12 adult')
  await expect(page.getByText('1 figure', { exact: true })).toBeVisible()
  await change(page, 'Children of 8 to 12 to one adult', '3')
  await expect(page.getByText(/since Children of 8 to 12 to one adult became 3/)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: /Yours 1/ })).toBeVisible()
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
  await page.getByRole('button', { name: 'Change: Children of 8 to 12 to one adult' }).first().click()
  await page.getByRole('button', { name: 'As estimated' }).click()
  await expect(page.getByRole('button', { name: /Yours 1/ })).toHaveCount(0)
  await page.getByLabel('Find').fill('nothing of the kind')
  await expect(page.getByText('No figure is called so.')).toBeVisible()
})
