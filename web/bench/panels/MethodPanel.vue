<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import type { Row } from '#core/finder'
import { recipeById, roomStations, type Option, type School, type Whites } from '#core/recipe'
import { recipesOf } from '#core/house'
import { allowed, change, inWorkshop } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import SourceMark from '../../ui/SourceMark.vue'
import CuePair from '../../craft/CuePair.vue'
import FinderRows from '../../method/FinderRows.vue'
import { useFinder } from '../useFinder'
import type { Bench } from '../useBench'

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
const choose = (s: School, o: string) => props.bench.set(at.value.choices(s.id), o, tr('{0} became {1}', s.question.toLowerCase(), o))
const chosen = (s: School) => plan.value.chosen.find((c) => c.school.id === s.id)!
const allSchools = ref(false)
const schools = computed(() => (allSchools.value ? recipe.value.schools : recipe.value.schools.slice(0, 6)))
const allow = computed(() => allowed(w.value))
const may = (h: 'heat' | 'spray' | 'blade', on: boolean) =>
  props.bench.set(inWorkshop.choices.allow, { ...allow.value, [h]: on }, tr('{0} is {1}', h, on ? tr('allowed') : tr('not allowed')))
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
const wish = (x: Whites | 'any') => props.bench.set(at.value.whites, x === 'any' ? null : x, tr('whites wanted: {0}', x))
/** What another option would change, before it is chosen. */
const effects = computed(() =>
  Object.fromEntries(
    schools.value.map((s) => [
      s.id,
      s.options
        .filter((o) => o.id !== chosen(s).option.id)
        .map((o) => say1(s, o))
        .filter(Boolean)
        .slice(0, 2)
        .join('; '),
    ]),
  ),
)
/** Steps that an option puts in or takes out, against what is chosen now. */
function stepsOf(o: Option, s: School): string {
  const named = (kind: 'include-stage' | 'exclude-stage', of: Option) =>
    of.effects.flatMap((e) => (e.kind === kind ? [tr(recipe.value.stages.find((x) => x.id === e.stage)?.name.toLowerCase() ?? '')] : []))
  const now = chosen(s).option
  const more = [...named('include-stage', o), ...named('exclude-stage', now)].filter((x) => !named('include-stage', now).includes(x))
  const fewer = [...named('exclude-stage', o), ...named('include-stage', now)].filter((x) => !named('include-stage', o).includes(x))
  return [more.length && `+ ${more.join(', ')}`, fewer.length && tr('without {0}', fewer.join(', '))].filter(Boolean).join('; ')
}
function say1(s: School, o: Option): string {
  const e = props.bench.effect({ changes: [change(w.value, at.value.choices(s.id), o.id)] })
  const steps = stepsOf(o, s)
  return e || steps ? `${tr(o.name)}: ${[steps, e].filter(Boolean).join(', ')}` : ''
}
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
      <SegmentChoice
        :label="$t('Whites should be')"
        :model-value="d.whites ?? 'any'"
        :options="[
          { id: 'any', name: $t('any') },
          { id: 'white', name: $t('white') },
          { id: 'surface', name: $t('surface') },
          { id: 'clear', name: $t('clear') },
        ]"
        @update:model-value="wish"
      />
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
    <div class="between">
      <h3 class="gap">
        {{ $t('{0}, your way', recipe.name) }} <span class="two small light">{{ $t('where practitioners differ') }}</span>
      </h3>
      <button v-if="recipe.schools.length > 6" type="button" class="plain more" @click="allSchools = !allSchools">
        {{ allSchools ? $t('fewer') : $t('{0} more', recipe.schools.length - 6) }}
      </button>
    </div>
    <div class="schools">
      <div v-for="s in schools" :key="s.id">
        <SegmentChoice
          :label="$t(s.question)"
          :model-value="chosen(s).option.id"
          :options="s.options"
          @update:model-value="choose(s, $event)"
        />
        <p class="small two">
          {{ $t(chosen(s).by === 'default' && chosen(s).option.id === s.default ? s.why : chosen(s).option.believes) }}
          <span v-if="chosen(s).by !== 'plan'">({{ chosen(s).by === 'house' ? $t('the house’s way') : $t('our default') }})</span>
        </p>
        <p v-if="effects[s.id]" class="small ink">{{ effects[s.id] }}</p>
      </div>
    </div>
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
    <div class="between">
      <h3 class="gap">{{ $t('How you know') }}</h3>
      <router-link class="more" :to="`/craft/${recipe.from?.id ?? recipe.id}`">{{ $t('Read it in the craft book') }}</router-link>
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
.stations {
  border: 0;
  padding: 0;
  margin: 10px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
}
.stations legend {
  padding: 0;
}
.stations .field {
  width: 52px;
  margin-inline-end: 4px;
}

.samples {
  list-style: none;
  padding: 0;
}
.samples li {
  display: grid;
  grid-template-columns: 150px 170px 1fr;
  gap: 12px;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
  margin-bottom: 6px;
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
  gap: 8px 24px;
  align-items: end;
  margin-top: 12px;
}
.wishes :deep(.v-btn) {
  padding: 0 11px;
  font-size: var(--t-small);
}
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.between {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.more {
  color: var(--text);
  font-weight: 700;
  font-size: var(--t-list);
  border-bottom: 1.5px solid var(--text);
  min-height: 26px;
  text-decoration: none;
}
.gap {
  margin: 18px 0 8px;
}
.light {
  font: 400 var(--t-small) var(--f-text);
}
.schools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px 20px;
}
.schools :deep(.v-btn) {
  padding: 0 11px;
  font-size: var(--t-small);
}
.cues {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 8px;
}
.cues li {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 12px;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 8px;
}
@media (max-width: 760px) {
  .schools,
  .samples li,
  .cues li {
    grid-template-columns: 1fr;
  }
}
</style>
