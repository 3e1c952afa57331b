<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { latestRecipe, pieceKind, takesMaterial, takesPiece, type PieceKind } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { change, inWorkshop, usualDesign } from '#core/workshop'
import KindChoice from '../../ui/KindChoice.vue'
import type { Bench } from '../useBench'

/** The kinds of piece, drawn. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const kind = computed(() => pieceKind(d.value.kind))
const at = computed(() => inWorkshop.designs(d.value.id))
/** Another kind brings its usual size and material, and its own method unless a person chose one that takes it. */
function take(k: PieceKind) {
  const usual = usualDesign(k.id, sizeUnit(house.value))
  const recipe = latestRecipe(k.recipe)!
  const mine = latestRecipe(d.value.recipe.id)
  const fits = mine && d.value.methodChosen && takesPiece(mine, k)
  const by = fits ? mine : recipe
  const material = [d.value.material, ...k.materials].find((m) => k.materials.includes(m) && takesMaterial(by, m)) ?? k.materials[0]!
  props.bench.act('piece', tr('{0} became {1}', kind.value.name, k.name), [
    change(w.value, at.value.kind, k.id),
    change(w.value, at.value.width, usual.width),
    change(w.value, at.value.height, usual.height),
    change(w.value, at.value.material, material),
    // A picture that took a part of the old face fills the new one.
    ...(d.value.on ? [change(w.value, at.value.on, null)] : []),
    ...(fits || mine?.id === recipe.id ? [] : [change(w.value, at.value.recipe, usual.recipe), change(w.value, at.value.choices, {})]),
  ])
}
</script>
<template>
  <KindChoice :model-value="kind.id" :drawing="w.drawing" :outline="plan.outline" @take="take" />
</template>
