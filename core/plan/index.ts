export { planWorkshop } from './plan'
export { hoursOf } from './situation'
export { pictureContextOf } from './plan'
export { planOf } from './view'
export { swapRecipe } from './swap'
export { difference, type Difference } from './difference'
export type {
  Plan,
  PlanInput,
  PlanFigure,
  Finding,
  Remedy,
  Decision,
  DecisionId,
  Adults,
  PrintPlan,
  Shelf,
  ClassLoad,
  DesignPlan,
} from './shapes'
export { decisionIds } from './shapes'
export { planInput } from './input'
export {
  mostBefore,
  planningInput,
  takesAlone,
  takesOf,
  workshopsBefore,
  workshopsBeside,
  workshopsWanted,
  type PlanningDesk,
  type Takes,
} from './planning'
export { stopsOf } from './findings'
export { classStrip, type ClassPart } from './classStrip'
export { pinChange, rehearsalWays, roomWays } from './roomWays'
export { compareSplits, type SplitOffer } from './splits'
export { findSeries, rhythms, type Rhythm, type Series, type SeriesAsked } from './series'
export { dryingAt } from './situation'
export { shelfPieces, shelfPlaces, type OnShelf } from './shelfPieces'
export { kitByPlace } from './kitPlaces'
export { errandsDue, needThought, nextSession, onShelf, shelfTimes, stagesOf } from './upcoming'
export { figureList, houseFigure, setFigure, type HouseFigure } from './figureList'
