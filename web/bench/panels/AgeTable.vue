<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { ageBands, mayTouch, type AgeBand, type Hazard } from '#core/recipe'
import { ageName } from '#core/phrases'
import { seated, setAges } from '#core/workshop'
import StepField from '../../ui/StepField.vue'
import VerdictShape from '../../ui/VerdictShape.vue'
import type { Bench } from '../useBench'

/** How many of each age come, and what each may touch. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const people = computed(() => seated(w.value.group.participants))
const count = (a: AgeBand) => people.value.filter((p) => p.age === a).length
const hazards: { id: Hazard; name: string }[] = [
  { id: 'heat', name: tr('Heat') },
  { id: 'spray', name: tr('Spray') },
  { id: 'blade', name: tr('Blade') },
]
const used = computed(() => new Set(plan.value.adults.atHazards.map((h) => h.hazard)))
const ageProblem = ref('')
const age = (band: AgeBand, to: number) => {
  const set = setAges(w.value, band, to)
  ageProblem.value = ''
  if ('most' in set) {
    ageProblem.value = tr('{0} at the most: the other ages are set. Make one of them smaller first, or add people.', set.most)
    return
  }
  props.bench.act('ages', tr('{0} became {1}', ageName(band), to), set.changes, [], set.intent)
}
</script>
<template>
  <div>
    <h3 class="gap">
      {{ $t('Ages') }} <span class="two small plainweight">{{ $t('kept as bands') }}</span>
    </h3>
    <table class="whole">
      <thead>
        <tr>
          <th />
          <th v-for="a in ageBands" :key="a">{{ ageName(a) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th class="row">{{ $t('Here') }}</th>
          <td v-for="a in ageBands" :key="a">
            <StepField
              :label="ageName(a)"
              class="nolabel"
              :model-value="count(a)"
              :max="plan.people"
              @update:model-value="age(a, $event)"
            />
          </td>
        </tr>
        <tr v-for="h in hazards" :key="h.id" :class="{ used: used.has(h.id) }">
          <th class="row">
            {{ h.name }}<span v-if="used.has(h.id)" class="small">{{ $t(', used') }}</span>
          </th>
          <td
            v-for="a in ageBands"
            :key="a"
            class="may"
            :class="used.has(h.id) ? { no: 'stop', 'adult at it': 'watch', yes: 'ok' }[mayTouch[h.id][a]] : 'two'"
          >
            <VerdictShape
              v-if="used.has(h.id)"
              :size="16"
              :state="mayTouch[h.id][a] === 'no' ? 'stop' : mayTouch[h.id][a] === 'yes' ? 'settled' : 'look'"
            />
            {{ mayTouch[h.id][a] }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="ageProblem" role="alert" class="small stop">{{ ageProblem }}</p>
    <p class="small two">{{ $t('Estimates; the house may be stricter. Heat, wax and spray are for adults only.') }}</p>
  </div>
</template>
<style scoped>
.gap {
  margin: var(--s-4) 0 var(--s-1);
}
.plainweight {
  font: 400 var(--t-small) var(--f-text);
}
th {
  font-weight: 700;
  font-size: var(--t-small);
  text-align: center;
}
.row {
  text-align: start;
  font-size: var(--t-text);
}
td {
  padding: var(--s-1);
  text-align: center;
}
tr + tr {
  border-top: 1px solid var(--rule);
}
.used {
  background: var(--wash);
}
.may {
  font-weight: 600;
  font-size: var(--t-small);
}
.nolabel :deep(.label) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.nolabel :deep(.box) {
  min-width: 118px;
}
@media (max-width: 760px) {
  table {
    display: block;
    overflow-x: auto;
  }
}
</style>
