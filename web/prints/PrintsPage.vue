<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { inWorkshop } from '#core/workshop'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { printersOf, sizeUnit } from '#core/house'
import type { Remedy } from '#core/plan'
import { printsOf, stillToPrint, type LayoutAsk, mostSheetsAtOnce } from '#core/prints'
import { usePageKeys } from '../app/usePageKeys'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import FindingCard from '../ui/FindingCard.vue'
import PrinterPanel from './PrinterPanel.vue'
import SheetBoard from './SheetBoard.vue'
import SheetsList from './SheetsList.vue'
import TooLarge from './TooLarge.vue'
import { useLayout } from './useLayout'
import { useLocks } from './useLocks'
import { usePrinter } from './usePrinter'

/** The sheets as they will come out of the printer, how they are cut, and the printer itself. */
const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, plan, say } = bench
const houseId = computed(() => workshop.value?.houseId ?? '')
const actor = computed(() => bench.desk.actor)
const printing = usePrinter(id, houseId, actor)
const DesignTabs = defineAsyncComponent(() => import('../bench/DesignTabs.vue'))
const several = computed(() => (workshop.value?.designs.length ?? 1) > 1)

const prints = computed(() => {
  if (!workshop.value || !plan.value) return []
  const { widthMm, heightMm, marginMm } = plan.value.print.paper
  const all = printsOf(plan.value, workshop.value, { widthMm: widthMm - 2 * marginMm, heightMm: heightMm - 2 * marginMm })
  return stillToPrint(all, printing.jobs.value)
})
const ask = computed((): LayoutAsk | undefined =>
  plan.value && workshop.value && house.value && printing.ready.value
    ? {
        prints: prints.value,
        paper: plan.value.print.paper,
        gutterMm: plan.value!.print.gutterMm,
        locks: workshop.value.locks ?? [],
        unit: sizeUnit(house.value),
      }
    : undefined,
)
const { layout, refused, problem, share, stop } = useLayout(ask)
const sheets = computed(() => layout.value?.sheets ?? [])
const ready = computed(() => sheets.value.filter((s) => !s.waits))
const number = ref(1)
const chosen = ref('')
const locks = useLocks(bench, ask, sheets, number, chosen)
// The sheet that is looked at follows the print that was chosen on it.
watch(sheets, (s) => {
  const follows = s.findIndex((x) => x.places.some((p) => p.print.id === chosen.value))
  number.value = follows >= 0 ? follows + 1 : Math.min(Math.max(1, number.value), Math.max(1, s.length))
})
/** Another sheet: nothing of the one before stays chosen. */
function goTo(n: number) {
  number.value = Math.min(Math.max(1, n), Math.max(1, sheets.value.length))
  chosen.value = ''
  locks.said.value = ''
}

const ink = computed(() => {
  const all = printersOf(house.value!)
  return plan.value!.ink !== 'any' && all.includes(plan.value!.ink) ? plan.value!.ink : all[0]!
})
const printer = computed(() => printing.printers.value.find((p) => p.ink === ink.value))
const press = () =>
  layout.value &&
  void printing.print(ink.value, ready.value.slice(0, mostSheetsAtOnce), layout.value.steps, several.value ? plan.value!.design : undefined)
async function smearTest() {
  const outcome = await printing.smear(ink.value)
  const d = bench.design.value!
  bench.set(
    inWorkshop.designs(d.id).print,
    { ...d.print, smear: outcome },
    tr('smear test: {0}', outcome === 'passed' ? tr('holds') : tr('smears')),
  )
}
const take = (r: Remedy) => bench.act('way-out', say.value!.remedy(r).toLowerCase(), r.changes)
/** House pictures that could stand in for those that are not in; ways out of a picture larger than the paper. */
const standIn = computed(() => plan.value?.findings.find((f) => f.code === 'pictures-missing' && f.remedies.length > 0))
const larger = computed(() => plan.value?.findings.find((f) => f.code === 'larger-than-paper'))

/** Keys: PgUp and PgDn the sheet, arrows the picture, O turns, X locks, P prints what the button would. */
function step(by: number) {
  const all = locks.sheet.value?.places ?? []
  const now = all.findIndex((p) => p.print.id === locks.place.value?.print.id)
  chosen.value = all[Math.min(all.length - 1, Math.max(0, now + by))]?.print.id ?? ''
}
usePageKeys({
  PageDown: () => goTo(number.value + 1),
  PageUp: () => goTo(number.value - 1),
  ArrowRight: () => step(1),
  ArrowDown: () => step(1),
  ArrowLeft: () => step(-1),
  ArrowUp: () => step(-1),
  o: locks.turn,
  x: locks.toggle,
})
const printKey = () => void (ready.value.length > 0 && !printing.busy.value && share.value >= 1 && press())
useEventListener(window, 'imprenta:print', printKey)
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else class="prints">
    <section class="left" :aria-label="$t('Sheets')">
      <h1>{{ $t('Prints') }}</h1>
      <DesignTabs v-if="several" :bench="bench" :edit="false" />
      <SheetsList
        v-if="layout && !refused"
        :workshop="id"
        :plan="plan"
        :say="say"
        :layout="layout"
        :prints="prints"
        :number="number"
        :share="share"
        :printed="printing.jobs.value.length > 0"
        @go="goTo"
        @stop="stop"
        @paper="bench.set(inWorkshop.choices.paper, $event, $t('the paper changed'))"
      />
      <div v-else-if="refused" role="alert">
        <FindingCard v-if="larger" :finding="larger" :say="say" :effect="bench.effect" @take="take" />
        <template v-else>
          <h3 class="stop">{{ refused.what }}</h3>
          <p class="small">{{ $t('{0}. You could {1}.', refused.why, refused.remedies.join(', or ')) }}</p>
        </template>
        <v-btn v-if="locks.held.value.length" @click="locks.unlockAll">{{ $t('Unlock all') }}</v-btn>
      </div>
      <div v-else class="ghost" aria-hidden="true"><i v-for="i in 4" :key="i" /></div>
      <p v-if="problem" role="alert" class="stop">{{ $t('{0} Reload the page; the plan is saved.', problem) }}</p>
    </section>
    <section class="board" :aria-label="$t('The sheet')">
      <SheetBoard
        v-if="locks.sheet.value && !refused"
        :workshop="id"
        :sheet="locks.sheet.value"
        :number="number"
        :of="sheets.length"
        :paper="plan.print.paper"
        :size="plan.print"
        :mirrored="plan.print.mirrored"
        :outline="plan.cut"
        :unit="sizeUnit(house)"
        :locks="locks"
        @choose="chosen = $event"
      />
      <TooLarge v-else-if="refused && larger" :paper="plan.print.paper" :size="plan.print" :unit="sizeUnit(house)" />
      <div v-else class="hollow">{{ $t('The sheet will lie here.') }}</div>
    </section>
    <PrinterPanel
      class="right"
      :workshop="id"
      :plan="plan"
      :say="say"
      :printer="printer"
      :jobs="printing.jobs.value"
      :sheets="ready"
      :busy="printing.busy.value || share < 1"
      :problem="printing.problem.value"
      :smear="bench.design.value!.print?.smear"
      :of="sheets.length"
      @print="press"
      @tell="printing.tell(ink, $event)"
      @smear="smearTest"
      @redo="(j, p) => printing.redo(j.id, p)"
      ><FindingCard v-if="standIn" :finding="standIn" :say="say" :effect="bench.effect" @take="take"
    /></PrinterPanel>
  </main>
</template>
<style scoped>
.prints {
  display: grid;
  grid-template-columns: 308px minmax(0, 1fr) 338px;
  min-height: calc(100vh - 110px);
}
.left,
.right {
  padding: var(--s-4) var(--s-page) var(--s-5);
}
.left {
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
.left h1 {
  border-bottom: 2px solid var(--text);
  padding-bottom: var(--s-1);
}
.board {
  background: var(--board);
  padding: var(--s-2) var(--s-4) var(--s-page);
  min-width: 0;
}
.ghost {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: var(--s-2);
}
.ghost i {
  height: 78px;
  background: var(--board);
}
@media (max-width: 1100px) {
  .prints {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
