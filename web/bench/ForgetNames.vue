<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { forgetNamesText } from '#core/phrases'
import { Refused } from '../app/api'
import type { Bench } from './useBench'

/** Asks before everybody's name is erased for good: what goes, what stays, no way back. */
const props = defineProps<{ bench: Bench }>()
const emit = defineEmits<{ close: [] }>()
const w = computed(() => props.bench.workshop.value!)
const text = computed(() => forgetNamesText(w.value.group.participants.filter((p) => p.name !== null).length))
const busy = ref(false)
const problem = ref('')
async function forget() {
  busy.value = true
  problem.value = ''
  try {
    await props.bench.desk.eraseNames(w.value.id)
    emit('close')
  } catch (e) {
    problem.value =
      e instanceof Refused ? `${e.problem.what} ${e.problem.remedy}` : tr('The server does not answer. Nothing was erased; try again.')
  }
  busy.value = false
}
</script>
<template>
  <v-dialog :model-value="true" max-width="520" @update:model-value="emit('close')">
    <div class="stacked above" role="alertdialog" aria-labelledby="forget-title">
      <h2 id="forget-title">{{ text.title }}</h2>
      <p>
        <b>{{ $t('Goes, for good:') }}</b> {{ text.goes }}
      </p>
      <p>
        <b>{{ $t('Stays:') }}</b> {{ text.stays }}
      </p>
      <p class="watch">
        <b>{{ text.noWayBack }}</b> {{ text.undo }}
      </p>
      <p v-if="problem" role="alert" class="stop">{{ problem }}</p>
      <div class="row">
        <v-btn autofocus @click="emit('close')">{{ text.keep }}</v-btn>
        <v-btn color="error" variant="flat" :disabled="busy" @click="forget">{{ text.erase }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>
<style scoped>
.row {
  display: flex;
  gap: var(--s-3);
  margin-top: var(--s-2);
}
</style>
