import { t as tr } from '#core/language'
import { wrap, type Remote } from 'comlink'
import { onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { findMethods, Row } from '#core/finder'
import { recipesOf } from '#core/house'
import type { Bench } from './useBench'

/** The method finder in a worker: the newest plan wins, an older answer is dropped. `problem` says that it failed. */
export function useFinder(bench: Bench) {
  const rows = shallowRef<Row[]>([])
  const problem = ref('')
  const worker = new Worker(new URL('../workers/finder.worker.ts', import.meta.url), { type: 'module' })
  const remote: Remote<{ findMethods: typeof findMethods }> = wrap(worker)
  worker.onerror = (e) => (problem.value = e.message || tr('The methods could not be compared.'))
  onBeforeUnmount(() => worker.terminate())
  let asked = 0
  watch(
    [bench.workshop, bench.house, bench.design],
    async () => {
      const { workshop, house, plan } = bench
      if (!workshop.value || !house.value || !plan.value) return
      const mine = ++asked
      const question = { ...bench.desk.planInput(workshop.value.id)!, now: plan.value.now, design: plan.value.design }
      const plain = JSON.parse(JSON.stringify(question)) as Parameters<typeof findMethods>[0]
      try {
        const found = await remote.findMethods({ ...plain, recipes: recipesOf(plain.house) })
        if (mine !== asked) return
        rows.value = found
        problem.value = ''
      } catch (e) {
        if (mine === asked) problem.value = e instanceof Error ? e.message : String(e)
      }
    },
    { immediate: true },
  )
  return { rows, problem }
}
