<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { PreviewOptions } from '#core/preview'
import type { PrintBox } from '#core/pictures'
import type { Picture } from '#core/workshop'
import { paintPlaced, pictureUrl } from './paint'
import PieceEdge from '../ui/PieceEdge.vue'
import { pieceClip } from '../ui/pieceClip'
import { usePreview } from './usePreview'

/** Left the print as it leaves the printer, right the piece as it will look: a preview. Marks are drawn by hand on the print. */
const props = defineProps<{
  workshop: string
  picture: Picture
  print: { widthMm: number; heightMm: number }
  mirrored: boolean
  options: PreviewOptions
  boxes: readonly (PrintBox & { what: string })[]
  seams: readonly { fromMm: number; toMm: number; along: boolean }[]
  marking: 'face' | 'lettering' | ''
  as: string
  on: string
}>()
const emit = defineEmits<{ mark: [{ x: number; y: number; w: number; h: number }] }>()
const printed = ref<HTMLCanvasElement>()
const piece = ref<HTMLCanvasElement>()
const { show, problem } = usePreview()
/** So many pixels across are previewed: twice what is shown. */
const size = computed(() => {
  const k = 560 / Math.max(props.print.widthMm, props.print.heightMm * 1.35)
  return { width: Math.round(props.print.widthMm * k), height: Math.round(props.print.heightMm * k) }
})
const flat = document.createElement('canvas')
let image: HTMLImageElement | undefined
let shown = ''
const missing = ref(false)

async function load() {
  const url = pictureUrl(props.workshop, props.picture.id, 'view')
  if (shown === url) return
  shown = url
  const next = new Image()
  next.src = url
  try {
    await next.decode()
  } catch {
    missing.value = true
    return
  }
  if (shown !== url) return
  missing.value = false
  image = next
}
async function paint() {
  await load()
  if (!image || !printed.value || !piece.value) return
  flat.width = size.value.width
  flat.height = size.value.height
  const from = flat.getContext('2d', { willReadFrequently: true })!
  paintPlaced(from, image, props.picture, props.print)
  const left = printed.value.getContext('2d')!
  left.setTransform(props.mirrored ? -1 : 1, 0, 0, 1, props.mirrored ? flat.width : 0, 0)
  left.drawImage(flat, 0, 0)
  left.setTransform(1, 0, 0, 1, 0, 0)
  show(from, piece.value.getContext('2d')!, props.options)
}
onMounted(paint)
watch(() => [props.picture, props.print, props.mirrored, props.options, size.value], paint, { flush: 'post', deep: true })

const pulled = ref<{ x: number; y: number; w: number; h: number }>()
let start: { x: number; y: number } | undefined
const at = (e: PointerEvent) => {
  const r = (e.currentTarget as HTMLElement).getBoundingClientRect()
  const x = Math.min(1, Math.max(0, (e.clientX - r.left) / r.width))
  return { x: props.mirrored ? 1 - x : x, y: Math.min(1, Math.max(0, (e.clientY - r.top) / r.height)) }
}
function down(e: PointerEvent) {
  if (!props.marking) return
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  start = at(e)
}
function move(e: PointerEvent) {
  if (!start) return
  const p = at(e)
  pulled.value = { x: Math.min(p.x, start.x), y: Math.min(p.y, start.y), w: Math.abs(p.x - start.x), h: Math.abs(p.y - start.y) }
}
function up() {
  const p = pulled.value
  start = pulled.value = undefined
  if (p && p.w > 0.02 && p.h > 0.02) emit('mark', p)
}
/** A box of the print in per cent of what is drawn, mirrored with it. */
const css = (b: PrintBox) => ({
  left: `${(100 * (props.mirrored ? props.print.widthMm - b.xMm - b.widthMm : b.xMm)) / props.print.widthMm}%`,
  bottom: `${(100 * b.yMm) / props.print.heightMm}%`,
  width: `${(100 * b.widthMm) / props.print.widthMm}%`,
  height: `${(100 * b.heightMm) / props.print.heightMm}%`,
})
const pulledBox = computed((): PrintBox | undefined => {
  const p = pulled.value
  const { widthMm: w, heightMm: h } = props.print
  return p && { xMm: p.x * w, yMm: (1 - p.y - p.h) * h, widthMm: p.w * w, heightMm: p.h * h }
})
const seamBox = (s: { fromMm: number; toMm: number; along: boolean }): PrintBox =>
  s.along
    ? { xMm: s.fromMm, yMm: 0, widthMm: s.toMm - s.fromMm, heightMm: props.print.heightMm }
    : { xMm: 0, yMm: s.fromMm, widthMm: props.print.widthMm, heightMm: s.toMm - s.fromMm }
</script>
<template>
  <div class="pair">
    <figure>
      <span class="paper" :class="{ hand: marking }" @pointerdown="down" @pointermove="move" @pointerup="up" @pointercancel="up">
        <canvas
          ref="printed"
          :width="size.width"
          :height="size.height"
          role="img"
          :aria-label="$t('The print, {0}', mirrored ? $t('mirrored') : $t('as it is'))"
          :style="pieceClip(options.outline, mirrored)"
        />
        <PieceEdge v-if="options.outline !== 'straight'" :outline="options.outline" :mirrored="mirrored" dashed />
        <i v-for="(s, i) in seams" :key="`s${i}`" class="seam" :style="css(seamBox(s))" />
        <i v-for="(b, i) in boxes" :key="i" class="box" :style="css(b)"
          ><span class="small">{{ b.what }}</span></i
        >
        <i v-if="pulledBox" class="box" :style="css(pulledBox)" />
      </span>
      <figcaption class="small">
        <b>{{ $t('As printed') }}</b>, {{ as }}
      </figcaption>
    </figure>
    <span class="arrow" aria-hidden="true">→</span>
    <figure>
      <span class="piece"
        ><canvas
          ref="piece"
          :style="pieceClip(options.outline)"
          :width="size.width"
          :height="size.height"
          role="img"
          :aria-label="$t('Preview of the piece: {0}', on)" /><PieceEdge :outline="options.outline"
      /></span>
      <figcaption class="small">
        <b>{{ $t('Preview') }}</b>, {{ on }}
      </figcaption>
    </figure>
    <p v-if="problem || missing" role="alert" class="stop small">
      {{ $t('{0} Reload the page; nothing is lost.', missing ? $t('The picture cannot be fetched just now.') : problem) }}
    </p>
  </div>
</template>
<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  gap: var(--s-3);
  align-items: center;
}
figure {
  margin: 0;
  min-width: 0;
}
.paper {
  display: block;
  position: relative;
  border: 1px solid #241c17;
  background: #fff;
}
.hand {
  cursor: crosshair;
  touch-action: none;
}
canvas {
  background: var(--board);
  display: block;
  width: 100%;
}
.piece {
  display: block;
  position: relative;
  filter: drop-shadow(5px 5px 0 var(--edge));
}
.arrow {
  font: 700 var(--t-big)/1 var(--f-head);
  color: var(--ink);
}
.seam {
  position: absolute;
  background: #4a2a91;
  opacity: 0.18;
  pointer-events: none;
}
.box {
  position: absolute;
  border: 2px dashed #8a4b00;
  font-style: normal;
  pointer-events: none;
}
.box span {
  position: absolute;
  left: 0;
  bottom: 100%;
  background: #f6e2be;
  color: #241c17;
  padding: 0 var(--s-1);
  white-space: nowrap;
}
figcaption {
  margin-top: var(--s-1);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: 1fr;
  }
  .arrow {
    justify-self: center;
    transform: rotate(90deg);
  }
}
</style>
