import { expect, test } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})
const at = (path: string) => process.env['IMPRENTA_URL'] + path

test('a device speaks Spanish by one press, stays with it, and what is typed is kept', async ({ page }) => {
  await page.goto(at('/w/moths-of-the-marsh/bench/kit'))
  await page.getByRole('button', { name: 'Este aparato, en español' }).click()
  await expect(page.getByRole('heading', { name: 'Material', exact: true })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await expect(page.getByText('Donde están las manos')).toBeVisible()
  // Keys are bound once: one press, one person.
  await page.keyboard.press('+')
  await expect(page.getByRole('textbox', { name: 'Personas' })).toHaveValue('19')
  await page.keyboard.press('-')
  await expect(page.getByRole('textbox', { name: 'Personas' })).toHaveValue('18')
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Material', exact: true })).toBeVisible()
  for (const place of ['/bench/group', '/bench/kit', '/bench/sessions', '/take-home']) {
    await page.goto(at('/w/moths-of-the-marsh') + place)
    await expect(page.getByRole('link', { name: 'Para casa' }).first()).toBeVisible()
    expect((await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()).violations).toEqual([])
  }
  await page.getByRole('button', { name: 'This device in English' }).click()
  await expect(page.getByRole('heading', { name: 'Take-home' })).toBeVisible()
})

test('the page of a house speaks as the house does, and so does its paper; a sheet may speak both', async ({ page }) => {
  await page.goto(at('/house/saltbox'))
  await page.getByRole('group', { name: 'Speaks' }).getByRole('button', { name: 'Español' }).click()
  await expect(page.getByRole('heading', { name: 'Medidas' })).toBeVisible()
  await page.goto(at('/w/moths-of-the-marsh/take-home'))
  await expect(page.getByRole('heading', { name: 'Para casa' })).toBeVisible()
  await page.getByRole('group', { name: 'Idioma' }).getByRole('button', { name: 'Los dos' }).click()
  await expect(page.getByText('Aún sin empezar · Not begun yet')).toBeVisible()
  const markdown = async (query: string) => (await page.request.get(at(`/api/workshops/moths-of-the-marsh/take-home.md${query}`))).text()
  expect(await markdown('')).toContain('Cómo se hizo')
  expect(await markdown('?language=en')).not.toMatch(/Cómo|En la bolsa/)
  expect(await markdown('?language=es,en')).toMatch(/\*\*Frotar, ronda 1 · Rub, round 1\.\*\*/)
  expect((await page.request.get(at('/api/workshops/moths-of-the-marsh/take-home.md?language=xx'))).status()).toBe(422)
  const pdf = await page.request.get(at('/api/workshops/moths-of-the-marsh/take-home.pdf?language=es,en'))
  expect([pdf.status(), (await pdf.body()).subarray(0, 4).toString()]).toEqual([200, '%PDF'])
  await page.goto(at('/house/saltbox'))
  await page.getByRole('group', { name: 'Habla' }).getByRole('button', { name: 'English' }).click()
  await expect(page.getByRole('heading', { name: 'Measures' })).toBeVisible()
})

test('Spanish fits a narrow page: nothing scrolls sideways', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.language', 'es'))
  await page.setViewportSize({ width: 390, height: 844 })
  const bench = ['group', 'piece', 'method', 'pictures', 'kit', 'sessions', 'room', 'takehome'].map(
    (p) => `/w/moths-of-the-marsh/bench/${p}`,
  )
  for (const view of [
    '/',
    ...bench,
    '/w/moths-of-the-marsh/take-home',
    '/w/moths-of-the-marsh/sessions',
    '/w/moths-of-the-marsh/room',
    '/w/moths-of-the-marsh/rehearsal',
    '/w/lighthouse-blocks/prints',
    '/house/saltbox',
  ]) {
    await page.goto(at(view))
    await expect(page.locator('h1, h2').first()).toBeVisible()
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide, view).toBeLessThanOrEqual(391)
  }
})
