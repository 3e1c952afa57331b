import type { House } from '#core/house'
import { sizeUnit, paperMm } from '#core/house'
import { seatTables, type Seating } from '#core/kit'
import {
  blankSurface,
  latestRecipe,
  pieceKind,
  recipeById,
  recipes as catalogue,
  resolveRecipe,
  type PieceKind,
  type Recipe,
  type ResolvedRecipe,
} from '#core/recipe'
import { placeSessions, type PlacedSession } from '#core/sessions'
import type { Hours, Zoned } from '#core/time'
import { showLength } from '#core/units'
import type { Design, Workshop } from '#core/workshop'
import type { PlanInput } from './shapes'

/** What every section of the plan looks at, worked out once. */
export interface Situation {
  workshop: Workshop
  house: House
  hours: Hours
  design: Design
  kind: PieceKind
  recipe: Recipe
  /** The recipe named is not in the catalogue; the latest of its id, or the first, stands in. */
  recipeMissing: boolean
  resolved: ResolvedRecipe
  people: number
  seating: Seating
  sessions: PlacedSession[]
  pieceName: string
  evidence: { good: number; failed: number }
  paper: { widthMm: number; heightMm: number }
  now: Zoned
}

export const hoursOf = (house: House): Hours => ({ week: house.hours, closedDays: house.closedDays, timeZone: house.timeZone })

export function situate({ workshop, house, recipes = catalogue, evidence = {}, now }: PlanInput): Situation {
  const design = workshop.designs[0]!
  const kind = pieceKind(design.kind)
  const named = recipeById(design.recipe.id, design.recipe.version, recipes)
  const recipe = named ?? latestRecipe(design.recipe.id, recipes) ?? recipes[0]!
  const people = workshop.group.participants.length
  const unit = sizeUnit(house)
  return {
    workshop,
    house,
    hours: hoursOf(house),
    design,
    kind,
    recipe,
    recipeMissing: named === undefined,
    resolved: resolveRecipe(recipe, design.choices, house.recipeChoices[recipe.id] ?? {}, blankSurface(design.material)),
    people,
    seating: seatTables(people, workshop.group.tables),
    sessions: placeSessions(workshop.sessions, hoursOf(house), now),
    pieceName: `${showLength(design.width.mm, unit).replace(/ (in|mm)$/, '')} × ${showLength(design.height.mm, unit)} ${kind.name}`,
    evidence: evidence[recipe.id] ?? { good: 0, failed: 0 },
    paper: paperMm(house),
    now,
  }
}
