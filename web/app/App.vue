<script setup lang="ts">
import { t as tr } from '#core/language'
import { mdiChevronDown, mdiRedo, mdiThemeLightDark, mdiUndo } from '@mdi/js'
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { pieceStates, type PieceState } from '#core/recipe'
import { summaryOf } from '#core/workshop'
import ControlStrip from './ControlStrip.vue'
import { useDesk } from './desk'
import { bindKeys } from './keys'
import { chooseLanguage, followHouse, language } from './language'
import { useNewerVersion } from './newerVersion'
import { LazyMenu } from '../ui/lazyMenu'

// What a first view does not need is fetched when it is asked for.
const KeySheet = defineAsyncComponent(() => import('./KeySheet.vue'))
const NameAsk = defineAsyncComponent(() => import('./NameAsk.vue'))
const UnsettledNews = defineAsyncComponent(() => import('./UnsettledNews.vue'))
const WorkshopList = defineAsyncComponent(() => import('./WorkshopList.vue'))
const otherAsked = ref(false)
const otherOpen = ref(false)

const desk = useDesk()
const route = useRoute()
const router = useRouter()
const theme = useTheme()
const keys = ref(false)

const { newer, goOn } = useNewerVersion(router)

const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const workshop = computed(() => (id.value ? desk.workshop(id.value) : undefined))
const house = computed(() => desk.house(workshop.value?.houseId ?? String(route.params['house'] ?? '')) ?? undefined)
const plan = computed(() => (id.value ? desk.plan(id.value) : undefined))
/** The page of the craft book that the open plan is made by. */
const practice = computed(() => plan.value?.recipe.id ?? 'tape-film')
const places = computed(() =>
  workshop.value
    ? [
        { name: tr('Bench'), to: `/w/${id.value}/bench/kit`, on: route.name === 'bench' },
        { name: tr('Prints'), to: `/w/${id.value}/prints`, on: route.name === 'prints' },
        { name: tr('Sessions'), to: `/w/${id.value}/sessions`, on: route.name === 'sessions' },
        { name: tr('Take-home'), to: `/w/${id.value}/take-home`, on: route.name === 'take-home' },
        { name: tr('Clinic'), to: `/w/${id.value}/clinic`, on: route.name === 'clinic' },
        { name: tr('Craft'), to: `/craft/${practice.value}`, on: false },
        { name: tr('Workshops'), to: '/', on: false },
      ]
    : [
        { name: tr('Workshops'), to: '/', on: route.name === 'workshops' },
        ...desk.houseList.map((h) => ({
          name: desk.houseList.length > 1 ? h.name.split(' ')[0]! : tr('House'),
          to: `/house/${h.id}`,
          on: ['house', 'recipes', 'figures'].includes(String(route.name)) && route.params['house'] === h.id,
        })),
        { name: tr('Craft'), to: '/craft/tape-film', on: route.name === 'craft' || route.name === 'clinic-alone' },
      ],
)

const counts = computed(() => {
  const all = Object.fromEntries(pieceStates.map((s) => [s, 0])) as Record<PieceState, number>
  const open = workshop.value ? [summaryOf(workshop.value)] : desk.summaries.filter((w) => !w.archivedAt)
  for (const w of open) for (const s of pieceStates) all[s] += w.states[s] ?? 0
  return all
})

/** The states that the open workshop's method has, and those that a piece is in all the same; all of them where none is open. */
const states = computed(() => pieceStates.filter((s) => !plan.value || plan.value.states.includes(s) || counts.value[s] > 0))

function dark(on: boolean) {
  theme.change(on ? 'proofDark' : 'proof')
  document.documentElement.dataset['theme'] = on ? 'dark' : 'light'
  localStorage.setItem('imprenta.dark', on ? '1' : '0')
}
const toggleDark = () => dark(document.documentElement.dataset['theme'] !== 'dark')

let unbind: () => void = () => undefined
onBeforeUnmount(() => unbind())
onMounted(() => {
  const kept = localStorage.getItem('imprenta.dark')
  dark(kept === null ? matchMedia('(prefers-color-scheme: dark)').matches : kept === '1')
  unbind = bindKeys({
    undo: desk.undo,
    redo: desk.redo,
    sheet: () => (keys.value = true),
    go: (to) => void router.push(to),
    id: () => id.value,
  })
})
/** The page speaks as its house does, unless this device has a language of its own. */
watch(
  () => [desk.ready, (house.value ?? desk.houseList[0])?.language] as const,
  ([ready, l]) => ready && void followHouse(l).catch(() => undefined),
  { immediate: true },
)
const other = computed(() => (language.value === 'es' ? ('en' as const) : ('es' as const)))
const changeLanguage = () => void chooseLanguage(other.value).catch(() => undefined)
watch(id, (open) => open && desk.want([open]), { immediate: true })
watch([() => workshop.value?.title, () => route.name], ([title]) => (document.title = title ? `${title}, Imprenta` : 'Imprenta'), {
  immediate: true,
})
</script>
<template>
  <v-app>
    <a class="skip" href="#main">{{ $t('To the work') }}</a>
    <header class="slug no-print">
      <router-link to="/" class="brand" :aria-label="$t('Imprenta, workshops')">
        <svg width="32" height="32" viewBox="0 0 32 32" aria-hidden="true">
          <circle cx="16" cy="16" r="10" fill="var(--stock)" stroke="var(--text)" stroke-width="2.2" />
          <path d="M16 6a10 10 0 0 1 10 10H16z" fill="var(--ink)" />
          <path d="M16 0v32M0 16h32" stroke="var(--text)" stroke-width="2" />
          <circle cx="12" cy="20" r="1.3" fill="var(--ink)" />
          <circle cx="12" cy="23.5" r="1.3" fill="var(--ink)" />
          <circle cx="9" cy="19" r="1.1" fill="var(--ink)" />
        </svg>
        <span class="word">{{ $t('Imprenta') }}</span>
      </router-link>
      <div class="job">
        <button
          v-if="workshop"
          type="button"
          class="plain title"
          aria-haspopup="menu"
          aria-expanded="false"
          :title="workshop.title"
          @click.once="otherAsked = otherOpen = true"
        >
          <span>{{ workshop.title }}</span><v-icon :icon="mdiChevronDown" size="20" />
          <LazyMenu v-if="otherAsked" v-model="otherOpen" activator="parent"><WorkshopList /></LazyMenu>
        </button>
        <strong v-else-if="house">{{ house.name }}</strong>
        <strong v-else>{{ $t('Both houses') }}</strong>
        <NameAsk v-if="desk.ready && !desk.actor && desk.done.length > 0" />
        <div v-else class="small two line">
          {{ workshop ? house?.name : desk.actor && desk.actor !== 'this device' ? $t('{0}, this device', desk.actor) : $t('this device') }}
        </div>
      </div>
      <nav :aria-label="$t('Places')">
        <router-link
          v-for="p in places"
          :key="p.name"
          :to="p.to"
          class="place"
          :class="{ on: p.on }"
          :aria-current="p.on ? 'page' : undefined"
          >{{ p.name }}</router-link
        >
      </nav>
      <div class="tools">
        <button type="button" class="plain tool" :disabled="!desk.done.length" :title="desk.done.at(-1)?.label" @click="desk.undo()">
          <v-icon :icon="mdiUndo" size="20" /> {{ $t('Undo') }}<span class="sr">{{ desk.done.at(-1)?.label }}</span>
        </button>
        <button v-if="desk.undone.length" type="button" class="plain tool" :title="desk.undone.at(-1)?.label" @click="desk.redo()">
          <v-icon :icon="mdiRedo" size="20" /> {{ $t('Redo') }}
        </button>
        <button
          type="button"
          class="plain tool key"
          :lang="other"
          :aria-label="other === 'es' ? 'Este aparato, en español' : 'This device in English'"
          @click="changeLanguage"
        >
          {{ other.toUpperCase() }}
        </button>
        <button type="button" class="plain tool" :aria-label="$t('Light or dark')" @click="toggleDark">
          <v-icon :icon="mdiThemeLightDark" size="20" />
        </button>
        <button type="button" class="plain tool key" :aria-label="$t('All keys')" @click="keys = true">?</button>
      </div>
    </header>
    <UnsettledNews v-if="desk.unsettled.length" />
    <section v-if="newer" class="news" role="alert">
      <b>{{ $t('A newer version of Imprenta is here.') }}</b> {{ $t('What you typed is kept.') }}
      <v-btn @click="goOn">{{ $t('Go on with it') }}</v-btn>
    </section>
    <div id="main" tabindex="-1" class="main">
      <router-view v-if="desk.ready && !(id && desk.coming(id))" />
      <main v-else-if="desk.failed && !desk.ready" class="wait">
        <h2>{{ $t('The server does not answer') }}</h2>
        <p class="two">{{ $t('What you typed is kept in this browser and goes by itself when it is back.') }}</p>
        <v-btn @click="desk.load()">{{ $t('Try again') }}</v-btn>
      </main>
      <main v-else class="wait" aria-busy="true">
        <h2 class="sr">{{ $t('Looking in the cupboard') }}</h2>
        <i v-for="n in 5" :key="n" class="ghost" />
      </main>
    </div>
    <ControlStrip
      v-if="desk.ready"
      :counts="counts"
      :states="states"
      :words="plan?.recipe.words ?? {}"
      :house="house ?? desk.houseList[0]"
    />
    <KeySheet v-if="keys" v-model="keys" />
  </v-app>
</template>
<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 20px;
  top: 8px;
  z-index: 20;
  background: var(--stock);
  padding: 8px;
}
.slug {
  display: flex;
  align-items: center;
  height: 56px;
  padding: 0 20px;
  gap: 16px;
  flex: none;
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  text-decoration: none;
  color: var(--text);
}
.word {
  font: 780 var(--t-h3) var(--f-head);
}
.job {
  border-inline-start: 1px solid var(--edge);
  padding-inline-start: 18px;
  min-width: 0;
  flex: 0 1 300px;
  line-height: 1.15;
}
.title {
  min-height: 24px;
  display: flex;
  align-items: center;
  gap: 4px;
  font-weight: 700;
  max-width: 100%;
}
.title span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.line {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
nav {
  display: flex;
  gap: 24px;
  margin-inline-start: auto;
  height: 100%;
}
.place {
  color: var(--text);
  white-space: nowrap;
  text-decoration: none;
  font-weight: 600;
  display: grid;
  align-items: center;
  border-bottom: 5px solid transparent;
  border-top: 5px solid transparent;
}
.on {
  color: var(--ink);
  border-bottom-color: var(--ink);
}
.place:hover {
  border-bottom-color: var(--edge);
}
.tools {
  display: flex;
  gap: 4px;
  align-items: center;
}
.tool {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  padding: 0 8px;
  justify-content: center;
  font-weight: 600;
}
.tool:disabled {
  color: var(--text-2);
  cursor: default;
}
.tool:hover:not(:disabled) {
  background: var(--wash);
}
.tool:focus-visible,
.title:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
.key {
  font-family: var(--f-code);
}
.main {
  flex: 1;
  display: flex;
  flex-direction: column;
  outline: none !important;
  padding-bottom: 60px;
}
.news {
  background: var(--watch-wash);
  padding: 8px 20px;
  border-bottom: 2px solid var(--watch);
}
.wait {
  padding: 24px 20px;
  display: grid;
  gap: 14px;
  justify-items: start;
}
.ghost {
  height: 22px;
  width: min(520px, 80%);
  background: var(--board);
}
@media (max-width: 760px) {
  .slug {
    padding: 0 12px;
    gap: 8px;
    flex-wrap: wrap;
    height: auto;
    min-height: 56px;
  }
  .word {
    display: none;
  }
  .job {
    flex: 1;
  }
  nav {
    order: 5;
    width: 100%;
    height: 40px;
    gap: 14px;
    overflow-x: auto;
    margin: 0;
  }
  .tools .tool {
    min-width: 36px;
    padding: 0 4px;
  }
}
</style>
