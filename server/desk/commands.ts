import * as v from 'valibot'
import type pg from 'pg'
import { houseShape, type House } from '#core/house'
import { whereAndWhat } from '#core/reasons'
import { applyChanges, clashes, workshopShape, type Clash, type Command, type Workshop } from '#core/workshop'
import { inTransaction, maybeOne, run } from '../db/query'
import { loadHouse, loadWorkshop, removeWorkshop, storeHouse, storeWorkshop } from './documents'
import { separateNames } from './names'

/** What became of a command. A repeated one answers as it did the first time. */
export type Outcome =
  | { id: string; status: 'applied'; version: number }
  | { id: string; status: 'conflict'; version: number; clashes: Clash[] }
  | { id: string; status: 'refused'; error: { what: string; path: string; remedy: string } }

/** Applies one command in one transaction: known already, in conflict, refused for what it would make, or applied. Commands
 *  on the same document wait for each other. Everybody who listens hears of it once it is committed. */
export function applyCommand(pool: pg.Pool, command: Command, receivedAt: string): Promise<Outcome> {
  const { id, subject } = command
  return inTransaction(pool, async (db): Promise<Outcome> => {
    await run(db, 'select pg_advisory_xact_lock(hashtextextended($1, 0))', [`${subject.kind}/${subject.id}`])
    const known = await maybeOne<{ version: number }>(db, 'select version from command where id = $1', [id])
    if (known) return { id, status: 'applied', version: known.version }
    const stored = subject.kind === 'house' ? await loadHouse(db, subject.id) : await loadWorkshop(db, subject.id)
    const against = clashes(stored?.body ?? null, command)
    if (against.length > 0) return { id, status: 'conflict', version: stored?.version ?? 0, clashes: against }
    const after = applyChanges<House | Workshop>(stored?.body ?? null, command.changes)
    const wrong = after === null ? undefined : whatIsWrong(command, after)
    if (wrong) return { id, status: 'refused', error: wrong }
    const version = await nextVersion(db, command, stored?.version ?? 0)
    if (after === null) await removeWorkshop(db, subject.id)
    else if (subject.kind === 'house') await storeHouse(db, after as House, version)
    else await storeWorkshop(db, after as Workshop, version)
    await append(db, command, version, houseOf(command, after, stored?.body), receivedAt)
    await run(db, `select pg_notify('imprenta', $1)`, [JSON.stringify({ kind: subject.kind, id: subject.id, version })])
    return { id, status: 'applied', version }
  })
}

function whatIsWrong({ subject }: Command, after: House | Workshop) {
  const read = v.safeParse(subject.kind === 'house' ? houseShape : workshopShape, after)
  if (!read.success) return whereAndWhat(read.issues[0])
  if (after.id !== subject.id) return { what: `the document calls itself ${after.id}`, path: 'id', remedy: `Call it ${subject.id}.` }
  return undefined
}

/** Versions of a document that was removed and came back go on where they stopped. */
async function nextVersion(db: pg.PoolClient, { subject }: Command, stored: number): Promise<number> {
  const last = await maybeOne<{ version: number | null }>(
    db,
    'select max(version) as version from command where subject_kind = $1 and subject_id = $2',
    [subject.kind, subject.id],
  )
  return Math.max(stored, last?.version ?? 0) + 1
}

const houseOf = ({ subject }: Command, after: House | Workshop | null, before: House | Workshop | undefined): string => {
  const doc = after ?? before
  return subject.kind === 'house' || !doc || !('houseId' in doc) ? subject.id : doc.houseId
}

async function append(db: pg.PoolClient, c: Command, version: number, houseId: string, receivedAt: string): Promise<void> {
  const { changes, names } = separateNames(c.changes)
  await run(
    db,
    `insert into command (id, house_id, subject_kind, subject_id, base_version, version, kind, changes, guards, actor, at, received_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
    [
      c.id,
      houseId,
      c.subject.kind,
      c.subject.id,
      c.baseVersion,
      version,
      c.kind,
      JSON.stringify(changes),
      JSON.stringify(c.guards),
      c.actor,
      c.at,
      receivedAt.replace(/\[.*/, ''),
    ],
  )
  await run(
    db,
    `insert into command_name (command_id, house_id, place, name) select $1, $2, p, n from unnest($3::text[], $4::text[]) as t (p, n)`,
    [c.id, houseId, names.map((n) => n.place), names.map((n) => n.name)],
  )
}
