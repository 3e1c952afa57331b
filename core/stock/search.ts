import { refill } from './refill'

/** A kind of length: its size with one kerf added, as whole millionths of a mm. */
export interface Offer {
  size: number
  price: number | undefined
  left: number
  index: number
}
export interface Bin {
  offer: Offer
  /** Item sizes (kerf added), largest first. */
  items: number[]
}
interface Item {
  size: number
  count: number
}
/** What is compared first and second: price then lengths, or lengths then total length. */
type Cost = readonly [number, number]

/** Fillings looked at before the best so far is given. */
const steps = 60_000
/** Times a plan is taken apart and filled anew. */
const refills = 900
/** Plans of more lengths than this are not searched, only built. */
const deepest = 400
const less = (a: Cost, b: Cost) => a[0] < b[0] || (a[0] === b[0] && a[1] < b[1])
const plus = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1]]

/** The cheapest lengths that hold all items; sizes have a kerf added, so a filling is a plain knapsack. `proven` says that the
 *  search finished or met its bound; `bins` is missing where none was found. Deterministic; ties: larger lengths first. */
export function cheapestCuts(list: Item[], stock: Offer[]): { bins?: Bin[]; lowerBound: number; proven: boolean } {
  const items = merge(list)
  const offers = [...stock].sort((a, b) => b.size - a.size || (a.price ?? 0) - (b.price ?? 0) || a.index - b.index)
  const costOf = (o: Offer): Cost => (o.price === undefined ? [1, o.size] : [o.price, 1])
  const total = items.reduce((sum, x) => sum + x.size * x.count, 0)
  if (total === 0) return { bins: [], lowerBound: 0, proven: true }
  const lowerBound = fewest(items, offers, total)
  const search = new Search(items, offers, costOf, lowerBound)
  const { best, cost, finished } = search.run(total)
  if (!best) return { lowerBound, proven: finished }
  const priced = offers.some((o) => o.price !== undefined)
  const proven = finished || (!priced && best.length === lowerBound && sameLengths(offers)) || !less(search.bound(total), cost)
  return { bins: best, lowerBound: proven && !priced ? best.length : lowerBound, proven }
}

const sameLengths = (offers: Offer[]) => new Set(offers.map((o) => o.size)).size <= 1

function merge(list: Item[]): Item[] {
  const by = new Map<number, number>()
  for (const x of list) by.set(x.size, (by.get(x.size) ?? 0) + x.count)
  return [...by].map(([size, count]) => ({ size, count })).sort((a, b) => b.size - a.size)
}

/** Lengths that any plan needs: by what they hold together, by items of which no two share one, and by how many of the
 *  smallest items fit at all. */
function fewest(items: Item[], offers: Offer[], total: number): number {
  let held = 0
  let n = 0
  for (const o of offers) {
    if (held >= total) break
    const more = Math.min(o.left, Math.ceil((total - held) / o.size))
    held += more * o.size
    n += more
  }
  const longest = offers[0]?.size ?? 0
  const large = items.filter((x) => x.size * 2 > longest).reduce((sum, x) => sum + x.count, 0)
  const byCount = Math.max(
    0,
    ...items.map((x, i) =>
      Math.ceil(items.slice(0, i + 1).reduce((sum, y) => sum + y.count, 0) / Math.max(1, Math.floor(longest / x.size))),
    ),
  )
  return Math.max(n, large, byCount, byHalves(items, longest))
}

/** Martello and Toth (1990): pieces above half a length stand alone; pieces down to some size fill what those leave, and what is over needs
 *  lengths of its own; the best of all sizes. */
function byHalves(items: Item[], longest: number): number {
  const sum = (list: Item[]) => list.reduce((total, x) => total + x.size * x.count, 0)
  const count = (list: Item[]) => list.reduce((total, x) => total + x.count, 0)
  const small = items.filter((x) => x.size * 2 <= longest)
  return Math.max(
    0,
    ...small.map(({ size }) => {
      const alone = items.filter((x) => x.size > longest - size)
      const shared = items.filter((x) => x.size * 2 > longest && x.size <= longest - size)
      const fill = small.filter((x) => x.size >= size)
      const over = sum(fill) - (count(shared) * longest - sum(shared))
      return count(alone) + count(shared) + Math.max(0, Math.ceil(over / longest))
    }),
  )
}

/** Branch and bound: the largest item left goes into some length; of every kind of length the maximal fillings with it are
 *  tried, the fullest first. A filling that could take one item more is never better. */
class Search {
  private left: number[]
  private best: Bin[] | undefined
  private cost: Cost = [Infinity, Infinity]
  private spent = 0
  private readonly bins: Bin[] = []
  private readonly stock: number[]

  constructor(
    private readonly items: Item[],
    private readonly offers: Offer[],
    private readonly costOf: (o: Offer) => Cost,
    /** No plan has fewer lengths. */
    private readonly least: number,
  ) {
    this.left = items.map((x) => x.count)
    this.stock = offers.map((o) => o.left)
  }

  run(total: number): { best: Bin[] | undefined; cost: Cost; finished: boolean } {
    for (const size of new Set(this.offers.map((o) => o.size))) this.greedy(size)
    this.greedy(Infinity)
    if (this.best && !less(this.bound(total), this.cost)) return { best: this.best, cost: this.cost, finished: true }
    this.again(total)
    if (this.best && this.met(this.best, total)) return { best: this.best, cost: this.cost, finished: true }
    if ((this.best?.length ?? 0) > deepest) return { best: this.best, cost: this.cost, finished: false }
    this.visit(total, [0, 0])
    return { best: this.best, cost: this.cost, finished: this.spent < steps }
  }

  /** What so much still costs at the least: every length filled to the brim, none cut from stock that is gone. */
  bound(total: number): Cost {
    const first = this.fill(total, (o) => this.costOf(o)[0])
    const second = this.fill(total, (o) => this.costOf(o)[1])
    return [Math.ceil(first - 1e-9), Math.ceil(second - 1e-9)]
  }

  private fill(total: number, price: (o: Offer) => number): number {
    let rest = total
    let sum = 0
    const order = this.offers.map((o, i) => ({ o, i })).sort((a, b) => price(a.o) / a.o.size - price(b.o) / b.o.size)
    for (const { o, i } of order) {
      if (rest <= 0) break
      const n = Math.min(this.stock[i]!, rest / o.size)
      sum += n * price(o)
      rest -= n * o.size
    }
    return rest > 0 ? Infinity : sum
  }

  private keep(bins: Bin[]): void {
    const cost = bins.map((b) => this.costOf(b.offer)).reduce(plus, [0, 0])
    if (!less(cost, this.cost)) return
    this.cost = cost
    this.best = bins.map((b) => ({ offer: b.offer, items: [...b.items] }))
  }

  /** Fills lengths one after another, each as full as it gets, of one size first; then each is swapped for the cheapest that
   *  still holds its pieces. */
  private greedy(prefer: number): void {
    const left = this.items.map((x) => x.count)
    const stock = [...this.stock]
    const bins: Bin[] = []
    while (left.some((n) => n > 0)) {
      const largest = this.items[left.findIndex((n) => n > 0)]!.size
      const fits = this.offers.map((o, i) => ({ o, i })).filter(({ o, i }) => stock[i]! > 0 && o.size >= largest)
      const pick = fits.find(({ o }) => o.size === prefer) ?? fits[0]
      if (!pick) return
      stock[pick.i]!--
      const items: number[] = []
      let room = pick.o.size
      this.items.forEach((x, k) => {
        const n = Math.min(left[k]!, Math.floor(room / x.size))
        for (let j = 0; j < n; j++) items.push(x.size)
        left[k]! -= n
        room -= n * x.size
      })
      bins.push({ offer: pick.o, items })
    }
    for (const b of bins) {
      const used = b.items.reduce((sum, x) => sum + x, 0)
      const now = this.offers.indexOf(b.offer)
      const cheaper = this.offers
        .map((o, i) => ({ o, i }))
        .filter(({ o, i }) => (i === now || stock[i]! > 0) && o.size >= used)
        .sort((x, y) => (less(this.costOf(x.o), this.costOf(y.o)) ? -1 : less(this.costOf(y.o), this.costOf(x.o)) ? 1 : 0))[0]!
      if (cheaper.i === now) continue
      stock[now]!++
      stock[cheaper.i]!--
      b.offer = cheaper.o
    }
    this.keep(bins)
  }

  /** The best so far, taken apart and filled anew, where there is as much of each length as is asked for. */
  private again(total: number): void {
    if (!this.best || this.stock.some((n) => n !== Infinity) || this.best.length < 2) return
    this.keep(refill(this.best, this.offers, this.costOf, (bins) => this.met(bins, total), refills))
  }

  /** Nothing can be better: as cheap as the bound, or, of one length without a price, as few as any plan needs. */
  private met(bins: readonly Bin[], total: number): boolean {
    const plain = sameLengths(this.offers) && this.offers.every((o) => o.price === undefined)
    return (plain && bins.length <= this.least) || !less(this.bound(total), bins.map((b) => this.costOf(b.offer)).reduce(plus, [0, 0]))
  }

  private visit(total: number, cost: Cost): void {
    if (this.spent >= steps) return
    this.spent++
    const first = this.left.findIndex((n) => n > 0)
    if (first < 0) {
      this.keep(this.bins)
      return
    }
    if (!less(plus(cost, this.bound(total)), this.cost)) return
    this.offers.forEach((o, i) => {
      if (this.stock[i]! <= 0 || o.size < this.items[first]!.size) return
      this.stock[i]!--
      for (const filling of this.fillings(first, o.size)) {
        const items = filling.flatMap((n, k) => Array.from({ length: n }, () => this.items[k]!.size))
        filling.forEach((n, k) => (this.left[k]! -= n))
        this.bins.push({ offer: o, items })
        this.visit(total - items.reduce((sum, x) => sum + x, 0), plus(cost, this.costOf(o)))
        this.bins.pop()
        filling.forEach((n, k) => (this.left[k]! += n))
        if (this.spent >= steps) break
      }
      this.stock[i]!++
    })
  }

  /** Maximal fillings that hold the first item, the fullest first. */
  private fillings(first: number, size: number): number[][] {
    const found: { counts: number[]; room: number }[] = []
    const counts = this.items.map(() => 0)
    const visit = (k: number, room: number) => {
      if (this.spent >= steps) return
      this.spent++
      if (k === this.items.length) {
        if (this.items.every((x, j) => counts[j]! >= this.left[j]! || x.size > room)) found.push({ counts: [...counts], room })
        return
      }
      const most = Math.min(this.left[k]!, Math.floor(room / this.items[k]!.size))
      for (let n = most; n >= (k === first ? 1 : 0); n--) {
        counts[k] = n
        visit(k + 1, room - n * this.items[k]!.size)
      }
      counts[k] = 0
    }
    visit(first, size)
    return found.sort((a, b) => a.room - b.room).map((f) => f.counts)
  }
}
