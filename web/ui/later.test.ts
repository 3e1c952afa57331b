import { expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { later } from './later'

it('has the first value at once, later ones a turn later, and of several only the newest', async () => {
  const source = ref(1)
  const followed = later(() => source.value)
  const slow = later(() => source.value, 3)
  expect([followed.value, slow.value]).toEqual([1, 1])
  source.value = 2
  await Promise.resolve()
  expect(followed.value).toBe(1)
  await vi.waitFor(() => expect(followed.value).toBe(2))
  expect(slow.value).toBe(1)
  source.value = 3
  await vi.waitFor(() => expect([followed.value, slow.value]).toEqual([3, 3]))
})
