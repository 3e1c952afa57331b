import type { House } from '#core/house'
import type { Recipe } from '#core/recipe'
import type { Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'
import { difference, type Difference } from './difference'
import { planWorkshop } from './plan'

/** What taking recipe `b` instead of `a` means for each plan that its surfaces allow: what differs in cost, earliest times,
 *  minutes in class, packs and adults. Both recipes are planned, whatever the workshop has chosen. */
export function swapRecipe(
  workshops: readonly Workshop[],
  house: House,
  a: Recipe,
  b: Recipe,
  now: Zoned,
): { workshop: Workshop; differences: Difference[] }[] {
  return workshops
    .filter((w) => !w.archivedAt && w.designs.some((d) => d.material in b.surfaces))
    .map((w) => {
      const by = (r: Recipe) =>
        planWorkshop({
          workshop: {
            ...w,
            designs: w.designs.map((d) => (d.material in b.surfaces ? { ...d, recipe: { id: r.id, version: r.version } } : d)),
          },
          house,
          now,
        })
      return { workshop: w, differences: difference(by(a), by(b)).filter((d) => d.by !== 0 && counts.test(d.key)) }
    })
}

const counts = /^(cost-bought|session\/|earliest|recommended|packs\/|adults)/
