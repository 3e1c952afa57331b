<script setup lang="ts">
import { t as tr } from '#core/language'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { clockOf, type House } from '#core/house'
import { hoursOf, type Plan } from '#core/plan'
import { placeOn, profileOf, storyOf, timelineOf } from '#core/sessions'
import { addMinutes, sayMinute } from '#core/time'
import SourceMark from '../ui/SourceMark.vue'
import { stationName } from '../room/boardLanes'
import ToneDefs from '../room/ToneDefs.vue'
import LoadProfile from './LoadProfile.vue'

/** Each class opened out below its place on the time: how many work at the tables, who stands and waits at the stations, when the last piece
 *  is done and the room ends. */
const props = defineProps<{ plan: Plan; stored: Plan; house: House; workshop: string }>()
const side = 92
const gap = 24
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 1200, height: 0 })
const line = computed(() => timelineOf(props.stored.sessions, hoursOf(props.house), props.house.timeZone))
const across = (at: string) => side + (placeOn(line.value, at) / 100) * (width.value - side)

const classes = computed(() =>
  props.plan.loads.map((l) => {
    const session = props.plan.sessions.find((s) => s.id === l.sessionId)!
    const { room } = l
    const story = storyOf(room)
    const clean = room.plan.finishMin + room.cleanUpMin
    const lastMin = Math.max(session.minutes, clean)
    const clock = (min: number) => sayMinute(addMinutes(session.from, Math.round(min)), clockOf(props.house))
    return {
      session,
      clock,
      drawn: { width: panelWidth.value, side, lastMin, endMin: session.minutes, finish: room.plan.finishMin, begins: story.begins, clock },
      profile: profileOf(story.rows),
      people: story.rows.length,
      finish: room.plan.finishMin,
      clean,
      stations: story.stations.filter((s) => s.levels.some((x) => x.there > 0)),
      empty: room.empty,
    }
  }),
)
const columns = computed(() => (props.plan.loads.length > 1 && width.value > 900 ? 2 : 1))
const panelWidth = computed(() => (width.value - gap * (columns.value - 1)) / columns.value)
/** From the class's place on the time to its panel: drawn for those of the first row. */
const rays = computed(() =>
  classes.value.slice(0, columns.value).map((c, i) => {
    const left = i * (panelWidth.value + gap) + side
    const [a, b] = [Math.max(side, across(c.session.from)), Math.max(side + 30, across(c.session.to))]
    return `${a},0 ${b},0 ${left + panelWidth.value - side},22 ${left},22`
  }),
)
const waitSaid = (s: (typeof classes.value)[number]['stations'][number]) =>
  s.queue && s.queue.longestMin > 0 ? tr('{0} wait, up to {1} min', s.queue.most, s.queue.longestMin) : ''
</script>
<template>
  <div ref="box" class="loads">
    <svg :width="width" height="22" class="rays" aria-hidden="true">
      <ToneDefs />
      <polygon v-for="(r, i) in rays" :key="i" :points="r" />
    </svg>
    <div class="panels" :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }">
      <section v-for="c in classes" :key="c.session.id" class="panel">
        <h2>
          {{ $t('Class {0}', c.session.number) }}
          <RouterLink :to="`/w/${workshop}/room/${c.session.id}`" class="small">{{ $t('minute by minute') }}</RouterLink>
        </h2>
        <LoadProfile
          :name="$t('Tables')"
          :note="$t('{0} seats', c.people)"
          :levels="c.profile.levels"
          :words="c.profile.words"
          :places="null"
          :most="c.people"
          look="tables"
          :ruled="true"
          v-bind="c.drawn"
        />
        <LoadProfile
          v-for="s in c.stations"
          :key="s.at"
          :name="stationName(s.at)"
          :note="s.places === null ? '' : $t('{0} places', s.places)"
          :levels="s.levels"
          :words="[]"
          :places="s.places"
          :most="Math.max(s.places ?? 0, ...s.levels.map((l) => l.there + l.waiting))"
          :look="s.at === 'basin' ? 'water' : s.at === 'rack' ? 'rack' : 'full'"
          :waits="waitSaid(s)"
          v-bind="c.drawn"
        />
        <p class="said">
          <b>{{ $t('done {0}', c.clock(c.finish)) }}</b> <SourceMark mark="E" />
          <span class="two">{{ $t('clean by {0}', c.clock(c.clean)) }}</span>
          <b :class="c.clean > c.session.minutes ? 'stop' : 'two'" class="ends">{{ $t('room ends {0}', c.clock(c.session.minutes)) }}</b>
        </p>
      </section>
    </div>
  </div>
</template>
<style scoped>
.loads {
  min-width: 0;
  margin-top: calc(-1 * var(--s-3));
}
.rays {
  display: block;
}
.rays polygon {
  fill: var(--wash);
}
.panels {
  display: grid;
  gap: var(--s-4) 24px;
}
.panel {
  min-width: 0;
}
h2 {
  position: absolute;
  inline-size: 88px;
  display: grid;
  font-size: var(--t-h3);
}
.panel {
  position: relative;
}
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s-2);
  align-items: center;
  padding-inline-start: 92px;
}
.ends {
  margin-inline-start: auto;
}
</style>
