import { chromium } from '@playwright/test'
import { demoWorkshops } from '../core/demo'
import { chromiumOptions } from '../e2e/chromium'
import { applyChanges, setHeadcount, type Workshop } from '../core/workshop'
import { uuidv7 } from 'uuidv7'
import { openPool } from '../server/db/pool'
import { inTransaction } from '../server/db/query'
import { storeWorkshop } from '../server/desk/documents'

const many = 1000

/** A thousand workshops of 40 people, all of this year, so that none is folded away: the time to a usable first page, its longest task, and
 *  the time from one press to one more person on the bench. */
export async function benchMany(url: string, databaseUrl: string): Promise<Record<string, number>> {
  const pool = openPool(databaseUrl)
  const base = demoWorkshops('2026-05-15')[0]!
  const of40 = applyChanges(
    base,
    setHeadcount(
      base,
      40,
      Array.from({ length: 40 }, (_, i) => `m${i}`),
    ).changes,
  )!
  await inTransaction(pool, async (db) => {
    for (let i = 0; i < many; i++) {
      const month = String(1 + (i % 12)).padStart(2, '0')
      const day = String(1 + (i % 27)).padStart(2, '0')
      const sessions = base.sessions.map((s, k) => ({
        ...s,
        id: `many-${i}-${k}`,
        date: `2026-${month}-${day}`,
        ...(k === 1 && { start: '20:30', end: '21:30' }),
      }))
      const w: Workshop = { ...of40, id: `many-${i}`, title: `Workshop ${i}`, pieces: [], sessions }
      await storeWorkshop(db, w, 1)
    }
  })
  await pool.end()
  const browser = await chromium.launch(chromiumOptions)
  const usable: number[] = []
  const tasks: number[] = []
  const shown: number[] = []
  for (let i = 0; i < 5; i++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.addInitScript(() => {
      localStorage.setItem('imprenta.actor', 'bench')
      const seen = ((globalThis as unknown as { tasks: number[] }).tasks = [])
      new PerformanceObserver((list) => list.getEntries().forEach((e) => seen.push(e.duration as never))).observe({
        type: 'longtask',
        buffered: true,
      })
    })
    const start = performance.now()
    await page.goto(url)
    await page.getByText('Next class').waitFor()
    await page.getByRole('listitem').nth(10).waitFor()
    usable.push(performance.now() - start)
    await page.waitForTimeout(1500)
    tasks.push(Math.max(0, ...(await page.evaluate(() => (globalThis as unknown as { tasks: number[] }).tasks))))
    await page.goto(`${url}/w/many-${i}/bench/group`)
    await page.getByRole('textbox', { name: 'People' }).waitFor()
    await page.waitForTimeout(800)
    shown.push(
      await page.evaluate(async () => {
        const button = document.querySelector<HTMLButtonElement>('[aria-label="People: one more"]')!
        const field = button.parentElement!.querySelector('input')!
        const before = field.value
        const begun = performance.now()
        button.click()
        while (field.value === before) await new Promise((next) => requestAnimationFrame(next))
        return performance.now() - begun
      }),
    )
    await page.close()
  }
  await browser.close()
  const middle = (list: number[]) => list.sort((a, b) => a - b)[2]!
  return {
    [`first page with ${many} workshops of 40 usable, ms (median of 5)`]: middle(usable),
    [`its longest task, ms (median of 5)`]: middle(tasks),
    [`one more person shown, with ${many} workshops, ms (median of 5)`]: middle(shown),
  }
}

/** Forty take-home PDFs of 24 people asked for at once: how long the slowest look at the server's health takes meanwhile, and one PDF
 *  alone. */
export async function benchPapers(url: string): Promise<Record<string, number>> {
  const base = demoWorkshops('2026-05-15')[0]!
  const ids = Array.from({ length: 24 }, (_, i) => `p${i}`)
  const of24: Workshop = {
    ...applyChanges(base, setHeadcount(base, 24, ids).changes)!,
    id: 'bench-papers',
    sessions: base.sessions.map((s) => ({ ...s, id: `${s.id}-papers` })),
  }
  const made = {
    id: uuidv7(),
    subject: { kind: 'workshop', id: of24.id },
    baseVersion: 0,
    kind: 'bench',
    guards: [],
    actor: 'bench',
    at: base.createdAt,
  }
  const saved = await fetch(`${url}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify([{ ...made, changes: [{ path: '', before: null, after: of24 }] }]),
  })
  if (!(await saved.text()).includes('"applied"')) throw new Error('the workshop of 24 could not be made')
  const pdf = async () => {
    const answer = await fetch(`${url}/api/workshops/${of24.id}/take-home.pdf`)
    if (!answer.ok) throw new Error(await answer.text())
    return answer.arrayBuffer()
  }
  await pdf()
  await pdf()
  const start = performance.now()
  await pdf()
  const alone = performance.now() - start
  let slowest = 0
  let making = true
  const watch = (async () => {
    while (making) {
      const begun = performance.now()
      await (await fetch(`${url}/healthz`)).text()
      slowest = Math.max(slowest, performance.now() - begun)
      await new Promise((go) => setTimeout(go, 10))
    }
  })()
  const all = performance.now()
  await Promise.all(Array.from({ length: 40 }, pdf))
  const forty = performance.now() - all
  making = false
  await watch
  return { 'take-home PDF of 24, ms': alone, 'forty of them at once, ms': forty, 'health meanwhile, slowest, ms': slowest }
}
