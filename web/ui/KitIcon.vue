<script setup lang="ts">
import type { Material } from '#core/kit'
defineProps<{ icon: Material['icon'] }>()
const paths: Record<Material['icon'], string> = {
  board: 'M5 4h20v26H5zM25 6l4 2v24H10M9 10q4-3 8 0t5 0M9 17q4-3 8 0t5 0M9 24q4-3 8 0t5 0',
  print: 'M6 3h15l6 6v22H6zM21 3v6h6M11 20q5-8 11 0-5 5-11 0',
  bottle: 'M12 2h9v6h-9zM10 8h13q4 3 4 8v15H6V16q0-5 4-8zM6 19h21M6 27h21',
  brush: 'm20 13 9-9 3 3-9 9M21 10l5 5-12 8-4-4zM10 19l-7 11 11-7',
  cloth: 'M3 8q7-6 14 0t13 0v18q-7 5-13 0T3 26zM3 15q7-5 14 0t13 0M3 21q7-5 14 0t13 0',
  roll: 'M17 4a13 13 0 1 0 .1 26A13 13 0 0 0 17 4zm0 7a6 6 0 1 0 .1 12A6 6 0 0 0 17 11zM30 17v15',
  tool: 'M6 28 24 10l4 4L10 32H6zM22 6l8 8',
  basin: 'M3 12h28l-4 18H7zM3 12q14-7 28 0M9 19q4-3 8 0t8 0',
  cover: 'M4 10h26v4H4zM4 14v14l5-4 4 4 4-4 4 4 4-4 5 4V14',
}
</script>
<template>
  <svg
    width="34"
    height="34"
    viewBox="0 0 34 34"
    fill="none"
    stroke="currentColor"
    stroke-width="1.9"
    stroke-linejoin="round"
    aria-hidden="true"
    style="flex: none"
  >
    <path :d="paths[icon]" />
  </svg>
</template>
