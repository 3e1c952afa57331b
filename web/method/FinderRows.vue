<script setup lang="ts">
import { t as tr } from '#core/language'
import type { Cell, Row } from '#core/finder'
import { blankMaterial } from '#core/recipe'
import { stateWord, type Phrases } from '#core/phrases'
import PieceToken from '../ui/PieceToken.vue'
import VerdictShape from '../ui/VerdictShape.vue'

/** All methods times all reasons: two lines a method, only a cell that decides is coloured. Enter or a press takes one. */
const props = defineProps<{ rows: readonly Row[]; say: Phrases }>()
const emit = defineEmits<{ take: [Row] }>()
const shape = { possible: 'settled', 'possible-if': 'look', 'not-possible': 'stop' } as const
const colour = { possible: 'ok', 'possible-if': 'watch', 'not-possible': 'stop' } as const
const word = { possible: tr('Possible'), 'possible-if': tr('Possible if'), 'not-possible': tr('Not possible:') } as const
const surface = (r: Row) => tr(short(blankMaterial(String(r.cells.surface.value))?.name ?? ''))
/** Under a condition that mends it, a cell only wants a look. */
const weight = (r: Row, c: Cell) => (c.decides === 'stop' && r.verdict !== 'not-possible' ? 'look' : c.decides)

function reason(r: Row): string {
  if (r.verdict === 'possible-if') return r.conditions.map(props.say.condition).join(tr(', and '))
  if (r.reason) return r.verdict === 'possible' ? props.say.finding(r.reason).title : lower(props.say.finding(r.reason).title)
  return tr(r.recipe.summary)
}
const lower = (s: string) => s[0]!.toLowerCase() + s.slice(1)
const cells = (r: Row): [string, Cell, string][] => [
  ['surface', r.cells.surface, surface(r)],
  ['print', r.cells.ink, tr(`${r.cells.ink.value}|cell`)],
  ['whites', r.cells.whites, r.cells.whites.value === 'surface' ? surface(r) : tr(`${r.cells.whites.value}|cell`)],
  ['care', r.cells.hazard, tr(String(r.cells.hazard.value))],
  ['wait', r.cells.wait, waitOf(Number(r.cells.wait.value))],
  ['cost', r.cells.cost, props.say.money(Number(r.cells.cost.value))],
  ['forgives', r.cells.forgives, tr(String(r.cells.forgives.value))],
]
const short = (s: string) =>
  s.replace('primed ', '').replace('smooth ', '').replace('pillar ', '').replace('porous ', '').replace(' page', '').replace('mat ', '')
const mark = (r: Row, c: Cell) => weight(r, c) as 'look' | 'stop'
/** Up and down walk along the rows. */
function walk(e: KeyboardEvent, by: number) {
  const all = [...(e.currentTarget as HTMLElement).parentElement!.querySelectorAll<HTMLElement>('[role=radio]')]
  all[all.indexOf(e.currentTarget as HTMLElement) + by]?.focus()
}
const night = (r: Row, s: string) => s === 'cured' && r.recipe.stages.some((x) => x.then?.cures)
/** A wait in a narrow column: to the full hour, upwards. */
function waitOf(min: number): string {
  return min === 0 ? tr('none') : min < 90 ? props.say.minutes(min) : `${Math.ceil(min / 60)} h`
}
</script>
<template>
  <div class="rows" role="radiogroup" :aria-label="$t('Method')">
    <div class="row heads small two" aria-hidden="true">
      <span>{{ $t('Steps,') }} <i class="night" /> {{ $t('is a night') }}</span
      ><span class="bars"
        ><i v-for="i in rows[0]?.sessions.length ?? 0" :key="i" class="bar-head">{{ i }}</i></span
      ><span v-for="c in rows[0] ? cells(rows[0]) : []" :key="c[0]" class="cell">{{ $t(`${c[0]}|column`) }}</span>
    </div>
    <button
      v-for="r in rows"
      :key="r.recipe.id"
      type="button"
      role="radio"
      :aria-checked="r.chosen"
      class="plain row"
      :class="{ on: r.chosen, off: r.verdict === 'not-possible' }"
      @click="!r.chosen && emit('take', r)"
      @keydown.down.prevent="walk($event, 1)"
      @keydown.up.prevent="walk($event, -1)"
    >
      <span class="name">{{ $t(r.recipe.name) }}</span>
      <span class="verdict"
        ><VerdictShape :state="shape[r.verdict]" :size="17" /><span
          ><b :class="colour[r.verdict]">{{ word[r.verdict] }}{{ r.verdict === 'possible' ? (r.chosen ? $t(', chosen.') : '.') : '' }}</b>
          {{ reason(r) }}</span
        ></span
      >
      <span class="tokens"
        ><template v-for="(s, i) in r.states" :key="s"
          ><i v-if="i" class="join" :class="{ night: night(r, s) }" /><PieceToken
            :state="s"
            :size="24"
            :label="stateWord(s, r.recipe.words)" /></template
      ></span>
      <span class="bars"
        ><span v-for="(s, i) in r.sessions" :key="i" class="bar" :class="{ over: !s.fits }"
          ><span class="sr">{{ $t('class {0}:', i + 1) }} </span>{{ s.needed ?? '–'
          }}<i class="track" :class="{ none: s.needed === null }"
            ><i v-if="s.needed !== null" :style="{ width: `${Math.min(100, (100 * s.needed) / Math.max(1, s.available))}%` }" /></i></span
        ><span v-if="r.sessions.length === 0" class="small two">{{
          r.sittings === 1 ? $t('one sitting') : $t('{0} sittings', r.sittings)
        }}</span></span
      >
      <span v-for="c in cells(r)" :key="c[0]" class="cell" :class="weight(r, c[1])"
        ><span class="sr">{{ $t(c[0]) }}: </span><VerdictShape v-if="weight(r, c[1]) !== 'fine'" :state="mark(r, c[1])" :size="11" /><span
          class="said"
          :title="c[2]"
          >{{ c[2] }}</span
        ></span
      >
    </button>
  </div>
</template>
<style scoped>
.row {
  display: grid;
  grid-template-columns: 152px minmax(58px, 1fr) 58px 46px 50px 38px 39px 40px 40px;
  gap: 2px var(--s-1);
  padding: var(--s-1) var(--s-2) var(--s-2);
  width: calc(100% + 28px);
  margin: 0 -14px;
  border-bottom: 1px solid var(--edge);
  align-items: center;
  text-align: start;
  font-size: var(--t-small);
}
.cell:last-child {
  justify-content: flex-end;
  text-align: end;
}
.heads {
  border-bottom: 2px solid var(--text);
  padding-bottom: 2px;
}
.row:not(.heads):hover {
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.on {
  background: var(--wash);
  border-inline-start: 4px solid var(--ink);
  padding-inline-start: var(--s-1);
}
.off .name {
  color: var(--text-2);
}
.row:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.name {
  font: 750 var(--t-lead)/1.1 var(--f-head);
}
.verdict {
  grid-column: 2 / -1;
  display: flex;
  gap: var(--s-1);
  align-items: flex-start;
  line-height: 1.2;
}
.bars {
  display: flex;
  gap: var(--s-1);
}
.verdict svg,
.cell svg {
  flex: none;
}
.tokens {
  display: flex;
  align-items: center;
}
.join {
  width: 2px;
  height: 2px;
  background: var(--ink);
}
.night {
  display: inline-block;
  height: 22px;
  width: 2.5px;
  background: var(--text);
  margin: 0 2px;
}
.heads .night {
  height: 13px;
  vertical-align: -1px;
}
.bar,
.bar-head {
  width: 30px;
  text-align: center;
  font-style: normal;
  line-height: 1.1;
}
.track {
  display: block;
  height: 8px;
  border: 1.5px solid var(--text-2);
  margin-top: 1px;
}
.track.none {
  border-style: dashed;
}
.track i {
  display: block;
  height: 100%;
  background: var(--text-2);
}
.over {
  color: var(--watch);
  font-weight: 700;
}
.over .track,
.over .track i {
  border-color: var(--watch);
  background: var(--watch);
}
.cell {
  display: inline-flex;
  gap: 2px;
  align-items: center;
  min-width: 0;
  white-space: nowrap;
  line-height: 1.05;
}
.cell.look {
  color: var(--watch);
  font-weight: 700;
}
.cell.stop {
  color: var(--stop);
  font-weight: 700;
}
/* What a narrow column cannot hold is cut, and whole under the pointer and for a screen reader. */
.said,
.heads .cell {
  overflow: hidden;
  text-overflow: ellipsis;
  display: block;
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: repeat(4, 1fr);
  }
  .heads {
    display: none;
  }
  .name,
  .verdict,
  .tokens {
    grid-column: 1 / -1;
  }
  .bars {
    grid-column: 1 / -1;
  }
}
</style>
