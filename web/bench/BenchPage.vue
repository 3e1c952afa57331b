<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { decisionIds, type DecisionId, type Remedy } from '#core/plan'
import LostPage from '../app/LostPage.vue'
import TrimSheet from '../ui/TrimSheet.vue'
import DecisionChain from './DecisionChain.vue'
import MeansPullUp from './MeansPullUp.vue'
import WhatItMeans from './WhatItMeans.vue'
import { panelOf } from './panels'
import { useBench } from './useBench'

const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params['id']))
const panel = computed<DecisionId>(() => decisionIds.find((d) => d === route.params['panel']) ?? 'kit')
const bench = useBench(id)
const { workshop, house, plan, whole, say, since } = bench
const { width } = useDisplay()
const question = ref<ReturnType<typeof bench.people>>()

const DesignTabs = defineAsyncComponent(() => import('./DesignTabs.vue'))
const LeaveAsk = defineAsyncComponent(() => import('./LeaveAsk.vue'))
/** What is decided for each design by itself. */
const ofDesign = new Set<DecisionId>(['piece', 'method', 'pictures', 'kit', 'sessions'])
const several = computed(() => (workshop.value?.designs.length ?? 1) > 1 && ofDesign.has(panel.value))

const panels = new Map(decisionIds.map((d) => [d, defineAsyncComponent(panelOf[d])]))

const setPeople = (n: number) => (question.value = bench.people(n))
function removeAnyway() {
  const q = question.value!
  bench.act('headcount', tr('{0} went', q.names.join(', ')), q.changes, q.guards, q.intent)
  question.value = undefined
}
function take(r: Remedy) {
  if (r.link === 'house') void router.push(`/house/${workshop.value!.houseId}`)
  else bench.act('way-out', say.value!.remedy(r).toLowerCase(), r.changes)
}
const byKey = (e: Event) => setPeople(Math.min(400, Math.max(0, plan.value!.people + (e as CustomEvent<number>).detail)))
useEventListener(window, 'imprenta:people', byKey)
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !whole || !say" />
  <main v-else class="bench">
    <DecisionChain
      :id="id"
      :plan="whole"
      :say="say"
      :chosen="panel"
      :changed="since ? [...since.by.keys()] : []"
      :drawing="workshop.drawing"
      class="chain"
    >
      <template v-if="width <= 760" #default>
        <TrimSheet class="work"
          ><DesignTabs v-if="several" :bench="bench" :edit="panel === 'piece'" /><component
            :is="panels.get(panel)"
            :bench="bench"
            @people="setPeople"
            @take="take"
        /></TrimSheet>
      </template>
    </DecisionChain>
    <TrimSheet v-if="width > 760" class="work">
      <DesignTabs v-if="several" :bench="bench" :edit="panel === 'piece'" />
      <component :is="panels.get(panel)" :bench="bench" @people="setPeople" @take="take" />
    </TrimSheet>
    <component
      :is="width > 1100 ? WhatItMeans : MeansPullUp"
      :plan="whole"
      :say="say"
      :since="since"
      :effect="bench.effectSoon"
      @take="take"
    />
    <LeaveAsk v-if="question" :names="question.names" @keep="question = undefined" @take-out="removeAnyway" />
  </main>
</template>
<style scoped>
.bench {
  display: grid;
  grid-template-columns: 288px minmax(0, 630px) minmax(280px, 320px);
  gap: 0 var(--s-5);
  padding: var(--s-4) var(--s-page) var(--s-6) 0;
  align-items: start;
  justify-content: center;
}
.work {
  min-height: 600px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 240px minmax(0, 1fr);
    padding-bottom: 260px;
  }
}
@media (max-width: 760px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 0 260px;
    gap: 0;
  }
  .work {
    min-height: 0;
  }
}
@media (max-width: 1100px) and (max-height: 600px) {
  .bench {
    padding-bottom: 60px;
  }
}
</style>
