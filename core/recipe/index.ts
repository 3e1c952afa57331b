export type {
  Fit,
  Ink,
  Whites,
  Recipe,
  Stage,
  Lag,
  MaterialUse,
  School,
  Option,
  Effect,
  Fault,
  Sample,
  PieceState,
  Place,
  ShareBy,
  HomeStep,
} from './shapes'
export { pieceStates, shareBys, inks, whitesBecome } from './shapes'
export { roomStations, type RoomStation } from './stations'
export { extraFigures, figuresIn, withExtraFigures, withFigures } from './figures'
export { edgeWork, finishes, sources } from './methods/beside'
export { edges, extras, finishesFor, withExtras, type Edge, type Extra } from './extras'
export { ageBands, childrenToAdult, type AgeBand } from './ages'
export { recipes, recipeById, latestRecipe, takesPiece, takesMaterial } from './catalogue'
export { cautions, hazardOf, hazards, mayTouch, type Caution, type CautionId, type Hazard } from './cautions'
export {
  pieceKinds,
  pieceKind,
  outlineOf,
  pictureSize,
  accordionStrip,
  panelMm,
  woods,
  blankMaterial,
  blankSurface,
  type PieceKind,
  type BlankMaterial,
  type Measure,
} from './pieces'
export { outlineHolds, outlinePath, outlinePoints, outlineReach, outlines, outlineShare, type Outline } from './outline'
export { resolveRecipe, chosenOption, tapeWidth, type ResolvedRecipe, type Chosen } from './resolve'
export { asNextVersion, makeRecipe, ownRecipeShape, type OwnRecipe, type RecipeEdit } from './own'
export { sized, sizeFactor } from './sized'
export { compareRecipes, type RecipeDifference } from './compare'
export { checkRecipe, belowPractice } from './check'
