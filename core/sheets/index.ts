export { gridOnSheet, type SheetGrid } from './grid'
