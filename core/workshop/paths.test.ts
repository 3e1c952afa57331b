import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { applyChanges, below, change, changed, inHouse, inWorkshop, pathText, type Workshop } from '#core/workshop'
import { mayBeNull } from './nullable'

const moths = demoWorkshops('2026-05-15')[0]!

describe('a place in a document', () => {
  test.each<[string, () => Parameters<typeof pathText>[0]]>([
    ['', () => inWorkshop],
    ['group/helpers', () => inWorkshop.group.helpers],
    ['group/participants/p1/misses/s2', () => inWorkshop.group.participants('p1').misses('s2')],
    ['designs/d1/choices/rounds', () => inWorkshop.designs('d1').choices('rounds')],
    ['choices/split/rub-1', () => inWorkshop.choices.split('rub-1')],
    ['errandsDone/print', () => inWorkshop.errandsDone('print')],
    ['hours/mon', () => inHouse.hours.mon],
    ['cupboard/glue', () => inHouse.cupboard('glue')],
  ])('is written %j', (text, path) => expect(pathText(path())).toBe(text))
  it('answers nobody who looks for marks of a framework', () => {
    expect((inWorkshop as unknown as Record<string, unknown>)['__v_isRef']).toBeUndefined()
    expect((inWorkshop.group as unknown as Record<symbol, unknown>)[Symbol.toPrimitive]).toBeUndefined()
  })
  test.each([
    ['group/participants', []],
    ['group/participants/p1', ['p1']],
    ['group/participants/p1/name', ['p1', 'name']],
    ['group/participantsX', undefined],
    ['group', undefined],
    ['', undefined],
  ])('what %j names below the group’s people: %j', (text, expected) => expect(below(text, inWorkshop.group.participants)).toEqual(expected))
})

describe('a change', () => {
  it('is from what stands in the document', () => {
    expect(change(moths, inWorkshop.group.helpers, 4)).toEqual({ path: 'group/helpers', before: moths.group.helpers, after: 4 })
    expect(change(moths, inWorkshop.choices.tile, true)).toEqual({ path: 'choices/tile', before: null, after: true })
    expect(change(demoHouses[0], inHouse.cupboard('nothing-there'), 3)).toEqual({ path: 'cupboard/nothing-there', before: null, after: 3 })
  })
  it('or from what its author saw', () =>
    expect(changed(inWorkshop.title, 'Moth', 'Moths')).toEqual({ path: 'title', before: 'Moth', after: 'Moths' }))
})

describe('null', () => {
  test.each([
    ['group/tables', true],
    ['group/helpers', false],
    ['group/participants/p1/name', true],
    ['group/participants/p1/age', false],
    ['designs/d1/mirrored', true],
    ['designs/d1/whites', false],
    ['designs/d1/print/printer', false],
    ['choices/spares', true],
    ['choices/tile', false],
    ['archivedAt', true],
    ['pieces/x/laidAt', true],
    ['pieces/x', false],
    ['pictures/x/participant', true],
    ['pictures/x/deleteOn', true],
    ['pictures/x/edit', false],
    ['hours/sun', true],
    ['hours/someday', false],
    ['cupboard/glue', false],
    ['nothing/of/the/kind', false],
    ['constructor', false],
  ])('at %s is a value of its own: %s', (path, expected) => expect(mayBeNull(path)).toBe(expected))
  it('stays where it is one, and takes the field away where it is none', () => {
    const after = applyChanges<Workshop>(moths, [
      change(moths, inWorkshop.group.tables, null),
      change(moths, inWorkshop.choices.tile, true),
      change(moths, inWorkshop.choices.tile, null),
    ])!
    expect(after.group).toHaveProperty('tables', null)
    expect(after.choices).not.toHaveProperty('tile')
  })
})
