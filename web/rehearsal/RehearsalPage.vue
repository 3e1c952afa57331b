<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { figuresOf } from '#core/house'
import { rehearsalWays, type Remedy } from '#core/plan'
import { rehearsalOf } from '#core/sessions'
import { sayClock } from '#core/time'
import { inWorkshop } from '#core/workshop'
import LostPage from '../app/LostPage.vue'
import { usePageKeys } from '../app/usePageKeys'
import { useBench } from '../bench/useBench'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import { stationName } from '../room/boardLanes'
import { triedOneByOne } from '../room/tried'
import { useClass } from '../room/useClass'
import HundredPieces from './HundredPieces.vue'
import QueueProfile from './QueueProfile.vue'
import { runs, useRehearsal } from './useRehearsal'

const SpreadChart = defineAsyncComponent(() => import('./SpreadChart.vue'))

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say, whole } = bench
const { sessionId, session, load, choices, clock } = useClass(bench, 'rehearsal')
const wish = computed(() => workshop.value?.choices.wish ?? 90)
const figures = computed(() => figuresOf(house.value!))
const input = computed(() => (load.value && !load.value.room.empty ? rehearsalOf(load.value.room, figures.value, wish.value) : undefined))
const { story, refused, living, seed, problem, stop, chances } = useRehearsal(input)
const cleanUp = computed(() => load.value!.room.cleanUpMin)
const inTime = computed(() => Math.round(100 * (story.value?.chanceInTime ?? 0)))
/** What such a class is called: by the time of its day. */
const suchDays = computed(() => {
  const hour = Number(sayClock(session.value!.from, 24).slice(0, 2))
  return hour < 12 ? tr('such mornings') : hour < 17 ? tr('such afternoons') : tr('such evenings')
})
const tables = computed(() => {
  const at = new Map(load.value!.room.input.pieces.map((p) => [p.id, p.table]))
  const worst = new Map<string, number>()
  for (const [p, share] of Object.entries(story.value?.late ?? {})) worst.set(at.get(p)!, Math.max(worst.get(at.get(p)!) ?? 0, share))
  return [...worst].map(([table, share]) => ({ table, in100: Math.round(share) }))
})
const lastAtHome = computed(() => Math.max(0, ...tables.value.map((t) => t.in100)))
const profiles = computed(() =>
  (story.value?.profiles ?? []).filter((p) => p.work.some((n) => n > 0)).map((p) => ({ ...p, name: stationName(p.station ?? 'adults') })),
)

interface Way {
  remedy: Remedy
  in100: number
}
const ways = shallowRef<Way[]>([])
const chosen = ref<Way>()
let looked = 0
watch(
  () => [input.value && JSON.stringify(input.value), living.value] as const,
  async ([text, alive]) => {
    const mine = ++looked
    ways.value = []
    chosen.value = undefined
    if (!text || alive || !workshop.value) return
    const candidates = await triedOneByOne(
      bench,
      rehearsalWays(bench.desk.planInput(id.value)!, whole.value!, sessionId.value),
      sessionId.value,
      (other) => rehearsalOf(other.room, figures.value, wish.value),
      () => mine === looked,
    )
    if (mine !== looked) return
    await chances(
      candidates.map((c) => c.input),
      (i, chance) => {
        if (mine !== looked) return
        ways.value = [...ways.value, { remedy: candidates[i]!.remedy, in100: Math.round(100 * chance) }]
      },
    )
  },
  { immediate: true },
)
/** The chart is drawn when it is opened. */
const spread = ref(false)
const better = computed(() => ways.value.filter((w) => w.in100 > inTime.value).sort((a, b) => b.in100 - a.in100))
const useless = computed(() => ways.value.filter((w) => w.in100 <= inTime.value))
const reaches = computed(() => better.value.some((w) => w.in100 >= wish.value))
const setWish = (by: number) => {
  const to = Math.min(99, Math.max(50, wish.value + by))
  if (to !== wish.value) bench.set(inWorkshop.choices.wish, to, tr('{0} of a hundred are to end in time', to))
}
const planSo = () => chosen.value && bench.act('way-out', say.value!.remedy(chosen.value.remedy).toLowerCase(), chosen.value.remedy.changes)
const again = () => (seed.value += 1)
const nowSaid = computed(() => {
  const { p50, p90 } = story.value!.finishMin
  const [half, most] = [p50, p90].map((m) => clock(m + cleanUp.value))
  return tr('Now {0} of 100. Half are clean by {1}, nine of ten by {2}.', inTime.value, half!, most!)
})
usePageKeys({ '+': () => setWish(5), '=': () => setWish(5), '-': () => setWish(-5), Enter: () => (chosen.value ? planSo() : false) })
</script>
<template>
  <LostPage v-if="!workshop || !house || !whole || !say" />
  <main v-else-if="!load || !session || !input" class="roomy">
    <h1>{{ $t('Nothing to rehearse yet') }}</h1>
    <div class="hollow">{{ $t('With a class and people in it, it can be lived two thousand times here.') }}</div>
    <v-btn :to="`/w/${id}/bench/${load ? 'group' : 'sessions'}`" color="primary" variant="flat">{{
      load ? $t('Say who comes') : $t('Add a class')
    }}</v-btn>
  </main>
  <main v-else class="page">
    <section class="leaf">
      <div class="head">
        <h1 aria-live="polite">
          <template v-if="story">{{ $t('{0} of 100 {1} end in time', inTime, suchDays) }} <SourceMark mark="E" /></template>
          <template v-else>{{ $t('The class is lived') }}</template>
        </h1>
        <SegmentChoice v-if="choices.length > 1" v-model="sessionId" :options="choices" :label="$t('Class')" hide-label />
      </div>
      <p class="small two">
        {{ $t('Each piece is one of a hundred, laid at the minute when the room is clean; the ringed ones are late.') }}
      </p>
      <p v-if="problem || refused" class="stop">{{ problem || `${refused!.what} ${refused!.why}` }}</p>
      <HundredPieces
        v-if="story"
        :hundred="story.hundred.map((m) => m + cleanUp)"
        :end-min="session.minutes"
        :plan-min="load.neededMin"
        :clock="clock"
        :such="suchDays"
        :in-time="inTime"
      />
      <div v-if="story" class="below">
        <div>
          <h2>{{ $t('Where people wait') }}</h2>
          <p class="key small" aria-hidden="true">
            <i class="k waits" /> {{ $t('waiting as usual') }} <i class="k ten" /> {{ $t('one in ten') }} <i class="k work" />
            {{ $t('at work there') }}
          </p>
          <QueueProfile
            v-for="p in profiles"
            :key="p.name"
            :name="p.name"
            :profile="p"
            :bin-min="story.binMin"
            :last-min="Math.max(session.minutes, story.finishMin.p90)"
            :clock="clock"
          />
          <p v-if="!profiles.length" class="two">
            {{ $t('Nothing is counted that could be waited for: say places at stations in Room.') }}
          </p>
        </div>
        <div class="home">
          <h2>{{ $t('Who finishes at home') }}</h2>
          <p class="small two">{{ $t('in how many of 100') }}</p>
          <ul class="bare tables">
            <li v-for="x in tables" :key="x.table" :class="{ watch: x.in100 > 0 && x.in100 === lastAtHome }">
              <b class="tab">{{ x.table }}</b> {{ x.in100 }}
            </li>
          </ul>
          <p v-if="story.spoiledRuns >= 0.5" class="watch small">
            {{ $t('In {0} of 100 some step comes later than it may.', Math.round(story.spoiledRuns)) }}
          </p>
        </div>
      </div>
      <details v-if="story && !living" @toggle="spread = ($event.target as HTMLDetailsElement).open">
        <summary class="opens">{{ $t('How many are done, minute by minute') }}</summary>
        <SpreadChart v-if="spread" :story="story" :clock="clock" />
      </details>
    </section>
    <aside>
      <h2 class="rule">{{ $t('Your wish') }}</h2>
      <div class="apart">
        <span class="small two">{{ $t('Clean by {0}', clock(session.minutes)) }}</span>
        <span class="stepper" role="group" :aria-label="$t('Of a hundred so many are to end in time')">
          <v-btn :aria-label="$t('Fewer')" :disabled="wish <= 50" @click="setWish(-5)">−</v-btn>
          <b aria-live="polite">{{ $t('{0} in 100', wish) }}</b>
          <v-btn :aria-label="$t('More')" :disabled="wish >= 99" @click="setWish(5)">+</v-btn>
        </span>
      </div>
      <svg viewBox="0 0 280 30" class="gate" aria-hidden="true">
        <circle v-for="i in 10" :key="i" :cx="i * 26 - 10" cy="15" r="10" :class="{ reached: inTime >= i * 10 }" />
        <path :d="`M${wish * 2.6 + 3} 1v28`" class="wish" />
      </svg>
      <p v-if="story" class="small two">
        {{ nowSaid }}
        <SourceMark mark="E" />
      </p>
      <progress v-if="living" :value="story?.runs ?? 0" :max="runs" :aria-label="$t('Being lived')" />
      <v-btn v-if="living" @click="stop">{{ $t('Stop, and keep what is known') }}</v-btn>
      <h2 v-if="story && inTime < wish" class="watch">
        {{ living || ways.length === 0 || reaches ? $t('What reaches it') : $t('Nothing alone reaches it') }}
      </h2>
      <h2 v-else-if="story" class="ok">{{ $t('It reaches your wish') }}</h2>
      <div class="ways" role="radiogroup" :aria-label="$t('What would help')">
        <button
          v-for="(w, i) in better"
          :key="i"
          type="button"
          role="radio"
          class="plain way"
          :class="{ chosen: chosen === w }"
          :aria-checked="chosen === w"
          @click="chosen = w"
        >
          <b>{{ say.remedy(w.remedy) }}</b><span class="chance">{{ w.in100 }}</span
          ><span class="small two">{{ $t('in 100') }}</span>
        </button>
      </div>
      <p v-if="useless.length && inTime < 100" class="small">
        <b>{{ $t('Does not help:') }}</b> {{ useless.map((w) => `${say!.remedy(w.remedy).toLowerCase()} ${w.in100}`).join(', ') }}.
      </p>
      <h3 class="rule">{{ $t('Can you trust it?') }}</h3>
      <p class="small two">
        {{ $t('No forecast of this house has been lived yet: too few to judge. How long hands take are figures of the house.') }}
        <router-link :to="`/house/${house.id}/figures`">{{ $t('Figures') }}</router-link>
      </p>
      <div class="halves">
        <v-btn color="primary" variant="flat" :disabled="!chosen" @click="planSo">{{ $t('Plan it so') }}</v-btn>
        <v-btn :disabled="living" @click="again">{{ $t('Live it again') }}</v-btn>
      </div>
      <p class="small two code">{{ $t('lived {0} times, seed {1}', story?.runs ?? 0, seed) }}</p>
    </aside>
  </main>
</template>
<style scoped src="../room/beside.css"></style>
<style scoped src="./rehearsal.css"></style>
