<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { printersOf } from '#core/house'
import { pixelsAnInch } from '#core/suitability'
import { inWorkshop, type Design, type Path } from '#core/workshop'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SourceMark from '../../ui/SourceMark.vue'
import StepField from '../../ui/StepField.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const house = computed(() => props.bench.house.value!)
/** How they are printed, and what is known of pictures and prints: yes, no, or not yet looked. */
const know = <F extends 'print' | 'picture'>(field: F, set: Partial<NonNullable<Design[F]>>, label: string) =>
  props.bench.set(at.value[field] as Path<Design[F]>, JSON.parse(JSON.stringify({ ...d.value[field], ...set })) as Design[F], label)
const three = [
  { id: 'unknown', name: tr('not known') },
  { id: 'no', name: 'no' },
  { id: 'yes', name: 'yes' },
]
const shown = (x: boolean | undefined) => (x === undefined ? 'unknown' : x ? 'yes' : 'no')
const meant = (x: string) => (x === 'unknown' ? undefined : x === 'yes')
const traits: { id: keyof NonNullable<Design['picture']>; name: string; said: string }[] = [
  { id: 'pale', name: tr('Skies, clouds, white lettering'), said: tr('pale parts') },
  { id: 'faces', name: tr('Faces'), said: 'faces' },
  { id: 'fine', name: tr('Fine detail'), said: tr('fine detail') },
  { id: 'precious', name: tr('Originals, precious paper'), said: tr('precious originals') },
]
const pixels = computed(() => d.value.picture?.pixels)
/** One side is said; the other, until somebody says it, is as the print's shape has it. */
function setPixels(which: 'width' | 'height', n: number) {
  const { widthMm, heightMm } = plan.value.picture
  const other = Math.min(99_999, Math.max(1, Math.round(which === 'width' ? (n * heightMm) / widthMm : (n * widthMm) / heightMm)))
  const now = pixels.value ?? (which === 'width' ? { width: n, height: other } : { width: other, height: n })
  know('picture', { pixels: { ...now, [which]: n } }, tr('{0} of the smallest picture became {1} pixels', which, n))
}
const dpi = computed(() => pixels.value && pixelsAnInch(pixels.value, plan.value.picture.widthMm, plan.value.picture.heightMm))
const printers = computed(() => [
  { id: 'house' as const, name: tr('this house’s: {0}', printersOf(house.value).join(tr(' and '))) },
  { id: 'toner' as const, name: tr('toner') },
  { id: 'inkjet' as const, name: tr('inkjet') },
])
const printedWith = (x: 'house' | 'toner' | 'inkjet') =>
  know('print', { printer: x === 'house' ? undefined : x, smear: undefined }, tr('printed with {0}', x))
</script>
<template>
  <section class="ruled halves">
    <div>
      <h3>{{ $t('Printer and paper') }}</h3>
      <SegmentChoice
        :label="$t('Printed with')"
        :model-value="d.print?.printer ?? 'house'"
        :options="printers"
        @update:model-value="printedWith"
      />
      <SegmentChoice
        :label="$t('Smear test: a wet finger over a corner')"
        :model-value="d.print?.smear ?? 'unknown'"
        :options="[
          { id: 'unknown', name: $t('not yet') },
          { id: 'passed', name: $t('stays') },
          { id: 'failed', name: $t('smears') },
        ]"
        @update:model-value="know('print', { smear: $event === 'unknown' ? undefined : $event }, $t('smear test: {0}', $event))"
      />
      <StepField
        :label="$t('Paper, g/m²')"
        :model-value="d.print?.gsm ?? 80"
        :min="10"
        :max="400"
        :note="d.print?.gsm === undefined ? $t('80, by default') : $t('75 to 90 rubs off well')"
        @update:model-value="know('print', { gsm: $event }, $t('paper became {0} g/m²', $event))"
        ><SourceMark mark="P"
      /></StepField>
      <SegmentChoice
        :label="$t('Coated: photo, glossy, magazine cover')"
        :model-value="shown(d.print?.coated)"
        :options="three"
        @update:model-value="know('print', { coated: meant($event) }, $t('coated paper: {0}', $event))"
      />
    </div>
    <div>
      <h3>{{ $t('Pictures that are not in') }}</h3>
      <p class="small two">{{ $t('What is known of them. Those that are in are judged one by one.') }}</p>
      <SegmentChoice
        v-for="t in traits"
        :key="t.id"
        :label="t.name"
        :model-value="shown(d.picture?.[t.id] as boolean | undefined)"
        :options="three"
        @update:model-value="know('picture', { [t.id]: meant($event) }, `${t.said}: ${$event}`)"
      />
      <div class="stacked">
        <StepField
          :label="$t('Smallest: pixels wide')"
          :min="1"
          :max="99999"
          :unknown="!pixels"
          :model-value="pixels?.width ?? 1200"
          @update:model-value="setPixels('width', $event)"
        />
        <StepField
          :label="$t('pixels high')"
          :min="1"
          :max="99999"
          :unknown="!pixels"
          :model-value="pixels?.height ?? 900"
          @update:model-value="setPixels('height', $event)"
        />
      </div>
      <p class="small two">
        <template v-if="dpi"
          ><b>{{ $t('{0} an inch', dpi) }}</b> {{ $t('at this size; from 200 sharp, 150 fair') }} <SourceMark mark="E"
        /></template>
        <template v-else>{{ $t('Not known yet: nothing is judged before you say.') }}</template>
      </p>
    </div>
  </section>
</template>
