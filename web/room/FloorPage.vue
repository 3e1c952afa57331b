<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { floorKinds, hasPlaces, placesOfItem, postsFor, type FloorCheck } from '#core/floor'
import { sizeUnit } from '#core/house'
import { tableName } from '#core/workshop'
import { showLength } from '#core/units'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import StepField from '../ui/StepField.vue'
import ClimateOfRoom from './ClimateOfRoom.vue'
import FloorDrawing from './FloorDrawing.vue'
import { stationName } from './boardLanes'
import { useClass } from './useClass'
import { floorName, useFloor } from './useFloor'

/** The floor of the room a class is held in, drawn: what stands where, who sits near water, where helpers stand. */
const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house: known, whole, say } = bench
const { sessionId, session, load, choices } = useClass(bench, 'floor')
const room = computed(() => session.value?.room ?? '')
const { house, floor, item, chosen, checks, water, people, begin, add, remove, move, turn, put, size, air } = useFloor(bench, room)

const tables = computed(() => floor.value?.items.filter((i) => i.kind === 'table') ?? [])
const letter = (item: string) => tableName(tables.value.findIndex((t) => t.id === item))
/** Who sits at each table, by its letter. */
const seated = computed(() => {
  const names = new Map(workshop.value!.group.participants.map((p) => [p.id, p.name ?? '']))
  const at = new Map<string, string[]>()
  for (const p of workshop.value!.group.participants) {
    const seat = whole.value!.seats[p.id] ?? ''
    const table = seat.replace(/\d+$/, '')
    at.set(table, [...(at.get(table) ?? []), names.get(p.id) || seat])
  }
  return at
})
const labels = computed(() =>
  Object.fromEntries(
    (floor.value?.items ?? []).map((i) => {
      const mine = i.kind === 'table' ? letter(i.id) : ''
      const who = mine ? (seated.value.get(mine) ?? []) : []
      const post = floor.value!.items.filter((x) => x.kind === 'post').indexOf(i) + 1
      return [
        i.id,
        {
          name: mine || floorName(i.kind),
          small: post ? `${post}` : who.length ? who.join(', ') : hasPlaces(i.kind) ? tr('{0} places', placesOfItem(i)) : '',
        },
      ]
    }),
  ),
)
const far = (mm: number) => (house.value.units === 'imperial' ? `${(mm / 304.8).toFixed(0)} ft` : `${(mm / 1000).toFixed(1)} m`)
const waterSaid = computed(() =>
  water.value
    .filter((w) => w.mm !== null)
    .map((w) => ({ letter: letter(w.item), mm: w.mm! }))
    .filter((w) => seated.value.has(w.letter))
    .sort((a, b) => a.mm - b.mm),
)
function nameOf(id: string) {
  const i = floor.value!.items.find((x) => x.id === id)!
  return i.kind === 'table' ? tr('table {0}', letter(id)) : floorName(i.kind).toLowerCase()
}
function checkSaid(c: FloorCheck): string {
  const [a = '', b = ''] = c.items.map(nameOf)
  switch (c.code) {
    case 'over':
      return tr('{0} and {1} stand on each other.', a, b)
    case 'narrow':
      return tr('{0} between {1} and {2}: two do not pass each other there.', far2(c.mm), a, b)
    case 'heat-by-water':
      return tr('Heat {0} from water: move one of them.', far2(c.mm))
    case 'heat-from-power':
      return c.mm === null
        ? tr('No power is drawn for the heat tool.')
        : tr('The heat tool is {0} from power: a cord would lie across the floor.', far2(c.mm))
    case 'door-blocked':
      return tr('{0} stands {1} before the door.', b, far2(c.mm))
    case 'seats':
      return tr('{0} seats for {1} people.', c.seats, c.people)
  }
}
const far2 = (mm: number) => showLength(Math.round(mm), sizeUnit(house.value))
const perUnit = computed(() => (house.value.units === 'imperial' ? 304.8 : 1000))
const sizeLabel = (f: 'widthMm' | 'depthMm') =>
  `${f === 'widthMm' ? tr('Width') : tr('Depth')}, ${house.value.units === 'imperial' ? 'ft' : 'm'}`
/** A room is one to sixty metres; anything else stays as it was. */
function measured(f: 'widthMm' | 'depthMm', e: Event) {
  const field = e.target as HTMLInputElement
  const mm = Math.round(Number(field.value.replace(',', '.')) * perUnit.value)
  if (mm >= 1000 && mm <= 60_000) size(f, mm)
  else field.value = String(floor.value![f] / perUnit.value)
}
const stations = computed(() =>
  [...new Set(load.value?.room.input.stations.map((s) => s.id) ?? [])].filter((s) => s !== 'led' && s !== 'spray'),
)
const posts = computed(() => postsFor(floor.value, whole.value!.seating.length, workshop.value!.group.helpers, stations.value))
const said = computed(() => workshop.value!.choices.stations ?? {})
const overruled = computed(() => Object.entries(said.value).filter(([s]) => floor.value?.items.some((i) => i.kind === s)))
</script>
<template>
  <LostPage v-if="!workshop || !known || !whole || !say" />
  <main v-else-if="!session" class="roomy">
    <h1>{{ $t('No class to plan yet') }}</h1>
    <v-btn :to="`/w/${id}/bench/sessions`" color="primary" variant="flat">{{ $t('Add a class') }}</v-btn>
  </main>
  <main v-else class="page">
    <section class="plan">
      <div class="head">
        <h1>{{ $t('The floor of {0}', room || $t('the room')) }}</h1>
        <SegmentChoice v-if="choices.length > 1" v-model="sessionId" :options="choices" :label="$t('Class')" hide-label />
        <v-btn :to="`/w/${id}/room/${sessionId}`">{{ $t('Minute by minute') }}</v-btn>
      </div>
      <template v-if="!floor">
        <div class="hollow">
          {{ $t('Here will be the room from above: tables, basins, the seal table, the rack, heat and power, doors.') }}
        </div>
        <v-btn color="primary" variant="flat" class="begin" @click="begin(Math.max(1, whole.seating.length))">{{
          $t('Draw it with {0} tables', Math.max(1, whole.seating.length))
        }}</v-btn>
      </template>
      <template v-else>
        <p class="small two">
          {{ $t('Drag a thing, or choose it and use the arrow keys; R turns it, + and − change its places, Delete takes it away.') }}
        </p>
        <FloorDrawing
          v-model="chosen"
          :floor="floor"
          :labels="labels"
          @move="move"
          @turn="turn"
          @remove="remove"
          @places="(i, n) => put({ ...i, places: n }, $t('places were counted'))"
        />
        <div class="adds">
          <v-btn v-for="k in floorKinds" :key="k" size="small" @click="add(k)">+ {{ floorName(k) }}</v-btn>
        </div>
      </template>
    </section>
    <aside v-if="floor">
      <h2 class="rule">{{ item ? labels[item.id]!.name : $t('The room') }}</h2>
      <template v-if="item">
        <StepField
          v-if="hasPlaces(item.kind)"
          :label="item.kind === 'table' ? $t('Seats') : $t('Places')"
          :model-value="placesOfItem(item)"
          :max="60"
          @update:model-value="put({ ...item, places: $event }, $t('places were counted'))"
        />
        <div class="inline">
          <v-btn @click="turn(item)">{{ $t('Turn it') }}</v-btn><v-btn @click="remove(item)">{{ $t('Take it away') }}</v-btn>
        </div>
      </template>
      <div v-else class="inline">
        <label v-for="f in ['widthMm', 'depthMm'] as const" :key="f"
          ><span class="label">{{ sizeLabel(f) }}</span
          ><input class="field" inputmode="decimal" :value="floor[f] / perUnit" @change="measured(f, $event)"
        /></label>
      </div>
      <ClimateOfRoom v-if="!item" :floor="floor" :usual="house.climate" @set="air" />
      <h3 class="rule">{{ $t('To look at') }} <SourceMark mark="E" /></h3>
      <ul v-if="checks.length" class="bare checks">
        <li v-for="(c, i) in checks" :key="i" :class="{ stop: c.code === 'heat-by-water' || c.code === 'over' }">{{ checkSaid(c) }}</li>
      </ul>
      <p v-else class="ok">{{ $t('Nothing.') }}</p>
      <h3 class="rule">{{ $t('From table to water') }}</h3>
      <p v-if="!waterSaid.length" class="two small">{{ $t('No basin is drawn.') }}</p>
      <ul v-else class="bare">
        <li v-for="w in waterSaid" :key="w.letter">
          <b>{{ w.letter }}</b> {{ far(w.mm) }} <span class="two small">{{ (seated.get(w.letter) ?? []).join(', ') }}</span>
        </li>
      </ul>
      <h3 class="rule">{{ $t('Helpers’ posts') }}</h3>
      <p v-if="!posts.length" class="two small">{{ $t('No helper comes.') }}</p>
      <ul v-else class="bare">
        <li v-for="(p, i) in posts" :key="i">
          <b>{{ $t('Helper {0}', i + 1) }}</b>
          {{ p.tables.length ? $t('tables {0}', p.tables.map(tableName).join(' ')) : '' }}
          <span class="two small">{{ p.stations.map((s) => stationName(s).toLowerCase()).join(', ') }}</span>
        </li>
      </ul>
      <v-btn v-if="posts.length" :href="`/api/workshops/${id}/run.pdf?session=${sessionId}&helpers=each`" target="_blank">{{
        $t('A run sheet for each helper')
      }}</v-btn>
      <p v-if="overruled.length" class="small two">
        {{ $t('This workshop counts its own places, whatever is drawn:') }}
        {{ overruled.map(([s, n]) => `${stationName(s).toLowerCase()} ${n}`).join(', ') }}.
        <RouterLink :to="`/w/${id}/bench/room`">{{ $t('Change them') }}</RouterLink>
      </p>
      <p class="small two">
        {{ $t('{0} people, {1} tables. The room belongs to the house: every class in it has it.', people, whole.seating.length) }}
      </p>
    </aside>
  </main>
</template>
<style scoped src="./beside.css"></style>
<style scoped src="./room.css"></style>
<style scoped>
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2);
}
.inline label {
  flex: 1;
  min-width: 0;
}
.inline .field {
  width: 100%;
}
.begin {
  justify-self: start;
}
.checks li {
  color: var(--watch);
  border-inline-start: 5px solid currentColor;
  padding-inline-start: var(--s-2);
  margin-bottom: var(--s-2);
}
.checks .stop {
  color: var(--stop);
}
</style>
