<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Crop, PictureFinding } from '#core/pictures'
import type { Outline } from '#core/recipe'
import type { Picture } from '#core/workshop'
import { pieceClip } from '../ui/pieceClip'
import { paintFinding, paintPlaced, pictureUrl } from './paint'

/** A picture as it is placed on its piece, drawn with what is found in it. */
const props = defineProps<{
  workshop: string
  picture: Picture
  print: { widthMm: number; heightMm: number }
  width: number
  height: number
  finding?: PictureFinding | undefined
  surface?: string
  mirrored?: boolean
  size?: 'thumb' | 'view'
  outline?: Outline
  /** Of a tile: the part of the whole that it shows. */
  part?: Crop
}>()
const canvas = ref<HTMLCanvasElement>()
const gone = ref(false)
let image: HTMLImageElement | undefined
let shown = ''

async function paint() {
  const c = canvas.value
  if (!c || !near) return
  const url = pictureUrl(props.workshop, props.picture.id, props.size ?? 'thumb')
  if (shown !== url) {
    shown = url
    const next = new Image()
    next.src = url
    try {
      await next.decode()
    } catch {
      // Erased, or not reachable: the place says so.
      gone.value = true
      return
    }
    if (shown !== url) return
    image = next
    gone.value = false
  }
  const ctx = c.getContext('2d', { willReadFrequently: true })
  if (!ctx || !image) return
  paintPlaced(ctx, image, props.picture, props.print, props.part)
  paintFinding(ctx, props.finding, props.surface ?? '#E6D2AC')
}
/** A picture is fetched and drawn once it comes near the screen: four hundred of them cost no more than those that are seen. */
let near = false
const { stop } = useIntersectionObserver(
  canvas,
  (seen) => {
    if (!seen.some((x) => x.isIntersecting)) return
    near = true
    stop()
    void paint()
  },
  { rootMargin: '300px' },
)
/** What the drawing depends on, as text: an equal picture from another plan is not drawn again. */
const looks = computed(() => {
  const { id, width, height, edit } = props.picture
  const { widthMm, heightMm } = props.print
  return JSON.stringify([
    id,
    width,
    height,
    edit,
    widthMm,
    heightMm,
    props.finding?.code,
    props.surface,
    props.width,
    props.height,
    props.part,
  ])
})
watch(looks, paint, { flush: 'post' })
</script>
<template>
  <span class="holder" :style="{ width: `${width}px`, height: `${height}px` }">
    <canvas
      ref="canvas"
      :width="Math.round(width * 2)"
      :height="Math.round(height * 2)"
      :class="{ flip: mirrored }"
      :style="pieceClip(outline ?? 'straight', false, part)"
    />
    <span v-if="gone" class="gone small">{{ $t('not reachable') }}</span>
  </span>
</template>
<style scoped>
.holder {
  display: block;
  position: relative;
  overflow: hidden;
  background: #fff;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
}
.flip {
  transform: scaleX(-1);
}
.gone {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  color: #5b5046;
}
</style>
