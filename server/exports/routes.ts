import { Router } from 'express'
import { idIn } from '../addresses'
import type { Clock } from '../clock'
import type { Crew } from '../crew/crew'
import { paperNames } from './papers'

/** A workshop in open formats: JSON, CSV, iCalendar, PDF and Markdown. */
export function exportRoutes(clock: Clock, crew: Crew): Router {
  const router = Router()
  for (const which of paperNames)
    router.get(`/workshops/:id/${which}`, async (req, res) => {
      const { type, name, body } = await crew.run(
        'paper',
        { which, id: idIn(req.params['id']), query: { ...req.query }, now: clock.now() },
        res,
      )
      res.type(type).setHeader('content-disposition', `inline; filename="${name}"`)
      res.setHeader('cache-control', 'no-store')
      res.send(typeof body === 'string' ? body : Buffer.from(body))
    })
  return router
}
