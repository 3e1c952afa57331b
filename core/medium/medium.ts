import * as v from 'valibot'
import { asPractised, type Figures } from '#core/figures'
import type { Figure } from '#core/reasons'
import { Decimal, decimal, whole } from '#core/units'

export const coats = ['light', 'moderate', 'generous', 'heavy'] as const
export type Coat = (typeof coats)[number]

/** Wet film thickness in um; heavy is so thick that the picture nearly disappears. */
export const filmUm = (coat: Coat, figures: Figures = asPractised): Figure => figures(`film.${coat}`)

export const mediumInput = v.object({
  pieces: whole({ min: 0, max: 1_000_000 }),
  areaMm2: decimal({ min: 0, max: 1e9 }),
  filmUm: decimal({ min: 0, max: 100_000 }),
  coats: whole({ min: 0, max: 100 }),
  wasteShare: decimal({ min: 0, max: 10 }),
  brushes: whole({ min: 0, max: 1_000_000 }),
  heldPerBrushMl: decimal({ min: 0, max: 100_000 }),
})
export type MediumInput = v.InferInput<typeof mediumInput>

/** Medium, gesso or varnish in ml: pieces x area x film x coats / 1e6 x (1 + waste) + brushes x held.
 *  100 um over 1 m2 is 100 ml. Waste does not apply to what stays in the brushes. Exact, not rounded. */
export function mediumNeed(i: v.InferOutput<typeof mediumInput>): Decimal {
  const film = new Decimal(i.pieces).times(i.areaMm2).times(i.filmUm).times(i.coats).div(1e6)
  return film.times(i.wasteShare.plus(1)).plus(i.heldPerBrushMl.times(i.brushes))
}
