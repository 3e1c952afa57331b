export { placeSessions, type PlacedSession, type SessionProblem } from './place'
export { intendedSplit, judgeSplit, enumerateSplits, sittingsOf, type Setting, type Split, type SessionLoad, type Judged } from './split'
export { turnsOf, atRatio, extraMinutes, type Turns, type Crowd } from './turns'
export { firstOpening } from './opening'
