import type { PlannedDesign } from './design'
import { brokenWaits, cold, curing } from './finders/cure'
import { shelf, wholePack } from './finders/kit'
import { loads } from './finders/loads'
import { adults, group, inTurns } from './finders/people'
import { pictureLooks } from './finders/pictures'
import { narrowCandle, orientation, piece } from './finders/piece'
import { ownRecipe, recipeKnown } from './finders/recipe'
import { allPast, lateErrands, missing, noDate, notForHome, roomTaken, rubbing, sessionShapes } from './finders/sessions'
import { pins, stationMissing, stationQueues } from './finders/stations'
import { suits } from './finders/suits'
import type { Find, FindAll } from './finders/ways'
import type { Figured, Finding, Plan } from './shapes'
import { seenFrom } from './view'

/** What keeps a plan from holding, the worst first; a group that nobody has said yet is no fault of the plan. */
export const stopsOf = (plan: Pick<Plan, 'findings'>): Finding[] =>
  plan.findings.filter((f) => f.level === 'stop' && f.code !== 'no-people')

/** What to look at: what cannot work (stop), what wants a look, what is worth knowing; the worst first. */
export function findingsOf(parts: readonly PlannedDesign[], plan: Figured): Finding[] {
  const rank = { stop: 0, look: 1, note: 2 }
  return finders.flatMap((find) => find(parts, plan)).sort((a, b) => rank[a.level] - rank[b.level])
}

/** What looks at one design looks at each; with several, what it finds says whose it is. A design that nobody makes needs no look. */
const each =
  (find: Find): FindAll =>
  (parts, plan) =>
    parts.length === 1
      ? find(parts[0]!.s, plan)
      : parts
          .filter((p) => p.d.pieces > 0)
          .flatMap(({ s, d }) => find(s, seenFrom(plan, d)).map((f) => ({ ...f, design: { id: d.design, name: d.pieceName } })))

const finders: FindAll[] = [
  group,
  each(recipeKnown),
  each(ownRecipe),
  each(piece),
  each(narrowCandle),
  each(suits),
  each(pictureLooks),
  stationMissing,
  stationQueues,
  pins,
  each(inTurns),
  each(orientation),
  cold,
  noDate,
  sessionShapes,
  roomTaken,
  each(notForHome),
  each(curing),
  loads,
  each(brokenWaits),
  adults,
  shelf,
  wholePack,
  lateErrands,
  each(missing),
  each(rubbing),
  allPast,
]
