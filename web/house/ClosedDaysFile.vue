<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import type { House } from '#core/house'
import { dateOf, inZone } from '#core/time'
import { change, inHouse, type Change } from '#core/workshop'
import { api, Refused, type Problem } from '../app/api'
import { useDesk } from '../app/desk'

/** Closed days out of a calendar file: looked at first, what is left out named with its line; one press closes them. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
const desk = useDesk()
interface Preview {
  days: { date: string; what: string }[]
  left: { line: number; what: string; why: string }[]
  past: number
}
const preview = ref<Preview>()
const problem = ref<Problem>()
const out = ref(new Set<string>())
const whys: Record<string, string> = {
  'cannot-be-read': tr('cannot be read'),
  'no-end': tr('has no end'),
  'ends-before-it-begins': tr('ends before it begins'),
  'part-of-a-day': tr('only part of a day'),
  cancelled: tr('cancelled'),
  'too-long': tr('longer than a year'),
  'zone-unknown': tr('in a time zone that nobody knows'),
}
const fresh = computed(() => preview.value?.days.filter((d) => !props.house.closedDays.includes(d.date)) ?? [])
const taken = computed(() => fresh.value.filter((d) => !out.value.has(d.date)))
async function choose(e: Event) {
  const input = e.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  problem.value = preview.value = undefined
  out.value = new Set()
  try {
    const { timeZone, hours } = props.house
    preview.value = await api.lookAtClosedDays<Preview>(await file.text(), {
      timeZone,
      today: dateOf(inZone(desk.now, timeZone)),
      week: hours,
    })
  } catch (x) {
    problem.value =
      x instanceof Refused ? x.problem : { what: tr('The server does not answer.'), path: '(server)', remedy: tr('Choose the file again.') }
  }
  input.value = ''
}
function leave(date: string) {
  const next = new Set(out.value)
  if (!next.delete(date)) next.add(date)
  out.value = next
}
function bringIn() {
  const changes = taken.value.map((d) => change(props.house, inHouse.closedDays(d.date), d.date))
  emit('change', changes, tr('{0} closed days came in from a file', taken.value.length))
  preview.value = undefined
}
</script>
<template>
  <label class="file"
    ><span class="label">{{ $t('Closed days from a calendar file (.ics)') }}</span
    ><input type="file" accept=".ics,text/calendar" @change="choose"
  /></label>
  <div v-if="problem" role="alert" class="stop">
    <b>{{ problem.what }}</b> {{ problem.path }}. {{ problem.remedy }}
  </div>
  <section v-if="preview" class="ruled" aria-live="polite">
    <h4>
      {{
        fresh.length
          ? taken.length === 1
            ? $t('1 day would be closed')
            : $t('{0} days would be closed', taken.length)
          : $t('No day that is not closed already')
      }}
    </h4>
    <ul class="bare list">
      <li v-for="d in fresh" :key="d.date">
        <label
          ><input type="checkbox" :checked="!out.has(d.date)" @change="leave(d.date)" /> <span class="code">{{ d.date }}</span>
          {{ d.what }}</label
        >
      </li>
    </ul>
    <p v-if="preview.past" class="small two">{{ preview.past === 1 ? $t('1 day is over.') : $t('{0} days are over.', preview.past) }}</p>
    <details v-if="preview.left.length">
      <summary class="small">
        {{ preview.left.length === 1 ? $t('1 event is left out') : $t('{0} events are left out', preview.left.length) }}
      </summary>
      <ul class="bare small two">
        <li v-for="(l, i) in preview.left" :key="i">{{ $t('line {0}', l.line) }}: {{ l.what }}, {{ whys[l.why] }}</li>
      </ul>
    </details>
    <div class="inline">
      <v-btn color="primary" variant="flat" :disabled="!taken.length" @click="bringIn">{{ $t('Close them') }}</v-btn>
      <v-btn @click="preview = undefined">{{ $t('Leave it') }}</v-btn>
    </div>
  </section>
</template>
<style scoped>
.file input {
  width: 100%;
  min-width: 0;
}
.file {
  display: grid;
  min-width: 0;
  gap: var(--s-1);
}
.list {
  max-height: 260px;
  overflow: auto;
}
.list label {
  display: flex;
  gap: var(--s-2);
  align-items: center;
  min-height: 32px;
}
</style>
