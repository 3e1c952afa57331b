<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { classStrip, type ClassPart, type Plan } from '#core/plan'
import { isClock, isDate } from '#core/time'
import { changed, inWorkshop, type Session } from '#core/workshop'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import { typing, vSteady } from '../../ui/steady'
import type { Bench } from '../useBench'

/** One class: when and where, whether it fits, and its minutes one after another. */
const props = defineProps<{ bench: Bench; placed: Plan['sessions'][number] }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const session = computed(() => props.bench.workshop.value!.sessions.find((s) => s.id === props.placed.id)!)
const load = computed(() => plan.value.split.loads.find((l) => l.sessionId === props.placed.id))
const all = computed(() => plan.value.loads.find((l) => l.sessionId === props.placed.id))
const partNames: Record<Exclude<ClassPart['kind'], 'stage'>, string> = {
  'set-up': tr('set up'),
  show: tr('show'),
  wait: tr('wait'),
  'clean-up': tr('clean up'),
  free: tr('free'),
}
/** The parts, each with its word and, but for what is free, its number in the list below. */
const parts = computed(() =>
  classStrip(plan.value, props.placed.id).map((p, i) => ({
    ...p,
    number: i + 1,
    said: p.name ? tr(p.name).toLowerCase() : partNames[p.kind as Exclude<ClassPart['kind'], 'stage'>],
  })),
)
/** Where nothing is worked: a pick-up, a return, or a class that the plan does not need. */
const nothing = computed(() => {
  if (props.bench.workshop.value!.held !== 'home') return tr('Nothing is planned in it.')
  const { number } = props.placed
  return number === 1 ? tr('Kits are handed out: {0}.', plan.value.takeHome.length) : tr('What is used again comes back.')
})
const set = (s: Session, field: 'date' | 'start' | 'end' | 'room', e: Event) => {
  const { now, before, taken } = typing(e)
  if (field === 'date' ? !isDate(now) : field !== 'room' && !isClock(now)) return
  props.bench.set(inWorkshop.sessions(s.id)[field], now, tr('class {0} became {1}', field, now), `type-${field}`, before)
  taken()
}
const remove = (s: Session) => props.bench.act('remove-session', tr('a class was taken out'), [changed(inWorkshop.sessions(s.id), s, null)])
</script>
<template>
  <section class="card">
    <div class="which">
      <h3>
        <span class="num">{{ placed.number }}</span> {{ say.at(placed.from) }}
      </h3>
      <v-btn :aria-label="$t('Take out class {0}', placed.number)" @click="remove(session)">{{ $t('Take out') }}</v-btn>
    </div>
    <div class="fields tools">
      <label
        ><span class="label">{{ $t('Date') }}</span
        ><input type="date" v-steady="session.date" @input="set(session, 'date', $event)"
      /></label>
      <label
        ><span class="label">{{ $t('From') }}</span
        ><input type="time" v-steady="session.start" @input="set(session, 'start', $event)"
      /></label>
      <label
        ><span class="label">{{ $t('To') }}</span
        ><input type="time" v-steady="session.end" @input="set(session, 'end', $event)"
      /></label>
      <label
        ><span class="label">{{ $t('Room') }}</span
        ><input type="text" maxlength="60" v-steady="session.room" @input="set(session, 'room', $event)"
      /></label>
    </div>
    <template v-if="load">
      <p>
        <BecauseFigure
          quiet
          :figure="plan.figures[`session/${placed.id}`]!"
          :say="say"
          :name="$t('Class {0}', placed.number)"
          :change="bench.change(`session/${placed.id}`)"
        />
        {{ $t('of {0} min', load.availableMin) }}
        <b :class="all?.fits ? 'ok' : 'stop'">{{ all?.fits ? $t('fits') : $t('does not fit') }}</b>{{ ' '
        }}<span v-if="plan.designs.length > 1" class="two small"> {{ $t('all designs; below, {0}', plan.pieceName) }}</span>
      </p>
      <div class="strip" aria-hidden="true">
        <i v-for="p in parts" :key="p.number" :class="p.kind" :style="{ flex: p.minutes }"
          ><b v-if="p.kind !== 'free' && p.minutes * 34 >= placed.minutes">{{ p.number }}</b></i
        >
      </div>
      <ol class="legend small" :aria-label="$t('Class {0}, part by part', placed.number)">
        <li v-for="p in parts" :key="p.number" :class="p.kind">
          <b aria-hidden="true">{{ p.kind === 'free' ? '' : p.number }}</b> {{ p.said }}
          <span class="two">{{ say.minutes(p.minutes) }}</span>
        </li>
      </ol>
    </template>
    <p v-else class="two small">{{ nothing }}</p>
  </section>
</template>
<style scoped>
.card {
  border-top: 2px solid var(--text);
  margin-top: var(--s-3);
  padding-top: var(--s-2);
  display: grid;
  gap: var(--s-2);
}
.which {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--s-2);
}
.num {
  background: var(--text);
  color: var(--stock);
  padding: 0 var(--s-2);
  margin-inline-end: var(--s-1);
}
input {
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0 var(--s-2);
  background: var(--stock);
  color: var(--text);
  font: 600 var(--t-text) var(--f-text);
  color-scheme: light dark;
  width: 100%;
}
label {
  min-width: 100px;
  flex: 1;
}
input[type='date'],
input[type='time'] {
  font-size: var(--t-list);
  padding: 0 var(--s-1);
}
.fields label {
  min-width: 112px;
}
.fields label:first-child {
  min-width: 142px;
  flex: 1.2;
}
.strip {
  display: flex;
  height: 34px;
  border: 1.5px solid var(--text-2);
}
.strip i {
  display: grid;
  place-items: center;
  overflow: hidden;
  min-width: 0;
  border-inline-end: 1px solid var(--rule);
  background: var(--board);
  font-style: normal;
}
.strip .set-up,
.strip .show,
.strip .clean-up {
  background: var(--stock);
}
.strip .wait {
  background: repeating-linear-gradient(135deg, var(--watch-wash) 0 5px, var(--stock) 5px 9px);
}
.strip .free {
  background: transparent;
}
.strip b,
.legend b {
  font: 700 var(--t-label) var(--f-text);
}
.legend {
  list-style: none;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s-4);
}
.legend .wait {
  color: var(--watch);
}
</style>
