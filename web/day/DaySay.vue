<script setup lang="ts">
import { mdiVolumeHigh } from '@mdi/js'
import type { Announcement } from '#core/day'
import { clockOf, type House } from '#core/house'
import { minutesBetween } from '#core/time'
import { deed, line, whenSaid, words } from './dayWords'

/** What is to be said next, to whom and when; the two after it. */
defineProps<{ say: readonly Announcement[]; now: string; house: House }>()
const emit = defineEmits<{ said: [a: Announcement]; skip: [a: Announcement] }>()
</script>
<template>
  <section class="card" :aria-label="$t('Say next')">
    <template v-if="say[0]">
      <p class="top">
        <v-icon :icon="mdiVolumeHigh" size="22" /> <b>{{ $t('Say next') }}</b>
        <span class="two"
          >{{ say[0].table ? $t('to table {0}', say[0].table) : $t('to all') }},
          {{ minutesBetween(now, say[0].due) <= 0 ? $t('now') : whenSaid(say[0].due, now, clockOf(house)) }}</span
        >
      </p>
      <p class="words" aria-live="polite">{{ words(say[0]) }}</p>
      <div class="two-buttons">
        <v-btn class="big" color="primary" variant="flat" @click="emit('said', say[0])">{{ deed(say[0]) }}</v-btn>
        <v-btn class="big" @click="emit('skip', say[0])">{{ $t('Skip') }}</v-btn>
      </div>
    </template>
    <p v-else class="words">{{ $t('Nothing is left to say.') }}</p>
    <ul class="bare lines">
      <li v-for="a in say.slice(1, 3)" :key="a.cue">
        <b class="code">{{ whenSaid(a.due, now, clockOf(house)) }}</b> {{ line(a) }}
      </li>
    </ul>
  </section>
</template>
<style scoped>
.card {
  background: var(--stock);
  border: 1.5px solid var(--text);
  padding: var(--s-4);
  display: grid;
  gap: var(--s-3);
}
.top {
  display: flex;
  gap: var(--s-2);
  align-items: center;
}
.top b {
  color: var(--ink);
}
.top .two {
  margin-inline-start: auto;
}
.words {
  font: 600 var(--t-h2) / 1.2 var(--f-text);
}
.two-buttons {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-2);
}
.big {
  height: 64px !important;
}
.big :deep(.v-btn__content) {
  white-space: normal;
}
.lines {
  font-size: var(--t-text);
}
</style>
