<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, watch } from 'vue'
import { recipesOf, type House } from '#core/house'
import { recipeCard } from '#core/phrases'
import { compareRecipes, recipeById, type Recipe } from '#core/recipe'
import { inZone } from '#core/time'
import { useDesk } from '../app/desk'
import { saveAs } from './saveAs'
import { useSwap } from './useSwap'
import ChoiceField from '../ui/ChoiceField.vue'

/** Two recipes, or two versions of one, beside each other, and what the second means for open plans. */
const props = defineProps<{ house: House }>()
const desk = useDesk()
const say = computed(() => desk.say(props.house))
const all = computed(() => recipesOf(props.house))
/** The newest twenty workshops of the house: what another recipe means is worked out for those that are open. */
const listed = computed(() => desk.summaries.filter((w) => w.houseId === props.house.id && !w.archivedAt).slice(-20))
watch(listed, (list) => desk.want(list.map((w) => w.id)), { immediate: true })
const openHere = computed(() => listed.value.flatMap((w) => desk.workshop(w.id) ?? []))

/** Two recipes, or two versions, beside each other; and what taking the second means for a plan. */
const keyOf = (r: Recipe) => `${r.id}@${r.version}`
const left = ref('')
const right = ref('')
const pick = (key: string) => recipeById(key.split('@')[0]!, Number(key.split('@')[1]), all.value)
const pair = computed(() => {
  const [a, b] = [pick(left.value), pick(right.value)]
  return a && b ? { a, b, rows: compareRecipes(a, b) } : undefined
})
const { swapped, problem: swapProblem } = useSwap(
  computed(() => pair.value && { ...pair.value, house: props.house, now: inZone(desk.now, props.house.timeZone) }),
  openHere,
)
const planned = computed(() =>
  swapped.value.map((x) => ({
    title: x.workshop.title,
    lines: x.differences.slice(0, 5).map((d) => `${nameOf(d.key)} ${say.value.difference(d)}`),
  })),
)
const nameOf = (key: string) =>
  key.startsWith('session/')
    ? 'class'
    : key.startsWith('packs/')
      ? key.slice(6).replace(/-/g, ' ')
      : ({ 'cost-bought': tr('a head'), earliest: tr('first rub'), recommended: tr('better from'), adults: 'adults' }[key] ?? key)
const sayFigure = (x: string | { value: number; unit: string; mark: string } | null) =>
  x === null ? '–' : typeof x === 'string' ? x : `${x.value} ${x.unit === 'count' ? '' : x.unit} (${x.mark})`

const card = (r: Recipe) => saveAs(`${r.id}-v${r.version}.md`, recipeCard(r), 'text/markdown')
const choices = computed(() => [
  { id: '', name: tr('choose') },
  ...all.value.map((r) => ({ id: keyOf(r), name: tr('{0}, version {1}', r.name, r.version) })),
])
</script>
<template>
  <section class="part">
    <h2>{{ $t('Beside each other') }}</h2>
    <div class="tools">
      <ChoiceField v-model="left" :label="$t('This recipe')" :options="choices" /><ChoiceField
        v-model="right"
        :label="$t('The other recipe')"
        :options="choices"
      />
      <v-btn v-if="pair" @click="card(pair.b)">{{ $t('Card of the second') }}</v-btn>
    </div>
    <template v-if="pair">
      <p v-if="pair.rows.length === 0">{{ $t('They are the same.') }}</p>
      <table v-else class="compare whole">
        <thead>
          <tr>
            <th />
            <th>{{ $t(pair.a.name) }} {{ pair.a.version }}</th>
            <th>{{ $t(pair.b.name) }} {{ pair.b.version }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in pair.rows" :key="r.what">
            <th>{{ r.what }}</th>
            <td>{{ sayFigure(r.before) }}</td>
            <td class="ink">{{ sayFigure(r.after) }}</td>
          </tr>
        </tbody>
      </table>
      <h3 class="gap">{{ $t('What the second means for open plans') }}</h3>
      <p v-if="swapProblem" role="alert" class="stop">{{ $t('{0} Choose one of the two again.', swapProblem) }}</p>
      <p v-else-if="planned.length === 0" class="two">{{ $t('No open plan is on a surface that it takes.') }}</p>
      <p v-for="p in planned" :key="p.title">
        <b>{{ $t(p.title) }}</b> {{ p.lines.join('; ') || $t('nothing that is counted') }}.
      </p>
    </template>
  </section>
</template>
<style scoped>
section {
  margin-top: var(--s-page);
}
.compare th,
.compare td {
  text-align: start;
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) var(--s-3) var(--s-1) 0;
  vertical-align: top;
}
.gap {
  margin-top: var(--s-2);
}
</style>
