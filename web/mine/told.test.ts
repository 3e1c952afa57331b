import { describe, expect, it } from 'vitest'
import { keptTold } from './told'

function store(full = false) {
  const kept = new Map<string, string>()
  return {
    kept,
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, x: string) => {
      if (full) throw new Error('no room')
      kept.set(k, x)
    },
    removeItem: (k: string) => void kept.delete(k),
  }
}
const good = { piece: 'a.d.1', how: 'good' }

describe('what a phone has said and the server has not', () => {
  it('is kept over a reload, by page and piece, the last word on each', () => {
    const s = store()
    const told = keptTold('t', s)
    told.say('/outcome', good)
    told.say('/outcome', { ...good, how: 'hazy' })
    told.say('/laid', { piece: 'a.d.1', laid: true })
    expect(Object.values(keptTold('t', s).all())).toEqual([
      { path: '/outcome', body: { ...good, how: 'hazy' } },
      { path: '/laid', body: { piece: 'a.d.1', laid: true } },
    ])
    expect(keptTold('another', s).all()).toEqual({})
  })
  it('is let go of when it is settled, unless something else was said meanwhile; nothing is left of it', () => {
    const s = store()
    const told = keptTold('t', s)
    told.say('/outcome', good)
    const [[name, sent]] = Object.entries(told.all()) as [[string, ReturnType<typeof told.all>[string]]]
    told.say('/outcome', { ...good, how: 'bald' })
    told.settled(name, sent)
    expect(told.all()[name]!.body).toEqual({ ...good, how: 'bald' })
    told.settled(name, told.all()[name]!)
    expect([told.all(), s.kept.size]).toEqual([{}, 0])
    told.say('/outcome', good)
    told.drop()
    expect([told.all(), s.kept.size]).toEqual([{}, 0])
  })
  it('lives with the page where nothing can be kept, and what cannot be read is nothing', () => {
    const told = keptTold('t', store(true))
    told.say('/outcome', good)
    expect(Object.keys(told.all())).toHaveLength(1)
    const s = store()
    s.kept.set('imprenta.mine-told.t', '{nonsense')
    expect(keptTold('t', s).all()).toEqual({})
  })
})
