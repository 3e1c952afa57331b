<script setup lang="ts">
import { t as tr } from '#core/language'
import { ref } from 'vue'
import { unmarked, type DayPerson, type DayRoom, type DayState } from '#core/day'
import { sayMinute } from '#core/time'

/** Before the class begins: who is here, stations and samples looked at, cautions read, the room's air noted; one press begins it. */
const props = defineProps<{
  room: DayRoom
  state: DayState
  names: ReadonlyMap<string, string>
  cautions: readonly string[]
  /** The tables of each helper. */
  posts: readonly (readonly string[])[]
  clock: 12 | 24
}>()
const emit = defineEmits<{
  presence: [people: string[], what: 'here' | 'absent']
  check: [what: string, on: boolean]
  climate: [celsius: number, humidityPct: number]
  guest: [table: string]
  begin: []
}>()
const celsius = ref('')
const humidity = ref('')
const wrong = ref(false)
function air() {
  const [c, h] = [Number(celsius.value.replace(',', '.')), Number(humidity.value.replace(',', '.'))]
  wrong.value = celsius.value.trim() === '' || humidity.value.trim() === '' || !(c >= -10 && c <= 45 && h >= 0 && h <= 100)
  if (!wrong.value) emit('climate', c, h)
}
/** A browser keeps the application itself over HTTPS only. */
const reopens = 'serviceWorker' in navigator
const of = (person: string) => props.state.people.find((p) => p.id === person)?.presence
function marked(p: DayPerson): string {
  const presence = of(p.id)
  if (presence === 'here') return tr('here')
  if (presence === 'absent') return p.expected ? tr('not here') : tr('not expected')
  if (p.comesAt) return tr('from {0}', sayMinute(p.comesAt, props.clock))
  return p.expected ? tr('expected') : tr('not expected')
}
/** Nobody has struck out who was never expected. */
const look = (p: DayPerson) => (of(p.id) === 'absent' && !p.expected ? '' : of(p.id))
const unknown = () => unmarked(props.room, props.state).map((p) => p.id)
</script>
<template>
  <section class="two-parts">
    <div>
      <div class="marks">
        <h2>{{ $t('Who is here?') }}</h2>
        <v-btn color="primary" variant="flat" class="big" :disabled="!unknown().length" @click="emit('presence', unknown(), 'here')">{{
          $t('All here')
        }}</v-btn>
        <v-btn class="big" @click="emit('guest', room.tables[0] ?? 'A')">{{ $t('Somebody more') }}</v-btn>
      </div>
      <ul class="bare cards">
        <li v-for="p in room.people" :key="p.id">
          <button
            type="button"
            class="plain card"
            :class="look(p)"
            :aria-pressed="of(p.id) === 'here'"
            @click="emit('presence', [p.id], of(p.id) === 'here' ? 'absent' : 'here')"
          >
            <b>{{ names.get(p.id) }}</b><small>{{ p.seat }}, {{ marked(p) }}</small>
          </button>
        </li>
      </ul>
      <p v-if="state.people.some((p) => p.guest)" class="two">
        {{ $t('{0} more than the roster', state.people.filter((p) => p.guest).length) }}
      </p>
      <slot />
    </div>
    <div class="side">
      <h2>{{ $t('Before it begins') }}</h2>
      <v-checkbox
        v-for="c in ['stations', 'samples', 'cautions']"
        :key="c"
        :label="{ stations: $t('Stations set out and looked at'), samples: $t('Samples at hand'), cautions: $t('Cautions read out') }[c]"
        :model-value="state.checks[c] ?? false"
        @update:model-value="emit('check', c, !!$event)"
      />
      <ul class="small">
        <li v-for="c in cautions" :key="c">{{ c }}</li>
      </ul>
      <form class="line" @submit.prevent="air">
        <label
          ><span class="label">{{ $t('Air, °C') }}</span
          ><input v-model="celsius" class="field" inputmode="decimal" :aria-invalid="wrong"
        /></label>
        <label
          ><span class="label">{{ $t('Humidity, %') }}</span
          ><input v-model="humidity" class="field" inputmode="decimal" :aria-invalid="wrong"
        /></label>
        <v-btn type="submit" class="big">{{ $t('Note it') }}</v-btn>
      </form>
      <p v-if="wrong" class="stop small" role="alert">{{ $t('Give −10 to 45 °C and 0 to 100 %.') }}</p>
      <p v-else-if="state.climate.length" class="ok">
        {{ $t('Noted: {0} °C, {1} %.', state.climate.at(-1)!.celsius, state.climate.at(-1)!.humidityPct) }}
      </p>
      <p class="links">
        <RouterLink :to="`/w/${room.workshop}/wall/${room.session}`">{{ $t('For the wall') }}</RouterLink>
        <RouterLink v-for="(p, i) in posts" :key="i" :to="`/w/${room.workshop}/helper/${room.session}?tables=${p.join()}`">{{
          $t('Helper {0}', i + 1)
        }}</RouterLink>
        <a :href="`/api/workshops/${room.workshop}/cards.pdf`" target="_blank">{{ $t('Cards for the seats, with codes') }}</a>
      </p>
      <p v-if="!reopens" class="small watch">
        {{ $t('Without net this page goes on as long as it stays open: over plain HTTP it cannot be opened again.') }}
      </p>
      <v-btn color="primary" variant="flat" class="big go" @click="emit('begin')">{{ $t('Begin the class') }}</v-btn>
    </div>
  </section>
</template>
<style scoped src="./ends.css"></style>
