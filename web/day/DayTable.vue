<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { DayState, TableDay } from '#core/day'
import { stateWord } from '#core/phrases'
import { minutesBetween, sayMinute } from '#core/time'
import PieceToken from '../ui/PieceToken.vue'
import { stageWord, timer } from './dayWords'

/** A table: its bar with letter, stage and time, and its seats above and below. One tap on the bar chooses the table, one on a seat the seat. */
const props = defineProps<{
  t: TableDay
  state: DayState
  names: ReadonlyMap<string, string>
  now: string
  /** Who said when they come. */
  coming: ReadonlyMap<string, string>
  clock: 12 | 24
  chosen: boolean
  seat: string | undefined
  due: boolean
}>()
const emit = defineEmits<{ table: []; seat: [person: string] }>()
const all = computed(() => props.state.people.filter((p) => p.table === props.t.table))
const words = computed((): Record<string, string> => ({
  you: tr('needs you'),
  patch: tr('patch it'),
  absent: tr('not here'),
  left: tr('has left'),
  home: tr('goes home so'),
}))
const seats = computed(() =>
  all.value.map((p) => {
    const pieces = props.state.pieces.filter((x) => x.person === p.id)
    const needs = pieces.find((x) => x.needs)?.needs
    const home = pieces.length > 0 && pieces.every((x) => x.home)
    const comes = props.coming.get(p.id)
    const word = comes ? 'comes' : p.presence === 'absent' ? 'absent' : p.presence === 'left' ? 'left' : home ? 'home' : needs ? needs : ''
    const piece = pieces[0]
    const spare = pieces.some((x) => x.spares > 0)
    const said = comes
      ? tr('from {0}', sayMinute(comes, props.clock))
      : (words.value[word] ?? (spare ? tr('on a spare') : piece ? stateWord(piece.state) : ''))
    const watch = word === 'you' || word === 'patch' || pieces.some((x) => x.rubbedEarly)
    return { p, piece, name: p.guest ? '' : (props.names.get(p.id) ?? ''), word, said, watch }
  }),
)
const half = computed(() => Math.ceil(seats.value.length / 2))
const minutes = computed(() => (props.t.until ? minutesBetween(props.now, props.t.until) : null))
const share = computed(() => {
  const { since, until } = props.t
  if (!since || !until) return 0
  return Math.min(1, Math.max(0, minutesBetween(since, props.now) / Math.max(0.1, minutesBetween(since, until))))
})
</script>
<template>
  <div class="block">
    <div v-for="(row, r) in [seats.slice(0, half), seats.slice(half)]" :key="r" class="row" :class="{ under: r === 1 }">
      <button
        v-for="s in row"
        :key="s.p.id"
        type="button"
        class="plain seat"
        :class="{ on: seat === s.p.id, away: ['absent', 'left', 'comes'].includes(s.word) }"
        :aria-pressed="seat === s.p.id"
        @click="emit('seat', s.p.id)"
      >
        <span v-if="s.word === 'absent' || s.word === 'comes'" class="empty" aria-hidden="true" />
        <PieceToken v-else-if="s.piece" :state="s.piece.state" :size="40" />
        <span class="who"
          ><b>{{ s.name || $t('Guest') }}</b> <small :class="{ watch: s.watch }">{{ s.said }}</small></span
        >
      </button>
    </div>
    <button
      type="button"
      class="plain bar"
      :class="{ on: chosen, due }"
      :aria-pressed="chosen"
      :aria-label="$t('Table {0}, {1}', t.table, stageWord(t.stage))"
      @click="emit('table')"
    >
      <b class="letter">{{ t.table }}</b>
      <span class="stage">{{ t.people.length ? stageWord(t.stage) : $t('nobody here') }}</span>
      <b v-if="minutes !== null" class="time">{{ timer(minutes) }}</b>
      <i class="run" :style="{ inlineSize: `${share * 100}%` }" />
    </button>
  </div>
</template>
<style scoped>
.block {
  display: grid;
  grid-template-rows: auto auto auto;
  gap: var(--s-1);
  min-width: 0;
}
.bar {
  order: 1;
  grid-row: 2;
  position: relative;
  display: flex;
  align-items: center;
  gap: var(--s-3);
  min-height: 68px;
  padding: 0 var(--s-3) 8px;
  background: var(--stock);
  border: 2px solid var(--text);
  border-radius: var(--r-ctl);
  overflow: hidden;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(108px, 1fr));
  gap: 2px;
  grid-row: 1;
}
.under {
  grid-row: 3;
}
.letter {
  font: 780 var(--t-h1) / 1 var(--f-head);
}
.stage {
  font: 700 var(--t-lead) / 1.05 var(--f-text);
  flex: 1;
  min-width: 0;
}
.time {
  font: 780 var(--t-h2) / 1 var(--f-head);
}
.run {
  position: absolute;
  inset-block-end: 0;
  inset-inline-start: 0;
  height: 10px;
  background: var(--ink);
}
.due {
  background: var(--ink);
  color: var(--on-ink);
  border-color: var(--ink);
}
.on.bar {
  outline: 3px solid var(--ink);
  outline-offset: 3px;
}
.due .run {
  background: var(--stock);
}
.seat {
  display: flex;
  align-items: center;
  gap: var(--s-1);
  min-height: 64px;
  min-width: 0;
  border-radius: var(--r-ctl);
  padding: 0 2px;
}
.seat.on {
  background: var(--wash);
  outline: 2px solid var(--ink);
}
.who {
  display: grid;
  min-width: 0;
  line-height: 1.1;
}
.who b,
.who small {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.who small {
  color: var(--text-2);
  font-size: var(--t-small);
}
.who .watch {
  color: var(--watch);
  font-weight: 700;
}
.empty {
  width: 38px;
  height: 38px;
  flex: none;
  border: 2px dashed var(--edge);
  border-radius: 50%;
}
.away .who {
  color: var(--text-2);
}
</style>
