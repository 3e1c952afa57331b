import { Router } from 'express'
import type pg from 'pg'
import { actorOf, idIn } from '../addresses'
import type { Clock } from '../clock'
import { eraseNames } from './forgetting'

/** Names forgotten for good: answers with the version at which they were. */
export function forgettingRoutes(pool: pg.Pool, clock: Clock): Router {
  const router = Router()
  router.post('/workshops/:id/erase-names', async (req, res) => {
    const erased = await eraseNames(pool, idIn(req.params.id), { actor: actorOf(req.get('x-actor')), at: clock.now() })
    res.json({ erased })
  })
  return router
}
