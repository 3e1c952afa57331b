import { chromium } from '@playwright/test'
import { chromiumOptions } from '../e2e/chromium'
import setup from '../e2e/setup'

/** name, path, and where it differs: dark, narrow, what to do first. */
const shots: { name: string; path: string; dark?: boolean; narrow?: boolean; language?: string; press?: string[]; wait?: number }[] = [
  { name: 'workshops', path: '/' },
  { name: 'new', path: '/new', dark: true },
  ...['piece', 'method', 'pictures', 'kit'].map((p) => ({
    name: `bench-${p}`,
    path: `/w/${p === 'piece' ? 'kelp-canvases' : 'lighthouse-blocks'}/bench/${p}`,
  })),
  { name: 'bench-narrow', path: '/w/moths-of-the-marsh/bench/kit', narrow: true },
  { name: 'prints', path: '/w/lighthouse-blocks/prints', wait: 3200 },
  { name: 'sessions', path: '/w/moths-of-the-marsh/sessions' },
  { name: 'room', path: '/w/moths-of-the-marsh/room', wait: 6000 },
  { name: 'rehearsal', path: '/w/moths-of-the-marsh/rehearsal', wait: 6000 },
  { name: 'floor', path: '/w/moths-of-the-marsh/floor' },
  { name: 'ahead', path: '/house/saltbox/ahead' },
  { name: 'take-home', path: '/w/kelp-canvases/take-home' },
  { name: 'clinic', path: '/w/moths-of-the-marsh/clinic', press: ['bald spot'] },
  { name: 'craft', path: '/craft/gesso-ground' },
  { name: 'recipes', path: '/house/saltbox/recipes', press: ['Next version'] },
  { name: 'safety', path: '/w/heron-pages/safety' },
  { name: 'house', path: '/house/saltbox' },
]

const stop = await setup()
const browser = await chromium.launch(chromiumOptions)
for (const s of shots) {
  const page = await browser.newPage({ viewport: s.narrow ? { width: 390, height: 844 } : { width: 1280, height: 800 } })
  await page.addInitScript(
    ([dark, language]) => {
      localStorage.setItem('imprenta.actor', 'Noor')
      localStorage.setItem('imprenta.dark', dark ? '1' : '0')
      if (language) localStorage.setItem('imprenta.language', language)
    },
    [s.dark ?? false, s.language ?? ''] as const,
  )
  await page.goto(`${process.env['IMPRENTA_URL']}${s.path}`)
  await page.locator('h1, h2').first().waitFor()
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  for (const name of s.press ?? []) await page.getByRole('button', { name }).first().click()
  await page.waitForTimeout(s.wait ?? 900)
  await page.screenshot({ path: `docs/screenshots/${s.name}.png` })
  await page.close()
  console.log(`docs/screenshots/${s.name}.png`)
}
await browser.close()
stop()
process.exit(0)
