export { type HomeNeeds } from './takehome'
export { alike, setAlike } from './alike'
export { bySeat, homeNeeds, sheetKey, takeHomeSheets, homeGroups, type TakeHomeSheet, type HomeGroup, type TakeHomeInput } from './takehome'
