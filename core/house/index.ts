export { houseShape, sizeUnit, clockOf, paperMm, printersOf, recipesOf, type House, type HouseCaution } from './house'
