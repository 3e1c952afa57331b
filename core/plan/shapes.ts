import type { Coded, DecisionValues, FindingValues, RemedyValues } from '#core/codes'
import type { House, HouseCaution, Paper } from '#core/house'
import type { KitLine, Seating } from '#core/kit'
import type { Errand } from '#core/errands'
import type { Coat } from '#core/medium'
import type { Orientation } from '#core/orientation'
import type { Because, Mark } from '#core/reasons'
import type { Chosen, MaterialUse, PieceState, Recipe, Stage, Hazard, AgeBand, Ink, Outline, Whites } from '#core/recipe'
import type { Clash, Judged, Occupied, PlacedSession, SessionLoad, Turns } from '#core/sessions'
import type { Footprint } from '#core/shelf'
import type { SheetGrid } from '#core/sheets'
import type { StripLayout } from '#core/tape'
import type { TakeHomeSheet } from '#core/takehome'
import type { Zoned } from '#core/time'
import type { Change, Workshop } from '#core/workshop'

/** Everything a plan rests on. Recipes default to the catalogue's; `now` is an instant of the caller's clock. */
export interface PlanInput {
  workshop: Workshop
  house: House
  recipes?: readonly Recipe[]
  /** What the workshops before this one take from the cupboard, by key. */
  reserved?: Readonly<Record<string, number>>
  /** Who else wants the rooms of its classes, and what else lies on the house's shelf. */
  clashes?: readonly Clash[]
  shelves?: readonly Occupied[]
  /** What this house has counted: good and failed pieces by recipe id. */
  evidence?: Record<string, { good: number; failed: number }>
  now: Zoned
}

/** A figure of the plan: a number or an instant, and why. */
export interface PlanFigure {
  value: number | Zoned
  unit: 'count' | 'ml' | 'mm' | 'min' | 'minor' | 'share' | 'instant' | 'packs' | 'strips'
  because: Because
  /** What packs are called, for differences: "bottle". */
  noun?: string
}

/** A way out: what it says, and the changes that do it, or the place where it is done. */
export type Remedy = Coded<RemedyValues> & {
  changes: Change[]
  /** The design it changes, where there are several. */
  of?: string
  link?: 'house' | 'sessions' | 'errands'
}

/** What is found in a plan: how bad it is, the decision it stands at, and its ways out. */
export type Finding = Coded<FindingValues> & {
  level: 'stop' | 'look' | 'note'
  decision: DecisionId
  remedies: Remedy[]
  mark?: Mark
  /** Whose it is, where there are several designs. */
  design?: { id: string; name: string }
}

export const decisionIds = ['group', 'piece', 'method', 'pictures', 'kit', 'sessions', 'room', 'takehome'] as const
export type DecisionId = (typeof decisionIds)[number]

/** A link of the chain: what was decided, in a line, and whether anything stands against it. */
export type Decision = Coded<DecisionValues> & {
  id: DecisionId
  state: 'settled' | 'default' | 'look' | 'stop'
}

export interface Adults {
  needed: number
  /** Children come, or somebody who may not touch a hazard: only then is it said how many adults are needed. */
  matters: boolean
  coming: number
  byAge: { age: AgeBand; people: number; ratio: number }[]
  atHazards: { hazard: Hazard; stage: string; sessionId: string; design: string }[]
  because: Because
}

export interface PrintPlan {
  widthMm: number
  heightMm: number
  /** Pictures on each piece. */
  each: number
  copies: number
  /** How sure so many copies make it that everybody has a good one; 1 with house pictures. */
  sure: number
  prints: number
  sheets: number
  grid: SheetGrid
  paper: Paper
  /** Between prints. */
  gutterMm: number
  /** What the sheets are, in the recipe's words, and whether one edge goes first. */
  stock: string
  leadingEdge: boolean
  mirrored: boolean
  orientation: Orientation
}

/** A stage sample: what it shows, when it has to be begun so that it shows that, and what it uses up. */
export interface StageSample {
  id: string
  name: string
  /** Left out where it is made within the hour of setting up. */
  startBy?: Zoned
  /** What counts back to that start. */
  because?: Because
  uses: string[]
}

export interface Shelf {
  from: Zoned
  to: Zoned
  places: number
  /** Each design's, with what one takes of a board, in mm. */
  sizes: { design: string; size: Footprint; count: number }[]
  /** Of such pieces; from the boards of the rack where these were measured, else the places that were counted. */
  capacity: number
}

/** What a class asks of its people, all designs together, planned as one room. */
export interface ClassLoad extends SessionLoad {
  /** Each design's own load, as if it were alone, and whether whoever is done last makes it. */
  parts: { design: string; name: string; busiest: boolean; load: SessionLoad }[]
}

/** The plan of one design. */
export interface DesignPlan {
  design: string
  /** Who makes it, and how many pieces that is. */
  makers: string[]
  pieces: number
  /** `from` is the method that a recipe of the house comes from. */
  recipe: { id: string; version: number; name: string; words: Recipe['words']; from?: string }
  pieceName: string
  chosen: Chosen[]
  stages: Stage[]
  materials: MaterialUse[]
  rounds: number
  print: PrintPlan
  /** Spare prints, how sure they make it; and spare blanks, fewer where a piece survives a failed transfer. `used`: pieces were begun again on so many. */
  spares: { count: number; sure: number; chosen: boolean; blanks: number; survives: boolean; used: number }
  samples: { count: number; chosen: boolean }
  stageSamples: StageSample[]
  /** Strips, how far they go beyond each edge, films abreast on one strip, tapes behind each other, strips for a film. */
  tape?: StripLayout & { marginMm: number; abreast: number; tapes: number; perFilm: number }
  /** Its share of the kit, alone. */
  ownKit: KitLine[]
  /** Stages that go in turns in class: races led table by table, and what only adults may touch. */
  turns: Turns[]
  /** The picture, and what its print looks like from above; the piece's face, and what that looks like. */
  picture: { widthMm: number; heightMm: number }
  cut: Outline
  face: { widthMm: number; heightMm: number }
  outline: Outline
  whites: Whites
  /** How the coat is laid, whether the surface is painted white first, and whether the method lays a white ground itself. */
  coat: Coat
  painted: boolean
  whiteGround: boolean
  ink: Ink | 'any'
  split: Judged
  splitChosen: boolean
  /** The first moments at which a refused rub would work, inside opening hours. */
  proposals: { earliest?: Zoned; better?: Zoned }
  goesHome: PieceState
  /** The states that a piece goes through in this plan, in order. */
  states: PieceState[]
}

/** What is worked out before anything is said of it: the first design's plan, all designs', and what they come to together. */
export interface Reckoning extends DesignPlan {
  now: Zoned
  people: number
  seating: Seating
  /** What each person's seat is called, "B3", by participant: everywhere the same. */
  seats: Readonly<Record<string, string>>
  designs: DesignPlan[]
  kit: KitLine[]
  sessions: PlacedSession[]
  loads: ClassLoad[]
  /** The house's own cautions that this plan's stages call for. */
  ownCautions: HouseCaution[]
  /** When one class more would usually be. */
  nextClass: { from: Zoned; minutes: number } | null
  errands: Errand[]
  shelf: Shelf | null
  adults: Adults
  takeHome: TakeHomeSheet[]
}

/** A reckoning with every figure that a screen shows, and why. */
export interface Figured extends Reckoning {
  figures: Record<string, PlanFigure>
}

/** A whole plan. Computed anew from its input each time and never stored. */
export interface Plan extends Figured {
  findings: Finding[]
  decisions: Decision[]
}
