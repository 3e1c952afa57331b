<script setup lang="ts">
import { pieceKinds, type Outline, type PieceKind } from '#core/recipe'
import type { Drawing } from '#core/workshop'
import PieceDrawing from './PieceDrawing.vue'

/** The kinds of piece, drawn on shelves; one is taken. */
defineProps<{ modelValue: string; drawing: Drawing; outline?: Outline | undefined }>()
const emit = defineEmits<{ take: [kind: PieceKind] }>()
</script>
<template>
  <div class="shelf" role="radiogroup" :aria-label="$t('Kind of piece')">
    <button
      v-for="k in pieceKinds"
      :key="k.id"
      type="button"
      class="plain kind"
      role="radio"
      :aria-checked="k.id === modelValue"
      :class="{ on: k.id === modelValue }"
      @click="emit('take', k)"
    >
      <PieceDrawing :kind="k.id" :drawing="drawing" :width="66" :outline="k.id === modelValue ? outline : undefined" /><span>{{
        k.id === 'custom' ? $t('something else') : $t(k.name)
      }}</span>
    </button>
  </div>
</template>
<style scoped>
.shelf {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  margin-top: var(--s-2);
}
.kind {
  display: grid;
  justify-items: center;
  padding-top: var(--s-1);
  border-bottom: 5px double var(--text);
  min-height: 92px;
}
.kind span:last-child {
  text-align: center;
  line-height: 1.1;
  font-weight: 600;
  padding: 1px var(--s-2);
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
