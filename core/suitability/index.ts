export { suit, pixelsAnInch, paperGsm, sharpness, stickerSide, type Suit, type SuitCode, type Pictures, type Prints } from './suitability'
