<script setup lang="ts">
import { t as tr } from '#core/language'
import type { House } from '#core/house'
import { currencies } from '#core/units'
import { change, inHouse, type Change, type Path } from '#core/workshop'
import ChoiceField from '../ui/ChoiceField.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'

/** What the house is called, what it measures in, what it speaks. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => emit('change', [change(props.house, path, after)], label)
const zones = Intl.supportedValuesOf('timeZone').map((z) => ({ id: z, name: z }))
const rename = (e: Event) => {
  const name = (e.target as HTMLInputElement).value.trim()
  if (name) set(inHouse.name, name, tr('the house was renamed'))
}
</script>
<template>
  <section class="part">
    <h3>{{ $t('Measures') }}</h3>
    <label
      ><span class="label">{{ $t('Name') }}</span
      ><input class="field" :value="house.name" maxlength="80" @change="rename($event)"
    /></label>
    <SegmentChoice
      :label="$t('Units')"
      :model-value="house.units"
      :options="[
        { id: 'imperial', name: $t('in, fl oz') },
        { id: 'metric', name: $t('mm, ml') },
      ]"
      @update:model-value="set(inHouse.units, $event, $t('units changed'))"
    />
    <SegmentChoice
      :label="$t('Speaks')"
      :model-value="house.language ?? 'en'"
      :options="[
        { id: 'en', name: 'English' },
        { id: 'es', name: 'Español' },
      ]"
      @update:model-value="set(inHouse.language, $event, $t('the language changed'))"
    />
    <SegmentChoice
      :label="$t('Paper')"
      :model-value="house.paper"
      :options="[
        { id: 'letter', name: $t('Letter') },
        { id: 'a4', name: 'A4' },
      ]"
      @update:model-value="set(inHouse.paper, $event, $t('paper became {0}', $event))"
    />
    <ChoiceField
      :label="$t('Currency')"
      :model-value="house.currency"
      :options="currencies.map((c) => ({ id: c, name: c }))"
      @update:model-value="set(inHouse.currency, $event, $t('the currency changed'))"
    />
    <ChoiceField
      :label="$t('Time zone')"
      :model-value="house.timeZone"
      :options="zones"
      @update:model-value="set(inHouse.timeZone, $event, $t('the time zone changed'))"
    />
    <label
      ><span class="label">{{ $t('Whom to ask, on the sheets') }}</span
      ><input
        class="field"
        :value="house.contact"
        maxlength="80"
        @change="set(inHouse.contact, ($event.target as HTMLInputElement).value, $t('whom to ask changed'))"
    /></label>
  </section>
</template>
<style scoped>
label input {
  width: 100%;
}
</style>
