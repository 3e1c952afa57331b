<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import type { Difference, Plan, Remedy } from '#core/plan'
import type { Phrases } from '#core/phrases'
import BecauseFigure from '../ui/BecauseFigure.vue'
import FindingCard from '../ui/FindingCard.vue'
import WhatItMeans from './WhatItMeans.vue'

/** The consequences below 1100 px: three figures and the first finding under the thumb, all of it when pulled up. */
const props = defineProps<{
  plan: Plan
  say: Phrases
  since: { label: string; by: Map<string, Difference> } | undefined
  effect: (r: Remedy) => string
}>()
defineEmits<{ take: [Remedy] }>()
const { height } = useDisplay()
const open = ref(false)
const brief = computed(() => height.value >= 600)
const cells = computed(() =>
  (
    [
      [tr('A head'), 'cost-bought'],
      [tr('Sheets'), 'sheets'],
      props.plan.figures['earliest']
        ? [tr('Rub from'), 'earliest']
        : props.plan.adults.matters
          ? [tr('Adults'), 'adults']
          : [tr('Prints'), 'prints'],
    ] as const
  ).map(([name, key]) => ({ name, key, figure: props.plan.figures[key]! })),
)
</script>
<template>
  <section class="pull" :class="{ open }" :aria-label="$t('What the plan means')" @keydown.esc="open = false">
    <button class="plain grip" :aria-expanded="open" @click="open = !open">
      <i aria-hidden="true" /><span class="title">{{ $t('What the plan means') }}</span>
      <span v-if="since && since.by.size" class="since">{{ $t('since {0}', since.label) }}</span>
      <span class="two small">{{ open ? $t('less') : $t('all of it') }}</span>
    </button>
    <WhatItMeans v-if="open" :plan="plan" :say="say" :since="since" :effect="effect" bare @take="$emit('take', $event)" />
    <template v-else-if="brief">
      <div class="three">
        <div v-for="c in cells" :key="c.key" class="cell">
          <span class="two small">{{ $t(c.name) }}</span><br /><BecauseFigure
            :figure="c.figure"
            :say="say"
            :name="$t(c.name)"
            :change="since?.by.get(c.key)"
          />
        </div>
      </div>
      <FindingCard
        v-if="plan.findings[0]"
        :finding="plan.findings[0]"
        :say="say"
        :effect="effect"
        class="first"
        @take="$emit('take', $event)"
      />
      <p v-else class="ok small">{{ $t('Nothing stands against this plan.') }}</p>
    </template>
  </section>
</template>
<style scoped>
.pull {
  position: fixed;
  left: 0;
  right: 0;
  bottom: var(--strip, 52px);
  max-height: 236px;
  overflow-y: auto;
  background: var(--paper);
  border-top: 1.5px solid var(--text);
  padding: 0 var(--s-page) var(--s-2);
  z-index: 4;
}
.open {
  max-height: calc(100dvh - 120px);
}
.grip {
  position: sticky;
  top: 0;
  z-index: 1;
  display: flex;
  align-items: baseline;
  gap: var(--s-3);
  width: 100%;
  min-height: 44px;
  border: 0;
  padding: var(--s-3) 0 2px;
  background: var(--paper);
  text-align: start;
}
.grip i {
  position: absolute;
  left: calc(50% - 30px);
  top: 6px;
  width: 60px;
  height: 6px;
  border: 1.5px solid var(--edge);
  border-width: 1.5px 0;
}
.title {
  font: 750 var(--t-lead)/1.2 var(--f-head);
  flex: 1;
}
.since {
  color: var(--ink);
  font-weight: 700;
  font-size: var(--t-small);
}
.three {
  display: grid;
  grid-template-columns: 1fr 0.8fr 1.7fr;
  gap: var(--s-3);
}
.cell {
  border-top: 1px solid var(--edge);
  line-height: 1.3;
}
.cell :deep(.because) {
  white-space: normal;
}
.cell :deep(.open) {
  font-size: var(--t-lead);
  text-align: start;
}
</style>
