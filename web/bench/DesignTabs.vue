<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { firstDesign, inWorkshop, makes, removeDesign, seated, setMakes, type Participant } from '#core/workshop'
import PieceDrawing from '../ui/PieceDrawing.vue'
import StepField from '../ui/StepField.vue'
import type { Bench } from './useBench'

/** The designs of a workshop with several: which one this sheet is about, and, where the piece is chosen, who makes it. */
const props = defineProps<{ bench: Bench; edit: boolean }>()
const w = computed(() => props.bench.workshop.value!)
const whole = computed(() => props.bench.whole.value!)
const d = computed(() => props.bench.design.value!)
const people = computed(() => seated(w.value.group.participants))
const first = computed(() => firstDesign(w.value) === d.value)
const each = computed(() => d.value.each ?? (first.value ? 1 : 0))
const of = (p: Participant) => makes(w.value, p, d.value)
const said = (p: Participant) => p.name ?? whole.value.seats[p.id]!
const name = computed(() => whole.value.designs.find((x) => x.design === d.value.id)!.pieceName)
/** Pressed: who makes it makes none, who makes none makes as many as everybody, one at least. */
function toggle(p: Participant) {
  const now = of(p)
  const next = now > 0 ? 0 : Math.max(1, each.value)
  const change = setMakes(w.value, p.id, d.value.id, next === each.value ? null : next)
  const label = next ? tr('{0} makes {1} {2}', said(p), next, name.value) : tr('{0} makes no {1}', said(p), name.value)
  props.bench.act('who-makes', label, [change])
}
const out = computed(() => removeDesign(w.value, d.value.id))
</script>
<template>
  <div class="designs">
    <div class="tabs" role="group" :aria-label="$t('Designs of this workshop')">
      <button
        v-for="(x, i) in whole.designs"
        :key="x.design"
        type="button"
        class="plain tab"
        :class="{ on: x.design === d.id }"
        :aria-pressed="x.design === d.id"
        @click="bench.lookAt(x.design)"
      >
        <PieceDrawing :kind="w.designs[i]!.kind" :drawing="w.drawing" :width="34" :outline="x.outline" /><span
          ><b>{{ $t(x.pieceName) }}</b
          ><br /><span class="small">{{ $t(x.recipe.name) }}, {{ x.pieces }} {{ x.pieces === 1 ? $t('piece') : $t('pieces') }}</span></span
        >
      </button>
    </div>
    <div v-if="edit" class="who">
      <StepField
        :label="$t('Everybody makes')"
        :model-value="each"
        :max="9"
        @update:model-value="bench.set(inWorkshop.designs(d.id).each, $event, $t('everybody makes {0} {1}', $event, name))"
      />
      <div v-if="people.length" role="group" :aria-label="$t('Who makes {0}', name)" class="chips inline wraps">
        <span class="label">{{ $t('or only these') }}</span>
        <button
          v-for="p in people"
          :key="p.id"
          type="button"
          class="plain chip"
          :class="{ on: of(p) > 0 }"
          :aria-pressed="of(p) > 0"
          @click="toggle(p)"
        >
          {{ said(p) }}{{ of(p) > 1 ? ` × ${of(p)}` : '' }}
        </button>
      </div>
      <p v-if="first" class="small two">{{ $t('The first design stays; choose another piece for it below.') }}</p>
      <v-btn v-else-if="out" @click="bench.act('design-out', $t('{0} was taken out', name), out)">{{ $t('Take this design out') }}</v-btn>
      <p v-else class="small two">{{ $t('It has pictures: erase them before this design is taken out.') }}</p>
    </div>
  </div>
</template>
<style scoped>
.designs {
  margin-bottom: var(--s-3);
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--s-1);
  border-bottom: 2px solid var(--text);
}
.tab {
  display: flex;
  gap: var(--s-2);
  align-items: center;
  text-align: start;
  padding: var(--s-1) var(--s-3) var(--s-2);
  line-height: 1.15;
  min-height: 48px;
  border: 1.5px solid transparent;
  border-bottom: 0;
}
.tab:hover {
  background: var(--wash);
}
.tab.on {
  background: var(--board);
  border-color: var(--text);
}
.tab.on b {
  color: var(--ink);
}
.who {
  display: grid;
  grid-template-columns: 138px 1fr;
  gap: var(--s-2) var(--s-4);
  padding-top: var(--s-2);
  align-items: start;
}
.who > p,
.who > .v-btn {
  grid-column: 1 / -1;
  justify-self: start;
}
.chips .label {
  flex-basis: 100%;
}
.chip {
  min-height: 32px;
  padding: var(--s-1) var(--s-2);
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
}
.chip.on {
  border-color: var(--ink);
  background: var(--wash);
  font-weight: 700;
}
@media (max-width: 760px) {
  .who {
    grid-template-columns: 1fr;
  }
}
</style>
