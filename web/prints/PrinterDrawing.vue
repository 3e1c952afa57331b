<script setup lang="ts">
import type { Printer } from '#core/printer'
import type { Ran } from '#core/printer'

/** The printer that stands in for a real one: what is in it, and whether something is stuck. */
defineProps<{ printer: Printer; stopped: Ran['stopped'] }>()
</script>
<template>
  <div class="printer">
    <svg
      viewBox="0 0 220 130"
      role="img"
      :aria-label="$t('{0} printer, simulated{1}', printer.ink, stopped === 'jam' ? $t(', paper stuck in it') : '')"
    >
      <g fill="var(--stock)" stroke="var(--text)" stroke-width="2" stroke-linejoin="round">
        <path d="M54 30 62 2h92l8 28" />
        <path d="M14 30h192l8 12v48H2V42z" fill="var(--board)" />
        <path d="M2 42h212" fill="none" />
        <path v-if="stopped === 'jam'" d="M48 78l14 14 10-12 12 14 12-14 14 16 12-16 12 14 14-14 12 12 8-14v14l14 26H30z" />
        <path v-else d="M46 76h120l14 44H30z" />
        <rect x="150" y="54" width="38" height="14" :fill="stopped ? 'var(--stop)' : 'var(--stock)'" />
      </g>
      <circle cx="18" cy="56" r="4" :fill="stopped ? 'var(--stop)' : 'var(--ok)'" />
      <path v-if="stopped" d="m165 57 8 8m0-8-8 8" stroke="var(--paper)" stroke-width="2" />
    </svg>
    <div class="level">
      <span class="small">{{ printer.ink }}</span>
      <span class="tube" :class="{ low: printer.level < 0.1 }"><i :style="{ height: `${Math.max(2, printer.level * 100)}%` }" /></span>
      <b>{{ Math.round(printer.level * 100) }} %</b>
    </div>
  </div>
</template>
<style scoped>
.printer {
  display: grid;
  grid-template-columns: 1fr 56px;
  gap: var(--s-2);
  align-items: end;
}
.level {
  display: grid;
  justify-items: center;
  gap: var(--s-1);
}
.tube {
  width: 15px;
  height: 58px;
  border: 1.5px solid var(--text);
  display: flex;
  align-items: flex-end;
}
.tube i {
  width: 100%;
  background: var(--text-2);
}
.low i {
  background: var(--watch);
}
</style>
