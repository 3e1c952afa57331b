import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

export const url = (path: string): string => `${process.env['IMPRENTA_URL']}${path}`
export const moths = '/w/moths-of-the-marsh'

/** Opens a page as Noor; nothing may be asked of another machine, nothing may fail unseen. */
export async function open(page: Page, path: string, dark = false): Promise<void> {
  await page.addInitScript((d) => {
    localStorage.setItem('imprenta.actor', 'Noor')
    localStorage.setItem('imprenta.dark', d ? '1' : '0')
  }, dark)
  page.on('request', (r) => expect(r.url().startsWith(url('')) || r.url().startsWith('data:'), r.url()).toBe(true))
  page.on('pageerror', (e) => expect(e.message).toBe(''))
  await page.goto(url(path))
  await expect(page.getByLabel('Pieces by state')).toBeVisible()
}

export const saved = (page: Page) => expect(page.locator('output.status')).toContainText('all saved')

/** What axe finds on the page, shortened to rule and element. */
export async function axe(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()
  return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')}`))
}
