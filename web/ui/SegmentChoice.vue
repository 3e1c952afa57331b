<script setup lang="ts" generic="T extends string">
defineProps<{ modelValue: NoInfer<T>; options: readonly { id: T; name: string }[]; label: string; hideLabel?: boolean }>()
defineEmits<{ 'update:modelValue': [T] }>()
</script>
<template>
  <div role="group" :aria-label="label">
    <span class="label" :class="{ sr: hideLabel }" aria-hidden="true">{{ label }}</span>
    <v-btn-toggle :model-value="modelValue" @update:model-value="$emit('update:modelValue', $event as T)">
      <v-btn v-for="o in options" :key="o.id" :value="o.id" :aria-pressed="o.id === modelValue">{{ $t(o.name) }}</v-btn>
    </v-btn-toggle>
  </div>
</template>
<style scoped>
/* More options than the width holds go on in the next row. */
.v-btn-toggle {
  max-width: 100%;
  height: auto !important;
  flex-wrap: wrap;
}
</style>
