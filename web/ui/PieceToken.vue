<script setup lang="ts">
import { computed, useId } from 'vue'
import type { PieceState } from '#core/recipe'

/** A token of the halftone ramp: what is done with a piece, as shape and tone; the word stands beside it. */
const props = withDefaults(defineProps<{ state: PieceState; size?: number; label?: string }>(), { size: 26, label: '' })
const id = useId()
const look: Record<PieceState, { path: string; tone: number }> = {
  'to-print': { path: 'M8 4h19l6 6v26H8z', tone: 0 },
  printed: { path: 'M8 4h19l6 6v26H8z', tone: 0.09 },
  laid: { path: 'M5 5h30v30H5z', tone: 0.2 },
  cured: { path: 'M20 2 38 20 20 38 2 20z', tone: 0.4 },
  'rub-1': { path: 'M11 4h18l9 16-9 16H11L2 20z', tone: 0.62 },
  'rub-2': { path: 'M11 4h18l9 16-9 16H11L2 20z', tone: 0.84 },
  sealed: { path: 'M20 3a17 17 0 1 1 0 34 17 17 0 0 1 0-34z', tone: 1 },
}
const tone = computed(() => look[props.state].tone)
const dark = computed(() => tone.value > 0.5)
const radius = computed(() => 7 * Math.sqrt((dark.value ? 1 - tone.value : tone.value) / Math.PI))
</script>
<template>
  <svg
    :width="size"
    :height="size"
    viewBox="0 0 40 40"
    :role="label ? 'img' : undefined"
    :aria-label="label || undefined"
    :aria-hidden="label ? undefined : 'true'"
    class="token"
  >
    <defs>
      <pattern :id="id" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" :fill="dark ? 'var(--ink)' : 'var(--stock)'" />
        <circle cx="3.5" cy="3.5" :r="radius" :fill="dark ? 'var(--stock)' : 'var(--ink)'" />
      </pattern>
    </defs>
    <path
      :d="look[state].path"
      :fill="tone === 0 ? 'var(--stock)' : tone === 1 ? 'var(--ink)' : `url(#${id})`"
      stroke="var(--ink)"
      stroke-width="2.2"
      :stroke-dasharray="tone === 0 ? '4 3' : undefined"
    />
    <path v-if="state === 'printed'" d="M27 4v6h6" fill="var(--stock)" stroke="var(--ink)" stroke-width="2" />
    <path v-if="state === 'rub-2'" d="M13 8h14l7 12-7 12H13L6 20z" fill="none" stroke="var(--stock)" stroke-width="1.8" />
  </svg>
</template>
<style scoped>
.token {
  flex: none;
  print-color-adjust: exact;
}
</style>
