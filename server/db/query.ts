import type pg from 'pg'

export type Db = Pick<pg.Pool | pg.PoolClient, 'query'>

/** Every row. */
export async function many<R extends pg.QueryResultRow>(db: Db, text: string, values: unknown[] = []): Promise<R[]> {
  return (await db.query<R>(text, values)).rows
}

/** The only row, or undefined; more than one is a bug. */
export async function maybeOne<R extends pg.QueryResultRow>(db: Db, text: string, values: unknown[] = []): Promise<R | undefined> {
  const rows = await many<R>(db, text, values)
  if (rows.length > 1) throw new Error(`expected at most one row, got ${rows.length}`)
  return rows[0]
}

/** No rows are wanted back. */
export async function run(db: Db, text: string, values: unknown[] = []): Promise<void> {
  await db.query(text, values)
}

/** The only BEGIN: commits what fn does, or nothing. */
export async function inTransaction<T>(pool: pg.Pool, fn: (db: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool.connect()
  try {
    await client.query('begin')
    const answer = await fn(client)
    await client.query('commit')
    client.release()
    return answer
  } catch (e) {
    // The connection itself may be what failed: then it is not used again. What counts is e.
    await client.query('rollback').then(
      () => client.release(),
      () => client.release(true),
    )
    throw e
  }
}
