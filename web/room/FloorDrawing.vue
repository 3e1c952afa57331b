<script setup lang="ts">
import { mdiPowerSocketEu } from '@mdi/js'
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { boxOf, hasPlaces, placesOfItem, type Floor, type FloorItem } from '#core/floor'

/** A room from above, to scale. Things are dragged, or moved by the arrow keys; they keep within the walls. */
const props = defineProps<{ floor: Floor; labels: Record<string, { name: string; small: string }> }>()
const emit = defineEmits<{
  move: [i: FloorItem, byX: number, byY: number]
  turn: [i: FloorItem]
  remove: [i: FloorItem]
  places: [i: FloorItem, n: number]
}>()
const chosen = defineModel<string | undefined>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 800, height: 0 })
/** Pixels a millimetre. */
const scale = computed(() => Math.min(width.value / props.floor.widthMm, 500 / props.floor.depthMm))
const step = 50
const held = ref<{ id: string; x: number; y: number }>()

/** Screens count down, the room counts up from its near wall. */
function styleOf(i: FloorItem) {
  const b = boxOf(i)
  const by = held.value?.id === i.id ? held.value : { x: 0, y: 0 }
  return {
    left: `${(b.x + by.x) * scale.value}px`,
    bottom: `${(b.y + by.y) * scale.value}px`,
    width: `${Math.max(24, b.w * scale.value)}px`,
    height: `${Math.max(24, b.d * scale.value)}px`,
  }
}
function grab(e: PointerEvent, i: FloorItem) {
  chosen.value = i.id
  const target = e.currentTarget as HTMLElement
  target.setPointerCapture(e.pointerId)
  const by = (m: PointerEvent) => ({
    x: Math.round((m.clientX - e.clientX) / scale.value / step) * step,
    y: Math.round((e.clientY - m.clientY) / scale.value / step) * step,
  })
  const stop = () => {
    held.value = undefined
    for (const end of ends) end()
  }
  const ends = [
    useEventListener(target, 'pointermove', (m) => (held.value = { id: i.id, ...by(m) })),
    useEventListener(target, 'pointerup', (m) => {
      stop()
      const { x, y } = by(m)
      if (x !== 0 || y !== 0) emit('move', i, x, y)
    }),
    useEventListener(target, 'pointercancel', stop),
  ]
}
function key(e: KeyboardEvent, i: FloorItem) {
  const by = e.shiftKey ? 500 : 100
  const way: Record<string, [number, number]> = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }
  const n = placesOfItem(i)
  if (way[e.key]) emit('move', i, ...way[e.key]!)
  else if (e.key.toLowerCase() === 'r' && !e.ctrlKey && !e.metaKey) emit('turn', i)
  else if (e.key === 'Delete' || e.key === 'Backspace') emit('remove', i)
  else if (e.key === '+' && hasPlaces(i.kind)) emit('places', i, Math.min(60, n + 1))
  else if (e.key === '-' && hasPlaces(i.kind)) emit('places', i, Math.max(0, n - 1))
  else return
  e.preventDefault()
  e.stopPropagation()
}
</script>
<template>
  <div ref="box" class="holder">
    <div
      class="floor"
      :style="{ width: `${floor.widthMm * scale}px`, height: `${floor.depthMm * scale}px` }"
      @click.self="chosen = undefined"
    >
      <button
        v-for="i in floor.items"
        :key="i.id"
        type="button"
        class="plain thing"
        :class="[i.kind.replace(' ', '-'), { on: chosen === i.id, held: held?.id === i.id }]"
        :style="styleOf(i)"
        :aria-label="`${labels[i.id]!.name}. ${labels[i.id]!.small}`"
        :aria-pressed="chosen === i.id"
        @pointerdown="grab($event, i)"
        @focus="chosen = i.id"
        @keydown="key($event, i)"
      >
        <v-icon v-if="i.kind === 'power'" :icon="mdiPowerSocketEu" size="18" />
        <b v-else>{{ i.kind === 'post' ? labels[i.id]!.small : labels[i.id]!.name }}</b>
        <small v-if="i.kind !== 'post' && boxOf(i).d * scale > 40">{{ labels[i.id]!.small }}</small>
      </button>
    </div>
  </div>
</template>
<style scoped>
.holder {
  min-width: 0;
}
.floor {
  position: relative;
  border: 3px solid var(--text);
  background: var(--paper);
  box-sizing: content-box;
}
.thing {
  position: absolute;
  display: grid;
  align-content: center;
  justify-items: center;
  overflow: hidden;
  background: var(--stock);
  border: 2px solid var(--text);
  border-radius: var(--r-ctl);
  cursor: grab;
  touch-action: none;
  line-height: 1.1;
  text-align: center;
  font-size: var(--t-label);
}
.table b {
  font: 780 var(--t-h2) / 1 var(--f-head);
}
.thing small {
  color: var(--text-2);
  padding: 0 4px;
  max-height: 2.3em;
  overflow: hidden;
}
.basin {
  background: var(--water-wash);
  border-color: var(--water);
}
.heat-tool {
  background: var(--watch-wash);
  border-color: var(--watch);
}
.rack {
  background: var(--board);
}
.post {
  border-radius: 50%;
  border-style: dashed;
  background: var(--wash);
  border-color: var(--ink);
}
.power {
  border-radius: 50%;
  font-size: var(--t-fine);
}
.door {
  background: var(--paper);
  border-style: dashed;
}
.on {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
  z-index: 2;
}
.held {
  cursor: grabbing;
  z-index: 3;
}
</style>
