<script setup lang="ts">
import { computed } from 'vue'
import { outlineOf, pieceKind, type Outline } from '#core/recipe'
import type { Drawing } from '#core/workshop'
import HouseDrawing from './HouseDrawing.vue'
/** A kind of piece, drawn with the workshop's picture on it. */
const props = defineProps<{ kind: string; drawing: Drawing; width?: number; outline?: Outline | undefined }>()
const hangs = computed(() => pieceKind(props.kind).hangs)
const outline = computed(() => outlineOf(pieceKind(props.kind), props.outline))
</script>
<template>
  <span class="piece" :class="kind" :style="{ '--w': `${width ?? 74}px` }" aria-hidden="true"
    ><svg v-if="hangs" class="cord" viewBox="0 0 40 14" aria-hidden="true">
      <path d="M3 14 20 2 37 14" fill="none" stroke="currentColor" stroke-width="1.6" />
      <circle cx="20" cy="2" r="2" fill="currentColor" /></svg
    ><span class="face" :class="outline"><HouseDrawing :drawing="drawing" :width="(width ?? 74) * 0.62" /></span
  ></span>
</template>
<style scoped>
.piece {
  display: inline-grid;
  flex: none;
  place-items: end center;
  width: var(--w);
  height: calc(var(--w) * 0.78);
  position: relative;
}
.face {
  display: grid;
  place-items: center;
  width: 90%;
  height: 78%;
  border: 1.8px solid var(--text);
  background: #fbf8f1;
  color: #241c17;
  box-shadow: 3px 3px 0 0 #c9ae80;
}
.cord {
  position: absolute;
  top: 0;
  width: 62%;
  color: var(--text);
}
.round {
  border-radius: 50%;
}
.piece.coaster .straight,
.piece.ornament .straight {
  width: 66%;
  border-radius: 6px;
}
.face.stone {
  border-radius: 48% 52% 40% 44%;
}
.piece.stone .face {
  background: #d9cdb8;
}
.piece.jar .face {
  border-radius: 8px 8px 5px 5px;
  width: 62%;
  height: 84%;
  box-shadow: none;
  background: var(--water-wash);
}
.piece.jar::before {
  content: '';
  position: absolute;
  top: 0;
  width: 50%;
  height: 14%;
  border: 1.8px solid var(--text);
  background: #e6d2ac;
}
.piece.glass-block .face {
  background: var(--water-wash);
  width: 70%;
}
.piece.card .face {
  width: 58%;
  height: 90%;
}
.piece.candle .face {
  width: 52%;
  height: 88%;
  border-radius: 4px;
  background: #f4ead2;
}
.piece.candle::before {
  content: '';
  position: absolute;
  top: 1px;
  width: 2px;
  height: 10%;
  background: var(--text);
}
.piece.page .face {
  width: 60%;
  height: 92%;
  border-inline-start-width: 5px;
}
.piece.accordion .face {
  width: 58%;
  height: 78%;
  box-shadow:
    5px -3px 0 -1px #fbf8f1,
    5px -3px 0 0 var(--text),
    10px 0 0 0 #c9ae80;
}
.piece.custom .face {
  border-style: dashed;
  border-radius: 10px 3px 12px 4px;
}
.piece.stickers .face {
  border-style: dashed;
  box-shadow: none;
}
.piece.block .face {
  box-shadow: 8px -6px 0 -1px #c9ae80;
  width: 76%;
}
</style>
