<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { dryingAt, pinChange, roomWays, type Remedy } from '#core/plan'
import { keepPlan } from '#core/room'
import { queuesOf, runLines, storyOf, type ClassRoom, type Queue } from '#core/sessions'
import { sayShortDay } from '#core/time'
import { change, inWorkshop } from '#core/workshop'
import LostPage from '../app/LostPage.vue'
import { usePageKeys } from '../app/usePageKeys'
import { useBench } from '../bench/useBench'
import SegmentChoice from '../ui/SegmentChoice.vue'
import { later } from '../ui/later'
import SourceMark from '../ui/SourceMark.vue'
import ComesLater from './ComesLater.vue'
import RoomBoard from './RoomBoard.vue'
import RunList from './RunList.vue'
import ShowAll from './ShowAll.vue'
import { stationName } from './boardLanes'
import { triedOneByOne } from './tried'
import { useClass } from './useClass'
import { useRoom } from './useRoom'

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say, whole } = bench
const { sessionId, session, load, choices, clock } = useClass(bench, 'room')
const input = computed(() => load.value?.room.input)
const quick = computed(() => load.value?.room.plan)
const settled = computed(() => load.value?.room.kept ?? false)
const { plan, share, problem, stop, finishes } = useRoom(input, quick, settled)
const room = computed((): ClassRoom | undefined => (load.value && plan.value ? { ...load.value.room, plan: plan.value } : load.value?.room))
const story = computed(() => room.value && storyOf(room.value))
const run = computed(() => workshop.value?.sessions.find((s) => s.id === sessionId.value))
const people = computed(
  () => new Map(workshop.value!.group.participants.map((p) => [p.id, p.name ?? whole.value!.seats[p.id] ?? `${p.seat}`])),
)
const called = (p: string) => people.value.get(p) ?? tr('a piece')
const open = ref(new Set<string>())
watch(sessionId, () => (open.value = new Set()))

const shows = computed(() => {
  const r = room.value!
  return [
    ...(r.setUpMin > 0 ? [{ fromMin: 0, toMin: r.setUpMin, what: tr('set up'), pinned: false }] : []),
    ...(r.showMin > 0 ? [{ fromMin: r.setUpMin, toMin: r.setUpMin + r.showMin, what: tr('show all'), pinned: false }] : []),
    ...(run.value?.shows ?? []).map((x) => ({
      fromMin: x.atMin,
      toMin: x.atMin + x.minutes,
      what: x.what || tr('show all'),
      pinned: true,
    })),
  ]
})
const lines = computed(() => runLines(room.value!, run.value?.shows))
const drying = computed(() => (run.value ? dryingAt(workshop.value!, house.value!, run.value) : 1))
const finish = computed(() => plan.value?.finishMin ?? 0)
const clean = computed(() => finish.value + (room.value?.cleanUpMin ?? 0))
const free = computed(() => session.value!.minutes - clean.value)
const lastTable = computed(() => {
  const rows = story.value!.rows
  return rows.reduce((a, b) => (b.endMin > a.endMin ? b : a)).table
})
const queues = computed(() => queuesOf(room.value!).filter((q) => q.longestMin > 0 && (q.at !== 'show' || run.value?.shows?.length)))
const waiting = computed(() => plan.value!.waitingMin)

/** The board and the list follow the head one after another: a change of class holds nothing up. */
const board = later(() => {
  if (!story.value || !session.value) return undefined
  const { rows, stations } = story.value
  return { rows, stations, shows: shows.value, cleanFrom: finish.value, cleanTo: clean.value, endMin: session.value.minutes }
})
const list = later(() => (story.value ? { lines: lines.value, tables: story.value.rows } : undefined), 2)

function pin(who: string[], stage: string, atMin: number | null) {
  const label = atMin === null ? tr('a pin was taken out') : tr('{0} was pinned to {1}', called(who[0]!), clock(atMin))
  bench.act('pin', label, [pinChange(workshop.value!, sessionId.value, who, stage, atMin)])
}
/** What the server prints is the kept plan, or the one that comes at once. */
const prints = computed(() => room.value!.kept || plan.value === quick.value)
const pins = computed(() => Object.values(run.value?.pins ?? {}).reduce((n, p) => n + Object.keys(p).length, 0))

/** Ways out and when the class is done by each, found one after another beside the page. */
interface Way {
  remedy: Remedy
  finishMin: number
}
const ways = shallowRef<Way[]>([])
let looked = 0
watch(
  () => [input.value && JSON.stringify(input.value), share.value === 1] as const,
  async ([text, ready]) => {
    const look = ++looked
    ways.value = []
    if (!text || !ready || !workshop.value) return
    const mine = sessionId.value
    const candidates = await triedOneByOne(
      bench,
      roomWays(bench.desk.planInput(id.value)!, whole.value!, mine),
      mine,
      (other) => other.room.input,
      () => look === looked,
    )
    // Shown when all are known: nothing moves under a finger.
    const found: Way[] = []
    await finishes(
      candidates.map((c) => c.input),
      (i, finishMin) => void found.push({ remedy: candidates[i]!.remedy, finishMin }),
    )
    if (look === looked) ways.value = found
  },
  { immediate: true },
)
const helpful = computed(() => ways.value.filter((w) => w.finishMin < finish.value).sort((a, b) => a.finishMin - b.finishMin))
const useless = computed(() => ways.value.filter((w) => w.finishMin >= finish.value))
const take = (r: Remedy) => bench.act('way-out', say.value!.remedy(r).toLowerCase(), r.changes)
const keep = () =>
  bench.set(
    inWorkshop.sessions(sessionId.value).kept,
    keepPlan(input.value!, plan.value!, 1),
    tr('the plan of class {0} was kept', session.value!.number),
  )
const unpin = () =>
  bench.act('pin', tr('all pins were taken out'), [change(workshop.value!, inWorkshop.sessions(sessionId.value).pins, null)])
const forget = () =>
  bench.act('keep', tr('the kept plan was let go'), [change(workshop.value!, inWorkshop.sessions(sessionId.value).kept, null)])

const cleanSaid = computed(() => {
  const [at, end, left] = [clock(clean.value), clock(session.value!.minutes), say.value!.minutes(Math.abs(free.value))]
  return free.value >= 0
    ? tr('Clean by {0}; {1} free until the room ends at {2}.', at, left, end)
    : tr('Clean by {0}: {1} after the room ends at {2}.', at, left, end)
})
const queueSaid = ({ places, most, mostAtMin, longestMin }: Queue) =>
  places === null
    ? tr('{0} wait at once, up to {1}.', most, say.value!.minutes(longestMin))
    : tr('{0} places: {1} wait at once at {2}, up to {3}.', places, most, clock(mostAtMin), say.value!.minutes(longestMin))
usePageKeys(
  Object.fromEntries([1, 2, 3, 4, 5].map((n) => [`${n}`, () => (helpful.value[n - 1] ? take(helpful.value[n - 1]!.remedy) : false)])),
)
</script>
<template>
  <LostPage v-if="!workshop || !house || !whole || !say" />
  <main v-else-if="!load || !session || !room || !story" class="roomy">
    <h1>{{ $t('No class to plan yet') }}</h1>
    <div class="hollow">{{ $t('Here will be each table’s strip under the minutes of a class, and the stations below.') }}</div>
    <v-btn :to="`/w/${id}/bench/sessions`" color="primary" variant="flat">{{ $t('Add a class') }}</v-btn>
  </main>
  <main v-else class="page">
    <section class="plan">
      <div class="head">
        <h1>{{ $t('{0}, minute by minute', sayShortDay(session.from)) }}</h1>
        <SegmentChoice v-if="choices.length > 1" v-model="sessionId" :options="choices" :label="$t('Class')" hide-label />
        <v-btn :to="`/w/${id}/floor/${sessionId}`">{{ $t('Floor') }}</v-btn>
        <p class="small two">
          {{ $t('Class {0}, {1} to {2}. Open a table and drag a stage to pin it.', session.number, clock(0), clock(session.minutes)) }}
        </p>
      </div>
      <div v-if="room.empty" class="hollow">{{ $t('Nobody is in this class yet: one piece stands in.') }}</div>
      <RoomBoard v-model:open="open" v-if="board" v-bind="board" :clock="clock" :called="called" @pin="pin" />
      <p class="key small" aria-hidden="true">
        <i class="k hands" /> {{ $t('hands on it') }} <i class="k alone" /> {{ $t('it dries alone') }} <i class="k waits" />
        {{ $t('somebody waits') }}
        <span class="two">{{ $t('a strip is as high as its table has people') }}</span>
      </p>
      <RunList
        v-if="list"
        v-bind="list"
        :clock="clock"
        :called="called"
        :prints="prints"
        :pdf="`/api/workshops/${id}/run.pdf?session=${sessionId}`"
        @keep="keep"
      />
    </section>
    <aside>
      <h2 class="rule">{{ $t('What holds it up') }}</h2>
      <p class="small two">{{ $t('Last piece done, table {0}', lastTable) }}</p>
      <p class="last" aria-live="polite">
        <b class="poster">{{ clock(finish) }}</b><SourceMark mark="E" />
        <span v-if="share < 1" class="two"
          >{{ $t('so far') }} <v-btn size="small" @click="stop">{{ $t('Stop') }}</v-btn></span
        >
        <b v-else-if="plan!.finishMin === plan!.lowerBoundMin">{{ $t('No plan can be sooner.') }}</b>
        <b v-else>{{ $t('No plan can be done before {0}.', clock(plan!.lowerBoundMin)) }}</b>
      </p>
      <progress v-if="share < 1" :value="share" max="1" :aria-label="$t('A better plan is looked for')" />
      <p v-if="problem" class="stop">{{ problem }}</p>
      <p :class="free >= 0 ? 'ok' : 'stop'">
        {{ cleanSaid }}
      </p>
      <p v-if="drying > 1" class="small watch">{{ $t('What dries in this class takes {0} times as long.', drying) }}</p>
      <article v-for="q in queues.slice(0, 2)" :key="q.at" class="held">
        <h3>{{ q.at === 'show' ? $t('While something is shown') : stationName(q.at) }}</h3>
        <p class="small two">
          {{ queueSaid(q) }}
        </p>
      </article>
      <p v-if="waiting > 0" class="small two">
        {{ $t('{0} of waiting in all, {1} a head.', say.minutes(waiting), say.minutes(Math.round(waiting / story.rows.length))) }}
      </p>
      <p v-else class="ok">{{ $t('Nobody waits.') }}</p>
      <div class="ways">
        <v-btn v-for="(w, i) in helpful" :key="i" class="way" @click="take(w.remedy)">
          <b>{{ say.remedy(w.remedy) }}</b>&ensp;<span class="saves">−{{ finish - w.finishMin }} min</span>&ensp;<span class="two">{{
            $t('done {0}', clock(w.finishMin))
          }}</span>
        </v-btn>
      </div>
      <p v-if="useless.length" class="small">
        <b>{{ $t('Would save nothing:') }}</b> {{ useless.map((w) => say!.remedy(w.remedy).toLowerCase()).join(', ') }}.
      </p>
      <ShowAll :bench="bench" :session="sessionId" :from="session.from" :clock="clock" />
      <ComesLater
        v-if="!room.empty"
        :bench="bench"
        :session="sessionId"
        :people="story.rows.map((r) => r.person)"
        :called="called"
        :clock="clock"
      />
      <div class="foot">
        <p v-if="room.kept" class="small">
          {{ $t('This plan is kept: it is what is printed.') }} <v-btn size="small" @click="forget">{{ $t('Let it go') }}</v-btn>
        </p>
        <v-btn v-else :disabled="share < 1 || room.empty" @click="keep">{{ $t('Keep this plan') }}</v-btn>
        <v-btn v-if="pins" @click="unpin">{{ pins === 1 ? $t('Take out the pin') : $t('Take out {0} pins', pins) }}</v-btn>
        <v-btn color="primary" variant="flat" :to="`/w/${id}/rehearsal/${sessionId}`">{{ $t('Rehearse it') }}</v-btn>
      </div>
    </aside>
  </main>
</template>
<style scoped src="./beside.css"></style>
<style scoped src="./room.css"></style>
