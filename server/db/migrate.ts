import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type pg from 'pg'
import { Misconfigured } from '../environment'
import { inTransaction, many, run } from './query'

/** Applies the .sql files that are not yet in, in order, each in one transaction. Forward only; several starts at once wait
 *  for each other. Answers with the names applied. */
export async function migrate(pool: pg.Pool, folder: string): Promise<string[]> {
  const files = (await readdir(folder)).filter((f) => f.endsWith('.sql')).sort()
  return inTransaction(pool, async (db) => {
    await run(db, 'select pg_advisory_xact_lock(7130601)')
    await run(db, 'create table if not exists migration (name text primary key, applied_at timestamptz not null default now())')
    const done = new Set((await many<{ name: string }>(db, 'select name from migration')).map((m) => m.name))
    const newer = [...done].filter((name) => !files.includes(name)).sort()
    if (newer.length)
      throw new Misconfigured(
        `DATABASE_URL names a database of a newer Imprenta (it has ${newer.at(-1)}). Start that version, or use another database.`,
      )
    const fresh = files.filter((f) => !done.has(f))
    for (const name of fresh) {
      await run(db, await readFile(join(folder, name), 'utf8'))
      await run(db, 'insert into migration (name) values ($1)', [name])
    }
    return fresh
  })
}
