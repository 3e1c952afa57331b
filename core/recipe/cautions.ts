import type { AgeBand } from './ages'

/** What can hurt here: where the hand is, and what the sheet says. Never a substitute for labels and local rules. */
interface Caution {
  where: string
  text: string
  hazard?: Hazard
  paper?: string
}
export type Hazard = 'heat' | 'spray' | 'blade'

export const cautions = {
  blade: { where: 'Blade', text: 'one person at a blade, rail down, an adult beside', hazard: 'blade' },
  scissors: { where: 'Scissors', text: 'cut sitting down, points closed when passed' },
  dust: { where: 'Sanding', text: 'wipe the dust damp, don’t blow', paper: 'Wipe dust off damp, don’t blow' },
  'old-paint': { where: 'Found wood', text: 'with old paint is never sanded (lead)', paper: 'Never sand found or old painted wood' },
  skin: { where: 'Skin', text: 'gloves if glue or latex itches; wash hands after', paper: 'Glue itches? Wash it off, wear gloves' },
  water: { where: 'Water', text: 'warm, never hot', paper: 'Warm water, never hot' },
  pulp: { where: 'Pulp', text: 'into the bin, never down the sink', paper: 'Pulp in the bin, never down the sink' },
  floor: { where: 'Wet floor', text: 'mop at once, cords away from basins' },
  fingers: { where: 'Fingertips', text: 'sore? Swap hands, then rest', paper: 'Sore fingertips? Rest' },
  spray: {
    where: 'Spray',
    text: 'outdoors or extracted, an adult, away from flames',
    hazard: 'spray',
    paper: 'Spray only outdoors, by an adult',
  },
  varnish: { where: 'Varnish', text: 'follow the label; open a window', paper: 'Follow the label on the pot; open a window' },
  glass: { where: 'Glass', text: 'check for chips; carry with two hands', paper: 'Check glass for chips first' },
  adult: { where: 'Children', text: 'an adult within reach', paper: 'Children: with an adult' },
} satisfies Record<string, Caution>

export type CautionId = keyof typeof cautions

/** What each age may do itself (E; the house may be stricter): no, with an adult at it, yes. */
export const mayTouch: Record<Hazard, Record<AgeBand, 'no' | 'adult at it' | 'yes'>> = {
  heat: { 'under-8': 'no', '8-12': 'no', '13-17': 'no', adult: 'yes' },
  spray: { 'under-8': 'no', '8-12': 'no', '13-17': 'no', adult: 'yes' },
  blade: { 'under-8': 'no', '8-12': 'adult at it', '13-17': 'adult at it', adult: 'yes' },
}
