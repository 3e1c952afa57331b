<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { clockOf, type House } from '#core/house'
import { needThought, onShelf, shelfTimes, stagesOf, type Plan } from '#core/plan'
import { sayMinutes } from '#core/phrases'
import { inZone, minutesBetween, sayClock, sayDay } from '#core/time'
import { changed, inWorkshop, type Workshop } from '#core/workshop'
import { useDesk } from '../app/desk'
import type { Due } from './due'
import BecauseFigure from '../ui/BecauseFigure.vue'
import PieceToken from '../ui/PieceToken.vue'
import TrimSheet from '../ui/TrimSheet.vue'

/** The next class of all: when, what is due for any, who needs a thought, what lies on the shelf. */
const props = defineProps<{ workshop: Workshop; house: House; plan: Plan; session: Plan['sessions'][number]; errands: readonly Due[] }>()
const desk = useDesk()
const say = computed(() => desk.say(props.house))
const until = computed(() => minutesBetween(inZone(desk.now, props.house.timeZone), props.session.from))
const inTime = computed(() => {
  if (until.value <= 0) return tr('now')
  if (until.value < 120) return tr('in {0}', tr('{0} minutes', Math.ceil(until.value)))
  return until.value < 48 * 60
    ? tr('in {0}', tr('{0} hours', Math.round(until.value / 60)))
    : tr('in {0} days', Math.round(until.value / 1440))
})
const stages = computed(() => stagesOf(props.plan, props.session.id).map((x) => tr(x).toLowerCase()))
const due = computed(() => props.errands[0])
const dueIn = (min: number) => (min < 0 ? tr('Late by {0}', sayMinutes(min)) : tr('Due in {0}', sayMinutes(min)))
const dueText = ({ w, e, say }: Due) => tr('{0}, by {1}{2}', w.title, say.at(e.by), say.errand(e).body ? `: ${say.errand(e).body}` : '')
const further = computed(() =>
  props.errands
    .slice(1, 3)
    .map((x) => x.say.errand(x.e).title.toLowerCase())
    .join(', '),
)
const did = (x: Due) =>
  desk.act({
    kind: 'errand-done',
    label: tr('{0} done', x.say.errand(x.e).title.toLowerCase()),
    subject: { kind: 'workshop', id: x.w.id },
    changes: [changed(inWorkshop.errandsDone(x.e.id), null, x.e.id)],
  })
const people = computed(() =>
  needThought(props.workshop, props.plan, props.session.id).map(({ person, why, state }) => ({
    name: person.name ?? tr('Seat {0}', props.plan.seats[person.id]),
    what: why === 'misses' ? tr('misses this class') : tr('missed the laying: no piece yet'),
    state,
  })),
)
const laidCount = computed(() => props.workshop.pieces.filter((p) => p.laidAt).length)
const shelf = computed(() => onShelf(props.workshop, props.plan))
const times = computed(() => shelf.value && shelfTimes(props.plan, shelf.value.pieces))
const against = computed(() => props.plan.findings.filter((x) => x.level !== 'note').slice(0, 2))
</script>
<template>
  <TrimSheet class="next">
    <div class="a">
      <p class="two small">{{ $t('Next class') }}</p>
      <h2 class="t">
        <router-link :to="`/w/${workshop.id}/bench/kit`">{{ workshop.title }}</router-link>
      </h2>
      <h1 class="in">{{ inTime }}</h1>
      <p>
        <b>{{ sayDay(session.from) }} {{ sayClock(session.from, clockOf(house)) }}</b>
        {{ $t('to {0}', sayClock(session.to, clockOf(house))) }}
      </p>
      <p class="two small">
        {{ $t('class {0} of {1}: {2}', session.number, plan.sessions.length, stages.join(' · ')) }}<br />{{
          $t('{0}, {1}. Set-up is inside the booking.', house.name, session.room)
        }}
      </p>
      <div class="row">
        <v-btn color="primary" variant="flat" :href="`/api/workshops/${workshop.id}/take-home.pdf`" target="_blank">{{
          $t('Print all sheets')
        }}</v-btn><v-btn :href="`/api/workshops/${workshop.id}/before.pdf`" target="_blank">{{ $t('Before the class') }}</v-btn>
      </div>
      <p class="two small">{{ $t('{0} take-home sheets, one PDF', plan.takeHome.length) }}</p>
    </div>
    <div class="b">
      <div v-if="due" class="flag">
        <p class="small">
          <b>{{ dueIn(due.left) }}</b>
        </p>
        <h3>{{ due.say.errand(due.e).title }}</h3>
        <p>
          {{ dueText(due) }}
        </p>
      </div>
      <p v-else class="ok">{{ $t('Nothing is due.') }}</p>
      <div class="row">
        <v-btn v-if="due" @click="did(due)">{{ $t('Done') }}</v-btn><span v-if="errands.length > 1" class="small two">{{
          $t('{0} more: {1}', errands.length - 1, further)
        }}</span>
      </div>
      <h3 class="gap">
        {{ $t('Who') }}
        <span class="two small light">{{
          laidCount ? $t('{0} of {1} have laid', laidCount, plan.people) : $t('{0} come', plan.people)
        }}</span>
      </h3>
      <p v-for="p in people" :key="p.name" class="inline">
        <PieceToken :state="p.state ?? 'to-print'" :size="24" /> <b>{{ p.name }}</b> <span class="two">{{ p.what }}</span>
      </p>
      <p v-if="!people.length" class="two small">{{ $t('Everybody is expected.') }}</p>
    </div>
    <div class="c">
      <template v-if="shelf">
        <h3>
          {{ $t('Shelf') }} <span class="two small light">{{ $t('{0} of {1} places', shelf.pieces.length, shelf.capacity) }}</span>
        </h3>
        <div class="board">
          <PieceToken v-for="p in shelf.pieces" :key="p.id" :state="p.state" :size="25" /><i
            v-for="n in Math.min(shelf.free, 8)"
            :key="n"
            class="free"
          />
        </div>
        <p v-if="times" class="small">
          <b class="fig20">{{ $t('Ready {0}', say.at(times.better)) }}</b><br /><b>{{ $t('Never before {0}', say.at(times.earliest)) }}</b
          ><br /><span class="two"
            >{{ $t('laid {0};', say.at(times.laid)) }}
            <BecauseFigure quiet :figure="plan.figures['cure-better']!" :say="say" :name="$t('Cure')" />{{ $t(', least') }}
            <BecauseFigure quiet :figure="plan.figures['cure-least']!" :say="say" :name="$t('Least cure')"
          /></span>
        </p>
      </template>
      <template v-else
        ><h3>{{ $t('Shelf') }}</h3>
        <p class="two small">{{ $t('Nothing is on it.') }}</p></template
      >
      <p v-if="plan.adults.matters" class="gap">
        <BecauseFigure :figure="plan.figures['adults']!" :say="say" :name="$t('Adults needed')" />
        <b>{{ plan.adults.needed === 1 ? $t('adult needed') : $t('adults needed') }}</b>,
        <span :class="plan.adults.coming >= plan.adults.needed ? 'ok' : 'watch'">{{ $t('{0} coming', plan.adults.coming) }}</span>
      </p>
      <p v-for="(f, i) in against" :key="i" :class="f.level === 'stop' ? 'stop' : 'watch'">
        <b>{{ say.finding(f).title }}</b>
      </p>
    </div>
  </TrimSheet>
</template>
<style scoped>
.next {
  display: grid;
  grid-template-columns: 1fr 1.15fr 1.1fr;
  gap: var(--s-6);
}
/* As high as what comes in its place. */
.coming {
  min-height: 326px;
}
.t {
  font-size: var(--t-big);
}
.in {
  font-size: var(--t-poster);
  margin: var(--s-1) 0 var(--s-1);
}
.row {
  display: flex;
  gap: var(--s-2);
  align-items: center;
  margin: var(--s-3) 0 var(--s-1);
  flex-wrap: wrap;
}
.flag {
  background: var(--ink);
  color: var(--on-ink);
  padding: var(--s-2) var(--s-6) var(--s-3) var(--s-4);
  border-inline-start: 5px solid var(--text);
  clip-path: polygon(0 0, 100% 0, calc(100% - 18px) 50%, 100% 100%, 0 100%);
}
.flag h3 {
  font-size: var(--t-h2);
}
.gap {
  margin-top: var(--s-3);
}
.board {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-3);
  padding: var(--s-2);
  border: solid var(--text);
  border-width: 0 2.5px 5px;
  margin: var(--s-2) 0;
}
.free {
  width: 25px;
  height: 25px;
  border: 1.5px dashed var(--edge);
}
.fig20 {
  font: 750 var(--t-h3) var(--f-head);
}
@media (max-width: 1000px) {
  .next {
    grid-template-columns: 1fr;
  }
}
.t a {
  color: inherit;
  text-decoration: none;
}
.t a:hover {
  text-decoration: underline;
}
</style>
