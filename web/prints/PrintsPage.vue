<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useDisplay } from 'vuetify'
import { papers, printersOf, sizeUnit } from '#core/house'
import { gutterMm } from '#core/plan'
import { printsOf, stillToPrint, type LaidPrint, type LayoutAsk } from '#core/prints'
import { isRefusal } from '#core/reasons'
import { beginLayout } from '#core/prints'
import { showLength } from '#core/units'
import type { PrintLock } from '#core/workshop'
import { singleLetters } from '../app/keys'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import FindingCard from '../ui/FindingCard.vue'
import CutLines from './CutLines.vue'
import PrinterPanel from './PrinterPanel.vue'
import SheetView from './SheetView.vue'
import { useLayout } from './useLayout'
import { usePrinter } from './usePrinter'

/** The sheets as they will come out of the printer, how they are cut, and the printer itself. */
const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, plan, say } = bench
const houseId = computed(() => workshop.value?.houseId ?? '')
const actor = computed(() => bench.desk.actor)
const printing = usePrinter(id, houseId, actor)

const prints = computed(() => {
  if (!workshop.value || !plan.value) return []
  const { widthMm, heightMm, marginMm } = plan.value.print.paper
  const all = printsOf(plan.value, workshop.value, { widthMm: widthMm - 2 * marginMm, heightMm: heightMm - 2 * marginMm })
  return stillToPrint(all, printing.jobs.value)
})
const ask = computed((): LayoutAsk | undefined =>
  plan.value && workshop.value && printing.ready.value
    ? { prints: prints.value, paper: plan.value.print.paper, gutterMm: gutterMm.value, locks: workshop.value.locks ?? [] }
    : undefined,
)
const { layout, refused, problem, share, stop } = useLayout(ask)
const sheets = computed(() => layout.value?.sheets ?? [])
const number = ref(1)
const chosen = ref('')
// The sheet that is looked at follows the print that was chosen on it.
watch(sheets, (s) => {
  const follows = s.findIndex((x) => x.places.some((p) => p.print.id === chosen.value))
  number.value = follows >= 0 ? follows + 1 : Math.min(Math.max(1, number.value), Math.max(1, s.length))
})
const sheet = computed(() => sheets.value[number.value - 1])
const place = computed(() => sheet.value?.places.find((p) => p.print.id === chosen.value) ?? sheet.value?.places[0])
const said = ref('')
watch([number, chosen], () => (said.value = ''))
/** Another sheet: nothing of the one before stays chosen. */
function goTo(n: number) {
  number.value = Math.min(Math.max(1, n), Math.max(1, sheets.value.length))
  chosen.value = ''
}

const paper = computed(() => plan.value!.print.paper)
const { width } = useDisplay()
/** A sheet fits its board; on a phone it fits the phone, cut numbers included. */
const scale = computed(() => Math.min((width.value <= 760 ? width.value - 96 : 430) / paper.value.widthMm, 520 / paper.value.heightMm))
const thumb = computed(() => 58 / paper.value.widthMm)
const unit = computed(() => sizeUnit(house.value!))
const stopAt = (mm: number) => showLength(mm, unit.value).replace(/ (in|mm)$/, '')
const ready = computed(() => sheets.value.filter((s) => !s.waits))
const fewest = computed(() => layout.value !== undefined && layout.value.lowerBound >= layout.value.sheets.length)
const kinds = computed(() => {
  const by = new Map<string, number>()
  for (const p of prints.value) {
    const key = `${say.value!.length(p.widthMm)} × ${say.value!.length(p.heightMm)}`
    by.set(key, (by.get(key) ?? 0) + 1)
  }
  return [...by]
})
const title = (n: number) => {
  const s = sheets.value[n - 1]!
  const what = s.waits
    ? 'waits'
    : s.places.every((p) => p.print.purpose === 'sample')
      ? 'sample'
      : s.places.every((p) => p.print.purpose === 'spare')
        ? 'spare'
        : ''
  return what || (s.places[0]?.print.label ?? '')
}

/** Locks are tried before they are kept: what cannot stay says why, and nothing changes. */
function lockAll(locks: PrintLock[], label: string): boolean {
  chosen.value = locks[0]!.id
  const others = (workshop.value!.locks ?? []).filter((l) => !locks.some((x) => x.id === l.id))
  const tried = beginLayout({ ...ask.value!, locks: [...others, ...locks] })
  if (isRefusal(tried)) {
    said.value = `${tried.refused.what}: ${tried.refused.why}. You could ${tried.refused.remedies.join(', or ')}.`
    return false
  }
  said.value = ''
  bench.act(
    'lock-print',
    label,
    locks.map((l) => ({ path: `locks/${l.id}`, before: workshop.value!.locks?.find((x) => x.id === l.id) ?? null, after: l })),
  )
  return true
}
const asLock = (p: LaidPrint, more: Partial<PrintLock> = {}): PrintLock => ({
  id: p.print.id,
  sheet: number.value - 1,
  xMm: p.xMm,
  yMm: p.yMm,
  turned: p.turned,
  ...more,
})
function toggleLock() {
  const p = place.value
  if (!p) return
  const lock = workshop.value!.locks?.find((l) => l.id === p.print.id)
  if (lock) bench.act('unlock-print', `${p.print.label} may move again`, [{ path: `locks/${lock.id}`, before: lock, after: null }])
  else lockAll([asLock(p)], `${p.print.label} stays on sheet ${number.value}`)
}
const turn = () => place.value && lockAll([asLock(place.value, { turned: !place.value.turned })], `${place.value.print.label} is turned`)
/** Locks of prints that are still to be printed. */
const held = computed(() => (workshop.value?.locks ?? []).filter((l) => prints.value.some((p) => p.id === l.id)))
const sameSize = computed(() =>
  place.value
    ? sheets.value
        .flatMap((s, i) => s.places.map((p) => ({ p, sheet: i })))
        .filter(
          ({ p }) =>
            p.print.id !== place.value!.print.id &&
            p.print.widthMm === place.value!.print.widthMm &&
            p.print.heightMm === place.value!.print.heightMm,
        )
    : [],
)
function swap(other: string) {
  const a = place.value
  const b = sameSize.value.find((x) => x.p.print.id === other)
  if (!a || !b) return
  lockAll(
    [
      { ...asLock(a), sheet: b.sheet, xMm: b.p.xMm, yMm: b.p.yMm, turned: b.p.turned },
      { ...asLock(b.p), sheet: number.value - 1, xMm: a.xMm, yMm: a.yMm, turned: a.turned },
    ],
    `${a.print.label} and ${b.p.print.label} changed places`,
  )
}
function unlockAll() {
  bench.act(
    'unlock-print',
    'all prints may move again',
    (workshop.value!.locks ?? []).map((l) => ({ path: `locks/${l.id}`, before: l, after: null })),
  )
}

/** Dragging: what is lifted leaves a dashed seat; where it is dropped it is locked. */
const drag = ref<{ id: string; dx: number; dy: number; x: number; y: number }>()
function lift(e: PointerEvent, p: LaidPrint) {
  chosen.value = p.print.id
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  drag.value = { id: p.print.id, dx: 0, dy: 0, x: e.clientX, y: e.clientY }
}
function pull(e: PointerEvent) {
  if (drag.value) drag.value = { ...drag.value, dx: e.clientX - drag.value.x, dy: e.clientY - drag.value.y }
}
function drop(p: LaidPrint) {
  const d = drag.value
  drag.value = undefined
  if (!d || Math.hypot(d.dx, d.dy) < 5) return
  const { widthMm, heightMm, marginMm } = paper.value
  const mm = (n: number, least: number, most: number) => Number(Math.min(most, Math.max(least, Math.round(n))).toFixed(3))
  const xMm = mm(p.xMm + d.dx / scale.value, marginMm, widthMm - marginMm - p.widthMm)
  const yMm = mm(p.yMm - d.dy / scale.value, marginMm, heightMm - marginMm - p.heightMm)
  lockAll([asLock(p, { xMm, yMm })], `${p.print.label} was moved on sheet ${number.value}`)
}

const ink = computed(() => {
  const all = printersOf(house.value!)
  return plan.value!.ink !== 'any' && all.includes(plan.value!.ink) ? plan.value!.ink : all[0]!
})
const printer = computed(() => printing.printers.value.find((p) => p.ink === ink.value))
const press = () => layout.value && void printing.print(ink.value, ready.value, layout.value.steps)
async function smearTest() {
  const outcome = await printing.smear(ink.value)
  bench.set(
    `designs/${workshop.value!.designs[0]!.id}/print`,
    { ...workshop.value!.designs[0]!.print, smear: outcome },
    `smear test: ${outcome === 'passed' ? 'holds' : 'smears'}`,
  )
}
const pdf = (more = '') => `/api/workshops/${id.value}/prints.pdf?steps=${layout.value?.steps ?? 0}${more}`
/** House pictures that could stand in for those that are not in. */
const standIn = computed(() => plan.value?.findings.find((f) => f.code === 'pictures-missing' && f.remedies.length > 0))
const larger = computed(() => plan.value?.findings.find((f) => f.code === 'larger-than-paper'))

/** Keys: PgUp and PgDn the sheet, arrows the picture, O turns, X locks. */
function onKey(e: KeyboardEvent) {
  const at = e.target as HTMLElement
  if (e.metaKey || e.ctrlKey || e.altKey || /^(INPUT|SELECT|TEXTAREA)$/.test(at.tagName) || at.closest('[role=dialog]')) return
  const all = sheet.value?.places ?? []
  const now = all.findIndex((p) => p.print.id === place.value?.print.id)
  if (e.key === 'PageDown') goTo(number.value + 1)
  else if (e.key === 'PageUp') goTo(number.value - 1)
  else if (e.key === 'ArrowRight' || e.key === 'ArrowDown') chosen.value = all[Math.min(all.length - 1, now + 1)]?.print.id ?? ''
  else if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') chosen.value = all[Math.max(0, now - 1)]?.print.id ?? ''
  else if (!singleLetters()) return
  else if (e.key === 'o') turn()
  else if (e.key === 'x') toggleLock()
  else return
  e.preventDefault()
}
/** P prints what the button would. */
const printKey = () => void (ready.value.length > 0 && !printing.busy.value && share.value >= 1 && press())
onMounted(() => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('imprenta:print', printKey)
})
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('imprenta:print', printKey)
})
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else class="prints">
    <section class="left" aria-label="Sheets">
      <h1>Prints</h1>
      <template v-if="layout && !refused">
        <p class="many">{{ sheets.length }} {{ sheets.length === 1 ? 'sheet' : 'sheets' }}</p>
        <p>
          <b v-if="sheets.length">{{ fewest ? 'No fewer are possible.' : `At least ${layout.lowerBound}.` }}</b>
          {{ ' '
          }}<span class="two small"
            >{{ prints.length }} prints and their gutters fill {{ layout.fills.toFixed(1)
            }}{{ layout.wholeLeft > 0.2 ? `; ${Math.round(layout.wholeLeft * 100)} % of the last stays whole` : '' }}.</span
          >
        </p>
        <div v-if="share < 1" class="small progress" role="status">
          <span class="steps"><i v-for="n in 20" :key="n" :class="{ on: n <= share * 20 }" /></span> looking for fewer
          <v-btn @click="stop">Stop and keep</v-btn>
        </div>
        <div class="thumbs">
          <button
            v-for="(s, i) in sheets"
            :key="i"
            type="button"
            class="plain thumb"
            :class="{ on: number === i + 1, waits: s.waits }"
            :aria-label="`Sheet ${i + 1}: ${s.places.map((p) => p.print.label).join(', ')}${s.waits ? ', waits for a picture' : ''}`"
            :aria-pressed="number === i + 1"
            @click="goTo(i + 1)"
          >
            <SheetView :sheet="s" :paper="paper" :workshop="id" :size="plan.print" :mirrored="plan.print.mirrored" :scale="thumb" small />
            <span class="small"
              ><b>{{ i + 1 }}</b> {{ title(i + 1) }}</span
            >
          </button>
        </div>
        <div v-if="!prints.length" class="outline">
          {{ printing.jobs.value.length ? 'Everything is printed.' : 'Nobody is in the group yet: nothing is printed.' }}
        </div>
        <dl class="kinds">
          <template v-for="[size, n] in kinds" :key="size"
            ><dt>
              <b>{{ n }} {{ n === 1 ? 'print' : 'prints' }}</b>
            </dt>
            <dd>{{ size }}</dd></template
          >
        </dl>
        <label class="paper"
          ><span class="label">Paper</span
          ><select
            class="field"
            :value="paper.id"
            @change="bench.set('choices/paper', ($event.target as HTMLSelectElement).value, 'the paper changed')"
          >
            <option v-for="(p, key) in papers" :key="key" :value="key">{{ p.name }}</option>
          </select></label
        >
        <p class="links">
          <a :href="pdf('&proof=0')" target="_blank" rel="noopener">Sheets as PDF</a
          ><a :href="pdf()" target="_blank" rel="noopener">with a proof</a
          ><a v-if="sheet" :href="`/api/workshops/${id}/prints/${number}.png?steps=${layout.steps}`" target="_blank" rel="noopener"
            >this sheet as PNG</a
          >
        </p>
        <p class="small two">
          {{ plan.print.mirrored ? 'Mirrored: laid face down.' : 'Not mirrored.' }} A cut stack is a table’s pile: people of one table lie
          together.
        </p>
      </template>
      <div v-else-if="refused" role="alert">
        <h3 class="stop">{{ refused.what }}</h3>
        <p class="small">{{ refused.why }}. You could {{ refused.remedies.join(', or ') }}.</p>
        <FindingCard
          v-if="larger"
          :finding="larger"
          :say="say"
          :effect="bench.effect"
          @take="bench.act('way-out', say.remedy($event).toLowerCase(), $event.changes)"
        />
        <v-btn v-if="held.length" @click="unlockAll">Unlock all</v-btn>
      </div>
      <div v-else class="ghost" aria-hidden="true"><i v-for="i in 4" :key="i" /></div>
      <p v-if="problem" role="alert" class="stop">{{ problem }} Reload the page; the plan is saved.</p>
    </section>
    <section class="board" aria-label="The sheet">
      <template v-if="sheet && !refused">
        <div class="bar">
          <h2>Sheet {{ number }} of {{ sheets.length }}</h2>
          <span v-if="place" class="two named">{{ place.print.label }}</span>
          <v-btn :disabled="!place" @click="turn">Turn</v-btn>
          <v-btn :disabled="!place" :aria-pressed="place?.locked" @click="toggleLock">{{ place?.locked ? 'Unlock' : 'Lock' }}</v-btn>
          <select
            class="field swap"
            aria-label="Swap with"
            :disabled="!sameSize.length"
            value=""
            @change="swap(($event.target as HTMLSelectElement).value)"
          >
            <option value="">Swap with</option>
            <option v-for="x in sameSize" :key="x.p.print.id" :value="x.p.print.id">{{ x.p.print.label }}, sheet {{ x.sheet + 1 }}</option>
          </select>
          <v-btn v-if="held.length" @click="unlockAll">Unlock all</v-btn>
        </div>
        <p v-if="said" class="small watch" role="alert">{{ said }}</p>
        <div class="stage">
          <SheetView :sheet="sheet" :paper="paper" :workshop="id" :size="plan.print" :mirrored="plan.print.mirrored" :scale="scale">
            <template #place="{ place: p }">
              <button
                type="button"
                class="plain grab"
                :class="{ on: place?.print.id === p.print.id, lifted: drag?.id === p.print.id }"
                :style="drag?.id === p.print.id ? { transform: `translate(${drag.dx}px, ${drag.dy}px)` } : undefined"
                :aria-label="`${p.print.label}${p.locked ? ', locked' : ''}${p.turned ? ', turned' : ''}`"
                :aria-pressed="place?.print.id === p.print.id"
                @click="chosen = p.print.id"
                @pointerdown="lift($event, p)"
                @pointermove="pull"
                @pointerup="drop(p)"
                @pointercancel="drag = undefined"
              >
                <span v-if="p.locked" class="lock" aria-hidden="true"
                  ><svg viewBox="0 0 24 24" width="18" height="18">
                    <path d="M6 11h12v9H6zM8 11V8a4 4 0 0 1 8 0v3" fill="none" stroke="currentColor" stroke-width="2.2" /></svg
                ></span>
                <span class="tab small">{{ p.print.label }}{{ p.print.picture ? '' : ', not in' }}</span>
              </button>
            </template>
            <CutLines :cuts="sheet.cuts" :paper="paper" :scale="scale" />
          </SheetView>
        </div>
        <ol class="cuts" aria-label="Cuts, in the order a trimmer takes them">
          <li v-for="c in sheet.cuts" :key="c.number" :class="{ first: c.number === 1 }">
            <i>{{ c.number }}</i><b>{{ stopAt(c.stopMm) }}</b
            ><span class="small two">{{ c.cut === 'down' ? 'from the left' : 'from the foot' }}</span>
          </li>
        </ol>
        <p class="small two">
          <b>Stop at, in {{ unit === 'in' ? 'inches' : 'mm' }}.</b> Cut, set the part aside, go on with the rest; then what was set aside,
          last first. One person at the trimmer, rail down, an adult beside.
        </p>
      </template>
      <div v-else class="outline">The sheet will lie here.</div>
    </section>
    <PrinterPanel
      class="right"
      :workshop="id"
      :house-name="house.name"
      :plan="plan"
      :say="say"
      :printer="printer"
      :jobs="printing.jobs.value"
      :sheets="ready"
      :busy="printing.busy.value || share < 1"
      :problem="printing.problem.value"
      :smear="workshop.designs[0]!.print?.smear"
      :of="sheets.length"
      @print="press"
      @tell="printing.tell(ink, $event)"
      @smear="smearTest"
      @redo="(j, p) => printing.redo(j.id, p)"
      ><FindingCard
        v-if="standIn"
        :finding="standIn"
        :say="say"
        :effect="bench.effect"
        @take="bench.act('way-out', say.remedy($event).toLowerCase(), $event.changes)"
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
  padding: 16px 20px 24px;
}
.left {
  display: grid;
  gap: 8px;
  align-content: start;
}
.left h1 {
  border-bottom: 2px solid var(--text);
  padding-bottom: 6px;
}
.many {
  font: 800 32px/1.1 var(--f-head);
}
.board {
  background: var(--board);
  padding: 10px 18px 20px;
  min-width: 0;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.bar h2 {
  flex: 1 1 auto;
}
.named {
  max-width: 130px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.swap {
  max-width: 140px;
}
.stage {
  display: grid;
  place-items: center;
  padding: 34px 34px 30px;
  overflow-x: auto;
}
.thumbs {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  grid-auto-rows: max-content;
  gap: 8px;
  max-height: 430px;
  overflow-y: auto;
  padding: 3px;
}
.thumb {
  text-align: left;
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
  padding: 3px 0;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.links a {
  color: var(--text);
  font-weight: 700;
  padding: 4px 0;
}
.grab {
  position: absolute;
  inset: 0;
  touch-action: none;
  cursor: grab;
}
.grab.on {
  box-shadow: inset 0 0 0 3px #4a2a91;
}
.grab.lifted {
  background: rgb(74 42 145 / 0.14);
  outline: 2px dashed #4a2a91;
  z-index: 2;
}
.tab {
  position: absolute;
  left: 4px;
  bottom: 4px;
  background: #4a2a91;
  color: #fbf8f1;
  padding: 0 6px;
  font-weight: 700;
  max-width: calc(100% - 8px);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  opacity: 0;
}
.grab.on .tab,
.grab:hover .tab,
.grab:focus-visible .tab {
  opacity: 1;
}
.lock {
  position: absolute;
  left: 4px;
  top: 4px;
  background: #4a2a91;
  color: #fbf8f1;
  width: 26px;
  height: 26px;
  display: grid;
  place-items: center;
}
.cuts {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  padding: 0;
  margin: 0 0 8px;
}
.cuts li {
  display: grid;
  grid-template-columns: 24px auto;
  column-gap: 6px;
  align-items: center;
}
.cuts i {
  grid-row: span 2;
  width: 24px;
  height: 24px;
  border-radius: 50%;
  background: var(--text);
  color: var(--paper);
  display: grid;
  place-items: center;
  font: 700 13px var(--f-text);
}
.cuts .first i {
  background: var(--ink);
  color: var(--on-ink);
}
.cuts b {
  font: 800 17px/1 var(--f-head);
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
.progress {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.outline {
  border: 1.5px dashed var(--edge);
  padding: 24px;
  color: var(--text-2);
}
.ghost {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
}
.ghost i {
  height: 78px;
  background: var(--board);
}
@media (max-width: 1100px) {
  .prints {
    grid-template-columns: minmax(0, 1fr);
  }
  .thumbs {
    grid-template-columns: repeat(auto-fill, 64px);
  }
}
@media (max-width: 760px) {
  .stage {
    padding: 34px 26px;
    place-items: start;
  }
}
</style>
