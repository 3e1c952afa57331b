import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { gzipSync } from 'node:zlib'
import { chromiumOptions } from '../e2e/chromium'
import setup from '../e2e/setup'
import { demoHouses, demoWorkshops } from '../core/demo'
import { findMethods } from '../core/finder'
import { planWorkshop } from '../core/plan'
import { recipes } from '../core/recipe'
import { applyChanges, setHeadcount } from '../core/workshop'
import { benchLettering } from './benchLettering'
import { benchMany, benchPapers } from './benchMany'
import { benchMemory } from './benchMemory'
import { benchPictures } from './benchPictures'
import { benchRoom } from './benchRoom'
import { benchDay } from './benchDay'
import { benchRoomPage } from './benchRoomPage'
import { benchSaves } from './benchSaves'
import { benchSheets } from './benchSheets'
import { benchStock } from './benchStock'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const moths = demoWorkshops('2026-05-15')[0]!
const figures: Record<string, number> = {}

function print(): never {
  if (process.argv.includes('--json')) console.log(JSON.stringify(figures, null, 2))
  else
    for (const [name, value] of Object.entries(figures))
      console.log(`${name.padEnd(70)} ${value.toFixed(value < 10 ? (value < 2 ? 3 : 2) : 0)}`)
  process.exit(0)
}
/** What the server's process holds in memory, MB. */
const held = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${process.env['IMPRENTA_SERVER_PID']}/status`, 'utf8'))![1]) / 1000
if (process.argv.includes('pictures')) {
  const end = await setup()
  Object.assign(figures, await benchPictures(process.env['IMPRENTA_URL']!, held), await benchLettering())
  end()
  print()
}
if (process.argv.includes('memory')) {
  const end = await setup()
  Object.assign(figures, await benchMemory(process.env['IMPRENTA_URL']!, held))
  end()
  print()
}
if (process.argv.includes('saves')) {
  const end = await setup(true)
  Object.assign(figures, await benchSaves(process.env['IMPRENTA_URL']!, process.env['IMPRENTA_E2E_DATABASE']!))
  end()
  print()
}
if (process.argv.includes('many')) {
  const end = await setup()
  const url = process.env['IMPRENTA_URL']!
  Object.assign(figures, await benchPapers(url), await benchMany(url, process.env['IMPRENTA_E2E_DATABASE']!))
  end()
  print()
}
if (process.argv.includes('day')) {
  const end = await setup()
  Object.assign(
    figures,
    await benchDay(process.env['IMPRENTA_URL']!, () => process.kill(Number(process.env['IMPRENTA_SERVER_PID']), 'SIGKILL')),
  )
  end()
  print()
}
if (process.argv.includes('roompage')) {
  const end = await setup()
  Object.assign(figures, await benchRoomPage(process.env['IMPRENTA_URL']!))
  end()
  print()
}
if (process.argv.includes('room') || process.argv.includes('rehearsal')) {
  Object.assign(figures, benchRoom())
  print()
}
if (process.argv.includes('stock')) {
  Object.assign(figures, benchStock())
  print()
}
Object.assign(figures, benchSheets(), benchStock())
if (process.argv.includes('sheets')) print()

/** Milliseconds of one plan: the median of many, after a warm-up. */
function planTime(people: number): number {
  const ids = Array.from({ length: people }, (_, i) => `b${i}`)
  const workshop = applyChanges(moths, setHeadcount(moths, people, ids).changes)!
  const times = Array.from({ length: 120 }, () => {
    const start = performance.now()
    planWorkshop({ workshop, house: demoHouses[0]!, now })
    return performance.now() - start
  }).slice(40)
  return times.sort((a, b) => a - b)[40]!
}

for (const n of [6, 24, 40, 400]) figures[`plan at ${n} people, ms`] = planTime(n)
/** The same at 40 people for the method that takes longest to plan, in two sessions. */
function richest(): number {
  const ids = Array.from({ length: 40 }, (_, i) => `b${i}`)
  const w = applyChanges(moths, setHeadcount(moths, 40, ids).changes)!
  return Math.max(
    ...recipes.map((r) => {
      const workshop = {
        ...w,
        designs: [{ ...w.designs[0]!, material: Object.keys(r.surfaces)[0]!, recipe: { id: r.id, version: r.version }, choices: {} }],
      }
      const times = Array.from({ length: 60 }, () => {
        const start = performance.now()
        planWorkshop({ workshop, house: demoHouses[0]!, now })
        return performance.now() - start
      }).slice(20)
      return times.sort((a, b) => a - b)[20]!
    }),
  )
}
figures['richest method at 40 people, ms'] = richest()
figures['finding a method at 18 people, ms'] = (() => {
  const start = performance.now()
  for (let i = 0; i < 5; i++) findMethods({ workshop: moths, house: demoHouses[0]!, now })
  return (performance.now() - start) / 5
})()
figures['plan at 400 over plan at 40, ratio'] = figures['plan at 400 people, ms']! / figures['plan at 40 people, ms']!

const stop = await setup()
const url = process.env['IMPRENTA_URL']!

/** All JavaScript fetched until the bench is usable, and the time to it. */
async function firstBench(): Promise<void> {
  const browser = await chromium.launch(chromiumOptions)
  const times: number[] = []
  let bytes = 0
  let shift = 0
  for (let i = 0; i < 5; i++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'bench'))
    const bodies: Promise<Buffer>[] = []
    page.on('response', (r) => r.url().endsWith('.js') && bodies.push(r.body()))
    const start = performance.now()
    await page.goto(`${url}/w/${moths.id}/bench/kit`)
    await page.getByRole('textbox', { name: 'People' }).waitFor()
    times.push(performance.now() - start)
    bytes = (await Promise.all(bodies)).reduce((sum, b) => sum + gzipSync(b).length, 0)
    shift = await page.evaluate(
      () =>
        new Promise<number>((done) => {
          let sum = 0
          new PerformanceObserver((list) => list.getEntries().forEach((e) => (sum += (e as unknown as { value: number }).value))).observe({
            type: 'layout-shift',
            buffered: true,
          })
          setTimeout(() => done(sum), 500)
        }),
    )
    await page.close()
  }
  await browser.close()
  figures['first load, kB of JavaScript gzipped'] = bytes / 1000
  figures['first usable bench, ms (median of 5)'] = times.sort((a, b) => a - b)[2]!
  figures['layout shift'] = shift
}
await firstBench()
Object.assign(figures, await benchPapers(url))
Object.assign(figures, await benchPictures(url, held), await benchLettering())
stop()
const durable = await setup(true)
Object.assign(figures, await benchSaves(process.env['IMPRENTA_URL']!, process.env['IMPRENTA_E2E_DATABASE']!))
durable()

print()
