<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import type { PieceState, Recipe } from '#core/recipe'
import { sayShortDay, sayClock, inZone } from '#core/time'
import { clockOf, type House } from '#core/house'
import { stateWord } from '#core/phrases'
import PieceToken from '../ui/PieceToken.vue'
import { useDesk } from './desk'
import { unkeptCount } from './desk'

/** The ramp with live counts at the foot of every view, and whether everything is saved. */
const props = defineProps<{
  counts: Record<PieceState, number>
  states: readonly PieceState[]
  words: Recipe['words']
  house: House | undefined
}>()
const desk = useDesk()
const status = computed(() => {
  const unkept = unkeptCount.value ? tr(': keep this page open, the browser has no room for them') : ''
  if (desk.offline)
    return tr('Offline, {0} {1} here{2}', desk.pending.length, desk.pending.length === 1 ? tr('change waits') : tr('changes wait'), unkept)
  if (desk.pending.length) return 'saving'
  const h = props.house
  if (!h) return tr('all saved')
  const now = inZone(desk.now, h.timeZone)
  return tr('{0}, {1}, all saved', sayShortDay(now), sayClock(now, clockOf(h)))
})

// What stands above the strip (the pull-up on narrow screens) has to know how high it is.
const strip = ref<HTMLElement>()
useResizeObserver(strip, () => document.documentElement.style.setProperty('--strip', `${strip.value?.offsetHeight ?? 52}px`))
</script>
<template>
  <footer ref="strip" class="strip no-print">
    <div class="ramp" aria-hidden="true"><i v-for="s in states" :key="s" :class="s" /></div>
    <ul :aria-label="$t('Pieces by state')">
      <li v-for="s in states" :key="s" :class="{ none: counts[s] === 0 }">
        <PieceToken :state="s" :size="24" /> {{ stateWord(s, words) }} <strong>{{ counts[s] }}</strong>
      </li>
    </ul>
    <output class="status" :class="{ off: desk.offline }" aria-live="polite">{{ status }}</output>
  </footer>
</template>
<style scoped>
.strip {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 0;
  z-index: 5;
  background: var(--board);
  min-height: 52px;
  padding: var(--s-2) var(--s-page) var(--s-1);
  display: flex;
  align-items: center;
  gap: var(--s-4);
}
.ramp {
  position: absolute;
  top: 0;
  left: 20px;
  right: 30%;
  height: 7px;
  display: flex;
}
.ramp i {
  --r: 1px;
  flex: 1;
  background:
    radial-gradient(circle, var(--ink) var(--r), transparent calc(var(--r) + 0.6px)) 0 0 / 6px 6px,
    radial-gradient(circle, var(--ink) var(--r), transparent calc(var(--r) + 0.6px)) 3px 3px / 6px 6px;
}
.ramp .to-print {
  background: none;
  border-bottom: 2px dashed var(--ink);
}
.ramp .printed {
  --r: 0.6px;
}
.ramp .cured {
  --r: 1.5px;
}
.ramp .rub-1 {
  --r: 2px;
}
.ramp .rub-2 {
  --r: 2.6px;
}
.ramp .sealed {
  background: var(--ink);
}
ul {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px var(--s-4);
  padding: 0;
  margin: 0;
  flex: 1;
}
li {
  display: flex;
  align-items: center;
  gap: var(--s-2);
}
.none {
  color: var(--text-2);
}
.status {
  font: var(--t-small) var(--f-code);
  color: var(--text-2);
}
.off {
  color: var(--watch);
  font-weight: 700;
}
@media (max-width: 760px) {
  li.none {
    display: none;
  }
  li {
    font-size: var(--t-small);
    white-space: nowrap;
  }
  ul {
    gap: 2px var(--s-2);
  }
  .strip {
    padding: var(--s-2) var(--s-2) var(--s-1);
    gap: var(--s-2);
  }
  .status {
    font-size: var(--t-fine);
  }
}
</style>
