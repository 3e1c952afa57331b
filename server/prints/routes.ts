import { setImmediate } from 'node:timers/promises'
import { Router } from 'express'
import type pg from 'pg'
import { uuidv7 } from 'uuidv7'
import * as v from 'valibot'
import { printersOf, sizeUnit, type House } from '#core/house'
import { gutterMm, planWorkshop, type Plan } from '#core/plan'
import {
  allOut,
  beginLayout,
  mostLayoutSteps,
  mostSheetsAtOnce,
  printedIn,
  printsOf,
  stillToPrint,
  type LaidSheet,
  type Layout,
  type Print,
} from '#core/prints'
import { lettings, runJob, smearOf } from '#core/printer'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { inks, type Ink } from '#core/recipe'
import { usualSteps } from '#core/sheets'
import type { Workshop } from '#core/workshop'
import type { Clock } from '../clock'
import { inTransaction, run, type Db } from '../db/query'
import { applyCommand } from '../desk/commands'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { enlarge } from './darkroom'
import { loadJob, loadJobPdf, loadJobs, loadPrinter, redoPrints, storeJob, storePrinter, type Job } from './jobs'
import { sheetPng } from './sheetPng'
import { sheetsPdf, type PrintsPdf } from './sheetsPdf'

const wanted = v.object({
  steps: v.optional(
    v.pipe(
      v.union([v.string(), v.number()]),
      v.transform(Number),
      v.integer('not a number of steps'),
      v.minValue(0),
      v.maxValue(mostLayoutSteps),
    ),
    usualSteps,
  ),
  sheets: v.optional(
    v.pipe(v.string(), v.regex(/^\d{1,4}(-\d{1,4})?(,\d{1,4}(-\d{1,4})?){0,199}$/, 'not sheet numbers | Write them like 1,2,5 or 1-40.')),
  ),
  proof: v.optional(v.picklist(['0', '1']), '1'),
})
const jobAsked = v.object({
  id: v.pipe(v.string(), v.uuid('not a UUID | Make one for each job.')),
  ink: v.picklist(inks),
  steps: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(mostLayoutSteps)),
  /** The prints of each sheet as they were seen, so that nothing else is printed. */
  sheets: v.pipe(
    v.array(v.array(v.string())),
    v.minLength(1, 'no sheet | Choose at least one.'),
    v.maxLength(mostSheetsAtOnce, `more than ${mostSheetsAtOnce} sheets | Print them in several goes.`),
  ),
  actor: v.optional(v.pipe(v.string(), v.maxLength(80)), ''),
})
const told = v.object({
  ink: v.picklist(inks),
  letIt: v.optional(v.picklist(lettings)),
  refill: v.optional(v.boolean()),
  paper: v.optional(v.picklist(['letter', 'a4', 'tabloid', 'a3'])),
})

interface Found {
  workshop: Workshop
  house: House
  plan: Plan
  /** All prints of the workshop, and those that are not in the out-tray yet. */
  all: Print[]
  prints: Print[]
  jobs: Job[]
}

/** Prints: the sheets as PDF and PNG, jobs for the simulated printer, its out-tray. Jobs are kept: a restart loses none. */
export function printRoutes(pool: pg.Pool, clock: Clock): Router {
  const router = Router()

  async function find(id: string): Promise<Found> {
    const workshop = (await loadWorkshop(pool, id))?.body
    const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
    if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
    const plan = planWorkshop({ workshop, house, now: clock.now(house.timeZone) })
    const { widthMm, heightMm, marginMm } = plan.print.paper
    const all = printsOf(plan, workshop, { widthMm: widthMm - 2 * marginMm, heightMm: heightMm - 2 * marginMm })
    const jobs = await loadJobs(pool, id)
    return { workshop, house, plan, all, prints: stillToPrint(all, jobs), jobs }
  }

  /** The layout after so many steps, taken a few at a time: others are answered meanwhile. */
  async function layoutOf({ workshop, house, plan, prints }: Found, steps: number): Promise<Layout> {
    const ask = { prints, paper: plan.print.paper, gutterMm: gutterMm.value, locks: workshop.locks ?? [], unit: sizeUnit(house) }
    const begun = beginLayout(ask)
    if (isRefusal(begun)) throw new BadInput(begun.refused.what, 'prints', `${begun.refused.why}: ${begun.refused.remedies.join(', or ')}.`)
    const { ganging, layout } = begun
    while (ganging.steps < steps && ganging.step(Math.min(stepsInTurn, steps - ganging.steps))) await setImmediate()
    return layout()
  }
  const pdfOf = (f: Found, more: Pick<PrintsPdf, 'proof' | 'numbers' | 'of'>, ink: Ink | 'any' = f.plan.ink): PrintsPdf => ({
    title: `${f.workshop.title}: prints`,
    paper: f.plan.print.paper,
    gutterMm: gutterMm.value,
    units: f.house.units,
    mirrored: f.plan.print.mirrored,
    size: { widthMm: f.plan.print.widthMm, heightMm: f.plan.print.heightMm },
    stock: f.plan.print.stock,
    leadingEdge: f.plan.print.leadingEdge,
    outline: f.plan.outline,
    ink,
    ...more,
  })
  const developer = (f: Found) => (print: Print) => enlarge(pool, f.workshop.id, print, f.plan.print)

  router.get('/workshops/:id/prints.pdf', async (req, res) => {
    const asked = readInput(wanted, req.query)
    const found = await find(req.params.id)
    const { sheets } = await layoutOf(found, asked.steps)
    const numbers = (asked.sheets ? numbersIn(asked.sheets) : sheets.map((_, i) => i + 1)).filter((n) => sheets[n - 1] !== undefined)
    if (asked.sheets && numbers.length === 0) throw new NotFound(`There is no sheet ${asked.sheets}.`)
    if (numbers.length > mostSheetsAtOnce)
      throw new BadInput(
        `${numbers.length} sheets are too many for one file.`,
        'sheets',
        `Take up to ${mostSheetsAtOnce} at a time: sheets=1-${mostSheetsAtOnce}, then the next.`,
      )
    const bytes = await sheetsPdf(
      numbers.map((n) => sheets[n - 1]!),
      pdfOf(found, { proof: asked.proof === '1', numbers, of: sheets.length }),
      developer(found),
    )
    res.type('application/pdf').setHeader('content-disposition', `inline; filename="${found.workshop.id}-prints.pdf"`)
    res.setHeader('cache-control', 'no-store')
    res.send(bytes)
  })

  router.get('/workshops/:id/prints/:sheet.png', async (req, res) => {
    const asked = readInput(wanted, req.query)
    const found = await find(req.params.id)
    const { sheets } = await layoutOf(found, asked.steps)
    const number = Number(req.params.sheet)
    const sheet = sheets[number - 1]
    if (!sheet) throw new NotFound(`There is no sheet ${req.params.sheet}.`)
    res.type('image/png').setHeader('cache-control', 'no-store')
    res.send(await sheetPng(sheet, pdfOf(found, { proof: false, numbers: [number], of: sheets.length }), number, developer(found)))
  })

  router.get('/workshops/:id/print-jobs', async (req, res) => {
    const { house, plan, jobs } = await find(req.params.id)
    const printers = await Promise.all(printersOf(house).map((ink) => loadPrinter(pool, house.id, ink, plan.print.paper.id)))
    res.json({ jobs, printers })
  })

  router.post('/workshops/:id/print-jobs', async (req, res) => {
    const asked = readInput(jobAsked, req.body)
    const found = await find(req.params.id)
    const known = found.jobs.find((j) => j.id === asked.id)
    if (known) {
      await countAsPrinted(found, known)
      return void res.json({ job: known })
    }
    if (!printersOf(found.house).includes(asked.ink))
      throw new BadInput(`This house has no ${asked.ink} printer.`, 'ink', 'Add one under House, or take prints from elsewhere.')
    const layout = await layoutOf(found, asked.steps)
    const job = await print(found, layout, asked)
    res.status(201).json({ job })
  })

  /** Draws, runs and keeps a job in one transaction, so that it is there whole or not at all; then what came out counts as
   *  printed. Two presses at the same moment take turns, and the second prints nothing that the first has printed. */
  async function print(found: Found, layout: Layout, asked: v.InferOutput<typeof jobAsked>): Promise<Job> {
    const { workshop, house, plan } = found
    const sheets = asked.sheets.map((prints) => theSheet(layout, prints))
    const numbers = sheets.map((s) => layout.sheets.indexOf(s) + 1)
    const pdf = await sheetsPdf(sheets, pdfOf(found, { proof: false, numbers, of: layout.sheets.length }, asked.ink), developer(found))
    const at = clock.now(house.timeZone)
    const paper = plan.print.paper.id
    await inTransaction(pool, async (db) => {
      await inTurn(db, `prints/${workshop.id}`)
      await inTurn(db, `printer/${house.id}/${asked.ink}`)
      const jobs = await loadJobs(db, workshop.id)
      if (jobs.some((j) => j.id === asked.id)) return
      const out = printedIn(jobs)
      if (asked.sheets.flat().some((p) => out.has(p))) throw changed()
      const ran = runJob(await loadPrinter(db, house.id, asked.ink, paper), sheets.length, paper)
      await storePrinter(db, house.id, ran.printer)
      await storeJob(db, {
        id: asked.id,
        workshopId: workshop.id,
        houseId: house.id,
        recipe: plan.recipe,
        ink: asked.ink,
        paper,
        actor: asked.actor,
        at,
        sheets: sheets.map((s) => ({ prints: s.places.map((p) => p.print.id), labels: s.places.map((p) => p.print.label) })),
        pictures: [...new Set(sheets.flatMap((s) => s.places.flatMap((p) => p.print.picture?.id ?? [])))],
        printed: ran.printed,
        lost: ran.lost,
        stopped: ran.stopped,
        pdf,
      })
    })
    const job = (await loadJob(pool, workshop.id, asked.id))!
    await countAsPrinted(found, job)
    return job
  }

  /** Pieces whose own print has come out, all of its tiles, are printed. Asked again it changes nothing more. */
  async function countAsPrinted({ workshop, all }: Found, job: Job): Promise<void> {
    const out = new Set(printedIn(await loadJobs(pool, workshop.id)).keys())
    const changes = workshop.group.participants.flatMap(({ id: participant }) => {
      const piece = workshop.pieces.find((p) => p.participant === participant)
      if (!allOut(all, participant, out) || (piece && piece.state !== 'to-print')) return []
      const after = { ...(piece ?? { id: `${participant}-d1`, participant, laidAt: null }), state: 'printed' as const }
      return [{ path: `pieces/${after.id}`, before: piece ?? null, after }]
    })
    if (changes.length === 0) return
    const { actor, at } = job
    const subject = { kind: 'workshop' as const, id: workshop.id }
    await applyCommand(pool, { id: uuidv7(), subject, baseVersion: 0, kind: 'printed', changes, guards: [], actor, at }, at)
  }

  router.get('/workshops/:id/print-jobs/:job.pdf', async (req, res) => {
    if (!v.is(v.pipe(v.string(), v.uuid()), req.params.job)) throw new NotFound('This job is not in the out-tray.')
    const found = await loadJobPdf(pool, req.params.id, req.params.job)
    if (!found) throw new NotFound('This job is not in the out-tray.')
    if (!found.pdf) throw new NotFound('A picture of this job was erased, and its PDF with it.')
    res.type('application/pdf').setHeader('content-disposition', `inline; filename="${req.params.id}-job.pdf"`)
    res.setHeader('cache-control', 'no-store')
    res.send(found.pdf)
  })

  router.post('/workshops/:id/print-jobs/:job/redo', async (req, res) => {
    const { prints } = readInput(v.object({ prints: v.pipe(v.array(v.string()), v.minLength(1), v.maxLength(400)) }), req.body)
    const job = v.is(v.pipe(v.string(), v.uuid()), req.params.job) ? await loadJob(pool, req.params.id, req.params.job) : undefined
    if (!job) throw new NotFound('This job is not in the out-tray.')
    await redoPrints(pool, req.params.id, job.id, prints)
    res.json({ job: await loadJob(pool, req.params.id, job.id) })
  })

  router.post('/houses/:id/printer', async (req, res) => {
    const asked = readInput(told, req.body)
    const house = (await loadHouse(pool, req.params.id))?.body
    if (!house) throw new NotFound('This house is not here.')
    const printer = await inTransaction(pool, async (db) => {
      await inTurn(db, `printer/${house.id}/${asked.ink}`)
      const now = await loadPrinter(db, house.id, asked.ink, house.paper)
      const next = {
        ...now,
        ...(asked.letIt && { letIt: asked.letIt }),
        ...(asked.refill && { level: 1, letIt: 'run' as const }),
        ...(asked.paper && { paper: asked.paper }),
      }
      await storePrinter(db, house.id, next)
      return next
    })
    res.json({ printer })
  })

  router.post('/houses/:id/printer/smear', (req, res) => {
    const { ink } = readInput(v.object({ ink: v.picklist(inks) }), req.body)
    res.json({ outcome: smearOf(ink) })
  })

  return router
}

const changed = () => new BadInput('The sheets have changed since you looked.', 'sheets', 'Look at them again, then print.')

/** So many steps of a layout are taken before others are answered. */
const stepsInTurn = 200

/** Sheets as they are asked for, "3,7-9": in their order, each once. */
function numbersIn(text: string): number[] {
  const numbers = text.split(',').flatMap((part) => {
    const [from, to = from] = part.split('-').map(Number)
    return Array.from({ length: Math.max(0, to! - from! + 1) }, (_, i) => from! + i)
  })
  return [...new Set(numbers)]
}

/** Waits until nobody else in a transaction has this key. */
const inTurn = (db: Db, key: string) => run(db, 'select pg_advisory_xact_lock(hashtextextended($1, 0))', [key])

/** The sheet of a layout with exactly these prints; a layout that has changed in between is said. */
function theSheet(layout: Layout, prints: readonly string[]): LaidSheet {
  const key = (list: readonly string[]) => [...list].sort().join(' ')
  const found = layout.sheets.find((s) => key(s.places.map((p) => p.print.id)) === key(prints))
  if (!found) throw changed()
  if (found.waits)
    throw new BadInput('A picture on this sheet is not in yet.', 'sheets', 'Print the others, or let house pictures stand in.')
  return found
}
