<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { decisionIds, type DecisionId, type Plan } from '#core/plan'
import type { Phrases } from '#core/phrases'
import type { Drawing } from '#core/workshop'
import HouseDrawing from '../ui/HouseDrawing.vue'
import VerdictShape from '../ui/VerdictShape.vue'

/** The chain of decisions: each a link, with what was decided and whether anything stands against it. What is given as its
 *  content opens under the chosen one (narrow screens). */
const props = defineProps<{ id: string; plan: Plan; say: Phrases; chosen: DecisionId; changed: string[]; drawing: Drawing }>()
const names: Record<DecisionId, string> = {
  group: tr('Group'),
  piece: tr('Piece'),
  method: 'Method',
  pictures: tr('Pictures'),
  kit: tr('Kit'),
  sessions: tr('Classes'),
  room: tr('Room'),
  takehome: tr('Take-home'),
}
const figures: Record<DecisionId, RegExp> = {
  group: /^people$/,
  piece: /^strips$/,
  method: /^cure/,
  pictures: /^(prints|sheets)$/,
  kit: /^(kit|packs|spares|samples)/,
  sessions: /^(session|earliest|recommended)/,
  room: /^(tables|adults)$/,
  takehome: /^$/,
}
const links = computed(() =>
  decisionIds.map((d, i) => {
    const decision = props.plan.decisions[i]!
    const changed = props.changed.some((k) => figures[d].test(k))
    const look = decision.state === 'look' || decision.state === 'stop'
    return {
      id: d,
      n: i + 1,
      name: names[d],
      line: props.say.decision(decision),
      state: changed && !look ? ('changed' as const) : decision.state,
    }
  }),
)
const errand = computed(() => props.plan.errands.find((e) => e.state !== 'done'))
</script>
<template>
  <nav class="chain" :aria-label="$t('Decisions')">
    <ol>
      <li v-for="l in links" :key="l.id">
        <router-link
          :to="`/w/${id}/bench/${l.id}`"
          class="link"
          :class="[{ on: l.id === chosen }, l.state]"
          :aria-current="l.id === chosen ? 'step' : undefined"
        >
          <VerdictShape :state="l.state" class="shape" />
          <span class="name"
            ><small>{{ l.n }}</small> {{ $t(l.name) }}</span
          ><span class="state">{{ $t(l.state) }}</span>
          <span class="line">{{ l.line }}</span>
        </router-link>
        <div v-if="l.id === chosen && $slots.default" class="open"><slot /></div>
      </li>
    </ol>
    <div v-if="errand" class="errand">
      <HouseDrawing :drawing="drawing" class="ink" :width="84" />
      <div>
        <span class="two small">{{ say.errand(errand).title }}</span><br /><strong>{{ $t('by {0}', say.at(errand.by)) }}</strong>
      </div>
    </div>
    <div v-else class="errand"><HouseDrawing :drawing="drawing" class="ink" :width="84" /></div>
  </nav>
</template>
<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  position: relative;
}
ol::before {
  content: '';
  position: absolute;
  left: 32px;
  top: 30px;
  bottom: 30px;
  width: 2px;
  background: var(--text);
}
.link {
  position: relative;
  display: grid;
  grid-template-columns: 26px 1fr auto;
  column-gap: var(--s-3);
  align-items: center;
  min-height: 62px;
  padding: var(--s-2) var(--s-page) var(--s-2) var(--s-page);
  color: var(--text);
  text-decoration: none;
}
.open {
  position: relative;
  z-index: 2;
}
.shape {
  grid-row: 1 / 3;
  z-index: 1;
  background: transparent;
}
.name {
  font: 750 var(--t-h3)/1.1 var(--f-head);
}
.name small {
  font: var(--t-small) var(--f-text);
  color: var(--text-2);
  margin-inline-end: var(--s-1);
}
.state {
  font-size: var(--t-small);
  color: var(--text-2);
}
.line {
  grid-column: 2 / 4;
  color: var(--text-2);
  font-size: var(--t-list);
  line-height: 1.2;
}
.look .state {
  color: var(--watch);
  font-weight: 700;
}
.stop .state {
  color: var(--stop);
  font-weight: 700;
}
.changed .state {
  font-weight: 700;
  color: var(--ink);
}
.changed .shape {
  color: var(--ink);
}
.link:hover:not(.on) .name {
  text-decoration: underline;
}
.on {
  background: var(--ink);
  clip-path: polygon(0 0, calc(100% - 14px) 0, 100% 50%, calc(100% - 14px) 100%, 0 100%);
}
.on,
.on .state,
.on .line,
.on .name small {
  color: var(--on-ink);
}
.on .shape {
  color: var(--ink);
}
.link:focus-visible {
  outline-offset: -5px !important;
}
.on:focus-visible {
  outline-color: var(--on-ink) !important;
}
.errand {
  display: flex;
  align-items: center;
  gap: var(--s-3);
  padding: var(--s-page) var(--s-2) 0 var(--s-page);
}
@media (max-width: 760px) {
  .link {
    min-height: 50px;
  }
  .errand {
    display: none;
  }
  .on {
    clip-path: none;
  }
}
</style>
