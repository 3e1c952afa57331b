import { t as tr } from '#core/language'
import { proxy } from 'comlink'
import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Refusal } from '#core/reasons'
import type { RoomInput, RoomPlan } from '#core/room'
import { useWorker } from '../app/useWorker'

interface RoomWorker {
  search(input: RoomInput, ms: number, tell: (share: number, better: RoomPlan | undefined) => void): Promise<RoomPlan | Refusal | undefined>
  finishes(inputs: readonly RoomInput[], steps: number, tell: (i: number, finishMin: number) => void): Promise<void>
  stop(): void
}
/** So long a better plan is looked for. */
const lookMs = 4000
/** So many plans are made of each way out. */
const waySteps = 160

/** A class's room, planned better in a worker: `plan` is the best so far, `share` how far the search is. The newest question wins, and what
 *  was found for another room is dropped. */
export function useRoom(input: Ref<RoomInput | undefined>, quick: Ref<RoomPlan | undefined>, settled: Ref<boolean>) {
  const plan = shallowRef<RoomPlan>()
  const share = ref(1)
  const begin = () => new Worker(new URL('../workers/room.worker.ts', import.meta.url), { type: 'module' })
  const { problem, remote, newest } = useWorker<RoomWorker>(begin, tr('The room could not be planned.'))
  let asked = 0
  watch(
    () => input.value && JSON.stringify(input.value),
    async (text) => {
      const mine = ++asked
      plan.value = quick.value
      share.value = 1
      if (!text || !quick.value || settled.value || quick.value.finishMin === quick.value.lowerBoundMin) return
      share.value = 0
      const tell = proxy((done: number, better: RoomPlan | undefined) => {
        if (mine !== asked) return
        if (better && isBetter(better, plan.value)) plan.value = better
        share.value = done
      })
      await newest<RoomPlan | Refusal | undefined>((r) => r.search(JSON.parse(text) as RoomInput, lookMs, tell))
      if (mine === asked) share.value = 1
    },
    { immediate: true },
  )
  /** Keeps what is known so far. */
  function stop() {
    asked++
    share.value = 1
    void remote().stop()
  }
  /** When rooms would be done, as they come. */
  const finishes = (inputs: readonly RoomInput[], tell: (i: number, finishMin: number) => void) =>
    remote().finishes(JSON.parse(JSON.stringify(inputs)) as RoomInput[], waySteps, proxy(tell))
  return { plan, share, problem, stop, finishes }
}

export const isBetter = (a: RoomPlan, b: RoomPlan | undefined): boolean =>
  !b ||
  a.finishMin < b.finishMin ||
  (a.finishMin === b.finishMin && (a.waitingMin < b.waitingMin || (a.waitingMin === b.waitingMin && a.spreadMin < b.spreadMin)))
