<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { pieceKind, recipeById } from '#core/recipe'
import { recipesOf } from '#core/house'
import { inWorkshop } from '#core/workshop'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import FlipDrawing from '../../ui/FlipDrawing.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import StepField from '../../ui/StepField.vue'
import type { Bench } from '../useBench'
import PrintsKnown from './PrintsKnown.vue'
import TapeStrips from './TapeStrips.vue'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const house = computed(() => props.bench.house.value!)
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const recipe = computed(() => recipeById(plan.value.recipe.id, plan.value.recipe.version, recipesOf(house.value))!)
const kind = computed(() => pieceKind(d.value.kind))
const even = computed(() => plan.value.print.orientation.flips % 2 === 0)
const reading = computed(() => {
  const { flips } = plan.value.print.orientation
  const reads = even.value ? tr('reads right.') : tr('is a mirror image.')
  return tr('{0} {1}: the finished picture {2} {3}', flips, flips === 1 ? tr('flip') : tr('flips'), reads, recipe.value.print.why)
})
const printWays = computed(() => [
  { id: 'advised' as const, name: tr('as advised: {0}', plan.value.print.orientation.printMirrored ? tr('mirrored') : tr('not mirrored')) },
  { id: 'yes' as const, name: tr('mirrored') },
  { id: 'no' as const, name: tr('not') },
])
const copiesNote = computed(() =>
  w.value.choices.copies === undefined
    ? tr('so that everybody has a good one, {0} % sure; one with a printer in the room', Math.round(w.value.choices.confidence * 100))
    : tr('you chose'),
)
const setCopies = (n: number) =>
  props.bench.set(inWorkshop.choices.copies, n, tr('{0} {1} of each picture', n, n === 1 ? tr('copy') : tr('copies')))
</script>
<template>
  <div>
    <h2>{{ $t('The prints') }}</h2>
    <div class="grid">
      <div class="choices">
        <slot />
        <div>
          <SegmentChoice
            :label="$t('Lettering in them')"
            :model-value="d.lettering ? 'yes' : 'no'"
            :options="[
              { id: 'no', name: $t('no') },
              { id: 'yes', name: $t('yes') },
            ]"
            @update:model-value="
              bench.set(at.lettering, $event === 'yes', $event === 'yes' ? 'pictures got lettering' : 'pictures lost lettering')
            "
          />
          <p class="small two">{{ $t('Lettering that reads backwards spoils a piece.') }}</p>
        </div>
        <div>
          <SegmentChoice
            :label="$t('Print')"
            :model-value="d.mirrored === null ? 'advised' : d.mirrored ? 'yes' : 'no'"
            :options="printWays"
            @update:model-value="bench.set(at.mirrored, $event === 'advised' ? null : $event === 'yes', $t('the print setting changed'))"
          />
          <FlipDrawing
            :drawing="w.drawing"
            :mirrored="plan.print.mirrored"
            :face-down="recipe.print.laidFaceDown"
            :seen-through="kind.seenThrough"
            :lettering="d.lettering"
          />
          <p class="small" :class="even ? 'two' : plan.print.orientation.verdict === 'blocker' ? 'stop' : 'watch'">
            {{ reading }}
          </p>
        </div>
        <dl>
          <dt>{{ $t('Prints') }}</dt>
          <dd><BecauseFigure :figure="plan.figures['prints']!" :say="say" :name="$t('Prints')" :change="bench.change('prints')" /></dd>
          <dt>{{ $t('Sheets') }}</dt>
          <dd><BecauseFigure :figure="plan.figures['sheets']!" :say="say" :name="$t('Sheets')" :change="bench.change('sheets')" /></dd>
          <template v-if="d.pictures === 'own'"
            ><dt>{{ $t('Copies of each') }}</dt>
            <dd>
              <StepField
                :label="$t('Copies of each')"
                :model-value="plan.print.copies"
                :min="1"
                :max="9"
                :note="copiesNote"
                @update:model-value="setCopies"
              /></dd
          ></template>
          <dt>{{ $t('Size') }}</dt>
          <dd class="fig">{{ say.length(plan.print.widthMm) }} × {{ say.length(plan.print.heightMm) }}</dd>
          <template v-if="plan.tape"
            ><dt>{{ $t('Tape') }}</dt>
            <dd>
              <BecauseFigure
                :figure="plan.figures['strips']!"
                :say="say"
                :name="$t('Strips a print')"
                :text="$t('{0} strips', plan.tape.strips)"
              />
              <span class="small two"
                >{{ $t('of {0}, {1}', say.length(plan.tape.stripLengthMm), plan.tape.direction)
                }}<template v-if="plan.tape.fewerAt">{{
                  $t('; {0} if the margin is {1}', plan.tape.fewerAt.strips, say.length(plan.tape.fewerAt.marginMm))
                }}</template></span
              >
            </dd></template
          >
        </dl>
      </div>
      <div class="well">
        <SheetDrawing
          :height="220"
          :grid="plan.print.grid"
          :paper="plan.print.paper"
          :margin="plan.print.paper.marginMm"
          :picture="plan.picture"
          :drawing="w.drawing"
          :mirrored="plan.print.mirrored"
          :outline="plan.cut"
        />
      </div>
    </div>
    <PrintsKnown :bench="bench" />
    <TapeStrips v-if="plan.tape" :bench="bench" :tape="plan.tape" />
  </div>
</template>
<style scoped>
.grid {
  display: flex;
  gap: var(--s-page);
  margin-top: var(--s-3);
  justify-content: space-between;
}
.choices {
  flex: 1 1 330px;
  min-width: 0;
  display: grid;
  gap: var(--s-4);
  align-content: start;
  flex: 1;
}
.well {
  background: var(--board);
  padding: var(--s-3);
  align-self: start;
  flex: none;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--s-1) var(--s-page);
  align-items: baseline;
}
dt {
  color: var(--text-2);
}
dd {
  margin: 0;
}
.choices :deep(.v-btn) {
  padding: 0 var(--s-2);
  font-size: var(--t-small);
}
@media (max-width: 760px) {
  .grid {
    flex-direction: column;
  }
}
</style>
