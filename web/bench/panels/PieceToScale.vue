<script setup lang="ts">
import { computed } from 'vue'
import { blankMaterial } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import HouseDrawing from '../../ui/HouseDrawing.vue'
import PieceEdge from '../../ui/PieceEdge.vue'
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
const perMm = computed(() => Math.min(0.95, 230 / Math.max(plan.value.picture.widthMm, plan.value.picture.heightMm, 170)))
const child = computed(() => w.value.group.participants.filter((p) => p.age !== 'adult').length > plan.value.people / 2)
const handMm = computed(() => (child.value ? 150 : 185))
const drawn = computed(() => ({
  width: `${plan.value.picture.widthMm * perMm.value}px`,
  height: `${plan.value.picture.heightMm * perMm.value}px`,
}))
/** The motif inside the outline, px. */
const motif = computed(() => {
  const { widthMm, heightMm } = plan.value.picture
  return Math.min(widthMm, heightMm * 1.4) * perMm.value * (plan.value.outline === 'straight' ? 0.8 : 0.62)
})
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
              ><HouseDrawing :drawing="w.drawing" :width="motif" /></span
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
        :outline="plan.outline"
      />
      <p class="small two">{{ $t('{0}; dotted: the printer can’t reach', plan.print.mirrored ? $t('mirrored') : $t('not mirrored')) }}</p>
    </div>
  </div>
</template>
<style scoped>
.surface.on {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
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
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  overflow: hidden;
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
