<script setup lang="ts">
import { ref } from 'vue'
import { useDesk } from './desk'

/** Asked in the slug at the first change on a device, in nobody's way: what to call whoever changes something here. */
const desk = useDesk()
const name = ref('')
</script>
<template>
  <form class="ask small" @submit.prevent="desk.callMe(name.trim() || 'this device')">
    <label for="device-name">{{ $t('You are') }}</label>
    <input
      id="device-name"
      v-model="name"
      maxlength="40"
      autocomplete="off"
      :placeholder="$t('first name')"
      aria-describedby="device-why"
    />
    <button type="submit" class="plain">{{ name.trim() ? $t('Keep') : $t('Not now') }}</button>
    <span id="device-why" class="sr">{{ $t('It stands beside what you change, nowhere else.') }}</span>
  </form>
</template>
<style scoped>
.ask {
  display: flex;
  align-items: center;
  gap: var(--s-1);
  white-space: nowrap;
}
input {
  width: 104px;
  height: 26px;
  padding: 0 var(--s-1);
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  background: var(--stock);
  font: inherit;
}
button {
  min-height: 26px;
  padding: 0 var(--s-1);
  font-weight: 700;
  color: var(--ink);
}
@media (max-width: 760px) {
  label {
    position: absolute;
    left: -999px;
  }
  input {
    width: 88px;
  }
}
</style>
