<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import {
  accordionStrip,
  blankMaterial,
  latestRecipe,
  outlineShare,
  pieceKind,
  pieceKinds,
  recipeById,
  takesMaterial,
  panelMm,
  takesPiece,
  woods,
  type Outline,
  type PieceKind,
} from '#core/recipe'
import { sizeUnit, recipesOf } from '#core/house'
import { showLength } from '#core/units'
import { uuidv7 } from 'uuidv7'
import { addDesign, change, inWorkshop, limits, type TypedLength } from '#core/workshop'
import LengthField from '../../ui/LengthField.vue'
import PieceDrawing from '../../ui/PieceDrawing.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import PieceEdge from '../../ui/PieceEdge.vue'
import { pieceClip } from '../../ui/pieceClip'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import HouseDrawing from '../../ui/HouseDrawing.vue'
import SourceMark from '../../ui/SourceMark.vue'
import StepField from '../../ui/StepField.vue'
import { typing, vSteady } from '../../ui/steady'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const kind = computed(() => pieceKind(d.value.kind))
const named = computed(() => (d.value.kind === 'custom' && d.value.called ? d.value.called : kind.value.name))
const outlineNames: Record<Outline, string> = { straight: 'straight', round: 'round', stone: tr('as a stone') }
const at = computed(() => inWorkshop.designs(d.value.id))
const size = (mm: number): TypedLength => ({ mm, text: showLength(mm, sizeUnit(house.value)) })

/** Another kind brings its usual size and material, and its own method unless a person chose one that takes it. */
function take(k: PieceKind) {
  const recipe = latestRecipe(k.recipe)!
  const mine = latestRecipe(d.value.recipe.id)
  const fits = mine && d.value.methodChosen && takesPiece(mine, k)
  const by = fits ? mine : recipe
  const material = [d.value.material, ...k.materials].find((m) => k.materials.includes(m) && takesMaterial(by, m)) ?? k.materials[0]!
  props.bench.act('piece', tr('{0} became {1}', kind.value.name, k.name), [
    change(w.value, at.value.kind, k.id),
    change(w.value, at.value.width, size(k.widthMm)),
    change(w.value, at.value.height, size(k.heightMm)),
    change(w.value, at.value.material, material),
    ...(fits || mine?.id === recipe.id
      ? []
      : [change(w.value, at.value.recipe, { id: recipe.id, version: recipe.version }), change(w.value, at.value.choices, {})]),
  ])
}
const materials = computed(() => woods.filter((m) => kind.value.materials.includes(m.id)))
const surface = computed(() => blankMaterial(d.value.material))
const recipeNow = computed(() => recipeById(plan.value.recipe.id, plan.value.recipe.version, recipesOf(house.value)))
/** Another design beside this one, looked at as soon as it is there. */
function another() {
  const id = uuidv7()
  props.bench.act('another-design', tr('another design was added'), addDesign(w.value, id))
  props.bench.lookAt(id)
}
/** How the present method takes to a surface, in its own words. */
const fits = (m: string) => recipeNow.value?.surfaces[m]?.note
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
/** One scale for hand, piece and ruler. */
const perMm = computed(() => Math.min(0.95, 230 / Math.max(plan.value.picture.widthMm, plan.value.picture.heightMm, 170)))
const child = computed(() => w.value.group.participants.filter((p) => p.age !== 'adult').length > plan.value.people / 2)
const handMm = computed(() => (child.value ? 150 : 185))
const call = (e: Event) => {
  const { now, before, taken } = typing(e)
  props.bench.set(at.value.called, now || null, tr('the piece got a name'), 'type-called', before || null)
  taken()
}
</script>
<template>
  <div>
    <div class="head">
      <h1>{{ $t('Piece') }}</h1>
      <p>
        <b v-if="w.designs.length === 1">{{ $t('Everybody makes {0} {1}.', /^[aeio]/.test(named) ? $t('an') : 'a', named) }}</b><b v-else>{{
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
    <div class="shelf" role="radiogroup" :aria-label="$t('Kind of piece')">
      <button
        v-for="k in pieceKinds"
        :key="k.id"
        type="button"
        class="plain kind"
        role="radio"
        :aria-checked="k.id === kind.id"
        :class="{ on: k.id === kind.id }"
        @click="take(k)"
      >
        <PieceDrawing :kind="k.id" :drawing="w.drawing" :width="66" :outline="k.id === kind.id ? plan.outline : undefined" /><span>{{
          k.id === 'custom' ? $t('something else') : k.name
        }}</span>
      </button>
    </div>
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
      <b>{{
        $t('Picture {0} × {1}', showLength(plan.picture.widthMm, sizeUnit(house)), showLength(plan.picture.heightMm, sizeUnit(house)))
      }}</b>
      {{ measureRule }}
    </p>
    <div class="made-of">
      <span id="made-of" class="label">{{ $t('Made of') }}</span>
      <div class="surfaces" role="radiogroup" aria-labelledby="made-of">
        <button
          v-for="m in materials"
          :key="m.id"
          type="button"
          role="radio"
          class="plain surface"
          :class="{ on: m.id === d.material }"
          :aria-checked="m.id === d.material"
          @click="bench.set(at.material, m.id, $t('{0} became {1}', d.material, m.name))"
        >
          <i class="swatch" :style="{ background: m.colour }" aria-hidden="true" /><b>{{ $t(m.name) }}</b
          ><span class="small" :class="fits(m.id) ? 'two' : 'watch'">{{
            $t(fits(m.id) ?? 'not for {0}', $t(plan.recipe.name).toLowerCase())
          }}</span>
        </button>
      </div>
      <p v-if="surface" class="small two">{{ $t(surface.prepare) }}</p>
    </div>
    <div class="well">
      <div class="scale">
        <h3 aria-level="2">{{ $t('To scale') }}</h3>
        <div class="things">
          <figure>
            <svg :width="handMm * 0.62 * perMm" :height="handMm * perMm" viewBox="0 0 62 100" aria-hidden="true">
              <path
                d="M18 99C16 80 4 62 2 50c-1-5 4-6 6-3l10 14V16c0-6 8-6 8 0v28h2V8c0-6 8-6 8 0v36h2V12c0-6 8-6 8 0v34h2V24c0-6 7-6 7 0 1 30-1 52-8 75z"
                fill="#fbf8f1"
                stroke="#241c17"
                stroke-width="1.6"
              />
            </svg>
            <figcaption class="small two">
              {{ child ? $t('a child’s hand, about') : $t('a hand, about') }} {{ showLength(handMm, sizeUnit(house)) }}
            </figcaption>
          </figure>
          <figure>
            <span
              class="made"
              :style="{
                width: `${plan.picture.widthMm * perMm}px`,
                height: `${plan.picture.heightMm * perMm}px`,
              }"
              ><span class="face" :style="{ background: surface?.colour, ...pieceClip(plan.outline) }"
                ><HouseDrawing
                  :drawing="w.drawing"
                  :width="
                    Math.min(plan.picture.widthMm, plan.picture.heightMm * 1.4) * perMm * (plan.outline === 'straight' ? 0.8 : 0.62)
                  " /></span
              ><PieceEdge :outline="plan.outline"
            /></span>
            <figcaption class="small two">{{ $t(plan.pieceName) }}</figcaption>
          </figure>
        </div>
      </div>
      <div class="sheetside">
        <h3 aria-level="2">{{ $t('{0} on a sheet', plan.print.grid.perSheet) }}</h3>
        <SheetDrawing
          :grid="plan.print.grid"
          :paper="plan.print.paper"
          :margin="plan.print.paper.marginMm"
          :picture="plan.picture"
          :drawing="w.drawing"
          :mirrored="plan.print.mirrored"
          :outline="plan.outline"
        />
        <p class="small two">{{ $t('{0}; dotted: the printer can’t reach', plan.print.mirrored ? $t('mirrored') : $t('not mirrored')) }}</p>
      </div>
    </div>
    <p v-if="w.designs.length < limits.designs" class="another">
      <v-btn @click="another">{{ $t('Make another design too') }}</v-btn>
      <span class="small two">{{ $t('everybody makes one of it, or only some') }}</span>
    </p>
  </div>
</template>
<style scoped>
.another {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin-top: 14px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
.shelf {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  margin-top: 8px;
}
.kind {
  display: grid;
  justify-items: center;
  padding-top: 6px;
  border-bottom: 5px double var(--text);
  min-height: 92px;
}
.kind span:last-child {
  text-align: center;
  line-height: 1.1;
  font-weight: 600;
  padding: 1px 8px;
}
.kind:hover {
  background: var(--wash);
}
.kind.on {
  background: var(--wash);
}
.kind.on span:last-child {
  background: var(--ink);
  color: var(--on-ink);
}
.kind:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.sizes {
  display: grid;
  grid-template-columns: 176px 176px 1fr;
  gap: 16px;
  margin: 16px 0 8px;
}
.rule-line {
  margin: 0 0 8px;
}
.made-of {
  margin-bottom: 14px;
}
.surfaces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(178px, 1fr));
  gap: 6px;
}
.surface {
  display: grid;
  grid-template-columns: 40px 1fr;
  gap: 0 8px;
  text-align: start;
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  min-height: 48px;
  padding: 4px 8px 4px 4px;
  align-items: center;
  line-height: 1.2;
}
.surface:hover {
  background: var(--wash);
}
.surface.on {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.surface.on b {
  color: var(--ink);
}
.swatch {
  grid-row: 1 / 3;
  width: 40px;
  height: 38px;
  border: 1px solid #8a7b66;
}
.well {
  background: var(--board);
  padding: 14px 16px;
  display: flex;
  justify-content: space-between;
  gap: 16px;
  margin: 0 -10px;
}
.things {
  display: flex;
  gap: 26px;
  align-items: flex-end;
}
figure {
  margin: 8px 0 0;
  display: grid;
  justify-items: center;
  gap: 4px;
}
.made {
  position: relative;
  color: #241c17;
  filter: drop-shadow(4px 4px 0 #c9ae80);
}
.face {
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  overflow: hidden;
}
.outlines {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: end;
  margin-bottom: 10px;
}
.sheetside {
  text-align: end;
}
@media (max-width: 760px) {
  .sizes {
    grid-template-columns: 1fr 1fr;
  }
  .well {
    flex-direction: column;
  }
  .shelf {
    grid-template-columns: repeat(3, 1fr);
  }
  .sheetside {
    text-align: start;
  }
}
</style>
