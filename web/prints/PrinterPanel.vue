<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { missingFrom, mostSheetsAtOnce, type LaidSheet } from '#core/prints'
import { brokenOff, cautionsOf, minutesFor, type Letting, type Printer } from '#core/printer'
import type { Plan } from '#core/plan'
import type { Phrases } from '#core/phrases'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import VerdictShape from '../ui/VerdictShape.vue'
import PrinterDrawing from './PrinterDrawing.vue'
import type { Job } from '#core/prints'

/** The simulated printer, its out-tray, what to see to before it prints, and the one press that prints. */
const props = defineProps<{
  workshop: string
  plan: Plan
  say: Phrases
  printer: Printer | undefined
  jobs: readonly Job[]
  sheets: readonly LaidSheet[]
  busy: boolean
  problem: string
  smear: 'passed' | 'failed' | undefined
  of: number
}>()
const emit = defineEmits<{ print: []; tell: [{ letIt?: Letting; refill?: boolean; paper?: string }]; smear: []; redo: [Job, string[]] }>()
const last = computed(() => props.jobs.at(-1))
/** A stop stands until its missing prints are out. */
const stopped = computed(() => (last.value?.stopped && props.sheets.length ? last.value.stopped : null))
const words = { jam: tr('Paper jam'), empty: tr('Run out'), 'wrong-paper': tr('Wrong paper in the tray') }
const told = computed(() => {
  const j = last.value
  if (!j?.stopped || !stopped.value) return undefined
  const n = j.sheets.length
  const whole =
    j.printed === 0
      ? tr('Nothing came out.')
      : tr('{0} in the out-tray and whole.', j.printed === 1 ? tr('Sheet 1 is') : tr('Sheets 1 to {0} are', j.printed))
  const lost = j.lost
    ? tr(' Sheet {0} is lost{1}.', j.printed + 1, j.printed + 1 < n ? tr(', {0} not started', n - j.printed - 1) : '')
    : tr(' {0} not started.', n - j.printed)
  const missing = missingFrom(j).length
  return {
    title: `${words[j.stopped]}${j.stopped === 'wrong-paper' ? '' : tr(' at sheet {0} of {1}', j.printed + 1, n)}`,
    body: tr(
      '{0}{1} {2} {3} missing and laid out anew, those alone.',
      whole,
      lost,
      missing,
      missing === 1 ? tr('print is') : tr('prints are'),
    ),
  }
})
const waiting = computed(() => props.of - props.sheets.length)
const short = computed(() => props.printer && brokenOff(props.printer, Math.min(props.sheets.length, mostSheetsAtOnce)))
const checks = computed(() => [
  { ok: true, text: props.plan.print.mirrored ? tr('mirrored: lettering will read right') : tr('not mirrored') },
  {
    ok: props.printer?.ink === props.plan.ink || props.plan.ink === 'any',
    text: `${tr(props.printer?.ink ?? props.plan.ink)}, ${tr(props.plan.print.stock)}`,
  },
  { ok: true, text: tr('100 %, never “fit to page”; measure the bar') },
  { ok: props.printer?.paper === props.plan.print.paper.id, text: tr('{0} in the tray', props.plan.print.paper.name) },
])
const job = (j: Job) => `${j.printed} ${tr(j.printed === 1 ? 'sheet' : 'sheets')}${j.stopped ? `, ${words[j.stopped].toLowerCase()}` : ''}`
const pressText = computed(() => {
  const n = props.sheets.length
  if (n === 0) return tr('Nothing to print')
  if (n > mostSheetsAtOnce) return tr('Print the first {0} of {1} sheets', mostSheetsAtOnce, n)
  return tr('Print {0} {1}', n, n === 1 ? tr('sheet') : tr('sheets'))
})
</script>
<template>
  <section class="panel" :aria-label="$t('Printer')">
    <div class="apart">
      <h2>{{ $t('Printer') }}</h2>
      <span class="simulated">{{ $t('simulated') }}</span>
    </div>
    <p class="small two">{{ $t('Nothing leaves this computer. Jobs land in the out-tray as PDF.') }}</p>
    <PrinterDrawing v-if="printer" :printer="printer" :stopped="stopped" />
    <p v-if="problem" role="alert" class="stop">{{ problem }}</p>
    <article v-if="told" class="told" role="status">
      <h3 class="stop">{{ told.title }}</h3>
      <p class="small">{{ told.body }}</p>
      <ul class="small">
        <li v-for="c in cautionsOf[stopped!]" :key="c">{{ c }}</li>
      </ul>
      <v-btn v-if="stopped === 'empty'" @click="emit('tell', { refill: true })">{{ $t('A new cartridge is in') }}</v-btn>
      <v-btn v-if="stopped === 'wrong-paper'" @click="emit('tell', { paper: plan.print.paper.id })">{{
        $t('{0} is in the tray', plan.print.paper.name)
      }}</v-btn>
    </article>
    <ol class="bare tray" :aria-label="$t('Out-tray')">
      <li v-for="j in jobs" :key="j.id">
        <b>{{ job(j) }}</b>
        <span class="small two">{{ say.at(j.at) }}</span>
        <a v-if="j.whole" :href="`/api/workshops/${workshop}/print-jobs/${j.id}.pdf`" target="_blank" rel="noopener">{{
          $t('PDF')
        }}</a><span v-else class="small two">{{ $t('erased') }}</span>
        <details v-if="j.printed" class="again">
          <summary class="small">{{ $t('print one again') }}</summary>
          <v-btn
            v-for="(label, k) in j.sheets.slice(0, j.printed).flatMap((s) => s.labels)"
            :key="k"
            :disabled="j.redo.includes(j.sheets.flatMap((s) => s.prints)[k]!)"
            @click="emit('redo', j, [j.sheets.flatMap((s) => s.prints)[k]!])"
            >{{ label }}</v-btn
          >
        </details>
      </li>
      <li>
        <b>{{ $t('Smear test') }}</b>
        <span class="small" :class="smear === 'failed' ? 'stop' : smear ? 'ok' : 'two'">{{
          smear === 'passed' ? $t('holds') : smear === 'failed' ? $t('smears') : $t('not yet')
        }}</span>
        <v-btn v-if="printer" @click="emit('smear')">{{ $t('Rub a corner') }}</v-btn>
      </li>
    </ol>
    <div v-if="printer" class="row">
      <SegmentChoice
        :label="$t('Let it')"
        :model-value="printer.letIt"
        :options="[
          { id: 'run', name: $t('run') },
          { id: 'jam', name: $t('jam') },
          { id: 'low', name: $t('run low') },
        ]"
        @update:model-value="emit('tell', { letIt: $event as Letting })"
      />
    </div>
    <h3 class="gap">{{ $t('Before it prints') }}</h3>
    <ul class="bare checks">
      <li v-for="c in checks" :key="c.text"><VerdictShape :state="c.ok ? 'settled' : 'look'" :size="17" />{{ $t(c.text) }}</li>
    </ul>
    <div v-if="waiting > 0" class="small">
      <b class="watch">{{ waiting }} {{ waiting === 1 ? $t('sheet waits') : $t('sheets wait') }}</b>
      {{ $t('for pictures that are not in.') }}
      <router-link class="named-link" :to="`/w/${workshop}/bench/pictures`">{{ $t('Bring them in') }}</router-link>
      <slot />
    </div>
    <p v-if="short" class="small watch">{{ $t('It will run out on the way; what is left is printed afterwards.') }}</p>
    <v-btn
      class="press"
      color="primary"
      :variant="sheets.length ? 'flat' : 'outlined'"
      :disabled="sheets.length === 0 || busy || !printer"
      @click="emit('print')"
      >{{ pressText }}</v-btn
    >
    <p v-if="sheets.length && printer" class="small two end">
      {{ $t('one PDF, about {0} min', minutesFor(printer.ink, Math.min(sheets.length, mostSheetsAtOnce))) }} <SourceMark mark="E" />{{
        $t('; nothing is printed twice')
      }}
    </p>
  </section>
</template>
<style scoped>
.panel {
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
.simulated {
  border: 1.5px dashed var(--text);
  padding: 1px var(--s-2);
  font-weight: 700;
  font-size: var(--t-small);
}
.told {
  border-inline-start: 5px solid var(--stop);
  padding-inline-start: var(--s-3);
}
.told h3 {
  font-size: var(--t-text);
}
.told ul {
  margin: var(--s-1) 0;
  padding-inline-start: var(--s-4);
}
.tray li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: var(--s-2);
  align-items: center;
  border-bottom: 1px solid var(--rule);
  min-height: 36px;
}
.tray a {
  color: var(--text);
  font-weight: 700;
  padding: var(--s-1) 2px;
}
.again {
  grid-column: 1 / -1;
}
.again summary {
  min-height: 26px;
  cursor: pointer;
}
.checks li {
  display: grid;
  grid-template-columns: 17px 1fr;
  gap: var(--s-2);
  align-items: center;
  padding: 2px 0;
  font-size: var(--t-list);
}
.gap {
  border-top: 2px solid var(--text);
  padding-top: var(--s-2);
}
.press {
  min-height: 50px;
  width: 100%;
  font-size: var(--t-lead);
}
.end {
  text-align: center;
}
</style>
