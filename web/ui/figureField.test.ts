// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import { demoHouses } from '#core/demo'
import type { House } from '#core/house'
import { applyChanges, type Change } from '#core/workshop'
import { mountIn } from '../testing/mountIn'
import FigureField from './FigureField.vue'

function field(figureKey: string, house: House = demoHouses[0]!) {
  const deeds: { changes: Change[]; label: string; kind: string }[] = []
  const act = (changes: Change[], label: string, kind: string) => deeds.push({ changes, label, kind })
  const page = mountIn(FigureField, { figureKey, house, act })
  const press = (text: string) => page.findAll('button').find((b) => b.text() === text)!
  return { page, deeds, press, after: () => applyChanges<House>(house, deeds.at(-1)!.changes)! }
}

describe('a figure of the house', () => {
  it('is set where it stands, with who, when and why', async () => {
    localStorage.setItem('imprenta.actor', 'Noor')
    const { page, deeds, press, after } = field('set-up')
    expect(page.text()).toContain('Set-up, with the group30 min')
    await press('change').trigger('click')
    await page.find('input.short').setValue('45')
    await page.findAll('input')[1]!.setValue(' the room is two floors up ')
    await page.find('form').trigger('submit')
    expect(deeds).toMatchObject([{ kind: 'figure', label: 'Set-up, with the group became 45 min' }])
    expect(after().figures).toEqual({ 'set-up': { value: 45, by: 'Noor', on: '1969-12-31', why: 'the room is two floors up' } })
    expect(page.find('form').exists()).toBe(false)
  })
  it('says what it cannot be, and keeps nothing of it', async () => {
    const { page, deeds, press } = field('ratio.8-12')
    await press('change').trigger('click')
    for (const [typed, said] of [
      ['0', 'Not below 1.'],
      ['100', 'Not above 60.'],
      ['some', 'That is no figure.'],
    ]) {
      await page.find('input.short').setValue(typed)
      expect(page.text()).toContain(said)
      expect(page.find('input.short').attributes('aria-invalid')).toBe('true')
      await page.find('form').trigger('submit')
    }
    await press('Leave it').trigger('click')
    expect([deeds.length, page.find('form').exists()]).toEqual([0, false])
  })
  it('set by somebody says so beside the estimate, and goes back with one press', async () => {
    const own = { value: 1200, by: 'Noor', on: '2026-03-03', why: 'the shop in town' }
    const { page, press, after } = field('price.blank-jar.12', { ...demoHouses[0]!, figures: { 'price.blank-jar.12': own } })
    expect(page.text()).toMatch(/Blank jars, pack of 12.*12\.00 USD/)
    expect(page.text()).toMatch(/set by Noor, Tue 3 Mar: the shop in town; estimate 16\.80 USD/)
    await press('change').trigger('click')
    await press('As estimated').trigger('click')
    expect(after().figures).toEqual({})
  })
  it('that nobody knows is not there', () => expect(field('nothing-like-it').page.text()).toBe(''))
})
