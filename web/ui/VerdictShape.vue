<script setup lang="ts">
defineProps<{ state: 'settled' | 'default' | 'look' | 'stop' | 'changed'; size?: number }>()
</script>
<template>
  <svg :width="size ?? 26" :height="size ?? 26" viewBox="0 0 26 26" aria-hidden="true">
    <template v-if="state === 'settled'">
      <circle cx="13" cy="13" r="11" fill="var(--paper)" stroke="currentColor" stroke-width="2" />
      <path d="m8 13 4 4 7-8" fill="none" stroke="currentColor" stroke-width="2.4" />
    </template>
    <template v-else-if="state === 'default'">
      <circle cx="13" cy="13" r="11" fill="var(--paper)" stroke="var(--text-2)" stroke-width="2" stroke-dasharray="4 3.5" />
      <circle cx="13" cy="13" r="2.2" fill="var(--text-2)" />
    </template>
    <template v-else-if="state === 'look'">
      <path d="M13 2 25 24H1z" fill="var(--watch)" />
      <path d="M13 10v7m0 2.5v2" stroke="var(--paper)" stroke-width="2.6" />
    </template>
    <template v-else-if="state === 'stop'">
      <rect x="2" y="2" width="22" height="22" fill="var(--stop)" />
      <path d="m8 8 10 10m0-10L8 18" stroke="var(--paper)" stroke-width="2.8" />
    </template>
    <template v-else>
      <circle cx="13" cy="13" r="12" fill="currentColor" />
      <path d="M7 17 13 9l6 8" fill="none" stroke="var(--stock)" stroke-width="2.8" />
    </template>
  </svg>
</template>
