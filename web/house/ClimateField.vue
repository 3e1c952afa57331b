<script setup lang="ts">
import { computed, ref } from 'vue'
import { cureFactor } from '#core/cure'
import { sayMinutes } from '#core/phrases'
import type { House } from '#core/house'

/** The room's air: temperature along, humidity up, lines of equal cure hours for a 24 h cure on bare wood. The point can be
 *  pulled; the steppers beside it do the same by keys. */
type Climate = House['climate']
const props = defineProps<{ climate: Climate; fahrenheit: boolean }>()
const emit = defineEmits<{ set: [Climate] }>()
const pulled = ref<Climate>()
const now = computed(() => pulled.value ?? props.climate)
const factor = computed(() => cureFactor(now.value.celsius, now.value.humidityPct, 'moderate', 'porous'))

/** Lines of equal hours over temperature and humidity, in the drawing's units. */
const field = { x: (c: number) => ((c - 8) / 24) * 280, y: (rh: number) => 200 - ((rh - 25) / 70) * 200 }
const lines = [24, 30, 36, 48, 72].map((hours) => ({
  hours,
  points: Array.from({ length: 121 }, (_, i) => 8 + i * 0.2)
    .flatMap((c) => {
      const rh = rhFor(c, hours / 24)
      return rh === undefined ? [] : [`${field.x(c)},${field.y(rh)}`]
    })
    .join(' '),
}))
function rhFor(c: number, wanted: number): number | undefined {
  for (let rh = 25; rh <= 95; rh += 0.5) if (cureFactor(c, rh, 'moderate', 'porous') >= wanted) return rh > 25 ? rh : undefined
  return undefined
}

function under(e: PointerEvent): Climate {
  const svg = e.currentTarget as SVGSVGElement
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse())
  const within = (v: number, from: number, to: number) => Math.min(to, Math.max(from, v))
  return {
    ...props.climate,
    celsius: Math.round(2 * within(8 + (at.x / 280) * 24, 8, 32)) / 2,
    humidityPct: Math.round(within(25 + ((200 - at.y) / 200) * 70, 25, 95)),
  }
}
function start(e: PointerEvent) {
  ;(e.currentTarget as SVGSVGElement).setPointerCapture(e.pointerId)
  pulled.value = under(e)
}
const move = (e: PointerEvent) => pulled.value && (pulled.value = under(e))
function end() {
  if (pulled.value) emit('set', pulled.value)
  pulled.value = undefined
}
</script>
<template>
  <svg
    width="330"
    class="air"
    @pointerdown="start"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="pulled = undefined"
    height="240"
    viewBox="-34 -6 330 240"
    role="img"
    :aria-label="$t('At {0} °C and {1} % a cure of 24 h becomes {2}', now.celsius, now.humidityPct, sayMinutes(1440 * factor))"
  >
    <rect width="280" height="200" fill="var(--stock)" stroke="var(--text)" />
    <rect :width="field.x(10)" height="200" fill="var(--stop-wash)" />
    <text :x="field.x(10) - 6" y="190" transform="rotate(-90 17 190)" fill="var(--stop)" font-size="13">{{ $t('too cold to lay') }}</text>
    <g v-for="l in lines" :key="l.hours">
      <polyline
        :points="l.points"
        fill="none"
        :stroke="l.hours === 24 ? 'var(--text)' : 'var(--edge)'"
        :stroke-width="l.hours === 24 ? 2.4 : 1.2"
      />
      <text
        v-if="l.points"
        :x="(l.points.split(' ').at(-1) ?? '0,0').split(',')[0]"
        :y="(l.points.split(' ').at(-1) ?? '0,0').split(',')[1]"
        dx="2"
        dy="4"
        font-size="12"
        font-weight="700"
        fill="var(--text)"
      >
        {{ l.hours }}
      </text>
    </g>
    <path :d="`M0 ${field.y(now.humidityPct)}H${field.x(now.celsius)}V200`" fill="none" stroke="var(--ink)" stroke-dasharray="4 3" />
    <circle :cx="field.x(now.celsius)" :cy="field.y(now.humidityPct)" r="8" fill="var(--ink)" />
    <text v-for="rh in [30, 50, 70, 90]" :key="rh" x="-32" :y="field.y(rh) + 4" font-size="12" fill="var(--text)">{{ rh }}%</text>
    <text v-for="c in [10, 15, 20, 25, 30]" :key="c" :x="field.x(c) - 9" y="216" font-size="12" fill="var(--text)">
      {{ fahrenheit ? Math.round((c * 9) / 5 + 32) : c }}°
    </text>
  </svg>
</template>
<style scoped>
.air {
  cursor: crosshair;
  touch-action: none;
}
</style>
