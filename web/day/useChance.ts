import { proxy } from 'comlink'
import { ref, watch, type Ref } from 'vue'
import type { Replan } from '#core/day'
import { figuresOf, type House } from '#core/house'
import type { RehearsalInput } from '#core/rehearsal'
import { rehearsalOf } from '#core/sessions'
import { useWorker } from '../app/useWorker'

interface RehearsalWorker {
  chances(inputs: readonly RehearsalInput[], runs: number, seed: number, tell: (i: number, chance: number) => void): Promise<void>
}
/** So often what is left of the class is lived. */
const runs = 400

/** In how many of a hundred what is left of a class ends in time, from how the room stands: lived by people in a worker, anew whenever it is planned
 *  anew. Undefined where nothing is left, and until it is known. */
export function useChance(left: Readonly<Ref<Replan | undefined>>, house: Readonly<Ref<House | undefined>>) {
  const in100 = ref<number>()
  const begin = () => new Worker(new URL('../workers/rehearsal.worker.ts', import.meta.url), { type: 'module' })
  const { newest } = useWorker<RehearsalWorker>(begin, '')
  let asked = 0
  watch(left, async (l) => {
    const mine = ++asked
    let found: number | undefined
    if (l?.input && house.value) {
      const input = JSON.parse(JSON.stringify(rehearsalOf({ input: l.input }, figuresOf(house.value)))) as RehearsalInput
      await newest<void>((r) =>
        r.chances(
          [input],
          runs,
          1,
          proxy((_i: number, chance: number) => void (found = Math.round(100 * chance))),
        ),
      )
    }
    if (mine === asked) in100.value = found
  })
  return in100
}
