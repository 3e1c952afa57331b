import type { AgeBand } from './ages'

/** What can hurt here: where the hand is, and what the sheet says. Never a substitute for labels and local rules. */
export interface Caution {
  where: string
  text: string
  hazard?: Hazard
  paper?: string
}
export const hazards = ['heat', 'spray', 'blade', 'drill'] as const
export type Hazard = (typeof hazards)[number]

export const cautions = {
  blade: { where: 'Blade', text: 'one person at a blade, rail down, an adult beside', hazard: 'blade' },
  scissors: { where: 'Scissors', text: 'cut sitting down, points closed when passed' },
  heat: {
    where: 'Heat tool',
    text: 'an adult holds it, always moving, a towel round the other hand; it stays hot when off',
    hazard: 'heat',
    paper: 'Heat tool or hair dryer: an adult only, always moving',
  },
  wax: {
    where: 'Hot wax',
    text: 'an adult only; away from water; let it set before anybody touches it',
    paper: 'Warm wax burns: let it set first',
  },
  mains: {
    where: 'Mains tools',
    text: 'a protected outlet (RCD, GFCI), dry hands, cords away from basins',
    paper: 'Mains tools: dry hands, away from water',
  },
  fuel: {
    where: 'Candle',
    text: 'tissue and ink are fuel: for show, or burn only a wide candle, watched',
    paper: 'Tissue and ink burn: for show, or burn only a wide candle, watched',
  },
  dust: { where: 'Sanding', text: 'wipe the dust damp, don’t blow', paper: 'Wipe dust off damp, don’t blow' },
  'old-paint': { where: 'Found wood', text: 'with old paint is never sanded (lead)', paper: 'Never sand found or old painted wood' },
  skin: { where: 'Skin', text: 'gloves if glue or latex itches; wash hands after', paper: 'Glue itches? Wash it off, wear gloves' },
  water: { where: 'Water', text: 'warm, never hot', paper: 'Warm water, never hot' },
  pulp: { where: 'Pulp', text: 'into the bin, never down the sink', paper: 'Pulp in the bin, never down the sink' },
  rinse: {
    where: 'Brushes',
    text: 'wipe, then rinse in a bucket; no glue or paint down the sink',
    paper: 'No glue or paint down the sink',
  },
  floor: { where: 'Wet floor', text: 'mop at once, cords away from basins' },
  fingers: { where: 'Fingertips', text: 'sore? Swap hands, then rest', paper: 'Sore fingertips? Rest' },
  spray: {
    where: 'Spray',
    text: 'outdoors or extracted, an adult, away from flames',
    hazard: 'spray',
    paper: 'Spray only outdoors, by an adult',
  },
  varnish: { where: 'Varnish', text: 'follow the label; open a window', paper: 'Follow the label on the pot; open a window' },
  rags: {
    where: 'Rags',
    text: 'with stain or oil dry flat outdoors before the bin',
    paper: 'Rags with stain or oil dry flat before the bin',
  },
  drill: {
    where: 'Drill',
    text: 'an adult only, the piece clamped, eye protection',
    hazard: 'drill',
    paper: 'Drill: an adult, clamped, eyes protected',
  },
  glass: { where: 'Glass', text: 'check for chips; carry with two hands', paper: 'Check glass for chips first' },
  household: {
    where: 'At home',
    text: 'out of reach of small children and pets, away from food; never dry it in an oven',
    paper: 'Out of reach of small children and pets, away from food',
  },
  adult: { where: 'Children', text: 'an adult within reach', paper: 'Children: with an adult' },
} satisfies Record<string, Caution>

export type CautionId = keyof typeof cautions

/** What each age may do itself (E; the house may be stricter): no, with an adult at it, yes. */
export const mayTouch: Record<Hazard, Record<AgeBand, 'no' | 'adult at it' | 'yes'>> = {
  heat: { 'under-8': 'no', '8-12': 'no', '13-17': 'no', adult: 'yes' },
  spray: { 'under-8': 'no', '8-12': 'no', '13-17': 'no', adult: 'yes' },
  blade: { 'under-8': 'no', '8-12': 'adult at it', '13-17': 'adult at it', adult: 'yes' },
  drill: { 'under-8': 'no', '8-12': 'no', '13-17': 'no', adult: 'yes' },
}

/** The hazard a caution stands for, if it stands for one. */
export const hazardOf = (id: CautionId): Hazard | undefined => (cautions[id] as Caution).hazard
