<script setup lang="ts" generic="T extends string">
/** One of several that do not fit beside each other; typing its first letters finds it. */
const props = defineProps<{
  modelValue: NoInfer<T>
  options: readonly { id: T; name: string }[]
  label: string
  hideLabel?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [T] }>()
const choose = (x: unknown) => {
  const found = props.options.find((o) => o.id === x)
  if (found) emit('update:modelValue', found.id)
}
</script>
<template>
  <div class="choice">
    <span class="label" :class="{ sr: hideLabel }" aria-hidden="true">{{ label }}</span>
    <v-select
      :model-value="modelValue"
      :items="options"
      item-title="name"
      item-value="id"
      :aria-label="label"
      :disabled="disabled"
      variant="outlined"
      density="compact"
      hide-details
      :menu-props="{ contentClass: 'above choice-list', maxHeight: 360 }"
      @update:model-value="choose"
    />
  </div>
</template>
<style scoped>
.choice {
  min-width: 0;
}
.choice :deep(.v-field) {
  min-height: 44px;
}
.choice :deep(.v-field__input) {
  min-height: 41px;
  padding-block: 0;
}
.choice :deep(input) {
  align-self: center;
}
</style>
