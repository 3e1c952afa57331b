<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref } from 'vue'
import type { Plan } from '#core/plan'
import { inWorkshop, type KeepClear } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import StripDrawing from '../../ui/StripDrawing.vue'
import type { Bench } from '../useBench'

/** Strips of tape over the picture, and the faces and lettering that no seam should cross. */
const props = defineProps<{ bench: Bench; tape: NonNullable<Plan['tape']> }>()
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const w = computed(() => props.bench.workshop.value!)
const say = computed(() => props.bench.say.value!)
const marking = ref<KeepClear['what']>('face')
const boxes = computed(() => d.value.keepClear ?? [])
const addBox = (b: Omit<KeepClear, 'id'>) =>
  props.bench.set(at.value.keepClear, [...boxes.value, { id: uuidv7(), ...b }], tr('a {0} is kept clear', b.what))
const dropBox = (id: string) =>
  props.bench.set(
    at.value.keepClear,
    boxes.value.filter((b) => b.id !== id),
    tr('a box was taken out'),
  )
/** A box by keys: in the middle of the picture, a third of its size. */
function addMiddle() {
  const { widthMm, heightMm } = plan.value.picture
  const third = (mm: number) => Number((mm / 3).toFixed(1))
  addBox({ xMm: third(widthMm), yMm: third(heightMm), widthMm: third(widthMm), lengthMm: third(heightMm), what: marking.value })
}
const fewer = computed(() => {
  const at = props.tape.fewerAt
  return at && tr('{0} {1} if the margin is {2}.', at.strips, at.strips === 1 ? tr('strip') : tr('strips'), say.value.length(at.marginMm))
})
const more = computed(() =>
  [
    props.tape.abreast > 1 && tr('{0} films lie beside each other on one strip.', props.tape.abreast),
    props.tape.tapes > 1 && tr('A second tape goes behind each.'),
  ]
    .filter(Boolean)
    .join(' '),
)
const crossing = computed(() => {
  const { seamOnKeepClearMm: mm } = props.tape
  if (mm > 0) return tr('{0} of seam over them, and no shift is better.', say.value.length(mm))
  return boxes.value.length ? tr('No seam crosses them.') : tr('Nothing is kept clear yet.')
})
</script>
<template>
  <section class="ruled halves">
    <div>
      <h3>{{ $t('Strips, {0}', tape.direction) }}</h3>
      <StripDrawing :layout="tape" :picture="plan.picture" :drawing="w.drawing" :boxes="boxes" :what="marking" @add="addBox" />
    </div>
    <div>
      <p>
        <b>{{ $t('{0} {1} of {2}', tape.strips, tape.strips === 1 ? $t('strip') : $t('strips'), say.length(tape.stripLengthMm)) }}</b>
        <span class="small two">{{
          $t(', {0} to slide. The dashed line is the middle: seams show most there.', say.length(tape.slackMm))
        }}</span>
      </p>
      <p v-if="tape.abreast > 1 || tape.tapes > 1" class="small">{{ more }}</p>
      <p v-if="tape.fewerAt" class="small">
        {{ fewer }}
      </p>
      <SegmentChoice
        :label="$t('Pull a box over each')"
        :model-value="marking"
        :options="[
          { id: 'face', name: $t('face') },
          { id: 'lettering', name: $t('lettering') },
        ]"
        @update:model-value="marking = $event as KeepClear['what']"
      />
      <v-btn class="add" @click="addMiddle">{{ $t('Add one in the middle') }}</v-btn>
      <ul class="bare boxes">
        <li v-for="(b, i) in boxes" :key="b.id">
          <span>{{ b.what }} {{ i + 1 }}, {{ say.length(b.widthMm) }} × {{ say.length(b.lengthMm) }}</span
          ><v-btn :aria-label="$t('Take out {0} {1}', b.what, i + 1)" @click="dropBox(b.id)">{{ $t('Take out') }}</v-btn>
        </li>
      </ul>
      <p class="small" :class="tape.seamOnKeepClearMm > 0 ? 'watch' : 'two'">
        {{ crossing }}
      </p>
    </div>
  </section>
</template>
<style scoped>
.boxes li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
</style>
