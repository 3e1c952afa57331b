<script setup lang="ts">
import Cropper from 'cropperjs'
import 'cropperjs/dist/cropper.css'
import { onBeforeUnmount, ref } from 'vue'
import { cropOf, turnedBox } from '#core/pictures'
import type { Outline } from '#core/recipe'
import { asItIs, type Picture, type PictureEdit } from '#core/workshop'
import { pieceClip } from '../ui/pieceClip'
import { pictureUrl } from './paint'

/** Places a picture on its piece: crop, straighten, turn. The stored picture stays as it is. */
const props = defineProps<{ workshop: string; picture: Picture; print: { widthMm: number; heightMm: number }; outline: Outline }>()
const emit = defineEmits<{ place: [Pick<PictureEdit, 'turn' | 'crop'>]; close: [] }>()
const image = ref<HTMLImageElement>()
const fine = ref(0)
const quarter = ref(0)
let cropper: Cropper | undefined

function begin() {
  const turn = (props.picture.edit ?? asItIs).turn
  quarter.value = Math.round(turn / 90) * 90
  fine.value = Number((turn - quarter.value).toFixed(1))
  cropper = new Cropper(image.value!, {
    aspectRatio: props.print.widthMm / props.print.heightMm,
    viewMode: 0,
    background: false,
    dragMode: 'move',
    autoCropArea: 1,
    checkOrientation: false,
    checkCrossOrigin: false,
    responsive: true,
    ready: () => {
      cropper!.rotateTo(turn)
      placeCrop()
    },
  })
}
/** The stored crop in the pixels of the picture that is shown. */
function placeCrop() {
  const k = image.value!.naturalWidth / props.picture.width
  const box = turnedBox(props.picture)
  const c = cropOf(props.picture, props.print)
  cropper!.setData({ x: c.x * box.width * k, y: c.y * box.height * k, width: c.w * box.width * k, height: c.h * box.height * k })
}
const turnNow = () => {
  const t = quarter.value + Number(fine.value)
  return t > 180 ? t - 360 : t < -180 ? t + 360 : t
}
const turn = () => cropper?.rotateTo(turnNow())
function turnQuarter(by: number) {
  quarter.value = ((quarter.value + by + 540) % 360) - 180
  turn()
}
/** By keys and buttons what a hand does by pulling. */
const nudge = (x: number, y: number) => {
  const d = cropper!.getData()
  cropper!.setData({ ...d, x: d.x + x * d.width * 0.02, y: d.y + y * d.height * 0.02 })
}
const grow = (by: number) => {
  const d = cropper!.getData()
  const [w, h] = [d.width * by, d.height * by]
  cropper!.setData({ ...d, x: d.x + (d.width - w) / 2, y: d.y + (d.height - h) / 2, width: w, height: h })
}
function onKey(e: KeyboardEvent) {
  if ((e.target as HTMLElement).tagName === 'INPUT') return
  const moves: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const move = moves[e.key]
  if (!move) return
  e.preventDefault()
  nudge(...move)
}
function done() {
  const k = image.value!.naturalWidth / props.picture.width
  const box = turnedBox({ ...props.picture, edit: { ...asItIs, turn: turnNow() } })
  const d = cropper!.getData()
  const share = (n: number) => Math.min(1, Math.max(0, Number(n.toFixed(5))))
  emit('place', {
    turn: turnNow(),
    crop: {
      x: share(d.x / k / box.width),
      y: share(d.y / k / box.height),
      w: share(d.width / k / box.width),
      h: share(d.height / k / box.height),
    },
  })
}
onBeforeUnmount(() => cropper?.destroy())
</script>
<template>
  <v-dialog :model-value="true" max-width="760" @update:model-value="emit('close')">
    <div class="box above" role="dialog" :aria-label="$t('Place the picture')" tabindex="-1" @keydown="onKey">
      <h2>{{ $t('Place the picture') }}</h2>
      <div class="stage" :class="{ cut: outline !== 'straight' }" :style="{ '--cut': pieceClip(outline).clipPath }">
        <img ref="image" :src="pictureUrl(workshop, picture.id, 'view')" alt="" @load.once="begin" />
      </div>
      <div class="tools">
        <label class="straight"
          ><span class="label">{{ $t('Straighten, {0}°', Number(fine).toFixed(1)) }}</span
          ><input v-model="fine" type="range" min="-20" max="20" step="0.1" :aria-label="$t('Straighten, degrees')" @input="turn"
        /></label>
        <v-btn @click="turnQuarter(-90)">{{ $t('Turn left') }}</v-btn><v-btn @click="turnQuarter(90)">{{ $t('Turn right') }}</v-btn>
        <v-btn :aria-label="$t('Crop closer')" @click="grow(0.95)">{{ $t('Closer') }}</v-btn><v-btn
          :aria-label="$t('Crop wider')"
          @click="grow(1.05)"
          >{{ $t('Wider') }}</v-btn
        >
        <span class="arrows"
          ><v-btn :aria-label="$t('Crop left')" @click="nudge(-1, 0)">←</v-btn
          ><v-btn :aria-label="$t('Crop up')" @click="nudge(0, -1)">↑</v-btn
          ><v-btn :aria-label="$t('Crop down')" @click="nudge(0, 1)">↓</v-btn
          ><v-btn :aria-label="$t('Crop right')" @click="nudge(1, 0)">→</v-btn></span
        >
      </div>
      <p class="small two">{{ $t('The frame has the piece’s shape. The picture itself is never changed.') }}</p>
      <div class="ends tools">
        <v-btn @click="emit('close')">{{ $t('Leave it') }}</v-btn><v-btn color="primary" variant="flat" @click="done">{{
          $t('Place it so')
        }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>
<style scoped>
.box {
  padding: var(--s-4) var(--s-page);
}
.stage {
  height: min(52vh, 440px);
  background: var(--board);
  margin: var(--s-2) 0 var(--s-3);
}
.stage img {
  display: block;
  max-width: 100%;
}
.stage :deep(.cropper-view-box),
.stage :deep(.cropper-line),
.stage :deep(.cropper-point) {
  outline-color: #4a2a91;
  background-color: #4a2a91;
}
.stage :deep(.cropper-view-box) {
  background: none;
}
.cut :deep(.cropper-view-box) {
  clip-path: var(--cut);
}
.straight {
  flex: 1 1 200px;
}
.straight input {
  width: 100%;
  accent-color: var(--ink);
  min-height: 28px;
}
.ends {
  justify-content: flex-end;
  margin-top: var(--s-2);
}
</style>
