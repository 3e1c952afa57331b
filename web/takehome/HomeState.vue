<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { homeGroupName, seatOf, stateWord } from '#core/phrases'
import { planOf, type Plan } from '#core/plan'
import type { PieceState } from '#core/recipe'
import type { TakeHomeSheet } from '#core/takehome'
import { clockOf as clockText, dateOf, inZone, isClock, isDate, placeLocal } from '#core/time'
import { changed, inWorkshop, newPiece, pieceOf, type Change, type Intent } from '#core/workshop'
import type { Bench } from '../bench/useBench'
import ChoiceField from '../ui/ChoiceField.vue'
import SourceMark from '../ui/SourceMark.vue'
import NoteAlike from './NoteAlike.vue'

/** In which state a piece goes home, when it was laid, and when it may be rubbed. */
const props = defineProps<{ bench: Bench; plan: Plan; sheet: TakeHomeSheet }>()
const workshop = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const say = computed(() => props.bench.say.value!)
const own = computed(() => planOf(props.plan, props.sheet.design))
const who = (s: TakeHomeSheet) => s.name ?? seatOf(props.plan, s)
const states = computed<PieceState[]>(() => ['to-print', 'printed', ...(props.sheet.chain ?? [])])
const stored = computed(() => {
  const s = props.sheet
  return pieceOf(workshop.value, s.participant, s.design, s.number)
})

function setPiece(state: PieceState, laidAt: string | null, asIs = true) {
  const s = props.sheet
  const { participant, design, number } = s
  const piece = stored.value ?? newPiece(workshop.value, { participant, designId: design, number, state })
  const after = { ...piece, state, laidAt, asIs }
  props.bench.act('piece-state', tr('{0}’s piece: {1}', who(s), stateWord(state, own.value.recipe.words)), [
    changed(inWorkshop.pieces(piece.id), stored.value, after),
  ])
}
const laid = computed(() => {
  const at = stored.value?.laidAt ?? props.sheet.ready?.laidAt
  return at ? inZone(at, house.value.timeZone) : at
})
/** A piece that had still to be laid is laid now, unless somebody says when. */
const setState = (state: PieceState) =>
  setPiece(state, stored.value?.laidAt ?? (state === 'laid' && props.sheet.group === 'not-laid' ? props.plan.now : null))
const canLay = computed(() => !!own.value.split.cure || !!props.sheet.ready || props.sheet.group === 'not-laid')
function setLaid(field: 'date' | 'time', value: string) {
  if (field === 'date' ? !isDate(value) : !isClock(value)) return
  const zone = house.value.timeZone
  const base = laid.value ?? props.plan.now
  const at = placeLocal({ date: field === 'date' ? value : dateOf(base), time: field === 'time' ? value : clockText(base) }, zone).at
  setPiece(
    props.sheet.state === 'to-print' || props.sheet.state === 'printed' ? 'laid' : props.sheet.state,
    at,
    stored.value?.asIs ?? false,
  )
}
const follow = () =>
  stored.value &&
  props.bench.act('piece-state', tr('{0}’s piece follows the plan', who(props.sheet)), [
    changed(inWorkshop.pieces(stored.value.id), stored.value, null),
  ])
const noteAlike = (label: string, changes: Change[], intent: Intent) => props.bench.act('piece-state', label, changes, [], intent)
const stateOptions = computed(() => states.value.map((s) => ({ id: s, name: stateWord(s, own.value.recipe.words) })))
</script>
<template>
  <div class="stacked">
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
    <p v-else-if="sheet.group === 'not-laid'" class="two">{{ $t('No piece yet. Set when it was laid, once it is.') }}</p>
    <p v-else class="two">{{ $t('{0}: nothing to wait for.', homeGroupName(sheet.group)) }}</p>
    <router-link class="clinic" :to="`/w/${workshop.id}/clinic?piece=${sheet.participant}`">{{
      $t('Something is wrong with it')
    }}</router-link>
    <ChoiceField class="home" :label="$t('Goes home')" :model-value="sheet.state" :options="stateOptions" @update:model-value="setState" />
    <div v-if="canLay" class="offered">
      <span>{{ $t('Laid at') }}</span><span class="inline"
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
  </div>
</template>
<style scoped>
.clinic {
  display: block;
  color: var(--text);
  font-weight: 700;
  padding: var(--s-3) 0;
  border-bottom: 1px solid var(--rule);
}
.on {
  background: var(--ink) !important;
  color: var(--on-ink);
  clip-path: polygon(0 0, calc(100% - 11px) 0, 100% 50%, calc(100% - 11px) 100%, 0 100%);
}
input {
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0 var(--s-1);
  background: var(--stock);
  color: var(--text);
  font: 600 var(--t-list) var(--f-text);
  color-scheme: light dark;
}
.link {
  text-decoration: underline;
}
</style>
