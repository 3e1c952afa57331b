<script setup lang="ts">
import { mdiVolumeHigh } from '@mdi/js'
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { inOneBreath, mayBegin, type Announcement, type TableDay } from '#core/day'
import { clockOf, type House } from '#core/house'
import { minutesBetween } from '#core/time'
import { bySaid, deed, line, toWhom, whenSaid, whoOf, words } from './dayWords'

/** What is to be said next, to whom and when, to all tables that it is for in one breath; the two after it. */
const props = defineProps<{
  say: readonly Announcement[]
  tables: readonly TableDay[]
  names: ReadonlyMap<string, string>
  now: string
  house: House
}>()
const emit = defineEmits<{ said: [list: Announcement[]]; skip: [list: Announcement[]] }>()
const breath = computed(() => inOneBreath(props.say, props.now))
const after = computed(() => props.say.filter((a) => !breath.value.includes(a)).slice(0, 2))
const may = computed(() => breath.value.every((a) => mayBegin(a, props.now)))
const by = computed(() => bySaid(breath.value, clockOf(props.house)))
const who = computed(() => whoOf(breath.value, props.tables, props.names))
const when = computed(() => {
  const { due } = breath.value[0]!
  return minutesBetween(props.now, due) <= 0 ? tr('now') : whenSaid(due, props.now, clockOf(props.house))
})
</script>
<template>
  <section class="card" :aria-label="$t('Say next')">
    <template v-if="say[0]">
      <p class="top">
        <v-icon :icon="mdiVolumeHigh" size="22" /> <b>{{ $t('Say next') }}</b>
        <span class="two">{{ toWhom(breath) }}, {{ when }}</span>
      </p>
      <p class="words" aria-live="polite">{{ words(say[0]) }}</p>
      <p v-if="who">{{ who }}</p>
      <p v-if="by" class="watch">
        <b>{{ by }}</b>
      </p>
      <div class="two-buttons">
        <v-btn class="big" color="primary" variant="flat" :disabled="!may" @click="emit('said', breath)">{{ deed(...breath) }}</v-btn>
        <v-btn v-if="breath.length > 1" class="big" @click="emit('said', [say[0]])">{{ $t('Only {0}', say[0].table) }}</v-btn>
        <v-btn class="big" @click="emit('skip', breath)">{{ $t('Skip') }}</v-btn>
      </div>
    </template>
    <p v-else class="words">{{ $t('Nothing is left to say.') }}</p>
    <ul class="bare lines">
      <li v-for="a in after" :key="a.cue">
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
.watch {
  color: var(--watch);
}
.words {
  font: 600 var(--t-h2) / 1.2 var(--f-text);
}
.two-buttons {
  display: flex;
  gap: var(--s-2);
}
.two-buttons > :first-child {
  flex: 1;
  min-width: 0;
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
