<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { pieceKind, pieceStates, type PieceState } from '#core/recipe'
import { addMinutes, inZone, minutesBetween, placeLocal } from '#core/time'
import type { Summary } from '#core/workshop'
import { useDesk } from '../app/desk'
import HouseDrawing from '../ui/HouseDrawing.vue'
import PieceToken from '../ui/PieceToken.vue'
import VerdictShape from '../ui/VerdictShape.vue'
import type { StripScale } from './stripScale'

/** One strip of paper: a workshop from its making to its last date. What its plan says comes when the plan is made. `scale` is by the clock
 *  of its own house. */
const props = defineProps<{ workshop: Summary; scale: StripScale }>()
defineEmits<{ copy: [Summary]; archive: [Summary] }>()
const desk = useDesk()
const house = computed(() => desk.house(props.workshop.houseId)!)
const sessions = computed(() =>
  props.workshop.sessions
    .map((s) => ({
      from: placeLocal({ date: s.date, time: s.start }, house.value.timeZone, s.later).at,
      to: placeLocal({ date: s.date, time: s.end }, house.value.timeZone, s.later).at,
    }))
    .sort((a, b) => minutesBetween(b.from, a.from)),
)
const plan = computed(() => desk.planSoon(props.workshop.id))
const r = computed(() => {
  const { workshop: w, scale } = props
  const say = desk.say(house.value)
  const last = sessions.value.at(-1)
  const over = sessions.value.length > 0 && sessions.value.every((s) => minutesBetween(s.to, desk.now) > 0)
  const finding = over ? undefined : plan.value?.findings.find((f) => f.level !== 'note')
  const errand = over ? undefined : plan.value?.errands.find((e) => e.state !== 'done')
  const kind = pieceKind(w.kind)
  const pieces = plan.value && w.people ? (w.called ?? (w.people > 1 ? kind.plural : kind.name)) : 'people'
  return {
    w,
    state: halfway(w),
    over,
    errand: errand && { at: scale.at(errand.by), text: tr('{0} by {1}', say.errand(errand).title, say.at(errand.by)) },
    dated: !!last,
    who: `${house.value.name.split(' ')[0]}, ${w.people} ${pieces}`,
    from: scale.at(w.createdAt),
    now: scale.at(inZone(desk.now, house.value.timeZone)),
    to: last ? scale.at(addMinutes(last.to, 360)) : scale.at(addMinutes(desk.now, 4320)),
    classes: sessions.value.map((s, i) => ({ n: i + 1, at: scale.at(s.from), held: minutesBetween(s.to, desk.now) > 0 })),
    finding: finding && { level: finding.level, text: say.finding(finding).title },
  }
})
/** The state that half of the pieces have reached; who has no piece yet does not count where others have. */
function halfway(w: Summary): PieceState {
  const made = pieceStates.flatMap((s) => Array.from({ length: s === 'to-print' ? 0 : (w.states[s] ?? 0) }, () => s)).reverse()
  return made[Math.floor(made.length / 2)] ?? 'to-print'
}
</script>
<template>
  <div role="listitem" class="row">
    <router-link :to="`/w/${r.w.id}/bench/kit`" class="title"
      ><span class="art"><HouseDrawing :drawing="r.w.drawing" :width="40" /></span
      ><span class="names"
        ><b>{{ r.w.title }}</b
        ><span class="small two">{{ r.who }}</span></span
      ></router-link
    >
    <div class="lane">
      <i class="week" :style="{ left: `${scale.week.from}%`, width: `${scale.week.to - scale.week.from}%` }" aria-hidden="true" />
      <i
        class="paper"
        :class="{ open: !r.dated }"
        :style="{ left: `${r.from}%`, width: `${Math.max(1.5, r.to - r.from)}%` }"
        aria-hidden="true"
      />
      <PieceToken
        class="tok"
        :state="r.state"
        :size="24"
        :style="{ left: `calc(${Math.min(r.over ? r.to : r.now, Math.max(r.from, r.to))}% - 12px)` }"
      />
      <span v-for="c in r.classes" :key="c.n" class="class" :class="{ held: c.held }" :style="{ left: `calc(${c.at}% - 12px)` }"
        ><span class="sr">{{ $t('class') }} </span>{{ c.n }}</span
      >
      <svg v-if="r.errand" class="errand" :style="{ left: `${r.errand.at}%` }" width="16" height="30" aria-hidden="true">
        <path d="M2 0v30M2 1h12l-4 5 4 5H2" fill="var(--text)" stroke="var(--text)" stroke-width="2" />
      </svg>
    </div>
    <div class="said small">
      <template v-if="r.finding"
        ><VerdictShape :state="r.finding.level === 'stop' ? 'stop' : 'look'" :size="16" />
        <b :class="r.finding.level === 'stop' ? 'stop' : 'watch'">{{ r.finding.text }}</b></template
      ><template v-else-if="r.over"
        ><b>{{ $t('Done.') }}</b></template
      ><template v-else-if="!r.dated"
        ><b>{{ $t('No date.') }}</b></template
      ><template v-else-if="r.errand">{{ r.errand.text }}</template>
    </div>
    <div class="do">
      <v-menu
        ><template #activator="{ props: p }"
          ><button type="button" class="plain dots" v-bind="p" :aria-label="$t('More for {0}', r.w.title)">⋯</button></template
        ><v-list
          ><v-list-item :title="$t('Duplicate')" @click="$emit('copy', r.w)" /><v-list-item
            :title="$t('Archive')"
            @click="$emit('archive', r.w)" /><v-list-item
            :title="$t('Workshop out (JSON)')"
            :href="`/api/workshops/${r.w.id}/workshop.json`" /><v-list-item
            :title="$t('Plan out (JSON)')"
            :href="`/api/workshops/${r.w.id}/plan.json`" /></v-list
      ></v-menu>
    </div>
  </div>
</template>
<style scoped src="./strips.css"></style>
<style scoped>
.row {
  border-bottom: 1px solid var(--rule);
  min-height: 46px;
}
.title {
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--text);
  text-decoration: none;
  min-width: 0;
  padding: 3px 0;
}
.art {
  background: #fbf8f1;
  color: #241c17;
  border: 1px solid var(--edge);
  padding: 3px;
  display: grid;
}
.names {
  display: grid;
  min-width: 0;
  line-height: 1.15;
}
.paper {
  position: absolute;
  top: 10px;
  height: 26px;
  background: var(--stock);
  border: 1.5px solid var(--edge);
  box-shadow: 3px 3px 0 0 var(--night);
}
.paper.open {
  border-style: dashed;
  box-shadow: none;
  background: transparent;
}
.tok {
  position: absolute;
  top: 11px;
}
.class {
  position: absolute;
  top: 9px;
  width: 24px;
  height: 28px;
  display: grid;
  place-items: center;
  font: 750 var(--t-list) var(--f-head);
  background: var(--stock);
  border: 2px solid var(--text);
}
.held {
  background: var(--text);
  color: var(--stock);
}
.errand {
  position: absolute;
  top: 8px;
}
.said {
  line-height: 1.2;
}
.dots {
  min-width: 44px;
  min-height: 44px;
  display: grid;
  place-items: center;
  font-weight: 800;
}
.title:hover b {
  text-decoration: underline;
}
.names * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.dots:hover {
  background: var(--wash);
}
@media (max-width: 900px) {
  .row .lane {
    display: none;
  }
  .said {
    grid-column: 1;
    grid-row: 2;
    padding-bottom: 6px;
  }
}
</style>
