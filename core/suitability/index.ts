export { suit, pixelsAnInch, paperGsm, qualityOf, sharpness, stickerSide, type Suit, type Pictures, type Prints } from './suitability'
