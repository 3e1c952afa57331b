<script setup lang="ts">
import { computed } from 'vue'
import { borderOf, windowOf, type LaidPrint, type LaidSheet } from '#core/prints'
import type { Paper } from '#core/house'
import type { Outline } from '#core/recipe'
import CroppedPicture from '../pictures/CroppedPicture.vue'

/** A sheet to scale as it leaves the printer: the unprintable edge dotted, mirrored prints mirrored, missing ones dashed. */
const props = defineProps<{
  sheet: LaidSheet
  paper: Paper
  workshop: string
  size: { widthMm: number; heightMm: number }
  mirrored: boolean
  outline: Outline
  scale: number
  small?: boolean
}>()
const px = (mm: number) => mm * props.scale
/** The picture inside its border, lying as the print does. */
function picture(p: LaidPrint) {
  const border = borderOf(p.print)
  const [w, h] = [p.print.widthMm - 2 * border, p.print.heightMm - 2 * border]
  return { w: px(w), h: px(h) }
}
const box = (p: LaidPrint) => ({
  left: `${px(p.xMm)}px`,
  bottom: `${px(p.yMm)}px`,
  width: `${px(p.widthMm)}px`,
  height: `${px(p.heightMm)}px`,
})
const style = computed(() => ({ width: `${px(props.paper.widthMm)}px`, height: `${px(props.paper.heightMm)}px` }))
</script>
<template>
  <span class="paper" :class="{ small }" :style="style">
    <i class="edge" :style="{ inset: `${px(paper.marginMm)}px` }" />
    <span v-for="p in sheet.places" :key="p.print.id" class="place" :class="{ waits: !p.print.picture }" :style="box(p)">
      <span v-if="p.print.picture" :style="{ transform: p.turned ? 'rotate(90deg)' : undefined }"
        ><CroppedPicture
          :workshop="workshop"
          :picture="p.print.picture"
          :print="size"
          :width="picture(p).w"
          :height="picture(p).h"
          :mirrored="mirrored"
          :outline="outline"
          :part="windowOf(p.print, size)"
          :size="small ? 'thumb' : 'view'"
      /></span>
      <slot name="place" :place="p" />
    </span>
    <slot />
  </span>
</template>
<style scoped>
.paper {
  display: block;
  position: relative;
  background: #fff;
  box-shadow: 4px 4px 0 0 var(--night);
  color: #241c17;
}
.paper.small {
  box-shadow: 0 0 0 1px var(--edge);
}
.edge {
  position: absolute;
  border: 1px dotted #8a7b66;
}
.small .edge {
  display: none;
}
.place {
  position: absolute;
  display: grid;
  place-items: center;
  outline: 1px solid #8a7b66;
}
.small .place {
  outline: none;
}
.waits,
.small .waits {
  outline: 1.5px dashed #8a7b66;
  outline-offset: -1px;
}
</style>
