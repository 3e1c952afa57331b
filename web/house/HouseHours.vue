<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { House } from '#core/house'
import { isClock, weekdays, type Weekday } from '#core/time'
import { change, inHouse, type Change, type Path } from '#core/workshop'
import SegmentChoice from '../ui/SegmentChoice.vue'

/** When the house is open, day by day. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => emit('change', [change(props.house, path, after)], label)
const names: Record<Weekday, string> = {
  mon: tr('Mon'),
  tue: tr('Tue'),
  wed: tr('Wed'),
  thu: tr('Thu'),
  fri: tr('Fri'),
  sat: tr('Sat'),
  sun: tr('Sun'),
}
const order = computed(() => (props.house.weekStart === 'sun' ? (['sun', ...weekdays.slice(0, 6)] as Weekday[]) : [...weekdays]))
const hour = (d: Weekday, field: 'from' | 'to', value: string) => {
  const span = props.house.hours[d] ?? { from: '09:00', to: '17:00' }
  const after = { ...span, [field]: value }
  if (isClock(value) && after.from < after.to) set(inHouse.hours[d], after, tr('{0} became {1} to {2}', names[d], after.from, after.to))
}
/** From six in the morning to eleven at night. */
const barOf = ({ from, to }: { from: string; to: string }) => {
  const at = (clock: string) => (100 * (Number(clock.slice(0, 2)) + Number(clock.slice(3)) / 60 - 6)) / 17
  return { left: `${at(from)}%`, right: `${100 - at(to)}%` }
}
</script>
<template>
  <section class="part">
    <div class="apart">
      <h3>{{ $t('Open') }}</h3>
      <SegmentChoice
        :label="$t('First day')"
        hide-label
        :model-value="house.weekStart"
        :options="[
          { id: 'sun', name: $t('Sun first') },
          { id: 'mon', name: $t('Mon first') },
        ]"
        @update:model-value="set(inHouse.weekStart, $event, $t('the first day of the week changed'))"
      />
    </div>
    <ul class="bare week">
      <li v-for="d in order" :key="d">
        <b>{{ names[d] }}</b><template v-if="house.hours[d]"
          ><input
            class="field"
            type="time"
            step="900"
            :aria-label="$t('{0} from', names[d])"
            :value="house.hours[d].from"
            @change="hour(d, 'from', ($event.target as HTMLInputElement).value)"
          /><i class="bar" aria-hidden="true"><i :style="barOf(house.hours[d])" /></i
          ><input
            class="field"
            type="time"
            step="900"
            :aria-label="$t('{0} to', names[d])"
            :value="house.hours[d].to"
            @change="hour(d, 'to', ($event.target as HTMLInputElement).value)"
          /><v-btn @click="set(inHouse.hours[d], null, $t('{0} is closed', names[d]))">{{ $t('Close') }}</v-btn></template
        ><template v-else
          ><span class="two">{{ $t('closed') }}</span
          ><i class="bar shut" /><span /><v-btn
            @click="set(inHouse.hours[d], { from: '09:00', to: '17:00' }, $t('{0} is open', names[d]))"
            >{{ $t('Open') }}</v-btn
          ></template
        >
      </li>
    </ul>
  </section>
</template>
<style scoped>
.week li {
  display: grid;
  grid-template-columns: 40px 128px 1fr 128px 84px;
  gap: var(--s-2);
  align-items: center;
  padding: 2px 0;
}
.week .field {
  padding: 0 var(--s-1);
  font-size: var(--t-list);
}
.bar {
  position: relative;
  height: 26px;
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hatch) 6px 7.5px);
}
.bar i {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--stock);
  border: 2px solid var(--text);
  border-radius: 3px;
}
@media (max-width: 1000px) {
  .week li {
    grid-template-columns: 36px 1fr 1fr;
  }
  .bar {
    display: none;
  }
}
</style>
