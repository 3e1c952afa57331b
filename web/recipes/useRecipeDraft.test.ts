import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { latestRecipe } from '#core/recipe'
import { useRecipeDraft } from './useRecipeDraft'

const kept = new Map<string, string>()
const listeners: ((e: { key: string }) => void)[] = []
beforeEach(() => {
  kept.clear()
  listeners.length = 0
  vi.stubGlobal('window', {
    addEventListener: (_kind: string, f: (e: { key: string }) => void) => listeners.push(f),
    removeEventListener: () => undefined,
  })
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  })
})
const begin = (house = 'saltbox') => {
  const d = useRecipeDraft(ref(house))
  d.draft.value = { id: 'draft', recipe: '', version: 1, base: { id: 'medium-transfer', version: 1 }, name: 'Ours', note: '', edits: [] }
  return d
}
const lay = latestRecipe('medium-transfer')!.stages.find((s) => s.id === 'lay')!

describe('a recipe being written', () => {
  it('has steps of its own, which go with their words', () => {
    const d = begin()
    d.addStep({ id: 'own-warm', name: 'Warm', after: 'sand', minutes: 4, attended: true, pass: 'Warm.', fail: 'Cold.' })
    d.set('stages/own-warm/pass', 'Hot.', 'Warm.')
    expect(d.recipe.value!.stages.find((s) => s.id === 'own-warm')!.pass).toBe('Hot.')
    d.takeStepOut('own-warm')
    expect(d.draft.value!.edits).toEqual([])
  })
  it('puts a kept draft that can’t be read aside and says so', () => {
    kept.set('imprenta.recipe.saltbox', '{"name": "Ours", "ed')
    const d = useRecipeDraft(ref('saltbox'))
    expect(d.draft.value).toBeUndefined()
    expect(d.damaged.value).toBe('{"name": "Ours", "ed')
    expect(kept.get('imprenta.recipe.saltbox.damaged')).toBe('{"name": "Ours", "ed')
  })
  it('takes over what another tab changed', async () => {
    const d = begin()
    await nextTick()
    const theirs = { ...d.draft.value!, edits: [{ path: 'stages/lay/minutes', figure: 12 }] }
    kept.set('imprenta.recipe.saltbox', JSON.stringify(theirs))
    listeners.forEach((tell) => tell({ key: 'imprenta.recipe.saltbox' }))
    d.set('stages/lay/pass', 'Flat.', lay.pass)
    expect(d.draft.value!.edits).toEqual([
      { path: 'stages/lay/minutes', figure: 12 },
      { path: 'stages/lay/pass', text: 'Flat.' },
    ])
  })
  it('begins as its method, without a difference', () => {
    const d = begin()
    expect(d.recipe.value).toMatchObject({ name: 'Ours', stages: latestRecipe('medium-transfer')!.stages })
    expect(d.problems.value).toEqual([])
  })
  it('keeps one difference a place; the practice’s own value takes it out again', () => {
    const d = begin()
    d.set('stages/lay/minutes', 9, lay.minutes.value)
    d.set('stages/lay/minutes', 8, lay.minutes.value)
    expect(d.draft.value!.edits).toEqual([{ path: 'stages/lay/minutes', figure: 8 }])
    expect(d.at('stages/lay/minutes')).toEqual({ path: 'stages/lay/minutes', figure: 8 })
    d.set('stages/lay/minutes', lay.minutes.value, lay.minutes.value)
    expect(d.draft.value!.edits).toEqual([])
  })
  it('words are differences too', () => {
    const d = begin()
    d.set('stages/lay/pass', 'Flat and shiny.', lay.pass)
    expect(d.recipe.value!.stages.find((s) => s.id === 'lay')!.pass).toBe('Flat and shiny.')
  })
  it('leaves things out and takes them in again', () => {
    const d = begin()
    d.drop('materials/cord', true)
    d.drop('materials/cord', true)
    expect(d.draft.value!.edits).toEqual([{ drop: 'materials/cord' }])
    expect(d.dropped('materials/cord')).toBe(true)
    d.drop('materials/cord', false)
    expect(d.dropped('materials/cord')).toBe(false)
  })
  it('adds a thing and takes it out', () => {
    const d = begin()
    d.add({ material: 'roller', note: '', basis: 'table', amount: 1, stage: 'lay' })
    expect(d.added.value.map((a) => a.material)).toEqual(['roller'])
    expect(d.recipe.value!.materials.at(-1)).toMatchObject({ material: 'roller' })
    d.takeOut('roller')
    expect(d.added.value).toEqual([])
  })
  it('says what is wrong instead of making it', () => {
    const d = begin()
    d.add({ material: 'roller', note: '', basis: 'table', amount: 1, stage: 'nowhere' })
    expect(d.recipe.value).toBeUndefined()
    expect(d.problems.value.join()).toContain('nowhere')
  })
  it('survives a reload, house by house, until it is left', async () => {
    const d = begin()
    d.set('stages/lay/minutes', 9, lay.minutes.value)
    await nextTick()
    expect(useRecipeDraft(ref('saltbox')).draft.value!.edits).toEqual([{ path: 'stages/lay/minutes', figure: 9 }])
    expect(useRecipeDraft(ref('tidewater')).draft.value).toBeUndefined()
    d.draft.value = undefined
    await nextTick()
    expect(useRecipeDraft(ref('saltbox')).draft.value).toBeUndefined()
  })
  it('another house on the same page has a draft of its own', async () => {
    const house = ref('saltbox')
    const d = useRecipeDraft(house)
    d.draft.value = { id: 'draft', recipe: '', version: 1, base: { id: 'medium-transfer', version: 1 }, name: 'Ours', note: '', edits: [] }
    await nextTick()
    house.value = 'tidewater'
    await nextTick()
    expect(d.draft.value).toBeUndefined()
    expect(kept.has('imprenta.recipe.tidewater')).toBe(false)
    house.value = 'saltbox'
    await nextTick()
    expect(d.draft.value).toMatchObject({ name: 'Ours' })
  })
})
