export { allOut, missingFrom, mostSheetsAtOnce, printedIn, stillToPrint, type Job, type PrintedJob } from './jobs'
export { borderOf, printsOf, shareCopies, windowOf, type Print } from './list'
export { beginLayout, layPrints, mostLayoutSteps, type LaidSheet, type LaidPrint, type Layout, type LayoutAsk } from './layout'
export { furnish, rulerOf, type Furniture, type Line } from './waste'
