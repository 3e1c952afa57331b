import { t } from '#core/language'

/** The title of a calendar entry. */
export const icsSummary = (workshop: string, number: number, of: number): string =>
  of > 1 ? t('{0}, class {1} of {2}', workshop, number, of) : workshop
