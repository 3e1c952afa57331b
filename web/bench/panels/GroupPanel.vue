<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { drawings, inWorkshop, seated } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import StepField from '../../ui/StepField.vue'
import { typing, vSteady } from '../../ui/steady'
import ForgetNames from '../ForgetNames.vue'
import RosterImport from '../RosterImport.vue'
import type { Bench } from '../useBench'
import AgeTable from './AgeTable.vue'
import SeatList from './SeatList.vue'

const props = defineProps<{ bench: Bench }>()
const emit = defineEmits<{ people: [number] }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const people = computed(() => seated(w.value.group.participants))
const retitle = (e: Event) => {
  const { now, before, taken } = typing(e)
  if (!now.trim()) return
  props.bench.set(inWorkshop.title, now, tr('the workshop was renamed'), 'type-title', before)
  taken()
}
const forgetting = ref(false)
const heldSaid = { class: tr('it is held in classes'), home: tr('it is held at home, from kits') }
const kits = computed(() => people.value.filter((p) => p.kit).length)
const tablesNote = computed(() => {
  if (w.value.group.tables === null) return tr('of four, by default')
  return plan.value.seating.length > 8 ? '' : tr('of {0}', plan.value.seating.join(', '))
})
</script>
<template>
  <div>
    <div class="top">
      <h1>{{ $t('Group') }}</h1>
      <StepField :label="$t('People')" strong :model-value="plan.people" :max="400" @update:model-value="emit('people', $event)" />
      <StepField
        :label="$t('Tables')"
        :model-value="plan.seating.length"
        :min="1"
        :max="80"
        :note="tablesNote"
        @update:model-value="bench.set(inWorkshop.group.tables, $event, $t('tables became {0}', $event))"
      />
      <StepField
        :label="$t('Helpers')"
        :model-value="w.group.helpers"
        :max="60"
        :note="$t('beside you')"
        @update:model-value="bench.set(inWorkshop.group.helpers, $event, $t('helpers became {0}', $event))"
      />
    </div>
    <div class="called">
      <label
        ><span class="label">{{ $t('Called') }}</span
        ><input class="bare-field boxed" v-steady="w.title" maxlength="120" @input="retitle"
      /></label>
      <SegmentChoice
        :label="$t('Drawn with')"
        :model-value="w.drawing"
        :options="drawings.map((d) => ({ id: d, name: d }))"
        @update:model-value="bench.set(inWorkshop.drawing, $event, $t('the drawing became a {0}', $event))"
      />
    </div>
    <div class="tools held">
      <SegmentChoice
        :label="$t('Held')"
        :model-value="w.held ?? 'class'"
        :options="[
          { id: 'class', name: $t('in classes') },
          { id: 'home', name: $t('at home, from kits to go') },
        ]"
        @update:model-value="bench.set(inWorkshop.held, $event === 'home' ? 'home' : null, heldSaid[$event])"
      />
      <p v-if="w.held === 'home'" class="small two">
        {{ $t('Everything is in the bag: prints cut, medium measured into labelled pots, every step on the sheet. No class.') }}
      </p>
      <p v-else-if="kits" class="small two">{{ $t('{0} of them take a kit to go.', kits) }}</p>
    </div>
    <AgeTable :bench="bench" />
    <h3 class="gap">
      {{ $t('Names and seats') }} <span class="two small plainweight">{{ $t('first names only; a seat will do') }}</span>
    </h3>
    <p v-if="!people.length" class="empty two">{{ $t('Nobody yet. Set how many come, or bring in a roster.') }}</p>
    <SeatList :bench="bench" />
    <div class="foot">
      <RosterImport :bench="bench" />
      <v-btn :href="`/api/workshops/${w.id}/roster.csv`">{{ $t('Roster out (CSV)') }}</v-btn>
      <v-btn v-if="people.some((p) => p.name)" @click="forgetting = true">{{ $t('Take out all names') }}</v-btn>
    </div>
    <ForgetNames v-if="forgetting" :bench="bench" @close="forgetting = false" />
  </div>
</template>
<style scoped>
.top {
  display: grid;
  grid-template-columns: 1fr 138px 138px 138px;
  gap: var(--s-3);
}
.held {
  margin-top: var(--s-3);
}
.gap {
  margin: var(--s-4) 0 var(--s-1);
}
.plainweight {
  font: 400 var(--t-small) var(--f-text);
}
input::placeholder {
  color: var(--text-2);
  font-weight: 400;
}
.foot {
  display: flex;
  gap: var(--s-2);
  flex-wrap: wrap;
  margin-top: var(--s-3);
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: var(--s-page);
}
@media (max-width: 760px) {
  .top {
    grid-template-columns: 1fr 1fr;
  }
}
.called {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-3);
  margin-top: var(--s-3);
}
.called :deep(.v-btn) {
  padding: 0 var(--s-2);
  font-size: var(--t-label);
}
.boxed {
  width: 100%;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  background: var(--stock);
}
@media (max-width: 760px) {
  .called {
    grid-template-columns: minmax(0, 1fr);
    overflow-x: auto;
  }
}
</style>
