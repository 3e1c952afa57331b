<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { coldLimitCelsius, cureFactor } from '#core/cure'
import { figuresOf, type House } from '#core/house'
import { sayMinutes } from '#core/phrases'
import { change, inHouse, type Change, type Path } from '#core/workshop'
import SourceMark from '../ui/SourceMark.vue'
import StepField from '../ui/StepField.vue'
import ClimateField from './ClimateField.vue'

/** The air of the room, and what it does to a cure. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => emit('change', [change(props.house, path, after)], label)
const fahrenheit = computed(() => props.house.units === 'imperial')
const shownTemp = computed(() => Math.round(fahrenheit.value ? (props.house.climate.celsius * 9) / 5 + 32 : props.house.climate.celsius))
const setTemp = (n: number) =>
  set(inHouse.climate.celsius, Number((fahrenheit.value ? ((n - 32) * 5) / 9 : n).toFixed(1)), tr('{0}° became {1}°', shownTemp.value, n))
const factor = computed(() =>
  cureFactor(props.house.climate.celsius, props.house.climate.humidityPct, 'moderate', 'porous', figuresOf(props.house)),
)
</script>
<template>
  <section class="part">
    <h3>
      {{ $t('Room') }}
      <span class="two small light">{{ $t('how long a piece cures, medium transfer on bare wood') }} <SourceMark mark="E" /></span>
    </h3>
    <div class="room">
      <ClimateField :climate="house.climate" :fahrenheit="fahrenheit" @set="(c) => set(inHouse.climate, c, $t('the room’s air changed'))" />
      <div class="dials">
        <StepField
          :label="fahrenheit ? $t('Temperature, °F') : $t('Temperature, °C')"
          strong
          :model-value="shownTemp"
          :max="fahrenheit ? 113 : 45"
          @update:model-value="setTemp"
        /><StepField
          :label="$t('Humidity, %')"
          :model-value="Math.round(house.climate.humidityPct)"
          :max="100"
          @update:model-value="set(inHouse.climate.humidityPct, $event, $t('{0} % became {1} %', house.climate.humidityPct, $event))"
        />
        <p class="fig">24 h → {{ sayMinutes(1440 * factor) }} <SourceMark mark="E" /></p>
        <p class="small two">{{ $t('12 h least becomes {0}.', sayMinutes(720 * factor)) }}</p>
        <p v-if="house.climate.celsius < coldLimitCelsius.value" class="stop">
          <b>{{ $t('Too cold to lay: below {0} °C the film does not form.', coldLimitCelsius.value) }}</b>
        </p>
      </div>
    </div>
  </section>
</template>
<style scoped>
.room {
  display: flex;
  gap: var(--s-page);
  flex-wrap: wrap;
}
.dials {
  display: grid;
  gap: var(--s-2);
  align-content: start;
  min-width: 200px;
  flex: 1;
}
</style>
