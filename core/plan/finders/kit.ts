import { isRefusal } from '#core/reasons'
import { firstOpening, shelfPeak, type Occupied } from '#core/sessions'
import { addMinutes, clockOf, minutesBetween } from '#core/time'
import { change, inWorkshop, moveSession } from '#core/workshop'
import type { PlannedDesign } from '../design'
import { shortOnRack } from '../shelf'
import type { Figured, Remedy } from '../shapes'
import { finding, inChoices, remedy, type FindAll } from './ways'

/** The shelf at its fullest: with one's own pieces alone, or with those of other workshops beside them. */
export const shelf: FindAll = (parts, plan) => [...ownShelf(parts, plan), ...sharedShelf(parts, plan)]

const sharedShelf: FindAll = (parts, plan) => {
  const { s } = parts[0]!
  if (!plan.shelf || plan.shelf.places > plan.shelf.capacity) return []
  const peak = shelfPeak(plan.shelf, s.shelves, (lying) => shortOnRack(s.house, lying))
  const { short } = peak
  if (short <= 0) return []
  const values = {
    places: peak.places,
    capacity: peak.places - short,
    short,
    titles: peak.with.map((w) => w.title).join(', '),
    at: peak.at,
  }
  return [
    finding('shelf-shared', 'look', 'sessions', values, [
      ...laterLaying(parts, plan, peak.with),
      ...[fewerSpares(parts, short)].filter((r) => r !== null),
      { ...remedy('more-places', []), link: 'house' as const },
    ]),
  ]
}

/** All classes as much later as lets the laying begin when the others have lifted theirs, inside opening hours. */
function laterLaying(parts: readonly PlannedDesign[], plan: Figured, others: readonly Occupied[]): Remedy[] {
  const { s } = parts[0]!
  const first = s.sessions.find((x) => x.id === plan.split.cure?.laidIn)
  if (!first || others.length === 0) return []
  const free = others.map((o) => o.to).reduce((a, b) => (minutesBetween(a, b) > 0 ? b : a))
  const at = firstOpening(free, first.minutes, clockOf(first.from), s.hours)
  if (!at) return []
  const by = minutesBetween(first.from, at)
  const changes = s.sessions.flatMap((x) => {
    const stored = s.workshop.sessions.find((y) => y.id === x.id)!
    return minutesBetween(s.now, x.from) > 0 ? moveSession(stored, addMinutes(x.from, by), x.minutes) : []
  })
  return by > 0 && changes.length > 0 ? [remedy('move-all', changes, { at })] : []
}

const ownShelf: FindAll = (parts, plan) =>
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
