export { layStrips, tapeInput, type TapeInput, type StripLayout } from './tape'
