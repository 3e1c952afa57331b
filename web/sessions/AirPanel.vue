<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref } from 'vue'
import { simulatedLogger } from '#core/cure'
import { floorOf } from '#core/floor'
import { dryingAt, planWorkshop } from '#core/plan'
import { clockOf as clockText, dateOf, inZone, isClock, isDate, minutesBetween, placeLocal } from '#core/time'
import { change, inWorkshop, type AirReading } from '#core/workshop'
import { api, Refused, type Problem } from '../app/api'
import SegmentChoice from '../ui/SegmentChoice.vue'
import type { Bench } from '../bench/useBench'

/** The air where pieces lie: read by hand, from a logger's file, or from the simulated logger. The cure counts with it, and ready times move. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
/** Where it is read: on the shelf, or in the room of a class. */
const where = ref('')
const here = (r: AirReading) => (r.session ?? '') === where.value
const air = computed(() => (w.value.air ?? []).filter(here).sort((a, b) => minutesBetween(b.at, a.at)))
const places = computed(() => [
  { id: '', name: tr('Shelf') },
  ...plan.value.sessions.map((s) => ({ id: s.id, name: tr('Class {0}', s.number) })),
])
const drying = computed(() => {
  const session = w.value.sessions.find((s) => s.id === where.value)
  return session ? dryingAt(w.value, house.value, session) : 1
})
const cure = computed(() => plan.value.split.cure!)
/** When it would be better rubbed by the house's usual air. */
const usual = computed(() => {
  if (!air.value.length) return undefined
  const { air: _read, ...bare } = w.value
  return planWorkshop({ ...props.bench.desk.planInput(w.value.id)!, workshop: bare, now: plan.value.now }).split.cure
})
const moved = computed(() => (usual.value ? minutesBetween(usual.value.recommendedAt, cure.value.recommendedAt) : 0))
const movedSaid = computed(() => {
  const [by, from] = [say.value.minutes(Math.abs(moved.value)), say.value.at(cure.value.recommendedAt)]
  return moved.value > 0 ? tr('Better rubbed {0} later: from {1}.', by, from) : tr('Better rubbed {0} sooner: from {1}.', by, from)
})
const simulated = computed(() => air.value.some((r) => r.from === 'simulated'))

const set = (list: AirReading[], label: string) =>
  props.bench.act('air', label, [change(w.value, inWorkshop.air, list.length ? list.slice(-1500) : null)])
const others = () => (w.value.air ?? []).filter((r) => !here(r))
const add = (list: { at: string; celsius: number; humidityPct: number }[], from: AirReading['from']) =>
  set(
    [
      ...others(),
      ...air.value.filter((r) => !list.some((x) => x.at === r.at)),
      ...list.map((r) => ({ id: uuidv7(), from, ...r, ...(where.value && { session: where.value }) })),
    ],
    tr('{0} readings of the air were taken', list.length),
  )

const now = () => inZone(props.bench.desk.now, house.value.timeZone)
const day = ref(dateOf(now()))
const time = ref(clockText(now()))
const celsius = ref('')
const humidity = ref('')
const wrong = ref('')
function byHand() {
  const [c, h] = [Number(celsius.value.replace(',', '.')), Number(humidity.value.replace(',', '.'))]
  const good = celsius.value.trim() !== '' && humidity.value.trim() !== '' && c >= -10 && c <= 45 && h >= 0 && h <= 100
  wrong.value = good && isDate(day.value) && isClock(time.value) ? '' : tr('Give −10 to 45 °C and 0 to 100 %.')
  if (wrong.value) return
  add([{ at: placeLocal({ date: day.value, time: time.value }, house.value.timeZone).at, celsius: c, humidityPct: h }], 'hand')
  celsius.value = humidity.value = ''
}

interface Preview {
  readings: { at: string; celsius: number; humidityPct: number }[]
  left: { line: number; why: string }[]
  every: number
}
const preview = ref<Preview>()
const problem = ref<Problem>()
const whys: Record<string, string> = {
  'no-time': tr('no time that can be read'),
  'no-number': tr('no number'),
  'out-of-range': tr('no air of a room'),
}
async function choose(e: Event) {
  const field = e.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  preview.value = problem.value = undefined
  try {
    preview.value = await api.lookAtAir<Preview>(await file.text(), house.value.timeZone)
  } catch (x) {
    problem.value =
      x instanceof Refused ? x.problem : { what: tr('The server does not answer.'), path: '(server)', remedy: tr('Choose the file again.') }
  }
  field.value = ''
}
function take() {
  add(preview.value!.readings, 'logger')
  preview.value = undefined
}
/** From the laying until now, or until it is lifted. */
const until = computed(() => {
  const lifted = plan.value.sessions.find((s) => s.id === cure.value.rubIn)!.from
  return minutesBetween(now(), lifted) > 0 ? now() : lifted
})
const nothingYet = computed(() => minutesBetween(cure.value.laidAt, until.value) <= 0)
function simulate() {
  const session = plan.value.sessions.find((s) => s.id === where.value)
  const usual = floorOf(house.value.floors, session?.room ?? '')?.climate ?? house.value.climate
  add(simulatedLogger(session?.from ?? cure.value.laidAt, session?.to ?? until.value, usual), 'simulated')
}

/** Both lines over the time, drawn small. */
const drawn = computed(() => {
  const list = air.value
  if (list.length < 2) return undefined
  const [from, to] = [list[0]!.at, list.at(-1)!.at]
  const whole = Math.max(1, minutesBetween(from, to))
  const line = (y: (r: AirReading) => number) =>
    list.map((r) => `${((600 * minutesBetween(from, r.at)) / whole).toFixed(1)},${y(r).toFixed(1)}`).join(' ')
  return { warm: line((r) => 56 - ((r.celsius + 10) * 52) / 55), damp: line((r) => 58 - (r.humidityPct * 56) / 100) }
})
const mean = (f: (r: AirReading) => number) => (air.value.reduce((sum, r) => sum + f(r), 0) / air.value.length).toFixed(1)
</script>
<template>
  <section>
    <h2>
      {{ $t('The air where pieces lie') }} <span v-if="simulated" class="simulated">{{ $t('simulated') }}</span>
    </h2>
    <SegmentChoice v-model="where" :options="places" :label="$t('Where the air is read')" />
    <p v-if="where" :class="drying > 1 ? 'watch' : 'two'">
      {{
        drying > 1 ? $t('What dries in this class takes {0} times as long.', drying) : $t('What dries in this class takes its usual time.')
      }}
    </p>
    <p v-else-if="!air.length" class="two">
      {{
        $t('Nothing was read: the cure counts with the house’s usual {0} °C and {1} %.', house.climate.celsius, house.climate.humidityPct)
      }}
    </p>
    <template v-if="air.length">
      <p>
        {{
          $t(
            '{0} readings, {1} °C and {2} % on the mean.',
            air.length,
            mean((r) => r.celsius),
            mean((r) => r.humidityPct),
          )
        }}
        <b v-if="!where && moved">{{ movedSaid }}</b>
        <span v-else-if="!where" class="two">{{ $t('It is as the house usually is.') }}</span>
      </p>
      <svg v-if="drawn" viewBox="0 0 600 60" preserveAspectRatio="none" class="lines" aria-hidden="true">
        <polyline :points="drawn.warm" class="warm" />
        <polyline :points="drawn.damp" class="damp" />
      </svg>
      <p v-if="drawn" class="small two">
        <b class="warm-word">{{ $t('temperature') }}</b>, <b class="damp-word">{{ $t('humidity') }}</b>, {{ say.at(air[0]!.at) }} –
        {{ say.at(air.at(-1)!.at) }}
      </p>
      <details>
        <summary class="small">{{ $t('Every reading') }}</summary>
        <ul class="bare list small">
          <li v-for="r in air" :key="r.id">
            {{ say.at(r.at) }}: {{ r.celsius }} °C, {{ r.humidityPct }} %
            <span class="two">{{ { hand: $t('by hand'), logger: $t('logger'), simulated: $t('simulated') }[r.from] }}</span>
            <v-btn
              size="small"
              :aria-label="$t('Take out the reading of {0}', say.at(r.at))"
              @click="
                set(
                  (w.air ?? []).filter((x) => x.id !== r.id),
                  tr('a reading of the air was taken out'),
                )
              "
              >{{ $t('Take out') }}</v-btn
            >
          </li>
        </ul>
      </details>
    </template>
    <form class="tools" @submit.prevent="byHand">
      <label
        ><span class="label">{{ $t('Date') }}</span
        ><input v-model="day" type="date" class="field"
      /></label>
      <label
        ><span class="label">{{ $t('At') }}</span
        ><input v-model="time" type="time" class="field"
      /></label>
      <label
        ><span class="label">°C</span><input v-model="celsius" inputmode="decimal" class="field short" :aria-invalid="!!wrong"
      /></label>
      <label
        ><span class="label">{{ $t('Humidity, %') }}</span
        ><input v-model="humidity" inputmode="decimal" class="field short" :aria-invalid="!!wrong"
      /></label>
      <v-btn type="submit">{{ $t('Note it') }}</v-btn>
    </form>
    <p v-if="wrong" class="stop small" role="alert">{{ wrong }}</p>
    <div class="tools">
      <label class="file"
        ><span class="label">{{ $t('From a logger (CSV: time, temperature, humidity)') }}</span
        ><input type="file" accept=".csv,text/csv" @change="choose"
      /></label>
      <v-btn :disabled="!where && nothingYet" @click="simulate">{{ $t('Read the simulated logger') }}</v-btn>
      <v-btn v-if="air.length" @click="set(others(), tr('all readings of the air were taken out'))">{{ $t('Take all out') }}</v-btn>
    </div>
    <p v-if="!where && nothingYet" class="small two">{{ $t('Nothing lies there yet.') }}</p>
    <div v-if="problem" role="alert" class="stop">
      <b>{{ problem.what }}</b> {{ problem.path }}. {{ problem.remedy }}
    </div>
    <div v-if="preview" class="ruled" aria-live="polite">
      <p>
        <b>{{ $t('{0} readings', preview.readings.length) }}</b><template v-if="preview.every > 1"
          >, {{ $t('one of {0} lines', preview.every) }}</template
        >
      </p>
      <ul v-if="preview.left.length" class="bare small two">
        <li v-for="(l, i) in preview.left" :key="i">{{ $t('line {0}', l.line) }}: {{ whys[l.why] }}</li>
      </ul>
      <div class="inline">
        <v-btn color="primary" variant="flat" :disabled="!preview.readings.length" @click="take">{{ $t('Take them') }}</v-btn>
        <v-btn @click="preview = undefined">{{ $t('Leave it') }}</v-btn>
      </div>
    </div>
  </section>
</template>
<style scoped src="./air.css"></style>
