<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { inZone, minutesBetween, placeLocal, roundUpToHour, sayClock, sayDay, sayShortDay } from '#core/time'
import { clockOf } from '#core/house'
import { sayMinutes } from '#core/phrases'
import { arrange, changed, copyOf, inWorkshop, newWorkshop, pieceOf, type Summary, type Workshop } from '#core/workshop'
import { api } from '../app/api'
import { useDesk } from '../app/desk'
import { useBringIn } from '../app/useBringIn'
import BecauseFigure from '../ui/BecauseFigure.vue'
import PieceToken from '../ui/PieceToken.vue'
import TrimSheet from '../ui/TrimSheet.vue'
import ProofStrips from './ProofStrips.vue'

const desk = useDesk()
const router = useRouter()
const { incoming, problem, bringIn } = useBringIn(async (text) => (await api.lookAtWorkshop(text)).workshop)
const showArchive = ref(false)
const shownArchived = ref(40)
/** The local time of each house, worked out once a minute. */
const local = computed(() => new Map(desk.houseList.map((h) => [h.id, inZone(desk.now, h.timeZone).slice(0, 16)])))
const nowLocal = (houseId: string) => local.value.get(houseId) ?? desk.now.slice(0, 16)
const arranged = computed(() => arrange(desk.summaries, nowLocal))
/** The soonest workshops are here whole: what is due is looked for in their plans. */
const soonest = computed(() => arranged.value.coming.slice(0, 12).map((w) => w.id))
watch(soonest, (ids) => desk.want(ids), { immediate: true })
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

/** The next class of all: the session that ends next. */
const next = computed(() => {
  const w = soonest.value.length ? desk.workshop(soonest.value[0]!) : undefined
  // Planned when the page stands: nothing waits for it.
  const plan = w && desk.planSoon(w.id)
  const s = plan?.sessions.find((x) => minutesBetween(desk.now, x.to) > 0)
  if (!w || !plan || !s) return undefined
  const first = { w, s }
  const house = desk.house(first.w.houseId)!
  const now = inZone(desk.now, house.timeZone)
  const until = minutesBetween(now, first.s.from)
  const load = plan.loads.find((l) => l.sessionId === first.s.id)
  return {
    ...first,
    house,
    plan,
    say: desk.say(house),
    until,
    load,
    stages: [...new Set((load?.parts ?? []).flatMap((p) => p.load.stages.filter((x) => x.attended).map((x) => tr(x.name).toLowerCase())))],
  }
})
const errands = computed(() =>
  soonest.value
    .flatMap((id) => {
      const [w, plan] = [desk.workshop(id), desk.planSoon(id)]
      if (!w || !plan) return []
      const say = desk.say(desk.house(w.houseId)!)
      const over = (session: string) => minutesBetween(desk.now, plan.sessions.find((s) => s.id === session)?.to ?? desk.now) <= 0
      return plan.errands
        .filter((e) => e.state !== 'done' && !over(e.sessionId))
        .map((e) => ({ w, e, say, left: minutesBetween(desk.now, e.by) }))
    })
    .sort((a, b) => a.left - b.left),
)
const due = computed(() => errands.value[0])
const did = (x: NonNullable<typeof due.value>) =>
  desk.act({
    kind: 'errand-done',
    label: tr('{0} done', x.say.errand(x.e).title.toLowerCase()),
    subject: { kind: 'workshop', id: x.w.id },
    changes: [changed(inWorkshop.errandsDone(x.e.id), null, x.e.id)],
  })
const dueIn = (min: number) => (min < 0 ? tr('Late by {0}', sayMinutes(min)) : tr('Due in {0}', sayMinutes(min)))
/** Who needs a thought: who has no piece laid, who misses the next class. */
const people = computed(() => {
  const n = next.value
  if (!n) return []
  return n.plan.takeHome.flatMap((t) => {
    const p = n.w.group.participants.find((x) => x.id === t.participant)!
    const piece = pieceOf(n.w, p.id, t.design, t.number)
    const name = p.name ?? tr('Seat {0}', n.plan.seats[p.id])
    if (p.misses.includes(n.s.id)) return [{ name, what: tr('misses this class'), state: piece?.state }]
    if (t.group === 'not-laid' && p.misses.length) return [{ name, what: tr('missed the laying: no piece yet'), state: undefined }]
    return []
  })
})
const laidCount = computed(() => next.value?.w.pieces.filter((p) => p.laidAt).length ?? 0)
const shelf = computed(() => {
  const n = next.value
  if (!n?.plan.shelf || laidCount.value === 0) return undefined
  const pieces = n.w.pieces.filter((p) => p.state !== 'to-print' && p.state !== 'printed' && p.state !== 'sealed')
  return { pieces, free: Math.max(0, n.plan.shelf.capacity - pieces.length), capacity: n.plan.shelf.capacity }
})
/** When what lies there may be rubbed: the same times as everywhere else, from what was really laid. */
const shelfTimes = computed(() => {
  const n = next.value
  const cure = n?.plan.split.cure
  const laid = [...(shelf.value?.pieces ?? [])].flatMap((p) => p.laidAt ?? []).sort((a, b) => minutesBetween(a, b))[0]
  const told = n?.plan.takeHome.find((t) => t.ready && t.known)?.ready ?? n?.plan.takeHome.find((t) => t.ready)?.ready
  if (!n || !cure || !laid) return undefined
  return { laid, earliest: n.say.at(cure.earliestAt), better: n.say.at(told?.tellAt ?? roundUpToHour(cure.recommendedAt)) }
})
function create(w: Workshop, label: string) {
  desk.act({ kind: 'create', label, subject: { kind: 'workshop', id: w.id }, changes: [changed(inWorkshop, null, w)] })
  void router.push(`/w/${w.id}/bench/group`)
}
const makeNew = (houseId: string) =>
  create(
    newWorkshop({ id: uuidv7(), design: uuidv7(), participants: [] }, houseId, tr('A new workshop'), desk.now),
    tr('a workshop was made'),
  )
/** A workshop of the list, whole: fetched when something is done with it. */
async function whole(id: string): Promise<Workshop | undefined> {
  desk.want([id])
  if (!desk.workshop(id)) await desk.refresh({ kind: 'workshop', id })
  return desk.workshop(id)
}
async function duplicate(listed: Summary) {
  const w = await whole(listed.id)
  if (w) create(copyOf(w, { title: tr('{0}, again', w.title), houseId: w.houseId, at: desk.now }, uuidv7), tr('{0} was copied', w.title))
}
const archive = (w: Summary, on: boolean) =>
  desk.act({
    kind: on ? 'archive' : 'restore',
    label: `${w.title} ${on ? 'archived' : 'restored'}`,
    subject: { kind: 'workshop', id: w.id },
    changes: [changed(inWorkshop.archivedAt, w.archivedAt, on ? desk.now : null)],
  })
function takeIn() {
  const w = incoming.value!
  const house = desk.house(w.houseId) ?? desk.houseList[0]!
  const known = desk.summaries.some((x) => x.id === w.id)
  incoming.value = undefined
  create(
    {
      ...w,
      houseId: house.id,
      id: known ? uuidv7() : w.id,
      title: known ? tr('{0}, from a file', w.title).slice(0, 120) : w.title,
      archivedAt: null,
    },
    tr('{0} came in from a file', w.title),
  )
}
</script>
<template>
  <main class="page">
    <TrimSheet v-if="next" class="next">
      <div class="a">
        <p class="two small">{{ $t('Next class') }}</p>
        <h2 class="t">
          <router-link :to="`/w/${next.w.id}/bench/kit`">{{ next.w.title }}</router-link>
        </h2>
        <h1 class="in">
          {{
            next.until <= 0
              ? $t('now')
              : next.until < 48 * 60
                ? $t('in {0}', next.until < 120 ? $t('{0} minutes', Math.ceil(next.until)) : $t('{0} hours', Math.round(next.until / 60)))
                : $t('in {0} days', Math.round(next.until / 1440))
          }}
        </h1>
        <p>
          <b>{{ sayDay(next.s.from) }} {{ sayClock(next.s.from, clockOf(next.house)) }}</b>
          {{ $t('to {0}', sayClock(next.s.to, clockOf(next.house))) }}
        </p>
        <p class="two small">
          {{ $t('class {0} of {1}: {2}', next.s.number, next.plan.sessions.length, next.stages.join(' · ')) }}<br />{{
            $t('{0}, {1}. Set-up is inside the booking.', next.house.name, next.s.room)
          }}
        </p>
        <div class="row">
          <v-btn color="primary" variant="flat" :href="`/api/workshops/${next.w.id}/take-home.pdf`" target="_blank">{{
            $t('Print all sheets')
          }}</v-btn><v-btn :href="`/api/workshops/${next.w.id}/before.pdf`" target="_blank">{{ $t('Before the class') }}</v-btn>
        </div>
        <p class="two small">{{ $t('{0} take-home sheets, one PDF', next.plan.takeHome.length) }}</p>
      </div>
      <div class="b">
        <div v-if="due" class="flag">
          <p class="small">
            <b>{{ dueIn(due.left) }}</b>
          </p>
          <h3>{{ due.say.errand(due.e).title }}</h3>
          <p>
            {{
              $t('{0}, by {1}{2}', due.w.title, due.say.at(due.e.by), due.say.errand(due.e).body ? `: ${due.say.errand(due.e).body}` : '')
            }}
          </p>
        </div>
        <p v-else class="ok">{{ $t('Nothing is due.') }}</p>
        <div class="row">
          <v-btn v-if="due" @click="did(due)">{{ $t('Done') }}</v-btn><span v-if="errands.length > 1" class="small two">{{
            $t(
              '{0} more: {1}',
              errands.length - 1,
              errands
                .slice(1, 3)
                .map((x) => x.say.errand(x.e).title.toLowerCase())
                .join(', '),
            )
          }}</span>
        </div>
        <h3 class="gap">
          {{ $t('Who') }}
          <span class="two small light">{{
            laidCount ? $t('{0} of {1} have laid', laidCount, next.plan.people) : $t('{0} come', next.plan.people)
          }}</span>
        </h3>
        <p v-for="p in people" :key="p.name" class="person">
          <PieceToken :state="p.state ?? 'to-print'" :size="24" /> <b>{{ p.name }}</b> <span class="two">{{ p.what }}</span>
        </p>
        <p v-if="!people.length" class="two small">{{ $t('Everybody is expected.') }}</p>
      </div>
      <div class="c">
        <template v-if="shelf">
          <h3>
            {{ $t('Shelf') }} <span class="two small light">{{ $t('{0} of {1} places', shelf.pieces.length, shelf.capacity) }}</span>
          </h3>
          <div class="board">
            <PieceToken v-for="p in shelf.pieces" :key="p.id" :state="p.state" :size="25" /><i
              v-for="n in Math.min(shelf.free, 8)"
              :key="n"
              class="free"
            />
          </div>
          <p v-if="shelfTimes" class="small">
            <b class="fig20">{{ $t('Ready {0}', shelfTimes.better) }}</b><br /><b>{{ $t('Never before {0}', shelfTimes.earliest) }}</b
            ><br /><span class="two"
              >{{ $t('laid {0};', next.say.at(shelfTimes.laid)) }}
              <BecauseFigure quiet :figure="next.plan.figures['cure-better']!" :say="next.say" :name="$t('Cure')" />{{ $t(', least') }}
              <BecauseFigure quiet :figure="next.plan.figures['cure-least']!" :say="next.say" :name="$t('Least cure')"
            /></span>
          </p>
        </template>
        <template v-else
          ><h3>{{ $t('Shelf') }}</h3>
          <p class="two small">{{ $t('Nothing is on it.') }}</p></template
        >
        <p v-if="next.plan.adults.matters" class="gap">
          <BecauseFigure :figure="next.plan.figures['adults']!" :say="next.say" :name="$t('Adults needed')" />
          <b>{{ next.plan.adults.needed === 1 ? $t('adult needed') : $t('adults needed') }}</b>,
          <span :class="next.plan.adults.coming >= next.plan.adults.needed ? 'ok' : 'watch'">{{
            $t('{0} coming', next.plan.adults.coming)
          }}</span>
        </p>
        <p
          v-for="(f, i) in next.plan.findings.filter((x) => x.level !== 'note').slice(0, 2)"
          :key="i"
          :class="f.level === 'stop' ? 'stop' : 'watch'"
        >
          <b>{{ next.say.finding(f).title }}</b>
        </p>
      </div>
    </TrimSheet>
    <TrimSheet v-else-if="arranged.coming.length" class="next coming" aria-busy="true">
      <div class="a">
        <p class="two small">{{ $t('Next class') }}</p>
        <h2 class="t">{{ arranged.coming[0]!.title }}</h2>
      </div>
    </TrimSheet>
    <TrimSheet v-else class="empty"
      ><h1>{{ $t('No class ahead') }}</h1>
      <p class="two">
        {{
          arranged.listed.length
            ? $t('None of the workshops has a date to come.')
            : $t('Make the first workshop: how many people, what they make, when.')
        }}
      </p></TrimSheet
    >
    <div class="all">
      <h2>{{ $t('All workshops') }}</h2>
      <v-menu v-if="desk.houseList.length > 1"
        ><template #activator="{ props: p }"
          ><v-btn v-bind="p">{{ $t('New') }}</v-btn></template
        ><v-list><v-list-item v-for="h in desk.houseList" :key="h.id" :title="$t('at {0}', h.name)" @click="makeNew(h.id)" /></v-list
      ></v-menu>
      <v-btn v-else @click="makeNew(desk.houseList[0]!.id)">{{ $t('New') }}</v-btn>
      <v-btn tag="label">{{ $t('Bring one in') }}<input class="sr" type="file" accept=".json,application/json" @change="bringIn" /></v-btn>
      <span v-if="problem" role="alert" class="stop"
        ><b>{{ problem.what }}</b> {{ problem.path }}. {{ problem.remedy }}</span
      >
      <span v-if="incoming" class="incoming"
        ><b>{{ incoming.title }}</b
        >{{ $t(', {0} people, {1} classes.', incoming.group.participants.length, incoming.sessions.length) }}
        <v-btn color="primary" variant="flat" @click="takeIn">{{ $t('Bring it in') }}</v-btn>
        <v-btn @click="incoming = undefined">{{ $t('Leave it') }}</v-btn></span
      >
    </div>
    <ProofStrips v-if="arranged.listed.length" :workshops="arranged.listed" @copy="duplicate" @archive="archive($event, true)" />
    <div v-else class="outline">{{ $t('Here will be a strip of paper for each workshop, from its making to its last date.') }}</div>
    <div v-for="y in arranged.years" :key="y.year" class="archive">
      <button type="button" class="plain" :aria-expanded="unfolded === y.year" @click="unfold(y.year)">
        {{ unfolded === y.year ? '▾' : '▸' }} <b>{{ y.year }}</b>, {{ y.workshops.length }}
        {{ y.workshops.length === 1 ? $t('workshop') : $t('workshops') }}
      </button>
      <ul v-if="unfolded === y.year">
        <li v-for="w in y.workshops.slice(-shownOfYear).reverse()" :key="w.id">
          <router-link :to="`/w/${w.id}/bench/kit`">{{ w.title }}</router-link>
          <span class="two">{{ $t('{0}, {1} people, {2}', desk.house(w.houseId)?.name, w.people, lastDay(w)) }}</span>
          <v-btn :aria-label="$t('Duplicate {0}', w.title)" @click="duplicate(w)">{{ $t('Duplicate') }}</v-btn>
          <v-btn :aria-label="$t('Archive {0}', w.title)" @click="archive(w, true)">{{ $t('Archive') }}</v-btn>
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
          <v-btn @click="archive(w, false)">{{ $t('Restore') }}</v-btn>
        </li>
        <li v-if="arranged.archived.length > shownArchived">
          <v-btn @click="shownArchived += 40">{{ $t('Show 40 more') }}</v-btn>
        </li>
      </ul>
    </div>
  </main>
</template>
<style scoped>
.archive a {
  color: var(--text);
  font-weight: 700;
}
.page {
  padding: 16px 20px 40px;
}
.next {
  display: grid;
  grid-template-columns: 1fr 1.15fr 1.1fr;
  gap: 30px;
}
/* As high as what comes in its place. */
.coming {
  min-height: 326px;
}
.t {
  font-size: var(--t-big);
}
.t a {
  color: inherit;
  text-decoration: none;
}
.t a:hover {
  text-decoration: underline;
}
.in {
  font-size: var(--t-poster);
  margin: 4px 0 6px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 12px 0 4px;
  flex-wrap: wrap;
}
.flag {
  background: var(--ink);
  color: var(--on-ink);
  padding: 10px 34px 12px 16px;
  border-inline-start: 5px solid var(--text);
  clip-path: polygon(0 0, 100% 0, calc(100% - 18px) 50%, 100% 100%, 0 100%);
}
.flag h3 {
  font-size: var(--t-h2);
}
.gap {
  margin-top: 12px;
}
.light {
  font: 400 var(--t-small) var(--f-text);
}
.person {
  display: flex;
  gap: 8px;
  align-items: center;
}
.board {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  padding: 10px;
  border: solid var(--text);
  border-width: 0 2.5px 5px;
  margin: 8px 0;
}
.free {
  width: 25px;
  height: 25px;
  border: 1.5px dashed var(--edge);
}
.fig20 {
  font: 750 var(--t-h3) var(--f-head);
}
.all {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 20px 0 8px;
  flex-wrap: wrap;
}
.all h2 {
  margin-inline-end: 10px;
}
.archive {
  padding: 12px 0;
}
.archive button {
  min-height: 44px;
}
.archive button:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
ul {
  list-style: none;
  padding: 0;
}
.archive li {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
.empty {
  padding: 32px;
}
.outline {
  border: 1.5px dashed var(--edge);
  padding: 24px;
  color: var(--text-2);
}
.incoming {
  background: var(--wash);
  padding: 4px 10px;
}
label:focus-within {
  outline: 3px solid var(--ink);
  outline-offset: 3px;
}
@media (max-width: 1000px) {
  .next {
    grid-template-columns: 1fr;
  }
}
</style>
