<script setup lang="ts">
import { t as tr } from '#core/language'
import { ref } from 'vue'
import type { House } from '#core/house'
import { isDate } from '#core/time'
import { change, inHouse, type Change, type Path } from '#core/workshop'
import SourceMark from '../ui/SourceMark.vue'
import StepField from '../ui/StepField.vue'
import ClosedDaysFile from './ClosedDaysFile.vue'

/** Days on which nothing is due, and what else moves errands. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => emit('change', [change(props.house, path, after)], label)
const day = ref('')
const addDay = () => {
  if (isDate(day.value) && !props.house.closedDays.includes(day.value))
    set(inHouse.closedDays(day.value), day.value, tr('{0} is closed', day.value))
  day.value = ''
}
</script>
<template>
  <section class="part">
    <h3>{{ $t('Closed days') }}</h3>
    <ul class="bare days">
      <li v-for="d in [...house.closedDays].sort()" :key="d">
        <span class="code">{{ d }}</span><v-btn
          :aria-label="$t('Open again on {0}', d)"
          @click="set(inHouse.closedDays(d), null, $t('{0} is open', d))"
          >{{ $t('Open') }}</v-btn
        >
      </li>
    </ul>
    <form class="inline" @submit.prevent="addDay">
      <input class="field" v-model="day" type="date" :aria-label="$t('A closed day')" /><v-btn type="submit" :disabled="!day">{{
        $t('Close it')
      }}</v-btn>
    </form>
    <ClosedDaysFile :house="house" @change="(c, l) => emit('change', c, l)" />
    <p class="small two">
      {{ $t('To follow all classes and errands of this house, subscribe to') }}
      <a :href="`/api/houses/${house.id}/feed.ics`">{{ $t('this address') }}</a>.
    </p>
    <p class="small two">
      <b>{{ $t('Nothing is due on them:') }}</b> {{ $t('an errand moves back to the last open hour. Cure goes on.') }}
    </p>
    <StepField
      :label="$t('Shelf places')"
      :model-value="house.shelfPlaces"
      :max="2000"
      @update:model-value="set(inHouse.shelfPlaces, $event, $t('shelf places became {0}', $event))"
    />
    <StepField
      :label="$t('Days a supplier takes')"
      :model-value="house.supplierDays"
      :max="60"
      @update:model-value="set(inHouse.supplierDays, $event, $t('supplier days became {0}', $event))"
      ><SourceMark mark="E"
    /></StepField>
  </section>
</template>
<style scoped>
.days li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
