<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref } from 'vue'
import { printersOf } from '#core/house'
import { pixelsAnInch } from '#core/suitability'
import { pieceKind, recipeById } from '#core/recipe'
import { recipesOf } from '#core/house'
import { inWorkshop, type Design, type KeepClear, type Path } from '#core/workshop'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import FlipDrawing from '../../ui/FlipDrawing.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import SourceMark from '../../ui/SourceMark.vue'
import StepField from '../../ui/StepField.vue'
import StripDrawing from '../../ui/StripDrawing.vue'
import type { Bench } from '../useBench'

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
            :options="[
              { id: 'advised', name: `as advised: ${plan.print.orientation.printMirrored ? 'mirrored' : 'not mirrored'}` },
              { id: 'yes', name: $t('mirrored') },
              { id: 'no', name: $t('not') },
            ]"
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
            {{
              $t(
                '{0} {1}: the finished picture {2} {3}',
                plan.print.orientation.flips,
                plan.print.orientation.flips === 1 ? $t('flip') : $t('flips'),
                even ? $t('reads right.') : $t('is a mirror image.'),
                recipe.print.why,
              )
            }}
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
                :note="
                  w.choices.copies === undefined
                    ? $t(
                        'so that everybody has a good one, {0} % sure; one with a printer in the room',
                        Math.round(w.choices.confidence * 100),
                      )
                    : $t('you chose')
                "
                @update:model-value="
                  bench.set(
                    inWorkshop.choices.copies,
                    $event,
                    $t('{0} {1} of each picture', $event, $event === 1 ? $t('copy') : $t('copies')),
                  )
                "
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
          :outline="plan.outline"
        />
      </div>
    </div>
    <section class="block two-cols">
      <div>
        <h3>{{ $t('Printer and paper') }}</h3>
        <SegmentChoice
          :label="$t('Printed with')"
          :model-value="d.print?.printer ?? 'house'"
          :options="[
            { id: 'house', name: `this house’s: ${printersOf(house).join(' and ')}` },
            { id: 'toner', name: $t('toner') },
            { id: 'inkjet', name: $t('inkjet') },
          ]"
          @update:model-value="
            know('print', { printer: $event === 'house' ? undefined : $event, smear: undefined }, $t('printed with {0}', $event))
          "
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
        <div class="pixels">
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
    <section v-if="plan.tape" class="block two-cols">
      <div>
        <h3>{{ $t('Strips, {0}', plan.tape.direction) }}</h3>
        <StripDrawing :layout="plan.tape" :picture="plan.picture" :drawing="w.drawing" :boxes="boxes" :what="marking" @add="addBox" />
      </div>
      <div>
        <p>
          <b>{{
            $t('{0} {1} of {2}', plan.tape.strips, plan.tape.strips === 1 ? $t('strip') : $t('strips'), say.length(plan.tape.stripLengthMm))
          }}</b>
          <span class="small two">{{
            $t(', {0} to slide. The dashed line is the middle: seams show most there.', say.length(plan.tape.slackMm))
          }}</span>
        </p>
        <p v-if="plan.tape.fewerAt" class="small">
          {{
            $t(
              '{0} {1} if the margin is {2}.',
              plan.tape.fewerAt.strips,
              plan.tape.fewerAt.strips === 1 ? $t('strip') : $t('strips'),
              say.length(plan.tape.fewerAt.marginMm),
            )
          }}
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
        <ul class="boxes">
          <li v-for="(b, i) in boxes" :key="b.id">
            <span>{{ b.what }} {{ i + 1 }}, {{ say.length(b.widthMm) }} × {{ say.length(b.lengthMm) }}</span
            ><v-btn :aria-label="$t('Take out {0} {1}', b.what, i + 1)" @click="dropBox(b.id)">{{ $t('Take out') }}</v-btn>
          </li>
        </ul>
        <p class="small" :class="plan.tape.seamOnKeepClearMm > 0 ? 'watch' : 'two'">
          {{
            plan.tape.seamOnKeepClearMm > 0
              ? $t('{0} of seam over them, and no shift is better.', say.length(plan.tape.seamOnKeepClearMm))
              : boxes.length
                ? $t('No seam crosses them.')
                : $t('Nothing is kept clear yet.')
          }}
        </p>
      </div>
    </section>
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
  flex: 1 1 330px;
  min-width: 0;
  display: grid;
  gap: 16px;
  align-content: start;
  flex: 1;
}
.well {
  background: var(--board);
  padding: 14px;
  align-self: start;
  flex: none;
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
.block {
  border-top: 1px solid var(--edge);
  margin-top: 18px;
  padding-top: 12px;
}
.two-cols {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 28px;
}
.two-cols > div {
  display: grid;
  gap: 12px;
  align-content: start;
}
.two-cols :deep(.v-btn-group .v-btn) {
  padding: 0 10px;
  font-size: var(--t-small);
}
.pixels {
  display: grid;
  gap: 10px;
}
.boxes {
  list-style: none;
  padding: 0;
  margin: 0;
}
.boxes li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.choices :deep(.v-btn) {
  padding: 0 10px;
  font-size: var(--t-small);
}
@media (max-width: 760px) {
  .two-cols {
    grid-template-columns: 1fr;
  }
  .grid {
    flex-direction: column;
  }
}
</style>
