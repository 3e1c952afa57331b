<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { recipesOf } from '#core/house'
import { latestRecipe, recipes } from '#core/recipe'
import { useDesk } from '../app/desk'
import LostPage from '../app/LostPage.vue'
import SourceMark from '../ui/SourceMark.vue'
import MethodSpread from './MethodSpread.vue'
import { find } from './search'
import CautionsLeaf from './CautionsLeaf.vue'
import SurfacesLeaf from './SurfacesLeaf.vue'

/** The craft, readable as a book: methods, schools, surfaces, cautions; searched with "/". */
const route = useRoute()
const desk = useDesk()
const section = computed(() => String(route.params['section'] || 'tape-film'))
const own = computed(() =>
  desk.houseList.flatMap((h) =>
    recipesOf(h)
      .filter((r) => r.from)
      .map((r) => ({ house: h, r })),
  ),
)
const newest = computed(() => own.value.filter((x) => latestRecipe(x.r.id, recipesOf(x.house)) === x.r))
const shown = computed(() => latestRecipe(section.value) ?? newest.value.find((x) => x.r.id === section.value)?.r)
const tabs = computed(() => [
  ...recipes.map((r) => ({ id: r.id, name: r.name })),
  { id: 'schools', name: tr('Schools') },
  { id: 'surfaces', name: tr('Surfaces') },
  { id: 'cautions', name: tr('Cautions') },
  ...newest.value.map((x) => ({ id: x.r.id, name: x.r.name })),
])
const query = ref('')
const results = computed(() => find(query.value))
const field = ref<HTMLInputElement>()
const focusFind = () => field.value?.focus()
const print = () => window.print()
useEventListener(window, 'imprenta:find', focusFind)
useEventListener(window, 'imprenta:print', print)
onMounted(() => route.query['find'] !== undefined && focusFind())
watch(
  () => route.hash,
  async (hash) => {
    query.value = ''
    await nextTick()
    if (hash) document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView()
  },
  { immediate: true },
)
const counted = computed(() => {
  const n = results.value.length
  return n ? `${n} ${n === 1 ? tr('passage') : tr('passages')}` : tr('Nothing')
})
</script>
<template>
  <LostPage v-if="!shown && !['schools', 'surfaces', 'cautions'].includes(section)" />
  <main v-else class="roomy">
    <div class="bar no-print">
      <nav class="tabs" :aria-label="$t('The craft book')">
        <router-link
          v-for="t in tabs"
          :key="t.id"
          :to="`/craft/${t.id}`"
          class="tab"
          :class="{ on: t.id === section }"
          :aria-current="t.id === section ? 'page' : undefined"
          >{{ t.name }}</router-link
        >
        <router-link to="/clinic" class="tab">{{ $t('Clinic') }}</router-link>
      </nav>
      <label class="find"
        ><span class="sr">{{ $t('Find in the craft book') }}</span
        ><input
          ref="field"
          v-model="query"
          class="field"
          type="search"
          :placeholder="$t('Find: haze, cedar, mirror')"
          @keydown.esc="query = ''"
        /><kbd aria-hidden="true">/</kbd></label
      >
    </div>
    <p class="small legend">
      <SourceMark mark="P" /> {{ $t('practitioners agree') }} <SourceMark mark="E" /> {{ $t('estimate, yours to edit') }}
      <SourceMark mark="Y" /> {{ $t('your logbook') }}
    </p>
    <section v-if="query" class="leaf" aria-live="polite">
      <h2>
        {{ $t('{0} for “{1}”', counted, query) }}
      </h2>
      <ul class="results">
        <li v-for="(p, i) in results" :key="i">
          <router-link :to="p.to" @click="query = ''"
            ><b>{{ $t(p.title) }}</b> <span class="two small">{{ $t(p.where) }}</span></router-link
          >
          <p class="small two">{{ $t(p.text) }}</p>
        </li>
      </ul>
    </section>
    <template v-else>
      <section v-if="section === 'schools'" class="leaf">
        <h1>{{ $t('Where practitioners differ') }}</h1>
        <p class="two">{{ $t('What each believes, and what we take when nobody says. A house sets its own; a plan goes before both.') }}</p>
        <template v-for="r in recipes" :key="r.id">
          <h2>{{ $t(r.name) }}</h2>
          <div class="entries">
            <div v-for="s in r.schools" :id="`${r.id}-${s.id}`" :key="s.id" class="entry">
              <h3>{{ $t(s.question) }}</h3>
              <p v-for="o in s.options" :key="o.id">
                <b>{{ $t(o.name) }}</b> {{ $t(o.believes) }}
              </p>
              <p class="ink small">{{ $t('Default {0}: {1}', s.options.find((o) => o.id === s.default)!.name, s.why) }}</p>
            </div>
          </div>
        </template>
      </section>
      <SurfacesLeaf v-else-if="section === 'surfaces'" />
      <CautionsLeaf v-else-if="section === 'cautions'" />
      <MethodSpread v-else-if="shown" :recipe="shown" />
    </template>
  </main>
</template>
<style scoped>
.bar {
  display: flex;
  justify-content: space-between;
  gap: var(--s-4);
  align-items: end;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
}
.tab {
  padding: var(--s-3) var(--s-2);
  color: var(--text);
  font-weight: 700;
  font-size: var(--t-list);
  text-decoration: none;
  min-height: 44px;
}
.tab:hover {
  background: var(--wash);
}
.tab.on {
  background: var(--ink);
  color: var(--on-ink);
}
.find {
  position: relative;
  flex: 0 0 230px;
}
.find input {
  width: 100%;
  padding-inline-end: var(--s-6);
}
kbd {
  position: absolute;
  right: 10px;
  top: 10px;
  border: 1px solid var(--edge);
  padding: 0 var(--s-1);
  font: var(--t-small) var(--f-code);
  color: var(--text-2);
}
.legend {
  text-align: end;
  margin: var(--s-1) 0;
}
.leaf h2 {
  margin: var(--s-4) 0 var(--s-2);
}
.results {
  list-style: none;
  padding: 0;
}
.results li {
  border-bottom: 1px solid var(--rule);
  padding: var(--s-1) 0;
}
.results a {
  color: var(--text);
  min-height: 28px;
  display: inline-block;
}
@media (max-width: 760px) {
  .bar {
    flex-direction: column;
    align-items: stretch;
  }
  .tabs {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .tab {
    white-space: nowrap;
  }
  .find {
    flex: none;
  }
}
</style>
