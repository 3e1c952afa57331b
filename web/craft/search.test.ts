import { describe, expect, it, test } from 'vitest'
import { cautions, recipes, woods } from '#core/recipe'
import { find, passages } from './search'

describe('finding in the craft book', () => {
  it('nothing asked is nothing found', () => {
    expect(find('')).toEqual([])
    expect(find('   ')).toEqual([])
    expect(find('zeppelin')).toEqual([])
  })
  test.each([
    ['cedar', 'Surfaces'],
    ['haze', 'Clinic'],
    ['burnish', 'Tape film'],
    ['heat tool', 'Cautions'],
    ['mirror', 'Medium transfer, schools'],
    ['CORNER test', 'Quick peel'],
  ])('%s is found in %s', (query, where) => expect(find(query).map((p) => p.where)).toContain(where))
  it('takes all words, in any order, and puts titles first', () => {
    expect(find('wax hot')[0]!.title).toBe('Hot wax')
    const found = find('rub')
    expect(found[0]!.title.toLowerCase()).toContain('rub')
    expect(found.length).toBeLessThanOrEqual(30)
  })
  it('holds every stage, surface and caution, and every link leads to its passage', () => {
    const to = new Set(passages.map((p) => p.to))
    for (const r of recipes) for (const s of r.stages) expect(to).toContain(`/craft/${r.id}#${s.id}`)
    for (const w of woods) expect(to).toContain(`/craft/surfaces#${w.id}`)
    for (const c of Object.keys(cautions)) expect(to).toContain(`/craft/cautions#${c}`)
    for (const p of passages) expect(p.text + p.title).not.toContain('undefined')
  })
})
