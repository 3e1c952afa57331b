// @vitest-environment jsdom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { h } from 'vue'
import { setSingleLetters } from './keys'
import { usePageKeys } from './usePageKeys'

const next = vi.fn()
const erase = vi.fn(() => false)
const Page = {
  setup: () => {
    usePageKeys({ n: next, Delete: erase, PageDown: next })
    return () => h('main', [h('input'), h('div', { role: 'dialog' }, h('button', { id: 'in' }))])
  },
}
let page: ReturnType<typeof mount>
const press = (key: string, on: EventTarget = document.body, more: KeyboardEventInit = {}) => {
  const e = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  on.dispatchEvent(e)
  return e
}
const at = (selector: string) => page.element.querySelector(selector)!

beforeEach(() => {
  localStorage.clear()
  next.mockClear()
  page = mount(Page, { attachTo: document.body })
})
afterEach(() => page.unmount())

describe('keys of a page', () => {
  it('do their deed, and the browser’s own is left out', () => {
    expect(press('n').defaultPrevented).toBe(true)
    expect(next).toHaveBeenCalledTimes(1)
  })
  it('keep what the browser does with them when there was nothing to do', () => {
    expect(press('Delete').defaultPrevented).toBe(false)
    expect(erase).toHaveBeenCalled()
  })
  it.each([
    ['while typing', () => press('n', at('input'))],
    ['in a dialog', () => press('n', at('#in'))],
    ['with Ctrl', () => press('n', document.body, { ctrlKey: true })],
    ['with Meta', () => press('n', document.body, { metaKey: true })],
    ['with Alt', () => press('PageDown', document.body, { altKey: true })],
    ['that the page does not have', () => press('q')],
  ])('do nothing %s', (_name, act) => {
    expect(act().defaultPrevented).toBe(false)
    expect(next).not.toHaveBeenCalled()
  })
  it('of one letter can be switched off, the others stay', () => {
    setSingleLetters(false)
    press('n')
    expect(next).not.toHaveBeenCalled()
    press('PageDown')
    expect(next).toHaveBeenCalledTimes(1)
  })
  it('end with the page', () => {
    page.unmount()
    press('n')
    expect(next).not.toHaveBeenCalled()
    page = mount(Page)
  })
})
