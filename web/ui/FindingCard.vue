<script setup lang="ts">
import { computed } from 'vue'
import type { Finding, Remedy } from '#core/plan'
import type { Phrases } from '#core/phrases'
import SourceMark from './SourceMark.vue'

/** What to look at, why, and the ways out as buttons that do it; each shows its effect before it is pressed. */
const props = defineProps<{ finding: Finding; say: Phrases; effect: (r: Remedy) => string }>()
defineEmits<{ take: [Remedy] }>()
const said = computed(() => props.say.finding(props.finding))
</script>
<template>
  <article class="finding" :class="finding.level">
    <p v-if="finding.design" class="small two of">{{ $t(finding.design.name) }}</p>
    <h4>{{ said.title }} <SourceMark v-if="finding.mark" :mark="finding.mark" /></h4>
    <p class="small two">{{ said.body }}</p>
    <div v-if="finding.remedies.length" class="ways">
      <v-btn v-for="(r, i) in finding.remedies" :key="i" class="way" @click="$emit('take', r)"
        ><span v-if="r.of" class="small two of">{{ r.of }}:</span>{{ say.remedy(r)
        }}<span v-if="effect(r) && !say.remedy(r).includes(effect(r))" class="effect">{{ effect(r) }}</span></v-btn
      >
    </div>
  </article>
</template>
<style scoped>
.finding {
  border-inline-start: 5px solid var(--watch);
  padding-inline-start: var(--s-3);
  margin-top: var(--s-2);
}
.stop {
  border-color: var(--stop);
}
.note {
  border-color: var(--edge);
}
h4 {
  font: 700 var(--t-text)/1.25 var(--f-text);
  margin: 0;
  color: var(--text);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1);
  margin-top: var(--s-1);
}
.way {
  max-width: 100%;
  height: auto !important;
  min-height: 44px;
  padding: var(--s-1) var(--s-3);
  text-align: start;
}
.way :deep(.v-btn__content) {
  white-space: normal;
  justify-content: flex-start;
  flex-wrap: wrap;
  column-gap: var(--s-2);
}
.effect {
  font-weight: 500;
  color: var(--ink);
  font-size: var(--t-small);
}
</style>
