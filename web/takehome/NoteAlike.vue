<script setup lang="ts">
import { t as tr } from '#core/language'
import { stateWord } from '#core/phrases'
import { planOf, type Plan } from '#core/plan'
import { alike, setAlike, type TakeHomeSheet } from '#core/takehome'
import type { Change, Intent, Workshop } from '#core/workshop'
import { computed } from 'vue'

/** Sets the state for a table or for everybody, once it is set for one piece. */
const props = defineProps<{ workshop: Workshop; plan: Plan; sheet: TakeHomeSheet }>()
const emit = defineEmits<{ note: [label: string, changes: Change[], intent: Intent] }>()
const tableOf = (s: TakeHomeSheet) => /^[A-Z]+(?=\d)/.exec(props.plan.seats[s.participant] ?? '')?.[0]
const all = computed(() => alike(props.workshop, props.plan.takeHome, props.sheet))
const table = computed(() => all.value.filter((s) => tableOf(s) !== undefined && tableOf(s) === tableOf(props.sheet)))
function note(sheets: readonly TakeHomeSheet[]) {
  const set = setAlike(props.workshop, props.sheet, sheets)
  const state = stateWord(props.sheet.state, planOf(props.plan, props.sheet.design).recipe.words)
  if (set) emit('note', tr('{0} more pieces: {1}', sheets.length, state), set.changes, set.intent)
}
</script>
<template>
  <div v-if="all.length" class="alike">
    <span>{{ $t('The same for') }}</span>
    <span class="row">
      <v-btn v-if="table.length && table.length < all.length" @click="note(table)">{{
        $t('table {0}: {1} more', tableOf(sheet)!, table.length)
      }}</v-btn>
      <v-btn @click="note(all)">{{ $t('all: {0} more', all.length) }}</v-btn>
    </span>
  </div>
</template>
<style scoped>
.alike {
  display: grid;
  gap: var(--s-1);
  padding: var(--s-2) 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2);
}
</style>
