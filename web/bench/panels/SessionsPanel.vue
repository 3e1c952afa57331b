<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, defineAsyncComponent } from 'vue'
import { addMinutes, clockOf, dateOf } from '#core/time'
import { changed, inWorkshop, type Session } from '#core/workshop'
import type { Bench } from '../useBench'
import ClassCard from './ClassCard.vue'
import StagePlaces from './StagePlaces.vue'

const SeriesFind = defineAsyncComponent(() => import('./SeriesFind.vue'))

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)

function add() {
  const usual = plan.value.nextClass
  const from = usual?.from ?? addMinutes(plan.value.sessions.at(-1)?.from ?? plan.value.now, 7 * 1440)
  const session: Session = {
    id: uuidv7(),
    date: dateOf(from),
    start: clockOf(from),
    end: clockOf(addMinutes(from, usual?.minutes ?? 180)),
    room: w.value.sessions.at(-1)?.room ?? tr('Craft room'),
  }
  props.bench.act('add-session', tr('a class was added'), [changed(inWorkshop.sessions(session.id), null, session)])
}
/** Held at home: the dates are the pick-up of the kits and the return of what is used again. */
const home = computed(() => w.value.held === 'home')
const addSaid = computed(() => {
  if (!home.value) return tr('Add a class')
  return w.value.sessions.length ? tr('Add the return') : tr('Add the pick-up')
})
/** The method has a wait between two sittings. */
const waits = computed(() => plan.value.stages.some((s) => s.then?.cures))
</script>
<template>
  <div>
    <div class="head inline wraps">
      <h1>{{ home ? $t('Pick-up and return') : $t('Classes') }}</h1>
      <v-btn :to="`/w/${w.id}/sessions`">{{ $t('Along the time') }}</v-btn><v-btn
        :disabled="w.sessions.length >= (home ? 2 : 5)"
        @click="add"
        >{{ addSaid }}</v-btn
      ><v-btn v-if="w.sessions.length" :href="`/api/workshops/${w.id}/sessions.ics`">{{ $t('Calendar') }}</v-btn>
    </div>
    <p v-if="plan.nextClass && !home && w.sessions.length < 5" class="small two">
      {{ $t('One class more would usually be {0}.', say.at(plan.nextClass.from)) }}
    </p>
    <p v-if="!plan.sessions.length" class="empty">
      <b>{{ home ? $t('No pick-up yet.') : $t('No class yet.') }}</b>
      <span v-if="home" class="two">{{
        $t('Kits are handed out on the first date; on a second one, brushes and cloths come back.')
      }}</span><span v-else class="two">{{
        $t('Add one; {0} wants {1}.', plan.recipe.name.toLowerCase(), waits ? $t('two, with a wait between') : $t('one'))
      }}</span>
    </p>
    <SeriesFind v-if="!home" :bench="bench" />
    <ClassCard v-for="s in plan.sessions" :key="s.id" :bench="bench" :placed="s" />
    <StagePlaces v-if="plan.sessions.length && !home" :bench="bench" />
  </div>
</template>
<style scoped>
.head h1 {
  margin-inline-end: auto;
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: var(--s-page);
  margin-top: var(--s-4);
}
</style>
