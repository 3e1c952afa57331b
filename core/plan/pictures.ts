import type { PictureContext } from '#core/pictures'
import { blankMaterial } from '#core/recipe'
import type { Figured } from './shapes'
import type { Situation } from './situation'

/** A choice of this plan puts white under the picture. */
export const paintedWhite = (s: Situation): boolean =>
  s.resolved.chosen.some((c) => c.option.effects.some((e) => e.kind === 'whites' && e.whites === 'white'))

/** What the pictures of this plan are judged against. */
export const pictureContext = (s: Situation, plan: Figured): PictureContext => ({
  print: s.picture,
  outline: s.cut,
  whites: plan.whites,
  surfaceIsWhite: (blankMaterial(s.design.material)?.white ?? false) || paintedWhite(s),
  readsRight: plan.print.orientation.flips % 2 === 0,
  mirrored: plan.print.mirrored,
  ...(plan.tape && {
    tape: { widthMm: s.resolved.tapeWidth.value, overlapMm: s.figures('tape.overlap').value, marginMm: plan.tape.marginMm },
  }),
})
