import { latestRecipe, pieceKind, takesMaterial } from '#core/recipe'
import { showLength, type LengthUnit } from '#core/units'
import { newWorkshop, type Design, type Workshop } from './workshop'

/** What a workshop begins with: the kind of piece, how many people, for which house and in which measure. */
export interface Beginning {
  houseId: string
  unit: LengthUnit
  title: string
  kind: string
  people: number
  at: string
}

/** A kind's usual design: its size in the house's measure, its own method, and the first of its materials that the method takes. */
export function usualDesign(kindId: string, unit: LengthUnit): Pick<Design, 'kind' | 'material' | 'width' | 'height' | 'recipe'> {
  const kind = pieceKind(kindId)
  const recipe = latestRecipe(kind.recipe)!
  const size = (mm: number) => ({ mm, text: showLength(mm, unit) })
  return {
    kind: kind.id,
    material: kind.materials.find((m) => takesMaterial(recipe, m)) ?? kind.materials[0]!,
    width: size(kind.widthMm),
    height: size(kind.heightMm),
    recipe: { id: recipe.id, version: recipe.version },
  }
}

/** A workshop that begins with its piece: so many people make one each, as practice makes it. `fresh` makes ids. */
export function beginWorkshop(b: Beginning, fresh: () => string): Workshop {
  const ids = { id: fresh(), design: fresh(), participants: Array.from({ length: b.people }, fresh) }
  const w = newWorkshop(ids, b.houseId, b.title, b.at)
  return { ...w, designs: w.designs.map((d) => ({ ...d, ...usualDesign(b.kind, b.unit) })) }
}
