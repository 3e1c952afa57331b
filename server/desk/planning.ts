import type pg from 'pg'
import { planningInput, planWorkshop, takesAlone, workshopsWanted, type Plan } from '#core/plan'
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

/** A workshop of the desk with its plan, as every paper and every print has it: with what the workshops before it leave in the
 *  cupboard. Throws {@link NotFound}. */
export async function planOfDesk(pool: pg.Pool, clock: Clock, id: string): Promise<Planned> {
  const workshop = (await loadWorkshop(pool, id))?.body
  const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
  if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
  const now = clock.now(house.timeZone)
  const summaries = (JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]).map((s) => s.body)
  const before = await loadWorkshops(pool, workshopsWanted(id, summaries, house, now))
  const here = new Map([workshop, ...before.map((b) => b.body)].map((w) => [w.id, w]))
  const input = planningInput(
    { workshop: (x) => here.get(x), house: () => house, summaries, now, takes: (w, h) => takesAlone(w, h, now) },
    id,
  )
  return { workshop, house, plan: planWorkshop(input!) }
}
