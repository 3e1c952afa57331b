<script setup lang="ts">
import { t as tr } from '#core/language'
import { mdiChevronDown, mdiRedo, mdiThemeLightDark, mdiUndo } from '@mdi/js'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { House } from '#core/house'
import type { Workshop } from '#core/workshop'
import { useDesk } from './desk'
import { chooseLanguage, language } from './language'
import { LazyMenu } from '../ui/lazyMenu'

const NameAsk = defineAsyncComponent(() => import('./NameAsk.vue'))
const WorkshopList = defineAsyncComponent(() => import('./WorkshopList.vue'))

/** The slug: which job is on the bench, the places, undo, language, light. `practice` is the craft book's page of the open plan. */
const props = defineProps<{ workshop: Workshop | undefined; house: House | undefined; practice: string }>()
const emit = defineEmits<{ dark: []; keys: [] }>()
const desk = useDesk()
const route = useRoute()
const id = computed(() => props.workshop?.id)
const otherAsked = ref(false)
const otherOpen = ref(false)

const places = computed(() =>
  props.workshop
    ? [
        { name: tr('Bench'), to: `/w/${id.value}/bench/kit`, on: route.name === 'bench' },
        { name: tr('Prints'), to: `/w/${id.value}/prints`, on: route.name === 'prints' },
        { name: tr('Classes'), to: `/w/${id.value}/sessions`, on: route.name === 'sessions' },
        { name: tr('Room'), to: `/w/${id.value}/room`, on: route.name === 'room' || route.name === 'floor' },
        { name: tr('Rehearsal'), to: `/w/${id.value}/rehearsal`, on: route.name === 'rehearsal' },
        { name: tr('Day'), to: `/w/${id.value}/day`, on: false },
        { name: tr('Take-home'), to: `/w/${id.value}/take-home`, on: route.name === 'take-home' },
        { name: tr('Clinic'), to: `/w/${id.value}/clinic`, on: route.name === 'clinic' },
        { name: tr('Craft'), to: `/craft/${props.practice}`, on: false },
      ]
    : [
        { name: tr('Workshops'), to: '/', on: ['workshops', 'new'].includes(String(route.name)) },
        ...desk.houseList.map((h) => ({
          name: desk.houseList.length > 1 ? h.name.split(' ')[0]! : tr('House'),
          to: `/house/${h.id}`,
          on: ['house', 'recipes', 'figures'].includes(String(route.name)) && route.params['house'] === h.id,
        })),
        { name: tr('Errands'), to: `/house/${props.house?.id ?? desk.houseList[0]?.id}/ahead`, on: route.name === 'ahead' },
        { name: tr('Craft'), to: '/craft/tape-film', on: route.name === 'craft' || route.name === 'clinic-alone' },
      ],
)

const other = computed(() => (language.value === 'es' ? ('en' as const) : ('es' as const)))
const changeLanguage = () => void chooseLanguage(other.value).catch(() => undefined)
</script>
<template>
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
      <div v-else class="small two ellipsis">
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
      <button type="button" class="plain tool" :aria-label="$t('Light or dark')" @click="emit('dark')">
        <v-icon :icon="mdiThemeLightDark" size="20" />
      </button>
      <button type="button" class="plain tool key" :aria-label="$t('All keys')" @click="emit('keys')">?</button>
    </div>
  </header>
</template>
<style scoped>
.slug {
  display: flex;
  align-items: center;
  height: 56px;
  padding: 0 var(--s-page);
  gap: var(--s-4);
  flex: none;
}
.brand {
  display: flex;
  align-items: center;
  gap: var(--s-2);
  text-decoration: none;
  color: var(--text);
}
.word {
  font: 780 var(--t-h3) var(--f-head);
}
.job {
  border-inline-start: 1px solid var(--edge);
  padding-inline-start: var(--s-4);
  min-width: 0;
  flex: 0 1 300px;
  line-height: 1.15;
}
.title {
  min-height: 24px;
  display: flex;
  align-items: center;
  gap: var(--s-1);
  font-weight: 700;
  max-width: 100%;
}
.title span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
nav {
  display: flex;
  gap: 19px;
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
  flex-wrap: nowrap;
  flex: none;
  gap: 0;
  align-items: center;
}
.tool {
  display: flex;
  gap: var(--s-1);
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  padding: 0 var(--s-2);
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
.key {
  font-family: var(--f-code);
}
@media (max-width: 760px) {
  .slug {
    padding: 0 var(--s-3);
    gap: var(--s-2);
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
    gap: var(--s-3);
    overflow-x: auto;
    margin: 0;
  }
  .tools .tool {
    min-width: 36px;
    padding: 0 var(--s-1);
  }
}
</style>
