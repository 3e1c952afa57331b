<script setup lang="ts">
import { t as tr } from '#core/language'
import type { Making } from '#core/clinic'
import SegmentChoice from '../ui/SegmentChoice.vue'

/** Without a workshop: what is known of a piece's making is said here. */
const alone = defineModel<Making>({ required: true })
const know = (fact: keyof Making, value: string) => {
  const next = { ...alone.value }
  if (value === '') delete next[fact]
  else Object.assign(next, { [fact]: /^[\d.]+$/.test(value) ? Number(value) : value === 'yes' ? true : value === 'no' ? false : value })
  alone.value = next
}
const knowable: { fact: keyof Making; label: string; options: { id: string; name: string }[] }[] = [
  {
    fact: 'printer',
    label: tr('Printed with'),
    options: [
      { id: '', name: tr('not known') },
      { id: 'toner', name: 'toner' },
      { id: 'inkjet', name: 'inkjet' },
    ],
  },
  {
    fact: 'cureShare',
    label: tr('It waited'),
    options: [
      { id: '', name: tr('not known') },
      { id: '0.5', name: tr('less than the least') },
      { id: '2', name: tr('as it should') },
    ],
  },
  {
    fact: 'coat',
    label: tr('Coat'),
    options: [
      { id: '', name: tr('not known') },
      { id: 'light', name: 'light' },
      { id: 'moderate', name: 'moderate' },
      { id: 'heavy', name: 'heavy' },
    ],
  },
]
</script>
<template>
  <div class="known">
    <SegmentChoice
      v-for="k in knowable"
      :key="k.fact"
      :label="k.label"
      :model-value="String(alone[k.fact] ?? '')"
      :options="k.options"
      @update:model-value="know(k.fact, $event)"
    />
  </div>
</template>
<style scoped>
.known {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-4);
}
.known :deep(.v-btn) {
  padding: 0 var(--s-2);
  font-size: var(--t-small);
}
</style>
