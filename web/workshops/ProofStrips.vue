<script setup lang="ts">
import { computed } from 'vue'
import { pieceStates, type PieceState } from '#core/recipe'
import { addMinutes, inZone, minutesBetween, readInstant, sayShortDay } from '#core/time'
import { placeLocal } from '#core/time'
import type { Workshop } from '#core/workshop'
import { useDesk } from '../app/desk'
import HouseDrawing from '../ui/HouseDrawing.vue'
import PieceToken from '../ui/PieceToken.vue'
import VerdictShape from '../ui/VerdictShape.vue'
import { stripScale } from './stripScale'

/** A strip of paper a workshop long, from its making to its last date; numbered squares are classes, solid once held. */
const props = defineProps<{ workshops: Workshop[] }>()
defineEmits<{ copy: [Workshop]; archive: [Workshop] }>()
const desk = useDesk()
const house = computed(() => desk.house(props.workshops[0]!.houseId)!)
const now = computed(() => inZone(desk.now, house.value.timeZone))
const scale = computed(() => stripScale(now.value, house.value.timeZone, house.value.weekStart))
const noon = (date: string) => placeLocal({ date, time: '12:00' }, house.value.timeZone).at
const dayName = (date: string) => sayShortDay(noon(date))

const rows = computed(() =>
  props.workshops.map((w) => {
    const h = desk.house(w.houseId)!
    const plan = desk.plan(w.id)!
    const say = desk.say(h)
    const last = plan.sessions.at(-1)
    const state = w.pieces.length
      ? w.pieces.map((p) => p.state).sort((a, b) => pieceStates.indexOf(b) - pieceStates.indexOf(a))[Math.floor(w.pieces.length / 2)]!
      : ('to-print' as PieceState)
    const over = plan.sessions.length > 0 && plan.sessions.every((s) => minutesBetween(s.to, desk.now) > 0)
    const finding = over ? undefined : plan.findings.find((f) => f.level !== 'note')
    const errand = over ? undefined : plan.errands.find((e) => e.state !== 'done')
    return {
      w,
      state,
      over,
      errand: errand && { at: scale.value.at(errand.by), text: `${say.errand(errand).title} by ${say.at(errand.by)}` },
      dated: !!last,
      who: `${h.name.split(' ')[0]}, ${plan.people} ${plan.people ? plan.pieceName.split(' ').at(-1) + (plan.people > 1 ? 's' : '') : 'people'}`,
      from: scale.value.at(w.createdAt),
      to: last ? scale.value.at(addMinutes(last.to, 360)) : scale.value.at(addMinutes(desk.now, 4320)),
      classes: plan.sessions.map((s) => ({ n: s.number, at: scale.value.at(s.from), held: minutesBetween(s.to, desk.now) > 0 })),
      finding: finding && { level: finding.level, text: say.finding(finding).title },
    }
  }),
)
const nowAt = computed(() => scale.value.at(now.value))
</script>
<template>
  <div class="strips" role="list" aria-label="All workshops">
    <div class="scale" aria-hidden="true">
      <div class="lane">
        <i class="week" :style="{ left: `${scale.week.from}%`, width: `${scale.week.to - scale.week.from}%` }" /><span
          v-for="t in scale.ticks"
          :key="t.date"
          class="tick"
          :style="{ left: `${t.at}%` }"
          >{{ dayName(t.date).slice(4) }}</span
        ><span
          v-for="d in scale.week.days"
          :key="d.date"
          class="tick day"
          :class="{ today: d.date === readInstant(now).toPlainDate().toString() }"
          :style="{ left: `${d.at}%` }"
          >{{ dayName(d.date).slice(0, 3) }} {{ readInstant(noon(d.date)).day }}</span
        >
      </div>
    </div>
    <div v-for="r in rows" :key="r.w.id" role="listitem" class="row">
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
          :style="{ left: `calc(${Math.min(r.over ? r.to : nowAt, Math.max(r.from, r.to))}% - 12px)` }"
        />
        <span v-for="c in r.classes" :key="c.n" class="class" :class="{ held: c.held }" :style="{ left: `calc(${c.at}% - 12px)` }"
          ><span class="sr">class </span>{{ c.n }}</span
        >
        <svg v-if="r.errand" class="errand" :style="{ left: `${r.errand.at}%` }" width="16" height="30" aria-hidden="true">
          <path d="M2 0v30M2 1h12l-4 5 4 5H2" fill="var(--text)" stroke="var(--text)" stroke-width="2" />
        </svg>
      </div>
      <div class="said small">
        <template v-if="r.finding"
          ><VerdictShape :state="r.finding.level === 'stop' ? 'stop' : 'look'" :size="16" />
          <b :class="r.finding.level === 'stop' ? 'stop' : 'watch'">{{ r.finding.text }}</b></template
        ><template v-else-if="r.over"><b>Done.</b></template
        ><template v-else-if="!r.dated"><b>No date.</b></template
        ><template v-else-if="r.errand">{{ r.errand.text }}</template>
      </div>
      <div class="do">
        <v-menu
          ><template #activator="{ props: p }"
            ><button type="button" class="plain dots" v-bind="p" :aria-label="`More for ${r.w.title}`">⋯</button></template
          ><v-list
            ><v-list-item title="Duplicate" @click="$emit('copy', r.w)" /><v-list-item
              title="Archive"
              @click="$emit('archive', r.w)" /><v-list-item
              title="Workshop out (JSON)"
              :href="`/api/workshops/${r.w.id}/workshop.json`" /><v-list-item
              title="Plan out (JSON)"
              :href="`/api/workshops/${r.w.id}/plan.json`" /></v-list
        ></v-menu>
      </div>
    </div>
  </div>
</template>
<style scoped>
.scale,
.row {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr) 230px 44px;
  gap: 10px;
  align-items: center;
}
.scale {
  border-bottom: 2px solid var(--text);
}
.scale .lane {
  grid-column: 2;
  height: 24px;
}
.row {
  border-bottom: 1px solid var(--rule);
  min-height: 46px;
}
.lane {
  position: relative;
  height: 100%;
  min-height: 24px;
  align-self: stretch;
}
.week {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--board);
  border: dashed var(--text);
  border-width: 0 1.5px;
}
.tick {
  position: absolute;
  font-size: 14px;
  padding-left: 4px;
  border-left: 1px solid var(--edge);
  white-space: nowrap;
}
.day {
  font-size: 13px;
}
.today {
  font-weight: 800;
  border-left: 3px solid var(--ink);
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
.title:hover b {
  text-decoration: underline;
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
.names * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
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
  font: 750 15px var(--f-head);
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
.dots:hover {
  background: var(--wash);
}
.dots:focus-visible {
  outline: 3px solid var(--ink);
}
@media (max-width: 900px) {
  .scale {
    display: none;
  }
  .row {
    grid-template-columns: minmax(0, 1fr) 44px;
  }
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
