import { createServer } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { pino } from 'pino'
import { demoHouses } from '#core/demo'
import { dateOf } from '#core/time'
import { makeApp } from './app'
import { Crew } from './crew/crew'
import { migrate } from './db/migrate'
import { openPool } from './db/pool'
import { Saver } from './desk/saver'
import { seedDemo } from './desk/seed'
import { seedPictures } from './demo/pictures'
import { databaseAnswers, Misconfigured, readEnvironment } from './environment'
import { Events } from './events/events'
import { sweepPictures } from './forgetting/forgetting'
import { sweepAddresses } from './mine/mine'
import { uploadsFolder } from './pictures/uploads'

/** Starts the server as the environment says; prints its address last. */
async function start(): Promise<void> {
  const { databaseUrl, host, port, clock, level, names, tls } = readEnvironment(process.env)
  const log = pino({ level }, pino.destination(2))
  await databaseAnswers(databaseUrl, wait, (text) => console.log(text))
  const pool = openPool(databaseUrl)
  const applied = await migrate(pool, join(process.cwd(), 'server/migrations'))
  if (applied.length) console.log(`Database brought up to date: ${applied.join(', ')}`)
  const seeded = await seedDemo(pool, dateOf(clock.now(demoHouses[0]!.timeZone)))
  if (seeded !== 'kept') console.log(`Demo workshops ${seeded}`)
  const drawn = await seedPictures(pool, clock.now())
  if (drawn) console.log(`${drawn} demo pictures drawn`)
  const failed = (picture: string, e: unknown) => log.error({ err: e, picture }, 'a picture that is due could not be erased')
  const sweep = () =>
    sweepPictures(pool, clock.now, failed)
      .then((n) => n > 0 && console.log(`${n} pictures were due and are erased`))
      .then(() => sweepAddresses(pool, clock))
      .catch((e: unknown) => log.error({ err: e }, 'sweeping what is due failed'))
  await sweep()
  setInterval(() => void sweep(), 3_600_000).unref()
  const events = new Events(pool)
  await events.listen()
  const [saver, crew] = [new Saver(databaseUrl), new Crew(databaseUrl)]
  const pages = join(process.cwd(), 'dist/web')
  const app = makeApp({ pool, clock, events, saver, crew, log, pages, uploads: await uploadsFolder(), names })
  const server = tls ? createTlsServer(tls, app) : createServer(app)
  server.on('error', (e: NodeJS.ErrnoException) => {
    const said: Record<string, string> = {
      EADDRINUSE: `Port ${port} is taken. Choose another: PORT=${port + 1} bin/demo`,
      EACCES: `PORT is ${port}, which this user may not open. Give a number above 1023.`,
      EADDRNOTAVAIL: `HOST is ${host}, which is no address of this machine. Give one of its own, or 0.0.0.0 for all.`,
      ENOTFOUND: `HOST is ${host}, which nobody knows. Give an address of this machine, or 0.0.0.0 for all.`,
    }
    console.error(said[e.code ?? ''] ?? e.message)
    process.exit(3)
  })
  server.listen(port, host, () => {
    const scheme = tls ? 'https' : 'http'
    if (host !== '127.0.0.1' && !tls)
      console.log('Over plain HTTP anybody on this network can read along; TLS_CERT and TLS_KEY close it (docs/operating.md).')
    console.log(`Imprenta is at ${scheme}://${host === '0.0.0.0' || host === '::' ? ownAddress() : host}:${port}`)
  })
  const stop = () => {
    events.close()
    server.close(() => void Promise.all([pool.end(), saver.close(), crew.close()]).then(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.on('SIGTERM', stop)
  process.on('SIGINT', stop)
  endWith(Number(process.env['IMPRENTA_PARENT']), stop)
}

/** Ends with the command that started it, also when that was killed: nothing is left behind on the port. */
function endWith(parent: number, stop: () => void): void {
  if (!Number.isInteger(parent) || parent <= 1) return
  const check = setInterval(() => {
    try {
      process.kill(parent, 0)
    } catch {
      clearInterval(check)
      stop()
    }
  }, 1000).unref()
}

/** The address by which the room's tablets reach this machine. */
const ownAddress = (): string =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .find((a) => a.family === 'IPv4' && !a.internal)?.address ?? '127.0.0.1'

start().catch((e: unknown) => {
  console.error(e instanceof Misconfigured ? e.message : e instanceof Error ? e.message : e)
  process.exit(1)
})
