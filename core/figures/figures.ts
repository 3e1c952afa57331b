import * as v from 'valibot'
import type { Figure } from '#core/reasons'
import { boundsOf, practiceFigures, type FigureKey } from './practice'

/** A house's own value of a figure: set by whom, when and why. */
export const ownFigureShape = v.object({
  value: v.pipe(v.number('not a number | Give a number.'), v.finite('not a number | Give a number.')),
  by: v.pipe(v.string(), v.maxLength(80)),
  on: v.pipe(v.string(), v.regex(/^\d{4}-\d\d-\d\d$/, 'not a day | Write it like 2027-03-04.')),
  why: v.pipe(v.string(), v.maxLength(160, 'longer than 160 letters | Shorten it.')),
})
export type OwnFigure = v.InferOutput<typeof ownFigureShape>
export type OwnFigures = Readonly<Record<string, OwnFigure>>

/** What names a figure: words and numbers with dots between. */
export const figureKey = v.pipe(v.string(), v.maxLength(120), v.regex(/^[A-Za-z0-9-]+(\.[A-Za-z0-9 -]+)*$/, 'not a figure'))

/** Figures as they hold in a house: those of no single method by their key, any other by its key and what practice says. */
export interface Figures {
  (key: FigureKey): Figure
  of: (key: string, practice: Figure) => Figure
}

/** A figure with its key, and a house's own value (Y) where it has one; kept within its bounds. */
function ownOf(key: string, practice: Figure, own: OwnFigures | undefined): Figure {
  const mine = own?.[key]
  if (!mine) return { ...practice, key }
  const { least, most } = boundsOf(key, practice)
  return { value: Math.min(most, Math.max(least, mine.value)), unit: practice.unit, mark: 'Y', key }
}

/** The figures as they hold with a house's own values. */
export function figuresWith(own: OwnFigures | undefined): Figures {
  const known = new Map<FigureKey, Figure>()
  const byKey = (key: FigureKey): Figure => {
    if (!known.has(key)) known.set(key, ownOf(key, practiceFigures[key], own))
    return known.get(key)!
  }
  return Object.assign(byKey, { of: (key: string, practice: Figure) => ownOf(key, practice, own) })
}

/** The figures as practice has them. */
export const asPractised: Figures = figuresWith(undefined)
