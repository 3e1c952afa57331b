import compression from 'compression'
import express from 'express'
import helmet from 'helmet'
import type { IncomingMessage, RequestListener } from 'node:http'
import { join } from 'node:path'
import type pg from 'pg'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { Clock } from './clock'
import type { Crew } from './crew/crew'
import { Facts } from './day/day'
import { dayRoutes } from './day/routes'
import { commandDoor } from './desk/door'
import { deskRoutes } from './desk/routes'
import type { Saver } from './desk/saver'
import { answerErrors, notFound } from './errors'
import type { Events } from './events/events'
import { exportRoutes } from './exports/routes'
import { forgettingRoutes } from './forgetting/routes'
import { importRoutes } from './imports/routes'
import { mineRoutes } from './mine/routes'
import { onlyFromHere, ourHosts } from './origin'
import { pictureRoutes } from './pictures/routes'
import { printRoutes } from './prints/routes'

export interface Parts {
  pool: pg.Pool
  clock: Clock
  events: Events
  saver: Saver
  crew: Crew
  log: Logger
  /** The built pages; absent in tests of the API. */
  pages?: string
  /** Where files wait while they are read; the system's folder for such things when left out. */
  uploads?: string
  /** Names that this machine has beside its own. */
  names?: readonly string[]
}

const csp = {
  useDefaults: false,
  directives: {
    'default-src': ["'self'"],
    'script-src': ["'self'"],
    'style-src': ["'self'", "'unsafe-inline'"],
    'img-src': ["'self'", 'data:', 'blob:'],
    'font-src': ["'self'"],
    'connect-src': ["'self'"],
    'object-src': ["'none'"],
    'frame-ancestors': ["'self'"],
    'base-uri': ["'self'"],
    'form-action': ["'self'"],
  },
}

export function makeApp({ pool, clock, events, saver, crew, log, pages, uploads, names }: Parts): RequestListener {
  const app = express()
  const facts = new Facts(pool, clock, saver, (err) => log.error({ err }, 'what happened could not be written into the workshop'))
  const ourHost = ourHosts(names)
  app.use((req, _res, next) => {
    ourHost(req)
    next()
  })
  app.use(helmet({ contentSecurityPolicy: csp, strictTransportSecurity: false }))
  app.use(pinoHttp({ logger: log, autoLogging: { ignore: (req: IncomingMessage) => req.url === '/healthz' } }))
  app.get('/healthz', async (_req, res) => {
    await pool.query('select 1')
    res.json({ ok: true })
  })
  app.use('/api', onlyFromHere, events.routes())
  app.use(compression())
  app.use(
    '/api',
    express.json({ limit: '2mb' }),
    deskRoutes(pool, clock, events),
    dayRoutes(pool, clock, facts),
    mineRoutes(pool, clock, facts, saver),
    forgettingRoutes(pool, clock),
    exportRoutes(clock, crew),
    importRoutes(crew),
    pictureRoutes(pool, clock, crew, uploads),
    printRoutes(pool, clock, crew),
    notFound,
  )
  if (pages) {
    // The service worker is always looked at anew: an older one would keep an older application.
    app.get('/sw.js', (_req, res) => res.sendFile(join(pages, 'sw.js'), { maxAge: 0, headers: { 'cache-control': 'no-cache' } }))
    app.use(express.static(pages, { index: false, redirect: false, maxAge: '1y', immutable: true }))
    // A file that is not there is not a page: an open tab of an older build hears it, and says that a newer one is here.
    app.use('/assets', notFound)
    // A participant's page stands by itself: it has nothing of the desk.
    app.get('/m/:token', (_req, res) => res.sendFile(join(pages, 'mine.html'), { maxAge: 0, headers: { 'x-robots-tag': 'noindex' } }))
    app.get('/{*splat}', (_req, res) => res.sendFile(join(pages, 'index.html'), { maxAge: 0, cacheControl: true }))
  }
  app.use(answerErrors(log))
  const commands = commandDoor(ourHost, clock, saver, (err) => log.error({ err }, 'saving failed'))
  return (req, res) => (req.method === 'POST' && /^\/api\/commands\/?(\?|$)/.test(req.url!) ? commands(req, res) : app(req, res))
}
