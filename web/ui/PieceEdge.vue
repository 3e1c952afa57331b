<script setup lang="ts">
import { computed } from 'vue'
import { outlinePath, type Outline } from '#core/recipe'

/** The edge of a piece, laid over what is drawn of it. */
const props = defineProps<{ outline: Outline; mirrored?: boolean; dashed?: boolean }>()
const path = computed(() => outlinePath(props.outline, 100, 100))
</script>
<template>
  <svg class="edge" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true" :class="{ mirrored }">
    <path
      :d="path"
      fill="none"
      stroke="#241C17"
      :stroke-width="dashed ? 1 : 2"
      :stroke-dasharray="dashed ? '3 3' : undefined"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
<style scoped>
.edge {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  pointer-events: none;
}
.mirrored {
  transform: scaleX(-1);
}
</style>
