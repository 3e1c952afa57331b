<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { blankMaterial, cautions, compareRecipes, recipeById, type MaterialUse, type Recipe } from '#core/recipe'
import { materialOf } from '#core/kit'
import { sayMinutes, stateWord } from '#core/phrases'
import type { Figure } from '#core/reasons'
import PieceToken from '../ui/PieceToken.vue'
import HandSign from '../ui/HandSign.vue'
import SourceMark from '../ui/SourceMark.vue'
import CuePair from './CuePair.vue'
import { swatchesOf } from './cueSwatch'
import StripExample from './StripExample.vue'
import StageDrawing from './StageDrawing.vue'

/** A method as a spread of two sheets: what it is, its stages with drawings and cues, materials, and where practitioners differ. */
const props = defineProps<{ recipe: Recipe }>()
const practice = computed(() => props.recipe.from && recipeById(props.recipe.from.id, props.recipe.from.version))
const differs = computed(() => (practice.value ? compareRecipes(practice.value, props.recipe) : []))
const told = (x: string | Figure | null) =>
  x === null ? 'nothing' : typeof x === 'string' ? x : `${x.value}${x.unit === 'count' ? '' : ` ${x.unit}`}`
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
const whites = { clear: 'clear', surface: tr('the surface'), white: 'white' }
const sittings = computed(() => (props.recipe.stages.some((s) => s.then?.cures) ? 'two' : 'one'))
const half = computed(() => Math.ceil(props.recipe.stages.length / 2))
const sheets = computed(() => [props.recipe.stages.slice(0, half.value), props.recipe.stages.slice(half.value)])
const hand = (ids: readonly (keyof typeof cautions)[]) => ids.map((c) => ({ where: tr(cautions[c].where), text: tr(cautions[c].text) }))
const wait = (s: Recipe['stages'][number]) => {
  if (!s.then || (!s.then.least.value && !s.then.most)) return ''
  const { least, most, cures } = s.then
  if (cures)
    return tr('{0} least, {1} recommended', sayMinutes(props.recipe.cure!.minimum.value), sayMinutes(props.recipe.cure!.recommended.value))
  if (most && least.value) return tr('{0} to {1} min', least.value, most.value)
  return most ? tr('within {0} min', most.value) : tr('{0} at least', sayMinutes(least.value))
}
const amount = (m: MaterialUse): [string, Figure | undefined] => {
  if (m.basis === 'area') return [tr('by area and coat'), m.held]
  if (m.basis === 'strips') return [tr('by strips'), undefined]
  if (m.basis === 'length') return [tr('{0} mm for each {1}', m.amount.value, m.per), m.amount]
  const n = m.amount.value === 1 ? '1' : String(m.amount.value)
  return [tr('{0} for each {1}', n, m.basis === 'person' && m.share && m.share.by !== 'each' ? m.share.by : m.basis), m.amount]
}
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
      <ol class="stages" :start="k * half + 1">
        <li v-for="(s, i) in part" :key="s.id" :id="s.id">
          <div class="strip">
            <PieceToken v-if="s.makes" :state="s.makes" :size="30" :label="stateWord(s.makes, recipe.words)" /><i
              v-else
              class="ring"
              aria-hidden="true"
            />
            <span class="small"
              ><b v-if="s.makes">{{ stateWord(s.makes, recipe.words) }}</b></span
            >
          </div>
          <div class="body">
            <h3>
              <small>{{ k * half + i + 1 }}</small> {{ $t(s.name) }}
              <HandSign v-if="s.cautions.length" />
            </h3>
            <p class="small two">
              {{ $t('{0}{1} min', s.attended ? '' : $t('a wait of '), s.minutes.value) }} <SourceMark :mark="s.minutes.mark" />{{
                s.station ? `, ${s.station}` : ''
              }}{{ s.optional ? $t(', only by choice') : '' }}
            </p>
            <CuePair :pass="s.pass" :fail="s.fail" :swatches="swatchesOf(s.id, recipe.from?.id ?? recipe.id)" />
            <StripExample v-if="s.id === 'tape'" />
            <p v-if="wait(s)" class="small lag">
              <b>{{ $t('then {0}', wait(s)) }}</b> <SourceMark :mark="(s.then!.most ?? s.then!.least).mark" /> {{ $t(s.then!.why) }}
            </p>
          </div>
          <StageDrawing :stage="s.id" :station="s.station" />
        </li>
      </ol>
      <template v-if="k === 0">
        <h2>{{ $t('Materials') }}</h2>
        <ul class="lines">
          <li v-for="m in recipe.materials" :key="m.material">
            <span
              ><b>{{ m.material === 'blank' ? $t('Blank') : $t(materialOf(m.material).name) }}</b>
              <span class="small two">{{ $t(m.note) }}</span></span
            ><span class="small"
              >{{ amount(m)[0] }} <SourceMark v-if="amount(m)[1]" :mark="amount(m)[1]!.mark" />{{
                m.optional ? $t(' by choice') : ''
              }}</span
            >
          </li>
        </ul>
        <h2>
          {{ $t('Stations') }} <span class="small two light">{{ $t('minutes a piece, one after another') }} <SourceMark mark="E" /></span>
        </h2>
        <ul class="stations">
          <li v-for="x in stations" :key="x.name">
            <b>{{ $t(x.name) }}</b><i
              :class="{ wait: x.waits }"
              :style="{ width: `${Math.max(2, (100 * x.minutes) / longest)}%` }"
            /><span>{{ $t('{0} min', x.minutes) }}</span>
          </li>
        </ul>
        <h2>{{ $t('Goes onto') }}</h2>
        <ul class="lines">
          <li v-for="(f, id) in recipe.surfaces" :key="id">
            <b>{{ $t(blankMaterial(id)?.name ?? id) }}</b><span class="small"
              >{{ f.fit }}: {{ $t(f.note) }} <SourceMark :mark="f.mark"
            /></span>
          </li>
        </ul>
      </template>
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
        <ul class="lines">
          <li v-for="f in recipe.faults" :key="f.seen">
            <b>{{ $t(f.seen) }}</b><span class="small">{{ $t('now: {0}; next time: {1}', f.now, f.next) }}</span>
          </li>
        </ul>
        <p>
          <router-link class="more" :to="{ path: '/clinic', query: { method: recipe.from?.id ?? recipe.id } }">{{
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
  gap: 6px;
}
.leaf {
  background: var(--stock);
  padding: 18px 24px 24px;
}
.top {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 20px;
  min-height: 150px;
}
.lead {
  margin-top: 6px;
}
.facts {
  display: grid;
  grid-template-columns: auto auto;
  gap: 0 12px;
  align-content: start;
}
.facts dt,
.facts dd {
  border-top: 1px solid var(--edge);
  padding: 5px 0;
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
  margin: 4px 0;
  columns: 2;
  column-gap: 20px;
}
.hands li {
  break-inside: avoid;
  margin-bottom: 4px;
}
.stages {
  list-style: none;
  padding: 0;
  margin: 10px 0 16px;
}
.stages li {
  display: grid;
  grid-template-columns: 84px 1fr 104px;
  gap: 10px;
  padding: 8px 0;
  scroll-margin-top: 20px;
  break-inside: avoid;
}
.strip {
  border-inline-start: 2px solid var(--ink);
  margin: -8px 0 -8px 15px;
  padding-top: 6px;
}
.strip > :first-child {
  margin-inline-start: -16px;
  background: var(--stock);
}
.strip span {
  display: block;
  padding-inline-start: 6px;
}
.ring {
  display: block;
  width: 12px;
  height: 12px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  margin-inline-start: -7px !important;
}
.body h3 small {
  font: var(--t-small) var(--f-text);
  color: var(--text-2);
}
.lag {
  margin-top: 3px;
}
h2 {
  margin: 14px 0 4px;
  border-top: 2px solid var(--text);
  padding-top: 8px;
}
.top h2 {
  border: 0;
  margin-top: 0;
  padding: 0;
}
.light {
  font: 400 var(--t-small) var(--f-text);
}
.stations {
  list-style: none;
  padding: 0;
  margin: 0;
}
.stations li {
  display: grid;
  grid-template-columns: 110px 1fr 70px;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
}
.stations i {
  height: 14px;
  background: var(--text-2);
}
.stations .wait {
  background: var(--stock);
  border: 1.5px solid var(--text-2);
}
.lines {
  list-style: none;
  padding: 0;
  margin: 0;
}
.lines li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  border-bottom: 1px solid var(--rule);
  padding: 5px 0;
}
.lines li > :last-child {
  text-align: end;
}
.school {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
  break-inside: avoid;
}
.school h3 {
  font-size: var(--t-text);
}
.school ul {
  padding-inline-start: 18px;
  margin: 2px 0;
}
.mine::marker {
  color: var(--ink);
}
.more {
  color: var(--text);
  font-weight: 700;
}
@media (max-width: 900px) {
  .spread,
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
  .stages li {
    grid-template-columns: 40px minmax(0, 1fr);
  }
  .strip span {
    display: none;
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
