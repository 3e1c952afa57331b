<script setup lang="ts">
import { computed } from 'vue'

/** Things of which some are told by a tap, and taken back by another. */
const props = defineProps<{
  title: string
  choices: readonly { id: string; name: string }[]
  told: readonly { id: string; event: string }[]
}>()
const emit = defineEmits<{ tell: [id: string]; takeBack: [event: string] }>()
const by = computed(() => new Map(props.told.map((x) => [x.id, x.event])))
const press = (id: string) => {
  const event = by.value.get(id)
  if (event) emit('takeBack', event)
  else emit('tell', id)
}
</script>
<template>
  <section v-if="choices.length" class="told" :aria-label="title">
    <h3>{{ title }}</h3>
    <ul class="bare">
      <li v-for="c in choices" :key="c.id">
        <button type="button" class="plain" :aria-pressed="by.has(c.id)" @click="press(c.id)">{{ $t(c.name) }}</button>
      </li>
    </ul>
  </section>
</template>
<style scoped>
.told {
  padding-top: var(--s-3);
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2);
}
button {
  min-height: 64px;
  padding: 0 var(--s-4);
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  background: var(--stock);
}
button[aria-pressed='true'] {
  background: var(--watch-wash);
  border-color: var(--watch);
  font-weight: 700;
}
</style>
