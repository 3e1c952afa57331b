import { expect, it, test } from 'vitest'
import { actorOf, idIn, idsIn } from './addresses'
import { NotFound } from './errors'

test.each(['%', '_', 'a_b', 'A', '', ' ', '..', 'a'.repeat(65), undefined, ['a']])('%j is no id', (raw) =>
  expect(() => idIn(raw)).toThrow(NotFound),
)
it('an id is what it is, exactly; a list leaves out what is none, and has its limit', () => {
  expect([idIn('a-1'), idIn('z'.repeat(64)).length]).toEqual(['a-1', 64])
  expect(idsIn('a,%,b_c,,d')).toEqual(['a', 'd'])
  expect([idsIn(undefined), idsIn(['a'])]).toEqual([[], []])
  expect(idsIn(Array.from({ length: 99 }, (_, i) => `x${i}`).join()).length).toBe(60)
})
it('who did it is a name, without what is not seen', () => {
  expect([
    actorOf(encodeURIComponent('Núria')),
    actorOf('%'),
    actorOf(undefined),
    actorOf('a%00b'),
    actorOf('x'.repeat(99)).length,
  ]).toEqual(['Núria', '', '', 'ab', 80])
})
