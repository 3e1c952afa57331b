<script setup lang="ts">
import type { Queue } from '#core/sessions'
import type { StationLane } from './boardLanes'

/** A station along the time: who stands there under the line of its places, who waits on top; the tightest moment is named at its place. */
defineProps<{
  l: StationLane
  x: (min: number) => number
  scale: number
  side: number
  right: number
  width: number
  y: number
  tight: Queue | undefined
  clock: (min: number) => string
}>()
const look = (at: string) => (at === 'basin' ? 'water' : at === 'rack' ? 'rack' : 'full')
</script>
<template>
  <g>
    <path :d="`M0 ${y + l.height}H${right}`" class="line" />
    <path v-if="l.station.places !== null" :d="`M${side} ${y + l.height - l.station.places * l.each}H${right}`" class="places" />
    <template v-for="(v, i) in l.station.levels" :key="i">
      <template v-if="l.station.levels[i + 1]">
        <rect
          :x="x(v.fromMin)"
          :y="y + l.height - v.there * l.each"
          :width="(l.station.levels[i + 1]!.fromMin - v.fromMin) * scale"
          :height="v.there * l.each"
          :class="look(l.station.at)"
        />
        <rect
          v-if="v.waiting"
          :x="x(v.fromMin)"
          :y="y + l.height - (v.there + v.waiting) * l.each"
          :width="(l.station.levels[i + 1]!.fromMin - v.fromMin) * scale"
          :height="v.waiting * l.each"
          class="waits"
        />
      </template>
    </template>
    <text v-if="tight" :x="Math.max(side, Math.min(width - 240, x(tight.mostAtMin) + 6))" :y="y - 4" class="tight">
      {{ $t('{0}, the tightest moment: {1} wait', clock(tight.mostAtMin), tight.most) }}
    </text>
  </g>
</template>
<style scoped src="./board.css"></style>
