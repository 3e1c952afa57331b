export { allowed, workshopShape, newWorkshop, drawings, pictureSources, seatNumber, tableName, limits } from './workshop'
export type {
  AirReading,
  Allow,
  KeepClear,
  Workshop,
  Participant,
  Design,
  Session,
  SessionRun,
  Piece,
  PictureSource,
  TypedLength,
  Drawing,
} from './workshop'
export { asItIs, type LetteringSuggestion, type Picture, type PictureEdit, type PictureMark, type PrintLock } from './picture'
export {
  applyChanges,
  clashes,
  land,
  same,
  withPlaces,
  inverse,
  valueAt,
  lenient,
  commandShape,
  type Change,
  type Intent,
  type StatesOfPieces,
  type Json,
  type Command,
  type Guard,
  type Clash,
} from './command'
export { below, change, changed, inHouse, inWorkshop, pathText, type Path, type Paths } from './paths'
export {
  choicesAt,
  choicesFor,
  designOf,
  firstDesign,
  makersOf,
  makes,
  sparesUsed,
  newPiece,
  pieceOf,
  piecesOf,
  takesKit,
  type MadePiece,
  type OwnChoices,
} from './pieces'
export { separateNames, type NamePlace } from './names'
export { addDesign, removeDesign, setMakes } from './designs'
export { moveSession } from './move'
export { again } from './intents'
export { freeSeats, seated, seatNames } from './seats'
export { brokenBetween, setHeadcount, takeAlong, setAges, setStates, swapSeats, undoing, type Edit } from './edits'
export { beginWorkshop, usualDesign, type Beginning } from './begin'
export { copyOf } from './copy'
export { arrange, nextStart, summaryOf, type Summary } from './summary'
