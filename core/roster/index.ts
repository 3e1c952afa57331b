export {
  headings,
  readRoster,
  rosterChanges,
  rosterRows,
  safeCell,
  type RosterPreview,
  type RosterRow,
  type RosterQuestion,
  type Heading,
} from './roster'
