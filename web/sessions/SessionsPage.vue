<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { hoursOf, planWorkshop, type Remedy } from '#core/plan'

import { addMinutes, addDays, dateOf, minutesBetween, openSpans, placeLocal, sayShortDay } from '#core/time'
import { applyChanges, inWorkshop, moveSession, type Change, type Workshop } from '#core/workshop'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import FindingCard from '../ui/FindingCard.vue'
import SourceMark from '../ui/SourceMark.vue'

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say } = bench
const moving = ref<{ session: string; by: number }>()
const lane = ref<HTMLElement>()

/** The workshop as it would be while a session is dragged; the verdict follows it. */
const held = computed<Workshop | undefined>(() => {
  const w = workshop.value
  const m = moving.value
  return w && m ? applyChanges<Workshop>(w, shift(w, m.session, m.by))! : w
})
const plan = computed(() =>
  moving.value && held.value && house.value && bench.plan.value
    ? planWorkshop({ ...bench.desk.planInput(held.value.id)!, workshop: held.value, now: bench.plan.value.now })
    : bench.plan.value,
)

function shift(w: Workshop, session: string, by: number): Change[] {
  const placed = bench.plan.value!.sessions.find((s) => s.id === session)!
  return moveSession(
    w.sessions.find((s) => s.id === session)!,
    addMinutes(placed.from, by),
    placed.minutes,
  )
}
const move = (session: string, by: number) => {
  const n = bench.plan.value!.sessions.find((s) => s.id === session)!.number
  bench.act(
    'move-session',
    tr('class {0} moved {1} {2}', n, say.value!.minutes(by), by > 0 ? tr('later') : tr('earlier')),
    shift(workshop.value!, session, by),
  )
}

/** From three days before the first session (or the next errand) to a day after the last. */
const view = computed(() => {
  const p = bench.plan.value!
  const first = p.sessions[0]!
  const last = p.sessions.at(-1)!
  const zone = house.value!.timeZone
  const from = placeLocal({ date: addDays(dateOf(first.from), -2), time: '00:00' }, zone).at
  const to = placeLocal({ date: addDays(dateOf(last.to), 2), time: '00:00' }, zone).at
  const whole = minutesBetween(from, to)
  const at = (x: string) => (100 * minutesBetween(from, x)) / whole
  const days = Array.from(
    { length: Math.min(60, Math.round(whole / 1440)) },
    (_, i) => placeLocal({ date: addDays(dateOf(from), i), time: '00:00' }, zone).at,
  )
  const open = openSpans(from, to, hoursOf(house.value!)).map((s) => ({ from: at(s.from), to: at(s.to) }))
  const edges = [0, ...open.flatMap((s) => [s.from, s.to]), 100]
  const closed = Array.from({ length: edges.length / 2 }, (_, i) => ({
    from: Math.max(0, edges[2 * i]!),
    to: Math.min(100, edges[2 * i + 1]!),
  })).filter((c) => c.to > c.from)
  const nights = days.flatMap((d) => [
    { from: at(d), to: at(addMinutes(d, 360)) },
    { from: at(addMinutes(d, 1320)), to: at(addMinutes(d, 1440)) },
  ])
  return { from, to, whole, at, days, closed, nights }
})
const clamp = (n: number) => Math.min(100, Math.max(0, n))
const errands = computed(() =>
  plan.value!.errands.map((e) => ({
    e,
    said: say.value!.errand(e),
    at: view.value.at(e.by),
    early: minutesBetween(view.value.from, e.by) < 0,
  })),
)
const title = computed(() => plan.value?.sessions.map((s) => say.value!.at(s.from)).join(tr(', then ')) ?? '')
const cure = computed(() => plan.value?.split.cure)
const findings = computed(() => plan.value!.findings.filter((f) => f.decision === 'sessions'))

function grab(e: PointerEvent, session: string) {
  const box = lane.value!.getBoundingClientRect()
  const perPx = view.value.whole / box.width
  const start = e.clientX
  const target = e.currentTarget as HTMLElement
  target.setPointerCapture(e.pointerId)
  const by = (x: PointerEvent) => Math.round(((x.clientX - start) * perPx) / 15) * 15
  const follow = (x: PointerEvent) => (moving.value = { session, by: by(x) })
  const drop = (x: PointerEvent) => {
    stop()
    if (by(x) !== 0) move(session, by(x))
  }
  const ends = [
    useEventListener(target, 'pointermove', follow),
    useEventListener(target, 'pointerup', drop),
    useEventListener(target, 'pointercancel', () => stop()),
  ]
  const stop = () => {
    moving.value = undefined
    for (const end of ends) end()
  }
}
const nudge = (e: KeyboardEvent, session: string) => {
  const step = e.shiftKey ? 60 : 15
  const by = e.key === 'ArrowLeft' ? -step : e.key === 'ArrowRight' ? step : 0
  if (!by) return
  e.preventDefault()
  move(session, by)
}
const done = (errand: string) =>
  bench.set(inWorkshop.errandsDone(errand), workshop.value!.errandsDone.includes(errand) ? null : errand, tr('an errand was ticked'))
const take = (r: Remedy) => r.changes.length && bench.act('way-out', say.value!.remedy(r).toLowerCase(), r.changes)
const wide = useMediaQuery('(min-width: 761px)')
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else-if="!plan.sessions.length" class="page">
    <h1>{{ $t('No class yet') }}</h1>
    <div class="outline">{{ $t('Here will be the time from the first errand to the last class.') }}</div>
    <v-btn :to="`/w/${id}/bench/sessions`" color="primary" variant="flat">{{ $t('Add a class') }}</v-btn>
  </main>
  <main v-else class="page">
    <div class="head">
      <h1>{{ title }}</h1>
      <p class="key small" aria-hidden="true">
        <i class="night" /> {{ $t('night') }} <i class="closed" /> {{ $t('closed') }} <i class="cured" /> {{ $t('on the shelf') }}
      </p>
      <v-btn :to="`/w/${id}/bench/sessions`">{{ $t('Type the times') }}</v-btn><v-btn :href="`/api/workshops/${id}/sessions.ics`">{{
        $t('Calendar')
      }}</v-btn
      ><v-btn color="primary" variant="flat" :href="`/api/workshops/${id}/before.pdf`" target="_blank">{{ $t('Before the class') }}</v-btn>
    </div>
    <div v-if="wide" class="drawing">
      <div class="labels" aria-hidden="true">
        <span style="top: 44px"
          ><b>{{ $t('Errands') }}</b
          ><br /><small>{{ $t('by when') }}</small></span
        ><span style="top: 216px"
          ><b>{{ $t('Shelf') }}</b
          ><br /><small>{{ plan.shelf ? $t('{0} of {1}', plan.shelf.places, plan.shelf.capacity) : $t('empty') }}</small></span
        ><span style="top: 310px"
          ><b>{{ $t('Class') }}</b
          ><br /><small>{{ $t('{0} people', plan.people) }}</small></span
        >
      </div>
      <div ref="lane" class="lane">
        <i
          v-for="(n, i) in view.nights"
          :key="`n${i}`"
          class="night"
          :style="{ left: `${clamp(n.from)}%`, width: `${clamp(n.to) - clamp(n.from)}%` }"
        />
        <i v-for="(c, i) in view.closed" :key="`c${i}`" class="closed" :style="{ left: `${c.from}%`, width: `${c.to - c.from}%` }" />
        <span v-for="d in view.days" :key="d" class="day" :style="{ left: `${view.at(d)}%` }">{{ sayShortDay(d) }}</span>
        <i v-if="view.at(plan.now) > 0 && view.at(plan.now) < 100" class="now" :style="{ left: `${view.at(plan.now)}%` }"
          ><b>{{ $t('now') }}</b></i
        >
        <template v-for="(x, i) in errands" :key="x.e.id"
          ><span
            v-if="!x.early && x.at < 100 && x.e.code !== 'set-up'"
            class="errand"
            :class="[x.e.state, { left: x.at > 62 }]"
            :style="{ left: `${x.at}%`, top: `${40 + (i % 8) * 20}px` }"
            ><svg width="13" height="16" aria-hidden="true">
              <path
                d="M1 0v16M1 1h10l-3 4 3 4H1"
                :fill="x.e.state === 'done' ? 'var(--stock)' : 'currentColor'"
                stroke="currentColor"
                stroke-width="1.6"
              /></svg
            ><span class="txt">{{ x.said.title }}</span></span
          ></template
        >
        <div
          v-if="plan.shelf"
          class="shelf"
          :class="{ over: plan.shelf.places > plan.shelf.capacity }"
          :style="{ left: `${view.at(plan.shelf.from)}%`, width: `${view.at(plan.shelf.to) - view.at(plan.shelf.from)}%` }"
        >
          <svg width="100%" height="100%" aria-hidden="true">
            <defs>
              <pattern id="dots" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="9" height="9" fill="var(--stock)" />
                <circle cx="4.5" cy="4.5" r="2.3" fill="var(--ink)" />
              </pattern>
            </defs>
            <rect width="100%" height="100%" fill="url(#dots)" stroke="var(--ink)" stroke-width="3" /></svg
          ><b>{{ $t('{0} of {1} places', plan.shelf.places, plan.shelf.capacity) }}</b>
        </div>
        <template v-if="cure"
          ><i class="cue" :class="{ flip: clamp(view.at(cure.earliestAt)) > 76 }" :style="{ left: `${clamp(view.at(cure.earliestAt))}%` }"
            ><span>{{ $t('{0} earliest', say.at(cure.earliestAt)) }} <SourceMark :mark="plan.figures['earliest']!.because.mark" /></span></i
          ><i
            class="cue better"
            :class="{ flip: clamp(view.at(cure.recommendedAt)) > 76 }"
            :style="{ left: `${clamp(view.at(cure.recommendedAt))}%` }"
            ><span
              >{{ $t('{0} better', say.at(cure.recommendedAt)) }} <SourceMark :mark="plan.figures['recommended']!.because.mark" /></span></i
        ></template>
        <button
          v-for="s in plan.sessions"
          :key="s.id"
          type="button"
          class="plain class"
          :class="{ held: moving?.session === s.id }"
          :style="{ left: `${view.at(s.from)}%`, width: `max(30px, ${view.at(s.to) - view.at(s.from)}%)` }"
          :aria-label="$t('Class {0}, {1}. Arrow keys move it by a quarter of an hour, with Shift an hour.', s.number, say.at(s.from))"
          @pointerdown="grab($event, s.id)"
          @keydown="nudge($event, s.id)"
        >
          {{ s.number }}
        </button>
        <span
          v-if="cure"
          class="gap"
          :style="{
            left: `${view.at(plan.shelf?.from ?? plan.sessions[0]!.to)}%`,
            width: `${view.at(plan.shelf?.to ?? plan.sessions[0]!.to) - view.at(plan.shelf?.from ?? plan.sessions[0]!.to)}%`,
          }"
          ><b>{{ say.minutes(minutesBetween(plan.shelf?.from ?? plan.now, plan.shelf?.to ?? plan.now)) }}</b>
          {{ $t('from laid to rub') }}</span
        >
      </div>
    </div>
    <p aria-live="polite" class="verdict">
      <template v-if="cure"
        ><b :class="{ ready: 'ok', risky: 'watch', 'too soon': 'stop' }[cure.verdict]">{{
          cure.verdict === 'ready' ? $t('Ready by then.') : cure.verdict === 'risky' ? $t('Risky by then.') : $t('Too soon.')
        }}</b>
        {{
          $t(
            'Earliest {0} ({1}), better from {2} ({3}).',
            say.at(cure.earliestAt),
            say.minutes(cure.requiredMin),
            say.at(cure.recommendedAt),
            say.minutes(cure.recommendedMin),
          )
        }}</template
      ><template v-else>{{ $t('Nothing has to cure between classes.') }}</template>
      <span class="two">&ensp;{{ $t('Drag a class along the time, or choose it and use the arrow keys.') }}</span>
    </p>
    <div class="cols">
      <section>
        <h2>{{ $t('Errands') }}</h2>
        <ul>
          <li v-for="x in errands" :key="x.e.id" :class="x.e.state">
            <v-checkbox
              density="compact"
              :model-value="x.e.state === 'done'"
              :aria-label="$t('{0} is done', x.said.title)"
              @update:model-value="done(x.e.id)"
            /><span
              ><b>{{ x.said.title }}</b> <span class="two">{{ x.said.body }}</span></span
            ><span class="by"
              >{{ x.e.startBy ? $t('begin by') : $t('by') }} {{ say.at(x.e.by) }}
              <b v-if="x.e.state === 'late'" class="watch">{{ $t('late') }}</b></span
            >
          </li>
        </ul>
      </section>
      <section>
        <h2>{{ $t('What stands against it') }}</h2>
        <FindingCard v-for="(f, i) in findings" :key="i" :finding="f" :say="say" :effect="bench.effect" @take="take" />
        <p v-if="!findings.length" class="ok">{{ $t('Nothing.') }}</p>
      </section>
    </div>
  </main>
</template>
<style scoped>
.page {
  padding: 14px 20px 30px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.head h1 {
  margin-inline-end: auto;
  font-size: var(--t-big);
}
.key i {
  position: static;
  display: inline-block;
  width: 26px;
  height: 14px;
  margin-inline-start: 10px;
  vertical-align: -2px;
}
.cured {
  background: var(--ink);
  opacity: 0.4;
}
.drawing {
  display: grid;
  grid-template-columns: 92px 1fr;
}
.labels {
  position: relative;
}
.labels span {
  position: absolute;
  line-height: 1.15;
}
.labels small {
  color: var(--text-2);
}
.lane {
  position: relative;
  height: 372px;
  background: var(--stock);
  border: solid var(--text);
  border-width: 0 0 2px;
  overflow: hidden;
}
.night,
.closed {
  position: absolute;
  top: 30px;
  bottom: 0;
}
.night {
  background: var(--night);
}
.closed {
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hatch) 6px 7.5px);
}
.day {
  position: absolute;
  top: 0;
  bottom: 0;
  border-inline-start: 1px solid var(--edge);
  padding: 4px 0 0 6px;
  font-weight: 700;
  white-space: nowrap;
  font-size: var(--t-list);
}
.now {
  position: absolute;
  top: 26px;
  bottom: 0;
  border-inline-start: 3px solid var(--ink);
  z-index: 3;
}
.now b {
  color: var(--ink);
  font: 700 var(--t-label) var(--f-text);
  padding-inline-start: 4px;
  background: var(--stock);
}
.errand {
  position: absolute;
  display: flex;
  gap: 3px;
  align-items: center;
  white-space: nowrap;
  font-size: var(--t-small);
  z-index: 2;
}
.errand .txt {
  background: var(--stock);
  padding: 0 4px;
}
.errand.left {
  transform: translateX(-100%);
  flex-direction: row-reverse;
}
.errand.done {
  color: var(--text-2);
}
.errand.late {
  color: var(--watch);
  font-weight: 700;
}
.shelf {
  position: absolute;
  top: 206px;
  height: 84px;
}
.shelf b {
  position: absolute;
  left: 10px;
  top: 8px;
  background: var(--stock);
  padding: 0 6px;
  white-space: nowrap;
}
.over b {
  color: var(--watch);
}
.cue {
  position: absolute;
  top: 196px;
  height: 102px;
  border-inline-start: 2px dashed var(--text);
  z-index: 2;
}
.cue.better {
  border-inline-start-style: solid;
}
.cue > span {
  position: absolute;
  left: 4px;
  top: 42px;
  background: var(--stock);
  padding: 0 5px;
  font: 600 var(--t-small) var(--f-text);
  white-space: nowrap;
}
.cue.flip > span {
  left: auto;
  right: 4px;
}
.cue.better > span {
  top: 66px;
}
.class {
  position: absolute;
  top: 312px;
  height: 46px;
  background: var(--ink);
  color: var(--on-ink);
  display: grid;
  place-items: center;
  font: 780 var(--t-h3) var(--f-head);
  cursor: grab;
  z-index: 4;
  touch-action: none;
}
.held {
  background: var(--ink-press);
  cursor: grabbing;
}
.class:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 3px;
}
.gap {
  overflow: hidden;
  text-overflow: ellipsis;
  padding: 0 34px 0 6px;
  position: absolute;
  top: 322px;
  text-align: center;
  font-size: var(--t-small);
  white-space: nowrap;
}
.gap b {
  background: var(--stock);
}
.gap {
  text-shadow: 0 0 4px var(--stock);
}
.cols {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: 30px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
li {
  display: grid;
  grid-template-columns: 44px 1fr auto;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
li.done {
  color: var(--text-2);
}
.by {
  white-space: nowrap;
}
.outline {
  border: 1.5px dashed var(--edge);
  padding: 40px;
  color: var(--text-2);
}
.page > .v-btn {
  justify-self: start;
}
@media (max-width: 760px) {
  .cols {
    grid-template-columns: 1fr;
  }
  .head h1 {
    font-size: var(--t-h3);
  }
  .by {
    grid-column: 2;
  }
}
</style>
