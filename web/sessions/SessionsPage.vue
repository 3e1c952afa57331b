<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'
import { hoursOf, planWorkshop, type Remedy } from '#core/plan'
import { placeSessions } from '#core/sessions'
import { addMinutes } from '#core/time'
import { applyChanges, inWorkshop, moveSession, type Change, type Workshop } from '#core/workshop'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import FindingCard from '../ui/FindingCard.vue'
import type { SaidErrand } from './errands'
import TimeLane from './TimeLane.vue'
import ErrandList from './ErrandList.vue'

const AirPanel = defineAsyncComponent(() => import('./AirPanel.vue'))
const ClassLoads = defineAsyncComponent(() => import('./ClassLoads.vue'))
const SplitOffers = defineAsyncComponent(() => import('./SplitOffers.vue'))

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say } = bench
const moving = ref<{ session: string; by: number }>()

/** The workshop as it would be while a session is dragged; the verdict follows it. */
const held = computed<Workshop | undefined>(() => {
  const w = workshop.value
  const m = moving.value
  return w && m ? applyChanges<Workshop>(w, shift(w, m.session, m.by))! : w
})
const plan = computed(() =>
  moving.value && held.value && house.value && bench.plan.value
    ? planWorkshop({ ...bench.desk.planInput(held.value.id)!, workshop: held.value, now: bench.plan.value.now })
    : bench.plan.value,
)

function shift(w: Workshop, session: string, by: number): Change[] {
  const placed = bench.plan.value!.sessions.find((s) => s.id === session)!
  return moveSession(
    w.sessions.find((s) => s.id === session)!,
    addMinutes(placed.from, by),
    placed.minutes,
  )
}
const move = (session: string, by: number) => {
  const n = bench.plan.value!.sessions.find((s) => s.id === session)!.number
  bench.act(
    'move-session',
    tr('class {0} moved {1} {2}', n, say.value!.minutes(by), by > 0 ? tr('later') : tr('earlier')),
    shift(workshop.value!, session, by),
  )
}

/** Classes of other workshops of the house: who else is there about that time. */
const others = computed(() =>
  bench.desk.summaries
    .filter((s) => s.id !== id.value && s.houseId === house.value!.id && !s.archivedAt)
    .flatMap((s) =>
      placeSessions(s.sessions, hoursOf(house.value!), plan.value!.now).map((x) => ({
        title: s.title,
        from: x.from,
        to: x.to,
        room: x.room,
      })),
    ),
)
const errands = computed(() => plan.value!.errands.map((e): SaidErrand => ({ e, said: say.value!.errand(e) })))
const title = computed(() => plan.value?.sessions.map((s) => say.value!.at(s.from)).join(tr(', then ')) ?? '')
const cure = computed(() => plan.value?.split.cure)
const findings = computed(() => plan.value!.findings.filter((f) => f.decision === 'sessions'))

const done = (errand: string) =>
  bench.set(inWorkshop.errandsDone(errand), workshop.value!.errandsDone.includes(errand) ? null : errand, tr('an errand was ticked'))
const take = (r: Remedy) => r.changes.length && bench.act('way-out', say.value!.remedy(r).toLowerCase(), r.changes)
const wide = useMediaQuery('(min-width: 761px)')
const curing = computed(() => {
  const [c, s] = [cure.value!, say.value!]
  const least = [s.at(c.earliestAt), s.minutes(c.requiredMin)]
  return tr('Earliest {0} ({1}), better from {2} ({3}).', ...least, s.at(c.recommendedAt), s.minutes(c.recommendedMin))
})
const nothing = computed(() =>
  workshop.value?.held === 'home'
    ? tr('Kits are handed out first; what is used again comes back.')
    : tr('Nothing has to cure between classes.'),
)
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else-if="!plan.sessions.length" class="page">
    <h1>{{ $t('No class yet') }}</h1>
    <div class="hollow">{{ $t('Here will be the time from the first errand to the last class.') }}</div>
    <v-btn :to="`/w/${id}/bench/sessions`" color="primary" variant="flat">{{ $t('Add a class') }}</v-btn>
  </main>
  <main v-else class="page">
    <div class="head">
      <h1>{{ title }}</h1>
      <p class="key small" aria-hidden="true">
        <i class="night" /> {{ $t('night') }} <i class="closed" /> {{ $t('closed') }} <i class="cured" /> {{ $t('on the shelf') }}
      </p>
      <v-btn :to="`/w/${id}/bench/sessions`">{{ $t('Type the times') }}</v-btn><v-btn :href="`/api/workshops/${id}/sessions.ics`">{{
        $t('Calendar')
      }}</v-btn
      ><v-btn color="primary" variant="flat" :href="`/api/workshops/${id}/before.pdf`" target="_blank">{{ $t('Before the class') }}</v-btn>
    </div>
    <TimeLane
      v-if="wide"
      :stored="bench.plan.value!"
      :plan="plan"
      :house="house"
      :say="say"
      :errands="errands"
      :others="others"
      :moving="moving"
      @hold="moving = $event"
      @move="move"
    />
    <ClassLoads v-if="wide && plan.loads.length" :plan="plan" :stored="bench.plan.value!" :house="house" :workshop="id" />
    <p aria-live="polite" class="verdict">
      <template v-if="cure"
        ><b :class="{ ready: 'ok', risky: 'watch', 'too soon': 'stop' }[cure.verdict]">{{
          cure.verdict === 'ready' ? $t('Ready by then.') : cure.verdict === 'risky' ? $t('Risky by then.') : $t('Too soon.')
        }}</b>
        {{ curing }}</template
      ><template v-else>{{ nothing }}</template>
      <span class="two">&ensp;{{ $t('Drag a class along the time, or choose it and use the arrow keys.') }}</span>
    </p>
    <div class="cols">
      <section>
        <h2>{{ $t('Errands') }}</h2>
        <ErrandList :errands="errands" :say="say" @done="done" />
        <p class="small two">
          <RouterLink :to="`/house/${house.id}/ahead`">{{ $t('The errands of all workshops') }}</RouterLink>.
          <a :href="`/api/workshops/${id}/errands.ics`">{{ $t('As tasks for a calendar program') }}</a>.
          {{ $t('To follow these classes and errands, subscribe to') }}
          <a :href="`/api/workshops/${id}/feed.ics`">{{ $t('this address') }}</a>.
        </p>
      </section>
      <section>
        <h2>{{ $t('What stands against it') }}</h2>
        <FindingCard v-for="(f, i) in findings" :key="i" :finding="f" :say="say" :effect="bench.effect" @take="take" />
        <p v-if="!findings.length" class="ok">{{ $t('Nothing.') }}</p>
      </section>
    </div>
    <AirPanel v-if="plan.split.cure" :bench="bench" />
    <SplitOffers v-if="workshop.held !== 'home'" :bench="bench" />
  </main>
</template>
<style scoped>
.page {
  padding: var(--s-3) var(--s-page) var(--s-6);
  display: grid;
  gap: var(--s-3);
  align-content: start;
}
.head {
  display: flex;
  gap: var(--s-3);
  align-items: center;
  flex-wrap: wrap;
}
.head h1 {
  margin-inline-end: auto;
  font-size: var(--t-big);
}
.key i {
  position: static;
  display: inline-block;
  width: 26px;
  height: 14px;
  margin-inline-start: var(--s-2);
  vertical-align: -2px;
}
.cured {
  background: var(--ink);
  opacity: 0.4;
}
.night,
.closed {
  position: absolute;
  top: 30px;
  bottom: 0;
}
.night {
  background: var(--night);
}
.closed {
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hatch) 6px 7.5px);
}
.cols {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: var(--s-6);
}
.page > .v-btn {
  justify-self: start;
}
@media (max-width: 760px) {
  .cols {
    grid-template-columns: 1fr;
  }
  .head h1 {
    font-size: var(--t-h3);
  }
}
</style>
