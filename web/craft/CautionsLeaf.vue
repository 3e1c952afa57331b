<script setup lang="ts">
import { ageName } from '#core/phrases'
import { ageBands, cautions, hazardOf, mayTouch, recipes, type CautionId } from '#core/recipe'
import SourceMark from '../ui/SourceMark.vue'

/** Every caution: where the hand is, who may touch, which methods it belongs to. */
const used = (c: CautionId) =>
  recipes
    .filter(
      (r) =>
        r.stages.some((s) => s.cautions.includes(c)) ||
        r.schools.some((s) => s.options.some((o) => o.effects.some((e) => e.kind === 'caution' && e.caution === c))),
    )
    .map((r) => r.name)
const may = (c: CautionId) => {
  const h = hazardOf(c)
  return h ? ageBands.map((a) => `${ageName(a)}: ${mayTouch[h][a]}`).join(', ') : ''
}
</script>
<template>
  <section class="leaf">
    <h1>{{ $t('Cautions') }}</h1>
    <p>
      <b>{{ $t('Never a substitute') }}</b>
      {{
        $t(
          'for product labels and safety data sheets, the house’s rules, fire and youth-protection rules. Where licensed work is needed, ask those licensed.',
        )
      }}
    </p>
    <div class="entries">
      <div v-for="(c, key) in cautions" :id="key" :key="key" class="entry">
        <h3>{{ $t(c.where) }}</h3>
        <p>{{ $t(c.text) }}</p>
        <p v-if="may(key)" class="small">
          <b>{{ $t('May touch') }}</b> {{ may(key) }} <SourceMark mark="E" />
        </p>
        <p class="small two">{{ used(key).join(', ') || $t('by choice, or in finishing') }}</p>
      </div>
    </div>
  </section>
</template>
