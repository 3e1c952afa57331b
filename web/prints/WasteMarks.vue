<script setup lang="ts">
import { computed } from 'vue'
import type { Paper } from '#core/house'
import { furnish, rulerOf, type LaidSheet } from '#core/prints'

/** What is printed in the waste of a sheet: the bar to measure, the sheet's number and who is on it. As on paper, but for letters
 *  large enough to be read here. */
const props = defineProps<{
  sheet: LaidSheet
  number: number
  of: number
  paper: Paper
  gutterMm: number
  units: 'metric' | 'imperial'
  scale: number
}>()
const marks = computed(() => furnish(props.sheet, props.paper, props.gutterMm, props.units))
const box = (r: { xMm: number; yMm: number; widthMm: number; heightMm: number }) => ({
  left: `${r.xMm * props.scale}px`,
  bottom: `${r.yMm * props.scale}px`,
  width: `${r.widthMm * props.scale}px`,
  height: `${r.heightMm * props.scale}px`,
})
const bar = computed(() => {
  const at = marks.value.bar
  if (!at) return undefined
  const { lengthMm, ticksMm, says } = rulerOf(at, props.units)
  return { at, ticks: ticksMm.map((mm) => (100 * mm) / lengthMm), says }
})
const who = computed(() => [...new Set(props.sheet.places.map((p) => p.print.label))])
</script>
<template>
  <span class="marks" aria-hidden="true">
    <span v-if="bar" class="bar" :class="{ upright: bar.at.upright }" :style="box(bar.at)"
      ><i v-for="t in bar.ticks" :key="t" :style="bar.at.upright ? { bottom: `${t}%` } : { left: `${t}%` }" /><b class="small">{{
        bar.says
      }}</b></span
    >
    <span v-if="marks.list" class="list small" :class="{ upright: marks.list.upright }" :style="box(marks.list)"
      ><b>{{ number }}/{{ of }}</b> {{ who.join(', ') }}</span
    >
  </span>
</template>
<style scoped>
.bar,
.list {
  position: absolute;
  color: #241c17;
  pointer-events: none;
  overflow: hidden;
}
.bar {
  border-top: 1.5px solid #241c17;
  overflow: visible;
}
.bar i {
  position: absolute;
  top: 0;
  width: 1.5px;
  height: 6px;
  margin-inline-start: -0.75px;
  background: #241c17;
}
.bar b {
  position: absolute;
  left: 3px;
  top: 5px;
  font-size: var(--t-fine);
  line-height: 1;
}
.bar.upright {
  border-top: 0;
  border-inline-start: 1.5px solid #241c17;
}
.bar.upright i {
  top: auto;
  left: 0;
  width: 6px;
  height: 1.5px;
  margin: 0 0 -0.75px;
}
.bar.upright b {
  left: 7px;
  top: auto;
  bottom: 4px;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  white-space: nowrap;
}
.list {
  line-height: 1.25;
  padding: 1px 2px;
}
.list.upright {
  writing-mode: vertical-rl;
  transform: rotate(180deg);
}
</style>
