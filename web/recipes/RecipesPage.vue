<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { writeRecipe } from '#core/exchange'
import { recipesOf } from '#core/house'
import { recipeCard } from '#core/phrases'
import { asNextVersion, belowPractice, compareRecipes, latestRecipe, recipeById, recipes, type OwnRecipe, type Recipe } from '#core/recipe'
import { inZone } from '#core/time'
import { changed, inHouse, withPlaces } from '#core/workshop'
import { api } from '../app/api'
import { useDesk } from '../app/desk'
import { useBringIn } from '../app/useBringIn'
import LostPage from '../app/LostPage.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import TrimSheet from '../ui/TrimSheet.vue'
import RecipeEditor from './RecipeEditor.vue'
import { useRecipeDraft } from './useRecipeDraft'
import { useSwap } from './useSwap'

/** Recipes of the house: begun from a method, versions kept, two compared, brought in and taken out as files and cards. */
const route = useRoute()
const desk = useDesk()
const houseId = computed(() => String(route.params['house']))
const house = computed(() => desk.house(houseId.value))
const say = computed(() => house.value && desk.say(house.value))
const own = computed(() => house.value?.recipes ?? [])
const all = computed(() => (house.value ? recipesOf(house.value) : []))
const drafting = useRecipeDraft(houseId)
const { draft, recipe, problems, damaged } = drafting
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
/** The newest twenty workshops of the house: what another recipe means is worked out for those that are open. */
const listed = computed(() => desk.summaries.filter((w) => w.houseId === houseId.value && !w.archivedAt).slice(-20))
watch(listed, (list) => desk.want(list.map((w) => w.id)), { immediate: true })
const openHere = computed(() => listed.value.flatMap((w) => desk.workshop(w.id) ?? []))

/** Two recipes, or two versions, beside each other; and what taking the second means for a plan. */
const keyOf = (r: Recipe) => `${r.id}@${r.version}`
const left = ref('')
const right = ref('')
const pick = (key: string) => recipeById(key.split('@')[0]!, Number(key.split('@')[1]), all.value)
const pair = computed(() => {
  const [a, b] = [pick(left.value), pick(right.value)]
  return a && b ? { a, b, rows: compareRecipes(a, b) } : undefined
})
const { swapped, problem: swapProblem } = useSwap(
  computed(() => pair.value && house.value && { ...pair.value, house: house.value, now: inZone(desk.now, house.value.timeZone) }),
  openHere,
)
const planned = computed(() =>
  swapped.value.map((x) => ({
    title: x.workshop.title,
    lines: x.differences.slice(0, 5).map((d) => `${nameOf(d.key)} ${say.value!.difference(d)}`),
  })),
)
const nameOf = (key: string) =>
  key.startsWith('session/')
    ? 'class'
    : key.startsWith('packs/')
      ? key.slice(6).replace(/-/g, ' ')
      : ({ 'cost-bought': tr('a head'), earliest: tr('first rub'), recommended: tr('better from'), adults: 'adults' }[key] ?? key)
const sayFigure = (x: string | { value: number; unit: string; mark: string } | null) =>
  x === null ? '–' : typeof x === 'string' ? x : `${x.value} ${x.unit === 'count' ? '' : x.unit} (${x.mark})`

const { incoming, problem, bringIn } = useBringIn(async (text) => (await api.lookAtRecipe(text)).recipe)
function takeIn() {
  const o = incoming.value!
  incoming.value = undefined
  const id = versions(o.recipe).length ? o.recipe : unique(o.recipe)
  put(asNextVersion(o, id, own.value), tr('{0} was brought in', o.name))
}
function download(name: string, text: string, type: string) {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const a = document.createElement('a')
  a.href = url
  a.download = name
  a.click()
  URL.revokeObjectURL(url)
}
const card = (r: Recipe) => download(`${r.id}-v${r.version}.md`, recipeCard(r), 'text/markdown')
const below = computed(() => (recipe.value && drafting.base.value ? belowPractice(recipe.value, drafting.base.value) : []))
const made = (o: OwnRecipe) => recipeById(o.recipe, o.version, all.value)
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="page">
    <div class="between">
      <h1>{{ $t('Recipes of the house') }}</h1>
      <router-link class="more" :to="`/house/${houseId}`">{{ house.name }}</router-link>
    </div>
    <p class="two">
      {{
        $t('How this house does it, where it differs from the method it came from. A plan stays with the version that it was made with.')
      }}
    </p>
    <p v-if="damaged" role="alert" class="watch">
      {{ $t('A recipe begun earlier in this browser can’t be read and was put aside.') }}
      <v-btn @click="download('recipe-put-aside.txt', damaged, 'text/plain')">{{ $t('Save what is there') }}</v-btn>
    </p>
    <TrimSheet v-if="draft" class="sheet">
      <div class="between">
        <h2>{{ draft.recipe ? $t('Next version of {0}', draft.name) : $t('A new recipe') }}</h2>
        <span class="small two">{{ $t('from {0}, kept in this browser until it is made', drafting.base.value?.name) }}</span>
      </div>
      <div class="names">
        <label
          ><span class="label">{{ $t('Name') }}</span
          ><input v-model="draft.name" class="field" maxlength="60"
        /></label>
        <label class="note"
          ><span class="label">{{ $t('Why') }}</span
          ><input v-model="draft.note" class="field" maxlength="400" :placeholder="$t('what you saw that made you change it')"
        /></label>
      </div>
      <p v-for="p in problems" :key="p" role="alert" class="stop">{{ p }}</p>
      <p v-if="below.length" class="watch">
        <b>{{ $t('An experiment, for samples only:') }}</b> {{ $t('{0}. No group can be planned with it.', below.join('; ')) }}
      </p>
      <RecipeEditor :of="drafting" />
      <div class="row">
        <v-btn color="primary" variant="flat" :disabled="!recipe || !draft.name.trim()" @click="save">{{
          below.length
            ? $t('Keep it as an experiment')
            : $t('Make version {0}', draft.recipe ? asNextVersion(draft, draft.recipe, own).version : 1)
        }}</v-btn>
        <v-btn @click="draft = undefined">{{ $t('Leave it') }}</v-btn>
      </div>
    </TrimSheet>
    <template v-else>
      <section>
        <ul v-if="own.length" class="list">
          <li v-for="o in own" :key="o.id">
            <span
              ><b class="name">{{ $t(o.name) }}</b> {{ $t('version {0}', o.version) }}
              <span class="small two">{{
                $t(
                  'from {0}, {1} {2}{3}',
                  latestRecipe(o.base.id)?.name ?? o.base.id,
                  o.edits.length,
                  o.edits.length === 1 ? $t('difference') : $t('differences'),
                  o.note ? `: ${o.note}` : '',
                )
              }}</span>
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
            <span class="row"
              ><v-btn @click="edit(o)">{{ $t('Next version') }}</v-btn
              ><v-btn v-if="made(o)" @click="card(made(o)!)">{{ $t('Card') }}</v-btn
              ><v-btn @click="download(`${o.id}.json`, writeRecipe(o), 'application/json')">{{ $t('File') }}</v-btn
              ><v-btn :disabled="users(o).length > 0" :title="users(o).length ? $t('A plan was made with it') : ''" @click="takeOut(o)">{{
                $t('Take out')
              }}</v-btn></span
            >
          </li>
        </ul>
        <div v-else class="outline">{{ $t('Here will be your own recipes. Begin from a method, or bring a file in.') }}</div>
        <div class="row">
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
      <section>
        <h2>{{ $t('Beside each other') }}</h2>
        <div class="row">
          <label
            ><span class="label">{{ $t('This') }}</span
            ><select v-model="left" class="field" :aria-label="$t('This recipe')">
              <option value="">{{ $t('choose') }}</option>
              <option v-for="r in all" :key="keyOf(r)" :value="keyOf(r)">{{ $t('{0}, version {1}', r.name, r.version) }}</option>
            </select></label
          ><label
            ><span class="label">{{ $t('and this') }}</span
            ><select v-model="right" class="field" :aria-label="$t('The other recipe')">
              <option value="">{{ $t('choose') }}</option>
              <option v-for="r in all" :key="keyOf(r)" :value="keyOf(r)">{{ $t('{0}, version {1}', r.name, r.version) }}</option>
            </select></label
          >
          <v-btn v-if="pair" @click="card(pair.b)">{{ $t('Card of the second') }}</v-btn>
        </div>
        <template v-if="pair">
          <p v-if="pair.rows.length === 0">{{ $t('They are the same.') }}</p>
          <table v-else class="compare">
            <thead>
              <tr>
                <th />
                <th>{{ $t(pair.a.name) }} {{ pair.a.version }}</th>
                <th>{{ $t(pair.b.name) }} {{ pair.b.version }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in pair.rows" :key="r.what">
                <th>{{ r.what }}</th>
                <td>{{ sayFigure(r.before) }}</td>
                <td class="ink">{{ sayFigure(r.after) }}</td>
              </tr>
            </tbody>
          </table>
          <h3 class="gap">{{ $t('What the second means for open plans') }}</h3>
          <p v-if="swapProblem" role="alert" class="stop">{{ $t('{0} Choose one of the two again.', swapProblem) }}</p>
          <p v-else-if="planned.length === 0" class="two">{{ $t('No open plan is on a surface that it takes.') }}</p>
          <p v-for="p in planned" :key="p.title">
            <b>{{ $t(p.title) }}</b> {{ p.lines.join('; ') || $t('nothing that is counted') }}.
          </p>
        </template>
      </section>
    </template>
  </main>
</template>
<style scoped>
.page {
  padding: 14px 20px 40px;
}
.between {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 20px;
}
.more {
  color: var(--text);
  font-weight: 700;
}
.sheet,
section {
  margin-top: 20px;
}
section {
  border-top: 2px solid var(--text);
  padding-top: 12px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.names {
  display: grid;
  grid-template-columns: 280px 1fr;
  gap: 16px;
  margin: 12px 0;
}
.names input {
  width: 100%;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.list li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.name {
  font: 700 var(--t-lead)/1.2 var(--f-head);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.outline {
  border: 1.5px dashed var(--edge);
  padding: 24px;
  color: var(--text-2);
}
.compare {
  border-collapse: collapse;
  width: 100%;
}
.compare th,
.compare td {
  text-align: start;
  border-bottom: 1px solid var(--rule);
  padding: 6px 12px 6px 0;
  vertical-align: top;
}
.gap {
  margin-top: 8px;
}
@media (max-width: 760px) {
  .names {
    grid-template-columns: 1fr;
  }
  .list li {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
