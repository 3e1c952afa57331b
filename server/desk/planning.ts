import type pg from 'pg'
import { planningInput, planWorkshop, takesAlone, workshopsWanted, type Plan, type Takes } from '#core/plan'
import type { House } from '#core/house'
import type { Summary, Workshop } from '#core/workshop'
import type { Clock } from '../clock'
import { NotFound } from '../errors'
import { loadHouse, loadSummaries, loadWorkshop, loadWorkshops, type Stored } from './documents'

export interface Planned {
  workshop: Workshop
  house: House
  plan: Plan
}

/** So many workshops of a house are in its calendar, the newest. */
const mostOfHouse = 60

/** A house's workshops that are not put away, each with its plan. Throws {@link NotFound}. */
export async function plansOfHouse(pool: pg.Pool, clock: Clock, id: string): Promise<{ house: House; planned: Planned[] }> {
  const house = (await loadHouse(pool, id))?.body
  if (!house) throw new NotFound('This house is not here any more.')
  const summaries = (JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]).map((s) => s.body)
  const ids = summaries.filter((s) => s.houseId === id && !s.archivedAt && s.sessions.length > 0).slice(-mostOfHouse)
  const planned: Planned[] = []
  // What each takes is worked out once for all of them.
  const takes = new Map<string, Takes>()
  for (const { id: workshop } of ids) planned.push(await planOfDesk(pool, clock, workshop, takes))
  return { house, planned }
}

/** A workshop of the desk with its plan, as every paper and every print has it: with what the workshops before it leave in the
 *  cupboard. Throws {@link NotFound}. */
export async function planOfDesk(pool: pg.Pool, clock: Clock, id: string, takes = new Map<string, Takes>()): Promise<Planned> {
  const workshop = (await loadWorkshop(pool, id))?.body
  const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
  if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
  const now = clock.now(house.timeZone)
  const summaries = (JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]).map((s) => s.body)
  const before = await loadWorkshops(pool, workshopsWanted(id, summaries, house, now))
  const here = new Map([workshop, ...before.map((b) => b.body)].map((w) => [w.id, w]))
  const input = planningInput(
    { workshop: (x) => here.get(x), house: () => house, summaries, now, takes: (w, h) => known(takes, w.id, () => takesAlone(w, h, now)) },
    id,
  )
  return { workshop, house, plan: planWorkshop(input!) }
}

function known(all: Map<string, Takes>, id: string, make: () => Takes): Takes {
  const found = all.get(id) ?? make()
  all.set(id, found)
  return found
}
