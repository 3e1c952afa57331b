<script setup lang="ts">
import { t as tr } from '#core/language'
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { inOneBreath, mayBegin, stationsDay, stripDay, unfinished } from '#core/day'
import { floorOf, postsFor, tableGrid } from '#core/floor'
import { clockOf } from '#core/house'
import { cautions } from '#core/recipe'
import { minutesBetween, sayMinute, sayShortDay } from '#core/time'
import { tableName } from '#core/workshop'
import { singleLetters } from '../app/keys'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import DayActions from './DayActions.vue'
import DayBegin from './DayBegin.vue'
import DayBetween from './DayBetween.vue'
import DayCounts from './DayCounts.vue'
import DayEnd from './DayEnd.vue'
import DayHead from './DayHead.vue'
import DaySay from './DaySay.vue'
import DaySide from './DaySide.vue'
import DayStations from './DayStations.vue'
import DayStrip from './DayStrip.vue'
import DayTable from './DayTable.vue'
import { deed, whoOf } from './dayWords'
import { deedsOf } from './deeds'
import { useCall } from './useCall'
import { useChance } from './useChance'
import { useDay } from './useDay'
import { usePages } from './usePages'
import { useSeat } from './useSeat'

/** The day of a class, run from a tablet with wet hands: every piece's state, what to say next, one tap for a seat, a table, the room. */
const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params['id']))
const asked = computed(() => String(route.params['session'] ?? ''))
const day = useDay(id, asked)
const { workshop, house, plan, session, room, state, left, next, tables, around, names, now, tap, said } = day
const table = ref<string>()
const ending = ref(false)
const say = computed(() => next.value?.say ?? [])
const nextOf = (t: string) => say.value.find((a) => a.table === t)
const chosen = computed(() => table.value ?? say.value.find((a) => a.table)?.table ?? room.value?.tables[0] ?? '')
const { seat, person, pieces, spares, stage: stageOf, notYet } = useSeat(day, chosen)
const isDue = (t: string) => {
  const a = nextOf(t)
  return !!a && state.value!.begunAt !== null && minutesBetween(now.value, a.due) <= 0
}
const clock = (at: string) => sayMinute(at, clockOf(house.value!))
const endSaid = computed(() => {
  const over = left.value!.overMin
  return over > 0 ? tr('clean {0} after the room ends', day.say.value!.minutes(over)) : tr('room ends {0}', clock(session.value!.to))
})
const chance = useChance(left, house)
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
const materials = computed(() => [
  ...new Map((plan.value?.kit ?? []).filter((l) => !l.durable).map((l) => [l.material, { id: l.material, name: l.name }])).values(),
])
const stages = computed(() => strip.value?.stages ?? [])
const undone = computed(() => unfinished(room.value!, state.value!).map((p) => names.value.get(p.id) ?? ''))

const strip = computed(() => (room.value && state.value ? stripDay(room.value, state.value, tables.value, now.value) : undefined))
const turn = usePages(tables, chosen)
/** Tables stand as they do on the floor, where it is drawn and no more than three stand abreast. */
const grid = computed(() => {
  const floor = floorOf(house.value?.floors, session.value?.room ?? '')
  const letters = room.value?.tables ?? []
  const places = floor && turn.pages.length === 1 ? tableGrid(floor, letters.length) : undefined
  const columns = Math.max(0, ...(places ?? []).map((p) => p.column))
  if (!places || columns > 3) return undefined
  const at = (table: string) => {
    const p = places[letters.indexOf(table)]
    return p ? { gridRow: p.row, gridColumn: p.column } : {}
  }
  return { columns, at }
})
const dueNow = computed(() =>
  state.value?.begunAt && say.value[0] && minutesBetween(now.value, say.value[0].due) <= 0 ? say.value[0].cue : undefined,
)
const call = useCall(dueNow)
const deeds = deedsOf(tap)
const pick = (t: string) => {
  seat.value = undefined
  table.value = t
}
const pickSeat = (p: string) => {
  seat.value = seat.value === p ? undefined : p
  table.value = state.value?.people.find((x) => x.id === p)?.table
}
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
    else if (e.key === ' ' && !onButton && say.value[0]) said(...inOneBreath(say.value, now.value))
    else if (letter === 'H' && seat.value) deeds.needs(pieces.value, 'you')
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
      :stay="day.atRisk.value"
      :refused="day.refused.value.map((x) => x.refused!)"
      :undo="!!day.undoable.value"
      @undo="day.undo()"
      :sound="call.on.value"
      @sound="call.toggle()"
      @leave="leave"
    >
      <b>{{ $t('Done about {0}', done) }}</b> <SourceMark mark="E" /><br />
      <span :class="left.overMin > 0 ? 'stop' : 'two'">{{ endSaid }}</span>
      <span v-if="chance !== undefined" class="two"> · {{ $t('in time {0} of 100', chance) }}</span>
    </DayHead>
    <DayBegin
      v-if="!state.begunAt"
      :room="room"
      :state="state"
      :names="names"
      :cautions="hands"
      :posts="posts"
      :clock="clockOf(house)"
      @presence="deeds.presence"
      @check="deeds.check"
      @climate="deeds.climate"
      @guest="deeds.guest"
      @begin="deeds.begin"
      ><DayBetween :day="day"
    /></DayBegin>
    <DayEnd
      v-else-if="ending || state.endedAt"
      :state="state"
      :names="names"
      :sheets="day.online.value ? `/api/workshops/${id}/take-home.pdf` : ''"
      :undone="undone"
      :materials="materials"
      :stages="stages"
      @outcome="deeds.outcome"
      @home="deeds.home"
      @shelf="deeds.shelf"
      @told="deeds.told"
      @take-back="deeds.takeBack"
      @check="deeds.check"
      @note="deeds.note"
      @back="ending = false"
      @end="(deeds.end(), leave())"
      ><DayBetween v-if="state.endedAt" :day="day"
    /></DayEnd>
    <template v-else>
      <div class="middle">
        <div class="whole">
          <DayStrip v-if="strip" :strip="strip" :chosen="chosen" />
          <SegmentChoice v-if="turn.pages.length > 1" v-model="turn.page" :options="turn.pages" :label="$t('Tables')" hide-label />
          <div class="room" :class="{ drawn: grid }" :style="grid ? { '--columns': grid.columns } : {}">
            <DayTable
              v-for="t in turn.shown"
              :key="t.table"
              :style="grid?.at(t.table)"
              v-bind="{ ...around, t, seat, chosen: chosen === t.table, due: isDue(t.table) }"
              @table="pick(t.table)"
              @seat="pickSeat"
            />
          </div>
          <DayStations :stations="stationsDay(room, state)" @places="deeds.places" />
          <DayCounts :state="state" />
        </div>
        <div class="beside">
          <DaySay v-bind="{ say, tables, names, now, house }" @said="(list) => said(...list)" @skip="deeds.skip" />
          <DaySide :day="day" @here="(p) => deeds.presence([p], 'here')" @stop="deeds.stop" @settle="deeds.takeBack" @seat="pickSeat" />
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
          :not-yet="notYet"
          :who="nextOf(chosen) ? whoOf([nextOf(chosen)!], tables, names) : ''"
          :may="!!nextOf(chosen) && mayBegin(nextOf(chosen)!, now)"
          :spares="spares"
          @next="said"
          @past="deeds.past"
          @presence="(what) => deeds.presence([seat!], what)"
          @did="(s) => deeds.did(seat!, s)"
          @needs="(what) => deeds.needs(pieces, what)"
          @spare="deeds.spare(pieces)"
          @home="deeds.home(pieces.map((p) => p.id))"
          >{{ nextOf(chosen) ? deed(nextOf(chosen)!) : '' }}</DayActions
        >
        <v-btn class="end" @click="ending = true">{{ $t('End') }}</v-btn>
      </div>
    </template>
  </main>
</template>
<style scoped src="./day.css"></style>
