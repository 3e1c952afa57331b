<script setup lang="ts">
import { computed } from 'vue'
import type { SheetGrid } from '#core/sheets'
import type { Outline } from '#core/recipe'
import type { Size } from '#core/units'
import type { Drawing } from '#core/workshop'
import HouseDrawing from './HouseDrawing.vue'
import PieceEdge from './PieceEdge.vue'
/** A printed sheet to scale, the unprintable edge dotted; mirrored prints are drawn mirrored. */
const props = defineProps<{
  grid: SheetGrid
  paper: Size
  margin: number
  picture: Size
  drawing: Drawing
  mirrored: boolean
  outline?: Outline
  height?: number
}>()
const k = computed(() => (props.height ?? 210) / props.paper.heightMm)
const size = (turned: boolean) => {
  const { widthMm, heightMm } = props.picture
  const [w, h] = turned ? [heightMm, widthMm] : [widthMm, heightMm]
  return { w: w * k.value, h: h * k.value }
}
const boxOf = (p: { xMm: number; yMm: number; turned: boolean }) => {
  const { w, h } = size(p.turned)
  return { left: `${p.xMm * k.value}px`, bottom: `${p.yMm * k.value}px`, width: `${w}px`, height: `${h}px` }
}
const motif = (turned: boolean) =>
  Math.min(size(turned).w * 0.85, size(turned).h * 1.2) * (props.outline && props.outline !== 'straight' ? 0.75 : 1)
</script>
<template>
  <span
    class="paper"
    role="img"
    :aria-label="$t('{0} prints on a sheet{1}', grid.perSheet, mirrored ? $t(', mirrored') : '')"
    :style="{ width: `${paper.widthMm * k}px`, height: `${paper.heightMm * k}px` }"
  >
    <i class="edge" :style="{ inset: `${margin * k}px` }" />
    <span v-for="(p, i) in grid.places" :key="i" class="print" :style="boxOf(p)"
      ><PieceEdge :outline="outline ?? 'straight'" :mirrored="mirrored" /><HouseDrawing
        :drawing="drawing"
        :width="motif(p.turned)"
        :style="{ transform: `${p.turned ? 'rotate(90deg)' : ''} ${mirrored ? 'scaleX(-1)' : ''}` }"
    /></span>
  </span>
</template>
<style scoped>
.paper {
  display: inline-block;
  position: relative;
  background: #fff;
  box-shadow: 4px 4px 0 0 var(--night);
  color: #241c17;
}
.edge {
  position: absolute;
  border: 1px dotted #8a7b66;
}
.print {
  position: absolute;
  display: grid;
  place-items: center;
  overflow: hidden;
}
</style>
