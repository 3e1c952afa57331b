<script setup lang="ts">
import { computed } from 'vue'
import { pieceStates, recipes, type Option, type Recipe, type School } from '#core/recipe'
import { sittingsOf } from '#core/sessions'
import { resolveRecipe, blankSurface } from '#core/recipe'
import type { Plan } from '#core/plan'
import PieceToken from '../../ui/PieceToken.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SourceMark from '../../ui/SourceMark.vue'
import VerdictShape from '../../ui/VerdictShape.vue'
import { stateWord } from '#core/phrases'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const w = computed(() => props.bench.workshop.value!)
const d = computed(() => w.value.designs[0]!)
const path = (f: string) => `designs/${d.value.id}/${f}`
const recipe = computed(() => recipes.find((r) => r.id === plan.value.recipe.id)!)

const change = (r: Recipe) => [{ path: path('recipe'), before: d.value.recipe, after: { id: r.id, version: r.version } }]
/** Each method under this plan: possible, with one reason for or against. */
const rows = computed(() =>
  recipes.map((r) => {
    const p: Plan = r.id === plan.value.recipe.id ? plan.value : props.bench.tried(change(r))!
    const stop = p.findings.find((f) => f.level === 'stop')
    const look = p.findings.find((f) => f.level === 'look')
    const nights = r.stages.some((s) => s.then?.cures)
    return {
      recipe: r,
      chosen: r.id === plan.value.recipe.id,
      state: stop ? ('stop' as const) : look ? ('look' as const) : ('settled' as const),
      verdict: stop ? 'Not possible' : look ? 'Possible, look' : 'Possible',
      reason: stop ? say.value.finding(stop).title : look ? say.value.finding(look).title : r.summary,
      states: pieceStates.filter((s) => r.stages.some((x) => x.makes === s || x.then?.makes === s)),
      nights,
      sittings: sittingsOf(resolveRecipe(r, {}, {}, blankSurface(d.value.material))).length,
      minutes: p.split.loads.map((l) => l.neededMin),
      cost: p.figures['cost-bought']!,
    }
  }),
)
const take = (r: Recipe) => props.bench.act('method', `${recipe.value.name.toLowerCase()} became ${r.name.toLowerCase()}`, change(r))
const choose = (s: School, o: string) => props.bench.set(path(`choices/${s.id}`), o, `${s.question.toLowerCase()} became ${o}`)
const chosen = (s: School) => plan.value.chosen.find((c) => c.school.id === s.id)!
/** What another option would change, before it is chosen. */
const effects = computed(() =>
  Object.fromEntries(
    recipe.value.schools.map((s) => [
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
function say1(s: School, o: Option): string {
  const e = props.bench.effect({
    code: 'choose',
    values: {},
    changes: [{ path: path(`choices/${s.id}`), before: d.value.choices[s.id] ?? null, after: o.id }],
  })
  return e ? `${o.name}: ${e}` : ''
}
</script>
<template>
  <div>
    <div class="head">
      <h1>Method</h1>
      <p class="two small">Minutes and costs are estimates <SourceMark mark="E" /></p>
    </div>
    <hr class="rule" />
    <div role="radiogroup" aria-label="Method">
      <button
        v-for="r in rows"
        :key="r.recipe.id"
        type="button"
        role="radio"
        :aria-checked="r.chosen"
        class="plain row"
        :class="{ on: r.chosen }"
        @click="!r.chosen && take(r.recipe)"
      >
        <span class="name">{{ r.recipe.name }}</span>
        <span class="verdict" :class="{ settled: 'ok', look: 'watch', stop: 'stop' }[r.state]"
          ><VerdictShape :state="r.state" :size="18" /> <b>{{ r.verdict }}{{ r.chosen ? ', chosen' : '' }}.</b>
          <span class="two">{{ r.reason }}</span></span
        >
        <span class="tokens"
          ><template v-for="(s, i) in r.states" :key="s"
            ><i v-if="i" class="join" :class="{ night: r.nights && s === 'cured' }" /><PieceToken
              :state="s"
              :size="24"
              :label="stateWord(s, r.recipe.words)" /></template
        ></span>
        <span class="facts small"
          ><b>{{ r.sittings === 1 ? 'one sitting' : `${r.sittings} sittings` }}</b> · {{ r.minutes.join(' + ') || '–' }} min · whites become
          {{ r.recipe.whites === 'surface' ? 'the surface' : r.recipe.whites }} · forgives {{ r.recipe.forgives }} ·
          {{ say.amount(r.cost.value, r.cost.unit) }}</span
        >
      </button>
    </div>
    <h3 class="gap">{{ recipe.name }}, your way <span class="two small light">where practitioners differ</span></h3>
    <div class="schools">
      <div v-for="s in recipe.schools" :key="s.id">
        <SegmentChoice
          :label="s.question"
          :model-value="chosen(s).option.id"
          :options="s.options"
          @update:model-value="choose(s, $event)"
        />
        <p class="small two">
          {{ chosen(s).option.believes }}
          <span v-if="chosen(s).by !== 'plan'">({{ chosen(s).by === 'house' ? 'the house’s way' : `default: ${s.why}` }})</span>
        </p>
        <p v-if="effects[s.id]" class="small ink">{{ effects[s.id] }}</p>
      </div>
    </div>
    <h3 class="gap">How you know</h3>
    <table class="small">
      <thead>
        <tr>
          <th>stage</th>
          <th>it is right when</th>
          <th>it is wrong when</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in plan.stages" :key="s.id">
          <th>{{ s.name }}</th>
          <td>{{ s.pass }}</td>
          <td>{{ s.fail }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
<style scoped>
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
  margin-bottom: 6px;
}
.row {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 4px 12px;
  padding: 9px 10px;
  width: calc(100% + 20px);
  margin: 0 -10px;
  border-bottom: 1px solid var(--rule);
  align-items: center;
}
.row:hover {
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.on {
  background: var(--wash);
  border-left: 4px solid var(--ink);
  padding-left: 6px;
}
.row:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.name {
  font: 750 20px var(--f-head);
}
.verdict {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.tokens {
  display: flex;
  align-items: center;
}
.join {
  width: 8px;
  height: 2px;
  background: var(--ink);
}
.night {
  height: 24px;
  width: 2.5px;
  background: var(--text);
  margin: 0 3px;
}
.gap {
  margin: 18px 0 8px;
}
.light {
  font: 400 14px var(--f-text);
}
.schools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px 20px;
}
.schools :deep(.v-btn) {
  padding: 0 11px;
  font-size: 14px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
}
td,
th {
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
@media (max-width: 760px) {
  .row,
  .schools {
    grid-template-columns: 1fr;
  }
}
</style>
