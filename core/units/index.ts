export { decimal, whole, Decimal, ceil, largest, least, micro, fromMicro, minutes } from './decimal'
export { readLength, rulerMm, showLength, showOnRuler, type LengthUnit, type ReadLength } from './length'
export { showVolume, moneyAmount, moneyDigits, showMoney, currencies, type Currency } from './amounts'
export { type Size } from './size'
