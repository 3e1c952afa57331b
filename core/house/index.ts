export { houseShape, sizeUnit, clockOf, paperMm, printersOf, type House } from './house'
