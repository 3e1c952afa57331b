export {
  suit,
  pixelsAnInch,
  paperGsm,
  qualityOf,
  sharpness,
  stickerSide,
  type Suit,
  type SuitCode,
  type Pictures,
  type Prints,
} from './suitability'
