import { Router, type Response } from 'express'
import { idIn } from '../addresses'
import type { Clock } from '../clock'
import type { Crew } from '../crew/crew'
import { housePaperNames } from './housePapers'
import { paperNames, type FeedAsked, type Paper } from './papers'

/** A workshop in open formats: JSON, CSV, iCalendar, PDF and Markdown. */
export function exportRoutes(clock: Clock, crew: Crew): Router {
  const router = Router()
  for (const which of paperNames)
    router.get(`/workshops/:id/${which}`, async (req, res) => {
      const asked = {
        which,
        id: idIn(req.params['id']),
        query: { ...req.query },
        now: clock.now(),
        origin: `${req.protocol}://${req.headers.host}`,
      }
      hand(res, await crew.run('paper', asked, res))
    })
  for (const which of housePaperNames)
    router.get(`/houses/:id/${which}`, async (req, res) => {
      hand(res, await crew.run('housePaper', { which, id: idIn(req.params['id']), now: clock.now() }, res))
    })
  const feed = (path: string, asked: (params: Record<string, string | undefined>) => FeedAsked) =>
    router.get(path, async (req, res) => {
      const body = await crew.run('feed', { ...asked(req.params as Record<string, string>), now: clock.now() }, res)
      // Asked again and again: what has not changed is not sent again (an ETag over its text).
      res.type('text/calendar').setHeader('cache-control', 'no-cache')
      res.send(body)
    })
  feed('/workshops/:id/feed.ics', (p) => ({ of: 'workshop', id: idIn(p['id']) }))
  feed('/workshops/:id/people/:person/feed.ics', (p) => ({ of: 'person', id: idIn(p['id']), person: idIn(p['person']) }))
  feed('/houses/:id/feed.ics', (p) => ({ of: 'house', id: idIn(p['id']) }))
  return router
}

function hand(res: Response, { type, name, body }: Paper): void {
  res.type(type).setHeader('content-disposition', `inline; filename="${name}"`)
  res.setHeader('cache-control', 'no-store')
  res.send(typeof body === 'string' ? body : Buffer.from(body))
}
