<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { clockOf } from '#core/house'
import { inOneBreath } from '#core/day'
import type { PieceState } from '#core/recipe'
import { grouped } from '#core/sessions'
import { minutesBetween, sayMinute } from '#core/time'
import CueDrawing from '../craft/CueDrawing.vue'
import { swatchesOf } from '../craft/cueSwatch'
import PieceToken from '../ui/PieceToken.vue'
import { line, stageWord, tablesSaid } from './dayWords'
import { useDay } from './useDay'

/** For a screen on the wall, read from four metres: the time, each table's stage and whole minutes, what is next, how to know that it is right.
 *  No name, nothing of anybody alone. */
const route = useRoute()
const id = computed(() => String(route.params['id']))
const asked = computed(() => String(route.params['session'] ?? ''))
const { workshop, house, room, state, next, tables, now, online, looked } = useDay(id, asked)
const clock = (at: string) => sayMinute(at, clockOf(house.value!))
/** What most of a table's pieces are. */
function mostly(states: readonly PieceState[]): PieceState {
  const counts = grouped(states, (s) => s)
  return [...counts].sort((a, b) => b[1].length - a[1].length)[0]?.[0] ?? 'printed'
}
const rows = computed(() =>
  tables.value
    .filter((t) => t.people.length > 0)
    .map((t) => ({
      t,
      piece: mostly(state.value!.pieces.filter((p) => t.people.includes(p.person)).map((p) => p.state)),
      word: t.doing || !t.stage ? stageWord(t.stage) : tr('next: {0}', stageWord(t.stage).toLowerCase()),
      minutes: t.until ? Math.max(0, Math.ceil(minutesBetween(now.value, t.until))) : null,
      share: t.until && t.since ? Math.min(1, minutesBetween(t.since, now.value) / Math.max(1, minutesBetween(t.since, t.until))) : 0,
    })),
)
const breath = computed(() => inOneBreath(next.value?.say ?? [], now.value))
const coming = computed(() => breath.value[0])
const nextWhom = computed(() => {
  const tables = breath.value.flatMap((a) => a.table || [])
  return tables.length === 0 || tables.length > 4 ? tr('Next, everybody') : tr('Next, table {0}', tables.join(', '))
})
const cue = computed(() => coming.value?.stage ?? null)
const swatches = computed(() => cue.value && swatchesOf(cue.value.id.split('.').at(-1)!))
/** How much of the class is behind. */
const share = computed(() => {
  const whole = minutesBetween(room.value!.from, room.value!.to)
  return Math.min(1, Math.max(0, minutesBetween(room.value!.from, now.value) / Math.max(1, whole)))
})
</script>
<template>
  <main v-if="!workshop || !house || !room || !state" class="wall" :aria-busy="!looked">
    <h1>{{ $t('No class to run') }}</h1>
  </main>
  <main v-else class="wall">
    <header>
      <b class="clock">{{ clock(now) }}</b>
      <div>
        <h1>{{ workshop.title }}</h1>
        <p class="two">{{ state.begunAt ? tablesSaid(tables) : $t('It begins at {0}.', clock(room.from)) }}</p>
      </div>
    </header>
    <div class="middle">
      <ul class="bare rows" :class="{ many: rows.length > 5 }">
        <li v-for="r in rows" :key="r.t.table" :class="{ hands: r.t.doing && r.t.stage?.attended }">
          <b class="letter">{{ r.t.table }}</b>
          <span class="token"><PieceToken :state="r.piece" :size="88" /></span>
          <b class="stage">{{ r.word }}</b>
          <span v-if="r.minutes !== null" class="minutes"
            ><b>{{ r.minutes }}</b> min</span
          >
          <i :style="{ inlineSize: `${r.share * 100}%` }" />
        </li>
      </ul>
      <section v-if="coming" class="next">
        <p>{{ nextWhom }}</p>
        <b class="when">{{ clock(coming.due) }}</b>
        <p>
          <b>{{ line(...breath) }}</b>
        </p>
        <template v-if="cue">
          <div v-for="side in ['pass', 'fail'] as const" :key="side" :class="[side, { drawn: swatches }]">
            <CueDrawing v-if="swatches" :drawing="swatches[side].drawing" />
            <p>{{ $t(cue[side]) }}</p>
          </div>
        </template>
      </section>
    </div>
    <footer>
      <i :style="{ inlineSize: `${share * 100}%` }" />
      <span>{{ clock(room.from) }}</span>
      <span v-if="!online">{{ $t('counting on without net') }}</span>
      <span class="stop">{{ $t('room ends {0}', clock(room.to)) }}</span>
    </footer>
  </main>
</template>
<style scoped>
.wall {
  width: 100%;
  min-height: 100dvh;
  box-sizing: border-box;
  padding: 2.2vw 3vw 1vw;
  display: flex;
  flex-direction: column;
  gap: 1.4vw;
  font-size: var(--t-wall);
  line-height: 1.1;
}
header {
  display: flex;
  gap: 3vw;
  align-items: center;
}
.clock {
  font: 800 var(--t-wall-clock) / 0.85 var(--f-head);
}
h1 {
  font-size: var(--t-wall-stage);
}
.middle {
  flex: 1;
  display: grid;
  grid-template-columns: 1.9fr 1fr;
  gap: 3vw;
}
.rows {
  display: grid;
  gap: 0.9vw;
  align-content: start;
}
.many {
  grid-template-columns: 1fr 1fr;
}
.rows li {
  position: relative;
  display: flex;
  align-items: center;
  gap: 1.4vw;
  border: 0.2vw solid var(--text);
  border-radius: var(--r-ctl);
  background: var(--stock);
  padding: 0.5vw 1.6vw 1vw 0;
  overflow: hidden;
}
.rows li > i {
  position: absolute;
  inset-block-end: 0;
  inset-inline-start: 0;
  height: 0.6vw;
  background: var(--ink);
}
.rows .hands {
  background: var(--ink);
  color: var(--on-ink);
  border-color: var(--ink);
}
.hands > i {
  background: var(--stock) !important;
}
.letter {
  font: 800 var(--t-wall-big) / 1 var(--f-head);
  padding: 0 1.4vw;
}
.token {
  background: var(--stock);
  line-height: 0;
}
.stage {
  flex: 1;
  font: 780 var(--t-wall-stage) / 1.02 var(--f-head);
}
.many .stage {
  font-size: var(--t-wall);
}
.minutes b {
  font: 800 var(--t-wall-big) / 1 var(--f-head);
}
.next {
  border: 0.2vw solid var(--text);
  background: var(--stock);
  padding: 1.6vw;
  display: grid;
  gap: 1vw;
  align-content: start;
}
.when {
  font: 800 var(--t-wall-clock) / 0.9 var(--f-head);
}
.drawn {
  display: grid;
  grid-template-columns: 9vw 1fr;
  gap: 1vw;
  align-items: center;
}
.pass {
  color: var(--ok);
}
.fail {
  color: var(--watch);
}
footer {
  position: relative;
  display: flex;
  justify-content: space-between;
  padding-top: 1vw;
  border-top: 0.2vw solid var(--edge);
}
footer i {
  position: absolute;
  inset-block-start: -0.5vw;
  inset-inline-start: 0;
  height: 0.8vw;
  background: var(--ink);
}
</style>
