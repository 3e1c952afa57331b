export { writeWorkshop, readWorkshopFile, writeRecipe, readRecipeFile, planFormat } from './exchange'
