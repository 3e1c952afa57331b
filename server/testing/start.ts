import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import supertest from 'supertest'
import { inject } from 'vitest'
import { uuidv7 } from 'uuidv7'
import type pg from 'pg'
import type { Change, Guard } from '#core/workshop'
import { makeApp } from '../app'
import { clockFrom } from '../clock'
import { migrate } from '../db/migrate'
import { openPool } from '../db/pool'
import { Crew } from '../crew/crew'
import { Saver } from '../desk/saver'
import { seedDemo } from '../desk/seed'
import { Events } from '../events/events'

export const fixed = '2026-05-15T15:00:00-04:00[America/New_York]'

/** A database of its own in the tests' cluster, migrated. */
export async function freshDatabase(name: string): Promise<{ pool: pg.Pool; url: string; close: () => Promise<void> }> {
  const url = new URL(inject('databaseUrl'))
  const admin = openPool(url.href)
  await admin.query(`create database ${name}`)
  url.pathname = `/${name}`
  const pool = openPool(url.href)
  await migrate(pool, 'server/migrations')
  const close = async () => {
    await pool.end()
    await admin.query(`drop database ${name} with (force)`)
    await admin.end()
  }
  return { pool, url: url.href, close }
}

/** A server on a database of its own, with the demo in it; the clock is fixed. */
export async function startServer(name: string) {
  const { pool, url, close } = await freshDatabase(name)
  await seedDemo(pool, '2026-05-15')
  const events = new Events(pool)
  await events.listen()
  const [saver, crew] = [new Saver(url), new Crew(url)]
  const uploads = await mkdtemp(join(tmpdir(), 'imprenta-test-files-'))
  const app = makeApp({ pool, saver, uploads, crew, clock: clockFrom(fixed), events, log: pino({ level: 'silent' }) })
  const stop = async () => {
    events.close()
    await Promise.all([saver.close(), crew.close()])
    await close()
    await rm(uploads, { recursive: true, force: true })
  }
  return { pool, url, uploads, app, saver, crew, api: supertest(app), stop }
}

export const command = (id: string, changes: Change[], guards: Guard[] = [], kind: 'workshop' | 'house' = 'workshop') => ({
  id: uuidv7(),
  subject: { kind, id },
  baseVersion: 1,
  kind: 'test',
  changes,
  guards,
  actor: 'Noor',
  at: fixed,
})
