<script setup lang="ts">
import type { Drawing } from '#core/workshop'
/** The project's own drawings, one a workshop. */
defineProps<{ drawing: Drawing; width?: number }>()
/** Leaves of the kelp: where, and to which side. */
const leaves = [
  [22, 50, -1],
  [21, 36, 1],
  [22, 20, -1],
  [48, 52, 1],
  [51, 38, -1],
  [51, 22, 1],
  [79, 50, 1],
  [77, 36, -1],
  [76, 22, 1],
] as const
</script>
<template>
  <svg
    :width="width ?? 84"
    :height="(width ?? 84) * 0.68"
    viewBox="0 0 100 68"
    fill="none"
    stroke="currentColor"
    stroke-width="2.2"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <g v-if="drawing === 'moth'">
      <path
        d="M47 24C36 9 17 6 4 8c2 16 13 27 30 26 6 0 10-3 13-7M53 24C64 9 83 6 96 8c-2 16-13 27-30 26-6 0-10-3-13-7M46 33c-12 2-22 12-18 24 11 5 19-4 20-19M54 33c12 2 22 12 18 24-11 5-19-4-20-19"
      />
      <circle cx="29" cy="21" r="5" />
      <circle cx="71" cy="21" r="5" />
      <circle cx="37" cy="47" r="4" />
      <circle cx="63" cy="47" r="4" />
      <circle cx="29" cy="21" r="1.4" fill="currentColor" />
      <circle cx="71" cy="21" r="1.4" fill="currentColor" />
      <path d="M50 14c4 8 4 34 0 44-4-10-4-36 0-44z" fill="currentColor" />
      <path d="M48 15C44 9 40 8 36 9M52 15c4-6 8-7 12-6" />
    </g>
    <g v-else-if="drawing === 'ferry'">
      <path d="M6 40h88l-9 18H17zM18 40V28h60v12M30 28V17h34v11M42 17V6h10v11" />
      <path d="M26 34h6m6 0h6m6 0h6m6 0h6M4 63q8-5 15 0t15 0 15 0 15 0 15 0 15 0" />
    </g>
    <g v-else-if="drawing === 'lighthouse'">
      <path d="m40 58 4-36h14l4 36zM42 22h18M46 22v-8h10v8M45 14l6-7 6 7M43 34h16M42 45h19M4 60c14-6 30-6 46-2s30 4 46-1" />
      <path d="M43 17 10 11m33 8L10 24m49-7 31-6m-31 8 31 5" stroke-dasharray="6 3" />
    </g>
    <g v-else-if="drawing === 'kelp'">
      <path d="M22 64C26 44 16 28 24 6M50 64c-5-20 6-36 0-60M78 64c4-18-6-34-1-56" />
      <path v-for="(p, i) in leaves" :key="i" :d="`M${p[0]} ${p[1]}q${p[2]! * 6} -10 ${p[2]! * 14} -8q${p[2]! * -2} 9 ${p[2]! * -14} 8`" />
    </g>
    <g v-else-if="drawing === 'heron'">
      <path
        d="M58 8c-8-2-12 4-8 10 5 8 6 13 0 19-8 7-20 8-30 4 12 12 32 14 42 1 6-9 2-16-3-24-2-4-1-6 2-7l24-2-27-1zM42 50v14m9-15v15M8 65h84"
      />
      <circle cx="57" cy="11" r="1.2" fill="currentColor" />
    </g>
    <g v-else>
      <rect x="10" y="6" width="80" height="56" />
      <path d="M10 18h80M10 44q10-18 20 0t20 0 20 0 20 0M30 6v12m20-12v12m20-12v12M10 54h80" />
    </g>
  </svg>
</template>
