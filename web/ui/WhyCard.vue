<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { PlanFigure } from '#core/plan'
import type { Phrases } from '#core/phrases'
import { useDesk } from '../app/desk'
import { craftPassage } from './craftPassage'
import FigureField from './FigureField.vue'
import SourceMark from './SourceMark.vue'

/** Why a figure is what it is: the rule, what went in, and the figures of the house among it, to be changed where they stand. */
const props = defineProps<{ figure: PlanFigure; say: Phrases; name: string; shown: string }>()
const route = useRoute()
const desk = useDesk()
const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const house = computed(() => {
  const of = id.value ? desk.workshop(id.value)?.houseId : route.params['house']
  return typeof of === 'string' ? desk.house(of) : undefined
})
/** Where the craft book says more about this rule; figures of pure counting have nothing there. */
const book = computed(() => {
  const plan = id.value ? desk.plan(id.value) : undefined
  return plan && craftPassage(props.figure.because.rule, plan)
})
const inputs = computed(() => props.figure.because.inputs.map((i) => ({ ...i, said: props.say.input(i) })))
const own = computed(() => [...new Set(inputs.value.flatMap((i) => [...(i.key ? [i.key] : []), ...(i.rests ?? [])]))])
</script>
<template>
  <div class="why above" role="dialog" :aria-label="$t('Why {0} is {1}', name, shown)">
    <p>
      <strong>{{ name }}: {{ shown }}</strong>
    </p>
    <p class="small two">{{ say.rule(figure.because) }}</p>
    <dl class="small">
      <template v-for="(i, k) in inputs" :key="k">
        <dt>{{ i.said.name }}</dt>
        <dd>
          {{ i.said.value }} <SourceMark v-if="i.mark" :mark="i.mark" /><span v-if="i.default" class="two"> {{ $t('default') }}</span
          ><router-link v-if="i.ofHouse && house" class="book set" :to="`/house/${house.id}`">{{ $t('in House') }}</router-link>
        </dd>
      </template>
    </dl>
    <div v-if="own.length && house" class="own small">
      <p class="label">{{ $t('Yours to change') }}</p>
      <FigureField v-for="k in own" :key="k" :figure-key="k" :house="house" />
    </div>
    <router-link v-if="book" class="small book" :to="book">{{ $t('In the craft book') }}</router-link>
  </div>
</template>
<style scoped>
.book {
  color: var(--ink);
  font-weight: 700;
}
.set {
  margin-inline-start: var(--s-1);
}
.why {
  padding: var(--s-3) var(--s-4);
  max-width: 400px;
  max-height: min(70vh, 560px);
  overflow-y: auto;
  border-radius: var(--r-sheet);
}
.own {
  border-top: 1px solid var(--edge);
  margin-top: var(--s-2);
  padding-top: var(--s-1);
  display: grid;
  gap: var(--s-1);
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px var(--s-4);
  margin: var(--s-2) 0 0;
}
dt {
  color: var(--text-2);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
