import { describe, expect, it, test } from 'vitest'
import { nextPlace } from './dayWords'
import { pagesOf } from './usePages'

const tables = (...seats: number[]) => seats.map((n, i) => ({ table: String.fromCharCode(65 + i), people: Array<string>(n).fill('x') }))
const pages = (...seats: number[]) => pagesOf(tables(...seats)).map((p) => p.map((t) => t.table).join(''))

describe('tables over pages', () => {
  it('up to 24 seats stand on one', () => {
    expect(pages(4, 4, 4, 3, 3)).toEqual(['ABCDE'])
    expect(pages(12, 12)).toEqual(['AB'])
    expect(pages()).toEqual([''])
  })
  it('more are shared out, in their order, about as many on each; no page is empty', () => {
    expect(pages(8, 8, 8, 8, 8)).toEqual(['ABC', 'DE'])
    expect(pages(...Array<number>(10).fill(4))).toEqual(['ABCDE', 'FGHIJ'])
    expect(pages(25)).toEqual(['A'])
    expect(pages(30, 1)).toEqual(['A', 'B'])
    for (const p of pages(...Array<number>(100).fill(4))) expect(p.length).toBeGreaterThan(0)
    expect(pages(...Array<number>(100).fill(4)).join('')).toHaveLength(100)
  })
})

test.each([
  ['1', '2'],
  ['2-9', '2-10'],
  ['board 3, 07', 'board 3, 08'],
  ['window', 'window'],
  ['9b', '10b'],
])('beside %s lies %s', (place, next) => expect(nextPlace(place)).toBe(next))
