import { Router } from 'express'
import type pg from 'pg'
import { idIn, idsIn } from '../addresses'
import type { Clock } from '../clock'
import { NotFound } from '../errors'
import type { Events } from '../events/events'
import { loadHouse, loadHouses, loadSummaries, loadWorkshop, loadWorkshops } from './documents'

/** Documents out. */
export function deskRoutes(pool: pg.Pool, clock: Clock, events: Events): Router {
  const router = Router()

  /** Houses, what lists say of every workshop, and the workshops asked for by `with`, whole; and the last event that all of it has. */
  router.get('/desk', async (req, res) => {
    const last = events.last
    const [houses, summaries, workshops] = await Promise.all([
      loadHouses(pool),
      loadSummaries(pool),
      loadWorkshops(pool, idsIn(req.query['with'])),
    ])
    const rest = JSON.stringify({ now: clock.now(), last, houses, workshops })
    res.type('application/json').send(`${rest.slice(0, -1)},"summaries":${summaries}}`)
  })

  router.get('/workshops', async (req, res) => {
    res.json({ workshops: await loadWorkshops(pool, idsIn(req.query['ids'])) })
  })

  router.get('/workshops/:id', async (req, res) => {
    const found = await loadWorkshop(pool, idIn(req.params.id))
    if (!found) throw new NotFound('This workshop is not here any more.')
    res.json(found)
  })

  router.get('/houses/:id', async (req, res) => {
    const found = await loadHouse(pool, idIn(req.params.id))
    if (!found) throw new NotFound('This house is not here.')
    res.json(found)
  })

  return router
}
