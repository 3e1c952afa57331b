<template>
  <svg width="20" height="20" viewBox="0 0 24 24" role="img" :aria-label="$t('A caution stands here')" class="hand">
    <path
      d="M8 12V5.5a1.5 1.5 0 0 1 3 0V11m0-6.5a1.5 1.5 0 0 1 3 0V11m0-5a1.5 1.5 0 0 1 3 0v9c0 4-2.5 7-6 7-3 0-4.500-1.500-6-4.500L3.500 14c-.8-1.600 1-2.800 2.200-1.600L8 15z"
      fill="none"
      stroke="currentColor"
      stroke-width="1.8"
      stroke-linejoin="round"
      stroke-linecap="round"
    />
  </svg>
</template>
<style scoped>
.hand {
  color: var(--watch);
  vertical-align: -3px;
}
</style>
