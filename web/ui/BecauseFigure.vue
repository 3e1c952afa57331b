<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useDesk } from '../app/desk'
import { craftPassage } from './craftPassage'
import type { Difference, PlanFigure } from '#core/plan'
import type { Phrases } from '#core/phrases'
import ChangeCaret from './ChangeCaret.vue'
import SourceMark from './SourceMark.vue'

/** A figure that opens to its reason: the rule and what went in, each with its source mark. */
const props = defineProps<{
  figure: PlanFigure
  say: Phrases
  name: string
  change?: Difference | undefined
  text?: string
  quiet?: boolean
}>()
const route = useRoute()
const desk = useDesk()
/** Where the craft book says more about this rule; figures of pure counting have nothing there. */
const book = computed(() => {
  const recipe = typeof route.params['id'] === 'string' ? desk.plan(route.params['id'])?.recipe.id : undefined
  return recipe && craftPassage(props.figure.because.rule, recipe)
})
const shown = computed(() => props.text ?? props.say.amount(props.figure.value, props.figure.unit, props.figure.noun))
const inputs = computed(() => props.figure.because.inputs.map((i) => ({ ...props.say.input(i), mark: i.mark, byDefault: i.default })))
</script>
<template>
  <span class="because">
    <v-menu :close-on-content-click="false" location="bottom start">
      <template #activator="{ props: p }">
        <button type="button" class="plain open" :class="quiet ? '' : 'fig'" v-bind="p" :aria-label="`${name}: ${shown}. Why?`">
          {{ shown }}
        </button>
      </template>
      <div class="why" role="dialog" :aria-label="`Why ${name} is ${shown}`">
        <p>
          <strong>{{ name }}: {{ shown }}</strong>
        </p>
        <p class="small two">{{ say.rule(figure.because) }}</p>
        <dl class="small">
          <template v-for="(i, k) in inputs" :key="k">
            <dt>{{ i.name }}</dt>
            <dd>{{ i.value }} <SourceMark v-if="i.mark" :mark="i.mark" /><span v-if="i.byDefault" class="two"> default</span></dd>
          </template>
        </dl>
        <router-link v-if="book" class="small book" :to="book">In the craft book</router-link>
      </div>
    </v-menu>
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
.open:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
.book {
  color: var(--ink);
  font-weight: 700;
}
.why {
  background: var(--stock);
  color: var(--text);
  border: 1.5px solid var(--text);
  box-shadow: 6px 6px 0 0 var(--night);
  padding: 12px 16px;
  max-width: 360px;
  border-radius: var(--r-sheet);
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px 16px;
  margin: 8px 0 0;
}
dt {
  color: var(--text-2);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
