export { readRoster, rosterRows, safeCell, type RosterPreview, type RosterRow, type RosterQuestion, type Heading } from './roster'
