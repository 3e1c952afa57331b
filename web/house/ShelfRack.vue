<script setup lang="ts">
import { computed } from 'vue'
import type { House } from '#core/house'
import type { OnShelf } from '#core/plan'
import type { Place } from '#core/shelf'

/** The boards of the rack from above, to scale, with what lies on them; a rack that was only counted as its numbered places. */
const props = defineProps<{ house: House; lying: readonly (OnShelf & { place: Place | undefined; letter: string; ready: boolean })[] }>()
const boards = computed(() =>
  (props.house.rack ?? []).map((b) => ({
    ...b,
    lies: props.lying.flatMap(({ place, letter, ready }) => (place?.board === b.id ? [{ ...place, letter, ready }] : [])),
  })),
)
const counted = computed(() => {
  const by = new Map(props.lying.map((x) => [x.place?.label, x]))
  return Array.from({ length: Math.min(400, props.house.shelfPlaces) }, (_, i) => ({ n: i + 1, x: by.get(String(i + 1)) }))
})
</script>
<template>
  <div v-if="boards.length" class="rack">
    <figure v-for="b in boards" :key="b.id">
      <figcaption class="small">
        <b>{{ b.name }}</b> <span class="two">{{ $t('{0} lie there', b.lies.length) }}</span>
      </figcaption>
      <svg :viewBox="`0 0 ${b.widthMm} ${b.depthMm}`" :style="{ maxHeight: '150px' }" aria-hidden="true">
        <rect :width="b.widthMm" :height="b.depthMm" class="board" />
        <g v-for="p in b.lies" :key="p.id" :transform="`translate(${p.xMm} ${b.depthMm - p.yMm - p.depthMm})`">
          <rect :width="p.widthMm - 8" :height="p.depthMm - 8" class="piece" :class="{ ready: p.ready }" />
          <text :x="p.widthMm / 2 - 4" :y="p.depthMm / 2" :font-size="Math.min(p.widthMm, p.depthMm) / 2.6" :class="{ ready: p.ready }">
            {{ p.letter }}
          </text>
        </g>
      </svg>
    </figure>
  </div>
  <ol v-else class="bare counted">
    <li v-for="c in counted" :key="c.n" :class="{ taken: c.x, ready: c.x?.ready }">
      <span v-if="c.x">{{ c.x.letter }}</span><small v-else>{{ c.n }}</small>
    </li>
  </ol>
</template>
<style scoped>
.rack {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: var(--s-2);
}
figure {
  margin: 0;
}
svg {
  width: 100%;
  display: block;
}
.board {
  fill: var(--board);
  stroke: var(--edge);
  stroke-width: 4;
}
.piece {
  fill: var(--stock);
  stroke: var(--ink);
  stroke-width: 4;
}
.piece.ready {
  fill: var(--ink);
}
text {
  fill: var(--ink);
  font-weight: 700;
  text-anchor: middle;
  dominant-baseline: middle;
}
text.ready {
  fill: var(--on-ink);
}
.counted {
  display: grid;
  grid-template-columns: repeat(auto-fill, 30px);
  gap: 3px;
  background: var(--board);
  padding: var(--s-2);
  border: 1.5px solid var(--edge);
  list-style: none;
}
.counted li {
  display: grid;
  place-items: center;
  width: 30px;
  height: 30px;
  border: 1px dashed var(--edge);
  color: var(--text-2);
}
.counted .taken {
  border: 1.5px solid var(--ink);
  background: var(--stock);
  color: var(--ink);
  font-weight: 700;
}
.counted .ready {
  background: var(--ink);
  color: var(--on-ink);
}
</style>
