export { figuresOf, houseShape, sizeUnit, clockOf, printersOf, recipesOf, type House, type HouseCaution } from './house'
export { papers, paperOf, type Paper, type PaperId } from './paper'
