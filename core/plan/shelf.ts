import type { House } from '#core/house'
import { placeOnRack, roomFor, type Footprint, type Place } from '#core/shelf'
import { minutesBetween, type Zoned } from '#core/time'
import type { Occupied } from '#core/sessions'
import { bySeat } from '#core/takehome'
import type { Plan, Shelf } from './shapes'
import type { Situation } from './situation'

/** What one piece takes of a board, in mm: what stands is as wide as deep, what lies is as high as thick; its free border with it. */
export function footprintOf({ kind, design }: Pick<Situation, 'kind' | 'design'>): Footprint {
  const [w, h, free] = [design.width.mm, design.height.mm, kind.spacing.value]
  const thick = design.thickness?.mm ?? kind.thicknessMm
  if (kind.dries.startsWith('standing')) return { widthMm: w + free, depthMm: w + free, heightMm: h }
  return { widthMm: w + free, depthMm: h + free, heightMm: thick }
}

/** All designs' pieces lie on one shelf: from the first laid to the last lifted. On measured boards it takes what finds a place there. */
export function sharedShelf(all: readonly (Shelf | null)[], house: Pick<House, 'rack'>): Shelf | null {
  const shelf = all.reduce((a, b) => {
    if (!a || !b) return a ?? b
    const from = minutesBetween(a.from, b.from) < 0 ? b.from : a.from
    const to = minutesBetween(a.to, b.to) > 0 ? b.to : a.to
    return { from, to, places: a.places + b.places, sizes: [...a.sizes, ...b.sizes], capacity: a.capacity }
  }, null)
  if (!shelf || !house.rack?.length) return shelf
  const { short, free } = roomFor(house.rack, shelf.sizes)
  return { ...shelf, capacity: shelf.places - short + free }
}

/** A piece that lies on the shelf: somebody's, a spare or a sample, of which workshop, from when to when, and when it may be rubbed. */
export interface OnShelf {
  id: string
  workshop: string
  title: string
  participant: string | null
  what: 'piece' | 'spare' | 'sample'
  design: string
  number: number
  size: Footprint
  from: Zoned
  to: Zoned
  /** To the minute; and what people are told. */
  neverBefore: Zoned
  tellAt: Zoned
  /** It was laid; otherwise it is planned. */
  laid: boolean
}

/** What of a workshop lies on the shelf, in the order of the seats, spares and samples last: as many as its plan counts. */
export function shelfPieces(workshop: { id: string; title: string }, plan: Plan): OnShelf[] {
  const { shelf } = plan
  if (!shelf) return []
  const { id, title } = workshop
  return shelf.sizes.flatMap(({ design, size, count }) => {
    const d = plan.designs.find((x) => x.design === design)!
    const cure = d.split.cure!
    // Spares and samples are laid with the last of the class.
    const last = plan.takeHome
      .filter((t) => t.design === design && t.cures)
      .reduce(
        (a, b) => (a && minutesBetween(a.cures!.laidAt, b.cures!.laidAt) <= 0 ? a : b),
        undefined as Plan['takeHome'][number] | undefined,
      )
    const told = { neverBefore: last?.cures!.neverBefore ?? cure.earliestAt, tellAt: last?.cures!.tellAt ?? cure.recommendedAt }
    const common = { workshop: id, title, design, size, from: cure.laidAt, to: shelf.to }
    const own = bySeat(plan.takeHome.filter((t) => t.design === design && t.group !== 'not-laid' && t.group !== 'all-at-home')).map(
      (t): OnShelf => ({
        ...common,
        id: `${id}.${t.participant}.${design}.${t.number}`,
        participant: t.participant,
        what: 'piece',
        number: t.number,
        from: t.cures?.laidAt ?? cure.laidAt,
        neverBefore: t.cures?.neverBefore ?? told.neverBefore,
        tellAt: t.cures?.tellAt ?? told.tellAt,
        laid: t.known,
      }),
    )
    const samples = Math.min(d.samples.count, count)
    const rest = Math.max(0, count - samples - own.length)
    const more = (what: 'spare' | 'sample', n: number) =>
      Array.from({ length: n }, (_, i): OnShelf => {
        return { ...common, ...told, id: `${id}.${what}.${design}.${i + 1}`, participant: null, what, number: i + 1, laid: false }
      })
    return [...own.slice(0, count), ...more('spare', rest), ...more('sample', samples)].slice(0, count)
  })
}

/** Gives every piece its place on the house's boards, those laid first before others; on a rack that was only counted, a number. */
export function shelfPlaces(house: Pick<House, 'rack' | 'shelfPlaces'>, pieces: readonly OnShelf[]): Map<string, Place> {
  const order = [...pieces].sort(
    (a, b) => minutesBetween(b.from, a.from) || (a.workshop < b.workshop ? -1 : a.workshop > b.workshop ? 1 : 0),
  )
  const first = order[0]?.from
  const counted = { id: 'rack', name: '', widthMm: house.shelfPlaces, depthMm: 1, clearMm: 1 }
  const boards = house.rack?.length ? house.rack : [counted]
  const { places } = placeOnRack(
    boards,
    order.map((p) => ({
      ...(house.rack?.length ? p.size : { widthMm: 1, depthMm: 1, heightMm: 1 }),
      id: p.id,
      fromMin: minutesBetween(first!, p.from),
      toMin: minutesBetween(first!, p.to),
    })),
  )
  return new Map(places.map((p) => [p.id, { ...p, label: p.label.replace(/^-/, '') }]))
}

/** How many of those that lie there together find no place on the house's rack. */
export function shortOnRack(house: Pick<House, 'rack' | 'shelfPlaces'>, lying: readonly Pick<Occupied, 'places' | 'sizes'>[]): number {
  if (house.rack?.length)
    return roomFor(
      house.rack,
      lying.flatMap((o) => o.sizes),
    ).short
  return Math.max(0, lying.reduce((sum, o) => sum + o.places, 0) - house.shelfPlaces)
}
