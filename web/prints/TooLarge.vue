<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { Paper } from '#core/house'
import { showLength, type LengthUnit, type Size } from '#core/units'

/** A picture that the paper cannot take, laid on it to scale: what runs over is hatched. */
const props = defineProps<{ paper: Paper; size: Size; unit: LengthUnit }>()
const inside = computed(() => ({
  w: props.paper.widthMm - 2 * props.paper.marginMm,
  h: props.paper.heightMm - 2 * props.paper.marginMm,
}))
/** The way round that runs over less. */
const laid = computed(() => {
  const over = (w: number, h: number) => Math.max(0, w - inside.value.w) * h + Math.max(0, h - inside.value.h) * w
  const { widthMm: w, heightMm: h } = props.size
  return over(w, h) <= over(h, w) ? { w, h } : { w: h, h: w }
})
const k = computed(() => Math.min(520 / Math.max(laid.value.w, props.paper.widthMm), 470 / Math.max(laid.value.h, props.paper.heightMm)))
const px = (w: number, h: number) => ({ width: `${w * k.value}px`, height: `${h * k.value}px` })
const say = (mm: number) => showLength(mm, props.unit)
const words = computed(() =>
  tr(
    'The picture, {0} × {1}, on what the printer reaches of {2}, {3} × {4}',
    say(laid.value.w),
    say(laid.value.h),
    props.paper.name,
    say(inside.value.w),
    say(inside.value.h),
  ),
)
</script>
<template>
  <figure>
    <div class="stack" role="img" :aria-label="words">
      <span class="paper" :style="px(paper.widthMm, paper.heightMm)"><i class="edge" :style="px(inside.w, inside.h)" /></span>
      <span class="picture" :style="px(laid.w, laid.h)" />
      <span class="fits" :style="px(Math.min(laid.w, inside.w), Math.min(laid.h, inside.h))" />
    </div>
    <figcaption class="small two">{{ $t('{0}. Hatched: runs over.', words) }}</figcaption>
  </figure>
</template>
<style scoped>
figure {
  margin: var(--s-5) 0 0;
  display: grid;
  gap: var(--s-3);
  justify-items: center;
  text-align: center;
}
.stack {
  display: grid;
  max-width: 100%;
  overflow-x: auto;
  padding: var(--s-1);
}
.stack > * {
  grid-area: 1 / 1;
  place-self: center;
}
.paper {
  background: #fff;
  box-shadow: 4px 4px 0 0 var(--night);
  display: grid;
  place-items: center;
}
.edge {
  border: 1px dotted #8a7b66;
}
.picture {
  border: 2px dashed var(--stop);
  background: repeating-linear-gradient(45deg, transparent 0 7px, var(--stop) 7px 8.5px);
}
.fits {
  background: #f4ecdf;
}
</style>
