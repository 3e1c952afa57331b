<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Difference, PlanFigure } from '#core/plan'
import type { Phrases } from '#core/phrases'
import ChangeCaret from './ChangeCaret.vue'
import { LazyMenu } from './lazyMenu'
import SourceMark from './SourceMark.vue'

// What it opens to is fetched when it is asked for.
const WhyCard = defineAsyncComponent(() => import('./WhyCard.vue'))

/** A figure that opens to its reason: the rule and what went in, each with its source mark. */
const props = defineProps<{
  figure: PlanFigure
  say: Phrases
  name: string
  change?: Difference | undefined
  text?: string
  quiet?: boolean
}>()
const shown = computed(() => props.text ?? props.say.amount(props.figure.value, props.figure.unit, props.figure.noun))
const asked = ref(false)
const open = ref(false)
</script>
<template>
  <span class="because">
    <button
      type="button"
      class="plain open"
      :class="quiet ? '' : 'fig'"
      aria-haspopup="dialog"
      aria-expanded="false"
      :aria-label="$t('{0}: {1}. Why?', name, shown)"
      @click.once="asked = open = true"
    >
      {{ shown
      }}<LazyMenu v-if="asked" v-model="open" activator="parent" :close-on-content-click="false" location="bottom start">
        <WhyCard :figure="figure" :say="say" :name="name" :shown="shown" />
      </LazyMenu>
    </button>
    <SourceMark v-if="figure.because.mark === 'E' || figure.because.inputs.some((i) => i.mark)" :mark="figure.because.mark" />
    <ChangeCaret :change="change" :say="say" />
  </span>
</template>
<style scoped>
.because {
  white-space: nowrap;
}
.open {
  display: inline-block;
  min-width: 26px;
  min-height: 26px;
  text-align: center;
  border-bottom: 1.5px dotted var(--edge);
}
.open:hover {
  background: var(--wash);
}
</style>
