<script setup lang="ts">
import { computed } from 'vue'
import type { Difference } from '#core/plan'
import type { Phrases } from '#core/phrases'
const props = defineProps<{ change?: Difference | undefined; say: Phrases; bare?: boolean }>()
const text = computed(() => (props.change ? props.say.difference(props.change) : ''))
const down = computed(() => (props.change?.by ?? 1) < 0)
</script>
<template>
  <span v-if="change" class="caret">
    <svg width="13" height="11" viewBox="0 0 13 11" aria-hidden="true" :class="{ down }">
      <path d="M1 10 6.5 2 12 10" fill="none" stroke="currentColor" stroke-width="2.6" />
    </svg>
    <span :class="{ sr: bare }">{{ text }}</span>
  </span>
</template>
<style scoped>
.caret {
  color: var(--ink);
  font-weight: 700;
  font-size: var(--t-list);
  white-space: nowrap;
}
.down {
  transform: rotate(180deg);
}
</style>
