<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { eraseDay } from '#core/pictures'
import { erasedBecause } from '#core/phrases'
import { isDate } from '#core/time'
import { inWorkshop, type Path, type Picture } from '#core/workshop'
import { vSteady } from '../ui/steady'
import type { Bench } from '../bench/useBench'
import ChoiceField from '../ui/ChoiceField.vue'

/** Whose a picture is, whether it may be used, and until when it is kept. */
const props = defineProps<{ bench: Bench; picture: Picture }>()
const emit = defineEmits<{ erase: []; next: [] }>()
const w = computed(() => props.bench.workshop.value!)
const here = computed(() => inWorkshop.pictures(props.picture.id))
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => props.bench.set(path, after, label)
const plan = computed(() => props.bench.plan.value!)
const people = computed(() => w.value.group.participants)
const erased = computed(() => eraseDay(w.value, props.picture))
function give(to: string) {
  const owner = people.value.find((p) => p.id === to)
  set(
    here.value.participant,
    to || null,
    to ? tr('the picture is {0}’s', owner?.name ?? tr('seat {0}', owner?.seat)) : tr('it is a house picture'),
  )
}
const keepUntil = (e: Event) => {
  const day = (e.target as HTMLInputElement).value
  if (isDate(day)) set(here.value.deleteOn, day, tr('the day it is erased changed'))
}
const owners = computed(() => [
  { id: '', name: tr('the house’s') },
  ...people.value.map((p) => ({ id: p.id, name: p.name ?? tr('Seat {0}', plan.value.seats[p.id]) })),
])
</script>
<template>
  <div class="tools care">
    <ChoiceField :label="$t('Whose')" :model-value="picture.participant ?? ''" :options="owners" @update:model-value="give" />
    <v-checkbox
      :model-value="picture.permitted"
      :label="$t('May be used here')"
      @update:model-value="set(here.permitted, !!$event, $event ? 'it may be used' : 'nobody has allowed it yet')"
    />
    <label
      ><span class="label">{{ $t('Erased on') }}</span
      ><input class="field" type="date" v-steady="erased.date" @change="keepUntil($event)" /><span class="small two until">{{
        erasedBecause(erased.from)
      }}</span></label
    >
    <v-btn v-if="erased.from === 'set'" @click="set(here.deleteOn, null, $t('the day it is erased follows the classes'))">{{
      $t('With the classes')
    }}</v-btn>
    <v-btn class="erase" @click="emit('erase')">{{ $t('Erase it') }}</v-btn>
    <v-btn @click="emit('next')">{{ $t('Next finding') }}</v-btn>
  </div>
</template>
<style scoped>
.tools :deep(.step) {
  max-width: 170px;
}
input[type='range'] {
  accent-color: var(--ink);
  min-height: 28px;
  width: 120px;
}
.label {
  display: block;
}
.care {
  border-top: 1px solid var(--rule);
  padding-top: var(--s-2);
}
.until {
  display: block;
}
</style>
