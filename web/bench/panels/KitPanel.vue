<script setup lang="ts">
import { t as tr } from '#core/language'
import { choicesAt } from '#core/workshop'
import { computed } from 'vue'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import SourceMark from '../../ui/SourceMark.vue'
import StepField from '../../ui/StepField.vue'
import type { Bench } from '../useBench'
import KitTable from './KitTable.vue'

const props = defineProps<{ bench: Bench }>()
const emit = defineEmits<{ people: [number] }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
/** Spares and samples are each design's own. */
const own = computed(() => choicesAt(props.bench.workshop.value!, plan.value.design))

const toBuy = computed(() => plan.value.kit.filter((l) => l.toGet.packs.length > 0))
const forWhat = computed(() => {
  const n = plan.value.sessions.length
  return tr('for {0}', n === 1 ? tr('one class') : n ? tr('{0} classes', n) : tr('no date yet'))
})
const sure = computed(() => {
  const { sure, used, count } = plan.value.spares
  return used > 0 ? tr('{0} used, {1} left', used, Math.max(0, count - used)) : tr('{0} % sure', Math.round(sure * 100))
})
const tablesNote = computed(() => {
  const tables = plan.value.seating
  if (tables.length > 6) return tr('{0} tables', tables.length)
  return tables.length ? tr('tables of {0}', tables.join(', ')) : ''
})
</script>
<template>
  <div>
    <div class="top">
      <div>
        <h1>{{ $t('Kit') }}</h1>
        <p class="two">{{ forWhat }}<br />{{ $t('at {0} tables', plan.seating.length) }}</p>
      </div>
      <StepField
        :label="$t('People')"
        strong
        :model-value="plan.people"
        :max="400"
        :note="tablesNote"
        @update:model-value="emit('people', $event)"
      />
      <StepField
        :label="$t('Spares')"
        :model-value="plan.spares.count"
        :max="400"
        @update:model-value="bench.set(own.spares, $event, $t('spares became {0}', $event))"
        >{{ sure }} <SourceMark v-if="!plan.spares.used" :mark="plan.figures['spares']!.because.mark"
      /></StepField>
      <StepField
        :label="$t('Samples')"
        :model-value="plan.samples.count"
        :max="12"
        :note="$t('stages to show')"
        @update:model-value="bench.set(own.samples, $event, $t('samples became {0}', $event))"
      />
    </div>
    <KitTable :bench="bench" />
    <div class="foot">
      <div>
        <b
          >{{ $t('{0} {1} to buy,', toBuy.length, toBuy.length === 1 ? $t('thing') : $t('things')) }}
          <BecauseFigure quiet :figure="plan.figures['cost-total']!" :say="say" :name="$t('Everything to buy')" /></b
        ><br /><span class="small two">{{ $t('prices are estimates; the rest you have') }}</span>
      </div>
      <v-btn :href="`/api/workshops/${bench.workshop.value!.id}/kit.csv`" color="primary" variant="flat">{{ $t('Kit list (CSV)') }}</v-btn>
    </div>
  </div>
</template>
<style scoped>
.top {
  display: grid;
  grid-template-columns: minmax(min-content, 1fr) repeat(3, minmax(0, 138px));
  gap: var(--s-2);
  align-items: start;
}
.foot {
  border-top: 2px solid var(--text);
  margin-top: var(--s-3);
  padding-top: var(--s-3);
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--s-3);
}
@media (max-width: 760px) {
  .top {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
