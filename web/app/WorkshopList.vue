<script setup lang="ts">
import { useDesk } from './desk'

/** The open workshops, to go from one to another. Fetched when the menu is first opened. */
const desk = useDesk()
</script>
<template>
  <v-list class="above list">
    <v-list-item
      v-for="w in desk.summaries.filter((x) => !x.archivedAt).slice(-60)"
      :key="w.id"
      :title="w.title"
      :to="`/w/${w.id}/bench/kit`"
    />
  </v-list>
</template>
<style scoped>
.list {
  padding: var(--s-1) 0;
}
</style>
