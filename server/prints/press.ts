import type pg from 'pg'
import { uuidv7 } from 'uuidv7'
import * as v from 'valibot'
import { printersOf, sizeUnit, type House } from '#core/house'
import { planOf, type Plan } from '#core/plan'
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
import { runJob } from '#core/printer'
import { BadInput, isRefusal, readInput } from '#core/reasons'
import { inks, type Ink } from '#core/recipe'
import { usualSteps } from '#core/sheets'
import { change, firstDesign, inWorkshop, newPiece, piecesOf, type Workshop } from '#core/workshop'
import type { Clock } from '../clock'
import { inTransaction, maybeOne, type Db } from '../db/query'
import { applyCommands, lock } from '../desk/commands'
import { planOfDesk } from '../desk/planning'
import { NotFound } from '../errors'
import { enlarge } from './darkroom'
import { loadJob, loadJobs, loadPrinter, storeJob, storePrinter } from './jobs'
import type { Job } from '#core/prints'
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
  /** Whose prints, where a workshop has several designs; the first one's unless said. */
  design: v.optional(v.pipe(v.string(), v.maxLength(64))),
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
  design: v.optional(v.pipe(v.string(), v.maxLength(64))),
})
export interface PrintsAsked {
  id: string
  query: unknown
  /** One sheet as PNG; left out, sheets as PDF. */
  sheet?: string
}
export interface JobAsked {
  id: string
  body: unknown
}

interface Found {
  workshop: Workshop
  house: House
  plan: Plan
  /** All prints of the workshop, and those that are not in the out-tray yet. */
  all: Print[]
  prints: Print[]
  jobs: Job[]
}

async function find(pool: pg.Pool, clock: Clock, id: string, design?: string): Promise<Found> {
  const { workshop, house, plan: whole } = await planOfDesk(pool, clock, id)
  if (design !== undefined && !workshop.designs.some((d) => d.id === design)) throw new NotFound('This design is not here any more.')
  const plan = planOf(whole, design ?? firstDesign(workshop).id)
  const { widthMm, heightMm, marginMm } = plan.print.paper
  const all = printsOf(plan, workshop, { widthMm: widthMm - 2 * marginMm, heightMm: heightMm - 2 * marginMm })
  const jobs = await loadJobs(pool, id)
  return { workshop, house, plan, all, prints: stillToPrint(all, jobs), jobs }
}

/** The layout after so many steps. */
function layoutOf({ workshop, house, plan, prints }: Found, steps: number): Layout {
  const ask = { prints, paper: plan.print.paper, gutterMm: plan.print.gutterMm, locks: workshop.locks ?? [], unit: sizeUnit(house) }
  const begun = beginLayout(ask)
  if (isRefusal(begun)) throw new BadInput(begun.refused.what, 'prints', `${begun.refused.why}: ${begun.refused.remedies.join(', or ')}.`)
  const { ganging, layout } = begun
  if (steps > 0) ganging.step(steps)
  return layout()
}
const pdfOf = (f: Found, more: Pick<PrintsPdf, 'proof' | 'numbers' | 'of'>, ink: Ink | 'any' = f.plan.ink): PrintsPdf => ({
  title: `${f.workshop.title}: prints${f.workshop.designs.length > 1 ? `, ${f.plan.pieceName}` : ''}`,
  paper: f.plan.print.paper,
  gutterMm: f.plan.print.gutterMm,
  units: f.house.units,
  mirrored: f.plan.print.mirrored,
  size: { widthMm: f.plan.print.widthMm, heightMm: f.plan.print.heightMm },
  stock: f.plan.print.stock,
  leadingEdge: f.plan.print.leadingEdge,
  outline: f.plan.cut,
  ink,
  ...more,
})
const developer = (pool: pg.Pool, f: Found) => (print: Print) => enlarge(pool, f.workshop.id, print, f.plan.print)

/** The sheets of a workshop as PDF, or one of them as PNG. */
export async function drawPrints(pool: pg.Pool, clock: Clock, { id, query, sheet: one }: PrintsAsked): Promise<Buffer> {
  const asked = readInput(wanted, query)
  const found = await find(pool, clock, id, asked.design)
  const { sheets } = layoutOf(found, asked.steps)
  if (one !== undefined) {
    const number = Number(one)
    const sheet = sheets[number - 1]
    if (!sheet) throw new NotFound(`There is no sheet ${one.slice(0, 20)}.`)
    return sheetPng(sheet, pdfOf(found, { proof: false, numbers: [number], of: sheets.length }), number, developer(pool, found))
  }
  const numbers = (asked.sheets ? numbersIn(asked.sheets) : sheets.map((_, i) => i + 1)).filter((n) => sheets[n - 1] !== undefined)
  if (asked.sheets && numbers.length === 0) throw new NotFound(`There is no sheet ${asked.sheets}.`)
  if (numbers.length > mostSheetsAtOnce)
    throw new BadInput(
      `${numbers.length} sheets are too many for one file.`,
      'sheets',
      `Take up to ${mostSheetsAtOnce} at a time: sheets=1-${mostSheetsAtOnce}, then the next.`,
    )
  return sheetsPdf(
    numbers.map((n) => sheets[n - 1]!),
    pdfOf(found, { proof: asked.proof === '1', numbers, of: sheets.length }),
    developer(pool, found),
  )
}

/** A job for the simulated printer, once: asked again it answers with the same. */
export async function printJob(pool: pg.Pool, clock: Clock, { id, body }: JobAsked): Promise<{ job: Job; fresh: boolean }> {
  const asked = readInput(jobAsked, body)
  const found = await find(pool, clock, id, asked.design)
  const known = found.jobs.find((j) => j.id === asked.id)
  if (known) {
    await countAsPrinted(pool, found, known)
    return { job: known, fresh: false }
  }
  if (!printersOf(found.house).includes(asked.ink))
    throw new BadInput(`This house has no ${asked.ink} printer.`, 'ink', 'Add one under House, or take prints from elsewhere.')
  return { job: await print(pool, clock, found, layoutOf(found, asked.steps), asked), fresh: true }
}

/** Draws, runs and keeps a job in one transaction, so that it is there whole or not at all; then what came out counts as
 *  printed. Two presses at the same moment take turns, and the second prints nothing that the first has printed. */
async function print(pool: pg.Pool, clock: Clock, found: Found, layout: Layout, asked: v.InferOutput<typeof jobAsked>): Promise<Job> {
  const { workshop, house, plan } = found
  const sheets = asked.sheets.map((prints) => theSheet(layout, prints))
  const numbers = sheets.map((s) => layout.sheets.indexOf(s) + 1)
  const pdf = await sheetsPdf(sheets, pdfOf(found, { proof: false, numbers, of: layout.sheets.length }, asked.ink), developer(pool, found))
  const pictures = [...new Set(sheets.flatMap((s) => s.places.flatMap((p) => p.print.picture?.id ?? [])))]
  const at = clock.now(house.timeZone)
  const paper = plan.print.paper.id
  await inTransaction(pool, async (db) => {
    await lock(db, [`workshop/${workshop.id}`, `prints/${workshop.id}`, `printer/${house.id}/${asked.ink}`])
    const jobs = await loadJobs(db, workshop.id)
    if (jobs.some((j) => j.id === asked.id)) return
    const out = printedIn(jobs)
    if (asked.sheets.flat().some((p) => out.has(p))) throw changed()
    // Erased while it was drawn: what was drawn is thrown away.
    if (!(await allThere(db, workshop.id, pictures))) throw changed()
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
      pictures,
      printed: ran.printed,
      lost: ran.lost,
      stopped: ran.stopped,
      pdf,
    })
  })
  const job = (await loadJob(pool, workshop.id, asked.id))!
  await countAsPrinted(pool, found, job)
  return job
}

/** Pieces whose own print has come out, all of its tiles, are printed. Asked again it changes nothing more. */
async function countAsPrinted(pool: pg.Pool, { workshop, plan, all }: Found, job: Job): Promise<void> {
  const out = new Set(printedIn(await loadJobs(pool, workshop.id)).keys())
  const mine = piecesOf(workshop).filter((x) => x.designId === plan.design)
  const changes = mine.flatMap((piece) => {
    if (!allOut(all, piece, out) || piece.state !== 'to-print') return []
    const after = { ...(piece.known ?? newPiece(workshop, piece)), state: 'printed' as const }
    return [change(workshop, inWorkshop.pieces(after.id), after)]
  })
  if (changes.length === 0) return
  const { actor, at } = job
  const subject = { kind: 'workshop' as const, id: workshop.id }
  const command = { id: uuidv7(), subject, baseVersion: 0, kind: 'printed', changes, guards: [], actor, at }
  await inTransaction(pool, (db) => applyCommands(db, [command], at))
}

/** Whether all these pictures still have their bytes. */
async function allThere(db: Db, workshopId: string, pictures: readonly string[]): Promise<boolean> {
  const row = await maybeOne<{ n: number }>(db, 'select count(*)::int as n from picture where workshop_id = $1 and id = any($2)', [
    workshopId,
    pictures,
  ])
  return row!.n === pictures.length
}

const changed = () => new BadInput('The sheets have changed since you looked.', 'sheets', 'Look at them again, then print.')

/** Sheets as they are asked for, "3,7-9": in their order, each once. */
function numbersIn(text: string): number[] {
  const numbers = text.split(',').flatMap((part) => {
    const [from, to = from] = part.split('-').map(Number)
    return Array.from({ length: Math.max(0, to! - from! + 1) }, (_, i) => from! + i)
  })
  return [...new Set(numbers)]
}

/** The sheet of a layout with exactly these prints; a layout that has changed in between is said. */
function theSheet(layout: Layout, prints: readonly string[]): LaidSheet {
  const key = (list: readonly string[]) => [...list].sort().join(' ')
  const found = layout.sheets.find((s) => key(s.places.map((p) => p.print.id)) === key(prints))
  if (!found) throw changed()
  if (found.waits)
    throw new BadInput('A picture on this sheet is not in yet.', 'sheets', 'Print the others, or let house pictures stand in.')
  return found
}
