<script setup lang="ts">
import type { Phrases } from '#core/phrases'
import type { SaidErrand } from './errands'

/** What is to be done ahead, by when, ticked when it is done. */
defineProps<{ errands: readonly SaidErrand[]; say: Phrases }>()
const emit = defineEmits<{ done: [errand: string] }>()
</script>
<template>
  <ul>
    <li v-for="x in errands" :key="x.e.id" :class="x.e.state">
      <v-checkbox
        density="compact"
        :model-value="x.e.state === 'done'"
        :aria-label="$t('{0} is done', x.said.title)"
        @update:model-value="emit('done', x.e.id)"
      /><span
        ><b>{{ x.said.title }}</b> <span class="two">{{ x.said.body }}</span></span
      ><span class="by"
        >{{ x.e.startBy ? $t('begin by') : $t('by') }} {{ say.at(x.e.by) }}
        <b v-if="x.e.state === 'late'" class="watch">{{ $t('late') }}</b></span
      >
    </li>
  </ul>
</template>
<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0;
}
li {
  display: grid;
  grid-template-columns: 44px 1fr auto;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
li.done {
  color: var(--text-2);
}
.by {
  white-space: nowrap;
}
@media (max-width: 760px) {
  .by {
    grid-column: 2;
  }
}
</style>
