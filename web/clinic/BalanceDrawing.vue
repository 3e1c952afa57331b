<script setup lang="ts">
import { computed } from 'vue'

/** Blocks against on the left, for on the right; the beam leans 3.8 degrees a block, 15 at most. */
const props = defineProps<{ against: number; inFavour: number }>()
const angle = computed(() => Math.max(-15, Math.min(15, 3.8 * (props.inFavour - props.against))))
const stack = (n: number) => Array.from({ length: Math.min(n, 9) }, (_, i) => ({ x: (i % 3) * 11, y: -Math.floor(i / 3) * 11 }))
</script>
<template>
  <svg width="140" height="64" viewBox="-70 -42 140 64" aria-hidden="true">
    <path d="M-8 20 0 2 8 20z" fill="none" stroke="var(--text)" stroke-width="2" />
    <path d="M-22 20h44" stroke="var(--text)" stroke-width="2" />
    <g :transform="`rotate(${angle})`">
      <path d="M-64 0H64" stroke="var(--text)" stroke-width="3" />
      <rect
        v-for="(b, i) in stack(against)"
        :key="`a${i}`"
        :x="-62 + b.x"
        :y="b.y - 12"
        width="9"
        height="9"
        fill="var(--stock)"
        stroke="var(--text)"
        stroke-width="1.6"
      />
      <rect v-for="(b, i) in stack(inFavour)" :key="`f${i}`" :x="30 + b.x" :y="b.y - 12" width="10" height="10" fill="var(--text)" />
    </g>
  </svg>
</template>
