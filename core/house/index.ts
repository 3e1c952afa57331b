export { houseShape, sizeUnit, clockOf, paperMm, type House } from './house'
