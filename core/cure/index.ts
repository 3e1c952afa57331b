export {
  cure,
  cureInput,
  cureFactor,
  climateFactor,
  coldLimitCelsius,
  surfaces,
  type Surface,
  type CureInput,
  type Cure,
  type CureVerdict,
} from './cure'
