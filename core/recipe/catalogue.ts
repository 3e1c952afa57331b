import { gessoGround } from './methods/gessoGround'
import { mediumTransfer } from './methods/mediumTransfer'
import { quickPeel } from './methods/quickPeel'
import { tapeFilm } from './methods/tapeFilm'
import { waterLift } from './methods/waterLift'
import { waxTissue } from './methods/waxTissue'
import type { PieceKind } from './pieces'
import type { Recipe } from './shapes'

/** Every method, every version that a workshop may name. A new method is a new data file and a line here. */
export const recipes: readonly Recipe[] = [mediumTransfer, quickPeel, tapeFilm, gessoGround, waterLift, waxTissue]

export const recipeById = (id: string, version: number, among: readonly Recipe[] = recipes): Recipe | undefined =>
  among.find((r) => r.id === id && r.version === version)

export const latestRecipe = (id: string, among: readonly Recipe[] = recipes): Recipe | undefined =>
  among.filter((r) => r.id === id).sort((a, b) => b.version - a.version)[0]

export const takesMaterial = (recipe: Recipe, material: string): boolean => material in recipe.surfaces

/** Whether a method suits a kind of piece in one of its materials at least. A piece seen through wants film on its back. */
export const takesPiece = (recipe: Recipe, kind: PieceKind): boolean => kind.materials.some((m) => takesMaterial(recipe, m))
