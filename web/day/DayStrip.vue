<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { StripDay } from '#core/day'

/** The way through the class as a strip: what wants hands in ink, what dries alone a line; where each table stands on it. */
const props = defineProps<{ strip: StripDay; chosen: string }>()
const share = (min: number) => `${(100 * min) / Math.max(1, props.strip.minutes)}%`
const { width } = useElementSize(useTemplateRef('all'), { width: 870, height: 0 })
/** Tables that stand close stand side by side, within the strip. */
const flags = computed(() => {
  const wide = 2500 / Math.max(1, width.value)
  const all = [...props.strip.at]
    .sort((a, b) => a.min - b.min)
    .map((f) => ({ table: f.table, at: (100 * f.min) / Math.max(1, props.strip.minutes) }))
  let next = 0
  for (const f of all) next = (f.at = Math.max(f.at, next)) + wide
  let last = 100 - wide
  for (const f of all.reverse()) last = (f.at = Math.min(f.at, last)) - wide
  return all
})
</script>
<template>
  <div ref="all" class="strip" aria-hidden="true">
    <b v-for="f in flags" :key="f.table" class="flag" :class="{ on: f.table === chosen }" :style="{ insetInlineStart: `${f.at}%` }">{{
      f.table
    }}</b>
    <span v-for="s in strip.stages" :key="s.id" class="stage" :class="{ hands: s.attended }" :style="{ inlineSize: share(s.minutes) }"
      ><small>{{ $t(s.name) }}</small></span
    >
  </div>
</template>
<style scoped>
.strip {
  position: relative;
  display: flex;
  padding-top: 27px;
}
.stage {
  border-top: 2px solid var(--text);
  border-inline-start: 2px solid var(--text);
  min-width: 0;
  padding: 5px 2px 0 4px;
}
.hands {
  border-top: 6px solid var(--ink);
  padding-top: 1px;
}
.stage small {
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-weight: 600;
  font-size: var(--t-label);
}
.flag {
  position: absolute;
  top: 0;
  width: 22px;
  height: 22px;
  display: grid;
  place-items: center;
  border: 2px solid var(--text);
  background: var(--stock);
  font: 750 var(--t-small) / 1 var(--f-head);
  transition: inset-inline-start var(--m-quick) linear;
}
.flag.on {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--on-ink);
}
@media (prefers-reduced-motion: reduce) {
  .flag {
    transition: none;
  }
}
</style>
