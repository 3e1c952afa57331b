import type { House } from '#core/house'
import type { Workshop } from '#core/workshop'
import { many, maybeOne, run, type Db } from '../db/query'
import { namesOf, storeNames, withNames, withoutNames } from './names'

/** A document with its version. */
export interface Stored<T> {
  version: number
  body: T
}

export const loadHouses = (db: Db): Promise<Stored<House>[]> => many(db, 'select version, body from house order by id')

export const loadHouse = (db: Db, id: string): Promise<Stored<House> | undefined> =>
  maybeOne(db, 'select version, body from house where id = $1', [id])

export async function loadWorkshops(db: Db): Promise<Stored<Workshop>[]> {
  const rows = await many<Stored<Workshop>>(db, `select version, body from workshop order by body ->> 'createdAt', id`)
  const names = await namesOf(
    db,
    rows.map((r) => r.body.id),
  )
  return rows.map((r) => ({ version: r.version, body: withNames(r.body, names.get(r.body.id)!) }))
}

export async function loadWorkshop(db: Db, id: string): Promise<Stored<Workshop> | undefined> {
  const row = await maybeOne<Stored<Workshop>>(db, 'select version, body from workshop where id = $1', [id])
  if (!row) return undefined
  const names = await namesOf(db, [id])
  return { version: row.version, body: withNames(row.body, names.get(id)!) }
}

export const storeHouse = (db: Db, house: House, version: number): Promise<void> =>
  run(db, 'insert into house (id, version, body) values ($1, $2, $3) on conflict (id) do update set version = $2, body = $3', [
    house.id,
    version,
    house,
  ])

export async function storeWorkshop(db: Db, w: Workshop, version: number): Promise<void> {
  await run(
    db,
    'insert into workshop (id, house_id, version, body) values ($1, $2, $3, $4) on conflict (id) do update set house_id = $2, version = $3, body = $4',
    [w.id, w.houseId, version, withoutNames(w)],
  )
  await storeNames(db, w)
}

export const removeWorkshop = (db: Db, id: string): Promise<void> => run(db, 'delete from workshop where id = $1', [id])
