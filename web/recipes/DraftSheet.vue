<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { asNextVersion, belowPractice, type OwnRecipe } from '#core/recipe'
import TrimSheet from '../ui/TrimSheet.vue'
import RecipeEditor from './RecipeEditor.vue'
import type { RecipeDraft } from './useRecipeDraft'

/** A recipe that is being written: its name, why, its differences, and what stands against it. */
const props = defineProps<{ of: RecipeDraft; draft: OwnRecipe; own: readonly OwnRecipe[] }>()
const emit = defineEmits<{ save: []; leave: [] }>()
const { recipe, problems, base } = props.of
const said = (field: 'name' | 'note') => computed({ get: () => props.draft[field], set: (text) => (props.of.draft.value![field] = text) })
const [name, note] = [said('name'), said('note')]
const below = computed(() => (recipe.value && base.value ? belowPractice(recipe.value, base.value) : []))
const keepAs = computed(() => {
  const { draft, own } = props
  if (below.value.length) return tr('Keep it as an experiment')
  return tr('Make version {0}', draft.recipe ? asNextVersion(draft, draft.recipe, own).version : 1)
})
</script>
<template>
  <TrimSheet>
    <div class="apart">
      <h2>{{ draft.recipe ? $t('Next version of {0}', draft.name) : $t('A new recipe') }}</h2>
      <span class="small two">{{ $t('from {0}, kept in this browser until it is made', base?.name) }}</span>
    </div>
    <div class="names">
      <label
        ><span class="label">{{ $t('Name') }}</span
        ><input v-model="name" class="field" maxlength="60"
      /></label>
      <label class="note"
        ><span class="label">{{ $t('Why') }}</span
        ><input v-model="note" class="field" maxlength="400" :placeholder="$t('what you saw that made you change it')"
      /></label>
    </div>
    <p v-for="p in problems" :key="p" role="alert" class="stop">{{ p }}</p>
    <p v-if="below.length" class="watch">
      <b>{{ $t('An experiment, for samples only:') }}</b> {{ $t('{0}. No group can be planned with it.', below.join('; ')) }}
    </p>
    <RecipeEditor :of="of" />
    <div class="tools">
      <v-btn color="primary" variant="flat" :disabled="!recipe || !draft.name.trim()" @click="emit('save')">{{ keepAs }}</v-btn>
      <v-btn @click="emit('leave')">{{ $t('Leave it') }}</v-btn>
    </div>
  </TrimSheet>
</template>
<style scoped>
.names {
  display: grid;
  grid-template-columns: 280px 1fr;
  gap: var(--s-4);
  margin: var(--s-3) 0;
}
.names input {
  width: 100%;
}
.name {
  font: 700 var(--t-lead)/1.2 var(--f-head);
}
@media (max-width: 760px) {
  .names {
    grid-template-columns: 1fr;
  }
}
</style>
