<script setup lang="ts">
import { computed } from 'vue'
import { paperMm } from '#core/house'
import { latestRecipe, pieceKind } from '#core/recipe'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const house = computed(() => props.bench.house.value!)
const d = computed(() => w.value.designs[0]!)
const path = (f: string) => `designs/${d.value.id}/${f}`
const why = computed(() => {
  const o = plan.value.print.orientation
  return `${o.flips} ${o.flips === 1 ? 'flip' : 'flips'}: ${[plan.value.print.mirrored && 'printed mirrored', latestRecipe(d.value.recipe.id)?.print.laidFaceDown && 'laid face down', pieceKind(d.value.kind).seenThrough && 'seen through the piece'].filter(Boolean).join(', ') || 'none'}. An even number reads right.`
})
</script>
<template>
  <div>
    <h1>Pictures</h1>
    <div class="grid">
      <div class="choices">
        <div>
          <SegmentChoice
            label="Whose pictures"
            :model-value="d.pictures"
            :options="[
              { id: 'house', name: 'house pictures' },
              { id: 'own', name: 'everybody’s own' },
            ]"
            @update:model-value="
              bench.set(path('pictures'), $event, `pictures became ${$event === 'own' ? 'everybody’s own' : 'the house’s'}`)
            "
          />
          <p class="small two">
            {{
              d.pictures === 'own'
                ? 'One person’s picture cannot stand in for another’s: copies of each. With a printer in the room one copy is enough.'
                : 'They stand in for each other: a few spares serve everybody.'
            }}
          </p>
        </div>
        <div>
          <SegmentChoice
            label="Lettering in them"
            :model-value="d.lettering ? 'yes' : 'no'"
            :options="[
              { id: 'no', name: 'no' },
              { id: 'yes', name: 'yes' },
            ]"
            @update:model-value="
              bench.set(path('lettering'), $event === 'yes', $event === 'yes' ? 'pictures got lettering' : 'pictures lost lettering')
            "
          />
          <p class="small two">Lettering that reads backwards spoils a piece.</p>
        </div>
        <div>
          <SegmentChoice
            label="Print"
            :model-value="d.mirrored === null ? 'advised' : d.mirrored ? 'yes' : 'no'"
            :options="[
              { id: 'advised', name: `as advised: ${plan.print.orientation.printMirrored ? 'mirrored' : 'not mirrored'}` },
              { id: 'yes', name: 'mirrored' },
              { id: 'no', name: 'not' },
            ]"
            @update:model-value="bench.set(path('mirrored'), $event === 'advised' ? null : $event === 'yes', 'the print setting changed')"
          />
          <p class="small two">{{ why }}</p>
        </div>
        <dl>
          <dt>Prints</dt>
          <dd><BecauseFigure :figure="plan.figures['prints']!" :say="say" name="Prints" :change="bench.change('prints')" /></dd>
          <dt>Sheets</dt>
          <dd><BecauseFigure :figure="plan.figures['sheets']!" :say="say" name="Sheets" :change="bench.change('sheets')" /></dd>
          <dt>Copies of each</dt>
          <dd class="fig">{{ plan.print.copies }}</dd>
          <dt>Size</dt>
          <dd class="fig">{{ say.length(plan.print.widthMm) }} × {{ say.length(plan.print.heightMm) }}</dd>
          <template v-if="plan.tape"
            ><dt>Tape</dt>
            <dd>
              <BecauseFigure :figure="plan.figures['strips']!" :say="say" name="Strips a print" :text="`${plan.tape.strips} strips`" />
              <span class="small two"
                >of {{ say.length(plan.tape.stripLengthMm) }}, {{ plan.tape.direction
                }}<template v-if="plan.tape.fewerAt"
                  >; {{ plan.tape.fewerAt.strips }} if the margin is {{ say.length(plan.tape.fewerAt.marginMm) }}</template
                ></span
              >
            </dd></template
          >
        </dl>
      </div>
      <div class="well">
        <SheetDrawing
          :height="360"
          :grid="plan.print.grid"
          :paper="paperMm(house)"
          :margin="house.printerMarginMm"
          :picture="{ widthMm: d.width.mm, heightMm: d.height.mm }"
          :drawing="w.drawing"
          :mirrored="plan.print.mirrored"
        />
      </div>
    </div>
    <p class="small two note">
      Toner on plain paper. Liquid ink smears: rub a wet finger over a corner first. Use pictures you may copy; of children only with
      permission, and only as long as needed.
    </p>
  </div>
</template>
<style scoped>
.grid {
  display: flex;
  gap: 20px;
  margin-top: 14px;
  justify-content: space-between;
}
.choices {
  display: grid;
  gap: 16px;
  align-content: start;
  flex: 1;
}
.well {
  background: var(--board);
  padding: 18px;
  align-self: start;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 20px;
  align-items: baseline;
}
dt {
  color: var(--text-2);
}
dd {
  margin: 0;
}
.note {
  margin-top: 16px;
}
.choices :deep(.v-btn) {
  padding: 0 10px;
  font-size: 14px;
}
@media (max-width: 760px) {
  .grid {
    flex-direction: column;
  }
}
</style>
