import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import pg from 'pg'
import { seeded } from '../core/sheets'
import { chromiumOptions } from '../e2e/chromium'
import { createDayClass, fixedNow } from './dayClass'
import { freePort, startCluster } from '../server/testing/cluster'

const id = 'campaign-day'

/** What became of a day that went wrong all the time. */
export interface DayCampaign {
  rounds: number
  serverKills: number
  browserKills: number
  netCuts: number
  /** Taps that a page showed, how many of them the database has not, how many it has twice, and how many more it has than were shown. */
  shown: number
  lost: number
  twice: number
  more: number
  /** Taps that the server would not have, and screens that differ from the database in the end. */
  refused: number
  differ: number
}

interface Tablet {
  dir: string
  context: BrowserContext
  page: Page
  shown: Set<string>
}

/** Runs a class in real browsers, each with a profile on disk, while at random moments the server is killed (-9), a browser is killed (-9), or its
 *  net is cut; every tap that a page has shown is looked for in the database in the end. The same seed breaks the same things in the same order. */
export async function campaignDay(rounds: number, tell: (round: number) => void = () => undefined): Promise<DayCampaign> {
  const random = seeded(11)
  const cluster = await startCluster(true)
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  const env = { ...process.env, DATABASE_URL: cluster.url, PORT: String(port), IMPRENTA_NOW: fixedNow, IMPRENTA_LOG: 'silent' }
  let server: ChildProcess
  const begin = async () => {
    server = spawn('node', ['dist/server/main.js'], { env, stdio: ['ignore', 'pipe', 'ignore'] })
    await new Promise<void>((up) => server.stdout!.on('data', (d: Buffer) => d.toString().includes('Imprenta is at') && up()))
  }
  const figures: DayCampaign = {
    ...{ rounds, serverKills: 0, browserKills: 0, netCuts: 0, shown: 0, lost: 0, twice: 0, more: 0, refused: 0, differ: 0 },
  }
  const tablets: Tablet[] = []
  try {
    await begin()
    await createDayClass(url, id)
    for (let i = 0; i < 3; i++) {
      const dir = mkdtempSync(join(tmpdir(), 'imprenta-tablet-'))
      const shown = new Set<string>()
      tablets.push({ dir, shown, ...(await openTablet(dir, url, shown)) })
    }
    const [first] = tablets
    await first!.page.getByRole('button', { name: 'All here' }).click()
    await first!.page.getByRole('button', { name: 'Begin the class' }).click()
    for (const t of tablets) {
      await t.page.locator('.seat').first().waitFor()
      await t.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    }
    for (let n = 0; n < rounds; n++) {
      tell(n)
      const t = tablets[Math.floor(random() * tablets.length)]!
      const dice = random()
      const tapping = Promise.all(tablets.map((x) => tapAbout(x.page, random)))
      await wait(random() * 250)
      if (dice < 0.34) {
        figures.serverKills++
        server!.kill('SIGKILL')
        await wait(random() * 300)
        await begin()
      } else if (dice < 0.67) {
        figures.browserKills++
        kill(t.dir)
        await tapping.catch(() => undefined)
        await t.context.close().catch(() => undefined)
        Object.assign(t, await openTablet(t.dir, url, t.shown))
      } else {
        figures.netCuts++
        await t.context.setOffline(true).catch(() => undefined)
        await tapAbout(t.page, random)
        await wait(random() * 200)
        await t.context.setOffline(false).catch(() => undefined)
      }
      await tapping
    }
    await settle(figures, tablets, cluster.url)
  } finally {
    for (const t of tablets) {
      await t.context.close().catch(() => undefined)
      rmSync(t.dir, { recursive: true, force: true })
    }
    server!.kill('SIGKILL')
    cluster.stop()
  }
  return figures
}

async function openTablet(dir: string, url: string, shown: Set<string>): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(dir, { ...chromiumOptions, viewport: { width: 1280, height: 800 } })
  const page = context.pages()[0] ?? (await context.newPage())
  await page.exposeFunction('campaignTapped', (ids: string[]) => ids.forEach((i) => shown.add(i)))
  await page.addInitScript(() =>
    window.addEventListener('imprenta:tapped', (e) =>
      (window as unknown as { campaignTapped: (ids: string[]) => void }).campaignTapped((e as CustomEvent<string[]>).detail),
    ),
  )
  await page.goto(`${url}/w/${id}/day/${id}-2`)
  await page.locator('.seat, .card').first().waitFor({ timeout: 20_000 })
  return { context, page }
}

/** A seat or two, each marked or unmarked; a page that dies under it has not shown the tap. */
async function tapAbout(page: Page, random: () => number): Promise<void> {
  const taps = 1 + Math.floor(random() * 3)
  for (let i = 0; i < taps; i++) {
    const nth = Math.floor(random() * 16)
    try {
      await page.locator('.seat').nth(nth).click({ timeout: 1500 })
      await page.getByRole('button', { name: random() < 0.5 ? 'Needs you' : 'Patch', exact: true }).click({ timeout: 1500 })
    } catch {
      return
    }
  }
}

/** Ends the browser of a profile as a crash would: all its processes at once. */
function kill(dir: string): void {
  for (const pid of readdirSync('/proc').filter((p) => /^\d+$/.test(p))) {
    let line = ''
    try {
      line = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
    } catch {
      continue // it has ended meanwhile
    }
    if (line.includes(`--user-data-dir=${dir}`)) process.kill(Number(pid), 'SIGKILL')
  }
}

/** Waits until every tablet says that all is saved, and counts. */
async function settle(f: DayCampaign, tablets: Tablet[], database: string): Promise<void> {
  for (const t of tablets) {
    await t.page.reload()
    await t.page.getByText('Saved here and on the server').waitFor({ timeout: 30_000 })
    f.refused += await t.page.getByText(/the server will not have/).count()
  }
  await wait(1000)
  const db = new pg.Client({ connectionString: database })
  await db.connect()
  const { rows } = await db.query<{ id: string; n: string }>(
    'select id::text, count(*)::text as n from day_event where workshop_id = $1 group by id',
    [id],
  )
  const { rows: needs } = await db.query<{ piece: string; kind: string; what: string | null }>(
    `select distinct on (body -> 'subject' ->> 'id') body -> 'subject' ->> 'id' as piece, kind, body -> 'value' ->> 'what' as what
       from day_event where workshop_id = $1 and kind in ('needs', 'helped')
      order by body -> 'subject' ->> 'id', n desc`,
    [id],
  )
  await db.end()
  const have = new Map(rows.map((r) => [r.id, Number(r.n)]))
  const all = new Set(tablets.flatMap((t) => [...t.shown]))
  f.shown = all.size
  f.lost = [...all].filter((x) => !have.has(x)).length
  f.twice = [...have.values()].filter((n) => n > 1).length
  f.more = [...have.keys()].filter((x) => !all.has(x)).length
  // All three screens show one state of the room.
  const texts = await Promise.all(tablets.map((t) => t.page.locator('.room').innerText()))
  f.differ = new Set(texts.map((x) => x.replace(/\d+:\d\d( h)?/g, ''))).size - 1 + (needs.length === 0 ? 1 : 0)
}
