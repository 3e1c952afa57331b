<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { blankMaterial, type MaterialUse, type Recipe } from '#core/recipe'
import { materialOf } from '#core/kit'
import type { Figure } from '#core/reasons'
import SourceMark from '../ui/SourceMark.vue'

/** What a method uses, how long a piece is at each station, and what it goes onto. */
const props = defineProps<{ recipe: Recipe }>()
/** Minutes a piece spends at each station, stages by choice left out. */
const stations = computed(() => {
  const by = new Map<string, { name: string; minutes: number; waits: boolean }>()
  for (const s of props.recipe.stages.filter((x) => !x.optional)) {
    const name = s.station ?? 'ahead'
    const now = by.get(name) ?? { name, minutes: 0, waits: true }
    by.set(name, { name, minutes: now.minutes + s.minutes.value, waits: now.waits && !s.attended })
  }
  return [...by.values()]
})
const longest = computed(() => Math.max(...stations.value.map((s) => s.minutes)))
const amount = (m: MaterialUse): [string, Figure | undefined] => {
  if (m.basis === 'area') return [tr('by area and coat'), m.held]
  if (m.basis === 'strips') return [tr('by strips'), undefined]
  if (m.basis === 'length') return [tr('{0} mm for each {1}', m.amount.value, m.per), m.amount]
  const n = m.amount.value === 1 ? '1' : String(m.amount.value)
  return [tr('{0} for each {1}', n, m.basis === 'person' && m.share && m.share.by !== 'each' ? m.share.by : m.basis), m.amount]
}
</script>
<template>
  <div>
    <h2>{{ $t('Materials') }}</h2>
    <ul class="bare ledger">
      <li v-for="m in recipe.materials" :key="m.material">
        <span
          ><b>{{ m.material === 'blank' ? $t('Blank') : $t(materialOf(m.material).name) }}</b>
          <span class="small two">{{ $t(m.note) }}</span></span
        ><span class="small"
          >{{ amount(m)[0] }} <SourceMark v-if="amount(m)[1]" :mark="amount(m)[1]!.mark" />{{ m.optional ? $t(' by choice') : '' }}</span
        >
      </li>
    </ul>
    <h2>
      {{ $t('Stations') }} <span class="small two light">{{ $t('minutes a piece, one after another') }} <SourceMark mark="E" /></span>
    </h2>
    <ul class="bare stations">
      <li v-for="x in stations" :key="x.name">
        <b>{{ $t(x.name) }}</b><i :class="{ wait: x.waits }" :style="{ width: `${Math.max(2, (100 * x.minutes) / longest)}%` }" /><span>{{
          $t('{0} min', x.minutes)
        }}</span>
      </li>
    </ul>
    <h2>{{ $t('Goes onto') }}</h2>
    <ul class="bare ledger">
      <li v-for="(f, id) in recipe.surfaces" :key="id">
        <b>{{ $t(blankMaterial(id)?.name ?? id) }}</b><span class="small">{{ f.fit }}: {{ $t(f.note) }} <SourceMark :mark="f.mark" /></span>
      </li>
    </ul>
  </div>
</template>
<style scoped>
h2 {
  margin: var(--s-3) 0 var(--s-1);
  border-top: 2px solid var(--text);
  padding-top: var(--s-2);
}
.stations li {
  display: grid;
  grid-template-columns: 110px 1fr 70px;
  gap: var(--s-2);
  align-items: center;
  padding: var(--s-1) 0;
}
.stations i {
  height: 14px;
  background: var(--text-2);
}
.stations .wait {
  background: var(--stock);
  border: 1.5px solid var(--text-2);
}
</style>
