<script setup lang="ts">
import { computed } from 'vue'

/** A stage as the hand does it, drawn. Which drawing a stage has is said here by its id; a stage nobody drew shows its place. */
const props = defineProps<{ stage: string; station?: string | undefined }>()
type Motif =
  | 'sheet'
  | 'cut'
  | 'tape'
  | 'burnish'
  | 'basin'
  | 'rub'
  | 'rack'
  | 'mount'
  | 'brush'
  | 'press'
  | 'shelf'
  | 'sand'
  | 'mist'
  | 'peel'
  | 'heat'
  | 'spray'
  | 'wrap'
  | 'ready'
const motifs: Record<string, Motif> = {
  print: 'sheet',
  carrier: 'sheet',
  trim: 'cut',
  tape: 'tape',
  burnish: 'burnish',
  soak: 'basin',
  wet: 'basin',
  rub1: 'rub',
  rub2: 'rub',
  rub3: 'rub',
  look1: 'rack',
  look2: 'rack',
  dry: 'rack',
  tack: 'rack',
  set: 'rack',
  mount: 'mount',
  coat: 'brush',
  paint: 'brush',
  texture: 'brush',
  seal: 'brush',
  seal1: 'brush',
  seal2: 'brush',
  lay: 'press',
  shelve: 'shelf',
  sand: 'sand',
  scuff: 'sand',
  mist: 'mist',
  peel: 'peel',
  lift: 'peel',
  warm: 'heat',
  fix: 'spray',
  wrap: 'wrap',
  ready: 'ready',
}
const motif = computed<Motif>(() => motifs[props.stage] ?? (props.station === 'rack' ? 'rack' : 'ready'))
</script>
<template>
  <svg
    viewBox="0 0 110 80"
    class="draw"
    aria-hidden="true"
    fill="none"
    stroke="#241c17"
    stroke-width="2"
    stroke-linejoin="round"
    stroke-linecap="round"
  >
    <g v-if="motif === 'sheet'">
      <path d="M18 6h56l14 14v54H18z" fill="#fffdf8" />
      <path d="M74 6v14h14" />
      <g fill="#d9cdb8"><path d="M26 24h22v16H26zM56 24h22v16H56zM26 50h22v16H26zM56 50h22v16H56z" /></g>
    </g>
    <g v-else-if="motif === 'cut'">
      <path d="M14 12h60v54H14z" stroke-dasharray="5 4" />
      <path d="M24 22h40v34H24z" fill="#d9cdb8" />
      <circle cx="92" cy="62" r="7" />
      <circle cx="98" cy="44" r="7" />
      <path d="M86 58 56 34M92 40 58 48" />
    </g>
    <g v-else-if="motif === 'tape'">
      <path d="M22 12h66v56H22z" fill="#d9cdb8" />
      <path d="M8 20h94v18H8zM8 34h94v18H8zM8 48h94v18H8z" fill="#c7b2ff" fill-opacity=".45" stroke="#4a2a91" />
    </g>
    <g v-else-if="motif === 'burnish'">
      <path d="M18 18h62v50H18z" fill="#d9cdb8" />
      <path d="M60 44 96 8c6-4 12 4 6 10L70 52z" fill="#fffdf8" />
      <path d="M10 22v40m-4-7 4 8 4-8M24 74h44m-7-4 8 4-8 4" stroke="#4a2a91" />
    </g>
    <g v-else-if="motif === 'basin'">
      <path d="M10 34h90l-12 38H22z" fill="#d4e4e6" stroke="#1e5c75" />
      <path d="M10 34c14 8 22-6 36 0s22 6 34 0 14-2 20 0" stroke="#1e5c75" />
      <path d="M32 48l46-4 2 18-46 3z" fill="#fffdf8" />
      <path d="M40 8q6 6 0 12M56 6q6 6 0 12" stroke="#1e5c75" />
    </g>
    <g v-else-if="motif === 'rub'">
      <path d="M16 10h70v58H16z" fill="#d9cdb8" />
      <ellipse cx="50" cy="38" rx="24" ry="17" stroke="#4a2a91" />
      <path d="M74 38l-6 6m6-6-8-3" stroke="#4a2a91" />
      <path d="M66 46c6-4 12 2 16 8l14 22H76L62 54c-2-4 0-7 4-8z" fill="#fffdf8" />
      <path d="M20 74q4-4 8 0M34 76q4-4 8 0" />
    </g>
    <g v-else-if="motif === 'rack'">
      <path d="M12 60h86M16 60v14M94 60v14M26 60l4-6h34l4 6" />
      <path d="M30 20h36v32H30z" fill="#d9cdb8" />
      <circle cx="88" cy="30" r="13" fill="#fffdf8" />
      <path d="M88 30V17a13 13 0 0 1 13 13z" fill="#4a2a91" />
    </g>
    <g v-else-if="motif === 'mount'">
      <path d="M36 20h40c4 6 6 10 6 16v30c0 5-3 8-8 8H38c-5 0-8-3-8-8V36c0-6 2-10 6-16z" fill="#d4e4e6" />
      <path d="M36 8h40v12H36z" fill="#e6d2ac" />
      <path d="M42 36h28v26H42z" fill="#d9cdb8" />
    </g>
    <g v-else-if="motif === 'brush'">
      <path d="M12 44h86v24H12z" fill="#e6d2ac" />
      <path d="M12 44c12-4 22 3 34 0s20-2 28 0v10c-20 6-42-2-62 2z" fill="#fffdf8" />
      <path d="M66 40l10-16 12 8-10 14zM80 26 98 2l6 4-16 24z" fill="#d9cdb8" />
    </g>
    <g v-else-if="motif === 'press'">
      <path d="M12 56h86v16H12z" fill="#e6d2ac" />
      <path d="M20 48h70v8H20z" fill="#fffdf8" />
      <path d="M50 46 62 12h26L74 46z" fill="#d9cdb8" />
      <path d="M44 34H24m7-6-8 6 8 6" stroke="#4a2a91" />
    </g>
    <g v-else-if="motif === 'shelf'">
      <path d="M10 8v66M100 8v66M10 34h90M10 64h90" />
      <g fill="#d9cdb8"><path d="M20 24h22v8H20zM56 24h22v8H56zM20 54h22v8H20zM56 54h22v8H56z" /></g>
    </g>
    <g v-else-if="motif === 'sand'">
      <path d="M12 50h86v20H12z" fill="#e6d2ac" />
      <path d="M34 34h38v16H34z" fill="#cda77b" />
      <path d="M26 30H10m6-5-6 5 6 5M82 30h16m-6-5 6 5-6 5" stroke="#4a2a91" />
      <path d="M20 46l2 0M84 46l2 0M90 44l2 0" />
    </g>
    <g v-else-if="motif === 'mist'">
      <path d="M70 30h22v40c0 4-22 4-22 0zM74 30v-8h14v8M70 14h22v8H76z" fill="#d4e4e6" />
      <path d="M60 14h2M54 10h2M54 18h2M48 6h2M48 14h2M48 22h2" stroke="#1e5c75" stroke-width="3" />
      <path d="M12 40h36v28H12z" fill="#fffdf8" />
    </g>
    <g v-else-if="motif === 'peel'">
      <path d="M12 54h80v18H12z" fill="#e6d2ac" />
      <path d="M12 46h46v8H12z" fill="#d9cdb8" />
      <path d="M92 54H58C64 40 76 24 96 18c-2 14-4 26-4 36z" fill="#fffdf8" />
      <path d="M76 12c10-6 20-4 26 0" stroke="#4a2a91" />
    </g>
    <g v-else-if="motif === 'heat'">
      <path d="M62 12h32c6 0 6 20 0 20H62zM74 32h16v36H74z" fill="#fffdf8" />
      <path d="M52 14q-6 3-12 0t-12 0M52 22q-6 3-12 0t-12 0M52 30q-6 3-12 0t-12 0" stroke="#8a4b00" />
      <path d="M10 26h20v48H10z" fill="#f4ead2" />
    </g>
    <g v-else-if="motif === 'spray'">
      <path d="M62 28h28v46H62zM68 14h16v14H68z" fill="#d9cdb8" />
      <path d="M60 18H48M60 14 44 8M60 22 44 30M34 6v28M26 4v32" stroke="#1e5c75" />
    </g>
    <g v-else-if="motif === 'wrap'">
      <path d="M40 10h34v64H40z" fill="#f4ead2" />
      <path d="M40 24h34v34H40z" fill="#d9cdb8" />
      <path d="M74 20c16 4 22 20 20 40M20 60c-2-20 4-36 20-40" />
    </g>
    <g v-else>
      <path d="M12 20h40v30H12z" fill="#d9cdb8" />
      <path d="M62 18h34v10H62zM62 36h34v10H62zM12 60h84v8H12z" />
    </g>
  </svg>
</template>
<style scoped>
.draw {
  width: 110px;
  height: 80px;
}
</style>
