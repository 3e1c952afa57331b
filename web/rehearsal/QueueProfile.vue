<script setup lang="ts">
import { t as tr } from '#core/language'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Profile } from '#core/rehearsal'

/** One station over time: at work solid, waiting as usual hatched, waiting in one of ten dashed. */
const props = defineProps<{ name: string; profile: Profile; binMin: number; lastMin: number; clock: (min: number) => string }>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 560, height: 0 })
const side = 0
const high = 50
const bins = computed(() => Math.min(props.profile.work.length, Math.ceil(props.lastMin / props.binMin)))
const most = computed(() =>
  Math.max(1, props.profile.places, ...props.profile.work.map((w, i) => w + Math.max(props.profile.wait[i]!, props.profile.waitP90[i]!))),
)
const each = computed(() => (high - 8) / most.value)
const x = (bin: number) => side + (bin * props.binMin * (width.value - side)) / props.lastMin
const y = (n: number) => high - n * each.value
/** A stepped outline over the bins. */
function steps(level: (b: number) => number, base: (b: number) => number): string {
  const up = Array.from({ length: bins.value }, (_, b) => `L${x(b)} ${y(level(b))}H${x(b + 1)}`).join('')
  const back = Array.from({ length: bins.value }, (_, i) => bins.value - 1 - i)
    .map((b) => `L${x(b + 1)} ${y(base(b))}H${x(b)}`)
    .join('')
  return `M${x(0)} ${y(base(0))}${up}${back}Z`
}
const p = computed(() => props.profile)
const work = (b: number) => p.value.work[b]!
const wait = (b: number) => work(b) + p.value.wait[b]!
const ten = (b: number) => work(b) + p.value.waitP90[b]!
const peak = computed(() => p.value.wait.indexOf(Math.max(...p.value.wait)))
const waits = computed(() => Math.round(Math.max(...p.value.wait)))
const quiet = computed(() => p.value.longestWaitP50 < 1.5)
const waitSaid = computed(() => {
  const [n, at, up] = [Math.max(1, waits.value), props.clock(peak.value * props.binMin), Math.round(p.value.longestWaitP50)]
  return n === 1 ? tr('{0} waits at {1}, up to {2} min', n, at, up) : tr('{0} wait at {1}, up to {2} min', n, at, up)
})
/** Hours along the bottom, as many as have room. */
const hours = computed(() => {
  const every = [15, 30, 60, 120].find((m) => (m * width.value) / props.lastMin > 64) ?? 240
  return Array.from({ length: Math.ceil(props.lastMin / every) }, (_, i) => i * every)
})
const said = computed(() => {
  const { longestWaitP50, longestWaitP90 } = p.value
  const [name, at] = [props.name, props.clock(peak.value * props.binMin)]
  return quiet.value
    ? tr('{0}: no queue.', name)
    : tr(
        '{0}: {1} wait at {2}, up to {3} min; in one of ten up to {4} min.',
        name,
        waits.value,
        at,
        Math.round(longestWaitP50),
        Math.round(longestWaitP90),
      )
})
</script>
<template>
  <div ref="box" class="lane">
    <p class="name">
      <b>{{ name }}</b> <span class="two small">{{ profile.places === 1 ? $t('1 place') : $t('{0} places', profile.places) }}</span>
      <span v-if="quiet" class="small two">{{ $t('no queue: hands differ') }}</span>
      <span v-else class="small"
        ><b class="said">{{ waitSaid }}</b
        >&ensp;<span class="two">{{ $t('{0} min in one of ten', Math.round(profile.longestWaitP90)) }}</span></span
      >
    </p>
    <svg :width="width" :height="high + 18" role="img" :aria-label="said">
      <path :d="`M${side} ${y(profile.places)}H${width}`" class="places" />
      <path :d="steps(ten, work)" class="ten" />
      <path :d="steps(wait, work)" class="wait" />
      <path :d="steps(work, () => 0)" class="work" />
      <path :d="`M0 ${high}H${width}`" class="line" />
      <text v-for="h in hours" :key="h" :x="x(h / binMin) + 3" :y="high + 14" class="calm">{{ clock(h) }}</text>
    </svg>
  </div>
</template>
<style scoped>
.lane {
  margin-top: var(--s-2);
  min-width: 0;
}
svg {
  display: block;
  font: 600 var(--t-label) var(--f-text);
}
.places {
  stroke: var(--edge);
  stroke-dasharray: 4 3;
}
.ten {
  fill: none;
  stroke: var(--watch);
  stroke-width: 1.3;
  stroke-dasharray: 3 3;
}
.wait {
  fill: var(--watch-wash);
  stroke: var(--watch);
  stroke-width: 1.5;
}
.work {
  fill: var(--text-2);
}
.line {
  stroke: var(--text);
  stroke-width: 1.5;
}
.said {
  color: var(--watch);
}
.calm {
  fill: var(--text-2);
}
.name {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s-3);
  align-items: baseline;
}
</style>
