import { Router } from 'express'
import type pg from 'pg'
import * as v from 'valibot'
import { readInput } from '#core/reasons'
import { commandShape, type Command } from '#core/workshop'
import type { Clock } from '../clock'
import { inTransaction, run } from '../db/query'
import { NotFound } from '../errors'
import { applyCommand, type Outcome } from './commands'
import { loadHouse, loadHouses, loadWorkshop, loadWorkshops } from './documents'
import { eraseNames } from './names'

const batch = v.pipe(
  v.array(commandShape, 'not a list of commands | Send a list.'),
  v.maxLength(200, 'more than 200 commands | Send 200 at a time.'),
)

/** Documents out, commands in. */
export function deskRoutes(pool: pg.Pool, clock: Clock): Router {
  const router = Router()

  router.get('/desk', async (_req, res) => {
    const [houses, workshops] = await Promise.all([loadHouses(pool), loadWorkshops(pool)])
    res.json({ now: clock.now(), houses, workshops })
  })

  router.get('/workshops/:id', async (req, res) => {
    const found = await loadWorkshop(pool, req.params.id)
    if (!found) throw new NotFound('This workshop is not here any more.')
    res.json(found)
  })

  router.get('/houses/:id', async (req, res) => {
    const found = await loadHouse(pool, req.params.id)
    if (!found) throw new NotFound('This house is not here.')
    res.json(found)
  })

  router.post('/commands', async (req, res) => {
    const commands = readInput(batch, req.body) as Command[]
    const outcomes: Outcome[] = []
    for (const command of commands) outcomes.push(await applyCommand(pool, command, clock.now()))
    res.json({ outcomes })
  })

  router.post('/workshops/:id/erase-names', async (req, res) => {
    await inTransaction(pool, async (db) => {
      if (!(await loadWorkshop(db, req.params.id))) throw new NotFound('This workshop is not here any more.')
      await eraseNames(db, req.params.id)
      await run(db, `select pg_notify('imprenta', $1)`, [JSON.stringify({ kind: 'workshop', id: req.params.id })])
    })
    res.json({ erased: true })
  })

  return router
}
