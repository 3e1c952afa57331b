import pg from 'pg'

/** A pool on one database. Always by connection string: without one, pg would silently try port 5432. */
export function openPool(connectionString: string): pg.Pool {
  const pool = new pg.Pool({ connectionString, max: 10 })
  pool.on('error', (e) => console.error(JSON.stringify({ level: 'error', msg: 'idle database connection lost', why: e.message })))
  return pool
}
