import { latestRecipe } from '#core/recipe'
import type { Finding } from '../shapes'
import { finding, takeMethod, type Find } from './ways'

export const recipeKnown: Find = (s) =>
  s.recipeMissing
    ? [
        finding('recipe-missing', 'look', 'method', {
          recipe: s.design.recipe.id,
          version: s.design.recipe.version,
          instead: s.recipe.name,
        }),
      ]
    : []

/** A recipe of the house that goes below practice is for a sample; one that has been made anew says so. */
export const ownRecipe: Find = (s, plan) => {
  const newest = latestRecipe(s.recipe.id, s.recipes)!
  const found: Finding[] = []
  if (s.recipe.below?.length && plan.people > 0 && s.recipe.from)
    found.push(
      finding('experiment-only', 'stop', 'method', { recipe: s.recipe.name, below: s.recipe.below[0]! }, [takeMethod(s, s.recipe.from.id)]),
    )
  if (!s.recipeMissing && newest.version > s.recipe.version)
    found.push(
      finding('newer-recipe', 'note', 'method', { recipe: s.recipe.name, version: s.recipe.version, newest: newest.version }, [
        { ...takeMethod(s, newest.id), code: 'newest-recipe', values: { newest: newest.version } },
      ]),
    )
  return found
}
