<script setup lang="ts">
import { computed, ref } from 'vue'
import ChoiceField from '../ui/ChoiceField.vue'
import ChangeMark from './ChangeMark.vue'
import type { RecipeDraft } from './useRecipeDraft'

/** Steps of the house's own, each after one that may be followed, with its cues. */
const props = defineProps<{ of: RecipeDraft }>()
const { base } = props.of
const stages = computed(() => base.value!.stages)
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
</script>
<template>
  <div>
    <ul v-if="of.steps.value.length" class="bare steps" :aria-label="$t('Steps of our own')">
      <li v-for="s in of.steps.value" :key="s.id">
        <b>{{ $t(s.name) }}</b><span class="small two">{{
          $t('after {0}, {1}{2} min', stageName(s.after).toLowerCase(), s.attended ? '' : $t('a wait of '), s.minutes)
        }}</span>
        <span class="small"
          >{{ $t(s.pass) }} <span class="two">{{ $t('Not: {0}', s.fail) }}</span></span
        ><ChangeMark differs practice="no such step" /><v-btn @click="of.takeStepOut(s.id)">{{ $t('Take out') }}</v-btn>
      </li>
    </ul>
    <form class="tools" @submit.prevent="addStep">
      <label
        ><span class="label">{{ $t('One step more') }}</span
        ><input v-model="step.name" class="field" maxlength="60" :placeholder="$t('Warm the board')"
      /></label>
      <ChoiceField v-model="step.after" :label="$t('after')" :options="mayFollow.map((s) => ({ id: s.id, name: $t(s.name) }))" />
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
  </div>
</template>
<style scoped src="./editor.css"></style>
