import { t as tr } from '#core/language'
import { computed, ref, watch, type Ref } from 'vue'
import { routesOf, sparesLeft, waitsFor, type DayStage } from '#core/day'
import { clockOf } from '#core/house'
import { sayClock, sayShortDay } from '#core/time'
import type { Day } from './useDay'

/** The seat that is chosen, of the table that is: its person and pieces, the stage they are at or that is next, and why they have to wait. */
export function useSeat({ room, state, plan, house, now }: Day, table: Readonly<Ref<string>>) {
  const seat = ref<string>()
  const person = computed(() => state.value?.people.find((p) => p.id === seat.value))
  const pieces = computed(() => state.value?.pieces.filter((p) => p.person === seat.value) ?? [])
  const spares = computed(() =>
    plan.value && room.value && state.value ? sparesLeft(plan.value, room.value, state.value, pieces.value[0]?.design ?? '') : 0,
  )
  const stage = computed((): DayStage | null => {
    const p = person.value
    return (p && room.value && state.value && routesOf(room.value, state.value).get(p.id)?.[p.at]) ?? null
  })
  const notYet = computed(() => {
    const waits = person.value && room.value && state.value ? waitsFor(room.value, state.value, person.value, now.value) : null
    if (!waits || !house.value) return ''
    return waits.from
      ? tr('Never before {0}.', `${sayShortDay(waits.from)} ${sayClock(waits.from, clockOf(house.value))}`)
      : tr('Nobody knows of a piece that may be rubbed: a spare?')
  })
  watch(table, (t) => person.value?.table !== t && (seat.value = undefined))
  return { seat, person, pieces, spares, stage, notYet }
}
