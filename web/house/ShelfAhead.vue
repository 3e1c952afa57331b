<script setup lang="ts">
import { t as tr } from '#core/language'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { House } from '#core/house'
import type { AheadShelf } from '#core/phrases'
import { phrases } from '#core/phrases'
import { addMinutes, minutesBetween, sayShortDay } from '#core/time'
import ShelfRack from './ShelfRack.vue'

/** The house's shelf: how full it is along the days, what lies where at a moment that can be chosen, and what is ready from when. */
const props = defineProps<{ house: House; shelf: readonly AheadShelf[]; now: string }>()
const say = computed(() => phrases(props.house, props.now))
const last = computed(() => props.shelf.reduce((a, s) => Math.max(a, minutesBetween(props.now, s.to)), 24 * 60))
/** Hours from now. */
const hours = computed(() => Math.min(24 * 60, Math.ceil(last.value / 60) + 6))
const hour = ref(0)
const moment = computed(() => addMinutes(props.now, hour.value * 60))
const letter = (i: number) => String.fromCharCode(65 + (i % 26))
const marked = computed(() => props.shelf.map((s, i) => ({ ...s, letter: letter(i) })))
const lying = computed(() =>
  marked.value.flatMap((s) =>
    s.lies
      .filter((x) => minutesBetween(x.from, moment.value) >= 0 && minutesBetween(moment.value, x.to) > 0)
      .map((x) => ({ ...x, letter: s.letter, ready: minutesBetween(x.tellAt, moment.value) >= 0 })),
  ),
)
const capacity = computed(() => (props.house.rack?.length ? undefined : props.house.shelfPlaces))
/** How many lie there, hour by hour, drawn as a step. */
const steps = computed(() => {
  const at = (h: number) => {
    const m = h * 60
    return props.shelf.reduce(
      (n, s) => n + s.lies.filter((x) => minutesBetween(props.now, x.from) <= m && minutesBetween(props.now, x.to) > m).length,
      0,
    )
  }
  const every = Math.max(1, Math.round(hours.value / 240))
  return Array.from({ length: Math.floor(hours.value / every) + 1 }, (_, i) => ({ h: i * every, n: at(i * every) }))
})
const most = computed(() => Math.max(capacity.value ?? 0, 1, ...steps.value.map((s) => s.n)))
const x = (h: number) => (600 * h) / hours.value
const y = (n: number) => 78 - (70 * n) / most.value
const path = computed(() => `M0 78${steps.value.map((s, i) => `V${y(s.n)}H${x(steps.value[i + 1]?.h ?? hours.value)}`).join('')}V78Z`)
/** A day's name takes so many pixels. */
const nameWide = 92
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 600, height: 0 })
/** Midnights that have room for their names. */
const days = computed(() => {
  const toMidnight = 24 - Number(props.now.slice(11, 13))
  const room = Math.max(1, Math.floor(width.value / nameWide))
  const every = Math.ceil(hours.value / 24 / room)
  return Array.from({ length: Math.ceil(hours.value / 24) }, (_, i) => toMidnight + i * 24)
    .filter((h, i) => i % every === 0 && (width.value * h) / hours.value < width.value - nameWide + 8)
    .map((h) => ({ h, name: sayShortDay(addMinutes(props.now, h * 60)) }))
})
const there = computed(() =>
  capacity.value === undefined
    ? tr('{0} pieces, {1}', lying.value.length, say.value.at(moment.value))
    : tr('{0} of {1} places, {2}', lying.value.length, capacity.value, say.value.at(moment.value)),
)
</script>
<template>
  <section>
    <h2>{{ $t('Shelf') }}</h2>
    <p v-if="!shelf.length" class="hollow">{{ $t('Nothing lies on the shelf, and nothing is planned to.') }}</p>
    <template v-else>
      <label class="when">
        <b>{{ there }}</b>
        <svg viewBox="0 0 600 80" preserveAspectRatio="none" aria-hidden="true">
          <path :d="path" class="fill" />
          <path v-if="capacity !== undefined" :d="`M0 ${y(capacity)}H600`" class="places" />
          <path :d="`M${x(hour)} 0V80`" class="at" />
        </svg>
        <span ref="box" class="days small two" aria-hidden="true"
          ><span v-for="d in days" :key="d.h" :style="{ insetInlineStart: `${(100 * d.h) / hours}%` }">{{ d.name }}</span></span
        >
        <input
          v-model.number="hour"
          type="range"
          min="0"
          :max="hours"
          :aria-label="$t('Hours from now')"
          :aria-valuetext="say.at(moment)"
        />
      </label>
      <ShelfRack :house="house" :lying="lying" />
      <ul class="bare list">
        <li v-for="s in marked" :key="s.workshop">
          <b class="letter">{{ s.letter }}</b>
          <span
            ><RouterLink :to="`/w/${s.workshop}/sessions`"
              ><b>{{ s.title }}</b></RouterLink
            >
            {{ ' '
            }}<span class="two">
              {{ $t('{0} pieces, {1} spares and {2} samples with them', s.pieces, s.spares, s.samples) }}
            </span>
            <span class="small line">{{ $t('places {0}', s.places) }}</span>
            <span class="small line">
              <template v-if="s.there">{{ $t('laid {0}', s.laid) }}</template><template v-else>{{ $t('to be laid {0}', s.laid) }}</template
              ><template v-if="s.never">
                · <b>{{ $t('ready from {0}', s.better) }}</b>, {{ $t('never before {0}', s.never) }}</template
              >
              · {{ $t('lifted {0}', s.lifted) }}
            </span>
            <span v-if="s.without" class="small stop line">{{ $t('{0} find no place', s.without) }}</span>
          </span>
          <v-btn size="small" :href="`/api/workshops/${s.workshop}/labels.pdf`" target="_blank">{{ $t('Labels') }}</v-btn>
        </li>
      </ul>
      <p class="small two">
        {{ $t('Places follow from the boards of the rack.') }} <RouterLink :to="`/house/${house.id}`">{{ $t('Measure them') }}</RouterLink>
      </p>
    </template>
  </section>
</template>
<style scoped>
.when {
  display: grid;
  gap: var(--s-1);
}
.when svg {
  width: 100%;
  height: 80px;
  background: var(--stock);
  border-bottom: 2px solid var(--text);
}
.when input {
  width: 100%;
  height: 32px;
  accent-color: var(--ink);
}
.days {
  position: relative;
  height: 20px;
}
.days span {
  position: absolute;
  white-space: nowrap;
  border-inline-start: 1.5px solid var(--edge);
  padding-inline-start: 4px;
}
.fill {
  fill: var(--wash);
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.places {
  stroke: var(--edge);
  stroke-dasharray: 4 3;
  vector-effect: non-scaling-stroke;
}
.at {
  stroke: var(--ink);
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}
.list li {
  display: grid;
  grid-template-columns: 30px 1fr auto;
  gap: var(--s-2);
  align-items: start;
  padding: var(--s-2) 0;
  border-bottom: 1px solid var(--rule);
}
.letter {
  background: var(--ink);
  color: var(--on-ink);
  text-align: center;
  line-height: 28px;
}
.line {
  display: block;
}
</style>
