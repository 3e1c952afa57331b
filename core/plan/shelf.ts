import type { House } from '#core/house'
import { roomFor, type Footprint } from '#core/shelf'
import { minutesBetween } from '#core/time'
import type { Occupied } from '#core/sessions'
import type { Shelf } from './shapes'
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

/** How many of those that lie there together find no place on the house's rack. */
export function shortOnRack(house: Pick<House, 'rack' | 'shelfPlaces'>, lying: readonly Pick<Occupied, 'places' | 'sizes'>[]): number {
  if (house.rack?.length)
    return roomFor(
      house.rack,
      lying.flatMap((o) => o.sizes),
    ).short
  return Math.max(0, lying.reduce((sum, o) => sum + o.places, 0) - house.shelfPlaces)
}
