import type { House, Paper } from '#core/house'
import { figure, type Figure } from '#core/reasons'
import { dryingFactor } from '#core/cure'
import type { Figures } from '#core/figures'
import { figuresOf, sizeUnit, paperOf, printersOf, recipesOf } from '#core/house'
import { drawnPlaces, floorOf, tablesFor } from '#core/floor'
import { seatTables, type Seating } from '#core/kit'
import { picturesOf } from '#core/pictures'
import {
  blankMaterial,
  blankSurface,
  ageBands,
  edgeWork,
  finishesFor,
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
  sized,
  sizeFactor,
  type RoomStation,
  outlineShare,
  sources,
  withExtraFigures,
  withExtras,
  type Extra,
} from '#core/recipe'
import { forHome, placeSessions, sittingsOf, type Clash, type Crowd, type Occupied, type PlacedSession, type Setting } from '#core/sessions'
import { minutesBetween, type Hours, type Zoned } from '#core/time'
import { showLength } from '#core/units'
import {
  allowed,
  choicesFor,
  designOf,
  firstDesign,
  makersOf,
  makes,
  seatNames,
  tableName,
  takesKit,
  seated,
  type Allow,
  type Design,
  type OwnChoices,
  type Participant,
  type Picture,
  type Workshop,
} from '#core/workshop'
import type { PlanInput } from './shapes'

/** What a design's plan looks at, worked out once: the whole workshop, this design of it, and the people who make it. */
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
  /** What is chosen for this design by itself. */
  choices: OwnChoices
  /** Who makes this design, in the order of the group; how many they are, and how many pieces that is, the most for one person. */
  makers: Participant[]
  people: number
  pieces: number
  each: number
  /** Of them, who comes to the classes and who takes a kit to go; how such a kit is worked, and what cannot be. */
  inClass: Participant[]
  toGo: Participant[]
  kitsWork: ReturnType<typeof forHome>
  /** In which sitting each stage is done, in class or at home: its coats leave medium in brush and cup once a sitting. */
  sittings: Record<string, number>
  /** Pieces that are made in class. */
  madeInClass: number
  /** The whole group's tables, and how many at each make this design. */
  tables: Seating
  seating: Seating
  seats: Readonly<Record<string, string>>
  sessions: PlacedSession[]
  pieceName: string
  /** The pictures that are in for this design. */
  pictures: readonly Picture[]
  /** The picture's own size, and how much of the box round it it fills; what its print looks like from above. */
  picture: { widthMm: number; heightMm: number }
  fills: Figure
  cut: Outline
  /** The piece's face, and what it looks like from above. */
  face: { widthMm: number; heightMm: number }
  outline: Outline
  /** Pictures on each piece: the covers of a book have two, and so has a second transfer over the first. */
  printsEach: number
  setting: Setting
  evidence: { good: number; failed: number }
  reserved: Readonly<Record<string, number>>
  clashes: readonly Clash[]
  shelves: readonly Occupied[]
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
const isPale = (d: Design, pictures: readonly Picture[]): boolean => d.picture?.pale ?? pictures.some((p) => (p.pale ?? 0) >= paleShare)

/** Places at each class's stations where the workshop does not say: as its room has them drawn, else heat tools as many as the kit brings. */
function drawnAt(w: Workshop, house: House, resolved: ResolvedRecipe): Crowd['drawn'] {
  const tools = resolved.materials.find((m) => m.material === 'heat-tool' || m.material === 'hair-dryer')
  const brought: Record<string, number> = tools?.basis === 'room' ? { 'heat tool': tools.amount.value } : {}
  return Object.fromEntries(
    w.sessions.map((s) => {
      const floor = floorOf(house.floors, s.room)
      return [s.id, { ...brought, ...(floor && drawnPlaces(floor)) }]
    }),
  )
}

/** How much longer things dry in a class's room, by the air that was read there or is usual there. */
export const dryingAt = (w: Workshop, house: House, session: { id: string; room: string }): number =>
  dryingFactor(
    (w.air ?? []).filter((r) => r.session === session.id),
    floorOf(house.floors, session.room)?.climate,
  )

/** Tables: as many as somebody said, else of those drawn in the first class's room as many as have seats for all. */
function tablesOf(w: Workshop, house: House): number | null {
  const floor = floorOf(house.floors, w.sessions[0]?.room ?? '')
  return w.group.tables ?? (floor ? tablesFor(floor, w.group.participants.length) : null)
}

/** Who comes to the classes, at which table, and what is at hand there. */
function crowdOf(w: Workshop, house: House, tables: Seating, resolved: ResolvedRecipe): Crowd {
  const order = seated(w.group.participants)
  const table = tables.flatMap((size, i) => Array.from({ length: size }, () => tableName(i)))
  return {
    people: order.flatMap((p, i) => (takesKit(w, p) ? [] : [{ id: p.id, table: table[i] ?? 'A', age: p.age, misses: p.misses }])),
    adults: 1 + w.group.helpers,
    places: w.choices.stations ?? {},
    drawn: drawnAt(w, house, resolved),
    drying: Object.fromEntries(w.sessions.map((s) => [s.id, dryingAt(w, house, s)])),
    runs: Object.fromEntries(w.sessions.map((s) => [s.id, s])),
  }
}

/** What is done to a design's pieces beside its method: where the picture comes from, its edge, finishing. */
function extrasOf(d: Design, recipe: Recipe, figures: Figures): Extra[] {
  const source = d.pictures === 'magazine' || d.pictures === 'brought' ? [sources[d.pictures]] : []
  // Where the method cuts by hand to the outline anyway, that is its cut.
  const cutsSo = recipe.stages.some((s) => s.id === 'trim' && s.cautions.includes('scissors'))
  const edge = d.edge && !(d.edge === 'outline' && cutsSo) ? edgeWork[d.edge] : undefined
  const chosen = finishesFor(d.kind, d.material).filter((f) => d.finish?.includes(f.id))
  return [...source, ...(edge ? [edge] : []), ...chosen].map((x) => withExtraFigures(x, figures))
}

/** What a material is minded for stands where a hand first holds the piece in class: where it is laid, or where the film goes on. */
function withCaution(resolved: ResolvedRecipe, material: string): ResolvedRecipe {
  const caution = blankMaterial(material)?.caution
  const touched = resolved.recipe.filmApart ? 'sealed' : 'laid'
  if (!caution) return resolved
  return { ...resolved, stages: resolved.stages.map((s) => (s.makes === touched ? { ...s, cautions: [...s.cautions, caution] } : s)) }
}

/** Ahead is a sitting of its own. */
const sittingsAt = (resolved: ResolvedRecipe): Record<string, number> =>
  Object.fromEntries(sittingsOf(resolved).flatMap((stages, i) => stages.map((x) => [x.id, i + 1])))

/** How much of the box round it a picture fills, and what its print looks like from above. */
function shapeOf(d: Design, outline: Outline, figures: Figures): { fills: Figure; cut: Outline } {
  const cut = d.edge === 'round' ? 'round' : d.on || d.edge ? 'straight' : outline
  if (d.edge === 'outline') return { cut, fills: figures('edge.outline') }
  return { cut, fills: figure(outlineShare(cut), 'share', cut === 'stone' ? 'E' : 'P') }
}

/** When the last piece of a design was really laid: what happened beats what was planned. */
function lastLaid(w: Workshop, design: Design): { laidAt?: string } {
  const at = w.pieces
    .filter((p) => designOf(w, p) === design.id)
    .flatMap((p) => p.laidAt ?? [])
    .reduce<string | undefined>((a, b) => (a && minutesBetween(b, a) > 0 ? a : b), undefined)
  return at ? { laidAt: at } : {}
}

export const hoursOf = (house: House): Hours => ({ week: house.hours, closedDays: house.closedDays, timeZone: house.timeZone })

/** How many at each table make a design; tables where nobody does are left out. */
function makersAt(tables: Seating, all: readonly Participant[], makers: readonly Participant[]): Seating {
  if (makers.length === all.length) return tables
  const mine = new Set(makers.map((p) => p.id))
  const order = seated(all)
  let from = 0
  return tables.map((size) => order.slice(from, (from += size)).filter((p) => mine.has(p.id)).length).filter((n) => n > 0)
}

export function situate(
  { workshop, house, recipes = recipesOf(house), evidence = {}, reserved = {}, clashes = [], shelves = [], now }: PlanInput,
  design: Design = firstDesign(workshop),
): Situation {
  const makers = makersOf(workshop, design)
  const inClass = makers.filter((p) => !takesKit(workshop, p))
  const madeInClass = inClass.reduce((sum, p) => sum + makes(workshop, p, design), 0)
  const pictures = picturesOf(workshop, design.id)
  const kind = pieceKind(design.kind)
  const found = recipeById(design.recipe.id, design.recipe.version, recipes)
  const recipe = found ?? latestRecipe(design.recipe.id, recipes) ?? recipes[0]!
  const figures = figuresOf(house)
  const people = makers.length
  const tables = seatTables(workshop.group.participants.length, tablesOf(workshop, house))
  const pieces = makers.reduce((sum, p) => sum + makes(workshop, p, design), 0)
  const each = Math.max(1, ...makers.map((p) => makes(workshop, p, design)))
  const unit = sizeUnit(house)
  const ages = ageBands.map((age) => ({ age, people: inClass.filter((p) => p.age === age).length })).filter((a) => a.people > 0)
  const most = [...ages].sort((a, b) => b.people - a.people)[0]?.age
  const large = design.width.mm * design.height.mm >= largePiece.value
  const usualFor = [
    design.material,
    kind.id,
    ...(most ? [most] : []),
    ...(large ? ['large'] : []),
    ...(isPale(design, pictures) ? ['pale'] : []),
    ...(design.quality ? [design.quality] : []),
  ]
  const dressed = withExtras(recipe, extrasOf(design, recipe, figures), kind.id)
  const asMade = resolveRecipe(dressed, design.choices, house.recipeChoices[recipe.id] ?? {}, blankSurface(design.material), usualFor)
  const handled = withCaution(asMade, design.material)
  const worked = design.on ?? design
  const printed = design.pictures === 'house' || design.pictures === 'own'
  const resolvedHere = sized(
    printed ? handled : { ...handled, noPrint: true },
    sizeFactor(worked.width.mm * worked.height.mm, kind.widthMm * kind.heightMm, figures('time.size').value),
  )
  const kitsWork = forHome(resolvedHere)
  const resolved = workshop.held === 'home' ? kitsWork.resolved : resolvedHere
  const outline = outlineOf(kind, design.outline)
  const whole = pictureSize(kind, { widthMm: design.width.mm, heightMm: design.height.mm }, resolved.wrap)
  const sessions = placeSessions(workshop.sessions, hoursOf(house), now)
  const made = new Map(inClass.map((p) => [p.id, makes(workshop, p, design)]))
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
    choices: choicesFor(workshop, design),
    makers,
    inClass,
    toGo: makers.filter((p) => takesKit(workshop, p)),
    kitsWork,
    sittings: sittingsAt(resolvedHere),
    madeInClass,
    people,
    pieces,
    each,
    tables,
    seating: makersAt(tables, workshop.group.participants, inClass),
    seats: seatNames(workshop.group.participants, tables),
    pictures,
    sessions,
    outline,
    ...shapeOf(design, outline, figures),
    picture: design.on ? { widthMm: design.on.width.mm, heightMm: design.on.height.mm } : whole,
    face: whole,
    printsEach: (kind.pictures ?? 1) * resolved.layers,
    setting: {
      design: design.id,
      resolved,
      sessions,
      climate: house.climate,
      figures,
      crowd: crowdOf(workshop, house, tables, resolved),
      each: (person) => made.get(person) ?? 0,
      printsEach: (kind.pictures ?? 1) * resolved.layers,
      ...(workshop.air && { air: workshop.air.filter((r) => r.session === undefined) }),
      ...lastLaid(workshop, design),
    },
    reserved,
    clashes,
    shelves,
    allow: allowed(workshop),
    printers: printersOf(house),
    recipes,
    roomStations,
    lettering: design.lettering || pictures.some((p) => p.marks?.some((m) => m.what === 'lettering')),
    pieceName: `${showLength(design.width.mm, unit).replace(/ (in|mm)$/, '')} × ${showLength(design.height.mm, unit)} ${named}`,
    evidence: evidence[recipe.id] ?? { good: 0, failed: 0 },
    paper: paperOf(workshop.choices.paper, house),
    now,
  }
}
