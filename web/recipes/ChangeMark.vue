<script setup lang="ts">
/** What differs from the practice: a caret, and what the practice says. */
defineProps<{ differs: boolean; practice: string }>()
</script>
<template>
  <span v-if="differs" class="mark small"
    ><svg width="12" height="10" viewBox="0 0 13 11" aria-hidden="true">
      <path d="M1 10 6.5 2 12 10" fill="none" stroke="currentColor" stroke-width="2.6" /></svg
    >{{ $t('yours; practice: {0}', practice) }}</span
  >
</template>
<style scoped>
.mark {
  display: block;
  color: var(--ink);
  font-weight: 700;
  line-height: 1.2;
}
</style>
