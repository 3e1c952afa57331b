import { chromium } from '@playwright/test'
import { chromiumOptions } from '../e2e/chromium'

/** The room and the rehearsal of the demo's second class in a browser: the longest task on the page while a worker searches and lives, and when
 *  the page says that it is done. Milliseconds. */
export async function benchRoomPage(url: string): Promise<Record<string, number>> {
  const browser = await chromium.launch(chromiumOptions)
  const figures: Record<string, number> = {}
  for (const [place, done] of [
    ['room', 'No plan can be'],
    ['rehearsal', 'lived 2000 times'],
  ] as const) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${url}/w/heron-pages/${place}`)
    await page.locator('h1').first().waitFor()
    await page.getByText(done).first().waitFor({ timeout: 60_000 })
    await page.evaluate(() => {
      const list: number[] = []
      ;(window as unknown as { long: number[] }).long = list
      new PerformanceObserver((l) => l.getEntries().forEach((e) => list.push(e.duration))).observe({ entryTypes: ['longtask'] })
    })
    const began = performance.now()
    // Another class: searched and lived anew.
    await page.getByRole('button', { name: /^1 / }).first().click()
    await page.waitForTimeout(300)
    await page.getByText(done).first().waitFor({ timeout: 60_000 })
    figures[`${place}: another class searched and lived, ms`] = performance.now() - began
    figures[`${place}: longest task on the page meanwhile, ms (below 50 is none)`] = await page.evaluate(() =>
      Math.max(0, ...(window as unknown as { long: number[] }).long),
    )
    await page.close()
  }
  await browser.close()
  return figures
}
