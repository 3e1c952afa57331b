<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StripLayout } from '#core/tape'
import type { Drawing, KeepClear } from '#core/workshop'
import HouseDrawing from './HouseDrawing.vue'

/** Strips of tape drawn over the picture, seams as pale bands. Boxes that no seam may cross are drawn by hand: pressed and
 *  pulled; each can be taken out again. Sizes in mm from the lower left corner. */
const props = defineProps<{
  layout: StripLayout
  picture: { widthMm: number; heightMm: number }
  drawing: Drawing
  boxes: readonly KeepClear[]
  /** What a box drawn here is; left out, nothing can be drawn. */
  what?: KeepClear['what']
}>()
const emit = defineEmits<{ add: [Omit<KeepClear, 'id'>] }>()
const k = computed(() => 300 / Math.max(props.picture.widthMm, props.picture.heightMm, 1))
const w = computed(() => props.picture.widthMm * k.value)
const h = computed(() => props.picture.heightMm * k.value)
const along = computed(() => props.layout.direction === 'along length')
const pad = 26
const from = ref<{ x: number; y: number }>()
const to = ref<{ x: number; y: number }>()
const pulled = computed(() => {
  if (!from.value || !to.value) return undefined
  const [a, b] = [from.value, to.value]
  return { x: Math.min(a.x, b.x), y: Math.min(a.y, b.y), w: Math.abs(a.x - b.x), h: Math.abs(a.y - b.y) }
})
function at(e: PointerEvent) {
  const box = (e.currentTarget as SVGSVGElement).getBoundingClientRect()
  const scale = (w.value + 2 * pad) / box.width
  return {
    x: Math.min(w.value, Math.max(0, (e.clientX - box.left) * scale - pad)),
    y: Math.min(h.value, Math.max(0, (e.clientY - box.top) * scale - pad)),
  }
}
function down(e: PointerEvent) {
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  from.value = to.value = at(e)
}
function up() {
  const p = pulled.value
  from.value = to.value = undefined
  if (!p || !props.what || p.w < 6 || p.h < 6) return
  const mm = (px: number) => Number((px / k.value).toFixed(1))
  emit('add', { xMm: mm(p.x), yMm: mm(h.value - p.y - p.h), widthMm: mm(p.w), lengthMm: mm(p.h), what: props.what })
}
</script>
<template>
  <svg
    class="strips"
    :class="{ hand: what }"
    :viewBox="`${-pad} ${-pad} ${w + 2 * pad} ${h + 2 * pad}`"
    :style="{ maxWidth: `${w + 2 * pad}px` }"
    role="img"
    :aria-label="
      $t(
        '{0} strips {1}, {2} seams, {3} mm of seam over what is kept clear',
        layout.strips,
        layout.direction,
        layout.seams.length,
        layout.seamOnKeepClearMm,
      )
    "
    @pointerdown="what && down($event)"
    @pointermove="from && (to = at($event))"
    @pointerup="up"
    @pointercancel="from = to = undefined"
  >
    <rect :width="w" :height="h" fill="#fbf8f1" stroke="#241c17" stroke-width="1.6" />
    <foreignObject :width="w" :height="h"
      ><div class="pic"><HouseDrawing :drawing="drawing" :width="Math.min(w * 0.86, h * 1.25)" /></div
    ></foreignObject>
    <g v-for="(s, i) in layout.seams" :key="i" fill="#4A2A91" fill-opacity="0.2" stroke="#4A2A91" stroke-width="1">
      <rect v-if="along" :x="s.fromMm * k" y="-8" :width="(s.toMm - s.fromMm) * k" :height="h + 16" />
      <rect v-else x="-8" :y="h - s.toMm * k" :width="w + 16" :height="(s.toMm - s.fromMm) * k" />
    </g>
    <g v-for="b in boxes" :key="b.id" fill="none" stroke="#8A4B00" stroke-width="2" stroke-dasharray="5 3">
      <rect :x="b.xMm * k" :y="h - (b.yMm + b.lengthMm) * k" :width="b.widthMm * k" :height="b.lengthMm * k" />
    </g>
    <rect v-if="pulled" :x="pulled.x" :y="pulled.y" :width="pulled.w" :height="pulled.h" fill="none" stroke="#8A4B00" stroke-width="2" />
    <path :d="along ? `M${w / 2} -16V${h + 16}` : `M-16 ${h / 2}H${w + 16}`" stroke="#8A7B66" stroke-dasharray="3 4" />
  </svg>
</template>
<style scoped>
.strips {
  width: 100%;
  display: block;
}
.hand {
  touch-action: none;
  cursor: crosshair;
}
.pic {
  width: 100%;
  height: 100%;
  display: grid;
  place-items: center;
  color: #241c17;
}
</style>
