<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { errandsDue, nextSession } from '#core/plan'
import { inZone } from '#core/time'
import { arrange, changed, copyOf, inWorkshop, type Summary, type Workshop } from '#core/workshop'
import { api } from '../app/api'
import { useDesk } from '../app/desk'
import { useBringIn } from '../app/useBringIn'
import type { Due } from './due'
import TrimSheet from '../ui/TrimSheet.vue'
import ProofStrips from './ProofStrips.vue'
import NextClass from './NextClass.vue'
import PastWorkshops from './PastWorkshops.vue'

const desk = useDesk()
const router = useRouter()
const { incoming, problem, bringIn } = useBringIn(async (text) => (await api.lookAtWorkshop(text)).workshop)
/** The local time of each house, worked out once a minute. */
const local = computed(() => new Map(desk.houseList.map((h) => [h.id, inZone(desk.now, h.timeZone).slice(0, 16)])))
const nowLocal = (houseId: string) => local.value.get(houseId) ?? desk.now.slice(0, 16)
const arranged = computed(() => arrange(desk.summaries, nowLocal))
/** The soonest workshops are here whole: what is due is looked for in their plans. */
const soonest = computed(() => arranged.value.coming.slice(0, 12).map((w) => w.id))
watch(soonest, (ids) => desk.want(ids), { immediate: true })
/** The next class of all: planned when the page stands, nothing waits for it. */
const next = computed(() => {
  const workshop = soonest.value.length ? desk.workshop(soonest.value[0]!) : undefined
  const plan = workshop && desk.planSoon(workshop.id)
  const session = plan && nextSession(plan, desk.now)
  return workshop && plan && session ? { workshop, plan, session, house: desk.house(workshop.houseId)! } : undefined
})
const errands = computed(() =>
  soonest.value
    .flatMap((id): Due[] => {
      const [w, plan] = [desk.workshop(id), desk.planSoon(id)]
      if (!w || !plan) return []
      const say = desk.say(desk.house(w.houseId)!)
      return errandsDue(plan, desk.now).map((x) => ({ w, say, ...x }))
    })
    .sort((a, b) => a.left - b.left),
)
function create(w: Workshop, label: string) {
  desk.act({ kind: 'create', label, subject: { kind: 'workshop', id: w.id }, changes: [changed(inWorkshop, null, w)] })
  void router.push(`/w/${w.id}/bench/group`)
}
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
    <NextClass v-if="next" v-bind="next" :errands="errands" />
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
      <v-btn to="/new">{{ $t('New') }}</v-btn>
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
    <div v-else class="hollow">{{ $t('Here will be a strip of paper for each workshop, from its making to its last date.') }}</div>
    <PastWorkshops :arranged="arranged" @copy="duplicate" @archive="archive" />
  </main>
</template>
<style scoped>
.page {
  padding: var(--s-4) var(--s-page) var(--s-6);
}
.next {
  display: grid;
  grid-template-columns: 1fr 1.15fr 1.1fr;
  gap: var(--s-6);
}
/* As high as what comes in its place. */
.coming {
  min-height: 326px;
}
.t {
  font-size: var(--t-big);
}
.all {
  display: flex;
  gap: var(--s-2);
  align-items: center;
  margin: var(--s-page) 0 var(--s-2);
  flex-wrap: wrap;
}
.all h2 {
  margin-inline-end: var(--s-2);
}
.archive {
  padding: var(--s-3) 0;
}
.empty {
  padding: var(--s-6);
}
.incoming {
  background: var(--wash);
  padding: var(--s-1) var(--s-2);
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
