import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue'
import { lateWays, offers, replan, type DayRoom, type DayState, type LateWay, type Offer, type Replan } from '#core/day'
import type { Zoned } from '#core/time'
import { useWorker } from '../app/useWorker'

interface DayWorker {
  begin(room: DayRoom): Promise<void>
  left(state: DayState, at: Zoned): Promise<Replan>
  ways(): Promise<Ways | undefined>
}
/** What would bring the class back into its time, and how far who is missing still comes. */
export interface Ways {
  offers: Offer[]
  late: LateWay[]
}

/** What is left of a class, planned again in a thread whenever `changed` does: one question at a time, of what changed meanwhile only the newest. A
 *  browser that gives no thread, or whose thread dies, plans on the page: the day goes on. */
export function useLeft(
  room: Readonly<Ref<DayRoom | undefined>>,
  state: Readonly<Ref<DayState | undefined>>,
  changed: () => unknown,
  now: () => Zoned,
  begin = () => new Worker(new URL('../workers/day.worker.ts', import.meta.url), { type: 'module' }),
) {
  const left = shallowRef<Replan>()
  const ways = shallowRef<Ways>({ offers: [], late: [] })
  const { newest, problem } = useWorker<DayWorker>(begin, 'no thread for the day')
  let [busy, again, gone] = [false, false, false]
  /** The room that the thread has. */
  let given: DayRoom | undefined
  onBeforeUnmount(() => (gone = true))

  async function onThread(r: DayRoom, s: DayState, at: Zoned): Promise<Replan | undefined> {
    if (problem.value) return undefined
    if (given !== r) {
      await newest<void>((w) => w.begin(r))
      given = r
    }
    return newest((w) => w.left(s, at))
  }
  async function ask(): Promise<void> {
    again = true
    if (busy) return
    busy = true
    while (again && !gone) {
      again = false
      const [r, s, at] = [room.value, state.value, now()]
      if (!r || !s) {
        left.value = undefined
        continue
      }
      const found = await onThread(r, s, at)
      if (problem.value && !found) {
        console.warn('the day is planned on the page', problem.value)
        left.value = replan(r, s, at)
        ways.value = { offers: offers(r, s, left.value, at), late: [...lateWays(r, s, left.value, at)] }
      } else if (found) left.value = found
      if (!again && found) void newest((w) => w.ways()).then((w) => w && (ways.value = w))
    }
    busy = false
  }
  watch([room, state, changed], () => void ask(), { immediate: true })
  return { left, ways }
}
