<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import type { Paper } from '#core/house'
import type { Outline } from '#core/recipe'
import type { LaidPrint, LaidSheet } from '#core/prints'
import { showOnRuler, type LengthUnit } from '#core/units'
import ChoiceField from '../ui/ChoiceField.vue'
import CutLines from './CutLines.vue'
import SheetView from './SheetView.vue'
import type { Locks } from './useLocks'
import WasteMarks from './WasteMarks.vue'

/** One sheet to scale: its prints are lifted, turned, locked and swapped; its cuts are drawn and listed. */
const props = defineProps<{
  workshop: string
  sheet: LaidSheet
  number: number
  of: number
  paper: Paper
  size: { widthMm: number; heightMm: number; gutterMm: number }
  mirrored: boolean
  outline: Outline
  unit: LengthUnit
  locks: Locks
}>()
const emit = defineEmits<{ choose: [string] }>()
const { said, place, held, sameSize } = props.locks
const { width } = useDisplay()
/** A sheet fits its board; on a phone it fits the phone, cut numbers included. */
const scale = computed(() => Math.min((width.value <= 760 ? width.value - 96 : 430) / props.paper.widthMm, 520 / props.paper.heightMm))
const stopAt = (mm: number) => showOnRuler(mm, props.unit)

/** Dragging: what is lifted moves with the hand; where it is dropped it is locked. */
const drag = ref<{ id: string; dx: number; dy: number; x: number; y: number }>()
function lift(e: PointerEvent, p: LaidPrint) {
  emit('choose', p.print.id)
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  drag.value = { id: p.print.id, dx: 0, dy: 0, x: e.clientX, y: e.clientY }
}
function pull(e: PointerEvent) {
  if (drag.value) drag.value = { ...drag.value, dx: e.clientX - drag.value.x, dy: e.clientY - drag.value.y }
}
function drop(p: LaidPrint) {
  const d = drag.value
  drag.value = undefined
  if (!d || Math.hypot(d.dx, d.dy) < 5) return
  const { widthMm, heightMm, marginMm } = props.paper
  const within = (n: number, most: number) => Number(Math.min(most, Math.max(marginMm, Math.round(n))).toFixed(3))
  props.locks.move(
    p,
    within(p.xMm + d.dx / scale.value, widthMm - marginMm - p.widthMm),
    within(p.yMm - d.dy / scale.value, heightMm - marginMm - p.heightMm),
  )
}
const lifted = (p: LaidPrint) =>
  drag.value?.id === p.print.id ? { transform: `translate(${drag.value.dx}px, ${drag.value.dy}px)` } : undefined
const swaps = computed(() => [
  { id: '', name: tr('Swap with') },
  ...sameSize.value.map((x) => ({ id: x.p.print.id, name: tr('{0}, sheet {1}', x.p.print.label, x.sheet + 1) })),
])
</script>
<template>
  <div class="bar inline wraps">
    <h2>{{ $t('Sheet {0} of {1}', number, of) }}</h2>
    <span v-if="place" class="two named">{{ place.print.label }}</span>
    <v-btn :disabled="!place" @click="locks.turn">{{ $t('Turn') }}</v-btn>
    <v-btn :disabled="!place" :aria-pressed="place?.locked" @click="locks.toggle">{{ place?.locked ? $t('Unlock') : $t('Lock') }}</v-btn>
    <ChoiceField
      class="swap"
      hide-label
      :label="$t('Swap with')"
      :disabled="!sameSize.length"
      model-value=""
      :options="swaps"
      @update:model-value="$event && locks.swap($event)"
    />
    <v-btn v-if="held.length" @click="locks.unlockAll">{{ $t('Unlock all') }}</v-btn>
  </div>
  <p v-if="said" class="small watch" role="alert">{{ said }}</p>
  <div class="stage">
    <SheetView :sheet="sheet" :paper="paper" :workshop="workshop" :size="size" :mirrored="mirrored" :outline="outline" :scale="scale">
      <template #place="{ place: p }">
        <button
          type="button"
          class="plain grab"
          :class="{ on: place?.print.id === p.print.id, lifted: drag?.id === p.print.id }"
          :style="lifted(p)"
          :aria-label="`${p.print.label}${p.locked ? $t(', locked') : ''}${p.turned ? $t(', turned') : ''}`"
          :aria-pressed="place?.print.id === p.print.id"
          @click="emit('choose', p.print.id)"
          @pointerdown="lift($event, p)"
          @pointermove="pull"
          @pointerup="drop(p)"
          @pointercancel="drag = undefined"
        >
          <span v-if="p.locked" class="lock" aria-hidden="true"
            ><svg viewBox="0 0 24 24" width="18" height="18">
              <path d="M6 11h12v9H6zM8 11V8a4 4 0 0 1 8 0v3" fill="none" stroke="currentColor" stroke-width="2.2" /></svg
          ></span>
          <span class="tab small">{{ p.print.label }}{{ p.print.picture ? '' : $t(', not in') }}</span>
        </button>
      </template>
      <WasteMarks
        :sheet="sheet"
        :number="number"
        :of="of"
        :paper="paper"
        :gutter-mm="size.gutterMm"
        :units="unit === 'in' ? 'imperial' : 'metric'"
        :scale="scale"
      />
      <CutLines :cuts="sheet.cuts" :paper="paper" :scale="scale" />
    </SheetView>
  </div>
  <ol class="cuts" :aria-label="$t('Cuts, in the order a trimmer takes them')">
    <li v-for="c in sheet.cuts" :key="c.number" :class="{ first: c.number === 1 }">
      <i>{{ c.number }}</i><b>{{ stopAt(c.stopMm) }}</b
      ><span class="small two">{{ c.cut === 'down' ? $t('from the left') : $t('from the foot') }}</span>
    </li>
  </ol>
  <p class="small two">
    <b>{{ $t('Stop at, in {0}.', unit === 'in' ? $t('inches') : $t('mm')) }}</b>
    {{
      $t(
        'Cut, set the part aside, go on with the rest; then what was set aside, last first. One person at the trimmer, rail down, an adult beside.',
      )
    }}
  </p>
</template>
<style scoped>
.bar h2 {
  flex: 1 1 auto;
}
.named {
  max-width: 130px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.swap {
  max-width: 140px;
}
.stage {
  display: grid;
  place-items: center;
  padding: var(--s-6) var(--s-6) var(--s-6);
  overflow-x: auto;
}
.grab {
  position: absolute;
  inset: 0;
  touch-action: none;
  cursor: grab;
}
.grab.on {
  box-shadow: inset 0 0 0 3px #4a2a91;
}
.grab.lifted {
  background: rgb(74 42 145 / 0.14);
  outline: 2px dashed #4a2a91;
  z-index: 2;
}
.tab {
  position: absolute;
  left: 4px;
  bottom: 4px;
  background: #4a2a91;
  color: #fbf8f1;
  padding: 0 var(--s-1);
  font-weight: 700;
  max-width: calc(100% - 8px);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  opacity: 0;
}
.grab.on .tab,
.grab:hover .tab,
.grab:focus-visible .tab {
  opacity: 1;
}
.lock {
  position: absolute;
  left: 4px;
  top: 4px;
  background: #4a2a91;
  color: #fbf8f1;
  width: 26px;
  height: 26px;
  display: grid;
  place-items: center;
}
.cuts {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-4);
  padding: 0;
  margin: 0 0 var(--s-2);
}
.cuts li {
  display: grid;
  grid-template-columns: 24px auto;
  column-gap: var(--s-1);
  align-items: center;
}
.cuts i {
  grid-row: span 2;
  width: 24px;
  height: 24px;
  border-radius: 50%;
  background: var(--text);
  color: var(--paper);
  display: grid;
  place-items: center;
  font: 700 var(--t-label) var(--f-text);
}
.cuts .first i {
  background: var(--ink);
  color: var(--on-ink);
}
.cuts b {
  font: 800 var(--t-lead)/1 var(--f-head);
}
@media (max-width: 760px) {
  .stage {
    padding: var(--s-6) var(--s-5);
    place-items: start;
  }
}
</style>
