<script setup lang="ts">
import { adultsAt, type StationDay } from '#core/day'
import { stationName } from '../room/boardLanes'

/** The stations: how many places, how many taken; one less when a basin is blocked, one more when another is set up. */
defineProps<{ stations: readonly StationDay[] }>()
const emit = defineEmits<{ places: [station: string, places: number] }>()
</script>
<template>
  <ul class="bare stations">
    <li v-for="s in stations" :key="s.id" :class="{ full: s.places > 0 && s.taken >= s.places, shut: s.places === 0 }">
      <span
        ><b>{{ stationName(s.id) }}</b
        ><small>{{ s.places === 0 ? $t('shut') : $t('{0} of {1} taken', s.taken, s.places) }}</small></span
      >
      <button
        type="button"
        class="plain step"
        :disabled="s.places <= (s.id === adultsAt ? 1 : 0)"
        :aria-label="$t('{0}: one place less', stationName(s.id))"
        @click="emit('places', s.id, s.places - 1)"
      >
        −
      </button>
      <button
        type="button"
        class="plain step"
        :disabled="s.places >= 60"
        :aria-label="$t('{0}: one place more', stationName(s.id))"
        @click="emit('places', s.id, s.places + 1)"
      >
        +
      </button>
    </li>
  </ul>
</template>
<style scoped>
.stations {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-3);
}
li {
  display: flex;
  align-items: center;
  gap: 2px;
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  background: var(--stock);
  padding-inline-start: var(--s-3);
}
li > span {
  display: grid;
  line-height: 1.15;
  padding-inline-end: var(--s-2);
}
small {
  color: var(--text-2);
  font-size: var(--t-small);
}
.full {
  background: var(--water-wash);
  border-color: var(--water);
}
.shut {
  border-style: dashed;
}
.shut small {
  color: var(--watch);
}
.step {
  width: 64px;
  height: 64px;
  font: 750 var(--t-h2) / 1 var(--f-head);
}
.step:disabled {
  color: var(--text-2);
}
</style>
