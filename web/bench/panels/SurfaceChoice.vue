<script setup lang="ts">
import { computed } from 'vue'
import { blankMaterial, pieceKind, recipeById, woods } from '#core/recipe'
import { recipesOf } from '#core/house'
import { inWorkshop } from '#core/workshop'
import type { Bench } from '../useBench'

/** What the piece is made of, and how its method takes to that. */
const props = defineProps<{ bench: Bench }>()
const house = computed(() => props.bench.house.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const kind = computed(() => pieceKind(d.value.kind))
const at = computed(() => inWorkshop.designs(d.value.id))
const materials = computed(() => woods.filter((m) => kind.value.materials.includes(m.id)))
const surface = computed(() => blankMaterial(d.value.material))
const recipeNow = computed(() => recipeById(plan.value.recipe.id, plan.value.recipe.version, recipesOf(house.value)))
/** How the present method takes to a surface, in its own words. */
const fits = (m: string) => recipeNow.value?.surfaces[m]?.note
</script>
<template>
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
</template>
<style scoped>
.made-of {
  margin-bottom: var(--s-3);
}
.surfaces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(178px, 1fr));
  gap: var(--s-1);
}
.surface {
  display: grid;
  grid-template-columns: 40px 1fr;
  gap: 0 var(--s-2);
  text-align: start;
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  min-height: 48px;
  padding: var(--s-1) var(--s-2) var(--s-1) var(--s-1);
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
</style>
