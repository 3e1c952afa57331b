<script setup lang="ts">
import { computed } from 'vue'
import { piecesHere, type DayState } from '#core/day'
import { stateWord } from '#core/phrases'
import { pieceStates } from '#core/recipe'
import PieceToken from '../ui/PieceToken.vue'

/** How many pieces of those who came are how far, the least far first. */
const props = defineProps<{ state: DayState }>()
const counts = computed(() => {
  const here = piecesHere(props.state)
  return pieceStates.map((s) => ({ s, n: here.filter((p) => p.state === s).length })).filter((c) => c.n > 0)
})
</script>
<template>
  <ul class="bare counts" :aria-label="$t('Pieces by how far they are')">
    <li v-for="c in counts" :key="c.s">
      <PieceToken :state="c.s" :size="26" /> {{ stateWord(c.s) }} <b>{{ c.n }}</b>
    </li>
  </ul>
</template>
<style scoped>
.counts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-4);
}
li {
  display: flex;
  align-items: center;
  gap: var(--s-1);
  min-height: 32px;
}
</style>
