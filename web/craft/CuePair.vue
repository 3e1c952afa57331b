<script setup lang="ts">
import SymptomDrawing from '../clinic/SymptomDrawing.vue'
import VerdictShape from '../ui/VerdictShape.vue'

/** How a hand knows: right when, wrong when; shape and word together. */
defineProps<{ pass: string; fail: string; fault?: string | undefined }>()
</script>
<template>
  <div class="pair">
    <span v-if="fault" class="swatch"><SymptomDrawing symptom="" /></span
    ><span v-if="fault" class="swatch"><SymptomDrawing :symptom="fault" /></span>
    <p><VerdictShape state="settled" :size="17" /><span class="sr">Right when: </span>{{ pass }}</p>
    <p><VerdictShape state="stop" :size="17" /><span class="sr">Wrong when: </span>{{ fail }}</p>
  </div>
</template>
<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 12px;
  font-size: 14.5px;
  line-height: 1.3;
}
.swatch {
  width: 62px;
}
p {
  display: grid;
  grid-template-columns: 17px 1fr;
  gap: 6px;
  margin: 0;
  color: var(--text);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: 1fr;
    gap: 4px;
  }
  .swatch {
    display: none;
  }
}
</style>
