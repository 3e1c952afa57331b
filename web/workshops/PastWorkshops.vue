<script setup lang="ts">
import { ref } from 'vue'
import { placeLocal, sayShortDay } from '#core/time'
import type { arrange, Summary } from '#core/workshop'
import { useDesk } from '../app/desk'

/** Years that are over, folded, and what was put away. */
defineProps<{ arranged: ReturnType<typeof arrange> }>()
const emit = defineEmits<{ copy: [workshop: Summary]; archive: [workshop: Summary, on: boolean] }>()
const desk = useDesk()
const showArchive = ref(false)
const shownArchived = ref(40)
const unfolded = ref('')
const shownOfYear = ref(40)
const unfold = (year: string) => {
  unfolded.value = unfolded.value === year ? '' : year
  shownOfYear.value = 40
}
/** The day of a workshop's last class, by the clock of its house. */
const lastDay = (w: Summary) => {
  const last = w.sessions
    .map((s) => s.date)
    .sort()
    .at(-1)!
  return sayShortDay(placeLocal({ date: last, time: '12:00' }, desk.house(w.houseId)?.timeZone ?? 'UTC').at)
}
</script>
<template>
  <div v-for="y in arranged.years" :key="y.year" class="archive">
    <button type="button" class="plain" :aria-expanded="unfolded === y.year" @click="unfold(y.year)">
      {{ unfolded === y.year ? '▾' : '▸' }} <b>{{ y.year }}</b>, {{ y.workshops.length }}
      {{ y.workshops.length === 1 ? $t('workshop') : $t('workshops') }}
    </button>
    <ul v-if="unfolded === y.year">
      <li v-for="w in y.workshops.slice(-shownOfYear).reverse()" :key="w.id">
        <router-link :to="`/w/${w.id}/bench/kit`">{{ w.title }}</router-link>
        <span class="two">{{ $t('{0}, {1} people, {2}', desk.house(w.houseId)?.name, w.people, lastDay(w)) }}</span>
        <v-btn :aria-label="$t('Duplicate {0}', w.title)" @click="emit('copy', w)">{{ $t('Duplicate') }}</v-btn>
        <v-btn :aria-label="$t('Archive {0}', w.title)" @click="emit('archive', w, true)">{{ $t('Archive') }}</v-btn>
      </li>
      <li v-if="y.workshops.length > shownOfYear">
        <v-btn @click="shownOfYear += 40">{{ $t('Show 40 more') }}</v-btn>
      </li>
    </ul>
  </div>
  <div v-if="arranged.archived.length" class="archive">
    <button type="button" class="plain" :aria-expanded="showArchive" @click="showArchive = !showArchive">
      {{ showArchive ? '▾' : '▸' }} <b>{{ $t('{0} archived', arranged.archived.length) }}</b>
    </button>
    <ul v-if="showArchive">
      <li v-for="w in arranged.archived.slice(-shownArchived).reverse()" :key="w.id">
        <b>{{ w.title }}</b> <span class="two">{{ $t('{0}, {1} people', desk.house(w.houseId)?.name, w.people) }}</span>
        <v-btn @click="emit('archive', w, false)">{{ $t('Restore') }}</v-btn>
      </li>
      <li v-if="arranged.archived.length > shownArchived">
        <v-btn @click="shownArchived += 40">{{ $t('Show 40 more') }}</v-btn>
      </li>
    </ul>
  </div>
</template>
<style scoped>
.archive {
  padding: var(--s-3) 0;
}
.archive button {
  min-height: 44px;
}
ul {
  list-style: none;
  padding: 0;
}
.archive li {
  display: flex;
  gap: var(--s-3);
  align-items: center;
  padding: var(--s-1) 0;
}
.archive a {
  color: var(--text);
  font-weight: 700;
}
</style>
