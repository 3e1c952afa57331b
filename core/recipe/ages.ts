import type { Figures } from '#core/figures'
import type { Figure } from '#core/reasons'

/** Ages are kept as bands only. */
export const ageBands = ['under-8', '8-12', '13-17', 'adult'] as const
export type AgeBand = (typeof ageBands)[number]

/** Children to one adult by age band (E; the house may be stricter). Adults need none. */
export const childrenToAdult = (age: AgeBand, figures: Figures): Figure =>
  age === 'adult' ? { value: Infinity, unit: 'count', mark: 'P' } : figures(`ratio.${age}`)
