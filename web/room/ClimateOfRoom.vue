<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { dryingFactor } from '#core/cure'
import type { Floor } from '#core/floor'

/** The air that is usual in a room, where it differs from the house's: what dries there takes longer when it is cool or damp. */
const props = defineProps<{ floor: Floor; usual: { celsius: number; humidityPct: number } }>()
const emit = defineEmits<{ set: [climate: Floor['climate'] | null] }>()
const celsius = ref('')
const humidity = ref('')
watch(
  () => props.floor.climate,
  (c) => {
    celsius.value = c ? String(c.celsius) : ''
    humidity.value = c ? String(c.humidityPct) : ''
  },
  { immediate: true },
)
const read = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')))
const wrong = computed(() => {
  const [c, h] = [read(celsius.value), read(humidity.value)]
  return (c !== undefined && !(c >= -10 && c <= 45)) || (h !== undefined && !(h >= 0 && h <= 100))
})
function put() {
  const [c, h] = [read(celsius.value), read(humidity.value)]
  if (wrong.value) return
  if (c === undefined && h === undefined) return props.floor.climate && emit('set', null)
  if (c !== undefined && h !== undefined && (c !== props.floor.climate?.celsius || h !== props.floor.climate.humidityPct))
    emit('set', { celsius: c, humidityPct: h })
}
const factor = computed(() => dryingFactor([], props.floor.climate))
</script>
<template>
  <div>
    <div class="two-fields">
      <label
        ><span class="label">{{ $t('Air, °C') }}</span
        ><input
          v-model="celsius"
          class="field"
          inputmode="decimal"
          :placeholder="String(usual.celsius)"
          :aria-invalid="wrong"
          @change="put"
      /></label>
      <label
        ><span class="label">{{ $t('Humidity, %') }}</span
        ><input
          v-model="humidity"
          class="field"
          inputmode="decimal"
          :placeholder="String(usual.humidityPct)"
          :aria-invalid="wrong"
          @change="put"
      /></label>
    </div>
    <p v-if="wrong" class="stop small" role="alert">{{ $t('Give −10 to 45 °C and 0 to 100 %.') }}</p>
    <p v-else-if="factor > 1" class="watch small">{{ $t('What dries in this class takes {0} times as long.', factor) }}</p>
  </div>
</template>
<style scoped>
.two-fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-2);
}
.field {
  width: 100%;
}
.watch {
  color: var(--watch);
}
</style>
