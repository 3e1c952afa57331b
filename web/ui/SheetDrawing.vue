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
</script>
<template>
  <span
    class="paper"
    role="img"
    :aria-label="$t('{0} prints on a sheet{1}', grid.perSheet, mirrored ? $t(', mirrored') : '')"
    :style="{ width: `${paper.widthMm * k}px`, height: `${paper.heightMm * k}px` }"
  >
    <i class="edge" :style="{ inset: `${margin * k}px` }" />
    <span
      v-for="(p, i) in grid.places"
      :key="i"
      class="print"
      :style="{ left: `${p.xMm * k}px`, bottom: `${p.yMm * k}px`, width: `${size(p.turned).w}px`, height: `${size(p.turned).h}px` }"
      ><PieceEdge :outline="outline ?? 'straight'" :mirrored="mirrored" /><HouseDrawing
        :drawing="drawing"
        :width="Math.min(size(p.turned).w * 0.85, size(p.turned).h * 1.2) * (outline && outline !== 'straight' ? 0.75 : 1)"
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
