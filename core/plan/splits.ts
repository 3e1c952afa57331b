import { splitsOf, type Split } from '#core/sessions'
import { homeGroups, type HomeGroup } from '#core/takehome'
import { minutesBetween } from '#core/time'
import { applyChanges, type Change, type Workshop } from '#core/workshop'
import { planWorkshop } from './plan'
import { splitChange } from './finders/cure'
import { planDesign } from './design'
import { situate } from './situation'
import { stopsOf } from './findings'
import type { Finding, Plan, PlanInput } from './shapes'

/** One way to spread a design's work over ahead, the classes and home, and what it means. */
export interface SplitOffer {
  split: Split
  /** It is the one that is planned now. */
  present: boolean
  /** Stages by where they are done: "ahead", a session's id, "home". */
  places: { place: string; stages: { id: string; name: string }[] }[]
  /** Minutes that each class takes, and whether it fits. */
  classes: { sessionId: string; number: number; neededMin: number; availableMin: number; fits: boolean }[]
  verdict: 'ready' | 'risky' | 'too soon' | null
  /** How long pieces lie on the shelf, and how many. */
  shelfMin: number | null
  shelfPlaces: number
  /** In which state how many go home. */
  home: { group: HomeGroup; pieces: number }[]
  /** What keeps it from holding; undefined where it holds. */
  stop?: Finding
  changes: Change[]
}

/** So many splits are shown side by side. */
const mostOffers = 6

/** The splits of a design over the classes that are there, side by side: the one that is planned, then those that hold, best first: finished
 *  in class, then as the method prefers, then slack. Each is planned whole. */
export function compareSplits(input: PlanInput, designId = input.workshop.designs[0]!.id): SplitOffer[] {
  const design = input.workshop.designs.find((d) => d.id === designId) ?? input.workshop.designs[0]!
  const part = planDesign(situate(input, design))
  const { s, d } = part
  const key = (split: Split) => s.resolved.stages.map((x) => split[x.id]).join()
  const found = [d.split, ...splitsOf(s.setting)]
  const seen = new Set<string>()
  const distinct = found.filter((j) => !seen.has(key(j.split)) && seen.add(key(j.split)))
  return distinct.slice(0, mostOffers).map((j, i) => {
    const changes = i === 0 ? [] : splitChange(s, s.setting, j)
    const plan = i === 0 ? planWorkshop(input) : planWorkshop({ ...input, workshop: applyChanges<Workshop>(input.workshop, changes)! })
    return offer(plan, designId, j.split, i === 0, changes)
  })
}

function offer(plan: Plan, designId: string, split: Split, present: boolean, changes: Change[]): SplitOffer {
  const d = plan.designs.find((x) => x.design === designId) ?? plan.designs[0]!
  const order = ['ahead', ...plan.sessions.map((x) => x.id), 'home']
  const mine = plan.takeHome.filter((x) => x.design === d.design)
  const stop = stopsOf(plan)[0]
  const shelf = plan.shelf
  return {
    split,
    present,
    places: order.flatMap((place) => {
      const stages = d.stages.filter((x) => split[x.id] === place).map(({ id, name }) => ({ id, name }))
      return stages.length > 0 ? [{ place, stages }] : []
    }),
    classes: plan.loads.map(({ sessionId, neededMin, availableMin, fits }) => ({
      ...{ sessionId, neededMin, availableMin, fits },
      number: plan.sessions.find((x) => x.id === sessionId)!.number,
    })),
    verdict: d.split.cure?.verdict ?? null,
    shelfMin: shelf ? minutesBetween(shelf.from, shelf.to) : null,
    shelfPlaces: shelf?.places ?? 0,
    home: homeGroups.flatMap((group) => {
      const pieces = mine.filter((x) => x.group === group).length
      return pieces > 0 ? [{ group, pieces }] : []
    }),
    ...(stop && { stop }),
    changes,
  }
}
