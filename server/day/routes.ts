import { Router } from 'express'
import type pg from 'pg'
import { readInput } from '#core/reasons'
import { idIn } from '../addresses'
import type { Clock } from '../clock'
import { dayBatch, eventsAfter, takeEvents, type Facts } from './day'

/** The day's taps: POST /day/events {events, knows?} up to 500; GET /day/WORKSHOP/SESSION?after=N what came since; each with the server's clock. */
export function dayRoutes(pool: pg.Pool, clock: Clock, facts: Facts): Router {
  const router = Router()
  router.post('/day/events', async (req, res) => {
    const { events, knows } = readInput(dayBatch, req.body)
    const { of, ...answer } = await takeEvents(pool, events, knows)
    res.json({ now: clock.now(), ...answer })
    facts.changed(of)
  })
  router.get('/day/:id/:session', async (req, res) => {
    const after = Math.max(0, Math.trunc(Number(req.query['after'] ?? 0))) || 0
    res.setHeader('cache-control', 'no-store')
    res.json({ now: clock.now(), ...(await eventsAfter(pool, idIn(req.params['id']), idIn(req.params['session']), after)) })
  })
  return router
}
