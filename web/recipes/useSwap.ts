import { t as tr } from '#core/language'
import { wrap, type Remote } from 'comlink'
import { onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import type { House } from '#core/house'
import type { swapRecipe } from '#core/plan'
import type { Recipe } from '#core/recipe'
import type { Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'

/** What the second recipe means for each open plan, worked out in a worker: the newest question wins. */
export function useSwap(of: Ref<{ a: Recipe; b: Recipe; house: House; now: Zoned } | undefined>, workshops: Ref<readonly Workshop[]>) {
  const swapped = shallowRef<ReturnType<typeof swapRecipe>>([])
  const problem = ref('')
  let worker: Worker | undefined
  let asked = 0
  onBeforeUnmount(() => worker?.terminate())
  watch([of, workshops], async () => {
    const mine = ++asked
    swapped.value = []
    problem.value = ''
    if (!of.value) return
    worker ??= new Worker(new URL('../workers/swap.worker.ts', import.meta.url), { type: 'module' })
    worker.onerror = (e) => (problem.value = e.message || tr('The plans could not be compared.'))
    const remote: Remote<{ swapRecipe: typeof swapRecipe }> = wrap(worker)
    const { open, a, b, house, now } = JSON.parse(JSON.stringify({ open: workshops.value, ...of.value })) as {
      open: Workshop[]
    } & NonNullable<typeof of.value>
    try {
      const found = await remote.swapRecipe(open, house, a, b, now)
      if (mine === asked) swapped.value = found
    } catch (e) {
      problem.value = e instanceof Error ? e.message : String(e)
    }
  })
  return { swapped, problem }
}
