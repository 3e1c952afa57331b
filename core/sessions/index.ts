export { placeSessions, type PlacedSession, type SessionProblem } from './place'
export { classRoom, stageKey, type ClassRoom, type Crowd, type Work } from './classRoom'
export { atRatio, ledId, sprayId } from './hands'
export { endsOf, lastOf, wayOf, type WayStage } from './way'
export {
  endsAt,
  everySplit,
  intendedSplit,
  judgeSplit,
  layingBefore,
  load,
  sittingsOf,
  splitsOf,
  workOf,
  type Judged,
  type LagProblem,
  type SessionLoad,
  type Setting,
  type Split,
} from './split'
export { firstOpening } from './opening'
export { turnsOf, type Turns } from './turns'
export { placeOn, timelineOf, type Timeline } from './timeline'
export { forHome } from './toGo'
export { queuesOf, tightest, type Queue } from './queues'
export { profileOf, runLines, storyOf, tablesOf, type Level, type Row, type RunLine, type Span, type Station } from './story'
export { rehearsalOf } from './rehearsed'
export { grouped } from './grouped'
export { clashesOf, roomName, shelfPeak, type Clash, type Occupied } from './clashes'
