import { Router, type Response } from 'express'
import type pg from 'pg'
import { readInput } from '#core/reasons'
import type { Clock } from '../clock'
import type { Facts } from '../day/day'
import type { Saver } from '../desk/saver'
import { cameOut, laidNow, mineQuery, pageOf, saysHow, saysLaid } from './mine'

/** A participant's own page: GET /mine/TOKEN (language) as it is now; POST /mine/TOKEN/outcome {piece, how};
 *  POST /mine/TOKEN/laid {piece, laid} for a kit to go. Nothing of it is kept on the way. */
export function mineRoutes(pool: pg.Pool, clock: Clock, facts: Facts, saver: Saver): Router {
  const router = Router()
  const alone = (res: Response) => res.setHeader('cache-control', 'no-store').setHeader('x-robots-tag', 'noindex')
  router.get('/mine/:token', async (req, res) => {
    alone(res).json(await pageOf(pool, clock, req.params.token, readInput(mineQuery, { ...req.query }).language))
  })
  router.post('/mine/:token/outcome', async (req, res) => {
    facts.changed([await saysHow(pool, clock, req.params.token, readInput(cameOut, req.body))])
    alone(res).json(await pageOf(pool, clock, req.params.token, readInput(mineQuery, { ...req.query }).language))
  })
  router.post('/mine/:token/laid', async (req, res) => {
    await saysLaid(pool, clock, saver, req.params.token, readInput(laidNow, req.body))
    alone(res).json(await pageOf(pool, clock, req.params.token, readInput(mineQuery, { ...req.query }).language))
  })
  return router
}
