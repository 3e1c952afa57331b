import type pg from 'pg'
import { uuidv7 } from 'uuidv7'
import { eraseDay, withoutPicture } from '#core/pictures'
import type { Change, Workshop } from '#core/workshop'
import { lockDay } from '../day/day'
import { inTransaction, many, maybeOne, run, type Db } from '../db/query'
import { applyCommands, lock } from '../desk/commands'
import { loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { wipes } from './wipes'

export interface By {
  actor: string
  at: string
}

/** Erases everybody's name in a workshop for good, in one transaction that nobody can get between: in its rows, its history, its
 *  pictures' file names and the out-tray. No undo brings them back. The workshop gets a new version, which it answers with, and pages
 *  are told. */
export function eraseNames(pool: pg.Pool, workshopId: string, by: By): Promise<number> {
  return inTransaction(pool, async (db) => {
    // Taps that are just being taken are waited for; those that come after know, or are held. In the order in which taps lock, too.
    await lockDay(db, workshopId)
    await lock(db, [`workshop/${workshopId}`])
    const found = await maybeOne<{ version: number; houseId: string }>(
      db,
      'select version, house_id as "houseId" from workshop where id = $1',
      [workshopId],
    )
    if (!found) throw new NotFound('This workshop is not here any more.')
    for (const w of wipes) await w.names?.(db, workshopId)
    const version = found.version + 1
    await run(db, 'update workshop set version = $2, names_erased = $2 where id = $1', [workshopId, version])
    await run(
      db,
      `insert into command (id, house_id, subject_kind, subject_id, base_version, version, kind, changes, guards, actor, at, received_at, wiped)
       values ($1, $2, 'workshop', $3, $4, $5, 'erase-names', '[]', '[]', $6, $7, $8, true)`,
      [uuidv7(), found.houseId, workshopId, found.version, version, by.actor, by.at, by.at.replace(/\[.*/, '')],
    )
    await tell(db, workshopId, version)
    return version
  })
}

/** Erases a picture for good, in one transaction: its bytes in every size, its file's name, its place in the workshop, what commands
 *  remember of it, and the PDFs that show it. It cannot come back under its id. Answers with whether there was one. */
export function erasePicture(pool: pg.Pool, workshopId: string, id: string, by: By & { why: 'due' | 'by hand' }): Promise<boolean> {
  return inTransaction(pool, async (db) => {
    await lock(db, [`workshop/${workshopId}`])
    const stored = await loadWorkshop(db, workshopId)
    const entry = stored?.body.pictures?.find((p) => p.id === id)
    const bytes = await maybeOne(db, 'select 1 from picture where workshop_id = $1 and id = $2', [workshopId, id])
    if (!entry && !bytes) return false
    if (stored && entry) await change(db, stored.version, workshopId, withoutPicture(entry, { id: uuidv7(), at: by.at, why: by.why }), by)
    for (const w of wipes) await w.picture?.(db, workshopId, id)
    await run(db, 'insert into picture_erased (picture_id, workshop_id, at) values ($1, $2, $3) on conflict do nothing', [
      id,
      workshopId,
      by.at.replace(/\[.*/, ''),
    ])
    return true
  })
}

async function change(db: Db, baseVersion: number, workshopId: string, changes: Change[], { actor, at }: By): Promise<void> {
  const subject = { kind: 'workshop' as const, id: workshopId }
  const command = { id: uuidv7(), subject, baseVersion, kind: 'erase-picture', changes, guards: [], actor, at }
  const [outcome] = (await applyCommands(db, [command], at)).outcomes
  if (outcome!.status !== 'applied') throw new Error(`${workshopId}: a picture could not be taken out: ${JSON.stringify(outcome)}`)
}

const tell = (db: Db, id: string, version: number) =>
  run(db, `select pg_notify('imprenta', $1)`, [JSON.stringify({ kind: 'workshop', id, version })])

/** Erases what is due on or before a day, and bytes that no workshop has had a place for since a day. What cannot be erased now is
 *  told to `failed`, holds nothing else up, and is tried again at the next sweep. Answers with how many. */
export async function sweepPictures(
  pool: pg.Pool,
  now: (timeZone: string) => string,
  failed: (picture: string, e: unknown) => void = () => undefined,
): Promise<number> {
  const kept = await many<{ workshop: Workshop; timeZone: string; added: Record<string, string> | null }>(
    pool,
    `select jsonb_build_object('id', w.id, 'createdAt', w.body -> 'createdAt', 'sessions', w.summary -> 'sessions', 'pictures', w.body -> 'pictures')
              as workshop,
            h.body ->> 'timeZone' as "timeZone",
            (select jsonb_object_agg(p.id, to_char(p.added_at, 'YYYY-MM-DD')) from picture p where p.workshop_id = w.id) as added
       from workshop w join house h on h.id = w.house_id where jsonb_array_length(coalesce(w.body -> 'pictures', '[]'::jsonb)) > 0`,
  )
  let erased = 0
  for (const { workshop, timeZone, added } of kept)
    for (const p of workshop.pictures ?? []) {
      const at = now(timeZone)
      if (eraseDay(workshop, p, added?.[p.id]).date > at.slice(0, 10)) continue
      try {
        if (await erasePicture(pool, workshop.id, p.id, { actor: 'Imprenta', at, why: 'due' })) erased++
      } catch (e) {
        failed(p.id, e)
      }
    }
  const { rowCount } = await pool.query(
    `delete from picture p using workshop w
      where w.id = p.workshop_id and p.added_at < $1::timestamptz - interval '1 day'
        and not coalesce(w.body -> 'pictures', '[]'::jsonb) @> jsonb_build_array(jsonb_build_object('id', p.id))`,
    [now('UTC').replace(/\[.*/, '')],
  )
  return erased + (rowCount ?? 0)
}
