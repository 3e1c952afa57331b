<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { writeRecipe } from '#core/exchange'
import { recipesOf } from '#core/house'
import { recipeCard } from '#core/phrases'
import { asNextVersion, latestRecipe, recipeById, recipes, type OwnRecipe, type Recipe } from '#core/recipe'
import { changed, inHouse, withPlaces } from '#core/workshop'
import { api } from '../app/api'
import { useDesk } from '../app/desk'
import { useBringIn } from '../app/useBringIn'
import { saveAs } from './saveAs'
import LostPage from '../app/LostPage.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import { useRecipeDraft } from './useRecipeDraft'
import CompareRecipes from './CompareRecipes.vue'
import DraftSheet from './DraftSheet.vue'

/** Recipes of the house: begun from a method, versions kept, two compared, brought in and taken out as files and cards. */
const route = useRoute()
const desk = useDesk()
const houseId = computed(() => String(route.params['house']))
const house = computed(() => desk.house(houseId.value))
const own = computed(() => house.value?.recipes ?? [])
const all = computed(() => (house.value ? recipesOf(house.value) : []))
const drafting = useRecipeDraft(houseId)
const { draft, damaged } = drafting
const slug = (name: string) =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'recipe'

function begin(from: Recipe) {
  draft.value = {
    id: 'draft',
    recipe: '',
    version: 1,
    base: { id: from.id, version: from.version },
    name: tr('{0}, ours', from.name),
    note: '',
    edits: [],
  }
}
const edit = (o: OwnRecipe) => (draft.value = { ...(JSON.parse(JSON.stringify(o)) as OwnRecipe), id: 'draft', note: '' })
const versions = (id: string) => own.value.filter((o) => o.recipe === id)

function save() {
  const d = draft.value!
  const id = d.recipe || unique(slug(d.name))
  const made = asNextVersion(d, id, own.value)
  put(made, tr('{0} version {1} was made', made.name, made.version))
  draft.value = undefined
}
const unique = (id: string) => {
  const taken = (x: string) => all.value.some((r) => r.id === x)
  let n = 2
  let found = id
  while (taken(found)) found = `${id}-${n++}`
  return found
}
const change = (o: OwnRecipe, before: OwnRecipe | null, after: OwnRecipe | null, label: string) =>
  desk.act({
    kind: 'recipes',
    label,
    subject: { kind: 'house', id: houseId.value },
    changes: withPlaces(house.value, [changed(inHouse.recipes(o.id), before, after)]),
  })
const put = (o: OwnRecipe, label: string) => change(o, null, o, label)
const users = (o: OwnRecipe) =>
  desk.summaries.filter((w) => w.houseId === houseId.value && w.recipe.id === o.recipe && w.recipe.version === o.version)
const takeOut = (o: OwnRecipe) => change(o, o, null, tr('{0} version {1} was taken out', o.name, o.version))
const { incoming, problem, bringIn } = useBringIn(async (text) => (await api.lookAtRecipe(text)).recipe)
function takeIn() {
  const o = incoming.value!
  incoming.value = undefined
  const id = versions(o.recipe).length ? o.recipe : unique(o.recipe)
  put(asNextVersion(o, id, own.value), tr('{0} was brought in', o.name))
}
const card = (r: Recipe) => saveAs(`${r.id}-v${r.version}.md`, recipeCard(r), 'text/markdown')
const made = (o: OwnRecipe) => recipeById(o.recipe, o.version, all.value)
const told = (o: OwnRecipe) => {
  const n = o.edits.length
  const from = latestRecipe(o.base.id)?.name ?? o.base.id
  return tr('from {0}, {1} {2}{3}', from, n, n === 1 ? tr('difference') : tr('differences'), o.note ? `: ${o.note}` : '')
}
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="roomy">
    <div class="apart">
      <h1>{{ $t('Recipes of the house') }}</h1>
      <router-link class="named-link" :to="`/house/${houseId}`">{{ house.name }}</router-link>
    </div>
    <p class="two">
      {{
        $t('How this house does it, where it differs from the method it came from. A plan stays with the version that it was made with.')
      }}
    </p>
    <p v-if="damaged" role="alert" class="watch">
      {{ $t('A recipe begun earlier in this browser can’t be read and was put aside.') }}
      <v-btn @click="saveAs('recipe-put-aside.txt', damaged, 'text/plain')">{{ $t('Save what is there') }}</v-btn>
    </p>
    <DraftSheet v-if="draft" class="sheet" :of="drafting" :draft="draft" :own="own" @save="save" @leave="draft = undefined" />
    <template v-else>
      <section class="part">
        <ul v-if="own.length" class="bare list">
          <li v-for="o in own" :key="o.id">
            <span
              ><b class="name">{{ $t(o.name) }}</b> {{ $t('version {0}', o.version) }}
              <span class="small two">{{ told(o) }}</span>
              <b v-if="made(o)?.below?.length" class="watch"> {{ $t('experiment') }}</b>
              <span v-if="users(o).length" class="small two">
                {{
                  $t(
                    'planned with in {0}',
                    users(o)
                      .map((w) => w.title)
                      .join(', '),
                  )
                }}</span
              ></span
            >
            <span class="tools"
              ><v-btn @click="edit(o)">{{ $t('Next version') }}</v-btn
              ><v-btn v-if="made(o)" @click="card(made(o)!)">{{ $t('Card') }}</v-btn
              ><v-btn @click="saveAs(`${o.id}.json`, writeRecipe(o), 'application/json')">{{ $t('File') }}</v-btn
              ><v-btn :disabled="users(o).length > 0" :title="users(o).length ? $t('A plan was made with it') : ''" @click="takeOut(o)">{{
                $t('Take out')
              }}</v-btn></span
            >
          </li>
        </ul>
        <div v-else class="hollow">{{ $t('Here will be your own recipes. Begin from a method, or bring a file in.') }}</div>
        <div class="tools">
          <SegmentChoice :label="$t('Begin from')" model-value="" :options="recipes" @update:model-value="begin(latestRecipe($event)!)" />
          <v-btn tag="label"
            >{{ $t('Bring one in') }}<input class="sr" type="file" accept=".json,application/json" @change="bringIn"
          /></v-btn>
        </div>
        <p v-if="problem" role="alert" class="stop">
          <b>{{ problem.what }}</b> {{ problem.path }}. {{ problem.remedy }}
        </p>
        <p v-if="incoming">
          <b>{{ incoming.name }}</b>{{ $t(', {0} differences from {1}.', incoming.edits.length, latestRecipe(incoming.base.id)?.name) }}
          <v-btn color="primary" variant="flat" @click="takeIn">{{ $t('Bring it in') }}</v-btn>
          <v-btn @click="incoming = undefined">{{ $t('Leave it') }}</v-btn>
        </p>
      </section>
      <CompareRecipes :house="house" />
    </template>
  </main>
</template>
<style scoped>
.sheet,
section {
  margin-top: var(--s-page);
}
.list li {
  display: flex;
  justify-content: space-between;
  gap: var(--s-4);
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.name {
  font: 700 var(--t-lead)/1.2 var(--f-head);
}
@media (max-width: 760px) {
  .list li {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
