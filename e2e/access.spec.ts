import { gzipSync } from 'node:zlib'
import { expect, test } from '@playwright/test'
import { axe, moths, open } from './pages'

const views = [
  '/',
  ...['group', 'piece', 'method', 'pictures', 'kit', 'sessions', 'room', 'takehome'].map((p) => `${moths}/bench/${p}`),
  '/w/lighthouse-blocks/bench/pictures',
  '/w/lighthouse-blocks/prints',
  '/w/heron-pages/prints',
  `${moths}/sessions`,
  `${moths}/room`,
  `${moths}/rehearsal`,
  `${moths}/floor`,
  `${moths}/take-home`,
  '/house/saltbox',
  '/house/saltbox/recipes',
  '/house/saltbox/ahead',
  '/house/tidewater/ahead',
  `${moths}/clinic`,
  `${moths}/safety`,
  '/clinic',
  '/craft/gesso-ground',
  '/craft/schools',
  '/craft/surfaces',
  '/craft/cautions',
  '/nowhere',
]

for (const dark of [false, true])
  for (const view of views)
    test(`${view} is accessible, ${dark ? 'dark' : 'light'}`, async ({ page }) => {
      await open(page, view, dark)
      await expect(page.locator('h1, h2').first()).toBeVisible()
      expect(await axe(page)).toEqual([])
    })

test('narrow views do not scroll sideways', async ({ page }) => {
  // Every view, one after another: on a slow machine that takes its time.
  test.setTimeout(240_000)
  await page.setViewportSize({ width: 390, height: 844 })
  for (const view of views) {
    await open(page, view)
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide, view).toBeLessThanOrEqual(391)
  }
})

test('the first bench fetches at most 250 kB of JavaScript; menus and reasons come when they are asked for', async ({ page }) => {
  const bodies: Promise<Buffer>[] = []
  page.on('response', (r) => void (r.url().endsWith('.js') && bodies.push(r.body())))
  await open(page, `${moths}/bench/kit`)
  await expect(page.getByRole('textbox', { name: 'People' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Decoupage glue: .*Why\?/ })).toBeVisible()
  const first = bodies.length
  const sizes = (await Promise.all(bodies)).map((b) => gzipSync(b).length)
  expect(sizes.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(250_000)

  // By the keyboard: it opens, and closing it leaves one where one was.
  const glue = page.getByRole('button', { name: /^Decoupage glue: .*Why\?/ })
  await glue.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: /^Why Decoupage glue/ })).toBeVisible()
  expect(bodies.length).toBeGreaterThan(first)
  await expect(glue).toHaveAttribute('aria-expanded', 'true')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: /^Why Decoupage glue/ })).toBeHidden()
  await expect(glue).toBeFocused()
  await glue.click()
  await expect(page.getByRole('dialog', { name: /^Why Decoupage glue/ })).toBeVisible()
})
