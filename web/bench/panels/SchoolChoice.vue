<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import type { Option, Recipe, School } from '#core/recipe'
import { change, inWorkshop } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import type { Bench } from '../useBench'

/** Where practitioners differ: this plan's way, and what another would change. What is felt most stands first. */
const props = defineProps<{ bench: Bench; recipe: Recipe }>()
const plan = computed(() => props.bench.plan.value!)
const w = computed(() => props.bench.workshop.value!)
const at = computed(() => inWorkshop.designs(props.bench.design.value!.id))
const choose = (s: School, o: string) => props.bench.set(at.value.choices(s.id), o, tr('{0} became {1}', s.question.toLowerCase(), o))
const chosen = (s: School) => plan.value.chosen.find((c) => c.school.id === s.id)!
const allSchools = ref(false)
const first = ['rounds', 'top-coat', 'coats', 'ground', 'thickness', 'wait']
const rank = (s: School) => (first.includes(s.id) ? first.indexOf(s.id) : first.length)
const ordered = computed(() => [...props.recipe.schools].sort((a, b) => rank(a) - rank(b)))
const schools = computed(() => (allSchools.value ? ordered.value : ordered.value.slice(0, 6)))
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
    of.effects.flatMap((e) => (e.kind === kind ? [tr(props.recipe.stages.find((x) => x.id === e.stage)?.name.toLowerCase() ?? '')] : []))
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
const whyOf = (s: School) => {
  const { by, option } = chosen(s)
  return by === 'default' && option.id === s.default ? s.why : option.believes
}
</script>
<template>
  <div>
    <div class="apart">
      <h3 class="gap">
        {{ $t('{0}, your way', recipe.name) }} <span class="two small light">{{ $t('where practitioners differ') }}</span>
      </h3>
      <button v-if="recipe.schools.length > 6" type="button" class="plain further" @click="allSchools = !allSchools">
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
          {{ $t(whyOf(s)) }}
          <span v-if="chosen(s).by !== 'plan'">({{ chosen(s).by === 'house' ? $t('the house’s way') : $t('our default') }})</span>
        </p>
        <p v-if="effects[s.id]" class="small ink">{{ effects[s.id] }}</p>
      </div>
    </div>
  </div>
</template>
<style scoped>
.gap {
  margin: var(--s-4) 0 var(--s-2);
}
.schools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-4) var(--s-page);
}
.schools :deep(.v-btn) {
  padding: 0 var(--s-3);
  font-size: var(--t-small);
}
@media (max-width: 760px) {
  .schools {
    grid-template-columns: 1fr;
  }
}
</style>
