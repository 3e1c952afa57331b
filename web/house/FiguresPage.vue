<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { recipesOf } from '#core/house'
import { figureList, type HouseFigure } from '#core/plan'
import { figureName } from '#core/phrases'
import LostPage from '../app/LostPage.vue'
import { useDesk } from '../app/desk'
import FigureField from '../ui/FigureField.vue'
import { useHouseChange } from './useHouseChange'

/** Every figure that a house can set, found by typing; its own first. */
const route = useRoute()
const house = computed(() => useDesk().house(String(route.params['house'])))
const { news, act } = useHouseChange(house)
const wanted = ref('')
const open = ref<string[]>(['yours', 'general'])
const recipes = computed(() => (house.value ? recipesOf(house.value) : []))
const all = computed(() => (house.value ? figureList(house.value) : []).map((f) => ({ ...f, name: figureName(f.key, recipes.value) })))
type Named = HouseFigure & { name: string }
const groupOf = (f: Named): string => {
  const [kind, id] = f.key.split('.')
  return kind === 'price' ? 'prices' : kind === 'recipe' ? id! : 'general'
}
const titles = computed((): Record<string, string> => ({
  yours: tr('Yours'),
  general: tr('For every method'),
  prices: tr('Prices'),
  ...Object.fromEntries(recipes.value.map((r) => [r.id, r.name])),
}))
const groups = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  const found = all.value.filter((f) => words.every((w) => f.name.toLowerCase().includes(w)))
  const by = new Map<string, Named[]>([['yours', found.filter((f) => f.now.mark === 'Y')]])
  for (const f of found) by.set(groupOf(f), [...(by.get(groupOf(f)) ?? []), f])
  return [...by]
    .filter(([, list]) => list.length > 0)
    .map(([id, list]) => ({ id, list, open: words.length > 0 || open.value.includes(id) }))
})
const count = computed(() => groups.value.filter((g) => g.id !== 'yours').reduce((sum, g) => sum + g.list.length, 0))
const fold = (id: string) => (open.value = open.value.includes(id) ? open.value.filter((x) => x !== id) : [...open.value, id])
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="page">
    <div class="head">
      <h1>{{ $t('Figures') }}</h1>
      <router-link class="back" :to="`/house/${house.id}`">{{ house.name }}</router-link>
      <p v-if="news" aria-live="polite">
        <b class="ink">{{ $t('since {0}', news.label) }}</b>
        {{ news.lines.length ? news.lines.join('; ') : $t('no open workshop changes') }}.
      </p>
    </div>
    <p class="lead">
      {{ $t('What every plan of this house rests on.') }} <b>P</b> {{ $t('practitioners agree,') }} <b>E</b> {{ $t('our estimate,') }}
      <b>Y</b> {{ $t('yours. Change what you know better; practice stands beside it, and one press takes it back.') }}
    </p>
    <label class="find"
      ><span class="label">{{ $t('Find') }}</span
      ><input v-model="wanted" class="field" type="search" :placeholder="$t('glue, ratio, coat minutes')" />
      <span class="small two" aria-live="polite">{{ count }} {{ count === 1 ? $t('figure') : $t('figures') }}</span></label
    >
    <section v-for="g in groups" :key="g.id">
      <h2>
        <button type="button" class="plain fold" :aria-expanded="g.open" @click="fold(g.id)">
          {{ g.open ? '▾' : '▸' }} {{ titles[g.id] ?? g.id }} <span class="small two">{{ g.list.length }}</span>
        </button>
      </h2>
      <ul v-if="g.open">
        <li v-for="f in g.list" :key="f.key"><FigureField :figure-key="f.key" :house="house" :act="act" /></li>
      </ul>
    </section>
    <p v-if="!groups.length">
      {{ $t('No figure is called so.') }} <button type="button" class="plain fold" @click="wanted = ''">{{ $t('Show all') }}</button>
    </p>
  </main>
</template>
<style scoped>
.page {
  padding: var(--s-4) var(--s-page) var(--s-6);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--s-1) var(--s-page);
}
.lead {
  max-width: 760px;
}
.back {
  color: var(--ink);
  font-weight: 700;
}
.find {
  display: flex;
  align-items: center;
  gap: var(--s-3);
  margin: var(--s-3) 0;
  max-width: 560px;
}
section {
  margin-top: var(--s-3);
}
.fold {
  font: inherit;
  min-height: 32px;
}
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0 0;
  columns: 2 420px;
  column-gap: var(--s-6);
}
li {
  break-inside: avoid;
  border-top: 1px solid var(--edge);
  padding: var(--s-1) 0;
}
li :deep(.name) {
  flex: 1 1 220px;
}
</style>
