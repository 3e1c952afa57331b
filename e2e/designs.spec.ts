import { expect, test } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})

test('a second design: its own piece, method and prints, one kit, a sheet for each piece; taken out again', async ({ page }) => {
  const url = process.env['IMPRENTA_URL'] + '/w/moths-of-the-marsh'
  await page.goto(url + '/bench/piece')
  await page.getByRole('button', { name: 'Make another design too' }).click()
  const tabs = page.getByRole('group', { name: 'Designs of this workshop' })
  await expect(tabs.getByRole('button')).toHaveCount(2)
  await page.getByRole('radio', { name: /candle/ }).click()
  const candle = tabs.getByRole('button', { name: /candle.*Wax tissue/ })
  await expect(candle).toContainText('18 pieces')
  await expect(candle).toHaveAttribute('aria-pressed', 'true')
  // Two do not make one.
  const who = page.getByRole('group', { name: /Who makes .*candle/ })
  await who.getByRole('button', { name: 'Rune' }).click()
  await who.getByRole('button', { name: 'Dov' }).click()
  await expect(candle).toContainText('16 pieces')
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
  await page.goto(url + '/bench/kit')
  await expect(page.getByRole('button', { name: /^Candles/ }).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Plaques/ }).first()).toBeVisible()
  await page.goto(url + '/take-home')
  await expect(page.getByText('34 sheets, by how far the piece is')).toBeVisible()
  await expect(page.getByRole('button', { name: /Edda, candle/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /Dov, candle/ })).toHaveCount(0)
  await page.goto(url + '/prints')
  await tabs.getByRole('button', { name: /candle/ }).click()
  await expect(page.getByText('white tissue round a carrier sheet')).toBeVisible()
  const href = await page.getByRole('link', { name: 'Sheets as PDF' }).getAttribute('href')
  expect(href).toMatch(/&design=/)
  expect((await page.request.get(process.env['IMPRENTA_URL'] + href!)).status()).toBe(200)
  await page.goto(url + '/bench/piece')
  await tabs.getByRole('button', { name: /candle/ }).click()
  await page.getByRole('button', { name: 'Take this design out' }).click()
  await expect(tabs).toHaveCount(0)
  await expect(page.getByText('Everybody makes a plaque.')).toBeVisible()
})
