import type pg from 'pg'
import type { Job } from '#core/prints'
import { freshPrinter, type Printer } from '#core/printer'
import type { Ink } from '#core/recipe'
import { many, maybeOne, run, type Db } from '../db/query'

const columns = `id, ink, paper, actor, at, number::int as number, sheets, printed, lost, stopped, redo, pdf is not null as whole`

export const loadJobs = (db: Db, workshopId: string): Promise<Job[]> =>
  many(db, `select ${columns} from print_job where workshop_id = $1 order by number`, [workshopId])

export const loadJob = (db: Db, workshopId: string, id: string): Promise<Job | undefined> =>
  maybeOne(db, `select ${columns} from print_job where workshop_id = $1 and id = $2`, [workshopId, id])

export const loadJobPdf = (db: Db, workshopId: string, id: string): Promise<{ pdf: Buffer | null } | undefined> =>
  maybeOne(db, 'select pdf from print_job where workshop_id = $1 and id = $2', [workshopId, id])

export async function loadPrinter(db: Db, houseId: string, ink: Ink, paper: string): Promise<Printer> {
  const row = await maybeOne<{ state: Printer }>(db, 'select state from printer where house_id = $1 and ink = $2', [houseId, ink])
  return row?.state ?? freshPrinter(ink, paper)
}

export const storePrinter = (db: Db, houseId: string, printer: Printer): Promise<void> =>
  run(db, 'insert into printer (house_id, ink, state) values ($1, $2, $3) on conflict (house_id, ink) do update set state = $3', [
    houseId,
    printer.ink,
    printer,
  ])

export const storeJob = (
  db: pg.PoolClient,
  job: Omit<Job, 'whole' | 'number' | 'redo'> & {
    workshopId: string
    houseId: string
    recipe: { id: string; version: number }
    pictures: string[]
    pdf: Buffer
  },
): Promise<void> =>
  run(
    db,
    `insert into print_job (id, workshop_id, house_id, ink, paper, recipe_id, recipe_version, actor, at, sheets, pictures, printed, lost, stopped, pdf)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15)`,
    [
      job.id,
      job.workshopId,
      job.houseId,
      job.ink,
      job.paper,
      job.recipe.id,
      job.recipe.version,
      job.actor,
      job.at,
      JSON.stringify(job.sheets),
      job.pictures,
      job.printed,
      job.lost,
      job.stopped,
      job.pdf,
    ],
  )

/** Prints of a job that are to be done again. */
export const redoPrints = (db: Db, workshopId: string, id: string, prints: readonly string[]): Promise<void> =>
  run(
    db,
    'update print_job set redo = (select array_agg(distinct x) from unnest(redo || $3::text[]) x) where workshop_id = $1 and id = $2',
    [workshopId, id, prints],
  )
