import { t as tr } from '#core/language'
import { shallowRef, watch, type Ref } from 'vue'
import type { House } from '#core/house'
import type { swapRecipe } from '#core/plan'
import type { Recipe } from '#core/recipe'
import type { Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'
import { useWorker } from '../app/useWorker'

/** What the second recipe means for each open plan, worked out in a worker: the newest question wins. */
export function useSwap(of: Ref<{ a: Recipe; b: Recipe; house: House; now: Zoned } | undefined>, workshops: Ref<readonly Workshop[]>) {
  const swapped = shallowRef<ReturnType<typeof swapRecipe>>([])
  const begin = () => new Worker(new URL('../workers/swap.worker.ts', import.meta.url), { type: 'module' })
  const { problem, newest, forget } = useWorker<{ swapRecipe: typeof swapRecipe }>(begin, tr('The plans could not be compared.'))
  watch([of, workshops], async () => {
    forget()
    swapped.value = []
    problem.value = ''
    if (!of.value) return
    const { open, a, b, house, now } = JSON.parse(JSON.stringify({ open: workshops.value, ...of.value })) as {
      open: Workshop[]
    } & NonNullable<typeof of.value>
    const found = await newest((remote) => remote.swapRecipe(open, house, a, b, now))
    if (found) swapped.value = found
  })
  return { swapped, problem }
}
