import type { House } from '#core/house'
import { eraseDay } from '#core/pictures'
import { applyChanges, summaryOf, type Change, type Workshop } from '#core/workshop'
import { many, maybeOne, run, type Db } from '../db/query'
import { namesChanged, withNames, withoutNames, writeNames } from './names'

/** A document with its version, and the version at which everybody's names in it were last erased (0: never). */
export interface Stored<T> {
  version: number
  erased?: number
  body: T
}

export const loadHouses = (db: Db): Promise<Stored<House>[]> => many(db, 'select version, body from house order by id')

export const loadHouse = (db: Db, id: string): Promise<Stored<House> | undefined> =>
  maybeOne(db, 'select version, body from house where id = $1', [id])

/** What lists say of every workshop, oldest first, as the JSON of a list of {@link Stored}: the database writes it, nobody reads it here. */
export async function loadSummaries(db: Db): Promise<string> {
  const [row] = await many<{ list: string | null }>(
    db,
    `select json_agg(json_build_object('version', version, 'erased', names_erased, 'body', summary) order by summary ->> 'createdAt', id)::text as list from workshop`,
  )
  return row?.list ?? '[]'
}

/** Of a workshop's row `w`: the changes since its body was written, in order; and its names, by participant. */
export const sinceBody = `(select jsonb_agg(c.changes order by c.version) from command c
  where c.subject_kind = 'workshop' and c.subject_id = w.id and c.version > w.body_version)`
export const namesOfRow = `(select jsonb_object_agg(n.participant_id, n.name) from participant_name n where n.workshop_id = w.id)`

/** A workshop out of its row: the body, the changes since then, and the names. */
export const wholeOf = (row: { body: Workshop; since: Change[][] | null; names: Record<string, string> | null }): Workshop =>
  withNames(applyChanges(row.body, (row.since ?? []).flat())!, row.names ?? {})

/** Workshops with their names, in the order of their making. */
export async function loadWorkshops(db: Db, ids: readonly string[]): Promise<Stored<Workshop>[]> {
  const rows = await many<{ version: number; erased: number } & Parameters<typeof wholeOf>[0]>(
    db,
    `select w.version, w.names_erased as erased, w.body, ${sinceBody} as since, ${namesOfRow} as names
       from workshop w where w.id = any($1) order by w.body ->> 'createdAt', w.id`,
    [ids],
  )
  return rows.map((r) => ({ version: r.version, erased: r.erased, body: wholeOf(r) }))
}

export const loadWorkshop = async (db: Db, id: string): Promise<Stored<Workshop> | undefined> => (await loadWorkshops(db, [id]))[0]

export const storeHouse = (db: Db, house: House, version: number): Promise<void> =>
  run(db, 'insert into house (id, version, body) values ($1, $2, $3) on conflict (id) do update set version = $2, body = $3', [
    house.id,
    version,
    house,
  ])

/** Writes a workshop whole, with its names: for the demo and for tests. */
export async function storeWorkshop(db: Db, w: Workshop, version: number): Promise<void> {
  const before = await loadWorkshop(db, w.id)
  await run(
    db,
    `insert into workshop (id, house_id, version, body_version, body, summary) values ($1, $2, $3, $3, $4, $5)
     on conflict (id) do update set house_id = $2, version = $3, body_version = $3, body = $4, summary = $5`,
    [w.id, w.houseId, version, withoutNames(w), summaryOf(w)],
  )
  await writeNames(db, [namesChanged(before?.body ?? null, w)])
}

/** Brings workshops of the version before up to date: gives them a summary, and lets the day on which a picture is erased follow the
 *  classes where it was only ever worked out from them (two weeks after the last, fixed when it came in). */
export async function upgradeWorkshops(db: Db): Promise<void> {
  const rows = await many<{ id: string; body: Workshop }>(db, 'select id, body from workshop where summary is null')
  for (const { id, body } of rows) {
    const from = eraseDay(body, { deleteOn: null })
    const worked = from.from === 'class' ? from.date : undefined
    const pictures = body.pictures?.map((p) => (p.deleteOn === worked ? { ...p, deleteOn: null } : p))
    const now = { ...body, ...(pictures && { pictures }) }
    await run(db, 'update workshop set body = $2, summary = $3 where id = $1', [id, now, summaryOf(now)])
  }
}
