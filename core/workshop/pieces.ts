import type { PieceState } from '#core/recipe'
import { seated } from './seats'
import { inWorkshop } from './paths'
import type { Design, Participant, Piece, Workshop } from './workshop'

/** The design that a workshop began with: the one meant where none is named. */
export const firstDesign = (w: Pick<Workshop, 'designs'>): Design => w.designs[0]!

/** How many of a design somebody makes: as was said for them, else of each of its people; unsaid, one of the first design and none of
 *  another. */
export const makes = (w: Pick<Workshop, 'designs'>, person: Pick<Participant, 'makes'>, design: Design): number =>
  person.makes?.[design.id] ?? design.each ?? (firstDesign(w).id === design.id ? 1 : 0)

/** Who makes a design, in the order of the group. */
export const makersOf = (w: Pick<Workshop, 'designs' | 'group'>, design: Design): Participant[] =>
  w.group.participants.filter((p) => makes(w, p, design) > 0)

/** Who does everything at home, from a kit to go: all of a workshop that is held so, or those who take one. */
export const takesKit = (w: Pick<Workshop, 'held'>, p: Pick<Participant, 'kit'>): boolean => w.held === 'home' || p.kit === true

/** A piece that somebody makes: participant x design x number, with what is known of it. */
export interface MadePiece {
  designId: string
  participant: string
  /** 1 for the first of this design. */
  number: number
  /** What is known of the real one; a piece nobody touched follows the plan. */
  known?: Piece
  state: PieceState
}

/** What is known of a piece; undefined for one nobody touched. */
export const pieceOf = (w: Pick<Workshop, 'designs' | 'pieces'>, participant: string, designId: string, number = 1): Piece | undefined =>
  w.pieces.find((x) => x.participant === participant && designOf(w, x) === designId && (x.number ?? 1) === number)

/** The design a known piece is of: the first unless it says. */
export const designOf = (w: Pick<Workshop, 'designs'>, piece: Pick<Piece, 'design'>): string => piece.design ?? firstDesign(w).id

/** Spares of a design that pieces were begun again on; without those of one class where its own taps say. */
export const sparesUsed = (w: Pick<Workshop, 'designs' | 'pieces'>, designId: string, without?: string): number =>
  w.pieces
    .filter((x) => designOf(w, x) === designId)
    .flatMap((x) => Object.entries(x.spares ?? {}))
    .reduce((sum, [session, n]) => sum + (session === without ? 0 : n), 0)

/** All pieces that people make, by seat, then by design. */
export function piecesOf(w: Pick<Workshop, 'designs' | 'pieces' | 'group'>): MadePiece[] {
  return seated(w.group.participants).flatMap((p) =>
    w.designs.flatMap((d) =>
      Array.from({ length: makes(w, p, d) }, (_, i): MadePiece => {
        const known = pieceOf(w, p.id, d.id, i + 1)
        return { designId: d.id, participant: p.id, number: i + 1, ...(known && { known }), state: known?.state ?? 'to-print' }
      }),
    ),
  )
}

/** The id of a piece's entry: the same wherever it is made first, so that no piece has two. */
const entryId = (w: Pick<Workshop, 'designs'>, { participant, designId, number }: Omit<MadePiece, 'known' | 'state'>): string =>
  designId === firstDesign(w).id && number === 1 ? `${participant}-d1` : `${participant.slice(-36)}-${designId.slice(-12)}-${number}`

/** A piece's entry, for one that has none yet. */
export const newPiece = (w: Pick<Workshop, 'designs'>, of: Omit<MadePiece, 'known'>): Piece => ({
  id: entryId(w, of),
  participant: of.participant,
  ...(of.designId !== firstDesign(w).id && { design: of.designId }),
  ...(of.number > 1 && { number: of.number }),
  state: of.state,
  laidAt: null,
})

/** What is chosen for a design by itself. */
export type OwnChoices = Pick<Workshop['choices'], 'spares' | 'samples' | 'split'>

/** A design's own choices: the workshop's are the first one's. */
export const choicesFor = (w: Pick<Workshop, 'designs' | 'choices'>, d: Design): OwnChoices =>
  firstDesign(w).id === d.id ? w.choices : { spares: d.spares ?? null, samples: d.samples ?? null, split: d.split ?? {} }

/** Where a design's own choices stand. */
export const choicesAt = (w: Pick<Workshop, 'designs'>, designId: string): Pick<typeof inWorkshop.choices, keyof OwnChoices> =>
  (firstDesign(w).id === designId ? inWorkshop.choices : inWorkshop.designs(designId)) as typeof inWorkshop.choices
