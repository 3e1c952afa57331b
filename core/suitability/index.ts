export {
  suit,
  fairAtPercent,
  losesWhites,
  pixelsAnInch,
  paperGsm,
  qualityOf,
  sharpness,
  stickerSize,
  type Suit,
  type Pictures,
  type Prints,
} from './suitability'
