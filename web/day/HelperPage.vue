<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { inOneBreath, mayBegin } from '#core/day'
import { clockOf } from '#core/house'
import { minutesBetween, sayMinute } from '#core/time'
import DayTable from './DayTable.vue'
import { bySaid, deed, line, toWhom, whenSaid, whoOf, words } from './dayWords'
import { deedsOf } from './deeds'
import { useDay } from './useDay'

/** A helper's phone: their tables, the next words, one big action. */
const route = useRoute()
const id = computed(() => String(route.params['id']))
const asked = computed(() => String(route.params['session'] ?? ''))
const day = useDay(id, asked)
const { workshop, house, room, state, next, tables, around, now, tap, said, waiting, online } = day
const mine = computed(() => {
  const said = String(route.query['tables'] ?? '')
    .split(',')
    .filter(Boolean)
  return said.length > 0 ? said : (room.value?.tables ?? [])
})
const say = computed(() => (next.value?.say ?? []).filter((a) => a.table === '' || mine.value.includes(a.table)))
const breath = computed(() => inOneBreath(say.value, now.value))
const may = computed(() => breath.value.every((a) => mayBegin(a, now.value)))
const deeds = deedsOf(tap)
const seat = ref<string>()
const due = (t: string) => say.value.some((a) => a.table === t && minutesBetween(now.value, a.due) <= 0)
/** The seat that is chosen needs the instructor; without one, everybody of the table that is next. */
function needs() {
  const people = seat.value ? [seat.value] : (say.value[0]?.people ?? [])
  const pieces = state.value!.pieces.filter((p) => people.includes(p.person)).slice(0, seat.value ? 9 : 1)
  tap(...pieces.map((p) => ({ kind: 'needs', subject: { kind: 'piece', id: p.id }, value: { what: 'you' } }) as const))
}
const kept = computed(() => online.value && waiting.value === 0)
const refused = computed(() => day.refused.value.length)
</script>
<template>
  <main v-if="!workshop || !house || !room || !state" class="phone" :aria-busy="!day.looked.value">
    <h1>{{ $t('No class to run') }}</h1>
  </main>
  <main v-else class="phone">
    <header>
      <div>
        <h1>{{ $t('tables {0}', mine.join(' ')) }}</h1>
        <p class="two small">{{ workshop.title }}</p>
      </div>
      <b class="clock">{{ sayMinute(now, clockOf(house)) }}</b>
    </header>
    <p v-if="refused" class="watch small">{{ $t('{0} taps the server will not have', refused) }}</p>
    <p v-else-if="!kept" class="watch small">{{ $t('{0} taps kept on this tablet, no net', waiting) }}</p>
    <p v-if="!state.begunAt" class="words">{{ $t('It begins at {0}.', sayMinute(room.from, clockOf(house))) }}</p>
    <template v-else>
      <DayTable
        v-for="t in tables.filter((x) => mine.includes(x.table))"
        :key="t.table"
        v-bind="{ ...around, t, seat, chosen: false, due: due(t.table) }"
        @seat="seat = seat === $event ? undefined : $event"
      />
      <section v-if="say[0]" class="card" :aria-label="$t('Say next')">
        <p>
          <b class="ink">{{ $t('Say next') }}</b>{{ ' ' }}
          <span class="two">{{ toWhom(breath) }}, {{ whenSaid(say[0].due, now, clockOf(house)) }}</span>
        </p>
        <p class="words" aria-live="polite">{{ words(say[0]) }}</p>
        <p v-if="whoOf(breath, tables, day.names.value)">{{ whoOf(breath, tables, day.names.value) }}</p>
        <p v-if="bySaid(breath, clockOf(house))" class="watch">
          <b>{{ bySaid(breath, clockOf(house)) }}</b>
        </p>
      </section>
      <ul class="bare">
        <li v-for="a in say.filter((x) => !breath.includes(x)).slice(0, 2)" :key="a.cue">
          <b>{{ whenSaid(a.due, now, clockOf(house)) }}</b> {{ line(a) }}
        </li>
      </ul>
      <!-- Where a thumb is. -->
      <div class="thumb">
        <v-btn v-if="say[0]" class="one" color="primary" variant="flat" :disabled="!may" @click="said(...breath)">{{
          deed(...breath)
        }}</v-btn>
        <p v-else class="words">{{ $t('Nothing is left to say.') }}</p>
        <div class="answers">
          <v-btn class="answer" @click="needs">{{ $t('Needs the instructor') }}</v-btn>
          <v-btn class="answer" :disabled="!say[0]" @click="deeds.skip(breath)">{{ $t('Skip') }}</v-btn>
        </div>
      </div>
    </template>
  </main>
</template>
<style scoped>
.phone {
  width: 100%;
  max-width: 520px;
  margin: 0 auto;
  box-sizing: border-box;
  padding: var(--s-2) var(--s-page) 200px;
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
/* Both tables and the words above the thumb. */
.phone :deep(.seat) {
  min-height: 50px;
}
.phone :deep(.bar) {
  min-height: 56px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: var(--s-3);
}
h1 {
  font-size: var(--t-h3);
}
.clock {
  font: 800 var(--t-h1) / 1 var(--f-head);
}
.card {
  background: var(--stock);
  border: 1.5px solid var(--text);
  padding: var(--s-3);
  display: grid;
  gap: var(--s-2);
}
.ink {
  color: var(--ink);
}
.words {
  font: 600 var(--t-h2) / 1.2 var(--f-text);
}
.thumb {
  position: fixed;
  inset-inline: 0;
  inset-block-end: 0;
  max-width: 520px;
  margin: 0 auto;
  box-sizing: border-box;
  display: grid;
  gap: var(--s-2);
  background: var(--paper);
  padding: var(--s-2) var(--s-page) var(--s-3);
}
.one {
  height: 92px !important;
  font-size: var(--t-h2);
}
.one :deep(.v-btn__content) {
  white-space: normal;
}
.answers {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-2);
}
.answer {
  height: 66px !important;
}
.watch {
  color: var(--watch);
}
</style>
