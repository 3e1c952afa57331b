<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { isClock, sayClock, type Zoned } from '#core/time'
import { inWorkshop } from '#core/workshop'
import type { Bench } from '../bench/useBench'

/** What is shown to everybody in the middle of a class: a block through everything. */
const props = defineProps<{ bench: Bench; session: string; from: Zoned; clock: (min: number) => string }>()
const shows = computed(() => props.bench.workshop.value!.sessions.find((s) => s.id === props.session)?.shows ?? [])
const at = ref('')
const what = ref('')
const place = computed(() => inWorkshop.sessions(props.session).shows)
const minuteOf = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5))
function add() {
  if (!isClock(at.value)) return
  const atMin = (minuteOf(at.value) - minuteOf(sayClock(props.from, 24)) + 1440) % 1440
  const id = `show-${atMin}-${shows.value.length}`
  const label = tr('something is shown to all at {0}', at.value)
  props.bench.set(place.value, [...shows.value, { id, atMin, minutes: 5, what: what.value.slice(0, 60) }], label)
  at.value = what.value = ''
}
function drop(id: string) {
  const left = shows.value.filter((x) => x.id !== id)
  props.bench.set(place.value, left.length ? left : null, tr('what is shown to all was taken out'))
}
</script>
<template>
  <details>
    <summary class="opens">{{ $t('Show everybody something') }}</summary>
    <ul v-if="shows.length" class="bare">
      <li v-for="x in shows" :key="x.id">
        {{ clock(x.atMin) }} {{ x.what || $t('show all') }}, {{ $t('{0} min', x.minutes) }}
        <v-btn size="small" :aria-label="$t('Take out what is shown at {0}', clock(x.atMin))" @click="drop(x.id)">{{
          $t('Take out')
        }}</v-btn>
      </li>
    </ul>
    <form class="tools" @submit.prevent="add">
      <label
        ><span class="label">{{ $t('At') }}</span
        ><input v-model="at" type="time" class="field" required
      /></label>
      <label class="wide"
        ><span class="label">{{ $t('What') }}</span
        ><input v-model="what" type="text" class="field" maxlength="60"
      /></label>
      <v-btn type="submit">{{ $t('Show it') }}</v-btn>
    </form>
  </details>
</template>
<style scoped src="./room.css"></style>
