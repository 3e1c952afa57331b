import type { AgeBand, Hazard, Ink, PieceState, Whites } from '#core/recipe'
import type { PictureSource } from '#core/workshop'

/** What a plan says by code, each code with its values; a language has a line for each. Lengths are mm, times min, volumes ml, moments
 *  zoned instants, shares per cent, `yes` 0 or 1; words are in the recipe's own language. */
type Yes = 0 | 1 | number
type Nothing = Record<never, never>
interface InClass {
  session: number
}

/** What pictures and prints are found to be against a method. */
export interface SuitValues {
  'printer-missing': { ink: Ink }
  'wrong-ink': { ink: Ink; printer: Ink }
  'smear-failed': { ink: Ink }
  'smear-test': Nothing
  coated: Nothing
  'paper-heavy': { gsm: number; most: number }
  'paper-thick': { gsm: number }
  'whites-vanish': { whites: Whites }
  'whites-wish': { wished: Whites; whites: Whites }
  soft: { dpi: number; percent: number }
  blurred: { dpi: number; percent: number }
  fair: { dpi: number; percent: number }
  'fine-lost': { side: number }
  faces: Nothing
  precious: Nothing
}

interface Sharp {
  dpi: number
  real: number
  percent: number
  blurred: Yes
}
/** What one picture is found to be at its printed size. */
export interface PictureValues {
  'reads-backwards': Nothing
  'lettering-perhaps': { sure: 'likely' | 'perhaps' }
  poor: Sharp
  soft: Sharp
  'whites-go': { share: number; whites: Whites }
  'face-seam': { mm: number }
  'cut-away': { share: number }
  'mark-cut': { share: number }
  'detail-lost': { side: number }
  'not-permitted': Nothing
  mirrored: Nothing
}
/** The same of all pictures that are found so, and whose they are. */
interface Owners {
  count: number
  names: string
}
export type OfPictures = { [C in Exclude<keyof PictureValues, 'mirrored'> as `picture-${C}`]: PictureValues[C] & Owners }

/** What is to be done before a class. */
export interface ErrandValues {
  order: { things: number }
  collect: Nothing
  gather: { pieces: string }
  'pack-kits': { kits: number }
  'hand-out': { kits: number }
  'take-back': { kits: number }
  paint: { stage: string; minutes: number }
  print: { sheets: number }
  sample: { sample: string }
  trim: { stage: string; minutes: number }
  pack: InClass & { bags: number }
  'set-up': InClass
}
type Late = { [C in Exclude<keyof ErrandValues, 'set-up' | 'hand-out' | 'take-back'> as `late-${C}`]: ErrandValues[C] & { by: string } }

interface Turning {
  stage: string
  turns: number
  people: number
  adults: number
  extra: number
  each: number
  least: number
  most: number
}
interface AtStation extends InClass {
  station: string
  one: string
  have: number
}
interface Waiting extends InClass {
  laid: number
  least: number
  better: number
  earliestAt: string
  recommendedAt: string
}
interface Shaped extends InClass {
  at: string
  minutes: number
}
interface Sprayed extends InClass {
  stage: string
}

/** What is found in a plan. */
export interface FindingValues extends SuitValues, OfPictures, Late {
  'no-people': Nothing
  'recipe-missing': { recipe: string; version: number; instead: string }
  'experiment-only': { recipe: string; below: string }
  'newer-recipe': { recipe: string; version: number; newest: number }
  'larger-than-paper': { paper: string; pictureWidthMm: number; pictureHeightMm: number; widthMm: number; heightMm: number }
  'beyond-piece': { widthMm: number; heightMm: number; faceWidthMm: number; faceHeightMm: number }
  'pages-not-here': { method: string }
  'pages-backwards': Nothing
  'candle-narrow': { diameterMm: number; wideMm: number }
  'method-not-for-piece': { method: string; piece: string; material: string }
  'reads-backwards': { lettering: Yes }
  'too-cold': { celsius: number; least: number }
  'no-date': Nothing
  'no-pick-up': Nothing
  'not-for-home': { method: string; stage: string }
  'session-no-length': Shaped
  'session-overlaps': Shaped
  'session-over-midnight': Shaped
  'session-skipped-hour': Shaped
  'session-doubled-hour': Shaped
  'session-closed-day': Shaped
  'session-outside-hours': Shaped
  'all-past': Nothing
  'too-soon': Waiting
  risky: Waiting
  'does-not-fit': InClass & { needed: number; available: number; over: number }
  'wait-broken': { after: string; before: string }
  'adults-short': { short: number; needed: number }
  'too-young': { hazard: Hazard; stage: string; ages: string }
  'room-taken': InClass & { room: string; title: string; at: string; to: string }
  'room-wanted': InClass & { room: string; title: string; at: string; to: string }
  'shelf-shared': { places: number; capacity: number; short: number; titles: string; at: string }
  'shelf-short': { places: number; capacity: number; short: number }
  'whole-pack': { ml: number; noun: string; size: number; what: string }
  'misses-laying': { who: string; count: number }
  'misses-rubbing': { who: string; count: number }
  'rubs-later': { who: string; at: string; ready: Yes }
  'catch-up': { who: string; count: number; at: string; helper: Yes; ready: Yes }
  'many-copies': { copies: number; prints: number; sure: number }
  'pictures-missing': { missing: number; people: number; names: string }
  'spray-indoors': Sprayed
  'heat-not-allowed': Sprayed
  'blade-not-allowed': Sprayed
  'station-missing': AtStation & { stage: string }
  'station-queue': AtStation & { wait: number; minutes: number }
  'pins-broken': InClass
  'seam-on-face': { mm: number }
  race: Turning
  'done-for-them': Turning
}

/** Ways out. */
export interface RemedyValues {
  'smaller-piece': { widthMm: number; heightMm: number }
  'take-method': { method: string }
  'wider-candle': { wideMm: number }
  'take-piece': { method: string; piece: string }
  'quicker-method': { method: string; piece: string }
  'take-material': { material: string }
  'take-option': { question: string; option: string }
  'newest-recipe': { newest: number }
  'print-as-advised': { mirrored: Yes }
  'prints-from-elsewhere': { ink: Ink }
  'add-printer': { ink: Ink }
  reprint: { ink: Ink }
  photocopy: Nothing
  'smear-passed': Nothing
  'smear-did-fail': Nothing
  'plain-paper': Nothing
  'larger-paper': { paper: string }
  'tile-it': Nothing
  'any-whites': Nothing
  copied: Nothing
  'print-it': Nothing
  'hold-in-class': Nothing
  'picture-middle': Nothing
  'picture-whole': Nothing
  'house-stands-in': Nothing
  'one-copy': Nothing
  'copies-for-sure': { copies: number; sure: number }
  'warm-room': { least: number }
  'other-hour': Nothing
  'move-session-ready': InClass & { at: string }
  'move-session-risky': InClass & { at: string }
  'move-session-free': InClass & { at: string }
  'move-all': { at: string }
  'other-room': { room: string }
  'believe-shorter': { option: string }
  'finish-at-home': { state: PieceState }
  'prepare-ahead': { stages: string }
  'stagger-tables': { minutes: number }
  'lay-for-them': { at: string; count: number }
  'catch-up-at': { at: string; count: number }
  'drop-catch-up': Nothing
  'rub-later': { at: string; count: number }
  'drop-rub-later': Nothing
  'rest-at-home': { stage: string }
  'fewer-rounds': { rounds: string }
  'longer-session': { minutes: number }
  'drop-split': Nothing
  'drop-pins': Nothing
  'ask-helper': { short: number }
  'more-hands': { more: number }
  'do-ahead': { stage: string }
  'do-at-home': { stage: string }
  'fewer-spares': { spares: number }
  'more-places': Nothing
  'share-by': { share: string; what: string }
  'bring-station': { more: number; what: string }
  arrange: { hazard: Hazard }
  'did-it': Nothing
}

/** A link of the chain in a line. */
export interface DecisionValues {
  'decision-group': { people: number } & Record<AgeBand, number>
  'decision-piece': { piece: string; material: string; more?: number }
  'decision-method': { method: string; cure: number; more?: number }
  'decision-pictures': { prints: number; mirrored: Yes; stamped: Yes; own: Yes; source: PictureSource; in: number; people: number }
  'decision-kit': { things: number; blanks: number }
  'decision-sessions': Partial<Record<`session${1 | 2 | 3 | 4 | 5}`, string>> & { home?: Yes }
  'decision-room': { tables: number; adults: number; home?: Yes }
  'decision-takehome': { sheets: number; state: PieceState; dated: number; home?: Yes }
}

export type FindingCode = keyof FindingValues
export type RemedyCode = keyof RemedyValues

/** One of a table's codes with its own values. */
export type Coded<V> = { [C in keyof V]: { code: C; values: V[C] } }[keyof V]
