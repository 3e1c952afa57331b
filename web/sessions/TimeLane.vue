<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { House } from '#core/house'
import { hoursOf, type Plan } from '#core/plan'
import type { Phrases } from '#core/phrases'
import { placeOn, timelineOf } from '#core/sessions'
import { minutesBetween, sayShortDay } from '#core/time'
import type { SaidErrand } from './errands'
import LaneErrands from './LaneErrands.vue'
import LaneShelf from './LaneShelf.vue'

/** The time of a workshop drawn: nights, closed hours, errands, the shelf, when pieces are ready, and its classes, which can be dragged. */
const props = defineProps<{
  /** As it is stored: what the line is drawn along. */
  stored: Plan
  /** As it would be while a class is held. */
  plan: Plan
  house: House
  say: Phrases
  errands: readonly SaidErrand[]
  /** Classes of the house's other workshops. */
  others: readonly { title: string; from: string; to: string; room: string }[]
  moving: { session: string; by: number } | undefined
}>()
const emit = defineEmits<{ hold: [held: { session: string; by: number } | undefined]; move: [session: string, by: number] }>()
const lane = ref<HTMLElement>()
const line = computed(() => timelineOf(props.stored.sessions, hoursOf(props.house), props.house.timeZone))
const at = (x: string) => placeOn(line.value, x)
/** Days that are named: as many as stand beside each other without touching. */
const { width } = useElementSize(lane)
const named = computed(() => {
  const every = width.value ? Math.ceil((line.value.days.length * 84) / width.value) : 1
  return line.value.days.filter((_, i) => i % every === 0)
})
const cure = computed(() => props.plan.split.cure)
const span = (from: number, to: number) => ({ left: `${from}%`, width: `${to - from}%` })
/** From when to when pieces wait for their rubbing. */
const wait = computed(() => {
  const from = props.plan.shelf?.from ?? props.plan.sessions[0]!.to
  const to = props.plan.shelf?.to ?? from
  return { from, to, minutes: props.plan.shelf ? minutesBetween(from, to) : 0 }
})
const flags = computed(() =>
  props.errands.map((x) => ({ ...x, at: at(x.e.by) })).filter((x) => x.at >= 0 && x.at < 100 && x.e.code !== 'set-up'),
)

const beside = computed(() => props.others.filter((o) => at(o.to) > 0 && at(o.from) < 100))

/** Dragged by quarters of an hour; let go, it has moved. */
function grab(e: PointerEvent, session: string) {
  const perPx = line.value.wholeMin / lane.value!.getBoundingClientRect().width
  const start = e.clientX
  const target = e.currentTarget as HTMLElement
  target.setPointerCapture(e.pointerId)
  const by = (x: PointerEvent) => Math.round(((x.clientX - start) * perPx) / 15) * 15
  const stop = () => {
    emit('hold', undefined)
    for (const end of ends) end()
  }
  const ends = [
    useEventListener(target, 'pointermove', (x) => emit('hold', { session, by: by(x) })),
    useEventListener(target, 'pointerup', (x) => {
      stop()
      if (by(x) !== 0) emit('move', session, by(x))
    }),
    useEventListener(target, 'pointercancel', stop),
  ]
}
function nudge(e: KeyboardEvent, session: string) {
  const step = e.shiftKey ? 60 : 15
  const by = e.key === 'ArrowLeft' ? -step : e.key === 'ArrowRight' ? step : 0
  if (!by) return
  e.preventDefault()
  emit('move', session, by)
}
</script>
<template>
  <div class="drawing">
    <div class="labels" aria-hidden="true">
      <span style="top: 44px"
        ><b>{{ $t('Errands') }}</b
        ><br /><small>{{ $t('by when') }}</small></span
      ><span style="top: 216px"
        ><b>{{ $t('Shelf') }}</b
        ><br /><small>{{ plan.shelf ? $t('{0} of {1}', plan.shelf.places, plan.shelf.capacity) : $t('empty') }}</small></span
      ><span style="top: 310px"
        ><b>{{ $t('Class') }}</b
        ><br /><small>{{ $t('{0} people', plan.people) }}</small></span
      >
    </div>
    <div ref="lane" class="lane">
      <i v-for="(n, i) in line.nights" :key="`n${i}`" class="night" :style="span(n.from, n.to)" />
      <i v-for="(c, i) in line.closed" :key="`c${i}`" class="closed" :style="span(c.from, c.to)" />
      <span v-for="d in named" :key="d" class="day" :style="{ left: `${at(d)}%` }">{{ sayShortDay(d) }}</span>
      <i v-if="at(plan.now) > 0 && at(plan.now) < 100" class="now" :style="{ left: `${at(plan.now)}%` }"
        ><b>{{ $t('now') }}</b></i
      >
      <span
        v-for="(o, i) in beside"
        :key="`o${i}`"
        class="other"
        :style="{ left: `${at(o.from)}%`, width: `max(16px, ${at(o.to) - at(o.from)}%)` }"
        :title="`${o.title}, ${say.at(o.from)}, ${o.room}`"
        ><small>{{ o.title }}</small></span
      >
      <LaneErrands :flags="flags" />
      <LaneShelf :plan="plan" :say="say" :at="at" />
      <button
        v-for="s in plan.sessions"
        :key="s.id"
        type="button"
        class="plain class"
        :class="{ held: moving?.session === s.id }"
        :style="{ left: `${at(s.from)}%`, width: `max(30px, ${at(s.to) - at(s.from)}%)` }"
        :aria-label="$t('Class {0}, {1}. Arrow keys move it by a quarter of an hour, with Shift an hour.', s.number, say.at(s.from))"
        @pointerdown="grab($event, s.id)"
        @keydown="nudge($event, s.id)"
      >
        {{ s.number }}
      </button>
      <span v-if="cure" class="gap" :style="span(at(wait.from), at(wait.to))"
        ><b>{{ say.minutes(wait.minutes) }}</b> {{ $t('from laid to rub') }}</span
      >
    </div>
  </div>
</template>
<style scoped>
.drawing {
  display: grid;
  grid-template-columns: 92px 1fr;
}
.labels {
  position: relative;
}
.labels span {
  position: absolute;
  line-height: 1.15;
}
.labels small {
  color: var(--text-2);
}
.lane {
  position: relative;
  height: 372px;
  background: var(--stock);
  border: solid var(--text);
  border-width: 0 0 2px;
  overflow: hidden;
}
.night,
.closed {
  position: absolute;
  top: 30px;
  bottom: 0;
}
.night {
  background: var(--night);
}
.closed {
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hatch) 6px 7.5px);
}
.day {
  position: absolute;
  top: 0;
  bottom: 0;
  border-inline-start: 1px solid var(--edge);
  padding: 4px 0 0 6px;
  font-weight: 700;
  white-space: nowrap;
  font-size: var(--t-list);
}
.now {
  position: absolute;
  top: 26px;
  bottom: 0;
  border-inline-start: 3px solid var(--ink);
  z-index: 3;
}
.now b {
  color: var(--ink);
  font: 700 var(--t-label) var(--f-text);
  padding-inline-start: 4px;
  background: var(--stock);
}
.class {
  position: absolute;
  top: 312px;
  height: 46px;
  background: var(--ink);
  color: var(--on-ink);
  display: grid;
  place-items: center;
  font: 780 var(--t-h3) var(--f-head);
  cursor: grab;
  z-index: 4;
  touch-action: none;
}
.other {
  position: absolute;
  top: 318px;
  height: 34px;
  border: 1.5px dashed var(--edge);
  background: var(--stock);
  color: var(--text-2);
}
.other small {
  position: absolute;
  inset-inline-start: 0;
  top: 34px;
  background: var(--stock);
  white-space: nowrap;
}
.held {
  background: var(--ink-press);
  cursor: grabbing;
}
.class:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 3px;
}
.gap {
  overflow: hidden;
  text-overflow: ellipsis;
  padding: 0 34px 0 6px;
  position: absolute;
  top: 322px;
  text-align: center;
  font-size: var(--t-small);
  white-space: nowrap;
}
.gap b {
  background: var(--stock);
}
.gap {
  text-shadow: 0 0 4px var(--stock);
}
</style>
