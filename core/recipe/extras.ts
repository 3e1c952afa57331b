import { edgeWork, finishes, sources } from './methods/beside'
import type { MaterialUse, Recipe, Stage } from './shapes'

/** What is done to a piece or its picture beside its method: finishing, where the picture comes from, its edge. Data like a method: steps,
 *  things, and what of the method's own falls away. */
export interface Extra {
  id: string
  name: string
  /** What it is good for, and what to mind. */
  believes: string
  steps: Step[]
  materials: MaterialUse[]
  /** What of the method's own is not done before the piece is laid, or not needed. */
  without?: { stages: string[]; materials: string[] }
  /** Kinds of piece and materials it is for; left out, all. */
  kinds?: string[]
  on?: string[]
}
/** Where a step is put: at the head; where pictures are made ready; before the coat that finishes the piece; at the end. */
export type Step = Stage & { at: 'first' | 'cut' | 'top-coat' | 'last' }

/** How a picture ends on its piece. */
export const edges = ['straight', 'round', 'outline', 'faded', 'torn'] as const
export type Edge = (typeof edges)[number]

/** Everything that can be done beside a method. */
export const extras: readonly Extra[] = [...finishes, ...Object.values(sources), ...Object.values(edgeWork)]

/** The finishing that a piece can have. */
export const finishesFor = (kind: string, material: string): Extra[] =>
  finishes.filter((f) => (!f.kinds || f.kinds.includes(kind)) && (!f.on || f.on.includes(material)))

/** A recipe for a kind of piece with what is done beside it: its steps and things put in, what falls away left out. */
export function withExtras(recipe: Recipe, chosen: readonly Extra[], kind: string): Recipe {
  if (chosen.length === 0) return recipe
  const laid = indexOr(recipe.stages, (s) => s.makes === 'laid')
  const gone = new Set(chosen.flatMap((x) => x.without?.stages ?? []))
  const unwanted = new Set(chosen.flatMap((x) => x.without?.materials ?? []))
  const kept = recipe.stages.filter((s, i) => i > laid || !gone.has(s.id))
  const at = (where: Step['at']) => chosen.flatMap((x) => x.steps.filter((y) => y.at === where))
  // What is cut is cut before the first stage that touches the piece: coat and lay are one go.
  const cut = indexOr(kept, (s) => s.mayBe.includes('session') && (s.lays === true || s.makes === 'laid'))
  const top = indexOr(kept, (s) => s.makes === 'sealed')
  const ids = new Set(kept.map((s) => s.id))
  return {
    ...recipe,
    stages: [
      ...at('first'),
      ...kept.slice(0, cut),
      ...at('cut'),
      ...kept.slice(cut, top),
      ...at('top-coat'),
      ...kept.slice(top),
      ...at('last'),
    ],
    materials: together([
      ...recipe.materials
        .filter((m) => !unwanted.has(m.material) && (!m.onlyFor || m.onlyFor.includes(kind)))
        .map((m) => ({ ...m, stages: m.stages.filter((x) => ids.has(x)) })),
      ...chosen.flatMap((x) => x.materials),
    ]),
  }
}

function indexOr(stages: readonly Stage[], test: (s: Stage) => boolean): number {
  const i = stages.findIndex(test)
  return i < 0 ? stages.length : i
}

/** One line for each thing: what serves several steps is there for all of them, as many as the one that asks for most. */
function together(uses: readonly MaterialUse[]): MaterialUse[] {
  const by = new Map<string, MaterialUse>()
  for (const use of uses) {
    const known = by.get(use.material)
    by.set(use.material, known ? { ...larger(known, use), stages: [...known.stages, ...use.stages] } : use)
  }
  return [...by.values()]
}
const larger = (a: MaterialUse, b: MaterialUse): MaterialUse =>
  a.optional || ('amount' in a && 'amount' in b && a.basis === b.basis && b.amount.value > a.amount.value) ? b : a
