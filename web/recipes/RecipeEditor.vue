<script setup lang="ts">
import { computed, ref } from 'vue'
import { materialOf } from '#core/kit'
import type { Figure } from '#core/reasons'
import type { Recipe } from '#core/recipe'
import ChangeMark from './ChangeMark.vue'
import type { RecipeDraft } from './useRecipeDraft'

/** A method's stages, times, cues and things beside what this house does: what differs is marked, and the practice's own value
 *  stands beside it. */
const props = defineProps<{ of: RecipeDraft }>()
const { base } = props.of
const stages = computed(() => base.value!.stages)
const figureAt = (path: string, practice: Figure) => {
  const e = props.of.at(path)
  return e && 'figure' in e ? e.figure : practice.value
}
const textAt = (path: string, practice: string) => {
  const e = props.of.at(path)
  return e && 'text' in e ? e.text : practice
}
function setFigure(path: string, raw: string, practice: Figure) {
  const n = Number(raw.replace(',', '.'))
  if (raw.trim() !== '' && Number.isFinite(n) && n >= 0) props.of.set(path, n, practice.value)
}
const amounts = computed(() => base.value!.materials.filter((m) => 'amount' in m) as (Recipe['materials'][number] & { amount: Figure })[])
const thing = ref({ material: '', note: '', basis: 'person' as const, amount: 1, stage: '' })
const bases = ['person', 'table', 'room', 'blank'] as const
function addThing() {
  if (!thing.value.material.trim()) return
  props.of.add({ ...thing.value, material: thing.value.material.trim(), stage: thing.value.stage || stages.value[0]!.id })
  thing.value = { material: '', note: '', basis: 'person', amount: 1, stage: '' }
}
/** Steps that nothing may follow but the next one: a coat is drying. */
const mayFollow = computed(() => stages.value.filter((s) => !s.then?.race && !props.of.dropped(`stages/${s.id}`)))
const emptyStep = { name: '', after: mayFollow.value[0]?.id ?? '', minutes: 5, hands: true, pass: '', fail: '' }
const step = ref({ ...emptyStep })
const stepReady = computed(() => step.value.name.trim() && step.value.pass.trim() && step.value.fail.trim())
function addStep() {
  const { name, after, minutes, hands, pass, fail } = step.value
  if (!stepReady.value) return
  const taken = (id: string) => [...stages.value, ...props.of.steps.value].some((s) => s.id === id)
  const plain = `own-${name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40)}`
  const id = taken(plain) ? `${plain}-${props.of.steps.value.length + 2}` : plain
  props.of.addStep({
    id,
    name: name.trim(),
    after,
    minutes,
    attended: hands,
    pass: pass.trim(),
    fail: fail.trim(),
  })
  step.value = { ...emptyStep }
}
const stageName = (id: string) => [...stages.value, ...props.of.steps.value].find((s) => s.id === id)?.name ?? id
const cures = computed(() => (base.value!.cure ? (['minimum', 'recommended'] as const) : []))
const value = (e: Event) => (e.target as HTMLInputElement).value
</script>
<template>
  <div>
    <section v-if="cures.length">
      <h3>{{ $t('Wait before rubbing, minutes') }}</h3>
      <div class="cure">
        <label v-for="c in cures" :key="c"
          ><span class="label">{{ c === 'minimum' ? $t('at least') : $t('recommended') }}</span
          ><input
            class="field num"
            inputmode="decimal"
            :aria-label="$t('Wait before rubbing: {0}', c === 'minimum' ? $t('at least') : $t('recommended'))"
            :value="figureAt(`cure/${c}`, base!.cure![c])"
            @change="setFigure(`cure/${c}`, value($event), base!.cure![c])" /><ChangeMark
            :differs="figureAt(`cure/${c}`, base!.cure![c]) !== base!.cure![c].value"
            :practice="`${base!.cure![c].value} min`"
        /></label>
      </div>
    </section>
    <h3 class="gap">{{ $t('Stages') }}</h3>
    <ol class="stages">
      <li v-for="s in stages" :key="s.id" :class="{ gone: of.dropped(`stages/${s.id}`) }">
        <div class="head">
          <input
            class="field named"
            maxlength="60"
            :aria-label="$t('Name of {0}', s.name)"
            :value="textAt(`stages/${s.id}/name`, s.name)"
            @change="value($event).trim() && of.set(`stages/${s.id}/name`, value($event).trim(), s.name)"
          /><ChangeMark :differs="textAt(`stages/${s.id}/name`, s.name) !== s.name" :practice="s.name" />
          <v-checkbox
            v-if="!s.makes && !s.then?.makes"
            :model-value="!of.dropped(`stages/${s.id}`)"
            :label="$t('we do it')"
            @update:model-value="of.drop(`stages/${s.id}`, !$event)"
          /><span v-else class="small two">{{ $t('makes the piece what it is') }}</span>
        </div>
        <template v-if="!of.dropped(`stages/${s.id}`)">
          <label
            ><span class="label">{{ $t('minutes') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: minutes', s.name)"
              :value="figureAt(`stages/${s.id}/minutes`, s.minutes)"
              @change="setFigure(`stages/${s.id}/minutes`, value($event), s.minutes)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/minutes`, s.minutes) !== s.minutes.value"
              :practice="`${s.minutes.value}`"
          /></label>
          <label v-if="s.then && !s.then.cures && s.then.least.value > 0"
            ><span class="label">{{ $t('then at least') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: then at least', s.name)"
              :value="figureAt(`stages/${s.id}/then/least`, s.then.least)"
              @change="setFigure(`stages/${s.id}/then/least`, value($event), s.then.least)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/then/least`, s.then.least) !== s.then.least.value"
              :practice="`${s.then.least.value}`"
          /></label>
          <label v-if="s.then?.most"
            ><span class="label">{{ $t('then within') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: then within', s.name)"
              :value="figureAt(`stages/${s.id}/then/most`, s.then.most)"
              @change="setFigure(`stages/${s.id}/then/most`, value($event), s.then.most)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/then/most`, s.then.most) !== s.then.most.value"
              :practice="`${s.then.most.value}`"
          /></label>
          <label v-for="cue in ['pass', 'fail'] as const" :key="cue" class="wide"
            ><span class="label">{{ cue === 'pass' ? $t('right when') : $t('wrong when') }}</span
            ><textarea
              class="field"
              rows="2"
              maxlength="300"
              :aria-label="`${s.name}: ${cue === 'pass' ? $t('right when') : $t('wrong when')}`"
              :value="textAt(`stages/${s.id}/${cue}`, s[cue])"
              @change="value($event).trim() && of.set(`stages/${s.id}/${cue}`, value($event).trim(), s[cue])" /><ChangeMark
              :differs="textAt(`stages/${s.id}/${cue}`, s[cue]) !== s[cue]"
              :practice="s[cue]"
          /></label>
        </template>
      </li>
    </ol>
    <ul v-if="of.steps.value.length" class="steps" :aria-label="$t('Steps of our own')">
      <li v-for="s in of.steps.value" :key="s.id">
        <b>{{ $t(s.name) }}</b><span class="small two">{{
          $t('after {0}, {1}{2} min', stageName(s.after).toLowerCase(), s.attended ? '' : $t('a wait of '), s.minutes)
        }}</span>
        <span class="small"
          >{{ $t(s.pass) }} <span class="two">{{ $t('Not: {0}', s.fail) }}</span></span
        ><ChangeMark differs practice="no such step" /><v-btn @click="of.takeStepOut(s.id)">{{ $t('Take out') }}</v-btn>
      </li>
    </ul>
    <form class="more" @submit.prevent="addStep">
      <label
        ><span class="label">{{ $t('One step more') }}</span
        ><input v-model="step.name" class="field" maxlength="60" :placeholder="$t('Warm the board')"
      /></label>
      <label
        ><span class="label">{{ $t('after') }}</span
        ><select v-model="step.after" class="field">
          <option v-for="s in mayFollow" :key="s.id" :value="s.id">{{ $t(s.name) }}</option>
        </select></label
      >
      <label
        ><span class="label">{{ $t('minutes') }}</span
        ><input v-model.number="step.minutes" class="field num" type="number" min="0" max="1440" step="any"
      /></label>
      <v-checkbox v-model="step.hands" :label="$t('hands at it')" />
      <label class="cue"
        ><span class="label">{{ $t('right when') }}</span
        ><input v-model="step.pass" class="field" maxlength="300"
      /></label>
      <label class="cue"
        ><span class="label">{{ $t('wrong when') }}</span
        ><input v-model="step.fail" class="field" maxlength="300"
      /></label>
      <v-btn type="submit" :disabled="!stepReady">{{ $t('Add the step') }}</v-btn>
      <span v-if="step.name && !stepReady" class="small two">{{ $t('Say how a hand knows that it is right, and that it is wrong.') }}</span>
    </form>
    <h3 class="gap">{{ $t('Things') }}</h3>
    <ul class="things">
      <li v-for="m in amounts" :key="m.material" :class="{ gone: of.dropped(`materials/${m.material}`) }">
        <b>{{ m.material === 'blank' ? $t('Blank') : $t(materialOf(m.material).name) }}</b>
        <label
          ><span class="sr">{{ $t('how many {0}', materialOf(m.material).name) }}</span
          ><input
            class="field num"
            inputmode="decimal"
            :disabled="of.dropped(`materials/${m.material}`)"
            :value="figureAt(`materials/${m.material}/amount`, m.amount)"
            @change="setFigure(`materials/${m.material}/amount`, value($event), m.amount)" /></label
        ><input
          class="field"
          maxlength="80"
          :aria-label="$t('Note on {0}', materialOf(m.material).name)"
          :value="textAt(`materials/${m.material}/note`, m.note)"
          @change="of.set(`materials/${m.material}/note`, value($event).trim() || m.note, m.note)"
        /><span class="small two">{{ $t('{0}for each {1}', m.amount.unit === 'mm' ? $t('mm ') : '', 'per' in m ? m.per : m.basis) }}</span>
        <ChangeMark :differs="figureAt(`materials/${m.material}/amount`, m.amount) !== m.amount.value" :practice="`${m.amount.value}`" />
        <v-checkbox
          :model-value="!of.dropped(`materials/${m.material}`)"
          :label="$t('we use it')"
          @update:model-value="of.drop(`materials/${m.material}`, !$event)"
        />
      </li>
      <li v-for="a in of.added.value" :key="a.material">
        <b>{{ a.material }}</b><span>{{ a.amount }}</span
        ><span class="small two">{{ $t('for each {0}', a.basis) }}</span
        ><ChangeMark differs practice="not used" /><v-btn @click="of.takeOut(a.material)">{{ $t('Take out') }}</v-btn>
      </li>
    </ul>
    <form class="more" @submit.prevent="addThing">
      <label
        ><span class="label">{{ $t('One thing more') }}</span
        ><input v-model="thing.material" class="field" maxlength="60" :placeholder="$t('soft roller')"
      /></label>
      <label
        ><span class="label">{{ $t('how many') }}</span
        ><input v-model.number="thing.amount" class="field num" type="number" min="0" max="1000" step="any"
      /></label>
      <label
        ><span class="label">{{ $t('for each') }}</span
        ><select v-model="thing.basis" class="field">
          <option v-for="b in bases" :key="b">{{ b }}</option>
        </select></label
      >
      <label
        ><span class="label">{{ $t('used at') }}</span
        ><select v-model="thing.stage" class="field">
          <option v-for="s in stages" :key="s.id" :value="s.id">{{ $t(s.name) }}</option>
        </select></label
      >
      <v-btn type="submit">{{ $t('Add it') }}</v-btn>
    </form>
  </div>
</template>
<style scoped>
.gap {
  border-top: 2px solid var(--text);
  margin-top: 16px;
  padding-top: 8px;
}
.cure {
  display: flex;
  gap: 20px;
}
.named {
  width: 100%;
  font-weight: 700;
}
.num {
  width: 84px;
}
ol,
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.stages li {
  display: grid;
  grid-template-columns: 200px 100px 100px 1fr 1fr;
  gap: 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
  align-items: start;
}
.stages .head {
  line-height: 1.2;
}
.wide {
  grid-column: span 1;
}
.stages li label:nth-of-type(1) {
  grid-column: 2;
}
.stages .wide:nth-last-of-type(2) {
  grid-column: 4;
}
.stages .wide:nth-last-of-type(1) {
  grid-column: 5;
}
textarea.field {
  width: 100%;
  padding: 6px 10px;
  line-height: 1.25;
  font-size: var(--t-small);
}
.gone > b,
.gone .named {
  text-decoration: line-through;
  color: var(--text-2);
}
.things li {
  display: grid;
  grid-template-columns: 180px 90px minmax(120px, 1fr) 110px 130px auto;
  gap: 10px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  min-height: 52px;
}
.steps li {
  display: grid;
  grid-template-columns: 180px 200px 1fr 130px auto;
  gap: 10px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  min-height: 52px;
}
.cue {
  flex: 1 1 200px;
}
.cue input {
  width: 100%;
}
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-top: 10px;
}
@media (max-width: 900px) {
  .stages li,
  .steps li,
  .things li {
    grid-template-columns: 1fr 1fr;
  }
  .stages li > * {
    grid-column: auto !important;
  }
  .head,
  .wide {
    grid-column: 1 / -1 !important;
  }
}
</style>
