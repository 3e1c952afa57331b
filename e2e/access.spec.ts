import { expect, test } from '@playwright/test'
import { axe, moths, open } from './pages'

const views = [
  '/',
  ...['group', 'piece', 'method', 'pictures', 'kit', 'sessions', 'room', 'takehome'].map((p) => `${moths}/bench/${p}`),
  '/w/lighthouse-blocks/bench/pictures',
  '/w/lighthouse-blocks/prints',
  '/w/heron-pages/prints',
  `${moths}/sessions`,
  `${moths}/take-home`,
  '/house/saltbox',
  '/house/saltbox/recipes',
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
  await page.setViewportSize({ width: 390, height: 844 })
  for (const view of views) {
    await open(page, view)
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide, view).toBeLessThanOrEqual(391)
  }
})
