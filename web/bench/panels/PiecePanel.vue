<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { accordionStrip, outlineShare, pieceKind, panelMm, type Outline } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { uuidv7 } from 'uuidv7'
import { addDesign, inWorkshop, limits } from '#core/workshop'
import LengthField from '../../ui/LengthField.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SourceMark from '../../ui/SourceMark.vue'
import StepField from '../../ui/StepField.vue'
import { typing, vSteady } from '../../ui/steady'
import type { Bench } from '../useBench'
import KindShelf from './KindShelf.vue'
import FinishChoice from './FinishChoice.vue'
import PicturePlace from './PicturePlace.vue'
import PieceToScale from './PieceToScale.vue'
import SurfaceChoice from './SurfaceChoice.vue'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const kind = computed(() => pieceKind(d.value.kind))
const named = computed(() => (d.value.kind === 'custom' && d.value.called ? d.value.called : kind.value.name))
const outlineNames: Record<Outline, string> = { straight: 'straight', round: 'round', stone: tr('as a stone') }
const at = computed(() => inWorkshop.designs(d.value.id))
const each = computed(() => d.value.each ?? 1)
/** "Everybody makes a plaque.", "Everybody makes 4 stickers." */
const everybody = computed(() =>
  each.value > 1
    ? tr('Everybody makes {0} {1}.', each.value, kind.value.plural)
    : tr('Everybody makes {0} {1}.', /^[aeio]/.test(named.value) ? tr('an') : 'a', named.value),
)

/** Another design beside this one, looked at as soon as it is there. */
function another() {
  const id = uuidv7()
  props.bench.act('another-design', tr('another design was added'), addDesign(w.value, id))
  props.bench.lookAt(id)
}
const strip = computed(() =>
  accordionStrip(
    panelMm(kind.value, d.value.width.mm),
    d.value.panels ?? (kind.value.measure.by === 'panels' ? kind.value.measure.usual.value : 2),
  ),
)
const footprint = computed(() => {
  const room = (mm: number) => showLength(Math.round(mm + 2 * kind.value.spacing.value), sizeUnit(house.value))
  return `${room(d.value.width.mm)} × ${room(kind.value.measure.by === 'wrap' ? d.value.width.mm : d.value.height.mm)}`
})
const measureRule = computed(() => {
  const m = kind.value.measure
  const say = (mm: number) => showLength(mm, sizeUnit(house.value))
  if (m.by === 'wrap') return tr('once round: π × diameter + {0} overlap', say(m.overlap.value))
  if (m.by === 'flat') return tr('the flat part, about {0} % of it', Math.round(m.share.value * 100))
  if (m.by === 'panels') return tr('a panel: the cover less {0} at each side', say(m.border.value))
  return ''
})
const call = (e: Event) => {
  const { now, before, taken } = typing(e)
  props.bench.set(at.value.called, now || null, tr('the piece got a name'), 'type-called', before || null)
  taken()
}
const long = (mm: number) => showLength(mm, sizeUnit(house.value))
</script>
<template>
  <div>
    <div class="head">
      <h1>{{ $t('Piece') }}</h1>
      <p>
        <b v-if="w.designs.length === 1">{{ everybody }}</b><b v-else>{{
          $t('{0} of {1} {2}.', plan.pieces, plan.makers.length, plan.makers.length === 1 ? $t('person') : $t('people'))
        }}</b
        >{{ ' ' }}
        <span class="small two"
          >{{ $t('Dries {0}, on {1} of shelf', kind.dries, footprint) }} <SourceMark mark="E" />{{
            $t('. For the way home: {0}.', kind.goesHome)
          }}</span
        >
      </p>
    </div>
    <KindShelf :bench="bench" />
    <div class="sizes">
      <LengthField
        :label="$t(kind.widthName)"
        :unit="sizeUnit(house)"
        :model-value="d.width"
        @update:model-value="bench.set(at.width, $event, $t('{0} became {1}', kind.widthName.toLowerCase(), $event.text), 'type-width')"
      />
      <LengthField
        :label="$t(kind.heightName)"
        :unit="sizeUnit(house)"
        :model-value="d.height"
        @update:model-value="bench.set(at.height, $event, $t('{0} became {1}', kind.heightName.toLowerCase(), $event.text), 'type-height')"
      />
      <StepField
        v-if="w.designs.length === 1"
        :label="$t('Everybody makes')"
        :min="1"
        :max="9"
        :model-value="each"
        @update:model-value="bench.set(at.each, $event, $t('everybody makes {0} {1}', $event, kind.plural))"
      />
      <StepField
        v-if="kind.measure.by === 'panels'"
        :label="$t('Panels')"
        :min="2"
        :max="60"
        :model-value="d.panels ?? kind.measure.usual.value"
        :note="$t('{0} in a strip of {1}', strip.panels, showLength(strip.lengthMm, sizeUnit(house)))"
        @update:model-value="bench.set(at.panels, $event, $t('panels became {0}', $event))"
      />
      <label v-if="d.kind === 'custom'"
        ><span class="label">{{ $t('Called') }}</span
        ><input class="field" v-steady="d.called ?? ''" maxlength="40" :placeholder="$t('bookmark, box lid')" @input="call($event)"
      /></label>
    </div>
    <div v-if="kind.outlines.length > 1" class="outlines">
      <SegmentChoice
        :label="$t('Outline, from above')"
        :model-value="plan.outline"
        :options="kind.outlines.map((o) => ({ id: o, name: outlineNames[o] }))"
        @update:model-value="bench.set(at.outline, $event, $t('the outline became {0}', outlineNames[$event]))"
      />
      <p v-if="plan.outline !== 'straight'" class="small two">
        {{ $t('The print is cut out along its line')
        }}<template v-if="plan.outline === 'stone'"> <SourceMark mark="E" />{{ $t(': each stone differs, trim to yours') }}</template
        >{{ $t('. Medium for {0} % of the box round it.', Math.round(outlineShare(plan.outline) * 100)) }}
      </p>
    </div>
    <p v-if="kind.measure.by !== 'face'" class="rule-line">
      <b>{{ $t('Picture {0} × {1}', long(plan.picture.widthMm), long(plan.picture.heightMm)) }}</b>
      {{ measureRule }}
    </p>
    <SurfaceChoice :bench="bench" />
    <PieceToScale :bench="bench" />
    <PicturePlace :bench="bench" />
    <FinishChoice :bench="bench" />
    <p v-if="w.designs.length < limits.designs" class="another">
      <v-btn @click="another">{{ $t('Make another design too') }}</v-btn>
      <span class="small two">{{ $t('everybody makes one of it, or only some') }}</span>
    </p>
  </div>
</template>
<style scoped>
.another {
  display: flex;
  gap: var(--s-3);
  align-items: center;
  flex-wrap: wrap;
  margin-top: var(--s-3);
}
.head {
  display: flex;
  gap: var(--s-5);
  align-items: baseline;
}
.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 168px));
  gap: var(--s-4);
  margin: var(--s-4) 0 var(--s-2);
}
.rule-line {
  margin: 0 0 var(--s-2);
}
.outlines {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-4);
  align-items: end;
  margin-bottom: var(--s-2);
}
@media (max-width: 760px) {
  .sizes {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
