import type { Plan } from '#core/plan'
import { pictureOf, picturesOf } from '#core/pictures'
import { tileOverlapMm, tilesOf } from '#core/sheets'
import type { Size } from '#core/units'
import { firstDesign, piecesOf, type Picture, type Workshop } from '#core/workshop'

/** One print: whose, of which picture, what for, how large (its border to hold included), in mm. */
export interface Print {
  /** Stays the same as long as it is the same person's print for the same purpose. */
  id: string
  picture: Picture | null
  participant: string | null
  /** The design it is for, and which of its owner's pieces of that design. */
  design: string
  number: number
  purpose: 'piece' | 'copy' | 'spare' | 'sample'
  /** On its tab: a name, or the seat; `seat` stands in where no font can draw the name. */
  label: string
  seat?: string
  widthMm: number
  heightMm: number
  /** Of a picture larger than the paper: which part of it this is. */
  part?: { column: number; row: number; columns: number; rows: number; xMm: number; yMm: number }
}

/** Everything that is printed for a design (the one whose plan it is), in the order in which it is cut and handed out: samples first, then people table
 *  by table, those whose picture is not in yet, copies that are kept for patching, spares last. */
export function printsOf(plan: Plan, workshop: Workshop, printable: Size): Print[] {
  const design = workshop.designs.find((d) => d.id === plan.design)!
  const mine = piecesOf(workshop).filter((x) => x.designId === design.id)
  const people = new Map(workshop.group.participants.map((p) => [p.id, p]))
  const pictures = picturesOf(workshop, design.id)
  const ours = pictures.filter((p) => p.participant === null)
  // Ids of a further design are its own.
  const apart = design.id === firstDesign(workshop).id ? '' : `${design.id.slice(-8)}.`
  const turn = (n: number) => (ours.length ? ours[n % ours.length]! : null)
  const standIn = design.pictures === 'house' || workshop.choices.standIn === true
  const of = (name: string, picture: Picture | null, participant: string | null, purpose: Print['purpose'], label: string): Print => {
    const id = `${apart}${name}`
    const border = 2 * (picture?.edit?.borderMm ?? 0)
    const mm = (n: number) => Number((n + border).toFixed(3))
    return {
      id,
      picture,
      participant,
      design: design.id,
      number: 1,
      purpose,
      label,
      widthMm: mm(plan.print.widthMm),
      heightMm: mm(plan.print.heightMm),
    }
  }
  if (plan.print.prints === 0) return []
  const samples = Array.from({ length: plan.samples.count }, (_, i) =>
    of(`sample-${i + 1}`, turn(i) ?? pictures[0] ?? null, null, 'sample', `Sample ${i + 1}`),
  )
  const each = plan.print.each
  const own = mine.flatMap((piece, i) =>
    Array.from({ length: each }, (_, n): Print => {
      const p = people.get(piece.participant)!
      const picture = pictureOf(workshop, p.id, design.id) ?? (standIn ? turn(i * each + n) : null)
      const seat = plan.seats[p.id]!
      const whose = piece.number > 1 ? `${p.name ?? seat}, piece ${piece.number}` : (p.name ?? seat)
      const label = each > 1 ? `${whose}, ${n + 1} of ${each}` : whose
      const id = `${p.id}${piece.number > 1 ? `-p${piece.number}` : ''}${n === 0 ? '' : `-${n + 1}`}`
      return { ...of(id, picture, p.id, 'piece', label), number: piece.number, seat }
    }),
  )
  const copies = own.flatMap((p) =>
    Array.from({ length: design.pictures === 'own' ? plan.print.copies - 1 : 0 }, (_, i): Print => ({
      ...p,
      id: `${p.id}-copy-${i + 2}`,
      purpose: 'copy',
      label: `${p.label}, copy`,
    })),
  )
  const spares = Array.from({ length: design.pictures === 'house' ? plan.spares.count : 0 }, (_, i) =>
    of(`spare-${i + 1}`, turn(mine.length + i), null, 'spare', `Spare ${i + 1}`),
  )
  const all = [...samples, ...own, ...copies, ...spares]
  const ready = all.filter((p) => p.picture)
  const waiting = all.filter((p) => !p.picture)
  const order = [
    ...ready.filter((p) => p.purpose !== 'spare'),
    ...waiting.filter((p) => p.purpose !== 'spare'),
    ...all.filter((p) => p.purpose === 'spare'),
  ]
  return workshop.choices.tile ? order.flatMap((p) => tiled(p, printable)) : order
}

/** The border to hold round a print's picture, in mm at each side. Tiles have none: their overlaps are held. */
export const borderOf = (p: Pick<Print, 'part' | 'picture'>): number => (p.part ? 0 : (p.picture?.edit?.borderMm ?? 0))

/** A print larger than the printable area as tiles that overlap, so that they can be glued to one. */
function tiled(p: Print, room: Size): Print[] {
  if (tilesOf(p, room).columns * tilesOf(p, room).rows === 1) return [p]
  const border = 2 * borderOf(p)
  const { columns, rows, widthMm, heightMm } = tilesOf({ widthMm: p.widthMm - border, heightMm: p.heightMm - border }, room)
  const n = columns * rows
  // Without its border it fits: then the border gives way.
  if (n === 1) return [{ ...p, widthMm, heightMm, part: { column: 0, row: 0, columns: 1, rows: 1, xMm: 0, yMm: 0 } }]
  const step = (at: number, each: number) => Number((at * (each - tileOverlapMm)).toFixed(3))
  return Array.from({ length: n }, (_, k) => {
    const [column, row] = [k % columns, Math.floor(k / columns)]
    const part = { column, row, columns, rows, xMm: step(column, widthMm), yMm: step(row, heightMm) }
    return { ...p, id: `${p.id}-tile-${k + 1}`, label: `${p.label} ${k + 1}/${n}`, widthMm, heightMm, part }
  })
}

/** The part of the whole picture that a print shows: shares of its sides from the upper left corner; all of it where it is no tile. */
export function windowOf(p: Pick<Print, 'part' | 'widthMm' | 'heightMm'>, whole: Size): { x: number; y: number; w: number; h: number } {
  if (!p.part) return { x: 0, y: 0, w: 1, h: 1 }
  const share = (n: number) => Number(n.toFixed(6))
  return {
    x: share(p.part.xMm / whole.widthMm),
    y: share(1 - (p.part.yMm + p.heightMm) / whole.heightMm),
    w: share(p.widthMm / whole.widthMm),
    h: share(p.heightMm / whole.heightMm),
  }
}

/** How many prints each picture has. */
export function shareCopies(prints: readonly Print[]): Map<string, number> {
  const by = new Map<string, number>()
  for (const p of prints) if (p.picture) by.set(p.picture.id, (by.get(p.picture.id) ?? 0) + 1)
  return by
}
