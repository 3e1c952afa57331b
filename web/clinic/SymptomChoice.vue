<script setup lang="ts">
import type { Question, Symptom } from '#core/clinic'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SymptomDrawing from './SymptomDrawing.vue'

/** What is seen, drawn, and what a closer look may tell. */
defineProps<{ symptoms: readonly Symptom[]; looks: readonly Question[] }>()
const seen = defineModel<string[]>('seen', { required: true })
const answers = defineModel<Record<string, string>>('answers', { required: true })
const toggle = (s: string) => (seen.value = seen.value.includes(s) ? seen.value.filter((x) => x !== s) : [...seen.value, s])
</script>
<template>
  <section class="side" :aria-label="$t('What is seen')">
    <div class="head">
      <h1>{{ $t('Clinic') }}</h1>
      <p class="small two">{{ $t('What do you see?') }}<br />{{ $t('More than one is fine.') }}</p>
    </div>
    <div class="tiles" role="group" :aria-label="$t('Symptoms')">
      <button
        v-for="s in symptoms"
        :key="s.id"
        type="button"
        class="plain tile"
        :class="{ on: seen.includes(s.id) }"
        :aria-pressed="seen.includes(s.id)"
        :title="`${s.look} ${s.feel}`"
        @click="toggle(s.id)"
      >
        <SymptomDrawing :symptom="s.id" /><span>{{ $t(s.name) }}</span
        ><span class="sr">{{ $t('{0} Feels: {1}', s.look, s.feel) }}</span>
      </button>
    </div>
    <p v-for="s in symptoms.filter((x) => seen.includes(x.id))" :key="s.id" class="small told-look">
      <b>{{ $t(s.name) }}</b> {{ $t(s.look) }} <span class="two">{{ $t('To the finger: {0}', $t(s.feel).toLowerCase()) }}</span>
    </p>
    <template v-if="looks.length">
      <h3 class="closer">{{ $t('Look closer') }}</h3>
      <SegmentChoice
        v-for="q in looks"
        :key="q.id"
        :label="q.ask"
        :model-value="answers[q.id] ?? ''"
        :options="[...q.options, { id: '', name: $t('can’t say') }]"
        @update:model-value="answers = { ...answers, [q.id]: $event }"
      />
    </template>
  </section>
</template>
<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  margin-bottom: var(--s-2);
}
.head p {
  text-align: end;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--s-2);
}
.tile {
  font-size: var(--t-small);
  line-height: 1.2;
  min-height: 78px;
}
.tile:hover {
  background: var(--wash);
}
.tile.on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: 0 0 0 3px var(--ink);
}
.told-look {
  margin-top: var(--s-2);
}
.closer {
  border-top: 2px solid var(--text);
  margin: var(--s-3) 0 var(--s-1);
  padding-top: var(--s-1);
}
.side :deep(.v-btn-toggle) {
  margin-bottom: var(--s-2);
}
.side :deep(.v-btn) {
  padding: 0 var(--s-2);
  font-size: var(--t-small);
}
@media (max-width: 900px) {
  .side {
    margin-bottom: var(--s-4);
  }
}
</style>
