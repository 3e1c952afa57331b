<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { clockOf } from '#core/house'
import { sayClock, sayMinute, sayShortDay } from '#core/time'
import DayLate from './DayLate.vue'
import DayShelf from './DayShelf.vue'
import type { Day } from './useDay'

/** Beside the room: what cannot both be true, who is not here yet, who has to wait, what would bring the class back into its time. */
const props = defineProps<{ day: Day }>()
const emit = defineEmits<{ here: [person: string]; settle: [event: string]; seat: [person: string]; stop: [stage: string] }>()
const state = computed(() => props.day.state.value!)
const name = (p: string) => props.day.names.value.get(p) ?? tr('Guest')
const clock = (at: string) => sayMinute(at, clockOf(props.day.house.value!))
const waits = computed(() => props.day.next.value?.notYet ?? [])
const over = computed(() => (props.day.left.value!.overMin > 0 ? props.day.ways.value.offers : []))
const stopped = computed(() => {
  const after = state.value.stopAfter
  const s = props.day.room.value!.people.flatMap((p) => p.route).find((x) => x.id === after)
  return s && tr(s.name).toLowerCase()
})
const waitSaid = (from: string | null) =>
  from
    ? tr('never before {0}', `${sayShortDay(from)} ${sayClock(from, clockOf(props.day.house.value!))}`)
    : tr('no piece that may be rubbed: a spare?')
const eventOf = (id: string) => props.day.events.value.find((k) => k.id === id)?.e
const tapSaid = (id: string) => {
  const e = eventOf(id)
  if (!e) return ''
  const what: Record<string, string> = {
    absent: tr('not here'),
    left: tr('has left'),
    home: tr('goes home so'),
    did: tr('done'),
    began: tr('begun'),
    said: tr('begun'),
  }
  return `${what[e.kind] ?? e.kind}, ${clock(e.at)}, ${e.actor}`
}
</script>
<template>
  <div class="side">
    <section v-for="(c, i) in state.conflicts.slice(0, 3)" :key="i" class="ask" role="alert">
      <h3>{{ $t('{0}: both cannot be', name(c.person)) }}</h3>
      <p class="two small">{{ $t('Which tap was wrong? It is taken back, the other stands.') }}</p>
      <v-btn v-for="e in c.events" :key="e" class="tall" @click="emit('settle', e)">{{ tapSaid(e) }}</v-btn>
    </section>
    <p v-if="stopped" class="small">
      <b>{{ $t('Stops after {0}: the rest is done at home.', stopped) }}</b>
    </p>
    <section v-if="over.length">
      <h3>{{ $t('To be clean in time') }}</h3>
      <v-btn v-for="o in over.slice(0, 3)" :key="o.stopAfter" class="tall" @click="emit('stop', o.stopAfter)">
        {{ $t('Stop after {0}, the rest at home: clean {1}', $t(o.name).toLowerCase(), clock(o.cleanAt)) }}
      </v-btn>
    </section>
    <DayLate :day="day" @here="emit('here', $event)" />
    <section v-if="waits.length">
      <h3>{{ $t('Not to be rubbed yet') }}</h3>
      <p v-for="w in waits" :key="w.person" class="row">
        <button type="button" class="plain link" @click="emit('seat', w.person)">{{ name(w.person) }}</button>
        <span class="two">{{ waitSaid(w.from) }}</span>
      </p>
    </section>
    <DayShelf :day="day" />
  </div>
</template>
<style scoped src="./side.css"></style>
