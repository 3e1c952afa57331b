<script setup lang="ts">
/** Patterns of what pieces are made to be, as tokens have them, and of waiting. */
const tones = { 'to-print': 0, printed: 0.09, laid: 0.2, cured: 0.4, 'rub-1': 0.62, 'rub-2': 0.84, sealed: 1 }
const radius = (tone: number) => 7 * Math.sqrt((tone > 0.5 ? 1 - tone : tone) / Math.PI)
</script>
<template>
  <defs>
    <pattern
      v-for="(tone, state) in tones"
      :id="`tone-${state}`"
      :key="state"
      width="7"
      height="7"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <rect width="7" height="7" :fill="tone > 0.5 ? 'var(--ink)' : 'var(--stock)'" />
      <circle cx="3.5" cy="3.5" :r="radius(tone)" :fill="tone > 0.5 ? 'var(--stock)' : 'var(--ink)'" />
    </pattern>
    <pattern id="tone-waits" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="7" height="7" fill="var(--watch-wash)" />
      <rect width="2.4" height="7" fill="var(--watch)" />
    </pattern>
  </defs>
</template>
