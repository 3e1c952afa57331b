import { setTimeout as wait } from 'node:timers/promises'
import { expect, it, test } from 'vitest'
import { inject } from 'vitest'
import { migrate } from './db/migrate'
import { databaseAnswers, Misconfigured, readEnvironment } from './environment'
import { freshDatabase } from './testing/start'

const DATABASE_URL = 'postgres://x@127.0.0.1:1/x'
test.each<[string, NodeJS.ProcessEnv]>([
  ['DATABASE_URL', {}],
  ['DATABASE_URL', { DATABASE_URL: 'mysql://x' }],
  ['DATABASE_URL', { DATABASE_URL: 'postgres://[' }],
  ['PORT', { DATABASE_URL, PORT: 'http' }],
  ['PORT', { DATABASE_URL, PORT: '70000' }],
  ['PORT', { DATABASE_URL, PORT: '-1' }],
  ['IMPRENTA_NOW', { DATABASE_URL, IMPRENTA_NOW: 'yesterday' }],
  ['IMPRENTA_NOW', { DATABASE_URL, IMPRENTA_NOW: '2027-03-04T19:00:00' }],
  ['IMPRENTA_LOG', { DATABASE_URL, IMPRENTA_LOG: 'loud' }],
  ['TLS_KEY', { DATABASE_URL, TLS_CERT: 'package.json' }],
  ['TLS_CERT', { DATABASE_URL, TLS_CERT: '/no/such/file', TLS_KEY: 'package.json' }],
])('%s is named when it is wrong: %j', (variable, env) => {
  expect(() => readEnvironment(env)).toThrow(Misconfigured)
  expect(() => readEnvironment(env)).toThrow(new RegExp(`^${variable} `))
})
it('is read when it is right, on this machine alone unless it says otherwise', () => {
  expect(readEnvironment({ DATABASE_URL })).toMatchObject({ host: '127.0.0.1', port: 4300, names: [], tls: undefined })
  expect(readEnvironment({ DATABASE_URL, HOST: '0.0.0.0', PORT: '80', IMPRENTA_NAMES: 'press, press.local' })).toMatchObject({
    host: '0.0.0.0',
    port: 80,
    names: ['press', 'press.local'],
  })
})

const url = (change: (u: URL) => void) => {
  const u = new URL(inject('databaseUrl'))
  change(u)
  return u.href
}
it('a database that is not there is said at once; one that does not answer is waited for', async () => {
  const say = () => undefined
  await expect(
    databaseAnswers(
      url((u) => (u.pathname = '/nothing')),
      wait,
      say,
    ),
  ).rejects.toThrow(/^DATABASE_URL names a database that is not there/)
  await expect(
    databaseAnswers(
      url((u) => (u.port = '1')),
      () => Promise.resolve(),
      say,
    ),
  ).rejects.toThrow(/^DATABASE_URL does not answer/)
  await expect(
    databaseAnswers(
      url(() => undefined),
      wait,
      say,
    ),
  ).resolves.toBeUndefined()
})
it('a database of a newer version is refused, and left as it is', async () => {
  const { pool, close } = await freshDatabase('newer')
  await pool.query(`insert into migration (name) values ('9999_from_the_future.sql')`)
  await expect(migrate(pool, 'server/migrations')).rejects.toThrow(/newer Imprenta.*9999_from_the_future/)
  await close()
})
