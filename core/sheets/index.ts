export { gridOnSheet, type SheetGrid } from './grid'
export { gangSheets, Ganging, sheetsInput, tooLarge, usualSteps, type Ganged, type Lock, type SheetsInput } from './gang'
export { checkSheets } from './check'
export { cutList, type Cut, type CutTree, type GangedSheet, type Place } from './cuts'
