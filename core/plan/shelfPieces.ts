import type { House } from '#core/house'
import { placeOnRack, type Footprint, type Place } from '#core/shelf'
import { bySeat } from '#core/takehome'
import { minutesBetween, type Zoned } from '#core/time'
import type { Plan } from './shapes'

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
    const rest = Math.max(0, count - samples - own.length - d.spares.used)
    const more = (what: 'spare' | 'sample', n: number) =>
      Array.from({ length: n }, (_, i): OnShelf => {
        return {
          ...common,
          ...told,
          id: `${id}.${what}.${design}.${i + 1}`,
          participant: null,
          what,
          number: i + 1,
          laid: own.some((x) => x.laid),
        }
      })
    return [...own.slice(0, count), ...more('spare', rest), ...more('sample', samples)].slice(0, count)
  })
}

/** Gives every piece its place on the house's boards, what lies there before what is only planned, the first laid first; on a rack that was only counted, a number. */
export function shelfPlaces(house: Pick<House, 'rack' | 'shelfPlaces'>, pieces: readonly OnShelf[]): Map<string, Place> {
  const order = [...pieces].sort(
    (a, b) =>
      Number(b.laid) - Number(a.laid) || minutesBetween(b.from, a.from) || (a.workshop < b.workshop ? -1 : a.workshop > b.workshop ? 1 : 0),
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
