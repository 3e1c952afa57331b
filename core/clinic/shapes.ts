import type { Mark } from '#core/reasons'

/** What is known of how a piece was made; what is missing is not known and speaks neither for nor against. */
export interface Making {
  /** Elapsed wait over the least and over the recommended one. */
  cureShare?: number
  cureShareBetter?: number
  coat?: string
  surface?: string
  material?: string
  wetting?: string
  rubWith?: string
  laterWater?: string
  rounds?: number
  gsm?: number
  coated?: boolean
  printer?: string
  smear?: string
  readsRight?: boolean
  dpi?: number
  insideMargin?: boolean
  overlapMm?: number
  /** Distance of the nearest seam's middle from the picture's middle, as a share of its side. */
  seamFromMiddle?: number
  seams?: number
  sealWhen?: string
  topCoat?: string
  humidity?: number
  celsius?: number
  cut?: string
  heatBy?: string
}
export type Fact = keyof Making

/** When a fact speaks. `is` compares words and yes/no, the others compare numbers. */
export type When = { fact: Fact } & ({ below: number } | { atLeast: number } | { is: string | boolean } | { isNot: string | boolean })

/** Something that speaks for (weight above 0) or against (below 0) a cause. Weights are blocks on a balance, E. */
export interface Evidence {
  weight: number
  said: string
  when?: When
  /** Or an answer to a closer look. */
  answer?: { question: string; is: string }
}

export interface Symptom {
  id: string
  name: string
  look: string
  feel: string
  /** Where worn is aimed at it may stay: it is no fault unless it took a face or lettering. */
  charm?: true
}

export interface Question {
  id: string
  ask: string
  options: { id: string; name: string }[]
  /** Asked when one of these symptoms is seen. */
  symptoms: string[]
}

export interface Cause {
  id: string
  name: string
  /** Only where a stage with one of these ids is in the recipe; left out, everywhere. */
  stages?: string[]
  /** The symptoms it explains, and how well: 1 to 3 blocks. */
  explains: Record<string, number>
  evidence: Evidence[]
  now: string
  next: string
  mark: Mark
}

export interface Ranked {
  cause: Cause
  sum: number
  word: 'likely' | 'possible' | 'can’t tell' | 'unlikely' | 'ruled out'
  for: Evidence[]
  against: Evidence[]
}
