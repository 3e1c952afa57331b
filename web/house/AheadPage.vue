<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { aheadText, type AheadErrand } from '#core/phrases'
import { inZone } from '#core/time'
import { changed, inWorkshop } from '#core/workshop'
import LostPage from '../app/LostPage.vue'
import { useDesk } from '../app/desk'
import AheadErrands from './AheadErrands.vue'
import ShelfAhead from './ShelfAhead.vue'

/** What is ahead for all workshops of a house: errands by day, late ones first; what lies on the shelf, where, and from when it is ready. */
const route = useRoute()
const desk = useDesk()
const house = computed(() => desk.house(String(route.params['house'])))
const ids = computed(() =>
  desk.summaries.filter((s) => s.houseId === house.value?.id && !s.archivedAt && s.sessions.length > 0).map((s) => s.id),
)
watch(ids, (list) => desk.want(list), { immediate: true })
const planned = computed(() =>
  ids.value.flatMap((id) => {
    const [workshop, plan] = [desk.workshop(id), desk.planSoon(id)]
    return workshop && plan ? [{ workshop, plan }] : []
  }),
)
const waiting = computed(() => ids.value.length - planned.value.length)
const now = computed(() => inZone(desk.now, house.value!.timeZone))
const text = computed(() => aheadText(house.value!, planned.value, now.value))
const tick = (e: AheadErrand) =>
  desk.act({
    kind: 'errand-done',
    label: e.done ? tr('{0} is to be done again', e.what.toLowerCase()) : tr('{0} done', e.what.toLowerCase()),
    subject: { kind: 'workshop', id: e.workshop },
    changes: [changed(inWorkshop.errandsDone(e.errand), e.done ? e.errand : null, e.done ? null : e.errand)],
  })
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="roomy">
    <div class="head">
      <h1>{{ $t('Errands and shelf') }}</h1>
      <nav v-if="desk.houseList.length > 1" :aria-label="$t('House')" class="houses">
        <RouterLink v-for="h in desk.houseList" :key="h.id" :to="`/house/${h.id}/ahead`" :class="{ on: h.id === house.id }">{{
          h.name
        }}</RouterLink>
      </nav>
      <p class="two">{{ text.about }}</p>
      <v-btn :href="`/api/houses/${house.id}/ahead.pdf`" target="_blank" color="primary" variant="flat">{{ $t('Print it') }}</v-btn>
      <v-btn :href="`/api/houses/${house.id}/errands.ics`">{{ $t('As tasks') }}</v-btn>
    </div>
    <p v-if="waiting" class="two small" aria-live="polite">{{ $t('{0} workshops are still planned.', waiting) }}</p>
    <div class="cols">
      <section>
        <h2 class="sr">{{ $t('Errands') }}</h2>
        <p v-if="!text.days.length && !waiting" class="hollow">{{ $t('Nothing is due for any workshop of this house.') }}</p>
        <div v-for="d in text.days" :key="d.date" class="day" :class="{ late: d.date === 'late' }">
          <h3>{{ d.day }}</h3>
          <AheadErrands :errands="d.errands" @tick="tick" />
        </div>
        <details v-if="text.done.length">
          <summary class="opens">{{ $t('Done lately: {0}', text.done.length) }}</summary>
          <AheadErrands :errands="text.done" @tick="tick" />
        </details>
      </section>
      <ShelfAhead :house="house" :shelf="text.shelf" :now="now" />
    </div>
  </main>
</template>
<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-3);
  align-items: center;
  margin-bottom: var(--s-3);
}
.houses {
  display: flex;
  gap: var(--s-3);
}
.houses a {
  min-height: 24px;
}
.houses .on {
  font-weight: 700;
}
.head p {
  margin-inline-end: auto;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--s-6);
}
.day {
  margin-bottom: var(--s-4);
}
.day h3 {
  border-bottom: 2px solid var(--text);
}
.late h3 {
  color: var(--watch);
  border-color: var(--watch);
}
@media (max-width: 900px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
