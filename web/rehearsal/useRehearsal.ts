import { t as tr } from '#core/language'
import { proxy } from 'comlink'
import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Refusal } from '#core/reasons'
import type { Rehearsal, RehearsalInput } from '#core/rehearsal'
import { useWorker } from '../app/useWorker'

interface RehearsalWorker {
  live(input: RehearsalInput, runs: number, seed: number, tell: (story: Rehearsal) => void): Promise<Refusal | undefined>
  chances(inputs: readonly RehearsalInput[], runs: number, seed: number, tell: (i: number, chance: number) => void): Promise<void>
  stop(): void
}
/** So often a class is lived, and each change of it. */
export const runs = 2000
const runsOfChange = 1000

/** A class lived again and again in a worker, told as it comes. A new question or seed begins anew. */
export function useRehearsal(input: Ref<RehearsalInput | undefined>) {
  const story = shallowRef<Rehearsal>()
  const refused = shallowRef<Refusal['refused']>()
  const living = ref(false)
  const seed = ref(1)
  const begin = () => new Worker(new URL('../workers/rehearsal.worker.ts', import.meta.url), { type: 'module' })
  const { problem, remote, newest } = useWorker<RehearsalWorker>(begin, tr('The class could not be rehearsed.'))
  let asked = 0
  watch(
    [() => input.value && JSON.stringify(input.value), seed],
    async ([text]) => {
      const mine = ++asked
      story.value = undefined
      refused.value = undefined
      if (!text) return
      living.value = true
      const tell = proxy((s: Rehearsal) => {
        if (mine === asked) story.value = s
      })
      const answer = await newest((r) => r.live(JSON.parse(text) as RehearsalInput, runs, seed.value, tell))
      if (mine !== asked) return
      refused.value = answer?.refused
      living.value = false
    },
    { immediate: true },
  )
  /** Keeps what has been lived so far. */
  function stop() {
    asked++
    living.value = false
    void remote().stop()
  }
  const chances = (inputs: readonly RehearsalInput[], tell: (i: number, chance: number) => void) =>
    remote().chances(JSON.parse(JSON.stringify(inputs)) as RehearsalInput[], runsOfChange, seed.value, proxy(tell))
  return { story, refused, living, seed, problem, stop, chances }
}
