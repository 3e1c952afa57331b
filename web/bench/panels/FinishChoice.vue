<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { finishesFor, type Extra } from '#core/recipe'
import { inWorkshop } from '#core/workshop'
import type { Bench } from '../useBench'

/** What is done to the piece besides: each with its minutes, where it is done and what it is good for; and whose the blanks are. */
const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const all = computed(() => finishesFor(d.value.kind, d.value.material))
const chosen = (f: Extra) => d.value.finish?.includes(f.id) ?? false
function choose(f: Extra, on: boolean) {
  const rest = (d.value.finish ?? []).filter((x) => x !== f.id)
  const list = on ? [...rest, f.id] : rest
  props.bench.set(at.value.finish, list.length ? list : null, on ? tr('{0} was added', tr(f.name)) : tr('{0} was taken out', tr(f.name)))
}
/** The steps as they stand in the plan: minutes with the house's own figures, and the place. */
const steps = (f: Extra) =>
  f.steps
    .map((s) => plan.value.stages.find((x) => x.id === s.id) ?? s)
    .map((s) => tr('{0} {1}', tr(s.name), say.value.minutes(s.minutes.value)))
    .join(', ')
</script>
<template>
  <section class="ruled stacked">
    <h2>{{ $t('Finishing') }}</h2>
    <ul class="bare ways">
      <li v-for="f in all" :key="f.id">
        <v-checkbox :model-value="chosen(f)" :label="$t(f.name)" @update:model-value="choose(f, !!$event)" />
        <p class="small two">{{ $t(f.believes) }} {{ steps(f) }}.</p>
      </li>
      <li>
        <v-checkbox
          :model-value="d.brings ?? false"
          :label="$t('People bring their own')"
          @update:model-value="
            bench.set(at.brings, $event ? true : null, $event ? $t('people bring their own') : $t('the house brings the blanks'))
          "
        />
        <p class="small two">{{ $t('In by the day before, looked over, washed or sanded; nothing to buy.') }}</p>
      </li>
    </ul>
  </section>
</template>
<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 0 var(--s-4);
}
.ways p {
  margin: -10px 0 var(--s-2) 40px;
}
</style>
