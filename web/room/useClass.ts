import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { clockOf } from '#core/house'
import { addMinutes, sayMinute, sayShortDay } from '#core/time'
import type { Bench } from '../bench/useBench'

/** The class that a place of the workshop looks at: the one in the address, else the next that is not over; with its load, the others to choose
 *  from, and minutes from its start as the clock says them. */
export function useClass(bench: Bench, place: 'room' | 'rehearsal' | 'floor') {
  const route = useRoute()
  const router = useRouter()
  const { whole, house } = bench
  const loads = computed(() => whole.value?.loads ?? [])
  const worked = (id: string) => loads.value.some((l) => l.sessionId === id)
  const sessionId = computed({
    get: () => {
      const asked = String(route.params['session'] ?? '')
      const next = whole.value?.sessions.find((s) => !s.problems.includes('past') && worked(s.id))
      return worked(asked) ? asked : (next?.id ?? loads.value.at(-1)?.sessionId ?? '')
    },
    set: (to) => void router.replace({ name: place, params: { id: bench.workshop.value!.id, session: to } }),
  })
  const session = computed(() => whole.value?.sessions.find((s) => s.id === sessionId.value))
  const load = computed(() => loads.value.find((l) => l.sessionId === sessionId.value))
  const choices = computed(() =>
    (whole.value?.sessions ?? []).filter((s) => worked(s.id)).map((s) => ({ id: s.id, name: `${s.number} ${sayShortDay(s.from)}` })),
  )
  const clock = (min: number) => sayMinute(addMinutes(session.value!.from, Math.round(min)), clockOf(house.value!))
  return { sessionId, session, load, choices, clock }
}
