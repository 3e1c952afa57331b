<script setup lang="ts">
import type { SaidErrand } from './errands'

/** Errands as flags on the time: done ones hollow, late ones said by colour and in words elsewhere. `at` is in per cent. */
defineProps<{ flags: readonly (SaidErrand & { at: number })[] }>()
</script>
<template>
  <span
    v-for="(x, i) in flags"
    :key="x.e.id"
    class="errand"
    :class="[x.e.state, { left: x.at > 62 }]"
    :style="{ left: `${x.at}%`, top: `${40 + (i % 8) * 20}px` }"
    ><svg width="13" height="16" aria-hidden="true">
      <path
        d="M1 0v16M1 1h10l-3 4 3 4H1"
        :fill="x.e.state === 'done' ? 'var(--stock)' : 'currentColor'"
        stroke="currentColor"
        stroke-width="1.6"
      /></svg
    ><span class="txt">{{ x.said.title }}</span></span
  >
</template>
<style scoped>
.errand {
  position: absolute;
  display: flex;
  gap: 3px;
  align-items: center;
  white-space: nowrap;
  font-size: var(--t-small);
  z-index: 2;
}
.errand .txt {
  background: var(--stock);
  padding: 0 4px;
}
.errand.left {
  transform: translateX(-100%);
  flex-direction: row-reverse;
}
.errand.done {
  color: var(--text-2);
}
.errand.late {
  color: var(--watch);
  font-weight: 700;
}
</style>
