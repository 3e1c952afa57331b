export { placeSessions, type PlacedSession, type SessionProblem } from './place'
export {
  intendedSplit,
  judgeSplit,
  enumerateSplits,
  sittingsOf,
  setUpMin,
  cleanUpMin,
  type Split,
  type SessionLoad,
  type Judged,
} from './split'
export { firstOpening } from './opening'
