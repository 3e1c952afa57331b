<script setup lang="ts">
import type { AheadErrand } from '#core/phrases'

/** Errands of several workshops, each with its workshop and when; a late one with what comes of it. */
defineProps<{ errands: readonly AheadErrand[] }>()
const emit = defineEmits<{ tick: [e: AheadErrand] }>()
</script>
<template>
  <ul class="bare">
    <li v-for="e in errands" :key="`${e.workshop} ${e.errand}`" :class="{ done: e.done }">
      <v-checkbox
        density="compact"
        :model-value="e.done"
        :aria-label="$t('{0} is done', `${e.what}, ${e.title}`)"
        @update:model-value="emit('tick', e)"
      />
      <span class="what"
        ><b>{{ e.what }}</b> <span class="two">{{ e.body }}</span>
        <span v-if="e.late" class="watch small come">{{ e.late.title }}. {{ e.late.body }}</span></span
      >
      <span class="by"
        >{{ e.at }}<br /><RouterLink :to="`/w/${e.workshop}/sessions`" class="small">{{ e.title }}</RouterLink></span
      >
    </li>
  </ul>
</template>
<style scoped>
li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  align-items: start;
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.what {
  padding-block: var(--s-2);
}
.by {
  text-align: end;
  padding-block: var(--s-1);
  font-variant-numeric: tabular-nums;
}
.come {
  display: block;
}
.watch {
  color: var(--watch);
}
.done .what,
.done .by {
  color: var(--text-2);
  text-decoration: line-through;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 44px minmax(0, 1fr);
  }
  .by {
    grid-column: 2;
    text-align: start;
  }
}
</style>
