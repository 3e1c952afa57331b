<script setup lang="ts">
import { computed } from 'vue'
import { runLineName } from '#core/phrases'
import { tablesOf, type Row, type RunLine } from '#core/sessions'
import { stationName } from './boardLanes'

/** The run sheet: what begins when, for which tables. */
const props = defineProps<{
  lines: readonly RunLine[]
  clock: (min: number) => string
  called: (person: string) => string
  tables: readonly Row[]
  pdf: string
  /** What stands here is what would be printed. */
  prints: boolean
}>()
defineEmits<{ keep: [] }>()
const said = computed(() => props.lines.map((l) => ({ ...l, who: tablesOf(l.people, props.tables, props.called) })))
</script>
<template>
  <details class="run">
    <summary class="opens">{{ $t('Run sheet: who begins what, when') }}</summary>
    <v-btn v-if="!prints" @click="$emit('keep')">{{ $t('Keep this plan to print it') }}</v-btn>
    <div v-else class="inline">
      <v-btn :href="pdf" target="_blank">{{ $t('Print it, one page') }}</v-btn>
      <v-btn :href="`${pdf}&tables=each`" target="_blank">{{ $t('A page for each table') }}</v-btn>
      <v-btn :href="`${pdf}&helpers=each`" target="_blank">{{ $t('A page for each helper') }}</v-btn>
    </div>
    <ol class="bare">
      <li v-for="(l, i) in said" :key="i" :class="{ alone: l.alone }">
        <b>{{ clock(l.atMin) }}</b>
        <span class="who">{{ l.forAll ? $t('everybody') : l.who }}</span>
        <span
          >{{ runLineName(l.name) }}, {{ $t('{0} min', l.minutes)
          }}<template v-if="l.station">, {{ stationName(l.station).toLowerCase() }}</template></span
        >
      </li>
    </ol>
  </details>
</template>
<style scoped>
li {
  display: grid;
  grid-template-columns: 56px minmax(90px, 0.5fr) 1fr;
  gap: var(--s-3);
  border-top: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.alone {
  color: var(--text-2);
}
</style>
