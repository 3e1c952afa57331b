<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { roomStations } from '#core/recipe'
import { recipesOf } from '#core/house'
import { inWorkshop } from '#core/workshop'
import type { Bench } from '../useBench'

/** How many basins, sinks and heat tools are at hand. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
/** Places at the stations that any method on this table works at; empty is not known, and then not judged. */
const stations = computed(() => {
  const used = new Set(recipesOf(props.bench.house.value!).flatMap((r) => r.stages.map((s) => s.station)))
  return roomStations.filter((s) => used.has(s.id))
})
const typed = ref<Record<string, string>>({})
const stationText = (id: string) => typed.value[id] ?? String(w.value.choices.stations?.[id] ?? '')
const wrongStation = (id: string) => !/^\s*([0-9]|[1-5][0-9]|60)?\s*$/.test(stationText(id))
function atHand(id: string, name: string, raw: string) {
  typed.value = { ...typed.value, [id]: raw }
  if (wrongStation(id)) return
  const rest = Object.fromEntries(Object.entries(w.value.choices.stations ?? {}).filter(([k]) => k !== id))
  const now = raw.trim() === '' ? rest : { ...rest, [id]: Number(raw) }
  delete typed.value[id]
  props.bench.set(inWorkshop.choices.stations, Object.keys(now).length ? now : null, `${name}: ${raw.trim() || tr('not said')}`)
}
</script>
<template>
  <fieldset class="stations">
    <legend class="label">
      {{ $t('At hand in the room') }} <span class="two small light">{{ $t('empty: not judged') }}</span>
    </legend>
    <label v-for="x in stations" :key="x.id"
      ><input
        class="field"
        inputmode="numeric"
        maxlength="3"
        :value="stationText(x.id)"
        :aria-invalid="wrongStation(x.id)"
        @change="atHand(x.id, x.name, ($event.target as HTMLInputElement).value)"
      />
      {{ $t(x.name) }}<span v-if="wrongStation(x.id)" class="stop small">{{ $t('0 to 60, please') }}</span></label
    >
  </fieldset>
</template>
<style scoped>
.stations {
  border: 0;
  padding: 0;
  margin: var(--s-2) 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-4);
}
.stations legend {
  padding: 0;
}
.stations .field {
  width: 52px;
  margin-inline-end: var(--s-1);
}
</style>
