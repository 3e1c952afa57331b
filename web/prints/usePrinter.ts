import { useEventListener } from '@vueuse/core'
import { onMounted, ref, type Ref } from 'vue'
import { uuidv7 } from 'uuidv7'
import type { Job, LaidSheet } from '#core/prints'
import type { Letting, Printer } from '#core/printer'
import type { Ink } from '#core/recipe'
import { api } from '../app/api'

/** The simulated printers of a workshop's house and the out-tray; what failed is said, and asking again does it once. */
export function usePrinter(workshop: Ref<string>, house: Ref<string>, actor: Ref<string>) {
  const jobs = ref<Job[]>([])
  const printers = ref<Printer[]>([])
  const problem = ref('')
  const busy = ref(false)
  const ready = ref(false)

  async function guarded(task: () => Promise<void>): Promise<void> {
    busy.value = true
    try {
      await task()
      problem.value = ''
    } catch (e) {
      problem.value = e instanceof Error ? e.message : String(e)
    } finally {
      busy.value = false
    }
  }
  const load = () =>
    guarded(async () => {
      const found = await api.printJobs<{ jobs: Job[]; printers: Printer[] }>(workshop.value)
      jobs.value = found.jobs
      printers.value = found.printers
      ready.value = true
    })
  /** The id is made once for a press, so that a lost answer prints nothing twice. */
  const print = (ink: Ink, sheets: readonly LaidSheet[], steps: number, design?: string) => {
    const id = uuidv7()
    return guarded(async () => {
      await api.print(workshop.value, {
        id,
        ink,
        steps,
        actor: actor.value,
        sheets: sheets.map((s) => s.places.map((p) => p.print.id)),
        ...(design !== undefined && { design }),
      })
      await load()
    })
  }
  const tell = (ink: Ink, what: { letIt?: Letting; refill?: boolean; paper?: string }) =>
    guarded(async () => {
      await api.tellPrinter(house.value, { ink, ...what })
      await load()
    })
  const redo = (job: string, prints: readonly string[]) =>
    guarded(async () => {
      await api.redoPrints(workshop.value, job, prints)
      await load()
    })
  const smear = async (ink: Ink) => (await api.smearTest(house.value, ink)).outcome
  onMounted(load)
  useEventListener(document, 'visibilitychange', () => void (document.visibilityState === 'visible' && load()))
  return { jobs, printers, problem, busy, ready, print, tell, redo, smear, load }
}
