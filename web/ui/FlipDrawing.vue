<script setup lang="ts">
import { t as tr } from '#core/language'
import type { Drawing } from '#core/workshop'
import HouseDrawing from './HouseDrawing.vue'

/** Each flip on the way from file to finished piece, drawn: a turned picture is drawn turned, lettering with it. */
const props = defineProps<{ drawing: Drawing; mirrored: boolean; faceDown: boolean; seenThrough: boolean; lettering: boolean }>()
const steps = () => {
  const turned: { name: string; flip: boolean }[] = [{ name: tr('the picture'), flip: false }]
  let flip = false
  const add = (name: string, turns: boolean) => {
    if (turns) flip = !flip
    turned.push({ name, flip })
  }
  add(props.mirrored ? tr('printed mirrored') : tr('printed as it is'), props.mirrored)
  if (props.faceDown) add(tr('laid face down'), true)
  if (props.seenThrough) add(tr('seen through it'), true)
  return turned
}
</script>
<template>
  <ol class="flips" :aria-label="$t('Flips')">
    <li v-for="(s, i) in steps()" :key="i">
      <span class="pic" :style="{ transform: s.flip ? 'scaleX(-1)' : undefined }" aria-hidden="true"
        ><HouseDrawing :drawing="drawing" :width="54" /><b v-if="lettering">{{ $t('ferry') }}</b></span
      ><span class="small"
        >{{ $t(s.name) }}<span class="sr">{{ s.flip ? $t(': turned round') : $t(': reads right') }}</span></span
      >
    </li>
  </ol>
</template>
<style scoped>
.flips {
  list-style: none;
  padding: 0;
  display: flex;
  gap: var(--s-4);
  flex-wrap: wrap;
  margin: var(--s-1) 0;
}
li {
  display: grid;
  justify-items: center;
  gap: var(--s-1);
  position: relative;
}
li + li::before {
  content: '';
  position: absolute;
  left: -14px;
  top: 26px;
  width: 10px;
  height: 2px;
  background: var(--text);
}
.pic {
  display: grid;
  place-items: center;
  width: 76px;
  min-height: 54px;
  background: #fbf8f1;
  color: #241c17;
  border: 1.5px solid #241c17;
  line-height: 1;
}
</style>
