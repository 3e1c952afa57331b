<script setup lang="ts">
/** Under a number that somebody types while it changes elsewhere: both stand whole, nothing goes by itself. */
defineProps<{ theirs: string; mine: string }>()
const emit = defineEmits<{ take: []; mine: [] }>()
</script>
<template>
  <div class="meanwhile small" role="status">
    {{ $t('Became {0} meanwhile.', theirs) }}
    <button type="button" class="plain" @click="emit('take')">{{ $t('Take {0}', theirs) }}</button>
    <button v-if="mine && mine !== theirs" type="button" class="plain" @click="emit('mine')">{{ $t('Put {0}', mine) }}</button>
  </div>
</template>
<style scoped>
.meanwhile button {
  min-height: 24px;
  padding: 2px var(--s-1);
  font-weight: 700;
  text-decoration: underline;
}
</style>
