export {
  cure,
  cureInput,
  cureFactor,
  dryingFactor,
  climateFactor,
  coldLimitCelsius,
  readingHolds,
  type Reading,
  surfaces,
  type Surface,
  type CureInput,
  type Cure,
  type CureVerdict,
} from './cure'
export { simulatedLogger } from './logger'
