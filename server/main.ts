import { createServer } from 'node:http'
import { join } from 'node:path'
import { pino } from 'pino'
import { demoHouses } from '#core/demo'
import { dateOf } from '#core/time'
import { makeApp } from './app'
import { clockFrom } from './clock'
import { migrate } from './db/migrate'
import { openPool } from './db/pool'
import { seedDemo } from './desk/seed'
import { seedPictures } from './demo/pictures'
import { sweepPictures } from './pictures/pictures'
import { uploadsFolder } from './pictures/uploads'
import { Events } from './events/events'

/** Starts the server: DATABASE_URL, PORT, IMPRENTA_NOW (fixes the clock), IMPRENTA_LOG (level). Prints its address last. */
async function start(): Promise<void> {
  const { DATABASE_URL, PORT = '4300', IMPRENTA_NOW, IMPRENTA_LOG = 'warn' } = process.env
  if (!DATABASE_URL) throw new Error('DATABASE_URL is not set: say which PostgreSQL to use, or start with bin/demo.')
  const log = pino({ level: IMPRENTA_LOG }, pino.destination(2))
  const clock = clockFrom(IMPRENTA_NOW)
  const pool = openPool(DATABASE_URL)
  const applied = await migrate(pool, join(process.cwd(), 'server/migrations'))
  if (applied.length) console.log(`Database brought up to date: ${applied.join(', ')}`)
  const seeded = await seedDemo(pool, dateOf(clock.now(demoHouses[0]!.timeZone)))
  if (seeded !== 'kept') console.log(`Demo workshops ${seeded}`)
  const drawn = await seedPictures(pool, clock.now())
  if (drawn) console.log(`${drawn} demo pictures drawn`)
  const sweep = () =>
    sweepPictures(pool, clock.now).then(
      (n) => n > 0 && console.log(`${n} pictures were due and are erased`),
      (e: unknown) => log.error({ err: e }, 'sweeping pictures failed'),
    )
  await sweep()
  setInterval(() => void sweep(), 3_600_000).unref()
  const events = new Events(pool)
  await events.listen()
  const server = createServer(makeApp({ pool, clock, events, log, pages: join(process.cwd(), 'dist/web'), uploads: await uploadsFolder() }))
  server.on('error', (e: NodeJS.ErrnoException) => {
    console.error(e.code === 'EADDRINUSE' ? `Port ${PORT} is taken. Choose another: PORT=${Number(PORT) + 1} bin/demo` : e.message)
    process.exit(3)
  })
  server.listen(Number(PORT), '127.0.0.1', () => console.log(`Imprenta is at http://127.0.0.1:${PORT}`))
  const stop = () => {
    events.close()
    server.close(() => void pool.end().then(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.on('SIGTERM', stop)
  process.on('SIGINT', stop)
}

start().catch((e: unknown) => {
  console.error(e instanceof Error ? e.message : e)
  process.exit(1)
})
