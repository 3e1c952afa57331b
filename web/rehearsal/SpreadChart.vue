<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import VueApexCharts from 'vue3-apexcharts'
import type { Rehearsal } from '#core/rehearsal'

/** How many are done by when: in half of the rehearsals, and between one and nine of ten; a table says the same. */
const props = defineProps<{ story: Rehearsal; clock: (min: number) => string }>()
const at = (b: number) => (b + 1) * props.story.binMin
const first = computed(() => Math.max(0, props.story.done.p90.findIndex((n) => n > 0) - 2))
const bins = computed(() => Array.from({ length: props.story.done.p50.length - first.value }, (_, i) => first.value + i))
const css = (name: string) =>
  getComputedStyle(document.querySelector('.v-application') ?? document.body)
    .getPropertyValue(name)
    .trim()
const series = computed(() => [
  {
    name: tr('nine of ten'),
    type: 'rangeArea',
    data: bins.value.map((b) => ({ x: at(b), y: [props.story.done.p10[b]!, props.story.done.p90[b]!] })),
  },
  { name: tr('half'), type: 'line', data: bins.value.map((b) => ({ x: at(b), y: props.story.done.p50[b]! })) },
])
const options = computed(() => ({
  chart: {
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: false },
    background: 'transparent',
    fontFamily: 'inherit',
    foreColor: css('--text-2'),
  },
  colors: [css('--ink'), css('--ink')],
  fill: { opacity: [0.22, 1] },
  stroke: { curve: 'stepline', width: [0, 2.5] },
  dataLabels: { enabled: false },
  legend: { show: true, position: 'top', horizontalAlign: 'left' },
  grid: { borderColor: css('--rule') },
  xaxis: { type: 'numeric', tickAmount: 8, decimalsInFloat: 0, labels: { formatter: (m: string) => props.clock(Number(m)) } },
  yaxis: { min: 0, decimalsInFloat: 0, title: { text: tr('pieces done') } },
  tooltip: { enabled: false },
}))
/** The table's lines: every so often, and where all are done. */
const lines = computed(() => {
  const every = Math.max(1, Math.ceil(bins.value.length / 12))
  return bins.value.filter((b, i) => i % every === 0 || b === bins.value.at(-1))
})
</script>
<template>
  <VueApexCharts height="240" :series="series" :options="options" aria-hidden="true" />
  <table class="small">
    <caption class="sr">
      {{
        $t('How many are done, minute by minute')
      }}
    </caption>
    <thead>
      <tr>
        <th>{{ $t('By') }}</th>
        <th>{{ $t('in one of ten') }}</th>
        <th>{{ $t('half') }}</th>
        <th>{{ $t('in nine of ten') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="b in lines" :key="b">
        <th>{{ clock(at(b)) }}</th>
        <td>{{ story.done.p90[b] }}</td>
        <td>{{ story.done.p50[b] }}</td>
        <td>{{ story.done.p10[b] }}</td>
      </tr>
    </tbody>
  </table>
</template>
<style scoped>
table {
  border-collapse: collapse;
}
th,
td {
  text-align: end;
  padding: 2px var(--s-3);
  border-bottom: 1px solid var(--rule);
}
</style>
