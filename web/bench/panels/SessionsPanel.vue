<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed } from 'vue'
import { addMinutes, clockOf, dateOf, isClock, isDate } from '#core/time'
import { changed, choicesAt, inWorkshop, type Session } from '#core/workshop'
import { typing, vSteady } from '../../ui/steady'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const own = computed(() => choicesAt(w.value, plan.value.design))
const cards = computed(() =>
  plan.value.sessions.map((p) => ({
    placed: p,
    session: w.value.sessions.find((s) => s.id === p.id)!,
    load: plan.value.split.loads.find((l) => l.sessionId === p.id),
    all: plan.value.loads.find((l) => l.sessionId === p.id),
  })),
)
const set = (s: Session, field: 'date' | 'start' | 'end' | 'room', e: Event) => {
  const { now, before, taken } = typing(e)
  if (field === 'date' ? !isDate(now) : field !== 'room' && !isClock(now)) return
  props.bench.set(inWorkshop.sessions(s.id)[field], now, tr('class {0} became {1}', field, now), `type-${field}`, before)
  taken()
}
function add() {
  const usual = plan.value.nextClass
  const from = usual?.from ?? addMinutes(plan.value.sessions.at(-1)?.from ?? plan.value.now, 7 * 1440)
  const session: Session = {
    id: uuidv7(),
    date: dateOf(from),
    start: clockOf(from),
    end: clockOf(addMinutes(from, usual?.minutes ?? 180)),
    room: w.value.sessions.at(-1)?.room ?? tr('Craft room'),
  }
  props.bench.act('add-session', tr('a class was added'), [changed(inWorkshop.sessions(session.id), null, session)])
}
/** The method has a wait between two sittings. */
const waits = computed(() => plan.value.stages.some((s) => s.then?.cures))
const remove = (s: Session) => props.bench.act('remove-session', tr('a class was taken out'), [changed(inWorkshop.sessions(s.id), s, null)])
const places = computed(() => ['ahead', ...plan.value.sessions.map((s) => s.id), 'home'])
const placeName = (p: string) =>
  p === 'ahead' ? 'ahead' : p === 'home' ? tr('at home') : tr('class {0}', plan.value.sessions.find((s) => s.id === p)?.number)
const moveStage = (stage: string, to: string) => props.bench.set(own.value.split(stage), to, tr('{0} moved to {1}', stage, placeName(to)))
</script>
<template>
  <div>
    <div class="head">
      <h1>{{ $t('Sessions') }}</h1>
      <v-btn :to="`/w/${w.id}/sessions`">{{ $t('Along the time') }}</v-btn><v-btn :disabled="w.sessions.length >= 5" @click="add">{{
        $t('Add a class')
      }}</v-btn
      ><v-btn v-if="w.sessions.length" :href="`/api/workshops/${w.id}/sessions.ics`">{{ $t('Calendar') }}</v-btn>
    </div>
    <p v-if="plan.nextClass && w.sessions.length < 5" class="small two">
      {{ $t('One class more would usually be {0}.', say.at(plan.nextClass.from)) }}
    </p>
    <p v-if="!cards.length" class="empty">
      <b>{{ $t('No class yet.') }}</b>
      <span class="two">{{
        $t('Add one; {0} wants {1}.', plan.recipe.name.toLowerCase(), waits ? $t('two, with a wait between') : $t('one'))
      }}</span>
    </p>
    <section v-for="c in cards" :key="c.placed.id" class="card">
      <div class="which">
        <h3>
          <span class="num">{{ c.placed.number }}</span> {{ say.at(c.placed.from) }}
        </h3>
        <v-btn :aria-label="$t('Take out class {0}', c.placed.number)" @click="remove(c.session)">{{ $t('Take out') }}</v-btn>
      </div>
      <div class="fields">
        <label
          ><span class="label">{{ $t('Date') }}</span
          ><input type="date" v-steady="c.session.date" @input="set(c.session, 'date', $event)"
        /></label>
        <label
          ><span class="label">{{ $t('From') }}</span
          ><input type="time" v-steady="c.session.start" @input="set(c.session, 'start', $event)"
        /></label>
        <label
          ><span class="label">{{ $t('To') }}</span
          ><input type="time" v-steady="c.session.end" @input="set(c.session, 'end', $event)"
        /></label>
        <label
          ><span class="label">{{ $t('Room') }}</span
          ><input type="text" maxlength="60" v-steady="c.session.room" @input="set(c.session, 'room', $event)"
        /></label>
      </div>
      <template v-if="c.load">
        <p>
          <BecauseFigure
            quiet
            :figure="plan.figures[`session/${c.placed.id}`]!"
            :say="say"
            :name="$t('Class {0}', c.placed.number)"
            :change="bench.change(`session/${c.placed.id}`)"
          />
          {{ $t('of {0} min', c.load.availableMin) }}
          <b :class="c.all?.fits ? 'ok' : 'stop'">{{ c.all?.fits ? $t('fits') : $t('does not fit') }}</b><span
            v-if="plan.designs.length > 1"
            class="two small"
          >
            {{ $t('all designs; below, {0}', plan.pieceName) }}</span
          >
        </p>
        <div class="strip" aria-hidden="true">
          <i class="set" :style="{ flex: 30 }">{{ $t('set up') }}</i><i class="set" :style="{ flex: c.load.showMin }">{{ $t('show') }}</i
          ><template v-for="s in c.load.stages" :key="s.id"
            ><i :class="{ wait: !s.attended }" :style="{ flex: s.minutes }" :title="$t('{0}, {1} min', s.name, s.minutes)">{{
              s.minutes >= 10 ? s.name : ''
            }}</i
            ><i v-if="s.wait" class="wait" :style="{ flex: s.wait }" :title="$t('wait {0} min', s.wait)">{{ $t('wait') }}</i></template
          ><i class="set" :style="{ flex: 20 }">{{ $t('clean up') }}</i
          ><i v-if="c.load.fits" class="free" :style="{ flex: c.load.availableMin - c.load.neededMin }" />
        </div>
      </template>
      <p v-else class="two small">{{ $t('Nothing is planned in it.') }}</p>
    </section>
    <template v-if="cards.length">
      <h3 class="gap">{{ $t('What is done where') }}</h3>
      <table class="small">
        <tbody>
          <tr v-for="s in plan.stages" :key="s.id">
            <th>{{ $t(s.name) }}</th>
            <td>{{ $t('{0} min{1}', s.minutes.value, s.attended ? '' : $t(', nobody works')) }}</td>
            <td>
              <span class="places"
                ><template v-for="p in places" :key="p"
                  ><button
                    v-if="s.mayBe.includes(p === 'ahead' || p === 'home' ? p : 'session')"
                    type="button"
                    class="plain place"
                    :class="{ on: plan.split.split[s.id] === p }"
                    :aria-pressed="plan.split.split[s.id] === p"
                    @click="moveStage(s.id, p)"
                  >
                    {{ placeName(p) }}
                  </button></template
                ></span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <v-btn v-if="plan.splitChosen" class="gap" @click="bench.set(own.split, {}, $t('the usual split came back'))">{{
        $t('Back to the usual split')
      }}</v-btn>
    </template>
  </div>
</template>
<style scoped>
.head {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.head h1 {
  margin-inline-end: auto;
}
.card {
  border-top: 2px solid var(--text);
  margin-top: 14px;
  padding-top: 10px;
  display: grid;
  gap: 8px;
}
.which {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
.num {
  background: var(--text);
  color: var(--stock);
  padding: 0 8px;
  margin-inline-end: 6px;
}
.fields {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: end;
}
input {
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0 8px;
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
  padding: 0 4px;
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
  font: var(--t-fine)/32px var(--f-text);
  text-align: center;
  overflow: hidden;
  white-space: nowrap;
  border-inline-end: 1px solid var(--rule);
  min-width: 0;
  color: var(--text);
  background: var(--board);
}
.strip .set {
  background: var(--stock);
  color: var(--text-2);
}
.strip .wait {
  background: repeating-linear-gradient(135deg, var(--watch-wash) 0 5px, var(--stock) 5px 9px);
}
.strip .free {
  background: transparent;
}
.gap {
  margin: 18px 0 6px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
}
td,
th {
  border-bottom: 1px solid var(--rule);
  padding: 2px 6px 2px 0;
}
.places {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
.place {
  padding: 6px 10px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  min-height: 32px;
}
.on {
  background: var(--ink);
  color: var(--on-ink);
  border-color: var(--ink);
}
.place:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: 20px;
  margin-top: 16px;
}
</style>
