<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { Row } from '#core/finder'
import { recipeById, type Whites } from '#core/recipe'
import { recipesOf } from '#core/house'
import { allowed, inWorkshop } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import SourceMark from '../../ui/SourceMark.vue'
import CuePair from '../../craft/CuePair.vue'
import FinderRows from '../../method/FinderRows.vue'
import { useFinder } from '../useFinder'
import type { Bench } from '../useBench'
import SchoolChoice from './SchoolChoice.vue'

const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const w = computed(() => props.bench.workshop.value!)
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const recipe = computed(() => recipeById(plan.value.recipe.id, plan.value.recipe.version, recipesOf(props.bench.house.value!))!)
const { rows, problem } = useFinder(props.bench)
const summary = computed(() => {
  const n = (v: Row['verdict']) => rows.value.filter((r) => r.verdict === v).length
  const works = n('possible')
  return tr(
    '{0} as it stands, {1} more with a change.',
    works === 1 ? tr('One way works') : tr('{0} ways work', works || tr('No')),
    n('possible-if'),
  )
})
const take = (r: Row) =>
  props.bench.act('method', tr('{0} became {1}', recipe.value.name.toLowerCase(), r.recipe.name.toLowerCase()), r.changes)
const allow = computed(() => allowed(w.value))
const may = (h: 'heat' | 'spray' | 'blade', on: boolean) =>
  props.bench.set(inWorkshop.choices.allow, { ...allow.value, [h]: on }, tr('{0} is {1}', h, on ? tr('allowed') : tr('not allowed')))
const wish = (x: Whites | 'any') => props.bench.set(at.value.whites, x === 'any' ? null : x, tr('whites wanted: {0}', x))
const wishes: { id: Whites | 'any'; name: string }[] = [
  { id: 'any', name: tr('any') },
  { id: 'white', name: tr('white') },
  { id: 'surface', name: tr('surface') },
  { id: 'clear', name: tr('clear') },
]
const aims: { id: 'any' | 'clean' | 'worn'; name: string }[] = [
  { id: 'any', name: tr('not said') },
  { id: 'worn', name: tr('worn, its charm') },
  { id: 'clean', name: tr('as clean as a print') },
]
const aim = (x: 'any' | 'clean' | 'worn') =>
  props.bench.set(at.value.quality, x === 'any' ? null : x, tr('aimed at: {0}', aims.find((a) => a.id === x)!.name))
</script>
<template>
  <div>
    <div class="head">
      <h1>{{ $t('Method') }}</h1>
      <p>
        <b>{{ rows.length ? summary : $t('Comparing the methods') }}</b><br /><span class="small two"
          >{{ $t('Minutes and costs are estimates') }} <SourceMark mark="E"
        /></span>
      </p>
    </div>
    <p v-if="problem" role="alert" class="stop">{{ $t('{0} Reload the page; the plan is saved.', problem) }}</p>
    <FinderRows v-if="rows.length" :rows="rows" :say="say" @take="take" />
    <div v-else class="ghost" aria-hidden="true"><i v-for="i in 6" :key="i" /></div>
    <div class="wishes">
      <SegmentChoice :label="$t('Aim for')" :model-value="d.quality ?? 'any'" :options="aims" @update:model-value="aim" />
      <SegmentChoice :label="$t('Whites should be')" :model-value="d.whites ?? 'any'" :options="wishes" @update:model-value="wish" />
      <div class="checks">
        <v-checkbox :model-value="allow.heat" :label="$t('Heat tool allowed')" @update:model-value="may('heat', !!$event)" /><v-checkbox
          :model-value="allow.blade"
          :label="$t('Blades allowed')"
          @update:model-value="may('blade', !!$event)"
        /><v-checkbox
          :model-value="allow.spray"
          :label="$t('Spraying outdoors, by an adult')"
          @update:model-value="may('spray', !!$event)"
        />
      </div>
    </div>

    <SchoolChoice :bench="bench" :recipe="recipe" />
    <template v-if="plan.stageSamples.length">
      <h3 class="gap">
        {{ $t('Samples to show') }} <span class="two small light">{{ $t('a finished one is believed, a hazy one is understood') }}</span>
      </h3>
      <ul class="samples">
        <li v-for="x in plan.stageSamples" :key="x.id">
          <b>{{ $t(x.name) }}</b>
          <span v-if="x.startBy && x.because"
            >{{ $t('begin by') }}
            <BecauseFigure
              :figure="{ value: x.startBy, unit: 'instant', because: x.because }"
              :text="say.at(x.startBy)"
              :name="$t('{0}, begun by', x.name)"
              :say="say"
              quiet
          /></span>
          <span v-else>{{ $t('made while setting up') }}</span>
          <span class="small two">{{ $t('uses {0}', x.uses.join(', ')) }}</span>
        </li>
      </ul>
    </template>
    <div class="apart">
      <h3 class="gap">{{ $t('How you know') }}</h3>
      <router-link class="further" :to="`/craft/${recipe.from?.id ?? recipe.id}`">{{ $t('Read it in the craft book') }}</router-link>
    </div>
    <ol class="cues">
      <li v-for="s in plan.stages" :key="s.id">
        <b>{{ $t(s.name) }}</b>
        <CuePair :pass="s.pass" :fail="s.fail" />
      </li>
    </ol>
  </div>
</template>
<style scoped>
.samples {
  list-style: none;
  padding: 0;
}
.samples li {
  display: grid;
  grid-template-columns: 150px 170px 1fr;
  gap: var(--s-3);
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.head {
  display: flex;
  gap: var(--s-5);
  align-items: baseline;
  margin-bottom: var(--s-1);
}
.ghost i {
  display: block;
  height: 58px;
  border-bottom: 1px solid var(--rule);
  background: linear-gradient(var(--board), var(--board)) 0 50% / 60% 14px no-repeat;
}
.wishes {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-5);
  align-items: end;
  margin-top: var(--s-3);
}
.wishes :deep(.v-btn) {
  padding: 0 var(--s-3);
  font-size: var(--t-small);
}
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s-3);
}
.gap {
  margin: var(--s-4) 0 var(--s-2);
}
.cues {
  list-style: none;
  padding: 0;
  display: grid;
  gap: var(--s-2);
}
.cues li {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: var(--s-3);
  border-bottom: 1px solid var(--rule);
  padding-bottom: var(--s-2);
}
@media (max-width: 760px) {
  .samples li,
  .cues li {
    grid-template-columns: 1fr;
  }
}
</style>
