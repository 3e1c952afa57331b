<script setup lang="ts">
import VerdictShape from '../ui/VerdictShape.vue'
import CueDrawing from './CueDrawing.vue'
import type { CueSwatches } from './cueSwatch'

/** How a hand knows: right when, wrong when; a drawing with one word, and the whole cue; shape and words together. */
defineProps<{ pass: string; fail: string; swatches?: CueSwatches | undefined }>()
</script>
<template>
  <div class="pair">
    <template v-if="swatches">
      <span v-for="side in ['pass', 'fail'] as const" :key="side" class="drawn" aria-hidden="true"
        ><CueDrawing class="swatch" :drawing="swatches[side].drawing" />{{ $t(swatches[side].word) }}</span
      >
    </template>
    <p>
      <VerdictShape state="settled" :size="17" /><span class="sr">{{ $t('Right when:') }} </span>{{ $t(pass) }}
    </p>
    <p>
      <VerdictShape state="stop" :size="17" /><span class="sr">{{ $t('Wrong when:') }} </span>{{ $t(fail) }}
    </p>
  </div>
</template>
<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px var(--s-3);
  font-size: var(--t-small);
  line-height: 1.3;
}
.drawn {
  display: flex;
  gap: var(--s-2);
  align-items: flex-end;
  color: var(--text-2);
}
.swatch {
  width: 62px;
}
p {
  display: grid;
  grid-template-columns: 17px 1fr;
  gap: var(--s-1);
  margin: 0;
  color: var(--text);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: 1fr;
    gap: var(--s-1);
  }
  .drawn {
    display: none;
  }
}
</style>
