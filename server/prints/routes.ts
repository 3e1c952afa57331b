import { Router } from 'express'
import type pg from 'pg'
import { uuidv7 } from 'uuidv7'
import * as v from 'valibot'
import { printersOf, sizeUnit, type House } from '#core/house'
import { gutterMm, planWorkshop, type Plan } from '#core/plan'
import { layPrints, printsOf, stillToPrint, type LaidSheet, type Layout, type Print } from '#core/prints'
import { lettings, runJob, smearOf } from '#core/printer'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { inks, type Ink } from '#core/recipe'
import { usualSteps } from '#core/sheets'
import type { Workshop } from '#core/workshop'
import type { Clock } from '../clock'
import { inTransaction, run } from '../db/query'
import { applyCommand } from '../desk/commands'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { enlarge } from './darkroom'
import { loadJob, loadJobPdf, loadJobs, loadPrinter, redoPrints, storeJob, storePrinter, type Job } from './jobs'
import { sheetPng } from './sheetPng'
import { sheetsPdf, type PrintsPdf } from './sheetsPdf'

const mostSteps = 20_000
const wanted = v.object({
  steps: v.optional(
    v.pipe(
      v.union([v.string(), v.number()]),
      v.transform(Number),
      v.integer('not a number of steps'),
      v.minValue(0),
      v.maxValue(mostSteps),
    ),
    usualSteps,
  ),
  sheets: v.optional(v.pipe(v.string(), v.regex(/^\d{1,3}(,\d{1,3}){0,199}$/, 'not sheet numbers | Write them like 1,2,5.'))),
  proof: v.optional(v.picklist(['0', '1']), '1'),
})
const jobAsked = v.object({
  id: v.pipe(v.string(), v.uuid('not a UUID | Make one for each job.')),
  ink: v.picklist(inks),
  steps: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(mostSteps)),
  /** The prints of each sheet as they were seen, so that nothing else is printed. */
  sheets: v.pipe(v.array(v.array(v.string())), v.minLength(1, 'no sheet | Choose at least one.'), v.maxLength(200)),
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
    return { workshop, house, plan, prints: stillToPrint(all, jobs), jobs }
  }

  const layoutOf = ({ workshop, house, plan, prints }: Found, steps: number): Layout => {
    const laid = layPrints(
      { prints, paper: plan.print.paper, gutterMm: gutterMm.value, locks: workshop.locks ?? [], unit: sizeUnit(house) },
      steps,
    )
    if (isRefusal(laid)) throw new BadInput(laid.refused.what, 'prints', `${laid.refused.why}: ${laid.refused.remedies.join(', or ')}.`)
    return laid
  }
  const pdfOf = (f: Found, more: Pick<PrintsPdf, 'proof' | 'from' | 'of'>, ink: Ink | 'any' = f.plan.ink): PrintsPdf => ({
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
    const { sheets } = layoutOf(found, asked.steps)
    const numbers = asked.sheets?.split(',').map(Number) ?? sheets.map((_, i) => i + 1)
    const chosen = numbers.map((n) => sheets[n - 1]).filter((s) => s !== undefined)
    if (asked.sheets && chosen.length === 0) throw new NotFound(`There is no sheet ${asked.sheets}.`)
    const bytes = await sheetsPdf(
      chosen,
      pdfOf(found, { proof: asked.proof === '1', from: numbers[0] ?? 1, of: sheets.length }),
      developer(found),
    )
    res.type('application/pdf').setHeader('content-disposition', `inline; filename="${found.workshop.id}-prints.pdf"`)
    res.setHeader('cache-control', 'no-store')
    res.send(bytes)
  })

  router.get('/workshops/:id/prints/:sheet.png', async (req, res) => {
    const asked = readInput(wanted, req.query)
    const found = await find(req.params.id)
    const sheet = layoutOf(found, asked.steps).sheets[Number(req.params.sheet) - 1]
    if (!sheet) throw new NotFound(`There is no sheet ${req.params.sheet}.`)
    res.type('image/png').setHeader('cache-control', 'no-store')
    res.send(await sheetPng(sheet, pdfOf(found, { proof: false, from: 1, of: 1 }), developer(found)))
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
      await countAsPrinted(found.workshop, known)
      return void res.json({ job: known })
    }
    if (!printersOf(found.house).includes(asked.ink))
      throw new BadInput(`This house has no ${asked.ink} printer.`, 'ink', 'Add one under House, or take prints from elsewhere.')
    const layout = layoutOf(found, asked.steps)
    const sheets = asked.sheets.map((prints) => theSheet(layout, prints))
    const job = await print(found, sheets, layout.sheets.length, asked)
    res.status(201).json({ job })
  })

  /** Draws, runs and keeps a job in one transaction, so that it is there whole or not at all; then what came out counts as
   *  printed. */
  async function print(found: Found, sheets: LaidSheet[], of: number, asked: v.InferOutput<typeof jobAsked>): Promise<Job> {
    const { workshop, house, plan } = found
    const pdf = await sheetsPdf(sheets, pdfOf(found, { proof: false, from: 1, of }, asked.ink), developer(found))
    const at = clock.now(house.timeZone)
    const paper = plan.print.paper.id
    await inTransaction(pool, async (db) => {
      await run(db, 'select pg_advisory_xact_lock(hashtextextended($1, 0))', [`printer/${house.id}/${asked.ink}`])
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
    await countAsPrinted(workshop, job)
    return job
  }

  /** Pieces whose own print has come out are printed. Asked again it changes nothing more. */
  async function countAsPrinted(workshop: Workshop, job: Job): Promise<void> {
    const out = new Set(job.sheets.slice(0, job.printed).flatMap((s) => s.prints))
    const changes = workshop.group.participants.flatMap(({ id: participant }) => {
      const piece = workshop.pieces.find((p) => p.participant === participant)
      if (!out.has(participant) || (piece && piece.state !== 'to-print')) return []
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
      await run(db, 'select pg_advisory_xact_lock(hashtextextended($1, 0))', [`printer/${house.id}/${asked.ink}`])
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

/** The sheet of a layout with exactly these prints; a layout that has changed in between is said. */
function theSheet(layout: Layout, prints: readonly string[]): LaidSheet {
  const key = (list: readonly string[]) => [...list].sort().join(' ')
  const found = layout.sheets.find((s) => key(s.places.map((p) => p.print.id)) === key(prints))
  if (!found) throw new BadInput('The sheets have changed since you looked.', 'sheets', 'Look at them again, then print.')
  if (found.waits)
    throw new BadInput('A picture on this sheet is not in yet.', 'sheets', 'Print the others, or let house pictures stand in.')
  return found
}
