<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { uuidv7 } from 'uuidv7'
import { fromPrint, onPrint, ownerName, placed, type PictureContext } from '#core/pictures'
import { qualityOf } from '#core/suitability'
import { coats, type Coat } from '#core/medium'
import type { Plan } from '#core/plan'
import { previewGround, type PreviewOptions } from '#core/preview'
import { blankMaterial } from '#core/recipe'
import { asItIs, inWorkshop, type Path, type Picture, type PictureEdit } from '#core/workshop'
import ChoiceField from '../ui/ChoiceField.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import StepField from '../ui/StepField.vue'
import type { Bench } from '../bench/useBench'
import PreviewPair from './PreviewPair.vue'
import PictureFindings from './PictureFindings.vue'
import PictureCare from './PictureCare.vue'
import PictureMarks from './PictureMarks.vue'

/** One picture: how it will look, what is found in it, how it is placed, whose it is and until when it is kept. */
const props = defineProps<{ bench: Bench; picture: Picture; context: PictureContext; white: boolean | undefined }>()
const emit = defineEmits<{ erase: []; next: []; white: [boolean | undefined] }>()
const CropDialog = defineAsyncComponent(() => import('./CropDialog.vue'))
const w = computed(() => props.bench.workshop.value!)
const plan = computed((): Plan => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const design = computed(() => props.bench.design.value!)
const people = computed(() => w.value.group.participants)
const name = computed(() =>
  props.picture.participant ? tr('{0}’s picture', ownerName(people.value, props.picture, plan.value.seats)) : tr('A house picture'),
)
const edit = computed((): PictureEdit => props.picture.edit ?? asItIs)
const dpi = computed(() => placed(props.picture, props.context.print))
const quality = computed(() => qualityOf(dpi.value.real))
const here = computed(() => inWorkshop.pictures(props.picture.id))
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => props.bench.set(path, after, label)
const setEdit = (more: Partial<PictureEdit>, label: string) => set(here.value.edit, { ...edit.value, ...more }, `${name.value}: ${label}`)

const material = computed(() => blankMaterial(design.value.material))
const rounds = ref(3)
const worn = ref(0)
watch(
  () => plan.value.rounds,
  (n) => (rounds.value = n || 3),
  { immediate: true },
)
/** How thick the coat is: as planned, or as somebody wants to see it. */
const coat = ref<Coat | ''>('')
const onWhite = computed(() => props.white ?? plan.value.painted)
const options = computed((): PreviewOptions => {
  const { whites, whiteGround, outline, print } = plan.value
  return {
    ...previewGround({ material: design.value.material, whites, whiteGround, onWhite: onWhite.value }),
    rounds: rounds.value,
    worn: worn.value / 100,
    coat: coat.value || plan.value.coat,
    outline,
    mirrored: print.orientation.flips % 2 === 1,
  }
})
const on = computed(() =>
  tr(
    'on {0}{1}',
    onWhite.value && options.value.surface === 'white' ? tr('white-painted ') : '',
    material.value?.name ?? tr('its surface'),
  ),
)
const boxes = computed(() => {
  const { marks = [], suggested = [] } = props.picture
  return [...marks, ...suggested.map((s) => ({ ...s, what: 'lettering?' }))].flatMap((m) => {
    const b = onPrint(m, props.picture, props.context.print)
    return b ? [{ ...b, what: m.what }] : []
  })
})
const seams = computed(() => (plan.value.tape?.seams ?? []).map((s) => ({ ...s, along: plan.value.tape!.direction === 'along length' })))
const marking = ref<'' | 'face' | 'lettering'>('')
function mark(box: { x: number; y: number; w: number; h: number }) {
  const what = marking.value || 'face'
  const at = fromPrint(box, props.picture, props.context.print)
  set(
    here.value.marks,
    [...(props.picture.marks ?? []), { id: uuidv7(), what, ...at }],
    tr('{0} marked on {1}', what, name.value.toLowerCase()),
  )
}
/** A box by keys: the middle third. */
const markMiddle = () => mark({ x: 1 / 3, y: 1 / 3, w: 1 / 3, h: 1 / 3 })
const cropping = ref(false)
function place(p: Pick<PictureEdit, 'turn' | 'crop'>) {
  cropping.value = false
  setEdit(p, 'placed')
}
const coatWays = computed(() => [
  { id: '' as const, name: tr('{0}, as planned', plan.value.coat) },
  ...coats.filter((x) => x !== plan.value.coat).map((c) => ({ id: c, name: tr(c) })),
])
</script>
<template>
  <section class="detail" :aria-label="name">
    <div class="head">
      <div>
        <h2>{{ name }}</h2>
        <p class="small two">
          {{ $t('{0} px over {1} is {2} an inch', Math.round(dpi.width), say.length(context.print.widthMm), dpi.dpi)
          }}<template v-if="dpi.real < dpi.dpi">{{ $t(', blurred as if it had {0}', dpi.real) }}</template
          >: {{ quality }} <SourceMark mark="E" />
        </p>
      </div>
      <span class="see"
        ><span class="small two" aria-hidden="true">{{ $t('see it on') }}</span>
        <SegmentChoice
          :label="$t('See it on')"
          hide-label
          :model-value="onWhite ? 'white' : 'bare'"
          :options="[
            { id: 'bare', name: $t('bare') },
            { id: 'white', name: $t('white') },
          ]"
          @update:model-value="emit('white', $event === 'white')"
        />
      </span>
    </div>
    <PreviewPair
      :workshop="w.id"
      :picture="picture"
      :print="context.print"
      :mirrored="plan.print.mirrored"
      :options="options"
      :boxes="boxes"
      :seams="seams"
      :marking="marking"
      :as="plan.print.mirrored ? 'mirrored' : 'not mirrored'"
      :on="on"
      @mark="mark"
    />
    <div class="looks tools">
      <label
        ><span class="label">{{ $t('Rounds done, in the preview') }}</span
        ><input v-model.number="rounds" type="range" min="0" max="3" step="1" :aria-label="$t('Rounds done, in the preview')" />
        <b>{{ rounds }}</b></label
      >
      <label
        ><span class="label">{{ $t('Worn edges') }}</span
        ><input v-model.number="worn" type="range" min="0" max="100" step="5" :aria-label="$t('Worn edges')" /> <b>{{ worn }} %</b></label
      >
      <ChoiceField v-model="coat" :label="$t('Coat')" :options="coatWays" />
      <p class="small two">
        {{ $t('Colours and haze are a preview') }} <SourceMark mark="E" />{{ $t(': your screen, wood and hand decide.') }}
      </p>
    </div>
    <PictureFindings :bench="bench" :picture="picture" :name="name" :context="context" />
    <div class="tools">
      <v-btn @click="cropping = true">{{ $t('Crop and straighten') }}</v-btn>
      <v-checkbox
        :model-value="edit.blackWhite"
        :label="$t('Black and white')"
        @update:model-value="setEdit({ blackWhite: !!$event }, $event ? 'black and white' : 'in its colours')"
      />
      <v-checkbox
        :model-value="edit.outline"
        :label="$t('Trim line')"
        @update:model-value="setEdit({ outline: !!$event }, $event ? 'a line to trim along' : 'no trim line')"
      />
      <label class="range"
        ><span class="label">{{ $t('Lighter, for a dark board') }}</span
        ><input
          type="range"
          min="0"
          max="100"
          step="5"
          :aria-label="$t('Lighter, for a dark board')"
          :value="Math.round(edit.lighten * 100)"
          @change="setEdit({ lighten: Number(($event.target as HTMLInputElement).value) / 100 }, 'lightened')"
      /></label>
      <StepField
        :label="$t('Border to hold, mm')"
        :model-value="edit.borderMm"
        :max="30"
        @update:model-value="setEdit({ borderMm: $event }, $t('a border of {0} mm', $event))"
      />
    </div>
    <PictureMarks v-model="marking" :bench="bench" :picture="picture" @middle="markMiddle" />
    <PictureCare :bench="bench" :picture="picture" @erase="emit('erase')" @next="emit('next')" />
    <CropDialog
      v-if="cropping"
      :workshop="w.id"
      :picture="picture"
      :print="context.print"
      :outline="plan.cut"
      @place="place"
      @close="cropping = false"
    />
  </section>
</template>
<style scoped>
.see {
  display: inline-flex;
  gap: var(--s-2);
  align-items: center;
}
.tools :deep(.step) {
  max-width: 170px;
}
.detail {
  border-top: 2px solid var(--text);
  margin-top: var(--s-3);
  padding-top: var(--s-2);
  display: grid;
  gap: var(--s-3);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-4);
  align-items: end;
  justify-content: space-between;
}
.looks label,
.range {
  min-width: 170px;
}
input[type='range'] {
  accent-color: var(--ink);
  min-height: 28px;
  width: 120px;
}
.label {
  display: block;
}
</style>
