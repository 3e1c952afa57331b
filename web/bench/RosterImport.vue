<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref } from 'vue'
import { ageName } from '#core/phrases'
import { rosterChanges, type Heading, type RosterPreview } from '#core/roster'
import { limits } from '#core/workshop'
import { api, Refused, type Problem } from '../app/api'
import type { Bench } from './useBench'

/** A roster file: looked at first, odd headings asked about, bad lines named; one press brings all good lines in. */
const props = defineProps<{ bench: Bench }>()
const open = ref(false)
const text = ref('')
const answers = ref<Record<number, Heading>>({})
const preview = ref<RosterPreview>()
const problem = ref<Problem>()
const tooMany = ref('')
const headings: { id: Heading; name: string }[] = [
  { id: 'name', name: tr('first name') },
  { id: 'age', name: tr('age band') },
  { id: 'years', name: tr('age in years (kept as a band)') },
  { id: 'picture', name: tr('picture file') },
  { id: 'leave', name: tr('leave it out') },
]
const files = computed(() => preview.value?.good.filter((g) => g.picture).length ?? 0)
const asked = computed(() => (preview.value?.questions.length ?? 0) > 0)

async function look() {
  problem.value = undefined
  tooMany.value = ''
  try {
    preview.value = await api.lookAtRoster<RosterPreview>(text.value, answers.value)
  } catch (e) {
    preview.value = undefined
    problem.value =
      e instanceof Refused
        ? e.problem
        : { what: tr('The server does not answer.'), path: '(server)', remedy: tr('Your text stays here; try again.') }
  }
}
async function choose(e: Event) {
  const file = (e.target as HTMLInputElement).files?.[0]
  if (!file) return
  text.value = await file.text()
  answers.value = {}
  await look()
}
const settle = (column: number, h: Heading) => {
  answers.value = { ...answers.value, [column]: h }
  void look()
}
function bringIn() {
  const w = props.bench.workshop.value!
  const { changes, guards, left } = rosterChanges(w.group.participants, preview.value!.good, () => uuidv7())
  if (left > 0) return void (tooMany.value = tr('{0} more than the {1} that a workshop holds. Plan two workshops.', left, limits.people))
  props.bench.act('roster', tr('{0} people came in from a file', preview.value!.good.length), changes, guards)
  open.value = false
  preview.value = undefined
  text.value = ''
}
</script>
<template>
  <v-btn @click="open = true">{{ $t('Bring in a roster') }}</v-btn>
  <v-dialog v-model="open" max-width="640" scrollable>
    <div class="sheet above">
      <h2>{{ $t('A roster') }}</h2>
      <p class="small two">
        {{ $t('Comma, semicolon or tab; a heading line, then a person a line. First names and age bands are all that is kept.') }}
      </p>
      <input type="file" accept=".csv,.txt,.tsv,text/csv" :aria-label="$t('Roster file')" @change="choose" />
      <label class="label" for="roster-text">{{ $t('or paste it') }}</label>
      <textarea id="roster-text" v-model="text" rows="5" class="code" :placeholder="$t('name,age')" />
      <v-btn :disabled="!text.trim()" @click="look">{{ $t('Look at it') }}</v-btn>
      <div v-if="problem" role="alert" class="bad">
        <b>{{ problem.what }}</b><br />{{ problem.path }}. {{ problem.remedy }}
      </div>
      <template v-if="preview">
        <div v-for="q in preview.questions" :key="q.column" class="ask">
          <b>{{ $t('What is “{0}”?', q.heading) }}</b> <span class="code">{{ q.example }}</span>
          <div class="row">
            <v-btn v-for="h in headings" :key="h.id" :class="{ likely: q.guess === h.id }" @click="settle(q.column, h.id)">{{
              h.name
            }}</v-btn>
          </div>
        </div>
        <div v-if="preview.bad.length" class="bad" role="alert">
          <b>{{ $t('{0} {1} cannot come in.', preview.bad.length, preview.bad.length === 1 ? $t('line') : $t('lines')) }}</b>
          {{ $t('The others can.') }}
          <p v-for="b in preview.bad.slice(0, 6)" :key="b.line" class="small">
            <span class="code">{{ $t('{0}, column {1}: {2}', b.line, b.column, b.text.slice(0, 60)) }}</span><br />{{ b.what }}
            {{ b.remedy }}
          </p>
          <p v-if="preview.bad.length > 6" class="small">{{ $t('and {0} more', preview.bad.length - 6) }}</p>
        </div>
        <p v-if="files" class="small">
          <b>{{ $t('{0} {1} a picture file.', files, files === 1 ? $t('line names') : $t('lines name')) }}</b>
          {{ $t('Drop this roster together with the pictures, on Pictures, and each finds its owner.') }}
        </p>
        <p v-if="!asked">
          <b>{{ $t('{0} good {1}:', preview.good.length, preview.good.length === 1 ? $t('line waits') : $t('lines wait')) }}</b>
          <span class="two"
            >{{
              preview.good
                .slice(0, 8)
                .map((g) => `${g.name ?? 'no name'}, ${ageName(g.age)}`)
                .join(' · ')
            }}{{ preview.good.length > 8 ? ' …' : '' }}</span
          >
        </p>
      </template>
      <p v-if="tooMany" role="alert" class="bad">{{ tooMany }}</p>
      <div class="row">
        <v-btn @click="open = false">{{ $t('Not now') }}</v-btn><v-btn
          color="primary"
          variant="flat"
          :disabled="!preview || asked || !preview.good.length"
          @click="bringIn"
          >{{ $t('Bring {0} in', preview && !asked ? preview.good.length : '') }}</v-btn
        >
      </div>
    </div>
  </v-dialog>
</template>
<style scoped>
.sheet {
  display: grid;
  gap: var(--s-2);
  overflow-y: auto;
}
textarea {
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: var(--s-2);
  background: var(--paper);
  color: var(--text);
}
.bad {
  border-inline-start: 5px solid var(--stop);
  padding-inline-start: var(--s-2);
}
.ask {
  background: var(--watch-wash);
  padding: var(--s-2) var(--s-2);
}
.row {
  display: flex;
  gap: var(--s-2);
  flex-wrap: wrap;
  margin-top: var(--s-1);
}
.likely {
  border-color: var(--ink) !important;
}
</style>
