import { chromium, type Browser, type Page } from '@playwright/test'
import { uuidv7 } from 'uuidv7'
import { chromiumOptions } from '../e2e/chromium'
import { createDayClass, fixedNow } from './dayClass'

const id = 'bench-day'
const [tablets, taps] = [40, 120]

/** Forty tablets that listen as pages do, and what a tap takes to be on every other one; what it takes to be painted on the one where it was made; and
 *  how soon the day stands again from what a tablet kept, without a server. Milliseconds. `stopServer` ends the server. */
export async function benchDay(url: string, stopServer: () => void): Promise<Record<string, number>> {
  await createDayClass(url, id)
  const figures: Record<string, number> = {}
  const spread = await everywhere(url)
  figures[`day: a tap on ${tablets - 1} other tablets, p50, ms`] = at(spread, 0.5)
  figures[`day: a tap on ${tablets - 1} other tablets, p95, ms (asked 300)`] = at(spread, 0.95)
  const browser = await chromium.launch(chromiumOptions)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(() => {
    ;(window as unknown as { shifts: number }).shifts = 0
    new PerformanceObserver((l) => {
      for (const e of l.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
        if (!e.hadRecentInput) (window as unknown as { shifts: number }).shifts += e.value
    }).observe({ type: 'layout-shift', buffered: true })
  })
  await page.goto(`${url}/w/${id}/day`)
  await page.getByRole('button', { name: 'All here' }).click()
  await page.getByRole('button', { name: 'Begin the class' }).click()
  await page.locator('.seat').first().waitFor()
  const painted = await tapToPaint(page)
  figures['day: tap to painted, p50, ms'] = at(painted, 0.5)
  figures['day: tap to painted, p95, ms (asked 50)'] = at(painted, 0.95)
  for (const people of [40, 400]) {
    const { tap, quiet } = await longest(browser, url, people)
    figures[`day: ${people} people, longest task of a tap, ms`] = tap
    figures[`day: ${people} people, longest task while nobody taps, ms (below 50 is none)`] = quiet
  }
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await page.locator('.seat').first().waitFor()
  figures['day: layout shift of an opened day'] = await page.evaluate(() => (window as unknown as { shifts: number }).shifts)
  stopServer()
  const opened: number[] = []
  for (let i = 0; i < 7; i++) {
    const began = performance.now()
    await page.reload({ waitUntil: 'commit' })
    await page.getByRole('region', { name: 'Say next' }).waitFor()
    opened.push(performance.now() - began)
  }
  figures['day: usable from what is kept, without server, p50, ms'] = at(opened, 0.5)
  figures['day: usable from what is kept, without server, worst, ms (asked 1500)'] = at(opened, 1)
  await browser.close()
  return figures
}

/** The longest tasks of a page whose class runs: while seats are marked, and in twenty-five seconds in which what is left is planned again and again. Two
 *  are missing, so that there is something to work out. */
async function longest(browser: Browser, url: string, people: number): Promise<{ tap: number; quiet: number }> {
  const own = `${id}-${people}`
  await createDayClass(url, own, people)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/w/${own}/day`)
  for (const name of ['Name 3', 'Name 5'])
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: new RegExp(`^${name}(?!\\d)`) }).click()
  await page.getByRole('button', { name: 'All here' }).click()
  await page.getByRole('button', { name: 'Begin the class' }).click()
  await page.locator('.seat').first().waitFor()
  await page.waitForTimeout(3000)
  await page.evaluate(() => {
    const list: number[] = []
    ;(window as unknown as { long: number[] }).long = list
    new PerformanceObserver((l) => l.getEntries().forEach((e) => list.push(e.duration))).observe({ entryTypes: ['longtask'] })
  })
  const worst = () => page.evaluate(() => Math.max(0, ...(window as unknown as { long: number[] }).long.splice(0)))
  await page.locator('.seat').nth(4).click()
  for (let i = 0; i < 8; i++) {
    await page.evaluate<number>(pressAndLook)
    await page.waitForTimeout(600)
  }
  const tap = await worst()
  await page.waitForTimeout(25_000)
  const quiet = await worst()
  await page.close()
  return { tap, quiet }
}

const at = (list: readonly number[], share: number): number =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]!

/** What each tap took to each other tablet. Each hears the server's events, and fetches what came, as the page does. */
async function everywhere(url: string): Promise<number[]> {
  const sent = new Map<string, number>()
  const took: number[] = []
  const stop = new AbortController()
  const listen = async (n: number) => {
    let [last, pulling, again] = [0, false, false]
    const seen = new Set<string>()
    const pull = async (): Promise<void> => {
      if (pulling) {
        again = true
        return
      }
      pulling = true
      do {
        again = false
        const got = (await (await fetch(`${url}/api/day/${id}/${id}-2?after=${last}`)).json()) as {
          last: number
          events: { id: string; device: string }[]
        }
        last = got.last
        for (const e of got.events) {
          if (!seen.has(e.id) && e.device !== `tablet-${n}`) took.push(performance.now() - sent.get(e.id)!)
          seen.add(e.id)
        }
      } while (again)
      pulling = false
    }
    const res = await fetch(`${url}/api/events`, { signal: stop.signal })
    const reader = res.body!.pipeThrough(new TextDecoderStream()).getReader()
    void (async () => {
      try {
        for (let r = await reader.read(); !r.done; r = await reader.read()) if (r.value.includes('"day"')) void pull()
      } catch {
        // the end of the measurement
      }
    })()
  }
  await Promise.all(Array.from({ length: tablets }, (_, n) => listen(n)))
  for (let i = 0; i < taps; i++) {
    const e = {
      ...{
        id: uuidv7(),
        workshop: id,
        session: `${id}-2`,
        subject: { kind: 'room', id: 'room' },
        kind: 'check',
        value: { what: `c${i}`, on: true },
      },
      ...{ at: fixedNow, device: `tablet-${i % tablets}`, seq: i, skew: 0, actor: '' },
    }
    sent.set(e.id, performance.now())
    await fetch(`${url}/api/day/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [e] }),
    })
    await new Promise((go) => setTimeout(go, 150))
  }
  await new Promise((go) => setTimeout(go, 1000))
  stop.abort()
  if (took.length !== taps * (tablets - 1)) throw new Error(`${taps * (tablets - 1) - took.length} taps did not come to every tablet`)
  return took
}

/** In the page, as text: what is compiled here has helpers that a page does not know. */
const pressAndLook = `new Promise((done) => {
  const find = () => [...document.querySelectorAll('.actions button')].find((b) => /Needs you/.test(b.textContent))
  const before = find().className
  const began = performance.now()
  find().click()
  const look = () => find().className === before ? requestAnimationFrame(look) : requestAnimationFrame(() => done(performance.now() - began))
  requestAnimationFrame(look)
})`

/** From the press to the frame in which it is seen. */
async function tapToPaint(page: Page): Promise<number[]> {
  const list: number[] = []
  for (let i = 0; i < 30; i++) {
    await page
      .locator('.seat')
      .nth(i % 12)
      .click()
    list.push(await page.evaluate<number>(pressAndLook))
    await page.waitForTimeout(120)
  }
  return list
}
