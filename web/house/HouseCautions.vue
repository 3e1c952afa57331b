<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { ref } from 'vue'
import type { HouseCaution } from '#core/house'
import { recipes } from '#core/recipe'
import ChoiceField from '../ui/ChoiceField.vue'

/** The house's own cautions: at a stage, or at all. They stand beside the craft's on bench, sheets and the room's sheet. */
const props = defineProps<{ cautions: readonly HouseCaution[] }>()
const emit = defineEmits<{ set: [HouseCaution[], string] }>()
const stages = [...new Map(recipes.flatMap((r) => r.stages.map((s) => [s.id, s.name] as const)))].sort((a, b) => a[1].localeCompare(b[1]))
const where = ref('')
const text = ref('')
const stage = ref('')
function add() {
  if (!where.value.trim() || !text.value.trim()) return
  const c = { id: uuidv7(), where: where.value.trim(), text: text.value.trim(), stage: stage.value || null }
  emit('set', [...props.cautions, c], tr('a caution was added: {0}', c.where.toLowerCase()))
  where.value = text.value = stage.value = ''
}
const out = (c: HouseCaution) =>
  emit(
    'set',
    props.cautions.filter((x) => x.id !== c.id),
    tr('a caution was taken out: {0}', c.where.toLowerCase()),
  )
const places = [{ id: '', name: tr('always') }, ...stages.map((s) => ({ id: s[0], name: tr(s[1]) }))]
</script>
<template>
  <div class="own">
    <h3>
      {{ $t('Cautions of the house') }} <span class="two small light">{{ $t('beside the craft’s, which always stand') }}</span>
    </h3>
    <ul>
      <li v-for="c in cautions" :key="c.id">
        <span
          ><b>{{ $t(c.where) }}</b> {{ $t(c.text) }}
          <span class="small two">{{ c.stage ? stages.find((s) => s[0] === c.stage)?.[1] : $t('always') }}</span></span
        ><v-btn :aria-label="$t('Take out: {0}', c.where)" @click="out(c)">{{ $t('Take out') }}</v-btn>
      </li>
    </ul>
    <form class="tools" @submit.prevent="add">
      <label
        ><span class="label">{{ $t('Where the hand is') }}</span
        ><input v-model="where" class="field" maxlength="40" :placeholder="$t('Radiator')"
      /></label>
      <label class="wide"
        ><span class="label">{{ $t('What to do') }}</span
        ><input v-model="text" class="field" maxlength="160" :placeholder="$t('no wet boards on it')"
      /></label>
      <ChoiceField v-model="stage" :label="$t('At')" :options="places" />
      <v-btn type="submit">{{ $t('Add it') }}</v-btn>
    </form>
  </div>
</template>
<style scoped>
.own {
  border-top: 2px solid var(--text);
  margin-top: var(--s-page);
  padding-top: var(--s-2);
}
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.wide {
  flex: 1 1 260px;
}
.wide input {
  width: 100%;
}
</style>
