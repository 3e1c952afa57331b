<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { Making } from '#core/clinic'
import { stateWord, type Phrases } from '#core/phrases'
import type { Plan } from '#core/plan'
import { blankMaterial, type PieceState } from '#core/recipe'
import type { Piece } from '#core/workshop'
import PieceToken from '../ui/PieceToken.vue'

/** How a piece was made, as far as its plan and its record know. */
const props = defineProps<{ making: Making; plan: Plan; piece: Piece | undefined; say: Phrases }>()
/** How it was made, in words under the tokens. */
const made = computed(() => {
  const m = props.making
  const words = props.plan.recipe.words
  const cure = props.plan.split.cure
  const lines: { state: PieceState; title: string; body: string }[] = []
  lines.push({
    state: 'printed',
    title: m.printer ?? 'print',
    body: [
      m.gsm ? tr('{0} g/m² paper', m.gsm) : tr('paper not known'),
      m.readsRight === undefined ? '' : m.readsRight ? tr('flips even') : tr('flips odd'),
    ]
      .filter(Boolean)
      .join(', '),
  })
  lines.push({
    state: 'laid',
    title: props.piece?.laidAt ? props.say.at(props.piece.laidAt) : stateWord('laid', words),
    body:
      [m.coat && tr('{0} coat', m.coat), m.material && tr('on {0}', blankMaterial(m.material)?.name ?? m.material)]
        .filter(Boolean)
        .join(', ') || tr('not known'),
  })
  if (m.cureShare !== undefined && cure)
    lines.push({
      state: 'cured',
      title: props.say.minutes(m.cureShare * cure.requiredMin),
      body: tr('{0} least, {1} better', props.say.minutes(cure.requiredMin), props.say.minutes(cure.recommendedMin)),
    })
  if (m.rounds)
    lines.push({
      state: 'rub-1',
      title: tr('{0} rounds', m.rounds),
      body: [m.wetting && tr('wetted: {0}', m.wetting), m.rubWith && tr('with a {0}', m.rubWith)].filter(Boolean).join(', '),
    })
  return lines
})
</script>
<template>
  <ol class="made" :aria-label="$t('How it was made')">
    <li v-for="m in made" :key="m.state">
      <PieceToken :state="m.state" :size="28" />
      <span
        ><b>{{ $t(m.title) }}</b
        ><br /><span class="small two">{{ m.body }}</span></span
      >
    </li>
  </ol>
</template>
<style scoped>
.made {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-5);
}
.made li {
  display: flex;
  gap: var(--s-2);
  line-height: 1.2;
}
</style>
