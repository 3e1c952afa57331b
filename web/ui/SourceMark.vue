<script setup lang="ts">
import { t as tr } from '#core/language'
import type { Mark } from '#core/reasons'
defineProps<{ mark: Mark }>()
const words: Record<Mark, string> = {
  P: tr('practitioners agree'),
  E: tr('our estimate, you may edit it'),
  Y: tr('yours: set or measured in this house'),
}
</script>
<template>
  <span class="mark" :class="mark" :title="words[mark]"
    ><span aria-hidden="true">{{ mark }}</span
    ><span class="sr">({{ words[mark] }})</span></span
  >
</template>
<style scoped>
.mark {
  display: inline-grid;
  place-items: center;
  width: 17px;
  height: 17px;
  font: 700 var(--t-fine)/1 var(--f-text);
  border: 1.2px solid var(--text);
  vertical-align: 1px;
  margin: 0 2px;
  color: var(--text);
  background: var(--stock);
}
.E {
  border-style: dashed;
  border-radius: 50%;
}
.Y {
  background: var(--text);
  color: var(--stock);
}
</style>
