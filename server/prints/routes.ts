import { Router } from 'express'
import type pg from 'pg'
import * as v from 'valibot'
import { printersOf } from '#core/house'
import { paperOf } from '#core/house'
import { lettings, smearOf } from '#core/printer'
import { readInput } from '#core/reasons'
import { inks } from '#core/recipe'
import { idIn } from '../addresses'
import type { Clock } from '../clock'
import type { Crew } from '../crew/crew'
import { inTransaction } from '../db/query'
import { lock } from '../desk/commands'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { loadJob, loadJobPdf, loadJobs, loadPrinter, redoPrints, storePrinter } from './jobs'

const told = v.object({
  ink: v.picklist(inks),
  letIt: v.optional(v.picklist(lettings)),
  refill: v.optional(v.boolean()),
  paper: v.optional(v.picklist(['letter', 'a4', 'tabloid', 'a3'])),
})

/** Prints: the sheets as PDF and PNG, jobs for the simulated printer, its out-tray. Jobs are kept: a restart loses none. */
export function printRoutes(pool: pg.Pool, clock: Clock, crew: Crew): Router {
  const router = Router()

  router.get('/workshops/:id/prints.pdf', async (req, res) => {
    const id = idIn(req.params.id)
    const bytes = await crew.run('prints', { id, query: { ...req.query }, now: clock.now() }, res)
    res.type('application/pdf').setHeader('content-disposition', `inline; filename="${id}-prints.pdf"`)
    res.setHeader('cache-control', 'no-store')
    res.send(Buffer.from(bytes))
  })

  router.get('/workshops/:id/prints/:sheet.png', async (req, res) => {
    const asked = { id: idIn(req.params.id), query: { ...req.query }, sheet: req.params.sheet, now: clock.now() }
    const bytes = await crew.run('prints', asked, res)
    res.type('image/png').setHeader('cache-control', 'no-store')
    res.send(Buffer.from(bytes))
  })

  router.get('/workshops/:id/print-jobs', async (req, res) => {
    const workshop = (await loadWorkshop(pool, idIn(req.params.id)))?.body
    const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
    if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
    const paper = paperOf(workshop.choices.paper, house).id
    const [jobs, ...printers] = await Promise.all([
      loadJobs(pool, workshop.id),
      ...printersOf(house).map((ink) => loadPrinter(pool, house.id, ink, paper)),
    ])
    res.json({ jobs, printers })
  })

  router.post('/workshops/:id/print-jobs', async (req, res) => {
    const { job, fresh } = await crew.run('print', { id: idIn(req.params.id), body: req.body as unknown, now: clock.now() }, res)
    res.status(fresh ? 201 : 200).json({ job })
  })

  router.get('/workshops/:id/print-jobs/:job.pdf', async (req, res) => {
    if (!v.is(v.pipe(v.string(), v.uuid()), req.params.job)) throw new NotFound('This job is not in the out-tray.')
    const found = await loadJobPdf(pool, idIn(req.params.id), req.params.job)
    if (!found) throw new NotFound('This job is not in the out-tray.')
    if (!found.pdf) throw new NotFound('A picture of this job was erased, and its PDF with it.')
    res.type('application/pdf').setHeader('content-disposition', `inline; filename="${req.params.id}-job.pdf"`)
    res.setHeader('cache-control', 'no-store')
    res.send(found.pdf)
  })

  router.post('/workshops/:id/print-jobs/:job/redo', async (req, res) => {
    const { prints } = readInput(
      v.object({
        prints: v.pipe(
          v.array(v.pipe(v.string(), v.regex(/^[A-Za-z0-9 #:.-]{1,120}$/, 'not a print | Name prints as they stand in the job.'))),
          v.minLength(1),
          v.maxLength(400),
        ),
      }),
      req.body,
    )
    const job = v.is(v.pipe(v.string(), v.uuid()), req.params.job) ? await loadJob(pool, idIn(req.params.id), req.params.job) : undefined
    if (!job) throw new NotFound('This job is not in the out-tray.')
    await redoPrints(pool, req.params.id, job.id, prints)
    res.json({ job: await loadJob(pool, req.params.id, job.id) })
  })

  router.post('/houses/:id/printer', async (req, res) => {
    const asked = readInput(told, req.body)
    const house = (await loadHouse(pool, idIn(req.params.id)))?.body
    if (!house) throw new NotFound('This house is not here.')
    const printer = await inTransaction(pool, async (db) => {
      await lock(db, [`printer/${house.id}/${asked.ink}`])
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
