<script setup lang="ts">
import { t as tr } from '#core/language'
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Row, Span, Station } from '#core/sessions'
import PieceToken from '../ui/PieceToken.vue'
import StationLane from './StationLane.vue'
import TableStrip from './TableStrip.vue'
import ToneDefs from './ToneDefs.vue'
import { lanesOf, shortWord, stationName, type TableLane } from './boardLanes'

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
/** Where a stage of an opened table can be pressed: at least 24 px wide. */
const boxOf = (l: TableLane, r: TableLane['rows'][number], s: Span) => ({
  insetInlineStart: `${x(s.fromMin + shift(r.row, s))}px`,
  top: `${top(l.top + r.top)}px`,
  width: `${Math.max(24, (s.toMin - s.fromMin) * scale.value)}px`,
  height: `${r.height}px`,
})
/** What is shown stands over its block, turned where that is narrow. */
function labelOf(b: { fromMin: number; toMin: number }) {
  const middle = x((b.fromMin + b.toMin) / 2)
  return (b.toMin - b.fromMin) * scale.value > 60
    ? { x: middle, y: rule + 26, 'text-anchor': 'middle' }
    : { transform: `translate(${middle + 4} ${rule + 14}) rotate(90)` }
}
/** When each table, or each person of an opened one, is done. */
const ends = computed(() =>
  lanes.value.tables.flatMap((l) => {
    const shown = l.open ? l.rows : l.rows.slice(0, 1)
    const last = Math.max(...l.rows.map((y) => y.row.endMin))
    return shown.map((r) => {
      const min = l.open ? r.row.endMin : last
      return {
        key: r.row.person,
        left: x(min) + 4,
        top: top(l.open ? l.top + r.top : l.top + (l.height - 24) / 2) + (l.open ? 2 : 0),
        state: r.row.spans.findLast((s) => s.kind === 'hands')?.state ?? ('laid' as const),
        size: l.open ? 20 : 24,
        text: props.clock(min),
      }
    })
  }),
)
const tight = computed(() => {
  const queues = props.stations.flatMap((s) => (s.queue && s.queue.most > 1 ? [s.queue] : []))
  return queues.sort((a, b) => b.most - a.most)[0]
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
      <TableStrip v-for="l in lanes.tables" :key="l.table" v-bind="{ l, x, scale, side, shift, right: x(lastMin), y: top(l.top) }" />
      <g v-for="b in shows" :key="b.fromMin">
        <rect :x="x(b.fromMin)" :y="rule" :width="(b.toMin - b.fromMin) * scale" :height="height - rule" class="show" />
        <text v-bind="labelOf(b)" class="showing">{{ b.what }}</text>
      </g>
      <rect :x="x(cleanFrom)" :y="rule" :width="(cleanTo - cleanFrom) * scale" :height="height - rule" class="clean" />
      <text :transform="`translate(${x((cleanFrom + cleanTo) / 2) + 4} ${height - 10}) rotate(90)`" text-anchor="end" class="showing">
        {{ $t('clean up to {0}', clock(cleanTo)) }}
      </text>
      <StationLane
        v-for="l in lanes.stations"
        :key="l.station.at"
        v-bind="{ l, x, scale, side, width, clock, right: x(lastMin), y: top(l.top) }"
        :tight="tight?.at === l.station.at ? tight : undefined"
      />
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
        <span v-for="r in l.rows" :key="r.row.person" class="name" :title="called(r.row.person)" :style="{ top: `${r.top}px` }">{{
          called(r.row.person)
        }}</span>
      </template>
    </div>
    <template v-for="l in lanes.tables" :key="l.table">
      <template v-for="r in l.rows" :key="r.row.person">
        <template v-if="l.open">
          <button
            v-for="s in r.row.spans.filter((s) => s.kind === 'hands')"
            :key="s.stage"
            type="button"
            class="plain stage"
            :class="{ pinned: s.pinned }"
            :data-row="r.row.person"
            :aria-label="spoken(r.row, s)"
            :style="boxOf(l, r, s)"
            @keydown="key($event, r.row, s)"
            @pointerdown="grab($event, r.row, s)"
            @dblclick="s.pinned && emit('pin', [r.row.person], s.stage, null)"
          >
            <span v-if="(s.toMin - s.fromMin) * scale > 40" aria-hidden="true">{{ shortWord(s) }}</span>
          </button>
        </template>
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
    <span v-for="e in ends" :key="e.key" class="done" :style="{ insetInlineStart: `${e.left}px`, top: `${e.top}px` }"
      ><PieceToken :state="e.state" :size="e.size" /> {{ e.text }}</span
    >
    <div v-for="l in lanes.stations" :key="l.station.at" class="station" :style="{ top: `${top(l.top) + l.height - 34}px` }">
      <b>{{ stationName(l.station.at) }}</b>
      <span class="two small">{{ l.station.places === null ? '' : l.station.places }}</span>
    </div>
  </div>
</template>
<style scoped src="./board.css"></style>
