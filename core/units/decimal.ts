import Base from 'decimal.js-light'
import * as v from 'valibot'

/** Decimals with 40 digits: quantities and prices never pass through binary fractions. */
export const Decimal = Base.clone({ precision: 40 })
export type Decimal = InstanceType<typeof Decimal>

/** Up to the next whole number. */
export const ceil = (d: Decimal): Decimal => d.toDecimalPlaces(0, Decimal.ROUND_UP)
export const largest = (of: readonly Decimal[]): Decimal => of.reduce((a, b) => (b.gt(a) ? b : a))
export const least = (of: readonly Decimal[]): Decimal => of.reduce((a, b) => (b.lt(a) ? b : a))

interface Limits {
  min?: number
  above?: number
  max: number
  places?: number
}
const read = (value: number | string): Decimal => new Decimal(typeof value === 'string' ? value.trim().replace(/^\+/, '') : value)
const written = /^[+-]?\d+(\.\d+)?$/

function complaint(value: number | string, limits: Limits): string | undefined {
  if (typeof value === 'string' && !written.test(value.trim()))
    return `"${value.slice(0, 40)}" is not a decimal number | Write digits with a point, such as 12.5.`
  if (typeof value === 'number' && !Number.isFinite(value)) return 'not a finite number | Give a finite number.'
  const d = read(value)
  const { min, above, max, places = 6 } = limits
  if (min !== undefined && d.lt(min)) return `${value} is less than ${min} | Give ${min} or more.`
  if (above !== undefined && d.lte(above)) return `${value} is not above ${above} | Give more than ${above}.`
  if (d.gt(max)) return `${value} is more than the limit of ${max} | Give ${max} or less.`
  if (d.decimalPlaces() > places)
    return places === 0
      ? `${value} is not a whole number | Give a whole number.`
      : `${value} has more than ${places} decimal places | Round it to ${places} places.`
  return undefined
}

/** Schema of a quantity: a number or a decimal string, read as a decimal, within stated limits. */
export const decimal = (limits: Limits) =>
  v.pipe(
    v.union([v.number(), v.string()], 'not a number | Give a number or a decimal string such as "12.5".'),
    v.rawTransform(({ dataset, addIssue, NEVER }) => {
      const message = complaint(dataset.value, limits)
      if (message === undefined) return read(dataset.value)
      addIssue({ message })
      return NEVER
    }),
  )

/** Schema of a count: a whole number or its decimal string, within stated limits. */
export const whole = (limits: Omit<Limits, 'places'>) =>
  v.pipe(
    decimal({ ...limits, places: 0 }),
    v.transform((d) => d.toNumber()),
  )

/** Schema of a duration in whole minutes. */
export const minutes = (min = 0) => whole({ min, max: 5_256_000 })

/** Millionths as a safe integer; exact for decimals of up to 6 places below 9e9. */
export const micro = (d: Decimal): number => d.times(1e6).toNumber()
export const fromMicro = (n: number): number => new Decimal(n).div(1e6).toNumber()
