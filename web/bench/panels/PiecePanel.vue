<script setup lang="ts">
import { computed } from 'vue'
import { latestRecipe, pieceKind, pieceKinds, takesMaterial, takesPiece, woods, type PieceKind } from '#core/recipe'
import { sizeUnit, paperMm } from '#core/house'
import { showLength } from '#core/units'
import type { TypedLength } from '#core/workshop'
import LengthField from '../../ui/LengthField.vue'
import PieceDrawing from '../../ui/PieceDrawing.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import SheetDrawing from '../../ui/SheetDrawing.vue'
import HouseDrawing from '../../ui/HouseDrawing.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => w.value.designs[0]!)
const kind = computed(() => pieceKind(d.value.kind))
const path = (f: string) => `designs/${d.value.id}/${f}`
const size = (mm: number): TypedLength => ({ mm, text: showLength(mm, sizeUnit(house.value)) })

/** Another kind brings its usual size and material, and its method when the present one does not suit it. */
function take(k: PieceKind) {
  const recipe = latestRecipe(k.recipe)!
  const mine = latestRecipe(d.value.recipe.id)
  const fits = mine && takesPiece(mine, k)
  const by = fits ? mine : recipe
  const material = [d.value.material, ...k.materials].find((m) => k.materials.includes(m) && takesMaterial(by, m)) ?? k.materials[0]!
  props.bench.act('piece', `${kind.value.name} became ${k.name}`, [
    { path: path('kind'), before: d.value.kind, after: k.id },
    { path: path('width'), before: d.value.width, after: size(k.widthMm) },
    { path: path('height'), before: d.value.height, after: size(k.heightMm) },
    { path: path('material'), before: d.value.material, after: material },
    ...(fits ? [] : [{ path: path('recipe'), before: d.value.recipe, after: { id: recipe.id, version: recipe.version } }]),
  ])
}
const materials = computed(() => woods.filter((m) => kind.value.materials.includes(m.id)))
/** One scale for hand, piece and ruler. */
const perMm = computed(() => Math.min(0.95, 230 / Math.max(d.value.width.mm, d.value.height.mm, 170)))
const child = computed(() => w.value.group.participants.filter((p) => p.age !== 'adult').length > plan.value.people / 2)
const handMm = computed(() => (child.value ? 150 : 185))
</script>
<template>
  <div>
    <div class="head">
      <h1>Piece</h1>
      <p>
        <b>Everybody makes a {{ kind.name }}.</b>
      </p>
    </div>
    <div class="shelf" role="radiogroup" aria-label="Kind of piece">
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
        <PieceDrawing :kind="k.id" :drawing="w.drawing" :width="66" /><span>{{ k.name }}</span>
      </button>
    </div>
    <div class="sizes">
      <LengthField
        label="Width"
        :unit="sizeUnit(house)"
        :model-value="d.width"
        @update:model-value="bench.set(path('width'), $event, `width became ${$event.text}`, 'type-width')"
      />
      <LengthField
        label="Height"
        :unit="sizeUnit(house)"
        :model-value="d.height"
        @update:model-value="bench.set(path('height'), $event, `height became ${$event.text}`, 'type-height')"
      />
      <div>
        <SegmentChoice
          label="Made of"
          :model-value="d.material"
          :options="materials"
          @update:model-value="bench.set(path('material'), $event, `${d.material} became ${$event}`)"
        />
        <div class="small two">{{ materials.find((m) => m.id === d.material)?.note }}</div>
      </div>
    </div>
    <div class="well">
      <div class="scale">
        <h3>To scale</h3>
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
              {{ child ? 'a child’s hand, about' : 'a hand, about' }} {{ showLength(handMm, sizeUnit(house)) }}
            </figcaption>
          </figure>
          <figure>
            <span class="made" :style="{ width: `${d.width.mm * perMm}px`, height: `${d.height.mm * perMm}px` }"
              ><HouseDrawing :drawing="w.drawing" :width="Math.min(d.width.mm, d.height.mm * 1.4) * perMm * 0.8"
            /></span>
            <figcaption class="small two">{{ plan.pieceName }}</figcaption>
          </figure>
        </div>
      </div>
      <div class="sheetside">
        <h3>{{ plan.print.grid.perSheet }} on a sheet</h3>
        <SheetDrawing
          :grid="plan.print.grid"
          :paper="paperMm(house)"
          :margin="house.printerMarginMm"
          :picture="{ widthMm: d.width.mm, heightMm: d.height.mm }"
          :drawing="w.drawing"
          :mirrored="plan.print.mirrored"
        />
        <p class="small two">{{ plan.print.mirrored ? 'mirrored' : 'not mirrored' }}; dotted: the printer can’t reach</p>
      </div>
    </div>
  </div>
</template>
<style scoped>
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
  font-weight: 600;
  padding: 1px 8px;
}
.kind:hover {
  background: var(--wash);
}
.on {
  background: var(--wash);
}
.on span:last-child {
  background: var(--ink);
  color: var(--on-ink);
}
.kind:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.sizes {
  display: grid;
  grid-template-columns: 150px 150px 1fr;
  gap: 16px;
  margin: 16px 0;
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
  display: grid;
  place-items: center;
  background: #fbf8f1;
  color: #241c17;
  border: 1.8px solid #241c17;
  box-shadow: 4px 4px 0 0 #c9ae80;
  overflow: hidden;
}
.sheetside {
  text-align: right;
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
    text-align: left;
  }
}
</style>
