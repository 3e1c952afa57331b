<script setup lang="ts">
import { ref } from 'vue'
import { useDesk } from './desk'

/** Asked once on a device: what to call whoever changes something here. */
const desk = useDesk()
const name = ref('')
</script>
<template>
  <v-dialog :model-value="true" max-width="420" persistent>
    <form class="ask" @submit.prevent="desk.callMe(name.trim() || 'This device')">
      <h2>What may this device call you?</h2>
      <p class="two small">A first name is enough. It stands beside what you change, nowhere else.</p>
      <v-text-field v-model="name" aria-label="First name" maxlength="40" autofocus />
      <v-btn type="submit" color="primary" variant="flat">Go on</v-btn>
    </form>
  </v-dialog>
</template>
<style scoped>
.ask {
  background: var(--stock);
  border: 1.5px solid var(--text);
  box-shadow: 6px 6px 0 0 var(--night);
  padding: 24px;
  display: grid;
  gap: 12px;
}
</style>
