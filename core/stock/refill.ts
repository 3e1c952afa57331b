import type { Bin, Offer } from './search'

/** What is compared first and second. */
type Cost = readonly [number, number]

/** Fillings of one length looked at before its fullest so far is taken. */
const fillSteps = 1200

/** Takes some lengths of a plan apart and fills lengths anew with what they held, each as full as it gets, so many times: what is no dearer
 *  is kept, and another plan of the same cost may lead on. The largest piece left always goes in first. Own method, after the bin-oriented
 *  heuristics of Gupta and Ho (1999) and ruin and recreate. Deterministic for its seed; ends when `enough` says so. */
export function refill(
  start: readonly Bin[],
  offers: readonly Offer[],
  costOf: (o: Offer) => Cost,
  enough: (bins: readonly Bin[]) => boolean,
  tries: number,
): Bin[] {
  let seed = 20_261_128
  const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
  let bins = start.map((b) => ({ offer: b.offer, items: [...b.items] }))
  const used = (b: Bin) => b.items.reduce((sum, x) => sum + x, 0)
  const costs = (list: readonly Bin[]): Cost =>
    list.reduce<Cost>((sum, b) => [sum[0] + costOf(b.offer)[0], sum[1] + costOf(b.offer)[1]], [0, 0])
  const noDearer = (a: Cost, b: Cost) => a[0] < b[0] || (a[0] === b[0] && a[1] <= b[1])
  for (let n = 0; n < tries && !enough(bins); n++) {
    // The emptiest are likelier to be taken apart, and others with them: what they hold must find better company.
    const order = bins
      .map((b, i) => ({ i, by: (b.offer.size - used(b)) / b.offer.size + 0.7 * random() }))
      .sort((a, b) => b.by - a.by)
      .map((o) => o.i)
    const apart = new Set(order.slice(0, Math.min(bins.length, 2 + Math.floor(7 * random()))))
    const taken = bins.filter((_, i) => apart.has(i))
    const pool = taken.flatMap((b) => b.items).sort((a, b) => b - a)
    const again = fillAll(pool, offers, costOf, random)
    if (again && noDearer(costs(again), costs(taken))) bins = [...bins.filter((_, i) => !apart.has(i)), ...again]
  }
  return bins
}

/** Lengths for all of the pool, one after another; undefined where the largest piece fits none. */
function fillAll(pool: readonly number[], offers: readonly Offer[], costOf: (o: Offer) => Cost, random: () => number): Bin[] | undefined {
  const left = [...pool]
  const bins: Bin[] = []
  while (left.length > 0) {
    let best: { offer: Offer; items: number[]; worth: number } | undefined
    for (const offer of offers) {
      if (offer.size < left[0]!) continue
      const items = fullest(left, offer.size, random)
      const held = items.reduce((sum, x) => sum + x, 0)
      const [first, second] = costOf(offer)
      // Dear is what costs much for what it holds; with one cost for all, the largest holds most.
      const worth = first / held + (1e-9 * second) / held
      if (!best || worth < best.worth) best = { offer, items, worth }
    }
    if (!best) return undefined
    for (const x of best.items) left.splice(left.indexOf(x), 1)
    bins.push({ offer: best.offer, items: best.items })
  }
  // Each in the shortest, or cheapest, that still holds it.
  return bins.map((b) => {
    const held = b.items.reduce((sum, x) => sum + x, 0)
    const fits = offers.filter((o) => o.size >= held)
    return { ...b, offer: fits.reduce((a, o) => (lessOf(costOf(o), costOf(a)) ? o : a), b.offer) }
  })
}
const lessOf = (a: Cost, b: Cost) => a[0] < b[0] || (a[0] === b[0] && a[1] < b[1])

/** The fullest filling with the largest piece in it; among the others some are passed over now and then, so that plans differ. */
function fullest(sorted: readonly number[], size: number, random: () => number): number[] {
  const rest = sorted.slice(1).filter(() => random() > 0.04)
  const room = size - sorted[0]!
  let best = -1
  let kept: number[] = []
  let steps = 0
  const after = new Array<number>(rest.length + 1).fill(0)
  for (let k = rest.length - 1; k >= 0; k--) after[k] = after[k + 1]! + rest[k]!
  const now: number[] = []
  const visit = (k: number, left: number): boolean => {
    const held = room - left
    if (held > best) {
      best = held
      kept = [...now]
    }
    if (best === room || ++steps > fillSteps) return true
    if (held + after[k]! <= best) return false
    for (let i = k; i < rest.length; i++) {
      if (rest[i]! > left) continue
      if (i > k && rest[i] === rest[i - 1]) continue
      now.push(rest[i]!)
      const done = visit(i + 1, left - rest[i]!)
      now.pop()
      if (done) return true
    }
    return false
  }
  visit(0, room)
  return [sorted[0]!, ...kept]
}
