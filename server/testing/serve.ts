import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { makeApp } from '../app'
import { clockFrom } from '../clock'
import { openPool } from '../db/pool'
import { Crew } from '../crew/crew'
import { Saver } from '../desk/saver'
import { seedDemo } from '../desk/seed'
import { Events } from '../events/events'

/** A server in a process of its own, for tests that kill it. */
const url = process.env['DATABASE_URL']!
const pool = openPool(url)
await seedDemo(pool, '2026-05-15')
const server = createServer(
  makeApp({
    pool,
    saver: new Saver(url),
    crew: new Crew(url),
    clock: clockFrom(process.env['IMPRENTA_NOW']),
    events: new Events(pool),
    log: pino({ level: 'silent' }),
  }),
)
server.listen(0, '127.0.0.1', () => console.log(`http://127.0.0.1:${(server.address() as AddressInfo).port}`))
