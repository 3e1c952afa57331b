import type pg from 'pg'
import { uuidv7 } from 'uuidv7'
import { withoutPicture, type Suggestion } from '#core/pictures'
import type { Picture, Workshop } from '#core/workshop'
import { many, maybeOne, run, type Db } from '../db/query'
import { applyCommand } from '../desk/commands'
import { loadWorkshop } from '../desk/documents'
import { wipeJobsWith } from '../prints/jobs'
import type { Developed } from './develop'

export type PictureSize = 'full' | 'view' | 'thumb'

/** What the client is told of a stored picture. `sameAs` is a picture of the workshop with the very same pixels. */
export interface StoredPicture {
  id: string
  name: string
  width: number
  height: number
  detail: number | null
  pale: number | null
  lettering: Suggestion[]
  sameAs: string | null
}

const columns = `p.id, p.name, p.width, p.height, p.detail, p.pale, p.lettering,
  (select min(o.id) from picture o where o.workshop_id = p.workshop_id and o.hash = p.hash and o.id <> p.id) as "sameAs"`

export const loadPicture = (db: Db, workshopId: string, id: string): Promise<StoredPicture | undefined> =>
  maybeOne(db, `select ${columns} from picture p where p.workshop_id = $1 and p.id = $2`, [workshopId, id])

export const loadPictures = (db: Db, workshopId: string): Promise<StoredPicture[]> =>
  many(db, `select ${columns} from picture p where p.workshop_id = $1 order by p.added_at, p.id`, [workshopId])

/** A picture's bytes, only for the workshop that it belongs to. */
export const loadBytes = (db: Db, workshopId: string, id: string, size: PictureSize): Promise<{ bytes: Buffer } | undefined> =>
  maybeOne(
    db,
    `select f.bytes from picture_file f join picture p on p.id = f.picture_id where p.workshop_id = $1 and p.id = $2 and f.size = $3`,
    [workshopId, id, size],
  )

/** Stores a developed picture with all its sizes; one that is there already stays as it is. */
export async function storePicture(
  db: pg.PoolClient,
  { id, workshop, name, at }: { id: string; workshop: Pick<Workshop, 'id' | 'houseId'>; name: string; at: string },
  d: Developed,
): Promise<void> {
  await run(
    db,
    `insert into picture (id, workshop_id, house_id, name, width, height, detail, pale, lettering, hash, added_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) on conflict (id) do nothing`,
    [id, workshop.id, workshop.houseId, name, d.width, d.height, d.detail ?? null, d.pale, JSON.stringify(d.lettering), d.hash, at],
  )
  await run(
    db,
    `insert into picture_file (picture_id, size, bytes) values ($1, 'full', $2), ($1, 'view', $3), ($1, 'thumb', $4)
     on conflict (picture_id, size) do nothing`,
    [id, d.full, d.view, d.thumb],
  )
}

/** Erases a picture for good: its bytes in every size, its file's name, its place in the workshop, and what commands remember of
 *  it. Printed jobs keep no picture. Answers with whether there was one. */
export async function erasePicture(
  pool: pg.Pool,
  workshopId: string,
  id: string,
  by: { actor: string; at: string; why: 'due' | 'by hand' },
): Promise<boolean> {
  const entry = await takeOutOfPlan(pool, workshopId, id, by)
  const { rowCount } = await pool.query('delete from picture where workshop_id = $1 and id = $2', [workshopId, id])
  await wipeJobsWith(pool, workshopId, id)
  await run(
    pool,
    `update command set changes = coalesce((select jsonb_agg(c) from jsonb_array_elements(changes) c where c ->> 'path' not like $3), '[]'::jsonb)
      where subject_kind = 'workshop' and subject_id = $1 and changes::text like $2`,
    [workshopId, `%${id}%`, `pictures/${id}%`],
  )
  return (rowCount ?? 0) > 0 || entry
}

/** Takes a picture's entry out of its workshop; somebody else's change in between is taken up and it is tried again. Answers with
 *  whether there was an entry. */
async function takeOutOfPlan(
  pool: pg.Pool,
  workshopId: string,
  id: string,
  by: { actor: string; at: string; why: 'due' | 'by hand' },
): Promise<boolean> {
  for (let tries = 0; tries < 5; tries++) {
    const stored = await loadWorkshop(pool, workshopId)
    const entry = stored?.body.pictures?.find((p) => p.id === id)
    if (!stored || !entry) return tries > 0
    const outcome = await forget(pool, stored.body, stored.version, entry, by)
    if (outcome.status === 'applied') return true
  }
  throw new Error(`picture ${id} could not be taken out of ${workshopId}`)
}

function forget(pool: pg.Pool, w: Workshop, version: number, picture: Picture, by: { actor: string; at: string; why: 'due' | 'by hand' }) {
  return applyCommand(
    pool,
    {
      id: uuidv7(),
      subject: { kind: 'workshop', id: w.id },
      baseVersion: version,
      kind: 'erase-picture',
      changes: withoutPicture(w, picture, { id: uuidv7(), at: by.at, why: by.why }),
      guards: [],
      actor: by.actor,
      at: by.at,
    },
    by.at,
  )
}

/** Erases what is due on or before a day, and bytes that no workshop has had a place for since a day. Answers with how many. */
export async function sweepPictures(pool: pg.Pool, now: (timeZone: string) => string): Promise<number> {
  const due = await many<{ workshopId: string; id: string; timeZone: string; deleteOn: string }>(
    pool,
    `select w.id as "workshopId", p ->> 'id' as id, h.body ->> 'timeZone' as "timeZone", p ->> 'deleteOn' as "deleteOn"
       from workshop w join house h on h.id = w.house_id, jsonb_array_elements(coalesce(w.body -> 'pictures', '[]'::jsonb)) p
      where p ->> 'deleteOn' is not null`,
  )
  let erased = 0
  for (const p of due) {
    const at = now(p.timeZone)
    if (p.deleteOn > at.slice(0, 10)) continue
    if (await erasePicture(pool, p.workshopId, p.id, { actor: 'Imprenta', at, why: 'due' })) erased++
  }
  const { rowCount } = await pool.query(
    `delete from picture p using workshop w
      where w.id = p.workshop_id and p.added_at < $1::timestamptz - interval '1 day'
        and not coalesce(w.body -> 'pictures', '[]'::jsonb) @> jsonb_build_array(jsonb_build_object('id', p.id))`,
    [now('UTC').replace(/\[.*/, '')],
  )
  return erased + (rowCount ?? 0)
}
