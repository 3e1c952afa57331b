export { printsOf, shareCopies, type Print } from './list'
export { papers, paperOf, type Paper, type PaperId } from './paper'
export { beginLayout, layPrints, type LaidSheet, type LaidPrint, type Layout, type LayoutAsk } from './layout'
export { furnish, type Furniture } from './waste'
