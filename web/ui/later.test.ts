import { afterEach, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { later } from './later'

const turn = () => vi.advanceTimersToNextTimerAsync()
afterEach(() => void vi.useRealTimers())

it('has the first value at once, later ones a turn later, and of several only the newest', async () => {
  vi.useFakeTimers()
  const source = ref(1)
  const followed = later(() => source.value)
  const slow = later(() => source.value, 3)
  expect([followed.value, slow.value]).toEqual([1, 1])
  source.value = 2
  await Promise.resolve()
  expect(followed.value).toBe(1)
  await turn()
  expect([followed.value, slow.value]).toEqual([2, 1])
  source.value = 3
  for (let i = 0; i < 9 && vi.getTimerCount() > 0; i++) {
    await turn()
    // What was asked before the newest never shows.
    expect([1, 3]).toContain(slow.value)
  }
  expect([followed.value, slow.value]).toEqual([3, 3])
})
