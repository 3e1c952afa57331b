/** Ages are kept as bands only. */
export const ageBands = ['under-8', '8-12', '13-17', 'adult'] as const
export type AgeBand = (typeof ageBands)[number]
