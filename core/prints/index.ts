export { missingFrom, printedIn, stillToPrint, type PrintedJob } from './jobs'
export { printsOf, shareCopies, type Print } from './list'
export { beginLayout, layPrints, type LaidSheet, type LaidPrint, type Layout, type LayoutAsk } from './layout'
export { furnish, type Furniture, type Line } from './waste'
