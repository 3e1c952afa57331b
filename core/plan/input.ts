import * as v from 'valibot'
import { houseShape } from '#core/house'
import { instant } from '#core/time'
import { workshopShape } from '#core/workshop'

/** What `bin/compute plan` and the server take: a workshop, its house and now. Recipes are the catalogue's. */
export const planInput = v.object({
  workshop: workshopShape,
  house: houseShape,
  evidence: v.optional(
    v.record(v.string(), v.object({ good: v.pipe(v.number(), v.minValue(0)), failed: v.pipe(v.number(), v.minValue(0)) })),
  ),
  reserved: v.optional(v.record(v.pipe(v.string(), v.maxLength(64)), v.pipe(v.number(), v.minValue(0)))),
  now: instant(),
})
