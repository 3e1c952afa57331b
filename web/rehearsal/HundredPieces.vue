<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { grouped } from '#core/sessions'

/** A hundred such classes, each a piece on a board at the minute when the room is clean: discs in time, ringed hexagons late. */
const props = defineProps<{
  hundred: readonly number[]
  endMin: number
  /** When the plan would be clean. */
  planMin: number
  clock: (min: number) => string
  such: string
  inTime: number
}>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 860, height: 0 })
const size = 19
const from = computed(() => Math.floor((Math.min(props.planMin, props.endMin, props.hundred[0] ?? 0) - 6) / 10) * 10)
const to = computed(() => Math.ceil((Math.max(props.endMin, props.hundred.at(-1) ?? 0) + 6) / 10) * 10)
const scale = computed(() => (width.value - 20) / Math.max(10, to.value - from.value))
const x = (min: number) => 10 + (min - from.value) * scale.value
/** So many minutes share a pile that pieces never overlap; the room's end lies between two piles. */
const pile = computed(() => [1, 2, 5, 10, 15, 20, 30, 60].find((m) => m * scale.value >= size + 1) ?? 120)
const piles = computed(() => {
  const by = grouped(props.hundred, (m) => Math.floor((m - props.endMin - 1e-6) / pile.value))
  return [...by].map(([k, all]) => ({ x: x(props.endMin + (k + 0.5) * pile.value), n: all.length, late: k >= 0 }))
})
const most = computed(() => Math.max(6, ...piles.value.map((p) => p.n)))
const step = computed(() => Math.min(size + 1.5, 210 / most.value))
/** The words stand above the highest pile. */
const high = computed(() => Math.max(130, most.value * step.value + 66))
/** On the side on which there is room. */
const planAt = computed(() => (x(props.planMin) > 160 ? { x: x(props.planMin) - 6, 'text-anchor': 'end' } : { x: 4 }))
const hours = computed(() => {
  const every = [10, 15, 30, 60, 120].find((m) => m * scale.value > 58) ?? 240
  const first = Math.ceil(from.value / every) * every
  return Array.from({ length: Math.floor((to.value - first) / every) + 1 }, (_, i) => first + i * every)
})
</script>
<template>
  <div ref="box" class="box">
    <svg
      :width="width"
      :height="high + 34"
      role="img"
      :aria-label="$t('{0} of 100 {1} are clean by {2}, {3} later.', inTime, such, clock(endMin), 100 - inTime)"
    >
      <path :d="`M${x(planMin)} 56V${high}`" class="plan" />
      <text v-bind="planAt" y="52" class="quiet">{{ $t('the plan,') }} {{ $t('clean {0}', clock(planMin)) }}</text>
      <g v-for="(p, i) in piles" :key="i">
        <template v-for="k in p.n" :key="k">
          <circle v-if="!p.late" :cx="p.x" :cy="high - 11 - (k - 1) * step" r="8.6" class="disc" />
          <g v-else :transform="`translate(${p.x} ${high - 11 - (k - 1) * step})`">
            <path d="M-4.6-8.4h9.2L9.4 0 4.6 8.4h-9.2L-9.4 0z" class="ring" />
            <path d="M-3-5.4h6L6 0 3 5.4h-6L-6 0z" class="in" />
          </g>
        </template>
      </g>
      <rect x="4" :y="high" :width="width - 8" height="7" class="board" />
      <template v-for="h in hours" :key="h">
        <path :d="`M${x(h)} ${high + 7}v6`" class="tick" />
        <text :x="Math.min(width - 20, Math.max(20, x(h)))" :y="high + 28" text-anchor="middle">{{ clock(h) }}</text>
      </template>
      <path :d="`M${x(endMin)} 4V${high + 10}`" class="end" />
      <text :x="x(endMin) + 8" y="16" class="ends">{{ $t('room ends') }}</text>
      <text v-if="inTime < 100" :x="Math.min(width - 84, x(endMin) + 8)" y="38" class="late">{{ $t('{0} late', 100 - inTime) }}</text>
    </svg>
  </div>
</template>
<style scoped>
.box {
  min-width: 0;
}
svg {
  display: block;
  font: 600 var(--t-label) var(--f-text);
}
text {
  fill: var(--text);
}
.quiet {
  fill: var(--text-2);
}
.plan {
  stroke: var(--text);
  stroke-width: 2;
  stroke-dasharray: 4 4;
}
.disc {
  fill: var(--ink);
}
.ring {
  fill: var(--stock);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.in {
  fill: var(--ink);
}
.board {
  fill: var(--board);
  stroke: var(--text);
  stroke-width: 1.5;
}
.tick {
  stroke: var(--text);
}
.end {
  stroke: var(--stop);
  stroke-width: 3;
}
.ends {
  fill: var(--stop);
  font-weight: 700;
}
.late {
  font: 780 var(--t-h2) var(--f-head);
}
</style>
