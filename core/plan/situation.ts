import type { House, Paper } from '#core/house'
import { figure } from '#core/reasons'
import type { Figures } from '#core/figures'
import { figuresOf, sizeUnit, paperOf, printersOf, recipesOf } from '#core/house'
import { seatTables, type Seating } from '#core/kit'
import {
  blankSurface,
  ageBands,
  latestRecipe,
  pieceKind,
  outlineOf,
  pictureSize,
  recipeById,
  resolveRecipe,
  type Ink,
  type Outline,
  type PieceKind,
  type Recipe,
  roomStations,
  type ResolvedRecipe,
  type RoomStation,
} from '#core/recipe'
import { extraMinutes, placeSessions, turnsOf, type PlacedSession, type Setting, type Turns } from '#core/sessions'
import { minutesBetween, type Hours, type Zoned } from '#core/time'
import { showLength } from '#core/units'
import { seatNames, allowed, type Allow, type Design, type Workshop } from '#core/workshop'
import type { PlanInput } from './shapes'

/** What every section of the plan looks at, worked out once. */
export interface Situation {
  workshop: Workshop
  house: House
  figures: Figures
  hours: Hours
  design: Design
  kind: PieceKind
  recipe: Recipe
  /** The recipe named is not in the catalogue; the latest of its id, or the first, stands in. */
  recipeMissing: boolean
  resolved: ResolvedRecipe
  people: number
  seating: Seating
  seats: Readonly<Record<string, string>>
  sessions: PlacedSession[]
  pieceName: string
  /** The picture's own size, from what was measured. */
  picture: { widthMm: number; heightMm: number }
  outline: Outline
  turns: Turns[]
  setting: Setting
  evidence: { good: number; failed: number }
  allow: Allow
  printers: readonly Ink[]
  recipes: readonly Recipe[]
  roomStations: readonly RoomStation[]
  paper: Paper
  /** Lettering in the pictures: said, or marked on one of them. */
  lettering: boolean
  now: Zoned
}

/** From this face on a piece counts as large, in mm2: about 20 by 20 cm. */
const largePiece = figure(40_000, 'mm', 'E')

/** A picture is pale when somebody said so, or when so much of one is nearly white (E). */
const paleShare = 0.35
const isPale = (w: Workshop): boolean => w.designs[0]!.picture?.pale ?? (w.pictures ?? []).some((p) => (p.pale ?? 0) >= paleShare)

/** Places that are counted: as somebody said; heat tools as many as the kit brings. */
function placesOf(w: Workshop, resolved: ResolvedRecipe): Record<string, number> {
  const tools = resolved.materials.find((m) => m.material === 'heat-tool' || m.material === 'hair-dryer')
  return { ...(tools?.basis === 'room' && { 'heat tool': tools.amount.value }), ...w.choices.stations }
}

/** When the last piece was really laid: what happened beats what was planned. */
function lastLaid(w: Workshop): { laidAt?: string } {
  const at = w.pieces
    .flatMap((p) => p.laidAt ?? [])
    .reduce<string | undefined>((a, b) => (a && minutesBetween(b, a) > 0 ? a : b), undefined)
  return at ? { laidAt: at } : {}
}

export const hoursOf = (house: House): Hours => ({ week: house.hours, closedDays: house.closedDays, timeZone: house.timeZone })

export function situate({ workshop, house, recipes = recipesOf(house), evidence = {}, now }: PlanInput): Situation {
  const design = workshop.designs[0]!
  const kind = pieceKind(design.kind)
  const found = recipeById(design.recipe.id, design.recipe.version, recipes)
  const recipe = found ?? latestRecipe(design.recipe.id, recipes) ?? recipes[0]!
  const people = workshop.group.participants.length
  const seating = seatTables(people, workshop.group.tables)
  const unit = sizeUnit(house)
  const ages = ageBands
    .map((age) => ({ age, people: workshop.group.participants.filter((p) => p.age === age).length }))
    .filter((a) => a.people > 0)
  const most = [...ages].sort((a, b) => b.people - a.people)[0]?.age
  const large = design.width.mm * design.height.mm >= largePiece.value
  const usualFor = [design.material, kind.id, ...(most ? [most] : []), ...(large ? ['large'] : []), ...(isPale(workshop) ? ['pale'] : [])]
  const resolved = resolveRecipe(recipe, design.choices, house.recipeChoices[recipe.id] ?? {}, blankSurface(design.material), usualFor)
  const figures = figuresOf(house)
  const turns = turnsOf(resolved, { ages, adults: 1 + workshop.group.helpers, figures })
  const sessions = placeSessions(workshop.sessions, hoursOf(house), now)
  const named = kind.id === 'custom' && design.called ? design.called : kind.name
  return {
    workshop,
    house,
    figures,
    hours: hoursOf(house),
    design,
    kind,
    recipe,
    recipeMissing: found === undefined,
    resolved,
    people,
    seating,
    seats: seatNames(workshop.group.participants, seating),
    sessions,
    outline: outlineOf(kind, design.outline),
    picture: pictureSize(kind, { widthMm: design.width.mm, heightMm: design.height.mm }, resolved.wrap),
    turns,
    setting: {
      resolved,
      sessions,
      climate: house.climate,
      extraMin: extraMinutes(turns),
      figures,
      people,
      places: placesOf(workshop, resolved),
      ...lastLaid(workshop),
    },
    allow: allowed(workshop),
    printers: printersOf(house),
    recipes,
    roomStations,
    lettering: design.lettering || (workshop.pictures ?? []).some((p) => p.marks?.some((m) => m.what === 'lettering')),
    pieceName: `${showLength(design.width.mm, unit).replace(/ (in|mm)$/, '')} × ${showLength(design.height.mm, unit)} ${named}`,
    evidence: evidence[recipe.id] ?? { good: 0, failed: 0 },
    paper: paperOf(workshop.choices.paper, house),
    now,
  }
}
