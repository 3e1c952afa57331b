<script setup lang="ts">
import { computed } from 'vue'
import type { Level } from '#core/sessions'
import { shortWord } from '../room/boardLanes'

/** How many are somewhere along the minutes of a class: outlined from above, those who wait hatched on top, the places a dashed line. */
const props = defineProps<{
  name: string
  note: string
  levels: readonly Level[]
  words: readonly { stage: string; name: string; atMin: number; people: number }[]
  places: number | null
  /** The highest that is drawn. */
  most: number
  look: 'tables' | 'water' | 'rack' | 'full'
  /** Says how many wait, where somebody does. */
  waits?: string
  /** With the minutes above it. */
  ruled?: boolean
  width: number
  side: number
  lastMin: number
  endMin: number
  finish: number
  begins: number
  clock: (min: number) => string
}>()
const high = computed(() => (props.look === 'tables' ? 58 : Math.min(48, Math.max(20, props.most * 5))))
const top = computed(() => (props.ruled ? 30 : props.waits ? 20 : 8))
const scale = computed(() => (props.width - props.side - 2) / props.lastMin)
const x = (min: number) => props.side + min * scale.value
const y = (people: number) => top.value + high.value - (people / Math.max(1, props.most)) * high.value
const base = computed(() => top.value + high.value)
/** An outline from above through these heights. */
function outline(of: (l: Level) => number): string {
  const steps = props.levels.slice(0, -1).map((l, i) => `H${x(l.fromMin)}V${y(of(l))}H${x(props.levels[i + 1]!.fromMin)}`)
  const first = props.levels[0]
  return first ? `M${x(first.fromMin)} ${base.value}${steps.join('')}V${base.value}Z` : ''
}
const there = computed(() => outline((l) => l.there))
const all = computed(() => (props.levels.some((l) => l.waiting > 0) && props.look !== 'tables' ? outline((l) => l.there + l.waiting) : ''))
const hours = computed(() => {
  const every = [15, 30, 60, 120].find((m) => m * scale.value > 78) ?? 240
  return Array.from({ length: Math.floor(props.lastMin / every) + 1 }, (_, i) => i * every)
})
/** Words that have room beside each other, the busiest first. */
const placed = computed(() => {
  const taken: { from: number; to: number }[] = [{ from: x(0), to: x(props.begins) }]
  return [...props.words]
    .sort((a, b) => b.people - a.people || a.atMin - b.atMin)
    .flatMap((w) => {
      const text = shortWord({ ...w, kind: 'hands' })
      const half = text.length * 3.6 + 4
      const at = Math.min(Math.max(x(w.atMin), props.side + half), props.width - half)
      if (w.people * 3 < props.most || taken.some((t) => at - half < t.to && at + half > t.from)) return []
      taken.push({ from: at - half, to: at + half })
      return [{ text, at }]
    })
})
const waitsAt = computed(() => {
  const most = props.levels.reduce((a, b) => (b.waiting > a.waiting ? b : a), props.levels[0] ?? { fromMin: 0, there: 0, waiting: 0 })
  return Math.min(x(most.fromMin), props.width - (props.waits?.length ?? 0) * 7)
})
</script>
<template>
  <svg :width="width" :height="base + 3" role="img" :aria-label="`${name} ${note}${waits ? `: ${waits}` : ''}`" class="profile">
    <template v-if="ruled">
      <rect :x="side" y="0" :width="width - side" height="22" class="wash" />
      <template v-for="h in hours" :key="h">
        <text v-if="x(h) < width - 40" :x="x(h) + 4" y="15" class="hour">{{ clock(h) }}</text>
        <path :d="`M${x(h)} 18V26`" class="line" />
      </template>
      <path :d="`M${side} 22H${width}`" class="line" />
    </template>
    <path v-for="h in hours.slice(1)" :key="h" :d="`M${x(h)} ${ruled ? 22 : 0}V${base}`" class="hair" />
    <rect v-if="ruled" :x="x(0)" :y="top" :width="begins * scale" :height="high" class="board" />
    <text v-if="ruled && begins * scale > 34" :x="x(begins / 2)" :y="base - 20" text-anchor="middle">{{ $t('show') }}</text>
    <path v-if="all" :d="all" class="waits" />
    <path :d="there" :class="look" />
    <path v-if="places !== null" :d="`M${side} ${y(places)}H${width}`" class="places" />
    <path :d="`M${side} ${base}H${width}`" class="line" />
    <g v-for="p in placed" :key="p.text">
      <rect :x="p.at - p.text.length * 3.6 - 3" :y="base - 22" :width="p.text.length * 7.2 + 6" height="17" class="chip" />
      <text :x="p.at" :y="base - 9" text-anchor="middle">{{ p.text }}</text>
    </g>
    <text v-if="waits" :x="waitsAt" :y="top - 6" class="wait-word">{{ waits }}</text>
    <path :d="`M${x(finish)} ${ruled ? 22 : 0}V${base}`" class="done" />
    <path :d="`M${x(endMin)} 0V${base}`" class="end" />
    <text x="0" :y="base - 12" class="name">{{ name }}</text>
    <text x="0" :y="base + 1" class="note">{{ note }}</text>
  </svg>
</template>
<style scoped>
.profile {
  display: block;
  font: 600 var(--t-label) var(--f-text);
}
text {
  fill: var(--text);
}
.name {
  font-weight: 700;
  font-size: var(--t-text);
}
.note {
  fill: var(--text-2);
  font-weight: 500;
}
.hour {
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.wash {
  fill: var(--wash);
}
.line {
  stroke: var(--text);
  stroke-width: 1.5;
  fill: none;
}
.hair {
  stroke: var(--rule);
}
.board,
.tables {
  fill: var(--board);
  stroke: var(--text);
  stroke-width: 1.4;
}
.rack,
.chip {
  fill: var(--stock);
}
.rack {
  stroke: var(--text);
  stroke-width: 1.2;
}
.water {
  fill: var(--water);
}
.full {
  fill: var(--text-2);
}
.waits {
  fill: url(#tone-waits);
  stroke: var(--watch);
}
.wait-word {
  fill: var(--watch);
  font-weight: 700;
}
.places {
  stroke: var(--edge);
  stroke-dasharray: 4 3;
  fill: none;
}
.done {
  stroke: var(--text);
  stroke-width: 2;
}
.end {
  stroke: var(--stop);
  stroke-width: 3;
}
</style>
