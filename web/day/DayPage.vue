<script setup lang="ts">
import { t as tr } from '#core/language'
import { useEventListener } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { unfinished, type Announcement, type DayStage, type Outcome } from '#core/day'
import { floorOf, postsFor } from '#core/floor'
import { clockOf } from '#core/house'
import { cautions } from '#core/recipe'
import { minutesBetween, sayClock, sayMinute, sayShortDay } from '#core/time'
import { tableName } from '#core/workshop'
import { singleLetters } from '../app/keys'
import SourceMark from '../ui/SourceMark.vue'
import DayActions from './DayActions.vue'
import DayBegin from './DayBegin.vue'
import DayEnd from './DayEnd.vue'
import DayHead from './DayHead.vue'
import DaySay from './DaySay.vue'
import DaySide from './DaySide.vue'
import DayTable from './DayTable.vue'
import { deed } from './dayWords'
import { useDay } from './useDay'

/** The day of a class, run from a tablet with wet hands: every piece's state, what to say next, one tap for a seat, a table, the room. */
const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params['id']))
const asked = computed(() => String(route.params['session'] ?? ''))
const day = useDay(id, asked)
const { workshop, house, plan, session, room, state, left, next, tables, names, now, tap, said } = day
const seat = ref<string>()
const table = ref<string>()
const ending = ref(false)
const say = computed(() => next.value?.say ?? [])
const nextOf = (t: string) => say.value.find((a) => a.table === t)
const chosen = computed(() => table.value ?? say.value.find((a) => a.table)?.table ?? room.value?.tables[0] ?? '')
const person = computed(() => state.value?.people.find((p) => p.id === seat.value))
const pieces = computed(() => state.value?.pieces.filter((p) => p.person === seat.value) ?? [])
const isDue = (t: string) => {
  const a = nextOf(t)
  return !!a && state.value!.begunAt !== null && minutesBetween(now.value, a.due) <= 0
}
const stageOf = computed((): DayStage | null => {
  const p = person.value
  const route = room.value?.people.find((x) => x.id === p?.id)?.route ?? room.value?.people[0]?.route
  return (p && route?.[p.at]) ?? null
})
const notYet = computed(() => {
  const n = next.value?.notYet.find((x) => x.person === seat.value)
  if (!n || !house.value) return ''
  return n.from
    ? tr('Never before {0}.', sayShortDay(n.from) + ' ' + sayClock(n.from, clockOf(house.value)))
    : tr('Nobody knows of a piece that may be rubbed: a spare?')
})
const clock = (at: string) => sayMinute(at, clockOf(house.value!))
const endSaid = computed(() => {
  const over = left.value!.overMin
  return over > 0 ? tr('clean {0} after the room ends', day.say.value!.minutes(over)) : tr('room ends {0}', clock(session.value!.to))
})
const done = computed(() => left.value && clock(left.value.doneAt))
const hands = computed(() =>
  [...new Set(plan.value?.stages.flatMap((s) => s.cautions) ?? [])]
    .slice(0, 6)
    .map((c) => `${tr(cautions[c].where)}: ${tr(cautions[c].text)}`),
)
/** Tables shared out to the helpers by the posts on the floor. */
const posts = computed(() =>
  postsFor(floorOf(house.value!.floors, session.value!.room), room.value!.tables.length, workshop.value!.group.helpers, []).map((p) =>
    p.tables.map(tableName),
  ),
)
const undone = computed(() => unfinished(room.value!, state.value!).map((p) => names.value.get(p.id) ?? ''))

const onPerson = (p: string) => ({ kind: 'person' as const, id: p })
const onPieces = (what: (subject: { kind: 'piece'; id: string }) => Parameters<typeof tap>[0]) =>
  tap(...pieces.value.map((p) => what({ kind: 'piece', id: p.id })))
/** No haze: the round is not needed, what comes after it begins. */
const past = (a: Announcement) =>
  tap({ kind: 'began', subject: { kind: 'table', id: a.table }, value: { stage: a.then!.id, people: a.people } })
const presence = (people: readonly string[], what: 'here' | 'absent' | 'left') =>
  tap(...people.map((p) => ({ kind: what, subject: onPerson(p), value: {} }) as const))
const outcome = (list: readonly string[], how: Outcome) =>
  tap(...list.map((p) => ({ kind: 'outcome', subject: { kind: 'piece', id: p }, value: { how } }) as const))
const did = (s: DayStage) => tap({ kind: 'did', subject: onPerson(seat.value!), value: { stage: s.id, people: [seat.value!] } })
const needs = (what: 'you' | 'patch' | null) =>
  onPieces((subject) => (what ? { kind: 'needs', subject, value: { what } } : { kind: 'helped', subject, value: {} }))
const pick = (t: string) => {
  seat.value = undefined
  table.value = t
}
const pickSeat = (p: string) => {
  seat.value = seat.value === p ? undefined : p
  table.value = state.value?.people.find((x) => x.id === p)?.table
}
watch(chosen, () => person.value?.table !== chosen.value && (seat.value = undefined))
const leave = () => void router.push(`/w/${id.value}/bench/kit`)

useEventListener(
  window,
  'keydown',
  (e: KeyboardEvent) => {
    if (e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName)) return
    if (!singleLetters() || e.ctrlKey || e.metaKey || e.altKey || !state.value?.begunAt || ending.value) return
    const letter = e.key.toUpperCase()
    const onButton = e.target instanceof HTMLButtonElement
    if (room.value!.tables.includes(letter)) pick(letter)
    else if (e.key === 'Enter' && !onButton && nextOf(chosen.value)) said(nextOf(chosen.value)!)
    else if (e.key === ' ' && !onButton && say.value[0]) said(say.value[0])
    else if (letter === 'H' && seat.value) onPieces((subject) => ({ kind: 'needs', subject, value: { what: 'you' } }))
    else if (letter === 'Z') day.undo()
    else return
    e.preventDefault()
    e.stopPropagation()
  },
  { capture: true },
)
</script>
<template>
  <main v-if="!workshop || !house || !room || !state || !left || !session" class="roomy" :aria-busy="!day.looked.value">
    <h1>{{ day.desk.ready || day.looked.value ? $t('No class to run') : $t('Looking in the cupboard') }}</h1>
    <p class="two">{{ $t('This device has nothing of this class yet, or the workshop has no date.') }}</p>
    <v-btn @click="leave">{{ $t('Back') }}</v-btn>
  </main>
  <main v-else class="day">
    <DayHead
      :title="workshop.title"
      :about="$t('{0}, class {1}', sayShortDay(session.from), session.number)"
      :now="sayMinute(now, clockOf(house))"
      :waiting="day.waiting.value"
      :online="day.online.value"
      :full="day.full.value"
      :refused="day.refused.value.map((x) => x.refused!)"
      :undo="!!day.undoable.value"
      @undo="day.undo()"
      @leave="leave"
    >
      <b>{{ $t('Done about {0}', done) }}</b> <SourceMark mark="E" /><br />
      <span :class="left.overMin > 0 ? 'stop' : 'two'">{{ endSaid }}</span>
    </DayHead>
    <DayBegin
      v-if="!state.begunAt"
      :room="room"
      :state="state"
      :names="names"
      :cautions="hands"
      :posts="posts"
      @presence="presence"
      @check="(what, on) => tap({ kind: 'check', value: { what, on } })"
      @climate="(celsius, humidityPct) => tap({ kind: 'climate', value: { celsius, humidityPct } })"
      @guest="(t) => tap({ kind: 'guest', value: { table: t } })"
      @begin="tap({ kind: 'begin', value: {} })"
    />
    <DayEnd
      v-else-if="ending || state.endedAt"
      :state="state"
      :names="names"
      :sheets="`/api/workshops/${id}/take-home.pdf`"
      :undone="undone"
      @outcome="outcome"
      @check="(what, on) => tap({ kind: 'check', value: { what, on } })"
      @note="(text) => tap({ kind: 'note', value: { text } })"
      @back="ending = false"
      @end="(tap({ kind: 'end', value: {} }), leave())"
    />
    <template v-else>
      <div class="middle">
        <div class="room">
          <DayTable
            v-for="t in tables"
            :key="t.table"
            v-bind="{ t, state, names, now, seat, chosen: chosen === t.table, due: isDue(t.table) }"
            @table="pick(t.table)"
            @seat="pickSeat"
          />
        </div>
        <div class="beside">
          <DaySay :say="say" :now="now" :house="house" @said="said" @skip="(a) => tap({ kind: 'skip', value: { cue: a.cue } })" />
          <DaySide
            :day="day"
            @here="(p) => presence([p], 'here')"
            @settle="(e) => tap({ kind: 'undo', value: { event: e } })"
            @seat="pickSeat"
          />
        </div>
      </div>
      <div class="foot">
        <DayActions
          :table="chosen"
          :next="nextOf(chosen)"
          :person="person"
          :pieces="pieces"
          :name="seat ? (names.get(seat) ?? '') : ''"
          :stage="stageOf"
          :not-yet="seat ? notYet : ''"
          @next="said"
          @past="past"
          @presence="(what) => presence([seat!], what)"
          @did="did"
          @needs="needs"
          @spare="onPieces((subject) => ({ kind: 'spare', subject, value: {} }))"
          @home="onPieces((subject) => ({ kind: 'home', subject, value: {} }))"
          >{{ nextOf(chosen) ? deed(nextOf(chosen)!) : '' }}</DayActions
        >
        <v-btn class="end" @click="ending = true">{{ $t('End') }}</v-btn>
      </div>
    </template>
  </main>
</template>
<style scoped src="./day.css"></style>
