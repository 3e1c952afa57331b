import type { Coat } from '#core/medium'
import type { Surface } from '#core/cure'
import type { Figure, Mark } from '#core/reasons'
import type { CautionId } from './cautions'

/** How far a piece has come; the halftone ramp shows exactly these. */
export const pieceStates = ['to-print', 'printed', 'laid', 'cured', 'rub-1', 'rub-2', 'sealed'] as const
export type PieceState = (typeof pieceStates)[number]

/** Where a stage may be done: by staff ahead of the day, in a session, or at home afterwards. */
export type Place = 'ahead' | 'session' | 'home'

export const inks = ['toner', 'inkjet'] as const
export type Ink = (typeof inks)[number]

/** What the picture's white parts become. */
export const whitesBecome = ['clear', 'surface', 'white'] as const
export type Whites = (typeof whitesBecome)[number]

/** Wait before the next stage: at least, and where it must not dry or grip, at most. `cures` makes it follow room, coat and
 *  surface; `race` says that hands have to be quick: children are led through it table by table. */
export interface Lag {
  least: Figure
  most?: Figure
  race?: boolean
  cures?: boolean
  /** What the piece is once the wait is over, when that changes. */
  makes?: PieceState
  why: string
}

/** A step of the take-home sheet: a title, few words, more words. */
export interface HomeStep {
  title: string
  few: string
  more: string
  /** The stage it is, and what it must not be, where it is otherwise done in class: a sheet has words of its own for it. */
  stage?: string
  not?: string
  /** What the piece is after it, where somebody sees that for the first time. */
  makes?: PieceState
  /** The piece is laid now: its time is written down, and the wait counts from it. */
  laid?: true
  /** Minutes before the next step, at least and at most. */
  leastMin?: number
  mostMin?: number
}

export interface Stage {
  id: string
  /** As the run of work names it: "Coat", "Lay and press". */
  name: string
  /** What the piece is once this is done, when that changes. */
  makes?: PieceState
  /** Somebody works; an unattended stage is a wait with its own name. */
  attended: boolean
  minutes: Figure
  station?: string
  /** Places in order of preference. */
  mayBe: Place[]
  pass: string
  fail: string
  cautions: CautionId[]
  then?: Lag
  /** The work may stop here until another day. */
  mayStop?: boolean
  /** Only done when at least this many rub-off rounds are. */
  round?: number
  /** Left out unless a school's option includes it. */
  optional?: boolean
  /** Only on these materials. */
  onlyOn?: string[]
  /** Lays a water-based film, so it is refused in the cold. */
  lays?: boolean
  /** Minutes are for one print or one blank, not for a piece in a person's hands. */
  per?: 'print' | 'blank'
  /** Coats of it dry between, while something else is done. */
  pauses?: Figure
  /** Goes over the whole piece, not only where the picture is. */
  covers?: 'piece'
  home?: HomeStep
}

export const shareBys = ['each', 'pair', 'table', 'stagger', 'room'] as const
/** Who shares one: each person, a pair, a table, tables that take turns (half as many), the whole room. */
export type ShareBy = (typeof shareBys)[number]

type Amount =
  | { basis: 'person' | 'piece' | 'print' | 'blank' | 'table' | 'room'; amount: Figure }
  | { basis: 'area'; films: { stage: string; film: Coat | 'chosen'; coats: Figure }[]; held: Figure; waste: Figure }
  | { basis: 'length'; amount: Figure; per: 'person' | 'blank' | 'piece' }
  /** One for each printed sheet. */
  | { basis: 'sheet'; amount: Figure }
  /** The folded strip of an accordion book, for each blank. */
  | { basis: 'panels'; amount: Figure }
  | { basis: 'strips' }

/** A line of the kit: what, on which basis, at which stages, shared by whom. */
export type MaterialUse = Amount & {
  material: string
  note: string
  stages: string[]
  /** Used again next time: not counted as used up. */
  durable?: boolean
  share?: { by: ShareBy; options: ShareBy[] }
  optional?: boolean
  /** Goes into the bag when one of its stages is done at home. */
  bag?: string
  /** Only for these kinds of piece. */
  onlyFor?: string[]
}

export type Effect =
  | { kind: 'coat'; coat: Coat }
  | { kind: 'surface'; surface: Surface }
  | { kind: 'recommended-cure'; figure: Figure }
  | { kind: 'minutes'; stage: string; figure: Figure }
  | { kind: 'include-stage' | 'exclude-stage'; stage: string }
  | { kind: 'include-material' | 'exclude-material'; material: string }
  | { kind: 'exclude-film'; material: string; stage: string }
  | { kind: 'rounds'; rounds: number }
  | { kind: 'caution'; stage: string; caution: CautionId }
  | { kind: 'home-step'; stage: string; step: HomeStep }
  | { kind: 'lag'; stage: string; least?: Figure; most?: Figure }
  | { kind: 'cues'; stage: string; pass: string; fail: string }
  /** A line of the kit more. */
  | { kind: 'add-material'; use: MaterialUse }
  /** The picture goes all the way round. */
  | { kind: 'wrap' }
  /** Pictures come without a printer. */
  | { kind: 'no-print' }
  /** Done only in this place. */
  | { kind: 'place'; stage: string; place: Place }
  /** No longer what ends a state of the piece. */
  | { kind: 'not-done'; stage: string }
  /** So many coats of a material at a stage. */
  | { kind: 'coats'; material: string; stage: string; coats: Figure }
  | { kind: 'print'; ink: Ink; paper: string; smearTest?: boolean }
  | { kind: 'whites'; whites: Whites }
  | { kind: 'mirror-only-lettering' }
  | { kind: 'tape'; width: Figure }
  /** So many tapes, one behind the other. */
  | { kind: 'tapes'; tapes: number }
  /** So many pictures lie one over the other. */
  | { kind: 'layers'; layers: number }

export interface Option {
  id: string
  name: string
  /** What this school believes and what it is good for. */
  believes: string
  effects: Effect[]
  /** Blank materials, kinds of piece, age bands (the most of the group) or "large" for which it is our default instead. */
  usualFor?: string[]
  /** Those for which it is never taken. */
  notFor?: string[]
}

/** A way in which practitioners differ. */
export interface School {
  id: string
  question: string
  options: Option[]
  default: string
  why: string
}

export interface Fault {
  seen: string
  now: string
  next: string
}

/** A stage sample the instructor shows. `after` names the last stage it has behind it. */
export interface Sample {
  id: string
  name: string
  after: string
}

/** How well a method takes to a surface, in a word and a reason. */
export interface Fit {
  fit: 'best' | 'good' | 'hard'
  note: string
  mark: Mark
}

/** A method as data. Nothing outside this data knows one method from another. */
export interface Recipe {
  id: string
  version: number
  name: string
  summary: string
  /** What the method's results look like where the picture is white. */
  whites: Whites
  forgives: 'a lot' | 'some' | 'little'
  look: string
  print: {
    ink: Ink | 'any'
    paper: string
    laidFaceDown: boolean
    why: string
    /** The sheet goes through the printer with this edge first: tissue stuck round a carrier. */
    leadingEdge?: boolean
  }
  /** What it goes onto, by blank material, and how well. */
  surfaces: Record<string, Fit>
  stages: Stage[]
  materials: MaterialUse[]
  cure?: { minimum: Figure; recommended: Figure }
  rounds: { least: Figure; most: Figure; usual: Figure }
  /** Demonstration at the start of each session. */
  show: Figure
  schools: School[]
  samples: Sample[]
  faults: Fault[]
  /** What fails is a film of its own, before the piece is touched. */
  filmApart?: true
  /** Takes the ink of a magazine's inside pages. */
  takesPages?: true
  /** Words for the states of this method where they differ from the ramp's. */
  words: Partial<Record<PieceState, string>>
  care: string[]
  /** A recipe of the house: the method that it comes from, why it is done so, and where it goes below practice. */
  from?: { id: string; version: number }
  note?: string
  below?: string[]
}
