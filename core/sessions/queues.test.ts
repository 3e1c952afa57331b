import { expect, test } from 'vitest'
import { tightest } from '#core/sessions'

const span = (fromMin: number, toMin: number) => ({ fromMin, toMin })
test.each<[string, ReturnType<typeof span>[], number, number]>([
  ['nobody', [], 0, 0],
  ['one', [span(3, 9)], 1, 3],
  ['one after the other: never two', [span(0, 5), span(5, 9)], 1, 0],
  ['a minute together', [span(0, 6), span(5, 9)], 2, 5],
  ['the first of two tight moments', [span(0, 4), span(2, 4), span(10, 14), span(12, 14)], 2, 2],
  ['three at last', [span(0, 20), span(5, 9), span(10, 14), span(12, 14)], 3, 12],
])('the tightest moment: %s', (_n, spans, most, atMin) => expect(tightest(spans)).toEqual({ most, atMin }))
