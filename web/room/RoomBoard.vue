<script setup lang="ts">
import { t as tr } from '#core/language'
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Row, Span, Station } from '#core/sessions'
import PieceToken from '../ui/PieceToken.vue'
import ToneDefs from './ToneDefs.vue'
import { lanesOf, shortWord, stationName } from './boardLanes'

/** A class minute by minute: a strip of paper for each table under a steel rule, and the stations on the same time. */
const props = defineProps<{
  rows: readonly Row[]
  stations: readonly Station[]
  /** Minutes: what is shown to all, when clean-up is over, when the room ends. */
  shows: readonly { fromMin: number; toMin: number; what: string; pinned: boolean }[]
  cleanFrom: number
  cleanTo: number
  endMin: number
  clock: (min: number) => string
  /** What a person is called: name or seat. */
  called: (person: string) => string
}>()
const emit = defineEmits<{ pin: [people: string[], stage: string, atMin: number | null] }>()
const open = defineModel<Set<string>>('open', { required: true })

const side = 96
const rule = 34
const board = ref<HTMLElement>()
const { width } = useElementSize(board, { width: 900, height: 0 })
const lastMin = computed(() => Math.max(props.endMin, props.cleanTo) + 6)
const scale = computed(() => Math.max(1.2, (width.value - side - 8) / lastMin.value))
const x = (min: number) => side + min * scale.value
const lanes = computed(() => lanesOf(props.rows, props.stations, open.value))
const height = computed(() => rule + 10 + lanes.value.height)
const top = (n: number) => rule + 8 + n
/** A stroke for every minute that has room, longer ones for five, words as often as they fit. */
const every = computed(() => [15, 30, 60, 120].find((m) => m * scale.value > 62) ?? 240)
const ticks = computed(() =>
  Array.from({ length: Math.floor(lastMin.value / 5) + 1 }, (_, i) => ({ min: i * 5, long: (i * 5) % every.value === 0 })),
)
function toggle(table: string) {
  const next = new Set(open.value)
  if (!next.delete(table)) next.add(table)
  open.value = next
}
const words: Record<Span['kind'], string> = { hands: tr('hands on it'), alone: tr('it dries alone'), waits: tr('waits') }
const spoken = (r: Row, s: Span) =>
  tr(
    '{0}: {1}, {2}, {3} to {4}',
    props.called(r.person),
    tr(s.name).toLowerCase(),
    words[s.kind],
    props.clock(s.fromMin),
    props.clock(s.toMin),
  ) + (s.pinned ? tr(', pinned') : '')

function key(e: KeyboardEvent, r: Row, s: Span) {
  const by = e.key === 'ArrowLeft' ? -1 : e.key === 'ArrowRight' ? 1 : 0
  if (by && e.shiftKey) emit('pin', [r.person], s.stage, Math.max(0, s.fromMin + by))
  else if (e.key.toLowerCase() === 'p' && s.pinned) emit('pin', [r.person], s.stage, null)
  else if (e.key.startsWith('Arrow')) return move(e)
  else return
  e.preventDefault()
}
/** Arrows go along a row and from row to row. */
function move(e: KeyboardEvent) {
  const here = e.currentTarget as HTMLElement
  const all = [...board.value!.querySelectorAll<HTMLElement>('button.stage')]
  const row = all.filter((b) => b.dataset['row'] === here.dataset['row'])
  const at = row.indexOf(here)
  const rows = [...new Set(all.map((b) => b.dataset['row']))]
  const other = rows[rows.indexOf(here.dataset['row']) + (e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0)]
  const to =
    e.key === 'ArrowLeft' ? row[at - 1] : e.key === 'ArrowRight' ? row[at + 1] : all.filter((b) => b.dataset['row'] === other).at(at)
  to?.focus()
  e.preventDefault()
}
/** Dragged by the minute; let go, it is pinned. */
const held = ref<{ person: string; stage: string; by: number }>()
function grab(e: PointerEvent, r: Row, s: Span) {
  if (s.kind !== 'hands') return
  const target = e.currentTarget as HTMLElement
  const from = e.clientX
  const by = (m: PointerEvent) => Math.round((m.clientX - from) / scale.value)
  target.setPointerCapture(e.pointerId)
  const drag = (m: PointerEvent) => (held.value = { person: r.person, stage: s.stage, by: by(m) })
  const drop = (m: PointerEvent) => {
    target.removeEventListener('pointermove', drag)
    target.removeEventListener('pointercancel', away)
    held.value = undefined
    if (m.type === 'pointerup' && by(m) !== 0) emit('pin', [r.person], s.stage, Math.max(0, s.fromMin + by(m)))
  }
  const away = (m: PointerEvent) => drop(m)
  target.addEventListener('pointermove', drag)
  target.addEventListener('pointerup', drop, { once: true })
  target.addEventListener('pointercancel', away, { once: true })
}
const shift = (r: Row, s: Span) =>
  held.value?.person === r.person && held.value.stage === s.stage && s.kind === 'hands' ? held.value.by : 0
const stateOf = (r: Row) => r.spans.findLast((s) => s.kind === 'hands')?.state ?? 'laid'
const endsAlike = (rows: readonly { row: Row }[]) => rows.every((r) => r.row.endMin === rows[0]!.row.endMin)
const isShared = (l: { chips: readonly { kind: string; fromMin: number; toMin: number }[] }, s: Span) =>
  l.chips.some((c) => c.kind === s.kind && c.fromMin === s.fromMin && c.toMin === s.toMin)
const tight = computed(() => {
  const queue = props.stations.flatMap((s) => (s.queue && s.queue.most > 1 ? [{ s, q: s.queue }] : []))
  return queue.sort((a, b) => b.q.most - a.q.most)[0]
})
</script>
<template>
  <div ref="board" class="board" :style="{ height: `${height}px` }">
    <svg class="drawn" :width="Math.max(width, 300)" :height="height" role="img" :aria-label="$t('Who does what when; as a list below.')">
      <ToneDefs />
      <rect :x="side" y="0" :width="width - side" :height="rule - 2" class="ruler" />
      <path :d="ticks.map((t) => `M${x(t.min)} ${rule - 2}v${t.long ? -12 : -5}`).join('')" class="tick" />
      <template v-for="t in ticks" :key="t.min">
        <text v-if="t.long && x(t.min) < width - 40" :x="x(t.min) + 3" y="15" class="hour">{{ clock(t.min) }}</text>
      </template>
      <path :d="`M${side} ${rule - 1}H${width}`" class="line" />
      <g v-for="l in lanes.tables" :key="l.table">
        <rect :x="side" :y="top(l.top)" :width="Math.max(0, x(lastMin) - side)" :height="l.height" class="paper" />
        <g v-for="r in l.rows" :key="r.row.person">
          <path v-if="l.open" :d="`M${side} ${top(l.top + r.top)}H${x(lastMin)}`" class="thin" />
          <rect
            v-if="r.row.comesMin"
            :x="side + 1"
            :y="top(l.top + r.top) + 1"
            :width="x(r.row.comesMin) - side - 2"
            :height="r.height - 2"
            class="absent"
          />
          <template v-for="s in r.row.spans" :key="`${s.kind}${s.stage}${s.fromMin}`">
            <rect
              v-if="s.kind === 'hands'"
              :x="x(s.fromMin + shift(r.row, s))"
              :y="top(l.top + r.top)"
              :width="Math.max(1, (s.toMin - s.fromMin) * scale)"
              :height="r.height"
              :fill="`url(#tone-${s.state})`"
              class="hands"
              :class="{ row: l.open }"
            />
            <rect
              v-else-if="s.kind === 'waits' && !isShared(l, s)"
              :x="x(s.fromMin)"
              :y="top(l.top + r.top) + r.height * 0.22"
              :width="(s.toMin - s.fromMin) * scale"
              :height="r.height * 0.56"
              class="waits"
            />
            <path
              v-else-if="s.kind === 'alone' && !isShared(l, s)"
              :d="`M${x(s.fromMin)} ${top(l.top + r.top) + r.height - 1.5}H${x(s.toMin)}`"
              class="alone"
            />
            <path
              v-if="s.pinned"
              :d="`M${x(s.fromMin)} ${top(l.top + r.top) + 2}m-3 0h6l-1.5 5h2v2h-7v-2h2zM${x(s.fromMin)} ${top(l.top + r.top) + 9}v6`"
              class="pin"
            />
          </template>
        </g>
        <path
          v-for="c in l.chips.filter((c) => c.kind === 'hands')"
          :key="c.fromMin"
          :d="`M${x(c.fromMin)} ${top(l.top)}h${(c.toMin - c.fromMin) * scale}v${l.height}h${-(c.toMin - c.fromMin) * scale}z`"
          class="edge"
        />
        <template v-for="c in l.chips" :key="`${c.kind}${c.fromMin}`">
          <rect
            v-if="c.kind === 'waits'"
            :x="x(c.fromMin)"
            :y="top(l.top) + l.height * 0.22"
            :width="(c.toMin - c.fromMin) * scale"
            :height="l.height * 0.56"
            class="waits"
          />
          <rect
            v-if="c.kind === 'alone'"
            :x="x(c.fromMin)"
            :y="top(l.top) + l.height - 7"
            :width="(c.toMin - c.fromMin) * scale"
            height="5"
            class="shelf"
          />
          <g v-if="c.text && (c.toMin - c.fromMin) * scale > c.text.length * 7 + 6" class="chip" :class="`is-${c.kind}`">
            <rect
              v-if="c.kind !== 'alone'"
              :x="(x(c.fromMin) + x(c.toMin)) / 2 - (c.text.length * 7 + 8) / 2"
              :y="top(l.top) + l.height / 2 - 9"
              :width="c.text.length * 7 + 8"
              height="18"
            />
            <text
              :x="c.kind === 'alone' ? x(c.fromMin) + 26 : (x(c.fromMin) + x(c.toMin)) / 2"
              :y="top(l.top) + l.height / 2 + 4.5"
              :text-anchor="c.kind === 'alone' ? 'start' : 'middle'"
            >
              {{ c.text }}
            </text>
          </g>
        </template>
      </g>
      <g v-for="b in shows" :key="b.fromMin">
        <rect :x="x(b.fromMin)" :y="rule" :width="(b.toMin - b.fromMin) * scale" :height="height - rule" class="show" />
        <text
          :x="(b.toMin - b.fromMin) * scale > 60 ? x((b.fromMin + b.toMin) / 2) : 0"
          :y="(b.toMin - b.fromMin) * scale > 60 ? rule + 26 : 0"
          :transform="
            (b.toMin - b.fromMin) * scale > 60 ? undefined : `translate(${x((b.fromMin + b.toMin) / 2) + 4} ${rule + 14}) rotate(90)`
          "
          :text-anchor="(b.toMin - b.fromMin) * scale > 60 ? 'middle' : 'start'"
          class="showing"
        >
          {{ b.what }}
        </text>
      </g>
      <rect :x="x(cleanFrom)" :y="rule" :width="(cleanTo - cleanFrom) * scale" :height="height - rule" class="clean" />
      <text :transform="`translate(${x((cleanFrom + cleanTo) / 2) + 4} ${rule + 12}) rotate(90)`" class="showing">
        {{ $t('clean up to {0}', clock(cleanTo)) }}
      </text>
      <g v-for="l in lanes.stations" :key="l.station.at">
        <path :d="`M0 ${top(l.top) + l.height}H${x(lastMin)}`" class="line" />
        <path
          v-if="l.station.places !== null"
          :d="`M${side} ${top(l.top) + l.height - l.station.places * l.each}H${x(lastMin)}`"
          class="places"
        />
        <template v-for="(v, i) in l.station.levels" :key="i">
          <template v-if="l.station.levels[i + 1]">
            <rect
              :x="x(v.fromMin)"
              :y="top(l.top) + l.height - v.there * l.each"
              :width="(l.station.levels[i + 1]!.fromMin - v.fromMin) * scale"
              :height="v.there * l.each"
              :class="l.station.at === 'basin' ? 'water' : l.station.at === 'rack' ? 'rack' : 'full'"
            />
            <rect
              v-if="v.waiting"
              :x="x(v.fromMin)"
              :y="top(l.top) + l.height - (v.there + v.waiting) * l.each"
              :width="(l.station.levels[i + 1]!.fromMin - v.fromMin) * scale"
              :height="v.waiting * l.each"
              class="waits"
            />
          </template>
        </template>
        <text
          v-if="tight && tight.s.at === l.station.at"
          :x="Math.max(side, Math.min(width - 240, x(tight.q.mostAtMin) + 6))"
          :y="top(l.top) - 4"
          class="tight"
        >
          {{ $t('{0}, the tightest moment: {1} wait', clock(tight.q.mostAtMin), tight.q.most) }}
        </text>
      </g>
      <path :d="`M${x(endMin)} 0V${height}`" class="end" />
    </svg>
    <div v-for="l in lanes.tables" :key="l.table" class="who" :style="{ top: `${top(l.top)}px`, height: `${l.height}px` }">
      <button
        type="button"
        class="plain table"
        :aria-expanded="l.open"
        :aria-label="$t('Table {0}, {1} people', l.table, l.rows.length)"
        @click="toggle(l.table)"
      >
        <b>{{ l.table }}</b><v-icon :icon="l.open ? mdiChevronDown : mdiChevronRight" size="18" />
      </button>
      <template v-if="l.open">
        <span v-for="r in l.rows" :key="r.row.person" class="name" :style="{ top: `${r.top}px` }">{{ called(r.row.person) }}</span>
      </template>
    </div>
    <template v-for="l in lanes.tables" :key="l.table">
      <template v-for="(r, i) in l.rows" :key="r.row.person">
        <template v-if="l.open">
          <button
            v-for="s in r.row.spans.filter((s) => s.kind === 'hands')"
            :key="s.stage"
            type="button"
            class="plain stage"
            :class="{ pinned: s.pinned }"
            :data-row="r.row.person"
            :aria-label="spoken(r.row, s)"
            :style="{
              insetInlineStart: `${x(s.fromMin + shift(r.row, s))}px`,
              top: `${top(l.top + r.top)}px`,
              width: `${Math.max(24, (s.toMin - s.fromMin) * scale)}px`,
              height: `${r.height}px`,
            }"
            @keydown="key($event, r.row, s)"
            @pointerdown="grab($event, r.row, s)"
            @dblclick="s.pinned && emit('pin', [r.row.person], s.stage, null)"
          >
            <span v-if="(s.toMin - s.fromMin) * scale > 40" aria-hidden="true">{{ shortWord(s) }}</span>
          </button>
        </template>
        <span
          v-if="l.open || i === 0"
          class="done"
          :style="{
            insetInlineStart: `${x(l.open || !endsAlike(l.rows) ? Math.max(r.row.endMin, ...(l.open ? [] : l.rows.map((y) => y.row.endMin))) : r.row.endMin) + 4}px`,
            top: `${top(l.open ? l.top + r.top : l.top + (l.height - 24) / 2) + (l.open ? 2 : 0)}px`,
          }"
          ><PieceToken :state="stateOf(r.row)" :size="l.open ? 20 : 24" />
          {{ clock(l.open ? r.row.endMin : Math.max(...l.rows.map((y) => y.row.endMin))) }}</span
        >
      </template>
    </template>
    <template v-for="l in lanes.tables" :key="l.table">
      <PieceToken
        v-for="c in l.chips.filter((c) => c.kind === 'alone' && (c.toMin - c.fromMin) * scale > 24)"
        :key="c.fromMin"
        :state="c.state"
        :size="22"
        class="lies"
        :style="{ insetInlineStart: `${x(c.fromMin) + 3}px`, top: `${top(l.top) + l.height - 29}px` }"
      />
    </template>
    <div v-for="l in lanes.stations" :key="l.station.at" class="station" :style="{ top: `${top(l.top) + l.height - 34}px` }">
      <b>{{ stationName(l.station.at) }}</b>
      <span class="two small">{{ l.station.places === null ? '' : l.station.places }}</span>
    </div>
  </div>
</template>
<style scoped>
.board {
  position: relative;
  min-width: 0;
  overflow: hidden;
}
.drawn {
  position: absolute;
  inset: 0;
  font: 600 var(--t-label) var(--f-text);
}
text {
  fill: var(--text);
}
.ruler,
.show,
.clean {
  fill: var(--board);
}
.clean {
  opacity: 0.8;
}
.show {
  stroke: var(--text);
  stroke-width: 1.5;
}
.showing {
  font-weight: 700;
}
.tick,
.line {
  stroke: var(--text);
  stroke-width: 1.5;
  fill: none;
}
.hour {
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.paper {
  fill: var(--stock);
  stroke: var(--edge);
  stroke-width: 1.2;
}
.thin {
  stroke: var(--rule);
}
.absent {
  fill: none;
  stroke: var(--edge);
  stroke-dasharray: 4 3;
}
.hands {
  stroke: none;
}
.hands.row,
.edge {
  stroke: var(--ink);
  stroke-width: 1.4;
  fill-opacity: 1;
}
.edge {
  fill: none;
}
.waits {
  fill: url(#tone-waits);
  stroke: var(--watch);
  stroke-width: 1;
}
.alone {
  stroke: var(--edge);
  stroke-width: 2.5;
}
.shelf {
  fill: var(--board);
  stroke: var(--edge);
}
.pin {
  fill: var(--text);
  stroke: var(--text);
  stroke-width: 1.4;
}
.chip rect {
  fill: var(--stock);
}
.chip.is-waits text {
  fill: var(--watch);
  font-weight: 700;
}
.chip.is-alone text {
  fill: var(--text-2);
  font-weight: 500;
}
.places {
  stroke: var(--edge);
  stroke-dasharray: 4 3;
  fill: none;
}
.water {
  fill: var(--water);
}
.full {
  fill: var(--text-2);
}
.rack {
  fill: var(--stock);
  stroke: none;
}
.tight {
  fill: var(--watch);
  font-weight: 700;
}
.end {
  stroke: var(--stop);
  stroke-width: 3;
}
.who,
.station {
  position: absolute;
  inset-inline-start: 0;
  width: 92px;
}
.table {
  position: absolute;
  top: 50%;
  transform: translateY(-50%);
  display: flex;
  align-items: center;
  min-width: 44px;
  min-height: 24px;
}
.table b {
  border: 1.6px solid var(--text);
  border-radius: var(--r-ctl);
  padding: 0 var(--s-2);
  background: var(--stock);
  font: 780 var(--t-text) var(--f-head);
}
.name {
  position: absolute;
  inset-inline-end: 6px;
  max-width: 58px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font: 600 var(--t-small) / 28px var(--f-text);
}
.station b {
  display: block;
  font: 700 var(--t-small) / 1.1 var(--f-text);
}
.stage {
  position: absolute;
  display: grid;
  place-items: center;
  overflow: hidden;
  cursor: grab;
  touch-action: pan-y;
}
.stage span {
  background: var(--stock);
  font: 600 var(--t-fine) / 16px var(--f-text);
  padding: 0 3px;
}
.stage:focus-visible {
  outline: 3px solid var(--text);
  outline-offset: 1px;
}
.lies {
  position: absolute;
}
.done {
  position: absolute;
  display: flex;
  gap: 4px;
  align-items: center;
  font: 700 var(--t-small) var(--f-text);
  pointer-events: none;
  white-space: nowrap;
}
</style>
