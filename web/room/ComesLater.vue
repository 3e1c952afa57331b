<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { inWorkshop } from '#core/workshop'
import type { Bench } from '../bench/useBench'

/** Who comes later to a class, by so many minutes; and whether tables begin one after another. */
const props = defineProps<{
  bench: Bench
  session: string
  people: readonly string[]
  called: (person: string) => string
  clock: (min: number) => string
}>()
const run = computed(() => props.bench.workshop.value!.sessions.find((s) => s.id === props.session)!)
const late = computed(() => Object.entries(run.value.late ?? {}).filter(([p]) => props.people.includes(p)))
const who = ref('')
const minutes = ref('25')
const wrong = ref('')
function set(person: string, min: number | null) {
  const { [person]: _was, ...others } = run.value.late ?? {}
  const now = min === null ? others : { ...others, [person]: min }
  const label =
    min === null ? tr('{0} comes at the beginning', props.called(person)) : tr('{0} comes {1} min later', props.called(person), min)
  props.bench.set(inWorkshop.sessions(props.session).late, Object.keys(now).length ? now : null, label)
}
function add() {
  const n = Number(minutes.value)
  wrong.value = who.value && Number.isInteger(n) && n >= 1 && n <= 1440 ? '' : tr('Choose who, and 1 to 1440 minutes.')
  if (!wrong.value) set(who.value, n)
}
</script>
<template>
  <details>
    <summary class="opens">{{ $t('Somebody comes later') }}</summary>
    <ul v-if="late.length" class="bare">
      <li v-for="[p, n] in late" :key="p">
        {{ $t('{0}: here {1}', called(p), clock(n)) }}
        <v-btn size="small" :aria-label="$t('{0} comes at the beginning', called(p))" @click="set(p, null)">{{ $t('Take out') }}</v-btn>
      </li>
    </ul>
    <form class="tools" @submit.prevent="add">
      <label class="wide"
        ><span class="label">{{ $t('Who') }}</span
        ><select v-model="who" class="field">
          <option v-for="p in people" :key="p" :value="p">{{ called(p) }}</option>
        </select></label
      >
      <label
        ><span class="label">{{ $t('Minutes later') }}</span
        ><input v-model="minutes" class="field short" inputmode="numeric" maxlength="4" :aria-invalid="!!wrong"
      /></label>
      <v-btn type="submit">{{ $t('Note it') }}</v-btn>
    </form>
    <p v-if="wrong" class="stop small" role="alert">{{ wrong }}</p>
    <p v-if="run.stagger" class="small">
      {{ $t('Tables begin {0} min apart.', run.stagger) }}
      <v-btn size="small" @click="bench.set(inWorkshop.sessions(session).stagger, null, $t('all tables begin at once'))">{{
        $t('All at once')
      }}</v-btn>
    </p>
  </details>
</template>
<style scoped>
.wide {
  flex: 1;
  min-width: 110px;
}
.wide select {
  width: 100%;
}
.short {
  width: 84px;
}
</style>
