<script setup lang="ts">
import { computed } from 'vue'
import type { Cut } from '#core/sheets'
import type { Paper } from '#core/house'

/** The cuts of a sheet, numbered in the order a trimmer takes them: a line runs as far as what is still on the trimmer; the first is
 *  in ink. Numbers stand outside the sheet where their line ends, moved apart where they would touch. */
const props = defineProps<{ cuts: readonly Cut[]; paper: Paper; scale: number }>()
const pad = 26
const r = 10.5
const px = (mm: number) => mm * props.scale
const w = computed(() => px(props.paper.widthMm))
const h = computed(() => px(props.paper.heightMm))

interface Drawn {
  number: number
  x1: number
  y1: number
  x2: number
  y2: number
  /** Where its number stands, and the edge that it stands at. */
  x: number
  y: number
  edge: 'left' | 'right' | 'top' | 'bottom' | 'inside'
}
const drawn = computed(() => {
  const list = props.cuts.map((c): Drawn => {
    const at = px(c.atMm)
    const [from, to] = [px(c.fromMm), px(c.toMm)]
    const touches = (mm: number, end: number) => Math.abs(mm - end) < 0.01
    if (c.cut === 'across') {
      const y = h.value - at
      const left = touches(c.fromMm, 0)
      const edge = left ? 'left' : touches(c.toMm, props.paper.widthMm) ? 'right' : 'inside'
      return {
        number: c.number,
        x1: from,
        y1: y,
        x2: to,
        y2: y,
        y,
        edge,
        x: left ? -pad / 2 - 4 : edge === 'right' ? w.value + pad / 2 + 4 : from + r + 2,
      }
    }
    const top = touches(c.toMm, props.paper.heightMm)
    const edge = top ? 'top' : touches(c.fromMm, 0) ? 'bottom' : 'inside'
    return {
      number: c.number,
      x1: at,
      y1: h.value - from,
      x2: at,
      y2: h.value - to,
      x: at,
      edge,
      y: top ? -pad / 2 - 4 : edge === 'bottom' ? h.value + pad / 2 + 4 : h.value - to + r + 2,
    }
  })
  for (const edge of ['left', 'right'] as const)
    moveApart(
      list.filter((d) => d.edge === edge),
      'y',
    )
  for (const edge of ['top', 'bottom'] as const)
    moveApart(
      list.filter((d) => d.edge === edge),
      'x',
    )
  return list
})
/** Numbers on one edge keep two radii between them; the order stays. */
function moveApart(on: Drawn[], axis: 'x' | 'y') {
  const sorted = [...on].sort((a, b) => a[axis] - b[axis])
  sorted.forEach((d, i) => {
    const before = sorted[i - 1]
    if (before && d[axis] - before[axis] < 2 * r + 1) {
      const middle = (d[axis] + before[axis]) / 2
      before[axis] = middle - r - 0.5
      d[axis] = middle + r + 0.5
    }
  })
}
const frame = computed(() => {
  const px = (n: number) => `${n}px`
  return { left: px(-pad), top: px(-pad), width: px(w.value + 2 * pad), height: px(h.value + 2 * pad) }
})
</script>
<template>
  <svg class="cuts" :viewBox="`${-pad} ${-pad} ${w + 2 * pad} ${h + 2 * pad}`" :style="frame" aria-hidden="true">
    <g v-for="d in drawn" :key="d.number" :class="{ first: d.number === 1 }">
      <path :d="`M${d.x1} ${d.y1}L${d.x2} ${d.y2}`" class="line" />
      <path v-if="d.edge === 'left' || d.edge === 'right'" :d="`M${d.edge === 'left' ? d.x1 : d.x2} ${d.y1}L${d.x} ${d.y}`" class="line" />
      <path v-if="d.edge === 'top' || d.edge === 'bottom'" :d="`M${d.x1} ${d.edge === 'top' ? d.y2 : d.y1}L${d.x} ${d.y}`" class="line" />
      <circle :cx="d.x" :cy="d.y" :r="r" />
      <text :x="d.x" :y="d.y + 4.5" text-anchor="middle">{{ d.number }}</text>
    </g>
  </svg>
</template>
<style scoped>
.cuts {
  position: absolute;
  pointer-events: none;
  overflow: visible;
}
.line {
  stroke: #241c17;
  stroke-width: 1.3;
}
circle {
  fill: var(--text);
}
text {
  fill: var(--paper);
  font: 700 var(--t-label) var(--f-text);
}
.first .line {
  stroke: #4a2a91;
  stroke-width: 2.4;
}
.first circle {
  fill: var(--ink);
}
.first text {
  fill: var(--on-ink);
}
</style>
