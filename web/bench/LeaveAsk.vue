<script setup lang="ts">
/** Asks before people with names go. */
defineProps<{ names: readonly string[] }>()
const emit = defineEmits<{ keep: []; takeOut: [] }>()
</script>
<template>
  <v-dialog :model-value="true" max-width="440" @update:model-value="emit('keep')">
    <div class="ask above">
      <h2>{{ $t('{0} would go', names.join(', ')) }}</h2>
      <p>{{ $t('Everybody without a name has gone already. Their name and piece go too; Undo brings them back.') }}</p>
      <div class="inline">
        <v-btn autofocus @click="emit('keep')">{{ $t('Keep them') }}</v-btn><v-btn color="error" variant="flat" @click="emit('takeOut')">{{
          $t('Take them out')
        }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>
<style scoped>
.ask {
  display: grid;
  gap: var(--s-3);
}
</style>
