import { t as tr } from '#core/language'
import { shallowRef, watch } from 'vue'
import type { findMethods, Row } from '#core/finder'
import { recipesOf } from '#core/house'
import { useWorker } from '../app/useWorker'
import type { Bench } from './useBench'

/** The method finder in a worker: the newest plan wins, an older answer is dropped. `problem` says that it failed. */
export function useFinder(bench: Bench) {
  const rows = shallowRef<Row[]>([])
  const begin = () => new Worker(new URL('../workers/finder.worker.ts', import.meta.url), { type: 'module' })
  const { problem, newest } = useWorker<{ findMethods: typeof findMethods }>(begin, tr('The methods could not be compared.'))
  watch(
    [bench.workshop, bench.house, bench.design],
    async () => {
      const { workshop, house, plan } = bench
      if (!workshop.value || !house.value || !plan.value) return
      const question = { ...bench.desk.planInput(workshop.value.id)!, now: plan.value.now, design: plan.value.design }
      const plain = JSON.parse(JSON.stringify(question)) as Parameters<typeof findMethods>[0]
      const found = await newest((remote) => remote.findMethods({ ...plain, recipes: recipesOf(plain.house) }))
      if (found) rows.value = found
    },
    { immediate: true },
  )
  return { rows, problem }
}
