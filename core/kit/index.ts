export { materialOf, materials } from './catalogue'
export { seatTables, type Seating } from './sharing'
export { type Material, type Pack } from './catalogue'
export { mergeKits, scaleKit, type KitPart, type KitLine, type KitNeeds, type ToGet } from './kit'
