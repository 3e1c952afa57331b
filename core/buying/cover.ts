/** A pack on sale, sizes in whole millionths. */
export interface Offer {
  size: number
  price: number
  available: number
  index: number
}

interface Way {
  total: number
  cost: number
  packs: number
  counts: number[]
}

/** More distinct totals than can be held. */
export class TooManyWays extends Error {}
const mostTotals = 400_000

/** The cheapest multiset of offers (sorted by size, larger first) that adds up to `need` or more.
 *  Sparse dynamic programming over the totals that can be reached, pack by pack; limited packs are split into bundles of
 *  1, 2, 4, … The pack with the best price a unit (the larger on a tie), when unlimited, is kept for the end: fewer than
 *  its size (in grid units) of all others can ever be worth buying, since among more of them some add up to a multiple of
 *  it, which it replaces at no more cost and no more packs. So the cost does not grow with the need. Exact. */
export function cover(need: number, offers: Offer[]): Way {
  const grid = offers.reduce((g, o) => gcd(g, o.size), 0)
  const filler = bestRate(offers)
  const others = offers.filter((o) => o !== filler)
  const largest = Math.max(0, ...others.map((o) => o.size))
  const cap = filler ? Math.min(need, (filler.size / grid) * largest) : need
  let ways = new Map<number, Way>([[0, { total: 0, cost: 0, packs: 0, counts: offers.map(() => 0) }]])
  for (const offer of others) ways = withOffer(ways, offer, offers.indexOf(offer), need, cap)
  let best: Way | undefined
  for (const way of ways.values()) {
    const whole = filler ? filled(way, filler, offers.indexOf(filler), need) : way
    if (whole.total >= need && (!best || order(whole, best) < 0)) best = whole
  }
  return best!
}

function filled(way: Way, filler: Offer, at: number, need: number): Way {
  return way.total >= need ? way : added(way, filler, at, Math.ceil((need - way.total) / filler.size))
}

function added(way: Way, offer: Offer, at: number, n: number): Way {
  const counts = way.counts.slice()
  counts[at]! += n
  return { total: way.total + n * offer.size, cost: way.cost + n * offer.price, packs: way.packs + n, counts }
}

/** The unlimited offer with the lowest price a unit, the larger on a tie; only if no limited one beats it matters not:
 *  the exchange it allows is sound for any others that cost no less a unit. */
function bestRate(offers: Offer[]): Offer | undefined {
  let best: Offer | undefined
  for (const o of offers) if (!best || BigInt(o.price) * BigInt(best.size) < BigInt(best.price) * BigInt(o.size)) best = o
  return best && best.available === Infinity ? best : undefined
}

function withOffer(ways: Map<number, Way>, offer: Offer, at: number, need: number, cap: number): Map<number, Way> {
  const enough = Math.ceil(need / offer.size)
  if (offer.available >= enough) return unlimited(ways, offer, at, need, cap)
  let left = offer.available
  for (let bundle = 1; left > 0; bundle *= 2) {
    const n = Math.min(bundle, left)
    left -= n
    for (const way of [...ways.values()]) if (way.total < need && way.total <= cap) keep(ways, added(way, offer, at, n))
  }
  return ways
}

function unlimited(ways: Map<number, Way>, offer: Offer, at: number, need: number, cap: number): Map<number, Way> {
  for (const seed of [...ways.values()].sort((a, b) => a.total - b.total)) {
    let way = ways.get(seed.total)!
    while (way.total < need && way.total <= cap) {
      const next = added(way, offer, at, 1)
      if (!keep(ways, next)) break
      way = next
    }
  }
  return ways
}

function keep(ways: Map<number, Way>, way: Way): boolean {
  const known = ways.get(way.total)
  if (known && order(way, known) >= 0) return false
  if (!known && ways.size >= mostTotals) throw new TooManyWays()
  ways.set(way.total, way)
  return true
}

/** Cost, then total (least left over), then packs, then more of the larger. */
function order(a: Way, b: Way): number {
  if (a.cost !== b.cost) return a.cost - b.cost
  if (a.total !== b.total) return a.total - b.total
  if (a.packs !== b.packs) return a.packs - b.packs
  const i = a.counts.findIndex((n, k) => n !== b.counts[k])
  return i < 0 ? 0 : b.counts[i]! - a.counts[i]!
}

function gcd(a: number, b: number): number {
  while (b) [a, b] = [b, a % b]
  return a
}
