<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { printersOf, type House } from '#core/house'
import { chosenOption, latestRecipe, recipes, type Ink, type School } from '#core/recipe'
import { change, inHouse, type Change, type Path } from '#core/workshop'
import ChoiceField from '../ui/ChoiceField.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'

/** How this house does it: its printers, and its own ways in each method. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => emit('change', [change(props.house, path, after)], label)
const shown = ref('medium-transfer')
const recipe = computed(() => latestRecipe(shown.value)!)
const printerWays: { id: 'toner' | 'inkjet' | 'toner,inkjet'; name: string }[] = [
  { id: 'toner', name: 'toner' },
  { id: 'inkjet', name: 'inkjet' },
  { id: 'toner,inkjet', name: 'both' },
]
const printers = computed(() => [...printersOf(props.house)].sort().reverse().join(',') as (typeof printerWays)[number]['id'])
const setPrinters = (x: string) => set(inHouse.printers, x.split(',') as Ink[], tr('printers became {0}', x.replace(',', ' and ')))
const choose = (recipe: string, s: School, o: string) => {
  const ways = { ...props.house.recipeChoices[recipe], [s.id]: o }
  set(inHouse.recipeChoices, { ...props.house.recipeChoices, [recipe]: ways }, tr('{0} became {1}', s.question.toLowerCase(), o))
}
const own = computed(() => Object.keys(props.house.figures ?? {}).length)
</script>
<template>
  <section class="part">
    <h3>
      {{ $t('Recipes') }} <span class="two small light">{{ $t('how this house does it; a plan’s own choice goes first') }}</span>
    </h3>
    <div class="inline">
      <SegmentChoice :label="$t('Printers here')" :model-value="printers" :options="printerWays" @update:model-value="setPrinters" />
      <router-link class="own" :to="`/house/${house.id}/figures`">{{
        own ? $t('Figures: {0} of your own', own) : $t('All figures, yours to set')
      }}</router-link>
      <router-link class="own" :to="`/house/${house.id}/recipes`">{{
        house.recipes?.length ? $t('{0} of your own', house.recipes.length) : $t('Make your own recipe')
      }}</router-link>
    </div>
    <ChoiceField v-model="shown" :label="$t('Method')" :options="recipes.map((r) => ({ id: r.id, name: $t(r.name) }))" />
    <div class="ways">
      <ChoiceField
        v-for="s in recipe.schools"
        :key="s.id"
        :label="$t(s.question)"
        :model-value="chosenOption(s, {}, house.recipeChoices[recipe.id] ?? {}).option.id"
        :options="s.options.map((o) => ({ id: o.id, name: $t(o.name) }))"
        @update:model-value="choose(recipe.id, s, $event)"
      />
    </div>
  </section>
</template>
<style scoped>
.own {
  color: var(--text);
  font-weight: 700;
  align-self: end;
  padding: var(--s-3) 0;
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: var(--s-2);
}
</style>
