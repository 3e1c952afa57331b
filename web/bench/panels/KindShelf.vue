<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { latestRecipe, pieceKind, pieceKinds, takesMaterial, takesPiece, type PieceKind } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { change, inWorkshop, type TypedLength } from '#core/workshop'
import PieceDrawing from '../../ui/PieceDrawing.vue'
import type { Bench } from '../useBench'

/** The kinds of piece, drawn. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const kind = computed(() => pieceKind(d.value.kind))
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
</script>
<template>
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
</template>
<style scoped>
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
@media (max-width: 760px) {
  .shelf {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
