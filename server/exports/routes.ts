import { Router, type Response } from 'express'
import type pg from 'pg'
import * as v from 'valibot'
import { planFormat, writeWorkshop } from '#core/exchange'
import type { House } from '#core/house'
import { planWorkshop, type Plan } from '#core/plan'
import { sayPlan, seatOf, sheetMarkdown, sheetText } from '#core/phrases'
import { readInput } from '#core/reasons'
import type { Workshop } from '#core/workshop'
import type { Clock } from '../clock'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { calendarOf } from './calendar'
import { sheetsPdf } from './sheetPdf'
import { kitCsv, rosterCsv } from './tables'

const options = v.object({
  wording: v.optional(v.picklist(['few', 'more', 'large'], 'not a wording | Say few, more or large.'), 'few'),
  paper: v.optional(v.picklist(['letter', 'a4'], 'not a paper | Say letter or a4.')),
  black: v.optional(v.picklist(['0', '1']), '0'),
  who: v.optional(v.string()),
})

/** A workshop in open formats: JSON, CSV, iCalendar, PDF and Markdown. */
export function exportRoutes(pool: pg.Pool, clock: Clock): Router {
  const router = Router()
  const planned = async (id: string): Promise<{ workshop: Workshop; house: House; plan: Plan }> => {
    const workshop = (await loadWorkshop(pool, id))?.body
    const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
    if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
    return { workshop, house, plan: planWorkshop({ workshop, house, now: clock.now(house.timeZone) }) }
  }

  router.get('/workshops/:id/workshop.json', async (req, res) => {
    const { workshop } = await planned(req.params.id)
    send(res, 'application/json', `${workshop.id}.json`, writeWorkshop(workshop))
  })

  router.get('/workshops/:id/plan.json', async (req, res) => {
    const { plan, house } = await planned(req.params.id)
    send(
      res,
      'application/json',
      `${req.params.id}-plan.json`,
      JSON.stringify({ ...planFormat, plan, said: sayPlan(plan, house) }, null, 2),
    )
  })

  router.get('/workshops/:id/roster.csv', async (req, res) => {
    const { workshop } = await planned(req.params.id)
    send(res, 'text/csv', `${workshop.id}-roster.csv`, rosterCsv(workshop))
  })

  router.get('/workshops/:id/kit.csv', async (req, res) => {
    const { plan, house } = await planned(req.params.id)
    send(res, 'text/csv', `${req.params.id}-kit.csv`, kitCsv(plan, house))
  })

  router.get('/workshops/:id/sessions.ics', async (req, res) => {
    const { workshop, plan, house } = await planned(req.params.id)
    send(res, 'text/calendar', `${workshop.id}.ics`, calendarOf(workshop, house, plan))
  })

  router.get('/workshops/:id/take-home.md', async (req, res) => {
    const { texts, workshop } = await sheets(req.params.id, req.query)
    send(res, 'text/markdown', `${workshop.id}-take-home.md`, texts.map((t) => sheetMarkdown(t.text)).join('\n---\n\n'))
  })

  router.get('/workshops/:id/take-home.pdf', async (req, res) => {
    const { texts, workshop, house, asked } = await sheets(req.params.id, req.query)
    const bytes = await sheetsPdf(
      texts,
      { paper: asked.paper ?? house.paper, wording: asked.wording, black: asked.black === '1' },
      `${workshop.title}: take-home`,
    )
    send(res, 'application/pdf', `${workshop.id}-take-home.pdf`, bytes)
  })

  async function sheets(id: string, query: unknown) {
    const asked = readInput(options, query)
    const found = await planned(id)
    const { plan, workshop, house } = found
    const who = asked.who?.split(',')
    const chosen = plan.takeHome.filter((s) => !who || who.includes(s.participant))
    if (who && chosen.length === 0) throw new NotFound('Nobody of that name is in this workshop.')
    const texts = chosen.map((s) => ({
      text: sheetText(s, plan, workshop, house, asked.wording),
      seat: seatOf(plan, plan.takeHome.indexOf(s)),
    }))
    return { ...found, asked, texts }
  }

  return router
}

function send(res: Response, type: string, name: string, body: string | Buffer): void {
  res.type(type).setHeader('content-disposition', `inline; filename="${name}"`)
  res.setHeader('cache-control', 'no-store')
  res.send(body)
}
