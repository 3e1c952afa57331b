<script setup lang="ts">
import { computed } from 'vue'
import { cautions } from '#core/recipe'
import type { Difference, Plan, Remedy } from '#core/plan'
import type { Phrases } from '#core/phrases'
import BecauseFigure from '../ui/BecauseFigure.vue'
import FindingCard from '../ui/FindingCard.vue'
import SourceMark from '../ui/SourceMark.vue'

/** What the plan means: cost, sheets, first possible rub, time in class, what to look at, where the hands are. */
const props = defineProps<{
  plan: Plan
  say: Phrases
  since: { label: string; by: Map<string, Difference> } | undefined
  effect: (r: Remedy) => string
  /** Without its heading: it stands under one already. */
  bare?: boolean
}>()
defineEmits<{ take: [Remedy] }>()
const change = (k: string) => props.since?.by.get(k)
const f = computed(() => props.plan.figures)
const loads = computed(() => props.plan.loads.map((l) => ({ ...l, session: props.plan.sessions.find((s) => s.id === l.sessionId)! })))
const hands = computed(() => {
  const inClass = props.plan.designs.flatMap((d) => (d.pieces > 0 ? d.stages.filter((s) => d.split.split[s.id] !== 'home') : []))
  return [...new Set(inClass.flatMap((s) => s.cautions))].map((c) => cautions[c])
})
const looks = computed(() => props.plan.findings)
</script>
<template>
  <aside class="means" :aria-label="$t('What the plan means')">
    <h2 v-if="!bare">{{ $t('What the plan means') }}</h2>
    <p v-if="!bare && since && since.by.size" class="since">
      <svg width="13" height="11" viewBox="0 0 13 11" aria-hidden="true">
        <path d="M1 10 6.5 2 12 10" fill="none" stroke="currentColor" stroke-width="2.6" />
      </svg>
      {{ $t('since {0}', since.label) }}
    </p>
    <div class="pair">
      <div class="cell">
        <span class="two small">{{ $t('Cost per head') }}</span><br /><BecauseFigure
          :figure="f['cost-bought']!"
          :say="say"
          :name="$t('Cost per head, whole packs')"
          :change="change('cost-bought')"
        /><br /><span class="small two"
          ><BecauseFigure quiet :figure="f['cost-used']!" :say="say" :name="$t('Cost per head, used up')" /> {{ $t('of it used up') }}</span
        >
      </div>
      <div class="cell">
        <span class="two small">{{ $t('Sheets to print') }}</span><br /><BecauseFigure
          :figure="f['sheets']!"
          :say="say"
          :name="$t('Sheets to print')"
          :change="change('sheets')"
        /><br /><span class="small two">{{
          plan.designs.length > 1 ? $t('of all designs') : $t('{0} on each', plan.print.grid.perSheet)
        }}</span>
      </div>
    </div>
    <div v-if="f['earliest']" class="cell">
      <span class="two small">{{
        plan.designs.length > 1 ? $t('First possible rub-off, {0}', plan.pieceName) : $t('First possible rub-off')
      }}</span><br /><BecauseFigure :figure="f['earliest']!" :say="say" :name="$t('First possible rub-off')" :change="change('earliest')" />
      <p class="small two">
        {{ $t('Better from') }} <BecauseFigure quiet :figure="f['recommended']!" :say="say" :name="$t('Recommended rub-off')" />{{
          $t('. Planned {0}:', say.at(plan.sessions.find((s) => s.id === plan.split.cure!.rubIn)!.from))
        }}
        <b :class="{ ready: 'ok', risky: 'watch', 'too soon': 'stop' }[plan.split.cure!.verdict]">{{ $t(plan.split.cure!.verdict) }}</b>.
      </p>
    </div>
    <div v-if="loads.length" class="cell">
      <span class="two small">{{ $t('Time in the room') }} <SourceMark mark="E" /></span>
      <div v-for="l in loads" :key="l.sessionId" class="load">
        <b>{{ l.session.number }}</b><span class="bar" aria-hidden="true"
          ><i :style="{ width: `${Math.min(100, (100 * l.neededMin) / Math.max(1, l.availableMin))}%` }" :class="{ over: !l.fits }"
        /></span>
        <span
          ><BecauseFigure
            quiet
            :figure="f[`session/${l.sessionId}`]!"
            :say="say"
            :name="$t('Class {0}', l.session.number)"
            :text="`${l.neededMin}`"
            :change="change(`session/${l.sessionId}`)"
          />
          {{ $t('of {0} min', l.availableMin) }}</span
        >
      </div>
    </div>
    <div v-if="plan.adults.matters" class="cell">
      <span class="two small">{{ $t('Adults needed') }}</span><br /><BecauseFigure
        :figure="f['adults']!"
        :say="say"
        :name="$t('Adults needed')"
        :change="change('adults')"
      />
      <span class="small two">{{ $t('{0} coming', plan.adults.coming) }}</span>
    </div>
    <template v-if="looks.length">
      <h3 class="looks" :class="looks[0]!.level">{{ looks[0]!.level === 'stop' ? $t('This cannot work yet') : $t('Look at these') }}</h3>
      <FindingCard v-for="(x, i) in looks" :key="i" :finding="x" :say="say" :effect="effect" @take="$emit('take', $event)" />
    </template>
    <p v-else class="ok small calm">{{ $t('Nothing stands against this plan.') }}</p>
    <section class="hands">
      <h3>{{ $t('Where the hands are') }}</h3>
      <p v-for="c in hands" :key="c.where" class="small two">
        <b>{{ $t(c.where) }}</b> {{ $t(c.text) }}
      </p>
      <p v-for="c in plan.ownCautions" :key="c.id" class="small two">
        <b>{{ $t(c.where) }}</b> {{ $t(c.text) }} <span class="small">{{ $t('(the house’s)') }}</span>
      </p>
      <p class="small two">
        {{ $t('Labels and the house’s rules go before this.') }}
        <router-link class="named-link" :to="`/w/${$route.params['id']}/safety`">{{ $t('Safety sheet for the room') }}</router-link>
      </p>
    </section>
  </aside>
</template>
<style scoped>
.because + span.small {
  margin-inline-start: var(--s-1);
}
.since {
  color: var(--ink);
  font-weight: 700;
  font-size: var(--t-list);
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-4);
}
.cell {
  border-top: 1px solid var(--edge);
  padding: var(--s-1) 0;
  margin-top: var(--s-1);
  line-height: 1.3;
}
.load {
  display: grid;
  grid-template-columns: 16px 1fr auto;
  gap: var(--s-2);
  align-items: center;
  font-size: var(--t-list);
}
.bar {
  height: 14px;
  border: 1.5px solid var(--text-2);
  background: var(--stock);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--text-2);
}
.bar .over {
  background: var(--stop);
}
.looks {
  color: var(--watch);
  margin-top: var(--s-3);
}
.looks.stop {
  color: var(--stop);
}
.looks.note {
  color: var(--text);
}
.hands {
  border-top: 2px solid var(--text);
  margin-top: var(--s-4);
  padding-top: var(--s-2);
  display: grid;
  gap: 2px;
}
.hands b {
  color: var(--text);
}
.calm {
  margin-top: var(--s-3);
}
</style>
