<script setup lang="ts">
import { t as tr } from '#core/language'
import { inWorkshop, type Picture } from '#core/workshop'
import SegmentChoice from '../ui/SegmentChoice.vue'
import type { Bench } from '../bench/useBench'

/** Faces and lettering on a picture, marked by hand. */
const props = defineProps<{ bench: Bench; picture: Picture }>()
const marking = defineModel<'' | 'face' | 'lettering'>({ required: true })
const emit = defineEmits<{ middle: [] }>()
const unmark = (id: string) =>
  props.bench.set(
    inWorkshop.pictures(props.picture.id).marks,
    props.picture.marks!.filter((m) => m.id !== id),
    tr('a mark was taken out'),
  )
</script>
<template>
  <div class="tools marks">
    <SegmentChoice
      :label="$t('Pull a box over each')"
      :model-value="marking"
      :options="[
        { id: '', name: $t('none') },
        { id: 'face', name: $t('face') },
        { id: 'lettering', name: $t('lettering') },
      ]"
      @update:model-value="marking = $event as typeof marking"
    />
    <v-btn v-if="marking" @click="emit('middle')">{{ $t('One in the middle') }}</v-btn>
    <span v-for="(m, i) in picture.marks" :key="m.id" class="marked"
      >{{ m.what }} {{ i + 1 }}
      <v-btn :aria-label="$t('Take out {0} {1}', m.what, i + 1)" @click="unmark(m.id)">{{ $t('Take out') }}</v-btn></span
    >
  </div>
</template>
<style scoped>
.tools :deep(.step) {
  max-width: 170px;
}
.marked {
  display: inline-flex;
  gap: var(--s-1);
  align-items: center;
}
</style>
