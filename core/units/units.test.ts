import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it, test } from 'vitest'
import {
  moneyAmount,
  Decimal,
  decimal,
  fromMicro,
  micro,
  minutes,
  readLength,
  showLength,
  showOnRuler,
  showMoney,
  showVolume,
  whole,
} from '#core/units'

describe('lengths', () => {
  test.each([
    ['5', 'in', 127],
    ['5 in', 'mm', 127],
    ['5"', 'mm', 127],
    ['5″', 'mm', 127],
    ['1/2', 'in', 12.7],
    ['1/2 in', 'mm', 12.7],
    ['1 1/2 in', 'mm', 38.1],
    ['1 ½ in', 'mm', 38.1],
    ['1½ in', 'mm', 38.1],
    ['5,5 cm', 'in', 55],
    ['5.5 cm', 'in', 55],
    ['127mm', 'in', 127],
    ['127 MM', 'in', 127],
    ['.5 in', 'mm', 12.7],
    [',5 cm', 'mm', 5],
    ['  7   inches ', 'mm', 177.8],
    ['1000 mm', 'in', 1000],
  ] as const)('%s in a house of %s is %d mm', (typed, unit, mm) => {
    expect(readLength(typed, unit)).toMatchObject({ ok: true, mm })
  })
  test.each([
    ['', 'Nothing is typed.'],
    ['   ', 'Nothing is typed.'],
    ['-5 in', 'A length is more than nothing.'],
    ['−5', 'A length is more than nothing.'],
    ['0', 'A length is more than nothing.'],
    ['1/0 in', 'Nothing can be divided by 0.'],
    ['1e9', 'not a length'],
    ['five', 'not a length'],
    ['5 yards', 'not a length'],
    ['5 5 in', 'not a length'],
    ['1,000', 'two ways'],
    ['99999', 'more than'],
    ['<b>5</b>', 'not a length'],
  ])('“%s” is answered, with ways out', (typed, what) => {
    const read = readLength(typed, 'in')
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.what).toContain(what)
    expect(read.remedies.length).toBeGreaterThan(0)
  })
  it('keeps the text as typed', () => {
    expect(readLength(' 5 in ', 'mm')).toMatchObject({ text: '5 in', unit: 'in' })
  })
  it('offers both readings of 1,000, and each can be read', () => {
    const read = readLength('1,000', 'mm')
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.remedies.map((r) => readLength(r, 'mm'))).toMatchObject([
      { ok: true, mm: 1000 },
      { ok: true, mm: 1 },
    ])
  })
  test.each([
    [127, 'in', '5 in'],
    [12.7, 'in', '½ in'],
    [38.1, 'in', '1 ½ in'],
    [3.175, 'in', '⅛ in'],
    [125, 'in', '4.92 in'],
    [127, 'mm', '127 mm'],
    [55, 'cm', '5.5 cm'],
  ] as const)('%d mm shown in %s', (mm, unit, text) => {
    expect(showLength(mm, unit)).toBe(text)
  })
  it('whatever is shown can be read back, to a fifth of a millimetre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 19000 }), fc.constantFrom('in' as const, 'mm' as const), (tenths, unit) => {
        const read = readLength(showLength(tenths / 10, unit), unit)
        expect(read.ok && Math.abs(read.mm - tenths / 10) <= 0.2001).toBe(true)
      }),
      { seed: 7 },
    )
  })
})

describe('amounts', () => {
  test.each([
    [351, 'USD', '$3.51'],
    [0, 'USD', '$0.00'],
    [5, 'EUR', '€0.05'],
    [-38, 'USD', '−$0.38'],
    [351, 'JPY', '¥351'],
    [1999, 'CHF', '19.99 CHF'],
  ] as const)('%i minor units of %s', (minor, currency, text) => {
    expect(showMoney(minor, currency)).toBe(text)
  })
  test.each([
    [241.2, 'metric', '241 ml'],
    [2.33, 'metric', '2.3 ml'],
    [236.588, 'imperial', '8 fl oz'],
    [0, 'imperial', '0 fl oz'],
  ] as const)('%d ml, %s', (ml, units, text) => {
    expect(showVolume(ml, units)).toBe(text)
  })
})

describe('decimals at the edge', () => {
  const quantity = decimal({ min: 0, max: 1000 })
  test.each([[0.1], ['0.1'], ['12.500000'], [1000], ['+3']])('%s is read exactly', (input) => {
    expect(v.parse(quantity, input).toString()).toBe(new Decimal(String(input).replace('+', '')).toString())
  })
  test.each([
    [-1, 'less than 0'],
    [1001, 'more than the limit'],
    ['1e3', 'not a decimal number'],
    ['1,5', 'not a decimal number'],
    ['', 'not a decimal number'],
    [NaN, 'not a'],
    [Infinity, 'not a'],
    [null, 'not a number'],
    [true, 'not a number'],
    [[], 'not a number'],
    ['0.1234567', 'more than 6 decimal places'],
  ])('%s is refused: %s', (input, what) => {
    const read = v.safeParse(quantity, input)
    expect(read.success).toBe(false)
    expect(read.issues?.[0].message).toContain(what)
  })
  it('a count is whole', () => {
    expect(v.parse(whole({ min: 0, max: 9 }), '3')).toBe(3)
    expect(v.safeParse(whole({ min: 0, max: 9 }), 1.5).success).toBe(false)
    expect(v.safeParse(minutes(), -1).success).toBe(false)
  })
  it('millionths there and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e12 }), (n) => {
        expect(micro(new Decimal(fromMicro(n)))).toBe(n)
      }),
      { seed: 3 },
    )
  })
})

test.each([
  [268.4, 'in', '10 9/16'],
  [25.4 * 7.375, 'in', '7 ⅜'],
  [25.4 * 5, 'in', '5'],
  [25.4 / 16, 'in', '1/16'],
  [0, 'in', '0'],
  [132.6, 'mm', '133'],
  [132.6, 'cm', '13.3'],
] as const)('%d mm are %s %s on a ruler', (mm, unit, read) => expect(showOnRuler(mm, unit)).toBe(read))

it('money as a bare amount has the digits of its currency', () => {
  expect([moneyAmount(351, 'USD'), moneyAmount(351, 'JPY'), moneyAmount(5, 'EUR'), moneyAmount(0, 'GBP')]).toEqual([
    '3.51',
    '351',
    '0.05',
    '0.00',
  ])
})
