// @vitest-environment jsdom
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { useCall } from './useCall'

let [sounds, shakes] = [0, 0]
class Audio {
  currentTime = 0
  destination = {}
  createOscillator() {
    return { frequency: {}, connect: (x: object) => x, start: () => sounds++, stop: () => undefined }
  }
  createGain() {
    return { gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined }, connect: (x: object) => x }
  }
}
beforeEach(() => {
  ;[sounds, shakes] = [0, 0]
  vi.stubGlobal('AudioContext', Audio)
  vi.stubGlobal('navigator', { vibrate: () => shakes++ })
  localStorage.clear()
})
afterEach(() => vi.unstubAllGlobals())

it('calls once when something new is due, and only where it was asked for', async () => {
  const due = ref<string>()
  const call = useCall(due)
  due.value = 'first'
  await nextTick()
  expect([sounds, shakes]).toEqual([0, 0])
  call.toggle()
  expect([sounds, shakes]).toEqual([1, 1])
  due.value = 'second'
  await nextTick()
  due.value = 'second'
  await nextTick()
  expect([sounds, shakes]).toEqual([2, 2])
  due.value = undefined
  await nextTick()
  expect(sounds).toBe(2)
  call.toggle()
  due.value = 'third'
  await nextTick()
  expect([sounds, shakes]).toEqual([2, 2])
})
