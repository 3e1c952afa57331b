import { Decimal } from './decimal'

export const currencies = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'JPY', 'SEK', 'PLN'] as const
export type Currency = (typeof currencies)[number]
const signs: Partial<Record<Currency, string>> = { USD: '$', CAD: '$', AUD: '$', NZD: '$', EUR: '€', GBP: '£', JPY: '¥' }
/** Digits after the point that a currency is written with. */
export const moneyDigits = (currency: Currency): number => (currency === 'JPY' ? 0 : 2)

/** Minor units as a bare amount with the digits of its currency: 351 USD is "3.51", 351 JPY "351". */
export const moneyAmount = (minor: number, currency: Currency): string =>
  new Decimal(minor).div(10 ** moneyDigits(currency)).toFixed(moneyDigits(currency))

/** Minor units as money: 351 USD is "$3.51". */
export function showMoney(minor: number, currency: Currency): string {
  const digits = moneyDigits(currency)
  const amount = new Decimal(Math.abs(minor)).div(10 ** digits).toFixed(digits)
  const sign = signs[currency]
  return (minor < 0 ? '−' : '') + (sign ? `${sign}${amount}` : `${amount} ${currency}`)
}

const mlPerFluidOunce = 29.5735

const mlPerTeaspoon = mlPerFluidOunce / 6
const quarters = ['', '¼', '½', '¾']

/** A volume for a house as people measure it: "42 ml", "1.4 fl oz", and below half an ounce "1 ½ tsp", to the quarter. Below 10 one
 *  decimal; what is less than any of it is "a few drops". */
export function showVolume(ml: number, units: 'imperial' | 'metric'): string {
  if (ml > 0 && ml < (units === 'metric' ? 0.25 : mlPerTeaspoon / 8)) return 'a few drops'
  if (units === 'imperial' && ml > 0 && ml < mlPerFluidOunce / 2) {
    const n = Math.round((4 * ml) / mlPerTeaspoon)
    return `${[Math.floor(n / 4) || '', quarters[n % 4]].filter(Boolean).join(' ')} tsp`
  }
  const n = units === 'metric' ? ml : ml / mlPerFluidOunce
  return `${n >= 10 ? Math.round(n) : Number(n.toFixed(1))} ${units === 'metric' ? 'ml' : 'fl oz'}`
}
