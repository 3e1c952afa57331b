export { houseShape, sizeUnit, clockOf, paperMm, printersOf, recipesOf, type House } from './house'
