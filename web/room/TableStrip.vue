<script setup lang="ts">
import type { Row, Span } from '#core/sessions'
import type { TableLane } from './boardLanes'

/** A table's strip of paper, a row for each person: hands on it, drying alone, waiting; what most do at once has its word. */
defineProps<{
  l: TableLane
  /** From minutes to pixels, and pixels a minute; where the strip begins, ends and lies. */
  x: (min: number) => number
  scale: number
  side: number
  right: number
  y: number
  /** Minutes by which a stage that is dragged is away from where it was. */
  shift: (r: Row, s: Span) => number
}>()
const isShared = (l: TableLane, s: Span) => l.chips.some((c) => c.kind === s.kind && c.fromMin === s.fromMin && c.toMin === s.toMin)
const pinAt = (x: number, y: number) => `M${x} ${y + 2}m-3 0h6l-1.5 5h2v2h-7v-2h2zM${x} ${y + 9}v6`
const box = (x: number, y: number, w: number, h: number) => `M${x} ${y}h${w}v${h}h${-w}z`
</script>
<template>
  <g>
    <rect :x="side" :y="y" :width="Math.max(0, right - side)" :height="l.height" class="paper" />
    <g v-for="r in l.rows" :key="r.row.person">
      <path v-if="l.open" :d="`M${side} ${y + r.top}H${right}`" class="thin" />
      <rect
        v-if="r.row.comesMin"
        :x="side + 1"
        :y="y + r.top + 1"
        :width="x(r.row.comesMin) - side - 2"
        :height="r.height - 2"
        class="absent"
      />
      <template v-for="s in r.row.spans" :key="`${s.kind}${s.stage}${s.fromMin}`">
        <rect
          v-if="s.kind === 'hands'"
          :x="x(s.fromMin + shift(r.row, s))"
          :y="y + r.top"
          :width="Math.max(1, (s.toMin - s.fromMin) * scale)"
          :height="r.height"
          :fill="`url(#tone-${s.state})`"
          class="hands"
          :class="{ row: l.open }"
        />
        <rect
          v-else-if="s.kind === 'waits' && !isShared(l, s)"
          :x="x(s.fromMin)"
          :y="y + r.top + r.height * 0.22"
          :width="(s.toMin - s.fromMin) * scale"
          :height="r.height * 0.56"
          class="waits"
        />
        <path
          v-else-if="s.kind === 'alone' && !isShared(l, s)"
          :d="`M${x(s.fromMin)} ${y + r.top + r.height - 1.5}H${x(s.toMin)}`"
          class="alone"
        />
        <path v-if="s.pinned" :d="pinAt(x(s.fromMin), y + r.top)" class="pin" />
      </template>
    </g>
    <path
      v-for="c in l.chips.filter((c) => c.kind === 'hands')"
      :key="c.fromMin"
      :d="box(x(c.fromMin), y, (c.toMin - c.fromMin) * scale, l.height)"
      class="edge"
    />
    <template v-for="c in l.chips" :key="`${c.kind}${c.fromMin}`">
      <rect
        v-if="c.kind === 'waits'"
        :x="x(c.fromMin)"
        :y="y + l.height * 0.22"
        :width="(c.toMin - c.fromMin) * scale"
        :height="l.height * 0.56"
        class="waits"
      />
      <rect
        v-if="c.kind === 'alone'"
        :x="x(c.fromMin)"
        :y="y + l.height - 7"
        :width="(c.toMin - c.fromMin) * scale"
        height="5"
        class="shelf"
      />
      <g v-if="c.text && (c.toMin - c.fromMin) * scale > c.text.length * 7 + 6" class="chip" :class="`is-${c.kind}`">
        <rect
          v-if="c.kind !== 'alone'"
          :x="(x(c.fromMin) + x(c.toMin)) / 2 - (c.text.length * 7 + 8) / 2"
          :y="y + l.height / 2 - 9"
          :width="c.text.length * 7 + 8"
          height="18"
        />
        <text
          :x="c.kind === 'alone' ? x(c.fromMin) + 26 : (x(c.fromMin) + x(c.toMin)) / 2"
          :y="y + l.height / 2 + 4.5"
          :text-anchor="c.kind === 'alone' ? 'start' : 'middle'"
        >
          {{ c.text }}
        </text>
      </g>
    </template>
  </g>
</template>
<style scoped src="./board.css"></style>
