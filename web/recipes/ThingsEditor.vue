<script setup lang="ts">
import { computed, ref } from 'vue'
import { materialOf } from '#core/kit'
import type { Figure } from '#core/reasons'
import type { Recipe } from '#core/recipe'
import ChoiceField from '../ui/ChoiceField.vue'
import ChangeMark from './ChangeMark.vue'
import { editing } from './editing'
import type { RecipeDraft } from './useRecipeDraft'

/** What a recipe uses beside what its method uses, and things of the house's own. */
const props = defineProps<{ of: RecipeDraft }>()
const { base } = props.of
const stages = computed(() => base.value!.stages)
const { figureAt, textAt, setFigure } = editing(props.of)
const amounts = computed(() => base.value!.materials.filter((m) => 'amount' in m) as (Recipe['materials'][number] & { amount: Figure })[])
const thing = ref({ material: '', note: '', basis: 'person' as const, amount: 1, stage: '' })
const bases = ['person', 'table', 'room', 'blank'] as const
function addThing() {
  if (!thing.value.material.trim()) return
  props.of.add({ ...thing.value, material: thing.value.material.trim(), stage: thing.value.stage || stages.value[0]!.id })
  thing.value = { material: '', note: '', basis: 'person', amount: 1, stage: '' }
}
const value = (e: Event) => (e.target as HTMLInputElement).value
</script>
<template>
  <div>
    <h3 class="gap">{{ $t('Things') }}</h3>
    <ul class="bare things">
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
    <form class="tools" @submit.prevent="addThing">
      <label
        ><span class="label">{{ $t('One thing more') }}</span
        ><input v-model="thing.material" class="field" maxlength="60" :placeholder="$t('soft roller')"
      /></label>
      <label
        ><span class="label">{{ $t('how many') }}</span
        ><input v-model.number="thing.amount" class="field num" type="number" min="0" max="1000" step="any"
      /></label>
      <ChoiceField v-model="thing.basis" :label="$t('for each')" :options="bases.map((b) => ({ id: b, name: $t(b) }))" />
      <ChoiceField
        :label="$t('used at')"
        :model-value="thing.stage || stages[0]!.id"
        :options="stages.map((s) => ({ id: s.id, name: $t(s.name) }))"
        @update:model-value="thing.stage = $event"
      />
      <v-btn type="submit">{{ $t('Add it') }}</v-btn>
    </form>
  </div>
</template>
<style scoped src="./editor.css"></style>
