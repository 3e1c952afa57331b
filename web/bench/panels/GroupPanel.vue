<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { ageBands, mayTouch, type AgeBand, type Hazard } from '#core/recipe'
import { ageName } from '#core/phrases'
import { drawings, inWorkshop, seated, setAges, swapSeats, type Participant } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import StepField from '../../ui/StepField.vue'
import VerdictShape from '../../ui/VerdictShape.vue'
import { typing, vSteady } from '../../ui/steady'
import ForgetNames from '../ForgetNames.vue'
import RosterImport from '../RosterImport.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const emit = defineEmits<{ people: [number] }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const people = computed(() => seated(w.value.group.participants))
const count = (a: AgeBand) => people.value.filter((p) => p.age === a).length
const hazards: { id: Hazard; name: string }[] = [
  { id: 'heat', name: tr('Heat') },
  { id: 'spray', name: tr('Spray') },
  { id: 'blade', name: tr('Blade') },
]
const used = computed(() => new Set(plan.value.adults.atHazards.map((h) => h.hazard)))
const ageProblem = ref('')
const age = (band: AgeBand, to: number) => {
  const set = setAges(w.value, band, to)
  ageProblem.value = ''
  if ('most' in set) {
    ageProblem.value = tr('{0} at the most: the other ages are set. Make one of them smaller first, or add people.', set.most)
    return
  }
  props.bench.act('ages', tr('{0} became {1}', ageName(band), to), set.changes, [], set.intent)
}
const retitle = (e: Event) => {
  const { now, before, taken } = typing(e)
  if (!now.trim()) return
  props.bench.set(inWorkshop.title, now, tr('the workshop was renamed'), 'type-title', before)
  taken()
}
const rename = (p: Participant, e: Event) => {
  const { now, before, taken } = typing(e)
  props.bench.set(inWorkshop.group.participants(p.id).name, now || null, tr('a name at seat {0}', p.seat), 'type-name', before || null)
  taken()
}
const misses = (p: Participant, session: string) => {
  const away = p.misses.includes(session)
  const label = tr('seat {0} {1} a class', p.seat, away ? tr('comes to') : tr('misses'))
  props.bench.set(inWorkshop.group.participants(p.id).misses(session), away ? null : session, label)
}
const swap = (p: Participant, by: number) => {
  const at = people.value.indexOf(p)
  const other = people.value[at + by]
  if (!other) return
  const { changes, intent } = swapSeats(w.value, p.id, other.id)
  props.bench.act('swap-seats', tr('two seats swapped'), changes, [], intent)
}
const forgetting = ref(false)
</script>
<template>
  <div>
    <div class="top">
      <h1>{{ $t('Group') }}</h1>
      <StepField :label="$t('People')" strong :model-value="plan.people" :max="400" @update:model-value="emit('people', $event)" />
      <StepField
        :label="$t('Tables')"
        :model-value="plan.seating.length"
        :min="1"
        :max="80"
        :note="w.group.tables === null ? $t('of four, by default') : plan.seating.length > 8 ? '' : $t('of {0}', plan.seating.join(', '))"
        @update:model-value="bench.set(inWorkshop.group.tables, $event, $t('tables became {0}', $event))"
      />
      <StepField
        :label="$t('Helpers')"
        :model-value="w.group.helpers"
        :max="60"
        :note="$t('beside you')"
        @update:model-value="bench.set(inWorkshop.group.helpers, $event, $t('helpers became {0}', $event))"
      />
    </div>
    <div class="called">
      <label
        ><span class="label">{{ $t('Called') }}</span
        ><input class="boxed" v-steady="w.title" maxlength="120" @input="retitle"
      /></label>
      <SegmentChoice
        :label="$t('Drawn with')"
        :model-value="w.drawing"
        :options="drawings.map((d) => ({ id: d, name: d }))"
        @update:model-value="bench.set(inWorkshop.drawing, $event, $t('the drawing became a {0}', $event))"
      />
    </div>
    <h3 class="gap">
      {{ $t('Ages') }} <span class="two small plainweight">{{ $t('kept as bands') }}</span>
    </h3>
    <table>
      <thead>
        <tr>
          <th />
          <th v-for="a in ageBands" :key="a">{{ ageName(a) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th class="row">{{ $t('Here') }}</th>
          <td v-for="a in ageBands" :key="a">
            <StepField
              :label="ageName(a)"
              class="nolabel"
              :model-value="count(a)"
              :max="plan.people"
              @update:model-value="age(a, $event)"
            />
          </td>
        </tr>
        <tr v-for="h in hazards" :key="h.id" :class="{ used: used.has(h.id) }">
          <th class="row">
            {{ h.name }}<span v-if="used.has(h.id)" class="small">{{ $t(', used') }}</span>
          </th>
          <td
            v-for="a in ageBands"
            :key="a"
            class="may"
            :class="used.has(h.id) ? { no: 'stop', 'adult at it': 'watch', yes: 'ok' }[mayTouch[h.id][a]] : 'two'"
          >
            <VerdictShape
              v-if="used.has(h.id)"
              :size="16"
              :state="mayTouch[h.id][a] === 'no' ? 'stop' : mayTouch[h.id][a] === 'yes' ? 'settled' : 'look'"
            />
            {{ mayTouch[h.id][a] }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="ageProblem" role="alert" class="small stop">{{ ageProblem }}</p>
    <p class="small two">{{ $t('Estimates; the house may be stricter. Heat, wax and spray are for adults only.') }}</p>
    <h3 class="gap">
      {{ $t('Names and seats') }} <span class="two small plainweight">{{ $t('first names only; a seat will do') }}</span>
    </h3>
    <p v-if="!people.length" class="empty two">{{ $t('Nobody yet. Set how many come, or bring in a roster.') }}</p>
    <ol class="seats">
      <li v-for="(p, i) in people" :key="p.id">
        <span class="seat code">{{ plan.seats[p.id] }}</span>
        <input
          v-steady="p.name ?? ''"
          maxlength="80"
          :aria-label="$t('Name at seat {0}', plan.seats[p.id])"
          :placeholder="$t('no name')"
          @input="rename(p, $event)"
        />
        <button
          type="button"
          class="plain mini"
          :disabled="i === 0"
          :aria-label="$t('{0}: swap with the seat before', p.name ?? $t('seat'))"
          @click="swap(p, -1)"
        >
          ↑
        </button>
        <button
          v-for="s in plan.sessions"
          :key="s.id"
          type="button"
          class="plain mini session"
          :class="{ away: p.misses.includes(s.id) }"
          :aria-pressed="!p.misses.includes(s.id)"
          :aria-label="$t('{0} comes to class {1}', p.name ?? $t('Seat {0}', plan.seats[p.id]), s.number)"
          :title="p.misses.includes(s.id) ? $t('misses class {0}', s.number) : $t('comes to class {0}', s.number)"
          @click="misses(p, s.id)"
        >
          {{ s.number }}
        </button>
      </li>
    </ol>
    <div class="foot">
      <RosterImport :bench="bench" />
      <v-btn :href="`/api/workshops/${w.id}/roster.csv`">{{ $t('Roster out (CSV)') }}</v-btn>
      <v-btn v-if="people.some((p) => p.name)" @click="forgetting = true">{{ $t('Take out all names') }}</v-btn>
    </div>
    <ForgetNames v-if="forgetting" :bench="bench" @close="forgetting = false" />
  </div>
</template>
<style scoped>
.top {
  display: grid;
  grid-template-columns: 1fr 138px 138px 138px;
  gap: 14px;
}
.gap {
  margin: 18px 0 6px;
}
.plainweight {
  font: 400 var(--t-small) var(--f-text);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 700;
  font-size: var(--t-small);
  text-align: center;
}
.row {
  text-align: start;
  font-size: var(--t-text);
}
td {
  padding: 3px;
  text-align: center;
}
tr + tr {
  border-top: 1px solid var(--rule);
}
.used {
  background: var(--wash);
}
.may {
  font-weight: 600;
  font-size: var(--t-small);
}
.nolabel :deep(.label) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.nolabel :deep(.box) {
  min-width: 118px;
}
.seats {
  list-style: none;
  padding: 0;
  margin: 0;
  columns: 2;
  column-gap: 24px;
}
li {
  display: flex;
  align-items: center;
  gap: 4px;
  break-inside: avoid;
  border-bottom: 1px solid var(--rule);
}
.seat {
  width: 42px;
  color: var(--text-2);
}
input {
  flex: 1;
  min-width: 0;
  border: 0;
  background: transparent;
  color: var(--text);
  font: 600 var(--t-text) var(--f-text);
  height: 44px;
  padding: 0 6px;
}
input::placeholder {
  color: var(--text-2);
  font-weight: 400;
}
.mini {
  width: 32px;
  height: 32px;
  display: grid;
  place-items: center;
  font-weight: 700;
  border-radius: 2px;
}
.mini:disabled {
  visibility: hidden;
}
.mini:focus-visible {
  outline: 3px solid var(--ink);
}
.session {
  background: var(--text);
  color: var(--stock);
}
.away {
  background: transparent;
  color: var(--watch);
  border: 1.5px dashed var(--watch);
}
.foot {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-top: 14px;
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: 20px;
}
@media (max-width: 760px) {
  .top {
    grid-template-columns: 1fr 1fr;
  }
  .seats {
    columns: 1;
  }
  table {
    display: block;
    overflow-x: auto;
  }
}
.called {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 14px;
  margin-top: 12px;
}
.called :deep(.v-btn) {
  padding: 0 8px;
  font-size: var(--t-label);
}
.boxed {
  width: 100%;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  background: var(--stock);
}
@media (max-width: 760px) {
  .called {
    grid-template-columns: minmax(0, 1fr);
    overflow-x: auto;
  }
}
</style>
