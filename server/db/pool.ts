import pg from 'pg'

/** A pool on one database. Always by connection string: without one, pg would silently try port 5432. A connection that is lost,
 *  at work or idle, tells whoever uses it and no one else: it never ends the server. */
export function openPool(connectionString: string, max = 10): pg.Pool {
  const pool = new pg.Pool({ connectionString, max, connectionTimeoutMillis: 5000, pipeline: true } as pg.PoolConfig)
  const lost = (e: Error) => console.error(JSON.stringify({ level: 'error', msg: 'database connection lost', why: e.message }))
  pool.on('error', lost)
  pool.on('connect', (client) => client.on('error', () => undefined))
  return pool
}

/** The database cannot be reached, is starting or is shutting down: nothing is wrong with what was asked. */
export function isAway(e: unknown): boolean {
  const { code = '', message = '' } = (e ?? {}) as { code?: string; message?: string }
  return (
    /^(ECONN|EPIPE|ENOTFOUND|ETIMEDOUT|EHOSTUNREACH|57P0|08|53300)/.test(String(code)) ||
    /connection (terminated|timeout|error|refused)|Client has encountered a connection error|timeout exceeded when trying to connect|not queryable/i.test(
      String(message),
    )
  )
}
