<script setup lang="ts">
import SymptomDrawing from '../clinic/SymptomDrawing.vue'

/** How a stage looks when it went right, drawn over the same corner of a wing that the clinic's faults are drawn on; what is
 *  a fault is the clinic's own drawing. */
const props = defineProps<{ drawing: string }>()
const right = ['finger', 'margin', 'close', 'overlap', 'dark', 'through', 'wet', 'plain', 'flat', 'corner', 'crumbs', 'gloss', 'beads']
const fault = () => (right.includes(props.drawing) ? '' : props.drawing)
</script>
<template>
  <span class="cue">
    <SymptomDrawing :symptom="fault()" />
    <svg v-if="drawing !== 'flat' && right.includes(drawing)" viewBox="0 0 84 60" aria-hidden="true">
      <g v-if="drawing === 'finger'">
        <path d="M46 60V34q0-8 8-8t8 8v26z" fill="#e6d2ac" stroke="#241c17" stroke-width="2" />
        <path d="M50 34q4-4 8 0M20 44q12 4 22 0" fill="none" stroke="#8a7b66" stroke-width="1.6" />
      </g>
      <path
        v-else-if="drawing === 'margin'"
        d="M0 0h84v60H0zM12 10v40h60V10z"
        fill="#fffdf8"
        fill-rule="evenodd"
        stroke="#8a7b66"
        stroke-width="1.6"
      />
      <path
        v-else-if="drawing === 'close'"
        d="M0 0h84v60H0zM8 16C26 2 58 4 78 20v20C60 56 28 58 8 46z"
        fill="#fffdf8"
        fill-rule="evenodd"
        stroke="#241c17"
        stroke-width="1.2"
      />
      <g v-else-if="drawing === 'overlap'" fill="#4a2a91" fill-opacity=".16" stroke="#4a2a91" stroke-width="1.2">
        <path d="M0 0h50v60H0zM36 0h48v60H36z" />
      </g>
      <path v-else-if="drawing === 'dark'" d="M0 14C24-2 58 2 86 20v24C60 56 28 60 0 48z" fill="#241c17" fill-opacity=".42" />
      <path v-else-if="drawing === 'through'" d="M0 0h84v60H0z" fill="#fffdf8" fill-opacity=".42" />
      <g v-else-if="drawing === 'wet'">
        <path d="M0 0h84v60H0z" fill="#d4e4e6" fill-opacity=".45" />
        <path d="M8 16q14-8 30-4M46 44q14 4 28-4" fill="none" stroke="#fffdf8" stroke-width="4" stroke-linecap="round" />
      </g>
      <path v-else-if="drawing === 'plain'" d="M0 0h84v60H0z" fill="#f4ecdf" />
      <g v-else-if="drawing === 'corner'">
        <path d="M84 60H46L84 28z" fill="#fffdf8" stroke="#241c17" stroke-width="1.6" />
        <path d="M46 60C54 46 66 40 84 28L62 24z" fill="#e6dcc9" stroke="#241c17" stroke-width="1.6" />
      </g>
      <g v-else-if="drawing === 'crumbs'">
        <path d="M50 0h34v60H58q-10-30-8-60z" fill="#fffdf8" fill-opacity=".85" />
        <path d="M44 12q5-5 10 0t8-2M46 30q5-5 10 0t8-2M50 48q5-5 10 0t8-2" fill="none" stroke="#8a7b66" stroke-width="3" />
      </g>
      <path v-else-if="drawing === 'gloss'" d="M10 60 46 0h14L24 60zM40 60 76 0h5L45 60z" fill="#fffdf8" fill-opacity=".55" />
      <g v-else-if="drawing === 'beads'" fill="#f4ead2" stroke="#8a7b66" stroke-width="1.4">
        <circle cx="16" cy="14" r="4" />
        <circle cx="62" cy="12" r="3" />
        <circle cx="70" cy="42" r="4" />
        <circle cx="24" cy="48" r="3" />
        <circle cx="52" cy="50" r="2.5" />
      </g>
    </svg>
  </span>
</template>
<style scoped>
.cue {
  position: relative;
  display: block;
}
.cue > svg + svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
</style>
