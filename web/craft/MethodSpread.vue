<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { cautions, compareRecipes, recipeById, type Recipe } from '#core/recipe'
import type { Figure } from '#core/reasons'
import SourceMark from '../ui/SourceMark.vue'
import MethodStages from './MethodStages.vue'
import MethodThings from './MethodThings.vue'

/** A method as a spread of two sheets: what it is, its stages with drawings and cues, materials, and where practitioners differ. */
const props = defineProps<{ recipe: Recipe }>()
const practice = computed(() => props.recipe.from && recipeById(props.recipe.from.id, props.recipe.from.version))
const differs = computed(() => (practice.value ? compareRecipes(practice.value, props.recipe) : []))
const told = (x: string | Figure | null) =>
  x === null ? 'nothing' : typeof x === 'string' ? x : `${x.value}${x.unit === 'count' ? '' : ` ${x.unit}`}`
const whites = { clear: 'clear', surface: tr('the surface'), white: 'white' }
const sittings = computed(() => (props.recipe.stages.some((s) => s.then?.cures) ? 'two' : 'one'))
const half = computed(() => Math.ceil(props.recipe.stages.length / 2))
const sheets = computed(() => [props.recipe.stages.slice(0, half.value), props.recipe.stages.slice(half.value)])
const hand = (ids: readonly (keyof typeof cautions)[]) => ids.map((c) => ({ where: tr(cautions[c].where), text: tr(cautions[c].text) }))
</script>
<template>
  <div class="spread">
    <section v-for="(part, k) in sheets" :key="k" class="leaf">
      <template v-if="k === 0">
        <div class="top">
          <div>
            <h1>{{ $t(recipe.name) }}</h1>
            <p class="lead">{{ $t('{0} Looks: {1}.', recipe.summary, recipe.look) }}</p>
            <template v-if="differs.length">
              <p class="ink">
                <b>{{ $t('Differs from {0}, version {1}', practice!.name, recipe.version) }}</b> {{ recipe.note }}
              </p>
              <ul class="differs small">
                <li v-for="x in differs" :key="x.what">
                  {{ x.what }}: <b class="ink">{{ told(x.after) }}</b>{{ $t(', practice {0}', told(x.before)) }}
                </li>
              </ul>
            </template>
          </div>
          <dl class="facts">
            <dt>{{ $t('Sittings') }}</dt>
            <dd>{{ sittings }} <SourceMark mark="P" /></dd>
            <dt>{{ $t('Whites become') }}</dt>
            <dd>{{ whites[recipe.whites] }} <SourceMark mark="P" /></dd>
            <dt>{{ $t('Print') }}</dt>
            <dd>
              {{ recipe.print.ink === 'any' ? $t('any') : recipe.print.ink
              }}{{ recipe.print.laidFaceDown ? $t(', mirrored') : $t(', as it is') }}
              <SourceMark mark="P" />
            </dd>
            <dt>{{ $t('Forgives') }}</dt>
            <dd>{{ $t(recipe.forgives) }}</dd>
          </dl>
        </div>
      </template>
      <div v-else class="top">
        <div>
          <h2>{{ $t('Where the hands are') }}</h2>
          <ul class="hands">
            <li v-for="s in recipe.stages.filter((x) => x.cautions.length)" :key="s.id" class="small">
              <b>{{ $t(s.name) }}</b>
              {{
                hand(s.cautions)
                  .map((c) => `${c.where}: ${c.text}`)
                  .join('. ')
              }}
            </li>
          </ul>
          <p class="small two">{{ $t('Labels and the house’s rules go before this.') }}</p>
        </div>
      </div>
      <MethodStages :recipe="recipe" :stages="part" :first="k * half + 1" />
      <MethodThings v-if="k === 0" :recipe="recipe" />
      <template v-else>
        <h2>{{ $t('Where practitioners differ') }}</h2>
        <div v-for="s in recipe.schools" :key="s.id" class="school">
          <h3>{{ $t(s.question) }}</h3>
          <ul>
            <li v-for="o in s.options" :key="o.id" :class="{ mine: o.id === s.default }">
              <b>{{ $t(o.name) }}</b> {{ $t(o.believes) }}
              <span v-if="o.id === s.default" class="ink small">{{ $t('our default: {0}', s.why) }}</span>
            </li>
          </ul>
        </div>
        <h2>{{ $t('What goes wrong') }}</h2>
        <ul class="bare ledger">
          <li v-for="f in recipe.faults" :key="f.seen">
            <b>{{ $t(f.seen) }}</b><span class="small">{{ $t('now: {0}; next time: {1}', f.now, f.next) }}</span>
          </li>
        </ul>
        <p>
          <router-link class="named-link" :to="{ path: '/clinic', query: { method: recipe.from?.id ?? recipe.id } }">{{
            $t('To the clinic')
          }}</router-link>
        </p>
      </template>
    </section>
  </div>
</template>
<style scoped>
.spread {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-1);
}
.leaf {
  background: var(--stock);
  padding: var(--s-4) var(--s-5) var(--s-5);
}
.top {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-page);
  min-height: 150px;
}
.lead {
  margin-top: var(--s-1);
}
.facts {
  display: grid;
  grid-template-columns: auto auto;
  gap: 0 var(--s-3);
  align-content: start;
}
.facts dt,
.facts dd {
  border-top: 1px solid var(--edge);
  padding: var(--s-1) 0;
  margin: 0;
}
.facts dt {
  color: var(--text-2);
  font-size: var(--t-small);
}
.facts dd {
  font-weight: 700;
  text-align: end;
}
.hands {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0;
  columns: 2;
  column-gap: var(--s-page);
}
.hands li {
  break-inside: avoid;
  margin-bottom: var(--s-1);
}
h2 {
  margin: var(--s-3) 0 var(--s-1);
  border-top: 2px solid var(--text);
  padding-top: var(--s-2);
}
.top h2 {
  border: 0;
  margin-top: 0;
  padding: 0;
}
.school {
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
  break-inside: avoid;
}
.school h3 {
  font-size: var(--t-text);
}
.school ul {
  padding-inline-start: var(--s-4);
  margin: 2px 0;
}
.mine::marker {
  color: var(--ink);
}
@media (max-width: 900px) {
  .spread,
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
  .hands {
    columns: 1;
  }
}
@media print {
  .spread {
    display: block;
  }
}
</style>
