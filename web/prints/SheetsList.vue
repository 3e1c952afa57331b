<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, watch } from 'vue'
import { useDisplay } from 'vuetify'
import { papers, type PaperId } from '#core/house'
import type { Plan } from '#core/plan'
import { mostSheetsAtOnce, type Layout, type Print } from '#core/prints'
import type { Phrases } from '#core/phrases'
import ChoiceField from '../ui/ChoiceField.vue'
import SheetView from './SheetView.vue'

/** How many sheets, whether fewer are possible, each of them small, and the files. */
const props = defineProps<{
  workshop: string
  plan: Plan
  say: Phrases
  layout: Layout
  prints: readonly Print[]
  number: number
  /** How far the search for fewer is: 1 when it is over. */
  share: number
  printed: boolean
}>()
defineEmits<{ go: [number]; stop: []; paper: [PaperId] }>()
const sheets = computed(() => props.layout.sheets)
const fewest = computed(() => props.layout.lowerBound >= sheets.value.length)
const paper = computed(() => props.plan.print.paper)
const scale = computed(() => 54 / paper.value.widthMm)
const kinds = computed(() => {
  const by = new Map<string, number>()
  for (const p of props.prints) {
    const key = `${props.say.length(p.widthMm)} × ${props.say.length(p.heightMm)}`
    by.set(key, (by.get(key) ?? 0) + 1)
  }
  return [...by]
})
/** Sheets in rows, of which only those near are drawn: a thousand sheets cost no more than those that are seen. */
const { width } = useDisplay()
const columns = computed(() => (width.value > 1100 ? 4 : Math.max(3, Math.floor((width.value - 40) / 72))))
const rowPx = computed(() => Math.round(paper.value.heightMm * scale.value) + 30)
const rows = computed(() => {
  const all = sheets.value.map((s, i) => ({ s, i }))
  return Array.from({ length: Math.ceil(all.length / columns.value) }, (_, r) => all.slice(r * columns.value, (r + 1) * columns.value))
})
const scroller = ref<{ scrollToIndex: (row: number) => void; $el: HTMLElement }>()
/** The sheet that is looked at comes into view; what is in view stays where it is. */
watch(
  () => props.number,
  (n) => {
    const list = scroller.value
    if (!list) return
    const row = Math.floor((n - 1) / columns.value)
    const { scrollTop, clientHeight } = list.$el
    if (row * rowPx.value < scrollTop || (row + 1) * rowPx.value > scrollTop + clientHeight) list.scrollToIndex(row)
  },
)
function title(s: Layout['sheets'][number]): string {
  if (s.waits) return 'waits'
  for (const purpose of ['sample', 'spare'] as const) if (s.places.every((p) => p.print.purpose === purpose)) return purpose
  return s.places[0]?.print.label ?? ''
}
/** Files hold so many sheets; more of them are more files. */
const parts = computed(() =>
  Array.from({ length: Math.ceil(sheets.value.length / mostSheetsAtOnce) }, (_, i) => {
    const from = i * mostSheetsAtOnce + 1
    return `${from}-${Math.min(sheets.value.length, from + mostSheetsAtOnce - 1)}`
  }),
)
/** Of several designs each has sheets of its own. */
const ofDesign = computed(() => (props.plan.designs.length > 1 ? `&design=${props.plan.design}` : ''))
const pdf = (more = '') => `/api/workshops/${props.workshop}/prints.pdf?steps=${props.layout.steps}${ofDesign.value}${more}`
/** Why there is nothing to print. */
const nothing = computed(() => {
  if (props.printed) return tr('Everything is printed.')
  return props.plan.people > 0
    ? tr('Nothing goes through the printer: pictures are stamped, cut from pages or brought along.')
    : tr('Nobody is in the group yet: nothing is printed.')
})
const fills = computed(() => {
  if (props.prints.length === 0) return ''
  const whole = props.layout.wholeLeft
  const left = whole > 0.2 ? tr('; {0} % of the last stays whole', Math.round(whole * 100)) : ''
  return tr('{0} prints and their gutters fill {1}{2}.', props.prints.length, props.layout.fills.toFixed(1), left)
})
const paperWays = (Object.keys(papers) as PaperId[]).map((id) => ({ id, name: papers[id].name }))
</script>
<template>
  <p class="many">{{ sheets.length }} {{ sheets.length === 1 ? $t('sheet') : $t('sheets') }}</p>
  <p>
    <b v-if="sheets.length">{{
      share < 1
        ? $t('{0} at the least.', layout.lowerBound)
        : fewest
          ? $t('No fewer are possible.')
          : $t('At least {0}.', layout.lowerBound)
    }}</b>{{ ' ' }}<span class="two small">{{ fills }}</span>
  </p>
  <div v-if="share < 1" class="progress small inline wraps" role="status">
    <span class="steps"><i v-for="n in 20" :key="n" :class="{ on: n <= share * 20 }" /></span>
    {{ fewest ? $t('leaving more of the last sheet whole') : $t('looking for fewer') }}
    <v-btn @click="$emit('stop')">{{ $t('Stop and keep') }}</v-btn>
  </div>
  <v-virtual-scroll v-if="rows.length" ref="scroller" class="thumbs" :items="rows" :item-height="rowPx" :max-height="430">
    <template #default="{ item: row }">
      <div class="row" :style="{ gridTemplateColumns: `repeat(${columns}, 1fr)`, height: `${rowPx}px` }">
        <button
          v-for="{ s, i } in row"
          :key="i"
          type="button"
          class="plain thumb"
          :class="{ on: number === i + 1, waits: s.waits }"
          :aria-label="
            $t('Sheet {0}: {1}{2}', i + 1, s.places.map((p) => p.print.label).join(', '), s.waits ? $t(', waits for a picture') : '')
          "
          :aria-pressed="number === i + 1"
          @click="$emit('go', i + 1)"
        >
          <SheetView
            :sheet="s"
            :paper="paper"
            :workshop="workshop"
            :size="plan.print"
            :mirrored="plan.print.mirrored"
            :outline="plan.cut"
            :scale="scale"
            small
          />
          <span class="small"
            ><b>{{ i + 1 }}</b> {{ title(s) }}</span
          >
        </button>
      </div>
    </template>
  </v-virtual-scroll>
  <div v-if="!prints.length" class="hollow">
    {{ nothing }}
  </div>
  <dl class="kinds">
    <template v-for="[size, n] in kinds" :key="size"
      ><dt>
        <b>{{ n }} {{ n === 1 ? $t('print') : $t('prints') }}</b>
      </dt>
      <dd>{{ size }}</dd></template
    >
  </dl>
  <ChoiceField :label="$t('Paper')" :model-value="paper.id" :options="paperWays" @update:model-value="$emit('paper', $event)" />
  <p class="links">
    <template v-if="parts.length <= 1"
      ><a :href="pdf('&proof=0')" target="_blank" rel="noopener">{{ $t('Sheets as PDF') }}</a
      ><a :href="pdf()" target="_blank" rel="noopener">{{ $t('with a proof') }}</a></template
    ><template v-for="p in parts.length > 1 ? parts : []" :key="p"
      ><a :href="pdf(`&proof=0&sheets=${p}`)" target="_blank" rel="noopener">{{ $t('Sheets {0} as PDF', p) }}</a></template
    ><a
      v-if="sheets.length"
      :href="`/api/workshops/${workshop}/prints/${number}.png?steps=${layout.steps}${ofDesign}`"
      target="_blank"
      rel="noopener"
      >{{ $t('this sheet as PNG') }}</a
    >
  </p>
  <p class="small two">
    {{
      $t(
        '{0} A cut stack is a table’s pile: people of one table lie together.',
        plan.print.mirrored ? $t('Mirrored: laid face down.') : $t('Not mirrored.'),
      )
    }}
  </p>
</template>
<style scoped>
.many {
  font: 800 var(--t-h1)/1.1 var(--f-head);
}
.thumbs {
  padding: var(--s-1);
}
.row {
  display: grid;
  gap: var(--s-2);
  padding-bottom: var(--s-2);
}
.thumb {
  padding: var(--s-1) 0 0 var(--s-1);
  text-align: start;
  line-height: 1.1;
  overflow: hidden;
  white-space: nowrap;
}
.thumb.on :deep(.paper) {
  box-shadow: 0 0 0 3px var(--ink);
}
.thumb.on {
  color: var(--ink);
}
.thumb.waits {
  color: var(--watch);
}
.kinds {
  display: grid;
  grid-template-columns: 1fr auto;
  margin: 0;
}
.kinds dt,
.kinds dd {
  border-top: 1px solid var(--rule);
  margin: 0;
  padding: var(--s-1) 0;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-3);
}
.links a {
  color: var(--text);
  font-weight: 700;
  padding: var(--s-1) 0;
}
.steps {
  display: inline-flex;
  gap: 2px;
  vertical-align: middle;
}
.steps i {
  width: 6px;
  height: 12px;
  border: 1px solid var(--text-2);
}
.steps .on {
  background: var(--ink);
  border-color: var(--ink);
}
</style>
