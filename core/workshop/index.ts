export { allowed, workshopShape, newWorkshop, drawings, seatNumber, tableName, limits } from './workshop'
export type { Allow, KeepClear, Workshop, Participant, Design, Session, Piece, TypedLength, Drawing } from './workshop'
export { asItIs, type LetteringSuggestion, type Picture, type PictureEdit, type PictureMark, type PrintLock } from './picture'
export {
  applyChanges,
  clashes,
  inverse,
  valueAt,
  lenient,
  commandShape,
  type Change,
  type Command,
  type Guard,
  type Clash,
} from './command'
export { moveSession } from './move'
export { setHeadcount, withAges, nextSeat, type Edit } from './edits'
