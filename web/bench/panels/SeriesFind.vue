<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref, shallowRef, watch } from 'vue'
import type { findSeries, Rhythm, Series } from '#core/plan'
import { sittingsOf } from '#core/sessions'
import { useWorker } from '../../app/useWorker'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import StepField from '../../ui/StepField.vue'
import type { Bench } from '../useBench'

/** The first dates that hold, found: a week apart, evenings in a row, a camp week, twice on a day. */
const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const rhythm = ref<Rhythm>('weekly')
const rhythms: { id: Rhythm; name: string }[] = [
  { id: 'weekly', name: tr('a week apart') },
  { id: 'days', name: tr('days in a row') },
  { id: 'camp', name: tr('a camp week') },
  { id: 'twice', name: tr('twice a day') },
]
const sittings = computed(() => Math.max(1, sittingsOf({ stages: plan.value.stages }).length))
const classes = ref(sittings.value)
const start = ref('18:00')
const minutes = ref(150)
const found = shallowRef<{ found?: Series; why: Record<string, number> }>()
const looking = ref(false)
const begin = () => new Worker(new URL('../../workers/finder.worker.ts', import.meta.url), { type: 'module' })
const { problem, newest, forget } = useWorker<{ findSeries: typeof findSeries }>(begin, tr('Dates could not be looked for.'))
async function look() {
  looking.value = true
  found.value = undefined
  const id = props.bench.workshop.value!.id
  const question = {
    input: { ...props.bench.desk.planInput(id)!, now: plan.value.now },
    asked: {
      ...{ rhythm: rhythm.value, classes: classes.value, start: start.value, minutes: minutes.value, apartMin: 60 },
      room: props.bench.workshop.value!.sessions[0]?.room ?? tr('Craft room'),
      ids: Array.from({ length: classes.value }, () => uuidv7()),
    },
    summaries: props.bench.desk.summaries,
  }
  const plain = JSON.parse(JSON.stringify(question)) as typeof question
  const answer = await newest((remote) => remote.findSeries(plain.input, plain.asked, plain.summaries))
  looking.value = false
  if (answer) found.value = answer
}
watch([rhythm, classes, start, minutes, props.bench.workshop], () => {
  forget()
  found.value = undefined
  looking.value = false
})
const whys: Record<string, string> = {
  'closed-day': tr('closed'),
  'outside-hours': tr('outside opening hours'),
  'room-taken': tr('the room is taken'),
  risky: tr('risky to rub'),
  'too-soon': tr('too soon to rub'),
  'shelf-shared': tr('the shelf is full'),
  'does-not-fit': tr('the class is too short'),
}
const reasons = computed(() =>
  Object.entries(found.value?.why ?? {}).map(([code, n]) =>
    tr(
      '{0} days: {1}',
      n,
      whys[code] ?? (code.startsWith('late-') ? tr('too late for an errand') : tr('something else stands against it')),
    ),
  ),
)
const days = computed(() => found.value?.found?.plan.sessions.map((s) => say.value.at(s.from)) ?? [])
const take = () => props.bench.act('series', tr('{0} classes were set', classes.value), found.value!.found!.changes)
</script>
<template>
  <details class="ruled">
    <summary class="opens">{{ $t('Find the first dates that hold') }}</summary>
    <div class="grid">
      <SegmentChoice v-model="rhythm" :options="rhythms" :label="$t('Classes come')" />
      <div class="tools">
        <StepField v-model="classes" :label="$t('Classes')" :min="1" :max="5" />
        <label
          ><span class="label">{{ $t('From') }}</span
          ><input v-model="start" type="time" class="field" required
        /></label>
        <StepField v-model="minutes" :label="$t('Minutes each')" :min="30" :max="480" />
        <v-btn :disabled="looking || !start" @click="look">{{ looking ? $t('Looked for') : $t('Find them') }}</v-btn>
      </div>
      <p v-if="problem" class="stop">{{ problem }}</p>
      <div v-if="found" aria-live="polite">
        <template v-if="found.found">
          <p>
            <b>{{ days.join($t(', then ')) }}</b>
          </p>
          <p v-if="found.found.verdict === 'risky'" class="watch">
            {{ $t('Risky: shorter than recommended, and it is so on every such day.') }}
          </p>
          <v-btn color="primary" variant="flat" @click="take">{{
            bench.workshop.value!.sessions.length ? $t('Take these dates instead') : $t('Take these dates')
          }}</v-btn>
        </template>
        <p v-else class="stop">{{ $t('No such dates hold in the next four months.') }}</p>
        <p v-if="reasons.length" class="small two">{{ $t('Not sooner:') }} {{ reasons.join(' · ') }}</p>
      </div>
    </div>
  </details>
</template>
<style scoped>
.grid {
  display: grid;
  gap: var(--s-3);
}
.watch {
  color: var(--watch);
}
</style>
