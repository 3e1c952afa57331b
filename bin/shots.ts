import { chromium } from '@playwright/test'
import pg from 'pg'
import { chromiumOptions } from '../e2e/chromium'
import { own } from '../e2e/own'
import setup from '../e2e/setup'

/** name, path, and where it differs: dark, narrow, what to do first. */
const shots: { name: string; path: string; dark?: boolean; narrow?: boolean; language?: string; press?: string[]; wait?: number }[] = [
  { name: 'workshops', path: '/' },
  { name: 'new', path: '/new', dark: true },
  ...['piece', 'kit'].map((p) => ({
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
  { name: 'house', path: '/house/saltbox' },
]

const stop = await setup()
const browser = await chromium.launch(chromiumOptions)

/** The demo's second class as if it were today, run as far as the first round. */
async function day(): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const sessions = (s: { id: string }[]) =>
    s.map((x, i) => ({ ...x, id: `day-${i + 1}`, room: '', ...(i === 1 && { date: '2026-05-15', start: '14:16', end: '17:01' }) }))
  await own(page, 'day', (w) => ({ title: w.title, sessions: sessions(w.sessions), pieces: w.pieces }))
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
  await page.goto(`${process.env['IMPRENTA_URL']}/w/day/day`)
  await page.getByRole('button', { name: 'All here' }).click()
  await page.getByRole('button', { name: /^Hanne/ }).click()
  await page.getByRole('button', { name: 'Begin the class' }).click()
  const say = page.getByRole('region', { name: 'Say next' }).getByRole('button').first()
  for (let i = 0; i < 2; i++) {
    await say.click()
    await page.waitForTimeout(300)
  }
  const seat = (name: string) => page.getByRole('button', { name: new RegExp(`^${name} `) })
  await seat('Joss').click()
  await page.getByRole('button', { name: 'Needs you' }).click()
  await seat('Beck').click()
  await page.getByRole('button', { name: 'Wet the paper: done' }).click()
  await page.getByRole('button', { name: 'Rub, round 1: done' }).click()
  await page.getByRole('button', { name: /^Table C/ }).click()
  await page.waitForTimeout(900)
  await page.screenshot({ path: 'docs/screenshots/day.png' })
  const wall = await browser.newPage({ viewport: { width: 1920, height: 1080 } })
  await wall.goto(`${process.env['IMPRENTA_URL']}/w/day/wall`)
  await wall.waitForTimeout(1200)
  await wall.screenshot({ path: 'docs/screenshots/wall.png', scale: 'css' })
  await wall.close()
  await page.request.get(`${process.env['IMPRENTA_URL']}/api/workshops/day/cards.pdf`)
  const db = new pg.Client({ connectionString: process.env['IMPRENTA_E2E_DATABASE'] })
  await db.connect()
  const { rows } = await db.query<{ token: string }>(
    `select token from piece_address where workshop_id = 'day' and participant_id like '%p2'`,
  )
  await db.end()
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await phone.goto(`${process.env['IMPRENTA_URL']}/m/${rows[0]!.token}`)
  await phone.waitForTimeout(1200)
  await phone.screenshot({ path: 'docs/screenshots/phone.png' })
  await phone.close()
  await page.close()
}
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
await day()
await browser.close()
stop()
process.exit(0)
