<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { isRefusal, readInput } from '#core/reasons'
import { layStrips, tapeInput, type StripLayout } from '#core/tape'
import StripDrawing from '../ui/StripDrawing.vue'

/** The tape, worked on one picture: both directions computed, the better one drawn. */
const picture = { widthMm: 102, lengthMm: 152 }
const tape = { widthMm: 48, overlapMm: 12 }
const lay = (marginMm: number, size: { widthMm: number; lengthMm: number }): StripLayout | undefined => {
  const laid = layStrips(readInput(tapeInput, { picture: size, tape, marginMm, keepClear: [] }))
  return isRefusal(laid) ? undefined : laid
}
const best = lay(5, picture)
const small = [5, 2].map((m) => lay(m, { widthMm: 44, lengthMm: 60 })?.strips)
const example = computed(() => {
  if (!best) return ''
  const { strips, stripLengthMm, direction, tapeMm, slackMm } = best
  return tr(
    'A picture of 102 × 152 mm, tape of 48 mm, overlap 12, margin 5: {0} strips of {1} mm {2}, {3} mm of tape, {4} mm to slide the seams off the middle and off faces. A film of 44 × 60 mm needs {5} strips, or {6} if the margin is 2 mm.',
    strips,
    stripLengthMm,
    direction,
    tapeMm,
    slackMm,
    small[0],
    small[1],
  )
})
</script>
<template>
  <div v-if="best" class="example">
    <StripDrawing class="drawn" :layout="best" :picture="{ widthMm: 102, heightMm: 152 }" drawing="ferry" :boxes="[]" />
    <p class="small two">
      {{ example }}
    </p>
  </div>
</template>
<style scoped>
.example {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: var(--s-3);
  margin: var(--s-1) 0;
  align-items: center;
}
.drawn {
  pointer-events: none;
}
</style>
