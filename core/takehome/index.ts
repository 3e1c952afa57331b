export { takeHomeSheets, homeGroups, type TakeHomeSheet, type HomeGroup, type TakeHomeInput } from './takehome'
