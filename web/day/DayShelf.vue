<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { shelfBeside } from '#core/day'
import { clockOf } from '#core/house'
import { minutesBetween, sayClock, sayShortDay } from '#core/time'
import type { Day } from './useDay'

/** The shelf while the class runs: what nobody has at a table, and the spares, each with its time. */
const props = defineProps<{ day: Day }>()
const beside = computed(() => shelfBeside(props.day.plan.value!, props.day.room.value!, props.day.state.value!, props.day.now.value))
const name = (p: string) => props.day.names.value.get(p) ?? tr('Guest')
const at = (x: string) => {
  const time = sayClock(x, clockOf(props.day.house.value!))
  return x.slice(0, 10) === props.day.now.value.slice(0, 10) ? time : `${sayShortDay(x)} ${time}`
}
/** Between the two times it may be rubbed, and is better left. */
const risky = (neverBefore: string) => minutesBetween(neverBefore, props.day.now.value) >= 0
const who = (people: readonly string[]) => (people.length <= 3 ? people.map(name).join(', ') : tr('{0} pieces', people.length))
const spares = (n: number) => (n === 1 ? tr('1 spare') : tr('{0} spares', n))
const when = (ready: boolean, at: string) => (ready ? tr('ready') : tr('ready {0}', at))
</script>
<template>
  <section v-if="beside.lying.length || beside.spares.length">
    <h3>{{ $t('On the shelf') }}</h3>
    <p v-for="g in beside.lying" :key="g.tellAt + g.neverBefore" class="row">
      <span
        ><b>{{ who(g.people) }}</b></span
      >
      <span class="end" :class="{ ok: g.ready }">{{ when(g.ready, at(g.tellAt)) }}</span>
      <small v-if="!g.ready" class="two whole">{{
        risky(g.neverBefore) ? $t('may be rubbed, ink may lift') : $t('never before {0}', at(g.neverBefore))
      }}</small>
    </p>
    <p v-for="s in beside.spares" :key="s.design" class="row">
      <b>{{ spares(s.left) }}</b>
      <span class="end" :class="{ ok: s.ready }">{{ s.ready ? $t('ready') : $t('never before {0}', at(s.neverBefore)) }}</span>
    </p>
  </section>
</template>
<style scoped src="./side.css"></style>
