<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Intent } from '#core/workshop'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { homeGroups, sheetKey, type TakeHomeSheet } from '#core/takehome'
import { planOf } from '#core/plan'
import { inLanguage, type Language } from '#core/language'
import { homeGroupName, inBoth, seatOf, sheetText, stateWord, type Wording } from '#core/phrases'
import { know, language } from '../app/language'
import type { PieceState } from '#core/recipe'
import { clockOf as clockText, dateOf, inZone, isClock, isDate, placeLocal } from '#core/time'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import PieceToken from '../ui/PieceToken.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import NoteAlike from './NoteAlike.vue'
import SheetPaper from './SheetPaper.vue'

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say, whole: plan } = bench
const chosen = ref<string>()
const wording = ref<Wording>('few')
const black = ref(false)
const paper = ref<'letter' | 'a4'>()

const groups = computed(() =>
  homeGroups.map((g) => ({ g, sheets: plan.value?.takeHome.filter((s) => s.group === g) ?? [] })).filter((x) => x.sheets.length),
)
const sheet = computed(
  () =>
    plan.value?.takeHome.find((s) => sheetKey(s) === chosen.value) ?? plan.value?.takeHome.find((s) => s.ready) ?? plan.value?.takeHome[0],
)
/** What the sheets speak: as the page does, unless somebody chooses; two stand on one sheet. */
const spoken = ref<'en' | 'es' | 'es,en'>()
const tongue = computed(() => spoken.value ?? language.value)
async function speakOn(l: 'en' | 'es' | 'es,en') {
  if (l !== 'en') await know('es')
  spoken.value = l
}
const text = computed(() => {
  const said = (l: Language) => inLanguage(l, () => sheetText(sheet.value!, plan.value!, workshop.value!, house.value!, wording.value))
  const [first, second] = tongue.value.split(',') as [Language, Language?]
  return second ? inBoth(said(first), said(second)) : said(first)
})
const several = computed(() => (plan.value?.designs.length ?? 1) > 1)
const who = (s: TakeHomeSheet) => s.name ?? seatOf(plan.value!, s)
/** The plan of the sheet's own design. */
const own = computed(() => planOf(plan.value!, sheet.value!.design))
const size = computed(() => paper.value ?? house.value?.paper ?? 'letter')
const query = computed(() => `wording=${wording.value}&paper=${size.value}&black=${black.value ? 1 : 0}&language=${tongue.value}`)
const pdf = (one?: string) => `/api/workshops/${id.value}/take-home.pdf?${query.value}${one ? `&who=${one}` : ''}`
const states = computed<PieceState[]>(() => ['to-print', 'printed', ...(sheet.value?.chain ?? [])])
const stored = computed(() => {
  const s = sheet.value
  return s && workshop.value && pieceOf(workshop.value, s.participant, s.design, s.number)
})

function setPiece(state: PieceState, laidAt: string | null, asIs = true) {
  const s = sheet.value!
  const { participant, design, number } = s
  const piece = stored.value ?? newPiece(workshop.value!, { participant, designId: design, number, state })
  const after = { ...piece, state, laidAt, asIs }
  bench.act('piece-state', tr('{0}’s piece: {1}', who(s), stateWord(state, own.value.recipe.words)), [
    changed(inWorkshop.pieces(piece.id), stored.value, after),
  ])
}
const laid = computed(() => {
  const at = stored.value?.laidAt ?? sheet.value?.ready?.laidAt
  return at && house.value ? inZone(at, house.value.timeZone) : at
})
/** A piece that had still to be laid is laid now, unless somebody says when. */
const setState = (state: PieceState) =>
  setPiece(state, stored.value?.laidAt ?? (state === 'laid' && sheet.value!.group === 'not-laid' ? plan.value!.now : null))
const canLay = computed(() => (!!sheet.value && !!own.value.split.cure) || !!sheet.value?.ready || sheet.value?.group === 'not-laid')
function setLaid(field: 'date' | 'time', value: string) {
  if (field === 'date' ? !isDate(value) : !isClock(value)) return
  const zone = house.value!.timeZone
  const base = laid.value ?? plan.value!.now
  const at = placeLocal({ date: field === 'date' ? value : dateOf(base), time: field === 'time' ? value : clockText(base) }, zone).at
  setPiece(
    sheet.value!.state === 'to-print' || sheet.value!.state === 'printed' ? 'laid' : sheet.value!.state,
    at,
    stored.value?.asIs ?? false,
  )
}
const follow = () =>
  stored.value &&
  bench.act('piece-state', tr('{0}’s piece follows the plan', who(sheet.value!)), [
    changed(inWorkshop.pieces(stored.value.id), stored.value, null),
  ])
const print = () => window.open(pdf(sheet.value?.participant), '_blank')
useEventListener(window, 'imprenta:print', print)
const noteAlike = (label: string, changes: Change[], intent: Intent) => bench.act('piece-state', label, changes, [], intent)
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else-if="!sheet" class="none">
    <h1>{{ $t('Take-home') }}</h1>
    <p class="two">{{ $t('Nobody is in the group yet, so there is no sheet.') }}</p>
    <v-btn :to="`/w/${id}/bench/group`">{{ $t('To the group') }}</v-btn>
  </main>
  <main v-else class="page">
    <nav class="who" :aria-label="$t('Sheets')">
      <h2>{{ $t('Take-home') }}</h2>
      <p class="two small">{{ $t('{0} sheets, by how far the piece is', plan.takeHome.length) }}</p>
      <section v-for="x in groups" :key="x.g">
        <h3>
          {{ homeGroupName(x.g) }} <span>{{ x.sheets.length }}</span>
        </h3>
        <ul>
          <li v-for="s in x.sheets" :key="sheetKey(s)">
            <button
              type="button"
              class="plain person"
              :class="{ on: s === sheet }"
              :aria-current="s === sheet"
              @click="chosen = sheetKey(s)"
            >
              <PieceToken :state="s.state" :size="26" /><b
                >{{ who(s) }}<template v-if="several || s.number > 1">, {{ s.piece }}{{ s.number > 1 ? ` ${s.number}` : '' }}</template></b
              ><small v-if="s.ready">{{ $t('from {0}', say.at(s.ready.tellAt)) }}</small>
            </button>
          </li>
        </ul>
      </section>
    </nav>
    <div class="desk">
      <SheetPaper
        :text="text"
        :paper="size"
        :black="black"
        :large="wording === 'large'"
        :drawing="workshop.drawing"
        :kind="workshop.designs.find((d) => d.id === own.design)!.kind"
        :outline="own.outline"
      />
    </div>
    <aside class="side">
      <h3>{{ $t('{0}’s sheet', who(sheet)) }}</h3>
      <hr class="rule" />
      <template v-if="sheet.ready"
        ><p class="fig">{{ $t('{0}, told as {1}', say.at(sheet.ready.recommendedAt), say.at(sheet.ready.tellAt)) }}</p>
        <p class="small two">
          {{ $t('Laid {0}, plus {1}', say.at(sheet.ready.laidAt), say.minutes(sheet.ready.recommendedMin)) }}
          <SourceMark :mark="sheet.ready.mark" />{{ $t(', rounded up.') }}
          <b>{{ $t('Never before {0}.', say.at(sheet.ready.neverBefore)) }}</b>
        </p></template
      >
      <p v-else-if="sheet.wait" class="two">
        {{ $t('{0} after it was laid', say.minutes(sheet.wait.recommendedMin)) }} <SourceMark :mark="sheet.wait.mark" />.
        <b>{{ $t('Set below when that was.') }}</b>
      </p>
      <p v-else class="two">{{ $t('{0}: nothing to wait for.', homeGroupName(sheet.group)) }}</p>
      <router-link class="clinic" :to="`/w/${workshop!.id}/clinic?piece=${sheet.participant}`">{{
        $t('Something is wrong with it')
      }}</router-link>
      <label class="opt"
        ><span>{{ $t('Goes home') }}</span
        ><select :value="sheet.state" @change="setState(($event.target as HTMLSelectElement).value as PieceState)">
          <option v-for="s in states" :key="s" :value="s">{{ stateWord(s, own.recipe.words) }}</option>
        </select></label
      >
      <div v-if="canLay" class="opt">
        <span>{{ $t('Laid at') }}</span><span class="two-in"
          ><input
            type="date"
            :aria-label="$t('Laid on')"
            :value="laid ? dateOf(laid) : ''"
            @change="setLaid('date', ($event.target as HTMLInputElement).value)" /><input
            type="time"
            :aria-label="$t('Laid at')"
            :value="laid ? clockText(laid) : ''"
            @change="setLaid('time', ($event.target as HTMLInputElement).value)"
        /></span>
      </div>
      <p class="small two">
        {{ sheet.known ? $t('Noted for this piece.') : $t('As the plan has it.') }}
        <button v-if="sheet.known" type="button" class="plain link" @click="follow">{{ $t('Follow the plan') }}</button>
      </p>
      <NoteAlike :workshop="workshop" :plan="plan" :sheet="sheet" @note="noteAlike" />
      <div class="opt">
        <span>{{ $t('Paper') }}</span><SegmentChoice
          :label="$t('Paper')"
          hide-label
          :model-value="size"
          :options="[
            { id: 'letter', name: $t('Letter') },
            { id: 'a4', name: 'A4' },
          ]"
          @update:model-value="paper = $event as 'letter' | 'a4'"
        />
      </div>
      <div class="opt">
        <span>{{ $t('Words') }}</span><SegmentChoice
          :label="$t('Words')"
          hide-label
          :model-value="wording"
          :options="[
            { id: 'few', name: $t('Few') },
            { id: 'more', name: $t('More') },
            { id: 'large', name: $t('Large') },
          ]"
          @update:model-value="wording = $event as Wording"
        />
      </div>
      <div class="opt">
        <span>{{ $t('Language') }}</span><SegmentChoice
          :label="$t('Language')"
          hide-label
          :model-value="tongue"
          :options="[
            { id: 'en', name: 'English' },
            { id: 'es', name: 'Español' },
            { id: 'es,en', name: $t('Both') },
          ]"
          @update:model-value="speakOn($event)"
        />
      </div>
      <div class="opt"><v-checkbox v-model="black" :label="$t('Black ink only')" /></div>
      <v-btn block :href="pdf()" target="_blank">{{ $t('Print all {0} (PDF)', plan.takeHome.length) }}</v-btn>
      <v-btn block :href="`/api/workshops/${id}/take-home.md?${query}`">{{ $t('All as Markdown') }}</v-btn>
      <v-btn block color="primary" variant="flat" :href="pdf(sheet.participant)" target="_blank">{{
        $t('Print {0}’s {1}', who(sheet), several ? $t('sheets') : $t('sheet'))
      }}</v-btn>
    </aside>
  </main>
</template>
<style scoped>
.clinic {
  display: block;
  color: var(--text);
  font-weight: 700;
  padding: 11px 0;
  border-bottom: 1px solid var(--rule);
}
.page {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 320px;
  flex: 1;
}
.who {
  padding: 14px 0 20px 20px;
}
.who section {
  border-top: 2px solid var(--text);
  margin: 10px 20px 0 0;
  padding-top: 6px;
}
.who h3 span {
  float: inline-end;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px -20px 0 -8px;
}
.person {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 44px;
  padding: 3px 24px 3px 8px;
}
.person b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.person small {
  margin-inline-start: auto;
  white-space: nowrap;
}
.person:hover {
  background: var(--wash);
}
.on {
  background: var(--ink) !important;
  color: var(--on-ink);
  clip-path: polygon(0 0, calc(100% - 11px) 0, 100% 50%, calc(100% - 11px) 100%, 0 100%);
}
.person:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.desk {
  background: var(--board);
  padding: 14px;
  display: grid;
  justify-items: center;
  align-items: start;
  min-width: 0;
}
.side {
  padding: 16px 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.opt {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
  flex-wrap: wrap;
}
select,
input {
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0 6px;
  background: var(--stock);
  color: var(--text);
  font: 600 var(--t-list) var(--f-text);
  color-scheme: light dark;
}
.two-in {
  display: flex;
  gap: 4px;
}
.link {
  text-decoration: underline;
}
.link:focus-visible {
  outline: 3px solid var(--ink);
}
.side :deep(.v-btn-toggle .v-btn) {
  padding: 0 11px;
}
.none {
  padding: 30px 20px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
@media (max-width: 1100px) {
  .page {
    grid-template-columns: 240px 1fr;
  }
  .side {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
