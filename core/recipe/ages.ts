/** Ages are kept as bands only. */
export const ageBands = ['under-8', '8-12', '13-17', 'adult'] as const
export type AgeBand = (typeof ageBands)[number]

/** Children to one adult by age band (E; the house may be stricter). Adults need none. */
export const childrenToAdult: Record<AgeBand, number> = { 'under-8': 4, '8-12': 6, '13-17': 10, adult: Infinity }
