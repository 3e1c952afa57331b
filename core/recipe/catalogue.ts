import { mediumTransfer } from './methods/mediumTransfer'
import { tapeFilm } from './methods/tapeFilm'
import type { Recipe } from './shapes'

/** Every method, every version that a workshop may name. A new method is a new data file and a line here. */
export const recipes: readonly Recipe[] = [mediumTransfer, tapeFilm]

export const recipeById = (id: string, version: number, among: readonly Recipe[] = recipes): Recipe | undefined =>
  among.find((r) => r.id === id && r.version === version)

export const latestRecipe = (id: string, among: readonly Recipe[] = recipes): Recipe | undefined =>
  among.filter((r) => r.id === id).sort((a, b) => b.version - a.version)[0]
