import type pg from 'pg'
import type { Suggestion } from '#core/pictures'
import type { Workshop } from '#core/workshop'
import { many, maybeOne, run, type Db } from '../db/query'
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

/** Why a picture's id cannot be used for a new one; undefined where it can. */
export async function takenId(db: Db, id: string): Promise<string | undefined> {
  if (await maybeOne(db, 'select 1 from picture where id = $1', [id])) return 'Another picture has this id.'
  if (await maybeOne(db, 'select 1 from picture_erased where picture_id = $1', [id])) return 'This picture was erased.'
  return undefined
}
