<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { pieceStates, type PieceState } from '#core/recipe'
import { summaryOf } from '#core/workshop'
import ControlStrip from './ControlStrip.vue'
import { useDesk } from './desk'
import { bindKeys } from './keys'
import { followHouse } from './language'
import { useNewerVersion } from './newerVersion'
import SlugBar from './SlugBar.vue'

// What a first view does not need is fetched when it is asked for.
const KeySheet = defineAsyncComponent(() => import('./KeySheet.vue'))
const UnsettledNews = defineAsyncComponent(() => import('./UnsettledNews.vue'))

const desk = useDesk()
const route = useRoute()
const router = useRouter()
const theme = useTheme()
const keys = ref(false)
/** Screens of the day stand by themselves: from what this device kept, when the server is away. */
const alone = computed(() => route.meta['alone'] === true)

const { newer, goOn } = useNewerVersion(router)

const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const workshop = computed(() => (id.value ? desk.workshop(id.value) : undefined))
const house = computed(() => desk.house(workshop.value?.houseId ?? String(route.params['house'] ?? '')) ?? undefined)
const plan = computed(() => (id.value ? desk.plan(id.value) : undefined))
/** The page of the craft book that the open plan is made by. */
const practice = computed(() => plan.value?.recipe.id ?? 'tape-film')
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
watch(id, (open) => open && desk.want([open]), { immediate: true })
watch([() => workshop.value?.title, () => route.name], ([title]) => (document.title = title ? `${title}, Imprenta` : 'Imprenta'), {
  immediate: true,
})
</script>
<template>
  <!-- The frame that the controls expect: without the library's own, which lays out bars and drawers that nothing here has. -->
  <div class="v-application v-layout v-layout--full-height v-locale--is-ltr" :class="theme.themeClasses.value">
    <div class="v-application__wrap">
      <a class="skip" href="#main">{{ $t('To the work') }}</a>
      <SlugBar v-if="!alone" :workshop="workshop" :house="house" :practice="practice" @dark="toggleDark" @keys="keys = true" />
      <UnsettledNews v-if="desk.unsettled.length" />
      <section v-if="newer" class="news" role="alert">
        <b>{{ $t('A newer version of Imprenta is here.') }}</b> {{ $t('What you typed is kept.') }}
        <v-btn @click="goOn">{{ $t('Go on with it') }}</v-btn>
      </section>
      <div id="main" tabindex="-1" class="main" :class="{ alone }">
        <router-view v-if="alone || (desk.ready && !(id && desk.coming(id)))" />
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
        v-if="desk.ready && !alone"
        :counts="counts"
        :states="states"
        :words="plan?.recipe.words ?? {}"
        :house="house ?? desk.houseList[0]"
      />
      <KeySheet v-if="keys" v-model="keys" />
    </div>
  </div>
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
  padding: var(--s-2);
}
.on {
  color: var(--ink);
  border-bottom-color: var(--ink);
}
.main {
  flex: 1;
  display: flex;
  flex-direction: column;
  outline: none !important;
  padding-bottom: 60px;
}
.main.alone {
  padding-bottom: 0;
}
.news {
  background: var(--watch-wash);
  padding: var(--s-2) var(--s-page);
  border-bottom: 2px solid var(--watch);
}
.wait {
  padding: var(--s-5) var(--s-page);
  display: grid;
  gap: var(--s-3);
  justify-items: start;
}
.ghost {
  height: 22px;
  width: min(520px, 80%);
  background: var(--board);
}
</style>
