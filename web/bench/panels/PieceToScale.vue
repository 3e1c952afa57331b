<script setup lang="ts">
import { computed, ref } from 'vue'
import { t as tr } from '#core/language'
import { blankMaterial } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { inWorkshop } from '#core/workshop'
import HouseDrawing from '../../ui/HouseDrawing.vue'
import PieceEdge from '../../ui/PieceEdge.vue'
import { edgeStyle, whereOn } from '../../ui/placedPicture'
import { pieceClip } from '../../ui/pieceClip'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import type { Bench } from '../useBench'

/** The piece beside a hand, and a sheet of its prints. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const surface = computed(() => blankMaterial(d.value.material))
/** One scale for hand, piece and ruler. */
const perMm = computed(() => Math.min(0.95, 230 / Math.max(plan.value.face.widthMm, plan.value.face.heightMm, 170)))
const child = computed(() => w.value.group.participants.filter((p) => p.age !== 'adult').length > plan.value.people / 2)
const handMm = computed(() => (child.value ? 150 : 185))
const px = (mm: number) => `${mm * perMm.value}px`
const drawn = computed(() => ({ width: px(plan.value.face.widthMm), height: px(plan.value.face.heightMm) }))
/** The motif inside the outline, px. */
const motif = computed(() => {
  const { widthMm, heightMm } = plan.value.picture
  return Math.min(widthMm, heightMm * 1.4) * perMm.value * (plan.value.cut === 'straight' ? 0.8 : 0.62)
})
/** The picture on its face: while it is dragged where the hand has it. */
const pulled = ref<{ xMm: number; yMm: number }>()
const lies = computed(() => d.value.on && (pulled.value ?? whereOn(plan.value.face, d.value.on)))
const printed = computed(() => ({
  ...(lies.value
    ? {
        position: 'absolute' as const,
        insetInlineStart: px(lies.value.xMm),
        bottom: px(lies.value.yMm),
        width: px(plan.value.picture.widthMm),
        height: px(plan.value.picture.heightMm),
      }
    : { width: '100%', height: '100%' }),
  ...edgeStyle(d.value.edge, plan.value.cut),
}))
/** Inside the face, to a tenth of a mm. */
function inside(xMm: number, yMm: number) {
  const { face, picture } = plan.value
  const kept = (mm: number, most: number) => Number(Math.max(0, Math.min(most, mm)).toFixed(1))
  return { xMm: kept(xMm, Math.max(0, face.widthMm - picture.widthMm)), yMm: kept(yMm, Math.max(0, face.heightMm - picture.heightMm)) }
}
const put = (to: { xMm: number; yMm: number }) =>
  props.bench.set(inWorkshop.designs(d.value.id).on.at, to, tr('the picture was moved'), 'type-place')
let grip: { x: number; y: number; from: { xMm: number; yMm: number } } | undefined
function lift(e: PointerEvent) {
  if (!lies.value) return
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  grip = { x: e.clientX, y: e.clientY, from: lies.value }
}
function pull(e: PointerEvent) {
  if (!grip) return
  pulled.value = inside(grip.from.xMm + (e.clientX - grip.x) / perMm.value, grip.from.yMm - (e.clientY - grip.y) / perMm.value)
}
function drop() {
  if (pulled.value) put(pulled.value)
  grip = undefined
  pulled.value = undefined
}
const ways: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }
function key(e: KeyboardEvent) {
  const way = ways[e.key]
  if (!way || !lies.value) return
  e.preventDefault()
  const step = e.shiftKey ? 10 : 1
  put(inside(lies.value.xMm + way[0] * step, lies.value.yMm + way[1] * step))
}
</script>
<template>
  <div class="well">
    <div class="scale">
      <h3 aria-level="2">{{ $t('To scale') }}</h3>
      <div class="things">
        <figure>
          <svg :width="handMm * 0.62 * perMm" :height="handMm * perMm" viewBox="0 0 62 100" aria-hidden="true">
            <path
              d="M18 99C16 80 4 62 2 50c-1-5 4-6 6-3l10 14V16c0-6 8-6 8 0v28h2V8c0-6 8-6 8 0v36h2V12c0-6 8-6 8 0v34h2V24c0-6 7-6 7 0 1 30-1 52-8 75z"
              fill="#fbf8f1"
              stroke="#241c17"
              stroke-width="1.6"
            />
          </svg>
          <figcaption class="small two">
            {{ child ? $t('a child’s hand, about') : $t('a hand, about') }} {{ showLength(handMm, sizeUnit(house)) }}
          </figcaption>
        </figure>
        <figure>
          <span class="made" :style="drawn"
            ><span class="face" :style="{ background: surface?.colour, ...pieceClip(plan.outline) }"
              ><component
                :is="d.on ? 'button' : 'span'"
                class="picture"
                :class="{ part: d.on || d.edge, plain: d.on }"
                :type="d.on ? 'button' : undefined"
                :style="printed"
                :aria-label="d.on && $t('The picture on its face. Arrow keys move it by 1 mm, with Shift by 10.')"
                @pointerdown="lift"
                @pointermove="pull"
                @pointerup="drop"
                @pointercancel="drop"
                @keydown="key"
                ><HouseDrawing :drawing="w.drawing" :width="motif" /></component></span
            ><PieceEdge :outline="plan.outline"
          /></span>
          <figcaption class="small two">{{ $t(plan.pieceName) }}</figcaption>
        </figure>
      </div>
    </div>
    <div class="sheetside">
      <h3 aria-level="2">{{ $t('{0} on a sheet', plan.print.grid.perSheet) }}</h3>
      <SheetDrawing
        :grid="plan.print.grid"
        :paper="plan.print.paper"
        :margin="plan.print.paper.marginMm"
        :picture="plan.picture"
        :drawing="w.drawing"
        :mirrored="plan.print.mirrored"
        :outline="plan.cut"
      />
      <p class="small two">{{ $t('{0}; dotted: the printer can’t reach', plan.print.mirrored ? $t('mirrored') : $t('not mirrored')) }}</p>
    </div>
  </div>
</template>
<style scoped>
.well {
  background: var(--board);
  padding: var(--s-3) var(--s-4);
  display: flex;
  justify-content: space-between;
  gap: var(--s-4);
  margin: 0 -10px;
}
.things {
  display: flex;
  gap: var(--s-5);
  align-items: flex-end;
}
figure {
  margin: var(--s-2) 0 0;
  display: grid;
  justify-items: center;
  gap: var(--s-1);
}
.made {
  position: relative;
  color: #241c17;
  filter: drop-shadow(4px 4px 0 #c9ae80);
}
.face {
  position: relative;
  display: block;
  width: 100%;
  height: 100%;
  overflow: hidden;
}
.picture {
  display: grid;
  place-items: center;
  color: #241c17;
}
/* White is what the paper of the print would show: where the picture is, not what becomes of its whites. */
.picture.part {
  background: color-mix(in srgb, #fbf8f1 55%, transparent);
}
button.picture {
  cursor: grab;
  touch-action: none;
  outline-offset: -3px;
}
button.picture:active {
  cursor: grabbing;
}
.sheetside {
  text-align: end;
}
@media (max-width: 760px) {
  .well {
    flex-direction: column;
  }
  .sheetside {
    text-align: start;
  }
}
</style>
