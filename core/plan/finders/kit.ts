import { isRefusal } from '#core/reasons'
import { change, inWorkshop } from '#core/workshop'
import type { PlannedDesign } from '../design'
import type { Remedy } from '../shapes'
import { finding, inChoices, remedy, type FindAll } from './ways'

export const shelf: FindAll = (parts, plan) =>
  plan.shelf && plan.shelf.places > plan.shelf.capacity
    ? [
        finding(
          'shelf-short',
          'look',
          'sessions',
          { places: plan.shelf.places, capacity: plan.shelf.capacity, short: plan.shelf.places - plan.shelf.capacity },
          [fewerSpares(parts, plan.shelf.places - plan.shelf.capacity), { ...remedy('more-places', []), link: 'house' as const }].filter(
            (r) => r !== null,
          ),
        ),
      ]
    : []

/** Fewer spares of the design that has most. */
function fewerSpares(parts: readonly PlannedDesign[], by: number): Remedy | null {
  const { s, d } = parts.reduce((a, b) => (b.d.spares.count > a.d.spares.count ? b : a))
  const after = d.spares.count - by
  return after < 0 ? null : remedy('fewer-spares', [change(s.workshop, inChoices(s).spares, after)], { spares: after })
}

/** A pack that is bought for the last tenth of it or less, where fewer spares or a shared cup may save it. */
export const wholePack: FindAll = (parts, plan) =>
  plan.kit.flatMap((l) => {
    const bought = l.toGet.purchase
    if (isRefusal(bought) || l.unit !== 'ml' || l.toGet.packs.length === 0) return []
    const smallest = l.toGet.packs.reduce((a, b) => (b.size < a.size ? b : a))
    const into = smallest.size - bought.leftOver
    if (into > smallest.size / 10 || (l.toGet.packs.length === 1 && smallest.count === 1)) return []
    const wider = l.share?.options[l.share.options.indexOf(l.share.by) + 1]
    const ways = [
      ...(wider
        ? [remedy('share-by', [change(parts[0]!.s.workshop, inWorkshop.choices.share(l.material), wider)], { share: wider, what: l.name })]
        : []),
      fewerSpares(parts, 1),
    ].filter((r) => r !== null)
    return [
      {
        ...finding(
          'whole-pack',
          'look',
          'kit',
          { ml: Number(into.toFixed(1)), noun: smallest.noun, size: smallest.size, what: l.name },
          ways,
        ),
        mark: 'E' as const,
      },
    ]
  })
