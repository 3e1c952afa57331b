export { type HomeNeeds } from './takehome'
export { homeNeeds, takeHomeSheets, homeGroups, type TakeHomeSheet, type HomeGroup, type TakeHomeInput } from './takehome'
