<script setup lang="ts">
import { recipes, woods } from '#core/recipe'
import SourceMark from '../ui/SourceMark.vue'

/** What pieces are made of, how each is prepared, and which methods it takes. */
const takes = (m: string) => recipes.filter((r) => r.surfaces[m]).map((r) => `${r.name} (${r.surfaces[m]!.fit})`)
</script>
<template>
  <section class="leaf">
    <h1>{{ $t('Surfaces') }}</h1>
    <div class="entries">
      <div v-for="m in woods" :id="m.id" :key="m.id" class="entry">
        <h3><i class="swatch" :style="{ background: m.colour }" aria-hidden="true" /> {{ $t(m.name) }}</h3>
        <p>{{ $t(m.note) }} <SourceMark :mark="m.mark" /></p>
        <p class="small two">{{ $t(m.prepare) }}</p>
        <p class="small">
          <b>{{ $t('Takes') }}</b> {{ takes(m.id).join(', ') || $t('none of these methods') }}
        </p>
        <p class="small two">
          {{ m.surface === 'stone' || m.surface === 'sealed' ? $t('better cured a quarter longer') : $t('cures as practice says') }}
        </p>
      </div>
    </div>
  </section>
</template>
<style scoped>
.swatch {
  width: 26px;
  height: 20px;
  border: 1px solid #8a7b66;
}
</style>
