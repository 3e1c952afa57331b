import { expect, it } from 'vitest'
import { ref } from 'vue'
import { later } from './later'

const turn = () => new Promise((go) => setTimeout(go))

it('has the first value at once, later ones a turn later, and of several only the newest', async () => {
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
  for (let i = 0; i < 3; i++) await turn()
  expect([followed.value, slow.value]).toEqual([3, 3])
})
