<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '#core/plan'
import type { Phrases } from '#core/phrases'
import SourceMark from '../ui/SourceMark.vue'

/** What lies on the shelf, from when to when, and when it may be rubbed. `at` says where a moment stands, in per cent. */
const props = defineProps<{ plan: Plan; say: Phrases; at: (moment: string) => number }>()
const cure = computed(() => props.plan.split.cure)
const clamp = (n: number) => Math.min(100, Math.max(0, n))
</script>
<template>
  <div
    v-if="plan.shelf"
    class="shelf"
    :class="{ over: plan.shelf.places > plan.shelf.capacity }"
    :style="{ left: `${at(plan.shelf.from)}%`, width: `${at(plan.shelf.to) - at(plan.shelf.from)}%` }"
  >
    <svg width="100%" height="100%" aria-hidden="true">
      <defs>
        <pattern id="dots" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--stock)" />
          <circle cx="4.5" cy="4.5" r="2.3" fill="var(--ink)" />
        </pattern>
      </defs>
      <rect width="100%" height="100%" fill="url(#dots)" stroke="var(--ink)" stroke-width="3" /></svg
    ><b>{{ $t('{0} of {1} places', plan.shelf.places, plan.shelf.capacity) }}</b>
  </div>
  <template v-if="cure"
    ><i class="cue" :class="{ flip: clamp(at(cure.earliestAt)) > 76 }" :style="{ left: `${clamp(at(cure.earliestAt))}%` }"
      ><span>{{ $t('{0} earliest', say.at(cure.earliestAt)) }} <SourceMark :mark="plan.figures['earliest']!.because.mark" /></span></i
    ><i class="cue better" :class="{ flip: clamp(at(cure.recommendedAt)) > 76 }" :style="{ left: `${clamp(at(cure.recommendedAt))}%` }"
      ><span>{{ $t('{0} better', say.at(cure.recommendedAt)) }} <SourceMark :mark="plan.figures['recommended']!.because.mark" /></span></i
  ></template>
</template>
<style scoped>
.shelf {
  position: absolute;
  top: 206px;
  height: 84px;
}
.shelf b {
  position: absolute;
  left: 10px;
  top: 8px;
  background: var(--stock);
  padding: 0 6px;
  white-space: nowrap;
}
.over b {
  color: var(--watch);
}
.cue {
  position: absolute;
  top: 196px;
  height: 102px;
  border-inline-start: 2px dashed var(--text);
  z-index: 2;
}
.cue.better {
  border-inline-start-style: solid;
}
.cue > span {
  position: absolute;
  left: 4px;
  top: 42px;
  background: var(--stock);
  padding: 0 5px;
  font: 600 var(--t-small) var(--f-text);
  white-space: nowrap;
}
.cue.flip > span {
  left: auto;
  right: 4px;
}
.cue.better > span {
  top: 66px;
}
</style>
