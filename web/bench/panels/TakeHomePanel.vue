<script setup lang="ts">
import { computed } from 'vue'
import { homeGroups, type TakeHomeSheet } from '#core/takehome'
import { homeGroupName, seatOf } from '#core/phrases'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const id = computed(() => props.bench.workshop.value!.id)
const groups = computed(() =>
  homeGroups.map((g) => ({ g, sheets: plan.value.takeHome.filter((s) => s.group === g) })).filter((x) => x.sheets.length),
)
/** Everybody once, whose pieces of a group they are. */
const who = (sheets: TakeHomeSheet[]) => [...new Set(sheets.map((s) => s.name ?? seatOf(plan.value, s)))].join(', ')
</script>
<template>
  <div>
    <div class="apart">
      <h1>{{ $t('Take-home') }}</h1>
      <v-btn color="primary" variant="flat" :to="`/w/${id}/take-home`">{{ $t('Look at the sheets') }}</v-btn>
    </div>
    <p v-if="!plan.sessions.length" class="empty two">{{ $t('Once there is a date, each sheet can say when its piece is ready.') }}</p>
    <section v-for="x in groups" :key="x.g">
      <h3>
        {{ homeGroupName(x.g) }} <span class="n">{{ x.sheets.length }}</span>
      </h3>
      <p v-if="x.sheets[0]!.ready" class="small">
        <b>{{ $t('From {0}', say.at(x.sheets[0]!.ready.tellAt)) }}</b>{{ $t(', never before {0}', say.at(x.sheets[0]!.ready.neverBefore)) }}
      </p>
      <p class="two">{{ who(x.sheets) }}</p>
    </section>
    <p class="small two">{{ $t('State and laid time of one person’s piece are set on the sheet itself.') }}</p>
  </div>
</template>
<style scoped>
section {
  border-top: 2px solid var(--text);
  margin-top: var(--s-3);
  padding-top: var(--s-2);
}
.n {
  float: inline-end;
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: var(--s-page);
  margin-top: var(--s-3);
}
</style>
