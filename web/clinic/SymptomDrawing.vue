<script setup lang="ts">
/** What is seen, drawn on one corner of the same moth's wing: only what differs is drawn over it. */
defineProps<{ symptom: string }>()
</script>
<template>
  <svg viewBox="0 0 84 60" class="tile" aria-hidden="true">
    <rect width="84" height="60" fill="#fffdf8" />
    <g
      v-if="symptom !== 'backwards'"
      :transform="symptom === 'doubled' ? undefined : ''"
      stroke="#241c17"
      stroke-width="2"
      :opacity="symptom === 'pale' || symptom === 'stays' ? 0.28 : 1"
    >
      <path d="M0 14C24-2 58 2 86 20v24C60 56 28 60 0 48z" fill="#d9cdb8" />
      <path d="M0 30c26-8 56-2 84 8M20 8c6 12 6 30 2 46M48 8c8 14 8 28 4 44" fill="none" />
      <circle cx="38" cy="28" r="9" fill="#fffdf8" />
      <circle cx="38" cy="28" r="4" fill="#241c17" />
      <path v-if="symptom === 'doubled'" d="M4 18c26-16 58-12 84 6M24 12c6 12 6 30 2 46M4 34c26-8 56-2 84 8" fill="none" opacity=".5" />
    </g>
    <g v-if="symptom === 'haze'" fill="#fffdf8" fill-opacity=".8">
      <path d="M4 6h52l-6 16 12 6-8 14H10l4-14-10-8z" />
      <path d="M60 34h18v12H58zM30 46h14v8H28z" />
    </g>
    <path
      v-else-if="symptom === 'bald'"
      d="M30 14h22l6 10-6 14H34l-8-10z"
      fill="#fffdf8"
      stroke="#8a4b00"
      stroke-width="2"
      stroke-dasharray="4 3"
    />
    <g v-else-if="symptom === 'lifts'">
      <path d="M18 20l34-6 10 12-36 16z" fill="#fffdf8" />
      <path d="M52 34c12-6 22-4 32 2v14c-12 0-26-2-32-10z" fill="#f4ecdf" stroke="#241c17" stroke-width="1.6" />
      <path d="M52 34c-2 3-2 5 0 6" stroke="#4a2a91" stroke-width="4" />
    </g>
    <g v-else-if="symptom === 'stays'">
      <path d="M0 0h56l-6 14 8 12-10 14 6 20H0z" fill="#fffdf8" stroke="#8a7b66" />
      <path d="M8 10l10 3M22 30l12 2M10 44l12-3M30 14l8 4" stroke="#cdbfa8" stroke-width="1.6" />
    </g>
    <g v-else-if="symptom === 'runs'" fill="#5b5046" fill-opacity=".65">
      <path d="M22 30h5v24c0 5-5 5-5 0zM34 34h7v20c0 6-7 6-7 0zM52 30h5v26c0 5-5 5-5 0zM66 34h6v18c0 5-6 5-6 0z" />
    </g>
    <g v-else-if="symptom === 'backwards'">
      <text
        x="42"
        y="36"
        text-anchor="middle"
        transform="matrix(-1 0 0 1 84 0)"
        font-size="24"
        font-weight="700"
        fill="#241c17"
        font-family="var(--f-head)"
      >
        {{ $t('FERRY') }}
      </text>
      <path d="M8 48q6-5 12 0t12 0 12 0 12 0 12 0 8 0" fill="none" stroke="#241c17" stroke-width="1.8" />
    </g>
    <g v-else-if="symptom === 'blocky'">
      <g v-for="y in 5" :key="y">
        <rect
          v-for="x in 7"
          :key="x"
          :x="(x - 1) * 12"
          :y="(y - 1) * 12"
          width="12"
          height="12"
          :fill="['#5b5046', '#8a7b66', '#d9cdb8', '#241c17'][(x * 3 + y * 5) % 4]"
          :fill-opacity="(x + y) % 3 === 0 ? 0.15 : 0.75"
        />
      </g>
    </g>
    <path v-else-if="symptom === 'edge'" d="M58 0h26v60H58z" fill="#fffdf8" stroke="#241c17" stroke-width="2" />
    <path v-else-if="symptom === 'seam'" d="M42 0v60M46 0v60" stroke="#fffdf8" stroke-width="3" />
    <g v-else-if="symptom === 'goop'" fill="#e6d2ac" stroke="#8a7b66" stroke-width="1.5">
      <path d="M0 50c8-8 14 2 22-2s14-6 22 0 16 4 22-2 12 0 18 2v14H0z" />
    </g>
    <path
      v-else-if="symptom === 'cloudy'"
      d="M0 0h84v60H0zM0 12h84M0 26h84M0 40h84"
      fill="#fffdf8"
      fill-opacity=".62"
      stroke="#fffdf8"
      stroke-width="4"
    />
    <path v-else-if="symptom === 'tissue'" d="M12 6 70 2 78 52 18 56z" fill="none" stroke="#fffdf8" stroke-width="6" />
    <path
      v-else-if="symptom === 'torn'"
      d="M0 34l12-8 8 10 12-12 10 14 12-10 10 10 10-8 10 8v22H0z"
      fill="#e6dcc9"
      stroke="#fffdf8"
      stroke-width="3"
    />
    <g v-else-if="symptom === 'wrinkles'" fill="none" stroke="#fffdf8" stroke-width="4">
      <path d="M0 16q20 8 42 0t42 2M0 32q22-8 44 0t40-2M0 47q20 8 42 0t42 3" />
    </g>
    <g v-else-if="symptom === 'drips'" fill="#f4ead2" stroke="#8a7b66" stroke-width="1.5">
      <path d="M16 0h10v34c0 7-10 7-10 0zM52 0h8v44c0 6-8 6-8 0z" />
      <circle cx="38" cy="24" r="6" />
      <circle cx="70" cy="36" r="5" />
    </g>
    <g v-else-if="symptom === 'outline'" fill="none">
      <path d="M12 8h58v44H12z" stroke="#fffdf8" stroke-width="5" />
      <path d="M9 5h64v50H9z" stroke="#8a7b66" stroke-width="1.4" />
    </g>
    <g v-else-if="symptom === 'grain'" fill="none" stroke="#8a4b00" stroke-opacity=".55" stroke-width="1.6">
      <path d="M0 10q42 8 84-2M0 20q40 8 84 0M0 32q24 2 34-3 10-6 20 0 12 6 30 2M0 42q22 4 34 1 12 5 22 1 12-4 28 0M0 52q40-6 84 0" />
      <ellipse cx="44" cy="36" rx="9" ry="5" />
    </g>
    <path
      v-else-if="symptom === 'brush'"
      d="M0 6h84M0 9h70M0 18h84M8 21h76M0 31h84M0 34h60M0 44h84M14 47h70M0 55h84"
      stroke="#fffdf8"
      stroke-width="2"
      stroke-opacity=".85"
    />
    <g v-else-if="symptom === 'tacky'" fill="none" stroke="#241c17" stroke-width="1.4">
      <path d="M34 46c-4-22 2-34 12-34s16 12 12 34" fill="#fffdf8" fill-opacity=".7" />
      <path d="M38 44c-3-16 1-26 8-26s11 10 8 26M42 44c-2-10 0-18 4-18s6 8 4 18M46 44V32" />
    </g>
    <g v-else-if="symptom === 'off-centre'">
      <path d="M14 14l60-8 6 38-60 10z" fill="#d4e4e6" fill-opacity=".6" stroke="#241c17" stroke-width="1.8" />
      <path d="M30 24q5-5 9 1M50 36q6-2 7 4M36 40l4 3M60 20l5 2" fill="none" stroke="#241c17" stroke-width="1.4" />
    </g>
    <g v-else-if="symptom === 'jammed'" fill="#fffdf8" stroke="#241c17" stroke-width="1.6">
      <path d="M10 8h64v10H10z" />
      <path d="M18 18l8 10-8 8 10 8-6 12h40l-6-10 10-8-10-10 8-10z" />
      <path d="M28 28h22M26 38h28" stroke="#4a2a91" stroke-width="3" />
    </g>
    <g v-else-if="symptom === 'beads'" fill="#4a2a91" fill-opacity=".7">
      <circle v-for="n in 12" :key="n" :cx="((n * 37) % 80) + 2" :cy="((n * 23) % 54) + 3" :r="2 + (n % 3)" />
      <path d="M20 40q20-8 40-2-18 6-40 2z" fill-opacity=".4" />
    </g>
    <path v-else-if="symptom === 'lets-go'" d="M84 60H40C52 48 66 38 84 34z" fill="#d4e4e6" stroke="#241c17" stroke-width="2" />
  </svg>
</template>
<style scoped>
.tile {
  display: block;
  width: 100%;
  border: 1px solid var(--edge);
}
</style>
