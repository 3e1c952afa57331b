<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { edges, type Edge } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { inWorkshop, type Design } from '#core/workshop'
import ChoiceField from '../../ui/ChoiceField.vue'
import LengthField from '../../ui/LengthField.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import { namedPlaces, whereOn, type NamedPlace } from '../../ui/placedPicture'
import type { Bench } from '../useBench'

/** The picture on its piece: all of the face or a part of it, where, and how it ends. */
const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const unit = computed(() => sizeUnit(props.bench.house.value!))
const d = computed(() => props.bench.design.value!)
const at = computed(() => inWorkshop.designs(d.value.id))
const typed = (mm: number) => ({ mm: Number(mm.toFixed(1)), text: showLength(mm, unit.value) })

/** A part begins as two thirds of the face, in the middle. */
function fill(whole: boolean) {
  const { widthMm, heightMm } = plan.value.face
  const part: Design['on'] = { width: typed((widthMm * 2) / 3), height: typed((heightMm * 2) / 3) }
  props.bench.set(at.value.on, whole ? null : part, whole ? tr('the picture fills the face') : tr('the picture is a part of the face'))
}
const places = computed(() => namedPlaces(plan.value.face, plan.value.picture))
const names: { id: NamedPlace | 'free'; name: string }[] = [
  { id: 'middle', name: tr('in the middle') },
  { id: 'left', name: tr('at the left rim') },
  { id: 'right', name: tr('at the right rim') },
  { id: 'top', name: tr('at the top') },
  { id: 'foot', name: tr('at the foot') },
  { id: 'corner', name: tr('in the lower corner') },
  { id: 'free', name: tr('as dragged or typed') },
]
const place = computed((): NamedPlace | 'free' => {
  const now = d.value.on?.at
  if (!now) return 'middle'
  const found = Object.entries(places.value).find(([, p]) => p && Math.hypot(p.xMm - now.xMm, p.yMm - now.yMm) < 0.2)
  return (found?.[0] as NamedPlace | undefined) ?? 'free'
})
const put = (id: NamedPlace | 'free') =>
  id === 'free'
    ? undefined
    : props.bench.set(at.value.on.at, places.value[id], tr('the picture is {0}', names.find((n) => n.id === id)!.name))
const now = computed(() => whereOn(plan.value.face, d.value.on!))
const move = (side: 'xMm' | 'yMm', mm: number) =>
  props.bench.set(at.value.on.at, { ...now.value, [side]: Math.max(0, mm) }, tr('the picture was moved'), 'type-place')
const edgeNames: Record<Edge, string> = {
  straight: tr('straight'),
  round: tr('round'),
  outline: tr('cut to its outline'),
  faded: tr('faded'),
  torn: tr('torn'),
}
const told: Partial<Record<Edge, string>> = {
  outline: tr('Better than a square: no rim of film or paper shows.'),
  faded: tr('Rubbed thinner towards the edge in the last round: the picture runs into the piece.'),
  torn: tr('Torn against a ruler or by hand, towards you: a soft edge without a blade.'),
}
</script>
<template>
  <section class="ruled stacked">
    <h2>{{ $t('The picture on it') }}</h2>
    <div class="tools">
      <SegmentChoice
        :label="$t('It takes')"
        :model-value="d.on ? 'part' : 'whole'"
        :options="[
          { id: 'whole', name: $t('the whole face') },
          { id: 'part', name: $t('a part of it') },
        ]"
        @update:model-value="fill($event === 'whole')"
      />
      <SegmentChoice
        :label="$t('Its edge')"
        :model-value="d.edge ?? (plan.cut === 'round' ? 'round' : 'straight')"
        :options="edges.map((e) => ({ id: e, name: edgeNames[e] }))"
        @update:model-value="bench.set(at.edge, $event, $t('its edge became {0}', edgeNames[$event]))"
      />
    </div>
    <p v-if="d.edge && told[d.edge]" class="small two">{{ told[d.edge] }}</p>
    <div v-if="d.on" class="part-of">
      <LengthField
        :label="$t('Picture width')"
        :unit="unit"
        :model-value="d.on.width"
        @update:model-value="bench.set(at.on.width, $event, $t('the picture’s width became {0}', $event.text), 'type-picture-width')"
      />
      <LengthField
        :label="$t('Picture height')"
        :unit="unit"
        :model-value="d.on.height"
        @update:model-value="bench.set(at.on.height, $event, $t('the picture’s height became {0}', $event.text), 'type-picture-height')"
      />
      <ChoiceField :label="$t('It lies')" :model-value="place" :options="names" @update:model-value="put($event)" />
      <LengthField
        :label="$t('From the left')"
        zero
        :unit="unit"
        :model-value="typed(now.xMm)"
        @update:model-value="move('xMm', $event.mm)"
      />
      <LengthField
        :label="$t('From the foot')"
        zero
        :unit="unit"
        :model-value="typed(now.yMm)"
        @update:model-value="move('yMm', $event.mm)"
      />
    </div>
  </section>
</template>
<style scoped>
.part-of {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
  gap: var(--s-3) var(--s-4);
}
</style>
